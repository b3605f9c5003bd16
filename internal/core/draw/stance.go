package draw

import (
	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/shape"
)

// usualHeight is how tall somebody is drawn whose height nobody entered, mm.
const usualHeight = 1700.0

// around a stance stand people and things on the ground.
func (s *Scene) surroundings(posture *fit.Posture) {
	add := func(id, name string, kind Kind, solids []shape.Prism) {
		s.things = append(
			s.things,
			thing{id: id, name: name, kind: kind, number: -1, solids: solids, box: around(solids),
				form: shape.Part{ID: id, Still: solids}},
		)
	}
	for i := range posture.Stance.Ground {
		g := &posture.Stance.Ground[i]
		add(shape.GroundID+g.ID, g.Name, OfGround, shape.Ground(g))
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
			add(shape.PlacedID+t.ID, t.Name, OfPlaced, shape.Placed(placed.Does, placed.At, tall))
		}
	}
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
