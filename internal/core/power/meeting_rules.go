package power

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// generatorExhaust stops a generator whose exhaust nobody leads away.
func generatorExhaust(l *Look) []fitout.Finding {
	return l.generators(func(def *fitout.PowerSource) (fitout.Finding, bool) {
		f := l.about("generator-exhaust", fitout.Stop, def.ID, def.Item)
		f.Title = def.Name + " has no exhaust outside"
		f.Sentence = "Its exhaust kills without a smell. It runs outside, downwind, its exhaust led away from every " +
			"opening, " +
			"and a carbon monoxide alarm where people sleep."
		f.Margin, f.Waivable = -1, false
		return f, !def.Exhaust
	})
}

// generatorFuel notes what a generator burns over the days, and that it is to be carried.
func generatorFuel(l *Look) []fitout.Finding {
	return l.generators(func(def *fitout.PowerSource) (fitout.Finding, bool) {
		litres := def.Fuel * hoursOf(def.Spans) * float64(l.Setup.Nights)
		f := l.about("generator-fuel", fitout.Note, def.ID, def.Item)
		f.Title = fmt.Sprintf("%s burns %s", def.Name, l.Say.Volume(litres))
		f.Sentence = fmt.Sprintf("Over %d nights, at %s an hour. Carry it outside, in a can that is approved, and count "+
			"its mass "+
			"on the axles.", l.Setup.Nights, l.Say.Volume(def.Fuel))
		f.Value, f.Unit = litres, "L"
		return f, litres > 0
	})
}

func (l *Look) generators(say func(*fitout.PowerSource) (fitout.Finding, bool)) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.Setup.sources {
		if s := &l.Setup.sources[k]; s.usable && s.def.Kind == fitout.Generator {
			if f, so := say(s.def); so {
				found = append(found, f)
			}
		}
	}
	return found
}

// mainsCaution says what belongs to mains voltage wherever there is any.
func mainsCaution(l *Look) []fitout.Finding {
	id, item, name, bonded := "", "", "", true
	for i := range l.E.Inverters {
		if l.Setup.inverter[i] >= 0 {
			def := &l.E.Inverters[i]
			id, item, name, bonded = def.ID, def.Item, def.Name, bonded && def.Bonded
		}
	}
	if id == "" {
		for k := range l.Setup.sources {
			if s := &l.Setup.sources[k]; s.usable && s.def.Kind == fitout.Mains {
				id, item, name, bonded = s.def.ID, s.def.Item, s.def.Name, false
			}
		}
	}
	if id == "" {
		return nil
	}
	f := l.about("mains-caution", fitout.Note, id, item)
	f.Title = "Mains voltage kills"
	f.Sentence = fmt.Sprintf("%s and everything behind it belong to a licensed electrician under local rules: inlet, "+
		"sockets, "+
		"earth.", name)
	if !bonded {
		f.Severity = fitout.Caution
		f.Sentence += " A residual-current device works behind an inverter only where its neutral is joined as its maker " +
			"says; " +
			"nobody has said yet that it was proven."
	}
	f.Margin = -1
	return []fitout.Finding{f}
}

// relayToLithium cautions about a relay that joins lithium straight to what starts the
// engine.
func relayToLithium(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.Setup.Systems {
		for _, k := range l.Setup.Systems[i].links {
			link, b := &l.E.Links[k], &l.E.Systems[i].Battery
			if b.Chemistry != fitout.LFP {
				continue
			}
			f := l.about("relay-lithium", fitout.Caution, link.ID, link.Item)
			f.Title = link.Name + " joins lithium to the alternator"
			f.Sentence = fmt.Sprintf("%s takes all that the alternator makes, up to %s, and its voltage is not the one that "+
				"lithium wants. A charger between them keeps both right.", l.E.Systems[i].Name, l.Say.Amps(MostCharge(b)))
			f.Margin = -1
			found = append(found, f)
		}
	}
	return found
}

