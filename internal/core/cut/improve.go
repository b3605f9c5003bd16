package cut

import (
	"cmp"
	"slices"
)

// turns is how many times a thorough search begins anew.
const turns = 24000

// improve empties a few sheets of the best answer, among them the one that is used least, and lays their pieces
// out again in another order and manner, as long as that helps.
func (s *search) improve(best packing, told func(float64)) packing {
	now, worth := best, s.rank(&best)
	most := max(400, turns*40/max(40, len(s.may)))
	for turn := range most {
		if turn%64 == 0 {
			if s.ctx.Err() != nil {
				break
			}
			if told != nil {
				told(float64(turn) / float64(most))
			}
		}
		if bought := len(best.trees) - s.limited(&best); turn > most/8 && len(best.left) == 0 &&
			bought <= min(1, s.bound) {
			break // one sheet, and long enough for its rest
		}
		next, ok := s.again(&now)
		if !ok {
			break
		}
		rank, kept := s.rank(&next), false
		// A little worse is taken now and then: the way to a better one may lead over it.
		if rank <= worth || s.random.Float64() < 0.02 && rank < worth+0.02 {
			now, worth, kept = next, rank, true
		}
		if s.better(&next, &best) {
			best, kept = next, true
		}
		if !kept {
			s.unused = append(s.unused, s.made...)
		}
	}
	return best
}

// rank is worth as one figure: sheets, less how unevenly they are filled, since what is gathered on some frees
// others.
func (s *search) rank(p *packing) float64 {
	w := s.worth(p)
	even := 0.0
	for _, t := range p.trees {
		root := &t.nodes[0]
		share := t.area / (root.l * root.w)
		even += share * share
	}
	return 1e6*w[0] + w[1] + 0.2*w[2] + 0.001*w[3] - 0.05*even
}

// again is an answer with a few sheets of another emptied and filled anew, the one of the main size that is used
// least mostly among them. Pieces that were left are tried again too.
func (s *search) again(p *packing) (packing, bool) {
	if len(p.trees) == 0 {
		return packing{}, false
	}
	s.made = s.made[:0]
	emptied := map[int]bool{}
	if least := s.least(p); least >= 0 && s.random.IntN(4) > 0 {
		emptied[least] = true
	}
	for range s.random.IntN(3) + 1 {
		emptied[s.random.IntN(len(p.trees))] = true
	}
	var next packing
	line := append(s.scratch[:0], p.left...)
	used := make([]int, len(s.stock))
	for k, t := range p.trees {
		if !emptied[k] {
			next.trees = append(next.trees, t)
			used[t.stock]++
			continue
		}
		for n := range t.nodes {
			if t.nodes[n].piece >= 0 {
				line = append(line, int(t.nodes[n].piece))
			}
		}
	}
	s.scratch = line
	s.shuffled(line)
	rest := line
	if len(s.sizes) > 0 && s.random.IntN(8) > 0 {
		rest = s.fillLimited(&next, rest, used, s.anyManner())
		s.shuffled(rest)
	}
	if s.main < 0 {
		next.left = slices.Clone(rest)
		return next, true
	}
	var fresh []*tree
	next.left = s.fillAll(&fresh, rest, s.anyManner())
	next.trees = append(next.trees, fresh...)
	return next, true
}

// least is the sheet of the main size whose pieces take least; −1: there is none.
func (s *search) least(p *packing) int {
	at := -1
	for k, t := range p.trees {
		if t.stock == s.main && (at < 0 || t.area < p.trees[at].area) {
			at = k
		}
	}
	return at
}

// limited is how many sheets of the limited sizes an answer uses.
func (s *search) limited(p *packing) int {
	n := 0
	for _, t := range p.trees {
		if t.stock != s.main {
			n++
		}
	}
	return n
}

// lined is a piece with the figure by which it is lined up.
type lined struct {
	key   float64
	piece int
}

// shuffled lines pieces up by one of the orders, blurred.
func (s *search) shuffled(line []int) {
	order := orders[s.random.IntN(len(orders))]
	noise := s.random.Float64() * 0.6
	by := s.lined[:0]
	for _, i := range line {
		by = append(by, lined{order(&s.pieces[i]) * (1 + noise*(s.random.Float64()-0.5)), i})
	}
	s.lined = by
	slices.SortFunc(by, func(a, b lined) int {
		if by := cmp.Compare(b.key, a.key); by != 0 {
			return by
		}
		return a.piece - b.piece
	})
	for k := range by {
		line[k] = by[k].piece
	}
}

func (s *search) anyManner() manner {
	return manner{fitRule(s.random.IntN(int(fitRules))), splitRule(s.random.IntN(int(splitRules)))}
}
