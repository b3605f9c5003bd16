package limits

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// bays are the spaces and racks that have a rating of their own, moving and, of a
// rack on a roof, parked with those who sleep up there.
func bays(p *plan.Plan) []*Mass {
	var all []*Mass
	for i := range p.Vehicle.Bays {
		b := &p.Vehicle.Bays[i]
		inBay := ofItems(func(c load.Carrier) bool { return c.Item.Bay == b.ID })
		if b.Rating > 0 {
			all = append(all, ofBay(p, b, "bay:"+b.ID, "bay", b.Name, b.Rating, inBay, func(load, most string) string {
				return fmt.Sprintf("%s carries %s while driving; its rating is %s.", b.Name, load, most)
			}))
		}
		if b.RatingParked > 0 && b.Kind == fitout.BayRoof {
			m := ofBay(p, b, "parked:"+b.ID, "roof-parked", b.Name+", parked", b.RatingParked, inBay,
				func(load, most string) string {
					return fmt.Sprintf("With those who sleep there, %s carries %s parked; %s may be up there.", words.Lower(b.Name),
						load, most)
				})
			if p.LoadIn(b.ID) > 0 {
				m.always = roofSleepers(p)
			}
			all = append(all, m)
		}
	}
	return all
}

func ofBay(p *plan.Plan, b *fitout.Bay, id, rule, title string, kg float64, count load.Count,
	carries func(load, most string) string) *Mass {
	return &Mass{plan: p, count: count, comes: "carries", carries: carries, facts: Facts{
		ID: id, Rule: rule, Title: title, Term: words.Lower(title), Unit: "kg", Bound: Most(kg),
		Subject: fitout.Subject{Kind: "bay", ID: b.ID}, Source: "data sheet", Note: "its rating",
	}}
}
