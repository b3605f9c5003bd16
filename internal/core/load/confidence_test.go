package load

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// example is the worked vehicle with the uncertainties of its table: 3 %, 8 %,
// 15 % and 1 % by item, masses independent, stations exact.
func example() (*Plan, []Err) {
	j := workedLoaded()
	p := NewPlan(&j)
	shares := []float64{.03, .03, .08, .15, .03, .15, .01, .01, .01, .03, .03, .15}
	errors := p.baselineErrors(Baseline{Front: 10, Rear: 10})
	for i, share := range shares {
		thing := &p.Items[i]
		errors = append(errors,
			Err{Parts: []ErrPart{{Carrier: p.Carrier(i), Delta: Moments{}.Add(thing.Mass).Times(share),
				Weighed: Moments{}.Add(thing.Mass).Times(0.01), Mass: true}}})
	}
	return p, errors
}

func TestConfidenceOfTheWorkedExample(t *testing.T) {
	p, errors := example()
	assert.InDelta(t, 18.5, Sigma(p.RearForm().Count(), errors), tenth)
	assert.InDelta(t, 10.4, Sigma(p.FrontForm().Count(), errors), tenth)
	assert.InDelta(t, 21.3, Sigma(p.GrossForm().Count(), errors), tenth)
	over := Over(p.Axles().Rear, 1600, Sigma(p.RearForm().Count(), errors))
	assert.InDelta(t, 0.045, over, 0.0005)
	next := Next(p.RearForm().Count(), errors)
	require.NotEmpty(t, next)
	assert.Equal(t, "drawer-contents", p.Items[next[0].Item].ID, "weigh the drawer contents next")
	assert.Less(t, next[0].After, 18.5)
}

// The same errors drawn a hundred thousand times are over as often as computed.
func TestProbabilityAgreesWithDrawing(t *testing.T) {
	p, errors := example()
	f := p.RearForm()
	load, limit := p.Axles().Rear, 1600.0
	rng := rand.New(rand.NewPCG(5, 9))
	const draws = 100000
	over := 0
	for range draws {
		sum := load
		for i := range errors {
			sum += errors[i].Of(f.Count()) * rng.NormFloat64()
		}
		if sum > limit {
			over++
		}
	}
	want := Over(load, limit, Sigma(f.Count(), errors))
	assert.InDelta(t, want, float64(over)/draws, 4*math.Sqrt(want*(1-want)/draws))
}

func TestErrorsBySource(t *testing.T) {
	u := fitout.NewPractice(fitout.AustraliaNZ).Uncertainty
	j := workedLoaded()
	j.Variants[0].Items = j.Variants[0].Items[:4]
	for i := range 3 {
		j.Variants[0].Items[i].Source = fitout.ByMaterial
		j.Variants[0].Items[i].Module = &fitout.Module{Wall: fitout.Plywood}
	}
	u.Station = 0
	p := NewPlan(&j)
	f := p.GrossForm()
	together := Sigma(f.Count(), p.Errors(Baseline{}, &u, nil))
	j.Variants[0].Items[1].Module.Wall = fitout.Aluminium
	apart := Sigma(f.Count(), NewPlan(&j).Errors(Baseline{}, &u, nil))
	assert.Greater(t, together, apart, "panels of one material err together")

	j.Variants[0].Items[3].Source = fitout.Estimate
	errors := NewPlan(&j).Errors(Baseline{}, &u, nil)
	next := Next(f.Count(), errors)
	require.NotEmpty(t, next)
	j.Variants[0].Items[next[0].Item].Source = fitout.ByScale
	after := Sigma(f.Count(), NewPlan(&j).Errors(Baseline{}, &u, nil))
	assert.InDelta(t, next[0].After, after, 1e-6, "what weighing buys is what it buys when it is done")

	assert.Equal(t, 1.0, Over(10, 5, 0))
	assert.Zero(t, Over(5, 10, 0))
	assumed := fitout.Vehicle{
		Baseline: fitout.Baseline{Definition: fitout.Kerb, Split: fitout.SplitAssumed, Total: 2000,
			FrontShare: 0.55},
	}
	b := BaselineOf(&assumed, nil, &u)
	assert.InDelta(t, 60, b.Total, 1e-9)
	assert.InDelta(t, 60, b.Split, 1e-9, "a split that nobody weighed is believed little")
}

// The greatest load is not always the likeliest to be over: an estimate that
// takes a little off the axle may be what is least known.
func TestTheLikeliestStateIsLookedForApart(t *testing.T) {
	j := worked()
	j.Variants[0].Switches = []fitout.Switch{{ID: "nose", Name: "Nose load"},
		{ID: "box", Name: "Box", Requires: &fitout.Require{Switch: "nose"}}}
	nose := item("nose", 400, -20, 0, 500)
	nose.Source, nose.Presence = fitout.Estimate, fitout.Presence{Kind: fitout.BySwitch, Switch: "nose"}
	tail := item("tail", 60, 3000, 0, 500)
	tail.Source = fitout.ByScale
	j.Variants[0].Items = []fitout.Item{nose, tail}
	p := NewPlan(&j)
	u := fitout.NewPractice(fitout.AustraliaNZ).Uncertainty
	u.Station = 300
	f := p.RearForm()
	worst := p.Worst(f.Count())
	assert.False(t, worst.Switches["nose"], "it lightens the rear")
	state, over := p.Likeliest(f.Count(), worst.Value+60, Baseline{Front: 1, Rear: 1}, &u)
	assert.True(t, state.Switches["nose"], "but nobody knows where it will lie")
	assert.False(t, state.Switches["box"] && !state.Switches["nose"])
	assert.Greater(t, over, Over(worst.Value, worst.Value+60,
		Sigma(f.Count(), p.Errors(Baseline{Front: 1, Rear: 1}, &u, &worst))))
	assert.InDelta(t, worst.Value, p.Value(f.Count(), &worst), 1e-6, "a state is worth what it was found for")
}
