// Package sense finds figures that cannot all be right: what weighs nothing, a body narrower than its track, an axle
// that may carry more than the whole vehicle. Every other rule goes by such figures and would call a build sound for
// them.
package sense

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// Rules hold what was entered against what is possible.
func Rules() []plan.Rule {
	return []plan.Rule{
		weighsNothing, massOdd, bayUnsaid, outlineOdd, bayBeyond, limitOdd, baselineLight, tankOdd, driverOdd, coldOverHot,
		assumptionOdd, travellerOdd, seatTwice, suspensionOdd, hitchOdd, splitOdd, electricsOdd, practiceOdd, gearOdd, ratedOdd,
	}
}

// about begins a finding about figures that do not go together.
func about(rule string, kind, id string) fitout.Finding {
	return fitout.Finding{
		Rule: rule, Severity: fitout.Caution, Subject: fitout.Subject{Kind: kind, ID: id}, Source: "physics", Margin: -1,
	}
}

// outside says by how much a figure lies below the least or above the most that there is.
func outside(f *fitout.Finding, value, least, most float64, unit string) {
	if value < least {
		f.Under(value, least, unit)
	} else {
		f.Over(value, most, unit)
	}
}
