package power

import "zaino/internal/core/fitout"

// follower is a run on its way.
type follower struct {
	s       *Setup
	r       *Run
	p       *profile
	in      *supply // of this day
	charge  []float64
	started []float64
	shed    []bool    // loads that were dropped
	drawn   []float64 // by chargers from each system in this step, Ah
	closed  []bool    // relays, and leads while the engine runs
	offered []float64 // by each charger from its sources in this step, Ah
	fed     []float64 // by each charger from what feeds it, Ah
	now     Now
	verdict []Verdict
	since   []float64 // minutes for which an output was on
	sinking []bool    // systems that gave more than came in, in the step before
}

func newFollower(s *Setup, r *Run, begin map[string]float64, steps int) *follower {
	n := len(s.Systems)
	f := &follower{
		s: s, r: r, p: s.newProfile(), charge: make([]float64, n), started: make([]float64, n),
		shed: make([]bool, len(s.loads)), drawn: make([]float64, n), closed: make([]bool, len(s.E.Links)),
		offered: make([]float64, len(s.chargers)), fed: make([]float64, len(s.chargers)),
		since: make([]float64, len(s.E.Outputs)), sinking: make([]bool, n),
	}
	for i := range s.Systems {
		def := s.Systems[i].Def
		f.charge[i] = def.Full
		if charge, given := begin[def.ID]; given {
			f.charge[i] = charge
		}
		f.started[i] = f.charge[i]
		r.Systems[i] = SystemRun{
			Charge: make([]float64, steps), In: make([]float64, steps), Out: make([]float64, steps),
			Lowest: f.charge[i], OutAt: -1, ReserveAt: -1,
		}
	}
	for i := range r.Loads {
		r.Loads[i].OutAt = -1
	}
	if len(s.E.Outputs) > 0 {
		f.now = Now{Controls: ControlsOf(s.E), Charge: map[string]float64{}, Voltage: map[string]float64{}}
	}
	return f
}

// follow goes one step on: those that are fed first, then what feeds them.
func (f *follower) follow(n, step int, k dayKind) {
	f.decide(step, k)
	clear(f.drawn)
	for _, i := range f.s.order {
		if f.s.Systems[i].aboard {
			f.system(i, n, step)
		} else {
			f.r.Systems[i].Charge[n] = f.charge[i]
		}
	}
}

// decide looks at the logic, and at the relays between systems.
func (f *follower) decide(step int, k dayKind) {
	running := f.in.engine[step] > 0
	for i := range f.s.Systems {
		for _, l := range f.s.Systems[i].links {
			link := &f.s.E.Links[l]
			from := f.s.systemOf(link.From)
			volts, class := f.volts(from, running), f.s.Systems[from].Def.Voltage/12
			if link.Kind == fitout.LeadLink {
				f.closed[l] = running
			} else if f.closed[l] {
				f.closed[l] = volts >= orUsual(link.Open, 12.8*class)
			} else {
				f.closed[l] = volts >= orUsual(link.Close, 13.3*class)
			}
		}
	}
	if len(f.s.E.Outputs) == 0 {
		return
	}
	a, b := f.s.step(step)
	f.now.Hour, f.now.Engine, f.now.Mains, f.now.Temperature = (a+b)/2, running, k.mains, f.p.cold[step]
	for i := range f.s.Systems {
		id := f.s.Systems[i].Def.ID
		f.now.Charge[id], f.now.Voltage[id] = f.charge[i], f.volts(i, running)
	}
	f.verdict = f.s.logic.Decide(&f.now)
	for i := range f.verdict {
		v, after := &f.verdict[i], f.s.E.Outputs[i].OffAfter
		if !v.On {
			f.since[i] = 0
			continue
		}
		if after > 0 && f.since[i] >= after && !v.LockedOn {
			v.On = false
		}
		f.since[i] += 60 * f.r.Step
	}
	for i := range f.verdict {
		f.r.Outputs[i].Steps++
		if f.verdict[i].On {
			f.r.Outputs[i].On++
		}
	}
}

// systemOf is where a system stands; it is known to be there.
func (s *Setup) systemOf(id string) int {
	for i := range s.Systems {
		if s.Systems[i].Def.ID == id {
			return i
		}
	}
	return 0
}

// volts is the voltage of a system: what charges it while the engine runs, it is what
// starts the engine, and no more is taken than comes in; otherwise as it rests at its state
// of charge. An estimate.
func (f *follower) volts(system int, engine bool) float64 {
	sys := &f.s.Systems[system]
	if engine && f.s.starts(system) && !f.sinking[system] {
		return sys.Charging
	}
	return rested(sys.Def.Battery.Chemistry, f.charge[system]) * sys.Def.Voltage / 12
}

// on tells whether the logic lets a thing be on.
func (f *follower) on(id string) bool {
	if len(f.verdict) == 0 {
		return true
	}
	i, has := f.s.logic.of[id]
	return !has || f.verdict[i].On
}

// runsNow tells whether the logic lets a load run, and the inverter that feeds it.
func (f *follower) runsNow(c *consumer) bool {
	return f.on(c.def.ID) && (c.inverter < 0 || f.on(f.s.E.Inverters[c.inverter].ID))
}

// dropOrReturn drops a load below its own threshold and lets it back above.
func (f *follower) dropOrReturn(load, system int) {
	threshold, charge := f.s.loads[load].def.Shed, f.charge[system]
	switch {
	case threshold <= 0:
	case charge < threshold:
		f.shed[load] = true
	case charge >= max(threshold, min(nearlyFull, threshold+back)):
		f.shed[load] = false
	}
}

func (f *follower) miss(load int, ah, at float64) {
	if ah <= 0 {
		return
	}
	run := &f.r.Loads[load]
	run.Missed += ah
	if run.OutAt < 0 {
		run.OutAt = at
	}
}

// drop takes back what loads were counted to use in a step in which it ran out: a share of
// each, from a moment on.
func (f *follower) drop(i, step int, share, at float64) {
	for k := range f.s.loads {
		if c := &f.s.loads[k]; c.usable && c.system == i && !f.shed[k] && f.runsNow(c) {
			missed := f.p.loads[k][step] * f.r.Step * share
			f.r.Loads[k].Used -= missed
			f.miss(k, missed, at)
		}
	}
}

// settle shares out among sources and chargers what was used of what they offered, and
// draws what the chargers used from what feeds them.
func (f *follower) settle(i, step int, in, notTaken float64) {
	if in <= 0 {
		return
	}
	sys, used := &f.s.Systems[i], (in-notTaken)/in
	for _, k := range sys.sources {
		if f.on(f.s.sources[k].def.ID) {
			f.r.Sources[k].Used += f.in.sources[k][step] * f.r.Step * used
		}
	}
	for _, k := range sys.chargers {
		c := &f.s.chargers[k]
		if c.from >= 0 {
			from := &f.s.Systems[c.from]
			f.drawn[c.from] += ChargerInput(f.fed[k]*used, sys.Charging, from.Nominal, c.def.Efficiency)
		}
		all := 0.0
		for _, j := range c.sources {
			if f.on(f.s.sources[j].def.ID) {
				all += f.in.sources[j][step]
			}
		}
		for _, j := range c.sources {
			if all > 0 && f.on(f.s.sources[j].def.ID) {
				share := f.in.sources[j][step] / all
				f.r.Sources[j].Offered += f.offered[k] * share
				f.r.Sources[j].Used += f.offered[k] * share * used
			}
		}
	}
}
