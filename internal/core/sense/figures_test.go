package sense_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// electrified is a battery of 100 Ah of a chemistry, an inverter, a fridge and a lamp under Power.
func electrified(change func(e *fitout.Electrics)) func(j *fitout.Job) {
	return func(j *fitout.Job) {
		e := &j.Variants[0].Electrics
		e.Systems = []fitout.PowerSystem{{ID: "house", Name: "House", Kind: "house", Voltage: 12, Full: 1,
			Battery: fitout.Battery{Chemistry: fitout.LFP, Capacity: 100, Parallel: 1, Charge: 50, Discharge: 100}}}
		e.Inverters = []fitout.Inverter{{ID: "inverter", Name: "Inverter", System: "house", Watts: 1000, Surge: 2000}}
		e.Loads = []fitout.PowerLoad{
			{ID: "fridge-load", Name: "Fridge", System: "house", Count: 1, Watts: 60, Surge: 180, Use: fitout.UseSpans},
			{ID: "lamp", Name: "Lamp", System: "house", Count: 2, Watts: 8, Use: fitout.UseSpans, Light: &fitout.LightUse{
				Lumens: 760, Beam: 120, Zone: fitout.LightBench, Away: 700, Ends: 1}},
		}
		change(e)
	}
}

// Figures of the electrics with a point in the wrong place, and things that there are beside them.
func TestElectricsThatNobodySells(t *testing.T) {
	told(t, []figure{
		{
			"electrics-odd", "more than 300 A is not sold", 500, // three times 100 Ah
			electrified(func(e *fitout.Electrics) { e.Systems[0].Battery.Charge = 500 }),
			electrified(func(e *fitout.Electrics) { e.Systems[0].Battery.Charge = 200 }),
		},
		{
			"electrics-odd", "more than 100 A is not sold", 120,
			electrified(func(e *fitout.Electrics) {
				e.Systems[0].Battery.Chemistry, e.Systems[0].Battery.Charge = fitout.AGM, 120
			}),
			electrified(func(e *fitout.Electrics) { // two of them
				e.Systems[0].Battery.Chemistry, e.Systems[0].Battery.Charge, e.Systems[0].Battery.Parallel = fitout.AGM, 120, 2
			}),
		},
		{
			"electrics-odd", "The battery of house holds 10 Ah", 450, // it starts an engine
			electrified(func(e *fitout.Electrics) {
				e.Systems[0].Battery.Charge, e.Systems[0].Battery.Discharge, e.Systems[0].Battery.Capacity = 5, 450, 10
			}),
			electrified(func(e *fitout.Electrics) { e.Systems[0].Battery.Discharge, e.Systems[0].Battery.Capacity = 450, 80 }),
		},
		{
			"electrics-odd", "for a moment it is as much or more, up to 5 times", 200,
			electrified(func(e *fitout.Electrics) { e.Inverters[0].Surge = 200 }),
			electrified(func(e *fitout.Electrics) { e.Inverters[0].Surge = 1000 }),
		},
		{
			"electrics-odd", "of fridge", 1800,
			electrified(func(e *fitout.Electrics) { e.Loads[0].Surge = 1800 }),
			electrified(func(e *fitout.Electrics) { e.Loads[0].Surge = 600 }),
		},
		{
			"electrics-odd", "That would be 950 lm for each watt", 950,
			electrified(func(e *fitout.Electrics) { e.Loads[1].Light.Lumens = 7600 }),
			electrified(func(e *fitout.Electrics) { e.Loads[1].Light.Lumens = 1600 }),
		},
		{
			"cold-over-hot", "of the days under Power", 30,
			electrified(func(e *fitout.Electrics) { e.Days.Low, e.Days.High = 30, 3 }),
			electrified(func(e *fitout.Electrics) { e.Days.Low, e.Days.High = 3, 30 }),
		},
	})
}

