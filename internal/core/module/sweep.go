package module

import "zaino/internal/core/fitout"

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
// (0: as far as it is deep) and comes down by its drop. A lid turns up about the
// edge away from the face, a flap down about the bottom edge of the face, a
// door out about one side of it; each sweeps a square of its own length.
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
		return Leaf{cell, b, open, b.Around(open)}
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
