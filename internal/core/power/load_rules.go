package power

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// consumers calls for every load that comes along, fed or not.
func (l *Look) consumers(say func(k int, c *consumer) []fitout.Finding) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.Setup.loads {
		if c := &l.Setup.loads[k]; l.Setup.there(c.def.Item) {
			found = append(found, say(k, c)...)
		}
	}
	return found
}

// loadsUnfed stops loads that nothing feeds.
func loadsUnfed(l *Look) []fitout.Finding {
	return l.consumers(func(_ int, c *consumer) []fitout.Finding {
		if c.system >= 0 || c.def.Others {
			return nil
		}
		f := l.about("load-unfed", fitout.Stop, c.def.ID, c.def.Item)
		f.Title = "Nothing feeds " + words.Lower(c.def.Name)
		f.Sentence = "No battery or inverter is named that feeds it, or the one that is named is gone. Name one, or take " +
			"it out."
		if c.def.Inverter == "" && l.systemName(c.def.System) != "nothing" {
			f.Sentence = fmt.Sprintf("It hangs on %s, which does not come along in the state shown. Take it along, or feed it "+
				"from "+
				"another one.", l.systemName(c.def.System))
		}
		f.Margin, f.Source = -1, "physics"
		if house := l.house(); house != nil && c.def.Inverter == "" && c.def.Watts <= house.Voltage*mostPlain {
			f.Fixes = []fitout.Fix{feedFrom(c.def.Name, c.def.ID, house.Name, house.ID)}
		}
		return []fitout.Finding{f}
	})
}

// mostPlain is up to what current something is taken to run on a battery straight, A: more belongs onto an
// inverter, or to somebody who works it out.
const mostPlain = 30

// house is the first house battery that is aboard; nil for none.
func (l *Look) house() *fitout.PowerSystem {
	for k := range l.E.Systems {
		if s := &l.E.Systems[k]; s.Kind == fitout.HouseSystem && l.Setup.there(s.Item) {
			return s
		}
	}
	return nil
}

func feedFrom(name, id, from, with string) fitout.Fix {
	return fitout.Fix{
		Label: fmt.Sprintf("Hang %s on %s", words.Lower(name), words.Lower(from)),
		Edit:  fitout.FixEdit{Kind: "feed", ID: id, With: with},
	}
}

// leastVoltage stops a load that wants a higher voltage than its battery has when it is
// low: it runs only while something charges, and nobody knows why.
func leastVoltage(l *Look) []fitout.Finding {
	return l.consumers(func(k int, c *consumer) []fitout.Finding {
		if !c.usable || c.inverter >= 0 || c.def.Least <= 0 || l.Run.Loads[k].Used <= 0 {
			return nil
		}
		sys := &l.Setup.Systems[c.system]
		low := rested(sys.Def.Battery.Chemistry, l.Run.Systems[c.system].Lowest) * sys.Def.Voltage / 12
		if low >= c.def.Least {
			return nil
		}
		f := l.about("least-voltage", fitout.Caution, c.def.ID, c.def.Item)
		f.Title = c.def.Name + " wants a higher voltage"
		f.Sentence = fmt.Sprintf("It works from %s; %s rests at %s when it is lowest, and the cable takes some of that. It "+
			"would "+
			"run only while something charges. A converter before it gives it what it wants.", l.Say.Volts(c.def.Least),
			words.Lower(sys.Def.Name), l.Say.Volts(low))
		f.Under(low, c.def.Least, "V")
		return []fitout.Finding{f}
	})
}

// inverters calls for every inverter that comes along and is fed.
func (l *Look) inverters(say func(i int, def *fitout.Inverter, on *System) (fitout.Finding, bool)) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.E.Inverters {
		if system := l.Setup.inverter[i]; system >= 0 {
			if f, so := say(i, &l.E.Inverters[i], &l.Setup.Systems[system]); so {
				found = append(found, f)
			}
		}
	}
	return found
}

