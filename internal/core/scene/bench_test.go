package scene_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

func canopy() scene.Bay { return scene.Bay{ID: "canopy", Room: wagon.Box(0, 0, 0, 1800, 600, 800)} }

func TestTwoPartsInOnePlaceClash(t *testing.T) {
	bay := canopy()
	bay.Obstacles = []scene.Obstacle{{Box: wagon.Box(0, 0, 0, 100, 100, 100)}}
	parts := []scene.Part{
		{ID: "fridge", Bay: "canopy", Box: wagon.Box(100, 0, 0, 700, 500, 500)},
		{ID: "drawers", Bay: "canopy",
			Box: wagon.Box(800, 0, 0, 900, 600, 300)},
	}
	assert.Empty(t, scene.Clashes(parts, []scene.Bay{bay}), "faces may touch")
	parts[1].Box = parts[1].Box.Moved(-20, 0, 0)
	clashes := scene.Clashes(parts, []scene.Bay{bay})
	require.Len(t, clashes, 1)
	assert.InDelta(t, 20, clashes[0].By.X, 1e-9)
	parts[0].Box = parts[0].Box.Moved(-50, 0, 0)
	clashes = scene.Clashes(parts, []scene.Bay{bay})
	require.Len(t, clashes, 1)
	assert.Empty(t, clashes[0].Other, "now it stands in the obstacle")
}

func TestWhatStandsOutOfItsBay(t *testing.T) {
	bay := canopy()
	mm, side := scene.Outside(wagon.Box(1000, 0, 0, 900, 600, 300), &bay)
	assert.Equal(t, "rear", side)
	assert.InDelta(t, 100, mm, 1e-9)
	_, side = scene.Outside(wagon.Box(0, 0, 0, 1800, 600, 800), &bay)
	assert.Empty(t, side)
	roof := scene.Bay{ID: "roof", Room: wagon.Box(0, 0, 0, 1000, 1000, 0), Open: true}
	_, side = scene.Outside(wagon.Box(-500, 0, 0, 2000, 500, 300), &roof)
	assert.Empty(t, side, "a long thing may stand out over an open bay")
	_, side = scene.Outside(wagon.Box(0, 0, -50, 500, 500, 300), &roof)
	assert.Equal(t, "floor", side)
}

// A hatch that leans in takes more from what is high than from what is low.
func TestALeaningHatchIsJudgedAtTheUpperEdge(t *testing.T) {
	bay := canopy()
	bay.RearTop = 1400 // 400 less than at the floor
	_, side := scene.Outside(wagon.Box(0, 0, 0, 1600, 600, 400), &bay)
	assert.Empty(t, side, "half way up 1600 are left")
	mm, side := scene.Outside(wagon.Box(0, 0, 0, 1600, 600, 600), &bay)
	assert.Equal(t, "rear", side)
	assert.InDelta(t, 100, mm, 1e-9)
	rest, _ := scene.Remainder(&bay, nil, fitout.Point{}, fitout.Size{})
	assert.InDelta(t, 1400, rest.Size().Length, 1e-9, "what is filled stands upright")
}

func TestGapsGoToTheNearestFace(t *testing.T) {
	bay := canopy()
	fridge := scene.Part{ID: "fridge", Box: wagon.Box(300, 50, 0, 700, 500, 500)}
	parts := []scene.Part{fridge, {ID: "pantry", Box: wagon.Box(1200, 0, 0, 300, 600, 800)},
		{ID: "shelf", Box: wagon.Box(0, 0, 640, 1800, 600, 20)}, {ID: "far", Box: wagon.Box(0, 700, 0, 100, 100, 100)}}
	got := map[string]string{}
	for _, g := range scene.Gaps(&fridge, parts, &bay) {
		got[g.Side] = fmt.Sprintf("%.0f %s", g.MM, g.To)
	}
	assert.Equal(t, map[string]string{"front": "300 ", "rear": "200 pantry", "left": "50 ", "right": "50 ", "below": "0 ",
		"above": "140 shelf"}, got)
}

func TestFillWhatIsLeftBesideTheFridge(t *testing.T) {
	bay := canopy()
	parts := []scene.Part{{ID: "fridge", Box: wagon.Box(0, 0, 0, 700, 600, 800)}}
	rest, ok := scene.Remainder(&bay, parts, fitout.Point{}, fitout.Size{})
	require.True(t, ok)
	assert.Equal(t, wagon.Box(700, 0, 0, 1100, 600, 800), rest, "to the exact remainder")
	_, ok = scene.Remainder(&bay, parts, fitout.Point{}, fitout.Size{Length: 1200})
	assert.False(t, ok, "nothing is left that is long enough")
	_, ok = scene.Remainder(&bay, []scene.Part{{Box: bay.Room}}, fitout.Point{}, fitout.Size{})
	assert.False(t, ok)
}

