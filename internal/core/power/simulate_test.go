package power

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

func span(from, to float64) fitout.Span {
	return fitout.Span{ID: fmt.Sprint("s", int(from*60)), From: from, To: to, Share: 1}
}

// tourer is the house of the worked example: lithium of 160 Ah, a fridge, a light, a
// computer, a kettle by an inverter, a flat panel and a charger in the morning.
func tourer() fitout.Electrics {
	e := fitout.NewElectrics()
	e.Systems = []fitout.PowerSystem{{ID: "house", Name: "House", Kind: fitout.HouseSystem, Voltage: 12, Full: 1,
		Battery: fitout.Battery{Chemistry: fitout.LFP, Capacity: 160, Parallel: 1, Charge: 80, Discharge: 150}}}
	e.Inverters = []fitout.Inverter{{ID: "inverter", Name: "Inverter", System: "house", Watts: 1500, Standby: 10,
		Efficiency: 0.88}}
	e.Loads = []fitout.PowerLoad{
		{ID: "fridge", Name: "Fridge", System: "house", Count: 1, Use: fitout.UseHeat,
			Heat: &fitout.HeatUse{Mean: 14, At: 32, AtInner: 4, Inner: 4}},
		{ID: "light", Name: "Light", System: "house", Count: 1, Watts: 8, Use: fitout.UseSpans,
			Spans: []fitout.Span{span(18.5, 22)}},
		{ID: "computer", Name: "Computer", System: "house", Count: 1, Watts: 45, Use: fitout.UseSpans,
			Spans: []fitout.Span{span(19, 21)}},
		{ID: "kettle", Name: "Kettle", Inverter: "inverter", Count: 1, Watts: 900, Use: fitout.UseSpans,
			Spans: []fitout.Span{span(6.5, 6.5+1.0/6), span(17, 17+1.0/6)}},
	}
	e.Sources = []fitout.PowerSource{
		{ID: "panel", Name: "Panel", Kind: fitout.Solar, System: "house", Watts: 210, Mount: fitout.FlatPanel},
		{ID: "dc-dc", Name: "Charger", Kind: fitout.Alternator, System: "house", Amps: 30},
	}
	e.Days = fitout.PowerDays{Low: 14, High: 31, Latitude: -33.5, Day: 300, Sky: fitout.ClearSky, DriveEvery: 1,
		Drives: []fitout.Span{span(8, 9.5)}}
	return e
}

func everything(string) bool { return true }

func setup(e *fitout.Electrics, nights int) *Setup {
	low, high := Temperatures(&e.Days, &fitout.Trip{})
	return NewSetup(e, nights, low, high, everything)
}

// TestARelayAndALeadChargeWhileTheEngineRuns: an hour of driving brings what goes over them,
// and nothing comes while the engine stands.
func TestARelayAndALeadChargeWhileTheEngineRuns(t *testing.T) {
	for _, kind := range []fitout.LinkKind{fitout.RelayLink, fitout.LeadLink} {
		e := tourer()
		e.Loads, e.Inverters, e.Sources = nil, nil, nil
		e.Systems[0].Full = 0.5
		start := e.Systems[0]
		start.ID, start.Name, start.Kind, start.Full = "start", "Start", fitout.StartSystem, 1
		start.Battery.Chemistry = fitout.Flooded
		e.Systems = append(e.Systems, start)
		e.Links = []fitout.PowerLink{{ID: "link", Name: "Link", Kind: kind, From: "start", To: "house", Amps: 20}}
		e.Days.Drives = []fitout.Span{span(8, 9)}
		house := setup(&e, 1).Run(AsPlanned, nil).Systems[0]
		assert.InDelta(t, 20, house.Offered, 1e-9, kind)
		assert.InDelta(t, 0.5+0.99*20/160, house.End, 1e-9, kind)

		e.Days.Drives = nil
		assert.Zero(t, setup(&e, 1).Run(AsPlanned, nil).Systems[0].Offered, kind)
	}
}

func TestOneDayOfTheWorkedExample(t *testing.T) {
	e := tourer()
	house := setup(&e, 1).Run(AsPlanned, nil).Systems[0]
	assert.InDelta(t, 50.84, house.Used, 0.005)
	assert.InDelta(t, 141.78, house.Offered, 0.005)
	assert.InDelta(t, 15.87, house.Taken, 0.005)
	assert.InDelta(t, 84.7, 100*house.End, 0.05)
	assert.InDelta(t, 84.7, 100*house.Lowest, 0.05, "midnight is the lowest")
	assert.Equal(t, 24.0, house.LowestAt)
	assert.Less(t, house.OutAt, 0.0)
}

