package space

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// behindCab are the kinds of space that stand behind the cab of a ute; others are in it, over it or under it.
var behindCab = map[fitout.BayKind]bool{
	fitout.BayTub: true, fitout.BayCanopyLeft: true, fitout.BayCanopyRight: true, fitout.BayCanopyRear: true,
	fitout.BayLivingBox: true, fitout.BayHeadboard: true, fitout.BayRearWall: true,
}

// bayInCab cautions of a space behind the cab of a ute that begins within the cab: where one of them was measured
// wrongly, every length of that space is, and all that stands in it is told too far in front. What begins over the
// cab's roof is none of it, nor is a space in which people ride.
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
		if b.Shared || !behindCab[b.Kind] || into <= tapeSlack || room.From.Z >= o.Height-tapeSlack {
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
