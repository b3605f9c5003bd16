package scene

import (
	"zaino/internal/core/fitout"
)

// Meets is how far what opens reaches into a box on its way: a slide that comes down does so only once it is out, so
// that what it stands on is not in its way.
func Meets(o *OpenLeaf, box fitout.Box) fitout.Point {
	by := o.Swept.Overlap(box)
	down := o.Closed.From.Z - o.Leaf.Open.From.Z
	if Least(by) <= Slack || down <= Slack || o.Closed.Size() != o.Leaf.Open.Size() {
		return by
	}
	out := o.Closed.Around(o.Leaf.Open.Moved(0, 0, down)).Overlap(box)
	lower := o.Leaf.Open.Around(o.Leaf.Open.Moved(0, 0, down)).Overlap(box)
	if Least(out) > Least(lower) {
		return out
	}
	return lower
}

// Clears tells whether a part gets out of a room by being open itself.
func (s *Scene) Clears(p *Posture, i int, room fitout.Box) bool {
	opens := false
	for _, o := range p.Open {
		if o.Part == i && s.Parts[i].Motion != Drawers && o.Closed == p.Boxes[i] {
			opens = true
			if Least(o.Leaf.Open.Overlap(room)) > Slack {
				return false
			}
		}
	}
	return opens
}

// DepthOf is how deep a part is behind its face, mm.
func DepthOf(p *Part) float64 {
	s := p.Box.Size()
	switch p.Module().Faces {
	case fitout.FaceLeft, fitout.FaceRight:
		return s.Width
	case fitout.FaceTop:
		return s.Height
	}
	return s.Length
}

// TravelOf is how far a part slides, mm.
func TravelOf(p *Part) float64 {
	if t := p.Module().Travel; t > 0 {
		return t
	}
	return DepthOf(p)
}
