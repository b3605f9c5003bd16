package module

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// sized is a module of a kind in 12 mm plywood, so many millimetres each way.
func sized(kind fitout.ModuleKind, length, width, height float64) fitout.Item {
	return fitout.Item{
		ID: "m", Name: "M", Source: fitout.ByMaterial, At: fitout.Point{X: 3000, Y: 200, Z: 1000},
		Size: fitout.Size{Length: length, Width: width, Height: height},
		Module: &fitout.Module{
			Kind:   kind,
			Faces:  fitout.FaceTop,
			Wall:   fitout.Plywood,
			Panel:  12,
			Runner: fitout.NoRunner,
			Stack:  fitout.Beside,
		},
	}
}

func kgOf(t *testing.T, i fitout.Item) float64 {
	t.Helper()
	kg, _, ok := Mass(&i, nil)
	assert.True(t, ok)
	return kg
}

// A lidded box of 600 × 400 × 300 in 12 mm plywood of 680 kg/m³, panel by panel.
func TestALiddedBoxByHand(t *testing.T) {
	const density = 680e-9 // kg per mm³
	top := 600.0 * 400 * 12
	sides := 600.0 * 12 * (300 - 24)
	ends := 12.0 * (400 - 24) * (300 - 24)
	assert.InDelta(t, (2*top+2*sides+2*ends)*density, kgOf(t, sized(fitout.LiddedBox, 600, 400, 300)), 1e-9)
}

// A shelf is its board; a false floor is its board on two bearers.
func TestAShelfAndAFloorByHand(t *testing.T) {
	const density = 680e-9
	assert.InDelta(t, 900*400*12*density, kgOf(t, sized(fitout.Shelf, 900, 400, 12)), 1e-9)
	assert.InDelta(
		t,
		(1400*1100*12+2*1400*12*(60-12))*density,
		kgOf(t, sized(fitout.FalseFloor, 1400, 1100, 60)),
		1e-9,
	)
}

// Lining lies on the bottom and the four sides, and is none of the plywood.
func TestLiningByHand(t *testing.T) {
	bare := sized(fitout.LiddedBox, 600, 400, 300)
	lined := bare
	m := *bare.Module
	m.Lining = 3
	lined.Module = &m
	assert.InDelta(t, 1.1*(600*400+2*300*(600+400))/1e6, kgOf(t, lined)-kgOf(t, bare), 1e-9)
	area, _ := Material(&bare)
	with, _ := Material(&lined)
	assert.InDelta(t, area, with, 1e-12)
}

// The sheet that a part takes is its mass over what a square metre of it weighs.
func TestMaterialIsTheMassOfThePanels(t *testing.T) {
	i := sized(fitout.LiddedBox, 600, 400, 300)
	area, runner := Material(&i)
	assert.InDelta(t, kgOf(t, i)/(680*0.012), area, 1e-9)
	assert.Zero(t, runner)
	drawers := sized(fitout.Drawers, 900, 640, 300)
	drawers.Module.Faces, drawers.Module.Runner, drawers.Module.Cells = fitout.FaceRear, fitout.BallRunner,
		[]fitout.Cell{{ID: "a", Name: "A"}, {ID: "b", Name: "B"}}
	_, runner = Material(&drawers)
	assert.InDelta(t, 2*2*(900-12-2)/1000.0, runner, 1e-9, "two for each drawer, as long as it")

	bought := i
	m := *i.Module
	m.Wall = fitout.NoMaterial
	bought.Module = &m
	area, runner = Material(&bought)
	assert.Zero(t, area+runner, "what is bought whole takes no sheet")
	_, _, ok := Mass(&bought, nil)
	assert.False(t, ok, "and its mass is that of its data sheet")
}

// builtKinds are the kinds that a workshop builds from panels.
func builtKinds() []fitout.ModuleKind {
	var all []fitout.ModuleKind
	for _, s := range Specs {
		if s.Shape != Bought {
			all = append(all, s.Kind)
		}
	}
	return all
}

