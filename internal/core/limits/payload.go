package limits

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
)

// payload is what the gross leaves for all that is put on the empty vehicle; the gross
// tells when it is passed.
func payload(p *plan.Plan) []*Mass {
	r, empty := rating.In(p).Get(fitout.LimitGross), p.Load.Unladen.Kg
	if r.Kg == 0 || r.Kg <= empty {
		return nil
	}
	count := func(c load.Carrier, m load.Moments) float64 {
		if c.Kind == load.EmptyVehicle {
			return 0
		}
		return m.Kg
	}
	return []*Mass{{plan: p, count: count, facts: Facts{
		ID: "payload", Title: "Payload", Unit: "kg", Bound: Most(r.Kg - empty), Echo: true,
		Subject: fitout.Subject{Kind: "gross"}, Term: "payload",
		Note: "what the gross leaves for all that is put on the vehicle as it stands empty and dry",
	}}}
}
