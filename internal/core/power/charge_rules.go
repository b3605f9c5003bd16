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
	if l.spared() {
		severity = fitout.Caution
	}
	if asked+own <= makes {
		makes, when, severity = rated*hotIdling, "idling", fitout.Caution
	}
	if asked+own <= makes {
		return nil
	}
	def := &l.E.Sources[vehicle]
	f := l.about("alternator-asked", severity, def.ID, def.Item)
	f.Title = "The alternator is asked for too much"
	f.Sentence = words.Sentences(
		fmt.Sprintf("%s take %s from it, the vehicle itself %s: %s together.", words.Capital(names(chargers)), l.Say.Amps(asked),
			l.Say.Amps(own), l.Say.Amps(asked+own)),
		fmt.Sprintf("Hot and %s it makes %s of its %s. What is missing comes out of the starting battery, and the alternator "+
			"ages.", when, l.Say.Amps(makes), l.Say.Amps(rated)),
		fmt.Sprintf("Set the chargers %s lower together, or let one of them work only at speed.", l.Say.Amps(asked+own-makes)))
	over(&f, asked+own, makes, "A")
	return []fitout.Finding{f}
}

// spared tells whether a logic takes a charger off before the starting battery suffers.
func (l *Look) spared() bool {
	for i := range l.E.Outputs {
		o := &l.E.Outputs[i]
		k := slices.IndexFunc(l.Setup.chargers, func(c charger) bool { return c.def.ID == o.Of && c.from >= 0 && l.Setup.starts(c.from) })
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
		driven := c.from >= 0 && l.Setup.starts(c.from)
		for _, n := range c.sources {
			driven = driven || l.E.Sources[n].Kind == fitout.Alternator && l.Setup.sources[n].usable
		}
		if c.usable && driven {
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
	f.Sentence = fmt.Sprintf("%s take %s from it while the engine runs. Enter the battery that starts the engine and the "+
		"alternator's rating, so that it can be held against that.", words.Capital(names(by)), l.Say.Amps(asked))
	f.Value, f.Unit = asked, "A"
	return []fitout.Finding{f}
}

// chargersInRing stops systems that charge each other in a ring: energy that goes round
// only warms the chargers.
func chargersInRing(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for _, id := range l.Setup.Rings {
		k := slices.IndexFunc(l.E.Chargers, func(c fitout.Charger) bool { return c.ID == id })
		c := &l.E.Chargers[k]
		f := l.about("charger-ring", fitout.Stop, id, c.Item)
		f.Title = c.Name + " charges what feeds it"
		f.Sentence = fmt.Sprintf("It takes from %s and charges %s, which charges it in turn: what goes round is only lost. It is "+
			"left out of the figures. Take it out, or let it come from somewhere else.", l.systemName(c.From), l.systemName(c.System))
		f.Margin, f.Waivable = -1, false
		f.Source = "physics"
		found = append(found, f)
	}
	return found
}

// systemName is what a system is called within a sentence.
func (l *Look) systemName(id string) string {
	for i := range l.E.Systems {
		if l.E.Systems[i].ID == id {
			return words.Lower(l.E.Systems[i].Name)
		}
	}
	return "nothing"
}

// chargesNothing stops chargers and sources that lead nowhere: to a system that is gone.
func chargesNothing(l *Look) []fitout.Finding {
	var found []fitout.Finding
	tell := func(id, name, item, system string) {
		f := l.about("charges-nothing", fitout.Stop, id, item)
		f.Title = name + " charges nothing"
		f.Sentence = "No battery is named that it charges, or the one that is named is gone. Name one, or take it out."
		if system != "" && l.systemName(system) != "nothing" {
			f.Severity = fitout.Note
			f.Sentence = fmt.Sprintf("It charges %s, which does not come along in the state shown.", l.systemName(system))
		}
		f.Margin, f.Source = -1, "physics"
		found = append(found, f)
	}
	for k := range l.Setup.chargers {
		if c := &l.Setup.chargers[k]; c.to < 0 && l.Setup.there(c.def.Item) {
			tell(c.def.ID, c.def.Name, c.def.Item, c.def.System)
		}
	}
	for k := range l.Setup.sources {
		s := &l.Setup.sources[k]
		if s.system < 0 && l.Setup.there(s.def.Item) && s.charger < 0 {
			tell(s.def.ID, s.def.Name, s.def.Item, s.def.System)
		}
	}
	return found
}

// coldStrings stops panels whose voltage in the cold is more than their controller bears.
func coldStrings(l *Look) []fitout.Finding {
	var found []fitout.Finding
	coldest := min(l.Setup.Low, l.Job.Brief.Trip.Coldest)
	for k := range l.Setup.sources {
		s := &l.Setup.sources[k]
		if s.def.Kind != fitout.Solar || s.def.Open <= 0 || !s.usable {
			continue
		}
		most, by := 0.0, ""
		if s.charger >= 0 && l.E.Chargers[s.charger].Volts > 0 {
			most, by = l.E.Chargers[s.charger].Volts, l.E.Chargers[s.charger].Name
			if port := l.port(l.Setup.chargers[s.charger].to, l.E.Chargers[s.charger].Port); port != nil && port.Volts > 0 {
				most, by = min(most, port.Volts), port.Name
			}
		}
		volts := coldString(s.def.Open, coldest)
		if most == 0 || volts <= most {
			continue
		}
		f := l.about("string-cold", fitout.Stop, s.def.ID, s.def.Item)
		f.Title = s.def.Name + " gives too high a voltage in the cold"
		f.Sentence = fmt.Sprintf("At %s its open string has %s; %s bears %s and is destroyed by more. Put the panels side by side "+
			"instead of one after another, or choose a controller for %s.", l.Say.Temperature(coldest), l.Say.Volts(volts),
			words.Lower(by), l.Say.Volts(most), l.Say.Volts(math.Ceil(volts)))
		over(&f, volts, most, "V")
		f.Source, f.Waivable = "data sheet", false
		found = append(found, f)
	}
	return found
}

// port is an input or socket of a system, or nil.
func (l *Look) port(system int, id string) *fitout.Port {
	if system < 0 || id == "" {
		return nil
	}
	ports := l.E.Systems[system].Ports
	if k := slices.IndexFunc(ports, func(p fitout.Port) bool { return p.ID == id }); k >= 0 {
		return &ports[k]
	}
	return nil
}

// portsOver stops what an input or a socket of a power station does not bear.
func portsOver(l *Look) []fitout.Finding {
	type sum struct {
		port   *fitout.Port
		system int
		watts  float64
		by     []string
	}
	sums := map[string]*sum{}
	var order []string
	add := func(system int, id, name string, watts float64) {
		port := l.port(system, id)
		if port == nil {
			return
		}
		key := fmt.Sprint(system, "/", id)
		if sums[key] == nil {
			sums[key] = &sum{port: port, system: system}
			order = append(order, key)
		}
		sums[key].watts += watts
		sums[key].by = append(sums[key].by, name)
	}
	for k := range l.Setup.chargers {
		if c := &l.Setup.chargers[k]; c.usable {
			add(c.to, c.def.Port, c.def.Name, c.def.Amps*l.Setup.Systems[c.to].Charging)
		}
	}
	for k := range l.Setup.loads {
		if c := &l.Setup.loads[k]; c.usable {
			add(c.system, c.def.Port, c.def.Name, c.def.Watts*c.def.Count)
		}
	}
	var found []fitout.Finding
	for _, key := range order {
		s := sums[key]
		most := s.port.Watts
		if amps := s.port.Amps * l.Setup.Systems[s.system].Nominal; amps > 0 && (most == 0 || amps < most) {
			most = amps
		}
		if most == 0 || s.watts <= most*1.000001 {
			continue
		}
		def := &l.E.Systems[s.system]
		f := l.about("port-over", fitout.Stop, def.ID, def.Item)
		f.Subject.Measure = s.port.ID
		f.Title = fmt.Sprintf("%s of %s bears less", s.port.Name, words.Lower(def.Name))
		f.Sentence = fmt.Sprintf("%s come to %s on it; it bears %s. Use another one for some of them, or one after another.",
			words.Capital(names(s.by)), l.Say.Watts(s.watts), l.Say.Watts(most))
		over(&f, s.watts, most, "W")
		f.Source, f.Waivable = "data sheet", false
		found = append(found, f)
	}
	return found
}

// panelShaded cautions about a panel that something on the roof shades: what stands higher
// beside it, or lies over it.
func panelShaded(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.Setup.sources {
		s := &l.Setup.sources[k]
		i := l.Index(s.def.Item)
		if s.def.Kind != fitout.Solar || !s.usable || i < 0 || s.def.Loose || len(s.def.Shades) > 0 {
			continue
		}
		panel := l.Items[i].Box()
		if panel.To.X-panel.From.X < 1 || panel.To.Y-panel.From.Y < 1 {
			continue
		}
		var by []string
		var with []string
		worst := 0.0
		for n := range l.Items {
			other := &l.Items[n]
			if n == i || !l.Load.Items[n].Road || other.In != nil || other.Seat != "" || !other.Work.Now() {
				continue
			}
			box := other.Box()
			higher := box.To.Z - panel.To.Z
			away := math.Hypot(max(0, max(box.From.X-panel.To.X, panel.From.X-box.To.X)),
				max(0, max(box.From.Y-panel.To.Y, panel.From.Y-box.To.Y)))
			// A sun at 30° throws a shade 1.7 times as long as a thing is high.
			if higher > 20 && box.To.Z > panel.From.Z && away < 1.7*higher && box.To.X-box.From.X > 30 {
				by, with = append(by, other.Name), append(with, other.ID)
				worst = max(worst, higher)
			}
		}
		if len(by) == 0 {
			continue
		}
		f := l.about("panel-shaded", fitout.Caution, s.def.ID, s.def.Item)
		f.With = append(f.With, with...)
		f.Title = s.def.Name + " lies in shade"
		f.Sentence = fmt.Sprintf("%s up to %s above it beside it, so that a sun lower than 30° leaves it in shade; one shaded "+
			"corner takes much of a panel. Move it, or say at which hours how much is shaded: the figures count it in full sun.",
			words.Capital(names(by))+stand(by), l.Say.Length(worst))
		f.Value, f.Unit = worst, "mm"
		f.Margin = -worst
		found = append(found, f)
	}
	return found
}

func stand(names []string) string {
	if len(names) == 1 {
		return " stands"
	}
	return " stand"
}

// generatorExhaust stops a generator whose exhaust nobody leads away.
func generatorExhaust(l *Look) []fitout.Finding {
	return l.generators(func(def *fitout.PowerSource) (fitout.Finding, bool) {
		f := l.about("generator-exhaust", fitout.Stop, def.ID, def.Item)
		f.Title = def.Name + " has no exhaust outside"
		f.Sentence = "Its exhaust kills without a smell. It runs outside, downwind, its exhaust led away from every opening, " +
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
		f.Sentence = fmt.Sprintf("Over %d nights, at %s an hour. Carry it outside, in a can that is approved, and count its mass "+
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
	f.Sentence = fmt.Sprintf("%s and everything behind it belong to a licensed electrician under local rules: inlet, sockets, "+
		"earth.", name)
	if !bonded {
		f.Severity = fitout.Caution
		f.Sentence += " A residual-current device works behind an inverter only where its neutral is joined as its maker says; " +
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
		if s := &l.Setup.sources[k]; s.usable && (s.def.Kind == fitout.Mains || s.def.Kind == fitout.Generator) && s.charger < 0 {
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
	f.Sentence = fmt.Sprintf("%s and %s feed mains voltage, and nothing keeps them apart. A changeover that parts one before it "+
		"joins the other goes between them, by a licensed electrician; or let %[1]s feed a charger only.", def.Name, names(inverters))
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
		f.Sentence = "It is not said to part the one before it joins the other: for that moment both feed each other. Choose one " +
			"that breaks first, with a position between."
		f.Margin, f.Waivable = -1, false
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
		f.Sentence = fmt.Sprintf("%s both lead to it: one may push current back over the other, past its fuse. Leave one of them.",
			words.Capital(names(by)))
		over(&f, float64(len(by)), 1, "")
		return []fitout.Finding{f}
	})
}