func TestNineDaysOfTheWorkedExample(t *testing.T) {
	e := tourer()
	e.Days.DriveEvery, e.Days.Sky = 0, fitout.MixedSky
	mixed := setup(&e, 9).Run(AsPlanned, nil).Systems[0]
	assert.InDelta(t, 75.1, 100*mixed.Lowest, 0.05)
	assert.InDelta(t, 30.7, mixed.LowestAt, 0.05)
	assert.InDelta(t, 84.2, 100*mixed.End, 0.05)

	e.Days.Sky = fitout.OvercastSky
	overcast := setup(&e, 9).Run(AsPlanned, nil).Systems[0]
	assert.InDelta(t, 126.6, overcast.OutAt, 0.05)
	assert.InDelta(t, 10, 100*overcast.Lowest, 0.05)
}

// drawn is a house of any kind, with a station beside it that it charges.
func drawn(t *rapid.T) fitout.Electrics {
	e := tourer()
	f := func(name string, low, high float64) float64 { return rapid.Float64Range(low, high).Draw(t, name) }
	b := &e.Systems[0].Battery
	b.Chemistry = rapid.SampledFrom([]fitout.Chemistry{fitout.LFP, fitout.AGM, fitout.Gel, fitout.Flooded}).Draw(t, "of")
	b.Capacity, b.Charge, e.Systems[0].Full = f("Ah", 20, 400), f("most", 5, 200), f("full", 0, 1)
	b.Parallel = float64(rapid.IntRange(1, 3).Draw(t, "parallel"))
	station := e.Systems[0]
	station.ID, station.Kind, station.Battery.Capacity = "station", fitout.StationSystem, f("station", 10, 100)
	e.Systems = append(e.Systems, station)
	e.Chargers = []fitout.Charger{
		{ID: "feed", Name: "Feed", System: "station", From: "house", Amps: f("feed", 1, 30), For: "any"},
		{ID: "mppt", Name: "Controller", System: "house", Amps: f("mppt", 1, 60), For: "any"},
	}
	e.Sources[0].Charger, e.Sources[0].Watts, e.Sources[0].Amps = "mppt", f("sun", 0, 800), 0
	e.Sources[1].Amps = f("dc", 0, 60)
	e.Loads[2].System, e.Loads[2].Watts, e.Loads[2].Shed = "station", f("computer", 0, 400), f("shed", 0, 0.9)
	e.Loads[3].Watts, e.Loads[3].Spans[0].To = f("kettle", 0, 2500), f("to", 6.5, 24)
	e.Days.Sky = rapid.SampledFrom([]fitout.Sky{fitout.ClearSky, fitout.MixedSky, fitout.OvercastSky}).Draw(t, "sky")
	e.Days.Low, e.Days.High, e.Days.Begin = f("low", -20, 15), f("high", 15, 45), f("begin", 0, 24)
	e.Days.DriveEvery = float64(rapid.IntRange(0, 3).Draw(t, "driven"))
	return e
}

// What comes in is stored, used, not taken, or lost: whatever runs out, is shed, freezes or
// charges something else.
func TestNothingComesFromNothing(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		e := drawn(t)
		r := setup(&e, rapid.IntRange(1, 6).Draw(t, "nights")).Run(AsPlanned, nil)
		for i := range r.Systems {
			of := &r.Systems[i]
			sum := of.Stored + of.Used + of.NotTaken + of.Lost
			if math.Abs(of.Offered-sum) > 1e-6*(1+of.Offered) {
				t.Fatalf("%s: %v Ah came in, %v are told", e.Systems[i].ID, of.Offered, sum)
			}
			for n, charge := range of.Charge {
				if charge < 0 || charge > 1 || math.IsNaN(charge) {
					t.Fatalf("%s: state of charge %v in step %d", e.Systems[i].ID, charge, n)
				}
			}
		}
		// and every load's use is in its system's
		used := 0.0
		for i := range r.Loads {
			if e.Loads[i].System == "station" {
				used += r.Loads[i].Used
			}
		}
		if math.Abs(used-r.Systems[1].Used) > 1e-6*(1+used) {
			t.Fatalf("the station gave %v Ah, its loads had %v", r.Systems[1].Used, used)
		}
	})
}

// More sun never lowers the line, while nothing is shed: what is dropped by a threshold may
// come back and be dropped again at another hour.
func TestMoreSunNeverLowersTheLine(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		e := drawn(t)
		for i := range e.Loads {
			e.Loads[i].Shed = 0
		}
		e.Chargers = e.Chargers[1:] // the house alone
		less := setup(&e, 4).Run(AsPlanned, nil).Systems[0]
		e.Sources[0].Watts += rapid.Float64Range(0, 400).Draw(t, "more")
		more := setup(&e, 4).Run(AsPlanned, nil).Systems[0]
		for n := range less.Charge {
			if more.Charge[n] < less.Charge[n]-1e-9 {
				t.Fatalf("step %d: %v with more sun, %v with less", n, more.Charge[n], less.Charge[n])
			}
		}
	})
}