// inverterOver stops more on an inverter at once than it gives.
func inverterOver(l *Look) []fitout.Finding {
	return l.inverters(func(i int, def *fitout.Inverter, _ *System) (fitout.Finding, bool) {
		watts, _ := l.onInverter(i)
		f := l.about("inverter-over", fitout.Stop, def.ID, def.Item)
		f.Title = def.Name + " is asked for too much"
		f.Sentence = fmt.Sprintf("%s run on it at once; it gives %s. Run them one after another, or choose one for %s.",
			l.Say.Watts(watts), l.Say.Watts(def.Watts), l.Say.Watts(math.Ceil(watts/100)*100))
		f.Over(watts, def.Watts, "W")
		f.Source = "data sheet"
		return f, watts > def.Watts*1.000001
	})
}

// inverterSurge stops a start that an inverter does not carry.
func inverterSurge(l *Look) []fitout.Finding {
	return l.inverters(func(i int, def *fitout.Inverter, _ *System) (fitout.Finding, bool) {
		watts, surge := l.onInverter(i)
		most := max(def.Surge, def.Watts)
		f := l.about("inverter-surge", fitout.Stop, def.ID, def.Item)
		f.Title = def.Name + " does not start what runs on it"
		f.Sentence = fmt.Sprintf("What starts on it draws %s for a moment with what runs beside it; it gives %s for a "+
			"moment%s. "+
			"Start it alone, or choose an inverter for that.", l.Say.Watts(surge), l.Say.Watts(most),
			assumed(def.Surge, " (not said: what it gives all the time)"))
		f.Over(surge, most, "W")
		f.Source = "data sheet"
		return f, surge > most*1.000001 && watts <= def.Watts
	})
}

// inverterBeyondBattery cautions about an inverter that draws more at full load than its
// battery gives.
func inverterBeyondBattery(l *Look) []fitout.Finding {
	return l.inverters(func(_ int, def *fitout.Inverter, on *System) (fitout.Finding, bool) {
		amps := InverterInput(def.Watts, 0, WorkingVoltage(on.Def, LowInverter), def.Efficiency)
		most := MostDischarge(&on.Def.Battery)
		f := l.about("inverter-battery", fitout.Caution, def.ID, def.Item)
		f.Title = def.Name + " is larger than its battery feeds"
		f.Sentence = fmt.Sprintf("At its full %s it draws %s at %s; %s gives %s%s. Up to %s can be used of it.",
			l.Say.Watts(def.Watts), l.Say.Amps(amps), l.Say.Volts(WorkingVoltage(on.Def, LowInverter)), words.Lower(on.Def.Name),
			l.Say.Amps(most), assumed(on.Def.Battery.Discharge, " (not said: taken from its kind)"),
			l.Say.Watts(most*WorkingVoltage(on.Def, LowInverter)*orUsual(def.Efficiency, usualInverter)))
		f.Over(amps, most, "A")
		return f, amps > most*1.000001
	})
}

// standbyMost is what may wait all night without a switch, Wh a day. Practice.
const standbyMost = 60

// standbyAllNight cautions about what draws all night because its switch is out of reach.
func standbyAllNight(l *Look) []fitout.Finding {
	found := l.inverters(func(_ int, def *fitout.Inverter, _ *System) (fitout.Finding, bool) {
		wh := def.Standby * 24
		f := l.about("standby", fitout.Caution, def.ID, def.Item)
		f.Title = def.Name + " draws all night"
		f.Sentence = fmt.Sprintf("It stays on and takes %s a day for nothing. Put a switch for it where it is in reach "+
			"when all is "+
			"packed, or let it be on only with its loads.", l.Say.Energy(wh))
		f.Over(wh, standbyMost, "Wh")
		f.Fixes = []fitout.Fix{
			{Label: "Let it be on only with its loads", Edit: fitout.FixEdit{Kind: "on-with-loads", ID: def.ID}},
			{Label: "A switch for it in reach", Edit: fitout.FixEdit{Kind: "switch-in-reach", ID: def.ID}},
		}
		return f, def.Always && !def.Remote && wh > standbyMost
	})
	return append(found, l.consumers(func(_ int, c *consumer) []fitout.Finding {
		wh := c.def.Standby * c.def.Count * 24
		if !c.usable || c.def.StandbyOff || wh <= standbyMost {
			return nil
		}
		f := l.about("standby", fitout.Caution, c.def.ID, c.def.Item)
		f.Title = c.def.Name + " draws while it waits"
		f.Sentence = fmt.Sprintf("Waiting it takes %s a day. Put a switch for it where it is in reach.", l.Say.Energy(wh))
		f.Over(wh, standbyMost, "Wh")
		f.Fixes = []fitout.Fix{
			{Label: "A switch for it in reach", Edit: fitout.FixEdit{Kind: "switch-in-reach", ID: c.def.ID}},
		}
		return []fitout.Finding{f}
	})...)
}

