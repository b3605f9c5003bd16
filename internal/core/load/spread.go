package load

import (
	"math"

	"zaino/internal/core/fitout"
)

// Spread gives the standard uncertainties of counts in many states of one plan: what
// Sigma gives for its Errors, with what is the same in every state worked out once.
type Spread struct {
	plan    *Plan
	counts  []Count
	u       *fitout.Uncertainty
	base    []float64 // σ² of the empty vehicle, by count
	baseOff []known   // and what weighings say of that
	trailer []float64 // σ² of the coupled trailer, by count
	items   []spread  // of each item at its place, with what is in it now
}

// spread is what the errors of one item are to each count.
type spread struct {
	squares  []float64 // σ² of those that err by themselves
	off      []known   // what weighings say of those, by count; nil where none calibrates
	together []float64 // of what errs with all else of its material
	wall     fitout.Material
}

// NewSpread makes ready for the states of a plan.
func NewSpread(p *Plan, counts []Count, b Baseline, u *fitout.Uncertainty) *Spread {
	s := &Spread{
		plan:    p,
		counts:  counts,
		u:       u,
		base:    make([]float64, len(counts)),
		items:   make([]spread, len(p.Items)),
		baseOff: make([]known, len(counts)),
	}
	for _, e := range append(p.baselineErrors(b), p.partErrors(b, u)...) {
		for i, count := range counts {
			of := e.Of(count)
			s.base[i] += of * of
			s.baseOff[i].add(e.known, of)
		}
	}
	for i := range p.Items {
		s.items[i] = s.of(i, &p.Items[i])
	}
	s.trailer = make([]float64, len(counts))
	if p.Trailer != nil {
		p.trailerErrors(u, func(e *source) { s.add(s.trailer, e) })
	}
	return s
}

// add adds the square of what a source of error is to each count.
func (s *Spread) add(squares []float64, e *source) {
	for k, count := range s.counts {
		of := count(e.carrier, e.one) * e.sigma
		squares[k] += of * of
	}
}

// addKnown adds what weighings say of a source of error to each count.
func (s *Spread) addKnown(off []known, e *source) {
	of := s.plan.known(e.key)
	if of == nil {
		return
	}
	for k, count := range s.counts {
		off[k].add(of, count(e.carrier, e.one)*e.sigma)
	}
}

// of works out what the errors of an item as it is in a state are to each count.
func (s *Spread) of(i int, thing *Placed) spread {
	t := spread{squares: make([]float64, len(s.counts))}
	if s.plan.calibration != nil {
		t.off = make([]known, len(s.counts))
	}
	s.plan.errorsOf(i, thing, s.u, func(e *source) {
		if e.wall == "" {
			s.add(t.squares, e)
			s.addKnown(t.off, e)
			return
		}
		t.wall, t.together = e.wall, make([]float64, len(s.counts))
		for k, count := range s.counts {
			t.together[k] = count(e.carrier, e.one) * e.sigma
		}
	})
	return t
}

// In returns the standard uncertainty of each count in a state, in its unit.
func (s *Spread) In(state *State) []float64 {
	sums := append([]float64{}, s.base...)
	for i := range s.plan.Tanks {
		m := s.plan.Tanks[i].Mass
		sigma := s.u.Weighed * state.TankFills[s.plan.vehicle.Tanks[i].ID] * s.plan.vehicle.Tanks[i].Density
		m.Kg = 1
		s.add(sums, &source{carrier: s.plan.tank(i), one: Moments{}.Add(m), sigma: sigma})
	}
	if state.Coupled {
		for k := range sums {
			sums[k] += s.trailer[k]
		}
	}
	off := make([]known, len(s.counts))
	for k := range off {
		off[k].add(s.baseOff[k], 1)
	}
	together := map[fitout.Material][]float64{}
	for i := range s.plan.Items {
		thing, aboard := s.plan.In(i, state)
		if !aboard || thing.Trailer && !state.Coupled {
			continue
		}
		t := &s.items[i]
		if thing.Mass != s.plan.Items[i].Mass ||
			thing.Towed != s.plan.Items[i].Towed { // elsewhere, or with another content
			fresh := s.of(i, &thing)
			t = &fresh
		}
		for k := range sums {
			sums[k] += t.squares[k]
		}
		for k := range t.off {
			off[k].add(t.off[k], 1)
		}
		if t.wall == "" {
			continue
		}
		if together[t.wall] == nil {
			together[t.wall] = make([]float64, len(s.counts))
		}
		for k := range sums {
			together[t.wall][k] += t.together[k]
		}
	}
	for wall, of := range together {
		known := s.plan.known(wallKey(wall))
		for k := range of {
			sums[k] += of[k] * of[k]
			off[k].add(known, of[k])
		}
	}
	for k := range sums {
		sums[k] = math.Sqrt(max(0, sums[k]-off[k].square()))
	}
	return sums
}
