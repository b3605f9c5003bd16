package trip

import (
	"math"

	"zaino/internal/core/fitout"
)

// Of a tyre: how much of its nominal width it is wide on average, and how thick its tread is, mm.
// Practice.
const (
	meanWidth = 0.87
	tread     = 16.0
)

// TyreVolume is the air in a tyre, L: π w_mean ((r − tread)² − r_rim²), w_mean 0.87 of the nominal
// width, tread 16 mm; width, radius and rim radius in mm.
func TyreVolume(width, radius, rim float64) float64 {
	return max(0, math.Pi*meanWidth*width*((radius-tread)*(radius-tread)-rim*rim)/1e6)
}

// atmosphere is the pressure of the air, kPa.
const atmosphere = 101.3

// InflationTime is how long tyres take, minutes: n V (p₂ − p₁)/(101.3 kPa · free air delivery at the
// mean pressure). Volume in L, pressures in kPa, delivery in L/min above 0.
func InflationTime(tyres, volume, from, to, free float64) float64 {
	return tyres * volume * max(0, to-from) / (atmosphere * free)
}

// WithRests is how long a compressor takes that runs so many minutes at once and then rests: nothing
// is added where it may run without end.
func WithRests(minutes, atOnce, rest float64) float64 {
	if atOnce <= 0 || minutes <= atOnce {
		return minutes
	}
	return minutes + rest*(math.Ceil(minutes/atOnce-1e-9)-1)
}

// Wheel is a wheel of the vehicle with the place of its valve.
type Wheel struct {
	Name string
	At   fitout.Point
}

// HoseTo is the length of hose from a coupling to a wheel, m: on the side of the coupling along the
// body, to the other side round the shorter end of the vehicle on the ground. It is an estimate.
func HoseTo(v *fitout.Vehicle, wheelbase float64, coupling fitout.Point, wheel *Wheel) float64 {
	half := v.Outline.Width / 2
	if half == 0 {
		half = max(v.TrackFront, v.TrackRear)/2 + 150
	}
	side := math.Copysign(half, wheel.At.Y)
	out := max(0, half-math.Abs(coupling.Y)) // from the coupling to the side of the body
	along := math.Abs(coupling.X - wheel.At.X)
	up := math.Abs(coupling.Z - wheel.At.Z)
	front, rear := -v.Outline.FrontOverhang, wheelbase+v.Outline.RearOverhang
	if coupling.X <= front+200 || coupling.X >= rear-200 { // at an end it goes to either side
		return (math.Abs(side-coupling.Y) + along + up) / 1000
	}
	if coupling.Y*wheel.At.Y >= 0 && coupling.Y != 0 {
		return (out + along + up) / 1000
	}
	round := min(coupling.X-front+wheel.At.X-front, rear-coupling.X+rear-wheel.At.X)
	return (out + round + 2*half + up) / 1000
}

// WheelsOf are the wheels that stand on the ground.
func WheelsOf(v *fitout.Vehicle, wheelbase float64) []Wheel {
	var all []Wheel
	for _, axle := range []struct {
		name     string
		x, track float64
	}{{"front", 0, v.TrackFront}, {"rear", wheelbase, v.TrackRear}} {
		for _, side := range []struct {
			name string
			sign float64
		}{{"left", -1}, {"right", 1}} {
			all = append(all, Wheel{axle.name + " " + side.name + " wheel",
				fitout.Point{X: axle.x, Y: side.sign * axle.track / 2, Z: v.TyreRadius}})
		}
	}
	return all
}

// Pressure is what the workshop's table says of an axle with a load on a surface: of the lines that
// hold, the one with the least load above it, one of the surface itself before one of all. False
// where none does.
func Pressure(table []fitout.TyrePressure, axle fitout.WhichAxle, surface string, load float64) (fitout.TyrePressure, bool) {
	best, found := fitout.TyrePressure{}, false
	for _, line := range table {
		if line.Axle != axle || line.UpTo < load || line.Surface != "" && line.Surface != surface {
			continue
		}
		own, bestOwn := line.Surface != "", best.Surface != ""
		if !found || own && !bestOwn || own == bestOwn && line.UpTo < best.UpTo {
			best, found = line, true
		}
	}
	return best, found
}
