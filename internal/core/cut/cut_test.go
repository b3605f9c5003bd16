package cut_test

import (
	"context"
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/cut"
)

const kerf = 3.0

// sawn cuts a sheet at random from edge to edge into n pieces, no side shorter than 60.
func sawn(r *rand.Rand, length, width float64, n int, turn bool) []cut.Piece {
	pieces := []cut.Piece{{Length: length, Width: width, Turn: turn}}
	const least = 60
	for len(pieces) < n {
		k := r.IntN(len(pieces))
		p := pieces[k]
		side := &p.Length
		if r.IntN(2) == 0 {
			side = &p.Width
		}
		if *side < 2*least+kerf {
			continue
		}
		at := math.Round(least + r.Float64()*(*side-kerf-2*least))
		a, b := p, p
		if side == &p.Length {
			a.Length, b.Length = at, p.Length-at-kerf
		} else {
			a.Width, b.Width = at, p.Width-at-kerf
		}
		pieces[k] = a
		pieces = append(pieces, b)
	}
	r.Shuffle(n, func(i, k int) { pieces[i], pieces[k] = pieces[k], pieces[i] })
	for i := range pieces {
		if turn && r.IntN(2) == 0 {
			pieces[i].Length, pieces[i].Width = pieces[i].Width, pieces[i].Length
		}
	}
	return pieces
}

func nest(pieces []cut.Piece, length, width float64) cut.Nesting {
	return cut.Nest(
		context.Background(),
		pieces,
		[]cut.Stock{{Length: length, Width: width, Count: -1}},
		kerf,
		cut.Thorough,
		nil,
	)
}

// A sheet that was cut into twelve pieces goes back onto one sheet: at least 90 of 100 times, and never onto more
// than two.
func TestASheetGoesBackOntoASheet(t *testing.T) {
	for _, turn := range []bool{true, false} {
		r := rand.New(rand.NewPCG(7, 11))
		one, most := 0, 0
		for range 100 {
			n := nest(sawn(r, 2420, 1200, 12, turn), 2420, 1200)
			require.Empty(t, n.Left)
			most = max(most, len(n.Layouts))
			if len(n.Layouts) == 1 {
				one++
			}
		}
		t.Logf("turned %v: %d of 100 on one sheet", turn, one)
		assert.GreaterOrEqual(t, one, 90)
		assert.LessOrEqual(t, most, 2)
	}
}

// Whatever is cut: nothing is lost, nothing is there twice, nothing overlaps or comes nearer than the saw is wide,
// grain is kept, and the cuts that are told, made one after the other from edge to edge, leave exactly the pieces.
func TestWhatIsToldCanBeSawn(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(1, 40).Draw(t, "pieces")
		pieces := make([]cut.Piece, n)
		for i := range pieces {
			pieces[i] = cut.Piece{Length: float64(rapid.IntRange(40, 2600).Draw(t, "length")),
				Width: float64(rapid.IntRange(40, 1300).Draw(t, "width")), Turn: rapid.Bool().Draw(t, "turn")}
		}
		width := rapid.SampledFrom([]float64{0, 1.5, 3.2, 5}).Draw(t, "kerf")
		stock := []cut.Stock{{Length: 900, Width: 600, Count: rapid.IntRange(0, 3).Draw(t, "offcuts")},
			{Length: 2420, Width: 1200, Count: rapid.SampledFrom([]int{-1, 2}).Draw(t, "sheets")}}
		effort := rapid.SampledFrom([]cut.Effort{cut.Quick, cut.Quick, cut.Thorough}).Draw(t, "effort")
		ctx, stop := context.WithCancel(context.Background())
		defer stop()
		out := cut.Nest(ctx, pieces, stock, width, effort, func(share float64) {
			if share > 0.02 {
				stop()
			}
		})
		hold(t, pieces, stock, width, &out)
	})
}

