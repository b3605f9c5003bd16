package build_test

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/assess"
	"zaino/internal/core/build"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
)

// flatFloor is a floor of one panel that lies on the floor of the bench's bay.
func flatFloor(length, width float64) fitout.Item {
	return unit(func(i *fitout.Item) {
		i.ID, i.Name = "floor", "Floor"
		i.Size = fitout.Size{Length: length, Width: width, Height: 12}
		i.At = fitout.Point{X: 3100, Z: 906}
		i.Module = &fitout.Module{Kind: fitout.FalseFloor, Faces: fitout.FaceNone, Wall: fitout.Plywood, Panel: 12}
	})
}

func arch(id string, side fitout.Side, front, length, width float64) fitout.Obstacle {
	return fitout.Obstacle{
		ID:     id,
		Name:   "Arch " + id,
		Kind:   fitout.WheelArch,
		Side:   side,
		Front:  front,
		Length: length,
		Width:  width,
		Height: 250,
	}
}

func hits(j *fitout.Job, rule string) []fitout.Finding {
	var found []fitout.Finding
	for _, f := range assess.Of(j).Findings {
		if f.Rule == rule {
			found = append(found, f)
		}
	}
	return found
}

// area of a closed line, m².
func area(line []build.Spot) float64 {
	sum := 0.0
	for k, a := range line {
		b := line[(k+1)%len(line)]
		sum += a.U*b.V - b.U*a.V
	}
	return math.Abs(sum) / 2e6
}

// A floor of 1700 × 1480 that lies flat between two arches of 500 × 200 in a bay of 1500: of each arch 190 are taken
// out of it. It does not clash with what it is cut round; with a lip it does, and on bearers it does.
func TestAFloorGoesRoundTheArches(t *testing.T) {
	j := bench(flatFloor(1700, 1480))
	assert.Empty(t, view(&j).Panels[0].Outline, "nothing to go round: a rectangle")
	bay := &j.Vehicle.Bays[0]
	bay.Obstacles = []fitout.Obstacle{arch("l", fitout.Left, 800, 500, 200), arch("r", fitout.Right, 800, 500, 200)}
	p := view(&j).Panels[0]
	assert.Len(t, p.Outline, 12, "four corners, and four at each arch")
	assert.InDelta(t, 1.7*1.48-2*0.5*0.19, area(p.Outline), 1e-4)
	assert.Equal(t, 1700.0, p.CutLength, "it is sawn out of its rectangle")
	assert.Empty(t, hits(&j, "parts-clash"))

	lip := j
	lip.Vehicle.Bays = []fitout.Bay{*bay}
	lip.Vehicle.Bays[0].Obstacles = []fitout.Obstacle{arch("l", fitout.Left, 800, 500, 200)}
	lip.Vehicle.Bays[0].Obstacles[0].Kind = fitout.Lip
	assert.NotEmpty(t, hits(&lip, "parts-clash"))
	j.Variants[0].Items[0].Size.Height = 60
	assert.NotEmpty(t, hits(&j, "parts-clash"), "its bearers stand in the arches")
	assert.Empty(t, view(&j).Panels[0].Outline)
}

// Any point of a floor is within its outline exactly where neither an arch nor a wall is.
func TestAFloorsOutlineIsWhatIsFree(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		mm := func(low, high int, name string) float64 { return float64(rapid.IntRange(low, high).Draw(t, name)) }
		j := bench(flatFloor(mm(900, 1700, "long"), mm(900, 1500, "wide")))
		bay := &j.Vehicle.Bays[0]
		bay.WidthFront, bay.WidthRear = mm(1200, 1500, "front"), mm(1200, 1500, "rear")
		for k := range rapid.IntRange(0, 3).Draw(t, "arches") {
			side := fitout.Left
			if rapid.Bool().Draw(t, "side") {
				side = fitout.Right
			}
			bay.Obstacles = append(bay.Obstacles,
				arch(fmt.Sprint(k), side, mm(0, 1200, "at"), mm(100, 500, "length"), mm(30, 300, "width")))
		}
		p := view(&j).Panels[0]
		line := p.Outline
		if len(line) == 0 {
			line = []build.Spot{{U: 0, V: 0}, {U: p.Length, V: 0}, {U: p.Length, V: p.Width}, {U: 0, V: p.Width}}
		}
		for range 40 {
			x := mm(int(p.Box.From.X)+1, int(p.Box.To.X)-1, "x") + 0.37
			y := mm(int(p.Box.From.Y)+1, int(p.Box.To.Y)-1, "y") + 0.37
			half := (bay.WidthFront + (bay.WidthRear-bay.WidthFront)*(x-bay.At.X)/1800) / 2
			free := math.Abs(y) < half
			for k := range bay.Obstacles {
				o := &bay.Obstacles[k]
				middle := o.Front + o.Length/2
				wall := (bay.WidthFront + (bay.WidthRear-bay.WidthFront)*middle/1800) / 2 // an arch stands at its own wall
				in := y < -wall+o.Width
				if o.Side == fitout.Right {
					in = y > wall-o.Width
				}
				free = free && (!in || x < bay.At.X+o.Front || x > bay.At.X+o.Front+o.Length)
			}
			u, v := x-p.Box.From.X, y-p.Box.From.Y
			if p.Box.Size().Width > p.Box.Size().Length {
				u, v = v, u
			}
			if inside(line, u, v) != free {
				t.Fatalf("at %.1f, %.1f: free %v; outline %v", x, y, free, line)
			}
		}
	})
}

