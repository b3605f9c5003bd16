package limits

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// frontShare is the least share of the gross on the front axle, for steering.
func frontShare(p *plan.Plan) Limit {
	least := p.Job.Practice.FrontShare
	return &Share{plan: p, counts: []load.Count{p.Load.FrontShareForm(least).Count()},
		value: func(in *Situation) float64 { return 100 * in.Axles.Front / max(1, in.Axles.Gross()) },
		facts: Facts{
			ID: "front-share", Title: "Front share", Term: "front share", Unit: "%", Bound: Least(100 * least),
			Rule:    "front-light",
			Subject: fitout.Subject{Kind: "front-axle"}, Source: "workshop rule", Note: "of the gross; workshop rule",
		},
	}
}
