package propose

import "math"

// never is what stands for two choices that exclude each other, and for a choice that goes with nothing.
const never = -1e15

// Of a problem the reduced form says the same in other figures: what two choices cost together is moved onto the
// choices by themselves, as far as it goes, so that each part at its best says more of how good the whole can be. The
// sides are told by a price for each kg·mm: -w |side| is never more than -w λ side for a λ from -1 to 1.
//
// The figures are moved pair by pair, half to each of the two parts, which never makes the sum of the bests larger
// (block-coordinate descent on the dual of the linear relaxation; Globerson and Jaakkola 2007).
type reduced struct {
	constant float64
	alone    [][]float64     // of each part and option
	pairs    [][][][]float64 // [i][k][a][b], i < k: what is left between two choices, 0 or less
}

// How often all pairs are gone through at most with the price of the sides that was found, how many pairs of choices
// are looked at in all for it, and how many are kept; a larger problem is searched without.
const (
	mostPasses = 60
	mostWork   = 150_000_000
	mostPairs  = 8 << 20
)

// reduce brings a problem into its reduced form; nil where it has too many pairs of choices.
func (s *Search) reduce() *reduced {
	n, all := len(s.p.Options), 0
	for i := range n {
		for k := range i {
			all += len(s.p.Options[i]) * len(s.p.Options[k])
		}
	}
	if all > mostPairs {
		return nil
	}
	costs := s.costs()
	passes := max(4, min(mostPasses, mostWork/max(1, all)))
	if s.p.SideWeight == 0 {
		return s.reducedAt(0, costs, passes)
	}
	// The bound is convex in the price: a golden cut finds its least.
	low, high := -1.0, 1.0
	at := func(price float64) float64 { return s.reducedAt(price, costs, max(1, passes/15)).bound() }
	ratio := (math.Sqrt(5) - 1) / 2
	left, right := high-ratio*(high-low), low+ratio*(high-low)
	fLeft, fRight := at(left), at(right)
	for range 8 {
		if fLeft < fRight {
			high, right, fRight = right, left, fLeft
			left = high - ratio*(high-low)
			fLeft = at(left)
		} else {
			low, left, fLeft = left, right, fRight
			right = low + ratio*(high-low)
			fRight = at(right)
		}
	}
	return s.reducedAt((low+high)/2, costs, passes)
}

// costs are what each two choices cost together, never for those that exclude each other.
func (s *Search) costs() [][][][]float64 {
	n := len(s.p.Options)
	costs := make([][][][]float64, n)
	for i := range n {
		costs[i] = make([][][]float64, n)
		for k := i + 1; k < n; k++ {
			costs[i][k] = make([][]float64, len(s.p.Options[i]))
			for a := range costs[i][k] {
				row := make([]float64, len(s.p.Options[k]))
				for b := range row {
					switch {
					case !s.ok[i][a][k].has(b):
						row[b] = never
					case s.p.Pair != nil:
						row[b] = s.p.Pair(i, a, k, b)
					}
				}
				costs[i][k][a] = row
			}
		}
	}
	return costs
}

// reducedAt is the reduced form with a price of the sides.
func (s *Search) reducedAt(price float64, costs [][][][]float64, passes int) *reduced {
	n := len(s.p.Options)
	r := &reduced{constant: -s.p.SideWeight * price * s.p.Base, alone: make([][]float64, n)}
	toI, toK := make([][][]float64, n), make([][][]float64, n) // what a pair gave to each of its two parts
	for i := range n {
		r.alone[i] = make([]float64, len(s.p.Options[i]))
		for a, o := range s.p.Options[i] {
			r.alone[i][a] = o.Value - s.p.SideWeight*price*o.Side
		}
		toI[i], toK[i] = make([][]float64, n), make([][]float64, n)
		for k := i + 1; k < n; k++ {
			toI[i][k], toK[i][k] = make([]float64, len(s.p.Options[i])), make([]float64, len(s.p.Options[k]))
		}
	}
	last := math.Inf(1)
	for range passes {
		for i := range n {
			for k := i + 1; k < n; k++ {
				r.share(r.alone[i], r.alone[k], toI[i][k], toK[i][k], costs[i][k])
			}
		}
		now := r.bound()
		if last-now < 1e-6*(1+math.Abs(now)) {
			break
		}
		last = now
	}
	r.pairs = make([][][][]float64, n)
	for i := range n {
		r.pairs[i] = make([][][]float64, n)
		for k := i + 1; k < n; k++ {
			r.pairs[i][k] = make([][]float64, len(costs[i][k]))
			for a, row := range costs[i][k] {
				left := make([]float64, len(row))
				for b, cost := range row {
					left[b] = min(0, cost-toI[i][k][a]-toK[i][k][b])
					if cost == never {
						left[b] = never
					}
				}
				r.pairs[i][k][a] = left
			}
		}
	}
	return r
}

// share moves what a pair of parts cost together onto its two parts, half to each.
func (r *reduced) share(i, k, toI, toK []float64, costs [][]float64) {
	for a := range i {
		i[a] -= toI[a]
		toI[a] = never
	}
	for b := range k {
		k[b] -= toK[b]
		toK[b] = never
	}
	for a, row := range costs {
		if i[a] <= never/2 {
			continue
		}
		for b, cost := range row {
			if cost == never || k[b] <= never/2 {
				continue
			}
			toI[a] = max(toI[a], cost+k[b])
			toK[b] = max(toK[b], cost+i[a])
		}
	}
	for a := range i {
		if toI[a] <= never/2 { // it goes with nothing
			i[a], toI[a] = never, 0
			continue
		}
		toI[a] = (toI[a] - i[a]) / 2
	}
	for b := range k {
		if toK[b] <= never/2 {
			k[b], toK[b] = never, 0
			continue
		}
		toK[b] = (toK[b] - k[b]) / 2
	}
	for a := range i {
		i[a] += toI[a]
	}
	for b := range k {
		k[b] += toK[b]
	}
}

// bound is what no solution is better than: each part at its best.
func (r *reduced) bound() float64 {
	sum := r.constant
	for _, part := range r.alone {
		best := never
		for _, value := range part {
			best = max(best, value)
		}
		sum += best
	}
	return sum
}
