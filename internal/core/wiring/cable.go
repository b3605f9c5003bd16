package wiring

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
)

// Areas are the conductors that are sold, mm², thinnest first: by area, and by gauge.
var (
	Areas  = []float64{0.75, 1, 1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120}
	gauges = gaugesFrom(18, 16, 14, 12, 10, 8, 6, 4, 2, 1, 0, -1, -2, -3)
)

func gaugesFrom(all ...float64) []float64 {
	areas := make([]float64, len(all))
	for i, n := range all {
		areas[i] = quantity.Gauge(n)
	}
	return areas
}

// resistivity of flexible copper at 20 °C, Ω mm²/m (IEC 60228 class 5), and how it grows
// with each degree.
const (
	resistivity = 0.0195
	perDegree   = 0.00393
)

// Resistance is that of a length of conductor, Ω: ℓ ρ/A (1 + 0.00393 (T − 20)), ℓ in m of
// copper there and back, A in mm² (more than 0), T its temperature in °C.
func Resistance(metres, area, temperature float64) float64 {
	return metres * resistivity / area * (1 + perDegree*(temperature-20))
}

// Drop is the voltage that a circuit loses, V: ΔU = 2 ℓ I ρ/A, ℓ one way in m, I in A; one
// way of copper only where the body returns the current.
func Drop(metres, amps, area, temperature float64, body bool) float64 {
	ways := 2.0
	if body {
		ways = 1
	}
	return amps * Resistance(ways*metres, area, temperature)
}

// AreaFor is the copper that a circuit needs to lose no more than a voltage, mm².
func AreaFor(metres, amps, most, temperature float64, body bool) float64 {
	return Drop(metres, amps, 1, temperature, body) / most
}

// carries is what a cable carries at 30 °C in free air, A, with insulation for 105 °C and
// for 75 °C (ISO 10133).
var carries = []struct{ area, hot, usual float64 }{
	{0.75, 16, 10}, {1, 20, 14}, {1.5, 25, 18}, {2.5, 35, 25}, {4, 45, 35}, {6, 60, 45}, {10, 90, 65}, {16, 130, 90},
	{25, 170, 120}, {35, 210, 160}, {50, 270, 210}, {70, 330, 265}, {95, 390, 310}, {120, 450, 360},
}

// Ambient is how hot it is where a cable runs, °C: 30 in free air, 50 in a closed canopy,
// 80 in the engine bay. What is not said is taken for a closed canopy.
func Ambient(p fitout.HotPlace) float64 {
	switch p {
	case fitout.OpenAir:
		return 30
	case fitout.EngineBay:
		return 80
	}
	return 50
}

// Capacity is what a cable carries, A: from the table of ISO 10133, straight between its
// areas, × √((T_ins − T_amb)/(T_ins − 30)), T_ins 105 °C or, of insulation for 75 °C, 70; ×
// 0.7 in a bundle of 4 and more, 0.6 from 7, 0.5 from 25. It refuses areas outside of the
// table and insulation that bears no more than it is hot around it.
func Capacity(area, insulation, ambient, bundle float64) (float64, error) {
	hot := insulation == 0 || insulation >= 105
	bears := 70.0
	if hot {
		bears = 105
	}
	if ambient >= bears {
		return 0, fmt.Errorf("insulation for %.0f °C bears nothing at %.0f °C; accepted is one for 105 °C", insulation,
			ambient)
	}
	last := carries[len(carries)-1]
	if area < carries[0].area || area > last.area {
		return 0, fmt.Errorf("copper of %.4g mm² is not in the table; accepted are %.4g to %.4g mm²", area, carries[0].area,
			last.area)
	}
	amps := last.usual
	if hot {
		amps = last.hot
	}
	for i := 1; i < len(carries); i++ {
		a, b := carries[i-1], carries[i]
		if area > b.area {
			continue
		}
		share := (area - a.area) / (b.area - a.area)
		amps = a.usual + share*(b.usual-a.usual)
		if hot {
			amps = a.hot + share*(b.hot-a.hot)
		}
		break
	}
	return amps * math.Sqrt((bears-ambient)/(bears-30)) * bundled(bundle), nil
}

func bundled(cables float64) float64 {
	switch {
	case cables >= 25:
		return 0.5
	case cables >= 7:
		return 0.6
	case cables >= 4:
		return 0.7
	}
	return 1
}

// byDiameter is the copper of cable that is sold by its outside diameter, mm², typical.
var byDiameter = []struct{ diameter, area float64 }{{3, 1.13}, {4, 1.84}, {5, 2.9}, {6, 4.59}}

// SoldAs is the outside diameter under which cable of about an area is sold, mm, or 0.
func SoldAs(area float64) float64 {
	for _, d := range byDiameter {
		if math.Abs(d.area-area) < 0.02*d.area {
			return d.diameter
		}
	}
	return 0
}

// kilograms of a metre of one conductor with its insulation: copper of 8.96 g/cm³, half as
// much again for the rest.
func kilograms(area float64) float64 { return area * 8.96e-3 * 1.5 }
