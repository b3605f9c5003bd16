// Package draw makes the drawings of a job: what is seen from where one stands, what is near
// hiding what is behind, cut where asked for, with names that never lie over each other. The
// screen, SVG, DXF and paper show the same.
package draw

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/shape"
)

// Stand is the side of the vehicle that one stands before.
type Stand string

// The stands: with the front to the left from the left, from behind, from ahead, and from
// above with the front to the left.
const (
	Left   Stand = "left"
	Right  Stand = "right"
	Behind Stand = "behind"
	Ahead  Stand = "ahead"
	Above  Stand = "above"
)

// Stands are all of them.
var Stands = []Stand{Left, Right, Behind, Ahead, Above}

// Names of the stands, as a drawing is titled.
var titles = map[Stand]string{Left: "From the left", Right: "From the right", Behind: "From behind",
	Ahead: "From ahead", Above: "From above"}

// Title is what a view from a stand is called.
func (s Stand) Title() string { return titles[s] }

// Known tells whether it is a stand.
func (s Stand) Known() bool { return titles[s] != "" }

// Before is the stand before an open side; from above for a top, from behind for none.
func Before(face fitout.Face) Stand {
	switch face {
	case fitout.FaceLeft:
		return Left
	case fitout.FaceRight:
		return Right
	case fitout.FaceFront:
		return Ahead
	case fitout.FaceTop:
		return Above
	}
	return Behind
}

// axis is the axis along which one looks.
func (s Stand) axis() shape.Axis {
	switch s {
	case Left, Right:
		return shape.AxisY
	case Above:
		return shape.AxisZ
	}
	return shape.AxisX
}

// away is whether what is farther has the greater coordinate.
func (s Stand) away() bool { return s == Left || s == Ahead }

// across and up the paper, mm, and how far away from who stands there.
func (s Stand) flat(p fitout.Point) (u, v, depth float64) {
	switch s {
	case Left:
		return p.X, p.Z, p.Y
	case Right:
		return -p.X, p.Z, -p.Y
	case Behind:
		return p.Y, p.Z, -p.X
	case Ahead:
		return -p.Y, p.Z, p.X
	}
	return p.X, p.Y, -p.Z
}

// Rect is a rectangle of the paper, mm of the vehicle across and up.
type Rect struct {
	U0 float64 `json:"u0"`
	V0 float64 `json:"v0"`
	U1 float64 `json:"u1"`
	V1 float64 `json:"v1"`
}

// rect is a box as a stand sees it, and how near and far it reaches.
func (s Stand) rect(b fitout.Box) (r Rect, near, far float64) {
	u0, v0, d0 := s.flat(b.From)
	u1, v1, d1 := s.flat(b.To)
	return Rect{min(u0, u1), min(v0, v1), max(u0, u1), max(v0, v1)}, min(d0, d1), max(d0, d1)
}

func (r Rect) wide() float64 { return r.U1 - r.U0 }
func (r Rect) high() float64 { return r.V1 - r.V0 }

// Over tells whether two rectangles lie over each other by more than a hair.
func (r Rect) Over(o Rect) bool { return r.over(o) }

func (r Rect) over(o Rect) bool {
	const hair = 0.05
	return r.U0 < o.U1-hair && o.U0 < r.U1-hair && r.V0 < o.V1-hair && o.V0 < r.V1-hair
}

// within tells whether a rectangle lies in another.
func (r Rect) within(o Rect) bool {
	return r.U0 >= o.U0 && r.U1 <= o.U1 && r.V0 >= o.V0 && r.V1 <= o.V1
}

func (r Rect) around(o Rect) Rect {
	return Rect{min(r.U0, o.U0), min(r.V0, o.V0), max(r.U1, o.U1), max(r.V1, o.V1)}
}

// Flat is a place as a stand sees it: across the paper and up it, mm.
func (s Stand) Flat(p fitout.Point) (u, v float64) {
	u, v, _ = s.flat(p)
	return u, v
}