// inside counts how often a ray from a point crosses a closed line.
func inside(line []build.Spot, u, v float64) bool {
	in := false
	for k, a := range line {
		b := line[(k+1)%len(line)]
		if (a.V > v) != (b.V > v) && u < a.U+(b.U-a.U)*(v-a.V)/(b.V-a.V) {
			in = !in
		}
	}
	return in
}

// The drawer of the worked example, 889 × 584 × 274 at 912 above ground, runs on runners of 850: screws 35 from their
// ends and 130 apart, at half its height, in both sides of the drawer and of the carcass.
func TestRunnersAreScrewedAtTheirEndsAndBetween(t *testing.T) {
	j := bench(unit())
	v := view(&j)
	count := 0
	for _, p := range v.Panels {
		var want []build.Spot
		for k := range 7 {
			from := 35 + 130*float64(k) // behind the face
			switch p.Name {
			case "left side", "right side": // 900 × 282, its lower edge 909 above ground
				want = append(want, build.Spot{U: 900 - from, V: 912 + 274.0/2 - 909})
			case "drawer side": // 889 × 265, its lower edge 921 above ground
				want = append(want, build.Spot{U: 889 - from, V: 912 + 274.0/2 - 921})
			}
		}
		require.Len(t, p.Drilled, len(want), p.Name)
		for k, d := range p.Drilled {
			assert.InDelta(t, want[k].U, d.U, 1e-6, p.Name)
			assert.InDelta(t, want[k].V, d.V, 1e-6, p.Name)
			assert.Equal(t, 3.0, d.Across)
			assert.Equal(t, "runner", d.For)
			count++
		}
	}
	assert.Equal(t, 4*7, count)

	hole := fitout.Hole{ID: "h", For: fitout.CableHole, Panel: "left side", U: 865, V: 140, Length: 30}
	j.Variants[0].Items[0].Module.Holes = []fitout.Hole{hole}
	assert.Len(t, hits(&j, "screw-in-hole"), 1)
	j.Variants[0].Items[0].Module.Holes[0].U = 865 - 65 // half way to the next
	assert.Empty(t, hits(&j, "screw-in-hole"))
}

// Whichever way a unit faces, the same panels get the same holes, as seen from its face.
func TestHolesTurnWithTheUnit(t *testing.T) {
	made := func(faces fitout.Face) map[string]int {
		j := bench(unit(func(i *fitout.Item) {
			i.Module.Faces = faces
			i.Module.Cells = []fitout.Cell{{ID: "a", Name: "A"}, {ID: "b", Name: "B"}}
			if faces == fitout.FaceLeft || faces == fitout.FaceRight {
				i.Size.Length, i.Size.Width = i.Size.Width, i.Size.Length
			}
		}))
		all := map[string]int{}
		for _, p := range view(&j).Panels {
			words := strings.Fields(p.Name)
			all[words[len(words)-1]] += len(p.Drilled) // "left side" and "front side" alike
		}
		return all
	}
	want := made(fitout.FaceRear)
	assert.Equal(t, 6*7, want["side"], "two of the carcass, four of the drawers")
	assert.Equal(t, 7, want["divider"], "the divider has both drawers' screws in one row")
	for _, faces := range []fitout.Face{fitout.FaceFront, fitout.FaceLeft, fitout.FaceRight} {
		assert.Equal(t, want, made(faces), faces)
	}
}

