package mend_test

import (
	"context"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/mend"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/example"
)

// leaning is a ute with loose boxes along its left side and at its tail.
func leaning() fitout.Job {
	j := example.Ute()
	for i, x := range []float64{2600, 3000, 3400, 3800} {
		example.Add(&j, string(rune('a'+i))+"-box", 60, x, func(item *fitout.Item) { item.At.Y = -620 })
	}
	return j
}

func TestALeanIsMendedByMovingThingsAcross(t *testing.T) {
	j := leaning()
	uneven := example.Found(t, j, "sides-uneven")
	require.Len(t, uneven, 1)
	assert.Equal(t, "sides", uneven[0].Mend)
	mends := mendsOf(t, &j, "sides")
	require.NotEmpty(t, mends.Found)
	for _, m := range mends.Found {
		after := appliedTo(t, &j, m)
		assert.Empty(t, example.Found(t, after, "sides-uneven"), m.Changes[0].Label)
	}
	assert.Regexp(t, `^Sides differ: 8\.3 % before, .* after; the workshop's rule is 4\.0 %$`, mends.Found[0].Reaches)
	first := mends.Found[0].Changes[0]
	assert.Equal(t, "part-y", first.Edit.Kind, "the least to do is to move one across")
	assert.Contains(t, first.Label, "to the right")
	assert.InDelta(t, 0, first.Rear, 1e-9, "which leaves the axles as they are")
}

func TestALightFrontIsMendedByMovingForward(t *testing.T) {
	j := leaning()
	for i := range j.Variants[0].Items {
		j.Variants[0].Items[i].At = fitout.Point{X: 4200, Y: 0, Z: 900}
	}
	a := assess.Of(&j)
	j.Practice.FrontShare = a.Axles.Front/a.Gross + 0.01
	light := example.Found(t, j, "front-light")
	require.Len(t, light, 1)
	assert.Equal(t, "front-share", light[0].Mend)
	mends := mendsOf(t, &j, "front-share")
	require.NotEmpty(t, mends.Found)
	for _, m := range mends.Found {
		after := appliedTo(t, &j, m)
		assert.Empty(t, example.Found(t, after, "front-light"))
	}
}

func TestWhatIsCloseCanBeCleared(t *testing.T) {
	j := leaning()
	j.Vehicle.Limits.RearAxle.Kg = assess.Of(&j).Axles.Rear + 10
	near := example.Found(t, j, "rear-close")
	require.Len(t, near, 1)
	assert.Equal(t, "rear", near[0].Mend)
	for _, m := range mendsOf(t, &j, "rear").Found {
		after := appliedTo(t, &j, m)
		assert.Empty(t, example.Found(t, after, "rear-close"), "it comes clear, not only a little further")
		assert.Equal(t, "within", m.Pads[1].State)
		assert.Empty(t, m.Reaches, "the pads show it")
	}
}

func TestAPlacardIsMendedByLeavingSomethingBehind(t *testing.T) {
	j := leaning()
	j.Vehicle.Limits.Placard = fitout.Limit{Kg: 242, Source: fitout.FromPlate}
	j.Variants[0].Switches = []fitout.Switch{{ID: "raft", Name: "Raft", On: true}}
	example.Add(&j, "raft", 8, 3000, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "raft"}
	})
	over := example.Found(t, j, "placard-over")
	require.Len(t, over, 1)
	assert.InDelta(t, 248, over[0].Value, 1e-9)
	assert.Equal(t, "placard", over[0].Mend)
	mends := mendsOf(t, &j, "placard")
	require.NotEmpty(t, mends.Found)
	assert.Equal(t, "Leave raft behind", mends.Found[0].Changes[0].Label)
	assert.Empty(t, example.Found(t, appliedTo(t, &j, mends.Found[0]), "placard-over"))

	j.Vehicle.Limits.Placard.Kg = 230
	assert.Empty(t, mendsOf(t, &j, "placard").Found, "8 kg are not 18, and moving takes nothing off")
}

