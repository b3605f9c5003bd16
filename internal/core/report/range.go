package report

import (
	"fmt"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/trip"
)

// RangeSheetOf is what the customer carries along of the trip: what to do at each stop, what each leg
// takes, and what stands on the axles.
func RangeSheetOf(j *fitout.Job) Sheet {
	p := plan.Of(j)
	v := trip.ViewOf(p)
	say := p.Say
	s := Sheet{Job: j.Name, Customer: j.Customer, Variant: p.Variant.Name, Subject: "the way",
		About: fmt.Sprintf("%s in %d days; %s of fuel, an estimate", say.Distance(lengthOf(v.Stops)), v.Days, say.Volume(v.Fuel)),
		Cautions: []string{
			"Fuel, water, gas and loads along the way are estimates. Limits come from the vehicle's plate and papers.",
			"Ask before leaving whether pumps that are not sure work. Carry more where nobody comes by.",
			"Fuel and gas systems belong to licensed people under local rules. Fuel is carried in approved vessels only.",
		}}
	stops := Table{Name: "Stops", Head: []string{"stop", "at", "day", "has", "to do"}}
	for i := range v.Stops {
		at := &v.AtStops[i]
		stops.Rows = append(stops.Rows, []string{v.Stops[i].Name, say.Distance(at.Km), fmt.Sprint(at.Day), offers(&v.Stops[i]),
			strings.Join(at.Tasks, "; ")})
	}
	legs := Table{
		Name: "Legs",
		Head: []string{"from", "way", "fuel", "left at its end", "reserve", "front", "rear", "gross"},
		Sums: []int{1, 2},
	}
	for i := range v.OnLegs {
		leg, at := &v.OnLegs[i], &v.AtStops[i]
		legs.Rows = append(legs.Rows, []string{v.Stops[i].Name, say.Distance(v.Stops[i].Leg.Km), say.Volume(leg.Fuel),
			say.Volume(leg.Left), say.Volume(leg.Reserve), say.Mass(at.Front), say.Mass(at.Rear), say.Mass(at.Gross)})
	}
	levels := Table{Name: "Levels on leaving", Head: []string{"stop"}}
	for _, w := range v.Vessels {
		levels.Head = append(levels.Head, w.Name)
	}
	for i := range v.AtStops {
		row := []string{v.Stops[i].Name}
		for _, litres := range v.AtStops[i].Levels {
			row = append(row, say.Volume(litres))
		}
		levels.Rows = append(levels.Rows, row)
	}
	lacks := Table{Name: "What gives out", Head: []string{"what"}}
	for _, l := range v.Lacks {
		lacks.Rows = append(lacks.Rows, []string{l.Text})
	}
	s.Tables = []Table{stops, legs, levels, lacks}
	return s
}

func lengthOf(stops []fitout.RouteStop) float64 {
	r := fitout.Route{Stops: stops}
	return r.Km()
}

// offers are what a stop has, in words.
func offers(s *fitout.RouteStop) string {
	var all []string
	for _, f := range s.Fuels {
		all = append(all, string(f.Fuel))
	}
	add := func(has bool, word string) {
		if has {
			all = append(all, word)
		}
	}
	add(s.Water == fitout.ByHose, "water")
	add(s.Water == fitout.ByCarried, "water to carry")
	add(s.Gas, "gas")
	add(s.Mains, "mains")
	add(s.Food, "food")
	add(s.Dump, "dump")
	add(s.Shower, "shower")
	add(s.Nights >= 1, fmt.Sprintf("%.0f nights", s.Nights))
	if s.Sure != fitout.Sure && len(all) > 0 {
		all = append(all, string(s.Sure))
	}
	return strings.Join(all, ", ")
}
