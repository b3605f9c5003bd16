package load

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// varied is a job with everything that may vary: tanks, a vessel, switches that
// require each other and a choice, all drawn.
func varied(t *rapid.T) fitout.Job {
	j := worked()
	v := &j.Variants[0]
	x := func() float64 { return rapid.Float64Range(-800, 4500).Draw(t, "x") }
	kg := func() float64 { return rapid.Float64Range(1, 90).Draw(t, "kg") }
	v.Switches = []fitout.Switch{{ID: "s0", Name: "s0"}, {ID: "s1", Name: "s1", Requires: &fitout.Require{Switch: "s0"}},
		{ID: "s2", Name: "s2", Requires: &fitout.Require{Choice: "c", Member: "m1"}}}
	v.Choices = []fitout.Choice{{ID: "c", Name: "c", None: rapid.Bool().Draw(t, "none"),
		Members: []fitout.Member{{ID: "m0", Name: "m0"}, {ID: "m1", Name: "m1"}}, Chosen: "m0"}}
	for i := range v.Switches {
		it := item(fmt.Sprint("by-", i), kg(), x(), 0, 800)
		it.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: v.Switches[i].ID}
		v.Items = append(v.Items, it)
	}
	for i := range 2 {
		it := item(fmt.Sprint("of-", i), kg(), x(), 0, 800)
		it.Presence = fitout.Presence{Kind: fitout.ByChoice, Choice: "c", Member: fmt.Sprint("m", i)}
		v.Items = append(v.Items, it)
	}
	water := item("water", kg(), x(), 0, 800)
	water.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Min: 5, Max: 60, Now: 20, Density: 1}}
	v.Items = append(v.Items, water)
	return j
}

func drawnCase(t *rapid.T) fitout.Case {
	c := fitout.Case{ID: "c", Name: "C"}
	for _, id := range []string{"s0", "s1", "s2", "gone"} {
		c.Switches = append(c.Switches, fitout.CaseSwitch{Switch: id, On: rapid.Bool().Draw(t, id)})
	}
	c.Choices = []fitout.CaseChoice{{Choice: "c", Member: rapid.SampledFrom([]string{"m0", "m1"}).Draw(t, "member")},
		{Choice: "gone", Member: "x"}}
	for _, id := range []string{"water", "fuel", "gone"} {
		c.Levels = append(c.Levels, fitout.CaseLevel{Of: id, Litres: rapid.Float64Range(0, 300).Draw(t, id)})
	}
	return c
}

// No case that anyone could name is worse than the exact worst, and none breaks a
// requirement or fills a tank beyond what it holds.
func TestNoCaseIsWorseThanTheWorst(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := varied(t)
		p := NewPlan(&j)
		c := drawnCase(t)
		s := p.Case(&c)
		if s.Switches["s1"] && !s.Switches["s0"] || s.Switches["s2"] && s.Choices["c"] != "m1" {
			t.Fatalf("a requirement is broken: %+v", s)
		}
		if s.Levels["water"] < 5 || s.Levels["water"] > 60 || s.TankFills["fuel"] > 75 {
			t.Fatalf("filled beyond what it holds: %+v", s)
		}
		for _, f := range []Form{p.FrontForm(), p.RearForm(), p.GrossForm(), p.FrontForm().Negative(),
			p.FrontShareForm(0.35)} {
			worst := p.Worst(f.Count())
			if got := p.Value(f.Count(), &s); got > worst.Value+1e-6 {
				t.Fatalf("%v is worse than the worst, %v", got, worst.Value)
			}
			if again := p.Value(f.Count(), &worst); again > worst.Value+1e-6 || again < worst.Value-1e-6 {
				t.Fatalf("the worst state is worth %v, said %v", again, worst.Value)
			}
		}
		shown := p.Shown()
		if now := p.Now(); p.MomentsIn(&shown) != now {
			a, b := p.MomentsIn(&shown), now
			if d := a.Kg - b.Kg; d > 1e-6 || d < -1e-6 {
				t.Fatalf("the state shown weighs %v, as a state %v", b.Kg, a.Kg)
			}
		}
	})
}

// The likeliest state is never less likely over than the one with the most load.
func TestTheLikeliestIsAtLeastAsLikelyAsTheWorst(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := varied(t)
		for i := range j.Variants[0].Items {
			j.Variants[0].Items[i].Source = rapid.SampledFrom([]fitout.MassSource{fitout.ByScale, fitout.DataSheet,
				fitout.Estimate}).Draw(t, "source")
		}
		p, u := NewPlan(&j), fitout.NewPractice(fitout.AustraliaNZ).Uncertainty
		f, b := p.RearForm(), Baseline{Front: 8, Rear: 8}
		worst := p.Worst(f.Count())
		limit := worst.Value + rapid.Float64Range(-40, 60).Draw(t, "above")
		state, over := p.Likeliest(f.Count(), limit, b, &u)
		if least := Over(worst.Value, limit, Sigma(f.Count(), p.Errors(b, &u, &worst))); over < least-1e-9 {
			t.Fatalf("%v is less likely than the worst, %v", over, least)
		}
		if !p.keeps(&state) {
			t.Fatalf("a requirement is broken: %+v", state)
		}
	})
}

// Using up never adds to the gross while there is no waste tank, ends at the least
// of every tank, and goes in the order that the variant says.
func TestUsingUpGoesDownToTheLeast(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := varied(t)
		j.Variants[0].UsedUp = []fitout.UsedFirst{{Of: "gone"}, {Of: "water"}}
		p := NewPlan(&j)
		way := p.UseUp(nil, nil)
		before := p.MomentsIn(&way[0].State).Kg
		for _, step := range way[1:] {
			now := p.MomentsIn(&step.State).Kg
			if now > before+1e-9 {
				t.Fatalf("it gains from %v to %v", before, now)
			}
			before = now
		}
		last := way[len(way)-1].State
		if last.Levels["water"] != 5 || last.TankFills["fuel"] != 0 {
			t.Fatalf("it ends at %+v", last)
		}
		if way[1].Of != "water" || way[len(way)-1].Of != "fuel" {
			t.Fatalf("it goes from %s to %s", way[1].Of, way[len(way)-1].Of)
		}
	})
}

func TestACaseStartsFromTheStateShown(t *testing.T) {
	j := workedLoaded()
	j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "Box", Mass: 800, Ball: 70}
	p := NewPlan(&j)
	empty := p.Case(&fitout.Case{ID: "c", Name: "C"})
	assert.Equal(t, p.Shown(), empty, "a case that sets nothing is the state shown")
	coupled := p.Case(&fitout.Case{ID: "c", Name: "C", Coupled: true})
	require.True(t, coupled.Coupled)
	assert.InDelta(t, 70, p.Value(p.GrossForm().Count(), &coupled)-p.Value(p.GrossForm().Count(), &empty), 1e-9,
		"the ball counts with the trailer on")
}
