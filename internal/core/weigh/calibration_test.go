package weigh

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

func spread(p *plan.Plan, count load.Count) float64 {
	u := &p.Job.Practice.Uncertainty
	return load.Sigma(count, p.Load.Errors(load.BaselineOf(&p.Given.Vehicle, &p.Load.Weighing, u), u, nil))
}

// calibrated is the worked job with a weighing that it goes by.
func calibrated(front, rear float64) (before, after fitout.Job, w fitout.WeighIn) {
	before = workedJob()
	before.Vehicle.Tanks[0].Now = 0 // what a vessel holds is poured anew each time
	w = Begin(plan.Of(&before), "w", "Axle scale")
	w.Reading, w.Front, w.Rear, w.Resolution, w.Class, w.Level = fitout.ReadAxles, front, rear, 20, 5.8, true
	w.Calibrates = true
	after = workedJob()
	after.Vehicle.Tanks[0].Now = 0
	after.Variants[0].WeighIns = []fitout.WeighIn{w}
	return before, after, w
}

// The plan that goes by a weighing has the axles that the look at it promises, as sure as it promises; taken off, it has
// its own again.
func TestThePlanGoesByAWeighing(t *testing.T) {
	before, after, w := calibrated(1290, 1541)
	l := LookAt(plan.Of(&before), &w)
	p := plan.Of(&after)
	axles := p.Load.Axles()
	assert.InDelta(t, axleAfter(&l, "front").After, axles.Front, 1e-6)
	assert.InDelta(t, axleAfter(&l, "rear").After, axles.Rear, 1e-6)
	assert.InDelta(t, axleAfter(&l, "rear").Then, spread(p, p.Load.RearForm().Count()), 1e-6)
	assert.InDelta(t, axleAfter(&l, "gross").Then, spread(p, p.Load.GrossForm().Count()), 1e-6)
	assert.Equal(t, l.Axles, LookAt(p, &w).Axles, "the look is at the plan's own figures, whatever calibrates it")
	assert.Equal(t, plan.Of(&before).Load.Axles(), p.Load.Plain().Axles())
	after.Variants[0].WeighIns[0].Calibrates = false
	assert.Equal(t, plan.Of(&before).Load.Axles(), plan.Of(&after).Load.Axles())
}

// What is added afterwards starts from what was weighed, and what is weighed by itself since is believed anew.
func TestLaterChangesStartFromWhatWasWeighed(t *testing.T) {
	_, after, _ := calibrated(1290, 1541)
	was := plan.Of(&after).Load.Axles()
	box := fitout.Item{ID: "box", Name: "Box", Mass: 50, Source: fitout.ByScale, At: fitout.Point{X: 3150, Z: 900},
		Form: fitout.FormBox, Presence: fitout.Presence{Kind: fitout.Always}}
	after.Variants[0].Items = append(after.Variants[0].Items, box)
	now := plan.Of(&after).Load.Axles()
	assert.InDelta(t, was.Rear+50, now.Rear, 1e-9)
	assert.InDelta(t, was.Front, now.Front, 1e-9)

	_, after, _ = calibrated(1290, 1541)
	contents := &after.Variants[0].Items[3]
	contents.Mass, contents.Source = 80, fitout.ByScale
	p := plan.Of(&after)
	assert.Zero(t, p.Load.Calibration().Of["drawer-contents"].Kg, "a scale has said what it weighs")
	assert.NotZero(t, p.Load.Calibration().Of["canopy"].Kg)
}
