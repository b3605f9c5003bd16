package module

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// unit is a drawer unit 640 wide, of 9 mm panels with 19 mm runners and 3 mm
// lining, that opens to the rear.
func unit(cells int) fitout.Item {
	i := fitout.Item{
		ID: "unit", Name: "Unit", Source: fitout.ByMaterial, At: fitout.Point{X: 3000, Y: 0, Z: 1000},
		Size: fitout.Size{Length: 900, Width: 640, Height: 300},
		Module: &fitout.Module{
			Kind:   fitout.Drawers,
			Faces:  fitout.FaceRear,
			Wall:   fitout.Plywood,
			Panel:  9,
			Lining: 3,
			Runner: fitout.BallRunner,
			Stack:  fitout.Beside,
		},
	}
	for k := range cells {
		i.Module.Cells = append(i.Module.Cells, fitout.Cell{ID: string(rune('a' + k)), Name: "Drawer"})
	}
	return i
}

// Worked example: 640 outside, 9 mm carcass and drawer panels, 19 mm runner on
// each side, 3 mm lining: drawer box 584, clear inside 560.
func TestADrawerLosesPanelsRunnersAndLining(t *testing.T) {
	i := unit(1)
	c := Cells(&i)
	require.Len(t, c, 1)
	assert.InDelta(t, 584, c[0].Outer.Size().Width, 0.05)
	assert.InDelta(t, 560, c[0].Inside.Size().Width, 0.05)
	assert.InDelta(t, 300-2*9-3-5-9-3, c[0].Inside.Size().Height, 0.05)
}

func TestANarrowerRunnerLeavesAWiderDrawer(t *testing.T) {
	i := unit(1)
	i.Module.Runner = fitout.StripRunner
	assert.InDelta(t, 584+2*(19-2), Cells(&i)[0].Outer.Size().Width, 0.05)
}

func TestTwoDrawersShareWhatTheDividerLeaves(t *testing.T) {
	i := unit(2)
	i.Module.Cells[0].Share = 2
	c := Cells(&i)
	a, b := c[0].Outer.Size().Width+2*19, c[1].Outer.Size().Width+2*19
	assert.InDelta(t, 640-3*9, a+b, 0.05)
	assert.InDelta(t, 2, a/b, 0.001)
	assert.Less(t, c[0].Outer.From.Y, c[1].Outer.From.Y, "from the left")
	i.Module.Mirrored = true
	assert.Equal(t, "b", Cells(&i)[0].ID)

	i.Module.Stack = fitout.Above
	c = Cells(&i)
	assert.Less(t, c[0].Outer.To.Z, c[1].Outer.From.Z, "from the bottom")
	assert.InDelta(t, 584, c[0].Outer.Size().Width, 0.05)
}

func TestMassOfPlywoodCarcassByHand(t *testing.T) {
	i := unit(1)
	i.Module.Lining, i.Module.Runner = 0, fitout.NoRunner
	kg, centre, ok := Mass(&i, nil)
	require.True(t, ok)
	// Top and bottom 900 × 640, sides 900 × 282, back 622 × 282; the drawer is
	// 889 × 622 × 274 outside: its bottom, sides 265 high that stand on it, ends between them.
	carcass := 2*0.9*0.640 + 2*0.9*0.282 + 0.622*0.282
	drawer := 0.889*0.622 + 2*0.265*0.889 + 2*0.265*(0.622-0.018)
	assert.InDelta(t, (carcass+drawer)*0.009*680, kg, 0.01)
	assert.InDelta(t, 0, centre.Y, 0.001)
	back, middle := 0.622*0.282*-445.5, drawer*5.5 // the back stands at the front end, the drawer behind it
	assert.InDelta(t, 3000+(back+middle)/(carcass+drawer), centre.X, 0.05)
}

