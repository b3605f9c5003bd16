package handover

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// longerThanUsual is how many times the usual interval one may be before it is told. Practice.
const longerThanUsual = 4.0

// intervalOdd notes an interval that is far longer than the trade's usual one of its kind: by it nothing is due until long
// after it is loose.
func intervalOdd(p *plan.Plan) []fitout.Finding {
	usual := fitout.NewHandover().Intervals
	var found []fitout.Finding
	for i := range p.Job.Handover.Intervals {
		n := &p.Job.Handover.Intervals[i]
		for k := range usual {
			u := &usual[k]
			if u.ID != n.ID {
				continue
			}
			f := fitout.Finding{
				Rule: "interval-odd", Severity: fitout.Note, Subject: fitout.Subject{Kind: "handover", ID: n.ID}, Source: "practice",
				Title: n.Name + " is due late",
			}
			switch {
			case u.Km > 0 && n.Km > longerThanUsual*u.Km:
				f.Sentence = fmt.Sprintf("It is due after %s; usual are %s. A figure too many?",
					p.Say.Distance(n.Km), p.Say.Distance(u.Km))
				f.Over(n.Km, longerThanUsual*u.Km, "km")
			case u.Months > 0 && n.Months > longerThanUsual*u.Months:
				f.Sentence = fmt.Sprintf(
					"It is due after %.0f months; usual are %.0f. A figure too many?",
					n.Months,
					u.Months,
				)
				f.Over(n.Months, longerThanUsual*u.Months, "months")
			default:
				continue
			}
			found = append(found, f)
		}
	}
	return found
}
