package fit

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// outsideBay stops a module that does not stand inside its bay.
func outsideBay(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := s.bay(p)
		if bay == nil || bay.leansOn(p) {
			continue
		}
		mm, side := Outside(p.Box, bay)
		if side == "" {
			continue
		}
		where := "at the " + side
		if side == "left" || side == "right" {
			where = "on the " + side
		}
		f := about("outside-bay", fitout.Stop, p)
		f.Title = fmt.Sprintf("%s stands out of its space", p.Name())
		f.Sentence = fmt.Sprintf("%s stands %s out of %s %s. Move it or make it smaller by that much.", p.Name(),
			s.Say.Length(mm), words.Lower(bay.Name), where)
		f.Value, f.Margin = mm, -mm
		if kind, value, ok := backInside(p.Box, side, mm); ok {
			f.Fixes = []fitout.Fix{edit("Move it in by "+s.Say.Length(mm), kind, p.ID, value)}
			b := p.Box
			b.From, b.To = b.Middle(), b.Middle()
			f.Lines = []fitout.Line{outLine(p.Box, side, mm, s.Say.Length(mm))}
		}
		found = append(found, f)
	}
	return found
}

// backInside is the middle of a part moved back by what stands out.
func backInside(b fitout.Box, side string, mm float64) (kind string, value float64, ok bool) {
	m := b.Middle()
	switch side {
	case "rear":
		return "part-x", m.X - mm, true
	case "front":
		return "part-x", m.X + mm, true
	case "right":
		return "part-y", m.Y - mm, true
	case "left":
		return "part-y", m.Y + mm, true
	case "top":
		return "part-z", m.Z - mm, true
	case "floor":
		return "part-z", m.Z + mm, true
	}
	return "", 0, false
}

// outLine is the measure of what stands out at one side.
func outLine(b fitout.Box, side string, mm float64, label string) fitout.Line {
	from := b.Middle()
	switch side {
	case "rear":
		from.X = b.To.X
	case "front":
		from.X = b.From.X
	case "right":
		from.Y = b.To.Y
	case "left":
		from.Y = b.From.Y
	case "top":
		from.Z = b.To.Z
	default:
		from.Z = b.From.Z
	}
	to := from
	switch side {
	case "rear":
		to.X -= mm
	case "front":
		to.X += mm
	case "right":
		to.Y -= mm
	case "left":
		to.Y += mm
	case "top":
		to.Z -= mm
	default:
		to.Z += mm
	}
	return line(from, to, label)
}