// fridgeTooHot cautions about what cools where it would have to run more than all the time.
func fridgeTooHot(l *Look) []fitout.Finding {
	return l.consumers(func(_ int, c *consumer) []fitout.Finding {
		h := c.def.Heat
		if h == nil || c.def.Use != fitout.UseHeat || c.def.Watts <= 0 {
			return nil
		}
		hottest := l.Setup.High + h.Warmer
		needs := Fridge(h, hottest) + CoolDown(h, (l.Setup.Low+l.Setup.High)/2+h.Warmer)/24
		if needs <= c.def.Watts {
			return nil
		}
		f := l.about("cooling-lost", fitout.Caution, c.def.ID, c.def.Item)
		if h.Thaws {
			f.Severity = fitout.Stop
		}
		f.Title = c.def.Name + " does not hold its temperature"
		f.Sentence = fmt.Sprintf("At %s around it, it would need %s all the time to stay at %s; it draws %s while it runs. "+
			"Let air "+
			"to it, keep it out of the heat, put less in warm, or choose a larger one.", l.Say.Temperature(hottest),
			l.Say.Watts(needs), l.Say.Temperature(h.Inner), l.Say.Watts(c.def.Watts))
		f.Over(needs, c.def.Watts, "W")
		f.Source = "data sheet"
		return []fitout.Finding{f}
	})
}

// mustNotDrop stops what could drop a load that must never drop.
func mustNotDrop(l *Look) []fitout.Finding {
	return l.consumers(func(k int, c *consumer) []fitout.Finding {
		must := c.def.Essential || c.def.Heat != nil && c.def.Heat.Thaws
		why := ""
		switch run := &l.Run.Loads[k]; {
		case !must || !c.usable:
			return nil
		case run.Missed > 0:
			why = fmt.Sprintf("It drops on %s and misses %s over the days.", l.at(run.OutAt), l.Say.Charge(run.Missed))
		case c.def.Shed > 0:
			why = fmt.Sprintf("It is dropped below %s.", l.Say.Percent(c.def.Shed))
		case l.gated(c.def.ID):
			why = "A rule of the logic can switch it off."
		default:
			return nil
		}
		f := l.about("must-not-drop", fitout.Stop, c.def.ID, c.def.Item)
		f.Title = c.def.Name + " must not drop"
		what := "It must never drop."
		if c.def.Heat != nil && c.def.Heat.Thaws {
			what = "What is in it must not warm up."
		}
		f.Sentence = words.Sentences(what, why,
			"Keep a reserve for it, drop others before it, and give it a battery of its own if "+
				"need be.")
		f.Margin = -1
		if c.def.Shed > 0 && l.lastsUnshed(k, c) {
			f.Fixes = []fitout.Fix{{Label: "Never drop it by itself", Edit: fitout.FixEdit{Kind: "never-drop", ID: c.def.ID}}}
		}
		return []fitout.Finding{f}
	})
}

// lastsUnshed tells whether a load runs all the days where it is never dropped, and its battery with it.
func (l *Look) lastsUnshed(k int, c *consumer) bool {
	run := l.runWith(len(l.E.Systems), func(e *fitout.Electrics) {
		for n := range e.Loads {
			if e.Loads[n].ID == c.def.ID {
				e.Loads[n].Shed = 0
			}
		}
	})
	return run.Loads[k].Missed == 0 && run.Systems[c.system].OutAt < 0 && !l.gated(c.def.ID)
}

// gated tells whether an output with lines or a lock switches a thing.
func (l *Look) gated(id string) bool {
	for i := range l.E.Outputs {
		if o := &l.E.Outputs[i]; o.Of == id && (len(o.Lines) > 0 || o.LockedOff != "") {
			return true
		}
	}
	return false
}

