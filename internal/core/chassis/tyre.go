package chassis

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// air is what a tyre wants free around it for mud and for its own give, mm (practice).
const air = 20.0

// Envelope is all the room that one tyre takes: turned by its lock to either side, and up to its bump stop.
type Envelope struct {
	Name string
	Box  fitout.Box
}

// EnvelopeOf is the box around a tyre of a width and radius whose middle is at a place: turned by a lock δ
// it is r cos δ + w/2 sin δ long to each end and r sin δ + w/2 cos δ wide to each side, and comes up by its
// bump, all in mm and degrees.
func EnvelopeOf(at fitout.Point, radius, width, lock, bump float64) fitout.Box {
	sin, cos := math.Sincos(lock * math.Pi / 180)
	long, wide := radius, width/2
	if lock > 0 {
		// The widest is reached on the way there: at atan(2r/w) at most.
		if corner := math.Atan2(2*radius, width); lock*math.Pi/180 > corner {
			wide = math.Hypot(radius, width/2)
		} else {
			wide = radius*sin + width/2*cos
		}
		// The longest is a little beyond straight ahead, where the corner of the tread comes to the front.
		if corner := math.Atan2(width/2, radius); lock*math.Pi/180 > corner {
			long = math.Hypot(radius, width/2)
		} else {
			long = radius*cos + width/2*sin
		}
	}
	return fitout.Box{From: fitout.Point{X: at.X - long - air, Y: at.Y - wide - air, Z: at.Z - radius},
		To: fitout.Point{X: at.X + long + air, Y: at.Y + wide + air, Z: at.Z + radius + bump + air}}
}

// envelopes are those of all four wheels; none where their width was not measured.
func envelopes(p *plan.Plan) []Envelope {
	v := p.Vehicle
	if v.TyreWidth == 0 {
		return nil
	}
	var all []Envelope
	for _, side := range []struct {
		name string
		y    float64
	}{{"left", -1}, {"right", 1}} {
		all = append(
			all,
			Envelope{
				"front " + side.name + " tyre",
				EnvelopeOf(fitout.Point{Y: side.y * v.TrackFront / 2, Z: v.TyreRadius}, v.TyreRadius,
					v.TyreWidth, v.SteeringLock, v.Front.Bump),
			},
			Envelope{
				"rear " + side.name + " tyre",
				EnvelopeOf(fitout.Point{X: p.Load.Wheelbase, Y: side.y * v.TrackRear / 2, Z: v.TyreRadius},
					v.TyreRadius, v.TyreWidth, 0, v.Rear.Bump),
			},
		)
	}
	return all
}

// tyreHits stops a part that a tyre reaches when the wheel is turned or comes up to its bump stop. What
// stands in a space on the floor is kept from it by that floor.
func tyreHits(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	s := scene.Of(p)
	for _, e := range envelopes(p) {
		for i := range s.Parts {
			part := &s.Parts[i]
			if floored(p, part) {
				continue
			}
			by := e.Box.Overlap(part.Box)
			if least := min(by.X, by.Y, by.Z); least > slack {
				f := about("tyre-hits", fitout.Stop, part)
				f.Subject.Measure = e.Name
				f.Title = fmt.Sprintf("The %s hits %s", e.Name, words.Lower(part.Name()))
				f.Sentence = fmt.Sprintf(
					"Turned, at its bump stop and with %s of air it reaches %s into it. Move it that far, make it smaller, or take "+
						"something off the travel.",
					p.Say.Length(air),
					p.Say.Length(least),
				)
				f.Over(least, 0, "mm")
				f.Lines = []fitout.Line{
					{From: e.Box.Cut(part.Box).Middle(), To: part.Box.Middle(), Label: p.Say.Length(least)},
				}
				found = append(found, f)
			}
		}
	}
	return found
}

// floored tells whether a part stands on the load floor or higher, or in a space with a floor of its own: that
// floor and its arches are between it and the tyre.
func floored(p *plan.Plan, part *scene.Part) bool {
	if part.Box.From.Z >= p.Vehicle.Outline.FloorHeight-slack {
		return true
	}
	for i := range p.Vehicle.Bays {
		if b := &p.Vehicle.Bays[i]; b.ID == part.Bay {
			return b.Kind != fitout.BayUnderTray && b.Kind != fitout.BayBetweenRails
		}
	}
	return false
}
