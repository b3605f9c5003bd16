package scene_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// The free move of a part is the shortest that trying every centimetre of each way finds, and there is none where that
// finds none. The bay is 2 m long and 1.5 m wide, and everything stands on its floor.
func TestTheFreeMoveIsTheShortestThereIs(t *testing.T) {
	found := 0
	rapid.Check(t, func(t *rapid.T) {
		box := func(name string) fitout.Box {
			cm := func(of string, low, high int) float64 {
				return float64(rapid.IntRange(low, high).Draw(t, name+of)) * 10
			}
			return wagon.Box(cm(" x", 0, 150), cm(" y", 0, 110), 0, cm(" long", 10, 50), cm(" wide", 10, 40), 300)
		}
		s := &scene.Scene{Bays: []scene.Bay{{ID: "bay", Room: wagon.Box(0, 0, 0, 2000, 1500, 1000)}}}
		for n := range 1 + rapid.IntRange(0, 3).Draw(t, "others") {
			s.Parts = append(s.Parts, scene.Part{ID: fmt.Sprint("p", n), Bay: "bay", Box: box(fmt.Sprint("part ", n))})
		}
		part, from := &s.Parts[0], box("from")
		if scene.Least(part.Box.Overlap(from)) <= 0 {
			t.Skip("nothing to come clear of")
		}
		shortest := -1.0
		for _, way := range []fitout.Point{{X: 1}, {X: -1}, {Y: 1}, {Y: -1}} {
			for mm := 10.0; mm <= 2000; mm += 10 {
				as := func(b fitout.Box) fitout.Box { return b.Moved(way.X*mm, way.Y*mm, 0) }
				if scene.Least(as(part.Box).Overlap(from)) <= 0 && s.StandsAs(part.ID, as) {
					if shortest < 0 || mm < shortest {
						shortest = mm
					}
					break
				}
			}
		}
		free := s.Free(part, scene.Steps(part.Box, from)[:4])
		require.InDelta(t, shortest, free.MM, 1e-9, "%v of %v", free, s.Parts)
		if free.MM >= 0 {
			found++
		}
	})
	require.Positive(t, found)
}
