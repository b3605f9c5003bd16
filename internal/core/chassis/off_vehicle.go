package chassis

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// besideVehicle is how far outside of the vehicle, its spaces and its fitout a point of it may be, mm: a lamp on a
// long bracket. Further out something was measured from elsewhere, or has a figure too many.
const besideVehicle = 600.0

// offVehicle cautions of a place that was entered for something on the vehicle and lies off it: every rule that
// goes by it looks at the wrong place.
func offVehicle(p *plan.Plan) []fitout.Finding {
	body, known := bodyOf(p)
	if !known {
		return nil
	}
	var found []fitout.Finding
	look := func(kind, id, name string, at fitout.Point) {
		off := body.Off(at)
		if off <= besideVehicle+slack {
			return
		}
		f := fitout.Finding{
			Rule: "off-the-vehicle", Severity: fitout.Caution, Subject: fitout.Subject{Kind: kind, ID: id}, Source: "physics",
		}
		f.Title = fmt.Sprintf("%s lies off the vehicle", name)
		f.Sentence = fmt.Sprintf(
			"The place entered for %s is %s outside of the vehicle. Lengths go rearward from the front axle, widths "+
				"from the middle, heights from the ground: measure it again, and bring it nearer by %s.",
			words.Lower(name),
			p.Say.Length(off),
			p.Say.LengthAtLeast(off-besideVehicle),
		)
		f.Over(off, besideVehicle, "mm")
		found = append(found, f)
	}
	v := p.Vehicle
	for i := range v.Mounts {
		look("point", v.Mounts[i].ID, v.Mounts[i].Name, v.Mounts[i].At)
	}
	for i := range v.Marks {
		look("point", v.Marks[i].ID, v.Marks[i].Name, v.Marks[i].At)
	}
	for i := range v.LowPoints {
		look("vehicle", v.LowPoints[i].ID, v.LowPoints[i].Name, v.LowPoints[i].At)
	}
	for i := range v.Parts {
		part := &v.Parts[i]
		look("part", part.ID, part.Name, part.At)
		if part.State == fitout.Moved && part.MovedTo != nil {
			look("part", part.ID, part.Name, *part.MovedTo)
		}
	}
	for i := range v.Modifications {
		look("modification", v.Modifications[i].ID, v.Modifications[i].Name, v.Modifications[i].At)
	}
	for i := range v.Tanks {
		look("tank", v.Tanks[i].ID, v.Tanks[i].Name, v.Tanks[i].At)
	}
	for i := range v.Seats {
		look("seat", v.Seats[i].ID, v.Seats[i].Name, v.Seats[i].At)
	}
	for i := range p.Variant.Plumbing.Vessels {
		vessel := &p.Variant.Plumbing.Vessels[i]
		if vessel.Filler != nil {
			look("plumbing", vessel.Of, "The filler", vessel.Filler.At)
		}
	}
	for i := range p.Variant.Plumbing.Outlets {
		o := &p.Variant.Plumbing.Outlets[i]
		look("plumbing", o.ID, o.Name, o.At)
	}
	return found
}

// bodyOf is the vehicle from its front to what stands furthest behind, with its spaces and all that is fitted in or
// on it; it is not known where the outline was not measured.
func bodyOf(p *plan.Plan) (fitout.Box, bool) {
	o := &p.Vehicle.Outline
	if o.Width == 0 || o.Height == 0 {
		return fitout.Box{}, false
	}
	body := fitout.Box{
		From: fitout.Point{X: -o.FrontOverhang, Y: -o.Width / 2},
		To: fitout.Point{
			X: p.Load.Wheelbase + max(o.RearOverhang, p.Vehicle.Hitch.Overhang), Y: o.Width / 2, Z: o.Height,
		},
	}
	s := scene.Of(p)
	for i := range s.Bays {
		body = body.Around(s.Bays[i].Room)
	}
	for i := range s.Parts {
		body = body.Around(s.Parts[i].Box)
	}
	return body, true
}
