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
	has, usual := &p.Job.Practice, fitout.NewPractice(p.Job.Region)
	var found []fitout.Finding
	tell := func(path, what string, value, usual float64, said func(float64) string, more bool) {
		if usual == 0 || more && value <= usual*farFromUsual || !more && value >= usual/farFromUsual {
			return
		}
		f := about("practice-odd", "module", "") // under Layout
		f.Severity, f.Source = fitout.Note, "practice"
		f.Subject.Measure = "practice/" + path
		f.Title = fmt.Sprintf("The workshop's %s is %s", what, said(value))
		f.Sentence = fmt.Sprintf("The trade's is usually %s. Less is found by it: is that meant, or is a point in the wrong "+
			"place? It stands under Layout, with the workshop's rules.", said(usual))
		outside(&f, value, usual/farFromUsual, usual*farFromUsual, "")
		found = append(found, f)
	}
	share := func(v float64) string { return p.Say.Percent(v) }
	g := func(v float64) string { return p.Say.Plain(v) + " g" }
	angle := func(v float64) string { return p.Say.Plain(v) + "°" }
	wind := func(v float64) string { return p.Say.Plain(v) + " N/m²" }
	for _, of := range []struct {
		path, what   string
		value, usual float64
		said         func(float64) string
		more         bool // what finds less is more, or less
	}{
		{"runnerFactor", "share of a runner's rating", has.RunnerFactor, usual.RunnerFactor, share, true},
		{"clearance", "room beside what moves", has.Clearance, usual.Clearance, p.Say.Length, false},
		{"headroom", "room above a mattress", has.Headroom, usual.Headroom, p.Say.Length, false},
		{"step", "step to stand on", has.Step, usual.Step, p.Say.Length, true},
		{"oneLifts", "mass that one lifts out", has.OneLifts, usual.OneLifts, p.Say.Mass, true},
		{"standing", "person who stands on something", has.Standing, usual.Standing, p.Say.Mass, false},
		{"highFrom", "height from which only light things belong", has.HighFrom, usual.HighFrom, p.Say.Length, true},
		{"heavyFrom", "mass that counts as heavy", has.HeavyFrom, usual.HeavyFrom, p.Say.Mass, true},
		{"wind", "wind under a lid", has.Wind, usual.Wind, wind, false},
		{"frontShare", "least share on the front axle", has.FrontShare, usual.FrontShare, share, false},
		{"sideShare", "share that a side may be heavier", has.SideShare, usual.SideShare, share, true},
		{"tipLoss", "side tip angle that the load may take", has.TipLoss, usual.TipLoss, angle, true},
		{"ballLeast", "least share on the ball", has.BallLeast, usual.BallLeast, share, false},
		{"ballMost", "most share on the ball", has.BallMost, usual.BallMost, share, true},
		{"restraint/forward", "restraint forward", has.Restraint.Forward, usual.Restraint.Forward, g, false},
		{"restraint/rearward", "restraint rearward", has.Restraint.Rearward, usual.Restraint.Rearward, g, false},
		{"restraint/sideways", "restraint sideways", has.Restraint.Sideways, usual.Restraint.Sideways, g, false},
		{"restraint/upward", "restraint upward", has.Restraint.Upward, usual.Restraint.Upward, g, false},
		{"uncertainty/weighed", "uncertainty of what is weighed", has.Uncertainty.Weighed, usual.Uncertainty.Weighed, share, false},
		{"uncertainty/dataSheet", "uncertainty of a data sheet", has.Uncertainty.DataSheet, usual.Uncertainty.DataSheet, share, false},
		{"uncertainty/material", "uncertainty of what is calculated from material", has.Uncertainty.Material, usual.Uncertainty.Material, share, false},
		{"uncertainty/estimate", "uncertainty of an estimate", has.Uncertainty.Estimate, usual.Uncertainty.Estimate, share, false},
	} {
		tell(of.path, of.what, of.value, of.usual, of.said, of.more)
	}
	return found
}