// Ratings, gear and tow bars that there are not.
func TestRatingsThatNothingHas(t *testing.T) {
	rated := func(kg float64, runner fitout.Runner) func(j *fitout.Job) {
		return func(j *fitout.Job) { item(j, "unit").Module.Rated, item(j, "unit").Module.Runner = kg, runner }
	}
	packed := func(kg, length, width, height float64) func(j *fitout.Job) {
		return func(j *fitout.Job) {
			j.Brief.Gear = []fitout.Gear{{ID: "raft", Name: "Folded raft", Count: 1, Mass: kg, Used: fitout.UsedWeekly,
				Size: fitout.Size{Length: length, Width: width, Height: height}}}
		}
	}
	roof := func(kg float64) func(j *fitout.Job) {
		return func(j *fitout.Job) {
			j.Vehicle.Bays = append(j.Vehicle.Bays, fitout.Bay{ID: "roof", Name: "Roof", Kind: fitout.BayRoof, Rating: kg,
				Opening: fitout.Opening{Face: fitout.FaceNone, Hinge: fitout.HingeNone}})
		}
	}
	told(t, []figure{
		{"rated-odd", "Such runners carry at most 700 kg", 900, rated(900, fitout.BallRunner), rated(500, fitout.BallRunner)},
		{"rated-odd", "at most 150 kg", 400, rated(400, fitout.StripRunner), rated(400, fitout.RollerRunner)},
		{"rated-odd", "Such a space carries at most 500 kg", 750, roof(750), roof(75)},
		{
			"rated-odd", "Such a vehicle carries in all at most 1 980 kg", 3500,
			func(j *fitout.Job) { j.Vehicle.Bays[0].Rating = 3500 },
			func(j *fitout.Job) { j.Vehicle.Bays[0].Rating = 350 },
		},
		{"gear-odd", "lead of that size would weigh 234 kg", 530, packed(530, 760, 520, 52), packed(53, 760, 520, 52)},
		{"gear-odd", "its longest side is 7 600 mm", 7600, packed(53, 7600, 520, 520), packed(53, 3800, 520, 520)},
		{
			"hitch-odd", "no ball is rated for more than 1 400 kg then", 3500,
			func(j *fitout.Job) { j.Vehicle.Hitch.Ball, j.Vehicle.Hitch.Trailer = 3500, 3500 },
			func(j *fitout.Job) { j.Vehicle.Hitch.Ball, j.Vehicle.Hitch.Trailer = 350, 3500 },
		},
		{
			"hitch-odd", "trailers have 1 000 mm and more", 305,
			func(j *fitout.Job) {
				j.Trailer = &fitout.Trailer{Name: "Box", Source: fitout.DataSheet, Mass: 700, Ball: 60, BallToAxle: 305}
			},
			func(j *fitout.Job) {
				j.Trailer = &fitout.Trailer{Name: "Box", Source: fitout.DataSheet, Mass: 700, Ball: 60, BallToAxle: 3050}
			},
		},
	})
}

// A rule of the workshop a tenth of the trade's, or ten times it, finds less; stricter than the trade it may be.
func TestRulesOfTheWorkshopFarFromTheTrades(t *testing.T) {
	practice := func(change func(p *fitout.Practice)) func(j *fitout.Job) {
		return func(j *fitout.Job) { change(&j.Practice) }
	}
	told(t, []figure{
		{
			"practice-odd", "The trade's is usually 0.8 g", 0.08,
			practice(func(p *fitout.Practice) { p.Restraint.Forward = 0.08 }),
			practice(func(p *fitout.Practice) { p.Restraint.Forward = 8 }),
		},
		{
			"practice-odd", "The trade's is usually 250 mm", 800,
			practice(func(p *fitout.Practice) { p.Step = 800 }),
			practice(func(p *fitout.Practice) { p.Step = 0 }),
		},
		{
			"practice-odd", "The trade's is usually 15 %", 0.015,
			practice(func(p *fitout.Practice) { p.Uncertainty.Estimate = 0.015 }),
			practice(func(p *fitout.Practice) { p.Uncertainty.Estimate = 0.3 }),
		},
	})
	// What is offered takes the trade's, and leaves the rest as the workshop has it.
	own := fitted()
	own.Practice.Restraint.Forward, own.Practice.Headroom = 0.08, 600
	offered := example.Found(t, *own, "practice-odd")
	require.Len(t, offered, 1)
	mended, err := edit.Apply(own, nil, []fitout.FixEdit{offered[0].Fixes[0].Edit})
	require.NoError(t, err)
	assert.Equal(t, 0.8, mended.Practice.Restraint.Forward)
	assert.Equal(t, 600.0, mended.Practice.Headroom)
	assert.Equal(t, 0.08, own.Practice.Restraint.Forward, "the job itself stays")
	assert.Empty(t, example.Found(t, mended, "practice-odd"))
	// Europe asks for nothing upward: no figure is a third of nothing.
	j := fitted()
	j.Region, j.Practice = fitout.UKEurope, fitout.NewPractice(fitout.UKEurope)
	assert.Empty(t, example.Found(t, *j, "practice-odd"))
}

// The days of Power are exchanged by what is offered, those of the brief stay.
func TestTheDaysOfPowerAreExchanged(t *testing.T) {
	j := fitted()
	electrified(func(e *fitout.Electrics) { e.Days.Low, e.Days.High = 30, 3 })(j)
	brief := j.Brief.Trip
	found := example.Found(t, *j, "cold-over-hot")
	require.Len(t, found, 1)
	mended, err := edit.Apply(j, nil, []fitout.FixEdit{found[0].Fixes[0].Edit})
	require.NoError(t, err)
	assert.Equal(t, 3.0, mended.Variants[0].Electrics.Days.Low)
	assert.Equal(t, brief, mended.Brief.Trip)
	assert.Empty(t, example.Found(t, mended, "cold-over-hot"))
}
