package module

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// cabinet is a locker 600 wide, 450 deep, 700 high of 12 mm plywood with two shelves.
func cabinet(kind fitout.ModuleKind) fitout.Item {
	return fitout.Item{ID: "c", Name: "C", At: fitout.Point{X: 3000, Y: 300, Z: 1000},
		Size: fitout.Size{Length: 450, Width: 600, Height: 700},
		Module: &fitout.Module{
			Kind:   kind,
			Faces:  fitout.FaceRear,
			Wall:   fitout.Plywood,
			Panel:  12,
			Runner: fitout.NoRunner,
			Stack:  fitout.Above,
			Cells:  []fitout.Cell{{ID: "a", Name: "A"}, {ID: "b", Name: "B"}, {ID: "d", Name: "D"}},
		}}
}

// A locker by hand: its door stands between the sides with 2 mm free, its shelves behind the door.
func TestALockerByHand(t *testing.T) {
	i := cabinet(fitout.Locker)
	assert.Equal(t, map[string]int{
		"door 672 × 572 × 12": 1, "top 600 × 450 × 12": 1, "bottom 600 × 450 × 12": 1, "left side 676 × 450 × 12": 1,
		"right side 676 × 450 × 12": 1, "back 676 × 576 × 12": 1, "shelf 1 576 × 426 × 12": 1, "shelf 2 576 × 426 × 12": 1,
	}, counted(AnatomyOf(&i, nil).Panels))
	kg, _, _ := Mass(&i, nil)
	area := 0.672*0.572 + 2*0.6*0.45 + 2*0.676*0.45 + 0.676*0.576 + 2*0.576*0.426
	assert.InDelta(t, area*0.012*680, kg, 1e-9)
	for _, c := range Cells(&i) {
		s := c.Inside.Size()
		assert.InDelta(t, 450-12-12, s.Length, 1e-9, "the back and the door take their thickness")
		assert.InDelta(t, 576, s.Width, 1e-9)
		assert.InDelta(t, (700-4*12)/3.0, s.Height, 1e-9)
	}
}

// What hangs below has a flap; what slides out has no leaf of its own; what is bought whole has no panels at all.
func TestWhoHasADoor(t *testing.T) {
	names := func(i fitout.Item) map[string]bool {
		all := map[string]bool{}
		for _, p := range AnatomyOf(&i, nil).Panels {
			all[p.Name] = true
		}
		return all
	}
	assert.True(t, names(cabinet(fitout.UnderTrayBox))["flap"])
	assert.False(t, names(cabinet(fitout.UnderTrayBox))["door"])
	for _, kind := range []fitout.ModuleKind{fitout.Drawers, fitout.Pantry, fitout.Trundle, fitout.LiddedBox} {
		all := names(cabinet(kind))
		assert.False(t, all["door"] || all["flap"], "%s", kind)
	}
	bought := cabinet(fitout.Locker)
	bought.Module.Wall = fitout.NoMaterial
	assert.Empty(t, AnatomyOf(&bought, nil).Panels)
	assert.InDelta(t, 450, Cells(&bought)[0].Inside.Size().Length, 1e-9, "its data sheet knows its inside")
}

// The door is at the face, whichever way the locker looks, and the room behind it is.
func TestTheDoorIsAtTheFace(t *testing.T) {
	for _, face := range []fitout.Face{fitout.FaceRear, fitout.FaceFront, fitout.FaceLeft, fitout.FaceRight} {
		i := cabinet(fitout.Locker)
		i.Module.Faces = face
		if across(face) {
			i.Size.Length, i.Size.Width = i.Size.Width, i.Size.Length
		}
		box, way := i.Box(), out(face)
		var door *Panel
		panels := AnatomyOf(&i, nil).Panels
		for k := range panels {
			if panels[k].Name == "door" {
				door = &panels[k]
			}
		}
		require.NotNil(t, door, "%s", face)
		towards := func(b fitout.Box) float64 {
			m := b.Middle()
			return (m.X-box.Middle().X)*way.X + (m.Y-box.Middle().Y)*way.Y
		}
		assert.InDelta(t, 450/2-6, towards(door.Box), 1e-9, "%s", face)
		for _, c := range Cells(&i) {
			o := c.Inside.Overlap(door.Box)
			assert.LessOrEqual(t, min(o.X, o.Y, o.Z), 1e-6, "%s: nothing lies in the door", face)
		}
	}
}

// A drawer with a cover: the cover lies on sides that are lower by it, and the room inside is lower too.
func TestACoveredDrawerByHand(t *testing.T) {
	i := unit(1)
	i.Module.Cells[0].Cover, i.Module.Cells[0].Walls = true, 1
	c := Cells(&i)[0]
	assert.InDelta(t, 300-18-3-5-9, c.Outer.Size().Height, 1e-9)
	assert.InDelta(t, 300-18-3-5-9-9-3, c.Inside.Size().Height, 1e-9)
	all := counted(AnatomyOf(&i, nil).Panels)
	assert.Equal(t, 1, all["drawer cover 889 × 584 × 9"])
	assert.Equal(t, 2, all["drawer side 889 × 256 × 9"])
	assert.Equal(t, 1, all["drawer partition 560 × 253 × 9"], "as wide and as high as the inside")
}

// Gaps that a workshop enters take the place of the usual ones, each on its side.
func TestGapsOfADrawer(t *testing.T) {
	i := unit(1)
	usual := Cells(&i)[0].Outer
	i.Module.Gaps = &fitout.Gaps{Below: 10, Above: 20, Behind: 30}
	own := Cells(&i)[0].Outer
	assert.InDelta(t, usual.From.Z+7, own.From.Z, 1e-9)
	assert.InDelta(t, usual.To.Z-15, own.To.Z, 1e-9)
	assert.InDelta(t, usual.From.X+28, own.From.X, 1e-9, "it faces the rear: behind it is the front")
	assert.Equal(t, usual.To.X, own.To.X)
	i.Module.Gaps = &fitout.Gaps{}
	none := Cells(&i)[0].Outer
	assert.InDelta(t, 300-18, none.Size().Height, 1e-9)
	assert.InDelta(t, 891, none.Size().Length, 1e-9)
}