// Both leaves of a hinge are drilled 15 mm off the corner that they turn in, in one line along it.
func TestHingesAreDrilledInBothLeaves(t *testing.T) {
	for _, c := range []struct {
		kind        fitout.ModuleKind
		leaf, fixed string
		along       func(p fitout.Point) float64 // the line they turn about
	}{
		{fitout.LiddedBox, "lid", "back", func(p fitout.Point) float64 { return p.Y }},
		{fitout.UnderTrayBox, "flap", "bottom", func(p fitout.Point) float64 { return p.Y }},
		{fitout.Locker, "door", "left side", func(p fitout.Point) float64 { return p.Z }},
	} {
		j := bench(unit(func(i *fitout.Item) { i.Module.Kind, i.Module.Runner = c.kind, fitout.NoRunner }))
		at := map[string][]fitout.Point{}
		for _, p := range view(&j).Panels {
			for _, d := range p.Drilled {
				assert.Equal(t, "hinge", d.For)
				axes := []int{}
				s := p.Box.Size()
				sides := [3]float64{s.Length, s.Width, s.Height}
				for k := range 3 {
					if k != p.Thin {
						axes = append(axes, k)
					}
				}
				if sides[axes[0]] < sides[axes[1]] {
					axes[0], axes[1] = axes[1], axes[0]
				}
				where := [3]float64{p.Box.From.X, p.Box.From.Y, p.Box.From.Z}
				where[axes[0]] += d.U
				where[axes[1]] += d.V
				at[p.Name] = append(at[p.Name], fitout.Point{X: where[0], Y: where[1], Z: where[2]})
			}
		}
		require.Len(t, at, 2, "%s: %v", c.kind, at)
		require.Len(t, at[c.leaf], 4, c.kind) // two hinges of two screws
		require.Len(t, at[c.fixed], 4, c.kind)
		for k := range at[c.leaf] {
			assert.InDelta(t, c.along(at[c.leaf][k]), c.along(at[c.fixed][k]), 1e-6, c.kind)
		}
		assert.InDelta(t, 32, math.Abs(c.along(at[c.leaf][0])-c.along(at[c.leaf][1])), 1e-6)
	}
}

// A pair of 850 weighs by its own length, or what its data sheet says; a frame of 40 mm by its stouter profile.
func TestRunnersAndProfilesWeighByTheirOwnSize(t *testing.T) {
	j := bench(unit())
	wood := 0.0
	for _, p := range view(&j).Panels {
		wood += p.Kg
	}
	mass := func() float64 { return plan.Of(&j).Items[0].Mass }
	lining := mass() - wood - 7.2*0.85
	assert.InDelta(t, 19.13, wood, 0.01)
	for k := range j.Build.Runners {
		if j.Build.Runners[k].Length == 850 {
			j.Build.Runners[k].Kg = 5.4
		}
	}
	assert.InDelta(t, wood+lining+5.4, mass(), 1e-9)

	slim, stout := rack(), rack(func(i *fitout.Item) { i.ID, i.At.Y, i.Module.Profile = "stout", -400, 40 })
	j = bench(slim, stout)
	v := view(&j)
	require.Len(t, v.Bars, 2, "bars of each width")
	perMetre := map[string]float64{}
	for _, r := range v.Rods {
		perMetre[r.Module] = r.Kg / r.Length * 1000
	}
	assert.InDelta(t, 0.95, perMetre["rack"], 1e-9)
	assert.InDelta(t, 0.95*16/9, perMetre["stout"], 1e-9)
	assert.Equal(t, 40.0, module.ProfileWidth(stout.Module))
	j.Build.Bars = []fitout.Profile{{ID: "b", Name: "Bar 40", Width: 40, Length: 6000, More: true}}
	v = view(&j)
	assert.True(t, v.Bars[0].Assumed, "30 is not on the list")
	assert.Equal(t, "b", v.Bars[1].Bar)
}

// A drawer that is planned to come out 889 on runners that come out 850 stops 39 short; entered as 850 it is right, and
// runners of which nothing is said are not held against it.
func TestADrawerComesOutNoFurtherThanItsRunners(t *testing.T) {
	j := bench(unit())
	assert.Empty(t, hits(&j, "runner-travel"), "nothing is stated")
	for k := range j.Build.Runners {
		j.Build.Runners[k].Travel = j.Build.Runners[k].Length
	}
	found := hits(&j, "runner-travel")
	require.Len(t, found, 1)
	assert.InDelta(t, 39, found[0].Value-found[0].Limit, 0.01)
	assert.Contains(t, strings.ReplaceAll(found[0].Sentence, "\u00a0", " "), "Enter 850 mm as how far it comes out")
	j.Variants[0].Items[0].Module.Travel = 850
	assert.Empty(t, hits(&j, "runner-travel"))
}
