package assess_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

func TestASoundTripHasNothingToSay(t *testing.T) {
	j := touring()
	require.NoError(t, fitout.Validate(&j))
	for _, f := range assess.Of(&j).Findings {
		assert.NotContains(t, []string{"route", "plumbing"}, f.Subject.Kind, "%s: %s", f.Rule, f.Sentence)
	}
}

// tripRules has for every rule of the trip a mistake that it sees, and beside it the nearest thing
// that is none.
var tripRules = []struct {
	rule        string
	fires, near func(j *fitout.Job)
}{
	{
		"leg-too-long",
		func(j *fitout.Job) { stop(j, 1).Leg.Km = 820 },
		func(j *fitout.Job) { stop(j, 1).Leg.Km = 400 },
	},
	{
		"leg-odd",
		func(j *fitout.Job) { places(j, 12.1); stop(j, 0).Leg.Km = 60 }, // 2.1 degrees north are 233 km
		func(j *fitout.Job) { places(j, 12.1); stop(j, 0).Leg.Km = 229 },
	},
	{ // 140 and 110 km/h, and 2.8 and 5.6 km/h
		"leg-odd",
		func(j *fitout.Job) { stop(j, 0).Leg.Km, stop(j, 0).Leg.Hours = 280, 2 },
		func(j *fitout.Job) { stop(j, 0).Leg.Km, stop(j, 0).Leg.Hours = 220, 2 },
	},
	{
		"leg-odd",
		func(j *fitout.Job) { stop(j, 0).Leg.Km, stop(j, 0).Leg.Hours = 56, 20 },
		func(j *fitout.Job) { stop(j, 0).Leg.Km, stop(j, 0).Leg.Hours = 56, 10 },
	},
	{
		"tanks-too-small",
		func(j *fitout.Job) { stop(j, 1).Sure, stop(j, 1).Leg.Km, stop(j, 2).Leg.Km = fitout.Unsure, 350, 350 },
		func(j *fitout.Job) { stop(j, 1).Sure, stop(j, 1).Leg.Km, stop(j, 2).Leg.Km = fitout.Unsure, 150, 150 },
	},
	{"hangs-on-unsure", func(j *fitout.Job) {
		stop(j, 0).Leg.Km, stop(j, 1).Sure, stop(j, 1).Leg.Km = 400, fitout.Unsure, 400
		j.Variants[0].Fills = []fitout.StopFill{
			{Stop: "ford", Of: "fuel", Litres: 75},
			{Stop: "ford", Of: "second", Litres: 55},
		}
	}, func(j *fitout.Job) {
		stop(j, 1).Sure = fitout.Unsure
		j.Variants[0].Fills = []fitout.StopFill{{Stop: "ford", Of: "fuel", Litres: 75}}
	}},
	{"fuel-wrong-kind", func(j *fitout.Job) {
		stop(j, 1).Fuels[0].Fuel = fitout.Petrol
		j.Variants[0].Fills = []fitout.StopFill{{Stop: "ford", Of: "fuel", Litres: 75}}
	}, func(j *fitout.Job) { stop(j, 1).Fuels[0].Fuel = fitout.Petrol }},
	{"over-on-the-way", func(j *fitout.Job) { j.Vehicle.Limits.RearAxle.Kg = 1100 },
		func(j *fitout.Job) { j.Vehicle.Limits.RearAxle.Kg = 1110 }},
	{
		"route-longer",
		func(j *fitout.Job) { j.Brief.Trip.FuelDistance = 390 },
		func(j *fitout.Job) { j.Brief.Trip.FuelDistance = 400 },
	},
	{"route-nights", func(j *fitout.Job) { stop(j, 2).Nights = 5 }, func(j *fitout.Job) { stop(j, 2).Nights = 3 }},
	{"water-short", func(j *fitout.Job) { level(j, "drinking").Max, level(j, "drinking").Now = 40, 40 },
		func(j *fitout.Job) { level(j, "drinking").Max, level(j, "drinking").Now = 55, 55 }},
	{"wash-short", func(j *fitout.Job) {
		level(j, "drinking").Max, level(j, "drinking").Now, level(j, "washing").Max, level(j, "washing").Now = 55, 55, 4, 4
	}, func(j *fitout.Job) {
		level(j, "drinking").Max, level(j, "drinking").Now, level(j, "washing").Max, level(j, "washing").Now = 72, 72, 4, 4
	}},
	{"washes-with-drinking", func(j *fitout.Job) { level(j, "washing").Max, level(j, "washing").Now = 8, 8 },
		func(j *fitout.Job) { level(j, "washing").Max, level(j, "washing").Now = 30, 30 }},
	{"waste-full", func(j *fitout.Job) { level(j, "waste").Max, level(j, "waste").Now = 10, 0 },
		func(j *fitout.Job) { level(j, "waste").Max, level(j, "waste").Now = 20, 0 }},
	{"food-short", func(j *fitout.Job) { j.Variants[0].Plumbing.Provision = 2.5 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Provision = 1.9 }},
	{"water-carried", func(j *fitout.Job) {
		stop(j, 1).Water = fitout.ByCarried
		level(j, "drinking").Now = 20
		stop(j, 0).Water = fitout.NoWater
	},
		func(j *fitout.Job) { stop(j, 1).Water = fitout.ByCarried }},
	{"frost", func(j *fitout.Job) { j.Brief.Trip.Coldest = -3; said(j, "waste").Outside = true },
		func(j *fitout.Job) {
			j.Brief.Trip.Coldest = -3
			said(j, "waste").Outside, said(j, "waste").FrostSafe = true, true
		}},
	{"gas-short", func(j *fitout.Job) { j.Variants[0].Plumbing.Burners[0].Hours = 11 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Burners[0].Hours = 9 }},
	{"gas-in-the-cold", func(j *fitout.Job) { j.Brief.Trip.Coldest = -1; said(j, "bottle").Gas = fitout.Butane },
		func(j *fitout.Job) { j.Brief.Trip.Coldest = 2; said(j, "bottle").Gas = fitout.Butane }},
	{"gas-locker", func(j *fitout.Job) { inCargo(j, "bottle"); said(j, "bottle").Sealed = fitout.IsNotSo },
		func(j *fitout.Job) { inCargo(j, "bottle"); said(j, "bottle").Sealed = fitout.IsSo }},
	{
		"burns-inside",
		func(j *fitout.Job) { b := &j.Variants[0].Plumbing.Burners[0]; b.Inside, b.Air = true, fitout.IsSo },
		func(j *fitout.Job) {
			b := &j.Variants[0].Plumbing.Burners[0]
			b.Inside, b.Air, b.Alarm = true, fitout.IsSo, fitout.IsSo
		},
	},
	{
		"tank-unsaid",
		func(j *fitout.Job) { said(j, "second").Feeds = "" },
		func(j *fitout.Job) { said(j, "second").Rate = 0 },
	},
	{
		"tank-unsaid",
		func(j *fitout.Job) { said(j, "second").Baffles = "" }, // 55 L
		func(j *fitout.Job) { said(j, "second").Baffles = fitout.IsNotSo },
	},
	{
		"filler-flat",
		func(j *fitout.Job) { said(j, "second").Filler.Drop = 80 },
		func(j *fitout.Job) { said(j, "second").Filler.Drop = 85 },
	},
	{
		"filler-high",
		func(j *fitout.Job) {
			j.Brief.Travellers[0].Serves, j.Brief.Travellers[0].Reach = true, 1700
			said(j, "second").Filler.At.Z = 1750
		},
		func(j *fitout.Job) {
			j.Brief.Travellers[0].Serves, j.Brief.Travellers[0].Reach = true, 1700
			said(j, "second").Filler.At.Z = 1699
		},
	},
	{
		"filler-far",
		func(j *fitout.Job) {
			said(j, "drinking").Filler = &fitout.Filler{At: fitout.Point{X: 3500, Y: 0, Z: 1450}, Run: 690, Drop: 100}
		},
		func(j *fitout.Job) {
			said(j, "drinking").Filler = &fitout.Filler{At: fitout.Point{X: 3500, Y: 0, Z: 1450}, Run: 710, Drop: 110}
		},
	},
	{
		"fuel-weight",
		func(j *fitout.Job) { j.Vehicle.Fuel = fitout.Petrol },
		func(j *fitout.Job) { j.Vehicle.Fuel = fitout.Diesel },
	},
	{
		"pressure-odd",
		func(j *fitout.Job) { pressures(j, 250, 240) },
		func(j *fitout.Job) { pressures(j, 250, 250) },
	},
	{
		"pressure-odd",
		func(j *fitout.Job) { pressures(j, 79, 300) },
		func(j *fitout.Job) { pressures(j, 80, 300) },
	},
	{
		"pressure-odd",
		func(j *fitout.Job) { pressures(j, 250, 700) },
		func(j *fitout.Job) { pressures(j, 250, 640) },
	},
	{
		"air-odd",
		func(j *fitout.Job) { j.Variants[0].Plumbing.Air.High = 24 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Air.High = 130 },
	},
	{
		"air-odd",
		func(j *fitout.Job) { j.Variants[0].Plumbing.Air.Width = 26.5 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Air.Width = 175 },
	},
	{
		"filler-narrow",
		func(j *fitout.Job) { said(j, "second").Filler.Bore = 25 },
		func(j *fitout.Job) { said(j, "second").Filler.Bore = 26 },
	},
	{
		"filler-hidden",
		func(j *fitout.Job) { beside(j, fitout.Drawers, 1150) },
		func(j *fitout.Job) { beside(j, fitout.Drawers, 500) },
	},
	{
		"filler-near-sparks",
		func(j *fitout.Job) { beside(j, fitout.BatteryBox, 300) },
		func(j *fitout.Job) { beside(j, fitout.BatteryBox, 100) },
	},
	{"point-hidden", func(j *fitout.Job) {
		beside(j, fitout.Drawers, 300)
		said(j, "second").DrainAt = &fitout.Point{X: 3900, Y: 300, Z: 1000}
	}, func(j *fitout.Job) {
		beside(j, fitout.Drawers, 300)
		said(j, "second").DrainAt = &fitout.Point{X: 3900, Y: 100, Z: 1000}
	}},
	{"breather-low", func(j *fitout.Job) { said(j, "second").BreatherAt = &fitout.Point{X: 3900, Y: 900, Z: 1000} },
		func(j *fitout.Job) { said(j, "second").BreatherAt = &fitout.Point{X: 3900, Y: 900, Z: 1100} }},
	{
		"no-breather",
		func(j *fitout.Job) { said(j, "second").Breather = fitout.IsNotSo },
		func(j *fitout.Job) { said(j, "second").Breather = fitout.YesNotSaid },
	},
	{
		"no-expansion",
		func(j *fitout.Job) { said(j, "second").Expansion = 0 },
		func(j *fitout.Job) { said(j, "drinking").Breather = fitout.IsSo },
	},
	{
		"no-baffles",
		func(j *fitout.Job) { said(j, "second").Baffles = fitout.IsNotSo },
		func(j *fitout.Job) { said(j, "washing").Baffles = fitout.IsNotSo },
	},
	{
		"no-sender",
		func(j *fitout.Job) { said(j, "second").Sender = fitout.IsNotSo },
		func(j *fitout.Job) { said(j, "drinking").Sender = fitout.IsNotSo },
	},
	{
		"runs-over",
		func(j *fitout.Job) { said(j, "second").By, said(j, "second").Stops = fitout.ByGravity, fitout.StopNone },
		func(j *fitout.Job) {
			said(j, "second").By, said(j, "second").Stops = fitout.ByGravity, fitout.StopFloat
		},
	},
	{
		"pump-without-return",
		func(j *fitout.Job) { said(j, "second").Stops = fitout.StopNone },
		func(j *fitout.Job) { said(j, "second").Stops = fitout.StopFloat },
	},
	{"feeds-uphill", func(j *fitout.Job) { said(j, "second").By = fitout.ByGravity; j.Vehicle.Tanks[1].At.Z = 500 },
		func(j *fitout.Job) { said(j, "second").By = fitout.ByGravity; j.Vehicle.Tanks[1].At.Z = 600 }},
	{
		"feeds-too-slowly",
		func(j *fitout.Job) { said(j, "second").Rate = 0.1 },
		func(j *fitout.Job) { said(j, "second").Rate = 0.2 },
	},
	{"can-behind", func(j *fitout.Job) { can(j, 4200) }, func(j *fitout.Job) { can(j, 3100) }},
	{
		"tap-unfed",
		func(j *fitout.Job) { j.Variants[0].Plumbing.Outlets[0].Vessel = "gone" },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Outlets[0].Vessel = "washing" },
	},
	{
		"tap-weak",
		func(j *fitout.Job) { j.Variants[0].Plumbing.Outlets[0].Bore = 5 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Outlets[0].Bore = 8 },
	},
	{"tap-leaves", func(j *fitout.Job) { j.Variants[0].Plumbing.Outlets[0].At.Z = 1050 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Outlets[0].At.Z = 1050; said(j, "drinking").Unusable = 12 }},
	{
		"tap-far",
		func(j *fitout.Job) { j.Variants[0].Plumbing.Outlets[0].Hose = 0.15 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Outlets[0].Hose = 0 }, // not said
	},
	{
		"pump-small",
		func(j *fitout.Job) { j.Variants[0].Plumbing.Pumps[0].Flow = 5 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Pumps[0].Flow = 6 },
	},
	{"one-pump", func(j *fitout.Job) {
		j.Variants[0].Plumbing.Outlets = j.Variants[0].Plumbing.Outlets[1:]
		j.Variants[0].Plumbing.Outlets[0].Vessel = "drinking"
	},
		func(j *fitout.Job) {
			j.Variants[0].Plumbing.Outlets = j.Variants[0].Plumbing.Outlets[1:]
			j.Variants[0].Plumbing.Outlets[0].Vessel, j.Variants[0].Plumbing.Pumps[0].Spare = "drinking", true
		}},
	{
		"hose-short",
		func(j *fitout.Job) { j.Variants[0].Plumbing.Air.Hose = 4 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Air.Hose = 6 },
	},
	{
		"inflation-long",
		func(j *fitout.Job) { j.Variants[0].Plumbing.Air.Free = 20 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Air.Free = 22 },
	},
	{
		"compressor-hot",
		func(j *fitout.Job) { j.Variants[0].Plumbing.Air.Minutes = 4 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Air.Minutes = 5 },
	},
	{
		"bag-without-valve",
		func(j *fitout.Job) { bag(j, fitout.IsNotSo) },
		func(j *fitout.Job) { bag(j, fitout.IsSo) },
	},
	{
		"no-pressure",
		func(j *fitout.Job) { j.Variants[0].Plumbing.Pressures[1].UpTo = 1100 },
		func(j *fitout.Job) { j.Variants[0].Plumbing.Pressures[1].UpTo = 1110 },
	},
}

