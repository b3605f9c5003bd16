package sense_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// fitted is a sound ute with people who drive it, and a tub with a fridge and a drawer unit.
func fitted() *fitout.Job {
	j, ute := example.Fitted(), example.Ute()
	bays := j.Vehicle.Bays
	j.Vehicle = ute.Vehicle
	j.Vehicle.Bays = bays
	j.Vehicle.Outline.Width, j.Vehicle.Outline.RearOverhang = 1850, 1200
	j.Brief.Travellers = []fitout.Traveller{
		{ID: "ann", Name: "Ann", Kind: fitout.TravellerPerson, Mass: 70, Height: 1700},
	}
	j.Brief.Trip.FuelDistance = 400
	return &j
}

func item(j *fitout.Job, id string) *fitout.Item {
	items := j.Variants[0].Items
	for i := range items {
		if items[i].ID == id {
			return &items[i]
		}
	}
	panic(id)
}

// figure is one that cannot be, what is said of it, and the near miss that there is.
type figure struct {
	rule, says    string
	value         float64
	spoilt, right func(j *fitout.Job)
}

// told holds that each figure is told once, with its value, and that its near miss is not.
func told(t *testing.T, figures []figure) {
	t.Helper()
	for _, c := range figures {
		j := fitted()
		assert.Empty(t, example.Found(t, *j, c.rule), "the sound ute")
		c.spoilt(j)
		if found := example.Found(t, *j, c.rule); assert.Len(t, found, 1, "%s %s", c.rule, c.says) {
			assert.InDelta(t, c.value, found[0].Value, 0.05, c.says)
			assert.Contains(t, strings.NewReplacer("\u00a0", " ", "\u202f", " ").Replace(found[0].Sentence), c.says)
		}
		j = fitted()
		c.right(j)
		assert.Empty(t, example.Found(t, *j, c.rule), "%s %s", c.rule, c.says)
	}
}

