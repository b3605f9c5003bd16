package offer

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/words"
)

// ontoTrailer puts a loose thing onto the coupled trailer, over its axle.
func (s sheet) ontoTrailer() []Change {
	if !s.Load.Coupled() {
		return nil
	}
	var all []Change
	for i := range s.Variant.Items {
		item, placed := &s.Variant.Items[i], &s.Load.Items[i]
		if !placed.Present || placed.Trailer || item.Seat != "" || item.Module != nil || item.Locked || s.carriesAll(i) ||
			placed.Mass.Kg < Lightest {
			continue
		}
		change := lighter(placed.Mass, placed.Mass.Kg)
		change.Towed = placed.Mass.Kg
		all = append(all, s.whole([]string{item.ID, riding(item)}, placed.Mass.Kg, s.effects(s.Load.Carrier(i), change), s.axles(change),
			fitout.Fix{
				Label: fmt.Sprintf("Carry %s on the trailer, over its axle", words.Lower(item.Name)),
				Edit:  fitout.FixEdit{Kind: "to-trailer", ID: item.ID},
			}))
	}
	return all
}

// riding is an item's place on the trailer, as a thing that is changed once.
func riding(item *fitout.Item) string { return "ride of " + item.ID }

// offTrailer takes a thing off the trailer, onto the vehicle where it has its place.
func (s sheet) offTrailer() []Change {
	if !s.Load.Coupled() {
		return nil
	}
	var all []Change
	for i := range s.Variant.Items {
		item, placed := &s.Variant.Items[i], &s.Load.Items[i]
		if !placed.Present || !placed.Trailer || item.Locked {
			continue
		}
		at := s.Variant.Items[i].At
		change := load.Moments{Towed: -placed.Towed}.Add(load.Mass{Kg: placed.Towed, X: at.X, Y: at.Y, Z: at.Z})
		all = append(all, s.whole([]string{item.ID}, placed.Towed, s.effects(s.Load.Carrier(i), change), s.axles(change),
			fitout.Fix{
				Label: fmt.Sprintf("Carry %s on the vehicle instead of the trailer", words.Lower(item.Name)),
				Edit:  fitout.FixEdit{Kind: "off-trailer", ID: item.ID},
			}))
	}
	return all
}

// uncoupling leaves the trailer behind, with what rides on it.
func (s sheet) uncoupling() []Change {
	if !s.Load.Coupled() {
		return nil
	}
	L, less := s.Load.Wheelbase, Supplies{}
	change := s.Load.Towing.Moments(L).Times(-1)
	effects := s.effects(load.Carrier{Kind: load.TheTrailer}, change)
	for i := range s.Load.Items {
		if placed := &s.Load.Items[i]; placed.Present && placed.Trailer {
			if item := &s.Variant.Items[i]; item.Presence.Kind == fitout.ByLevel {
				less = less.plus(held(item, item.Presence.Level.Now))
			}
			for k, by := range s.effects(s.Load.Carrier(i), load.Moments{Towed: -placed.Towed}) {
				effects[k] += by
			}
		}
	}
	// What was put onto the trailer is not left behind with it by another change.
	things := []string{"trailer"}
	for i := range s.Variant.Items {
		things = append(things, riding(&s.Variant.Items[i]))
	}
	return []Change{s.whole(things, s.Job.Trailer.Mass, effects, s.axles(change), fitout.Fix{
		Label: s.saying("Uncouple the trailer", less), Edit: fitout.FixEdit{Kind: "uncouple"},
	})}
}

// ballShifts load the trailer further back, down to the least share of its mass that the
// workshop has on the ball.
func (s sheet) ballShifts() []Change {
	if !s.Load.Coupled() {
		return nil
	}
	t := *s.Job.Trailer
	least := math.Ceil(s.Job.Practice.BallLeast * s.Load.TrailerMass())
	if t.Ball <= least {
		return nil
	}
	less := t
	less.Ball--
	L := s.Load.Wheelbase
	per := load.Tow(&less, L, s.Vehicle.Hitch.Overhang).Moments(L).Minus(s.Load.Towing.Moments(L))
	axles := s.axles(per)
	return []Change{{
		Things: []string{"trailer"}, Most: t.Ball - least, Step: 1, Effects: s.effects(load.Carrier{Kind: load.TheTrailer},
			per), Axles: axles, Effort: 1,
		Can: func(float64) bool { return true },
		Fix: func(kg float64) fitout.Fix {
			return fitout.Fix{
				Label: fmt.Sprintf("Load the trailer further back, %s less on the ball", s.Say.Mass(kg)),
				Edit:  fitout.FixEdit{Kind: "ball", Value: t.Ball - kg}, Front: axles.Front * kg, Rear: axles.Rear * kg,
			}
		},
	}}
}
