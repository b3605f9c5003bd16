package module_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// A slide that comes out by a third stands a third of its way out, and has not come down yet.
func TestASlideStopsPartWay(t *testing.T) {
	item := fitout.Item{At: fitout.Point{X: 3000, Z: 1000}, Size: fitout.Size{Length: 900, Width: 500, Height: 400},
		Module: &fitout.Module{Kind: fitout.FridgeSlide, Faces: fitout.FaceRear, Travel: 750, Drop: 200}}
	third := module.Leaves(&item)[0].PartWay(1.0/3, true)
	assert.InDelta(t, 250, third.Open.From.X-third.Closed.From.X, 1e-9)
	assert.InDelta(t, third.Closed.From.Z, third.Open.From.Z, 1e-9)
	assert.InDelta(t, third.Open.To.X, third.Swept.To.X, 1e-9)
	assert.Equal(t, module.Leaves(&item)[0], module.Leaves(&item)[0].PartWay(0, true), "nothing said is all the way")
}

// A lid that is lifted by a share of a quarter reaches as high as its own length times the sine of it, by
// what a protractor says: 600 long at 30° stands 300 high, and covers 520 of what is below it.
func TestALidStopsPartWay(t *testing.T) {
	item := fitout.Item{At: fitout.Point{X: 3000, Z: 1000}, Size: fitout.Size{Length: 600, Width: 500, Height: 400},
		Module: &fitout.Module{Kind: fitout.LiddedBox, Faces: fitout.FaceRear}}
	whole := module.Leaves(&item)[0]
	leaf := whole.PartWay(1.0/3, false)
	assert.InDelta(t, 300, leaf.Open.To.Z-whole.Closed.From.Z, 25, "but for the thickness of the lid")
	assert.InDelta(t, 600*math.Cos(math.Pi/6), leaf.Open.Size().Length, 25)
}

// The further a leaf is opened, the more room it takes, and never more than all the way.
func TestPartWayIsBetweenShutAndOpen(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		kind := rapid.SampledFrom([]fitout.ModuleKind{fitout.Drawers, fitout.FridgeSlide, fitout.LiddedBox, fitout.Locker, fitout.DropShelf,
			fitout.UprightFridge, fitout.Pantry}).
			Draw(t, "kind")
		item := fitout.Item{
			At:   fitout.Point{X: 3000, Z: 1000},
			Size: fitout.Size{Length: 700, Width: 500, Height: 400},
			Module: &fitout.Module{
				Kind:  kind,
				Faces: rapid.SampledFrom([]fitout.Face{fitout.FaceRear, fitout.FaceLeft}).Draw(t, "face"),
				Cells: []fitout.Cell{{ID: "a", Name: "A"}},
			},
		}
		low, high := rapid.Float64Range(0.01, 0.5).Draw(t, "low"), rapid.Float64Range(0.5, 0.99).Draw(t, "high")
		motion := module.Of(kind).Motion
		slides := motion == module.Slides || motion == module.Drawers
		for _, leaf := range module.Leaves(&item) {
			less, more := leaf.PartWay(low, slides), leaf.PartWay(high, slides)
			all := leaf.Swept.Around(leaf.Open).Around(leaf.Closed)
			assert.Equal(t, less.Swept.Around(more.Swept), more.Swept, "%s", kind)
			assert.Equal(t, all, all.Around(more.Swept), "%s", kind)
		}
	})
}
