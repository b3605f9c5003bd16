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

// The free move of a part is the shortest that trying every half centimetre of each way finds, and there is none where
// that finds none: it stays in its space, which is 2 m long and 1.5 m wide, meets nothing, and it and all else stand on
// something by their middle wherever they did.
func TestTheFreeMoveIsTheShortestThereIs(t *testing.T) {
	found := 0
	rapid.Check(t, func(t *rapid.T) {
		box := func(name string, z float64) fitout.Box {
			cm := func(of string, low, high int) float64 {
				return float64(rapid.IntRange(low, high).Draw(t, name+of)) * 10
			}
			return wagon.Box(cm(" x", 0, 150), cm(" y", 0, 110), z, cm(" long", 10, 50), cm(" wide", 10, 40), 300)
		}
		s := &scene.Scene{Bays: []scene.Bay{{ID: "bay", Room: wagon.Box(0, 0, 0, 2000, 1500, 1000)}}}
		for n := range 1 + rapid.IntRange(0, 4).Draw(t, "others") {
			z := rapid.SampledFrom([]float64{0, 0, 300}).Draw(t, fmt.Sprint("height ", n))
			s.Parts = append(s.Parts, scene.Part{ID: fmt.Sprint("p", n), Bay: "bay", Box: box(fmt.Sprint("part ", n), z)})
		}
		standing := func() map[string]bool {
			stands := map[string]bool{}
			for _, p := range s.Parts {
				m := p.Box.Middle()
				stands[p.ID] = p.Box.From.Z == 0
				for _, q := range s.Parts {
					if b := q.Box; q.ID != p.ID && b.To.Z == p.Box.From.Z &&
						m.X >= b.From.X && m.X <= b.To.X && m.Y >= b.From.Y && m.Y <= b.To.Y {
						stands[p.ID] = true
					}
				}
			}
			return stands
		}
		before := standing()
		allStand := func(as fitout.Box) bool {
			was := s.Parts[0].Box
			s.Parts[0].Box = as
			after := standing()
			s.Parts[0].Box = was
			for id, stood := range before {
				if stood && !after[id] {
					return false
				}
			}
			return true
		}
		part, from := &s.Parts[0], box("from", s.Parts[0].Box.From.Z)
		if scene.Least(part.Box.Overlap(from)) <= 0 {
			t.Skip("nothing to come clear of")
		}
		shortest := -1.0
		for _, way := range []fitout.Point{{X: 1}, {X: -1}, {Y: 1}, {Y: -1}} {
			for mm := 5.0; mm <= 2000; mm += 5 {
				as := func(b fitout.Box) fitout.Box { return b.Moved(way.X*mm, way.Y*mm, 0) }
				if scene.Least(as(part.Box).Overlap(from)) <= 0 && s.StandsAs(part.ID, as) &&
					allStand(as(part.Box)) {
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
