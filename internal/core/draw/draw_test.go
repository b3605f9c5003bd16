package draw_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/demo"
	"zaino/internal/example"
)

// looks are views of a whole vehicle from every side on a sheet of a size.
func looks(width, height float64) []draw.Look {
	all := make([]draw.Look, len(draw.Stands))
	for i, s := range draw.Stands {
		scale := 6500 / width
		all[i] = draw.Look{
			Stand:  s,
			Width:  width,
			Height: height,
			From:   -1200,
			Ground: height - 20,
			Scale:  scale,
			Foot:   26,
		}
		switch s {
		case draw.Right:
			all[i].From = -5000
		case draw.Behind, draw.Ahead:
			all[i].From, all[i].Scale = -1400, 2800/width
		case draw.Above:
			all[i].From, all[i].Ground = -1200, height/2
		}
	}
	return all
}

type rect struct{ u0, v0, u1, v1 float64 }

func (r rect) over(o rect) bool {
	return r.u0 < o.u1-0.1 && o.u0 < r.u1-0.1 && r.v0 < o.v1-0.1 && o.v0 < r.v1-0.1
}

// written are the rectangles of all names and numbers of a view, in units of its paper.
func written(v *draw.DrawnView, l *draw.Look) map[string]rect {
	all := map[string]rect{}
	for i := range v.Groups {
		g := &v.Groups[i]
		if g.Label == nil {
			continue
		}
		x, y := (g.Label.U-l.From)/l.Scale, g.Label.V/l.Scale+l.Height-l.Ground
		if len(g.Label.Lines) == 0 {
			all[g.ID] = rect{x - 11, y - 8, x + 11, y + 8}
			continue
		}
		r := rect{x, y, x, y}
		for k, line := range g.Label.Lines {
			r.u1 = max(r.u1, x+draw.Wide(line, 11))
			r.v0, r.v1 = min(r.v0, y-12*float64(k)-2), max(r.v1, y-12*float64(k)+9)
		}
		all[g.ID] = r
	}
	return all
}

// Names lie on the paper, none over another, whatever the job, the side and the size; whatever
// is seen has its name or its number in the key.
func TestNamesNeverLieOverEachOther(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	texts := 0
	for i := range jobs {
		p := plan.Of(&jobs[i])
		for _, size := range [][2]float64{{400, 220}, {820, 420}, {1600, 900}} {
			for _, gear := range []bool{false, true} {
				w := draw.DrawingWish{Looks: looks(size[0], size[1]), Gear: gear, People: true}
				sheet := draw.Of(p, &w)
				keyed := map[string]bool{}
				for _, k := range sheet.Key {
					keyed[k.ID] = true
				}
				for n := range sheet.Views {
					v, l := &sheet.Views[n], &w.Looks[n]
					all := written(v, l)
					texts += len(all)
					for id, r := range all {
						assert.True(
							t,
							r.u0 >= 0 && r.v0 >= l.Foot && r.u1 <= l.Width && r.v1 <= l.Height,
							"%s %s %v",
							id,
							v.Title,
							r,
						)
						for other, o := range all {
							if id < other && r.over(o) {
								t.Errorf("%s, %v: %s lies over %s", v.Title, size, id, other)
							}
						}
					}
					for k := range v.Groups {
						g := &v.Groups[k]
						if g.Label != nil && len(g.Label.Lines) == 0 {
							assert.True(t, keyed[g.ID], "%s has a line in the key", g.Name)
							assert.Positive(t, g.Label.Number)
						}
					}
				}
			}
		}
	}
	assert.Greater(t, texts, 1000, "there is something to lie over each other")
}

func BenchmarkThreeViewsOf200Modules(b *testing.B) {
	jobs, err := demo.Jobs()
	require.NoError(b, err)
	j := jobs[0]
	v := j.ChosenVariant()
	for len(v.Items) < 245 {
		for i := range v.Items[:40] {
			if item := v.Items[i]; item.Module != nil && item.In == nil {
				item.ID += "-" + string(rune('a'+len(v.Items)%26)) + string(rune('a'+len(v.Items)/26))
				item.At.X += float64(len(v.Items))
				v.Items = append(v.Items, item)
			}
		}
	}
	modules := 0
	for i := range v.Items {
		if v.Items[i].Module != nil {
			modules++
		}
	}
	require.Greater(b, modules, 190)
	p := plan.Of(&j)
	w := draw.DrawingWish{Looks: looks(820, 420)[:3], Gear: true}
	draw.Of(p, &w)
	for b.Loop() {
		draw.Of(p, &w)
	}
}

