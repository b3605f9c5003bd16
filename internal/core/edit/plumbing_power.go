package edit

import (
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/trip"
)

// plumbingPower counts a pump, or a warmer that runs on power, among the loads, by what it takes a
// day; one that is counted already is brought up to date.
var plumbingPower = onVariant(func(j *fitout.Job, v *fitout.Variant, e *fitout.FixEdit) bool {
	figures := trip.Engine().Figures(plan.Of(j))
	load := fitout.PowerLoad{ID: "plumbing-" + e.ID, Count: 1, Use: fitout.UseEvents, Spans: []fitout.Span{}}
	if len(load.ID) > 64 {
		load.ID = load.ID[:64]
	}
	found := false
	system := 12.0
	for _, s := range v.Electrics.Systems {
		if s.Kind == fitout.HouseSystem {
			load.System, system = s.ID, s.Voltage
			break
		}
	}
	for _, p := range v.Plumbing.Pumps {
		for _, f := range figures.Pumps {
			if p.ID == e.ID && f.ID == p.ID && p.Flow > 0 {
				load.Name, load.Watts, load.Item, found = p.Name, p.Amps*system, p.Item, true
				load.Events, load.EventWh = pumpStarts, f.Ah*system/pumpStarts
			}
		}
	}
	for _, w := range v.Plumbing.Warmers {
		for _, f := range figures.Warmers {
			if w.ID == e.ID && f.ID == w.ID && w.By == fitout.WarmedByPower && w.Times > 0 {
				load.Name, load.Watts, load.Events, load.EventWh, found = w.Name, w.Watts, w.Times, f.Wh/w.Times, true
			}
		}
	}
	if !found {
		return false
	}
	v.Electrics.Loads = slices.Clone(v.Electrics.Loads)
	if k := slices.IndexFunc(v.Electrics.Loads, func(l fitout.PowerLoad) bool { return l.ID == load.ID }); k >= 0 {
		own := &v.Electrics.Loads[k]
		own.Watts, own.Use, own.Events, own.EventWh = load.Watts, load.Use, load.Events, load.EventWh
		return true
	}
	v.Electrics.Loads = append(v.Electrics.Loads, load)
	return true
})

// pumpStarts is over how many times a day what a pump takes is spread. Practice.
const pumpStarts = 20.0
