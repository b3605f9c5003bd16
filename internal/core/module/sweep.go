package module

import (
	"math"

	"zaino/internal/core/fitout"
)

// Leaf is what moves when a module opens: where it is when it is open, and all
// the room that it takes on the way.
type Leaf struct {
	Cell   string     `json:"cell" doc:"id of the compartment; empty for the whole"`
	Closed fitout.Box `json:"closed" doc:"where it is when it is shut"`
	Open   fitout.Box `json:"open" doc:"fully open"`
	Swept  fitout.Box `json:"swept" doc:"the least box around the whole way"`
}

// leafThickness is how thick a lid, flap or door is drawn, mm.
const leafThickness = 20

// Leaves returns what moves when a module opens. A slide goes out by its travel
// (0: as far as it is deep), comes down by its drop and tips by its tilt about
// the lower edge of its face. A lid turns up about the edge away from the face, a
// flap down about the bottom edge of the face, a door out about one side of it;
// each sweeps a square of its own length. A piece that unfolds swings over the
// edge of the face, from lying on top to lying beyond it.
func Leaves(i *fitout.Item) []Leaf {
	m := i.Module
	way := out(m.Faces)
	if way == (fitout.Point{}) {
		return nil
	}
	box := i.Box()
	travel := m.Travel
	if travel == 0 {
		travel = Depth(i)
	}
	slide := func(cell string, b fitout.Box) Leaf {
		open := b.Moved(way.X*travel, way.Y*travel, way.Z*travel-m.Drop)
		swept := b.Around(open)
		if m.Tilt > 0 {
			open = tipped(open, way, m.Tilt)
		}
		return Leaf{cell, b, open, swept.Around(open)}
	}
	if m.Unfolds > 0 {
		return []Leaf{unfolding(box, way, m.Unfolds)}
	}
	switch Of(m.Kind).Motion {
	case Slides:
		return []Leaf{slide("", box)}
	case Drawers:
		var all []Leaf
		for _, c := range Cells(i) {
			all = append(all, slide(c.ID, c.Outer))
		}
		return all
	case LidUp:
		return []Leaf{lid(box, m.Faces)}
	case FlapOut, DoorOut:
		reach := i.Size.Height
		if Of(m.Kind).Motion == DoorOut {
			reach = Width(i)
		}
		face := faceOf(box, way)
		open := face.Around(face.Moved(way.X*reach, way.Y*reach, way.Z*reach))
		swept := open
		if Of(m.Kind).Motion == FlapOut {
			open.To.Z = open.From.Z + leafThickness
		} else {
			open = doorLeaf(open, m)
		}
		return []Leaf{{"", face, open, swept}}
	}
	return nil
}

// tipped is the least box around one that is turned by θ about the lower edge of
// the side that looks one way: of depth d and height h it becomes d cos θ + h sin θ
// deep and reaches h sin θ beyond that side; its far edge comes up by d sin θ.
func tipped(b fitout.Box, way fitout.Point, degrees float64) fitout.Box {
	sin, cos := math.Sincos(degrees * math.Pi / 180)
	s := b.Size()
	turn := func(from, to *float64, way float64) {
		if way > 0 {
			*from, *to = *to-(*to-*from)*cos, *to+s.Height*sin
		} else if way < 0 {
			*from, *to = *from-s.Height*sin, *from+(*to-*from)*cos
		}
	}
	depth := s.Length
	if way.Y != 0 {
		depth = s.Width
	}
	turn(&b.From.X, &b.To.X, way.X)
	turn(&b.From.Y, &b.To.Y, way.Y)
	b.To.Z = b.From.Z + s.Height*cos + depth*sin
	return b
}

// unfolding is a piece as long as given that lies on top of a box, along the edge
// of one side, and swings over that edge to lie beyond it.
func unfolding(b fitout.Box, way fitout.Point, length float64) Leaf {
	closed := faceOf(b, way)
	closed = closed.Around(closed.Moved(-way.X*length, -way.Y*length, 0))
	closed.From.Z = b.To.Z
	open := faceOf(b, way)
	open = open.Around(open.Moved(way.X*length, way.Y*length, 0))
	swept := closed.Around(open)
	swept.To.Z = b.To.Z + length
	return Leaf{"", closed, open, swept}
}

// faceOf is the flat side of a box that looks one way.
func faceOf(b fitout.Box, way fitout.Point) fitout.Box {
	flat := func(from, to *float64, way float64) {
		if way > 0 {
			*from = *to
		} else if way < 0 {
			*to = *from
		}
	}
	flat(&b.From.X, &b.To.X, way.X)
	flat(&b.From.Y, &b.To.Y, way.Y)
	flat(&b.From.Z, &b.To.Z, way.Z)
	return b
}

// lid stands up along the edge away from the face; of one that faces up, along
// its front edge.
func lid(b fitout.Box, faces fitout.Face) Leaf {
	s := b.Size()
	reach := s.Length
	if across(faces) {
		reach = s.Width
	}
	swept := b
	swept.From.Z, swept.To.Z = b.To.Z, b.To.Z+reach
	open := swept
	switch faces {
	case fitout.FaceRight:
		open.To.Y = open.From.Y + leafThickness
	case fitout.FaceLeft:
		open.From.Y = open.To.Y - leafThickness
	case fitout.FaceFront:
		open.From.X = open.To.X - leafThickness
	default:
		open.To.X = open.From.X + leafThickness
	}
	closed := b
	closed.From.Z = b.To.Z
	return Leaf{"", closed, open, swept}
}

// doorLeaf stands out along one side of the face: the left one, or the right one
// when mirrored, as seen from outside.
func doorLeaf(swept fitout.Box, m *fitout.Module) fitout.Box {
	low := m.Mirrored
	if m.Faces == fitout.FaceRear || m.Faces == fitout.FaceLeft {
		low = !m.Mirrored
	}
	from, to := &swept.From.Y, &swept.To.Y
	if across(m.Faces) {
		from, to = &swept.From.X, &swept.To.X
	}
	if low {
		*to = *from + leafThickness
	} else {
		*from = *to - leafThickness
	}
	return swept
}
