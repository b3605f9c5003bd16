package fit

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// openTogether stops two things, or a thing and the door of its bay, that are
// open in one place in a stance.
func openTogether(s *Scene) []fitout.Finding {
	return s.each(func(p *Posture) []fitout.Finding {
		var found []fitout.Finding
		tell := func(a *Part, b, with string, own, other fitout.Box) {
			by, at := own.Overlap(other), own.Cut(other)
			f := about("open-together", fitout.Stop, a)
			f.With = []string{with}
			f.Title = fmt.Sprintf("%s and %s cannot be open together", a.Name(), words.Lower(b))
			f.Sentence = fmt.Sprintf("Open, %s and %s reach %s into each other. Open one at a time, or move %s %s.",
				words.Lower(a.Name()), words.Lower(b), s.Say.Length(least(by)), words.Lower(a.Name()),
				s.said(apart(own, other, nil)))
			f.Value, f.Margin = least(by), -least(by)
			f.Lines = []fitout.Line{line(a.Box.Middle(), at.Middle(), s.Say.Length(least(by)))}
			if a.Box == p.Boxes[indexOf(s.Parts, a.ID)] {
				f.Fixes = s.movesBy(a, steps(own, other), nil)
			}
			for _, id := range []string{a.ID, with} {
				if one := s.part(id); one != nil {
					f.Fixes = append(f.Fixes, p.leaveShut(one))
				}
			}
			found = append(found, f)
		}
		for i, a := range p.Open {
			for _, b := range p.Open[i+1:] {
				if by := a.Leaf.Open.Overlap(b.Leaf.Open); a.Part != b.Part && least(by) > slack &&
					!contains(s.standOn(a.Part), b.Part) && !contains(s.standOn(b.Part), a.Part) {
					tell(&s.Parts[a.Part], s.Parts[b.Part].Name(), s.Parts[b.Part].ID, a.Leaf.Open, b.Leaf.Open)
				}
			}
			for _, d := range p.Doors {
				door, _, ok := p.Door(&s.Bays[d])
				if by := a.Leaf.Open.Overlap(door); ok && least(by) > slack {
					tell(&s.Parts[a.Part], "the door of "+s.Bays[d].Name, s.Bays[d].ID, a.Leaf.Open, door)
				}
			}
		}
		return found
	})
}
