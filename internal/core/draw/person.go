package draw

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/shape"
)

// PersonID is the id of who stands beside the vehicle.
const PersonID = "~person"

// somebody is a traveller who stands before what is in focus, or behind the vehicle, with
// one arm in and one up as far as they reach; on the ground beside the body.
func (s *Scene) somebody(w *DrawingWish) (thing, bool) {
	b := s.fit.Brief
	for i := range b.Travellers {
		t := &b.Travellers[i]
		if t.ID != w.Person || t.Height == 0 {
			continue
		}
		face, at := fitout.FaceRear, fitout.Point{X: s.plan.Load.Wheelbase + s.plan.Vehicle.Outline.RearOverhang + 420}
		if i := s.plan.Index(w.Focus); i >= 0 && s.plan.Items[i].Module != nil {
			face = s.plan.Items[i].Module.Faces
		}
		for k := range s.fit.Bays {
			if s.fit.Bays[k].ID == w.Focus {
				face = s.fit.Bays[k].Opening.Face
			}
		}
		if box, ok := s.Box(w.Focus); ok {
			beside := shape.HalfWidth(s.plan.Vehicle) + 380
			switch face {
			case fitout.FaceLeft:
				at = fitout.Point{X: box.Middle().X, Y: -beside}
			case fitout.FaceRight:
				at = fitout.Point{X: box.Middle().X, Y: beside}
			default:
				at.Y = box.Middle().Y
			}
		}
		if face != fitout.FaceLeft && face != fitout.FaceRight {
			face = fitout.FaceRear
		}
		form := shape.Standing(PersonID, at, t.Height, t.Height*b.Assumptions.ArmShare,
			t.Height*b.Assumptions.GripShare, face)
		return thing{id: PersonID, name: t.Name, kind: OfPerson, number: -1, solids: form.Still, box: around(form.Still)}, true
	}
	return thing{}, false
}
