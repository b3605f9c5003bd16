// Package propose chooses one place for each of several parts, so that no two
// stand in each other's way and the whole is as good as it can be. It knows
// neither parts nor places, only what each choice is worth and which two
// exclude each other.
//
// The search is a branch and bound over one choice a part: it takes the part
// with the fewest choices left, tries its choices from the best down, and leaves
// a branch, or a choice, whose best case is no better than what was found. The best
// case is told first in the reduced form of the problem, in which what two choices cost
// together is moved onto the choices, and then, where it is not too large, in the
// relaxed form, in which shares of choices stand for choices. Run to its end it is
// exact; stopped before, it says how far the best may still be away, and what it found
// is never worse for having had more time.
package propose

import (
	"cmp"
	"context"
	"math"
	"slices"
)

// Option is one place that a part can take.
type Option struct {
	Value float64 // what it is worth by itself
	Side  float64 // its moment about the centre line, kg·mm, right positive
}

// Problem is what to choose from.
type Problem struct {
	Options    [][]Option                          // of each part, at least one each where there is a solution
	Excludes   func(part, a, other, b int) bool    // two choices that cannot both be
	Pair       func(part, a, other, b int) float64 // what two choices cost together, 0 or less; nil for nothing
	Base       float64                             // moment of everything that stays, kg·mm
	Alike      func(part, a, b int) bool           // two places that count as the same; nil: only the very same
	SideWeight float64                             // cost of each kg·mm that the sides differ by
	Needs      []Need
	Holds      func(choice []int) bool // what no two choices say; asked of what would be the best so far. nil: all do
}

// Need is an option that can only be where others give it enough: what stands on something.
type Need struct {
	Part, Option int
	Least        float64                    // above 0
	Gives        func(other, b int) float64 // what an option of another part gives it, 0 or more
}

// met tells whether a choice gives what is needed, or does without the option.
func (n *Need) met(choice []int) bool {
	if choice[n.Part] != n.Option {
		return true
	}
	given := 0.0
	for k, b := range choice {
		if k != n.Part {
			given += n.Gives(k, b)
		}
	}
	return given >= n.Least
}

// Result is one solution.
type Result struct {
	Choice []int // of each part, the index of its option
	Score  float64
	Bound  float64 // no solution is better than this
	Exact  bool    // none is better than it
}

// Score is what a whole choice is worth.
func (p *Problem) Score(choice []int) float64 {
	score, side := 0.0, p.Base
	for i, a := range choice {
		score += p.Options[i][a].Value
		side += p.Options[i][a].Side
		if p.Pair == nil {
			continue
		}
		for k := range i {
			score += p.Pair(k, choice[k], i, a)
		}
	}
	return score - p.SideWeight*math.Abs(side)
}

// Search is a problem made ready.
type Search struct {
	p       *Problem
	order   [][]int      // of each part its options, the best first
	ok      [][][]bitset // ok[i][a][k]: options of part k that go with option a of part i
	reduced *reduced     // nil for a problem that is too large for it
	made    bool         // the reduced form was looked for, and the geometry

	geometry *geometry // nil for a problem that is too large for it
	nodes    int

	Seeds [][]int // solutions that are known already; the search starts from the best of them
}

// NewSearch works out which choices go together.
func NewSearch(p *Problem) *Search {
	n := len(p.Options)
	s := &Search{p: p, order: make([][]int, n), ok: make([][][]bitset, n)}
	for i := range n {
		s.order[i] = make([]int, len(p.Options[i]))
		s.ok[i] = make([][]bitset, len(p.Options[i]))
		for a := range p.Options[i] {
			s.order[i][a] = a
			s.ok[i][a] = make([]bitset, n)
			for k := range n {
				s.ok[i][a][k] = newBitset(len(p.Options[k]))
			}
		}
		slices.SortStableFunc(s.order[i], func(a, b int) int {
			return cmp.Compare(p.Options[i][b].Value, p.Options[i][a].Value)
		})
	}
	for i := range n {
		for k := range i {
			for a := range p.Options[i] {
				for b := range p.Options[k] {
					if p.Excludes == nil || !p.Excludes(k, b, i, a) {
						s.ok[i][a][k].set(b)
						s.ok[k][b][i].set(a)
					}
				}
			}
		}
	}
	return s
}

