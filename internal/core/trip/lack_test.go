package trip_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/trip"
	"zaino/internal/example"
)

// tooLong are the findings of legs that are too long, in the order of the way.
func tooLong(j *fitout.Job) []fitout.Finding {
	var found []fitout.Finding
	p := plan.Of(j)
	for _, rule := range trip.Engine().Rules {
		for _, f := range rule(p) {
			if f.Rule == "leg-too-long" {
				found = append(found, f)
			}
		}
	}
	return found
}

// unfuelled is a way of four legs with a pump nowhere but where said, on a tank of 80 L that is full.
func unfuelled(km float64, pumps ...int) fitout.Job {
	j := example.Ute()
	for i := range 5 {
		s := fitout.NewStop(fmt.Sprint("s", i), fmt.Sprint("Stop ", i))
		s.Leg.Km = km
		j.Route.Stops = append(j.Route.Stops, s)
	}
	for _, i := range pumps {
		j.Route.Stops[i].Fuels = []fitout.FuelHad{{Fuel: fitout.Diesel}}
	}
	return j
}

// What is missing is counted to the end of the stretch and not only to the leg on which the reserve is
// touched, by pencil: 4 legs of 240 km at 11 L/100 km take 105.6 L; with 15 L kept back and 80 L aboard,
// 40.6 L are missing.
func TestWhatIsMissingIsCountedUpToTheNextPump(t *testing.T) {
	j := unfuelled(240)
	j.Brief.Assumptions.Consumption, j.Brief.Assumptions.FuelReserve = 11, 15
	j.Brief.Surfaces, j.Route.ByMass = nil, 0
	j.Vehicle.Tanks = []fitout.Tank{
		{ID: "fuel", Name: "Tank", Kind: fitout.TankFuel, Capacity: 80, Now: 80, Density: 0.84,
			At: fitout.Point{X: 2000, Z: 600}},
	}
	found := tooLong(&j)
	require.Len(t, found, 1, "one stretch, one finding")
	assert.InDelta(t, -40.6, found[0].Margin, 0.05)
	assert.Contains(t, found[0].Sentence, "41\u00a0L too little up to Stop 4")
	assert.Contains(t, found[0].Sentence, "full already at the start", "bringing more from the start is no way out")

	j.Vehicle.Tanks[0].Now = 40
	found = tooLong(&j)
	assert.InDelta(t, -80.6, found[0].Margin, 0.05)
	assert.Contains(t, found[0].Sentence, "take only 40\u00a0L more at the start")
	j.Vehicle.Tanks[0].Capacity = 200
	assert.Contains(t, tooLong(&j)[0].Sentence, "bring that much more at the start")
}

// Where the reserve is touched on one leg and the tank runs dry on a later one before any pump, that is no matter of
// a reserve: it stops the way, at the leg on which it runs dry. 80 L last for three legs of 24 L, and 8 L of the
// fourth.
func TestATankThatRunsDryLaterStopsTheWay(t *testing.T) {
	j := unfuelled(240)
	j.Brief.Assumptions.Consumption, j.Brief.Assumptions.FuelReserve = 10, 40
	j.Brief.Surfaces, j.Route.ByMass = nil, 0
	j.Vehicle.Tanks = []fitout.Tank{
		{ID: "fuel", Name: "Tank", Kind: fitout.TankFuel, Capacity: 200, Now: 80, Density: 0.84,
			At: fitout.Point{X: 2000, Z: 600}},
	}
	found := tooLong(&j)
	require.Len(t, found, 1)
	assert.Equal(t, fitout.Stop, found[0].Severity)
	assert.Equal(t, "s3", found[0].Subject.ID)
	assert.Contains(t, found[0].Sentence, "gives out 160\u00a0km before it")
	assert.InDelta(t, -56, found[0].Margin, 0.05, "96 and 40 wanted, 80 there")
	j.Vehicle.Tanks[0].Now = 100
	found = tooLong(&j)
	assert.Equal(t, fitout.Caution, found[0].Severity, "4 L are left: only the reserve is touched")
	assert.Equal(t, "s2", found[0].Subject.ID)
}

// Of the legs that lack one after the other each stretch between two pumps has its own finding.
func TestEachStretchLacksForItself(t *testing.T) {
	j := unfuelled(800, 2)
	j.Brief.Assumptions.Consumption, j.Brief.Assumptions.FuelReserve = 10, 0
	j.Brief.Surfaces, j.Route.ByMass = nil, 0
	j.Vehicle.Tanks = []fitout.Tank{
		{ID: "fuel", Name: "Tank", Kind: fitout.TankFuel, Capacity: 80, Now: 80, Density: 0.84,
			At: fitout.Point{X: 2000, Z: 600}},
	}
	found := tooLong(&j)
	require.Len(t, found, 2)
	for _, f := range found {
		assert.InDelta(t, -80, f.Margin, 0.05, f.Sentence)
	}
	assert.Contains(t, found[0].Sentence, "up to Stop 2")
	assert.Contains(t, found[1].Sentence, "up to Stop 4")
}

// Whoever brings what a finding says is missing is not told so again on that stretch, and with a litre
// less is: what it is short of is neither too little nor too much.
func TestWhatIsSaidToBeMissingMends(t *testing.T) {
	mended := 0
	rapid.Check(t, func(t *rapid.T) {
		j := unfuelled(float64(rapid.IntRange(50, 600).Draw(t, "km")))
		for i := range j.Route.Stops {
			j.Route.Stops[i].Leg.Km += float64(rapid.IntRange(0, 300).Draw(t, "more km"))
			j.Route.Stops[i].Nights = float64(rapid.IntRange(0, 1).Draw(t, "nights"))
			if i > 0 && rapid.IntRange(0, 3).Draw(t, "pump") == 0 {
				j.Route.Stops[i].Fuels = []fitout.FuelHad{{Fuel: fitout.Diesel}}
			}
		}
		j.Route.Mass, j.Route.ByMass = 2500, 0.3
		j.Brief.Assumptions.FuelReserve = float64(rapid.IntRange(0, 30).Draw(t, "reserve"))
		j.Vehicle.Tanks = []fitout.Tank{
			{ID: "fuel", Name: "Tank", Kind: fitout.TankFuel, Capacity: 2000, Density: 0.84,
				Now: float64(rapid.IntRange(20, 120).Draw(t, "now")), At: fitout.Point{X: 2000, Z: 600}},
		}
		found := tooLong(&j)
		if len(found) == 0 || j.Route.Stops[0].ID != found[0].Subject.ID && pumpBefore(&j, found[0].Subject.ID) {
			return
		}
		mended++
		for _, by := range []float64{1, -1} {
			k := j
			k.Vehicle.Tanks = []fitout.Tank{j.Vehicle.Tanks[0]}
			k.Vehicle.Tanks[0].Now += -found[0].Margin + by*max(0.5, -0.03*found[0].Margin)
			again := tooLong(&k)
			told := len(again) > 0 && !pumpBefore(&k, again[0].Subject.ID)
			assert.Equal(t, by < 0, told, "%s\n%v", found[0].Sentence, again)
		}
	})
	assert.Greater(t, mended, 20)
}

// pumpBefore tells whether a stop, or one before it, has a pump.
func pumpBefore(j *fitout.Job, stop string) bool {
	for i := range j.Route.Stops {
		if len(j.Route.Stops[i].Fuels) > 0 {
			return true
		}
		if j.Route.Stops[i].ID == stop {
			return false
		}
	}
	return false
}
