package mend_test

import (
	"context"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/mend"
	"zaino/internal/example"
)

// heavy is a weighed ute that carries one block that nobody may move, so that only
// the vehicle can be changed: over its rear axle by so many kg.
func heavy(over float64) fitout.Job {
	j := example.Ute()
	example.Add(&j, "block", 700, 3150, func(i *fitout.Item) { i.Locked = true })
	j.Vehicle.Tanks[0].Min = j.Vehicle.Tanks[0].Now
	j.Vehicle.Limits.Gross.Kg, j.Vehicle.Limits.FrontAxle.Kg = 5000, 3000
	j.Vehicle.Limits.RearAxle.Kg = assess.Of(&j).Axles.Rear - over
	return j
}

func mendsOf(t *testing.T, j *fitout.Job, limit string) mend.Mends {
	t.Helper()
	require.NoError(t, fitout.Validate(j))
	mends, err := mend.Limit(context.Background(), j, example.Shop(), limit, func(float64) {})
	require.NoError(t, err)
	return mends
}

// kinds are the kinds of edit of each way on the vehicle.
func kinds(mends []mend.Mend) [][]string {
	var all [][]string
	for _, m := range mends {
		var of []string
		for _, c := range m.Changes {
			of = append(of, c.Edit.Kind)
		}
		all = append(all, of)
	}
	return all
}

func TestAnUpgradeIsOfferedAsFarAsTheWorkshopCountsOnOne(t *testing.T) {
	j := heavy(60)
	j.Practice.LongestCut = 0
	mends := mendsOf(t, &j, "rear")
	assert.Empty(t, mends.Found)
	require.Equal(t, [][]string{{"rating"}}, kinds(mends.Vehicle))
	m := mends.Vehicle[0]
	assert.Contains(t, m.Caution, "certified people")
	assert.Contains(t, m.Caution, "Airbags and springs raise no rating")
	assert.Equal(t, "within", m.Pads[0].State)
	assert.NotEqual(t, "over", m.Pads[1].State)
	assert.Contains(t, mends.None, "No changes of load bring it within its limit, however many are made at once.")

	upgraded, err := edit.Apply(&j, nil, []fitout.FixEdit{m.Changes[0].Edit})
	require.NoError(t, err)
	assert.NotEmpty(t, example.Found(t, upgraded, "upgrade-uncertified"),
		"until it is certified the plate holds, and that is said")

	j.Practice.UpgradeShare = 0.01
	mends = mendsOf(t, &j, "rear")
	assert.Empty(t, mends.Vehicle)
	assert.Contains(t, mends.None, "1 % at most: nothing short of another vehicle will do")
}

func TestAnUpgradeNeedsTyresThatCarryIt(t *testing.T) {
	j := heavy(60)
	j.Practice.LongestCut = 0
	j.Vehicle.Rear.Tyre.Index = 99 // 775 kg each
	rear := assess.Of(&j).Axles.Rear
	j.Vehicle.Limits.RearAxle.Kg = rear - 30
	require.Less(t, 1550.0, rear, "the tyres carry less than rests on them")
	mends := mendsOf(t, &j, "rear")
	require.Equal(t, [][]string{{"rating", "tyres"}}, kinds(mends.Vehicle))
	index := mends.Vehicle[0].Changes[1].Edit.Value
	fitted, err := edit.Apply(&j, nil, []fitout.FixEdit{mends.Vehicle[0].Changes[0].Edit,
		mends.Vehicle[0].Changes[1].Edit})
	require.NoError(t, err)
	assert.Empty(t, example.Found(t, fitted, "rear-over"))
	fitted.Vehicle.Modifications[1].Tyre.Index = int(index) - 1
	assert.NotEmpty(t, example.Found(t, fitted, "rear-over"), "one index less does not carry it")

	// A plate that is high enough, and only tyres that bind: tyres alone.
	j.Vehicle.Limits.RearAxle.Kg = rear + 100
	mends = mendsOf(t, &j, "rear")
	require.Equal(t, [][]string{{"tyres"}}, kinds(mends.Vehicle))

	j.Vehicle.Rear.Tyre = fitout.Tyre{Index: 70, Dual: true, DualIndex: 70}
	assert.Empty(t, mendsOf(t, &j, "rear").Vehicle, "dual tyres are not exchanged by a fix")
}