// Best returns the best solution that differs from each of the earlier ones in
// at least so many places. It looks at about so many nodes at most (0 for as many as
// it takes) and stops when the context ends; Exact says whether it came to the
// end. found is false when there is none, or none was found in time.
func (s *Search) Best(ctx context.Context, most int, earlier [][]int, apart int) (best Result, found bool) {
	n := len(s.p.Options)
	if !s.made {
		s.reduced, s.made = s.reduce(), true
		if s.reduced != nil {
			s.geometry = s.survey()
		}
	}
	st := s.begin(ctx, earlier, apart)
	for _, seed := range s.Seeds {
		copy(st.choice, seed)
		if score := s.p.Score(seed); !st.tooAlike() && s.goes(seed) && (!st.found || score > st.best.Score) &&
			st.holds(seed) {
			st.best, st.found = Result{Choice: slices.Clone(seed), Score: score}, true
		}
	}
	if st.found {
		st.improve()
	}
	constant := 0.0
	if s.reduced != nil {
		constant = s.reduced.constant
	}
	for k := range n {
		st.choice[k] = -1
	}
	s.nodes = 0
	st.root = st.bound(0, 0, s.p.Base)
	if s.reduced != nil {
		st.root = min(st.root, s.reduced.bound())
	}
	if st.most = diveNodes; most > 0 {
		st.most = min(most, diveNodes)
	}
	if !st.found {
		st.walk(0, 0, s.p.Base, constant) // something to begin with, or all there is
	}
	switch {
	case !st.stopped && s.nodes > 0: // that was all there is
	case ctx.Err() != nil:
		st.stopped = true
	default:
		if st.found {
			st.polish(constant, most/2)
		}
		st.start(nil)
		if st.stopped, st.most = false, 0; most > 0 {
			st.most = max(most, s.nodes+most/4)
		}
		if st.found && s.geometry != nil {
			st.stands = make([]standing, n+1)
		}
		st.walk(0, 0, s.p.Base, constant)
	}
	if st.found {
		st.best.Bound, st.best.Exact = st.root, !st.stopped
		if st.best.Exact {
			st.best.Bound = st.best.Score
		}
	}
	return st.best, st.found
}

// begin is a search before its first choice.
func (s *Search) begin(ctx context.Context, earlier [][]int, apart int) *state {
	n := len(s.p.Options)
	st := &state{Search: s, ctx: ctx, apart: apart, earlier: earlier, choice: make([]int, n)}
	st.domains = make([][]bitset, n+1)
	for d := range st.domains {
		st.domains[d] = make([]bitset, n)
		for k := range n {
			st.domains[d][k] = newBitset(len(s.p.Options[k]))
		}
	}
	for k := range n {
		st.choice[k] = -1
		st.domains[0][k].fill(len(s.p.Options[k]))
	}
	if r := s.reduced; r != nil {
		st.gains, st.turns = make([][][]float64, n+1), make([][]int, n+1)
		for d := range st.gains {
			st.gains[d] = make([][]float64, n)
			for k := range n {
				st.gains[d][k] = slices.Clone(r.alone[k])
			}
		}
	}
	return st
}

// goes tells whether no two choices exclude each other.
func (s *Search) goes(choice []int) bool {
	for i, a := range choice {
		for k := range i {
			if !s.ok[i][a][k].has(choice[k]) {
				return false
			}
		}
	}
	return true
}

// Nodes is how many nodes the last search looked at.
func (s *Search) Nodes() int { return s.nodes }
