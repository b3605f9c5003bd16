package limits

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// seats is how many people and animals sit in seats, of how many there are.
func seats(p *plan.Plan) Limit {
	count := func(c load.Carrier, m load.Moments) float64 {
		if c.Kind == load.OneItem && m.Kg > 0 && c.Item.Seat != "" && plan.Traveller(c.Item) {
			return 1
		}
		return 0
	}
	all := float64(len(p.Vehicle.Seats))
	return &Share{plan: p, counts: []load.Count{func(c load.Carrier, m load.Moments) float64 {
		if c.Kind == load.EmptyVehicle {
			return -all
		}
		return count(c, m)
	}},
		value: func(in *Situation) float64 { return in.Sum(count) },
		facts: Facts{
			ID: "seats", Title: "Seats", Term: "seats", Unit: "people", Bound: Most(all), Rule: "seats",
			Subject: fitout.Subject{Kind: "vehicle"}, Source: "physics", Note: "people and animals in seats",
		},
	}
}
