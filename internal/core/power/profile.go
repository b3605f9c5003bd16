package power

import (
	"zaino/internal/core/fitout"
)

// profile is what would run on any day, step by step, if nothing dropped and nothing were
// switched off.
type profile struct {
	cold    []float64   // temperature in the middle of the step, °C
	edges   []float64   // temperature at its beginning, and at the end of the day, °C
	loads   [][]float64 // what each load draws where it is fed, A of its system
	peaks   [][]float64 // the same while it runs, for what a battery must give at once
	standby [][]float64 // of each inverter, A of its system
	steady  []steady    // of each system
}

// steady is what runs on a system whenever it would: no logic switches it, no threshold
// drops it. What else there is is looked at step by step.
type steady struct {
	amps, peaks []float64 // in each step, with the inverters' standby
	loads       []int
	others      []int // loads that something switches or drops
	inverters   []int // that a logic switches
}

// supply is what would come in on one kind of day, step by step.
type supply struct {
	engine  []float64   // share of the step in which it runs
	sources [][]float64 // what each source gives, A of its system
}

func (s *Setup) newProfile() *profile {
	p := &profile{cold: make([]float64, s.steps), edges: make([]float64, s.steps+1)}
	for i := range s.steps {
		a, b := s.step(i)
		p.cold[i], p.edges[i] = TemperatureAt(s.Low, s.High, (a+b)/2), TemperatureAt(s.Low, s.High, a)
	}
	p.edges[s.steps] = p.edges[0]
	p.standby = make([][]float64, len(s.inverter))
	for i := range p.standby {
		p.standby[i] = make([]float64, s.steps)
		if system, def := s.inverter[i], &s.E.Inverters[i]; system >= 0 && def.Always {
			for k := range p.standby[i] {
				p.standby[i][k] = def.Standby / s.Systems[system].Nominal
			}
		}
	}
	p.addLoads(s)
	p.sum(s)
	return p
}

// sum adds up what runs steadily on each system.
func (p *profile) sum(s *Setup) {
	p.steady = make([]steady, len(s.Systems))
	for i := range p.steady {
		p.steady[i].amps, p.steady[i].peaks = make([]float64, s.steps), make([]float64, s.steps)
	}
	switched := func(id string) bool { _, has := s.logic.of[id]; return has }
	for k := range s.loads {
		c := &s.loads[k]
		if !c.usable {
			continue
		}
		of := &p.steady[c.system]
		if c.def.Shed > 0 || switched(c.def.ID) || c.inverter >= 0 && switched(s.E.Inverters[c.inverter].ID) {
			of.others = append(of.others, k)
			continue
		}
		of.loads = append(of.loads, k)
		for step := range s.steps {
			of.amps[step] += p.loads[k][step]
			of.peaks[step] += p.peaks[k][step]
		}
	}
	for k, system := range s.inverter {
		switch {
		case system < 0:
		case switched(s.E.Inverters[k].ID):
			p.steady[system].inverters = append(p.steady[system].inverters, k)
		default:
			for step := range s.steps {
				p.steady[system].amps[step] += p.standby[k][step]
				p.steady[system].peaks[step] += p.standby[k][step]
			}
		}
	}
}

// warm is the share of a step in which it is at least as warm as a temperature, °C.
func (p *profile) warm(step int, least float64) float64 {
	a, b := p.edges[step], p.edges[step+1]
	low, high := min(a, b), max(a, b)
	switch {
	case low >= least:
		return 1
	case high < least:
		return 0
	}
	return (high - least) / (high - low)
}

// step is a step of the day, from and to, hours.
func (s *Setup) step(i int) (a, b float64) {
	n := float64(s.steps)
	return float64(i) * 24 / n, float64(i+1) * 24 / n
}

// addLoads works out what each load draws. An inverter that is on only with its loads is
// on for as much of a step as the one of them that runs longest.
func (p *profile) addLoads(s *Setup) {
	p.loads = make([][]float64, len(s.loads))
	p.peaks = make([][]float64, len(s.loads))
	for i := range s.loads {
		p.loads[i], p.peaks[i] = make([]float64, s.steps), make([]float64, s.steps)
		c := &s.loads[i]
		if !c.usable {
			continue
		}
		per := 1 / s.Systems[c.system].Nominal // A a watt
		var inverter *fitout.Inverter
		if c.inverter >= 0 {
			inverter = &s.E.Inverters[c.inverter]
			per /= orUsual(inverter.Efficiency, usualInverter)
		}
		warm := 0.0
		if h := c.def.Heat; h != nil {
			warm = CoolDown(h, (s.Low+s.High)/2+h.Warmer) / 24
		}
		for k := range s.steps {
			watts, share := s.draw(c.def, k, p.cold[k], warm)
			p.loads[i][k] = watts * per
			if share > 0 {
				p.peaks[i][k] = max(watts, c.def.Watts*c.def.Count) * per
			} else {
				p.peaks[i][k] = watts * per
			}
			if inverter != nil && !inverter.Always {
				on := inverter.Standby / s.Systems[c.system].Nominal * share
				p.standby[c.inverter][k] = max(p.standby[c.inverter][k], on)
			}
		}
	}
}

