package offer

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/module"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// movable tells whether an item is aboard, loose, and worth moving. What the fitout
// itself stands in or on is not moved, and what was there before neither.
func (s sheet) movable(i int) bool {
	item, placed := &s.Variant.Items[i], &s.Load.Items[i]
	carrier := item.Module != nil && (module.TraitsOf(item.Module.Kind).Floor || item.Work == fitout.WorkExisting)
	return placed.Present && !placed.Trailer && item.Seat == "" && item.In == nil && !item.Locked && !carrier &&
		!s.carriesAll(i) && placed.Mass.Kg >= Lightest
}

// carriesAll tells whether an item is the carrier of the load: a tray, a canopy or a
// topper is as long and as wide as most of the load space, and stands where that is.
func (s sheet) carriesAll(i int) bool {
	item, o := &s.Items[i], &s.Vehicle.Outline
	long := s.Load.Wheelbase + o.RearOverhang - o.Headboard
	return item.Size.Length >= carrierShare*long && item.Size.Width >= carrierShare*max(o.Width, s.Load.TrackRear)
}

// carrierShare is the share of the load space, along and across, from which a thing
// counts as what carries the load.
const carrierShare = 0.8

// moves shift one loose thing along the load space, forward and rearward.
func (s sheet) moves() []Change {
	var all []Change
	from, to := s.Vehicle.Outline.Headboard, s.Load.Wheelbase+s.Vehicle.Outline.RearOverhang
	for i := range s.Items {
		half, x := s.Items[i].Size.Length/2, s.Load.Items[i].Mass.X
		if !s.movable(i) || x < from+half || x > to-half {
			continue
		}
		all = append(all, s.shift(i, "forward", x-half-from, -1, fitout.Point{X: -1}), s.shift(i, "rearward", to-half-x, 1,
			fitout.Point{X: 1}))
	}
	return all
}

// across shift one loose thing across the load space. What spans the vehicle stands in
// its middle.
func (s sheet) across() []Change {
	var all []Change
	half := max(s.Vehicle.Outline.Width, s.Load.TrackRear) / 2
	for i := range s.Items {
		width, y := s.Items[i].Size.Width, s.Load.Items[i].Mass.Y
		if !s.movable(i) || width > half {
			continue
		}
		room := half - width/2
		all = append(all, s.shift(i, "to the left", room+y, -1, fitout.Point{Y: -1}), s.shift(i, "to the right", room-y, 1,
			fitout.Point{Y: 1}))
	}
	return all
}

// shift moves item i along a way, up to as many mm.
func (s sheet) shift(i int, direction string, most, sign float64, way fitout.Point) Change {
	item, mass := &s.Items[i], s.Load.Items[i].Mass
	per := load.Moments{
		X: mass.Kg * way.X, Y: mass.Kg * way.Y, XY: mass.Kg * (way.X*mass.Y + way.Y*mass.X),
	}
	axles := s.axles(per)
	kind, stored := "part-y", item.At.Y
	if way.X != 0 {
		kind, stored = "move-item", s.Stored(i, item.At.X)
	}
	return Change{
		Things: []string{item.ID}, Most: math.Floor(max(0, most)/ShiftStep) * ShiftStep, Step: ShiftStep, Axles: axles,
		Effects: s.effects(s.Load.Carrier(i), per), Effort: mass.Kg / 1000,
		Can: func(mm float64) bool {
			return scene.Of(s.Plan).StandsAs(item.ID, func(b fitout.Box) fitout.Box { return b.Moved(way.X*mm, way.Y*mm, 0) })
		},
		Fix: func(mm float64) fitout.Fix {
			return fitout.Fix{
				Label: fmt.Sprintf("Move %s %s %s", words.Lower(item.Name), s.Say.Length(mm), direction),
				Edit:  fitout.FixEdit{Kind: kind, ID: item.ID, Value: stored + sign*mm}, Front: axles.Front * mm,
				Rear: axles.Rear * mm,
			}
		},
	}
}
