package wiring

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/words"
)

func allRules() []func(*Board) []fitout.Finding {
	return []func(*Board) []fitout.Finding{
		dropTooHigh, tooLittleCopper, insulationTooHot, fuseAboveCable, fuseBelowLoad, fuseFar, fuseMissing, farEndUnfused,
		fuseCannotBreak, fuseVoltage, relayHot, pastMeter, pastIsolator, crossingsUnguarded, partingUnsaid, plugsMixed,
		plugLoose,
		panelWays, panelAmps, cutoutsClash, cutoutsDeep, circuitsOrphan, cablesUncounted, bodyReturn, testedWorse,
	}
}

// lines calls for every line.
func (b *Board) each(say func(*Wire) (fitout.Finding, bool)) []fitout.Finding {
	var found []fitout.Finding
	for i := range b.Lines {
		if f, so := say(&b.Lines[i]); so {
			if mendedAsProposed[f.Rule] {
				b.asProposed(&f, &b.Lines[i])
			}
			found = append(found, f)
		}
	}
	return found
}

// mendedAsProposed are the rules that cable and fuse as proposed mend.
var mendedAsProposed = map[string]bool{
	"cable-drop": true, "cable-thin": true, "cable-refused": true, "fuse-above-cable": true, "fuse-below-load": true,
	"fuse-far": true, "fuse-missing": true, "fuse-one-end": true, "fuse-cannot-break": true, "fuse-voltage": true,
}

// about begins a finding about a line.
func (b *Board) about(rule string, severity fitout.Severity, line *Wire) fitout.Finding {
	f := fitout.Finding{Rule: rule, Severity: severity, Subject: fitout.Subject{Kind: "power", ID: line.Of},
		Source:   "practice",
		Waivable: true, Margin: -1}
	if line.item != "" && b.Index(line.item) >= 0 {
		f.With = []string{line.item}
	}
	return f
}

// asProposed offers to take cable and fuse of a line as they are proposed, where that would
// do.
func (b *Board) asProposed(f *fitout.Finding, line *Wire) {
	c := &line.given
	if line.Needs == 0 || c.Area == 0 && c.Fuse == 0 && c.FuseKind == "" && !c.NoFarFuse && c.FuseAt == 0 &&
		c.Insulation == 0 &&
		c.FuseVolts == 0 {
		return
	}
	label := fmt.Sprintf("Cable and fuse of %s as proposed", words.Lower(line.Name))
	f.Fixes = []fitout.Fix{{Label: label, Edit: fitout.FixEdit{Kind: "circuit-proposed", ID: line.Of}}}
}

func measured(f *fitout.Finding, value, limit, margin float64, unit string) {
	f.Value, f.Limit, f.Margin, f.Unit = value, limit, margin, unit
}

// dropTooHigh cautions about a circuit that loses too much on the way.
func dropTooHigh(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("cable-drop", fitout.Caution, line)
		f.Title = line.Name + " loses too much on the way"
		would := "No cable that is sold does it in one: halve the way or the current, or lay two."
		if needs := b.thinnest(line); needs > 0 {
			would = fmt.Sprintf("%s would do.", b.Say.Copper(needs))
		}
		f.Sentence = fmt.Sprintf(
			"Over %s of %s it loses %s of its %s, %s; it may lose %s. %s",
			b.Say.Length(line.Length),
			b.Say.Copper(line.Area),
			b.Say.Volts(line.Drop),
			b.Say.Volts(line.Nominal),
			b.Say.Percent(line.DropShare),
			b.Say.Percent(line.DropMost),
			would,
		)
		measured(&f, 100*line.DropShare, 100*line.DropMost, 100*(line.DropMost-line.DropShare), "%")
		return f, line.DropShare > line.DropMost*1.000001
	})
}

// thinnest is the thinnest copper that is sold by which a line loses no more than it may,
// mm², or 0.
func (b *Board) thinnest(line *Wire) float64 {
	least := AreaFor(line.Length/1000, line.Amps, line.DropMost*line.Nominal, line.Ambient, line.body)
	sold := Areas
	if b.Say.Units == "us" {
		sold = gauges
	}
	for _, area := range sold {
		if area >= least {
			return area
		}
	}
	return 0
}

