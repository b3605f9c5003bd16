package scene

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// Estimates of how long it takes, minutes: to turn a seat, to hang a hammock, to set a carrier on its legs and drive
// out from under it, to put up what stands on the ground, and to uncouple a trailer. Practice.
const (
	turnMinutes    = 0.5
	hangMinutes    = 2
	carrierMinutes = 20
)

// pitched is how a thing on the ground is put up, how it is taken down, and how long it takes to put up, minutes.
type pitched struct {
	up, down string // with %s for its name
	minutes  float64
}

var pitching = map[fitout.GroundKind]pitched{
	fitout.GroundAwning:  {"Put up %s and peg it down", "Take down %s and stow it", 5},
	fitout.GroundTent:    {"Put up %s and peg it down", "Take down %s and stow it", 15},
	fitout.GroundTable:   {"Set up %s", "Stow %s", 2},
	fitout.GroundChair:   {"Set up %s", "Stow %s", 0.5},
	fitout.GroundLadder:  {"Set up %s, its foot firm", "Stow %s", 1},
	fitout.GroundTrailer: {"Chock and uncouple %s", "Couple %s, with its chain, plug and jockey wheel", 5},
	fitout.GroundFire:    {"Make %s", "Put out %s with water and earth", 10},
	fitout.GroundOther:   {"Set up %s", "Stow %s", 2},
}

// settle is what is done in a stance besides opening and moving parts: first inside and with the carrier, last on the
// ground.
func (s *Scene) settle(stance *fitout.Stance) (first, last []Act) {
	for _, turned := range stance.Turned {
		if i := SeatIndex(s.Vehicle.Seats, turned.Seat); i >= 0 && turned.By != 0 {
			way := "right"
			if turned.By < 0 {
				way = "left"
			}
			first = append(first, Act{"turn", turned.Seat, fmt.Sprintf("Turn %s %s° to the %s",
				words.Lower(s.Vehicle.Seats[i].Name), s.Say.Plain(math.Abs(turned.By)), way), turnMinutes})
		}
	}
	if c := s.Vehicle.Carrier; c != nil && stance.Off {
		first = append(first, Act{"carrier", "", fmt.Sprintf(
			"Set %s on its legs, part its plugs and hoses, undo its mounts, and drive out from under it",
			words.Lower(c.Name),
		),
			carrierMinutes})
	}
	for _, h := range stance.Hung {
		if who := s.hungName(&h); who != "" {
			last = append(last, Act{"hang", h.Traveller, "Hang the hammock of " + who, hangMinutes})
		}
	}
	for i := range stance.Ground {
		g := &stance.Ground[i]
		how := pitching[g.Kind]
		last = append(last, Act{"ground", g.ID, fmt.Sprintf(how.up, words.Lower(g.Name)), how.minutes})
	}
	return first, last
}

// unsettle is what is taken back of that before driving off.
func (s *Scene) unsettle(stance *fitout.Stance) (back []Act) {
	for i := range stance.Ground {
		g := &stance.Ground[i]
		how := pitching[g.Kind]
		back = append(back, Act{"ground", g.ID, fmt.Sprintf(how.down, words.Lower(g.Name)), how.minutes})
	}
	for _, h := range stance.Hung {
		if who := s.hungName(&h); who != "" {
			back = append(back, Act{"hang", h.Traveller, "Take down the hammock of " + who, hangMinutes})
		}
	}
	if c := s.Vehicle.Carrier; c != nil && stance.Off {
		back = append(back, Act{"carrier", "", fmt.Sprintf(
			"Back in under %s, let it down, do up its mounts, join its plugs and hoses, and take up its legs",
			words.Lower(c.Name)), carrierMinutes})
	}
	for _, turned := range stance.Turned {
		if i := SeatIndex(s.Vehicle.Seats, turned.Seat); i >= 0 && turned.By != 0 {
			back = append(back, Act{"turn", turned.Seat, fmt.Sprintf("Turn %s to look ahead until it latches",
				words.Lower(s.Vehicle.Seats[i].Name)), turnMinutes})
		}
	}
	return back
}

// hungName is who lies in a hammock; empty for one who travels no more.
func (s *Scene) hungName(h *fitout.Hung) string {
	for i := range s.Brief.Travellers {
		if t := &s.Brief.Travellers[i]; t.ID == h.Traveller {
			return strings.TrimSpace(t.Name)
		}
	}
	return ""
}
