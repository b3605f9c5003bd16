package strength

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
)

// PanelSag cautions about a shelf, floor or platform that bends more than a
// 200th of its span under what stands on it, and under a person where one lies or
// stands: d = 5 W l³ / (384 E b t³/12) with the load W spread over the panel,
// held along its two long edges.
func PanelSag(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		m := p.Module()
		if module.Stiffness(m.Wall) == 0 || m.Panel == 0 || liesFlat(s, p) {
			continue
		}
		kg := 0.0
		switch {
		case p.Traits().Shelf:
		case p.Traits().Floor:
			kg = s.Practice.Standing
		default:
			continue
		}
		for _, k := range s.StandOn(i) {
			kg += s.Parts[k].Kg()
		}
		size := p.Box.Size()
		span, width := min(size.Length, size.Width), max(size.Length, size.Width)
		if span <= 0 {
			continue // a panel without a span is not drawn yet
		}
		sag := func(t float64) float64 { return module.Sag(m.Wall, kg, span, width, t) }
		most := span * module.SagShare
		if !quantity.Exceeds(sag(m.Panel), most) {
			continue
		}
		thick := m.Panel
		for sag(thick) > most {
			thick++
		}
		f := scene.About("panel-sag", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s bends under its load", p.Name())
		f.Sentence = fmt.Sprintf("Under %s it bends about %s over a span of %s; up to %s is borne. Make it %s thick, or "+
			"hold it in the middle. An estimate: panels differ.", s.Say.Mass(kg), s.Say.Length(sag(m.Panel)), s.Say.Length(span),
			s.Say.Length(most), s.Say.Length(thick))
		f.Value, f.Limit, f.Margin = sag(m.Panel), most, most-sag(m.Panel)
		from, to := p.Box.Middle(), p.Box.Middle()
		if size.Length < size.Width {
			from.X, to.X = p.Box.From.X, p.Box.To.X
		} else {
			from.Y, to.Y = p.Box.From.Y, p.Box.To.Y
		}
		f.Lines = []fitout.Line{scene.Line(from, to, s.Say.Length(span))}
		if thick <= size.Height+scene.Slack && p.Item != nil && p.Item.Source != fitout.ByScale {
			f.Fixes = []fitout.Fix{scene.Edit("Make it "+s.Say.Length(thick)+" thick", "panel-thickness", p.ID, thick)}
		}
		found = append(found, f)
	}
	return found
}

// liesFlat tells whether a panel lies on the floor of its space as a whole, which then carries it everywhere.
func liesFlat(s *scene.Scene, p *scene.Part) bool {
	bay := s.BayOf(p)
	return bay != nil && p.Box.From.Z <= bay.Room.From.Z+scene.Slack && p.Box.Size().Height <= p.Module().Panel+scene.Slack
}