// tooLittleCopper stops a cable that does not carry the current.
func tooLittleCopper(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("cable-thin", fitout.Stop, line)
		f.Title = line.Name + " has too little copper"
		f.Sentence = fmt.Sprintf(
			"%s run through %s, which carries %s where it runs, at %s%s. It gets hot before any fuse "+
				"goes. Take "+
				"%s.",
			b.Say.Amps(line.Amps),
			b.Say.Copper(line.Area),
			b.Say.Amps(line.Carries),
			b.Say.Temperature(line.Ambient),
			together(line.given.Bundle),
			b.orThicker(line),
		)
		measured(&f, line.Amps, line.Carries, line.Carries-line.Amps, "A")
		f.Source, f.Waivable = "ISO 10133", false
		return f, line.Carries > 0 && line.Amps > line.Carries*1.000001
	})
}

func together(bundle float64) string {
	if bundle >= 4 {
		return fmt.Sprintf(" in a bundle of %.0f", bundle)
	}
	return ""
}

func (b *Board) orThicker(line *Wire) string {
	if line.Needs > 0 {
		return b.Say.Copper(line.Needs)
	}
	return "two cables side by side, each with its own fuse"
}

// insulationTooHot stops insulation that bears no more than it is hot around it, and copper
// that is in no table.
func insulationTooHot(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		_, err := Capacity(line.Area, line.given.Insulation, line.Ambient, line.given.Bundle)
		f := b.about("cable-refused", fitout.Stop, line)
		f.Title = line.Name + ": this cable cannot be used here"
		if err == nil {
			return f, false
		}
		f.Sentence = words.Capital(err.Error()) + "."
		f.Source, f.Waivable = "ISO 10133", false
		return f, true
	})
}

// relayHot cautions about a relay or switch that carries more than 0.8 of its rating.
func relayHot(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		most := line.given.Relay * RelayShare
		f := b.about("relay-hot", fitout.Caution, line)
		f.Title = line.Name + ": the switch is at its limit"
		f.Sentence = fmt.Sprintf(
			"It carries %s of its %s; for long it bears %s. Parts at their rated limit melt: take one "+
				"of %s, or let "+
				"a small one switch a large one.",
			b.Say.Amps(line.Amps),
			b.Say.Amps(line.given.Relay),
			b.Say.Amps(most),
			b.Say.Amps(math.Ceil(line.Amps/RelayShare/5)*5),
		)
		measured(&f, line.Amps, most, most-line.Amps, "A")
		return f, line.given.Relay > 0 && line.Amps > most*1.000001
	})
}

// pastMeter cautions about current that the meter of its system does not see.
func pastMeter(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		s := b.systemOf(line.System)
		f := b.about("past-meter", fitout.Caution, line)
		f.Title = line.Name + " goes past the meter"
		f.Sentence = fmt.Sprintf(
			"The meter of %s does not see its %s, so what it shows is worth nothing. Join it behind "+
				"the shunt.",
			words.Lower(s.Name),
			b.Say.Amps(line.Amps),
		)
		f.Fixes = []fitout.Fix{
			{Label: "Join it behind the shunt", Edit: fitout.FixEdit{Kind: "behind-meter", ID: line.given.Of}},
		}
		return f, line.given.PastMeter && s.Meter
	})
}

// pastIsolator notes what stays live when the isolator is open.
func pastIsolator(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		s := b.systemOf(line.System)
		f := b.about("past-isolator", fitout.Caution, line)
		f.Title = line.Name + " stays live with the isolator open"
		f.Sentence = fmt.Sprintf(
			"Who opens the isolator of %s believes that all is dead. Join it behind the isolator, or "+
				"mark it at "+
				"both ends.",
			words.Lower(s.Name),
		)
		f.Fixes = []fitout.Fix{
			{Label: "Join it behind the isolator", Edit: fitout.FixEdit{Kind: "behind-isolator", ID: line.given.Of}},
		}
		return f, line.given.OffBattery && s.Isolator
	})
}

