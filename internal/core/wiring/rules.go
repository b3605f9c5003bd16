package wiring

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/words"
)

func allRules() []func(*Board) []fitout.Finding {
	return []func(*Board) []fitout.Finding{
		dropTooHigh, tooLittleCopper, insulationTooHot, fuseAboveCable, fuseBelowLoad, fuseFar, fuseMissing, farEndUnfused,
		fuseCannotBreak, fuseVoltage, relayHot, pastMeter, pastIsolator, crossingsUnguarded, partingUnsaid, plugsMixed, plugLoose,
		panelWays, panelAmps, cutoutsClash, cutoutsDeep, circuitsOrphan, cablesUncounted, bodyReturn, testedWorse,
	}
}

// lines calls for every line.
func (b *Board) each(say func(*Wire) (fitout.Finding, bool)) []fitout.Finding {
	var found []fitout.Finding
	for i := range b.Lines {
		if f, so := say(&b.Lines[i]); so {
			found = append(found, f)
		}
	}
	return found
}

// about begins a finding about a line.
func (b *Board) about(rule string, severity fitout.Severity, line *Wire) fitout.Finding {
	f := fitout.Finding{Rule: rule, Severity: severity, Subject: fitout.Subject{Kind: "power", ID: line.Of}, Source: "practice",
		Waivable: true, Margin: -1}
	if line.item != "" && b.Index(line.item) >= 0 {
		f.With = []string{line.item}
	}
	return f
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
		f.Sentence = fmt.Sprintf("Over %s of %s it loses %s of its %s, %s; it may lose %s. %s", b.Say.Length(line.Length),
			b.Say.Copper(line.Area), b.Say.Volts(line.Drop), b.Say.Volts(line.Nominal), b.Say.Percent(line.DropShare),
			b.Say.Percent(line.DropMost), would)
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
		f.Sentence = fmt.Sprintf("%s run through %s, which carries %s where it runs, at %s%s. It gets hot before any fuse goes. Take "+
			"%s.", b.Say.Amps(line.Amps), b.Say.Copper(line.Area), b.Say.Amps(line.Carries), b.Say.Temperature(line.Ambient),
			together(line.given.Bundle), b.orThicker(line))
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

// fuseAboveCable stops a fuse that lets more through than the cable carries: it protects
// the appliance and not the cable.
func fuseAboveCable(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		largest := max(line.Fuse, line.FarFuse)
		f := b.about("fuse-above-cable", fitout.Stop, line)
		f.Title = line.Name + ": the fuse does not protect the cable"
		f.Sentence = fmt.Sprintf("A fuse of %s lets more through than %s of %s carry there. Take a fuse of at most that, or %s.",
			b.Say.Amps(largest), b.Say.Amps(line.Carries), b.Say.Copper(line.Area), b.orThicker(line))
		measured(&f, largest, line.Carries, line.Carries-largest, "A")
		f.Source, f.Waivable = "ISO 10133", false
		return f, line.Carries > 0 && largest > line.Carries*1.000001
	})
}

// fuseBelowLoad cautions about a fuse that goes by itself in use.
func fuseBelowLoad(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("fuse-below-load", fitout.Caution, line)
		f.Title = line.Name + ": the fuse goes in use"
		f.Sentence = fmt.Sprintf("It carries %s for long; a fuse of %s melts or gets hot. The next size of 1¼ times that is %s.",
			b.Say.Amps(line.Amps), b.Say.Amps(line.Fuse), b.nextSize(line))
		measured(&f, line.Fuse, line.Amps*fuseMargin, line.Fuse-line.Amps*fuseMargin, "A")
		return f, line.Fuse > 0 && line.Fuse < line.Amps*fuseMargin*0.999999
	})
}

func (b *Board) nextSize(line *Wire) string {
	if of := fuseOf(line.FuseKind); of != nil {
		if size, made := of.size(line.Amps * fuseMargin); made {
			return b.Say.Amps(size)
		}
	}
	if kind, size, made := FuseFor(line.Amps, 0, line.full); made {
		return b.Say.Amps(size) + " " + FuseWord(kind)
	}
	return "none that is made: split the circuit"
}

