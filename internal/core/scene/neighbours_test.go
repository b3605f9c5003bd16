package scene

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// The sweep finds the pairs that trying all of them finds.
func TestNeighboursAreAllPairsThatLieOverEachOther(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		parts := make([]Part, rapid.IntRange(0, 12).Draw(t, "parts"))
		for i := range parts {
			from := float64(rapid.IntRange(0, 20).Draw(t, "from")) * 50
			parts[i].Box = fitout.Box{From: fitout.Point{X: from},
				To: fitout.Point{X: from + float64(rapid.IntRange(0, 8).Draw(t, "long"))*50}}
		}
		var want [][2]int
		for i := range parts {
			for k := i + 1; k < len(parts); k++ {
				if a, b := parts[i].Box, parts[k].Box; a.To.X-Slack > b.From.X && b.To.X-Slack > a.From.X {
					want = append(want, [2]int{i, k})
				}
			}
		}
		require.Equal(t, want, neighbours(parts))
	})
}
