package power

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
)

// The sun at 33.5° south, as the trade's page of worked examples has it.
func TestSunOfTheWorkedExample(t *testing.T) {
	noon := SunAt(-33.5, 300, 12)
	assert.InDelta(t, 970.8, noon.Flat, 0.05)
	assert.InDelta(t, 1026.5, noon.Turned(), 0.05)
	assert.InDelta(t, 1028.6, noon.Tilted(20), 0.05)
	day := func(n float64, of func(Sun) float64) float64 {
		sum := 0.0
		for i := range 144 {
			sum += of(SunAt(-33.5, n, (float64(i)+0.5)/6)) / 6000
		}
		return sum
	}
	flat, tilted := func(s Sun) float64 { return s.Flat }, func(s Sun) float64 { return s.Tilted(20) }
	assert.InDelta(t, 7.835, day(300, flat), 0.0005)
	assert.InDelta(t, 10.814, day(300, Sun.Turned), 0.0005)
	assert.InDelta(t, 7.996, day(300, tilted), 0.0005)
	assert.InDelta(t, 3.237, day(172, flat), 0.0005)
	assert.InDelta(t, 4.599, day(172, tilted), 0.0005)
}

func TestFridgeOfTheWorkedExample(t *testing.T) {
	chest := &fitout.HeatUse{Mean: 12, At: 32, AtInner: 4, Inner: 4}
	assert.InDelta(t, 12, Fridge(chest, 32), 1e-9)
	assert.InDelta(t, 7.20, Fridge(chest, 24), 0.005)
	assert.InDelta(t, 20.4, Fridge(chest, 43), 0.05)
	chest.Inner = -15
	assert.InDelta(t, 27.8, Fridge(chest, 30), 0.05)
	assert.Zero(t, Fridge(chest, -20), "colder around it than in it")
}

func TestLeadLastsLessAtAHeavyLoad(t *testing.T) {
	assert.InDelta(t, 4.59, Peukert(fitout.AGM, 105, 20), 0.005)
	assert.InDelta(t, 20, Peukert(fitout.AGM, 105, 105.0/20), 1e-9, "its capacity is that of twenty hours")
	assert.Less(t, Peukert(fitout.Flooded, 105, 20), Peukert(fitout.AGM, 105, 20))
}

func TestBatteriesInTheCold(t *testing.T) {
	assert.InDelta(t, 0.85, InTheCold(fitout.AGM, 0), 1e-9)
	assert.InDelta(t, 0.7, InTheCold(fitout.Flooded, -10), 1e-9)
	assert.InDelta(t, 0.9, InTheCold(fitout.LFP, 0), 1e-9)
	assert.InDelta(t, 0.8, InTheCold(fitout.LFP, -10), 1e-9)
	assert.Equal(t, 1.0, InTheCold(fitout.LFP, 30))
	assert.Zero(t, InTheCold(fitout.AGM, -273))
}

func TestStringOfPanelsInTheCold(t *testing.T) {
	assert.InDelta(t, 48.6, coldString(45, -1.666667), 0.05)
}

// A lamp of 628 lm into half a sphere has 100 cd: 100 lx at a metre, 25 at two.
func TestLightOfALamp(t *testing.T) {
	lamp := &fitout.LightUse{Lumens: 200 * math.Pi, Beam: 180, Away: 1000}
	assert.InDelta(t, 100, Lux(lamp), 1e-9)
	lamp.Away = 2000
	assert.InDelta(t, 25, Lux(lamp), 1e-9)
	lamp.Dimmed = 0.5
	assert.InDelta(t, 12.5, Lux(lamp), 1e-9)
}

func TestHoursLeft(t *testing.T) {
	assert.InDelta(t, 14.4, HoursLeft(1, 0.1, 160, 14, 4), 1e-9, "144 Ah at 10 A")
	assert.Equal(t, -1.0, HoursLeft(0.5, 0.1, 160, 5, 5), "no end")
	assert.Zero(t, HoursLeft(0.05, 0.1, 160, 5, 0))
}
