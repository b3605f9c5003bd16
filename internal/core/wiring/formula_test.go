package wiring

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/power"
	"zaino/internal/core/quantity"
)

func TestInverterAndChargerOfTheWorkedExamples(t *testing.T) {
	assert.InDelta(t, 206.6, power.InverterInput(2000, 0, 11, 0.88), 0.05)
	assert.InDelta(t, 51.7, power.ChargerInput(40, 14.2, 12.2, 0), 0.05)
}

func TestDropOfTheWorkedExamples(t *testing.T) {
	drop := Drop(5.2, 6, 2.9, 20, false)
	assert.InDelta(t, 0.420, drop, 0.0005)
	assert.InDelta(t, 3.3, 100*drop/12.8, 0.05)
	assert.InDelta(t, drop/2, Drop(5.2, 6, 2.9, 20, true), 1e-12, "the body brings it back")
	drop = Drop(6.5, 45, 16, 60, false)
	assert.InDelta(t, 0.825, drop, 0.0005)
	assert.InDelta(t, 6.4, 100*drop/12.8, 0.05)
	assert.InDelta(t, 34.4, AreaFor(6.5, 45, 0.03*12.8, 60, false), 0.05)
}

func TestGaugesOfTheWorkedExamples(t *testing.T) {
	for gauge, area := range map[float64]float64{10: 5.26, 4: 21.15, 0: 53.5, -1: 67.4} {
		assert.InDelta(t, area, quantity.Gauge(gauge), 0.05)
	}
}

func TestCapacityInHeatAndBundles(t *testing.T) {
	in := func(area, insulation, ambient, bundle float64) float64 {
		amps, err := Capacity(area, insulation, ambient, bundle)
		require.NoError(t, err)
		return amps
	}
	assert.InDelta(t, 0.856*60, in(6, 105, 50, 0), 0.05)
	assert.InDelta(t, 0.577*60, in(6, 105, 80, 0), 0.05)
	assert.InDelta(t, 45, in(6, 75, 30, 0), 1e-9)
	assert.InDelta(t, 52.5, in(5, 105, 30, 1), 1e-9, "between 4 and 6 mm²")
	for bundle, factor := range map[float64]float64{3: 1, 4: 0.7, 6: 0.7, 7: 0.6, 24: 0.6, 25: 0.5} {
		assert.InDelta(t, 60*factor, in(6, 105, 30, bundle), 1e-9)
	}
	_, err := Capacity(6, 75, 80, 0)
	assert.ErrorContains(t, err, "accepted is one for 105 °C", "insulation for 75 °C in the engine bay")
	for _, area := range []float64{0, 0.5, 150} {
		_, err := Capacity(area, 105, 30, 0)
		assert.ErrorContains(t, err, "accepted are 0.75 to 120 mm²")
	}
}

func TestALongerCableNeverDropsLess(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := func(low, high float64) float64 { return rapid.Float64Range(low, high).Draw(t, "figure") }
		metres, amps, area, temperature := f(0.1, 30), f(0.1, 400), f(0.75, 120), f(-40, 100)
		if Drop(metres+f(0, 10), amps, area, temperature, false) < Drop(metres, amps, area, temperature, false) {
			t.Fatal("longer, and it drops less")
		}
	})
}

// For whatever current, way, heat and bundle, the proposed fuse lies between the load and
// what the proposed cable carries, or it is said that none is sold.
func TestTheFuseLiesBetweenLoadAndCable(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		amps := rapid.Float64Range(0.1, 380).Draw(t, "amps")
		kind, size, made := FuseFor(amps, rapid.Float64Range(100, 25000).Draw(t, "short"), 14)
		if !made {
			return
		}
		if size < amps*fuseMargin-1e-9 {
			t.Fatalf("%v A %s for %v A", size, kind, amps)
		}
		ambient := Ambient(rapid.SampledFrom([]fitout.HotPlace{"", fitout.OpenAir, fitout.EngineBay}).Draw(t, "hot"))
		for _, area := range Areas {
			if carried, err := Capacity(area, 105, ambient, 1); err == nil && carried >= size {
				return // the first that does is proposed
			}
		}
		most, _ := Capacity(120, 105, ambient, 1)
		if size <= most {
			t.Fatalf("no cable for %v A", size)
		}
	})
}

func TestTheNextSizeOfFuse(t *testing.T) {
	kind, size, made := FuseFor(6, 800, 14)
	assert.Equal(t, []any{fitout.BladeFuse, 7.5, true}, []any{kind, size, made})
	kind, size, _ = FuseFor(6, 1500, 14)
	assert.Equal(t, []any{fitout.MidiFuse, 30.0}, []any{kind, size}, "a blade does not break it")
	kind, size, _ = FuseFor(206.6, math.Inf(1), 14)
	assert.Equal(t, []any{fitout.ClassTFuse, 300.0}, []any{kind, size})
	_, _, made = FuseFor(450, 1000, 14)
	assert.False(t, made)
	kind, _, _ = FuseFor(6, 800, 48)
	assert.Equal(t, fitout.MidiFuse, kind, "a blade is for 32 V")
}