// fuseFar cautions about cable before its fuse that nothing protects.
func fuseFar(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		most := float64(fuseNear)
		if line.given.Sheathed {
			most = fuseSheathed
			if line.From == line.System {
				most = fuseSheathedPost
			}
		}
		f := b.about("fuse-far", fitout.Stop, line)
		f.Title = line.Name + ": the fuse is far from what feeds it"
		f.Sentence = fmt.Sprintf("%s of cable lie before the fuse, and nothing protects them. Put it within %s, or within %s in a "+
			"sheath.", b.Say.Length(line.given.FuseAt), b.Say.Length(fuseNear), b.Say.Length(max(most, fuseSheathed)))
		measured(&f, line.given.FuseAt, most, most-line.given.FuseAt, "mm")
		f.Source = "ABYC E-11"
		return f, line.given.FuseAt > most
	})
}

// fuseMissing stops a cable without a fuse at what feeds it.
func fuseMissing(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("fuse-missing", fitout.Stop, line)
		f.Title = line.Name + " has no fuse"
		why := "It was taken out."
		if line.given.FuseKind != fitout.NoFuse {
			why = fmt.Sprintf("None is made for its %s: split the circuit.", b.Say.Amps(line.Amps))
		}
		f.Sentence = fmt.Sprintf("Into a short circuit %s feeds all that it has, and the cable burns. %s", words.Lower(line.FromName),
			why)
		f.Waivable = false
		return f, line.Fuse == 0 && !b.feedsItself(line)
	})
}

// feedsItself tells of a panel's lead to its controller: a panel gives hardly more into a
// short circuit than in use.
func (b *Board) feedsItself(line *Wire) bool {
	return line.Kind == SourceLine && line.From != line.System
}

// farEndUnfused stops a cable both ends of which can feed, with one fuse.
func farEndUnfused(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("fuse-one-end", fitout.Stop, line)
		f.Title = line.Name + " is fused at one end"
		f.Sentence = "Both of its ends can feed it. Put a fuse at the other end too, as near to what feeds there."
		return f, line.Far && line.FarFuse == 0
	})
}

// fuseCannotBreak stops a fuse that does not break the short circuit of its battery.
func fuseCannotBreak(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		of := fuseOf(line.FuseKind)
		f := b.about("fuse-cannot-break", fitout.Stop, line)
		if of == nil || line.Fuse == 0 || line.limited || b.feedsItself(line) || line.FuseKind == fitout.ClassTFuse && line.Short < 0 {
			return f, false
		}
		short := "more than anybody knows: the resistance of lithium is not said"
		if line.Short >= 0 {
			short = b.Say.Amps(math.Round(line.Short))
		}
		f.Title = line.Name + ": the fuse does not break a short circuit"
		f.Sentence = fmt.Sprintf("A %s fuse breaks up to %s; into a short circuit flow %s. It burns on as an arc. Take class T at the "+
			"battery.", FuseWord(line.FuseKind), b.Say.Amps(of.breaks), short)
		measured(&f, max(0, line.Short), of.breaks, of.breaks-line.Short, "A")
		if line.Short < 0 {
			f.Margin = -1
		}
		f.Source, f.Waivable = "data sheet", false
		return f, line.Short < 0 || line.Short > of.breaks
	})
}

// fuseVoltage stops a fuse in a circuit of a higher voltage than it is rated for.
func fuseVoltage(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		of := fuseOf(line.FuseKind)
		f := b.about("fuse-voltage", fitout.Stop, line)
		if of == nil || line.Fuse == 0 {
			return f, false
		}
		rated := of.volts
		if line.given.FuseVolts > 0 {
			rated = line.given.FuseVolts
		}
		f.Title = line.Name + ": the fuse is for a lower voltage"
		f.Sentence = fmt.Sprintf("It is rated for %s; the circuit has up to %s, which jumps the gap when it goes. Choose one for that.",
			b.Say.Volts(rated), b.Say.Volts(line.full))
		measured(&f, line.full, rated, rated-line.full, "V")
		f.Source = "data sheet"
		return f, line.full > rated
	})
}

