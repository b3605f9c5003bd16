package power

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// alternatorAsked tells where chargers and the vehicle together ask an alternator for more
// than it makes hot: driving that stops a plan, idling it cautions.
func alternatorAsked(l *Look) []fitout.Finding {
	vehicle := l.vehicleSource()
	if vehicle < 0 {
		return nil
	}
	asked, chargers := l.askedOfAlternator()
	if len(chargers) == 0 {
		return nil
	}
	rated, own := l.E.Sources[vehicle].Amps, VehicleDraw(&l.E.Days)
	makes, when, severity := rated*hotDriving, "driving", fitout.Stop
	idling := fmt.Sprintf(", %s for idling too", l.Say.AmpsAtLeast(asked+own-rated*hotIdling))
	if l.spared() {
		severity = fitout.Caution
	}
	if asked+own <= makes {
		makes, when, severity, idling = rated*hotIdling, "idling", fitout.Caution, ""
	}
	if asked+own <= makes {
		return nil
	}
	def := &l.E.Sources[vehicle]
	f := l.about("alternator-asked", severity, def.ID, def.Item)
	f.Title = "The alternator is asked for too much"
	f.Sentence = words.Sentences(
		fmt.Sprintf("%s %s %s from it, the vehicle itself %s: %s together.", words.Capital(names(chargers)),
			does(chargers, "takes", "take"),
			l.Say.Amps(asked),
			l.Say.Amps(own), l.Say.Amps(asked+own)),
		fmt.Sprintf("Hot and %s it makes %s of its %s. What is missing comes out of the starting battery, and the "+
			"alternator "+
			"ages.", when, l.Say.Amps(makes), l.Say.Amps(rated)),
		fmt.Sprintf("Set the chargers %s lower together%s, or let one of them work only at speed.",
			l.Say.AmpsAtLeast(asked+own-makes), idling))
	f.Over(asked+own, makes, "A")
	f.Fixes = l.chargersLower(asked+own-rated*hotIdling, func(c *charger) bool { return l.onAlternator(c) })
	return []fitout.Finding{f}
}

// chargersLower offers to set one charger of some lower by so many A, rounded down to whole ones: what it takes
// falls by more than what it gives.
func (l *Look) chargersLower(by float64, of func(*charger) bool) []fitout.Fix {
	fixes := []fitout.Fix{}
	for k := range l.Setup.chargers {
		c := &l.Setup.chargers[k]
		if to := math.Floor(c.def.Amps - by); c.usable && to >= 1 && of(c) {
			fixes = append(fixes, fitout.Fix{Label: fmt.Sprintf("Set %s to %s", words.Lower(c.def.Name), l.Say.Amps(to)),
				Edit: fitout.FixEdit{Kind: "charger-lower", ID: c.def.ID, Value: to}})
		}
	}
	return fixes
}

// onAlternator tells whether a charger lives on the alternator.
func (l *Look) onAlternator(c *charger) bool {
	if c.from >= 0 && l.Setup.starts(c.from) {
		return true
	}
	return slices.ContainsFunc(c.sources, func(n int) bool {
		return l.E.Sources[n].Kind == fitout.Alternator && l.Setup.sources[n].usable
	})
}

// spared tells whether a logic takes a charger off before the starting battery suffers.
func (l *Look) spared() bool {
	for i := range l.E.Outputs {
		o := &l.E.Outputs[i]
		k := slices.IndexFunc(l.Setup.chargers, func(c charger) bool {
			return c.def.ID == o.Of && c.from >= 0 && l.Setup.starts(c.from)
		})
		if k < 0 || len(o.Lines) == 0 {
			continue
		}
		from := l.Setup.chargers[k].def.From
		if !slices.ContainsFunc(o.Lines, func(line fitout.LogicLine) bool {
			return !slices.ContainsFunc(line.Conditions, func(c fitout.Condition) bool {
				return (c.What == fitout.IfVoltage || c.What == fitout.IfCharge) && c.Of == from && !c.Not
			})
		}) {
			return true
		}
	}
	return false
}

// vehicleSource is the vehicle's own alternator, or −1.
func (l *Look) vehicleSource() int {
	return slices.IndexFunc(l.Setup.sources, func(s source) bool { return s.vehicle && s.def.Amps > 0 })
}

// askedOfAlternator is what all chargers that live on the alternator draw from it at once,
// A, and their names.
func (l *Look) askedOfAlternator() (amps float64, by []string) {
	input := func(out float64, system int, efficiency float64) float64 {
		sys := &l.Setup.Systems[system]
		return ChargerInput(out, sys.Charging, LowCharger*l.startVoltage()/12, efficiency)
	}
	for k := range l.Setup.chargers {
		c := &l.Setup.chargers[k]
		if c.usable && l.onAlternator(c) {
			amps += input(c.def.Amps, c.to, c.def.Efficiency)
			by = append(by, c.def.Name)
		}
	}
	for k := range l.Setup.sources {
		s := &l.Setup.sources[k]
		if s.usable && !s.vehicle && s.charger < 0 && s.def.Kind == fitout.Alternator {
			amps += input(sourceAmps(s.def, l.Setup.Systems[s.system].Charging), s.system, 0)
			by = append(by, s.def.Name)
		}
	}
	for i := range l.Setup.Systems {
		for _, k := range l.Setup.Systems[i].links {
			amps += orUsual(l.E.Links[k].Amps, usualRelay)
			by = append(by, l.E.Links[k].Name)
		}
	}
	return amps, by
}

// startVoltage is the class of the system that starts the engine, V.
func (l *Look) startVoltage() float64 {
	for i := range l.E.Systems {
		if l.Setup.starts(i) {
			return l.E.Systems[i].Voltage
		}
	}
	return 12
}

// alternatorUnsaid notes chargers on an alternator of which nobody knows what it makes.
func alternatorUnsaid(l *Look) []fitout.Finding {
	asked, by := l.askedOfAlternator()
	if len(by) == 0 || l.vehicleSource() >= 0 {
		return nil
	}
	f := l.about("alternator-unsaid", fitout.Note, "", "")
	f.Title = "Nothing says what the alternator makes"
	f.Sentence = fmt.Sprintf("%s %s %s from it while the engine runs. Enter the battery that starts the engine and the "+
		"alternator's rating, so that it can be held against that.", words.Capital(names(by)), does(by, "takes", "take"),
		l.Say.Amps(asked))
	f.Value, f.Unit = asked, "A"
	return []fitout.Finding{f}
}