func hold(t *rapid.T, pieces []cut.Piece, stock []cut.Stock, kerf float64, out *cut.Nesting) {
	t.Helper()
	seen, used := map[int]int{}, map[int]int{}
	for _, i := range out.Left {
		seen[i]++
	}
	for k := range out.Layouts {
		l := &out.Layouts[k]
		used[l.Stock]++
		for _, p := range l.Pieces {
			seen[p.Piece]++
			want := pieces[p.Piece]
			if p.Turned {
				if !want.Turn {
					t.Fatalf("piece %d was turned against its grain", p.Piece)
				}
				want.Length, want.Width = want.Width, want.Length
			}
			if math.Abs(p.Length-want.Length) > 0.02 || math.Abs(p.Width-want.Width) > 0.02 {
				t.Fatalf("piece %d is %.2f × %.2f, wanted %+v", p.Piece, p.Length, p.Width, want)
			}
		}
		saw(t, l, kerf)
	}
	for i := range pieces {
		if seen[i] != 1 {
			t.Fatalf("piece %d is there %d times", i, seen[i])
		}
	}
	for i, s := range stock {
		if s.Count >= 0 && used[i] > s.Count {
			t.Fatalf("%d sheets of size %d where there are %d", used[i], i, s.Count)
		}
	}
}

// part is what lies on the saw's bench: part of a sheet.
type part struct{ x, y, l, w float64 }

// saw makes the cuts of a sheet one after the other, each through the one part that it goes through from edge to
// edge, and holds what comes off against the pieces.
func saw(t *rapid.T, l *cut.Layout, kerf float64) {
	t.Helper()
	const slack = 0.05
	parts := []part{{0, 0, l.Length, l.Width}}
	for n, c := range l.Cuts {
		found := false
		for k, p := range parts {
			across := !c.Rip && math.Abs(c.Y-p.y) < slack && math.Abs(c.Length-p.w) < slack && c.X > p.x &&
				c.X < p.x+p.l
			rip := c.Rip && math.Abs(c.X-p.x) < slack && math.Abs(c.Length-p.l) < slack && c.Y > p.y && c.Y < p.y+p.w
			if !across && !rip {
				continue
			}
			a, b := p, p
			if across {
				a.l, b.x, b.l = c.X-p.x, c.X+kerf, p.l-(c.X-p.x)-kerf
			} else {
				a.w, b.y, b.w = c.Y-p.y, c.Y+kerf, p.w-(c.Y-p.y)-kerf
			}
			parts[k] = a
			if b.l > 0 && b.w > 0 {
				parts = append(parts, b)
			}
			found = true
			break
		}
		if !found {
			t.Fatalf("cut %d, %+v, goes through no part from edge to edge", n, c)
		}
	}
	for _, p := range l.Pieces {
		off := 0
		for _, q := range parts {
			if math.Abs(p.X-q.x) < slack && math.Abs(p.Y-q.y) < slack && math.Abs(p.Length-q.l) < slack &&
				math.Abs(p.Width-q.w) < slack {
				off++
			}
		}
		if off != 1 {
			t.Fatalf("piece %d at %.1f, %.1f comes off %d times", p.Piece, p.X, p.Y, off)
		}
		if p.X < -slack || p.Y < -slack || p.X+p.Length > l.Length+slack || p.Y+p.Width > l.Width+slack {
			t.Fatalf("piece %d is over the edge", p.Piece)
		}
	}
	for i, p := range l.Pieces {
		for _, q := range l.Pieces[i+1:] {
			x := max(q.X-p.X-p.Length, p.X-q.X-q.Length)
			y := max(q.Y-p.Y-p.Width, p.Y-q.Y-q.Width)
			if max(x, y) < kerf-slack {
				t.Fatalf("pieces %d and %d are %.2f apart", p.Piece, q.Piece, max(x, y))
			}
		}
	}
}

