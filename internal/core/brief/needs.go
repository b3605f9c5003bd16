// Package brief tells what follows from a customer's brief before anything is
// built: what has to come along (this file), and what speaks for and against
// the ways of doing it on which good people differ (school.go).
package brief

import (
	"math"

	"zaino/internal/core/fitout"
)

// Needs are what a brief implies: water and fuel to carry, the bed, heights to
// reach, and the mass of who and what comes along. Every figure leans on an
// assumption of the brief that can be replaced.
type Needs struct {
	People, Animals     int
	PeopleKg, AnimalsKg float64
	GearKg, LaterKg     float64
	Nights              float64 // between services
	WaterNights         float64 // between water
	MainsNights         float64 // between mains power
	Water               Water
	Fuel                Fuel
	Bed                 Bed
	Reach               Reach
	CoolLitres          float64 // gear that needs cooling, L
}

// Water is the water to carry, L.
type Water struct {
	People  float64 // a day
	Animals float64 // a day
	Reserve float64
	Litres  float64
	Hot     bool // what is drunk is raised for heat
}

// Fuel is the fuel to carry, L.
type Fuel struct {
	Surface float64 // factor of the mix of surfaces
	Tow     float64 // factor of the trailer
	Reserve float64
	Litres  float64
}

// Bed is the sleeping place of all who sleep in or on the vehicle, mm.
type Bed struct {
	Sleepers      int
	Length, Width float64
	Tallest       string // name of who decides the length
}

// Reach is how high and how far those who serve reach, mm: the least of all of
// them. 0 where nobody's height is known.
type Reach struct {
	Grip, Rim, Arm float64
	Who            string // whose height decides
}

// NeedsOf computes the needs of a brief.
func NeedsOf(b *fitout.Brief) Needs {
	n := Needs{Nights: b.Trip.Nights}
	n.WaterNights = nightsOf(b.Trip, b.Trip.WaterDistance)
	n.MainsNights = nightsOf(b.Trip, b.Trip.MainsDistance)
	n.Water = water(b, n.WaterNights)
	n.Fuel = fuel(b)
	n.Bed, n.Reach = bed(b), reach(b)
	for _, t := range b.Travellers {
		if t.Kind == fitout.TravellerAnimal {
			n.Animals, n.AnimalsKg = n.Animals+1, n.AnimalsKg+t.Mass
		} else {
			n.People, n.PeopleKg = n.People+1, n.PeopleKg+t.Mass
		}
	}
	for _, g := range b.Gear {
		n.GearKg += g.Count * g.Mass
		if g.Cool {
			n.CoolLitres += g.Count * g.Size.Length * g.Size.Width * g.Size.Height / 1e6
		}
	}
	for _, l := range b.Later {
		n.LaterKg += l.Mass
	}
	return n
}

// nightsOf returns the nights between two services: as many as it takes to
// drive a distance by usual days, rounded up, but no more than the trip has
// between services at all. Without a distance or a usual day it is those.
func nightsOf(t fitout.Trip, km float64) float64 {
	if km <= 0 || t.DayDistance <= 0 {
		return t.Nights
	}
	return min(t.Nights, math.Ceil(km/t.DayDistance))
}

// water returns people × nights × L a day + reserve, animals alike. What is
// drunk is raised on hot trips; what is washed with is not. Without travellers
// there is nothing to carry, and no reserve.
func water(b *fitout.Brief, nights float64) Water {
	if len(b.Travellers) == 0 {
		return Water{}
	}
	a := b.Assumptions
	w := Water{Reserve: a.WaterReserve, Hot: b.Trip.Hottest >= a.HotFrom}
	hot := 1.0
	if w.Hot {
		hot = a.HotFactor
	}
	wash := map[fitout.Washing]float64{fitout.WashBowl: a.WaterBowl, fitout.WashShower: a.WaterShower}[b.Camp.Washing]
	for _, t := range b.Travellers {
		switch {
		case t.Kind == fitout.TravellerAnimal && t.Water > 0:
			w.Animals += t.Water
		case t.Kind == fitout.TravellerAnimal:
			w.Animals += a.WaterAnimal * hot
		case t.Water > 0:
			w.People += t.Water
		default:
			w.People += a.WaterDrink*hot + wash
		}
	}
	w.Litres = (w.People+w.Animals)*nights + w.Reserve
	return w
}

// fuel returns distance × consumption × surface factor × trailer + reserve.
// The surface factor is the mean of the surfaces by their shares.
func fuel(b *fitout.Brief) Fuel {
	f := Fuel{Surface: 1, Tow: 1, Reserve: b.Assumptions.FuelReserve}
	share, sum := 0.0, 0.0
	for _, s := range b.Surfaces {
		share += s.Share
		sum += s.Share * s.Factor
	}
	if share > 0 {
		f.Surface = sum / share
	}
	if b.Trip.Tows != fitout.TowsNever {
		f.Tow = b.Assumptions.TowFactor
	}
	f.Litres = b.Trip.FuelDistance/100*b.Assumptions.Consumption*f.Surface*f.Tow + f.Reserve
	return f
}

// bed returns the length of the tallest sleeper and the shoulders of all, each
// with what the brief adds.
func bed(b *fitout.Brief) Bed {
	bed := Bed{}
	for _, t := range b.Travellers {
		if !t.Sleeps || t.Kind != fitout.TravellerPerson {
			continue
		}
		bed.Sleepers++
		if t.Height > 0 && t.Height+b.Assumptions.BedLength > bed.Length {
			bed.Length, bed.Tallest = t.Height+b.Assumptions.BedLength, t.Name
		}
		shoulder := t.Shoulder
		if shoulder == 0 {
			shoulder = usualShoulder
		}
		bed.Width += shoulder + b.Assumptions.BedWidth
	}
	return bed
}

// usualShoulder is the width of an adult's shoulders where nobody measured
// them, mm.
const usualShoulder = 480

// reach returns the least grip, rim and arm of those who serve. A grip that
// was not measured, and the rim and arm always, are shares of body height.
func reach(b *fitout.Brief) Reach {
	r := Reach{}
	for _, t := range b.Travellers {
		if t.Kind != fitout.TravellerPerson || !t.Serves || t.Height == 0 {
			continue
		}
		grip := t.Reach
		if grip == 0 {
			grip = b.Assumptions.GripShare * t.Height
		}
		rim := b.Assumptions.RimShare * t.Height
		if r.Who == "" || rim < r.Rim {
			r.Who, r.Rim, r.Arm = t.Name, rim, b.Assumptions.ArmShare*t.Height
		}
		if r.Grip == 0 || grip < r.Grip {
			r.Grip = grip
		}
	}
	return r
}
