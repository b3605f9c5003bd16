package report

import (
	"slices"

	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
)

// SchoolsOf are the judgement calls of a job; those that touch power have the numbers of its
// electrics, once there are any: each way is counted over the days of the job.
func SchoolsOf(p *plan.Plan) []*brief.School {
	all := brief.SchoolsOf(p)
	look := power.LookAt(p)
	house := slices.IndexFunc(look.E.Systems, func(s fitout.PowerSystem) bool { return s.Kind == fitout.HouseSystem })
	if house < 0 {
		house = slices.IndexFunc(look.E.Systems, func(s fitout.PowerSystem) bool { return s.Kind == fitout.StationSystem })
	}
	if house < 0 {
		return all
	}
	c := counted{p, look, house}
	for _, s := range all {
		switch s.ID {
		case "battery":
			c.battery(s)
		case "solar":
			c.solar(s)
		case "cooking-fuel":
			c.cooking(s)
		case "appliances":
			c.appliances(s)
		default:
			continue
		}
		s.Decide(&p.Job.Brief)
	}
	return all
}

// counted counts ways over the days of a plan.
type counted struct {
	*plan.Plan
	look  *power.Look
	house int
}

// with follows the days with other electrics, and tells of the house.
func (c counted) with(change func(e *fitout.Electrics)) (*power.SystemRun, *power.Run) {
	e := *c.look.E
	e.Systems, e.Sources, e.Loads = slices.Clone(e.Systems), slices.Clone(e.Sources), slices.Clone(e.Loads)
	e.Inverters = slices.Clone(e.Inverters)
	change(&e)
	run := power.SetupFor(c.Plan, &e).Run(power.AsPlanned, nil)
	return &run.Systems[c.house], run
}

// lasts adds how low the house comes by a way, and speaks against one by which it runs out.
func (c counted) lasts(w *brief.Way, run *power.SystemRun) {
	w.Figure("Lowest charge", 100*run.Lowest, "percent")
	if run.OutAt >= 0 {
		w.Speaks(-3, "By these days' figures the battery is empty after %s.", c.Say.Hours(run.OutAt))
	}
}

// battery holds a station of 1000 Wh against the fixed battery: what each may give at once
// and how low it comes with what runs now.
func (c counted) battery(s *brief.School) {
	id := c.look.E.Systems[c.house].ID
	if w := s.Way("house"); w != nil {
		run, _ := c.with(func(*fitout.Electrics) {})
		w.Figure("Gives at once", power.MostDischarge(&c.look.E.Systems[c.house].Battery), "current")
		c.lasts(w, run)
	}
	if w := s.Way("station"); w != nil {
		battery := fitout.Battery{Chemistry: fitout.LFP, Capacity: 78, Parallel: 1, Charge: 10, Discharge: 90}
		run, _ := c.with(func(e *fitout.Electrics) {
			e.Systems[c.house].Battery = battery
			e.Chargers = slices.Clone(e.Chargers)
			for i := range e.Chargers {
				if e.Chargers[i].System == id && e.Chargers[i].From != "" {
					e.Chargers[i].Amps = min(e.Chargers[i].Amps, 8) // what a car socket gives
				}
			}
		})
		w.Figure("Gives at once", battery.Discharge, "current")
		c.lasts(w, run)
	}
}

// solar holds a panel on the roof against the same watts turned by hand at camp.
func (c counted) solar(s *brief.School) {
	id := c.look.E.Systems[c.house].ID
	watts := 0.0
	for i := range c.look.E.Sources {
		if x := &c.look.E.Sources[i]; x.Kind == fitout.Solar {
			watts += x.Watts
		}
	}
	if watts == 0 {
		watts = 160
	}
	for way, loose := range map[string]bool{"roof": false, "loose": true} {
		w := s.Way(way)
		if w == nil {
			continue
		}
		panel := fitout.PowerSource{ID: "tried", Name: "Panel", Kind: fitout.Solar, System: id, Watts: watts, Loose: loose,
			Mount: fitout.FlatPanel}
		if loose {
			panel.Mount = fitout.TurnedPanel
		}
		run, all := c.with(func(e *fitout.Electrics) {
			e.Sources = append(slices.DeleteFunc(e.Sources, func(x fitout.PowerSource) bool {
				return x.Kind == fitout.Solar
			}), panel)
		})
		w.Figure("Offers a day", all.Sources[len(all.Sources)-1].Offered/(all.Hours/24), "charge")
		c.lasts(w, run)
	}
}

// A hot meal by induction: minutes at the plate's power while it runs. Practice.
const (
	mealHours = 1.0 / 3
	plate     = 1260.0 // W on the mean of an 1800 W plate
)

// cooking adds meals by induction to what runs.
func (c counted) cooking(s *brief.School) {
	induction, gas := s.Way("induction"), s.Way("gas")
	if induction == nil || gas == nil {
		return
	}
	meals := c.Job.Brief.Camp.HotMeals
	system := &c.look.E.Systems[c.house]
	run, _ := c.with(func(e *fitout.Electrics) {
		e.Inverters = append(e.Inverters, fitout.Inverter{ID: "tried-inverter", System: system.ID, Watts: 2000, Standby: 12})
		e.Loads = append(e.Loads, fitout.PowerLoad{ID: "tried-plate", Name: "Plate", Inverter: "tried-inverter", Count: 1,
			Watts: plate,
			Use:   fitout.UseSpans, Spans: []fitout.Span{{ID: "s", From: 18, To: 18 + min(5, meals*mealHours), Share: 1}}})
	})
	amps := power.InverterInput(1800, 0, power.WorkingVoltage(system, power.LowInverter), 0)
	induction.Figure("Energy a day", meals*mealHours*plate/0.88, "energy")
	induction.Figure("Asks at once", amps, "current")
	if most := power.MostDischarge(&system.Battery); amps > most {
		induction.Speaks(-2, "It asks the battery for %s at once; it gives %s.", c.Say.Amps(amps), c.Say.Amps(most))
	}
	c.lasts(induction, run)
	without, _ := c.with(func(*fitout.Electrics) {})
	c.lasts(gas, without)
}

// appliances holds an inverter that stays on against none.
func (c counted) appliances(s *brief.School) {
	id := c.look.E.Systems[c.house].ID
	if w := s.Way("inverter"); w != nil {
		run, _ := c.with(func(e *fitout.Electrics) {
			e.Inverters = append(e.Inverters, fitout.Inverter{ID: "tried-inverter", System: id, Watts: 1000, Standby: 20,
				Always: true})
		})
		w.Figure("Waits a day", 20*24, "energy")
		c.lasts(w, run)
	}
	if w := s.Way("low-voltage"); w != nil {
		run, _ := c.with(func(*fitout.Electrics) {})
		w.Figure("Waits a day", 0, "energy")
		c.lasts(w, run)
	}
}