// Each figure is spoilt as somebody does who types it; the near miss beside it is a thing that there is.
func TestFiguresThatCannotBe(t *testing.T) {
	battery := func(kg float64) func(j *fitout.Job) {
		return func(j *fitout.Job) {
			example.Stand(j, "battery", fitout.BatteryBox, fitout.FaceTop, kg, 300, 200, 250, "tub") // 15 L
		}
	}
	told(t, []figure{
		{
			"weighs-nothing", "no axle carries it", 0,
			func(j *fitout.Job) { item(j, "fridge").Mass = 0 },
			func(j *fitout.Job) { item(j, "fridge").Mass = 28 },
		},
		{
			"mass-odd", "lead would weigh 1 616 kg", 3500, // 141.75 L of it
			func(j *fitout.Job) { item(j, "fridge").Mass = 3500 },
			func(j *fitout.Job) { item(j, "fridge").Mass = 350 },
		},
		{
			"mass-odd", "the lightest fridge of its size would weigh 7.1 kg", 3.5,
			func(j *fitout.Job) { item(j, "fridge").Mass = 3.5 },
			func(j *fitout.Job) { item(j, "fridge").Mass = 12 },
		},
		{"mass-odd", "the lightest battery of its size would weigh 4.5 kg", 1.1, battery(1.1), battery(11)},
		{
			"mass-odd", "its panels alone, with two fifths off, weigh", 2,
			func(j *fitout.Job) { item(j, "unit").Mass, item(j, "unit").Source = 2, fitout.ByScale },
			func(j *fitout.Job) { item(j, "unit").Mass, item(j, "unit").Source = 30, fitout.ByScale },
		},
		{
			"bay-unsaid", "By its place it stands in tub", 0,
			func(j *fitout.Job) { item(j, "fridge").Bay = "" },
			func(j *fitout.Job) { item(j, "fridge").Bay, item(j, "fridge").At.Z = "", 1700 }, // over it, on a rack
		},
		{
			"bay-unsaid", "By its place it stands in tub", 0,
			func(j *fitout.Job) {
				example.Add(j, "toolbox", 30, 0).At = item(j, "fridge").At
			},
			func(j *fitout.Job) { // a lid over the whole tub: the space is in it
				lid := example.Add(j, "lid", 30, 0)
				lid.At, lid.Size = item(j, "fridge").At, fitout.Size{Length: 3000, Width: 1800, Height: 900}
			},
		},
		{
			"outline-odd", "The body is 185 mm wide", 185,
			func(j *fitout.Job) { j.Vehicle.Outline.Width = 185 },
			func(j *fitout.Job) { j.Vehicle.Outline.Width = 0 }, // not measured
		},
		{
			"outline-odd", "the load floor 2 000 mm", 1850,
			func(j *fitout.Job) { j.Vehicle.Outline.FloorHeight = 2000 },
			func(j *fitout.Job) { j.Vehicle.Outline.FloorHeight = 1100 },
		},
		{
			"outline-odd", "the cab ends at 205 mm", 205,
			func(j *fitout.Job) { j.Vehicle.Outline.CabRear = 205 },
			func(j *fitout.Job) { j.Vehicle.Outline.CabRear = 1500 },
		},
		{
			"bay-beyond", "reaches 430 mm out of the vehicle's outline, behind it", 430, // 2200 + 1500 − 3150 − 120
			func(j *fitout.Job) { j.Vehicle.Outline.RearOverhang = 120 },
			func(j *fitout.Job) { j.Vehicle.Outline.RearOverhang = 460 },
		},
		{
			"bay-beyond", "beside it", 275,
			func(j *fitout.Job) { j.Vehicle.Bays[0].At.Y = 500 },
			func(j *fitout.Job) { j.Vehicle.Bays[0].At.Y = 120 },
		},
		{
			"limit-odd", "15 000 kg is entered as front axle rating and 3 300 kg as GVM", 15000,
			func(j *fitout.Job) { j.Vehicle.Limits.FrontAxle.Kg = 15000 },
			func(j *fitout.Job) { j.Vehicle.Limits.FrontAxle.Kg = 1800 },
		},
		{
			"limit-odd", "as limit of a trailer without brakes and 750 kg as limit of a trailer with brakes", 3500,
			func(j *fitout.Job) {
				j.Vehicle.Limits.TrailerUnbraked.Kg, j.Vehicle.Limits.TrailerBraked.Kg = 3500, 750
			},
			func(j *fitout.Job) {
				j.Vehicle.Limits.TrailerUnbraked.Kg, j.Vehicle.Limits.TrailerBraked.Kg = 750, 3500
			},
		},
		{
			"limit-odd", "GCM", 3300,
			func(j *fitout.Job) { j.Vehicle.Limits.Combination.Kg = 600 },
			func(j *fitout.Job) { j.Vehicle.Limits.Combination.Kg = 6000 },
		},
		{
			"baseline-light", "no vehicle carries so much more than itself", 142, // 205 less 75 L at 0.84
			func(j *fitout.Job) {
				j.Vehicle.Baseline = fitout.Baseline{Definition: fitout.Kerb, Split: fitout.SplitKnown, Front: 120, Rear: 85,
					Total: 205, FrontShare: 0.6, CGHeight: 690}
			},
			func(j *fitout.Job) { j.Vehicle.Limits.Gross.Kg = 4500 },
		},
		{
			"tank-odd", "litres are not gallons", 630,
			func(j *fitout.Job) { j.Vehicle.Tanks[0].Capacity = 750 },
			func(j *fitout.Job) { j.Vehicle.Tanks[0].Capacity = 180 },
		},
		{
			"seat-twice", "100 mm apart, and two cannot sit nearer than 250 mm", 100,
			func(j *fitout.Job) {
				twice := j.Vehicle.Seats[1]
				twice.ID, twice.At.Y = "twice", twice.At.Y+100
				j.Vehicle.Seats = append(j.Vehicle.Seats, twice)
			},
			func(j *fitout.Job) {
				beside := j.Vehicle.Seats[1]
				beside.ID, beside.At.Y = "beside", beside.At.Y+250
				j.Vehicle.Seats = append(j.Vehicle.Seats, beside)
			},
		},
		{
			"driver-odd", "Say which one it is", 2,
			func(j *fitout.Job) { j.Vehicle.Seats[1].Driver = true },
			func(j *fitout.Job) { j.Vehicle.Seats[0].Driver, j.Vehicle.Seats[1].Driver = false, true },
		},
		{
			"driver-odd", "Say which one it is", 0,
			func(j *fitout.Job) { j.Vehicle.Seats[0].Driver = false },
			func(j *fitout.Job) { j.Vehicle.Seats = j.Vehicle.Seats[:0] },
		},
		{
			"cold-over-hot", "the other way round?", 35,
			func(j *fitout.Job) { j.Brief.Trip.Coldest, j.Brief.Trip.Hottest = 35, 5 },
			func(j *fitout.Job) { j.Brief.Trip.Coldest, j.Brief.Trip.Hottest = 12, 12 },
		},
		{
			"limit-odd", "more than 1 320 kg is not sold", 2300, // two fifths of 3300 kg
			func(j *fitout.Job) { j.Vehicle.Limits.RoofParked.Kg = 2300 },
			func(j *fitout.Job) { j.Vehicle.Limits.RoofParked.Kg = 400 },
		},
		{
			"split-odd", "5.9 % of the empty vehicle", 5.9,
			func(j *fitout.Job) {
				j.Vehicle.Baseline = fitout.Baseline{Definition: fitout.Kerb, Split: fitout.SplitAssumed, Total: 2050,
					FrontShare: 0.059, CGHeight: 690}
			},
			func(j *fitout.Job) { j.Vehicle.Baseline.FrontShare = 0.059 }, // it was weighed
		},
		{
			"suspension-odd", "735 N/mm is entered as its spring rate; between 8 N/mm and 320 N/mm is usual", 735,
			func(j *fitout.Job) { j.Vehicle.Rear.Rate = 735 },
			func(j *fitout.Job) { j.Vehicle.Rear.Rate = 73.5 },
		},
		{
			"suspension-odd", "850 mm is entered as its way to the bump stop", 850,
			func(j *fitout.Job) { j.Vehicle.Rear.Bump = 850 },
			func(j *fitout.Job) { j.Vehicle.Rear.Bump = 85 },
		},
		{
			"hitch-odd", "120 mm behind the rear axle", 120,
			func(j *fitout.Job) {
				j.Trailer = &fitout.Trailer{Name: "Box", Source: fitout.DataSheet, Mass: 700, Ball: 60}
				j.Vehicle.Hitch.Overhang = 120
			},
			func(j *fitout.Job) { j.Vehicle.Hitch.Overhang = 120 }, // nothing is towed
		},
		{
			"hitch-odd", "balls are some 450 mm up", 45,
			func(j *fitout.Job) {
				j.Trailer = &fitout.Trailer{Name: "Box", Source: fitout.DataSheet, Mass: 700, Ball: 60}
				j.Vehicle.Hitch.Height = 45
			},
			func(j *fitout.Job) {
				j.Trailer = &fitout.Trailer{Name: "Box", Source: fitout.DataSheet, Mass: 700, Ball: 60}
				j.Vehicle.Hitch.Height = 350
			},
		},
		{
			"traveller-odd", "Measure again", 170,
			func(j *fitout.Job) { j.Brief.Travellers[0].Height = 170 },
			func(j *fitout.Job) { j.Brief.Travellers[0].Kind = fitout.TravellerAnimal },
		},
		{
			"traveller-odd", "Measure again", 45,
			func(j *fitout.Job) { j.Brief.Travellers[0].Shoulder = 45 },
			func(j *fitout.Job) { j.Brief.Travellers[0].Shoulder = 300 },
		},
		{
			"assumption-odd", "1 450 km a day are entered", 1450,
			func(j *fitout.Job) { j.Brief.Trip.DayDistance = 1450 },
			func(j *fitout.Job) { j.Brief.Trip.DayDistance = 1100 },
		},
		{
			"assumption-odd", "needs more than 2 L to drink", 0.5,
			func(j *fitout.Job) { j.Brief.Assumptions.WaterDrink = 0.5 },
			func(j *fitout.Job) { j.Brief.Assumptions.WaterDrink = 3 },
		},
		{
			"assumption-odd", "1.3 L/100 km is assumed; between 4 L/100 km and 60 L/100 km", 1.3,
			func(j *fitout.Job) { j.Brief.Assumptions.Consumption = 1.3 },
			func(j *fitout.Job) { j.Brief.Assumptions.Consumption = 9 },
		},
	})
}

