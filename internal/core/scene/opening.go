package scene

import (
	"math"

	"zaino/internal/core/fitout"
)

// Opening is the door, hatch or gate of a bay, as it was measured.
type Opening struct {
	fitout.Opening
	Gap   fitout.Box // the clear rectangle, flat in its face
	Known bool       // it has one, and it was measured
}

// MoreOpening is a further opening of a bay.
type MoreOpening struct {
	Opening
	Said *fitout.MoreOpening
}

// Exits are the openings of a bay that one may go in and out by, of any size: its own, and those that are
// said to be for that or for loads.
func (b *Bay) Exits() []*Opening {
	var all []*Opening
	if b.Opening.Known {
		all = append(all, &b.Opening)
	}
	for i := range b.More {
		if use := b.More[i].Said.Use; use == fitout.ForExit || use == fitout.ForLoad {
			all = append(all, &b.More[i].Opening)
		}
	}
	return all
}

// Through tells whether a box that starts inside a bay reaches out through the
// face of its opening.
func (b *Bay) Through(box fitout.Box) bool {
	gap := b.Opening.Gap
	if !b.Opening.Known {
		return false
	}
	switch b.Opening.Face {
	case fitout.FaceRear:
		return box.To.X > gap.From.X+Slack
	case fitout.FaceFront:
		return box.From.X < gap.From.X-Slack
	case fitout.FaceRight:
		return box.To.Y > gap.From.Y+Slack
	case fitout.FaceLeft:
		return box.From.Y < gap.From.Y-Slack
	case fitout.FaceTop:
		return box.To.Z > gap.From.Z+Slack
	}
	return false
}

// Frame returns how far a box that goes out through the opening stands into the
// frame around it, mm, and on which side; at most 0 where it clears the frame.
func (b *Bay) Frame(box fitout.Box) (most float64, side string) {
	gap := b.Opening.Gap
	sides := []struct {
		mm   float64
		side string
	}{
		{gap.From.X - box.From.X, "front"}, {box.To.X - gap.To.X, "rear"},
		{gap.From.Y - box.From.Y, "left"}, {box.To.Y - gap.To.Y, "right"},
		{gap.From.Z - box.From.Z, "lip"}, {box.To.Z - gap.To.Z, "top"},
	}
	flat := map[fitout.Face][2]int{fitout.FaceRear: {0, 1}, fitout.FaceFront: {0, 1}, fitout.FaceLeft: {2, 3},
		fitout.FaceRight: {2, 3}, fitout.FaceTop: {4, 5}}[b.Opening.Face]
	for i, s := range sides {
		if i == flat[0] || i == flat[1] {
			continue
		}
		if s.mm > Slack && s.mm > most {
			most, side = s.mm, s.side
		}
	}
	return most, side
}

// doorThickness is how thick an open door or hatch is taken, mm.
const doorThickness = 40

// nearlySquare is a swing from which on a door counts as out of the way of its opening, °.
const nearlySquare = 85

// Door returns where the door of a bay stands when it is open, and all the room
// that it takes on its way: hinged, it sweeps a square of its own height or
// width; a lift-off or rolling one takes none. ok is false for those.
func (b *Bay) Door() (open, swept fitout.Box, ok bool) {
	o := b.Opening
	if !o.Known || o.Swing == 0 {
		return open, swept, false
	}
	gap, reach := o.Gap, 0.0
	s := gap.Size()
	switch o.Hinge {
	case fitout.HingeTop, fitout.HingeBottom:
		reach = s.Height
	case fitout.HingeLeft, fitout.HingeRight:
		reach = max(s.Length, s.Width)
	default:
		return open, swept, false
	}
	swept = gap
	switch o.Face {
	case fitout.FaceRear:
		swept.To.X += reach
	case fitout.FaceFront:
		swept.From.X -= reach
	case fitout.FaceRight:
		swept.To.Y += reach
	case fitout.FaceLeft:
		swept.From.Y -= reach
	default:
		return open, swept, false
	}
	open = swept
	// One that stops short of square stands in part before its opening: cos of its reach, and out by sin of it.
	before, out := 0.0, reach
	if o.Swing < nearlySquare {
		sin, cos := math.Sincos(o.Swing * math.Pi / 180)
		before, out = reach*cos, reach*sin
		switch o.Face {
		case fitout.FaceRear:
			open.To.X = gap.To.X + out
		case fitout.FaceFront:
			open.From.X = gap.From.X - out
		case fitout.FaceRight:
			open.To.Y = gap.To.Y + out
		case fitout.FaceLeft:
			open.From.Y = gap.From.Y - out
		}
	}
	side := o.Face == fitout.FaceLeft || o.Face == fitout.FaceRight
	switch o.Hinge {
	case fitout.HingeTop:
		open.From.Z, open.To.Z = open.To.Z-before, open.To.Z+doorThickness
	case fitout.HingeBottom:
		open.From.Z, open.To.Z = open.From.Z-doorThickness, open.From.Z+before
	default:
		// Seen from outside, the left edge of a rear door is the vehicle's left, of a right-hand one its rear.
		low := (o.Hinge == fitout.HingeLeft) == (o.Face == fitout.FaceRear || o.Face == fitout.FaceLeft)
		from, to := &open.From.Y, &open.To.Y
		if side {
			from, to = &open.From.X, &open.To.X
		}
		if low {
			*from, *to = *from-doorThickness, *from+before
		} else {
			*from, *to = *to-before, *to+doorThickness
		}
	}
	return open, swept, true
}

// Behind returns how far the near side of a box stands behind the opening of a bay.
func (b *Bay) Behind(box fitout.Box) float64 {
	gap := b.Opening.Gap
	switch b.Opening.Face {
	case fitout.FaceRear:
		return gap.From.X - box.To.X
	case fitout.FaceFront:
		return box.From.X - gap.From.X
	case fitout.FaceRight:
		return gap.From.Y - box.To.Y
	case fitout.FaceLeft:
		return box.From.Y - gap.From.Y
	}
	return gap.From.Z - box.To.Z
}
