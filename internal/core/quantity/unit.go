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

// The kinds. Plain is a number without a unit.
const (
	Length Kind = "length"
	Mass   Kind = "mass"
	Volume Kind = "volume"
	Plain  Kind = "plain"
)

// Base units per unit. Sources: the international yard and pound (1959) and
// the US liquid gallon of 231 cubic inches; the imperial gallon of 4.54609 L.
const (
	MMPerInch    = 25.4
	KgPerPound   = 0.45359237
	LitresPerGal = 3.785411784
)

type unit struct {
	kind   Kind
	factor float64
}

// units holds every spelling that is accepted, in lower case.
var units = map[string]unit{
	"mm": {Length, 1}, "cm": {Length, 10}, "m": {Length, 1000},
	"in": {Length, MMPerInch}, "inch": {Length, MMPerInch}, "inches": {Length, MMPerInch}, `"`: {Length, MMPerInch},
	"ft": {Length, 12 * MMPerInch}, "foot": {Length, 12 * MMPerInch}, "feet": {Length, 12 * MMPerInch}, "'": {Length, 12 * MMPerInch},
	"g": {Mass, 0.001}, "kg": {Mass, 1}, "t": {Mass, 1000},
	"lb": {Mass, KgPerPound}, "lbs": {Mass, KgPerPound}, "oz": {Mass, KgPerPound / 16},
	"ml": {Volume, 0.001}, "l": {Volume, 1}, "litre": {Volume, 1}, "litres": {Volume, 1}, "liter": {Volume, 1}, "liters": {Volume, 1},
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
	}
	return 1
}

// round rounds half away from zero to a number of decimals; what a computer's
// sum puts a hair below a half counts as one.
func round(value float64, decimals int) float64 {
	scale := math.Pow10(decimals)
	return math.Copysign(math.Floor(math.Abs(value)*scale+0.5+1e-9), value) / scale
}
