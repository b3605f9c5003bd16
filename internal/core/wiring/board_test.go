package wiring_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/wiring"
	"zaino/internal/demo"
	"zaino/internal/example"
)

// Of whatever electrics, every circuit that is proposed and can be bought carries its fuse,
// its fuse carries its load, and it loses no more than it may.
func TestWhatIsProposedIsRight(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Any(t)
		for i := range j.Variants {
			j.Variants[i].Electrics.Circuits = []fitout.Circuit{}
		}
		for _, w := range wiring.BoardOf(plan.Of(&j)).Lines {
			if w.Needs == 0 || w.Fuse == 0 {
				continue
			}
			if w.Fuse < w.Amps*1.25-1e-6 || w.Fuse > w.Carries+1e-6 {
				t.Fatalf("%s: %v A of load, a fuse of %v A, a cable for %v A", w.Name, w.Amps, w.Fuse, w.Carries)
			}
			if w.DropShare > w.DropMost+1e-9 {
				t.Fatalf("%s loses %v of %v", w.Name, w.DropShare, w.DropMost)
			}
		}
	})
}

// Lengths follow from places: a part that moves a metre back takes more cable, and a slide
// takes half of its travel in a chain and all of it with elastic.
func TestLengthsFollowFromPlaces(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := jobs[0]
	length := func() float64 {
		for _, w := range wiring.BoardOf(plan.Of(&j)).Lines {
			if w.Of == "sample-freezer" {
				require.Equal(t, "places", w.LengthBy)
				return w.Length
			}
		}
		t.Fatal("the fridge has no circuit")
		return 0
	}
	v := &j.Variants[0]
	var fridge *fitout.Item
	for i := range v.Items {
		if v.Items[i].ID == "sample-fridge" {
			fridge = &v.Items[i]
		}
	}
	fridge.Module.Follows = fitout.Chain
	before := length()
	fridge.Module.Follows = fitout.Elastic
	assert.InDelta(t, before+fridge.Module.Travel/2, length(), 1e-6)
	fridge.Module.Follows = fitout.Chain
	fridge.At.X += 1000
	assert.InDelta(t, before+1150, length(), 1e-6, "with 15 % for the way round")
}

// Every demo board is drawn with each of its circuits, and nothing lies outside of it.
func TestTheBoardIsDrawnWhole(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for i := range jobs {
		f := wiring.Engine().Figures(plan.Of(&jobs[i]))
		drawn := map[string]bool{}
		for _, b := range f.Drawing.Boxes {
			drawn[b.Of] = true
			assert.True(t, b.X >= 0 && b.Y >= 0 && b.X+b.Width <= f.Drawing.Width && b.Y+b.Height <= f.Drawing.Height)
			for _, other := range f.Drawing.Boxes {
				if b != other && b.Kind != "fuse" && other.Kind != "fuse" {
					apart := b.X+b.Width <= other.X || other.X+other.Width <= b.X || b.Y+b.Height <= other.Y ||
						other.Y+other.Height <= b.Y
					assert.True(t, apart, "%s: %s lies over %s", jobs[i].Name, b.Of, other.Of)
				}
			}
		}
		for _, w := range f.Lines {
			assert.True(t, drawn[w.Of], "%s: %s is not drawn", jobs[i].Name, w.Name)
		}
	}
}

func TestTheBillAddsUp(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	f := wiring.Engine().Figures(plan.Of(&jobs[2]))
	mass, length, fuses := 0.0, 0.0, 0
	for _, w := range f.Lines {
		length += 2 * w.Length * 1.1
		if w.Fuse > 0 {
			fuses++
		}
		if w.FarFuse > 0 {
			fuses++
		}
	}
	for _, c := range f.Cables {
		mass += c.Mass
		length -= c.Length
	}
	for _, c := range f.Fuses {
		fuses -= c.Count
	}
	assert.InDelta(t, f.Mass, mass, 1e-9)
	assert.InDelta(t, 0, length, 1e-6)
	assert.Zero(t, fuses)
}