func TestAPlacardThatOnlyAnotherStateExceedsIsACaution(t *testing.T) {
	j := leaning()
	j.Vehicle.Limits.Placard = fitout.Limit{Kg: 250, Source: fitout.FromPlate}
	j.Variants[0].Switches = []fitout.Switch{{ID: "raft", Name: "Raft"}}
	example.Add(&j, "raft", 30, 3000, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "raft"}
	})
	can := example.Found(t, j, "placard-worst-over")
	require.Len(t, can, 1)
	assert.InDelta(t, 270, can[0].Value, 1e-9)
	assert.Contains(t, can[0].Sentence, "raft")
	j.Variants[0].Switches[0].On = true
	assert.Empty(t, example.Found(t, j, "placard-worst-over"), "then it is over, and that is what is said")
	assert.NotEmpty(t, example.Found(t, j, "placard-over"))
}

// appliedTo is a job after a way to mend it.
func appliedTo(t require.TestingT, j *fitout.Job, m mend.Mend) fitout.Job {
	var edits []fitout.FixEdit
	for _, c := range m.Changes {
		edits = append(edits, c.Edit)
	}
	fixed, err := edit.Apply(j, example.Shop(), edits)
	require.NoError(t, err)
	return fixed
}

// Whatever stands where, with or without a trailer: each way does to every pad what
// it says, reaches what it was asked for, and makes no other limit worse.
func TestEveryWayDoesWhatItSays(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Ute()
		j.Variants[0].Switches = []fitout.Switch{{ID: "raft", Name: "Raft", On: true}}
		for i := range rapid.IntRange(2, 7).Draw(t, "items") {
			item := example.Add(&j, string(rune('a'+i))+"-box", rapid.Float64Range(5, 160).Draw(t, "kg"),
				rapid.Float64Range(2000, 4300).Draw(t, "x"))
			item.At.Y = rapid.Float64Range(-600, 600).Draw(t, "y")
			if rapid.IntRange(0, 3).Draw(t, "switched") == 0 {
				item.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "raft"}
			}
		}
		if rapid.Bool().Draw(t, "tows") {
			j.Vehicle.Hitch.Overhang = 1100
			j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "Box", Coupled: true, Mass: 900,
				Ball: rapid.Float64Range(45, 140).Draw(t, "ball"), BallToAxle: 3000}
		}
		id := rapid.SampledFrom([]string{"front", "rear", "gross", "front-share", "sides"}).Draw(t, "limit")
		before := assess.Of(&j)
		over := rapid.Float64Range(1, 60).Draw(t, "over")
		switch id {
		case "front":
			j.Vehicle.Limits.FrontAxle.Kg = before.Axles.Front - over
		case "rear":
			j.Vehicle.Limits.RearAxle.Kg = before.Axles.Rear - over
		case "gross":
			j.Vehicle.Limits.Gross.Kg = before.Gross - over
		case "front-share":
			j.Practice.FrontShare = min(0.9, before.Axles.Front/before.Gross+0.01)
		case "sides":
			j.Practice.SideShare = 0.002
		}
		if err := fitout.Validate(&j); err != nil {
			t.Fatal(err)
		}
		mends, err := mend.Limit(context.Background(), &j, nil, id, func(float64) {})
		if err != nil {
			t.Fatal(err)
		}
		was := limits.Of(plan.Of(&j))
		for _, m := range append(mends.Found, mends.Vehicle...) {
			fixed := appliedTo(t, &j, m)
			is := limits.Of(plan.Of(&fixed))
			if l := is.Get(id); quantity.Exceeds(l.Beyond(is.Shown()), 0) {
				t.Fatalf("%q leaves %s %.2f over", m.Changes[0].Label, id, l.Beyond(is.Shown()))
			}
			for i, pad := range is.PadsIn(is.Shown()) {
				if pad != m.Pads[i] {
					t.Fatalf("%q: said %+v, is %+v", m.Changes[0].Label, m.Pads[i], pad)
				}
			}
			for _, l := range is.All {
				f := l.Facts()
				before := was.Get(f.ID)
				if f.ID == id || before == nil || !f.Stated() || f.Towing && !is.Shown().State.Coupled {
					continue
				}
				if now := l.Beyond(is.Shown()); now > max(0, before.Beyond(was.Shown()))+1e-5 {
					t.Fatalf("%q makes %s worse", m.Changes[0].Label, f.ID)
				}
			}
		}
	})
}

