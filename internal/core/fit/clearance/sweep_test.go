package clearance

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// A slide that comes down beyond the sill does not meet the floor that it stands on; what stands on the ground
// before it does meet it.
func TestADropSlideLeavesItsFloorAlone(t *testing.T) {
	with := func(before fitout.Box) *scene.Scene {
		fridge := wagon.Part("fridge", fitout.FridgeSlide, scene.Slides, wagon.Box(3300, 0, 620, 600, 400, 400), 40)
		fridge.Item.Module.Drop = 200
		fridge.Leaves[0].Open = fridge.Box.Moved(650, 0, -200)
		fridge.Leaves[0].Swept = fridge.Box.Around(fridge.Leaves[0].Open)
		s := &scene.Scene{Vehicle: &fitout.Vehicle{}, Brief: &fitout.Brief{}, Say: wagon.Sound().Say,
			Parts: []scene.Part{
				fridge,
				wagon.Part("floor", fitout.FalseFloor, scene.Still, wagon.Box(2600, -400, 605, 1300, 1000, 15), 10),
				wagon.Part("step", fitout.PlainGear, scene.Still, before, 5),
			},
			Stances: []fitout.Stance{{ID: "cook", Name: "Cook", Open: []fitout.Opened{{Module: "fridge"}}}}}
		s.Prepare()
		return s
	}
	assert.Empty(t, WayBlocked(with(wagon.Box(5200, 0, 300, 200, 200, 100))))
	found := WayBlocked(with(wagon.Box(4200, 100, 300, 200, 200, 250)))
	require.Len(t, found, 1)
	assert.Equal(t, []string{"step"}, found[0].With)
}

// All that stands in a way is told at once, not one after the other as it is cleared.
func TestEveryObstacleOfAWayIsTold(t *testing.T) {
	fridge := wagon.Part("fridge", fitout.FridgeSlide, scene.Slides, wagon.Box(3300, 0, 620, 600, 400, 400), 40)
	s := &scene.Scene{Vehicle: &fitout.Vehicle{}, Brief: &fitout.Brief{}, Say: wagon.Sound().Say,
		Parts: []scene.Part{
			fridge,
			wagon.Part("one", fitout.PlainGear, scene.Still, wagon.Box(4000, 50, 650, 100, 100, 100), 5),
			wagon.Part("two", fitout.PlainGear, scene.Still, wagon.Box(4200, 50, 650, 100, 100, 100), 5),
		},
		Stances: []fitout.Stance{{ID: "cook", Name: "Cook", Open: []fitout.Opened{{Module: "fridge"}}}}}
	s.Prepare()
	found := WayBlocked(s)
	require.Len(t, found, 2)
	assert.NotEqual(t, found[0].With, found[1].With)
}
