package load

import (
	"math"
	"testing"

	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// With every state tried, none is likelier to be over than the one that is found by
// more than the tenth of a percent to which probabilities are told. The search goes
// one setting at a time, so that it may miss the very best by less than that.
func TestTheLikeliestStateIsTheLikeliestOfAll(t *testing.T) {
	u := fitout.NewPractice(fitout.AustraliaNZ).Uncertainty
	b := Baseline{Front: 12, Rear: 12}
	rapid.Check(t, func(t *rapid.T) {
		j := anyJob(t)
		for i := range j.Variants[0].Items {
			j.Variants[0].Items[i].Source = rapid.SampledFrom([]fitout.MassSource{fitout.ByScale, fitout.DataSheet,
				fitout.Estimate}).Draw(t, "source")
		}
		p := NewPlan(&j)
		limit := p.Worst(p.RearForm().Count()).Value + rapid.Float64Range(-60, 60).Draw(t, "beyond")
		_, found := p.Likeliest(p.RearForm().Count(), limit, b, &u)
		best := 0.0
		everyState(j, func(j *fitout.Job) {
			q := NewPlan(j)
			shown := q.Shown()
			sigma := Sigma(q.RearForm().Count(), q.Errors(b, &u, &shown))
			best = max(best, Over(q.Value(q.RearForm().Count(), &shown), limit, sigma))
		})
		if best > found+1e-3 {
			t.Fatalf("found %.6f, a state has %.6f", found, best)
		}
	})
}

// Summed up state by state, what is uncertain is the same as the sum over its errors: with parts of one material that err
// together, and with a weighing of the whole that knows something of each.
func TestWhatIsUncertainInManyStatesIsThatOfEach(t *testing.T) {
	u := fitout.NewPractice(fitout.AustraliaNZ).Uncertainty
	b := Baseline{Front: 12, Rear: 15, With: -4, Side: 5}
	rapid.Check(t, func(t *rapid.T) {
		j := anyJob(t)
		v := &j.Variants[0]
		weighed := fitout.WeighIn{
			ID: "w", Name: "Pads", Reading: fitout.ReadAxles, Front: 1300, Rear: 1500, Resolution: 20, Level: true,
			Calibrates: rapid.Bool().Draw(t, "calibrates"),
		}
		for i := range v.Items {
			item := &v.Items[i]
			item.Source = rapid.SampledFrom([]fitout.MassSource{fitout.ByScale, fitout.DataSheet, fitout.Estimate,
				fitout.ByMaterial}).Draw(t, "source")
			var wall fitout.Material
			if item.Source == fitout.ByMaterial {
				wall = rapid.SampledFrom([]fitout.Material{fitout.Plywood, fitout.Aluminium}).Draw(t, "wall")
				item.Module = &fitout.Module{Kind: fitout.Locker, Wall: wall}
			}
			weighed.Aboard = append(weighed.Aboard, fitout.Aboard{Of: item.ID, Name: item.Name, Kg: item.Mass,
				Source: item.Source, Wall: wall, At: item.At})
		}
		v.WeighIns = []fitout.WeighIn{weighed}
		p := NewPlan(&j)
		count := p.RearForm().Count()
		sigma := p.sigmaOf(count, b, &u)
		shown := p.Shown()
		for _, state := range append(p.neighbours(&shown), shown, p.Worst(count)) {
			want := Sigma(count, p.Errors(b, &u, &state))
			if got := sigma(&state); math.Abs(got-want) > 1e-9*max(1, want) {
				t.Fatalf("%v kg, summed over its errors %v kg", got, want)
			}
		}
	})
}