// What is asked a drawing of thousands of things does not stall: they are named or numbered
// where there is room, and none over another.
func TestThousandsOfThingsAreDrawn(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := jobs[0]
	v := j.ChosenVariant()
	v.Items = append([]fitout.Item{}, v.Items...)
	for i := range 1900 {
		item := v.Items[i%40]
		item.ID, item.In, item.Seat = fmt.Sprint("more-", i), nil, ""
		item.At = fitout.Point{
			X: 2200 + float64(i%60)*31,
			Y: -800 + float64(i/60%20)*80,
			Z: 900 + float64(i/1200)*300,
		}
		item.Size = fitout.Size{Length: 90, Width: 70, Height: 60}
		v.Items = append(v.Items, item)
	}
	w := draw.DrawingWish{Looks: looks(820, 420)[:3], Gear: true}
	sheet := draw.Of(plan.Of(&j), &w)
	for n := range sheet.Views {
		all := written(&sheet.Views[n], &w.Looks[n])
		assert.Greater(t, len(all), 20)
		for id, r := range all {
			for other, o := range all {
				if id < other && r.over(o) {
					t.Errorf("%s lies over %s", id, other)
				}
			}
		}
	}
}

// What is near hides what is behind it, from whichever side: that is covered, and its edges are
// told by dashed lines; cut as deep as the near one reaches, it is seen.
func TestWhatIsNearHidesWhatIsBehind(t *testing.T) {
	j := example.Ute()
	box := func(id string, y float64) fitout.Item {
		return fitout.Item{ID: id, Name: id, Size: fitout.Size{Length: 400, Width: 300, Height: 300},
			At: fitout.Point{X: 3000, Y: y, Z: 1100}, Presence: fitout.Presence{Kind: fitout.Always},
			Module: &fitout.Module{Kind: fitout.Drawers, Faces: fitout.FaceLeft, Wall: fitout.Plywood, Panel: 12}}
	}
	small := box("small", 200)
	small.Size.Length, small.Size.Height = 300, 200
	j.Variants[0].Items = []fitout.Item{box("near", -200), small}
	p := plan.Of(&j)
	find := func(look draw.Look, id string) draw.DrawnGroup {
		look.Width, look.Height, look.Scale, look.Ground = 800, 400, 8, 350
		sheet := draw.Of(p, &draw.DrawingWish{Looks: []draw.Look{look}})
		for _, g := range sheet.Views[0].Groups {
			if g.ID == id {
				return g
			}
		}
		return draw.DrawnGroup{}
	}
	hidden := find(draw.Look{Stand: draw.Left}, "small")
	assert.True(t, hidden.Covered)
	assert.Equal(t, 4, strings.Count(hidden.Behind, "M"), "each of its edges")
	near := find(draw.Look{Stand: draw.Left}, "near")
	assert.False(t, near.Covered)
	assert.Empty(t, near.Behind)
	assert.False(t, find(draw.Look{Stand: draw.Right}, "small").Covered, "from the right it is the near one")
	assert.NotContains(t, find(draw.Look{Stand: draw.Right}, "near").Behind, "Z")
	cut := draw.Look{Stand: draw.Left, Slice: true, Plane: -50}
	assert.False(t, find(cut, "small").Covered)
	assert.Empty(t, find(cut, "near").ID, "it is cut away")
	through := draw.Look{Stand: draw.Left, Slice: true, Plane: -200}
	sliced := 0
	for _, path := range find(through, "near").Paths {
		if path.Cut {
			sliced++
		}
	}
	assert.Positive(t, sliced, "what the plane goes through is told")
}

