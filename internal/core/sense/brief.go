package sense

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// coldOverHot cautions of a brief whose coldest night is warmer than its hottest day.
func coldOverHot(p *plan.Plan) []fitout.Finding {
	trip := &p.Job.Brief.Trip
	if trip.Coldest <= trip.Hottest {
		return nil
	}
	f := about("cold-over-hot", "brief", "")
	f.Subject.Measure = "trip"
	f.Title = "The coldest night is warmer than the hottest day"
	f.Sentence = fmt.Sprintf(
		"%s are entered for the coldest night and %s for the hottest day. Frost, batteries, fridges and water "+
			"are reckoned with them: the other way round?",
		p.Say.Temperature(trip.Coldest),
		p.Say.Temperature(trip.Hottest),
	)
	f.Over(trip.Coldest, trip.Hottest, "°C")
	f.Fixes = []fitout.Fix{{Label: "Exchange the two", Edit: fitout.FixEdit{Kind: "cold-and-hot"}}}
	return []fitout.Finding{f}
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
