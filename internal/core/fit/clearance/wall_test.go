package clearance

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// What opens toward the inside of a box under the tray, or toward the cab in a tub, opens into a wall; toward
// the aisle of a canopy it may be open, until a further opening of that canopy was measured; and toward a
// further opening it is none.
func TestWhichSidesAreWalls(t *testing.T) {
	bay := func(kind fitout.BayKind, face fitout.Face, more ...fitout.Face) *scene.Bay {
		b := &scene.Bay{Kind: kind, Opening: scene.Opening{Opening: fitout.Opening{Face: face}, Known: true}}
		for _, f := range more {
			b.More = append(
				b.More,
				scene.MoreOpening{
					Opening: scene.Opening{Opening: fitout.Opening{Face: f}, Known: true},
					Said:    &fitout.MoreOpening{Use: fitout.ForLoad},
				},
			)
		}
		return b
	}
	for _, c := range []struct {
		bay  *scene.Bay
		side string
		wall bool
	}{
		{bay(fitout.BayUnderTray, fitout.FaceLeft), "right", true},
		{bay(fitout.BayUnderTray, fitout.FaceLeft), "left", false},
		{bay(fitout.BayTub, fitout.FaceRear), "front", true},
		{bay(fitout.BayTub, fitout.FaceRear), "left", false},
		{bay(fitout.BayCanopyLeft, fitout.FaceLeft), "right", false},
		{bay(fitout.BayCanopyLeft, fitout.FaceLeft, fitout.FaceRear), "right", true},
		{bay(fitout.BayCanopyLeft, fitout.FaceLeft, fitout.FaceRear), "rear", false},
		{bay(fitout.BayWagonCargo, fitout.FaceRear), "left", true},
		{bay(fitout.BayWagonCargo, fitout.FaceRear, fitout.FaceLeft), "left", false},
	} {
		assert.Equal(t, c.wall, walled(c.bay, c.side), "%s, %s", c.bay.Kind, c.side)
	}
}

// In a canopy, which may have further openings, a slide to the side is not called wrong; in a wagon it is.
func TestOnlyAWagonsWallsAreWalls(t *testing.T) {
	with := func(kind fitout.BayKind) int {
		s := wagon.Sound()
		s.Bays[0].Kind = kind
		s.Part("board").Leaves[0].Open = s.Part("board").Leaves[0].Open.Moved(0, -1000, 0)
		s.Prepare()
		return len(FacesWall(s))
	}
	assert.Equal(t, 1, with(fitout.BayWagonCargo))
	assert.Zero(t, with(fitout.BayCanopyRear))
}
