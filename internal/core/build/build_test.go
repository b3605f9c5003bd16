package build_test

import (
	"context"
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/build"
	"zaino/internal/core/cut"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
)

// bench is a job with a level bay that opens to the rear, its floor at 900.
func bench(items ...fitout.Item) fitout.Job {
	j := fitout.NewJob("job", "Job", fitout.AustraliaNZ)
	j.Vehicle.Bays = []fitout.Bay{
		{ID: "tray", Name: "Tray", Kind: fitout.BayCanopyRear, At: fitout.Point{X: 2200, Z: 900}, Sealed: true,
			LengthLeft: 1800, LengthRight: 1800, WidthFront: 1500, WidthRear: 1500, HeightFront: 900, HeightRear: 900,
			Opening: fitout.Opening{
				Face:   fitout.FaceRear,
				Width:  1400,
				Height: 850,
				Hinge:  fitout.HingeTop,
				Swing:  90,
			}, Obstacles: []fitout.Obstacle{}},
	}
	j.Variants[0].Items = items
	return j
}

// unit is the drawer unit of the worked example: 640 wide, 900 deep, 300 high, of 9 mm plywood.
func unit(change ...func(*fitout.Item)) fitout.Item {
	i := fitout.Item{ID: "unit", Name: "Drawer unit", Form: fitout.FormBox, Source: fitout.ByMaterial, Bay: "tray",
		At: fitout.Point{X: 3550, Y: 0, Z: 1050}, Size: fitout.Size{Length: 900, Width: 640, Height: 300},
		Presence: fitout.Presence{Kind: fitout.Always},
		Module: &fitout.Module{
			Kind:    fitout.Drawers,
			Faces:   fitout.FaceRear,
			Wall:    fitout.Plywood,
			Panel:   9,
			Lining:  3,
			Runner:  fitout.BallRunner,
			Stack:   fitout.Beside,
			Latch:   fitout.RatedLatch,
			Fixings: []fitout.Fixing{},
			Cells:   []fitout.Cell{{ID: "a", Name: "Drawer"}},
		}}
	for _, c := range change {
		c(&i)
	}
	return i
}

// rack is a framed rack 600 deep, 500 wide, 700 high with two shelves and a door.
func rack(change ...func(*fitout.Item)) fitout.Item {
	i := unit()
	i.ID, i.Name, i.At.X, i.At.Y, i.At.Z = "rack", "Rack", 2600, 300, 1250
	i.Size = fitout.Size{Length: 600, Width: 500, Height: 700}
	i.Module = &fitout.Module{
		Kind:    fitout.Locker,
		Faces:   fitout.FaceRear,
		Wall:    fitout.Extrusion,
		Panel:   6,
		Runner:  fitout.NoRunner,
		Stack:   fitout.Above,
		Latch:   fitout.RatedLatch,
		Fixings: []fitout.Fixing{},
		Cells:   []fitout.Cell{{ID: "a", Name: "A"}, {ID: "b", Name: "B"}, {ID: "c", Name: "C"}},
	}
	for _, c := range change {
		c(&i)
	}
	return i
}

func view(j *fitout.Job) build.BuildView {
	return build.ViewOf(context.Background(), plan.Of(j), cut.Thorough, nil)
}

// The worked example on the bench: its runner is the next shorter one, its cut list is that of the page, and all of
// it lies on one sheet.
func TestTheDrawerUnitOnTheBench(t *testing.T) {
	j := bench(unit())
	v := view(&j)
	require.Len(t, v.Panels, 10)
	require.Len(t, v.Groups, 1)
	assert.InDelta(t, 3.125, v.Groups[0].Area, 0.0005)
	assert.Len(t, v.Groups[0].Sheets, 2, "3.125 m² is more than a trimmed sheet has, 2.90")
	assert.True(t, v.Groups[0].Proven)
	runner := v.Hardware[slices.IndexFunc(v.Hardware, func(n build.HardwareNeed) bool { return n.What == fitout.RunnerBall })]
	assert.Equal(t, 850.0, runner.Length)
	assert.Equal(t, 1.0, runner.Count)
	screws := v.Hardware[slices.IndexFunc(v.Hardware, func(n build.HardwareNeed) bool { return n.What == fitout.ScrewGoods })]
	// Top and bottom on each side 900: 6 each; on the back 622: 5 each; the sides on the back 282: 2 each.
	carcass := 4*6 + 2*5 + 2*2
	// Drawer: sides on the bottom 889: 6 each; front and end on it 566: 4 each; at each corner 265: 2.
	drawer := 2*6 + 2*4 + 4*2
	assert.Equal(t, float64(carcass+drawer), screws.Count)
}

