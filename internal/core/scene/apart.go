package scene

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// Step is a move along one axis: how far, and which way in words.
type Step struct {
	MM    float64
	Way   string
	Moves fitout.Point // a millimetre of it
}

// ToTheRear is a move toward the rear, mm.
func ToTheRear(mm float64) Step { return Step{mm, "toward the rear", fitout.Point{X: 1}} }

// ToTheFront is a move toward the front, mm.
func ToTheFront(mm float64) Step { return Step{mm, "toward the front", fitout.Point{X: -1}} }

// ToTheRight is a move to the right, mm.
func ToTheRight(mm float64) Step { return Step{mm, "to the right", fitout.Point{Y: 1}} }

// ToTheLeft is a move to the left, mm.
func ToTheLeft(mm float64) Step { return Step{mm, "to the left", fitout.Point{Y: -1}} }

// Steps are the six moves by which one box comes clear of another. Where one lies within the other's reach, that is
// more than they overlap.
func Steps(own, other fitout.Box) []Step {
	return []Step{
		ToTheRear(other.To.X - own.From.X), ToTheFront(own.To.X - other.From.X),
		ToTheRight(other.To.Y - own.From.Y), ToTheLeft(own.To.Y - other.From.Y),
		{other.To.Z - own.From.Z, "up", fitout.Point{Z: 1}},
		{own.To.Z - other.From.Z, "down", fitout.Point{Z: -1}},
	}
}

// Apart is the least move by which one box comes clear of another; where a way is asked for, the least of those that
// have it.
func Apart(own, other fitout.Box, may func(Step) bool) Step {
	best := Step{MM: -1}
	for _, s := range Steps(own, other) {
		if (best.MM < 0 || s.MM < best.MM) && (may == nil || may(s)) {
			best = s
		}
	}
	return best
}

// LeastOf is the shortest of some moves.
func LeastOf(ways []Step) Step {
	return slices.MinFunc(ways, func(a, b Step) int { return cmp.Compare(a.MM, b.MM) })
}

// Free is the shortest of the moves that bring a part clear of something with which it stands free in its bay too, on
// something, as does what stands on it: each so much further that it passes what it would meet, or comes over what
// would carry it. Up or down only where that is the shortest of all. Its MM is below 0 where there is none.
func (s *Scene) Free(p *Part, ways []Step) Step {
	best, least, bay := Step{MM: -1}, LeastOf(ways), s.BayOf(p)
	var stands *standing // asked for only where there is room
	free := func(m Step) (is, ends bool) {
		as := p.Box.Moved(m.Moves.X*m.MM, m.Moves.Y*m.MM, m.Moves.Z*m.MM)
		if best.MM >= 0 && m.MM >= best.MM || bay != nil && bay.leaves(as, m.Moves) {
			return false, true
		}
		if !s.StandsAs(p.ID, func(fitout.Box) fitout.Box { return as }) {
			return false, false
		}
		if stands == nil {
			stands = s.standing(p.ID)
		}
		is = stands.stays(as)
		return is, is
	}
	for _, m := range ways {
		if m.Moves.Z != 0 && m != least {
			continue
		}
		is, ends := free(m)
		if !ends {
			for _, m.MM = range s.further(p, bay, m) {
				if is, ends = free(m); ends {
					break
				}
			}
		}
		if is {
			best = m
		}
	}
	return best
}

// leaves tells whether a box reaches out of a bay on the side to which it moves: however much further it goes, it does.
func (b *Bay) leaves(box fitout.Box, along fitout.Point) bool {
	room := b.Room.Grown(Slack)
	return along.X > 0 && box.To.X > room.To.X || along.X < 0 && box.From.X < room.From.X ||
		along.Y > 0 && box.To.Y > room.To.Y || along.Y < 0 && box.From.Y < room.From.Y
}

// further are how far a part may go along a level way beyond what it says, mm, the shortest first: past each thing in
// it, and until its middle is over each that may carry it.
func (s *Scene) further(p *Part, bay *Bay, m Step) []float64 {
	if m.Moves.Z != 0 {
		return nil
	}
	var far []float64
	box, middle := p.Box, p.Box.Middle()
	add := func(mm float64) {
		if mm > m.MM {
			far = append(far, mm)
		}
	}
	look := func(b fitout.Box) {
		carries := math.Abs(b.To.Z-box.From.Z) <= PackedUp
		if !carries && min(b.To.Z, box.To.Z)-max(b.From.Z, box.From.Z) <= Slack {
			return
		}
		across := min(b.To.Y, box.To.Y) - max(b.From.Y, box.From.Y)
		past, over := b.To.X-box.From.X, b.From.X-middle.X
		switch {
		case m.Moves.X < 0:
			past, over = box.To.X-b.From.X, middle.X-b.To.X
		case m.Moves.Y > 0:
			past, over = b.To.Y-box.From.Y, b.From.Y-middle.Y
		case m.Moves.Y < 0:
			past, over = box.To.Y-b.From.Y, middle.Y-b.To.Y
		}
		if m.Moves.X == 0 {
			across = min(b.To.X, box.To.X) - max(b.From.X, box.From.X)
		}
		if across <= Slack {
			return
		}
		add(past)
		if carries {
			add(over)
		}
	}
	if bay != nil {
		for k := range bay.Obstacles {
			look(bay.Obstacles[k].Box)
		}
	}
	for i := range s.Parts {
		if s.Parts[i].ID != p.ID {
			look(s.Parts[i].Box)
		}
	}
	slices.Sort(far)
	return far
}

