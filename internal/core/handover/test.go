// Package handover is what comes between the last screw and the customer driving off: what is tried, who signs what,
// which papers it takes, and what is due afterwards.
package handover

import (
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Test is one thing to try before the vehicle is handed over, as it follows from the plan.
type Test struct {
	ID       string          `json:"id"`
	Group    string          `json:"group" enum:"power,water,gas,motion,vehicle"`
	Title    string          `json:"title"`
	Expected string          `json:"expected" doc:"what passes"`
	Unit     string          `json:"unit" doc:"of what is measured; empty where nothing is"`
	Most     float64         `json:"most" doc:"that may be measured; 0 = any"`
	Least    float64         `json:"least" doc:"that must be measured; 0 = any"`
	Matters  bool            `json:"matters" doc:"nothing is handed over while it is open"`
	Licensed string          `json:"licensed" doc:"who tries it; empty: the workshop"`
	Of       string          `json:"of" doc:"id of the item that it is about; empty for none"`
	Result   fitout.TestDone `json:"result"`
	State    string          `json:"state" enum:"open,passed,failed,outside" doc:"outside: called passed, and what was measured is not what was expected"`
}

// Judgement of a test.
const (
	Open    = "open"
	Passed  = "passed"
	Failed  = "failed"
	Outside = "outside"
)

// Tests are all tests of a plan, in the order in which they are done: what is fixed, what moves, water, gas, power, and
// the vehicle as it will be driven. Worked out once.
func Tests(p *plan.Plan) []Test {
	return *plan.Once(p, func(p *plan.Plan) *[]Test {
		g := &gather{p: p}
		g.motion()
		g.water()
		g.gas()
		g.power()
		g.vehicle()
		return &g.all
	})
}

type gather struct {
	p   *plan.Plan
	all []Test
}

func (g *gather) add(group, id, title, expected string, change ...func(*Test)) {
	t := Test{ID: id, Group: group, Title: title, Expected: expected, State: Open, Result: fitout.TestDone{Test: id}}
	for _, c := range change {
		c(&t)
	}
	for _, done := range g.p.Variant.Tests {
		if done.Test == id {
			t.Result = done
		}
	}
	switch {
	case t.Result.Passed == fitout.IsNotSo:
		t.State = Failed
	case t.Result.Passed == fitout.IsSo && t.beyond():
		t.State = Outside
	case t.Result.Passed == fitout.IsSo:
		t.State = Passed
	}
	g.all = append(g.all, t)
}

// beyond tells whether what was measured is not what was expected.
func (t *Test) beyond() bool {
	m := t.Result.Measured
	return t.Unit != "" && m != 0 && (t.Most > 0 && m > t.Most || t.Least > 0 && m < t.Least)
}

func matters(t *Test) { t.Matters = true }

func by(who string) func(*Test) { return func(t *Test) { t.Licensed, t.Matters = who, true } }

func of(id string) func(*Test) { return func(t *Test) { t.Of = id } }

func least(kg float64, unit string) func(*Test) {
	return func(t *Test) { t.Least, t.Unit = math.Round(10*kg)/10, unit }
}

func most(x float64, unit string) func(*Test) {
	return func(t *Test) { t.Most, t.Unit = math.Round(100*x)/100, unit }
}

// here tells whether an item belongs to what is handed over now.
func (g *gather) here(item *fitout.Item) bool {
	return item.Work.Now() && item.Work != fitout.WorkExisting
}

// motion tries what slides, swings, latches and carries.
func (g *gather) motion() {
	p := g.p
	for i := range p.Items {
		item := &p.Items[i]
		m := item.Module
		if m == nil || !g.here(item) {
			continue
		}
		name := words.Lower(item.Name)
		if len(m.Fixings) > 0 {
			g.add(
				"motion",
				"fixings/"+item.ID,
				"Fixings of "+name,
				"every bolt torqued and marked; nothing moves when it is shaken",
				of(item.ID),
				matters,
			)
		}
		leaves := module.Leaves(item)
		if len(leaves) == 0 {
			continue
		}
		l := leaves[0]
		travel := math.Max(
			math.Abs(l.Open.Middle().X-l.Closed.Middle().X),
			math.Abs(l.Open.Middle().Y-l.Closed.Middle().Y),
		)
		if m.Runner != fitout.NoRunner && m.Runner != "" {
			g.add(
				"motion",
				"slide/"+item.ID,
				words.Capital(name)+" out and in",
				"runs out loaded to its full way, locks out, locks in, and "+
					"holds on the slope of a ramp",
				of(item.ID),
				least(travel-10, "mm"),
				matters,
			)
		} else {
			g.add("motion", "lid/"+item.ID, words.Capital(name)+" open and shut", "opens all the way past its neighbours, stays open by "+
				"itself, shuts without force", of(item.ID))
		}
		if m.Latch != fitout.NoLatch {
			g.add(
				"motion",
				"latch/"+item.ID,
				"Latch of "+name,
				"shuts by itself, and a hard pull by hand does not open it",
				of(item.ID),
				matters,
			)
		}
	}
	for i := range p.Vehicle.Bays {
		b := &p.Vehicle.Bays[i]
		if b.Opening.Width > 0 && b.Sealed {
			g.add(
				"motion",
				"seal/"+b.ID,
				"Door of "+words.Lower(b.Name),
				"shuts on its seal all round: hosed for five minutes, dry inside",
			)
		}
	}
	for i := range p.Job.Handover.Locks {
		l := &p.Job.Handover.Locks[i]
		g.add(
			"motion",
			"lock/"+l.ID,
			"Lock of "+words.Lower(l.Name),
			"every key of it turns, from outside and from inside where somebody "+
				"sleeps",
			of(l.Of),
		)
	}
}

// water tries what is filled, drawn and drained.
func (g *gather) water() {
	p := g.p
	names := map[string]string{}
	for i := range p.Items {
		item := &p.Items[i]
		names[item.ID] = item.Name
		if m := item.Module; m == nil || !g.here(item) || m.Kind != fitout.WaterTank && m.Kind != fitout.WasteTank &&
			m.Kind != fitout.FuelTank {
			continue
		}
		name := words.Lower(item.Name)
		g.add(
			"water",
			"fill/"+item.ID,
			"Fill "+name,
			"full to the brim without spitting back, breathes, and is dry below after an hour",
			of(item.ID),
			matters,
		)
		g.add(
			"water",
			"drain/"+item.ID,
			"Drain "+name,
			"runs empty where it is drained, and the tap shuts tight",
			of(item.ID),
		)
	}
	f := &p.Variant.Plumbing
	for i := range f.Vessels {
		if v := &f.Vessels[i]; v.Sender == fitout.IsSo && names[v.Of] != "" {
			g.add(
				"water",
				"sender/"+v.Of,
				"Gauge of "+words.Lower(names[v.Of]),
				"reads empty, half and full as it is filled",
				of(v.Of),
			)
		}
	}
	for i := range f.Pumps {
		pump := &f.Pumps[i]
		expected := "runs, shuts off by itself, and does not start again with every tap shut"
		if pump.Flow > 0 {
			g.add("water", "pump/"+pump.ID, pump.Name, expected, of(pump.Item), least(0.8*pump.Flow, "L/min"))
			continue
		}
		g.add("water", "pump/"+pump.ID, pump.Name, expected, of(pump.Item))
	}
	for i := range f.Outlets {
		o := &f.Outlets[i]
		expected := "runs without spitting, and every joint on its way is dry"
		if o.Flow > 0 {
			g.add("water", "tap/"+o.ID, o.Name, expected, least(0.8*o.Flow, "L/min"))
			continue
		}
		g.add("water", "tap/"+o.ID, o.Name, expected)
	}
	for i := range f.Warmers {
		w := &f.Warmers[i]
		g.add(
			"water",
			"warm/"+w.ID,
			w.Name,
			"warms by what it should in the time that it should; nothing drips when it is hot",
			least(0.8*w.Rise, "°C"),
		)
	}
	if f.Air.Free > 0 {
		g.add(
			"water",
			"air",
			"Compressor",
			"fills a tyre from the pressure of sand to that of the road, and its hose reaches all wheels",
			of(f.Air.Item),
		)
	}
}
