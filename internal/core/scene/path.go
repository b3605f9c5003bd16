package scene

import (
	"strings"

	"zaino/internal/core/fitout"
)

// LiftsOut calls back for the parts that the brief wants to come out: its entry
// has the part's id or its name.
func (s *Scene) LiftsOut(tell func(i int, want *fitout.LiftOut)) {
	for k := range s.Brief.Daily.LiftOut {
		want := &s.Brief.Daily.LiftOut[k]
		i := IndexOf(s.Parts, want.ID)
		for k := range s.Parts {
			if i < 0 && strings.EqualFold(s.Parts[k].Name(), want.Name) {
				i = k
			}
		}
		if i >= 0 {
			tell(i, want)
		}
	}
}

// Before are the parts that stand between one and the opening of its bay.
func (s *Scene) Before(i int) []int {
	p := &s.Parts[i]
	bay := s.BayOf(p)
	if bay == nil || !bay.Opening.Known {
		return nil
	}
	path := bay.Path(p.Box)
	var first []int
	for k := range s.Parts {
		if k != i && Least(path.Overlap(s.Parts[k].Box)) > Slack {
			first = append(first, k)
		}
	}
	return first
}

// Path is the room straight from a box to the opening of its bay.
func (b *Bay) Path(box fitout.Box) fitout.Box {
	gap := b.Opening.Gap
	switch b.Opening.Face {
	case fitout.FaceRear:
		box.From.X, box.To.X = box.To.X, gap.To.X
	case fitout.FaceFront:
		box.From.X, box.To.X = gap.From.X, box.From.X
	case fitout.FaceRight:
		box.From.Y, box.To.Y = box.To.Y, gap.To.Y
	case fitout.FaceLeft:
		box.From.Y, box.To.Y = gap.From.Y, box.From.Y
	default:
		box.From.Z, box.To.Z = box.To.Z, gap.To.Z
	}
	return box
}
