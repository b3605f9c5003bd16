// Package power counts what runs, what charges it, and whether all of it still runs on the
// last morning: batteries exactly within each step of the days, sun, heat and driving by
// published formulas. What wire and fuse it wants is the business of package wiring.
package power

import (
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// PowerFigures are what came of the days, of what is aboard now. They are estimates.
type PowerFigures struct {
	Nights  int               `json:"nights" doc:"counted"`
	Low     float64           `json:"low" doc:"coldest of a day, °C"`
	High    float64           `json:"high" doc:"hottest of a day, °C"`
	Systems []SystemFigures   `json:"systems" doc:"in the order of the variant"`
	Loads   []ConsumerFigures `json:"loads" doc:"in the order of the variant"`
	Sources []SourceFigures   `json:"sources" doc:"in the order of the variant"`
	Shares  []InverterShares  `json:"inverters" doc:"in the order of the variant"`
	Lights  []ZoneFigures     `json:"lights" doc:"what lamps give, by what they light"`
	Engine  float64           `json:"engine" doc:"hours that the engine runs on its batteries with the alternator dead, h; −1: no such battery"`
}

// SystemFigures is one system over the days, in Ah of its nominal voltage.
type SystemFigures struct {
	ID        string  `json:"id"`
	Aboard    bool    `json:"aboard" doc:"comes along in the state shown"`
	Nominal   float64 `json:"nominal" doc:"voltage in which it is counted, V"`
	Capacity  float64 `json:"capacity" doc:"Ah"`
	Usable    float64 `json:"usable" doc:"Ah of it that may be used"`
	Used      float64 `json:"used" doc:"a day, Ah"`
	Offered   float64 `json:"offered" doc:"by sources and chargers a day, Ah"`
	NotTaken  float64 `json:"notTaken" doc:"of that, what nobody had a use for, Ah"`
	Hours     float64 `json:"hours" doc:"that a full battery lasts at the mean draw with nothing coming in, h; −1: no end"`
	Lowest    float64 `json:"lowest" doc:"state of charge, 0 to 1"`
	LowestAt  float64 `json:"lowestAt" doc:"hours from the start"`
	End       float64 `json:"end" doc:"state of charge on the last morning, 0 to 1"`
	OutAt     float64 `json:"outAt" doc:"hours from the start when it is empty first; −1: never"`
	Peak      float64 `json:"peak" doc:"greatest current that is asked of it at once, A"`
	Discharge float64 `json:"discharge" doc:"greatest lasting current that it gives, A"`
	ToFull    float64 `json:"toFull" doc:"hours of driving from its lowest to full; −1: driving does not charge it"`
	CutOff    float64 `json:"cutOff" doc:"state of charge at which everything drops"`
	AtPeak    float64 `json:"atPeak" doc:"hours that a full lead battery lasts at its greatest current (Peukert), h; −1: of lithium, or no current"`
}

// ConsumerFigures is what one load takes.
type ConsumerFigures struct {
	ID      string  `json:"id"`
	Charge  float64 `json:"charge" doc:"a day, Ah of its system"`
	Energy  float64 `json:"energy" doc:"a day out of the battery, Wh"`
	Share   float64 `json:"share" doc:"of what its system gives, 0 to 1"`
	Missed  float64 `json:"missed" doc:"a day that it would have used and did not get, Ah"`
	Running bool    `json:"running" doc:"it is fed and counted"`
}

// SourceFigures is what one source gives.
type SourceFigures struct {
	ID      string  `json:"id"`
	Offered float64 `json:"offered" doc:"a day, Ah of the system that it charges"`
	Used    float64 `json:"used" doc:"of that a day, Ah"`
}

// InverterShares is how far an inverter is used.
type InverterShares struct {
	ID    string  `json:"id"`
	Watts float64 `json:"watts" doc:"most that runs on it at once, W"`
	Input float64 `json:"input" doc:"that it draws for all that it gives, at 11 V, A"`
}

// Engine counts power, and finds what of it cannot work.
func Engine() plan.Engine[PowerFigures] {
	all := allRules()
	rules := make([]plan.Rule, len(all))
	for i, rule := range all {
		rules[i] = func(p *plan.Plan) []fitout.Finding { return rule(LookAt(p)) }
	}
	return plan.Engine[PowerFigures]{Figures: func(p *plan.Plan) PowerFigures {
		return figuresOf(LookAt(p))
	}, Rules: rules}
}

func figuresOf(l *Look) PowerFigures {
	days := l.Run.Hours / 24
	f := PowerFigures{
		Nights: l.Setup.Nights, Low: l.Setup.Low, High: l.Setup.High,
		Systems: make([]SystemFigures, len(l.E.Systems)), Loads: make([]ConsumerFigures, len(l.E.Loads)),
		Sources: make([]SourceFigures, len(l.E.Sources)), Shares: make([]InverterShares, len(l.E.Inverters)),
	}
	for i := range f.Systems {
		f.Systems[i] = l.system(i, days)
	}
	for i := range f.Loads {
		run, c := &l.Run.Loads[i], &l.Setup.loads[i]
		of := ConsumerFigures{ID: c.def.ID, Charge: run.Used / days, Missed: run.Missed / days, Running: c.usable}
		if c.usable {
			of.Energy = of.Charge * l.Setup.Systems[c.system].Nominal
			if all := f.Systems[c.system].Used; all > 0 {
				of.Share = of.Charge / all
			}
		}
		f.Loads[i] = of
	}
	for i := range f.Sources {
		run := &l.Run.Sources[i]
		f.Sources[i] = SourceFigures{l.E.Sources[i].ID, run.Offered / days, run.Used / days}
	}
	f.Lights, f.Engine = l.zones(), l.engineHours()
	for i := range f.Shares {
		def := &l.E.Inverters[i]
		of := InverterShares{ID: def.ID}
		if system := l.Setup.inverter[i]; system >= 0 {
			of.Watts, _ = l.onInverter(i)
			of.Input = InverterInput(def.Watts, 0, WorkingVoltage(&l.E.Systems[system], LowInverter), def.Efficiency)
		}
		f.Shares[i] = of
	}
	return f
}

func (l *Look) system(i int, days float64) SystemFigures {
	sys, run := &l.Setup.Systems[i], &l.Run.Systems[i]
	f := SystemFigures{
		ID: sys.Def.ID, Aboard: sys.aboard, Nominal: sys.Nominal, Capacity: sys.Capacity,
		Usable: sys.Capacity * (1 - sys.CutOff), Used: run.Used / days, Offered: run.Offered / days,
		NotTaken: run.NotTaken / days, Lowest: run.Lowest, LowestAt: run.LowestAt, End: run.End,
		OutAt: run.OutAt, Peak: run.Peak, Discharge: MostDischarge(&sys.Def.Battery), ToFull: -1, CutOff: sys.CutOff,
	}
	f.AtPeak = -1
	if run.Peak > 0 && sys.Def.Battery.Chemistry != fitout.LFP {
		f.AtPeak = Peukert(sys.Def.Battery.Chemistry, sys.Capacity, run.Peak)
	}
	f.Hours = HoursLeft(1, sys.CutOff, sys.Capacity, f.Used/24, 0)
	if hours := sys.store.hoursToFull(run.Lowest, l.whileDriving(i)); !math.IsInf(hours, 1) {
		f.ToFull = hours
	}
	return f
}

// engineHours is how long the engine runs on all batteries that start it when the alternator
// is dead, h: usable Ah over what the vehicle itself takes; −1 without one.
func (l *Look) engineHours() float64 {
	usable, any := 0.0, false
	for i := range l.Setup.Systems {
		if sys := &l.Setup.Systems[i]; sys.aboard && l.Setup.starts(i) {
			usable, any = usable+sys.Capacity*(1-sys.CutOff), true
		}
	}
	if !any {
		return -1
	}
	return usable / VehicleDraw(&l.E.Days)
}

// whileDriving is what charges a system while the engine runs, A.
func (l *Look) whileDriving(system int) float64 {
	sys, amps := &l.Setup.Systems[system], 0.0
	for _, k := range sys.sources {
		if src := &l.Setup.sources[k]; src.def.Kind == fitout.Alternator && !src.vehicle {
			amps += sourceAmps(src.def, sys.Charging)
		}
	}
	for _, k := range sys.chargers {
		c := &l.Setup.chargers[k]
		driven := c.from >= 0 && l.Setup.starts(c.from)
		for _, n := range c.sources {
			driven = driven || l.E.Sources[n].Kind == fitout.Alternator
		}
		if driven {
			amps += c.def.Amps
		}
	}
	for _, k := range sys.links {
		amps += orUsual(l.E.Links[k].Amps, usualRelay)
	}
	return amps
}

func sourceAmps(def *fitout.PowerSource, volts float64) float64 {
	if def.Amps > 0 {
		return def.Amps
	}
	return def.Watts / volts
}

// onInverter is the most that runs on an inverter at once, and with the greatest start of
// what runs on it, W.
func (l *Look) onInverter(inverter int) (watts, surge float64) {
	return onInverter(l.Setup, l.Run, inverter)
}

// OnInverters is the most of it over all inverters of a system, by its place.
func OnInverters(s *Setup, r *Run, system int) (watts, surge float64) {
	for i, of := range s.inverter {
		if of == system {
			w, start := onInverter(s, r, i)
			watts, surge = max(watts, w), max(surge, start)
		}
	}
	return watts, surge
}

func onInverter(s *Setup, r *Run, inverter int) (watts, surge float64) {
	for step := range s.steps {
		now, start := 0.0, 0.0
		for k := range s.loads {
			c := &s.loads[k]
			if !c.usable || c.inverter != inverter {
				continue
			}
			out := r.p.peaks[k][step] * s.Systems[c.system].Nominal * orUsual(s.E.Inverters[inverter].Efficiency, usualInverter)
			now += out
			if out >= c.def.Watts*c.def.Count*0.999999 {
				start = max(start, c.def.Surge-c.def.Watts)
			}
		}
		watts, surge = max(watts, now), max(surge, now+start)
	}
	return watts, surge
}

// The lowest voltages at which cable, fuse and battery are sized, V at 12 V. Practice.
const (
	LowInverter = 11.0
	LowCharger  = 12.2
	LowLoad     = 12.0
)

// WorkingVoltage is one of these in a system, V: twice at 24 V.
func WorkingVoltage(s *fitout.PowerSystem, low float64) float64 { return low * s.Voltage / 12 }
