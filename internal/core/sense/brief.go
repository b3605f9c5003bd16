package sense

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// coldOverHot cautions of a brief, and of days of Power, whose coldest hour is warmer than the hottest.
func coldOverHot(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	tell := func(kind, id, measure string, cold, hot float64, what string) {
		if cold <= hot {
			return
		}
		f := about("cold-over-hot", kind, "")
		f.Subject.Measure = measure
		f.Title = "The coldest night is warmer than the hottest day"
		f.Sentence = fmt.Sprintf("%s are entered for the coldest and %s for the hottest%s. Frost, batteries, fridges and "+
			"water are reckoned with them: the other way round?", p.Say.Temperature(cold), p.Say.Temperature(hot), what)
		f.Over(cold, hot, "°C")
		f.Fixes = []fitout.Fix{{Label: "Exchange the two", Edit: fitout.FixEdit{Kind: "cold-and-hot", ID: id}}}
		found = append(found, f)
	}
	trip, days := &p.Job.Brief.Trip, &p.Variant.Electrics.Days
	tell("brief", "", "trip", trip.Coldest, trip.Hottest, " of the trip")
	tell("power", "days", "days", days.Low, days.High, " of the days under Power")
	return found
}

// What the needs of a trip are reckoned with at least and at most. Practice, wide of what is planned: people need some
// 5 L a day in all, and a heavy truck burns some 40 L on 100 km.
const (
	leastDrunk = 2.0
	leastBurnt = 4.0
	mostBurnt  = 60.0
	// farthestDay is what is driven in a day at most, km.
	farthestDay = 1200.0
)

// assumptionOdd cautions of assumptions of the brief that leave people thirsty or the vehicle without fuel.
func assumptionOdd(p *plan.Plan) []fitout.Finding {
	b := &p.Job.Brief
	a := &b.Assumptions
	var found []fitout.Finding
	tell := func(title, sentence string) *fitout.Finding {
		f := about("assumption-odd", "brief", "")
		f.Subject.Measure, f.Source = "assumptions", "practice"
		f.Title, f.Sentence = title, sentence
		found = append(found, f)
		return &found[len(found)-1]
	}
	people := 0
	for i := range b.Travellers {
		if b.Travellers[i].Kind == fitout.TravellerPerson {
			people++
		}
	}
	if people > 0 && a.WaterDrink < leastDrunk {
		tell(
			"Too little to drink is planned",
			fmt.Sprintf("%s for each person and day are assumed for drinking and cooking. "+
				"Somebody who works in the warm needs more than %s to drink alone.", p.Say.Volume(a.WaterDrink),
				p.Say.Volume(leastDrunk)),
		).Under(a.WaterDrink, leastDrunk, "L")
	}
	if b.Trip.DayDistance > farthestDay {
		tell(
			"Nobody drives that far in a day",
			fmt.Sprintf("%s a day are entered; more than %s is not driven with such a vehicle. How "+
				"many days the stores must last goes by it.", p.Say.Distance(b.Trip.DayDistance),
				p.Say.Distance(farthestDay)),
		).Over(b.Trip.DayDistance, farthestDay, "km")
	}
	if b.Trip.FuelDistance > 0 && a.Consumption > 0 && (a.Consumption < leastBurnt || a.Consumption > mostBurnt) {
		f := tell(
			"No such vehicle burns that",
			fmt.Sprintf(
				"%s is assumed; between %s and %s is usual for what carries a fitout. The way to the next pump is "+
					"reckoned with it.",
				p.Say.Consumption(a.Consumption),
				p.Say.Consumption(leastBurnt),
				p.Say.Consumption(mostBurnt),
			),
		)
		outside(f, a.Consumption, leastBurnt, mostBurnt, "L/100 km")
	}
	return found
}

// The least that somebody who travels upright measures, mm. Practice: a child in its first seat.
const (
	leastHeight   = 600.0
	leastShoulder = 200.0
)

// travellerOdd cautions of a person of no person's size: beds, seats, reach and the height of rims go by it.
func travellerOdd(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Job.Brief.Travellers {
		t := &p.Job.Brief.Travellers[i]
		for _, size := range []struct {
			what         string
			value, least float64
		}{{"tall", t.Height, leastHeight}, {"wide at the shoulders", t.Shoulder, leastShoulder}} {
			if t.Kind != fitout.TravellerPerson || size.value == 0 || size.value >= size.least {
				continue
			}
			f := about("traveller-odd", "brief", "")
			f.Subject.Measure = "travellers"
			f.Title = fmt.Sprintf("%s is hardly %s %s", t.Name, p.Say.Length(size.value), size.what)
			f.Sentence = "Beds, seats, reach and the height of rims go by that. Measure again, in the unit of the field."
			f.With = []string{t.ID}
			f.Under(size.value, size.least, "mm")
			found = append(found, f)
		}
	}
	return found
}

// gearOdd cautions of gear of the brief that is heavier than lead of its size, or longer than the whole vehicle: the answers
// that keep a place for it go by its size.
func gearOdd(p *plan.Plan) []fitout.Finding {
	longest := p.Load.Wheelbase + p.Vehicle.Outline.FrontOverhang + p.Vehicle.Outline.RearOverhang
	var found []fitout.Finding
	for i := range p.Job.Brief.Gear {
		g := &p.Job.Brief.Gear[i]
		f := about("gear-odd", "brief", g.ID)
		f.Source = "physics"
		litres := g.Size.Length * g.Size.Width * g.Size.Height / 1e6
		long := max(g.Size.Length, g.Size.Width, g.Size.Height)
		switch {
		case litres > 0 && g.Mass > lead*litres:
			f.Title = fmt.Sprintf("%s is heavier than lead", g.Name)
			f.Sentence = fmt.Sprintf("In the brief it is %s by %s by %s and weighs %s; lead of that size would weigh %s. "+
				"Measure it again, in the unit of the field.", p.Say.Length(g.Size.Length), p.Say.Length(g.Size.Width),
				p.Say.Length(g.Size.Height), p.Say.Mass(g.Mass), p.Say.Mass(lead*litres))
			f.Over(g.Mass, lead*litres, "kg")
		case long > longest:
			f.Title = fmt.Sprintf("%s is longer than the vehicle", g.Name)
			f.Sentence = fmt.Sprintf("In the brief its longest side is %s, and the vehicle is %s long. Measure it again, in "+
				"the unit of the field.", p.Say.Length(long), p.Say.Length(longest))
			f.Over(long, longest, "mm")
		default:
			continue
		}
		found = append(found, f)
	}
	return found
}
