// Package answer holds what the brief asks for against what is aboard: people and animals with a place, water, used
// water, toilet, beds, stances and trailer. It speaks once something of the plan is there, so that an empty one is not scolded.
package answer

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// Rules tell what the brief asks and nothing aboard answers.
func Rules() []plan.Rule {
	return []plan.Rule{
		travellerNotAboard, noSeat, seatShared, animalLoose, waterNowhere, wasteNowhere, toiletNowhere, bedUnsaid,
		trailerNowhere, substanceUnsaid, caseGone, applianceUnplanned, stancesNone,
	}
}

// begun tells whether anything was put on the vehicle yet.
func begun(p *plan.Plan) bool {
	for i := range p.Variant.Items {
		if p.Variant.Items[i].Module != nil {
			return true
		}
	}
	return false
}

// asks begins a finding about something that the brief asks for.
func asks(rule string, severity fitout.Severity, measure string) fitout.Finding {
	return fitout.Finding{
		Rule: rule, Severity: severity, Subject: fitout.Subject{Kind: "brief", Measure: measure}, Source: "brief", Margin: -1,
	}
}
