package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// bySetting is what belongs to every change of what a charger is set to.
const bySetting = "Only where the charger can be set so, by its own manual."

// chargerFor sets a charger for a chemistry.
var chargerFor = charger(func(c *fitout.Charger, edit *fitout.FixEdit) bool {
	c.For = edit.With
	return true
})

// chargerLower sets a charger to less current, A.
var chargerLower = charger(func(c *fitout.Charger, edit *fitout.FixEdit) bool {
	lower := edit.Value > 0 && edit.Value < c.Amps
	if lower {
		c.Amps = edit.Value
	}
	return lower
})

// charger makes an edit of one charger.
func charger(change func(*fitout.Charger, *fitout.FixEdit) bool) Kind {
	return Kind{Caution: bySetting, Apply: electrics(func(e *fitout.Electrics, edit *fitout.FixEdit) bool {
		k := slices.IndexFunc(e.Chargers, func(c fitout.Charger) bool { return c.ID == edit.ID })
		return k >= 0 && change(&e.Chargers[k], edit)
	}).Apply}
}

// switchInReach puts a switch in reach for an inverter or a load that draws while it waits.
var switchInReach = electrics(func(e *fitout.Electrics, edit *fitout.FixEdit) bool {
	for k := range e.Inverters {
		if i := &e.Inverters[k]; i.ID == edit.ID {
			i.Remote = true
			return true
		}
	}
	for k := range e.Loads {
		if l := &e.Loads[k]; l.ID == edit.ID {
			l.StandbyOff = true
			return true
		}
	}
	return false
})

// neverDrop lets no battery drop a load by itself.
var neverDrop = electrics(func(e *fitout.Electrics, edit *fitout.FixEdit) bool {
	k := slices.IndexFunc(e.Loads, func(l fitout.PowerLoad) bool { return l.ID == edit.ID })
	if k >= 0 {
		e.Loads[k].Shed = 0
	}
	return k >= 0
})

// onWithLoads lets an inverter be on only with its loads.
var onWithLoads = electrics(func(e *fitout.Electrics, edit *fitout.FixEdit) bool {
	k := slices.IndexFunc(e.Inverters, func(i fitout.Inverter) bool { return i.ID == edit.ID })
	if k >= 0 {
		e.Inverters[k].Always = false
	}
	return k >= 0
})
