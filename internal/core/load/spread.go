package load

import (
	"math"

	"zaino/internal/core/fitout"
)

// Spread gives the standard uncertainties of forms in many states of one plan: what
// Sigma gives for its Errors, with what is the same in every state worked out once.
type Spread struct {
	plan  *Plan
	forms []Form
	u     *fitout.Uncertainty
	base  []float64 // σ² of the vehicle, by form
	items []part    // of each item at its place, with what is in it now
}

// part is what the errors of one item are to each form.
type part struct {
	squares  []float64 // σ² of those that err by themselves
	together []float64 // of what errs with all else of its material
	wall     fitout.Material
}

// NewSpread makes ready for the states of a plan.
func NewSpread(p *Plan, forms []Form, b Baseline, u *fitout.Uncertainty) *Spread {
	s := &Spread{plan: p, forms: forms, u: u, base: make([]float64, len(forms)), items: make([]part, len(p.Items))}
	for _, e := range p.baselineErrors(b) {
		for i, f := range forms {
			of := e.Of(f)
			s.base[i] += of * of
		}
	}
	for i := range p.Items {
		s.items[i] = s.of(i, &p.Items[i])
	}
	return s
}

// of works out what the errors of an item as it is in a state are to each form.
func (s *Spread) of(i int, thing *Placed) part {
	t := part{squares: make([]float64, len(s.forms))}
	s.plan.errorsOf(i, thing, s.u, func(e *source) {
		if e.wall != "" {
			t.wall, t.together = e.wall, make([]float64, len(s.forms))
		}
		for k := range s.forms {
			of := s.forms[k].Of(e.one) * e.sigma
			if e.wall != "" {
				t.together[k] = of
			} else {
				t.squares[k] += of * of
			}
		}
	})
	return t
}

// In returns the standard uncertainty of each form in a state, kg.
func (s *Spread) In(state *State) []float64 {
	sums := append([]float64{}, s.base...)
	for i := range s.plan.Tanks {
		m := s.plan.Tanks[i].Mass
		sigma := s.u.Weighed * state.TankFills[s.plan.vehicle.Tanks[i].ID] * s.plan.vehicle.Tanks[i].Density
		m.Kg = 1
		for k := range s.forms {
			of := s.forms[k].Of(Moments{}.Add(m)) * sigma
			sums[k] += of * of
		}
	}
	together := map[fitout.Material][]float64{}
	for i := range s.plan.Items {
		thing, aboard := s.plan.In(i, state)
		if !aboard || thing.Trailer && !state.Coupled {
			continue
		}
		t := &s.items[i]
		if thing.Mass != s.plan.Items[i].Mass || thing.Towed != s.plan.Items[i].Towed { // elsewhere, or with another content
			fresh := s.of(i, &thing)
			t = &fresh
		}
		for k := range sums {
			sums[k] += t.squares[k]
		}
		if t.wall == "" {
			continue
		}
		if together[t.wall] == nil {
			together[t.wall] = make([]float64, len(s.forms))
		}
		for k := range sums {
			together[t.wall][k] += t.together[k]
		}
	}
	for _, of := range together {
		for k := range of {
			sums[k] += of[k] * of[k]
		}
	}
	for k := range sums {
		sums[k] = math.Sqrt(sums[k])
	}
	return sums
}
