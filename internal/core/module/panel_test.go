package module

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// counted are panels by name and size, and how many there are.
func counted(panels []Panel) map[string]int {
	all := map[string]int{}
	for _, p := range panels {
		all[fmt.Sprintf("%s %.0f × %.0f × %.0f", p.Name, p.Length, p.Width, p.Thickness)]++
	}
	return all
}

// Worked example: a drawer unit 640 wide, 900 deep and 300 high in 9 mm plywood, one drawer on ball runners,
// 3 mm lining, 3 below, 5 above and 2 behind the drawer.
func TestTheCutListOfADrawerUnit(t *testing.T) {
	i := unit(1)
	made := AnatomyOf(&i, nil)
	assert.Equal(t, map[string]int{
		"top 900 × 640 × 9": 1, "bottom 900 × 640 × 9": 1, "left side 900 × 282 × 9": 1, "right side 900 × 282 × 9": 1,
		"back 622 × 282 × 9": 1, "drawer bottom 889 × 584 × 9": 1, "drawer side 889 × 265 × 9": 2,
		"drawer front 566 × 265 × 9": 1, "drawer end 566 × 265 × 9": 1,
	}, counted(made.Panels))
	area, kg := 0.0, 0.0
	for _, p := range made.Panels {
		area, kg = area+p.Length*p.Width/1e6, kg+p.Kg
	}
	assert.InDelta(t, 3.125, area, 0.0005)
	assert.InDelta(t, 19.13, kg, 0.005)
	assert.InDelta(t, 560, Cells(&i)[0].Inside.Size().Width, 1e-9)
	require.Len(t, made.Runners, 1)
	assert.InDelta(t, 889, made.Runners[0].Depth, 1e-9)
}

// The same unit turned to any side has the same panels, and the face stays open.
func TestAUnitIsTheSameWhicheverWayItFaces(t *testing.T) {
	rear := unit(2)
	want := AnatomyOf(&rear, nil)
	for _, face := range []fitout.Face{fitout.FaceFront, fitout.FaceLeft, fitout.FaceRight} {
		i := unit(2)
		i.Module.Faces = face
		if across(face) {
			i.Size.Length, i.Size.Width = i.Size.Width, i.Size.Length
		}
		got := AnatomyOf(&i, nil)
		require.Len(t, got.Panels, len(want.Panels), "%s", face)
		box, way := i.Box(), out(face)
		for k, p := range got.Panels {
			assert.InDelta(t, want.Panels[k].Length, p.Length, 1e-9, "%s %s", face, p.Name)
			assert.InDelta(t, want.Panels[k].Width, p.Width, 1e-9, "%s %s", face, p.Name)
			if p.Name == "back" {
				at := p.Box.Middle()
				towards := (at.X-box.Middle().X)*way.X + (at.Y-box.Middle().Y)*way.Y
				assert.Less(t, towards, 0.0, "%s: the back is away from the face", face)
			}
		}
	}
}

// A frame 600 × 500 × 700 of 30 mm profile by hand: four uprights of 700, four rails of 540 along the face and
// four of 440 into the depth; each panel stands 8 mm in the slots around it. A divider has two rails of its own.
func TestAFrameByHand(t *testing.T) {
	i := fitout.Item{At: fitout.Point{X: 2000, Z: 800}, Size: fitout.Size{Length: 500, Width: 600, Height: 700},
		Module: &fitout.Module{Kind: fitout.Locker, Faces: fitout.FaceRear, Wall: fitout.Extrusion, Panel: 6,
			Stack: fitout.Beside, Cells: []fitout.Cell{{ID: "a", Name: "A"}, {ID: "b", Name: "B"}}}}
	made := AnatomyOf(&i, nil)
	lengths, closed := map[float64]int{}, 0
	metres := 0.0
	for _, r := range made.Rods {
		lengths[r.Length]++
		metres += r.Length / 1000
		if r.Butts {
			closed++
		}
		assert.InDelta(t, 0.95*r.Length/1000, r.Kg, 1e-9)
	}
	assert.Equal(t, map[float64]int{700: 4, 540: 4, 440: 6}, lengths)
	assert.Equal(t, 10, closed, "the ends of every rail stand against an upright or another rail")
	assert.InDelta(t, (4*700+4*540+6*440)/1000.0, metres, 1e-9)
	assert.Equal(t, map[string]int{"bottom 556 × 456 × 6": 1, "top 556 × 456 × 6": 1, "left side 656 × 456 × 6": 1,
		"right side 656 × 456 × 6": 1, "back 656 × 556 × 6": 1, "divider 656 × 440 × 6": 1, "door 636 × 536 × 6": 1}, counted(made.Panels))
	cells := Cells(&i)
	assert.InDelta(
		t,
		(600-3*30)/2.0,
		cells[0].Outer.Size().Width,
		1e-9,
		"the profile takes its width, not the thin panel",
	)
}

