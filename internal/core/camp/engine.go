// Package camp looks at a stance as people live in it: who stands, sits, dresses, passes and works where, what
// stands on the ground around the vehicle, what is heard in bed, and how heavy things come in and out.
package camp

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
)

// Rules hold what is placed in and around the stances against the people there are.
func Rules() []plan.Rule {
	return []plan.Rule{
		room, passage, doorLow, workHeight, heightUnsaid,
		groundInWay, groundTogether, groundBeforeExit, fireNear, ladderFlat,
		noiseAtBed, noiseUnsaid,
		rampSteep, rampBelly, winchShort, pushHard,
	}
}

// slack is what two boxes may reach into each other without a word, mm.
const slack = 1.0

// about begins a finding about a stance, or what is placed in it.
func about(rule string, severity fitout.Severity, p *scene.Posture, with ...string) fitout.Finding {
	return fitout.Finding{
		Rule: rule, Severity: severity, Subject: fitout.Subject{Kind: "stance", ID: p.Stance.ID}, With: with,
		Stance: p.Stance.ID, Unit: "mm", Source: "practice",
	}
}

// in puts a sentence into its stance.
func in(p *scene.Posture) string { return " In “" + p.Stance.Name + "”." }

// stances calls for every stance but the road.
func stances(p *plan.Plan, look func(s *scene.Scene, posture *scene.Posture) []fitout.Finding) []fitout.Finding {
	s := scene.Of(p)
	var found []fitout.Finding
	for i := range s.Postures {
		if s.Postures[i].Stance.ID != "" {
			found = append(found, look(s, &s.Postures[i])...)
		}
	}
	return found
}

// deep is how far two boxes reach into each other where they do least, mm; negative where they are apart.
func deep(a, b fitout.Box) float64 {
	by := a.Overlap(b)
	return min(by.X, by.Y, by.Z)
}
