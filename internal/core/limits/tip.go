package limits

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// tip is the side tip angle that the load may take of the unladen vehicle's.
func tip(p *plan.Plan) Limit {
	unladen := TipAngle(p, &p.Load.Unladen)
	most := p.Job.Practice.TipLoss
	return &Share{plan: p, counts: []load.Count{p.Load.TipForm(unladen - most).OfVehicle()},
		value: func(in *Situation) float64 { return unladen - TipAngle(p, &in.Moments) },
		facts: Facts{
			ID: "tip", Title: "Tip angle lost", Term: "tip angle lost", Unit: "°", Bound: Most(most), Rule: "tip-lost",
			Subject: fitout.Subject{Kind: "vehicle"}, Source: "workshop rule",
			Note: "of the unladen vehicle's side tip angle, an upper bound; workshop rule",
		},
	}
}

// TipAngle is the side tip angle of masses on the plan's tracks, an upper bound, °.
func TipAngle(p *plan.Plan, m *load.Moments) float64 {
	_, tip := load.Stability(p.Load.TrackFront, p.Load.TrackRear, max(1, m.Centre().Z))
	return tip
}
