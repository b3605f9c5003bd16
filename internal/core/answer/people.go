package answer

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// putAboard is offered for travellers who are not in the loads.
var putAboard = fitout.Fix{Label: "Put travellers aboard", Edit: fitout.FixEdit{Kind: "put-aboard"}}

// travellerNotAboard cautions where those who travel are not in the loads: every axle then is lighter than it will be.
func travellerNotAboard(p *plan.Plan) []fitout.Finding {
	if !begun(p) {
		return nil
	}
	var names []string
	kg := 0.0
	for _, t := range p.Job.Brief.Travellers {
		if !slices.ContainsFunc(p.Variant.Items, func(i fitout.Item) bool { return i.ID == t.ID }) {
			names, kg = append(names, t.Name), kg+t.Mass
		}
	}
	if len(names) == 0 {
		return nil
	}
	f := asks("traveller-not-aboard", fitout.Caution, "travellers")
	f.Title = words.Capital(words.List(names)) + " " + are(len(names)) + " not in the loads"
	f.Sentence = fmt.Sprintf(
		"The brief has %s along, %s together; the axles do not carry them yet. Put them aboard, each on a "+
			"seat, or take them out of the brief.",
		words.List(names),
		p.Say.Mass(kg),
	)
	f.Value, f.Margin, f.Unit, f.Fixes = kg, -kg, "kg", []fitout.Fix{putAboard}
	return []fitout.Finding{f}
}

func are(count int) string {
	if count == 1 {
		return "is"
	}
	return "are"
}

// told is a state in which people ride, in words: empty for the one shown.
type told struct {
	state load.State
	in    string
	seats map[string]string // of those whom the case puts elsewhere, by their item
}

// rides are the state shown and every case, worked out once.
func rides(p *plan.Plan) []told {
	return *plan.Once(p, func(p *plan.Plan) *[]told { return ridden(p) })
}

func ridden(p *plan.Plan) *[]told {
	all := []told{{p.Load.Shown(), "", nil}}
	for k := range p.Variant.Cases {
		c := &p.Variant.Cases[k]
		seats := map[string]string{}
		for _, person := range c.People {
			if person.Seat != "" {
				seats[person.Item] = person.Seat
			}
		}
		all = append(all, told{p.Load.Case(c), " In “" + c.Name + "”.", seats})
	}
	return &all
}

// seatOf is the seat in which somebody rides, if there is one of that id.
func (t *told) seatOf(p *plan.Plan, item *fitout.Item) string {
	seat := item.Seat
	if own, moved := t.seats[item.ID]; moved {
		seat = own
	}
	if slices.ContainsFunc(p.Vehicle.Seats, func(s fitout.Seat) bool { return s.ID == seat }) {
		return seat
	}
	return ""
}

// noSeat stops somebody who rides without a seat, as it is shown or in a case.
func noSeat(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	all := rides(p)
	for i := range p.Variant.Items {
		item := &p.Variant.Items[i]
		if item.Form != fitout.FormPerson {
			continue
		}
		for k := range all {
			thing, aboard := p.Load.In(i, &all[k].state)
			if !aboard || thing.Trailer || all[k].seatOf(p, item) != "" {
				continue
			}
			found = append(found, fitout.Finding{
				Rule: "no-seat", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "item", ID: item.ID}, Source: "physics",
				Title: item.Name + " rides without a seat", Value: 0, Limit: 1, Margin: -1,
				Sentence: item.Name + " is aboard and sits in no seat. Whoever rides needs a seat with a belt; seats and belts " +
					"belong to certified people under local rules." + all[k].in,
				Fixes: freeSeats(p, &all[k], item),
			})
			break
		}
	}
	return found
}

// freeSeats offers the first seats in which nobody sits; in a case nothing is offered: there the case is changed.
func freeSeats(p *plan.Plan, t *told, item *fitout.Item) []fitout.Fix {
	if t.in != "" {
		return nil
	}
	taken := map[string]bool{}
	for i := range p.Variant.Items {
		if other := &p.Variant.Items[i]; plan.Traveller(other) {
			taken[other.Seat] = true
		}
	}
	var fixes []fitout.Fix
	for _, s := range p.Vehicle.Seats {
		if !taken[s.ID] && len(fixes) < 2 {
			fixes = append(fixes, fitout.Fix{Label: item.Name + " to " + words.Lower(s.Name),
				Edit: fitout.FixEdit{Kind: "seat", ID: item.ID, With: s.ID}})
		}
	}
	return fixes
}

// seatShared stops two in one seat, as it is shown or in a case.
func seatShared(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	done := map[string]bool{}
	for _, t := range rides(p) {
		inSeat := map[string][]string{}
		for i := range p.Variant.Items {
			item := &p.Variant.Items[i]
			if _, aboard := p.Load.In(i, &t.state); aboard && plan.Traveller(item) {
				if seat := t.seatOf(p, item); seat != "" {
					inSeat[seat] = append(inSeat[seat], item.Name)
				}
			}
		}
		for _, seat := range p.Vehicle.Seats {
			names := inSeat[seat.ID]
			if len(names) < 2 || done[seat.ID] {
				continue
			}
			done[seat.ID] = true
			slices.Sort(names)
			found = append(found, fitout.Finding{
				Rule: "seat-shared", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "seat", ID: seat.ID},
				Title: fmt.Sprintf("%d in one seat", len(names)),
				Sentence: fmt.Sprintf(
					"%s are in the seat %q at once. Each needs a seat with a belt.%s",
					words.List(names),
					seat.Name,
					t.in,
				),
				Value: float64(len(names)), Limit: 1, Margin: float64(1 - len(names)), Source: "physics",
			})
		}
	}
	return found
}

// animalLoose cautions of an animal that rides without a place that holds it: a seat with its harness, a crate that it is
// in, or one that stands in the same space.
func animalLoose(p *plan.Plan) []fitout.Finding {
	crates := map[string]bool{}
	for i := range p.Items {
		if item := &p.Items[i]; item.Module != nil && item.Module.Kind == fitout.Crate && p.Load.Items[i].Road {
			crates[item.ID], crates["in "+item.Bay] = true, true
		}
	}
	var found []fitout.Finding
	for i := range p.Items {
		item := &p.Items[i]
		held := item.Seat != "" || item.Bay != "" && crates["in "+item.Bay] ||
			item.In != nil && crates[item.In.Module]
		if item.Form != fitout.FormAnimal || held || !p.Load.Items[i].Road || p.Load.Items[i].Trailer {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "animal-loose", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "item", ID: item.ID}, Source: "practice",
			Title: item.Name + " rides loose", Margin: -1,
			Sentence: fmt.Sprintf(
				"%s is a passenger of %s: nothing holds it. Give it a seat with a harness on the belt, or a crate "+
					"that is held.",
				item.Name,
				p.Say.Mass(item.Mass),
			),
		})
	}
	return found
}

// has tells whether any part of the plan, also one that only some cases have, is of a kind with a trait.
func has(p *plan.Plan, trait func(module.Traits) bool) bool {
	return slices.ContainsFunc(p.Variant.Items, func(i fitout.Item) bool {
		return i.Module != nil && trait(module.TraitsOf(i.Module.Kind))
	})
}