// No sheet is bought for what offcuts hold, and none is cut into where one sheet holds all as well as it does with them.
func TestOffcutsComeFirst(t *testing.T) {
	stock := []cut.Stock{{Length: 2420, Width: 1200, Count: -1}, {Length: 700, Width: 450, Count: 2}}
	of := func(pieces ...cut.Piece) (bought, offcuts int) {
		out := cut.Nest(context.Background(), pieces, stock, kerf, cut.Thorough, nil)
		for _, l := range out.Layouts {
			if l.Stock == 0 {
				bought++
			} else {
				offcuts++
			}
		}
		require.Empty(t, out.Left)
		return bought, offcuts
	}
	a, b := cut.Piece{Length: 600, Width: 400, Turn: true}, cut.Piece{Length: 500, Width: 400, Turn: true}
	bought, offcuts := of(a, b)
	assert.Equal(t, [2]int{0, 2}, [2]int{bought, offcuts})
	bought, offcuts = of(a, b, cut.Piece{Length: 2420, Width: 1190})
	assert.Equal(t, [2]int{1, 2}, [2]int{bought, offcuts}, "beside the large one there is no room")
	bought, offcuts = of(a, b, cut.Piece{Length: 1400, Width: 1190})
	assert.Equal(t, [2]int{1, 2}, [2]int{bought, offcuts}, "the rest of the sheet stays larger with them")
}

// What is larger than any sheet is told, and stops nothing else; nor does a sheet without size.
func TestWhatCannotBeCutIsLeft(t *testing.T) {
	out := nest(
		[]cut.Piece{{Length: 2600, Width: 100}, {Length: 500, Width: 400}, {Length: 1300, Width: 1250, Turn: true}},
		2420,
		1200,
	)
	assert.ElementsMatch(t, []int{0, 2}, out.Left)
	assert.Len(t, out.Layouts, 1)
	none := nest([]cut.Piece{{Length: 500, Width: 400}}, -10, -10)
	assert.Equal(t, []int{0}, none.Left)
}

// Five thousand panels are laid out all the same.
func TestVeryManyPanels(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	pieces := make([]cut.Piece, 5000)
	for i := range pieces {
		pieces[i] = cut.Piece{Length: float64(100 + r.IntN(900)), Width: float64(60 + r.IntN(500)), Turn: true}
	}
	ctx, stop := context.WithCancel(context.Background())
	defer stop()
	out := cut.Nest(
		ctx,
		pieces,
		[]cut.Stock{{Length: 2420, Width: 1200, Count: -1}},
		kerf,
		cut.Thorough,
		func(float64) { stop() },
	)
	assert.Empty(t, out.Left)
	assert.Less(t, out.Gap, 0.25, "%d sheets, bound %d", len(out.Layouts), out.Bound)
}

// Worked example: bars of 6000 with a kerf of 3. Longest first takes four.
func TestThreeBarsAreEnough(t *testing.T) {
	lengths := []float64{1470, 2540, 2540, 2540, 2540, 1920, 1920, 930}
	out := cut.Bars(lengths, 6000, 3)
	assert.Len(t, out.Bars, 3)
	assert.True(t, out.Proven)
}

// fewest is the fewest bars by trying every way.
func fewest(lengths []float64, bar, kerf float64) int {
	best := len(lengths)
	free := []float64{}
	var put func(i int)
	put = func(i int) {
		if len(free) >= best {
			return
		}
		if i == len(lengths) {
			best = len(free)
			return
		}
		for k := range free {
			if free[k] >= lengths[i]+kerf-0.01 {
				free[k] -= lengths[i] + kerf
				put(i + 1)
				free[k] += lengths[i] + kerf
			}
		}
		free = append(free, bar-lengths[i])
		put(i + 1)
		free = free[:len(free)-1]
	}
	put(0)
	return best
}

// On small cases the bars are as few as by trying every way, each piece is on one bar, and none is too full.
func TestBarsAreAsFewAsTryingEveryWay(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 5))
	for range 300 {
		n := 3 + r.IntN(6)
		lengths := make([]float64, n)
		for i := range lengths {
			lengths[i] = float64(200 + r.IntN(3000))
		}
		saw := []float64{0, 3, 5}[r.IntN(3)]
		out := cut.Bars(lengths, 4000, saw)
		seen := map[int]int{}
		for _, bar := range out.Bars {
			sum := -saw
			for _, i := range bar {
				seen[i]++
				sum += lengths[i] + saw
			}
			require.LessOrEqual(t, sum, 4000.02)
		}
		require.Len(t, seen, n)
		// By trying every way a bar of 4000 takes a first piece without a kerf before it.
		require.Equal(t, fewest(lengths, 4000, saw), len(out.Bars), "%v kerf %v", lengths, saw)
		require.True(t, out.Proven)
		require.LessOrEqual(t, out.Bound, len(out.Bars))
	}
}