// relayHot cautions about a relay or switch that carries more than 0.8 of its rating.
func relayHot(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		most := line.given.Relay * RelayShare
		f := b.about("relay-hot", fitout.Caution, line)
		f.Title = line.Name + ": the switch is at its limit"
		f.Sentence = fmt.Sprintf("It carries %s of its %s; for long it bears %s. Parts at their rated limit melt: take one of %s, or let "+
			"a small one switch a large one.", b.Say.Amps(line.Amps), b.Say.Amps(line.given.Relay), b.Say.Amps(most),
			b.Say.Amps(math.Ceil(line.Amps/RelayShare/5)*5))
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
		f.Sentence = fmt.Sprintf("The meter of %s does not see its %s, so what it shows is worth nothing. Join it behind the shunt.",
			words.Lower(s.Name), b.Say.Amps(line.Amps))
		return f, line.given.PastMeter && s.Meter
	})
}

// pastIsolator notes what stays live when the isolator is open.
func pastIsolator(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		s := b.systemOf(line.System)
		f := b.about("past-isolator", fitout.Caution, line)
		f.Title = line.Name + " stays live with the isolator open"
		f.Sentence = fmt.Sprintf("Who opens the isolator of %s believes that all is dead. Join it behind the isolator, or mark it at "+
			"both ends.", words.Lower(s.Name))
		return f, line.given.OffBattery && s.Isolator
	})
}

var unguarded = map[fitout.CrossingKind][3]string{
	fitout.OverSlide:   {"cable-slide", "over a slide", "Nothing guides it: it is caught or torn. Lay it in a chain, or folded at its middle."},
	fitout.DoorGap:     {"cable-door", "through a door's gap", "It is pinched each time. Lead it through a gaiter at the hinge side."},
	fitout.OverEdge:    {"cable-edge", "over an edge", "The edge cuts through its insulation in a season. Put a grommet there."},
	fitout.PartingLine: {"cable-parting", "over a parting line", "When the unit is lifted out, it tears. Put a connector there, coded and held."},
}

// crossingsUnguarded stops cable that crosses what moves, cuts or parts without what it
// wants there.
func crossingsUnguarded(b *Board) []fitout.Finding {
	var found []fitout.Finding
	for i := range b.Lines {
		line := &b.Lines[i]
		for _, c := range line.given.Crossings {
			said := unguarded[c.Kind]
			if c.Guarded || said[0] == "" {
				continue
			}
			f := b.about(said[0], fitout.Stop, line)
			f.Subject.Measure = c.ID
			f.Title = line.Name + " runs " + said[1]
			f.Sentence = said[2]
			found = append(found, f)
		}
	}
	return found
}

// partingUnsaid cautions about a cable into a unit that lifts out, of which nobody said
// where it parts.
func partingUnsaid(b *Board) []fitout.Finding {
	out := map[string]bool{}
	for _, l := range b.Job.Brief.Daily.LiftOut {
		out[l.ID] = true
		for i := range b.Items {
			if strings.EqualFold(b.Items[i].Name, l.Name) {
				out[b.Items[i].ID] = true
			}
		}
	}
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		i := b.Index(line.item)
		f := b.about("parting-unsaid", fitout.Caution, line)
		if i < 0 || len(out) == 0 || line.given.Plug != "" {
			return f, false
		}
		unit := b.Items[i].ID
		if in := b.Items[i].In; in != nil {
			unit = in.Module
		}
		if !out[unit] || b.sameUnit(line, unit) {
			return f, false
		}
		if slices.ContainsFunc(line.given.Crossings, func(c fitout.Crossing) bool { return c.Kind == fitout.PartingLine }) {
			return f, false
		}
		f.Title = line.Name + " goes into a unit that lifts out"
		f.Sentence = fmt.Sprintf("%s comes out of the vehicle, and nothing says where this cable parts. Give it a plug, coded and held, "+
			"and a place where it parks.", b.Name(unit))
		return f, true
	})
}

