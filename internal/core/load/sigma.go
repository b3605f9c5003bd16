package load

import (
	"math"
	"slices"

	"zaino/internal/core/fitout"
)

// doubt is what errors do to one count: the sum of the squares of those that err by themselves, the sum of those of each
// material, which err together, and what weighings know of them.
type doubt struct {
	squares float64
	walls   []wallError
	off     known
}

// wallError is what all parts of one material do together.
type wallError struct {
	wall  fitout.Material
	key   sourceKey
	delta float64
}

func (s *doubt) take(wall fitout.Material, key sourceKey, delta float64) {
	for i := range s.walls {
		if s.walls[i].wall == wall {
			s.walls[i].delta += delta
			return
		}
	}
	s.walls = append(s.walls, wallError{wall, key, delta})
}

// add takes in what one item does.
func (s *doubt) add(o *doubt) {
	s.squares += o.squares
	s.off.add(o.off, 1)
	for _, w := range o.walls {
		s.take(w.wall, w.key, w.delta)
	}
}

// sigmaOf is Sigma of the errors of many states of one plan. What an item does is worked out once for each way that it
// stands and is filled, because most of a plan is alike in most states.
func (p *Plan) sigmaOf(count Count, b Baseline, u *fitout.Uncertainty) func(*State) float64 {
	visiting := func(s *doubt) func(*source) {
		return func(e *source) {
			delta := count(e.carrier, e.one) * e.sigma
			if e.wall != "" {
				s.take(e.wall, e.key, delta)
				return
			}
			s.squares += delta * delta
			s.off.add(p.known(e.key), delta)
		}
	}
	var empty doubt
	for _, e := range append(p.baselineErrors(b), p.partErrors(b, u)...) {
		delta := e.Of(count)
		empty.squares += delta * delta
		empty.off.add(e.known, delta)
	}
	type stood struct {
		thing Placed
		does  doubt
	}
	before := make([][]stood, len(p.Items))
	of := func(i int, thing Placed) *doubt {
		for k := range before[i] {
			if before[i][k].thing == thing {
				return &before[i][k].does
			}
		}
		s := stood{thing: thing}
		p.errorsOf(i, &thing, u, visiting(&s.does))
		before[i] = append(before[i], s)
		return &before[i][len(before[i])-1].does
	}
	return func(state *State) float64 {
		all := doubt{squares: empty.squares, off: slices.Clone(empty.off)}
		p.restErrors(u, state, visiting(&all))
		for i := range p.Items {
			if thing, aboard := p.In(i, state); aboard && (!thing.Trailer || state.Coupled) {
				all.add(of(i, thing))
			}
		}
		for _, w := range all.walls {
			all.squares += w.delta * w.delta
			all.off.add(p.known(w.key), w.delta)
		}
		return math.Sqrt(max(0, all.squares-all.off.square()))
	}
}
