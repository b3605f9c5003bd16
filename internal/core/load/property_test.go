package load

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// anyJob draws a valid job with choices, levels, and switches in trees.
func anyJob(t *rapid.T) fitout.Job {
	j := worked()
	v, variant := &j.Vehicle, &j.Variants[0]
	v.Wheelbase = rapid.Float64Range(2000, 6000).Draw(t, "wheelbase")
	v.Tanks[0].Min = rapid.Float64Range(0, 20).Draw(t, "least fuel")
	v.Tanks[0].Now = rapid.Float64Range(20, 75).Draw(t, "fuel")
	if rapid.Bool().Draw(t, "extended") {
		v.Extension = &fitout.Extension{By: rapid.Float64Range(0, 600).Draw(t, "by"), Cut: 2400, BehindCut: 300, Section: 20}
	}
	if rapid.Bool().Draw(t, "tows") {
		j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Coupled: rapid.Bool().Draw(t, "coupled"), Mass: 1200,
			Ball:       rapid.Float64Range(0, 300).Draw(t, "ball"),
			BallToAxle: 4000, Distribution: rapid.Float64Range(0, 300_000).Draw(t, "distribution")}
	}
	c := fitout.Choice{ID: "c", Name: "Roof", None: rapid.Bool().Draw(t, "none"),
		Members: []fitout.Member{{ID: "m0", Name: "A"}, {ID: "m1", Name: "B"}}, Chosen: "m0"}
	variant.Choices = []fitout.Choice{c}
	for i := range rapid.IntRange(0, 5).Draw(t, "switches") {
		s := fitout.Switch{ID: fmt.Sprint("s", i), Name: fmt.Sprint("Switch ", i), On: rapid.Bool().Draw(t, "on")}
		switch parent := rapid.IntRange(-3, i-1).Draw(t, "parent"); {
		case parent >= 0:
			s.Requires = &fitout.Require{Switch: fmt.Sprint("s", parent)}
		case parent == -1:
			s.Requires = &fitout.Require{Choice: "c", Member: rapid.SampledFrom([]string{"m0", "m1"}).Draw(t, "member")}
		}
		variant.Switches = append(variant.Switches, s)
	}
	for i := range rapid.IntRange(0, 8).Draw(t, "items") {
		it := item(fmt.Sprint("i", i), rapid.Float64Range(0, 300).Draw(t, "kg"),
			rapid.Float64Range(-1000, 7000).Draw(t, "x"), rapid.Float64Range(-900, 900).Draw(t, "y"),
			rapid.Float64Range(200, 2500).Draw(t, "z"))
		it.Behind = rapid.Bool().Draw(t, "behind")
		it.OnTrailer = rapid.IntRange(0, 3).Draw(t, "rides") == 0
		switch kind := rapid.IntRange(0, 3).Draw(t, "presence"); {
		case kind == 1 && len(variant.Switches) > 0:
			it.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: rapid.SampledFrom(variant.Switches).Draw(t,
				"switch").ID}
		case kind == 2:
			it.Presence = fitout.Presence{Kind: fitout.ByChoice, Choice: "c",
				Member: rapid.SampledFrom([]string{"m0", "m1"}).Draw(t, "of")}
		case kind == 3:
			it.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Min: 1, Now: 5, Max: 60, Density: 1}}
		}
		if i > 0 && rapid.IntRange(0, 2).Draw(t, "lies in") == 0 {
			holder := &variant.Items[rapid.IntRange(0, i-1).Draw(t, "holder")]
			holder.Module = &fitout.Module{Kind: fitout.Crate, Faces: fitout.FaceNone, Wall: fitout.NoMaterial,
				Runner: fitout.NoRunner,
				Stack:  fitout.Beside, Cells: []fitout.Cell{{ID: "c", Name: "C"}}}
			it.In = &fitout.InCell{Module: holder.ID, Cell: "c"}
		}
		variant.Items = append(variant.Items, it)
	}
	require.NoError(t, fitout.Validate(&j))
	return j
}