// Whatever is built of panels: the parts weigh together what the module weighs, lie within it, and no two boards
// of a closed carcass stand in each other.
func TestThePartsAreTheModule(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		side := func(name string) float64 { return float64(rapid.IntRange(200, 1800).Draw(t, name)) }
		i := sized(rapid.SampledFrom(builtKinds()).Draw(t, "kind"), side("length"), side("width"), side("height"))
		m := i.Module
		m.Wall = rapid.SampledFrom([]fitout.Material{fitout.Plywood, fitout.Aluminium, fitout.Extrusion, fitout.FoamCore}).
			Draw(
				t, "wall")
		m.Panel = rapid.SampledFrom([]float64{2, 6, 9, 12, 15}).Draw(t, "panel")
		m.Faces = rapid.SampledFrom([]fitout.Face{fitout.FaceRear, fitout.FaceLeft, fitout.FaceRight, fitout.FaceFront}).
			Draw(
				t, "faces")
		m.Lining = rapid.SampledFrom([]float64{0, 3}).Draw(t, "lining")
		m.Runner = rapid.SampledFrom([]fitout.Runner{fitout.NoRunner, fitout.BallRunner, fitout.RollerRunner}).
			Draw(t, "runner")
		m.Stack = rapid.SampledFrom([]fitout.Stack{fitout.Beside, fitout.Above}).Draw(t, "stack")
		for k := range rapid.IntRange(0, 4).Draw(t, "cells") {
			m.Cells = append(
				m.Cells,
				fitout.Cell{ID: string(rune('a' + k)), Name: "Cell", Walls: rapid.IntRange(0, 2).Draw(t,
					"walls"),
					Cover: rapid.Bool().Draw(t, "cover"), Share: float64(rapid.IntRange(1, 3).Draw(t, "share"))},
			)
		}
		made, sum := AnatomyOf(&i, nil), 0.0
		roomy := true // a drawer that is hardly wider than its sides is none
		for _, c := range Cells(&i) {
			s := c.Outer.Size()
			roomy = roomy && min(s.Length, s.Width, s.Height) > 3*m.Panel && min(s.Length, s.Width) > 6*m.Panel
		}
		box := i.Box()
		within := func(name string, b fitout.Box) {
			if b.From.X < box.From.X-1e-6 || b.From.Y < box.From.Y-1e-6 || b.From.Z < box.From.Z-1e-6 ||
				b.To.X > box.To.X+1e-6 || b.To.Y > box.To.Y+1e-6 || b.To.Z > box.To.Z+1e-6 {
				t.Fatalf("%s %+v stands out of %+v", name, b, box)
			}
		}
		for k, p := range made.Panels {
			within(p.Name, p.Box)
			sum += p.Kg
			if d := p.Length*p.Width*p.Thickness/1e9*density(m.Wall) - p.Kg; math.Abs(d) > 1e-9 {
				t.Fatalf("%s weighs %.4f kg by its size %.4f", p.Name, p.Kg, p.Kg+d)
			}
			for _, q := range made.Panels[k+1:] {
				if o := p.Box.Overlap(q.Box); roomy && m.Wall != fitout.Extrusion && min(o.X, o.Y, o.Z) > 0.01 {
					t.Fatalf("%s stands in %s by %+v", p.Name, q.Name, o)
				}
			}
		}
		for k, r := range made.Rods {
			within(r.Name, r.Box)
			sum += r.Kg
			for _, q := range made.Rods[k+1:] {
				if o := r.Box.Overlap(q.Box); min(o.X, o.Y, o.Z) > 0.01 {
					t.Fatalf("%s stands in %s by %+v", r.Name, q.Name, o)
				}
			}
		}
		for _, r := range made.Runners {
			sum += r.Kg
		}
		for _, l := range made.Linings {
			sum += l.Kg
		}
		if kg, _, _ := Mass(&i, nil); math.Abs(kg-sum) > 1e-9 {
			t.Fatalf("the parts weigh %.4f, the module %.4f", sum, kg)
		}
	})
}
