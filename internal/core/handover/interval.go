package handover

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// longerThanUsual is how many times the usual interval one may be before it is told, and furthest how many km such a
// vehicle comes after its handover. Practice.
const (
	longerThanUsual = 4.0
	furthest        = 500_000.0
)

// intervalOdd notes an interval that is far longer than the trade's usual one of its kind, and one that was done last on a
// clock that cannot be: by them nothing is due until long after it is loose.
func intervalOdd(p *plan.Plan) []fitout.Finding {
	h, usual := &p.Job.Handover, fitout.NewHandover().Intervals
	var found []fitout.Finding
	for i := range h.Intervals {
		n := &h.Intervals[i]
		tell := func(title, sentence string) *fitout.Finding {
			found = append(found, fitout.Finding{
				Rule: "interval-odd", Severity: fitout.Note, Subject: fitout.Subject{Kind: "handover", ID: n.ID},
				Source: "practice", Title: title, Sentence: sentence,
			})
			return &found[len(found)-1]
		}
		if h.Km > 0 && n.LastKm > 0 && (n.LastKm < h.Km || n.LastKm > h.Km+furthest) {
			f := tell(n.Name+" was done last at a distance that cannot be", fmt.Sprintf(
				"It was done last at %s, and the vehicle was handed over at %s: a figure too many or too few? When it is due "+
					"next goes by it.", p.Say.Distance(n.LastKm), p.Say.Distance(h.Km)))
			f.Subject.Measure = "lastKm"
			if n.LastKm < h.Km {
				f.Under(n.LastKm, h.Km, "km")
			} else {
				f.Over(n.LastKm, h.Km+furthest, "km")
			}
		}
		k := slices.IndexFunc(usual, func(u fitout.Interval) bool { return u.ID == n.ID })
		if k < 0 {
			continue
		}
		switch u := &usual[k]; {
		case u.Km > 0 && n.Km > longerThanUsual*u.Km:
			tell(n.Name+" is due late", fmt.Sprintf("It is due after %s; usual are %s. A figure too many?",
				p.Say.Distance(n.Km), p.Say.Distance(u.Km))).Over(n.Km, longerThanUsual*u.Km, "km")
		case u.Months > 0 && n.Months > longerThanUsual*u.Months:
			tell(n.Name+" is due late", fmt.Sprintf("It is due after %.0f months; usual are %.0f. A figure too many?",
				n.Months, u.Months)).Over(n.Months, longerThanUsual*u.Months, "months")
		}
	}
	return found
}