// MoveIt puts into words that a part, called it or that, is moved; what is locked on the bench is unlocked for it.
func (s *Scene) MoveIt(it string, p *Part, m Step) string {
	if p.Fixed {
		return "unlock " + it + " and move it " + s.Said(m)
	}
	return "move " + it + " " + s.Said(m)
}

// Clearing puts into words what somebody does with a part, called it or that, which has to come clear by one of some
// moves: a free one, or something instead; and only that where no move is free. What a stance puts elsewhere is
// moved there, where its place on the road says nothing of what is free; in is nil on the road.
func (s *Scene) Clearing(it string, p *Part, in *Posture, ways []Step, instead string) string {
	way := LeastOf(ways)
	if in == nil || !in.Elsewhere(p.ID) {
		free := s.Free(p, ways)
		if free.MM < 0 {
			return fmt.Sprintf(
				"%s: %s, where it would come clear, there is no place for it.",
				words.Capital(instead),
				s.Said(way),
			)
		}
		way = free
	}
	return fmt.Sprintf("%s, or %s.", words.Capital(s.MoveIt(it, p, way)), instead)
}

// Said is a move in words.
func (s *Scene) Said(m Step) string { return s.Say.LengthAtLeast(m.MM) + " " + m.Way }

// mostMovesOffered is how many moves of one part are offered.
const mostMovesOffered = 2

// Moves offers the shortest moves by which a part comes clear of a box and stands free in its space; up only onto
// what it comes clear of, and down only what hangs. What is locked stays.
func (s *Scene) Moves(p *Part, from fitout.Box, may func(Step) bool) []fitout.Fix {
	return s.MovesBy(p, Steps(p.Box, from), may)
}

// ClearOf offers the shortest moves by which a part keeps so many mm from a place, on every side of it.
func (s *Scene) ClearOf(p *Part, at fitout.Point, mm float64) []fitout.Fix {
	return s.Moves(p, fitout.Box{From: at, To: at}.Grown(mm), nil)
}

// SoundMove tells whether a fix that moves a part leaves it in its space, in nothing else, on something with what
// stands on it, and no further in the frame of its opening than it was; clear of the frame where that is what it is
// for. What moves nothing is left to others.
func (s *Scene) SoundMove(f *fitout.Finding, fix *fitout.Fix) bool {
	p := s.Part(fix.Edit.ID)
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
	if !s.StandsOn(p, by) {
		return false
	}
	may := s.InFrame(p)
	if f.Rule == "opening-frame" || f.Rule == "lip" {
		may = 0
	}
	moved := p.MovedBy(by.X, by.Y, by.Z)
	return s.InFrame(&moved) <= may+Slack
}

// InFrame is how far what goes out of a part stands in the frame or behind the lip of its opening, mm.
func (s *Scene) InFrame(p *Part) (most float64) {
	if bay := s.BayOf(p); bay != nil && (p.Motion == Slides || p.Motion == Drawers) {
		for _, leaf := range p.Leaves {
			if bay.Through(leaf.Swept) && !bay.Through(leaf.Closed) {
				mm, _ := bay.Frame(leaf.Closed)
				most = max(most, mm)
			}
		}
	}
	return most
}

// MovesBy is moves by given steps: those by which something that moves with the part comes clear.
func (s *Scene) MovesBy(p *Part, all []Step, may func(Step) bool) []fitout.Fix {
	if p.Fixed || p.Item == nil || p.Item.At == (fitout.Point{}) { // placed nowhere yet
		return nil
	}
	slices.SortStableFunc(all, func(a, b Step) int { return cmp.Compare(a.MM, b.MM) })
	var fixes []fitout.Fix
	at := p.Box.Middle()
	for _, m := range all {
		if len(fixes) == mostMovesOffered {
			break
		}
		dx, dy, dz := m.Moves.X*m.MM, m.Moves.Y*m.MM, m.Moves.Z*m.MM
		if m.MM <= 0 || m.Moves.Z < 0 && !p.Traits().HungBelow || may != nil && !may(m) ||
			!s.StandsOn(p, fitout.Point{X: dx, Y: dy, Z: dz}) {
			continue
		}
		label := "Move " + words.Lower(p.Name()) + " " + s.Said(m)
		switch {
		case m.Moves.X != 0:
			fixes = append(fixes, Edit(label, "part-x", p.ID, at.X+dx))
		case m.Moves.Y != 0:
			fixes = append(fixes, Edit(label, "part-y", p.ID, at.Y+dy))
		default:
			fixes = append(fixes, Edit(label, "part-z", p.ID, at.Z+dz))
		}
	}
	return fixes
}
