package ride

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// Worked example: wheel rates 52 and 38 N/mm, from dry (1176.0 and 781.0) to
// fully loaded without trailer (1313.3 and 1568.7).
func TestTheLoadedUteSitsDownAtTheBack(t *testing.T) {
	front, ok := Drop(1313.3-1176.0, 52)
	require.True(t, ok)
	rear, _ := Drop(1568.7-781.0, 38)
	assert.InDelta(t, 12.9, front, 0.05)
	assert.InDelta(t, 101.6, rear, 0.05)
	assert.InDelta(t, 1.6, Rake(front, rear, 3150), 0.05)
}

// clears is what a point clears that is outside the tyre.
func clears(t *testing.T, a, h, r float64) float64 {
	t.Helper()
	degrees, ok := Clear(a, h, r)
	require.True(t, ok)
	return degrees
}

// Worked example: a point 1240 behind the axle, 560 high, tyre radius 395.
func TestDepartureAngleShrinksAsTheRearGoesDown(t *testing.T) {
	assert.InDelta(t, 26.0, clears(t, 1240, 560, 395), 0.05)
	assert.InDelta(t, 21.5, clears(t, 1240, 560-101.6, 395), 0.05)

	v := fitout.Vehicle{Wheelbase: 3150, TyreRadius: 395,
		LowPoints: []fitout.LowPoint{{ID: "bar", At: fitout.Point{X: 4390, Z: 560}}}}
	angles := AnglesOf(&v, Height{Drop: 12.9, Known: true}, Height{Drop: 101.6, Known: true})
	assert.InDelta(t, 26.0, angles.Departure.Unladen, 0.05)
	assert.InDelta(t, 21.5, angles.Departure.Loaded, 0.05)
	assert.Less(t, angles.Departure.WithRake, angles.Departure.Loaded,
		"a point beyond the axle goes down further than the axle")
	assert.False(t, angles.Approach.Known, "no low point ahead of the front axle")
}

func TestAPointOnTheGroundClearsNothing(t *testing.T) {
	assert.InDelta(t, 0, clears(t, 1000, 0, 400), 1e-9)
	for _, a := range []float64{0, 100} {
		_, ok := Clear(a, 380, 400)
		assert.False(t, ok, "within the tyre, which meets the slope first")
	}
}

// Without tyre radius both sides of a ridge under the middle are plain triangles.
func TestRampOverOfAPointInTheMiddle(t *testing.T) {
	v := fitout.Vehicle{Wheelbase: 3000, TyreRadius: 1e-9,
		LowPoints: []fitout.LowPoint{{ID: "sill", At: fitout.Point{X: 1500, Z: 300}}}}
	level := Height{Known: true}
	assert.InDelta(t, 2*11.31, AnglesOf(&v, level, level).RampOver.Loaded, 0.01)
}

func TestSpringsReplaceAndAirbagsAdd(t *testing.T) {
	v := fitout.Vehicle{Rear: fitout.Axle{Rate: 38, Bump: 110}, Modifications: []fitout.Modification{
		{Kind: fitout.Springs, Counted: true, Axle: fitout.RearAxle, Rate: 55, Lift: 20},
		{Kind: fitout.Airbags, Counted: true, Axle: fitout.RearAxle, Rate: 10},
		{Kind: fitout.Springs, Counted: false, Axle: fitout.BothAxles, Rate: 90},
	}}
	assert.Equal(t, Suspension{Rate: 65, Added: 10, Bump: 110, Lift: 20}, On(&v, fitout.RearAxle))
	assert.Zero(t, On(&v, fitout.FrontAxle).Rate, "an unknown rate stays unknown")
	h := Stands(On(&v, fitout.RearAxle), 650)
	assert.InDelta(t, 49.0-20, h.Drop, 0.1)
	assert.InDelta(t, 110+20-49.0, h.Bump, 0.1)
}

// A stiffer spring never lets the vehicle down further, a heavier load never lifts it.
func TestDropGrowsWithLoadAndShrinksWithRate(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		kg, more := rapid.Float64Range(0, 2000).Draw(t, "kg"), rapid.Float64Range(0, 500).Draw(t, "more")
		rate, stiffer := rapid.Float64Range(10, 200).Draw(t, "rate"), rapid.Float64Range(0, 100).Draw(t, "stiffer")
		base, _ := Drop(kg, rate)
		heavy, _ := Drop(kg+more, rate)
		stiff, _ := Drop(kg, rate+stiffer)
		assert.GreaterOrEqual(t, heavy, base)
		assert.LessOrEqual(t, stiff, base)
	})
}

// 38 N/mm for the first 70 mm, 61 from there on. 400 kg more are 1961.3 N a side, and 70 mm take 2660 N: the
// second rate is not reached. 787.7 kg are 3862.3 N a side: 2660 N at 70 mm, and 1202.3 N over 61 N/mm are 19.7 mm
// more.
func TestASecondRateBeginsWhereItIsSaid(t *testing.T) {
	s := Suspension{Rate: 38, Second: 61, From: 70}
	soft, known := s.Drop(400)
	assert.True(t, known)
	assert.InDelta(t, 1961.33/38, soft, 0.01)
	hard, _ := s.Drop(787.7)
	assert.InDelta(t, 70+19.71, hard, 0.01)
	assert.Equal(t, 61.0, Stands(s, 787.7).Rate, "the rate that bears the last kilogram")
	assert.Equal(t, 38.0, Stands(s, 400).Rate)
	up, _ := s.Drop(-100)
	assert.InDelta(t, -980.665/76, up, 0.01, "what is lighter than unladen rises on the first rate")
}

// The force of the springs at the height told is the load, whatever their rates; and the rates that are solved for
// a height bring it there.
func TestSpringsBearTheLoadAtTheHeightTold(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := Suspension{Rate: rapid.Float64Range(15, 120).Draw(t, "rate"), Second: rapid.Float64Range(15, 200).Draw(t, "second"),
			From: rapid.Float64Range(0, 120).Draw(t, "from")}
		kg := rapid.Float64Range(1, 2500).Draw(t, "kg")
		mm, _ := s.Drop(kg)
		force := 2 * (s.Rate*math.Min(mm, s.From) + s.Second*math.Max(0, mm-s.From))
		assert.InDelta(t, kg*9.80665, force, 1e-6*force)

		want := rapid.Float64Range(10, 200).Draw(t, "want")
		one := Suspension{Rate: s.RateFor(kg, want)}
		down, _ := one.Drop(kg)
		assert.InDelta(t, want, down, 1e-6)
		if second := s.SecondFor(kg, want); second > 0 {
			two := Suspension{Rate: s.Rate, Second: second, From: s.From}
			down, _ = two.Drop(kg)
			assert.InDelta(t, want, down, 1e-6)
		}
	})
}

// Airbags add to both rates of springs that have two, and the rate that is asked for is that of the springs alone.
func TestAirbagsAddToBothRates(t *testing.T) {
	v := fitout.Vehicle{Rear: fitout.Axle{Rate: 38, Second: 61, From: 70}, Modifications: []fitout.Modification{
		{Kind: fitout.Airbags, Counted: true, Axle: fitout.RearAxle, Rate: 10}}}
	s := On(&v, fitout.RearAxle)
	assert.Equal(t, Suspension{Rate: 48, Second: 71, From: 70, Added: 10}, s)
	v.Modifications = append(v.Modifications, fitout.Modification{Kind: fitout.Springs, Counted: true, Axle: fitout.RearAxle,
		Rate: s.RateFor(800, 80)})
	down, _ := On(&v, fitout.RearAxle).Drop(800)
	assert.InDelta(t, 80, down, 1e-9)
}
