package wiring

import (
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// along is how far apart two items are along the three axes, mm; false where one has no
// place.
func (b *Board) along(from, to string) (float64, bool) {
	i, k := b.Index(from), b.Index(to)
	if i < 0 || k < 0 {
		return 0, false
	}
	p, q := b.Items[i].At, b.Items[k].At
	return math.Abs(p.X-q.X) + math.Abs(p.Y-q.Y) + math.Abs(p.Z-q.Z), true
}

// How a length is found by places: along the three axes, a share more for the way round,
// and what a slide takes; where nothing has a place, a usual length, mm.
const (
	wayRound    = 1.15
	usualLength = 3000
	mainLength  = 400
	shortestWay = 300
)

// length is how long the cable of a line is, one way, mm, and how that is known.
func (b *Board) length(line *Wire) (mm float64, by string) {
	if line.given.Length > 0 {
		return line.given.Length, "measured"
	}
	if line.Kind == MainLine {
		return mainLength, "assumed"
	}
	mm, known := b.along(line.fromItem, line.item)
	if !known {
		return usualLength, "assumed"
	}
	return max(shortestWay, mm*wayRound) + b.slideTakes(line.item), "places"
}

// path is where a cable runs by places: along the vehicle first, then across it, then up or
// down.
func (b *Board) path(line *Wire) []fitout.Point {
	i, k := b.Index(line.fromItem), b.Index(line.item)
	if i < 0 || k < 0 || i == k {
		return []fitout.Point{}
	}
	from, to := b.Items[i].At, b.Items[k].At
	return []fitout.Point{from, {X: to.X, Y: from.Y, Z: from.Z}, {X: to.X, Y: to.Y, Z: from.Z}, to}
}

// slideTakes is what a slide takes of a cable, mm: half its travel where the cable is folded
// or in a chain, all of it where it is taken up elastically.
func (b *Board) slideTakes(item string) float64 {
	i := b.Index(item)
	if i < 0 {
		return 0
	}
	of := &b.Items[i]
	if of.In != nil {
		if k := b.Index(of.In.Module); k >= 0 {
			of = &b.Items[k]
		}
	}
	if of.Module == nil || !slides[of.Module.Kind] {
		return 0
	}
	travel := of.Module.Travel
	if travel == 0 {
		travel = module.Depth(of)
	}
	if of.Module.Follows == fitout.Elastic {
		return travel
	}
	return travel / 2
}

// slides are the kinds whose contents travel.
var slides = map[fitout.ModuleKind]bool{
	fitout.FridgeSlide: true, fitout.Pantry: true, fitout.SlideTable: true, fitout.KitchenSlide: true,
	fitout.Drawers: true,
	fitout.Trundle: true,
}
