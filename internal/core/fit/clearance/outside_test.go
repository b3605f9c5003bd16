package clearance

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// A bed across two spaces that join lies in both; beyond them, or where a wall stands between, it stands out.
func TestABedLiesAcrossTwoSpaces(t *testing.T) {
	with := func(length float64, gap float64) []fitout.Finding {
		s := wagon.Sound()
		// The second row ends where the cargo area begins, at 2600.
		s.Bays[1].Room.To.X = 2600 - gap
		p := wagon.Part("bed", fitout.Platform, scene.Still, wagon.Box(3600-length, -400, 1000, length, 800, 50), 15)
		s.Parts = []scene.Part{p}
		s.Prepare()
		return OutsideBay(s)
	}
	assert.Empty(t, with(900, 0), "in one")
	assert.Empty(t, with(1700, 0), "across both")
	assert.Empty(t, with(1700, 60), "across a sill")
	assert.Len(t, with(1700, 200), 1, "over nothing")
	assert.Len(t, with(1900, 0), 1, "beyond the second row, which begins at 1800")
}
