package clearance

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// A carrier that covers the plate from behind has to go sideways or up; toward the rear it would hide it still.
func TestWhatHidesIsMovedOutOfTheLineOfSight(t *testing.T) {
	s := wagon.Sound()
	c := wagon.Part("carrier", fitout.RearCarrier, scene.Still, wagon.Box(4200, -300, 400, 100, 600, 300), 5)
	c.Bay = ""
	wagon.Add(s, c)
	s.Prepare()
	found := Hides(s)
	require.Len(t, found, 1)
	by := moveIn(t, found[0].Sentence)
	assert.Zero(t, by.X)
	wagon.Put(s, "carrier", by.X, by.Y, by.Z)
	s.Prepare()
	assert.Empty(t, Hides(s))
}