func BenchmarkNest80Pieces(b *testing.B) {
	r := rand.New(rand.NewPCG(5, 9))
	pieces := make([]cut.Piece, 80)
	for i := range pieces {
		pieces[i] = cut.Piece{Length: float64(150 + r.IntN(1000)), Width: float64(80 + r.IntN(500)), Turn: i%4 > 0}
	}
	b.ResetTimer()
	var out cut.Nesting
	for range b.N {
		out = nest(pieces, 2420, 1200)
	}
	b.ReportMetric(out.Gap, "gap")
	b.ReportMetric(float64(len(out.Layouts)), "sheets")
	b.ReportMetric(float64(out.Bound), "bound")
}

func BenchmarkQuickNest80Pieces(b *testing.B) {
	r := rand.New(rand.NewPCG(5, 9))
	pieces := make([]cut.Piece, 80)
	for i := range pieces {
		pieces[i] = cut.Piece{Length: float64(150 + r.IntN(1000)), Width: float64(80 + r.IntN(500)), Turn: i%4 > 0}
	}
	for b.Loop() {
		cut.Nest(
			context.Background(),
			pieces,
			[]cut.Stock{{Length: 2420, Width: 1200, Count: -1}},
			kerf,
			cut.Quick,
			nil,
		)
	}
}

func BenchmarkBars40(b *testing.B) {
	r := rand.New(rand.NewPCG(5, 9))
	lengths := make([]float64, 40)
	for i := range lengths {
		lengths[i] = float64(300 + r.IntN(2200))
	}
	for b.Loop() {
		cut.Bars(lengths, 6000, kerf)
	}
}

// What one sheet and an offcut hold is not spread over two sheets and the offcut: the offcut is filled so that the
// rest goes onto one.
func TestAnOffcutSavesASheet(t *testing.T) {
	r := rand.New(rand.NewPCG(4, 4))
	saved := 0
	for range 20 {
		pieces := append(sawn(r, 2420, 1200, 9, true), sawn(r, 860, 540, 4, true)...)
		out := cut.Nest(
			context.Background(),
			pieces,
			[]cut.Stock{{Length: 2420, Width: 1200, Count: -1}, {Length: 860, Width: 540, Count: 1}},
			kerf,
			cut.Thorough,
			nil,
		)
		bought := 0
		for _, l := range out.Layouts {
			if l.Stock == 0 {
				bought++
			}
		}
		require.LessOrEqual(t, bought, 2)
		require.Equal(t, 1, out.Bound, "one is the least beside the offcut")
		assert.Equal(t, bought == 1, out.Proven)
		if bought == 1 {
			saved++
		}
	}
	t.Logf("%d of 20 perfect sheets with a perfect offcut need one sheet", saved)
	assert.GreaterOrEqual(t, saved, 14, "both are filled to the edge")
}

// With a little room to spare the offcut nearly always saves the sheet.
func TestAnOffcutWithRoomToSpareSavesASheet(t *testing.T) {
	r := rand.New(rand.NewPCG(9, 1))
	saved := 0
	for range 20 {
		pieces := append(sawn(r, 2300, 1100, 12, true), sawn(r, 780, 460, 4, true)...)
		out := cut.Nest(
			context.Background(),
			pieces,
			[]cut.Stock{
				{Length: 2420, Width: 1200, Count: -1},
				{Length: 860, Width: 540, Count: 1},
			},
			kerf,
			cut.Thorough,
			nil,
		)
		if out.Proven {
			saved++
		}
	}
	t.Logf("%d of 20", saved)
	assert.GreaterOrEqual(t, saved, 18)
}
