package module

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

var inDrawer = fitout.Box{From: fitout.Point{X: 1000, Y: -200, Z: 500}, To: fitout.Point{X: 1900, Y: 300, Z: 760}}

func TestThingsLieBesideEachOtherThenOnEachOther(t *testing.T) {
	half := fitout.Size{Length: 450, Width: 500, Height: 120}
	small := fitout.Size{Length: 100, Width: 100, Height: 50}
	boxes := Lie(inDrawer, []fitout.Size{half, half, half, small})
	assert.Equal(t, 500.0, boxes[0].From.Z)
	assert.Equal(t, 500.0, boxes[1].From.Z, "the floor has room for two")
	assert.Equal(t, 620.0, boxes[2].From.Z, "the third lies on the first")
	assert.Equal(t, 620.0, boxes[3].From.Z)
	assert.Equal(t, []int{1, 1, 0, 0}, Above(boxes), "one is moved to get at what lies under it")
}

func TestWhatOnlyFitsTheOtherWayRoundIsTurned(t *testing.T) {
	long := Lie(inDrawer, []fitout.Size{{Length: 200, Width: 800, Height: 100}})[0]
	assert.Equal(t, fitout.Size{Length: 800, Width: 200, Height: 100}, long.Size())
	huge := Lie(inDrawer, []fitout.Size{{Length: 2000, Width: 800, Height: 100}})[0]
	assert.Equal(t, 1450.0, huge.Middle().X, "what is too large lies in the middle of it")
}

// A thing under a tower is got at only when all of the tower is gone.
func TestATowerIsCountedWhole(t *testing.T) {
	flat := fitout.Size{Length: 900, Width: 500, Height: 50}
	assert.Equal(t, []int{3, 2, 1, 0}, Above(Lie(inDrawer, []fitout.Size{flat, flat, flat, flat})))
}

// Nothing lies in anything else, and whatever is not on the floor lies on something.
func TestWhatLiesRestsAndDoesNotOverlap(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var things []fitout.Size
		for range rapid.IntRange(0, 8).Draw(t, "things") {
			side := func(name string) float64 { return float64(rapid.IntRange(20, 500).Draw(t, name)) }
			things = append(things, fitout.Size{Length: side("l"), Width: side("w"), Height: side("h")})
		}
		boxes := Lie(inDrawer, things)
		for i, b := range boxes {
			rests := b.From.Z == inDrawer.From.Z
			for k, o := range boxes {
				by := b.Overlap(o)
				if k != i && min(by.X, by.Y, by.Z) > nearly {
					t.Fatalf("%v lies in %v", b, o)
				}
				rests = rests || b.From.Z == o.To.Z
			}
			if !rests {
				t.Fatalf("%v hangs in the air", b)
			}
		}
	})
}

func BenchmarkTwentyThingsInADrawer(b *testing.B) {
	things := make([]fitout.Size, 20)
	for i := range things {
		things[i] = fitout.Size{Length: 100 + float64(i*7%90), Width: 80 + float64(i*13%70), Height: 60}
	}
	for b.Loop() {
		Lie(inDrawer, things)
	}
}
