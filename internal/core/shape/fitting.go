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
	cap := Prism{Axis: AxisY, From: y - fittingDepth/2, To: y + fittingDepth/2, Outline: circle(Flat{at.X, at.Z}, fittingRadius),
		Round: true, Tone: Hardware}
	stud := Prism{Axis: AxisY, From: y - fittingDepth, To: y + fittingDepth, Outline: circle(Flat{at.X, at.Z}, fittingRadius*0.4),
		Round: true, Tone: Metal, Thin: true}
	return []Prism{cap, stud}
}
