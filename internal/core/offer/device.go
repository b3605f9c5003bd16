package offer

import (
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/power"
)

// usable is what can be taken out of the battery of a system, Wh.
func usable(s *fitout.PowerSystem) float64 {
	return power.Capacity(&s.Battery) * s.Voltage * power.Usable(&s.Battery)
}

// feedsAsMuch tells whether a battery of the catalogue gives at least what one that is aboard gives. Where the electrics do
// not say what an item is, or the catalogue does not, nobody knows, and it is not offered.
func (s sheet) feedsAsMuch(old *fitout.Item, with *fitout.Component) bool {
	if !module.TraitsOf(old.Module.Kind).Stores {
		return true
	}
	systems := s.Variant.Electrics.Systems
	k := slices.IndexFunc(systems, func(p fitout.PowerSystem) bool { return p.Item == old.ID })
	return k >= 0 && with.Device != nil && with.Device.System != nil &&
		with.Device.System.Voltage == systems[k].Voltage &&
		usable(with.Device.System) >= usable(&systems[k])*0.999
}

// doesAsMuch tells whether a part of the catalogue is electrically all that an old one is by the electrics, and no weaker. A
// board of which they say nothing may be anything.
func (s sheet) doesAsMuch(old *fitout.Item, with *fitout.Device) bool {
	if with == nil {
		with = &fitout.Device{}
	}
	e, known, does := &s.Variant.Electrics, false, true
	is := func(item string, asMuch bool) {
		if item == old.ID {
			known, does = true, does && asMuch
		}
	}
	for k := range e.Systems {
		is(e.Systems[k].Item, with.System != nil)
	}
	for k := range e.Chargers {
		is(e.Chargers[k].Item, with.Charger != nil && with.Charger.Amps >= e.Chargers[k].Amps)
	}
	for k := range e.Inverters {
		is(e.Inverters[k].Item, with.Inverter != nil && with.Inverter.Watts >= e.Inverters[k].Watts)
	}
	for k := range e.Loads {
		is(e.Loads[k].Item, with.Load != nil)
	}
	for k := range e.Panels {
		is(e.Panels[k].Item, with.Panel != nil)
	}
	return does && (known || old.Module.Kind != fitout.Board)
}