// Fillers, taps and couplings for air are drawn where they are entered, each with what it is; they
// take no name's room.
func TestFillersTapsAndCouplingsAreDrawn(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	sheet := draw.Of(plan.Of(&jobs[0]), &draw.DrawingWish{Looks: looks(820, 420)})
	want := map[string]string{
		"~fitting-filler-second":     "Filler of Second fuel tank",
		"~fitting-outlet-bench-tap":  "Bench tap",
		"~fitting-coupling-left-box": "Left under-tray box",
		"~fitting-line-second":       "Line from Second fuel tank to Main fuel tank",
	}
	for id, name := range want {
		seen := 0
		for _, v := range sheet.Views {
			for k := range v.Groups {
				if g := &v.Groups[k]; g.ID == id {
					seen++
					assert.Equal(t, name, g.Name)
					assert.Nil(t, g.Label)
					filler := jobs[0].Variants[0].Plumbing.Vessels[0].Filler.At
					if id == "~fitting-filler-second" && v.Stand == draw.Right {
						assert.InDelta(t, filler.Z, (g.Rect.V0+g.Rect.V1)/2, 0.5)
						assert.InDelta(t, -filler.X, (g.Rect.U0+g.Rect.U1)/2, 0.5)
					}
				}
			}
		}
		assert.Equal(t, 5, seen, name)
	}
	j := jobs[0]
	j.Variants[0].Plumbing = fitout.NewPlumbing()
	for _, v := range draw.Of(plan.Of(&j), &draw.DrawingWish{Looks: looks(820, 420)}).Views {
		for k := range v.Groups {
			assert.NotEqual(t, draw.OfFitting, v.Groups[k].Kind)
		}
	}
}

// Who and what stands in and around a stance is drawn in it, where it stands, and nowhere else; a drawer that is
// half out is drawn half out.
func TestWhatStandsInAStanceIsDrawn(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := &jobs[0]
	v := &j.Variants[0]
	stance := &v.Stances[0]
	stance.Ground = nil
	for i, kind := range []fitout.GroundKind{fitout.GroundAwning, fitout.GroundTent, fitout.GroundTable, fitout.GroundChair, fitout.GroundLadder,
		fitout.GroundTrailer, fitout.GroundFire, fitout.GroundOther} {
		stance.Ground = append(
			stance.Ground,
			fitout.GroundThing{ID: string(kind), Name: "The " + string(kind), Kind: kind,
				At: fitout.Point{
					X: float64(1000 * i),
					Y: -3000,
				}, Size: fitout.Size{Length: 800, Width: 600, Height: 1200}},
		)
	}
	stance.People = nil
	for i, does := range []fitout.Does{fitout.Stands, fitout.Sits} {
		stance.People = append(
			stance.People,
			fitout.Placed{Traveller: j.Brief.Travellers[i].ID, Does: does, At: fitout.Point{X: 2500, Y: -2500, Z: 0}},
		)
	}
	p := plan.Of(j)
	for i := range stance.Ground {
		g := &stance.Ground[i]
		box, there := draw.SceneOf(p, stance.ID, nil).Box("~ground-" + g.ID)
		require.True(t, there, g.Name)
		assert.InDelta(t, 0, box.From.Z, 1, g.Name)
		assert.LessOrEqual(t, box.Around(g.Box()).Size().Length, 801.0, g.Name)
		_, elsewhere := draw.SceneOf(p, "", nil).Box("~ground-" + g.ID)
		assert.False(t, elsewhere, "on the road it is packed")
	}
	for i, tall := range []float64{1, 0.52} {
		who := &j.Brief.Travellers[i]
		box, there := draw.SceneOf(p, stance.ID, nil).Box("~placed-" + who.ID)
		require.True(t, there)
		assert.InDelta(t, tall*who.Height, box.To.Z, 0.03*who.Height)
	}
	drawn := func(share float64) float64 {
		for i := range stance.Open {
			stance.Open[i].Share = share
		}
		k := p.Index(stance.Open[0].Module)
		box, _ := draw.SceneOf(plan.Of(j), stance.ID, nil).Box(p.Items[k].ID)
		shut, _ := draw.SceneOf(plan.Of(j), "", nil).Box(p.Items[k].ID)
		return box.Size().Length - shut.Size().Length + box.Size().Width - shut.Size().Width
	}
	whole := drawn(0)
	require.Greater(t, whole, 100.0)
	assert.InDelta(t, whole/2, drawn(0.5), 0.5+whole*0.1)
}
