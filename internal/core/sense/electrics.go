package sense

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// What electrics are made with, wide of what is sold. Practice: a lithium battery is charged with up to once its capacity
// an hour and gives three times that for long, one that starts an engine ten times for a moment; lamps give some 100 lm/W.
const (
	mostLead     = 1.0  // charging current of lead, × capacity
	mostLithium  = 3.0  // of lithium
	mostGiven    = 15.0 // current given, × capacity
	mostLit      = 230.0
	leastLit     = 8.0
	mostSurge    = 5.0 // for a moment, × what an inverter gives for long
	mostStarting = 15.0
)

// electricsOdd cautions of figures of the electrics of which no such thing is made: a battery that takes or gives more than
// any of its size, an inverter or load that takes less when it starts than when it runs, a lamp brighter than its watts.
func electricsOdd(p *plan.Plan) []fitout.Finding {
	e := &p.Variant.Electrics
	var found []fitout.Finding
	tell := func(id, measure, title, sentence string, value, least, most float64, unit string) {
		f := about("electrics-odd", "power", id)
		f.Title, f.Sentence, f.Source = title, sentence+" Read its data sheet again, in the unit of the field.", "practice"
		f.Subject.Measure = measure
		outside(&f, value, least, most, unit)
		found = append(found, f)
	}
	for i := range e.Systems {
		s := &e.Systems[i]
		b := &s.Battery
		all, charge := b.Capacity*max(1, b.Parallel), mostLead
		if b.Chemistry == fitout.LFP {
			charge = mostLithium
		}
		for _, current := range []struct {
			measure, does string
			amps, factor  float64
		}{{"charge", "is charged with", b.Charge, charge}, {"discharge", "gives", b.Discharge, mostGiven}} {
			if most := all * current.factor; current.amps > most {
				tell(s.ID, current.measure, fmt.Sprintf("No battery of %s %s %s", p.Say.Charge(all), current.does, p.Say.Amps(current.amps)),
					fmt.Sprintf("The battery of %s holds %s; more than %s is not sold for that.", words.Lower(s.Name),
						p.Say.Charge(all), p.Say.Amps(most)), current.amps, 0, most, "A")
			}
		}
	}
	starts := func(id, name string, surge, watts, most float64) {
		if surge == 0 || watts == 0 || surge >= watts && surge <= most*watts {
			return
		}
		tell(id, "surge", fmt.Sprintf("%s for a moment, %s for long", p.Say.Watts(surge), p.Say.Watts(watts)),
			fmt.Sprintf("That is what is entered of %s; for a moment it is as much or more, up to %.0f times.", words.Lower(name),
				most), surge, watts, most*watts, "W")
	}
	for i := range e.Inverters {
		starts(e.Inverters[i].ID, e.Inverters[i].Name, e.Inverters[i].Surge, e.Inverters[i].Watts, mostSurge)
	}
	for i := range e.Loads {
		l := &e.Loads[i]
		starts(l.ID, l.Name, l.Surge, l.Watts, mostStarting)
		if l.Light == nil || l.Light.Lumens == 0 || l.Watts == 0 {
			continue
		}
		if lit := l.Light.Lumens / l.Watts; lit < leastLit || lit > mostLit {
			tell(l.ID, "light", fmt.Sprintf("%s: no lamp of %s gives %s lm", l.Name, p.Say.Watts(l.Watts), p.Say.Plain(l.Light.Lumens)),
				fmt.Sprintf("That would be %.0f lm for each watt; lamps give between %.0f and %.0f.", lit, leastLit, mostLit),
				lit, leastLit, mostLit, "lm/W")
		}
	}
	return found
}
