package trip

import (
	"zaino/internal/core/fitout"
)

// warmsWater is the share of the heat of a gas flame that gets into the water. Practice.
const warmsWater = 0.6

// WarmerFigures are what warming water takes. They are estimates.
type WarmerFigures struct {
	ID      string  `json:"id"`
	Wh      float64 `json:"wh" doc:"of warmth a day, Wh"`
	Minutes float64 `json:"minutes" doc:"each time; 0: its power is not said"`
	Gas     float64 `json:"gas" doc:"a day, kg; 0 where it is not warmed by gas"`
}

// PumpFigures are what a pump takes.
type PumpFigures struct {
	ID    string  `json:"id"`
	Hours float64 `json:"hours" doc:"that it runs a day, h"`
	Ah    float64 `json:"ah" doc:"that it takes a day, Ah"`
}

// warming is what a warmer takes a day: litres · ΔT · 1.163 Wh each time.
func warming(w *fitout.Warmer) WarmerFigures {
	once := WarmingEnergy(w.Litres, w.Rise)
	f := WarmerFigures{ID: w.ID, Wh: once * w.Times}
	share := 1.0
	if w.By == fitout.WarmedByGas {
		share = warmsWater
		f.Gas = f.Wh / 1000 / share / propaneNet
	}
	if w.Watts > 0 {
		f.Minutes = 60 * once / share / w.Watts
	}
	return f
}

// Warming are the figures of every warmer.
func (l *Look) warming() []WarmerFigures {
	all := []WarmerFigures{}
	for i := range l.Variant.Plumbing.Warmers {
		all = append(all, warming(&l.Variant.Plumbing.Warmers[i]))
	}
	return all
}

// Pumping is what each pump takes a day: what is used of what it draws from, over what it gives.
func (l *Look) Pumping() []PumpFigures {
	all := []PumpFigures{}
	for _, p := range l.Variant.Plumbing.Pumps {
		f := PumpFigures{ID: p.ID}
		drinking, wash := false, false
		for _, o := range l.Variant.Plumbing.Outlets {
			if v := l.vessel(o.Vessel); v != nil && o.Pump == p.ID {
				drinking = drinking || v.Holds == fitout.HoldsDrinking
				wash = wash || v.Holds == fitout.HoldsWash
			}
		}
		litres := 0.0
		if drinking {
			litres += l.C.daily.drinking
		}
		if wash || drinking && len((&drawer{vessels: l.C.Vessels}).holding(fitout.HoldsWash)) == 0 {
			litres += l.C.daily.wash
		}
		if p.Flow > 0 {
			f.Hours = litres / p.Flow / 60
			f.Ah = f.Hours * p.Amps
		}
		all = append(all, f)
	}
	return all
}
