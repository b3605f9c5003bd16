package draw

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/shape"
)

// chassis are what the body stands on the frame with, and the aerials on the vehicle.
func (s *Scene) chassis() {
	v := s.plan.Vehicle
	for i := range v.BodyMounts {
		m := &v.BodyMounts[i]
		s.fixed("~mount-"+m.ID, m.Name, OfFitting, shape.BodyMount(m))
	}
	for i := range v.Marks {
		m := &v.Marks[i]
		if m.Kind != fitout.AerialMark {
			continue
		}
		foot := v.Outline.BonnetHeight
		if m.At.X > v.Outline.CabFront {
			foot = v.Outline.Height
		}
		s.fixed("~aerial-"+m.ID, m.Name, OfFitting, shape.Aerial(m.At, foot))
	}
}

// legs are those on which the carrier stands in a stance, from their feet up to its lowest.
func (s *Scene) legs(posture *scene.Posture) {
	c := s.plan.Vehicle.Carrier
	if c == nil || !posture.Stance.Off {
		return
	}
	top, known := 0.0, false
	for i := range s.fit.Bays {
		for _, of := range c.Bays {
			if room := s.fit.Bays[i].Room; of.Of == s.fit.Bays[i].ID && (!known || room.From.Z < top) {
				top, known = room.From.Z, true
			}
		}
	}
	if !known {
		top = s.plan.Vehicle.Outline.FloorHeight
	}
	for i := range c.Legs {
		l := &c.Legs[i]
		s.fixed("~leg-"+l.ID, l.Name, OfGround, shape.Leg(l.At, top))
	}
}

// ramps are those of what comes in over one, where its space is open in a stance.
func (s *Scene) ramps(posture *scene.Posture) {
	for i := range s.plan.Items {
		item := &s.plan.Items[i]
		if item.Loading == nil || item.Loading.Ramp == 0 {
			continue
		}
		for _, d := range posture.Doors {
			bay := &s.fit.Bays[d]
			if bay.ID != item.Bay || bay.Opening.Face == fitout.FaceTop || bay.Opening.Face == fitout.FaceNone {
				continue
			}
			gap := bay.Opening.Gap
			edge := gap.Middle()
			edge.Z = gap.From.Z
			s.fixed("~ramp-"+item.ID, "Ramp for "+item.Name, OfGround,
				shape.Ramp(edge, bay.Opening.Face, item.Loading.Ramp, min(item.Size.Width, item.Size.Length)*0.7))
		}
	}
}

// hammocks are those that hang in a stance.
func (s *Scene) hammocks(posture *scene.Posture) {
	mount := func(id string) *fitout.Mount {
		for i := range s.plan.Vehicle.Mounts {
			if s.plan.Vehicle.Mounts[i].ID == id {
				return &s.plan.Vehicle.Mounts[i]
			}
		}
		return nil
	}
	for _, h := range posture.Stance.Hung {
		if head, foot := mount(h.Head), mount(h.Foot); head != nil && foot != nil {
			s.fixed(
				"~hammock-"+h.Traveller,
				"Hammock",
				OfPlaced,
				shape.Hammock(head.At, foot.At, h.Low, scene.HammockBreadth),
			)
		}
	}
}

// turnedSeats are the seats that look elsewhere than ahead in a stance, as far as their size is said.
func (s *Scene) turnedSeats(posture *scene.Posture) {
	for _, t := range posture.Stance.Turned {
		for i := range s.plan.Vehicle.Seats {
			if seat := &s.plan.Vehicle.Seats[i]; seat.ID == t.Seat && seat.Size.Length > 0 && seat.Size.Width > 0 {
				s.fixed("~seat-"+seat.ID, seat.Name, OfPlaced, shape.TurnedSeat(seat, t.By, seat.At.Z-scene.SeatFoot))
			}
		}
	}
}

// fixed adds a thing of the vehicle or around it that does not open.
func (s *Scene) fixed(id, name string, kind Kind, solids []shape.Prism) {
	if len(solids) == 0 {
		return
	}
	s.things = append(s.things, thing{id: id, name: name, kind: kind, number: -1, solids: solids, box: around(solids),
		form: shape.Part{ID: id, Still: solids}})
}