// Half the step says the same, within half a hundredth.
func TestTheStepIsSmallEnough(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		e := drawn(t)
		for i := range e.Loads {
			e.Loads[i].Shed = 0
		}
		e.Systems[0].Full, e.Systems[1].Full = 1, 1
		e.Systems[0].Battery.Capacity *= 10
		e.Systems[1].Battery.Capacity *= 20
		e.Days.Begin = 0
		for i := range e.Loads[3].Spans {
			s := &e.Loads[3].Spans[i]
			s.To = math.Round(s.To*6) / 6
		}
		coarse, fine := setup(&e, 3), setup(&e, 3)
		fine.steps = 288
		a, b := coarse.Run(AsPlanned, nil), fine.Run(AsPlanned, nil)
		for i := range a.Systems {
			x, y := &a.Systems[i], &b.Systems[i]
			if x.OutAt >= 0 || y.OutAt >= 0 { // when it runs out is the same; what follows hangs on the minute
				if math.Abs(x.OutAt-y.OutAt) > 0.005*72 {
					t.Fatalf("%s: out after %v h by ten minutes, %v by five", e.Systems[i].ID, x.OutAt, y.OutAt)
				}
				return
			}
			whole := coarse.Systems[i].Capacity
			for _, pair := range [][2]float64{{x.Used, y.Used}, {x.Offered, y.Offered}, {whole * x.End, whole * y.End},
				{whole * x.Lowest, whole * y.Lowest}} {
				if math.Abs(pair[0]-pair[1]) > 0.005*max(pair[0], pair[1], whole/10)+1e-6 {
					t.Fatalf("%s: %v by ten minutes, %v by five", e.Systems[i].ID, pair[0], pair[1])
				}
			}
		}
	})
}

func TestChargersInARingAreLeftOut(t *testing.T) {
	e := tourer()
	e.Systems = append(e.Systems, e.Systems[0])
	e.Systems[1].ID = "second"
	e.Chargers = []fitout.Charger{
		{ID: "there", Name: "There", System: "second", From: "house", Amps: 20, For: "any"},
		{ID: "back", Name: "Back", System: "house", From: "second", Amps: 20, For: "any"},
	}
	s := setup(&e, 2)
	require.Equal(t, []string{"back"}, s.Rings)
	assert.Greater(t, s.Run(AsPlanned, nil).Systems[1].Offered, 0.0, "the other one works")
}

func TestWhatIsShedComesBack(t *testing.T) {
	e := tourer()
	e.Days.DriveEvery, e.Loads[2].Shed = 0, 0.9
	r := setup(&e, 3).Run(AsPlanned, nil)
	assert.Greater(t, r.Loads[2].Missed, 0.0)
	assert.Greater(t, r.Loads[2].Used, 0.0)
	assert.InDelta(t, 3*2*45/12.8, r.Loads[2].Used+r.Loads[2].Missed, 0.01, "two hours on three days, here or not")
}

// A charger that takes from the alternator and from a panel shares its current: the sun
// first, and never more than its own.
func TestOneChargerForSunAndAlternator(t *testing.T) {
	e := tourer()
	e.Systems = append(e.Systems, fitout.PowerSystem{ID: "start", Name: "Start", Kind: fitout.StartSystem, Voltage: 12,
		Full:    1,
		Battery: fitout.Battery{Chemistry: fitout.Flooded, Capacity: 80, Parallel: 1}})
	e.Chargers = []fitout.Charger{{ID: "both", Name: "Both", System: "house", From: "start", Amps: 20, For: "any"}}
	e.Sources[0].System, e.Sources[0].Charger, e.Sources[0].Watts = "", "both", 600
	e.Sources[1] = fitout.PowerSource{ID: "alternator", Name: "Alternator", Kind: fitout.Alternator, System: "start",
		Amps: 120}
	both := setup(&e, 1).Run(AsPlanned, nil)
	for n, ah := range both.Systems[0].In {
		assert.LessOrEqual(t, ah, 20.0/6+1e-9, "step %d", n)
	}
	e.Sources[0].Watts = 0
	driven := setup(&e, 1).Run(AsPlanned, nil)
	assert.InDelta(t, 30, driven.Systems[0].Offered, 1e-6, "an hour and a half of 20 A")
	assert.Greater(t, both.Systems[0].Offered, 100.0)
	assert.Less(t, both.Systems[1].Used, driven.Systems[1].Used, "what the sun gives the alternator need not")
}

func TestLithiumTakesNothingInFrost(t *testing.T) {
	e := tourer()
	e.Days.Low, e.Days.High = -20, -5
	r := setup(&e, 1).Run(AsPlanned, nil).Systems[0]
	assert.Zero(t, r.Taken)
	assert.Greater(t, r.FrozenOut, 20.0)
	e.Systems[0].Battery.Heated = true
	assert.Greater(t, setup(&e, 1).Run(AsPlanned, nil).Systems[0].Taken, 0.0)
}

func BenchmarkThirtyDaysTwentyLoads(b *testing.B) {
	e := tourer()
	for i := range 16 {
		l := e.Loads[i%4]
		l.ID = fmt.Sprint("load", i)
		e.Loads = append(e.Loads, l)
	}
	for b.Loop() {
		setup(&e, 30).Run(AsPlanned, nil)
	}
}
