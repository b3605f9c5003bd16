// Package device reads what scales and monitors send, and has the simulated ones that ship
// with the program. All speak one line protocol, docs/devices.md: one JSON object a line
// over TCP. What arrives is not trusted: lines, rates and ranges are bounded.
package device

import (
	"bytes"
	"encoding/json"
	"fmt"
	"math"
	"time"
)

// Reading is one line of a battery monitor.
type Reading struct {
	At          time.Time         `json:"at" doc:"by the monitor's clock"`
	Amps        float64           `json:"amps" doc:"into the battery, A; negative out of it"`
	Volts       float64           `json:"volts" doc:"V"`
	Charge      float64           `json:"charge" doc:"state of charge, 0 to 1"`
	Temperature float64           `json:"temperature" doc:"of the battery, °C"`
	Tanks       []TankReading     `json:"tanks" doc:"levels"`
	Pressures   []PressureReading `json:"pressures"`
}

// TankReading is how full a tank is.
type TankReading struct {
	Name   string  `json:"name"`
	Litres float64 `json:"litres"`
}

// PressureReading is that of a tyre, or of a line.
type PressureReading struct {
	Name string  `json:"name"`
	Bar  float64 `json:"bar"`
}

// LongestLine is how many bytes a line may have.
const LongestLine = 4096

// Parse reads one line. It refuses, saying what would be accepted: what is no JSON object
// of these fields, figures out of range, and long lists.
func Parse(line []byte) (Reading, error) {
	var r Reading
	decoder := json.NewDecoder(bytes.NewReader(line))
	decoder.DisallowUnknownFields()
	if err := decoder.Decode(&r); err != nil {
		return r, fmt.Errorf("a line is no reading (%w); accepted is one JSON object with at, amps, volts, charge", err)
	}
	if r.At.IsZero() || r.At.Year() < 2000 || r.At.Year() > 2200 {
		return r, fmt.Errorf("a reading has no time; accepted is at, such as 2026-05-01T06:30:00+10:00")
	}
	for _, figure := range []struct {
		name      string
		value     float64
		low, high float64
	}{
		{"amps", r.Amps, -5000, 5000}, {"volts", r.Volts, 0, 100}, {"charge", r.Charge, 0, 1},
		{"temperature", r.Temperature, -60, 120},
	} {
		if math.IsNaN(figure.value) || figure.value < figure.low || figure.value > figure.high {
			return r, fmt.Errorf("%s is %v; accepted is %v to %v", figure.name, figure.value, figure.low, figure.high)
		}
	}
	if len(r.Tanks) > 20 || len(r.Pressures) > 20 {
		return r, fmt.Errorf("a reading has %d tanks and %d pressures; accepted are up to 20 of each", len(r.Tanks),
			len(r.Pressures))
	}
	for i := range r.Tanks {
		r.Tanks[i].Name = short(r.Tanks[i].Name)
		if t := r.Tanks[i]; t.Litres < 0 || t.Litres > 5000 {
			return r, fmt.Errorf("a tank holds %v L; accepted is 0 to 5000", t.Litres)
		}
	}
	for i := range r.Pressures {
		r.Pressures[i].Name = short(r.Pressures[i].Name)
		if p := r.Pressures[i]; p.Bar < 0 || p.Bar > 50 {
			return r, fmt.Errorf("a pressure is %v bar; accepted is 0 to 50", p.Bar)
		}
	}
	if r.Tanks == nil {
		r.Tanks = []TankReading{}
	}
	if r.Pressures == nil {
		r.Pressures = []PressureReading{}
	}
	return r, nil
}

func short(name string) string {
	if runes := []rune(name); len(runes) > 60 {
		return string(runes[:60])
	}
	return name
}