func TestRulesOfTheTripFire(t *testing.T) {
	for _, c := range tripRules {
		t.Run(c.rule, func(t *testing.T) {
			j := touring()
			c.fires(&j)
			found := example.Found(t, j, c.rule)
			require.NotEmpty(t, found)
			for _, f := range found {
				assert.Contains(t, []string{"route", "plumbing", "item", "tank"}, f.Subject.Kind)
				assert.NotEmpty(t, f.Title)
				assert.NotContains(t, f.Sentence, "%!")
				assert.NotContains(t, f.Sentence, "  ")
			}
			near := touring()
			c.near(&near)
			assert.Empty(t, example.Found(t, near, c.rule))
		})
	}
}

// What a finding of the trip offers mends it, and brings up nothing that was not there before.
func TestFixesOfTheTripMend(t *testing.T) {
	fixed := 0
	for _, c := range tripRules {
		j := touring()
		c.fires(&j)
		before := map[string]bool{}
		for _, f := range assess.Of(&j).Findings {
			before[f.Key] = true
		}
		for _, f := range example.Found(t, j, c.rule) {
			for _, fix := range f.Fixes {
				mended, err := edit.Apply(&j, nil, []fitout.FixEdit{fix.Edit})
				require.NoError(t, err, "%s: %s", c.rule, fix.Label)
				fixed++
				for _, now := range assess.Of(&mended).Findings {
					if now.Severity != fitout.Note {
						assert.True(
							t,
							before[now.Key],
							"%s by “%s” brings up %s: %s",
							c.rule,
							fix.Label,
							now.Rule,
							now.Sentence,
						)
					}
					assert.NotEqual(
						t,
						f.Key,
						now.Key,
						"%s by “%s” is not mended: %s",
						c.rule,
						fix.Label,
						now.Sentence,
					)
				}
			}
		}
	}
	assert.GreaterOrEqual(t, fixed, 6)
	assert.GreaterOrEqual(t, len(tripRules), 35)
}

