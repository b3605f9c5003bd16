package exchange

import (
	"cmp"
	"math"
	"slices"

	"zaino/internal/core/shape"
)

// chain is a line of several stretches; of a closed one the last point leads back to the first.
type chain struct {
	points []shape.Flat
	closed bool
}

// node is a place to a thousandth of a millimetre, as a drawing file tells places apart.
type node struct{ u, v int64 }

func nodeOf(p shape.Flat) node {
	return node{int64(math.Round(p.U * 1000)), int64(math.Round(p.V * 1000))}
}

func (n node) flat() shape.Flat { return shape.Flat{U: float64(n.u) / 1000, V: float64(n.v) / 1000} }

func compareNodes(a, b node) int { return cmp.Or(cmp.Compare(a.u, b.u), cmp.Compare(a.v, b.v)) }

// edge is a stretch between two places, the lower first, so that it is the same from both sides.
type edge struct{ a, b node }

func edgeOf(l *line) (edge, bool) {
	e := edge{nodeOf(l.from), nodeOf(l.to)}
	if compareNodes(e.a, e.b) > 0 {
		e.a, e.b = e.b, e.a
	}
	return e, e.a != e.b
}

// chains joins lines end to end, as far as nothing branches off. What lies twice is there once, and what has no length
// not at all. Of lines in layers, what an earlier layer drew is not drawn again.
func chains(layers [][]line) [][]chain {
	drawn := map[edge]bool{}
	all := make([][]chain, len(layers))
	for k, lines := range layers {
		var edges []edge
		for i := range lines {
			if e, long := edgeOf(&lines[i]); long && !drawn[e] {
				drawn[e] = true
				edges = append(edges, e)
			}
		}
		all[k] = joined(edges)
	}
	return all
}

// joined makes chains of the edges of one layer, each used once.
func joined(edges []edge) []chain {
	at := map[node][]int{}
	for i, e := range edges {
		at[e.a], at[e.b] = append(at[e.a], i), append(at[e.b], i)
	}
	used := make([]bool, len(edges))
	var all []chain
	follow := func(from node) (points []node) {
		points = []node{from}
		for here := from; ; {
			next := slices.IndexFunc(at[here], func(i int) bool { return !used[i] })
			if next < 0 || len(points) > 1 && len(at[here]) != 2 {
				return points
			}
			i := at[here][next]
			used[i] = true
			if edges[i].a == here {
				here = edges[i].b
			} else {
				here = edges[i].a
			}
			points = append(points, here)
		}
	}
	add := func(points []node) {
		c := chain{closed: len(points) > 3 && points[0] == points[len(points)-1]}
		if c.closed {
			points = points[:len(points)-1]
		}
		for _, n := range points {
			c.points = append(c.points, n.flat())
		}
		all = append(all, c)
	}
	for _, ends := range []bool{true, false} { // from where lines end or branch; then the rings that are left
		for i := range edges {
			for _, n := range []node{edges[i].a, edges[i].b} {
				for !used[i] && (len(at[n]) != 2) == ends {
					add(follow(n))
				}
			}
		}
	}
	return all
}
