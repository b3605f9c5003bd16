package propose

import "slices"

// geometry is which options exclude each other and what they cost together, over the options of all parts in one line.
type geometry struct {
	all       []choice
	conflicts []bitset // of each option, those that it excludes; the others of its part too
	cliques   [][]int  // options of which each two exclude each other; every two that do are in one
	together  []together
	asked     []*Need // those that shares broke
}

// choice is an option of a part.
type choice struct{ part, option int }

// together is what an option costs with any of some options of another part.
type together struct {
	one  choice
	part int
	with []int
	cost float64 // below 0
}

// The largest problems that are looked at so: options in all, and costs of one option with some of another part. They
// are what a tableau of some ten million figures holds.
const (
	mostShared   = 800
	mostTogether = 500
)

// survey is the geometry of a problem; nil for one that is too large.
func (s *Search) survey() *geometry {
	g := &geometry{}
	for i := range s.p.Options {
		for a := range s.p.Options[i] {
			g.all = append(g.all, choice{i, a})
		}
	}
	n := len(g.all)
	if n > mostShared || !s.gather(g) {
		return nil
	}
	g.conflicts = make([]bitset, n)
	open := make([]bitset, n) // pairs that are in no clique yet
	for v, x := range g.all {
		g.conflicts[v], open[v] = newBitset(n), newBitset(n)
		for w, y := range g.all {
			switch {
			case x.part != y.part && !s.ok[x.part][x.option][y.part].has(y.option):
				g.conflicts[v].set(w)
				open[v].set(w)
			case x.part == y.part && v != w:
				g.conflicts[v].set(w)
			}
		}
	}
	for v := range n {
		for w := range v {
			if !open[v].has(w) {
				continue
			}
			clique := g.grow([]int{v, w}, func(u int, clique []int) (more float64) {
				for _, x := range clique {
					if open[u].has(x) {
						more++
					}
				}
				return more
			})
			for _, x := range clique {
				for _, y := range clique {
					open[x].clear(y)
				}
			}
			g.cliques = append(g.cliques, clique)
		}
	}
	return g
}

// gather lists what options cost with those of another part; false where that is too much.
func (s *Search) gather(g *geometry) bool {
	if s.p.Pair == nil {
		return true
	}
	for i := range s.p.Options {
		for k := range i {
			// Told from the part that needs fewer words for it.
			one, other := s.gathered(i, k), s.gathered(k, i)
			if len(other) < len(one) {
				one = other
			}
			if g.together = append(g.together, one...); len(g.together) > mostTogether {
				return false
			}
		}
	}
	return true
}

// gathered is what each option of a part costs with those of another, by what it costs.
func (s *Search) gathered(part, with int) (list []together) {
	for a := range s.p.Options[part] {
		from := len(list)
		for b := range s.p.Options[with] {
			if !s.ok[part][a][with].has(b) {
				continue
			}
			cost := s.pair(part, a, with, b)
			if cost == 0 {
				continue
			}
			at := slices.IndexFunc(list[from:], func(t together) bool { return t.cost == cost })
			if at < 0 {
				at = len(list) - from
				list = append(list, together{one: choice{part, a}, part: with, cost: cost})
			}
			list[from+at].with = append(list[from+at].with, b)
		}
	}
	return list
}

// grow makes a clique as large as it goes, what counts most first.
func (g *geometry) grow(clique []int, counts func(v int, clique []int) float64) []int {
	left := newBitset(len(g.all))
	left.fill(len(g.all))
	for _, v := range clique {
		left.and(left, g.conflicts[v])
	}
	for {
		best, most := -1, -1.0
		for v := range left.each() {
			if c := counts(v, clique); c > most {
				best, most = v, c
			}
		}
		if best < 0 {
			return clique
		}
		clique = append(clique, best)
		left.and(left, g.conflicts[best])
	}
}

// How many cliques are added at a time, and by how much shares break what they break.
const (
	mostBroken = 30
	breach     = 0.02
)

// broken are cliques whose shares sum to more than one.
func (g *geometry) broken(shares []float64) (all [][]int) {
	for u := range shares {
		if shares[u] < breach || len(all) == mostBroken {
			continue
		}
		clique, sum := g.grow([]int{u}, func(v int, _ []int) float64 { return shares[v] }), 0.0
		for _, v := range clique {
			sum += shares[v]
		}
		slices.Sort(clique)
		if sum > 1+breach && !slices.ContainsFunc(all, func(c []int) bool { return slices.Equal(c, clique) }) {
			all = append(all, clique)
		}
	}
	return all
}
