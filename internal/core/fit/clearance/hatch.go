package clearance

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
)

// leansOn tells whether a part stands out of a bay only where its hatch leans in.
func leansOn(b *scene.Bay, p *scene.Part) bool {
	_, side := scene.Outside(p.Box, b)
	return side == "rear" && b.RearTop != 0 && p.Box.To.X <= b.Room.To.X+scene.Slack
}

// HatchLean stops what fits at the floor but not where the hatch leans in.
func HatchLean(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := s.BayOf(p)
		if bay == nil || !leansOn(bay, p) {
			continue
		}
		limit := bay.RearAt(p.Box.To.Z)
		mm := p.Box.To.X - limit
		// The height at which the hatch stands just behind it: rearAt is a straight line.
		height := bay.Room.To.Z - bay.Room.From.Z
		lowTop := bay.Room.From.Z + height*(bay.Room.To.X-p.Box.To.X)/(bay.Room.To.X-bay.RearTop)
		lower := p.Box.To.Z - lowTop
		f := scene.About("hatch-lean", fitout.Stop, p)
		f.Title = fmt.Sprintf("%s meets the leaning hatch", p.Name())
		f.Sentence = fmt.Sprintf("At its upper edge the hatch stands %s further in than at the floor. Move %s forward, or "+
			"make it shorter, by %s; or lower by %s.", s.Say.Length(bay.Room.To.X-limit), p.Name(), s.Say.LengthAtLeast(mm),
			s.Say.LengthAtLeast(lower))
		f.Value, f.Limit, f.Margin = p.Box.To.X, limit, -mm
		f.Fixes = []fitout.Fix{scene.Edit("Move it forward by "+s.Say.Length(mm), "part-x", p.ID, p.Box.Middle().X-mm)}
		f.Lines = []fitout.Line{scene.Line(fitout.Point{X: limit, Y: p.Box.Middle().Y, Z: p.Box.To.Z},
			fitout.Point{X: p.Box.To.X, Y: p.Box.Middle().Y, Z: p.Box.To.Z}, s.Say.Length(mm))}
		found = append(found, f)
	}
	return found
}