// draw is what a load draws in a step on the mean, W, and the share of the step in which it
// runs. What cools runs all the time, in bursts; what it takes to cool what is put in warm
// is spread over the day; it never takes more than it draws while it runs.
func (s *Setup) draw(l *fitout.PowerLoad, step int, temperature, warm float64) (watts, share float64) {
	waiting := l.Standby
	if l.StandbyOff {
		waiting = 0
	}
	switch l.Use {
	case fitout.UseHeat:
		if l.Heat == nil {
			return l.Watts * l.Count, 1
		}
		watts = Fridge(l.Heat, temperature+l.Heat.Warmer) + warm
		if l.Watts > 0 {
			watts = min(watts, l.Watts)
		}
		return (watts + waiting) * l.Count, 1
	case fitout.UseEvents:
		return (l.EventWh*l.Events/24 + waiting) * l.Count, min(1, l.Events)
	}
	a, b := s.step(step)
	share = runs(l.Spans, a, b)
	return (l.Watts*share + waiting*(1-share)) * l.Count, share
}

// supplyOn works out what each source would give on a day. An alternator gives its
// charger's current while the engine runs; that of the vehicle what its rating leaves when
// it is hot and the vehicle has what it takes.
func (s *Setup) supplyOn(day dayKind) *supply {
	p := &supply{engine: make([]float64, s.steps), sources: make([][]float64, len(s.sources))}
	for i := range s.steps {
		if a, b := s.step(i); day.drives {
			p.engine[i] = runs(s.E.Days.Drives, a, b)
		}
	}
	var suns []Sun
	var tilted slope
	for i := range s.sources {
		p.sources[i] = make([]float64, s.steps)
		src := &s.sources[i]
		if !src.usable {
			continue
		}
		volts := s.Systems[src.system].Charging
		if src.def.Kind == fitout.Solar {
			suns = s.sunsOn(day)
			tilted = suns[0].over.slope(src.def.Tilt)
		}
		for k := range s.steps {
			a, b := s.step(k)
			if src.def.Kind == fitout.Solar {
				p.sources[i][k] = panelGives(src.def, &suns[k], tilted, day.cloud, a, b, p.engine[k]) / volts
				if most := src.def.Amps; most > 0 {
					p.sources[i][k] = min(most, p.sources[i][k])
				}
				continue
			}
			p.sources[i][k] = s.gives(src, day, a, b, p.engine[k], volts)
		}
	}
	return p
}

func (s *Setup) gives(src *source, day dayKind, a, b, engine, volts float64) float64 {
	def := src.def
	amps := def.Amps
	if amps == 0 {
		amps = def.Watts / volts
	}
	switch def.Kind {
	case fitout.Mains:
		if day.mains {
			return amps
		}
		return 0
	case fitout.Generator:
		return amps * runs(def.Spans, a, b)
	}
	if src.vehicle {
		amps = max(0, def.Amps*hotDriving-VehicleDraw(&s.E.Days))
	}
	return amps * engine
}

// skies keep the sun of each day that was looked at, step by step: one plan is run many times.
type skies map[dayOver][]Sun

// dayOver is a day of the year at a latitude, by a clock.
type dayOver struct{ latitude, clock, day float64 }

// sunsOn is the sun in the middle of every step of a day, by the clock.
func (s *Setup) sunsOn(day dayKind) []Sun {
	at := dayOver{s.E.Days.Latitude, s.E.Days.Clock, day.number}
	suns := s.skies[at]
	if suns == nil {
		suns = make([]Sun, s.steps)
		over := skyOf(at.latitude, at.day)
		for k := range suns {
			a, b := s.step(k)
			suns[k] = over.at((a+b)/2 - at.clock)
		}
		s.skies[at] = suns
	}
	return suns
}

// panelGives is what a panel gives under clouds on the mean of a step from a to b, W: its
// rating · G/1000 · 0.8 · (1 − shade). A loose panel is put away while the engine runs.
func panelGives(def *fitout.PowerSource, sun *Sun, tilted slope, cloud, a, b, engine float64) float64 {
	if sun.Height <= 0 {
		return 0
	}
	clear := sun.Flat
	switch def.Mount {
	case fitout.TurnedPanel:
		clear = sun.Turned()
	case fitout.TiltedPanel:
		clear = sun.on(tilted)
	}
	share := 1.0
	for i := range def.Shades {
		share -= def.Shades[i].Share * overlap(def.Shades[i].From, def.Shades[i].To, a, b)
	}
	if def.Loose {
		share *= 1 - engine
	}
	return def.Watts * sun.Through(clear, cloud) / 1000 * panelShare * max(0, share)
}

// An alternator gives so much of its rating when it is hot. Practice.
const (
	hotIdling  = 0.5
	hotDriving = 0.8
)

// VehicleDraw is what the vehicle itself takes while it is driven, A: 30 where nothing is
// said.
func VehicleDraw(d *fitout.PowerDays) float64 { return orUsual(d.VehicleDraw, 30) }
