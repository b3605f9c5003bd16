package keeping

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/example/wagon"
)

// A lock of its own keeps what lies in a box on an open tray, as long as the box itself is held.
func TestALockOfABoxKeepsWhatLiesInIt(t *testing.T) {
	s := wagon.Sound()
	s.Bays[0].Lockable = false
	s.Prepare()
	found := NeedsLock(s)
	require.Len(t, found, 1)
	require.Len(t, found[0].Fixes, 1, "a lock is offered")
	assert.Equal(t, "unit", found[0].Fixes[0].Edit.ID)
	s.Part("unit").Module().Keyed = true
	assert.Empty(t, NeedsLock(s))
	s.Part("unit").Module().Fixings = nil
	assert.Len(t, NeedsLock(s), 1, "a locked box that nothing holds is carried off")
}