// The remainder is empty, inside, and no box between faces is larger around the
// same place: an exhaustive search over every box between whole mm agrees.
func TestRemainderIsTheLargestEmptyBoxAroundAPlace(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		bay := scene.Bay{Room: wagon.Box(0, 0, 0, 10, 10, 10)}
		var parts []scene.Part
		at := func(name string) float64 { return float64(rapid.IntRange(0, 9).Draw(t, name)) }
		for range rapid.IntRange(0, 4).Draw(t, "parts") {
			size := func(name string) float64 { return float64(rapid.IntRange(1, 5).Draw(t, name)) }
			parts = append(parts, scene.Part{Box: wagon.Box(at("x"), at("y"), at("z"), size("l"), size("w"), size("h"))})
		}
		near := fitout.Point{X: at("near x") + 0.5, Y: at("near y") + 0.5, Z: at("near z") + 0.5}
		most, mostAround := 0.0, 0.0
		for x := range 10 {
			for y := range 10 {
				for z := range 10 {
					for l := 1; x+l <= 10; l++ {
						for w := 1; y+w <= 10; w++ {
							for h := 1; z+h <= 10; h++ {
								b := wagon.Box(float64(x), float64(y), float64(z), float64(l), float64(w), float64(h))
								v := float64(l * w * h)
								if v > max(most, 0) && empty(b, parts) {
									most = v
								}
								if v > mostAround && holds(b, near) && empty(b, parts) {
									mostAround = v
								}
							}
						}
					}
				}
			}
		}
		if mostAround > 0 {
			most = mostAround
		}
		rest, ok := scene.Remainder(&bay, parts, near, fitout.Size{})
		if ok != (most > 0) || ok && (!empty(rest, parts) || rest.Litres()*1e6 < most-1e-6 || rest.Litres()*1e6 > most+1e-6 ||
			mostAround > 0 && !holds(rest, near)) {
			t.Fatalf("found %+v (%v), the largest has %v", rest, ok, most)
		}
	})
}

func holds(b fitout.Box, p fitout.Point) bool {
	return b.From.X <= p.X && p.X <= b.To.X && b.From.Y <= p.Y && p.Y <= b.To.Y && b.From.Z <= p.Z && p.Z <= b.To.Z
}

func empty(b fitout.Box, parts []scene.Part) bool {
	for _, p := range parts {
		if by := b.Overlap(p.Box); min(by.X, by.Y, by.Z) > 0 {
			return false
		}
	}
	return true
}

func TestATallerFridgeRaisesUnitPlatformAndWhatLiesOnIt(t *testing.T) {
	parts := []scene.Part{
		{ID: "fridge", Box: wagon.Box(0, 0, 0, 700, 400, 450)},
		{ID: "unit", Box: wagon.Box(0, 400, 0, 900, 600, 450), Built: true},
		{ID: "box", Box: wagon.Box(900, 0, 0, 300, 300, 300), Built: true},
		{ID: "platform", Box: wagon.Box(0, 0, 450, 1900, 1000, 40), Built: true},
		{ID: "mattress", Box: wagon.Box(0, 0, 490, 1900, 1000, 80)},
	}
	got := scene.Resize(parts, "fridge", fitout.Size{Length: 700, Width: 400, Height: 500})
	assert.Equal(t, wagon.Box(0, 0, 0, 700, 400, 500), got["fridge"])
	assert.Equal(t, wagon.Box(0, 400, 0, 900, 600, 500), got["unit"], "what was flush stays flush")
	assert.Equal(t, wagon.Box(0, 0, 500, 1900, 1000, 40), got["platform"])
	assert.Equal(t, wagon.Box(0, 0, 540, 1900, 1000, 80), got["mattress"])
	assert.NotContains(t, got, "box", "a lower box has nothing to do with it")
}

func TestANarrowerFridgeGivesItsWidthToTheDrawerBesideIt(t *testing.T) {
	parts := []scene.Part{
		{ID: "fridge", Box: wagon.Box(0, 0, 0, 700, 400, 450)},
		{ID: "unit", Box: wagon.Box(0, 400, 0, 900, 600, 450), Built: true},
		{ID: "bought", Box: wagon.Box(700, 0, 0, 300, 300, 300)},
	}
	got := scene.Resize(parts, "fridge", fitout.Size{Length: 650, Width: 360, Height: 450})
	assert.Equal(t, wagon.Box(0, 360, 0, 900, 640, 450), got["unit"])
	assert.NotContains(t, got, "bought")
	parts[1].Fixed = true
	assert.NotContains(t, scene.Resize(parts, "fridge", fitout.Size{Length: 700, Width: 360, Height: 450}), "unit")
}

func BenchmarkClashesOf200Parts(b *testing.B) {
	parts := make([]scene.Part, 200)
	for i := range parts {
		parts[i] = scene.Part{ID: fmt.Sprint(i), Box: wagon.Box(float64(i%20)*100, float64(i/20)*100, 0, 95, 95, 95)}
	}
	for b.Loop() {
		scene.Clashes(parts, nil)
	}
}
