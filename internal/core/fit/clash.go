package fit

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// partsClash stops two modules, or a module and what stands in its bay, in the
// same place, in any stance: one finding a part, with the first that it stands in.
func partsClash(s *Scene) []fitout.Finding {
	return s.each(func(p *Posture) []fitout.Finding {
		parts := make([]Part, 0, len(s.Parts))
		for i := range s.Parts {
			if p.Gone[i] {
				continue
			}
			part := s.Parts[i]
			if p.moved(s, i) {
				part.Bay = "" // out of it, or carried out
			}
			part.Box = p.Boxes[i]
			parts = append(parts, part)
		}
		clashes := Clashes(parts, s.Bays)
		of := map[string][]Clash{}
		for _, c := range clashes {
			of[c.Part] = append(of[c.Part], c)
		}
		var found []fitout.Finding
		for _, c := range clashes {
			if all := of[c.Part]; all != nil {
				of[c.Part] = nil
				found = append(found, s.clash(all, p))
			}
		}
		return found
	})
}

// clash is about all that one part stands in, so that letting one of them stand lets no other stand; it tells the first.
func (s *Scene) clash(all []Clash, p *Posture) fitout.Finding {
	c, more := all[0], len(all)-1
	part := s.part(c.Part)
	var other string
	var otherBox fitout.Box
	box := p.Boxes[indexOf(s.Parts, c.Part)]
	in := box
	if c.Other == "" {
		bay := bayOf(s.Bays, part.Bay)
		otherBox = bay.Obstacles[c.Obstacle]
		other, in = words.Lower(bay.obstacleName(c.Obstacle)), box.Cut(otherBox)
	} else {
		otherBox = p.Boxes[indexOf(s.Parts, c.Other)]
		other, in = words.Lower(s.part(c.Other).Name()), box.Cut(otherBox)
	}
	by := least(c.By)
	f := about("parts-clash", fitout.Stop, part)
	for _, one := range all {
		if one.Other != "" {
			f.With = append(f.With, one.Other)
		} else {
			f.With = append(f.With, fmt.Sprintf("%s.%d", part.Bay, one.Obstacle))
		}
	}
	f.Title = fmt.Sprintf("%s and %s in one place", part.Name(), other)
	f.Sentence = fmt.Sprintf(
		"%s reaches %s into %s. Move it %s, or that the other way.",
		part.Name(),
		s.Say.Length(by),
		other,
		s.said(apart(box, otherBox, nil)),
	)
	if more > 0 {
		f.Sentence += fmt.Sprintf(" It stands in %d more.", more)
	}
	f.Value, f.Margin = by, -by
	m := in.Middle()
	from, to := m, m
	switch by {
	case c.By.X:
		from.X, to.X = in.From.X, in.To.X
	case c.By.Y:
		from.Y, to.Y = in.From.Y, in.To.Y
	default:
		from.Z, to.Z = in.From.Z, in.To.Z
	}
	f.Lines = []fitout.Line{line(from, to, s.Say.Length(by))}
	if p.Stance.ID == "" && more == 0 {
		f.Fixes = s.moves(part, otherBox, nil)
		if other := s.part(c.Other); other != nil {
			f.Fixes = append(f.Fixes, s.moves(other, box, nil)...)
		}
	}
	return f
}

func (b *Bay) obstacleName(index int) string {
	if index < len(b.Names) {
		return b.Names[index]
	}
	return "an obstacle"
}
