package clearance

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// lounge is a sound build with a seat in the second row that turns by a half.
func lounge(size fitout.Size, by float64) *scene.Scene {
	s := wagon.Sound()
	s.Vehicle.Seats = append(s.Vehicle.Seats, fitout.Seat{ID: "turns", Name: "Side seat",
		At: fitout.Point{X: 2200, Y: 330, Z: 1000}, Turns: 180, Size: size})
	s.Stances[0].Turned = []fitout.SeatTurned{{Seat: "turns", By: by}}
	return s
}

func turns(s *scene.Scene) []fitout.Finding {
	s.Prepare()
	return SeatTurn(s)
}

// within tells whether a place seen from above is in the seat at some moment of its way, by turning the place back.
func within(seat *fitout.Seat, by, x, y float64) bool {
	const moments = 720
	for n := range moments + 1 {
		sin, cos := math.Sincos(-by * float64(n) / moments * math.Pi / 180)
		dx, dy := x-seat.At.X, y-seat.At.Y
		u, v := dx*cos+dy*sin, -dx*sin+dy*cos
		if math.Abs(u) < seat.Size.Length/2 && math.Abs(v) < seat.Size.Width/2 {
			return true
		}
	}
	return false
}

// What a turning seat meets is what some place of it passes through, and moved as is said it meets it no more.
func TestATurningSeatMeetsWhatItPassesThrough(t *testing.T) {
	met := 0
	rapid.Check(t, func(t *rapid.T) {
		r := rand.New(rand.NewPCG(rapid.Uint64().Draw(t, "seed"), 1))
		in := func(low, high float64) float64 { return low + (high-low)*r.Float64() }
		seat := fitout.Seat{ID: "turns", Name: "Seat", At: fitout.Point{X: 1000, Y: -400, Z: 900},
			Size: fitout.Size{Length: in(300, 800), Width: in(300, 700), Height: 900}}
		by := in(-180, 180)
		b := wagon.Box(in(500, 1400), in(-900, 0), 600, in(20, 300), in(20, 300), 300)
		way := turnOf(&seat, by)
		moves, hit := way.clears(b)
		inside := func(b fitout.Box, shrunk float64) bool {
			for i := range 13 {
				for k := range 13 {
					if within(
						&seat,
						by,
						b.From.X+shrunk+(b.To.X-b.From.X-2*shrunk)*float64(i)/12,
						b.From.Y+shrunk+(b.To.Y-b.From.Y-2*shrunk)*float64(k)/12,
					) {
						return true
					}
				}
			}
			return false
		}
		if !hit {
			if inside(b, 4) {
				t.Fatalf("it passes through, and nothing is told")
			}
			return
		}
		met++
		for _, m := range moves {
			moved := b.Moved(m.Moves.X*m.MM, m.Moves.Y*m.MM, 0)
			if again, still := way.clears(moved); still {
				t.Fatalf("moved %s it still meets it: %v", m.Way, again)
			}
			if inside(moved, 4) {
				t.Fatalf("moved %.0f mm %s it is still passed through", m.MM, m.Way)
			}
		}
	})
	require.Greater(t, met, 10)
}

// Beside the seat that turns there is a table's breadth; with the crate 34 mm further back nothing is told.
func TestASeatThatClearsIsLeftAlone(t *testing.T) {
	size := fitout.Size{Length: 400, Width: 400, Height: 600}
	s := lounge(size, 90)
	crate := wagon.Part("crate", fitout.Locker, scene.Still, wagon.Box(2485, 310, 700, 60, 40, 200), 2)
	crate.Bay, crate.Item.Bay = "row", "row"
	wagon.Add(s, crate)
	assert.Empty(t, turns(s), "283 mm from its middle, and the crate stands 285 away")
	s.Part("crate").Box = wagon.Box(2470, 310, 700, 60, 40, 200)
	found := turns(s)
	require.NotEmpty(t, found)
	assert.InDelta(t, 13, found[0].Value, 1)
	s.Part("crate").Box = wagon.Box(2470, 310, 1101, 60, 40, 200)
	assert.Empty(t, turns(s), "it stands above the seat's back")
}

func TestASeatTurnsAsFarAsItDoes(t *testing.T) {
	size := fitout.Size{Length: 400, Width: 400, Height: 600}
	s := lounge(size, 200)
	found := turns(s)
	require.Len(t, found, 1)
	assert.Equal(t, fitout.Stop, found[0].Severity)
	assert.Contains(t, found[0].Sentence, "Turn it back by 20°")
	s.Stances[0].Turned[0].By = -180
	assert.Empty(t, turns(s), "as far as it goes")

	s.Vehicle.Seats[1].Size = fitout.Size{}
	found = turns(s)
	require.Len(t, found, 1)
	assert.Equal(t, fitout.Note, found[0].Severity, "of a seat of unknown size nobody knows")

	s.Vehicle.Seats[1].Size, s.Stances[0].Use = size, fitout.StanceDrive
	assert.Empty(t, turns(s), "nobody rides in it")
	s.Seated = map[string]string{"turns": "Ann"}
	found = turns(s)
	require.Len(t, found, 1)
	assert.Contains(t, found[0].Sentence, "Turn it back before driving")
}

// A seat by the door reaches beyond its side while it turns, unless that door is open.
func TestASeatTurnsIntoTheDoor(t *testing.T) {
	s := lounge(fitout.Size{Length: 400, Width: 400, Height: 600}, 90)
	s.Vehicle.Seats[1].At.Y = -450 // 700 is the side: 283 from its middle
	s.Parts[2].Box = s.Parts[2].Box.Moved(0, 0, 800)
	found := turns(s)
	require.Len(t, found, 1)
	assert.Contains(t, found[0].Sentence, "beyond the left side of second row")
	assert.InDelta(t, 450+282.84-700, found[0].Value, 0.1)
	s.Stances[0].Doors = []fitout.Door{{Bay: "row"}}
	assert.Empty(t, turns(s), "the door stands open")
}
