package shape_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/shape"
)

// any is a module of any kind, size and face.
func anyModule(t *rapid.T) fitout.Item {
	spec := module.Specs[rapid.IntRange(0, len(module.Specs)-1).Draw(t, "kind")]
	faces := []fitout.Face{fitout.FaceRear, fitout.FaceLeft, fitout.FaceRight, fitout.FaceFront, fitout.FaceTop,
		fitout.FaceNone}
	mm := func(name string, least float64) float64 { return rapid.Float64Range(least, 1800).Draw(t, name) }
	item := fitout.Item{
		ID:   "part",
		Name: rapid.SampledFrom([]string{"Part", "Gas bottle", "Spare wheel"}).Draw(t, "name"),
		Size: fitout.Size{Length: mm("length", 120), Width: mm("width", 120), Height: mm("height", 60)},
		At:   fitout.Point{X: mm("x", -500), Y: mm("y", -900), Z: mm("z", 300)},
		Module: &fitout.Module{Kind: spec.Kind, Faces: rapid.SampledFrom(faces).Draw(t, "faces"),
			Mirrored: rapid.Bool().
				Draw(t, "mirrored"),
			Wall: fitout.Plywood, Panel: rapid.Float64Range(0, 18).Draw(t, "panel"),
			Runner: rapid.SampledFrom([]fitout.Runner{fitout.NoRunner, fitout.BallRunner, fitout.StripRunner}).
				Draw(t, "runner"),
			Stack:  rapid.SampledFrom([]fitout.Stack{fitout.Beside, fitout.Above}).Draw(t, "stack"),
			Travel: rapid.SampledFrom([]float64{0, 500}).Draw(t, "travel"),
			Drop:   rapid.SampledFrom([]float64{0, 150}).Draw(t, "drop")},
	}
	if spec.Holds {
		for k := range rapid.IntRange(0, 4).Draw(t, "cells") {
			item.Module.Cells = append(item.Module.Cells, fitout.Cell{ID: string(rune('a' + k)), Name: "Room"})
		}
	}
	return item
}

func around(solids []shape.Prism) fitout.Box {
	box := solids[0].Bounds()
	for i := range solids {
		box = box.Around(solids[i].Bounds())
	}
	return box
}

// near tells whether two boxes reach as far as each other, to within so many mm.
func near(a, b fitout.Box, mm float64) bool {
	off := func(p, q fitout.Point) float64 {
		return max(math.Abs(p.X-q.X), math.Abs(p.Y-q.Y), math.Abs(p.Z-q.Z))
	}
	return off(a.From, b.From) <= mm && off(a.To, b.To) <= mm
}

// A form fills the outside of its module and sticks out no further than a grip does; what
// opens is drawn where the rules of fit say that it is then.
func TestFormsAreAsLargeAsTheirModules(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		item := anyModule(t)
		form := shape.Of(&item)
		all := form.Solids(nil)
		require.NotEmpty(t, all)
		for i := range all {
			s := all[i].Bounds().Size()
			assert.True(t, s.Length > 0 && s.Width > 0 && s.Height > 0, "%s: a solid without room", item.Module.Kind)
		}
		box := item.Box()
		const grip = 16
		if out := around(all); out.Around(box) != box {
			assert.True(
				t,
				near(out.Around(box), box, grip),
				"%s %s: %v is not %v",
				item.Module.Kind,
				item.Module.Faces,
				out,
				box,
			)
		}
		leaves := module.Leaves(&item)
		for i := range form.Leaves {
			l := &form.Leaves[i]
			opened := around(l.Opened(1))
			for k := range leaves {
				if leaves[k].Cell != l.Cell {
					continue
				}
				closed := around(l.Solids)
				if l.About == "" {
					want := fitout.Point{X: leaves[k].Open.From.X - leaves[k].Closed.From.X,
						Y: leaves[k].Open.From.Y - leaves[k].Closed.From.Y, Z: leaves[k].Open.From.Z - leaves[k].Closed.From.Z}
					got := closed.Moved(want.X, want.Y, want.Z)
					assert.True(
						t,
						near(got, opened, 0.01),
						"%s %s slides as it should",
						item.Module.Kind,
						item.Module.Faces,
					)
					continue
				}
				// What turns is as thick as it is drawn; it lies in the room that it takes, and on its side of it.
				swept := leaves[k].Swept
				thick := 20 + min(closed.Size().Height, module.Depth(&item))
				if item.Module.Kind == fitout.RearCarrier { // what it carries is as deep as it is
					thick = 20 + module.Depth(&item)
				}
				room := fitout.Box{
					From: fitout.Point{X: swept.From.X - thick, Y: swept.From.Y - thick, Z: swept.From.Z - thick},
					To:   fitout.Point{X: swept.To.X + thick, Y: swept.To.Y + thick, Z: swept.To.Z + thick},
				}
				assert.True(
					t,
					room.Around(opened) == room,
					"%s %s %v: opens to %v, takes %v",
					item.Module.Kind,
					item.Module.Faces,
					item.Module.Mirrored,
					opened,
					swept,
				)
			}
		}
	})
}

