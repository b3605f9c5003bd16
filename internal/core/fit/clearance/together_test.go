package clearance

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// A door that stops at 60° stands half its reach before its opening and 0.87 of it out; one at 90° stands beside it.
func TestADoorThatStopsShortStandsBeforeItsOpening(t *testing.T) {
	bay := scene.Bay{
		Opening: scene.Opening{Opening: fitout.Opening{Face: fitout.FaceRear, Hinge: fitout.HingeLeft, Swing: 60},
			Gap: wagon.Box(4000, -500, 700, 0, 1000, 900), Known: true},
	}
	open, _, ok := bay.Door()
	require.True(t, ok)
	assert.InDelta(t, 0, open.To.Y, 1e-6, "from the hinge at -500 half of 1000 inward")
	assert.InDelta(t, 4866.03, open.To.X, 0.01)
	bay.Opening.Hinge = fitout.HingeRight
	open, _, _ = bay.Door()
	assert.InDelta(t, 0, open.From.Y, 1e-6)
	bay.Opening.Hinge = fitout.HingeTop
	open, _, _ = bay.Door()
	assert.InDelta(t, 1600-450, open.From.Z, 1e-6, "a hatch of 900 hangs 450 below its hinge")
	bay.Opening.Hinge, bay.Opening.Swing = fitout.HingeLeft, 90
	open, _, _ = bay.Door()
	assert.LessOrEqual(t, open.To.Y, -500.0)

	// A slide that comes out beside the hinge meets the one of 60°.
	slides := func(swing float64) int {
		s := wagon.Sound()
		s.Bays[0].Opening.Hinge, s.Bays[0].Opening.Swing = fitout.HingeLeft, swing
		s.Prepare()
		n := 0
		for _, f := range OpenTogether(s) {
			if f.Subject.ID == "unit" && f.With[0] == "cargo" {
				n++
			}
		}
		return n
	}
	assert.Equal(t, 1, slides(60))
	assert.Zero(t, slides(90))
}
