package offer

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// seatings put someone onto a seat that nobody sits on, whatever is switched on.
func (s sheet) seatings() []Change {
	var all []Change
	taken := map[string]bool{}
	for i := range s.Variant.Items {
		if item := &s.Variant.Items[i]; item.Seat != "" {
			taken[item.Seat] = true
		}
	}
	for i := range s.Variant.Items {
		item := &s.Variant.Items[i]
		if item.Seat == "" || !s.Load.Items[i].Present || !plan.Traveller(item) || s.drives(item.Seat) {
			continue
		}
		for _, seat := range s.Vehicle.Seats {
			if taken[seat.ID] || seat.Driver || s.folded(seat.ID) {
				continue
			}
			from := s.Load.Items[i].Mass
			to := load.Mass{Kg: from.Kg, X: seat.At.X, Y: seat.At.Y, Z: seat.At.Z}
			change := lighter(from, from.Kg).Add(to)
			// Whoever changes a seat changes it once, and nobody else takes it.
			c := s.whole([]string{item.ID, "seat " + seat.ID}, 1, s.effects(s.Load.Carrier(i), change), s.axles(change),
				fitout.Fix{
					Label: fmt.Sprintf("Seat %s on the seat %q", words.Lower(item.Name), seat.Name),
					Edit:  fitout.FixEdit{Kind: "seat", ID: item.ID, With: seat.ID},
				})
			all = append(all, c)
		}
	}
	return all
}

func (s sheet) drives(seat string) bool {
	for _, x := range s.Vehicle.Seats {
		if x.ID == seat {
			return x.Driver
		}
	}
	return false
}

// folded tells whether a seat is folded, or out, in a stance for the road.
func (s sheet) folded(seat string) bool {
	for i := range s.Variant.Stances {
		if s.Variant.Stances[i].Use != fitout.StanceDrive {
			continue
		}
		for _, f := range s.Variant.Stances[i].Folded {
			if f.Seat == seat {
				return true
			}
		}
	}
	return false
}
