package chassis

import (
	"fmt"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// What keeps clear of a hot exhaust, mm: anything by the first, what burns by the second. Practice; a shield of
// sheet with air behind it halves them, which is for whoever fits it to say.
const (
	besideExhaust = 100.0
	burnsBeside   = 300.0
)

// exhaustNear cautions of a part beside the hot exhaust, and stops one with something in it that burns. What stands
// in a space with a floor is kept from it by that floor.
func exhaustNear(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	s := fit.Of(p)
	for k := range p.Vehicle.Marks {
		m := &p.Vehicle.Marks[k]
		if m.Kind != fitout.ExhaustMark {
			continue
		}
		for i := range s.Parts {
			part := &s.Parts[i]
			burns := part.Nature().Burns
			wants := besideExhaust
			if burns {
				wants = burnsBeside
			}
			off := part.Box.Off(m.At)
			if off >= wants || floored(p, part) {
				continue
			}
			f := about("exhaust-near", fitout.Caution, part)
			f.With = []string{m.ID}
			f.Title = fmt.Sprintf("%s is %s from %s", part.Name(), p.Say.Length(off), words.Lower(m.Name))
			f.Sentence = fmt.Sprintf(
				"It gets hot there: plastic softens and cables char. Keep %s between them, %s more, or have a "+
					"shield fitted.",
				p.Say.Length(wants),
				p.Say.LengthAtLeast(wants-off),
			)
			if burns {
				f.Severity = fitout.Stop
				f.Sentence = fmt.Sprintf(
					"What is in it burns, and the exhaust is hot enough to light it. Keep %s between them, "+
						"%s more.",
					p.Say.Length(wants),
					p.Say.LengthAtLeast(wants-off),
				)
			}
			f.Under(off, wants, "mm")
			f.Source = "practice"
			f.Lines = []fitout.Line{{From: m.At, To: part.Box.Middle(), Label: p.Say.Length(off)}}
			found = append(found, f)
		}
	}
	return found
}

// Half of what a rear axle is thick, mm: of its tube, and of its gear in the middle, so far to each side. Practice.
const (
	axleTube  = 60.0
	axleGear  = 160.0
	gearWidth = 200.0
)

// AxleRoom is the room that a rear axle takes on its way up to the bump stop: its tube from wheel to wheel, and the
// gear in the middle of it, each as a box about the middle of the wheels, in mm.
func AxleRoom(wheelbase, track, radius, bump float64) [2]fitout.Box {
	about := func(half, wide float64) fitout.Box {
		return fitout.Box{From: fitout.Point{X: wheelbase - half - air, Y: -wide, Z: radius - half},
			To: fitout.Point{X: wheelbase + half + air, Y: wide, Z: radius + half + bump + air}}
	}
	return [2]fitout.Box{about(axleTube, track/2), about(axleGear, gearWidth)}
}

// axleHits stops a part that the rear axle reaches when it comes up to its bump stop.
func axleHits(p *plan.Plan) []fitout.Finding {
	v := p.Vehicle
	if v.TyreRadius == 0 || v.TrackRear == 0 {
		return nil
	}
	var found []fitout.Finding
	s := fit.Of(p)
	rooms := AxleRoom(p.Load.Wheelbase, v.TrackRear, v.TyreRadius, v.Rear.Bump)
	for i := range s.Parts {
		part := &s.Parts[i]
		into, room := 0.0, rooms[0]
		for _, r := range rooms {
			by := r.Overlap(part.Box)
			if least := min(by.X, by.Y, by.Z); least > into {
				into, room = least, r
			}
		}
		if into <= slack || floored(p, part) {
			continue
		}
		f := about("axle-hits", fitout.Stop, part)
		f.Title = "The rear axle hits " + words.Lower(part.Name())
		f.Sentence = fmt.Sprintf(
			"At its bump stop, with %s of air, it reaches %s into it, by the usual size of such an axle: "+
				"measure yours. Move it that far, or make it smaller.",
			p.Say.Length(air),
			p.Say.LengthAtLeast(into),
		)
		f.Over(into, 0, "mm")
		f.Source = "practice"
		f.Lines = []fitout.Line{{From: room.Cut(part.Box).Middle(), To: part.Box.Middle(), Label: p.Say.Length(into)}}
		found = append(found, f)
	}
	return found
}
