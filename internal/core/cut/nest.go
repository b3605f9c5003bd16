package cut

import (
	"cmp"
	"context"
	"math"
	"math/rand/v2"
	"slices"
)

// Effort is how long sheets are looked for.
type Effort int

// The first that comes, or as good as it gets within about a second for 80 pieces.
const (
	Quick Effort = iota
	Thorough
)

// Nest lays pieces out on sheets of a stock: its limited sizes first, smallest first, then the first of which
// there are as many as it takes. It looks for the fewest sheets, then for the largest rest on the last one; told
// is given the share that is done. What cannot lie on any sheet is left. Ending the context returns the best
// so far. The same pieces give the same answer.
func Nest(
	ctx context.Context,
	pieces []Piece,
	stock []Stock,
	kerf float64,
	effort Effort,
	told func(share float64),
) Nesting {
	s := &search{ctx: ctx, pieces: pieces, stock: stock, kerf: kerf, random: rand.New(rand.NewPCG(16, 1926))}
	s.ready()
	best := s.first(effort)
	if effort == Thorough && len(best.trees) > 0 {
		best = s.whole(best)
		best = s.improve(best, told)
	}
	return s.nesting(best)
}

type search struct {
	ctx    context.Context
	pieces []Piece
	stock  []Stock
	kerf   float64
	random *rand.Rand

	sizes   []int // of the stock, in the order in which it is used
	main    int   // the size of which there are as many as it takes; −1: none
	may     []int // pieces that fit on some sheet
	never   []int
	bound   int
	inOne   float64 // area with kerf in sheets of the main size
	sheet   float64 // area of such a sheet with a kerf, mm²
	scratch []int
	lined   []lined
	made    []*tree // since the search began anew
	unused  []*tree // of answers that were not kept
}

// newTree is a sheet of a size that is not cut yet.
func (s *search) newTree(size int) *tree {
	var t *tree
	if n := len(s.unused); n > 0 {
		t, s.unused = s.unused[n-1], s.unused[:n-1]
	} else {
		t = &tree{nodes: make([]node, 0, 32), free: make([]int32, 0, 16)}
	}
	of := &s.stock[size]
	t.stock, t.area = size, 0
	t.nodes = append(t.nodes[:0], node{l: of.Length, w: of.Width, piece: -1})
	t.free = append(t.free[:0], 0)
	s.made = append(s.made, t)
	return t
}

// packing is a whole answer.
type packing struct {
	trees []*tree
	left  []int
}

func (s *search) ready() {
	s.main = -1
	for i := range s.stock {
		if s.stock[i].Count < 0 && s.main < 0 {
			s.main = i
		} else if s.stock[i].Count > 0 {
			s.sizes = append(s.sizes, i)
		}
	}
	slices.SortStableFunc(s.sizes, func(a, b int) int {
		return cmp.Compare(s.stock[a].Length*s.stock[a].Width, s.stock[b].Length*s.stock[b].Width)
	})
	for i := range s.pieces {
		fitting := false
		for k := range s.stock {
			fitting = fitting || s.stock[k].Count != 0 && fits(&s.pieces[i], s.stock[k].Length, s.stock[k].Width)
		}
		if fitting {
			s.may = append(s.may, i)
		} else {
			s.never = append(s.never, i)
		}
	}
	size := s.main
	if size < 0 && len(s.sizes) > 0 {
		size = s.sizes[len(s.sizes)-1]
	}
	if size < 0 {
		return
	}
	own := make([]Piece, len(s.may))
	for k, i := range s.may {
		own[k] = s.pieces[i]
		s.inOne += (own[k].Length + s.kerf) * (own[k].Width + s.kerf)
	}
	l, w := s.stock[size].Length, s.stock[size].Width
	s.sheet = (l + s.kerf) * (w + s.kerf)
	s.inOne /= s.sheet
	s.bound = s.fewest(own, l, w)
}

// fewest is how many sheets of the main size it takes at least beside those of the limited sizes, all of which may
// be filled to the edge; without a main size, how many of the largest.
func (s *search) fewest(pieces []Piece, length, width float64) int {
	if s.main < 0 || len(s.sizes) == 0 {
		return Bound(pieces, length, width, s.kerf)
	}
	spare := 0.0
	for _, size := range s.sizes {
		o := &s.stock[size]
		spare += float64(o.Count) * (o.Length + s.kerf) * (o.Width + s.kerf)
	}
	alone := 0
	for i := range pieces {
		elsewhere := slices.ContainsFunc(s.sizes, func(size int) bool {
			return fits(&pieces[i], s.stock[size].Length, s.stock[size].Width)
		})
		if !elsewhere && lonely(&pieces[i], length, width, s.kerf) {
			alone++
		}
	}
	return max(alone, int(math.Ceil(s.inOne-spare/s.sheet-1e-9)))
}

// orders are the ways in which pieces are lined up.
var orders = [...]func(p *Piece) float64{
	func(p *Piece) float64 { return p.Length * p.Width },
	func(p *Piece) float64 { return max(p.Length, p.Width)*1e4 + min(p.Length, p.Width) },
	func(p *Piece) float64 { return min(p.Length, p.Width)*1e4 + max(p.Length, p.Width) },
	func(p *Piece) float64 { return p.Length + p.Width },
	func(p *Piece) float64 { return p.Width*1e4 + p.Length },
}