// Worked example: a floor that slopes 2.4° over 1200.
func TestATaperedBearer(t *testing.T) {
	assert.InDelta(t, 50.3, build.TaperedBearer(1200, 2.4, 0), 0.05)
	assert.InDelta(t, 62.3, build.TaperedBearer(1200, -2.4, 12), 0.05)
	floor := unit(func(i *fitout.Item) {
		i.Size = fitout.Size{Length: 1200, Width: 1000, Height: 40}
		i.At.Z = 920
		i.Module = &fitout.Module{
			Kind:    fitout.FalseFloor,
			Faces:   fitout.FaceNone,
			Wall:    fitout.Plywood,
			Panel:   12,
			Cells:   []fitout.Cell{},
			Fixings: []fitout.Fixing{},
		}
	})
	j := bench(floor)
	j.Vehicle.Bays[0].TiltAlong = 2.4
	v := view(&j)
	heights := func(v build.BuildView) map[string][]float64 {
		found := map[string][]float64{}
		for _, p := range v.Panels {
			if len(p.Ends) > 0 {
				found[p.Name] = p.Ends
				assert.InDelta(t, max(p.Ends[0], p.Ends[1]), p.CutWidth, 1e-9, "it is sawn out of a strip as high as its high end")
				assert.InDelta(t, 1200, p.CutLength, 1e-9)
			}
		}
		require.Len(t, found, 2)
		return found
	}
	high := 1200*math.Tan(2.4*math.Pi/180) + 28
	got := heights(v)
	for _, name := range []string{"bearer, left", "bearer, right"} {
		assert.InDeltaSlice(t, []float64{high, 28}, got[name], 1e-9, "front low is packed at the front")
	}
	j.Vehicle.Bays[0].TiltAlong, j.Vehicle.Bays[0].TiltAcross = 0, -3
	across := 1000*math.Tan(3*math.Pi/180) + 28
	v = view(&j)
	for _, p := range v.Panels {
		if p.Name == "bearer, left" { // left low
			assert.InDeltaSlice(t, []float64{across, across}, p.Ends, 1e-9)
			assert.Empty(t, p.Outline, "as high everywhere")
		} else {
			assert.Empty(t, p.Ends, p.Name)
		}
	}
}

// What bends 5 W ℓ³/(384 E b t³/12): a bottom of 9 mm plywood 500 wide and 800 long under 40 kg, by hand.
func TestAPanelBends(t *testing.T) {
	i := 800.0 * 9 * 9 * 9 / 12
	assert.InDelta(t, 5*40*9.81*500*500*500/(384*8000*i), module.Sag(fitout.Plywood, 40, 500, 800, 9), 1e-9)
}

// Banding comes off the cut size, and only at the face.
func TestBandingIsTakenOff(t *testing.T) {
	j := bench(unit(func(i *fitout.Item) { i.Module.Banding = 1 }))
	for _, p := range view(&j).Panels {
		switch p.Name {
		case "top", "bottom": // the face is along its shorter side, 640
			assert.Equal(t, [2]float64{899, 640}, [2]float64{p.CutLength, p.CutWidth}, p.Name)
		case "left side":
			assert.Equal(t, [2]float64{899, 282}, [2]float64{p.CutLength, p.CutWidth})
		case "back":
			assert.Equal(t, [2]float64{622, 282}, [2]float64{p.CutLength, p.CutWidth})
		}
	}
}