// circuitsOrphan notes what was said of circuits that lead to nothing any more.
func circuitsOrphan(b *Board) []fitout.Finding {
	var found []fitout.Finding
	for _, of := range b.Orphan {
		if _, known := b.E.NameOf(strings.TrimSuffix(of, "-in")); known {
			continue // it does not come along now
		}
		found = append(found, fitout.Finding{
			Rule: "circuit-orphan", Severity: fitout.Note, Subject: fitout.Subject{Kind: "power", ID: of}, Source: "practice",
			Title: "A circuit leads to nothing", Waivable: true, Margin: -1,
			Sentence: "What stood at its end is gone. Take its wire out, and its fuse: a live end that hangs free is found by " +
				"a tool.",
		})
	}
	return found
}

// uncountedFrom is from which mass cables are worth counting, kg.
const uncountedFrom = 1.0

// cablesUncounted cautions about cables that weigh, and that no item counts.
func cablesUncounted(b *Board) []fitout.Finding {
	mass, counted := 0.0, 0.0
	for i := range b.Lines {
		mass += b.Lines[i].Mass
	}
	for i := range b.Items {
		if item := &b.Items[i]; item.Cables || item.ID == CablesItem {
			counted += item.Mass
		}
	}
	if mass < uncountedFrom || counted >= mass*0.8 {
		return nil
	}
	f := fitout.Finding{Rule: "cables-uncounted", Severity: fitout.Note, Subject: fitout.Subject{Kind: "power"},
		Source: "material", Waivable: true, Title: "The cables are not counted",
		Sentence: fmt.Sprintf(
			"By their copper and insulation they weigh %s; things of the ledger count %s of it. Count "+
				"them where they "+
				"run.",
			b.Say.Mass(mass),
			b.Say.Mass(counted),
		),
	}
	measured(&f, counted, mass, counted-mass, "kg")
	f.Fixes = []fitout.Fix{{Label: fmt.Sprintf("Count the cables as %s", b.Say.Mass(mass)),
		Edit: fitout.FixEdit{Kind: "count-cables", Value: mass}}}
	return []fitout.Finding{f}
}

// CablesItem is the id of the item that counts the cables.
const CablesItem = "cables-of-the-board"

// bodyReturn cautions about a body that returns a large current or that of electronics.
func bodyReturn(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("body-return", fitout.Caution, line)
		f.Title = line.Name + " returns through the body"
		f.Sentence = fmt.Sprintf(
			"%s through painted joints and hinges get hot and rust them; a canopy that comes off "+
				"takes its return with "+
				"it. Lay a second conductor of %s.",
			b.Say.Amps(line.Amps),
			b.Say.Copper(line.Area),
		)
		return f, line.body && (line.Amps > 15 || b.inCarrier(line))
	})
}

// inCarrier tells whether the end of a line stands in something that comes off the body.
func (b *Board) inCarrier(line *Wire) bool {
	i := b.Index(line.item)
	return i >= 0 && b.Items[i].Module != nil && module.TraitsOf(b.Items[i].Module.Kind).Yields && line.Amps > 5
}

// testedWorse stops a circuit that lost more under load than its cable should: a bad joint
// gets hot there.
func testedWorse(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		should := line.Drop
		f := b.about("tested-worse", fitout.Stop, line)
		f.Title = line.Name + " loses more than its cable should"
		f.Sentence = fmt.Sprintf(
			"Tested under load it lost %s; its cable explains %s. A joint, a fuse holder or a switch "+
				"takes the rest "+
				"and gets hot: find it with the load on.",
			b.Say.Volts(line.given.Tested),
			b.Say.Volts(should),
		)
		measured(&f, line.given.Tested, should*1.25+0.1, should*1.25+0.1-line.given.Tested, "V")
		return f, line.given.Tested > should*1.25+0.1
	})
}
