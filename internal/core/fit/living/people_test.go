package living

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/example/wagon"
)

// A barrier holds what is behind it, and not what lies ahead of it.
func TestABarrierHoldsWhatIsBehindIt(t *testing.T) {
	with := func(x float64) int {
		s := wagon.Sound()
		wagon.Put(s, "barrier", x-2610, 0, 0)
		s.Prepare()
		return len(NoBarrier(s))
	}
	assert.Zero(t, with(2610))
	assert.Equal(t, 1, with(3900), "behind all of it")
}

// A barrier holds what it covers: what stands beside it, above it, or between two of them by more than gets past it
// flies.
func TestABarrierHoldsWhatItCovers(t *testing.T) {
	told := func(barriers ...fitout.Box) []fitout.Finding {
		s := wagon.Sound() // its fridge reaches from 20 to 440 across and to 1040 up, its board from 100 to 400 and to 1100
		s.Part("barrier").Box = barriers[0]
		for _, b := range barriers[1:] {
			more := *s.Part("barrier")
			more.ID, more.Box = "more", b
			s.Parts = append(s.Parts, more)
		}
		s.Prepare()
		return NoBarrier(s)
	}
	assert.Empty(t, told(wagon.Box(2610, -700, 700, 20, 1400, 400)), "from wall to wall, as high as the load")
	assert.Empty(t, told(wagon.Box(2610, 170, 700, 20, 430, 250)), "150 mm beside it and above it")
	narrow := told(wagon.Box(2610, 171, 700, 20, 429, 400))
	require.Len(t, narrow, 1)
	assert.Contains(t, narrow[0].Sentence, "beside or above the barrier, by up to 151")
	assert.Equal(t, []string{"barrier"}, narrow[0].With)
	low := told(wagon.Box(2610, -700, 700, 20, 1400, 249))
	require.Len(t, low, 1)
	assert.InDelta(t, 151, low[0].Value, 0.1, "the board stands 1100 high, the barrier 949")
	assert.Empty(
		t,
		told(wagon.Box(2610, -700, 700, 20, 900, 400), wagon.Box(2610, 300, 700, 20, 400, 400)),
		"two with 100 between",
	)
	require.Len(
		t,
		told(wagon.Box(2610, -700, 700, 20, 800, 400), wagon.Box(2610, 300, 700, 20, 400, 400)),
		1,
		"two with 200 between",
	)
	require.Len(t, told(wagon.Box(2610, -700, 700, 20, 300, 400)), 1, "beside all of it")
	require.Len(
		t,
		told(wagon.Box(2610, -700, 700, 20, 900, 400), wagon.Box(2610, 200, 700, 20, 500, 100)),
		1,
		"a high and a low one",
	)
}

// A way out of another room is none: a space that does not join that of the bed does not count.
func TestAWayOutOfAnotherRoomIsNone(t *testing.T) {
	with := func(rowEnds float64) int {
		s := wagon.Sound()
		s.Bays[1].Room.To.X = rowEnds
		platform := s.Part("platform")
		platform.Box.From.X = 2700 // all of it in the cargo area
		s.Prepare()
		return len(SleepExits(s))
	}
	assert.Zero(t, with(2600), "the second row joins the cargo area")
	assert.Equal(t, 1, with(2300), "300 of wall between")
}
