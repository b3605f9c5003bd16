package trip_test

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
	"zaino/internal/core/trip"
	"zaino/internal/example"
)

// A leg of 420 km, half sealed, 0.4 gravel, 0.1 track, at 13 L/100 km; and with 3300 kg instead of
// the 2700 kg at which that was found.
func TestFuelOfALeg(t *testing.T) {
	surfaces := fitout.NewBrief().Surfaces
	leg := fitout.Leg{Km: 420, Surfaces: []fitout.LegSurface{{Surface: "sealed", Share: 50},
		{Surface: "gravel", Share: 40}, {Surface: "track", Share: 10}, {Surface: "gone", Share: 70}}}
	use := trip.LegUse{Km: leg.Km, Consumption: 13, Surface: trip.SurfaceFactor(&leg, surfaces), Tow: 1,
		Mass: trip.MassFactor(0.3, 3000, 0)}
	assert.InDelta(t, 60.6, use.Litres(), 0.05)
	use.Mass = trip.MassFactor(0.3, 3300, 2700)
	assert.InDelta(t, 64.6, use.Litres(), 0.05)
	assert.Equal(t, 1.0, trip.MassFactor(0, 3300, 2700), "0 turns it off")
	use.Idle, use.IdleUse = 2, 1.5
	assert.InDelta(t, 64.6+3, use.Litres(), 0.05)
	assert.InDelta(t, (0.6+0.3*1.15+0.1*1.5)/1, trip.SurfaceFactor(&fitout.Leg{}, surfaces), 1e-9, "as in the brief")
}

// A burner of 2.2 kW takes 0.171 kg/h by its net heat value, and 4 kg last 23.4 h; by gross 0.157.
func TestGasOfABurner(t *testing.T) {
	assert.InDelta(t, 0.171, trip.GasUse(2.2, fitout.BasisNet, fitout.Propane), 0.0005)
	assert.InDelta(t, 23.4, 4/trip.GasUse(2.2, fitout.BasisNet, fitout.Propane), 0.05)
	assert.InDelta(t, 0.157, trip.GasUse(2.2, fitout.BasisGross, fitout.Propane), 0.0005)
	assert.Equal(t, trip.GasUse(2.2, fitout.BasisNet, fitout.Propane), trip.GasUse(2.2, fitout.BasisNotSaid, ""),
		"a label that does not say is taken at the worse")
	assert.InDelta(t, 0.1732, trip.GasUse(2.2, fitout.BasisNet, fitout.Butane), 0.0005)
}

// Two nights in one camp and one in the next are three nights and four days: a day on the way in,
// one in the first camp, one between the camps, one on the way out.
func TestNightsAndDaysAreToldApart(t *testing.T) {
	stops := []fitout.RouteStop{{Leg: fitout.Leg{Km: 300}}, {Leg: fitout.Leg{Km: 100}},
		{Nights: 2, Leg: fitout.Leg{Km: 50}}, {Nights: 1, Leg: fitout.Leg{Km: 80}}, {}}
	d := trip.DaysOf(stops)
	assert.Equal(t, 4, d.Count())
	assert.InDeltaSlice(t, []float64{0.75, 0.25, 1, 1, 0}, d.OnLeg, 1e-12)
	assert.InDeltaSlice(t, []float64{0, 0, 1, 0, 0}, d.At, 1e-12)
	assert.Equal(t, []int{1, 1, 1, 3, 4}, d.Arrive)
	assert.Equal(t, []int{1, 1, 3, 4, 4}, d.Leave)

	rapid.Check(t, func(t *rapid.T) {
		stops := make([]fitout.RouteStop, rapid.IntRange(1, 8).Draw(t, "stops"))
		nights := 0
		for i := range stops {
			n := rapid.IntRange(0, 3).Draw(t, "nights")
			stops[i].Nights, stops[i].Leg.Km = float64(n), float64(rapid.IntRange(0, 2).Draw(t, "km"))*100
			nights += n
		}
		d, sum := trip.DaysOf(stops), 0.0
		for i := range stops {
			sum += d.OnLeg[i] + d.At[i]
		}
		assert.InDelta(t, float64(nights+1), sum, 1e-9, "no day is lost or counted twice")
	})
}

