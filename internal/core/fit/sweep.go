package fit

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// wayBlocked stops what cannot open in a stance because something stays in its
// way. What is itself opened, moved or carried away in the stance is not in the
// way; it only comes first.
func wayBlocked(s *Scene) []fitout.Finding {
	return s.each(func(p *Posture) []fitout.Finding {
		var found []fitout.Finding
		for _, o := range p.Open {
			part := &s.Parts[o.Part]
			carried := s.standOn(o.Part)
			for i := range s.Parts {
				box := p.Boxes[i]
				by := meets(&o, box)
				if i == o.Part || p.Gone[i] || least(by) <= slack || least(o.Closed.Overlap(box)) > slack {
					continue // clear, or told as a clash already
				}
				if contains(carried, i) || s.clears(p, i, o.Swept) {
					continue
				}
				f := about("way-blocked", fitout.Stop, part)
				f.With = []string{s.Parts[i].ID}
				f.Title = fmt.Sprintf("%s cannot open for %s", part.Name(), words.Lower(s.Parts[i].Name()))
				f.Sentence = fmt.Sprintf("On its way %s meets %s, by %s. Move that %s, or put it elsewhere first.",
					words.Lower(part.Name()), words.Lower(s.Parts[i].Name()), s.Say.Length(least(by)),
					s.said(apart(box, o.Swept, nil)))
				f.Value, f.Margin = least(by), -least(by)
				f.Lines = []fitout.Line{line(part.Box.Middle(), box.Cut(o.Swept).Middle(), s.Say.Length(least(by)))}
				away := edit(
					"Put "+words.Lower(s.Parts[i].Name())+" outside in this stance",
					"outside",
					s.Parts[i].ID,
					0,
				)
				away.Edit.With = p.Stance.ID
				f.Fixes = []fitout.Fix{away}
				if box == s.Parts[i].Box {
					f.Fixes = append(f.Fixes, s.moves(&s.Parts[i], o.Swept, nil)...)
				}
				found = append(found, f)
			}
		}
		return found
	})
}

// meets is how far what opens reaches into a box on its way: a slide that comes down does so only once it is out, so
// that what it stands on is not in its way.
func meets(o *OpenLeaf, box fitout.Box) fitout.Point {
	by := o.Swept.Overlap(box)
	down := o.Closed.From.Z - o.Leaf.Open.From.Z
	if least(by) <= slack || down <= slack || o.Closed.Size() != o.Leaf.Open.Size() {
		return by
	}
	out := o.Closed.Around(o.Leaf.Open.Moved(0, 0, down)).Overlap(box)
	lower := o.Leaf.Open.Around(o.Leaf.Open.Moved(0, 0, down)).Overlap(box)
	if least(out) > least(lower) {
		return out
	}
	return lower
}

// clears tells whether a part gets out of a room by being open itself.
func (s *Scene) clears(p *Posture, i int, room fitout.Box) bool {
	opens := false
	for _, o := range p.Open {
		if o.Part == i && s.Parts[i].Motion != Drawers && o.Closed == p.Boxes[i] {
			opens = true
			if least(o.Leaf.Open.Overlap(room)) > slack {
				return false
			}
		}
	}
	return opens
}

func contains(list []int, n int) bool {
	for _, i := range list {
		if i == n {
			return true
		}
	}
	return false
}