// stepsOf are the steps in their order, and where each is.
func stepsOf(v *build.BuildView) (ids []string, at map[string]build.BuildStep) {
	at = map[string]build.BuildStep{}
	for _, s := range v.Steps {
		ids = append(ids, s.ID)
		at[s.ID] = s
	}
	return ids, at
}

// The order of a build follows from what must come before what; glue and paint dry overnight while something else
// is done.
func TestTheOrderOfABuild(t *testing.T) {
	floor := unit(func(i *fitout.Item) {
		i.ID, i.Name, i.At.Z = "floor", "Floor", 906
		i.Size = fitout.Size{Length: 1700, Width: 1400, Height: 12}
		i.Module = &fitout.Module{
			Kind:    fitout.FalseFloor,
			Faces:   fitout.FaceNone,
			Wall:    fitout.Plywood,
			Panel:   12,
			Cells:   []fitout.Cell{},
			Fixings: []fitout.Fixing{},
		}
	})
	on := unit(func(i *fitout.Item) { i.At.Z, i.Module.Finish = 912+150, fitout.PaintFinish })
	behind := rack(func(i *fitout.Item) { i.At.Z, i.At.Y = 912+350, 0 })
	j := bench(on, behind, floor)
	j.Variants[0].Electrics.Loads = []fitout.PowerLoad{{ID: "light", Name: "Light"}}
	v := view(&j)
	ids, at := stepsOf(&v)
	assert.Empty(t, v.Ring)
	before := func(first, then string) {
		t.Helper()
		a, b := slices.Index(ids, first), slices.Index(ids, then)
		require.GreaterOrEqual(t, a, 0, first)
		require.GreaterOrEqual(t, b, 0, then)
		assert.Less(t, a, b, "%s before %s", first, then)
		assert.GreaterOrEqual(t, at[then].From, at[first].To+at[first].Wait-1e-9, "%s is dry before %s", first, then)
	}
	before("level/tray", "measure/tray")
	before("measure/tray", "saw/unit")
	before("saw/unit", "glue/unit")
	before("glue/unit", "dry/unit")
	before("dry/unit", "paint/unit")
	before("paint/unit", "lining/unit")
	before("lining/unit", "runners/unit")
	before("weigh/unit", "fit/unit")
	before("fit/floor", "fit/unit")
	before("fit/floor", "fit/rack")
	before("fit/rack", "fit/unit") // the unit stands in the way from the opening
	before("lay", "fit/unit")
	before("fit/unit", "connect")
	before("nuts/rack", "frame/rack")
	before("frame/rack", "torque/rack")
	before("connect", "clean")
	assert.Equal(t, 12.0, at["glue/unit"].Wait)
	assert.Greater(t, at["dry/unit"].Day, at["glue/unit"].Day, "the glue dries overnight")
	assert.Equal(t, slices.Index(ids, "weigh/unit")+1, slices.Index(ids, "fit/unit"), "it is lifted once")
	assert.Contains(t, strings.Join(at["fit/unit"].After, "; "), "floor before what stands on it")
	assert.Contains(t, strings.Join(at["nuts/rack"].Takes, "; "), "rail, face, bottom")
}

// Slot nuts are told for each profile: two of its own, one for every rail that stands against it, those of hinges.
func TestNutsThatGoInFirst(t *testing.T) {
	j := bench(rack())
	v := view(&j)
	nuts := map[string]int{}
	for _, r := range v.Rods {
		for _, n := range r.Nuts {
			nuts[r.Name] += n.Count
		}
	}
	// A shelf's rails stand between the uprights: each upright takes them and the six of the frame that meet it.
	assert.Equal(t, 2, nuts["rail, left side, top"])
	assert.Equal(t, 2, nuts["rail of divider 1, first side"])
	assert.Equal(
		t,
		4+2+2*2,
		nuts["upright, left side, face"],
		"four rails of the frame, two shelves, two hinge blocks",
	)
	total := 0
	for _, n := range nuts {
		total += n
	}
	slot := v.Hardware[slices.IndexFunc(v.Hardware, func(n build.HardwareNeed) bool { return n.What == fitout.SlotNut })]
	assert.Equal(t, float64(total), slot.Count)
	brackets := v.Hardware[slices.IndexFunc(v.Hardware, func(n build.HardwareNeed) bool { return n.What == fitout.Bracket })]
	assert.Equal(t, 2.0*(8+4), brackets.Count, "one at each end of every rail")
}

