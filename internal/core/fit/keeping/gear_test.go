package keeping

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// A lunch box of 400 mm does not go into a drawer that is 240 mm high inside.
func ExampleTooLarge() {
	fmt.Println(TooLarge(
		fitout.Size{Length: 300, Width: 200, Height: 400},
		fitout.Size{Length: 650, Width: 420, Height: 240},
	))
	// Output:
	// [{160 high}]
}

// All that is too large is told, lying the better way round.
func TestTooLongOrTooWide(t *testing.T) {
	room := fitout.Size{Length: 500, Width: 300, Height: 200}
	for _, c := range []struct {
		thing fitout.Size
		want  []Excess
	}{
		{fitout.Size{Length: 400, Width: 340, Height: 100}, []Excess{{40, "wide"}}},
		{fitout.Size{Length: 530, Width: 200, Height: 100}, []Excess{{30, "long"}}},
		{fitout.Size{Length: 250, Width: 540, Height: 100}, []Excess{{40, "long"}}}, // turned: its width lies along
		{fitout.Size{Length: 400, Width: 200, Height: 230}, []Excess{{30, "high"}}},
		{fitout.Size{Length: 520, Width: 350, Height: 230}, []Excess{{30, "high"}, {20, "long"}, {50, "wide"}}},
		{fitout.Size{Length: 300, Width: 500, Height: 200}, nil},
	} {
		assert.Equal(t, c.want, TooLarge(c.thing, room), "%v", c.thing)
	}
}

// A room that is larger by as much as is told takes the thing; by less in any way, it does not.
func TestARoomThatIsLargerByWhatIsTooMuchTakesIt(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		size := func(name string) fitout.Size {
			side := func(of string) float64 { return float64(rapid.IntRange(10, 90).Draw(t, name+of)) * 10 }
			return fitout.Size{Length: side(" long"), Width: side(" wide"), Height: side(" high")}
		}
		thing, room := size("thing"), size("room")
		grown := func(left string) fitout.Size {
			r := room
			for _, e := range TooLarge(thing, room) {
				if e.Way == left {
					e.MM -= 5
				}
				switch e.Way {
				case "high":
					r.Height += e.MM
				case "long":
					r.Length += e.MM
				case "wide":
					r.Width += e.MM
				}
			}
			return r
		}
		require.Empty(t, TooLarge(thing, grown("")))
		for _, e := range TooLarge(thing, room) {
			require.NotEmpty(t, TooLarge(thing, grown(e.Way)), e.Way)
		}
	})
}
