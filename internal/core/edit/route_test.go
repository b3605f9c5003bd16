package edit_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/trip"
	"zaino/internal/demo"
)

func river(t *testing.T) fitout.Job {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	return jobs[0]
}

func applied(t *testing.T, j fitout.Job, e fitout.FixEdit) fitout.Job {
	t.Helper()
	changed, err := edit.Apply(&j, nil, []fitout.FixEdit{e})
	require.NoError(t, err)
	return changed
}

// A stop that is put onto the way halves its leg: nothing of the km, the hours and the surfaces is
// lost, and it lies on the line. Taken off again the way is as long as before.
func TestAStopIsPutOntoTheWayAndTakenOff(t *testing.T) {
	j := river(t)
	km := j.Route.Km()
	with := applied(t, j, fitout.FixEdit{Kind: "route-stop", Value: 300})
	require.Len(t, with.Route.Stops, len(j.Route.Stops)+1)
	s := with.Route.Stops[3]
	assert.Equal(t, "Stop at km 300", s.Name)
	assert.InDelta(t, 300-178-77.2, with.Route.Stops[2].Leg.Km, 0.011)
	assert.InDelta(t, km, with.Route.Km(), 0.011)
	assert.InDelta(t, j.Route.Stops[2].Leg.Hours, with.Route.Stops[2].Leg.Hours+s.Leg.Hours, 1e-9)
	assert.Equal(t, j.Route.Stops[2].Leg.Surfaces, s.Leg.Surfaces)
	require.NotNil(t, s.Place)
	before, after := *j.Route.Stops[2].Place, *j.Route.Stops[3].Place
	assert.Less(t, trip.Apart(before, *s.Place), 46.0, "no further than the way")
	assert.Less(t, trip.Apart(*s.Place, after), 93.0)
	assert.Len(t, j.Route.Stops, 9, "the job that was given is as it was")

	without := applied(t, with, fitout.FixEdit{Kind: "route-without", ID: s.ID})
	assert.InDelta(t, km, without.Route.Km(), 0.011)
	assert.Len(t, without.Route.Stops, 9)
	for _, value := range []float64{0, -5, 946.1, 178} {
		_, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "route-stop", Value: value}})
		assert.Error(t, err, "%v is no place between two stops", value)
	}
}

// What the brief says becomes a way with stops; of a way that is there already nothing changes.
func TestTheBriefBecomesAWay(t *testing.T) {
	j := river(t)
	assert.Equal(t, j.Route, applied(t, j, fitout.FixEdit{Kind: "route-of-brief"}).Route)
	j.Route.Stops = []fitout.RouteStop{}
	with := applied(t, j, fitout.FixEdit{Kind: "route-of-brief"})
	assert.Equal(t, j.Brief.Trip.FuelDistance, with.Route.Km())
	assert.Equal(t, j.Brief.Trip.Nights, with.Route.Stops[1].Nights)
	assert.Equal(t, fitout.Diesel, with.Route.Stops[0].Fuels[0].Fuel)
}

// Each stop becomes a case of Load in which the vessels hold what they hold on leaving it, so that
// Load says of it what Range says; made again they are brought up to date, not doubled.
func TestTheTripFeedsLoad(t *testing.T) {
	j := applied(t, river(t), fitout.FixEdit{Kind: "trip-cases"})
	cases := j.Variants[0].Cases
	again := applied(t, j, fitout.FixEdit{Kind: "trip-cases"})
	assert.Equal(t, cases, again.Variants[0].Cases)
	p := plan.Of(&j)
	l := trip.LookAt(p)
	found := 0
	for i := range cases {
		for k := range l.W.Legs {
			if cases[i].ID != "leaving-"+l.C.Route.Stops[k].ID {
				continue
			}
			found++
			state, err := edit.ShowState(&j, "case:"+cases[i].ID)
			require.NoError(t, err)
			shown := plan.Of(&state)
			assert.InDelta(t, l.W.Stops[k].Loads.Rear, shown.Load.Axles().Rear, 0.3, cases[i].Name)
			assert.InDelta(t, l.W.Stops[k].Loads.Front, shown.Load.Axles().Front, 0.3, cases[i].Name)
		}
	}
	assert.Equal(t, len(l.W.Legs), found)
}

// The days of the trip are those of power: its nights, which of them are driven and have mains.
func TestTheTripFeedsPower(t *testing.T) {
	j := applied(t, river(t), fitout.FixEdit{Kind: "trip-days"})
	d := j.Variants[0].Electrics.Days
	assert.Equal(t, 9.0, d.Count)
	require.Len(t, d.Own, 10)
	drives, mains := "", ""
	for _, day := range d.Own {
		drives += map[bool]string{true: "d", false: "-"}[day.Drives]
		mains += map[bool]string{true: "m", false: "-"}[day.Mains]
	}
	assert.Equal(t, "d-d--d--dd", drives, "two nights, three, three, one")
	assert.Equal(t, "--------m-", mains, "at Brannock")
	assert.Equal(t, -4.0, d.Low, "the frost hollow")
	// (2.6+2.2) + (4.1+2) + (3.8+1.8) + 2.4 + 2.5 hours on five days
	assert.InDelta(t, 8+21.4/5, d.Drives[0].To, 0.06)
}

// A pump and a warmer are counted among the loads by what they take a day; counted again they are
// brought up to date, not doubled.
func TestThePlumbingFeedsPower(t *testing.T) {
	j := river(t)
	v := &j.Variants[0]
	v.Plumbing.Warmers = []fitout.Warmer{{ID: "boiler", Name: "Boiler", Litres: 4, Rise: 30, Times: 2, By: fitout.WarmedByPower, Watts: 300}}
	j = applied(t, j, fitout.FixEdit{Kind: "plumbing-power", ID: "boiler"})
	j = applied(t, j, fitout.FixEdit{Kind: "plumbing-power", ID: "water-pump"})
	again := applied(t, j, fitout.FixEdit{Kind: "plumbing-power", ID: "water-pump"})
	assert.Equal(t, j.Variants[0].Electrics.Loads, again.Variants[0].Electrics.Loads)
	loads := map[string]fitout.PowerLoad{}
	for _, l := range j.Variants[0].Electrics.Loads {
		loads[l.ID] = l
	}
	assert.InDelta(t, 4*30*1.163, loads["plumbing-boiler"].EventWh, 1e-6)
	assert.Equal(t, 2.0, loads["plumbing-boiler"].Events)
	pump := loads["plumbing-water-pump"]
	// Two people wash with 2 L a day each at 8 L/min and 5.8 A, on 12 V.
	assert.InDelta(t, 4.0/8/60*5.8*12, pump.EventWh*pump.Events, 1e-6)
	_, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "plumbing-power", ID: "gone"}})
	assert.Error(t, err)
}