// A way of sixty stops with three fuel tanks is assessed with every key that is pressed.
func BenchmarkAssessOfALongWay(b *testing.B) {
	j := touring()
	j.Vehicle.Tanks = append(
		j.Vehicle.Tanks,
		fitout.Tank{ID: "third", Name: "Third tank", Kind: fitout.TankFuel, Capacity: 40,
			Density: 0.84, At: fitout.Point{X: 3000, Z: 600}},
	)
	j.Vehicle.Limits.RearAxle.Kg = 1000
	for i := range 56 {
		s := fitout.NewStop(fmt.Sprint("more-", i), fmt.Sprint("More ", i))
		s.Leg.Km, s.Fuels = 120, []fitout.FuelHad{{Fuel: fitout.Diesel, Price: 20000}}
		j.Route.Stops = append(j.Route.Stops, s)
	}
	for b.Loop() {
		assess.Of(&j)
	}
}

// What gives out, is filled on the way and gives out again is told for each stretch by itself, so that
// what is said to be missing is what a stretch wants.
func TestWhatGivesOutTwiceIsToldTwice(t *testing.T) {
	j := touring()
	level(&j, "drinking").Max, level(&j, "drinking").Now = 30, 30
	level(&j, "washing").Max, level(&j, "washing").Now = 200, 200
	camp, well := j.Route.Stops[2], fitout.NewStop("well", "Well")
	well.Water, well.Leg.Km = fitout.ByHose, 50
	again := camp
	again.ID = "again"
	j.Route.Stops = []fitout.RouteStop{j.Route.Stops[0], j.Route.Stops[1], camp, well, again, j.Route.Stops[3]}
	var told []string
	for _, f := range assess.Of(&j).Findings {
		if f.Rule == "water-short" {
			told = append(told, f.Subject.ID)
		}
	}
	assert.Equal(t, []string{"camp", "again"}, told)
}