// aboardByHand tells what is aboard in the state shown, told as one would: a thing by
// its own switch or choice, and only if what it lies in is.
func aboardByHand(j *fitout.Job) map[string]bool {
	v := &j.Variants[0]
	var on func(id string) bool
	on = func(id string) bool {
		for _, s := range v.Switches {
			switch {
			case s.ID != id:
			case !s.On:
				return false
			case s.Requires == nil:
				return true
			case s.Requires.Switch != "":
				return on(s.Requires.Switch)
			default:
				return v.Choices[0].Chosen == s.Requires.Member
			}
		}
		return false
	}
	aboard := map[string]bool{}
	for i := range v.Items { // what holds a thing stands before it
		item := &v.Items[i]
		is := item.In == nil || aboard[item.In.Module]
		switch p := item.Presence; p.Kind {
		case fitout.BySwitch:
			is = is && on(p.Switch)
		case fitout.ByChoice:
			is = is && v.Choices[0].Chosen == p.Member
		}
		aboard[item.ID] = is
	}
	return aboard
}

// A unit that stays at home takes its tins along, whatever switch they have.
func TestWhatLiesInAModuleIsAboardOnlyWithIt(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := anyJob(t)
		p := NewPlan(&j)
		want := aboardByHand(&j)
		sum := 0.0
		for i := range p.Items {
			assert.Equal(t, want[p.Items[i].ID], p.Items[i].Present, p.Items[i].ID)
			if want[p.Items[i].ID] {
				sum += p.Items[i].Mass.Kg
			}
		}
		assert.InDelta(t, p.Unladen.Kg+p.Tanks[0].Mass.Kg+sum, p.Now().Kg, 1e-6)
	})
}

// Switches that share modules crosswise hang together in no tree; the worst is exact all
// the same.
func TestTheWorstIsExactWhereSwitchesShareModules(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := worked()
		v := &j.Variants[0]
		n := rapid.IntRange(2, 4).Draw(t, "modules")
		for i := range 2 * n {
			v.Switches = append(v.Switches, fitout.Switch{ID: fmt.Sprint("s", i), Name: "S"})
		}
		by := func(it fitout.Item, i int) fitout.Item {
			it.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: fmt.Sprint("s", i)}
			return it
		}
		for i := range n {
			m := by(item(fmt.Sprint("m", i), 10, 2000, 0, 500), i)
			m.Module = &fitout.Module{Kind: fitout.Crate, Faces: fitout.FaceNone, Wall: fitout.NoMaterial,
				Runner: fitout.NoRunner,
				Stack:  fitout.Beside, Cells: []fitout.Cell{{ID: "c", Name: "C"}}}
			v.Items = append(v.Items, m)
		}
		for k := range rapid.IntRange(3, 8).Draw(t, "things") {
			it := by(item(fmt.Sprint("t", k), rapid.Float64Range(1, 90).Draw(t, "kg"), rapid.Float64Range(-900, 5000).Draw(t,
				"x"), 0, 500),
				n+rapid.IntRange(0, n-1).Draw(t, "switch"))
			it.In = &fitout.InCell{Module: fmt.Sprint("m", rapid.IntRange(0, n-1).Draw(t, "in")), Cell: "c"}
			v.Items = append(v.Items, it)
		}
		require.NoError(t, fitout.Validate(&j))
		p := NewPlan(&j)
		for _, form := range []Form{p.FrontForm(), p.RearForm(), p.FrontForm().Negative(), p.RearForm().Negative()} {
			found, best := p.Worst(form.Count()), math.Inf(-1)
			assert.InDelta(t, found.Value, p.Value(form.Count(), &found), 1e-6, "the state is worth what is said")
			for bits := range 1 << len(v.Switches) {
				state := p.Shown()
				for i := range v.Switches {
					state.Switches[v.Switches[i].ID] = bits>>i&1 == 1
				}
				for _, litres := range []float64{0, 75} {
					state.TankFills["fuel"] = litres
					best = max(best, p.Value(form.Count(), &state))
				}
			}
			assert.InDelta(t, best, found.Value, 1e-6)
		}
	})
}

