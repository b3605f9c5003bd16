package limits

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
)

// roof is what stands on all roofs of the vehicle together, moving and parked, against
// what plate and rack allow up there.
func roof(p *plan.Plan) []*Mass {
	onRoof := ofItems(func(c load.Carrier) bool {
		bay := p.Bay(c.Item.Bay)
		return bay != nil && bay.Kind == fitout.BayRoof
	})
	var all []*Mass
	if r := rating.In(p).Get(fitout.LimitRoofMoving); r.Kg > 0 {
		m := rated(p, "roof", "Roof, moving", r)
		by := r.BindsOr(p.Say, "the roof")
		m.count, m.facts.Term, m.facts.Note, m.facts.Subject = onRoof, "roof", "the limit of "+by,
			roofSubject(p, fitout.LimitRoofMoving)
		m.carries = func(load, most string) string {
			return fmt.Sprintf("The roof carries %s while driving; the limit of %s is %s.", load, by, most)
		}
		all = append(all, m)
	}
	if r := rating.In(p).Get(fitout.LimitRoofParked); r.Kg > 0 {
		m := rated(p, "roof-parked", "Roof, parked", r)
		by := r.BindsOr(p.Say, "the roof")
		m.always = roofSleepers(p)
		m.count, m.facts.Term, m.facts.Note, m.facts.Subject = onRoof, "roof",
			"with those who sleep up there; the limit of "+by, roofSubject(p, fitout.LimitRoofParked)
		m.carries = func(load, most string) string {
			return fmt.Sprintf("With those who sleep there, the roof carries %s parked; %s may be up there by the limit of %s.",
				load, most, by)
		}
		all = append(all, m)
	}
	return all
}

// roofSubject is the space on the roof, or the limit itself where none is measured.
func roofSubject(p *plan.Plan, id fitout.LimitID) fitout.Subject {
	for i := range p.Vehicle.Bays {
		if p.Vehicle.Bays[i].Kind == fitout.BayRoof {
			return fitout.Subject{Kind: "bay", ID: p.Vehicle.Bays[i].ID}
		}
	}
	return fitout.Subject{Kind: "limit", ID: string(id)}
}

// roofSleepers is what those weigh who sleep on the roof, kg.
func roofSleepers(p *plan.Plan) float64 {
	if p.Job.Brief.Camp.SleepWhere != fitout.SleepRoof {
		return 0
	}
	sum := 0.0
	for _, t := range p.Job.Brief.Travellers {
		if t.Sleeps {
			sum += t.Mass
		}
	}
	return sum
}
