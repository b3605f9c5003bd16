package quantity

import (
	"math"
	"strconv"
	"strings"
)

// Spaces that never break a line: between thousands, and before a unit.
const (
	narrow = "\u202f"
	before = "\u00a0"
)

// Format writes a value of base units as the system shows it: mm, km, °C and
// litres whole, kg whole from 100 and to one decimal below, inches in
// sixteenths, pounds whole, gallons, rates, consumption and angles to one
// decimal. Parse reads it back.
func Format(value float64, kind Kind, system System) string {
	if kind == Plain {
		return group(value, 2)
	}
	own := system.fromBase(value, kind)
	if kind == Length && system == US {
		return sixteenths(own) + before + system.unitOf(kind)
	}
	if kind == Copper && system == US {
		return gauge(own) + before + system.unitOf(kind)
	}
	text := group(own, decimals(own, kind, system))
	if kind == Angle {
		return text + system.unitOf(kind)
	}
	return text + before + system.unitOf(kind)
}

// FormatAtLeast writes a value as Format does, rounded up: whoever does by as much as is written has done enough.
// The value is finite.
func FormatAtLeast(value float64, kind Kind, system System) string {
	own := system.fromBase(value, kind)
	steps := math.Pow10(decimals(own, kind, system))
	if kind == Length && system == US {
		steps = 16
	}
	if kind == Copper && system == US {
		return Format(value, kind, system) // gauges are sizes that there are
	}
	up := math.Ceil(own*steps-1e-6) / steps
	return Format(system.toBase(up, kind), kind, system)
}

// FormatAtMost writes a length as Format does, rounded down: whoever does by as much as is written has not done too
// much. The value is finite and 0 or more.
func FormatAtMost(mm float64, system System) string {
	steps := 1.0
	if system == US {
		steps = 16
	}
	down := math.Floor(system.fromBase(mm, Length)*steps+1e-6) / steps
	return Format(system.toBase(down, Length), Length, system)
}

// decimals is how many a kind is shown with.
func decimals(own float64, kind Kind, system System) int {
	switch kind {
	case Mass:
		if system == US {
			return decimalsBelow(own, 10)
		}
		return decimalsBelow(own, 100)
	case Volume:
		if system == US {
			return 1
		}
		return decimalsBelow(own, 10)
	case Rate, Consumption, Angle, Time, Flow, Airflow:
		return 1
	case Voltage, Copper:
		return 2
	case Power:
		return decimalsBelow(own, 10)
	case Charge, Current:
		return decimalsBelow(own, 100)
	}
	return 0
}

func decimalsBelow(value, whole float64) int {
	if math.Abs(value) < whole {
		return 1
	}
	return 0
}

// group writes a number rounded to at most the given decimals, thousands
// apart, with a real minus sign and no trailing zeros.
func group(value float64, decimals int) string {
	value = round(value, decimals)
	text := strconv.FormatFloat(math.Abs(value), 'f', -1, 64)
	whole, fraction, _ := strings.Cut(text, ".")
	var out strings.Builder
	if value < 0 {
		out.WriteString("−")
	}
	for i, digit := range whole {
		if i > 0 && (len(whole)-i)%3 == 0 {
			out.WriteString(narrow)
		}
		out.WriteRune(digit)
	}
	if fraction != "" {
		out.WriteString("." + fraction)
	}
	return out.String()
}

// sixteenths writes inches with the nearest sixteenth as a reduced fraction.
func sixteenths(inches float64) string {
	count := int(math.Round(math.Abs(inches) * 16))
	sign := ""
	if inches < 0 && count > 0 {
		sign = "−"
	}
	whole, rest := count/16, count%16
	if rest == 0 {
		return sign + group(float64(whole), 0)
	}
	below := 16
	for rest%2 == 0 {
		rest, below = rest/2, below/2
	}
	fraction := strconv.Itoa(rest) + "/" + strconv.Itoa(below)
	if whole == 0 {
		return sign + fraction
	}
	return sign + group(float64(whole), 0) + " " + fraction
}
