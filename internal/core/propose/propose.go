// Package propose chooses one place for each of several parts, so that no two
// stand in each other's way and the whole is as good as it can be. It knows
// neither parts nor places, only what each choice is worth and which two
// exclude each other.
//
// The search is a branch and bound over one choice a part: it takes the part
// with the fewest choices left, tries its choices from the best down, and leaves
// a branch whose best case is no better than what was found. Run to its end it
// is exact; stopped before, it says how far the best may still be away.
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
	p     *Problem
	order [][]int      // of each part its options, the best first
	ok    [][][]bitset // ok[i][a][k]: options of part k that go with option a of part i
	nodes int

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

// state is a search under way.
type state struct {
	*Search
	ctx     context.Context
	most    int // nodes to look at; 0 for all
	apart   int // placements in which a solution differs from each of the earlier ones
	earlier [][]int

	choice  []int
	domains [][]bitset // of each depth and part
	best    Result
	found   bool
	stopped bool
	root    float64
}

// everyNodes is how often a search looks whether it was called off.
const everyNodes = 512

// Best returns the best solution that differs from each of the earlier ones in
// at least so many places. It looks at no more than most nodes (0 for as many as
// it takes) and stops when the context ends; Exact says whether it came to the
// end. found is false when there is none, or none was found in time.
func (s *Search) Best(ctx context.Context, most int, earlier [][]int, apart int) (best Result, found bool) {
	n := len(s.p.Options)
	st := &state{Search: s, ctx: ctx, most: most, apart: apart, earlier: earlier, choice: make([]int, n)}
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
	for _, seed := range s.Seeds {
		copy(st.choice, seed)
		if score := s.p.Score(seed); !st.tooAlike() && s.goes(seed) && (!st.found || score > st.best.Score) {
			st.best, st.found = Result{Choice: slices.Clone(seed), Score: score}, true
		}
	}
	for k := range n {
		st.choice[k] = -1
	}
	s.nodes = 0
	st.root = st.bound(0, 0, s.p.Base)
	st.walk(0, 0, s.p.Base)
	if st.found {
		st.improve()
		st.best.Bound, st.best.Exact = st.root, !st.stopped
		if st.best.Exact {
			st.best.Bound = st.best.Score
		}
	}
	return st.best, st.found
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

func (st *state) walk(depth int, value, side float64) {
	if st.stopped {
		return
	}
	st.nodes++
	if st.most > 0 && st.nodes > st.most || st.nodes%everyNodes == 0 && st.ctx.Err() != nil {
		st.stopped = true
		return
	}
	n := len(st.choice)
	if depth == n {
		score := value - st.p.SideWeight*math.Abs(side)
		if !st.found || score > st.best.Score {
			st.best, st.found = Result{Choice: slices.Clone(st.choice), Score: score}, true
		}
		return
	}
	if st.found && st.bound(depth, value, side) <= st.best.Score+1e-9 {
		return
	}
	part := st.fewest(depth)
	for _, a := range st.order[part] {
		if !st.domains[depth][part].has(a) {
			continue
		}
		st.choice[part] = a
		gain := st.p.Options[part][a].Value
		if st.p.Pair != nil {
			for k, b := range st.choice {
				if k != part && b >= 0 {
					gain += st.pair(k, b, part, a)
				}
			}
		}
		if !st.tooAlike() && st.narrow(depth, part, a) {
			st.walk(depth+1, value+gain, side+st.p.Options[part][a].Side)
		}
		st.choice[part] = -1
	}
}

// pair asks for the cost of two choices in the order of the parts.
func (st *state) pair(i, a, k, b int) float64 {
	if i > k {
		i, a, k, b = k, b, i, a
	}
	return st.p.Pair(i, a, k, b)
}

// tooAlike tells whether what is chosen already agrees with an earlier solution
// in more places than it may.
func (st *state) tooAlike() bool {
	for _, e := range st.earlier {
		same := 0
		for k, a := range st.choice {
			if a >= 0 && (a == e[k] || st.p.Alike != nil && st.p.Alike(k, a, e[k])) {
				same++
			}
		}
		if same > len(st.choice)-st.apart {
			return true
		}
	}
	return false
}

// narrow keeps for the next depth what goes with a choice; false when a part has
// nothing left.
func (st *state) narrow(depth, part, a int) bool {
	for k := range st.choice {
		if k == part {
			st.domains[depth+1][k].zero()
			st.domains[depth+1][k].set(a)
			continue
		}
		if !st.domains[depth+1][k].and(st.domains[depth][k], st.ok[part][a][k]) {
			return false
		}
	}
	return true
}

// fewest is the part that is not chosen yet and has the fewest options left.
func (st *state) fewest(depth int) int {
	best, least := -1, 0
	for k, a := range st.choice {
		if a >= 0 {
			continue
		}
		if c := st.domains[depth][k].count(); best < 0 || c < least {
			best, least = k, c
		}
	}
	return best
}

// bound is the best that can still come of a branch: each part at its best, no
// cost of pairs, and the sides as even as the parts that are left can make them.
func (st *state) bound(depth int, value, side float64) float64 {
	most := 0.0
	for k, a := range st.choice {
		if a >= 0 {
			continue
		}
		best, first := 0.0, true
		for _, b := range st.order[k] {
			if !st.domains[depth][k].has(b) {
				continue
			}
			o := &st.p.Options[k][b]
			if first {
				best, first = o.Value, false
			}
			if st.p.SideWeight == 0 {
				break
			}
			most = max(most, math.Abs(o.Side)) // of any one, times how many are left, below
		}
		value += best
	}
	left := 0
	for _, a := range st.choice {
		if a < 0 {
			left++
		}
	}
	return value - st.p.SideWeight*max(0, math.Abs(side)-most*float64(left))
}

// improve moves single parts and pairs of parts of a solution that the search had
// no time to prove, as long as that makes it better.
func (st *state) improve() {
	if !st.stopped {
		return
	}
	choice := st.best.Choice
	for again := true; again && st.ctx.Err() == nil; {
		again = false
		for i := range choice {
			for a := range st.p.Options[i] {
				if st.try(choice, i, a, -1, -1) {
					again = true
				}
				for k := i + 1; k < len(choice) && !again; k++ {
					for b := range st.p.Options[k] {
						if st.ok[i][a][k].has(b) && st.try(choice, i, a, k, b) {
							again = true
						}
					}
				}
			}
		}
	}
}

// try makes a change if it goes with the rest and is better.
func (st *state) try(choice []int, i, a, k, b int) bool {
	oldA := choice[i]
	oldB := -1
	if k >= 0 {
		oldB = choice[k]
	}
	goes := func(part, option int) bool {
		for m, c := range choice {
			if m != part && !st.ok[part][option][m].has(c) {
				return false
			}
		}
		return true
	}
	choice[i] = a
	if k >= 0 {
		choice[k] = b
	}
	if goes(i, a) && (k < 0 || goes(k, b)) {
		copy(st.choice, choice)
		alike := st.tooAlike()
		if score := st.p.Score(choice); !alike && score > st.best.Score+1e-9 {
			st.best.Score = score
			return true
		}
	}
	choice[i] = oldA
	if k >= 0 {
		choice[k] = oldB
	}
	return false
}