func TestALongerWheelbaseTakesTheLoadOffTheRear(t *testing.T) {
	j := heavy(40)
	j.Practice.UpgradeShare = 0
	mends := mendsOf(t, &j, "rear")
	require.Equal(t, [][]string{{"extension"}}, kinds(mends.Vehicle))
	way := mends.Vehicle[0]
	by := way.Changes[0].Edit.Value
	for _, c := range []struct {
		by    float64
		state string
	}{{by, "over"}, {by - 50, "within"}} {
		longer, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "extension", Value: c.by}})
		require.NoError(t, err)
		pads := assess.Of(&longer).Pads
		if c.by == by {
			assert.NotEqual(t, c.state, pads[1].State)
			assert.InDelta(t, way.Pads[1].Load, pads[1].Load, 1e-9, "it does what it said")
			assert.InDelta(t, way.Changes[0].Rear, pads[1].Load-assess.Of(&j).Pads[1].Load, 1e-9)
		} else {
			assert.NotEqual(t, c.state, pads[1].State, "50 mm less do not do")
		}
	}
	assert.Contains(t, way.Caution, "structural change")

	// What moves with the axle is not taken for nothing: all that the rear axle
	// carries dry, until somebody says less.
	longer, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "extension", Value: by}})
	require.NoError(t, err)
	assert.InDelta(t, assess.Of(&j).Dry.Rear, longer.Vehicle.Extension.BehindCut, 1e-6)
	said := longer
	known := *longer.Vehicle.Extension
	known.BehindCut = 310
	said.Vehicle.Extension = &known
	assert.Less(t, assess.Of(&said).Axles.Rear, assess.Of(&longer).Axles.Rear, "the estimate is on the safe side")
	again, err := edit.Apply(&said, nil, []fitout.FixEdit{{Kind: "extension", Value: by + 50}})
	require.NoError(t, err)
	assert.InDelta(t, 310, again.Vehicle.Extension.BehindCut, 0, "what was said stays")
	j.Practice.LongestCut = by - 1
	assert.Empty(t, mendsOf(t, &j, "rear").Vehicle, "nobody thinks of a longer one")
}

// The hitch of the worked example: C 180 000 kg·mm with 4200 mm takes 100.0 kg off
// the rear axle of a wheelbase of 3150.
func TestAWeightDistributingHitchTakesOffWhatTheBallPutOn(t *testing.T) {
	j := heavy(0)
	j.Practice.UpgradeShare, j.Practice.LongestCut = 0, 0
	j.Practice.BallLeast = 0.2 // so that the ball itself stays
	j.Vehicle.Hitch.Overhang = 1180
	j.Vehicle.Limits.Ball.Kg, j.Vehicle.Limits.TrailerBraked.Kg, j.Vehicle.Limits.Combination.Kg = 350, 3500, 9000
	j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "Van", Coupled: true, Mass: 1800, Ball: 120, Braked: true,
		BallToAxle: 4200}
	j.Vehicle.Limits.RearAxle.Kg = assess.Of(&j).Axles.Rear - 100
	mends := mendsOf(t, &j, "rear")
	require.Equal(t, [][]string{{"distribution"}}, kinds(mends.Vehicle))
	assert.InDelta(t, 180_000, mends.Vehicle[0].Changes[0].Edit.Value, 1000)
	assert.InDelta(t, -100, mends.Vehicle[0].Changes[0].Rear, 0.6)
	assert.InDelta(t, 57.1, mends.Vehicle[0].Changes[0].Front, 0.4)
	assert.Contains(t, mends.Vehicle[0].Caution, "raises no rating")

	j.Trailer.BallToAxle = 0
	assert.Empty(t, mendsOf(t, &j, "rear").Vehicle, "without the distance nothing can be said of it")
	j.Trailer.BallToAxle = 4200
	j.Vehicle.Limits.RearAxle.Kg -= 80
	assert.Empty(t, mendsOf(t, &j, "rear").Vehicle, "it cannot take off more than the ball put on")
}

func TestABallIsMadeLighterDownToItsLeastShare(t *testing.T) {
	j := heavy(0)
	j.Vehicle.Hitch.Overhang = 1180
	j.Vehicle.Limits.Ball.Kg, j.Vehicle.Limits.TrailerBraked.Kg, j.Vehicle.Limits.Combination.Kg = 350, 3500, 9000
	j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "Van", Coupled: true, Mass: 1000, Ball: 120, Braked: true}
	before := assess.Of(&j).Axles.Rear
	j.Vehicle.Limits.RearAxle.Kg = before - 50
	mends := mendsOf(t, &j, "rear")
	require.NotEmpty(t, mends.Found)
	change := mends.Found[0].Changes[0]
	require.Equal(t, "ball", change.Edit.Kind)
	assert.InDelta(t, 120-37, change.Edit.Value, 0, "37 kg of it put 50.9 kg on the rear axle")
	assert.Contains(t, mends.Found[0].Caution, "sway")

	j.Vehicle.Limits.RearAxle.Kg = before - 110
	for _, m := range mendsOf(t, &j, "rear").Found {
		for _, c := range m.Changes {
			if c.Edit.Kind == "ball" {
				assert.GreaterOrEqual(t, c.Edit.Value, 50.0, "5 % of the trailer stay on the ball")
			}
		}
	}
}

