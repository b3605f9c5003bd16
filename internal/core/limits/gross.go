package limits

import (
	"zaino/internal/core/fitout"
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
