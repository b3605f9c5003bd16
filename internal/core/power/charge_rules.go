package power

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// chargersInRing stops systems that charge each other in a ring: energy that goes round
// only warms the chargers.
func chargersInRing(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for _, id := range l.Setup.Rings {
		k := slices.IndexFunc(l.E.Chargers, func(c fitout.Charger) bool { return c.ID == id })
		c := &l.E.Chargers[k]
		f := l.about("charger-ring", fitout.Stop, id, c.Item)
		f.Title = c.Name + " charges what feeds it"
		f.Sentence = fmt.Sprintf("It takes from %s and charges %s, which charges it in turn: what goes round is only lost. "+
			"It is "+
			"left out of the figures. Take it out, or let it come from somewhere else.", l.systemName(c.From),
			l.systemName(c.System))
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
	tell := func(id, name, item, system string, fixes []fitout.Fix) {
		f := l.about("charges-nothing", fitout.Stop, id, item)
		f.Title = name + " charges nothing"
		f.Sentence = "No battery is named that it charges, or the one that is named is gone. Name one, or take it out."
		if system != "" && l.systemName(system) != "nothing" {
			f.Severity = fitout.Note
			f.Sentence = fmt.Sprintf("It charges %s, which does not come along in the state shown.", l.systemName(system))
		}
		f.Margin, f.Source, f.Fixes = -1, "physics", fixes
		found = append(found, f)
	}
	for k := range l.Setup.chargers {
		c := &l.Setup.chargers[k]
		if c.to >= 0 || !l.Setup.there(c.def.Item) {
			continue
		}
		var fixes []fitout.Fix
		if house := l.house(); house != nil && house.ID != c.def.From &&
			(c.def.For == "any" || c.def.For == string(house.Battery.Chemistry)) {
			fixes = []fitout.Fix{feedFrom(c.def.Name, c.def.ID, house.Name, house.ID)}
		}
		tell(c.def.ID, c.def.Name, c.def.Item, c.def.System, fixes)
	}
	for k := range l.Setup.sources {
		s := &l.Setup.sources[k]
		if s.system < 0 && l.Setup.there(s.def.Item) && s.charger < 0 {
			tell(s.def.ID, s.def.Name, s.def.Item, s.def.System, l.throughCharger(s.def))
		}
	}
	return found
}

// throughCharger offers to put panels through a charger that takes from its own sources and bears them, and an alternator
// onto the battery that starts the engine.
func (l *Look) throughCharger(s *fitout.PowerSource) []fitout.Fix {
	for i := range l.E.Systems {
		if start := &l.E.Systems[i]; s.Kind == fitout.Alternator && l.Setup.starts(i) {
			return []fitout.Fix{feedFrom(s.Name, s.ID, start.Name, start.ID)}
		}
	}
	if s.Kind != fitout.Solar {
		return nil
	}
	for k := range l.Setup.chargers {
		if c := &l.Setup.chargers[k]; c.usable && c.from < 0 && c.def.Volts > 0 && s.Open*1.2 < c.def.Volts {
			return []fitout.Fix{feedFrom(s.Name, s.ID, c.def.Name, c.def.ID)}
		}
	}
	return nil
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
		f.Sentence = fmt.Sprintf("At %s its open string has %s; %s bears %s and is destroyed by more. Put the panels side "+
			"by side "+
			"instead of one after another, or choose a controller for %s.", l.Say.Temperature(coldest), l.Say.Volts(volts),
			words.Lower(by), l.Say.Volts(most), l.Say.Volts(math.Ceil(volts)))
		f.Over(volts, most, "V")
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
		f.Sentence = fmt.Sprintf("%s %s to %s on it; it bears %s. Use another one for some of them, or one after another.",
			words.Capital(names(s.by)), does(s.by, "comes", "come"), l.Say.Watts(s.watts), l.Say.Watts(most))
		f.Over(s.watts, most, "W")
		f.Source, f.Waivable = "data sheet", false
		found = append(found, f)
	}
	return found
}

// panelUncontrolled stops a panel that charges a battery with nothing between them.
func panelUncontrolled(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.Setup.sources {
		s := &l.Setup.sources[k]
		if s.def.Kind != fitout.Solar || !s.usable || s.charger >= 0 || s.def.Watts <= trickle ||
			l.E.Systems[s.system].Kind == fitout.StationSystem {
			continue
		}
		f := l.about("panel-uncontrolled", fitout.Stop, s.def.ID, s.def.Item)
		f.Title = s.def.Name + " has no controller"
		f.Sentence = fmt.Sprintf("It leads straight to %s and overcharges it on the first clear day. Put a solar controller of at "+
			"least %s between them.", words.Lower(l.E.Systems[s.system].Name),
			l.Say.Amps(math.Ceil(s.def.Watts/l.Setup.Systems[s.system].Charging)))
		f.Margin = -1
		found = append(found, f)
	}
	return found
}

// trickle is up to which watts a panel needs no controller, W. Practice.
const trickle = 10

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
		f.Sentence = fmt.Sprintf("%s beside it, up to %s higher, so that a sun lower than 30° leaves it in shade; one "+
			"shaded corner takes much of a panel. Put it higher, or elsewhere, or say at which hours how much is shaded: the "+
			"figures count it in full sun.", words.Capital(names(by))+" "+does(by, "stands", "stand"), l.Say.LengthAtLeast(worst))
		f.Value, f.Unit = worst, "mm"
		f.Margin = -worst
		found = append(found, f)
	}
	return found
}
