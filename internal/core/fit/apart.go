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

// steps are the six moves by which one box comes clear of another. Where one lies within the other's reach, that is
// more than they overlap.
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
func (s *Scene) said(m step) string { return s.Say.LengthAtLeast(m.mm) + " " + m.way }

// mostMovesOffered is how many moves of one part are offered.
const mostMovesOffered = 2

// moves offers the shortest moves by which a part comes clear of a box and stands free in its space; up only onto
// what it comes clear of, and down only what hangs. What is locked stays.
func (s *Scene) moves(p *Part, from fitout.Box, may func(step) bool) []fitout.Fix {
	return s.movesBy(p, steps(p.Box, from), may)
}

// ClearOf offers the shortest moves by which a part keeps so many mm from a place, on every side of it.
func (s *Scene) ClearOf(p *Part, at fitout.Point, mm float64) []fitout.Fix {
	return s.moves(p, fitout.Box{From: at, To: at}.Grown(mm), nil)
}

// soundMove tells whether a fix that moves a part leaves it in its space, in nothing else, and no further in the
// frame of its opening than it was; clear of the frame where that is what it is for. What moves nothing is left to
// others.
func (s *Scene) soundMove(f *fitout.Finding, fix *fitout.Fix) bool {
	p := s.part(fix.Edit.ID)
	if p == nil {
		return true
	}
	at, by := p.Box.Middle(), fitout.Point{}
	switch fix.Edit.Kind {
	case "part-x":
		by.X = fix.Edit.Value - at.X
	case "part-y":
		by.Y = fix.Edit.Value - at.Y
	case "part-z":
		by.Z = fix.Edit.Value - at.Z
	default:
		return true
	}
	if !s.StandsAs(p.ID, func(b fitout.Box) fitout.Box { return b.Moved(by.X, by.Y, by.Z) }) {
		return false
	}
	may := s.inFrame(p)
	if f.Rule == "opening-frame" || f.Rule == "lip" {
		may = 0
	}
	moved := p.movedBy(by.X, by.Y, by.Z)
	return s.inFrame(&moved) <= may+slack
}

// inFrame is how far what goes out of a part stands in the frame or behind the lip of its opening, mm.
func (s *Scene) inFrame(p *Part) (most float64) {
	if bay := s.bay(p); bay != nil && (p.Motion == Slides || p.Motion == Drawers) {
		for _, leaf := range p.Leaves {
			if bay.Through(leaf.Swept) && !bay.Through(leaf.Closed) {
				mm, _ := bay.Frame(leaf.Closed)
				most = max(most, mm)
			}
		}
	}
	return most
}

// movesBy is moves by given steps: those by which something that moves with the part comes clear.
func (s *Scene) movesBy(p *Part, all []step, may func(step) bool) []fitout.Fix {
	if p.Fixed || p.Item == nil || p.Item.At == (fitout.Point{}) { // placed nowhere yet
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
		if m.mm <= 0 || m.moves.Z < 0 && !p.Traits().HungBelow || may != nil && !may(m) || !s.StandsAs(p.ID, free) {
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