// sameUnit tells whether what feeds a line comes out with it.
func (b *Board) sameUnit(line *Wire, unit string) bool {
	k := b.Index(line.fromItem)
	return k >= 0 && (b.Items[k].ID == unit || b.Items[k].In != nil && b.Items[k].In.Module == unit)
}

// plugsMixed stops plugs of one kind that are not coded and carry different things.
func plugsMixed(b *Board) []fitout.Finding {
	kinds := map[string][]*Wire{}
	var order []string
	for i := range b.Lines {
		line := &b.Lines[i]
		if kind := strings.ToLower(strings.TrimSpace(line.given.Plug)); kind != "" && !line.given.Coded {
			if kinds[kind] == nil {
				order = append(order, kind)
			}
			kinds[kind] = append(kinds[kind], line)
		}
	}
	var found []fitout.Finding
	for _, kind := range order {
		of := kinds[kind]
		if len(of) < 2 {
			continue
		}
		f := b.about("plugs-mixed", fitout.Caution, of[0])
		var names []string
		for _, line := range of {
			names = append(names, words.Lower(line.Name))
		}
		f.Title = "Plugs that can be mixed up"
		f.Sentence = fmt.Sprintf("%s have the same kind of plug, and none of them is coded: one day they will be mixed up. Code them, or "+
			"use another kind for each current and voltage.", words.Capital(words.List(names)))
		measured(&f, float64(len(of)), 1, 1-float64(len(of)), "")
		found = append(found, f)
	}
	return found
}

// plugLoose cautions about a plug of what slides or lifts out that nothing holds.
func plugLoose(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("plug-loose", fitout.Caution, line)
		f.Title = line.Name + ": nothing holds its plug"
		f.Sentence = fmt.Sprintf("It carries %s, and corrugations shake it out; a plug that sits badly gets hot. Choose one that is held.",
			b.Say.Amps(line.Amps))
		return f, line.given.Plug != "" && !line.given.Latched && line.Amps >= 5
	})
}

// panels calls for every panel with what starts from it.
func (b *Board) panels(say func(p *fitout.SwitchPanel, of *Wire, fed []*Wire) (fitout.Finding, bool)) []fitout.Finding {
	var found []fitout.Finding
	for i := range b.Lines {
		line := &b.Lines[i]
		if line.Kind != PanelLine {
			continue
		}
		var fed []*Wire
		for k := range b.Lines {
			if b.Lines[k].From == line.Of {
				fed = append(fed, &b.Lines[k])
			}
		}
		if f, so := say(b.panel(line.Of), line, fed); so {
			found = append(found, f)
		}
	}
	return found
}

// panelWays cautions about more circuits than a panel has ways.
func panelWays(b *Board) []fitout.Finding {
	return b.panels(func(p *fitout.SwitchPanel, of *Wire, fed []*Wire) (fitout.Finding, bool) {
		f := b.about("panel-ways", fitout.Stop, of)
		f.Title = p.Name + " has too few ways"
		f.Sentence = fmt.Sprintf("%d circuits start from it; it has %s. Put some on another panel, or choose a larger one, with two to "+
			"spare.", len(fed), b.Say.Plain(p.Ways))
		measured(&f, float64(len(fed)), p.Ways, p.Ways-float64(len(fed)), "")
		return f, p.Ways > 0 && float64(len(fed)) > p.Ways
	})
}

// panelAmps cautions about circuits that together take more than a panel carries.
func panelAmps(b *Board) []fitout.Finding {
	return b.panels(func(p *fitout.SwitchPanel, of *Wire, fed []*Wire) (fitout.Finding, bool) {
		amps := 0.0
		for _, line := range fed {
			amps += line.Amps
		}
		f := b.about("panel-amps", fitout.Caution, of)
		f.Title = p.Name + " carries less than hangs on it"
		f.Sentence = fmt.Sprintf("Its circuits take %s when all run; it carries %s. Run them one after another, or put what is heavy "+
			"straight on the battery.", b.Say.Amps(amps), b.Say.Amps(p.Amps))
		measured(&f, amps, p.Amps, p.Amps-amps, "A")
		return f, p.Amps > 0 && amps > p.Amps*1.000001
	})
}

