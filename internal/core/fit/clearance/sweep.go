package clearance

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// WayBlocked stops what cannot open in a stance because something stays in its
// way. What is itself opened, moved or carried away in the stance is not in the
// way; it only comes first.
func WayBlocked(s *scene.Scene) []fitout.Finding {
	return s.Each(func(p *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		for _, o := range p.Open {
			part := &s.Parts[o.Part]
			carried := s.StandOn(o.Part)
			for i := range s.Parts {
				box := p.Boxes[i]
				by := scene.Meets(&o, box)
				if i == o.Part || p.Gone[i] || scene.Least(by) <= scene.Slack || scene.Least(o.Closed.Overlap(box)) > scene.Slack {
					continue // clear, or told as a clash already
				}
				if slices.Contains(carried, i) || s.Clears(p, i, o.Swept) {
					continue
				}
				f := scene.About("way-blocked", fitout.Stop, part)
				f.With = []string{s.Parts[i].ID}
				f.Title = fmt.Sprintf("%s cannot open for %s", part.Name(), words.Lower(s.Parts[i].Name()))
				f.Sentence = fmt.Sprintf("On its way %s meets %s, by %s. %s",
					words.Lower(part.Name()), words.Lower(s.Parts[i].Name()), s.Say.Length(scene.Least(by)),
					s.Clearing("that", &s.Parts[i], p, scene.Steps(box, o.Swept), "put it elsewhere first"))
				f.Value, f.Margin = scene.Least(by), -scene.Least(by)
				f.Lines = []fitout.Line{scene.Line(part.Box.Middle(), box.Cut(o.Swept).Middle(), s.Say.Length(scene.Least(by)))}
				away := scene.Edit(
					"Put "+words.Lower(s.Parts[i].Name())+" outside in this stance",
					"outside",
					s.Parts[i].ID,
					0,
				)
				away.Edit.With = p.Stance.ID
				f.Fixes = []fitout.Fix{away}
				if box == s.Parts[i].Box {
					f.Fixes = append(f.Fixes, s.Moves(&s.Parts[i], o.Swept, nil)...)
				}
				found = append(found, f)
			}
		}
		return found
	})
}
