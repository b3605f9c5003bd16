// Package quantity reads and writes measures as people in the trade do: "42in",
// "1.2 m", "5' 3 1/2\"", "30 gal", "640-2*12". Inside the core every length is
// in mm, every mass in kg and every volume in litres; this is the one place
// where other units are known.
package quantity

import (
	"math"
	"slices"
	"strings"
)

// Kind is what a quantity measures.
type Kind string

// The kinds. Plain is a number without a unit. Temperature, Consumption and Copper are
// scales: their units are no multiples of each other.
const (
	Length      Kind = "length"
	Mass        Kind = "mass"
	Volume      Kind = "volume"
	Distance    Kind = "distance"    // along the road
	Rate        Kind = "rate"        // of a spring
	Temperature Kind = "temperature" // of the air
	Consumption Kind = "consumption" // of fuel
	Angle       Kind = "angle"
	Power       Kind = "power"
	Energy      Kind = "energy"
	Charge      Kind = "charge" // of a battery
	Current     Kind = "current"
	Voltage     Kind = "voltage"
	Time        Kind = "time"
	Copper      Kind = "copper"   // area of a conductor
	Pressure    Kind = "pressure" // of a tyre, above the air around it
	Flow        Kind = "flow"     // of water
	Airflow     Kind = "airflow"  // of free air
	Plain       Kind = "plain"
)

// Base units per unit. Sources: the international yard and pound (1959) and
// the US liquid gallon of 231 cubic inches; the imperial gallon of 4.54609 L;
// standard gravity of 9.80665 m/s² for a pound of force.
const (
	MMPerInch    = 25.4
	KgPerPound   = 0.45359237
	LitresPerGal = 3.785411784
	KmPerMile    = 1.609344
	RatePerLbIn  = KgPerPound * 9.80665 / MMPerInch // N/mm per lb/in
	LPerCubicFt  = 28.316846592
	KPaPerPsi    = KgPerPound * 9.80665 / (MMPerInch * MMPerInch) * 1000
)

type unit struct {
	kind   Kind
	factor float64
}

// units holds every spelling that is accepted, in lower case.
var units = map[string]unit{
	"mm": {Length, 1}, "cm": {Length, 10}, "m": {Length, 1000},
	"in": {Length, MMPerInch}, "inch": {Length, MMPerInch}, "inches": {Length, MMPerInch}, `"`: {Length, MMPerInch},
	"ft": {Length, 12 * MMPerInch}, "foot": {Length, 12 * MMPerInch}, "feet": {Length, 12 * MMPerInch},
	"'": {Length, 12 * MMPerInch},
	"g": {Mass, 0.001}, "kg": {Mass, 1}, "t": {Mass, 1000},
	"lb": {Mass, KgPerPound}, "lbs": {Mass, KgPerPound}, "oz": {Mass, KgPerPound / 16},
	"ml": {Volume, 0.001}, "l": {Volume, 1}, "litre": {Volume, 1}, "litres": {Volume, 1}, "liter": {Volume, 1},
	"liters": {Volume, 1},
	"km":     {Distance, 1}, "mi": {Distance, KmPerMile}, "mile": {Distance, KmPerMile}, "miles": {Distance, KmPerMile},
	"°": {Angle, 1}, "deg": {Angle, 1},
	"w": {Power, 1}, "kw": {Power, 1000}, "wh": {Energy, 1}, "kwh": {Energy, 1000},
	"ah": {Charge, 1}, "mah": {Charge, 0.001}, "a": {Current, 1}, "ma": {Current, 0.001}, "v": {Voltage, 1}, "mv": {Voltage, 0.001},
	"kpa": {Pressure, 1}, "bar": {Pressure, 100}, "psi": {Pressure, KPaPerPsi}, "lpm": {Flow, 1}, "gpm": {Flow, LitresPerGal},
	"cfm": {Airflow, LPerCubicFt},
	"h":   {Time, 1}, "hour": {Time, 1}, "hours": {Time, 1}, "min": {Time, 1.0 / 60},
	"gal": {Volume, LitresPerGal}, "qt": {Volume, LitresPerGal / 4}, "impgal": {Volume, 4.54609},
}

