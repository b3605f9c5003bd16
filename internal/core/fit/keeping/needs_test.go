package keeping

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
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

// The near misses of what the brief says of gear: within two steps, as high as it stands, in a drawer, held by what
// is stated, opened by a stance or blocked by what is lifted away.
func TestNearMissesOfGearStaySilent(t *testing.T) {
	silent := func(check func(*scene.Scene) []fitout.Finding, change func(s *scene.Scene)) {
		t.Helper()
		s := wagon.Sound()
		change(s)
		s.Prepare()
		assert.Empty(t, check(s))
	}
	silent(EmergencyBuried, func(s *scene.Scene) { s.Brief.Gear[0].Used = fitout.UsedEmergency })
	silent(NeedsUpright, func(s *scene.Scene) {
		s.Brief.Gear[0].Upright, s.Brief.Gear[0].Size = true, fitout.Size{Length: 300, Width: 300, Height: 123}
	})
	silent(NeedsUpright, func(s *scene.Scene) { s.Brief.Gear[0].Upright = true }) // its size is not said
	silent(NeedsHidden, func(s *scene.Scene) { s.Brief.Gear[0].Hidden = true })   // it lies in a drawer
	silent(RatingUnsaid, func(s *scene.Scene) {
		s.Vehicle.Mounts = append(s.Vehicle.Mounts, fitout.Mount{ID: "eye", Name: "Eye"})
		m := s.Part("unit").Module()
		m.Fixings = append(m.Fixings, fitout.Fixing{Mount: "eye"}) // the ring alone holds it
	})
	silent(ShutIn, func(s *scene.Scene) {
		s.Stances[0].Open = s.Stances[0].Open[:1]
		wagon.Add(
			s,
			wagon.Part("bag", fitout.PlainGear, scene.Still, wagon.Box(4100, 100, 640, 50, 100, 300), 2),
		) // lifted away
	})
}

// What is to be out of sight is so behind windows that all have covers, and not behind one of which nobody said so,
// nor where no window was measured.
func TestCoversOfWindowsKeepThingsOutOfSight(t *testing.T) {
	window := func(name string, cover fitout.Yes) scene.MoreOpening {
		return scene.MoreOpening{Said: &fitout.MoreOpening{ID: name, Name: name, Use: fitout.ForSight, Cover: cover}}
	}
	inSight := func(windows ...scene.MoreOpening) []fitout.Finding {
		s := wagon.Sound()
		s.Brief.Gear = append(s.Brief.Gear, fitout.Gear{ID: "case", Name: "Case", Hidden: true})
		wagon.Add(s, wagon.Part("case", fitout.PlainGear, scene.Still, wagon.Box(3700, 450, 600, 100, 150, 150), 2))
		s.Bays[0].More = windows
		s.Prepare()
		return NeedsHidden(s)
	}
	require.Len(t, inSight(), 1)
	require.Empty(t, inSight(window("Left window", fitout.IsSo), window("Right window", fitout.IsSo)))
	found := inSight(window("Left window", fitout.IsSo), window("Right window", ""), window("Hatch", fitout.IsNotSo))
	require.Len(t, found, 1)
	assert.Contains(t, found[0].Sentence, "nothing is said to cover right window and hatch, through which people look in")
	door := scene.MoreOpening{Said: &fitout.MoreOpening{ID: "door", Name: "Door", Use: fitout.ForLoad}}
	require.Empty(t, inSight(window("Left window", fitout.IsSo), door), "a door is not looked through")
}