// Knit so closely that a table would be too large, some are tried out or climbed; the
// state is one that can be set, and worth what is said.
func TestManyCrosswiseSwitchesEndInTime(t *testing.T) {
	j := worked()
	v := &j.Variants[0]
	for i := range 60 {
		v.Switches = append(v.Switches, fitout.Switch{ID: fmt.Sprint("s", i), Name: "S"})
		m := item(fmt.Sprint("m", i), 1, 2000, 0, 500)
		m.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: fmt.Sprint("s", i)}
		m.Module = &fitout.Module{Cells: []fitout.Cell{{ID: "c"}}}
		v.Items = append(v.Items, m)
	}
	for k := range 600 {
		it := item(fmt.Sprint("t", k), float64(1+k%7), float64(k*37%5000), 0, 500)
		it.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: fmt.Sprint("s", k*7%60)}
		it.In = &fitout.InCell{Module: fmt.Sprint("m", k*11%60), Cell: "c"}
		v.Items = append(v.Items, it)
	}
	p := NewPlan(&j)
	worst := p.Worst(p.FrontForm().Count())
	assert.InDelta(t, worst.Value, p.Value(p.FrontForm().Count(), &worst), 1e-6)
	assert.GreaterOrEqual(t, worst.Value, p.Value(p.FrontForm().Count(), ptr(p.Shown())))
}

func TestWhatHoldsForAnyJob(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := anyJob(t)
		p := NewPlan(&j)
		now := p.Now()
		assert.InDelta(t, now.Kg, now.Axles(p.Wheelbase).Gross(), 1e-6, "axles sum to gross")
		corners := now.Corners(p.Wheelbase, p.TrackFront, p.TrackRear)
		assert.InDelta(t, now.Kg, corners.Left()+corners.Right(), 1e-6, "corners sum to gross")
		assert.InDelta(t, p.LeftForm().Of(now), corners.Left(), 1e-6)
		assert.InDelta(t, p.RightForm().Of(now), corners.Right(), 1e-6)
		if p.Coupled() {
			assert.InDelta(t, now.Kg+p.TrailerMass(), p.Combination(), 1e-6, "a hitch moves load and makes none")
		}
		for i := range j.Variants[0].Items {
			moved := j
			moved.Variants = []fitout.Variant{j.Variants[0]}
			moved.Variants[0].Items = append([]fitout.Item{}, j.Variants[0].Items...)
			moved.Variants[0].Items[i].At.X += 250
			assert.GreaterOrEqual(t, NewPlan(&moved).Axles().Rear, p.Axles().Rear-1e-9,
				"moving an item rearward never lightens the rear axle")
		}
	})
}

// everyState calls visit for each state of a job that its switches, choice,
// levels at their ends, tank and trailer allow.
func everyState(j fitout.Job, visit func(*fitout.Job)) {
	v := &j.Variants[0]
	var levels []*float64
	var ends [][2]float64
	for i := range v.Items {
		if l := v.Items[i].Presence.Level; l != nil {
			copied := *l
			v.Items[i].Presence.Level = &copied
			levels, ends = append(levels, &copied.Now), append(ends, [2]float64{l.Min, l.Max})
		}
	}
	levels, ends = append(levels, &j.Vehicle.Tanks[0].Now),
		append(ends, [2]float64{j.Vehicle.Tanks[0].Min, j.Vehicle.Tanks[0].Capacity})
	chosen := []string{"m0", "m1"}
	if v.Choices[0].None {
		chosen = append(chosen, "")
	}
	trailers := 1
	if j.Trailer != nil {
		trailers = 2
	}
	for bits := range 1 << (len(v.Switches) + len(levels)) {
		for i := range v.Switches {
			v.Switches[i].On = bits>>i&1 == 1
		}
		for i := range levels {
			*levels[i] = ends[i][bits>>(len(v.Switches)+i)&1]
		}
		for _, v.Choices[0].Chosen = range chosen {
			for coupled := range trailers {
				if j.Trailer != nil {
					j.Trailer.Coupled = coupled == 1
				}
				visit(&j)
			}
		}
	}
}

