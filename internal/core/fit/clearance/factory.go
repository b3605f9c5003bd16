package clearance

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// PartInWay stops what stands, or opens, where a part of the vehicle itself is: the spare wheel under the floor, a
// jack, a step. Of a part without a size nobody said that it takes room where the fitout could stand.
func PartInWay(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Vehicle.Parts {
		factory := &s.Vehicle.Parts[i]
		box, takesRoom := factory.Room()
		if !takesRoom {
			continue
		}
		stands := map[string]bool{}
		for k := range s.Parts {
			p := &s.Parts[k]
			if by := scene.Least(p.Box.Overlap(box)); by > scene.Slack {
				stands[p.ID] = true
				f := inTheWayOf(s, p, factory, box, p.Box)
				f.Title = fmt.Sprintf("%s stands where %s is", p.Name(), words.Lower(factory.Name))
				f.Sentence = fmt.Sprintf(
					"It reaches %s into it. %s",
					s.Say.Length(by),
					s.Clearing("it", p, nil, scene.Steps(p.Box, box),
						"take "+words.Lower(factory.Name)+" off, or elsewhere, with its mass"),
				)
				f.Fixes = s.Moves(p, box, nil)
				found = append(found, f)
			}
		}
		found = append(found, s.Each(func(p *scene.Posture) []fitout.Finding {
			var found []fitout.Finding
			for k := range p.Open {
				o := &p.Open[k]
				part := &s.Parts[o.Part]
				by := scene.Least(scene.Meets(o, box))
				if by <= scene.Slack || stands[part.ID] || p.Gone[o.Part] {
					continue
				}
				f := inTheWayOf(s, part, factory, box, o.Swept)
				f.Title = fmt.Sprintf("%s cannot open for %s", part.Name(), words.Lower(factory.Name))
				f.Sentence = fmt.Sprintf(
					"On its way it meets %s, by %s. Move %s %s, or it the other way.",
					words.Lower(factory.Name),
					s.Say.Length(by),
					words.Lower(factory.Name),
					s.Said(scene.Apart(box, o.Swept, nil)),
				)
				found = append(found, f)
			}
			return found
		})...)
	}
	return found
}

// inTheWayOf begins a finding about a part and a part of the vehicle that meets a box of it.
func inTheWayOf(s *scene.Scene, p *scene.Part, factory *fitout.Part, box, of fitout.Box) fitout.Finding {
	f := scene.About("part-in-way", fitout.Stop, p)
	f.With = []string{factory.ID}
	by := scene.Least(of.Overlap(box))
	f.Value, f.Margin = by, -by
	f.Lines = []fitout.Line{scene.Line(p.Box.Middle(), of.Cut(box).Middle(), s.Say.Length(by))}
	return f
}
