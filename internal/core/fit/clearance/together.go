package clearance

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// OpenTogether stops two things, or a thing and the door of its bay, that are
// open in one place in a stance.
func OpenTogether(s *scene.Scene) []fitout.Finding {
	return s.Each(func(p *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		tell := func(a *scene.Part, b, with string, own, other fitout.Box) {
			by, at := own.Overlap(other), own.Cut(other)
			f := scene.About("open-together", fitout.Stop, a)
			f.With = []string{with}
			f.Title = fmt.Sprintf("%s and %s cannot be open together", a.Name(), words.Lower(b))
			f.Sentence = fmt.Sprintf("Open, %s and %s reach %s into each other. %s", words.Lower(a.Name()), words.Lower(b),
				s.Say.Length(scene.Least(by)), s.Clearing(words.Lower(a.Name()), a, p,
					scene.Steps(own, other), "open one at a time"))
			f.Value, f.Margin = scene.Least(by), -scene.Least(by)
			f.Lines = []fitout.Line{scene.Line(a.Box.Middle(), at.Middle(), s.Say.Length(scene.Least(by)))}
			if a.Box == p.Boxes[scene.IndexOf(s.Parts, a.ID)] {
				f.Fixes = s.MovesBy(a, scene.Steps(own, other), nil)
			}
			for _, id := range []string{a.ID, with} {
				if one := s.Part(id); one != nil {
					f.Fixes = append(f.Fixes, p.LeaveShut(one))
				}
			}
			found = append(found, f)
		}
		for i, a := range p.Open {
			for _, b := range p.Open[i+1:] {
				if by := a.Leaf.Open.Overlap(b.Leaf.Open); a.Part != b.Part && scene.Least(by) > scene.Slack &&
					!slices.Contains(s.StandOn(a.Part), b.Part) && !slices.Contains(s.StandOn(b.Part), a.Part) {
					tell(&s.Parts[a.Part], s.Parts[b.Part].Name(), s.Parts[b.Part].ID, a.Leaf.Open, b.Leaf.Open)
				}
			}
			for _, d := range p.Doors {
				door, _, ok := p.Door(&s.Bays[d])
				if by := a.Leaf.Open.Overlap(door); ok && scene.Least(by) > scene.Slack {
					tell(&s.Parts[a.Part], "the door of "+s.Bays[d].Name, s.Bays[d].ID, a.Leaf.Open, door)
				}
			}
		}
		return found
	})
}