// On Sundays the second stop sells nothing; begun on a Saturday it is reached on a Sunday.
func TestClosedDays(t *testing.T) {
	r := fitout.Route{Begins: "sat", Stops: []fitout.RouteStop{{Nights: 1}, {Closed: []fitout.Closed{{Day: "sun"}}}}}
	d := trip.DaysOf(r.Stops)
	assert.False(t, trip.Open(&r, &d, 1))
	r.Stops[1].Nights = 1
	d = trip.DaysOf(r.Stops)
	assert.True(t, trip.Open(&r, &d, 1), "who stays until Monday can fill then")
	r.Stops[1].Nights, r.Begins = 0, "fri"
	d = trip.DaysOf(r.Stops)
	assert.True(t, trip.Open(&r, &d, 1))
	r.Stops[1].Sure = fitout.Shut
	assert.False(t, trip.Open(&r, &d, 1))
}

// way draws a job with a way: tanks, a water tank and a waste tank, stops that have some of what is
// wanted, and fills that somebody decided.
func way(t *rapid.T) fitout.Job {
	j := example.Travelling()
	some := func(label string) bool { return rapid.Bool().Draw(t, label) }
	j.Brief.Camp.WasteWater = fitout.WasteCaught
	j.Vehicle.Tanks = append(j.Vehicle.Tanks, fitout.Tank{ID: "second", Name: "Second tank", Kind: fitout.TankFuel,
		Capacity: 60, Density: 0.84, At: fitout.Point{X: 3600, Z: 600}, Now: float64(rapid.IntRange(0, 60).Draw(t, "now"))})
	for _, id := range []string{"water", "waste", "gas"} {
		example.Add(&j, id+"-vessel", 8, float64(rapid.IntRange(500, 4000).Draw(t, "x")), func(i *fitout.Item) {
			i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 60, Now: 30, Density: 1}}
		})
	}
	v := &j.Variants[0]
	v.Plumbing.Vessels = []fitout.Vessel{{Of: "water-vessel", Holds: fitout.HoldsDrinking, Unusable: 2},
		{Of: "waste-vessel", Holds: fitout.HoldsWaste}, {Of: "gas-vessel", Holds: fitout.HoldsGas},
		{Of: "second", Unusable: 3, Expansion: 0.03}}
	v.Plumbing.Burners = []fitout.Burner{{ID: "stove", Name: "Stove", Vessel: "gas-vessel", KW: 2, Hours: 1},
		{ID: "heater", Name: "Heater", Vessel: "second", Litres: 0.15, Hours: 8, Heater: true, Below: 10}}
	for i := range rapid.IntRange(2, 6).Draw(t, "stops") {
		s := fitout.NewStop(fmt.Sprint("s", i), fmt.Sprint("Stop ", i))
		s.Sure = rapid.SampledFrom([]fitout.Sureness{fitout.Sure, fitout.Sure, fitout.Unsure, fitout.Shut}).
			Draw(t, "sure")
		if some("fuel") {
			s.Fuels = []fitout.FuelHad{{Fuel: fitout.Diesel, Price: 20000}}
		}
		if some("water") {
			s.Water = fitout.ByHose
		}
		s.Gas, s.Dump = some("gas"), some("dump")
		s.Nights, s.Leg.Km = float64(
			rapid.IntRange(0, 3).Draw(t, "nights"),
		), float64(
			rapid.IntRange(0, 500).Draw(t, "km"),
		)
		s.Leg.Towing = rapid.SampledFrom([]fitout.LegTowing{"", "with", "without"}).Draw(t, "towing")
		j.Route.Stops = append(j.Route.Stops, s)
		if some("decided") {
			v.Fills = append(v.Fills, fitout.StopFill{Stop: s.ID, Of: "second",
				Litres: float64(rapid.IntRange(0, 70).Draw(t, "litres"))})
		}
	}
	j.Trailer = &fitout.Trailer{Name: "Trailer", Mass: 900, Ball: 80, Braked: true, Source: fitout.DataSheet}
	j.Route.Mass = 2500
	return j
}

