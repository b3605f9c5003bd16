package limits

import (
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// sides is by how much one side may be heavier than the other, without trailer.
func sides(p *plan.Plan) Limit {
	left, right := p.Load.LeftForm(), p.Load.RightForm()
	heavier := func(a, b load.Form) load.Count {
		return load.Form{Kg: a.Kg - b.Kg - p.Job.Practice.SideShare, X: a.X - b.X, Y: a.Y - b.Y, XY: a.XY - b.XY}.OfVehicle()
	}
	return &Share{plan: p, counts: []load.Count{heavier(left, right), heavier(right, left)},
		value: func(in *Situation) float64 {
			return 100 * math.Abs(in.Corners.Left()-in.Corners.Right()) / max(1, in.Moments.Kg)
		},
		facts: Facts{
			ID: "sides", Title: "Sides differ", Term: "difference of the sides", Unit: "%",
			Bound: Most(100 * p.Job.Practice.SideShare), Rule: "sides-uneven",
			Subject: fitout.Subject{Kind: "vehicle"}, Source: "workshop rule", Note: "of the gross; an estimate; workshop rule",
		},
	}
}
