package fit

import (
	"fmt"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/words"
)

// liftsOut calls back for the parts that the brief wants to come out: its entry
// has the part's id or its name.
func (s *Scene) liftsOut(tell func(i int, want *fitout.LiftOut)) {
	for k := range s.Brief.Daily.LiftOut {
		want := &s.Brief.Daily.LiftOut[k]
		i := indexOf(s.Parts, want.ID)
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

// liftOut cautions about a part that has to come out and is too heavy for those
// who are there to lift it.
func liftOut(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	s.liftsOut(func(i int, want *fitout.LiftOut) {
		p := &s.Parts[i]
		people := max(1, want.People)
		most := people * s.Practice.OneLifts
		if !quantity.Exceeds(p.Kg(), most) {
			return
		}
		f := about("lift-out", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s is too heavy to lift out", p.Name())
		f.Sentence = fmt.Sprintf("%s weighs %s with what lies in it; %.0f to lift it should have no more than %s. Empty it "+
			"first, split it, or make it %s lighter.", p.Name(), s.Say.Mass(p.Kg()), people, s.Say.Mass(most),
			s.Say.MassAtLeast(p.Kg()-most))
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = p.Kg(), most, most-p.Kg(), "kg", "workshop rule"
		found = append(found, f)
	})
	return found
}

// lockedIn notes what has to go out before a part that is to come out.
func lockedIn(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	s.liftsOut(func(i int, _ *fitout.LiftOut) {
		p := &s.Parts[i]
		first := s.before(i)
		if len(first) == 0 {
			return
		}
		var names []string
		for _, k := range first {
			names = append(names, words.Lower(s.Parts[k].Name()))
		}
		f := about("locked-in", fitout.Note, p)
		f.Title = fmt.Sprintf("%d before %s comes out", len(first), words.Lower(p.Name()))
		f.Sentence = fmt.Sprintf("Between %s and the opening stand %s: they go in after it and out before it.",
			words.Lower(p.Name()), words.List(names))
		f.Value, f.Margin, f.Unit = float64(len(first)), -float64(len(first)), ""
		found = append(found, f)
	})
	return found
}

// before are the parts that stand between one and the opening of its bay.
func (s *Scene) before(i int) []int {
	p := &s.Parts[i]
	bay := s.bay(p)
	if bay == nil || !bay.Opening.Known {
		return nil
	}
	path := bay.Path(p.Box)
	var first []int
	for k := range s.Parts {
		if k != i && least(path.Overlap(s.Parts[k].Box)) > slack {
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
