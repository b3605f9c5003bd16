package space

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// bayInCab cautions of a space behind the cab of a ute that begins within the cab: where one of them was measured
// wrongly, every length of that space is, and all that stands in it is told too far in front. Nobody rides in such
// a space, and what stands over the cab's roof, or under its floor, is none of it.
func bayInCab(p *plan.Plan) []fitout.Finding {
	o := &p.Vehicle.Outline
	if o.Body != fitout.BodyTray && o.Body != fitout.BodyTub || o.CabRear == 0 {
		return nil
	}
	var found []fitout.Finding
	for i := range p.Vehicle.Bays {
		b := &p.Vehicle.Bays[i]
		room := RoomBox(b)
		into := o.CabRear - room.From.X
		if b.Shared || into <= tapeSlack || room.To.X <= o.CabFront || room.From.Z >= o.Height-tapeSlack ||
			room.To.Z < o.SillHeight || room.From.Z < o.SillHeight {
			continue
		}
		f := fitout.Finding{
			Rule: "bay-in-cab", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "bay", ID: b.ID, Measure: "at/x"},
			Title: fmt.Sprintf("%s begins %s within the cab", b.Name, p.Say.Length(into)), Source: "physics",
			Sentence: fmt.Sprintf(
				"It begins %s behind the front axle, and the cab ends at %s. Measure both again: move %s back by "+
					"%s, or where the cab ends forward.",
				p.Say.Length(room.From.X),
				p.Say.Length(o.CabRear),
				words.Lower(b.Name),
				p.Say.LengthAtLeast(into),
			),
		}
		f.Under(room.From.X, o.CabRear, "mm")
		found = append(found, f)
	}
	return found
}
