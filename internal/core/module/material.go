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

// profileKg is what a metre of slotted profile of some width with its nuts weighs, kg: 0.95 where it is 30 mm wide,
// and by its area where it is slimmer or stouter. A practice figure.
func profileKg(width float64) float64 { return 0.95 * width * width / (usualProfile * usualProfile) }

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

// runnerKg returns what a pair of runners weighs per metre of its own length, kg.
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

// SagShare is the share of its span by which a shelf, floor or bottom may bend.
const SagShare = 1.0 / 200

const gravity = 9.81 // m/s²

// Stiffness is that of panels across their span, N/mm²: birch-type plywood, aluminium sheet, the thin panel of a
// frame, a sandwich with thin skins (of its whole thickness). Practice figures for planning; 0 for what is bought.
func Stiffness(wall fitout.Material) float64 {
	switch wall {
	case fitout.Plywood:
		return 8000
	case fitout.Aluminium:
		return 70000
	case fitout.Extrusion:
		return 9000
	case fitout.FoamCore:
		return 5000
	}
	return 0
}

// Sag is how far a panel bends under a load spread over it, held at both ends of its span, mm: 5 W ℓ³/(384 E I)
// with I = b t³/12 (beam theory). load in kg; span ℓ, width b and thickness t in mm, more than 0.
func Sag(wall fitout.Material, load, span, width, thick float64) float64 {
	return 5 * load * gravity * span * span * span / (384 * Stiffness(wall) * width * thick * thick * thick / 12)
}
