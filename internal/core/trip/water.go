package trip

import "math"

// gravity is that of the earth, m/s².
const gravity = 9.81

// TapCoefficient is C of a tap that flows by weight: 1/√(1.5 + ΣK + 0.03 ℓ/d), with ΣK the losses of
// bends and valves, and length ℓ and bore d of its hose in the same unit. A bore above 0.
func TapCoefficient(losses, length, bore float64) float64 {
	return 1 / math.Sqrt(1.5+losses+0.03*length/bore)
}

// TapFlow is what a tap gives by weight, litres a minute: Q = C A √(2 g h), with A of the bore in mm
// and h the level above its mouth in m. Nothing where the level is not above it.
func TapFlow(coefficient, bore, level float64) float64 {
	if level <= 0 {
		return 0
	}
	area := math.Pi * bore * bore / 4 / 1e6
	return coefficient * area * math.Sqrt(2*gravity*level) * 1000 * 60
}

// TapTime is how long a tank of an area in plan, m², takes through a tap by weight to fall from
// one level above its mouth to another, both m, in seconds: t = 2 A_tank/(C A √(2 g)) (√h₁ − √h₀). The
// bore in mm.
func TapTime(plan, coefficient, bore, from, to float64) float64 {
	area := math.Pi * bore * bore / 4 / 1e6
	return 2 * plan / (coefficient * area * math.Sqrt(2*gravity)) * (math.Sqrt(max(0, from)) - math.Sqrt(max(0, to)))
}

// FillerFall is the fall of a filler's pipe, degrees: atan(drop/run). Level, or rising, 0.
func FillerFall(drop, run float64) float64 {
	if drop <= 0 {
		return 0
	}
	return math.Atan2(drop, run) * 180 / math.Pi
}

// WarmingEnergy is what it takes to warm water, Wh: litres · ΔT · 1.163.
func WarmingEnergy(litres, degrees float64) float64 { return litres * degrees * 1.163 }

// Jugs is how often water is carried: ⌈litres/jug⌉.
func Jugs(litres, jug float64) int { return int(math.Ceil(litres/jug - 1e-9)) }
