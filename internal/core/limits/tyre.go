package limits

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
	"zaino/internal/core/words"
)

// tyres are what the tyres on each axle carry by their load index. The axle's own
// limit tells when they are what binds.
func tyres(p *plan.Plan) []*Mass {
	forms := map[fitout.WhichAxle]load.Form{fitout.FrontAxle: p.Load.FrontForm(), fitout.RearAxle: p.Load.RearForm()}
	var all []*Mass
	for _, axle := range []fitout.WhichAxle{fitout.FrontAxle, fitout.RearAxle} {
		tyre, _ := rating.TyreOn(p.Vehicle, axle)
		kg, known := rating.AxleKg(tyre)
		if !known {
			continue
		}
		term := p.Say.Term(fitout.TermTyre)
		all = append(all, &Mass{plan: p, count: forms[axle].Count(), facts: Facts{
			ID: "tyres-" + string(axle), Title: fmt.Sprintf("%ss, %s", words.Capital(term), axle), Unit: "kg", Bound: Most(kg),
			Echo:    true,
			Subject: fitout.Subject{Kind: string(axle) + "-axle"}, Term: term + "s",
			Note: fmt.Sprintf("load index %d on every wheel of the axle", tyre.Index),
		}})
	}
	return all
}