// cutoutsClash stops holes of a panel that lie over each other or beyond its edge.
func cutoutsClash(b *Board) []fitout.Finding {
	return b.panels(func(p *fitout.SwitchPanel, of *Wire, _ []*Wire) (fitout.Finding, bool) {
		f := b.about("cutouts-clash", fitout.Stop, of)
		f.Title = p.Name + ": its holes do not fit"
		for i := range p.Cutouts {
			a := &p.Cutouts[i]
			if p.Width > 0 && (a.X+a.Width > p.Width || a.Y+a.Height > p.Height) {
				f.Sentence = fmt.Sprintf("The hole of %s lies beyond the edge of the plate, %s by %s. Move it, or take a larger plate.",
					words.Lower(a.Name), b.Say.Length(p.Width), b.Say.Length(p.Height))
				return f, true
			}
			for k := range p.Cutouts[:i] {
				c := &p.Cutouts[k]
				if a.X < c.X+c.Width && c.X < a.X+a.Width && a.Y < c.Y+c.Height && c.Y < a.Y+a.Height {
					f.Sentence = fmt.Sprintf("The holes of %s and %s lie over each other. Move one of them.", words.Lower(c.Name),
						words.Lower(a.Name))
					return f, true
				}
			}
		}
		return f, false
	})
}

// cutoutsDeep stops what is deeper than there is room behind a plate.
func cutoutsDeep(b *Board) []fitout.Finding {
	return b.panels(func(p *fitout.SwitchPanel, of *Wire, _ []*Wire) (fitout.Finding, bool) {
		f := b.about("cutouts-deep", fitout.Stop, of)
		for i := range p.Cutouts {
			if c := &p.Cutouts[i]; p.Depth > 0 && c.Depth > p.Depth {
				f.Title = c.Name + " is too deep"
				f.Sentence = fmt.Sprintf("With its plug it is %s deep; behind %s there are %s. Put it elsewhere, or bring the plate forward "+
					"by %s.", b.Say.Length(c.Depth), words.Lower(p.Name), b.Say.Length(p.Depth), b.Say.Length(c.Depth-p.Depth))
				measured(&f, c.Depth, p.Depth, p.Depth-c.Depth, "mm")
				return f, true
			}
		}
		return f, false
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
			Sentence: "What stood at its end is gone. Take its wire out, and its fuse: a live end that hangs free is found by a tool.",
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
		if item := &b.Items[i]; item.ID == CablesItem || strings.Contains(strings.ToLower(item.Name), "cable") ||
			strings.Contains(strings.ToLower(item.Name), "wiring") {
			if item.Module == nil || item.Module.Kind == fitout.PlainGear {
				counted += item.Mass
			}
		}
	}
	if mass < uncountedFrom || counted >= mass*0.8 {
		return nil
	}
	f := fitout.Finding{Rule: "cables-uncounted", Severity: fitout.Note, Subject: fitout.Subject{Kind: "power"},
		Source: "material", Waivable: true, Title: "The cables are not counted",
		Sentence: fmt.Sprintf("By their copper and insulation they weigh %s; things of the ledger count %s of it. Count them where they "+
			"run.", b.Say.Mass(mass), b.Say.Mass(counted)),
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
		f.Sentence = fmt.Sprintf("%s through painted joints and hinges get hot and rust them; a canopy that comes off takes its return with "+
			"it. Lay a second conductor of %s.", b.Say.Amps(line.Amps), b.Say.Copper(line.Area))
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
		f.Sentence = fmt.Sprintf("Tested under load it lost %s; its cable explains %s. A joint, a fuse holder or a switch takes the rest "+
			"and gets hot: find it with the load on.", b.Say.Volts(line.given.Tested), b.Say.Volts(should))
		measured(&f, line.given.Tested, should*1.25+0.1, should*1.25+0.1-line.given.Tested, "V")
		return f, line.given.Tested > should*1.25+0.1
	})
}
