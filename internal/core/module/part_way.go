package module

import (
	"math"

	"zaino/internal/core/fitout"
)

// PartWay is a leaf that is opened by a share of its way, above 0 up to 1; all the way for any other. What
// slides goes that share of its travel, and comes down or tips only at its end; what is hinged turns by
// that share of a quarter, and is taken as the box around it.
func (l Leaf) PartWay(share float64, slides bool) Leaf {
	if share <= 0 || share >= 1 {
		return l
	}
	if slides {
		shut, open := l.Closed.Middle(), l.Open.Middle()
		by := fitout.Point{X: share * (open.X - shut.X), Y: share * (open.Y - shut.Y)}
		if by == (fitout.Point{}) {
			by.Z = share * (open.Z - shut.Z)
		}
		l.Open = l.Closed.Moved(by.X, by.Y, by.Z)
	} else {
		sin, cos := math.Sincos(share * math.Pi / 2)
		low, high := upper(l.Closed.From, l.Open.From), lower(l.Closed.To, l.Open.To)
		a := between(low, l.Closed.From, l.Open.From, cos, sin)
		b := between(high, l.Closed.To, l.Open.To, cos, sin)
		l.Open = fitout.Box{From: lower(a, b), To: upper(a, b)}
	}
	l.Swept = l.Closed.Around(l.Open)
	return l
}

// between is an edge that the hinge keeps at one place and the leaf takes from shut toward open.
func between(hinge, shut, open fitout.Point, cos, sin float64) fitout.Point {
	at := func(h, s, o float64) float64 { return h + cos*(s-h) + sin*(o-h) }
	return fitout.Point{
		X: at(hinge.X, shut.X, open.X),
		Y: at(hinge.Y, shut.Y, open.Y),
		Z: at(hinge.Z, shut.Z, open.Z),
	}
}

func lower(a, b fitout.Point) fitout.Point {
	return fitout.Point{X: min(a.X, b.X), Y: min(a.Y, b.Y), Z: min(a.Z, b.Z)}
}

func upper(a, b fitout.Point) fitout.Point {
	return fitout.Point{X: max(a.X, b.X), Y: max(a.Y, b.Y), Z: max(a.Z, b.Z)}
}
