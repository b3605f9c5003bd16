// Package words puts figures, names and lists into the words and units of a job.
// Every sentence that the core says takes them from here, so that a mass, a length
// or a limit is called the same everywhere.
package words

import (
	"fmt"
	"math"
	"strings"
	"unicode"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
)

// Speaker speaks in the units of a job and the terms of its region.
type Speaker struct {
	Units  quantity.System
	Region fitout.Region
}

// For returns the speaker of a job.
func For(j *fitout.Job) Speaker { return Speaker{quantity.System(j.Units), j.Region} }

// Mass puts kg into words.
func (s Speaker) Mass(kg float64) string { return quantity.Format(kg, quantity.Mass, s.Units) }

// MassAtLeast puts kg into words that somebody has to take off, or that something has to hold: rounded up.
func (s Speaker) MassAtLeast(kg float64) string {
	return quantity.FormatAtLeast(kg, quantity.Mass, s.Units)
}

// AmpsAtLeast puts A into words by which something has to be set lower: rounded up.
func (s Speaker) AmpsAtLeast(a float64) string {
	return quantity.FormatAtLeast(a, quantity.Current, s.Units)
}

// ChargeAtLeast puts Ah into words that have to be saved: rounded up.
func (s Speaker) ChargeAtLeast(ah float64) string {
	return quantity.FormatAtLeast(ah, quantity.Charge, s.Units)
}

// VolumeAtLeast puts litres into words that are missing: rounded up.
func (s Speaker) VolumeAtLeast(litres float64) string {
	return quantity.FormatAtLeast(litres, quantity.Volume, s.Units)
}

// FlowAtLeast puts litres a minute into words that are wanted: rounded up.
func (s Speaker) FlowAtLeast(litres float64) string {
	return quantity.FormatAtLeast(litres, quantity.Flow, s.Units)
}

// Enough is what a length may be short of without being felt, mm: half of what measuring with a tape leaves. Rules
// whose sentence names a length by LengthAtLeast let as much pass.
const Enough = 0.4

// LengthAtLeast puts mm into words by which something has to be moved or made smaller: rounded up.
func (s Speaker) LengthAtLeast(mm float64) string {
	return quantity.FormatAtLeast(mm-Enough, quantity.Length, s.Units)
}

// LengthAtMost puts mm into words by which something may come down onto what is beneath it: rounded down.
func (s Speaker) LengthAtMost(mm float64) string { return quantity.FormatAtMost(mm+Enough, s.Units) }

// Length puts mm into words.
func (s Speaker) Length(mm float64) string { return quantity.Format(mm, quantity.Length, s.Units) }

// Volume puts litres into words.
func (s Speaker) Volume(litres float64) string {
	return quantity.Format(litres, quantity.Volume, s.Units)
}

// Area puts m² into words, as square feet where inches are shown.
func (s Speaker) Area(m2 float64) string {
	if s.Units == quantity.US {
		const feet = 1 / (0.3048 * 0.3048)
		return fmt.Sprintf("%.1f ft²", m2*feet)
	}
	return fmt.Sprintf("%.2f m²", m2)
}

// Distance puts km into words.
func (s Speaker) Distance(km float64) string { return quantity.Format(km, quantity.Distance, s.Units) }

// Way puts m into words, of hoses and the like: in US units in feet.
func (s Speaker) Way(metres float64) string {
	if s.Units == quantity.US {
		return fmt.Sprintf("%.1f\u00a0ft", metres*1000/quantity.MMPerInch/12)
	}
	return fmt.Sprintf("%.1f\u00a0m", metres)
}

// Used puts into words what a way in km takes at a consumption in L/100 km: a way is
// multiplied by litres on a way, and divided by miles a gallon.
func (s Speaker) Used(km, consumption float64) string {
	sign := "×"
	if s.Units == quantity.US {
		sign = "÷"
	}
	return fmt.Sprintf("%s %s %s", s.Distance(km), sign, s.Consumption(consumption))
}

// Consumption puts L/100 km into words.
func (s Speaker) Consumption(litres float64) string {
	return quantity.Format(litres, quantity.Consumption, s.Units)
}

// Rate puts the rate of a spring, N/mm, into words.
func (s Speaker) Rate(rate float64) string { return quantity.Format(rate, quantity.Rate, s.Units) }

// Temperature puts °C into words.
func (s Speaker) Temperature(c float64) string {
	return quantity.Format(c, quantity.Temperature, s.Units)
}

// Watts puts W into words.
func (s Speaker) Watts(w float64) string { return quantity.Format(w, quantity.Power, s.Units) }

