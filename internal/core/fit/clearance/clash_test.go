package clearance

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
)

// What is told of a further posture by looking only at what changed is what looking at all of it would tell.
func TestFurtherPosturesTellWhatIsNew(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		box := func(name string) fitout.Box {
			at := func(axis string) float64 { return float64(rapid.IntRange(0, 6).Draw(t, name+axis)) * 100 }
			from := fitout.Point{X: at("x"), Y: at("y"), Z: at("z")}
			return fitout.Box{From: from, To: fitout.Point{X: from.X + 250, Y: from.Y + 250, Z: from.Z + 250}}
		}
		s := &scene.Scene{Bays: []scene.Bay{{ID: "tub", Obstacles: []scene.Obstacle{{ID: "left", Box: box("arch left")}, {ID: "right", Box: box("arch right")}}}}}
		n := rapid.IntRange(1, 9).Draw(t, "parts")
		first, now := make([]standing, n), make([]standing, n)
		for i := range first {
			first[i] = standing{Part: scene.Part{ID: fmt.Sprint("p", i), Bay: "tub", Box: box("part")},
				gone: rapid.Bool().Draw(t, "gone")}
			now[i] = first[i]
			switch rapid.IntRange(0, 5).Draw(t, "change") {
			case 0:
				now[i].Box, now[i].Bay = box("moved"), ""
			case 1:
				now[i].gone = !now[i].gone
			}
		}
		told := map[string]bool{}
		for _, all := range grouped(scene.Clashes(present(first), s.Bays)) {
			told[clashKey(all)] = true
		}
		fresh := func(groups [][]scene.Clash) [][]scene.Clash {
			var left [][]scene.Clash
			for _, all := range groups {
				if !told[clashKey(all)] {
					left = append(left, all)
				}
			}
			return left
		}
		require.Equal(t, fresh(grouped(scene.Clashes(present(now), s.Bays))), fresh(changedClashes(s, first, now)))
	})
}