func TestARackIsMendedByWhatIsOnIt(t *testing.T) {
	j := example.Travelling()
	require.NoError(t, fitout.Validate(&j))
	assert.Empty(t, example.Found(t, j, "roof-over"))
	example.Add(&j, "poles", 30, 2400, func(i *fitout.Item) { i.Bay = "rack" })
	example.Add(&j, "jar", 2, 2500, func(i *fitout.Item) {
		i.Bay, i.Presence = "rack", fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 20, Now: 15, Density: 1}}
	})
	over := example.Found(t, j, "roof-over")
	require.Len(t, over, 1, "87 kg on a roof of 75")
	assert.Equal(t, "roof", over[0].Mend)
	mends := mendsOf(t, &j, "roof")
	require.NotEmpty(t, mends.Found)
	assert.Contains(t, mends.Found[0].Reaches, "Roof, moving: 87")
	var labels []string
	for _, m := range mends.Found {
		labels = append(labels, m.Changes[0].Label)
		after := appliedTo(t, &j, m)
		assert.Empty(t, example.Found(t, after, "roof-over"), m.Changes[0].Label)
	}
	assert.Contains(t, labels, "Carry 12\u00a0L less in jar")
	assert.Contains(t, labels, "Carry poles on the trailer, over its axle")
	assert.NotContains(t, labels, "Carry crate on the trailer, over its axle", "that is not on the rack")
	assert.ErrorContains(t, mend.Mendable(&j, "bay:cellar"), "one of the job's limits")
}

func TestABallThatIsTooHeavyIsMendedOnTheTrailer(t *testing.T) {
	j := example.Travelling()
	j.Trailer.Ball = 140
	j.Practice.BallMost = 0.2
	j.Vehicle.Limits.Ball.Kg = 100
	over := example.Found(t, j, "ball-over")
	require.Len(t, over, 1)
	assert.Equal(t, "ball", over[0].Mend)
	mends := mendsOf(t, &j, "ball")
	require.NotEmpty(t, mends.Found)
	assert.Contains(t, mends.Found[0].Changes[0].Label, "Load the trailer further back, 40\u00a0kg less on the ball")
	for _, m := range mends.Found {
		after := appliedTo(t, &j, m)
		assert.Empty(t, example.Found(t, after, "ball-over"))
	}
	j.Trailer.Coupled = false
	assert.Empty(t, mendsOf(t, &j, "ball").Found, "uncoupled there is nothing to mend")
}

func TestAHighLoadTakesOfTheTipAngle(t *testing.T) {
	j := example.Ute()
	assert.Empty(t, example.Found(t, j, "tip-lost"))
	j.Variants[0].Switches = []fitout.Switch{{ID: "boat", Name: "Boat", On: true}}
	example.Add(&j, "boat", 160, 2300, func(i *fitout.Item) {
		i.At.Z, i.Presence = 2300, fitout.Presence{Kind: fitout.BySwitch, Switch: "boat"}
	})
	j.Practice.TipLoss = 2
	lost := example.Found(t, j, "tip-lost")
	require.Len(t, lost, 1)
	assert.Equal(t, "tip", lost[0].Mend)
	assert.InDelta(t, assess.Of(&j).Stability.Loss, lost[0].Value, 1e-9)
	mends := mendsOf(t, &j, "tip")
	require.NotEmpty(t, mends.Found)
	assert.Equal(t, "Leave boat behind", mends.Found[0].Changes[0].Label)
	after := appliedTo(t, &j, mends.Found[0])
	assert.Empty(t, example.Found(t, after, "tip-lost"))

	// The form says the same as the angle, on both sides of the rule.
	for _, loss := range []float64{lost[0].Value - 0.001, lost[0].Value + 0.001} {
		j.Practice.TipLoss = loss
		table := limits.Of(plan.Of(&j))
		assert.Equal(t, loss < lost[0].Value, table.Get("tip").Beyond(table.Shown()) > 0)
	}
}

