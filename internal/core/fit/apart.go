package fit

import (
	"cmp"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// step is a move along one axis: how far, and which way in words.
type step struct {
	mm    float64
	way   string
	moves fitout.Point // a millimetre of it
}

// steps are the six moves by which one box comes clear of another. Where one lies within the other's reach, that is more
// than they overlap.
func steps(own, other fitout.Box) []step {
	return []step{
		{other.To.X - own.From.X, "toward the rear", fitout.Point{X: 1}},
		{own.To.X - other.From.X, "toward the front", fitout.Point{X: -1}},
		{other.To.Y - own.From.Y, "to the right", fitout.Point{Y: 1}},
		{own.To.Y - other.From.Y, "to the left", fitout.Point{Y: -1}},
		{other.To.Z - own.From.Z, "up", fitout.Point{Z: 1}},
		{own.To.Z - other.From.Z, "down", fitout.Point{Z: -1}},
	}
}

// apart is the least move by which one box comes clear of another; where a way is asked for, the least of those that
// have it.
func apart(own, other fitout.Box, may func(step) bool) step {
	best := step{mm: -1}
	for _, s := range steps(own, other) {
		if (best.mm < 0 || s.mm < best.mm) && (may == nil || may(s)) {
			best = s
		}
	}
	return best
}

// said is a move in words.
func (s *Scene) said(m step) string { return s.Say.Length(m.mm) + " " + m.way }

// mostMovesOffered is how many moves of one part are offered.
const mostMovesOffered = 2

// moves offers the shortest moves by which a part comes clear of a box and stands free in its space; up only onto what it
// comes clear of, and never down. What is locked stays.
func (s *Scene) moves(p *Part, from fitout.Box, may func(step) bool) []fitout.Fix {
	return s.movesBy(p, steps(p.Box, from), may)
}

// movesBy is moves by given steps: those by which something that moves with the part comes clear.
func (s *Scene) movesBy(p *Part, all []step, may func(step) bool) []fitout.Fix {
	if p.Fixed || p.Item == nil {
		return nil
	}
	slices.SortStableFunc(all, func(a, b step) int { return cmp.Compare(a.mm, b.mm) })
	var fixes []fitout.Fix
	at := p.Box.Middle()
	for _, m := range all {
		if len(fixes) == mostMovesOffered {
			break
		}
		dx, dy, dz := m.moves.X*m.mm, m.moves.Y*m.mm, m.moves.Z*m.mm
		free := func(b fitout.Box) fitout.Box { return b.Moved(dx, dy, dz) }
		if m.mm <= 0 || m.moves.Z < 0 || may != nil && !may(m) || !s.StandsAs(p.ID, free) {
			continue
		}
		label := "Move " + words.Lower(p.Name()) + " " + s.said(m)
		switch {
		case m.moves.X != 0:
			fixes = append(fixes, edit(label, "part-x", p.ID, at.X+dx))
		case m.moves.Y != 0:
			fixes = append(fixes, edit(label, "part-y", p.ID, at.Y+dy))
		default:
			fixes = append(fixes, edit(label, "part-z", p.ID, at.Z+dz))
		}
	}
	return fixes
}