// What is in a vessel on leaving is what was in it on reaching the stop, less what was used there,
// and what was filled in; on a leg it falls by what the leg takes, or by what there was. Loads all
// along are those of the load engine for the same levels.
func TestNothingIsLostOnTheWay(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := way(t)
		require.NoError(t, fitout.Validate(&j))
		p := plan.Of(&j)
		c := trip.CourseOf(p)
		w := c.Follow(j.Variants[0].Fills)
		km, lacking := 0.0, 0.0
		for i := range w.Stops {
			at := &w.Stops[i]
			assert.InDelta(t, km, at.Km, 1e-9)
			for k, v := range c.Vessels {
				used := at.Arrive[k] + at.Filled[k] - at.Leave[k]
				if v.Holds == fitout.HoldsWaste {
					used = -used
				}
				assert.GreaterOrEqual(t, used, -1e-9, "only filling fills")
				if v.Holds == fitout.HoldsFuel && v.ID != "second" {
					assert.InDelta(t, 0, used, 1e-9, "nothing burns it at a stop")
				}
				assert.LessOrEqual(t, at.Leave[k], max(at.Arrive[k], v.Full)+1e-9)
				if at.Filled[k] >= 0 || v.Holds == fitout.HoldsWaste {
					assert.GreaterOrEqual(t, at.Leave[k], min(at.Arrive[k], v.Unusable)-1e-9)
				}
			}
			if i == len(w.Legs) {
				break
			}
			before, after := fuelIn(c, at.Leave), fuelIn(c, w.Stops[i+1].Arrive)
			assert.InDelta(t, w.Legs[i].Fuel, before-after+w.Legs[i].Lacking, 1e-6)
			lacking += w.Legs[i].Lacking
			km += j.Route.Stops[i].Leg.Km
		}
		for _, l := range w.Lacks {
			if l.Of == trip.WantFuel {
				lacking -= l.Litres
			}
		}
		assert.InDelta(
			t,
			0,
			lacking,
			1e-6,
			"whatever else gives out on the same leg, all the fuel that lacks is told",
		)
		for _, point := range w.Points {
			state := p.Load.Shown()
			state.Coupled = point.Leg >= 0 && w.Legs[point.Leg].Towing
			for k, v := range c.Vessels {
				if v.Tank {
					state.TankFills[v.ID] = point.Levels[k]
				} else {
					state.Levels[v.ID] = point.Levels[k]
				}
			}
			in := limits.In(p, &state)
			assert.InDelta(t, in.Axles.Front, point.Loads.Front, 1e-6)
			assert.InDelta(t, in.Axles.Rear, point.Loads.Rear, 1e-6)
			assert.InDelta(t, in.Axles.Gross(), point.Loads.Gross, 1e-6)
			if state.Coupled {
				assert.InDelta(
					t,
					in.Axles.Gross()+p.Load.Towing.TrailerAxle+in.Moments.Towed,
					point.Loads.Combination,
					1e-6,
				)
			}
		}
	})
}

func fuelIn(c *trip.Course, levels []float64) float64 {
	sum := 0.0
	for k, v := range c.Vessels {
		if v.Holds == fitout.HoldsFuel {
			sum += levels[k]
		}
	}
	return sum
}

