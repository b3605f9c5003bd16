package cut_test

import (
	"context"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/cut"
)

func someList(t *rapid.T) []cut.Piece {
	return rapid.SliceOfN(rapid.Custom(func(t *rapid.T) cut.Piece {
		return cut.Piece{Length: float64(rapid.IntRange(60, 1400).Draw(t, "length")),
			Width: float64(rapid.IntRange(60, 800).Draw(t, "width")), Turn: rapid.Bool().Draw(t, "turn")}
	}), 1, 24).Draw(t, "pieces")
}

// The same list gives the same sheets each time: what is on the screen is what is printed. More effort never takes
// more sheets, and no answer goes below its bound.
func TestMoreEffortIsNeverWorse(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		pieces := someList(t)
		stock := []cut.Stock{{Length: 2420, Width: 1200, Count: -1}}
		ctx := context.Background()
		quick := cut.Nest(ctx, pieces, stock, kerf, cut.Quick, nil)
		thorough := cut.Nest(ctx, pieces, stock, kerf, cut.Thorough, nil)
		again := cut.Nest(ctx, pieces, stock, kerf, cut.Thorough, nil)
		if len(thorough.Layouts) > len(quick.Layouts) {
			t.Fatalf("%d sheets with effort, %d without", len(thorough.Layouts), len(quick.Layouts))
		}
		if len(thorough.Layouts) < thorough.Bound || thorough.Proven != (len(thorough.Layouts) == thorough.Bound) {
			t.Fatalf("%d sheets, at least %d, proven %v", len(thorough.Layouts), thorough.Bound, thorough.Proven)
		}
		assert.Equal(t, thorough, again)
	})
}

// Whoever stops the search has all pieces all the same, and progress never goes back.
func TestASearchThatIsStoppedIsWhole(t *testing.T) {
	r := rand.New(rand.NewPCG(2, 3))
	pieces := make([]cut.Piece, 60)
	for i := range pieces {
		pieces[i] = cut.Piece{Length: float64(150 + r.IntN(1000)), Width: float64(80 + r.IntN(500)), Turn: true}
	}
	for _, after := range []int{1, 2, 20} {
		ctx, stop := context.WithCancel(context.Background())
		calls, share := 0, 0.0
		out := cut.Nest(
			ctx,
			pieces,
			[]cut.Stock{{Length: 2420, Width: 1200, Count: -1}},
			kerf,
			cut.Thorough,
			func(now float64) {
				assert.GreaterOrEqual(t, now, share)
				share = now
				if calls++; calls == after {
					stop()
				}
			},
		)
		stop()
		on := 0
		for _, l := range out.Layouts {
			on += len(l.Pieces)
		}
		assert.Equal(t, len(pieces), on+len(out.Left))
		assert.LessOrEqual(t, calls, after+1, "it stops soon after it is told to")
	}
	ended, stop := context.WithCancel(context.Background())
	stop()
	out := cut.Nest(ended, pieces, []cut.Stock{{Length: 2420, Width: 1200, Count: -1}}, kerf, cut.Thorough, nil)
	assert.Empty(t, out.Left, "even one that was stopped before it began has a first answer")
}

// Grain is kept along the sheet: a piece that may not be turned lies as it is, and goes nowhere where it does not fit so.
func TestGrainIsKept(t *testing.T) {
	out := nest([]cut.Piece{{Length: 1100, Width: 2300}}, 2420, 1200)
	assert.Equal(t, []int{0}, out.Left)
	out = nest([]cut.Piece{{Length: 1100, Width: 2300, Turn: true}}, 2420, 1200)
	require.Len(t, out.Layouts, 1)
	assert.True(t, out.Layouts[0].Pieces[0].Turned)
}

// By hand: two pieces of 1300 × 700 cannot share a sheet of 2420 × 1200, however they lie, though their area would;
// four of 1208 × 598 with a kerf of 4 fill it exactly.
func TestBoundsByHand(t *testing.T) {
	two := []cut.Piece{{Length: 1300, Width: 700, Turn: true}, {Length: 1300, Width: 700, Turn: true}}
	assert.Equal(t, 2, cut.Bound(two, 2420, 1200, 0))
	assert.Less(t, 2*1300.0*700, 2420.0*1200)
	four := make([]cut.Piece, 4)
	for i := range four {
		four[i] = cut.Piece{Length: 1208, Width: 598}
	}
	out := cut.Nest(
		context.Background(),
		four,
		[]cut.Stock{{Length: 2420, Width: 1200, Count: -1}},
		4,
		cut.Quick,
		nil,
	)
	assert.Len(t, out.Layouts, 1)
	assert.True(t, out.Proven)
	assert.InDelta(t, 0, out.Gap, 1e-9, "nothing but kerf is lost")
	assert.Empty(t, out.Layouts[0].Rests)
	assert.InDelta(t, 1, out.Layouts[0].Used(), 1e-9)
	out = cut.Nest(
		context.Background(),
		four,
		[]cut.Stock{{Length: 2420, Width: 1200, Count: -1}},
		5,
		cut.Thorough,
		nil,
	)
	assert.Len(t, out.Layouts, 4, "with a saw that takes a millimetre more each is alone")
	assert.True(t, out.Proven)
}

// Bars: what is longer than a bar is told; a kerf is not lost where a bar ends; nothing to saw takes no bar.
func TestBarsByHand(t *testing.T) {
	out := cut.Bars([]float64{6000, 6001, 2998.5, 2998.5}, 6000, 3)
	assert.Equal(t, []int{1}, out.Left)
	assert.Len(t, out.Bars, 2, "2998.5 + 3 + 2998.5 is one bar")
	out = cut.Bars([]float64{2999, 2999}, 6000, 3)
	assert.Len(t, out.Bars, 2, "a millimetre more is two")
	out = cut.Bars(nil, 6000, 3)
	assert.Empty(t, out.Bars)
	assert.True(t, out.Proven)
}

// Whatever is sawn from bars: each length is there once, none is over, and no fewer bars than the bound.
func TestBarsKeepEverything(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		lengths := rapid.SliceOfN(rapid.Float64Range(50, 6500), 0, 60).Draw(t, "lengths")
		saw := rapid.SampledFrom([]float64{0, 3, 5}).Draw(t, "kerf")
		out := cut.Bars(lengths, 6000, saw)
		seen := map[int]int{}
		for _, i := range out.Left {
			seen[i]++
			if lengths[i] <= 6000 {
				t.Fatalf("%.1f was left", lengths[i])
			}
		}
		for _, bar := range out.Bars {
			sum := -saw
			for _, i := range bar {
				seen[i]++
				sum += lengths[i] + saw
			}
			if sum > 6000.02 {
				t.Fatalf("a bar of %.2f", sum)
			}
		}
		for i := range lengths {
			if seen[i] != 1 {
				t.Fatalf("length %d is there %d times", i, seen[i])
			}
		}
		if len(out.Bars) < out.Bound {
			t.Fatalf("%d bars, at least %d", len(out.Bars), out.Bound)
		}
	})
}