func TestSpringsBringBackTheWayToTheStop(t *testing.T) {
	j := example.Ute()
	j.Vehicle.Rear.Rate, j.Vehicle.Rear.Bump = 30, 90
	example.Add(&j, "ballast", 420, 3100)
	tight := example.Found(t, j, "bump-clearance")
	require.Len(t, tight, 1)
	require.Len(t, tight[0].Fixes, 1)
	made := tight[0].Fixes[0].Edit
	sprung, err := edit.Apply(&j, nil, []fitout.FixEdit{made})
	require.NoError(t, err)
	assert.Empty(t, example.Found(t, sprung, "bump-clearance"))
	made.Value -= 2
	soft, err := edit.Apply(&j, nil, []fitout.FixEdit{made})
	require.NoError(t, err)
	assert.NotEmpty(t, example.Found(t, soft, "bump-clearance"), "2 N/mm less do not do")
	inches := j
	inches.Units = fitout.US
	assert.Contains(t, example.Found(t, inches, "bump-clearance")[0].Fixes[0].Label, "lb/in")
	sprung, err = edit.Apply(&inches, nil, []fitout.FixEdit{tight[0].Fixes[0].Edit})
	require.NoError(t, err)
	assert.Contains(t, sprung.Vehicle.Modifications[0].Name, "lb/in")

	j.Vehicle.Rear.Bump = 10
	tight = example.Found(t, j, "bump-clearance")
	require.Len(t, tight, 1)
	assert.Empty(t, tight[0].Fixes, "too near to the stop unladen, springs are not the matter")
}

// An axle that stands too low in a case is told the springs that bring it there, of one rate or of a second one.
func TestSpringsRestoreTheHeightThatIsWanted(t *testing.T) {
	j := example.Ute()
	j.Vehicle.Rear.Rate, j.Vehicle.Rear.Second, j.Vehicle.Rear.From = 30, 34, 40
	example.Add(&j, "ballast", 420, 3100)
	switched := j.ChosenVariant()
	switched.Cases = append(switched.Cases, fitout.Case{ID: "away", Name: "Leaving home"})
	j.Vehicle.Rear.Wanted = &fitout.RideWanted{Case: "away", Down: 55}
	low := example.Found(t, j, "stands-low")
	require.Len(t, low, 1)
	assert.Equal(t, fitout.Caution, low[0].Severity)
	assert.Contains(t, low[0].Sentence, "in “Leaving home”")
	require.Len(t, low[0].Fixes, 2)
	for _, fix := range low[0].Fixes {
		made := fix.Edit
		sprung, err := edit.Apply(&j, nil, []fitout.FixEdit{made})
		require.NoError(t, err)
		assert.Empty(t, example.Found(t, sprung, "stands-low"), fix.Label)
		made.Value -= 5
		soft, err := edit.Apply(&j, nil, []fitout.FixEdit{made})
		require.NoError(t, err)
		assert.NotEmpty(t, example.Found(t, soft, "stands-low"), "5 N/mm less do not do: %s", fix.Label)
	}
	j.Vehicle.Rear.Wanted.Down = 400
	assert.Empty(t, example.Found(t, j, "stands-low"), "it stands higher than that")
	j.Vehicle.Rear.Rate = 0
	unknown := example.Found(t, j, "stands-low")
	require.Len(t, unknown, 1)
	assert.Equal(t, fitout.Note, unknown[0].Severity)
}

func TestWhatCanBeMended(t *testing.T) {
	j := example.Ute()
	for _, id := range []string{"front", "rear", "gross", "front-share", "sides", "tip", "seats"} {
		assert.NoError(t, mend.Mendable(&j, id), id)
	}
	for _, id := range []string{"combination", "placard", "roof", "tyres-front", "payload"} {
		assert.ErrorContains(t, mend.Mendable(&j, id), "one of the job's limits: front, rear, gross, front-share", id)
	}
	j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "Box", Mass: 500, Ball: 50}
	assert.NoError(t, mend.Mendable(&j, "combination"))
	_, err := mend.Limit(context.Background(), &j, nil, "roof", func(float64) {})
	assert.ErrorContains(t, err, "one of the job's limits: front")
}
