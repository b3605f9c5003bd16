package power

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// NoBattery is how many nights a plan without a battery lasts.
const NoBattery = -2

// Endurance is how many nights the first house of a plan lasts without sun, driven as
// planned (−1: no end in sixty; NoBattery without one), and in words which of its batteries
// is weakest, and when.
func Endurance(p *plan.Plan) (nights float64, weakest string) {
	l := LookAt(p)
	nights = NoBattery
	lowest := 2.0
	for i := range l.Setup.Systems {
		sys, run := &l.Setup.Systems[i], &l.Run.Systems[i]
		if !sys.aboard || l.Setup.starts(i) {
			continue
		}
		if nights == NoBattery && sys.Def.Kind == fitout.HouseSystem {
			long := *l.Setup
			long.Nights = MostNights
			nights = nightsOf(&long.Run(Weather{Cloud: -1, Dark: true}, nil).Systems[i])
		}
		if run.Lowest-sys.CutOff < lowest {
			lowest = run.Lowest - sys.CutOff
			weakest = fmt.Sprintf("%s: %s on %s", sys.Def.Name, l.Say.Percent(run.Lowest), l.at(run.LowestAt))
			if run.OutAt >= 0 {
				weakest = fmt.Sprintf("%s: empty on %s", sys.Def.Name, l.at(run.OutAt))
			}
		}
	}
	return nights, weakest
}

// CardLines are what a customer has to know of the batteries, in sentences.
func CardLines(p *plan.Plan) []string {
	l, lines := LookAt(p), []string{}
	for i := range l.Setup.Systems {
		sys, run := &l.Setup.Systems[i], &l.Run.Systems[i]
		if !sys.aboard || l.Setup.starts(i) {
			continue
		}
		line := fmt.Sprintf("%s: %s usable, about %s a day", sys.Def.Name, l.Say.Charge(sys.Capacity*(1-sys.CutOff)),
			l.Say.Charge(run.Used/(l.Run.Hours/24)))
		if run.Used > 0 {
			line += fmt.Sprintf(", %s with nothing coming in", l.Say.Hours(sys.Capacity*(1-sys.CutOff)/(run.Used/l.Run.Hours)))
		}
		line += ". An estimate."
		if sys.Def.Battery.Chemistry == fitout.LFP && !sys.Def.Battery.Heated {
			line += fmt.Sprintf(" Not to be charged below %s.", l.Say.Temperature(Coldest(&sys.Def.Battery)))
		}
		lines = append(lines, line)
	}
	return lines
}