// Turned four times, a solid is what it was; turned about any axis it keeps its size.
func TestTurning(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		item := anyModule(t)
		form := shape.Of(&item)
		solids := form.Solids(nil)
		through := fitout.Point{X: rapid.Float64Range(-500, 500).Draw(t, "x"), Y: 30, Z: -70}
		for _, axis := range []shape.Axis{shape.AxisX, shape.AxisY, shape.AxisZ} {
			for i := range solids {
				p := solids[i]
				assert.True(t, near(p.Turned(axis, through, 4).Bounds(), p.Bounds(), 1e-6))
				assert.True(t, near(p.Turned(axis, through, 1).Turned(axis, through, -1).Bounds(), p.Bounds(), 1e-6))
				assert.InDelta(t, p.Bounds().Litres(), p.Turned(axis, through, 1).Bounds().Litres(), 1e-6)
			}
		}
	})
}

// A quarter about x takes right to up, about y up to rear, about z rear to right.
func TestAQuarterTurns(t *testing.T) {
	item := fitout.Item{
		ID:     "a",
		Size:   fitout.Size{Length: 100, Width: 200, Height: 300},
		At:     fitout.Point{X: 50, Y: 100, Z: 150},
		Module: &fitout.Module{Kind: fitout.Shelf, Wall: fitout.Plywood, Panel: 20},
	}
	form := shape.Of(&item)
	p := form.Still[0] // the plate: 100 long, 200 wide, 20 thick
	size := func(axis shape.Axis) fitout.Box { return p.Turned(axis, fitout.Point{}, 1).Bounds() }
	assert.True(
		t,
		near(size(shape.AxisX), fitout.Box{From: fitout.Point{Y: -20}, To: fitout.Point{X: 100, Z: 200}}, 1e-9),
	)
	assert.True(
		t,
		near(size(shape.AxisY), fitout.Box{From: fitout.Point{Z: -100}, To: fitout.Point{X: 20, Y: 200}}, 1e-9),
	)
	assert.True(
		t,
		near(size(shape.AxisZ), fitout.Box{From: fitout.Point{X: -200}, To: fitout.Point{Y: 100, Z: 20}}, 1e-9),
	)
}

// The surface of every solid is closed and looks outward: what its triangles enclose is its
// outline times its length.
func TestSurfacesEncloseTheirSolids(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		item := anyModule(t)
		form := shape.Of(&item)
		for _, p := range form.Solids(nil) {
			area := 0.0
			for i, a := range p.Outline {
				b := p.Outline[(i+1)%len(p.Outline)]
				area += (a.U*b.V - b.U*a.V) / 2
			}
			var m shape.Mesh
			m.Add(&p)
			volume := 0.0
			for i := 0; i < len(m.Corners); i += 3 {
				a, b, c := m.Points[m.Corners[i]], m.Points[m.Corners[i+1]], m.Points[m.Corners[i+2]]
				volume += (a.X*(b.Y*c.Z-b.Z*c.Y) - a.Y*(b.X*c.Z-b.Z*c.X) + a.Z*(b.X*c.Y-b.Y*c.X)) / 6
			}
			want := math.Abs(area) * (p.To - p.From)
			assert.InDelta(t, want, volume, 1e-6*want+1, "%s: %s along %s", item.Module.Kind, p.Tone, p.Axis)
			for _, n := range m.Normals {
				assert.InDelta(t, 1, math.Sqrt(n.X*n.X+n.Y*n.Y+n.Z*n.Z), 1e-6)
			}
		}
	})
}