// heatUnsaid cautions about what cools of which no data sheet was entered.
func heatUnsaid(l *Look) []fitout.Finding {
	return l.consumers(func(_ int, c *consumer) []fitout.Finding {
		if c.def.Use != fitout.UseHeat || c.def.Heat != nil && c.def.Heat.Mean > 0 && c.def.Heat.At > c.def.Heat.AtInner {
			return nil
		}
		f := l.about("cooling-unsaid", fitout.Caution, c.def.ID, c.def.Item)
		f.Title = "What " + words.Lower(c.def.Name) + " takes is not said"
		f.Sentence = "Its draw follows the heat, and no mean draw of a data sheet is entered with the temperatures that it " +
			"holds " +
			"for: it is counted wrong. Enter them; they are usually for 32 °C around it and 4 °C inside."
		f.Margin = -1
		return []fitout.Finding{f}
	})
}

// neverRuns notes a load that is counted with nothing.
func neverRuns(l *Look) []fitout.Finding {
	return l.consumers(func(k int, c *consumer) []fitout.Finding {
		if !c.usable || c.def.Use == fitout.UseHeat || l.Run.Loads[k].Used+l.Run.Loads[k].Missed > 0 || l.gated(c.def.ID) ||
			c.inverter >= 0 && l.gated(l.E.Inverters[c.inverter].ID) {
			return nil
		}
		f := l.about("load-idle", fitout.Note, c.def.ID, c.def.Item)
		f.Title = c.def.Name + " is counted with nothing"
		f.Sentence = "No hours, or no watts, are entered for it. Say when it runs, or how often."
		f.Margin = -1
		return []fitout.Finding{f}
	})
}

// ofOthers notes what another workshop finishes: it stays dead until then.
func ofOthers(l *Look) []fitout.Finding {
	return l.consumers(func(_ int, c *consumer) []fitout.Finding {
		if !c.def.Others {
			return nil
		}
		f := l.about("others-locked", fitout.Note, c.def.ID, c.def.Item)
		f.Title = c.def.Name + " is finished by others"
		f.Sentence = "Its circuit is laid and stays dead: fuse out, tagged and locked out until who finishes it has tested " +
			"it. It " +
			"is not counted yet."
		f.Margin = -1
		return []fitout.Finding{f}
	})
}

// atTheBed is how far a thing beside sleepers is from their heads, m.
const atTheBed = 0.5

// quiet is how loud it may be at the bed, dB. Practice.
const quiet = 35

// loudAtNight notes what runs beside sleepers at night and is louder than 35 dB half a
// metre away, dB at 1 m − 20 log₁₀ d; of what nobody gave a figure for, what draws much.
func loudAtNight(l *Look) []fitout.Finding {
	return l.consumers(func(k int, c *consumer) []fitout.Finding {
		if !c.usable || !c.def.Sleeping || c.def.Use == fitout.UseEvents {
			return nil
		}
		hours := 0.0
		for step := range l.Setup.steps {
			a, b := l.Setup.step(step)
			if within(22, 6, (a+b)/2) {
				_, share := l.Setup.draw(c.def, step, 25, 0)
				hours += share * (b - a)
			}
		}
		loud := c.def.Noise - 20*math.Log10(atTheBed)
		if hours <= 0 || c.def.Noise > 0 && loud <= quiet || c.def.Noise == 0 && c.def.Watts < 100 {
			return nil
		}
		f := l.about("loud-at-night", fitout.Note, c.def.ID, c.def.Item)
		f.Title = c.def.Name + " runs beside sleepers"
		f.Sentence = fmt.Sprintf("It draws %s for %s of the night where people sleep, and nobody said how loud it is. Run "+
			"it before, "+
			"or put it elsewhere.", l.Say.Watts(c.def.Watts), l.Say.Hours(hours))
		f.Over(hours, 0, "h")
		if c.def.Noise > 0 {
			f.Sentence = fmt.Sprintf("It runs for %s of the night with about %s dB at the bed; people sleep up to %d. Hang it "+
				"softly, or "+
				"put it elsewhere.", l.Say.Hours(hours), l.Say.Plain(math.Round(loud)), quiet)
			f.Over(loud, quiet, "dB")
		}
		return []fitout.Finding{f}
	})
}
