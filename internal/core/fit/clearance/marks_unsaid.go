package clearance

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// atTail is how near to the rear end of the body something stands that may hide a lamp or the plate, mm.
const atTail = 150.0

// MarksUnsaid notes a part outside the spaces or on the rear wall, at the tail, of a vehicle of which no lamp and no
// plate is listed: nothing is found about what it hides.
func MarksUnsaid(s *scene.Scene) []fitout.Finding {
	if slices.ContainsFunc(s.Vehicle.Marks, func(m fitout.Mark) bool {
		return m.Kind == fitout.LampMark || m.Kind == fitout.PlateMark
	}) {
		return nil
	}
	var last *scene.Part // the one that stands furthest back
	for i := range s.Parts {
		p := &s.Parts[i]
		outside := p.Bay == ""
		if bay := s.BayOf(p); bay != nil {
			outside = bay.Kind == fitout.BayRearWall
		}
		further := last == nil || p.Box.To.X > last.Box.To.X || p.Box.To.X == last.Box.To.X && p.ID < last.ID
		if outside && further && p.Box.To.X > s.Wheelbase+s.Vehicle.Outline.RearOverhang-atTail {
			last = p
		}
	}
	if last == nil {
		return nil
	}
	f := scene.About("marks-unsaid", fitout.Note, last)
	f.Title = "No lamp and no plate is listed"
	f.Sentence = fmt.Sprintf(
		"%s stands at the tail, and nothing is found about what it hides. List lamps, plate, filler and "+
			"what else must stay free under Vehicle, On it.",
		words.Capital(last.Name()),
	)
	f.Margin, f.Source = -1, "practice"
	return []fitout.Finding{f}
}
