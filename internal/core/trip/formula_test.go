package trip_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
	"zaino/internal/core/trip"
)

// A tank of 0.24 m² in plan with 1.5 m of hose of 10 mm bore, ΣK 0.5: from 0.85 to 0.60 m above the
// tap it takes 518 s, and the tap falls from 7.55 to 6.34 L/min.
func TestTapByWeight(t *testing.T) {
	c := trip.TapCoefficient(0.5, 1500, 10)
	assert.InDelta(t, 0.392, c, 0.0005)
	assert.InDelta(t, 7.55, trip.TapFlow(c, 10, 0.85), 0.005)
	assert.InDelta(t, 6.34, trip.TapFlow(c, 10, 0.60), 0.005)
	assert.InDelta(t, 518, trip.TapTime(0.24, c, 10, 0.85, 0.60), 0.5)
	assert.InDelta(t, 518, 0.24*0.25*1000/((7.55+6.34)/2)*60, 1, "what flows is what the tank loses")
	assert.Zero(t, trip.TapFlow(c, 10, -0.1), "nothing flows upward")
}

// A tyre of 265 mm, 230 mm wide on average, on a rim of 216 mm radius, 388 mm to the tread, holds
// 66.3 L; four of them from 120 to 240 kPa take 4.19 min at 75 L/min.
func TestAirOfTyres(t *testing.T) {
	v := trip.TyreVolume(230/0.87, 388, 216)
	assert.InDelta(t, 66.3, v, 0.05)
	assert.InDelta(t, v, trip.TyreVolume(265, 388, 216), 0.2)
	assert.InDelta(t, 4.19, trip.InflationTime(4, v, 120, 240, 75), 0.01)
	assert.Equal(t, 4.0, trip.WithRests(4, 5, 30))
	assert.Equal(t, 12.0+2*10, trip.WithRests(12, 5, 10), "two rests in three runs")
	assert.Equal(t, 12.0, trip.WithRests(12, 0, 10))
}

func TestFallsJugsAndWarming(t *testing.T) {
	assert.InDelta(t, 8.13, trip.FillerFall(100, 700), 0.01)
	assert.Zero(t, trip.FillerFall(-20, 700))
	assert.Equal(t, 90.0, trip.FillerFall(100, 0))
	assert.Equal(t, 3, trip.Jugs(41, 20))
	assert.Equal(t, 2, trip.Jugs(40, 20))
	assert.InDelta(t, 10*30*1.163, trip.WarmingEnergy(10, 30), 1e-9)
}

// A coupling at the rear right reaches the wheels of its side along the body, the others round the
// rear; one at the middle of the tail reaches both sides alike.
func TestHoseToTheWheels(t *testing.T) {
	v := &fitout.Vehicle{TrackFront: 1540, TrackRear: 1560, TyreRadius: 390,
		Outline: fitout.Outline{FrontOverhang: 900, RearOverhang: 1200, Width: 1900}}
	wheels := trip.WheelsOf(v, 3150)
	right := fitout.Point{X: 3600, Y: 950, Z: 590}
	var far []float64
	for i := range wheels {
		far = append(far, trip.HoseTo(v, 3150, right, &wheels[i]))
	}
	assert.InDelta(t, 3.6+0.2, far[1], 1e-9, "front right")
	assert.InDelta(t, 0.45+0.2, far[3], 1e-9, "rear right")
	assert.InDelta(t, (4.35-3.6)+(4.35-3.15)+1.9+0.2, far[2], 1e-9, "rear left, round the tail")
	assert.Greater(t, far[0], far[2])
	tail := fitout.Point{X: 4350, Z: 590}
	assert.Equal(t, trip.HoseTo(v, 3150, tail, &wheels[2]), trip.HoseTo(v, 3150, tail, &wheels[3]))
}

// The table is asked for the line with the least load above what stands on the axle; a line of the
// surface comes before one of all.
func TestTyrePressures(t *testing.T) {
	table := []fitout.TyrePressure{{ID: "a", Axle: fitout.RearAxle, UpTo: 1700, KPa: 300},
		{ID: "b", Axle: fitout.RearAxle, UpTo: 1400, KPa: 250}, {ID: "c", Axle: fitout.RearAxle, Surface: "sand", UpTo: 1700, KPa: 130},
		{ID: "d", Axle: fitout.FrontAxle, UpTo: 1300, KPa: 220}}
	of := func(surface string, load float64) string {
		line, found := trip.Pressure(table, fitout.RearAxle, surface, load)
		if !found {
			return "none"
		}
		return line.ID
	}
	assert.Equal(t, "b", of("gravel", 1400))
	assert.Equal(t, "a", of("gravel", 1401))
	assert.Equal(t, "c", of("sand", 1200))
	assert.Equal(t, "none", of("", 1701))
}
