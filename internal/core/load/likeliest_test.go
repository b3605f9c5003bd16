package load

import (
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