func (s *search) sorted(order int) []int {
	line := slices.Clone(s.may)
	slices.SortStableFunc(
		line,
		func(a, b int) int { return cmp.Compare(orders[order](&s.pieces[b]), orders[order](&s.pieces[a])) },
	)
	return line
}

// fewManners are enough for a first answer.
const fewManners = 2

// first tries every order with every manner, or a few of them.
func (s *search) first(effort Effort) packing {
	best := packing{left: s.may}
	for order := range orders {
		line := s.sorted(order)
		for fit := range fitRules {
			for split := range splitRules {
				if effort == Quick && (order >= fewManners || fit > leastShort || split > ripLong) ||
					len(line) > manyPieces && order+int(fit)+int(split) > 0 {
					continue
				}
				if s.ctx.Err() != nil && len(best.trees) > 0 {
					return best
				}
				if p := s.pack(line, manner{fit, split}); s.better(&p, &best) {
					best = p
				}
			}
		}
	}
	return best
}

// manyPieces is from how many on one order and one manner have to do.
const manyPieces = 1500

// pack lays a line of pieces out in one manner: on the limited sizes first, then on as many of the main one as it takes.
func (s *search) pack(line []int, m manner) packing {
	var p packing
	rest := s.fillLimited(&p, line, make([]int, len(s.stock)), m)
	if s.main < 0 {
		p.left = slices.Clone(rest)
		return p
	}
	own := make([]*tree, 0, 8)
	p.left = s.fillAll(&own, rest, m)
	p.trees = append(p.trees, own...)
	return p
}

// fillLimited puts what fits onto sheets of the limited sizes that are not used yet, and returns what did not.
func (s *search) fillLimited(p *packing, line, used []int, m manner) []int {
	rest := line
	for _, size := range s.sizes {
		for range s.stock[size].Count - used[size] {
			t := s.newTree(size)
			after := s.fill(t, rest, m)
			if len(after) == len(rest) {
				break // none of them fits the next either
			}
			p.trees, rest = append(p.trees, t), after
		}
	}
	return rest
}

// fill puts what fits onto one sheet and returns what did not.
func (s *search) fill(t *tree, line []int, m manner) []int {
	var after []int
	for _, i := range line {
		if !s.place([]*tree{t}, i, m) {
			after = append(after, i)
		}
	}
	return after
}

// recentSheets bounds how many sheets are looked at for each of very many pieces.
const recentSheets = 200

// fillAll puts everything onto sheets of the main size, with new ones as it takes.
func (s *search) fillAll(trees *[]*tree, line []int, m manner) []int {
	var left []int
	for _, i := range line {
		p := &s.pieces[i]
		if s.place((*trees)[max(0, len(*trees)-recentSheets):], i, m) {
			continue
		}
		size := &s.stock[s.main]
		if !fits(p, size.Length, size.Width) {
			left = append(left, i)
			continue
		}
		t := s.newTree(s.main)
		*trees = append(*trees, t)
		s.place((*trees)[len(*trees)-1:], i, m)
	}
	return left
}

// place puts one piece where it fits best: on the first sheet that takes it, or on the best of all.
func (s *search) place(trees []*tree, i int, m manner) bool {
	p := &s.pieces[i]
	at, where, turned, score := -1, 0, false, math.Inf(1)
	for k, t := range trees {
		if free, turn, sc, ok := t.best(p, m.fit); ok && sc < score {
			at, where, turned, score = k, free, turn, sc
			if m.fit == lowest {
				break
			}
		}
	}
	if at < 0 {
		return false
	}
	trees[at].put(where, i, p, turned, m.split, s.kerf)
	return true
}

// worth is what an answer is judged by, smaller first: pieces left over, sheets that are bought, what is used of the
// one that is used least, and offcuts that are used.
func (s *search) worth(p *packing) [4]float64 {
	bought, least := 0.0, 1.0
	others := 0.0
	for _, t := range p.trees {
		if t.stock != s.main {
			others++
			continue
		}
		bought++
		root := &t.nodes[0]
		least = min(least, 1-t.largest()/(root.l*root.w))
	}
	return [4]float64{float64(len(p.left)), bought, least, others}
}

func (s *search) better(a, b *packing) bool {
	x, y := s.worth(a), s.worth(b)
	for k := range x {
		if math.Abs(x[k]-y[k]) > 1e-9 {
			return x[k] < y[k]
		}
	}
	return false
}

// nesting is an answer as it is told: full sheets first, the one with the largest rest last.
func (s *search) nesting(p packing) Nesting {
	out := Nesting{Left: append(slices.Clone(s.never), p.left...), Bound: s.bound}
	for _, t := range p.trees {
		out.Layouts = append(out.Layouts, t.layout())
	}
	slices.SortStableFunc(out.Layouts, func(a, b Layout) int {
		return cmp.Or(cmp.Compare(b.Used(), a.Used()), cmp.Compare(len(b.Pieces), len(a.Pieces)))
	})
	if n := len(out.Layouts); n > 0 && s.inOne > 0 {
		filled := 0.0 // in sheets of the size that the pieces are counted in
		for k := range out.Layouts {
			l := &out.Layouts[k]
			share := (l.Length + s.kerf) * (l.Width + s.kerf) / s.sheet
			if k == n-1 {
				share *= l.Used()
			}
			filled += share
		}
		out.Gap = filled/s.inOne - 1
		counted := n
		if s.main >= 0 {
			counted = len(p.trees) - s.limited(&p)
		}
		out.Proven = counted <= s.bound && len(out.Left) == 0
	}
	return out
}
