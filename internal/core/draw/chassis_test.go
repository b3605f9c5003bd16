package draw_test

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/demo"
)

// Mounts, aerials, legs, ramps, hammocks and turned seats are drawn where they stand, those of a stance in that alone.
func TestWhatCarriesAndWhatHangsIsDrawn(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := &jobs[0]
	v := &j.Vehicle
	v.BodyMounts = []fitout.BodyMount{
		{ID: "a", Name: "Front mount", Kind: fitout.MountRubber, At: fitout.Point{X: 2000, Y: -400, Z: 700}},
	}
	v.Marks = append(
		v.Marks,
		fitout.Mark{
			ID:   "whip",
			Name: "Whip aerial",
			Kind: fitout.AerialMark,
			At:   fitout.Point{X: -300, Y: 500, Z: 2300},
		},
	)
	bay := v.Bays[0].ID
	v.Carrier = &fitout.Carrier{Name: "Canopy", Bays: []fitout.ThingNote{{Of: bay}},
		Legs: []fitout.StandLeg{{ID: "l", Name: "Left leg", At: fitout.Point{X: 2400, Y: -900}}}}
	v.Mounts = append(v.Mounts, fitout.Mount{ID: "eye-a", Name: "Eye", At: fitout.Point{X: 2000, Z: 1900}},
		fitout.Mount{ID: "eye-b", Name: "Eye", At: fitout.Point{X: 4000, Y: 300, Z: 1900}})
	seat := &v.Seats[1]
	seat.Turns, seat.Size = 180, fitout.Size{Length: 600, Width: 500, Height: 1000}
	stance := &j.Variants[0].Stances[0]
	stance.Off = true
	stance.Turned = []fitout.SeatTurned{{Seat: seat.ID, By: 90}}
	stance.Hung = []fitout.Hung{{Traveller: j.Brief.Travellers[0].ID, Head: "eye-a", Foot: "eye-b", Low: 1200}}

	p := plan.Of(j)
	there := func(stance, id string) (fitout.Box, bool) { return draw.SceneOf(p, stance, nil).Box(id) }
	mount, ok := there("", "~mount-a")
	require.True(t, ok, "a body mount is there on the road")
	assert.InDelta(t, p.Vehicle.BodyMounts[0].At.X, mount.Middle().X, 0.5)
	assert.InDelta(t, 712, mount.To.Z, 0.5, "its plate lies on it")
	aerial, ok := there("", "~aerial-whip")
	require.True(t, ok)
	assert.InDelta(t, 2300, aerial.To.Z, 0.5, "up to its tip")
	assert.InDelta(t, v.Outline.BonnetHeight, aerial.From.Z, 0.5, "from the bonnet, ahead of the windscreen")
	for _, id := range []string{"~leg-l", "~hammock-" + j.Brief.Travellers[0].ID, "~seat-" + seat.ID} {
		_, ok := there("", id)
		assert.False(t, ok, "%s is of the stance alone", id)
		_, ok = there(stance.ID, id)
		assert.True(t, ok, id)
	}
	for i := range j.Variants[0].Items {
		if item := &j.Variants[0].Items[i]; item.Bay == bay && item.Module != nil && item.Work != fitout.WorkLater {
			_, ok := there(stance.ID, item.ID)
			outside := slices.ContainsFunc(stance.Loose, func(l fitout.LoosePlace) bool { return l.Item == item.ID })
			assert.Equal(t, !outside, ok, "%s stands in the carrier on its legs", item.ID)
		}
	}
	leg, _ := there(stance.ID, "~leg-l")
	assert.InDelta(t, 0, leg.From.Z, 0.5)
	assert.Greater(t, leg.To.Z, 400.0, "up to the floor of what stands on it")
	hammock, _ := there(stance.ID, "~hammock-"+j.Brief.Travellers[0].ID)
	assert.InDelta(t, 1200, hammock.From.Z, 20, "down to its lowest point")
	assert.InDelta(t, 1900, hammock.To.Z, 100, "up to its eyes")
	turned, _ := there(stance.ID, "~seat-"+seat.ID)
	assert.InDelta(t, 500, turned.Size().Length, 0.5, "a quarter round its breadth lies along the vehicle")
	assert.InDelta(t, 600, turned.Size().Width, 0.5)
}

// A ramp leads from the edge of its space down to the ground, as long as it is; where it is too short there is none.
func TestARampReachesTheGround(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := &jobs[0]
	stance := &j.Variants[0].Stances[0]
	item := &j.Variants[0].Items[0]
	item.Loading = &fitout.Loading{Ramp: 2200, Rise: 900}
	item.Size = fitout.Size{Length: 1500, Width: 700, Height: 900}
	for i := range j.Vehicle.Bays {
		if face := j.Vehicle.Bays[i].Opening.Face; face != fitout.FaceTop && face != fitout.FaceNone {
			item.Bay = j.Vehicle.Bays[i].ID
		}
	}
	require.NotEmpty(t, item.Bay)
	stance.Doors = append(stance.Doors, fitout.Door{Bay: item.Bay})
	_, ok := draw.SceneOf(plan.Of(j), "", nil).Box("~ramp-" + item.ID)
	assert.False(t, ok, "on the road it is stowed")
	ramp, ok := draw.SceneOf(plan.Of(j), stance.ID, nil).Box("~ramp-" + item.ID)
	require.True(t, ok)
	assert.InDelta(t, 0, ramp.From.Z, 0.5)
	z := ramp.Size()
	run := max(z.Length, z.Width)
	if item.Bay != "" && math.Abs(math.Hypot(run, z.Height)-2200) > 60 {
		t.Errorf("from edge to ground it is %.0f mm long", math.Hypot(run, z.Height))
	}
	item.Loading.Ramp = 200
	_, ok = draw.SceneOf(plan.Of(j), stance.ID, nil).Box("~ramp-" + item.ID)
	assert.False(t, ok, "shorter than the edge is high, it leans on nothing")
}
