package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// hangOn hangs a load, a charger or a source on a system by its id, or a source on a charger.
var hangOn = electrics(func(e *fitout.Electrics, edit *fitout.FixEdit) bool {
	system := slices.ContainsFunc(e.Systems, func(s fitout.PowerSystem) bool { return s.ID == edit.With })
	charger := slices.ContainsFunc(e.Chargers, func(c fitout.Charger) bool { return c.ID == edit.With })
	for k := range e.Loads {
		if l := &e.Loads[k]; l.ID == edit.ID && system {
			l.System, l.Inverter, l.Port = edit.With, "", ""
			return true
		}
	}
	for k := range e.Chargers {
		if c := &e.Chargers[k]; c.ID == edit.ID && system {
			c.System, c.Port = edit.With, ""
			return true
		}
	}
	for k := range e.Sources {
		if s := &e.Sources[k]; s.ID == edit.ID && (system || charger) {
			s.System, s.Charger = "", edit.With
			if system {
				s.System, s.Charger = edit.With, ""
			}
			return true
		}
	}
	return false
})

// isolator puts an isolator beside a battery.
var isolator = electrics(func(e *fitout.Electrics, edit *fitout.FixEdit) bool {
	k := slices.IndexFunc(e.Systems, func(s fitout.PowerSystem) bool { return s.ID == edit.ID })
	if k >= 0 {
		e.Systems[k].Isolator = true
	}
	return k >= 0
})
