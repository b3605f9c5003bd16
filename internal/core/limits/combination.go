package limits

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
)

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