func TestWorstStateEqualsTryingThemAll(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := anyJob(t)
		p := NewPlan(&j)
		forms := map[string]Form{
			"front": p.FrontForm(), "least front": p.FrontForm().Negative(), "rear": p.RearForm(), "gross": p.GrossForm(),
			"combination": p.CombinationForm(), "left": p.LeftForm(), "right": p.RightForm(),
			"front share": p.FrontShareForm(0.35),
		}
		best := map[string]float64{}
		for name := range forms {
			best[name] = math.Inf(-1)
		}
		found := map[string]State{}
		for name, form := range forms {
			found[name] = p.Worst(form.Count())
		}
		everyState(j, func(j *fitout.Job) {
			q := NewPlan(j)
			m := q.Now()
			towed := 0.0
			if q.Coupled() {
				m.Kg += q.Towing.Vehicle.Gross()
				m.X += q.Towing.Vehicle.Rear * q.Wheelbase
				towed = q.Towing.TrailerAxle // what rides on it is in the moments
			}
			for name, form := range forms {
				best[name] = max(best[name], form.Of(m)+form.Towed*towed)
			}
		})
		for name := range forms {
			assert.InDelta(t, best[name], found[name].Value, 1e-6, name)
		}
	})
}

// The state that Worst describes really has the value that it gives.
func TestWorstStateCanBeSet(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := anyJob(t)
		p := NewPlan(&j)
		worst := p.Worst(p.RearForm().Count())
		v := &j.Variants[0]
		for i := range v.Switches {
			v.Switches[i].On = worst.Switches[v.Switches[i].ID]
		}
		v.Choices[0].Chosen = worst.Choices["c"]
		for i := range v.Items {
			if l := v.Items[i].Presence.Level; l != nil {
				l.Now = worst.Levels[v.Items[i].ID]
			}
		}
		j.Vehicle.Tanks[0].Now = worst.TankFills["fuel"]
		if j.Trailer != nil {
			j.Trailer.Coupled = worst.Coupled
		}
		require.NoError(t, fitout.Validate(&j))
		assert.InDelta(t, worst.Value, NewPlan(&j).Axles().Rear, 1e-6)
	})
}

func TestInnerSumsAllocateNothing(t *testing.T) {
	masses := make([]Mass, 300)
	for i := range masses {
		masses[i] = Mass{float64(i), float64(i * 10), 1, 500}
	}
	var axles Axles
	assert.Zero(t, testing.AllocsPerRun(100, func() { axles = Sum(masses).Axles(3150) }))
	assert.Positive(t, axles.Rear)
	j := workedLoaded()
	p := NewPlan(&j)
	assert.Zero(t, testing.AllocsPerRun(100, func() { axles = p.Axles() }))
}

func BenchmarkPlanOf300Items(b *testing.B) {
	j := worked()
	for i := range 300 {
		j.Variants[0].Items = append(j.Variants[0].Items, item(fmt.Sprint("i", i), 3, float64(1000+i*10),
			float64(i%7*100-300), 900))
	}
	for b.Loop() {
		p := NewPlan(&j)
		p.Axles()
		for _, f := range []Form{p.FrontForm(), p.RearForm(), p.GrossForm(), p.LeftForm(), p.RightForm()} {
			p.Worst(f.Count())
		}
	}
}
