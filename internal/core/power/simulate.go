package power

import (
	"math"
)

// Run is what came of the days, system by system in the order of the electrics.
type Run struct {
	Hours   float64 // altogether
	Step    float64 // h
	Begin   float64 // hour of the first day
	Systems []SystemRun
	Loads   []LoadRun   // in the order of the electrics
	Sources []SourceRun // in the order of the electrics
	Outputs []OutputRun // in the order of the electrics

	p *profile
}

// SystemRun is what came of one system: what came in and went out, all in Ah of its
// nominal voltage. Offered = Stored + Used + NotTaken + Lost.
type SystemRun struct {
	Charge   []float64 // state of charge at the end of each step, 0 to 1
	In, Out  []float64 // offered and used in each step, Ah
	Offered  float64   // by its sources and chargers
	Used     float64   // by its loads, inverters, and chargers that it feeds
	Taken    float64   // by the battery, over what was used at the time
	NotTaken float64   // nobody had a use for it
	Lost     float64   // in the battery
	Stored   float64   // more in the battery at the end than at the start

	Lowest, LowestAt float64 // state of charge, and hours from the start
	End              float64 // state of charge
	OutAt            float64 // hours from the start when everything dropped first; −1: never
	ReserveAt        float64 // hours from the start when it fell below its reserve; −1: never
	Peak, PeakAt     float64 // greatest current that was asked of it at once, A, and when, h
	ChargePeak       float64 // greatest current that was offered to the battery, A
	FrozenOut        float64 // Ah that were offered while it was too cold to charge
}

// LoadRun is what came of one load.
type LoadRun struct {
	Used   float64 // Ah of its system
	Missed float64 // Ah that it would have used and did not get
	OutAt  float64 // hours from the start when it dropped first; −1: never

}

// SourceRun is what came of one source.
type SourceRun struct {
	Offered float64 // Ah of its system
	Used    float64 // of that, Ah
}

// OutputRun is how often an output was on.
type OutputRun struct {
	On, Steps int
}

// back is how far above a threshold the state of charge has to be before what was dropped
// comes back.
const back = 0.1

// nearlyFull is what a full battery comes to however long it charges: its last hundredths
// take for ever.
const nearlyFull = 0.98

// Run follows the days step by step: loads and sun in the middle of each step, batteries
// exactly within it. begin gives the states of charge at the start, by the system's id;
// those not named are as planned.
func (s *Setup) Run(w Weather, begin map[string]float64) *Run {
	r := &Run{
		Hours: float64(s.Nights) * 24, Step: 24 / float64(s.steps), Begin: s.E.Days.Begin,
		Systems: make([]SystemRun, len(s.Systems)), Loads: make([]LoadRun, len(s.loads)),
		Sources: make([]SourceRun, len(s.sources)), Outputs: make([]OutputRun, len(s.E.Outputs)),
	}
	days := daysOf(&s.E.Days, s.Nights, w)
	supplies := map[dayKind]*supply{}
	steps := s.Nights * s.steps
	first := int(math.Round(s.E.Days.Begin / r.Step))
	f := newFollower(s, r, begin, steps)
	r.p = f.p
	for n := range steps {
		day, step := (first+n)/s.steps, (first+n)%s.steps
		k := days[min(day, len(days)-1)]
		if n == 0 || step == 0 {
			if supplies[k] == nil {
				supplies[k] = s.supplyOn(k)
			}
			f.in = supplies[k]
		}
		f.follow(n, step, k)
		if s.until > 0 && r.Systems[s.until-1].OutAt >= 0 {
			break
		}
	}
	f.addSteady(first, steps)
	for i := range r.Systems {
		of := &r.Systems[i]
		of.End = f.charge[i]
		of.Stored = (of.End - f.started[i]) * s.Systems[i].Capacity
	}
	return r
}

// addSteady counts what loads used that ran whenever they would.
func (f *follower) addSteady(first, steps int) {
	times := make([]float64, f.s.steps)
	for n := range steps {
		times[(first+n)%f.s.steps]++
	}
	for i := range f.p.steady {
		for _, k := range f.p.steady[i].loads {
			for step, amps := range f.p.loads[k] {
				f.r.Loads[k].Used += amps * f.r.Step * times[step]
			}
		}
	}
}

