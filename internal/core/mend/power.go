package mend

import (
	"cmp"
	"context"
	"fmt"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/core/supply"
	"zaino/internal/core/words"
)

// powered begins what ways to mend are asked for a battery.
const powered = "power:"

// way is one way to let a battery last, with what it costs.
type way struct {
	fixes []fitout.Fix
	kind  string  // of which no more than two are told
	cost  float64 // cents
	mass  float64 // kg
	habit float64 // how much of other habits it takes, for what costs nothing
}

// batteryMends are the cheapest ways to let a battery last: another battery, more sun, a
// charger from the alternator, more driving, less of what takes most. Each is tried on the
// whole job.
func batteryMends(ctx context.Context, p *plan.Plan, components []fitout.Component, id string,
	progress func(float64)) Mends {
	result := Mends{Found: []Mend{}, Vehicle: []Mend{}}
	look := power.LookAt(p)
	at := slices.IndexFunc(look.E.Systems, func(s fitout.PowerSystem) bool { return s.ID == id })
	if !fails(p, at) {
		return result
	}
	before := assess.BrokenIn(assess.Findings(p))
	ways := waysFor(p, components, id, at)
	slices.SortStableFunc(ways, func(a, b way) int {
		return cmp.Or(cmp.Compare(a.cost, b.cost), cmp.Compare(a.habit, b.habit), cmp.Compare(a.mass, b.mass))
	})
	told := map[string]int{}
	for n, w := range ways {
		if ctx.Err() != nil || len(result.Found) == mostMends {
			break
		}
		progress(float64(n) / float64(len(ways)))
		if told[w.kind] == 2 { // not six batteries, each a little larger
			continue
		}
		if m, ok := tryPower(p, components, w, id, before); ok {
			told[w.kind]++
			result.Found = append(result.Found, m)
		}
	}
	if len(result.Found) == 0 && ctx.Err() == nil {
		result.None = "No one part of the catalogue, nor three hours more of driving, nor leaving out one thing lets it " +
			"last without " +
			"breaking another rule. Ask for a whole set."
	}
	progress(1)
	return result
}

// fails tells whether a battery runs out or falls below its reserve.
func fails(p *plan.Plan, system int) bool {
	run := &power.LookAt(p).Run.Systems[system]
	return run.OutAt >= 0 || run.ReserveAt >= 0
}

// waysFor are all ways that are thought of, however little they do.
func waysFor(p *plan.Plan, components []fitout.Component, id string, at int) []way {
	look, say := power.LookAt(p), p.Say
	controllers := supply.Of(components, &supply.Wish{}).Controllers
	var ways []way
	for i := range components {
		c := &components[i]
		kind, label := "", "Add "+words.Lower(c.Item.Name)
		switch d := c.Device; {
		case d == nil:
		case d.System != nil && d.Inverter == nil && d.System.Kind == fitout.HouseSystem &&
			look.E.Systems[at].Kind != fitout.StationSystem:
			kind, label = "battery", c.Item.Name+" in the place of what is there"
		case d.Source != nil && d.Source.Kind == fitout.Solar && d.Charger == nil:
			kind = "sun"
		case d.Charger != nil && d.Charger.From != "" && d.Inverter == nil && d.Source == nil:
			kind = "charger"
		}
		if kind == "" {
			continue
		}
		w := way{kind: kind, cost: float64(c.Item.Price), mass: c.Item.Mass, fixes: []fitout.Fix{{
			Label: fmt.Sprintf("%s (%s, about %s)", label, say.Mass(c.Item.Mass), money(p, c.Item.Price)),
			Edit:  fitout.FixEdit{Kind: "equip", ID: id, With: c.ID},
		}}}
		if kind == "sun" && look.E.Systems[at].Kind != fitout.StationSystem && !controlled(look.E, id, c.Device.Source) {
			k := supply.Controller(controllers, c.Device.Source.Watts, c.Device.Source.Open, p.Job.Brief.Trip.Coldest,
				look.E.Systems[at].Voltage, func(one *supply.Candidate) float64 { return float64(one.Price) })
			if k < 0 {
				continue
			}
			one := &controllers[k]
			w.cost, w.mass = w.cost+float64(one.Price), w.mass+one.Mass
			w.fixes = append([]fitout.Fix{{
				Label: fmt.Sprintf("%s (%s, about %s)", one.Name, say.Mass(one.Mass), money(p, one.Price)),
				Edit:  fitout.FixEdit{Kind: "equip", ID: id, With: one.ID},
			}}, w.fixes...)
		}
		ways = append(ways, w)
	}
	for _, minutes := range []float64{15, 30, 60, 90, 120, 180} {
		ways = append(ways, way{kind: "drive", habit: minutes / 60, fixes: []fitout.Fix{{
			Label: fmt.Sprintf("Drive %.0f min more each day that is driven", minutes),
			Edit:  fitout.FixEdit{Kind: "drive-hours", Value: minutes / 60},
		}}})
	}
	for i := range look.E.Loads {
		l := &look.E.Loads[i]
		if l.System != id && l.Inverter == "" || l.Use != fitout.UseSpans || l.Essential || l.Watts <= 0 {
			continue
		}
		for _, share := range []float64{0.25, 0.5, 1} {
			ways = append(ways, way{kind: "less", habit: share * 4, fixes: []fitout.Fix{{
				Label: fmt.Sprintf("Use %s %.0f %% less", words.Lower(l.Name), 100*share),
				Edit:  fitout.FixEdit{Kind: "load-less", ID: l.ID, Value: share},
			}}})
		}
	}
	return ways
}

