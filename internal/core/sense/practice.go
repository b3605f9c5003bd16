package sense

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// How far a figure of the workshop may be from the usual one of the trade before it is told: a third or three times.
const farFromUsual = 3.0

// practiceOdd notes a rule of the workshop that is far from the usual one of the trade, towards what finds less: whatever
// is held against it passes.
func practiceOdd(p *plan.Plan) []fitout.Finding {
	trade := fitout.NewPractice(p.Job.Region)
	has, usual := p.Job.Practice.Figures(), trade.Figures()
	var found []fitout.Finding
	share := func(v float64) string { return p.Say.Percent(v) }
	g := func(v float64) string { return p.Say.Plain(v) + " g" }
	angle := func(v float64) string { return p.Say.Plain(v) + "°" }
	wind := func(v float64) string { return p.Say.Plain(v) + " N/m²" }
	for _, of := range []struct {
		path, what string
		said       func(float64) string
		more       bool // what finds less is more, or less
	}{
		{"runnerFactor", "share of a runner's rating", share, true},
		{"clearance", "room beside what moves", p.Say.Length, false},
		{"headroom", "room above a mattress", p.Say.Length, false},
		{"step", "step to stand on", p.Say.Length, true},
		{"oneLifts", "mass that one lifts out", p.Say.Mass, true},
		{"standing", "person who stands on something", p.Say.Mass, false},
		{"highFrom", "height from which only light things belong", p.Say.Length, true},
		{"heavyFrom", "mass that counts as heavy", p.Say.Mass, true},
		{"wind", "wind under a lid", wind, false},
		{"frontShare", "least share on the front axle", share, false},
		{"sideShare", "share that a side may be heavier", share, true},
		{"tipLoss", "side tip angle that the load may take", angle, true},
		{"ballLeast", "least share on the ball", share, false},
		{"ballMost", "most share on the ball", share, true},
		{"restraint/forward", "restraint forward", g, false},
		{"restraint/rearward", "restraint rearward", g, false},
		{"restraint/sideways", "restraint sideways", g, false},
		{"restraint/upward", "restraint upward", g, false},
		{"uncertainty/weighed", "uncertainty of what is weighed", share, false},
		{"uncertainty/dataSheet", "uncertainty of a data sheet", share, false},
		{"uncertainty/material", "uncertainty of what is calculated from material", share, false},
		{"uncertainty/estimate", "uncertainty of an estimate", share, false},
	} {
		value, most := *has[of.path], *usual[of.path]*farFromUsual
		least := most / farFromUsual / farFromUsual
		if most == 0 || of.more && value <= most || !of.more && value >= least {
			continue
		}
		said := of.said(*usual[of.path])
		f := about("practice-odd", "module", "") // under Layout
		f.Severity, f.Source = fitout.Note, "practice"
		f.Subject.Measure = "practice/" + of.path
		f.Title = fmt.Sprintf("The workshop's %s is %s", of.what, of.said(value))
		f.Sentence = fmt.Sprintf("The trade's is usually %s. Less is found by it: is that meant, or is a point in the wrong "+
			"place? It stands under Layout, with the workshop's rules.", said)
		outside(&f, value, least, most, "")
		f.Fixes = []fitout.Fix{{
			Label: fmt.Sprintf("Take the trade's %s", said), Edit: fitout.FixEdit{Kind: "practice-usual", ID: of.path},
		}}
		found = append(found, f)
	}
	return found
}
