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
		count := map[string]int{}
		for _, c := range clashes {
			count[c.Part]++
		}
		var found []fitout.Finding
		told := map[string]bool{}
		for _, c := range clashes {
			if !told[c.Part] {
				told[c.Part] = true
				found = append(found, s.clash(c, count[c.Part]-1, p))
			}
		}
		return found
	})
}

func (s *Scene) clash(c Clash, more int, p *Posture) fitout.Finding {
	part := s.part(c.Part)
	var other, with string
	var otherBox fitout.Box
	box := p.Boxes[indexOf(s.Parts, c.Part)]
	in := box
	if c.Other == "" {
		bay := bayOf(s.Bays, part.Bay)
		otherBox = bay.Obstacles[c.Obstacle]
		other, in = words.Lower(bay.obstacleName(c.Obstacle)), box.Cut(otherBox)
		with = fmt.Sprintf("%s.%d", bay.ID, c.Obstacle)
	} else {
		otherBox = p.Boxes[indexOf(s.Parts, c.Other)]
		other, in = words.Lower(s.part(c.Other).Name()), box.Cut(otherBox)
		with = c.Other
	}
	by := least(c.By)
	f := about("parts-clash", fitout.Stop, part)
	f.With = []string{with}
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