// Whatever is proposed can be driven: the reserve is kept at the end of every leg, and what the
// proposal says of the loads is what following it shows. None is lighter than the lightest, none
// cheaper than the cheapest, and none kinder to the axles than the bound.
func TestWhatIsProposedCanBeDriven(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := way(t)
		j.Vehicle.Limits.RearAxle.Kg, j.Vehicle.Limits.FrontAxle.Kg, j.Vehicle.Limits.Gross.Kg = 1600, 1400, 2900
		j.Variants[0].Plumbing.Burners = j.Variants[0].Plumbing.Burners[:1] // nothing burns fuel while standing
		c := trip.CourseOf(plan.Of(&j))
		light := c.Propose(trip.Lightest)
		for _, manner := range trip.Manners {
			p := c.Propose(manner)
			require.Equal(t, light.Refuse == nil, p.Refuse == nil, manner)
			if p.Refuse != nil {
				continue
			}
			for i := range p.Way.Legs {
				assert.GreaterOrEqual(
					t,
					p.Way.Legs[i].Left,
					p.Way.Legs[i].Reserve-0.1*float64(i+1),
					"%s, leg %d",
					manner,
					i,
				)
			}
			if manner == trip.WithinAxle {
				assert.GreaterOrEqual(t, p.Worst.Share(), p.Bound-2e-3)
				assert.LessOrEqual(t, p.Worst.Share(), light.Worst.Share()+1e-3)
			}
		}
	})
}

// Without stops the way is that of the brief: so many km between fuel, so many nights.
func TestTheBriefIsATripAlready(t *testing.T) {
	j := example.Travelling()
	j.Brief.Trip.FuelDistance, j.Brief.Trip.Nights = 840, 5
	c := trip.CourseOf(plan.Of(&j))
	w := c.Follow(nil)
	assert.Equal(t, 6, w.Days.Count(), "n nights are n + 1 days of drinking")
	assert.Equal(t, 840.0, w.Stops[len(w.Stops)-1].Km)
	assert.False(t, math.IsNaN(w.Points[0].Loads.Rear))
}

// sixty is a way of sixty legs with twelve vessels and a hundred things aboard.
func sixty() fitout.Job {
	j := example.Travelling()
	for i := range 100 {
		example.Add(&j, fmt.Sprint("thing-", i), 3, 2400)
	}
	for i := range 11 {
		id := fmt.Sprint("vessel-", i)
		example.Add(&j, id, 2, 2600+50*float64(i), func(item *fitout.Item) {
			item.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 40, Now: 40, Density: 1}}
		})
		holds := []fitout.Contents{fitout.HoldsDrinking, fitout.HoldsWash, fitout.HoldsFuel, fitout.HoldsWaste}[i%4]
		j.Variants[0].Plumbing.Vessels = append(j.Variants[0].Plumbing.Vessels, fitout.Vessel{Of: id, Holds: holds})
	}
	for i := range 61 {
		s := fitout.NewStop(fmt.Sprint("s", i), fmt.Sprint("Stop ", i))
		s.Leg.Km, s.Nights = 80, float64(i%3)
		if i%4 == 0 {
			s.Fuels, s.Water, s.Dump = []fitout.FuelHad{{Fuel: fitout.Diesel, Price: 20000}}, fitout.ByHose, true
		}
		j.Route.Stops = append(j.Route.Stops, s)
	}
	return j
}

func BenchmarkFollowSixtyLegsTwelveVessels(b *testing.B) {
	j := sixty()
	c := trip.CourseOf(plan.Of(&j))
	for b.Loop() {
		c.Follow(nil)
	}
}

// The card tells what the table says for the load that stands on each axle now, on each surface that
// has a line of its own; and where it says nothing.
func TestPressuresOnTheCard(t *testing.T) {
	j := example.Travelling()
	j.Variants[0].Plumbing.Pressures = []fitout.TyrePressure{
		{ID: "a", Axle: fitout.RearAxle, UpTo: 1900, KPa: 300, Bags: 100},
		{ID: "b", Axle: fitout.RearAxle, Surface: "sand", UpTo: 1900, KPa: 130, Note: "slowly"},
		{ID: "c", Axle: fitout.FrontAxle, UpTo: 900, KPa: 200},
	}
	lines := trip.PressureLines(plan.Of(&j))
	require.Len(t, lines, 2)
	assert.Contains(t, lines[0], "not in the workshop's table")
	assert.Contains(t, lines[1], "300\u00a0kPa, bags 100\u00a0kPa; on soft sand or mud 130\u00a0kPa, slowly. Cold")
	j.Variants[0].Plumbing.Pressures = nil
	assert.Empty(t, trip.PressureLines(plan.Of(&j)))
}
