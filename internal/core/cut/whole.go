package cut

import (
	"cmp"
	"slices"
)

// Pieces that were one sheet go back onto it: of two that lie side by side between the same cuts, one side is
// as long. So rectangles with a side in common are put together until one is left that fits the sheet. With
// little waste allowed between them it also finds tight layouts that no order of pieces leads to.

// block is a rectangle put together of pieces.
type block struct {
	l, w  float64
	a, b  *block // nil for a piece
	piece int
	turn  bool // the piece is turned; of two: b is above a, otherwise right of it
	fixed bool // it may not be turned as a whole
}

// mostWhole is how many pieces on one sheet are tried to be put together.
const mostWhole = 26

// whole tries to lay all pieces, or those of the two sheets that are used least, on one sheet fewer.
func (s *search) whole(best packing) packing {
	if s.main < 0 || len(best.left) > 0 {
		return best
	}
	for len(best.trees) > 1 && s.ctx.Err() == nil {
		trees := slices.Clone(best.trees)
		slices.SortStableFunc(trees, func(x, y *tree) int { return cmp.Compare(x.area, y.area) })
		a, b := trees[0], trees[1]
		if a.stock != s.main || b.stock != s.main {
			return best
		}
		var pieces []int
		for _, t := range []*tree{a, b} {
			for n := range t.nodes {
				if t.nodes[n].piece >= 0 {
					pieces = append(pieces, int(t.nodes[n].piece))
				}
			}
		}
		one := s.together(pieces)
		if one == nil {
			return best
		}
		best = packing{trees: append(slices.Clone(trees[2:]), one)}
	}
	return best
}

// together puts pieces together on one sheet of the main size, or returns nil.
func (s *search) together(pieces []int) *tree {
	size := &s.stock[s.main]
	area := 0.0
	blocks := make([]*block, 0, len(pieces))
	for _, i := range pieces {
		p := &s.pieces[i]
		area += (p.Length + s.kerf) * (p.Width + s.kerf)
		blocks = append(blocks, &block{l: p.Length, w: p.Width, piece: i, fixed: !p.Turn})
	}
	room := (size.Length+s.kerf)*(size.Width+s.kerf) - area
	if len(pieces) > mostWhole || room < -1 {
		return nil
	}
	j := joining{length: size.Length, width: size.Width, kerf: s.kerf}
	for _, loose := range []float64{0.2, 3, 20} {
		j.loose, j.room, j.steps = loose, room+1, 0
		if found := j.join(blocks, 0); found != nil {
			t := s.newTree(s.main)
			found.lay(t, 0, s.kerf)
			t.free = nil
			for n := range t.nodes {
				if t.nodes[n].piece < 0 && t.nodes[n].first == 0 {
					t.free = append(t.free, int32(n))
				}
			}
			for _, i := range pieces {
				t.area += s.pieces[i].Length * s.pieces[i].Width
			}
			return t
		}
	}
	return nil
}

// joining is a search for an order in which blocks are put together.
type joining struct {
	length, width, kerf float64
	loose               float64 // by how much two sides may differ, mm
	room                float64 // area that may be lost, mm²
	steps               int
}

// mostSteps bounds a search.
const mostSteps = 60000

// join puts two of the blocks together whose sides agree best, and goes on; lost is the area lost so far.
func (j *joining) join(blocks []*block, lost float64) *block {
	if len(blocks) == 1 {
		return j.onSheet(blocks[0])
	}
	if j.steps++; j.steps > mostSteps {
		return nil
	}
	pairs := j.pairs(blocks, lost)
	for _, p := range pairs {
		next := make([]*block, 0, len(blocks)-1)
		for k, b := range blocks {
			if k != p.i && k != p.k {
				next = append(next, b)
			}
		}
		if found := j.join(append(next, p.made), lost+p.lost); found != nil {
			return found
		}
		if j.steps > mostSteps {
			return nil
		}
	}
	return nil
}

// onSheet is a block as it lies on the sheet, turned if it must be; nil where it does not fit.
func (j *joining) onSheet(b *block) *block {
	if b.l <= j.length+slack && b.w <= j.width+slack {
		return b
	}
	if !b.fixed && b.w <= j.length+slack && b.l <= j.width+slack {
		return b.turned()
	}
	return nil
}

// pair is two blocks that can be put together, and what is lost by it.
type pair struct {
	i, k int
	made *block
	lost float64
}

// breadth is how many pairs are tried at each step.
const breadth = 12

// pairs are the pairs of blocks with a side in common, those that lose least first.
func (j *joining) pairs(blocks []*block, lost float64) []pair {
	var all []pair
	for i := range blocks {
		for k := i + 1; k < len(blocks); k++ {
			for turn := range 4 {
				a, b := blocks[i], blocks[k]
				if turn&1 == 1 {
					if b.fixed {
						continue
					}
					b = b.turned()
				}
				above := turn&2 == 2
				side, other, sum := a.w, b.w, a.l+j.kerf+b.l
				if above {
					side, other, sum = a.l, b.l, a.w+j.kerf+b.w
				}
				gap := side - other
				if gap < 0 {
					gap = -gap
				}
				made := &block{l: sum, w: max(side, other), a: a, b: b, turn: above, fixed: a.fixed || b.fixed}
				if above {
					made.l, made.w = made.w, made.l
				}
				away := gap * min(a.l, b.l)
				if above {
					away = gap * min(a.w, b.w)
				}
				if gap > j.loose || lost+away > j.room || j.onSheet(made) == nil {
					continue
				}
				all = append(all, pair{i, k, made, away})
			}
		}
	}
	slices.SortStableFunc(all, func(x, y pair) int { return cmp.Compare(x.lost, y.lost) })
	if len(all) > breadth {
		all = all[:breadth]
	}
	return all
}

// turned is a block turned by 90°.
func (b *block) turned() *block {
	if b.a == nil {
		return &block{l: b.w, w: b.l, piece: b.piece, turn: !b.turn}
	}
	return &block{l: b.w, w: b.l, a: b.a.turned(), b: b.b.turned(), turn: !b.turn}
}

// lay cuts a block out of a node of a sheet.
func (b *block) lay(t *tree, at int32, kerf float64) {
	at = t.cut(at, b.l, false, kerf)
	at = t.cut(at, b.w, true, kerf)
	if b.a == nil {
		t.nodes[at].piece, t.nodes[at].turned = int32(b.piece), b.turn
		return
	}
	size := b.a.l
	if b.turn {
		size = b.a.w
	}
	first := t.cut(at, size, b.turn, kerf)
	b.a.lay(t, first, kerf)
	b.b.lay(t, first+1, kerf)
}