func TestPartitionsAndACoverCostMassAndHeight(t *testing.T) {
	i := unit(1)
	plain, _, _ := Mass(&i, nil)
	bare := Cells(&i)[0].Inside.Size()
	i.Module.Cells[0].Walls, i.Module.Cells[0].Cover = 2, true
	fitted, _, _ := Mass(&i, nil)
	outer, inside := Cells(&i)[0].Outer.Size(), Cells(&i)[0].Inside.Size()
	assert.InDelta(t, bare.Height-9, inside.Height, 0.01)
	lower := 2 * 9 * (outer.Length + outer.Width - 2*9) // the cover lies on sides that are lower by its thickness
	lining := 1.1 * 2 * 9 * (outer.Length + outer.Width) / 1e6
	assert.InDelta(
		t,
		(2*inside.Width*inside.Height+outer.Length*outer.Width-lower)*9/1e9*680-lining,
		fitted-plain,
		0.001,
	)
}

func TestRunnersLiningAndMaterialTellInTheMass(t *testing.T) {
	mass := func(change func(*fitout.Module)) float64 {
		i := unit(2)
		change(i.Module)
		kg, _, _ := Mass(&i, nil)
		return kg
	}
	ply := mass(func(*fitout.Module) {})
	assert.Greater(t, ply, mass(func(m *fitout.Module) { m.Runner = fitout.StripRunner }))
	assert.Greater(t, ply, mass(func(m *fitout.Module) { m.Lining = 0 }))
	assert.Greater(t, ply, mass(func(m *fitout.Module) { m.Wall = fitout.FoamCore }))
	assert.Greater(t, mass(func(m *fitout.Module) { m.Panel = 12 }), ply)
	i := unit(1)
	i.Module.Wall = fitout.NoMaterial
	_, _, ok := Mass(&i, nil)
	assert.False(t, ok, "what is bought has the mass of its data sheet")
}

func TestWhatOpensAndWhere(t *testing.T) {
	drawers := unit(2)
	leaves := Leaves(&drawers)
	require.Len(t, leaves, 2)
	depth := 900 - 9.0 - 2
	assert.InDelta(t, 3450+900, leaves[0].Open.To.X, 0.05, "out by as far as the unit is deep")
	assert.InDelta(t, depth+900, leaves[0].Swept.Size().Length, 0.05)

	slide := fitout.Item{At: fitout.Point{X: 3000, Y: 500, Z: 1200}, Size: fitout.Size{Length: 700, Width: 480,
		Height: 500},
		Module: &fitout.Module{Kind: fitout.FridgeSlide, Faces: fitout.FaceRight, Travel: 520, Drop: 250}}
	open := Leaves(&slide)[0].Open
	assert.Equal(t, slide.Box().Moved(0, 520, -250), open)

	lid := slide
	lid.Module = &fitout.Module{Kind: fitout.LiddedBox, Faces: fitout.FaceRear}
	swept := Leaves(&lid)[0].Swept
	assert.InDelta(t, 1450, swept.From.Z, 0.05)
	assert.InDelta(t, 700, swept.Size().Height, 0.05, "a lid needs as much room above as it is deep")

	flap := slide
	flap.Module = &fitout.Module{Kind: fitout.UnderTrayBox, Faces: fitout.FaceRight}
	assert.InDelta(t, 500, Leaves(&flap)[0].Swept.Size().Width, 0.05, "a flap comes out by its height")

	for _, i := range []fitout.Item{drawers, slide, lid, flap} {
		for _, leaf := range Leaves(&i) {
			assert.Equal(t, i.Box(), i.Box().Around(leaf.Closed), "shut, it is part of the module")
			assert.NotEqual(t, leaf.Closed, leaf.Open)
		}
	}

	// Tipped by 30° about the lower edge of its face, the fridge's far side comes up and its rim goes out.
	tilting := slide
	tilting.Module = &fitout.Module{Kind: fitout.FridgeSlide, Faces: fitout.FaceRear, Travel: 500, Tilt: 30}
	level, tilted := slide.Box(), Leaves(&tilting)[0]
	assert.InDelta(t, level.To.X+500+slide.Size.Height/2, tilted.Open.To.X, 0.05)
	assert.InDelta(t, level.From.Z+slide.Size.Height*math.Sqrt(3)/2+slide.Size.Length/2, tilted.Open.To.Z, 0.05)

	// A platform's piece lies on it and swings forward over the folded seats.
	platform := lid
	platform.Module = &fitout.Module{Kind: fitout.Platform, Faces: fitout.FaceFront, Unfolds: 400}
	piece := Leaves(&platform)[0]
	assert.InDelta(t, platform.Box().From.X-400, piece.Open.From.X, 0.05)
	assert.InDelta(t, platform.Box().To.Z+400, piece.Swept.To.Z, 0.05, "it needs its own length above")

	still := slide
	still.Module = &fitout.Module{Kind: fitout.Shelf, Faces: fitout.FaceNone}
	assert.Empty(t, Leaves(&still))
}

