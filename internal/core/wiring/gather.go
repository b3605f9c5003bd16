package wiring

import (
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/power"
)

// heavy is the current from which a line starts at the battery and not at a panel, A.
const heavy = 40

// gather finds every line that there has to be.
func (b *Board) gather() {
	for i := range b.E.Systems {
		s := &b.E.Systems[i]
		if b.Setup.Systems[i].Aboard() {
			for k := range b.E.Panels {
				if p := &b.E.Panels[k]; p.System == s.ID {
					b.add(s, Wire{Of: p.ID, Kind: PanelLine, Name: p.Name, DropMost: steady, item: p.Item})
				}
			}
			b.loads(i, s)
			b.inverters(s)
			b.chargers(s)
		}
	}
	b.links()
}

// What a circuit may lose of its nominal voltage: charging, cooling and electronics; lights,
// pumps and the rest.
const (
	steady = 0.03
	easy   = 0.10
)

func (b *Board) loads(system int, s *fitout.PowerSystem) {
	for k := range b.E.Loads {
		d := &b.E.Loads[k]
		if d.System != s.ID || d.Inverter != "" || d.Port != "" || !b.Setup.There(d.Item) {
			continue
		}
		watts := d.Watts
		if watts == 0 && d.Heat != nil {
			watts = 3 * d.Heat.Mean // while it runs: about a third of the time
		}
		line := Wire{Of: d.ID, Kind: LoadLine, Name: d.Name, DropMost: easy, item: d.Item, Others: d.Others,
			Amps: watts * d.Count / power.WorkingVoltage(s, power.LowLoad)}
		if d.Electronic || d.Use == fitout.UseHeat {
			line.DropMost = steady
		}
		b.add(s, line)
	}
}

func (b *Board) inverters(s *fitout.PowerSystem) {
	for k := range b.E.Inverters {
		d := &b.E.Inverters[k]
		if d.System != s.ID || s.Kind == fitout.StationSystem || !b.Setup.There(d.Item) {
			continue
		}
		b.add(s, Wire{Of: d.ID, Kind: InverterLine, Name: d.Name, DropMost: steady, item: d.Item,
			Amps: power.InverterInput(d.Watts, d.Standby, power.WorkingVoltage(s, power.LowInverter), d.Efficiency)})
	}
}

// chargers are those that charge a system, what feeds them, and sources that need none.
func (b *Board) chargers(s *fitout.PowerSystem) {
	for k := range b.E.Chargers {
		d := &b.E.Chargers[k]
		if d.System != s.ID || !b.Setup.There(d.Item) {
			continue
		}
		if d.Port == "" {
			b.add(s, Wire{Of: d.ID, Kind: ChargerLine, Name: d.Name, DropMost: steady, item: d.Item, Amps: d.Amps})
		}
		if from := b.systemOf(d.From); from != nil {
			b.add(from, Wire{Of: d.ID + "-in", Kind: InputLine, Name: d.Name + ", input", DropMost: steady, item: d.Item,
				Amps: power.ChargerInput(d.Amps, power.Charging(s), power.WorkingVoltage(from, power.LowCharger), d.Efficiency)})
		}
	}
	for k := range b.E.Sources {
		d := &b.E.Sources[k]
		if !b.Setup.There(d.Item) || d.Kind == fitout.Mains || d.Kind == fitout.Generator {
			continue
		}
		through := slices.IndexFunc(b.E.Chargers, func(c fitout.Charger) bool { return c.ID == d.Charger })
		switch {
		case through >= 0 && b.E.Chargers[through].System == s.ID && d.Kind == fitout.Solar:
			line := Wire{Of: d.ID, Kind: SourceLine, Name: d.Name, DropMost: steady, item: d.Item,
				fromItem: b.E.Chargers[through].Item, Amps: d.Watts / panelVolts(d)}
			line.From, line.FromName, line.System = d.Charger, b.E.Chargers[through].Name, s.ID
			b.Lines = append(b.Lines, line)
		case through < 0 && d.System == s.ID && (s.Kind == fitout.HouseSystem || s.Kind == fitout.TrailerSystem):
			amps := d.Amps
			if amps == 0 {
				amps = d.Watts / power.Charging(s)
			}
			b.add(s, Wire{Of: d.ID, Kind: SourceLine, Name: d.Name, DropMost: steady, item: d.Item, Amps: amps})
		}
	}
}

// panelVolts is the voltage at which a panel works, V: 0.82 of its open voltage, 18 V where
// nobody says it.
func panelVolts(d *fitout.PowerSource) float64 {
	if d.Open > 0 {
		return 0.82 * d.Open
	}
	return 18
}

// usualLink is what a link between two systems carries where its rating is not said, A.
const usualLink = 100

func (b *Board) links() {
	for k := range b.E.Links {
		d := &b.E.Links[k]
		from, to := b.systemOf(d.From), b.systemOf(d.To)
		if from == nil || to == nil || !b.Setup.There(d.Item) {
			continue
		}
		line := Wire{Of: d.ID, Kind: LinkLine, Name: d.Name, DropMost: steady, item: to.Item, Far: true, Amps: d.Amps}
		if d.Amps == 0 {
			line.Amps = usualLink
		}
		b.add(from, line)
	}
}

// add gives a line to a system, from what feeds it.
func (b *Board) add(s *fitout.PowerSystem, line Wire) {
	line.System, line.From, line.FromName, line.fromItem = s.ID, s.ID, s.Name, s.Item
	if given := b.given(line.Of); given != nil && given.From != "" && given.From != line.Of {
		if p := b.panel(given.From); p != nil && p.System == s.ID {
			line.From, line.FromName, line.fromItem = p.ID, p.Name, p.Item
		}
	} else if line.Kind == LoadLine && line.Amps <= heavy {
		if p := b.nearest(s.ID, line.item); p != nil {
			line.From, line.FromName, line.fromItem = p.ID, p.Name, p.Item
		}
	}
	b.Lines = append(b.Lines, line)
}

// nearest is the panel of a system that is nearest to an item, or the first, or nil.
func (b *Board) nearest(system, item string) *fitout.SwitchPanel {
	var best *fitout.SwitchPanel
	shortest := math.Inf(1)
	for i := range b.E.Panels {
		p := &b.E.Panels[i]
		if p.System != system {
			continue
		}
		mm, known := b.along(p.Item, item)
		if !known {
			mm = 1e9
		}
		if mm < shortest {
			best, shortest = p, mm
		}
	}
	return best
}
