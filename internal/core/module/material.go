package module

import "zaino/internal/core/fitout"

// density returns what a panel of a material weighs, kg per m³: birch plywood,
// sheet aluminium, and foam between aluminium skins as a whole. Extrusion is
// profiles with thin panels: its panels weigh as foam core, its profiles by
// length. Practice figures of workshops; weighing replaces them.
func density(m fitout.Material) float64 {
	switch m {
	case fitout.Plywood:
		return 680
	case fitout.Aluminium:
		return 2700
	case fitout.FoamCore:
		return 310
	case fitout.Extrusion:
		return 420
	}
	return 0
}

// profileKg is what a metre of slotted profile with its nuts weighs, kg.
const profileKg = 0.95

// liningKg is what a square metre of felt lining weighs, kg.
const liningKg = 1.1

// Side returns what a runner takes of the width on each side, mm: heavy
// ball-bearing slides 19, rollers 13, plastic strips 2.
func Side(r fitout.Runner) float64 {
	switch r {
	case fitout.BallRunner:
		return 19
	case fitout.RollerRunner:
		return 13
	case fitout.StripRunner:
		return 2
	}
	return 0
}

// runnerKg returns what a pair of runners weighs per metre of its length, kg.
func runnerKg(r fitout.Runner) float64 {
	switch r {
	case fitout.BallRunner:
		return 7.2
	case fitout.RollerRunner:
		return 2.4
	case fitout.StripRunner:
		return 0.5
	}
	return 0
}
