package power

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// batteries calls for every system that comes along.
func (l *Look) batteries(say func(i int, sys *System, run *SystemRun) []fitout.Finding) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.Setup.Systems {
		if sys := &l.Setup.Systems[i]; sys.aboard {
			found = append(found, say(i, sys, &l.Run.Systems[i])...)
		}
	}
	return found
}

// runsOut stops a plan in which a battery is empty before the last morning, and says what
// would do.
func runsOut(l *Look) []fitout.Finding {
	return l.batteries(func(i int, sys *System, run *SystemRun) []fitout.Finding {
		if run.OutAt < 0 || l.Setup.starts(i) && len(alternatorAsked(l)) > 0 {
			return nil // what asks the alternator for too much is told there
		}
		f := l.about("power-runs-out", fitout.Stop, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " runs out"
		first := ""
		if name := l.using(i, run.OutAt); name != "" {
			first = fmt.Sprintf(" Most of what runs then is %s.", words.Lower(name))
		}
		would := l.wouldDo(i)
		if l.Setup.starts(i) && l.vehicleSource() < 0 {
			would = "No alternator is named that charges it: add it to what charges."
		}
		f.Sentence = words.Sentences(
			fmt.Sprintf("%s is down to %s, where everything drops, on %s, %s from the start.%s",
				sys.Def.Name, l.Say.Percent(sys.CutOff), l.at(run.OutAt), l.Say.Hours(run.OutAt), first),
			would,
			"An estimate.")
		f.Mend = "power:" + sys.Def.ID
		f.Under(run.OutAt, l.Run.Hours, "h")
		return []fitout.Finding{f}
	})
}

// belowReserve cautions where a battery falls below what is kept for the worst.
func belowReserve(l *Look) []fitout.Finding {
	return l.batteries(func(_ int, sys *System, run *SystemRun) []fitout.Finding {
		if run.ReserveAt < 0 || run.OutAt >= 0 {
			return nil
		}
		f := l.about("power-reserve", fitout.Caution, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " falls below its reserve"
		f.Sentence = fmt.Sprintf("%s are kept for the worst; on %s less is left, and on %s it is down to %s. Take %s out "+
			"less by then, or keep less.", l.Say.Percent(sys.Def.Reserve), l.at(run.ReserveAt), l.at(run.LowestAt),
			l.Say.Percent(run.Lowest), l.Say.ChargeAtLeast((sys.Def.Reserve-run.Lowest)*sys.Capacity))
		f.Mend = "power:" + sys.Def.ID
		f.Under(100*run.Lowest, 100*sys.Def.Reserve, "%")
		return []fitout.Finding{f}
	})
}

// batteryCurrent stops what asks a battery for more than it gives, whatever it holds.
func batteryCurrent(l *Look) []fitout.Finding {
	return l.batteries(func(i int, sys *System, run *SystemRun) []fitout.Finding {
		most := MostDischarge(&sys.Def.Battery)
		if run.Peak <= most*1.000001 {
			return nil
		}
		f := l.about("battery-current", fitout.Stop, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " is asked for too much at once"
		f.Sentence = words.Sentences(
			fmt.Sprintf("On %s %s are asked of it, most by %s; it gives %s%s, whatever it holds.", l.at(run.PeakAt),
				l.Say.Amps(run.Peak), words.Lower(l.using(i, run.PeakAt)), l.Say.Amps(most),
				assumed(sys.Def.Battery.Discharge, " (not said: taken from its kind)")),
			fmt.Sprintf("Run what is heavy one after another, or choose a battery that gives %s.",
				l.Say.AmpsAtLeast(run.Peak)))
		f.Over(run.Peak, most, "A")
		f.Source, f.Waivable = "data sheet", false
		return []fitout.Finding{f}
	})
}

// assumed is what is said of a figure that nobody gave.
func assumed(given float64, words string) string {
	if given > 0 {
		return ""
	}
	return words
}

// chargedFast cautions where chargers together give more than a battery may be charged
// with: its own protection shuts it off, or it ages.
func chargedFast(l *Look) []fitout.Finding {
	return l.batteries(func(i int, sys *System, run *SystemRun) []fitout.Finding {
		most := MostCharge(&sys.Def.Battery)
		if run.ChargePeak <= most*1.000001 || l.Setup.starts(i) { // an alternator holds a voltage, and gives no more
			return nil
		}
		f := l.about("battery-charged-fast", fitout.Caution, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " is charged faster than it may be"
		f.Sentence = fmt.Sprintf("What charges it gives up to %s together; it may be charged with %s%s. Its protection "+
			"shuts "+
			"it off, or it ages. Set the chargers %s lower together.", l.Say.Amps(run.ChargePeak), l.Say.Amps(most),
			assumed(sys.Def.Battery.Charge, " (not said: taken from its kind)"), l.Say.AmpsAtLeast(run.ChargePeak-most))
		f.Over(run.ChargePeak, most, "A")
		f.Fixes = l.chargersLower(run.ChargePeak-most, func(c *charger) bool {
			return c.to == i && l.peakWith(i, c.def.ID, run.ChargePeak-most) <= most*1.000001
		})
		f.Source = "data sheet"
		return []fitout.Finding{f}
	})
}

// peakWith is the greatest current into a system with one charger set lower by so many A, A: of what charges it at
// other times it changes nothing.
func (l *Look) peakWith(system int, id string, lower float64) float64 {
	return l.runWith(system+1, func(e *fitout.Electrics) {
		for k := range e.Chargers {
			if c := &e.Chargers[k]; c.ID == id {
				c.Amps = math.Floor(c.Amps - lower)
			}
		}
	}).Systems[system].ChargePeak
}

// chargedInFrost cautions where lithium is offered current while it is too cold for it.
func chargedInFrost(l *Look) []fitout.Finding {
	return l.batteries(func(_ int, sys *System, run *SystemRun) []fitout.Finding {
		if run.FrozenOut < 0.05 {
			return nil
		}
		b := &sys.Def.Battery
		f := l.about("battery-frost", fitout.Caution, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " cannot be charged in frost"
		coldest := l.Setup.Low + b.Warmer
		f.Sentence = words.Sentences(
			fmt.Sprintf("It comes down to %s where the battery stands; lithium must not be charged below %s, it is damaged for "+
				"good.", l.Say.Temperature(coldest), l.Say.Temperature(Coldest(b))),
			fmt.Sprintf("%s over the days are not taken for that. Put it where it is warmer, or choose one that warms itself.",
				l.Say.Charge(run.FrozenOut)))
		f.Under(coldest, Coldest(b), "°C")
		return []fitout.Finding{f}
	})
}

// tooColdToGive notes a battery that gives less in the cold than is taken out of it.
func tooColdToGive(l *Look) []fitout.Finding {
	return l.batteries(func(_ int, sys *System, run *SystemRun) []fitout.Finding {
		b := &sys.Def.Battery
		cold := l.Setup.Low + b.Warmer
		gives := InTheCold(b.Chemistry, cold) * Usable(b)
		taken := sys.Def.Full - run.Lowest
		if run.OutAt >= 0 || cold >= 10 || taken <= gives {
			return nil
		}
		f := l.about("battery-cold", fitout.Caution, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " gives less in the cold"
		f.Sentence = fmt.Sprintf("At %s it gives %s of its %s; %s are taken out of it. Keep it warmer, or take %s less.",
			l.Say.Temperature(cold), l.Say.Charge(gives*sys.Capacity), l.Say.Charge(sys.Capacity),
			l.Say.Charge(taken*sys.Capacity), l.Say.ChargeAtLeast((taken-gives)*sys.Capacity))
		f.Over(taken*sys.Capacity, gives*sys.Capacity, "Ah")
		return []fitout.Finding{f}
	})
}

// otherChemistry stops a charger that is set for another battery.
func otherChemistry(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.Setup.chargers {
		c := &l.Setup.chargers[k]
		if !c.usable || c.def.For == "any" || c.def.For == string(l.E.Systems[c.to].Battery.Chemistry) {
			continue
		}
		system := &l.E.Systems[c.to]
		f := l.about("charger-chemistry", fitout.Stop, c.def.ID, c.def.Item)
		f.Title = c.def.Name + " is for another battery"
		f.Sentence = fmt.Sprintf("It charges %s, which is of %s, and is set for %s: it overcharges it, or never fills it. "+
			"Set "+
			"it, or choose one for %[2]s.", words.Lower(system.Name), ChemistryWord(system.Battery.Chemistry),
			ChemistryWord(fitout.Chemistry(c.def.For)))
		f.Margin, f.Source = -1, "data sheet"
		f.Fixes = []fitout.Fix{{
			Label: fmt.Sprintf("Set %s for %s, where its manual allows", words.Lower(c.def.Name), ChemistryWord(system.Battery.Chemistry)),
			Edit:  fitout.FixEdit{Kind: "charger-for", ID: c.def.ID, With: string(system.Battery.Chemistry)},
		}}
		found = append(found, f)
	}
	return found
}

// ChemistryWord is what a chemistry is called.
func ChemistryWord(c fitout.Chemistry) string {
	switch c {
	case fitout.LFP:
		return "lithium (LFP)"
	case fitout.AGM:
		return "AGM"
	case fitout.Gel:
		return "gel"
	}
	return "flooded lead"
}

// noIsolator cautions about a house that nothing cuts off.
func noIsolator(l *Look) []fitout.Finding {
	return l.batteries(func(i int, sys *System, _ *SystemRun) []fitout.Finding {
		if sys.Def.Isolator || sys.Def.Kind != fitout.HouseSystem && sys.Def.Kind != fitout.TrailerSystem || !l.hangs(i) {
			return nil
		}
		f := l.about("no-isolator", fitout.Caution, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " has no isolator"
		f.Sentence = "Nothing cuts it off in reach: in a fire, for work on it, or laid up. Put an isolator beside the " +
			"battery, " +
			"before everything else. Never work on a live battery: its short circuit melts tools."
		f.Margin = -1
		f.Fixes = []fitout.Fix{{
			Label: "Put an isolator beside " + words.Lower(sys.Def.Name),
			Edit:  fitout.FixEdit{Kind: "isolator", ID: sys.Def.ID},
		}}
		return []fitout.Finding{f}
	})
}

// hangs tells whether anything is fed by a system.
func (l *Look) hangs(system int) bool {
	for k := range l.Setup.loads {
		if c := &l.Setup.loads[k]; c.usable && c.system == system {
			return true
		}
	}
	return len(l.Setup.Systems[system].feeds) > 0
}

// batteryLoose cautions about a battery that is no part of the fitout, so that nothing
// says how it is held.
func batteryLoose(l *Look) []fitout.Finding {
	return l.batteries(func(_ int, sys *System, _ *SystemRun) []fitout.Finding {
		i := l.Index(sys.Def.Item)
		if sys.Def.Item == "" || i < 0 || l.Items[i].Module != nil {
			return nil
		}
		f := l.about("battery-loose", fitout.Caution, sys.Def.ID, sys.Def.Item)
		f.Title = l.Items[i].Name + " is not said to be held"
		f.Sentence = fmt.Sprintf("It weighs %s and is no part of the layout, so nothing says what holds it in a crash. "+
			"Place it "+
			"from the catalogue, with its mounting points.", l.Say.Mass(l.Items[i].Mass))
		f.Over(l.Items[i].Mass, 0, "kg")
		return []fitout.Finding{f}
	})
}

// batteryWithPeople cautions about a battery where people travel or sleep without what its
// chemistry asks for.
func batteryWithPeople(l *Look) []fitout.Finding {
	return l.batteries(func(_ int, sys *System, _ *SystemRun) []fitout.Finding {
		i, b := l.Index(sys.Def.Item), &sys.Def.Battery
		if i < 0 || b.Chemistry == fitout.LFP || b.Vented {
			return nil
		}
		bay := l.Bay(l.Items[i].Bay)
		if bay == nil || !bay.Shared && bay.Kind != fitout.BayCab && bay.Kind != fitout.BaySecondRow {
			return nil
		}
		severity, gas := fitout.Caution, "may give off gas when it is charged"
		if b.Chemistry == fitout.Flooded {
			severity, gas = fitout.Stop, "gives off gas that explodes, and acid"
		}
		f := l.about("battery-with-people", severity, sys.Def.ID, sys.Def.Item)
		f.Title = l.Items[i].Name + " where people are"
		f.Sentence = fmt.Sprintf("It is of %s, which %s, and stands in %s. Put it outside, or into a sealed box that "+
			"breathes "+
			"to the outside by a hose.", ChemistryWord(b.Chemistry), gas, words.Lower(bay.Name))
		f.Margin = -1
		return []fitout.Finding{f}
	})
}

// noMeter notes a house whose current nobody counts.
func noMeter(l *Look) []fitout.Finding {
	return l.batteries(func(i int, sys *System, run *SystemRun) []fitout.Finding {
		if sys.Def.Meter || sys.Def.Kind != fitout.HouseSystem || !l.hangs(i) {
			return nil
		}
		f := l.about("no-meter", fitout.Note, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " has no meter"
		f.Sentence = fmt.Sprintf("Nobody sees what is left of its %s. One shunt in the negative lead, past which nothing "+
			"goes, "+
			"counts all of it.", l.Say.Charge(sys.Capacity))
		f.Margin = -1
		return []fitout.Finding{f}
	})
}
