// Package shape gives every kind of thing and every class of vehicle its form: solids made
// of the model's own sizes, from which each drawing, export and view in the round is made.
package shape

import (
	"math"

	"zaino/internal/core/fitout"
)

// Axis is one of the axes of the vehicle.
type Axis string

// Along the vehicle, across it, upward.
const (
	AxisX Axis = "x"
	AxisY Axis = "y"
	AxisZ Axis = "z"
)

// Tone is what a solid is of, which tells how it is filled.
type Tone string

// The tones.
const (
	Carcass  Tone = "carcass"  // what is built: panels
	Front    Tone = "front"    // what faces who stands before it
	Hardware Tone = "hardware" // handles, hinges, runners
	Metal    Tone = "metal"
	Glass    Tone = "glass"
	Rubber   Tone = "rubber"
	Cloth    Tone = "cloth"
	Fluid    Tone = "fluid"
	Skin     Tone = "skin" // people and animals
	Plain    Tone = "plain"
	Body     Tone = "body"  // of the vehicle
	Light    Tone = "light" // lamps
	Open     Tone = "open"  // what one sees through: mesh, bars
)

// Flat is a place across the axis of a prism, mm: (y, z) for x, (x, z) for y, (x, y) for z.
type Flat struct {
	U, V float64
}

// Prism is a solid with one outline along one axis, in the vehicle's frame, mm.
type Prism struct {
	Axis     Axis
	From, To float64 // least and greatest along the axis, mm
	Outline  []Flat  // across the axis; it does not cross itself
	Round    bool    // the outline stands for a curve
	Tone     Tone
	Thin     bool // a detail, drawn with thin lines
}

// Pane is a flat opening in a wall: glass to see or air through, or a leaf.
func Pane(b fitout.Box, glass bool) Prism {
	if glass {
		return boxed(b, Glass)
	}
	return boxed(b, Body)
}

// boxed is a box as a prism upward.
func boxed(b fitout.Box, tone Tone) Prism {
	return Prism{Axis: AxisZ, From: b.From.Z, To: b.To.Z, Tone: tone, Outline: []Flat{{b.From.X, b.From.Y},
		{b.To.X, b.From.Y}, {b.To.X, b.To.Y}, {b.From.X, b.To.Y}}}
}

// place is a point from its part along an axis and its place across that.
func place(axis Axis, along float64, f Flat) fitout.Point {
	switch axis {
	case AxisX:
		return fitout.Point{X: along, Y: f.U, Z: f.V}
	case AxisY:
		return fitout.Point{X: f.U, Y: along, Z: f.V}
	}
	return fitout.Point{X: f.U, Y: f.V, Z: along}
}

// apart is the contrary of place.
func apart(axis Axis, p fitout.Point) (along float64, f Flat) {
	switch axis {
	case AxisX:
		return p.X, Flat{p.Y, p.Z}
	case AxisY:
		return p.Y, Flat{p.X, p.Z}
	}
	return p.Z, Flat{p.X, p.Y}
}

// Bounds is the least box around a prism.
func (p Prism) Bounds() fitout.Box {
	low, high := Flat{math.Inf(1), math.Inf(1)}, Flat{math.Inf(-1), math.Inf(-1)}
	for _, f := range p.Outline {
		low, high = Flat{min(low.U, f.U), min(low.V, f.V)}, Flat{max(high.U, f.U), max(high.V, f.V)}
	}
	return fitout.Box{From: place(p.Axis, p.From, low), To: place(p.Axis, p.To, high)}
}

// Moved returns a prism shifted.
func (p Prism) Moved(by fitout.Point) Prism {
	along, across := apart(p.Axis, by)
	p.From, p.To = p.From+along, p.To+along
	moved := make([]Flat, len(p.Outline))
	for i, f := range p.Outline {
		moved[i] = Flat{f.U + across.U, f.V + across.V}
	}
	p.Outline = moved
	return p
}

// Turned returns a prism turned about an axis through a place by quarters, counted from the
// first of the other two axes toward the second (x to y, y to z, and for y: z to x).
func (p Prism) Turned(about Axis, through fitout.Point, quarters int) Prism {
	quarters = ((quarters % 4) + 4) % 4
	for range quarters {
		p = p.quarter(about, through)
	}
	return p
}

func (p Prism) quarter(about Axis, through fitout.Point) Prism {
	turn := func(q fitout.Point) fitout.Point {
		x, y, z := q.X-through.X, q.Y-through.Y, q.Z-through.Z
		switch about {
		case AxisX:
			y, z = -z, y
		case AxisY:
			z, x = -x, z
		default:
			x, y = -y, x
		}
		return fitout.Point{X: through.X + x, Y: through.Y + y, Z: through.Z + z}
	}
	axis := p.Axis
	if axis != about { // it lies along the third one then
		for _, other := range []Axis{AxisX, AxisY, AxisZ} {
			if other != about && other != p.Axis {
				axis = other
				break
			}
		}
	}
	turned := p
	turned.Axis = axis
	turned.Outline = make([]Flat, len(p.Outline))
	for i, f := range p.Outline {
		_, turned.Outline[i] = apart(axis, turn(place(p.Axis, p.From, f)))
	}
	a, _ := apart(axis, turn(place(p.Axis, p.From, p.Outline[0])))
	b, _ := apart(axis, turn(place(p.Axis, p.To, p.Outline[0])))
	turned.From, turned.To = min(a, b), max(a, b)
	return turned
}

// Round outlines are drawn with so many corners.
const corners = 24

// circle is a round outline.
func circle(at Flat, radius float64) []Flat {
	points := make([]Flat, corners)
	for i := range points {
		sin, cos := math.Sincos(2 * math.Pi * float64(i) / corners)
		points[i] = Flat{at.U + radius*cos, at.V + radius*sin}
	}
	return points
}

// ellipse is an outline as wide and high as given, about a place.
func ellipse(at Flat, wide, high float64) []Flat {
	points := circle(Flat{}, 1)
	for i := range points {
		points[i] = Flat{at.U + points[i].U*wide/2, at.V + points[i].V*high/2}
	}
	return points
}

// rounded is a rectangle with round corners of a radius.
func rounded(low, high Flat, radius float64) []Flat {
	radius = max(0, min(radius, (high.U-low.U)/2, (high.V-low.V)/2))
	if radius < 1 {
		return []Flat{low, {high.U, low.V}, high, {low.U, high.V}}
	}
	var points []Flat
	for k, at := range []Flat{{high.U - radius, high.V - radius}, {low.U + radius, high.V - radius},
		{low.U + radius, low.V + radius}, {high.U - radius, low.V + radius}} {
		for i := 0; i <= 4; i++ {
			sin, cos := math.Sincos(math.Pi / 2 * (float64(k) + float64(i)/4))
			points = append(points, Flat{at.U + radius*cos, at.V + radius*sin})
		}
	}
	return points
}

// Place is a point of the outline at the near end of a prism, in the vehicle's frame.
func (p Prism) Place(f Flat) fitout.Point { return place(p.Axis, p.From, f) }

// AcrossU is the axis along which the first figure of its outline counts.
func (p Prism) AcrossU() Axis {
	if p.Axis == AxisX {
		return AxisY
	}
	return AxisX
}