// system follows one system through a step.
func (f *follower) system(i, n, step int) {
	sys, run, hours := &f.s.Systems[i], &f.r.Systems[i], f.r.Step
	before := f.charge[i]
	in := f.comesIn(i, step)
	out, peak := f.goesOut(i, n, step)
	run.Offered += in
	run.In[n] = in
	if peak > run.Peak {
		run.Peak, run.PeakAt = peak, float64(n)*hours
	}
	used, notTaken := out, 0.0
	f.sinking[i] = in < out
	switch net := in - out; {
	case net > 0:
		warm := f.p.warm(step, Coldest(&sys.Def.Battery)-sys.Def.Battery.Warmer)
		run.FrozenOut += net * (1 - warm)
		run.ChargePeak = max(run.ChargePeak, net/hours)
		taken, after := sys.store.charge(before, net/hours, hours*warm)
		f.charge[i] = after
		run.Taken += taken
		run.Lost += taken - (after-before)*sys.Capacity
		notTaken = max(0, net-taken)
	case net < 0:
		left := max(0, before-sys.CutOff) * sys.Capacity
		if -net <= left {
			f.charge[i] = before + net/sys.Capacity
			break
		}
		// All drops but what comes in can run.
		used = in + left
		f.charge[i] = min(before, sys.CutOff)
		if run.OutAt < 0 {
			run.OutAt = (float64(n) + left/-net) * hours
		}
		f.drop(i, step, 1-used/out, (float64(n)+left/-net)*hours)
	}
	f.settle(i, step, in, notTaken)
	run.Used += used
	run.Out[n] = used
	run.NotTaken += notTaken
	after := f.charge[i]
	run.Charge[n] = after
	if after < run.Lowest-1e-9 {
		run.Lowest, run.LowestAt = after, float64(n+1)*hours
	}
	if reserve := sys.Def.Reserve; run.ReserveAt < 0 && after < reserve-1e-9 && before >= reserve {
		run.ReserveAt = (float64(n) + (before-reserve)/(before-after)) * hours
	}
}

// comesIn is what sources and chargers offer in a step, Ah.
func (f *follower) comesIn(i, step int) float64 {
	sys, hours, sum := &f.s.Systems[i], f.r.Step, 0.0
	for _, k := range sys.sources {
		if f.on(f.s.sources[k].def.ID) {
			offered := f.in.sources[k][step] * hours
			f.r.Sources[k].Offered += offered
			sum += offered
		}
	}
	for _, k := range sys.chargers {
		f.offered[k], f.fed[k] = 0, 0
		if c := &f.s.chargers[k]; f.on(c.def.ID) {
			sources, fed := f.charges(c, step)
			f.offered[k], f.fed[k] = sources*hours, fed*hours
			sum += f.offered[k] + f.fed[k]
		}
	}
	for _, l := range sys.links {
		if link := &f.s.E.Links[l]; f.closed[l] && f.on(link.ID) {
			sum += f.in.engine[step] * orUsual(link.Amps, usualRelay) * hours
		}
	}
	return sum
}

// usualRelay is the current that goes over a relay to a battery that is not full, where
// its rating is not said, A. Practice.
const usualRelay = 30

// charges is what a charger offers now, A: at most its own current, from its sources first,
// and the rest from the system that feeds it.
func (f *follower) charges(c *charger, step int) (sources, fed float64) {
	for _, k := range c.sources {
		if f.on(f.s.sources[k].def.ID) {
			sources += f.in.sources[k][step]
		}
	}
	sources = min(sources, c.def.Amps)
	if c.from < 0 || f.charge[c.from] <= f.s.Systems[c.from].CutOff && f.in.engine[step] == 0 {
		return sources, 0
	}
	fed = c.def.Amps - sources
	if f.s.starts(c.from) && !c.def.Always {
		fed = min(fed, c.def.Amps*f.in.engine[step])
	}
	return sources, fed
}

// goesOut is what is used in a step, Ah, if it does not run out, and the greatest current
// of it, A. What hangs on no threshold and no logic was summed up before.
func (f *follower) goesOut(i, n, step int) (ah, peak float64) {
	hours, steady := f.r.Step, &f.p.steady[i]
	ah = f.drawn[i] + steady.amps[step]*hours
	peak = f.drawn[i]/hours + steady.peaks[step]
	for _, k := range steady.others {
		c, amps := &f.s.loads[k], f.p.loads[k][step]
		f.dropOrReturn(k, i)
		if !f.runsNow(c) {
			continue
		}
		if f.shed[k] {
			f.miss(k, amps*hours, float64(n)*hours)
			continue
		}
		f.r.Loads[k].Used += amps * hours
		ah += amps * hours
		peak += f.p.peaks[k][step]
	}
	for _, k := range steady.inverters {
		if f.on(f.s.E.Inverters[k].ID) {
			ah += f.p.standby[k][step] * hours
			peak += f.p.standby[k][step]
		}
	}
	return ah, peak
}
