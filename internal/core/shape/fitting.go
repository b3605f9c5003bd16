package shape

import "zaino/internal/core/fitout"

// FittingID begins the ids of fittings: fillers, taps and couplings.
const FittingID = "~fitting-"

// Of a fitting, mm.
const (
	fittingRadius = 34.0
	fittingDepth  = 22.0
)

// Fitting is a filler's mouth, a tap or a coupling at a place: a cap across the vehicle with a
// stud in its middle.
func Fitting(at fitout.Point) []Prism {
	y := at.Y
	cap := Prism{
		Axis:    AxisY,
		From:    y - fittingDepth/2,
		To:      y + fittingDepth/2,
		Outline: circle(Flat{at.X, at.Z}, fittingRadius),
		Round:   true,
		Tone:    Hardware,
	}
	stud := Prism{
		Axis:    AxisY,
		From:    y - fittingDepth,
		To:      y + fittingDepth,
		Outline: circle(Flat{at.X, at.Z}, fittingRadius*0.4),
		Round:   true,
		Tone:    Metal,
		Thin:    true,
	}
	return []Prism{cap, stud}
}

// pipeWidth is how thick a line between two vessels is drawn, mm.
const pipeWidth = 24.0

// Pipe is a line from one place to another as it is led along a vehicle: across, along, and up.
func Pipe(from, to fitout.Point) []Prism {
	bar := func(a, b fitout.Point) Prism {
		const r = pipeWidth / 2
		low := fitout.Point{X: min(a.X, b.X) - r, Y: min(a.Y, b.Y) - r, Z: min(a.Z, b.Z) - r}
		high := fitout.Point{X: max(a.X, b.X) + r, Y: max(a.Y, b.Y) + r, Z: max(a.Z, b.Z) + r}
		return Prism{Axis: AxisY, From: low.Y, To: high.Y, Tone: Hardware, Thin: true,
			Outline: []Flat{{low.X, low.Z}, {high.X, low.Z}, {high.X, high.Z}, {low.X, high.Z}}}
	}
	across := fitout.Point{X: from.X, Y: to.Y, Z: from.Z}
	along := fitout.Point{X: to.X, Y: to.Y, Z: from.Z}
	var all []Prism
	for _, leg := range [][2]fitout.Point{{from, across}, {across, along}, {along, to}} {
		if leg[0] != leg[1] {
			all = append(all, bar(leg[0], leg[1]))
		}
	}
	return all
}
