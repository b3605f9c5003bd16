package ride

import (
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
	assert.Equal(t, Suspension{Rate: 65, Bump: 110, Lift: 20}, On(&v, fitout.RearAxle))
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