// Steps that took longer than planned teach the workshop its pace.
func TestWhatWasNotedTeaches(t *testing.T) {
	j := bench(unit())
	v := view(&j)
	_, at := stepsOf(&v)
	planned := at["saw/unit"].Minutes
	j.Variants[0].Done = []fitout.StepDone{{Step: "saw/unit", Done: true, Minutes: planned * 1.5}}
	pace := build.PaceLearned(plan.Of(&j))
	require.Len(t, pace, 1)
	assert.Equal(t, fitout.Pace{Work: "saw", Minutes: 6}, pace[0])
	j.Build.Pace = pace
	v = view(&j)
	_, at = stepsOf(&v)
	assert.InDelta(t, planned*1.5, at["saw/unit"].Minutes, 1)
	assert.True(t, at["saw/unit"].Done)
}

// Another material changes mass, hours and sheets at once, and the parts still weigh what the list says.
func TestTheSameInEachMaterial(t *testing.T) {
	j := bench(unit(), rack())
	v := view(&j)
	require.Len(t, v.Others, 5)
	for _, o := range v.Others[1:] {
		other := build.OtherwiseBuilt(&j, o.Wall, o.Panel)
		require.NoError(t, fitout.Validate(&other))
		p := plan.Of(&other)
		sum := 0.0
		for _, i := range p.Items {
			sum += i.Mass
		}
		assert.InDelta(t, sum, o.Kg, 1e-9, "%s", o.Wall)
		assert.InDelta(t, p.Now.Axles(p.Load.Wheelbase).Rear, o.Rear, 1e-9, "%s", o.Wall)
	}
	assert.Equal(t, "unit", j.Variants[0].Items[0].ID)
	assert.Equal(t, fitout.Plywood, j.Variants[0].Items[0].Module.Wall, "the given job is not changed")
}

// Nothing is lost between the list and the sheets: each panel that is cut here lies on one sheet or is told as left.
func TestEveryPanelIsOnASheet(t *testing.T) {
	j := bench(unit(), rack(), unit(func(i *fitout.Item) { i.ID, i.Size.Length = "long", 3000 }))
	v := view(&j)
	seen := map[int]int{}
	for _, g := range v.Groups {
		for _, s := range g.Sheets {
			for _, p := range s.Pieces {
				seen[p.Panel]++
				assert.GreaterOrEqual(t, p.X, s.Trim-1e-6)
				assert.LessOrEqual(t, p.X+p.Length, s.Length-s.Trim+0.02)
			}
		}
		for _, k := range g.Left {
			seen[k]++
			assert.Greater(t, v.Panels[k].CutLength, 2420.0)
		}
	}
	assert.Len(t, seen, len(v.Panels))
	for k, n := range seen {
		assert.Equal(t, 1, n, v.Panels[k].Mark)
	}
}

func BenchmarkPanelsOf60Modules(b *testing.B) {
	var items []fitout.Item
	for k := range 60 {
		items = append(
			items,
			unit(
				func(i *fitout.Item) { i.ID = fmt.Sprint("unit-", k); i.At.X = 2600 + math.Mod(float64(k)*40, 1000) },
			),
		)
	}
	j := bench(items...)
	p := plan.Of(&j)
	b.ResetTimer()
	for range b.N {
		fresh := *p
		build.ListOf(&fresh)
	}
}