// accepted names the units of a kind for an error sentence.
func accepted(kind Kind) string {
	var names []string
	for name, u := range units {
		if u.kind == kind {
			names = append(names, name)
		}
	}
	slices.Sort(names)
	return strings.Join(names, ", ")
}

// written are the spellings of units that hold for a whole value and stand at
// its end: those of the scales, and those with a slash, which would read as a
// division.
var written = map[Kind]map[System][]string{
	Temperature: {Metric: {"°c", "c"}, US: {"°f", "f"}},
	Consumption: {Metric: {"l/100km", "l/100 km"}, US: {"mpg"}},
	Rate:        {Metric: {"n/mm"}, US: {"lb/in", "lbs/in"}},
	Copper:      {Metric: {"mm²", "mm2"}, US: {"awg"}},
	Flow:        {Metric: {"l/min"}, US: {"gal/min"}},
	Airflow:     {Metric: {"l/min"}, US: {}},
}

// kmPerLitre is 100 km per mile over litres per US gallon: miles per gallon
// times litres per 100 km.
const kmPerLitre = 100 * LitresPerGal / KmPerMile

// System is the system of units that a bare number is read in.
type System string

// The systems.
const (
	Metric System = "metric"
	US     System = "us"
)

// factor is how many base units a bare number of a kind means.
func (s System) factor(kind Kind) float64 {
	if s != US {
		return 1
	}
	switch kind {
	case Length:
		return MMPerInch
	case Mass:
		return KgPerPound
	case Volume:
		return LitresPerGal
	case Distance:
		return KmPerMile
	case Rate:
		return RatePerLbIn
	case Pressure:
		return KPaPerPsi
	case Flow:
		return LitresPerGal
	case Airflow:
		return LPerCubicFt
	}
	return 1
}

// toBase turns a number in the system's own unit into °C, L/100 km, or the
// base unit of any other kind.
func (s System) toBase(value float64, kind Kind) float64 {
	switch {
	case s == US && kind == Temperature:
		return (value - 32) / 1.8
	case s == US && kind == Consumption:
		if value == 0 {
			return 0
		}
		return kmPerLitre / value
	case s == US && kind == Copper:
		if value == noCopper {
			return 0
		}
		return Gauge(value)
	}
	return value * s.factor(kind)
}

// fromBase is the way back from toBase.
func (s System) fromBase(value float64, kind Kind) float64 {
	switch {
	case s == US && kind == Temperature:
		return value*1.8 + 32
	case s == US && kind == Consumption:
		return s.toBase(value, kind) // the reciprocal is its own way back
	case s == US && kind == Copper:
		if value <= 0 {
			return noCopper
		}
		return gaugeOf(value)
	}
	return value / s.factor(kind)
}

// shown are the units that each system writes behind a number, metric and US.
var shown = map[Kind][2]string{
	Length: {"mm", "in"}, Mass: {"kg", "lb"}, Volume: {"L", "gal"}, Distance: {"km", "mi"},
	Rate: {"N/mm", "lb/in"}, Temperature: {"°C", "°F"}, Consumption: {"L/100 km", "mpg"}, Angle: {"°", "°"},
	Power: {"W", "W"}, Energy: {"Wh", "Wh"}, Charge: {"Ah", "Ah"}, Current: {"A", "A"}, Voltage: {"V", "V"},
	Time: {"h", "h"}, Copper: {"mm²", "AWG"}, Pressure: {"kPa", "psi"}, Flow: {"L/min", "gal/min"}, Airflow: {"L/min", "cfm"},
}

// unitOf is the unit as the system writes it behind a number.
func (s System) unitOf(kind Kind) string {
	own := shown[kind]
	if s == US {
		return own[1]
	}
	return own[0]
}

// round rounds half away from zero to a number of decimals; what a computer's
// sum puts a hair below a half counts as one.
func round(value float64, decimals int) float64 {
	scale := math.Pow10(decimals)
	return math.Copysign(math.Floor(math.Abs(value)*scale+0.5+1e-9), value) / scale
}
