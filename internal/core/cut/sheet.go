package cut

import (
	"cmp"
	"slices"
)

// node is a part of a sheet: cut in two, a piece, or free. Cutting it across leaves a left part and, after the
// kerf, a right one; ripping it a lower and an upper one.
type node struct {
	x, y, l, w float64
	piece      int32 // −1: none
	first      int32 // of its two children; 0: it has none
	rip        bool
	turned     bool
}

// tree is one sheet as a tree of cuts; free has the nodes where a piece may still go.
type tree struct {
	stock int
	nodes []node
	free  []int32
	area  float64 // of its pieces, mm²
}

// manner is how a place is chosen for a piece, and which way what is left beside it is cut.
type manner struct {
	fit   fitRule
	split splitRule
}

type fitRule uint8

const (
	leastArea fitRule = iota
	leastShort
	leastLong
	lowest
	fitRules
)

type splitRule uint8

const (
	ripShort splitRule = iota // the larger rest stays whole
	ripLong
	keepWide // largest single rest
	keepEven
	splitRules
)

// best is where a piece fits best; ok is false where it fits nowhere.
func (t *tree) best(p *Piece, fit fitRule) (free int, turned bool, score float64, ok bool) {
	score = 1e18
	for k, at := range t.free {
		n := &t.nodes[at]
		for turn := range 2 {
			l, w := p.Length, p.Width
			if turn == 1 {
				if !p.Turn || l == w {
					break
				}
				l, w = w, l
			}
			over, above := n.l-l, n.w-w
			if over < -slack || above < -slack {
				continue
			}
			s := 0.0
			switch fit {
			case leastArea:
				s = n.l*n.w - l*w
			case leastShort:
				s = min(over, above)
			case leastLong:
				s = max(over, above)
			case lowest:
				s = n.x*4 + n.y
			}
			if over < 1 && above < 1 {
				s = -1 // it fills it
			}
			if s < score {
				free, turned, score, ok = k, turn == 1, s, true
			}
		}
	}
	return free, turned, score, ok
}

// put places a piece at a free node and cuts off what is left.
func (t *tree) put(free int, index int, p *Piece, turned bool, split splitRule, kerf float64) {
	at := t.free[free]
	t.free[free] = t.free[len(t.free)-1]
	t.free = t.free[:len(t.free)-1]
	l, w := p.Length, p.Width
	if turned {
		l, w = w, l
	}
	t.area += l * w
	n := t.nodes[at]
	over, above := n.l-l, n.w-w
	rip := false
	switch split {
	case ripShort:
		rip = over < above
	case ripLong:
		rip = over >= above
	case keepWide: // whichever leaves the larger rest
		rip = n.l*max(0, above-kerf) > n.w*max(0, over-kerf)
	case keepEven:
		rip = n.l*max(0, above-kerf) <= n.w*max(0, over-kerf)
	}
	if rip {
		at = t.cut(at, w, true, kerf)
		at = t.cut(at, l, false, kerf)
	} else {
		at = t.cut(at, l, false, kerf)
		at = t.cut(at, w, true, kerf)
	}
	t.nodes[at].piece, t.nodes[at].turned = int32(index), turned
}

// cut cuts a node in two and returns its first part; what the saw leaves of the other is free. Where nothing
// is left to cut off, it stays whole.
func (t *tree) cut(at int32, size float64, rip bool, kerf float64) int32 {
	n := t.nodes[at]
	whole := n.l
	if rip {
		whole = n.w
	}
	if whole-size <= slack {
		return at
	}
	first, other := node{x: n.x, y: n.y, l: n.l, w: n.w, piece: -1}, node{x: n.x, y: n.y, l: n.l, w: n.w, piece: -1}
	rest := whole - size - kerf
	if rip {
		first.w, other.y, other.w = size, n.y+size+kerf, rest
	} else {
		first.l, other.x, other.l = size, n.x+size+kerf, rest
	}
	k := int32(len(t.nodes))
	t.nodes = append(t.nodes, first, other)
	t.nodes[at].first, t.nodes[at].rip = k, rip
	if rest > slack {
		t.free = append(t.free, k+1)
	}
	return k
}

// layout tells a tree as pieces, cuts in their order, and rests.
func (t *tree) layout() Layout {
	root := &t.nodes[0]
	out := Layout{Stock: t.stock, Length: root.l, Width: root.w}
	t.tell(0, &out)
	slices.SortStableFunc(out.Rests, func(a, b Rest) int { return cmp.Compare(b.Area(), a.Area()) })
	return out
}

func (t *tree) tell(at int32, out *Layout) {
	n := &t.nodes[at]
	switch {
	case n.piece >= 0:
		out.Pieces = append(out.Pieces, Placed{int(n.piece), n.x, n.y, n.l, n.w, n.turned})
	case n.first > 0:
		a := &t.nodes[n.first]
		c := Cut{X: n.x + a.l, Y: n.y, Length: n.w}
		if n.rip {
			c = Cut{X: n.x, Y: n.y + a.w, Length: n.l, Rip: true}
		}
		out.Cuts = append(out.Cuts, c)
		t.tell(n.first, out)
		t.tell(n.first+1, out)
	case n.l > slack && n.w > slack:
		out.Rests = append(out.Rests, Rest{n.x, n.y, n.l, n.w})
	}
}

// largest is the area of the largest free rectangle, mm².
func (t *tree) largest() float64 {
	most := 0.0
	for _, at := range t.free {
		most = max(most, t.nodes[at].l*t.nodes[at].w)
	}
	return most
}
