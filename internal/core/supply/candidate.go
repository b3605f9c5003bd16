package supply

import (
	"math"

	"zaino/internal/core/fitout"
)

// Candidate is a component that a set may have, with what matters of it.
type Candidate struct {
	ID, Name string
	Mass     float64
	Price    int
	Device   *fitout.Device
}

// Candidates are what a set is made of.
type Candidates struct {
	Batteries, Panels, Chargers, Inverters, Controllers []Candidate
}

// Of are the candidates among components.
func Of(components []fitout.Component, w *Wish) Candidates {
	var c Candidates
	for i := range components {
		part := &components[i]
		if part.Device == nil {
			continue
		}
		one := Candidate{part.ID, part.Item.Name, part.Item.Mass, part.Item.Price, part.Device}
		d := part.Device
		s := part.Item.Size
		switch {
		case d.System != nil && d.Inverter == nil && d.System.Kind == fitout.HouseSystem:
			if w.Slim == 0 || min(s.Length, s.Width, s.Height) <= w.Slim {
				c.Batteries = append(c.Batteries, one)
			}
		case d.Source != nil && d.Source.Kind == fitout.Solar && d.Charger == nil && (w.Loose || !d.Source.Loose):
			c.Panels = append(c.Panels, one)
		case d.Charger != nil && d.Source == nil && d.Charger.From != "" && d.Inverter == nil:
			c.Chargers = append(c.Chargers, one)
		case d.Charger != nil && d.Source == nil && d.Charger.Volts > 0:
			c.Controllers = append(c.Controllers, one)
		case d.Inverter != nil && d.System == nil && d.Panel == nil:
			c.Inverters = append(c.Inverters, one)
		}
	}
	return c
}

// Controller is the least solar controller among candidates for so many watts of panels with
// an open-circuit voltage (0: not said) in the cold, into a battery of 12 V or as many times
// as much as class says; −1 where none is wide enough.
func Controller(all []Candidate, watts, open, coldest, class float64, weigh func(*Candidate) float64) int {
	best, least := -1, math.Inf(1)
	for i := range all {
		c := all[i].Device.Charger
		if c.Amps*13.6*class/12 < watts || open*(1+0.003*(25-coldest)) > c.Volts {
			continue
		}
		if w := weigh(&all[i]); w < least {
			best, least = i, w
		}
	}
	return best
}
