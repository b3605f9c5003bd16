package draw

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/shape"
)

// usualHeight is how tall somebody is drawn whose height nobody entered, mm.
const usualHeight = 1700.0

// surroundings are what stands in a stance besides the parts: people, things on the ground, legs and ramps,
// hammocks and seats that are turned.
func (s *Scene) surroundings(posture *scene.Posture) {
	for i := range posture.Stance.Ground {
		g := &posture.Stance.Ground[i]
		s.fixed(shape.GroundID+g.ID, g.Name, OfGround, shape.Ground(g))
	}
	for _, placed := range posture.Stance.People {
		for i := range s.plan.Job.Brief.Travellers {
			t := &s.plan.Job.Brief.Travellers[i]
			if t.ID != placed.Traveller {
				continue
			}
			tall := t.Height
			if tall == 0 {
				tall = usualHeight
			}
			s.fixed(shape.PlacedID+t.ID, t.Name, OfPlaced, shape.Placed(placed.Does, placed.At, tall))
		}
	}
	s.legs(posture)
	s.ramps(posture)
	s.hammocks(posture)
	s.turnedSeats(posture)
}

// windows are the further openings of spaces, as frames in their faces.
func (s *Scene) windows() {
	for i := range s.fit.Bays {
		bay := &s.fit.Bays[i]
		for k := range bay.More {
			o := &bay.More[k]
			glass := o.Gap
			for _, side := range [][2]*float64{{&glass.From.X, &glass.To.X}, {&glass.From.Y, &glass.To.Y}, {&glass.From.Z, &glass.To.Z}} {
				if *side[1]-*side[0] < 1 {
					*side[0], *side[1] = *side[0]-8, *side[1]+8
				}
			}
			id := "~opening-" + bay.ID + "-" + o.Said.ID
			solids := []shape.Prism{shape.Pane(glass, o.Said.Use == fitout.ForAir || o.Said.Use == fitout.ForSight)}
			s.things = append(
				s.things,
				thing{
					id:     id,
					name:   o.Said.Name,
					kind:   OfFitting,
					number: -1,
					bay:    bay.ID,
					solids: solids,
					box:    around(solids),
					form:   shape.Part{ID: id, Still: solids},
				},
			)
		}
	}
}
