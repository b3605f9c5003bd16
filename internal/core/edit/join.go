package edit

import (
	"slices"
	"strings"

	"zaino/internal/core/fitout"
)

// What a device of the catalogue names where it leaves open which: the battery that starts
// the engine, and the inverter of its system.
const (
	fromStart = "start"
	byMains   = "mains"
)

// Join adds a device to electrics as what an item is, joined to a system: the one that is
// named, else the first house, else the first of any.
func Join(e *fitout.Electrics, d *fitout.Device, item, name, system string) {
	taken := func(id string) bool { _, known := e.NameOf(id); return known }
	if system == "" {
		system = mainSystem(e)
	}
	fresh := func(tail string) string { return freshID(strings.TrimSuffix(item+tail, "-"), taken) }
	if d.System != nil {
		s := *d.System
		s.ID, s.Item, s.Name = fresh(""), item, name
		s.Ports = slices.Clone(s.Ports)
		e.Systems = append(e.Systems, s)
		system = s.ID
	}
	if d.Charger != nil {
		c := *d.Charger
		c.ID, c.Item, c.Name, c.System = fresh(""), item, name, system
		driven := c.From == fromStart
		if driven {
			c.From = ""
			if start := slices.IndexFunc(e.Systems, func(s fitout.PowerSystem) bool {
				return s.Kind == fitout.StartSystem
			}); start >= 0 {
				c.From = e.Systems[start].ID
			}
		}
		e.Chargers = append(e.Chargers, c)
		if driven && c.From == "" {
			e.Sources = append(e.Sources, fitout.PowerSource{ID: fresh("-alternator"), Name: "Alternator by " + name,
				Kind: fitout.Alternator, Charger: c.ID, Amps: c.Amps, Mount: fitout.FlatPanel, Shades: []fitout.Shade{},
				Spans: []fitout.Span{}})
		}
	}
	if d.Source != nil {
		s := *d.Source
		s.ID, s.Item, s.Name, s.System = fresh(""), item, name, system
		s.Shades, s.Spans = slices.Clone(s.Shades), slices.Clone(s.Spans)
		if d.Charger != nil {
			s.ID, s.System, s.Charger, s.Name = fresh("-source"), "", e.Chargers[len(e.Chargers)-1].ID, d.Source.Name
		} else if s.Kind == fitout.Solar {
			if k := controllerOf(e, system); k >= 0 {
				s.System, s.Charger = "", e.Chargers[k].ID
			}
		}
		e.Sources = append(e.Sources, s)
	}
	if d.Inverter != nil {
		i := *d.Inverter
		i.ID, i.Item, i.System = fresh("-inverter"), item, system
		if d.System == nil && d.Panel == nil {
			i.Name = name
		}
		e.Inverters = append(e.Inverters, i)
	}
	if d.Load != nil {
		e.Loads = append(e.Loads, joinedLoad(e, *d.Load, fresh(""), item, name, system))
	}
	if d.Link != nil {
		l := *d.Link
		l.ID, l.Item, l.Name = fresh(""), item, name
		if start := slices.IndexFunc(e.Systems, func(s fitout.PowerSystem) bool {
			return s.Kind == fitout.StartSystem
		}); start >= 0 {
			l.From = e.Systems[start].ID
		}
		l.To = system
		e.Links = append(e.Links, l)
	}
	if d.Panel != nil {
		p := *d.Panel
		p.ID, p.Item, p.Name, p.System = fresh("-panel"), item, name, system
		p.Cutouts = slices.Clone(p.Cutouts)
		e.Panels = append(e.Panels, p)
	}
	feed(e)
}

// feed hangs the loads that waited for something to run on what there is now.
func feed(e *fitout.Electrics) {
	for i := range e.Loads {
		switch l := &e.Loads[i]; {
		case l.Inverter == byMains:
			*l = joinedLoad(e, *l, l.ID, l.Item, l.Name, mainSystem(e))
		case l.System == "" && l.Inverter == "":
			l.System = mainSystem(e)
		}
	}
}

// mainSystem is the id of the first house, else of the first system that starts no engine,
// else of the first; empty for none.
func mainSystem(e *fitout.Electrics) string {
	for _, wanted := range [][]fitout.SystemKind{{fitout.HouseSystem}, {fitout.StationSystem, fitout.TrailerSystem}} {
		for i := range e.Systems {
			if slices.Contains(wanted, e.Systems[i].Kind) {
				return e.Systems[i].ID
			}
		}
	}
	if len(e.Systems) > 0 {
		return e.Systems[0].ID
	}
	return ""
}

// controllerOf is a charger of a system that takes panels, or −1.
func controllerOf(e *fitout.Electrics, system string) int {
	return slices.IndexFunc(e.Chargers, func(c fitout.Charger) bool { return c.System == system && c.Volts > 0 })
}

// joinedLoad is a load joined to a system, or to the first inverter where it wants mains.
func joinedLoad(e *fitout.Electrics, l fitout.PowerLoad, id, item, name, system string) fitout.PowerLoad {
	l.ID, l.Item, l.Name = id, item, name
	l.Spans = slices.Clone(l.Spans)
	if l.Inverter != byMains {
		l.System = system
		return l
	}
	l.Inverter = ""
	own := slices.IndexFunc(e.Inverters, func(i fitout.Inverter) bool { return i.System == system })
	switch {
	case own >= 0:
		l.Inverter = e.Inverters[own].ID
	case len(e.Inverters) > 0:
		l.Inverter = e.Inverters[0].ID
	default:
		l.Inverter = byMains // it waits for one; the rules say so
	}
	return l
}