// controlled tells whether a system has a controller with room for another panel.
func controlled(e *fitout.Electrics, system string, panel *fitout.PowerSource) bool {
	for i := range e.Chargers {
		c := &e.Chargers[i]
		if c.System != system || c.Volts <= 0 {
			continue
		}
		watts := panel.Watts
		for k := range e.Sources {
			if e.Sources[k].Charger == c.ID && e.Sources[k].Kind == fitout.Solar {
				watts += e.Sources[k].Watts
			}
		}
		return watts <= c.Amps*13.6
	}
	return false
}

// money is a price in the currency of a brief, in whole units.
func money(p *plan.Plan, cents int) string {
	return strings.TrimSpace(p.Say.Plain(math.Round(float64(cents)/100)) + " " + p.Job.Brief.Currency)
}

// tryPower makes a way on the whole job: the battery lasts then, nothing else is broken and
// no limit passed further.
func tryPower(p *plan.Plan, components []fitout.Component, w way, id string, before assess.Broken) (Mend, bool) {
	m := Mend{Changes: w.fixes, Effort: w.mass}
	edits := make([]fitout.FixEdit, len(w.fixes))
	for i := range w.fixes {
		edits[i] = w.fixes[i].Edit
	}
	job, err := edit.Apply(p.Given, components, edits)
	if err != nil {
		return m, false
	}
	after := plan.Of(&job)
	look := power.LookAt(after)
	at := slices.IndexFunc(look.E.Systems, func(s fitout.PowerSystem) bool { return s.ID == id })
	if at < 0 || fails(after, at) || worse(p, after) || breaks(before.New(after)) {
		return m, false
	}
	was, is := p.Load.Axles(), after.Load.Axles()
	m.Changes[0].Front, m.Changes[0].Rear = is.Front-was.Front, is.Rear-was.Rear
	m.Pads = limits.Of(after).PadsIn(limits.Of(after).Shown())
	m.Reaches = fmt.Sprintf("%s: lowest %s before, %s after", look.E.Systems[at].Name,
		p.Say.Percent(power.LookAt(p).Run.Systems[at].Lowest), p.Say.Percent(look.Run.Systems[at].Lowest))
	m.Caution = "Estimates of sun and use. What is put in is bolted to mounting points, and a licensed electrician connects it; " +
		"never work on a live battery."
	return m, true
}

// breaks tells whether something is found that a way brings with it and does not say: that
// a new part has to be bolted down is said with every way.
func breaks(found []fitout.Finding) bool {
	return slices.ContainsFunc(found, func(f fitout.Finding) bool { return f.Rule != "restraint" })
}

// worse tells whether a limit is passed that was kept, or one is passed further.
func worse(p, after *plan.Plan) bool {
	was, is := limits.Of(p), limits.Of(after)
	for _, l := range is.All {
		f := l.Facts()
		if !f.Stated() || f.Towing && !is.Shown().State.Coupled {
			continue
		}
		before := 0.0
		if old := was.Get(f.ID); old != nil && old.Facts().Stated() {
			before = max(0, old.Beyond(was.Shown()))
		}
		if l.Beyond(is.Shown()) > before+0.5 {
			return true
		}
	}
	return false
}