// Energy puts Wh into words.
func (s Speaker) Energy(wh float64) string { return quantity.Format(wh, quantity.Energy, s.Units) }

// Charge puts Ah into words.
func (s Speaker) Charge(ah float64) string { return quantity.Format(ah, quantity.Charge, s.Units) }

// Amps puts A into words.
func (s Speaker) Amps(a float64) string { return quantity.Format(a, quantity.Current, s.Units) }

// Volts puts V into words.
func (s Speaker) Volts(v float64) string { return quantity.Format(v, quantity.Voltage, s.Units) }

// Hours puts h into words.
func (s Speaker) Hours(h float64) string { return quantity.Format(h, quantity.Time, s.Units) }

// Copper puts the mm² of a conductor into words, in US units as its gauge.
func (s Speaker) Copper(area float64) string { return quantity.Format(area, quantity.Copper, s.Units) }

// Pressure puts kPa into words.
func (s Speaker) Pressure(kpa float64) string {
	return quantity.Format(kpa, quantity.Pressure, s.Units)
}

// Flow puts L/min into words.
func (s Speaker) Flow(litres float64) string { return quantity.Format(litres, quantity.Flow, s.Units) }

// Airflow puts L/min of free air into words.
func (s Speaker) Airflow(litres float64) string {
	return quantity.Format(litres, quantity.Airflow, s.Units)
}

// Percent puts a share from 0 to 1 into words.
func (s Speaker) Percent(share float64) string { return s.Plain(math.Round(1000*share)/10) + " %" }

// Plain puts a bare number into words.
func (s Speaker) Plain(value float64) string { return quantity.Format(value, quantity.Plain, s.Units) }

// Term is the region's word for a limit or a part.
func (s Speaker) Term(t fitout.Term) string { return s.Region.Word(t) }

// Filled says how full a tank or vessel is.
func (s Speaker) Filled(name string, litres float64) string {
	if litres == 0 {
		return "empty " + Lower(name)
	}
	return s.Volume(litres) + " in " + Lower(name)
}

// Source is the place of a limit as a sentence names it.
func Source(s fitout.LimitSource) string {
	switch s {
	case fitout.FromPlate:
		return "plate"
	case fitout.FromPapers:
		return "papers"
	case fitout.FromDataSheet:
		return "data sheet"
	}
	return "estimate"
}

// MassSource is where a mass comes from, as a table tells it.
func MassSource(s fitout.MassSource) string {
	switch s {
	case fitout.ByScale:
		return "weighed"
	case fitout.DataSheet:
		return "data sheet"
	case fitout.ByMaterial:
		return "from material"
	}
	return "estimate"
}

// Lower puts a name into the middle of a sentence, leaving abbreviations.
func Lower(name string) string {
	runes := []rune(name)
	if len(runes) == 0 || len(runes) > 1 && !unicode.IsLower(runes[1]) {
		return name
	}
	runes[0] = unicode.ToLower(runes[0])
	return string(runes)
}

// Capital begins a sentence.
func Capital(text string) string {
	runes := []rune(text)
	if len(runes) > 0 {
		runes[0] = unicode.ToUpper(runes[0])
	}
	return string(runes)
}

// Unbroken keeps a percent sign on the line of its number.
func Unbroken(text string) string { return strings.ReplaceAll(text, " %", "\u202f%") }

// A sentence lists as many names as most; of more it lists some, and tells how many others there are.
const most, some = 8, 5

// List joins names as a sentence does, in their order.
func List(names []string) string {
	if len(names) > most {
		return fmt.Sprintf("%s and %d more", strings.Join(names[:some], ", "), len(names)-some)
	}
	if len(names) < 2 {
		return strings.Join(names, "")
	}
	return strings.Join(names[:len(names)-1], ", ") + " and " + names[len(names)-1]
}

// Sentences joins sentences, leaving out what is empty.
func Sentences(all ...string) string {
	said := make([]string, 0, len(all))
	for _, one := range all {
		if one != "" {
			said = append(said, one)
		}
	}
	return strings.Join(said, " ")
}

// Money puts cents into words with as many decimals, 0 or more, as a currency is shown with, thousands apart: "4
// 291.20".
func Money(cents, decimals int) string {
	text := fmt.Sprintf("%.*f", decimals, math.Abs(float64(cents)/100))
	whole, fraction, _ := strings.Cut(text, ".")
	for at := len(whole) - 3; at > 0; at -= 3 {
		whole = whole[:at] + "\u202f" + whole[at:]
	}
	if fraction != "" {
		whole += "." + fraction
	}
	if strings.Trim(text, "0.") != "" && cents < 0 {
		return "−" + whole
	}
	return whole
}
