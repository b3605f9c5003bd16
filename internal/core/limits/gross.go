package limits

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
)

// gross is what stands on the vehicle's own axles.
func gross(p *plan.Plan) *Mass {
	m := rated(p, "gross", "Gross", rating.In(p).Get(fitout.LimitGross))
	m.facts.Term, m.facts.Subject = p.Say.Term(fitout.TermGross), fitout.Subject{Kind: "gross"}
	m.count = p.Load.GrossForm().Count()
	return carrying(m)
}

// combination is the mass of vehicle and trailer together, of a job that tows.
func combination(p *plan.Plan) []*Mass {
	if p.Job.Trailer == nil {
		return nil
	}
	m := rated(p, "combination", "Combination", rating.In(p).Get(fitout.LimitCombination))
	m.facts.Term, m.facts.Subject = p.Say.Term(fitout.TermCombination), fitout.Subject{Kind: "combination"}
	m.count = p.Load.CombinationForm().Count()
	return []*Mass{carrying(m)}
}

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
