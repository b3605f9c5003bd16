package power

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// startUnprotected stops what can flatten the battery that starts the engine.
func startUnprotected(l *Look) []fitout.Finding {
	return l.batteries(func(i int, sys *System, _ *SystemRun) []fitout.Finding {
		if !l.Setup.starts(i) {
			return nil
		}
		var hang []string
		for k := range l.Setup.loads {
			if c := &l.Setup.loads[k]; c.usable && c.system == i && l.Run.Loads[k].Used > 0 && c.def.Shed <= sys.CutOff {
				hang = append(hang, c.def.Name)
			}
		}
		if len(hang) == 0 {
			return nil
		}
		f := l.about("start-unprotected", fitout.Stop, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " may be flat in the morning"
		f.Sentence = fmt.Sprintf("It starts the engine, and nothing keeps %s from emptying it. Feed them from another "+
			"battery, "+
			"or drop them above %s.", names(hang), l.Say.Percent(0.7))
		f.Margin = -1
		return []fitout.Finding{f}
	})
}

// engineOff stops a charger that takes from the starting battery while the engine stands.
func engineOff(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.Setup.chargers {
		c := &l.Setup.chargers[k]
		if !c.usable || c.from < 0 || !l.Setup.starts(c.from) || !c.def.Always || l.asks(c.def.ID) {
			continue
		}
		f := l.about("charges-engine-off", fitout.Stop, c.def.ID, c.def.Item)
		f.Title = c.def.Name + " charges with the engine off"
		f.Sentence = fmt.Sprintf("It takes up to %s from %s whether the engine runs or not. Let it work only while the "+
			"engine "+
			"runs, or above %s.", l.Say.Amps(ChargerInput(c.def.Amps, l.Setup.Systems[c.to].Charging,
			WorkingVoltage(&l.E.Systems[c.from], LowCharger), c.def.Efficiency)), words.Lower(l.E.Systems[c.from].Name),
			l.Say.Volts(13.2*l.E.Systems[c.from].Voltage/12))
		f.Margin = -1
		found = append(found, f)
	}
	return found
}

// asks tells whether the logic of a thing looks at the engine, the ignition, a voltage or a
// state of charge in every line.
func (l *Look) asks(id string) bool {
	for i := range l.E.Outputs {
		o := &l.E.Outputs[i]
		if o.Of != id || len(o.Lines) == 0 {
			continue
		}
		for _, line := range o.Lines {
			guarded := false
			for _, c := range line.Conditions {
				switch c.What {
				case fitout.IfEngine, fitout.IfIgnition, fitout.IfVoltage, fitout.IfCharge:
					guarded = guarded || !c.Not
				}
			}
			if !guarded {
				return false
			}
		}
		return true
	}
	return false
}

// noWayHome notes one starting battery and no other way to start.
func noWayHome(l *Look) []fitout.Finding {
	starting, others := -1, 0
	for i := range l.Setup.Systems {
		if sys := &l.Setup.Systems[i]; sys.aboard && l.Setup.starts(i) {
			starting = i
			others++
		}
	}
	for i := range l.E.Links {
		if l.E.Links[i].Kind == fitout.EmergencyLink {
			others++
		}
	}
	if starting < 0 || others > 1 || l.Job.Brief.Trip.Nights < 2 {
		return nil
	}
	sys := &l.E.Systems[starting]
	f := l.about("no-way-home", fitout.Note, sys.ID, sys.Item)
	f.Title = "One battery starts the engine"
	f.Sentence = fmt.Sprintf("If %s fails %s from help, nothing starts the engine: no reserve that nothing else can "+
		"touch, and "+
		"no link by hand from another battery. Plan one of them, or carry a starter.", words.Lower(sys.Name),
		l.Say.Distance(l.Job.Brief.Trip.FuelDistance/2))
	f.Margin = -1
	return []fitout.Finding{f}
}

// laidUp cautions about a battery that is empty before the next trip.
func laidUp(l *Look) []fitout.Finding {
	weeks := l.E.Days.LaidUp
	if weeks <= 0 || l.E.Days.Maintained {
		return nil
	}
	return l.batteries(func(i int, sys *System, _ *SystemRun) []fitout.Finding {
		if sys.Def.Isolator && sys.Def.Kind != fitout.StartSystem {
			return nil // it is cut off
		}
		watts := 0.0
		for k := range l.Setup.loads {
			if c := &l.Setup.loads[k]; c.usable && c.system == i && !c.def.StandbyOff {
				watts += c.def.Standby * c.def.Count
			}
		}
		for k, system := range l.Setup.inverter {
			if system == i && l.E.Inverters[k].Always {
				watts += l.E.Inverters[k].Standby
			}
		}
		hours := sys.Capacity * (1 - sys.CutOff) * sys.Nominal / max(watts, 1e-9)
		if watts <= 0 || hours >= weeks*7*24 {
			return nil
		}
		f := l.about("laid-up", fitout.Caution, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " is empty before the next trip"
		f.Sentence = fmt.Sprintf("%s that wait on it draw it down in %s weeks; it stands %s. Cut it off by an isolator, or "+
			"keep "+
			"it on a charger.", l.Say.Watts(watts), l.Say.Plain(hours/24/7), l.Say.Plain(weeks))
		f.Under(hours/24/7, weeks, "weeks")
		return []fitout.Finding{f}
	})
}
