package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// rewire gives what an item is electrically the figures of what takes its place. What it hangs on, when it runs and what
// it is called stay: another fridge is wired and used as the old one was.
func rewire(e *fitout.Electrics, item string, with *fitout.Device) {
	if k := slices.IndexFunc(e.Systems, func(s fitout.PowerSystem) bool { return s.Item == item }); k >= 0 &&
		with.System != nil {
		putBattery(&e.Systems[k], with.System)
	}
	if k := slices.IndexFunc(e.Chargers, func(c fitout.Charger) bool { return c.Item == item }); k >= 0 &&
		with.Charger != nil {
		own, c := &e.Chargers[k], with.Charger
		own.Amps, own.Efficiency, own.For, own.Volts, own.Always = c.Amps, c.Efficiency, c.For, c.Volts, c.Always
	}
	if k := slices.IndexFunc(e.Sources, func(s fitout.PowerSource) bool { return s.Item == item }); k >= 0 &&
		with.Source != nil {
		own, s := &e.Sources[k], with.Source
		own.Amps, own.Watts, own.Open, own.Fuel = s.Amps, s.Watts, s.Open, s.Fuel
	}
	if k := slices.IndexFunc(e.Inverters, func(i fitout.Inverter) bool { return i.Item == item }); k >= 0 &&
		with.Inverter != nil {
		putInverter(&e.Inverters[k], with.Inverter)
	}
	if k := slices.IndexFunc(e.Loads, func(l fitout.PowerLoad) bool { return l.Item == item }); k >= 0 &&
		with.Load != nil {
		own, l := &e.Loads[k], with.Load
		own.Watts, own.Surge, own.Standby, own.Least, own.Electronic, own.Noise = l.Watts, l.Surge, l.Standby, l.Least,
			l.Electronic, l.Noise
		if own.Heat != nil && l.Heat != nil {
			inner := own.Heat.Inner
			heat := *l.Heat
			heat.Inner = inner // it is kept as cold as before
			own.Heat = &heat
		}
	}
}

// putBattery puts a battery in the place of that of a system; what hangs on it, its reserve, meter and isolator stay, and
// so does what warms and vents it.
func putBattery(s *fitout.PowerSystem, with *fitout.PowerSystem) {
	warmer, vented := s.Battery.Warmer, s.Battery.Vented
	s.Battery, s.Voltage = with.Battery, with.Voltage
	s.Battery.Warmer, s.Battery.Vented = warmer, vented
	if with.Kind == fitout.StationSystem {
		s.Ports = slices.Clone(with.Ports)
	}
}

// putInverter puts an inverter in the place of one; what runs on it stays on it.
func putInverter(i, with *fitout.Inverter) {
	i.Watts, i.Surge, i.Standby, i.Efficiency = with.Watts, with.Surge, with.Standby, with.Efficiency
}
