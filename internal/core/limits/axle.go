package limits

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
	"zaino/internal/core/words"
)

// axles are the loads on both axles, with the trailer where it is coupled, against
// what plate, upgrade and tyres allow on each.
func axles(p *plan.Plan) []*Mass {
	front := rated(p, "front", "Front axle", rating.In(p).Get(fitout.LimitFrontAxle))
	front.facts.Term, front.facts.Subject = p.Say.Term(fitout.TermFrontAxle), fitout.Subject{Kind: "front-axle"}
	front.count = p.Load.FrontForm().Count()
	rear := rated(p, "rear", "Rear axle", rating.In(p).Get(fitout.LimitRearAxle))
	rear.facts.Term, rear.facts.Subject = p.Say.Term(fitout.TermRearAxle), fitout.Subject{Kind: "rear-axle"}
	rear.count = p.Load.RearForm().Count()
	return []*Mass{carrying(front), carrying(rear)}
}

// carrying puts a limit of the pads into words.
func carrying(m *Mass) *Mass {
	f := &m.facts
	f.Note = f.Told()
	f.Missing = fmt.Sprintf("The plan cannot say whether %s is legal until its limit is read off the plate or papers "+
		"and entered under Vehicle.", words.Lower(f.Title))
	m.carries = func(load, most string) string {
		return fmt.Sprintf("%s carries %s; its limit (%s) is %s.", f.Title, load, f.Told(), most)
	}
	return m
}