// A thing of the ledger that somebody is still entering is only noted; a vessel counts by its content, and loose
// cargo in no space is what it is.
func TestWhatMayWeighNothing(t *testing.T) {
	j := fitted()
	example.Add(j, "crate", 0, 2000)
	example.Add(j, "bladder", 0, 2000, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 60, Now: 40, Density: 1}}
	})
	found := example.Found(t, *j, "weighs-nothing")
	require.Len(t, found, 1)
	assert.Equal(t, fitout.Note, found[0].Severity)
	assert.Equal(t, fitout.Subject{Kind: "item", ID: "crate"}, found[0].Subject)
	item(j, "crate").Mass = 12
	example.Stand(j, "tank", fitout.WaterTank, fitout.FaceTop, 0, 300, 200, 250, "tub")
	tank := item(j, "tank")
	tank.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 15, Now: 10, Density: 1}}
	found = example.Found(t, *j, "weighs-nothing")
	require.Len(t, found, 1, "a tank of the fitout is not its water alone")
	assert.Equal(t, fitout.Note, found[0].Severity)
	tank.Mass = 4
	assert.Empty(t, example.Found(t, *j, "weighs-nothing"))
}

// Saying the space that is offered mends it, and the part stays where it is.
func TestThePartIsSaidToStandWhereItStands(t *testing.T) {
	j := fitted()
	item(j, "fridge").Bay = ""
	f := example.Found(t, *j, "bay-unsaid")[0]
	mended, err := edit.Apply(j, nil, []fitout.FixEdit{f.Fixes[0].Edit})
	require.NoError(t, err)
	assert.Empty(t, example.Found(t, mended, "bay-unsaid"))
	assert.Equal(t, "tub", item(&mended, "fridge").Bay)
	assert.Equal(t, item(j, "fridge").At, item(&mended, "fridge").At)
}

// In the United States' units a sentence gives what the field holds: lb/in and mpg.
func TestFiguresAreToldInTheUnitsOfTheJob(t *testing.T) {
	j := fitted()
	j.Units = fitout.US
	j.Vehicle.Rear.Rate, j.Brief.Assumptions.Consumption = 735, 1.3
	assert.Contains(t, example.Found(t, *j, "suspension-odd")[0].Sentence, "lb/in")
	assert.NotContains(t, example.Found(t, *j, "suspension-odd")[0].Sentence, "N/mm")
	assert.Contains(t, example.Found(t, *j, "assumption-odd")[0].Sentence, "mpg")
}