// Whatever is built: it weighs something, its centre is within it, thicker and
// denser is heavier, and mirrored it weighs the same on the other side.
func TestWhatHoldsForAnythingThatIsBuilt(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		side := func(name string) float64 { return float64(rapid.IntRange(150, 1600).Draw(t, name)) }
		i := sized(rapid.SampledFrom(builtKinds()).Draw(t, "kind"), side("length"), side("width"), side("height"))
		m := i.Module
		m.Faces = rapid.SampledFrom([]fitout.Face{fitout.FaceRear, fitout.FaceLeft, fitout.FaceRight, fitout.FaceFront,
			fitout.FaceTop}).
			Draw(t, "faces")
		m.Lining = rapid.SampledFrom([]float64{0, 3}).Draw(t, "lining")
		m.Runner = rapid.SampledFrom([]fitout.Runner{fitout.NoRunner, fitout.BallRunner, fitout.StripRunner}).Draw(t,
			"runner")
		m.Stack = rapid.SampledFrom([]fitout.Stack{fitout.Beside, fitout.Above}).Draw(t, "stack")
		for k := range rapid.IntRange(0, 3).Draw(t, "cells") {
			m.Cells = append(m.Cells, fitout.Cell{ID: string(rune('a' + k)), Name: "Cell"})
		}
		kg, centre, ok := Mass(&i, nil)
		if !ok || kg <= 0 {
			t.Fatalf("%s weighs %.3f, %v", m.Kind, kg, ok)
		}
		b := i.Box()
		const slack = 1e-6
		if centre.X < b.From.X-slack || centre.X > b.To.X+slack || centre.Y < b.From.Y-slack || centre.Y > b.To.Y+slack ||
			centre.Z < b.From.Z-slack ||
			centre.Z > b.To.Z+slack {
			t.Fatalf("%s: its centre %+v is outside of %+v", m.Kind, centre, b)
		}
		heavier := func(change func(*fitout.Module)) {
			other := *m
			change(&other)
			j := i
			j.Module = &other
			if more, _, _ := Mass(&j, nil); more < kg-1e-9 {
				t.Fatalf("%s: %.3f kg became %.3f", m.Kind, kg, more)
			}
		}
		heavier(func(o *fitout.Module) { o.Wall = fitout.Aluminium })
		heavier(func(o *fitout.Module) { o.Lining = 3 })

		// In the mirror: opening to the other side, as heavy, the centre as far from
		// the middle on the other side.
		glass := *m
		switch m.Faces {
		case fitout.FaceLeft:
			glass.Faces = fitout.FaceRight
		case fitout.FaceRight:
			glass.Faces = fitout.FaceLeft
		}
		glass.Mirrored = !m.Mirrored
		j := i
		j.Module, j.At.Y = &glass, -i.At.Y
		again, at, _ := Mass(&j, nil)
		if d := again - kg; d > 1e-6 || d < -1e-6 {
			t.Fatalf("%s weighs %.4f, mirrored %.4f", m.Kind, kg, again)
		}
		if d := at.Y + centre.Y; d > 1e-3 || d < -1e-3 {
			t.Fatalf("%s: centre %.2f right, mirrored %.2f", m.Kind, centre.Y, at.Y)
		}
	})
}

// Foam core is lighter than plywood of the usual thickness, and aluminium sheet of
// 2 mm between them: the order that a workshop builds by.
func TestTheLightWaysAreLight(t *testing.T) {
	of := func(wall fitout.Material, panel float64) float64 {
		i := sized(fitout.LiddedBox, 700, 450, 350)
		i.Module.Wall, i.Module.Panel = wall, panel
		return kgOf(t, i)
	}
	ply, foam, sheet := of(fitout.Plywood, 12), of(fitout.FoamCore, 15), of(fitout.Aluminium, 2)
	assert.Less(t, foam, sheet)
	assert.Less(t, sheet, ply)
}
