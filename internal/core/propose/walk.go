package propose

import (
	"cmp"
	"context"
	"math"
	"slices"
)

// state is a search under way.
type state struct {
	*Search
	ctx     context.Context
	most    int // nodes to look at; 0 for all
	apart   int // placements in which a solution differs from each of the earlier ones
	earlier [][]int

	choice  []int
	domains [][]bitset    // of each depth and part
	gains   [][][]float64 // of each depth, part and option: in the reduced form, with what is chosen above
	turns   [][]int       // of each depth: the options of the part that is chosen there, the best first
	best    Result
	found   bool
	stopped bool
	root    float64
	stands  []standing // of each depth; nil while branches are bounded by the reduced form
}

// everyNodes is how often a search looks whether it was called off.
const everyNodes = 512

// walk looks at all that can come of what is chosen. value and side are what that is worth and its moment, told its worth
// in the reduced form.
func (st *state) walk(depth int, value, side, told float64) {
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
		if (!st.found || score > st.best.Score) && st.holds(st.choice) {
			st.best, st.found = Result{Choice: slices.Clone(st.choice), Score: score}, true
		}
		return
	}
	if st.found && st.bound(depth, value, side) <= st.best.Score+1e-9 {
		return
	}
	switch {
	case !st.found:
	case st.stands != nil:
		var ok bool
		if told, ok = st.bounded(depth); !ok {
			return
		}
	default:
		if _, ok := st.prune(depth, told); !ok {
			return
		}
	}
	part := st.fewest(depth)
	for _, a := range st.turn(depth, part) {
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
			next := told
			if st.reduced != nil && st.stands == nil {
				next += st.gains[depth][part][a]
				st.told(depth, part, a)
			}
			st.walk(depth+1, value+gain, side+st.p.Options[part][a].Side, next)
		}
		st.choice[part] = -1
	}
}

// holdNodes is how many nodes are looked at in the time of asking whether a choice holds.
const holdNodes = 1000

// holds tells whether a whole choice is one that may be.
func (st *state) holds(choice []int) bool {
	for n := range st.p.Needs {
		if !st.p.Needs[n].met(choice) {
			return false
		}
	}
	if st.p.Holds == nil {
		return true
	}
	if st.ctx.Err() != nil {
		st.stopped = true
		return false
	}
	st.nodes += holdNodes
	return st.p.Holds(choice)
}

// prune leaves the choices whose best case is no better than what was found; false when the whole branch is none. most is
// what no solution of the branch is better than.
func (st *state) prune(depth int, told float64) (most float64, ok bool) {
	if st.reduced == nil {
		return math.Inf(1), true
	}
	best := make([]float64, len(st.choice))
	for k, chosen := range st.choice {
		if chosen >= 0 {
			continue
		}
		best[k] = never
		for a, gain := range st.gains[depth][k] {
			if gain > best[k] && st.domains[depth][k].has(a) {
				best[k] = gain
			}
		}
		told += best[k]
	}
	if told <= st.best.Score+1e-9 {
		return told, false
	}
	for k, chosen := range st.choice {
		if chosen >= 0 {
			continue
		}
		for a, gain := range st.gains[depth][k] {
			if told-best[k]+gain <= st.best.Score+1e-9 {
				st.domains[depth][k].clear(a)
			}
		}
	}
	return told, true
}

// turn is the order in which the options of a part are tried.
func (st *state) turn(depth, part int) []int {
	if st.reduced == nil {
		return st.order[part]
	}
	gains := st.gains[depth][part]
	turn := append(st.turns[depth][:0], st.order[part]...)
	slices.SortStableFunc(turn, func(a, b int) int { return cmp.Compare(gains[b], gains[a]) })
	st.turns[depth] = turn
	return turn
}

// told puts what a choice costs together with each that is left into what those gain, for the next depth.
func (st *state) told(depth, part, a int) {
	for k, chosen := range st.choice {
		if chosen >= 0 {
			continue
		}
		from, to := st.gains[depth][k], st.gains[depth+1][k]
		if part < k {
			for b, left := range st.reduced.pairs[part][k][a] {
				to[b] = from[b] + left
			}
			continue
		}
		for b, row := range st.reduced.pairs[k][part] {
			to[b] = from[b] + row[a]
		}
	}
}

// pair asks for the cost of two choices in the order of the parts.
func (s *Search) pair(i, a, k, b int) float64 {
	if i > k {
		i, a, k, b = k, b, i, a
	}
	return s.p.Pair(i, a, k, b)
}

// tooAlike tells whether what is chosen already agrees with an earlier solution
// in more places than it may.
func (st *state) tooAlike() bool {
	for _, e := range st.earlier {
		same := 0
		for k, a := range st.choice {
			if a >= 0 && st.same(k, a, e) {
				same++
			}
		}
		if same > len(st.choice)-st.apart {
			return true
		}
	}
	return false
}

// same tells whether an option counts as the same place as in an earlier solution.
func (st *state) same(part, a int, earlier []int) bool {
	return a == earlier[part] || st.p.Alike != nil && st.p.Alike(part, a, earlier[part])
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

// start makes ready for a walk: all parts are to be chosen, or only the free ones beside the best solution.
func (st *state) start(free []int) {
	for k := range st.choice {
		st.choice[k] = -1
		st.domains[0][k].zero()
		if free == nil || slices.Contains(free, k) {
			st.domains[0][k].fill(len(st.p.Options[k]))
		} else {
			st.domains[0][k].set(st.best.Choice[k])
		}
		if st.reduced != nil {
			copy(st.gains[0][k], st.reduced.alone[k])
		}
	}
}