func TestTheWorstStateOfAFindingCanBeShown(t *testing.T) {
	j := leaning()
	j.Variants[0].Switches = []fitout.Switch{{ID: "raft", Name: "Raft"}}
	example.Add(&j, "raft", 300, 3900, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "raft"}
	})
	j.Vehicle.Limits.RearAxle.Kg = assess.Of(&j).Axles.Rear + 100
	can := example.Found(t, j, "rear-worst-over")
	require.Len(t, can, 1)
	shown, err := edit.ShowState(&j, can[0].At)
	require.NoError(t, err)
	over := example.Found(t, shown, "rear-over")
	require.Len(t, over, 1)
	assert.InDelta(t, can[0].Value, over[0].Value, 1e-6)
}

func TestATrailerThatIsTooHeavyIsUnloaded(t *testing.T) {
	j := example.Travelling()
	j.Trailer.Braked = true
	j.Vehicle.Limits.TrailerBraked.Kg = 980
	over := example.Found(t, j, "trailer-over")
	require.Len(t, over, 1, "950 kg and the drum of 50")
	assert.Equal(t, "trailer", over[0].Mend)
	mends := mendsOf(t, &j, "trailer")
	require.Len(t, mends.Found, 2, "or it stays behind")
	assert.Equal(t, "Uncouple the trailer", mends.Found[1].Changes[0].Label)
	assert.Equal(t, "Carry drum on the vehicle instead of the trailer", mends.Found[0].Changes[0].Label)
	after := appliedTo(t, &j, mends.Found[0])
	assert.Empty(t, example.Found(t, after, "trailer-over"))
	assert.InDelta(t, assess.Of(&j).Gross+50, assess.Of(&after).Gross, 1e-6)
	_, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "to-trailer", ID: "drum"}})
	assert.ErrorContains(t, err, "offered", "it is there already")
}

func TestABallIsBroughtToItsShare(t *testing.T) {
	for ball, rule := range map[float64]string{30: "ball-light", 200: "ball-heavy"} {
		j := example.Travelling()
		j.Trailer.Ball = ball
		off := example.Found(t, j, rule)
		require.Len(t, off, 1)
		require.Len(t, off[0].Fixes, 1)
		before := assess.Of(&j).Axles
		brought, err := edit.Apply(&j, nil, []fitout.FixEdit{off[0].Fixes[0].Edit})
		require.NoError(t, err)
		assert.Empty(t, example.Found(t, brought, rule))
		assert.InDelta(t, off[0].Fixes[0].Rear, assess.Of(&brought).Axles.Rear-before.Rear, 1e-6)
		assert.InDelta(t, off[0].Fixes[0].Front, assess.Of(&brought).Axles.Front-before.Front, 1e-6)
	}
}

// What the whole load stands on is not moved: a tray is where its mounts are.
func TestACarrierIsNotMoved(t *testing.T) {
	j := leaning()
	j.Vehicle.Outline.Width, j.Vehicle.Outline.RearOverhang, j.Vehicle.Outline.Headboard = 1850, 1150, 2100
	example.Add(&j, "tray", 150, 3200, func(i *fitout.Item) { i.Size = fitout.Size{Length: 2150, Width: 1800, Height: 200} })
	j.Vehicle.Limits.RearAxle.Kg = assess.Of(&j).Axles.Rear - 25
	mends := mendsOf(t, &j, "rear")
	require.NotEmpty(t, mends.Found)
	for _, m := range mends.Found {
		for _, c := range m.Changes {
			assert.NotEqual(t, "tray", c.Edit.ID, c.Label)
		}
	}
	for _, f := range example.Found(t, j, "rear-over") {
		for _, fix := range f.Fixes {
			assert.NotEqual(t, "tray", fix.Edit.ID, fix.Label)
		}
	}
}

// Of what is merely close nobody is told to buy another vehicle.
func TestWhatIsMerelyCloseCallsForNoOtherVehicle(t *testing.T) {
	j := heavy(-5)
	j.Practice.UpgradeShare, j.Practice.LongestCut = 0, 0
	near := example.Found(t, j, "rear-close")
	require.Len(t, near, 1)
	mends := mendsOf(t, &j, "rear")
	assert.Empty(t, mends.Found)
	assert.Equal(t, "It is within its limit. No one, two or three changes of load bring it clear of it.", mends.None)
}