func TestWhatLiesInADrawerGoesWithIt(t *testing.T) {
	j := fitout.NewJob("j", "J", fitout.AustraliaNZ)
	stove := fitout.Item{ID: "stove", Mass: 8, Size: fitout.Size{Length: 300, Width: 300, Height: 120},
		In: &fitout.InCell{Module: "unit", Cell: "b"}}
	j.Variants[0].Items = []fitout.Item{stove, unit(2)}
	j.Variants[0].Items[1].Bay = "tub"
	placed := Placed(j.Variants[0].Items, nil, nil)
	cell := Cells(&placed[1])[1]
	assert.InDelta(t, cell.Inside.Middle().Y, placed[0].At.Y, 0.001)
	assert.InDelta(t, cell.Inside.From.Z+60, placed[0].At.Z, 0.001, "it stands on the drawer's floor")
	assert.Equal(t, "tub", placed[0].Bay)
	assert.Positive(t, placed[1].Mass, "a unit of material weighs by itself")
	assert.Zero(t, j.Variants[0].Items[1].Mass, "the given job is not changed")
	weighed := Weighed(&j, placed)
	assert.NotEqual(t, placed[1].At, weighed.Variants[0].Items[1].At, "the load counts at the centre of mass")
}

// Whatever the sizes, the room inside lies inside the drawer, the drawer inside
// the unit, and no two drawers share room.
func TestInsideIsInside(t *testing.T) {
	faces := []fitout.Face{fitout.FaceRear, fitout.FaceFront, fitout.FaceLeft, fitout.FaceRight}
	rapid.Check(t, func(t *rapid.T) {
		i := unit(rapid.IntRange(1, 4).Draw(t, "cells"))
		i.Size = fitout.Size{
			Length: rapid.Float64Range(50, 2000).Draw(t, "l"),
			Width: rapid.Float64Range(50, 2000).Draw(t,
				"w"),
			Height: rapid.Float64Range(30, 900).Draw(t, "h"),
		}
		i.Module.Panel = rapid.Float64Range(3, 25).Draw(t, "panel")
		i.Module.Faces = rapid.SampledFrom(faces).Draw(t, "faces")
		i.Module.Stack = rapid.SampledFrom([]fitout.Stack{fitout.Beside, fitout.Above}).Draw(t, "stack")
		outside := i.Box()
		cells := Cells(&i)
		for k, c := range cells {
			for _, pair := range [][2]fitout.Box{{outside, c.Outer}, {c.Outer, c.Inside}} {
				around := pair[0].Around(pair[1])
				s, o := around.Size(), pair[0].Size()
				if s.Length > o.Length+0.01 || s.Width > o.Width+0.01 || s.Height > o.Height+30 {
					t.Fatalf("cell %d stands out: %+v in %+v", k, pair[1], pair[0])
				}
			}
			for _, other := range cells[k+1:] {
				if o := c.Outer.Overlap(other.Outer); min(o.X, o.Y, o.Z) > 0.01 {
					t.Fatalf("drawers %s and %s share room", c.ID, other.ID)
				}
			}
		}
	})
}
