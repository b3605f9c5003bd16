package weigh_test

import (
	"math"
	"slices"
	"testing"

	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/weigh"
	"zaino/internal/example"
)

func spread(p *plan.Plan, count load.Count) float64 {
	u := &p.Job.Practice.Uncertainty
	return load.Sigma(count, p.Load.Errors(load.BaselineOf(&p.Given.Vehicle, &p.Load.Weighing, u), u, nil))
}

// Whatever job is drawn: two weighings in either order give the same, a second never widens a band, and the quick sums
// over many states agree with the whole ones.
func TestWeighingsOfDrawnJobs(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Any(t)
		j.Trailer = nil
		v := j.ChosenVariant()
		v.WeighIns = []fitout.WeighIn{}
		p := plan.Of(&j)
		gross := p.Load.Now().Kg
		if gross < 500 || p.Load.Axles().Front < 50 || p.Load.Axles().Rear < 50 {
			return
		}
		weighed := func(id string) fitout.WeighIn {
			w := weigh.Begin(p, id, id)
			w.Reading, w.Level, w.Calibrates = fitout.ReadAxles, rapid.Bool().Draw(t, "level"), true
			w.Front = p.Load.Axles().Front * rapid.Float64Range(0.97, 1.03).Draw(t, "front")
			w.Rear = p.Load.Axles().Rear * rapid.Float64Range(0.97, 1.03).Draw(t, "rear")
			return w
		}
		one, two := weighed("one"), weighed("two")
		with := func(all ...fitout.WeighIn) *plan.Plan {
			v.WeighIns = slices.Clone(all)
			copied := j
			copied.Variants = slices.Clone(j.Variants)
			for i := range copied.Variants {
				if copied.Variants[i].ID == v.ID {
					copied.Variants[i] = *v
				}
			}
			return plan.Of(&copied)
		}
		first, both, turned := with(one), with(one, two), with(two, one)
		plain := with()
		for name, form := range map[string]func(*load.Plan) load.Form{"front": (*load.Plan).FrontForm, "rear": (*load.Plan).RearForm,
			"gross": (*load.Plan).GrossForm} {
			count := form(both.Load).Count()
			// What readings leave is a small difference of large squares.
			near := 1e-3 * (1 + spread(plain, form(plain.Load).Count()))
			a, b := spread(both, count), spread(turned, form(turned.Load).Count())
			if math.Abs(a-b) > near {
				t.Fatalf("%s: %v and %v in another order", name, a, b)
			}
			if wider := spread(first, form(first.Load).Count()); a > wider+near {
				t.Fatalf("%s: a second weighing widened %v to %v", name, wider, a)
			}
			u := &both.Job.Practice.Uncertainty
			baseline := load.BaselineOf(&both.Given.Vehicle, &both.Load.Weighing, u)
			state := both.Load.Shown()
			quick := load.NewSpread(both.Load, []load.Count{count}, baseline, u).In(&state)[0]
			if math.Abs(quick-a) > near {
				t.Fatalf("%s: %v at once, %v in sum", name, quick, a)
			}
		}
		x, y := both.Load.Axles(), turned.Load.Axles()
		if math.Abs(x.Front-y.Front)+math.Abs(x.Rear-y.Rear) > 1e-3*gross {
			t.Fatalf("%v and %v in another order", x, y)
		}
	})
}