// sourcesMeet stops two makers of mains voltage that can meet on the same sockets.
func sourcesMeet(l *Look) []fitout.Finding {
	var inverters []string
	for i := range l.E.Inverters {
		if l.Setup.inverter[i] >= 0 && l.E.Systems[l.Setup.inverter[i]].Kind != fitout.StationSystem {
			inverters = append(inverters, l.E.Inverters[i].Name)
		}
	}
	mains := -1
	for k := range l.Setup.sources {
		if s := &l.Setup.sources[k]; s.usable && (s.def.Kind == fitout.Mains || s.def.Kind == fitout.Generator) &&
			s.charger < 0 {
			mains = k
		}
	}
	changeover := slices.ContainsFunc(l.E.Links, func(x fitout.PowerLink) bool { return x.Kind == fitout.ChangeoverLink })
	if mains < 0 || len(inverters) == 0 || changeover {
		return nil
	}
	def := &l.E.Sources[mains]
	f := l.about("sources-meet", fitout.Stop, def.ID, def.Item)
	f.Title = "Two sources of mains can meet"
	f.Sentence = fmt.Sprintf("%s and %s feed mains voltage, and nothing keeps them apart. A changeover that parts one "+
		"before it "+
		"joins the other goes between them, by a licensed electrician; or let %[1]s feed a charger only.", def.Name,
		names(inverters))
	f.Margin, f.Waivable = -1, false
	return []fitout.Finding{f}
}

// changeoverFeedsBoth stops a changeover that joins the next before it parts the one.
func changeoverFeedsBoth(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.E.Links {
		link := &l.E.Links[i]
		if link.Kind != fitout.ChangeoverLink || link.BreakFirst || !l.Setup.there(link.Item) {
			continue
		}
		f := l.about("changeover-both", fitout.Stop, link.ID, link.Item)
		f.Title = link.Name + " feeds both for a moment"
		f.Sentence = "It is not said to part the one before it joins the other: for that moment both feed each other. " +
			"Choose one " +
			"that breaks first, with a position between."
		f.Margin, f.Waivable = -1, false
		found = append(found, f)
	}
	return found
}

// voltagesJoined stops a link between batteries of two voltages: closed, nothing but its cable holds back the
// current from the higher into the lower.
func voltagesJoined(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.E.Links {
		link := &l.E.Links[i]
		if link.Kind == fitout.ChangeoverLink || !l.Setup.there(link.Item) {
			continue
		}
		from := slices.IndexFunc(l.E.Systems, func(s fitout.PowerSystem) bool { return s.ID == link.From })
		to := slices.IndexFunc(l.E.Systems, func(s fitout.PowerSystem) bool { return s.ID == link.To })
		if from < 0 || to < 0 || l.E.Systems[from].Voltage == l.E.Systems[to].Voltage {
			continue
		}
		a, b := &l.E.Systems[from], &l.E.Systems[to]
		f := l.about("voltages-joined", fitout.Stop, link.ID, link.Item)
		f.Title = fmt.Sprintf("%s joins %s and %s", link.Name, l.Say.Volts(a.Voltage), l.Say.Volts(b.Voltage))
		f.Sentence = fmt.Sprintf(
			"%s is of %s, %s of %s: joined, the one drives all that its cable carries into the other, "+
				"which gasses or burns. A charger that converts between them goes in its place.",
			a.Name,
			l.Say.Volts(a.Voltage),
			words.Lower(b.Name),
			l.Say.Volts(b.Voltage),
		)
		f.Over(max(a.Voltage, b.Voltage), min(a.Voltage, b.Voltage), "V")
		f.Waivable = false
		found = append(found, f)
	}
	return found
}

// trailerFedTwice cautions about a trailer's battery that is fed over two ways.
func trailerFedTwice(l *Look) []fitout.Finding {
	return l.batteries(func(i int, sys *System, _ *SystemRun) []fitout.Finding {
		if sys.Def.Kind != fitout.TrailerSystem {
			return nil
		}
		var by []string
		for _, k := range sys.chargers {
			if l.Setup.chargers[k].from >= 0 {
				by = append(by, l.Setup.chargers[k].def.Name)
			}
		}
		for k := range l.E.Links {
			if link := &l.E.Links[k]; link.To == sys.Def.ID || link.From == sys.Def.ID {
				by = append(by, link.Name)
			}
		}
		if len(by) < 2 {
			return nil
		}
		f := l.about("trailer-fed-twice", fitout.Caution, sys.Def.ID, sys.Def.Item)
		f.Title = sys.Def.Name + " is fed two ways"
		f.Sentence = fmt.Sprintf("%s both lead to it: one may push current back over the other, past its fuse. Leave one "+
			"of them.",
			words.Capital(names(by)))
		f.Over(float64(len(by)), 1, "")
		return []fitout.Finding{f}
	})
}
