package space

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// tub is a square tub of 1500 by 1400 with arches 200 wide on both sides.
func tub() fitout.Bay {
	diagonal := math.Round(math.Hypot(1500, 1400))
	arch := func(id string, side fitout.Side) fitout.Obstacle {
		return fitout.Obstacle{ID: id, Name: "Arch " + id, Kind: fitout.WheelArch, Side: side, Front: 500, Length: 700,
			Width: 200, Height: 240}
	}
	return fitout.Bay{
		ID: "tub", Name: "Tub", Kind: fitout.BayTub, At: fitout.Point{X: 2300, Z: 850}, Levelled: true,
		LengthLeft: 1500, LengthRight: 1500, WidthFront: 1400, WidthRear: 1400, BetweenArches: 1000, HeightFront: 480,
		HeightRear:   480,
		DiagonalLeft: diagonal, DiagonalRight: diagonal,
		Opening:   fitout.Opening{Face: fitout.FaceRear, Width: 1350, Height: 460, Sill: 15},
		Obstacles: []fitout.Obstacle{arch("left", fitout.Left), arch("right", fitout.Right)},
	}
}

func TestASquareTubHasNothingToSay(t *testing.T) {
	b := tub()
	assert.Empty(t, Checks(&b))
	assert.Equal(t, Room{1500, 1400, 480}, RoomOf(&b))
	assert.InDelta(t, 1008, RoomOf(&b).Litres(), 0.001)
}

func TestMeasuresThatCannotBe(t *testing.T) {
	cases := []struct {
		rule    string
		wrong   bool
		measure []string
		change  func(*fitout.Bay)
	}{
		{"level-first", false, []string{"tiltAcross"}, func(b *fitout.Bay) {
			b.TiltAlong, b.TiltAcross, b.Levelled = 0.6, -1.5, false
		}},
		{"diagonals", true, []string{"diagonalRight"}, func(b *fitout.Bay) { b.DiagonalRight += 100 }},
		{"sides-differ", false, []string{"lengthLeft"}, func(b *fitout.Bay) {
			b.LengthLeft, b.DiagonalLeft, b.DiagonalRight = 1480, 0, 0
		}},
		{"ends-differ", false, []string{"widthFront"}, func(b *fitout.Bay) {
			b.WidthRear, b.DiagonalLeft, b.BetweenArches = 1430, 0, 1017
		}}, // 1417 wide where the arches stand
		{"heights-differ", false, []string{"heightFront"}, func(b *fitout.Bay) { b.HeightFront = 520 }},
		{"arches-meet", true, []string{"obstacles", "right", "width"}, func(b *fitout.Bay) { b.Obstacles[1].Width = 1200 }},
		{"arches-outside", true, []string{"betweenArches"}, func(b *fitout.Bay) { b.BetweenArches = 1400 }},
		{"arches-do-not-add-up", true, []string{"betweenArches"}, func(b *fitout.Bay) { b.BetweenArches = 1100 }},
		{"opening-too-wide", true, []string{"opening", "width"}, func(b *fitout.Bay) { b.Opening.Width = 1500 }},
		{"opening-too-high", true, []string{"opening", "height"}, func(b *fitout.Bay) { b.Opening.Height = 480 }},
		{"obstacle-outside", true, []string{"obstacles", "left", "length"}, func(b *fitout.Bay) {
			b.Obstacles[0].Front = 900
		}},
		{"obstacle-outside", true, []string{"obstacles", "left", "height"}, func(b *fitout.Bay) {
			b.Obstacles[0].Height = 600
		}},
	}
	for _, c := range cases {
		t.Run(c.rule, func(t *testing.T) {
			b := tub()
			c.change(&b)
			checks := Checks(&b)
			require.Len(t, checks, 1)
			assert.Equal(t, c.rule, checks[0].Rule)
			assert.Equal(t, c.wrong, checks[0].Wrong)
			assert.Equal(t, c.measure, checks[0].Measure)
		})
	}
}

// One reading that is far off is found and what it should have been is told,
// whichever of the six it is and however skewed the true floor.
func TestTheWrongReadingIsFound(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		b := tub()
		b.LengthLeft = rapid.Float64Range(1000, 2400).Draw(t, "length")
		b.LengthRight = b.LengthLeft
		b.WidthFront = rapid.Float64Range(900, 1800).Draw(t, "width")
		b.WidthRear = b.WidthFront
		b.DiagonalLeft = math.Hypot(b.LengthLeft, b.WidthFront)
		b.DiagonalRight = b.DiagonalLeft
		b.Obstacles = nil
		b.Opening.Width = 0
		fields := [...]*float64{&b.LengthLeft, &b.LengthRight, &b.WidthFront, &b.WidthRear, &b.DiagonalLeft, &b.DiagonalRight}
		i := rapid.IntRange(0, 5).Draw(t, "which")
		right := *fields[i]
		*fields[i] += rapid.Float64Range(40, 150).Draw(t, "by")
		checks := square(&b)
		require.Len(t, checks, 1)
		assert.Equal(t, []string{measures[i]}, checks[0].Measure)
		assert.InDelta(t, right, checks[0].Limit, 0.1)
	})
}

func TestAnySquareFloorCloses(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		// A true four-sided floor from its corners, read with a tape.
		corner := func(name string, x, y float64) (float64, float64) {
			return x + rapid.Float64Range(-60, 60).Draw(t, name+"x"), y + rapid.Float64Range(-60, 60).Draw(t, name+"y")
		}
		flx, fly := corner("fl", 0, 0)
		frx, fry := corner("fr", 0, 1400)
		rrx, rry := corner("rr", 1600, 1400)
		rlx, rly := corner("rl", 1600, 0)
		d := func(ax, ay, bx, by float64) float64 { return math.Round(math.Hypot(ax-bx, ay-by)) }
		b := fitout.Bay{
			LengthLeft: d(flx, fly, rlx, rly), LengthRight: d(frx, fry, rrx, rry), WidthFront: d(flx, fly, frx, fry),
			WidthRear:    d(rlx, rly, rrx, rry),
			DiagonalLeft: d(flx, fly, rrx, rry), DiagonalRight: d(frx, fry, rlx, rly),
		}
		assert.Empty(t, square(&b))
	})
}

func TestTheHatchThatLeansInTakesLength(t *testing.T) {
	b := tub()
	b.LengthTop = 1310
	assert.Equal(t, 1310.0, RoomOf(&b).Length)
}

func TestTheSheetGoesLevelFirstAndDiagonalsLast(t *testing.T) {
	b := tub()
	var groups []string
	for _, step := range Sheet(&b) {
		if len(groups) == 0 || groups[len(groups)-1] != step.Group {
			groups = append(groups, step.Group)
		}
	}
	assert.Equal(t, []string{"Level", "Outline", "Arches", "Opening", "Height", "Diagonals"}, groups)
	roof := fitout.Bay{Kind: fitout.BayRoof, Opening: fitout.Opening{Face: fitout.FaceNone}}
	for _, step := range Sheet(&roof) {
		assert.NotEqual(t, "Opening", step.Group, "a roof has no door")
	}
}

func TestObstaclesAndOpeningsStandInTheVehicle(t *testing.T) {
	b := tub()
	left, right := Stands(&b, &b.Obstacles[0]), Stands(&b, &b.Obstacles[1])
	assert.Equal(t, fitout.Point{X: 2800, Y: -700, Z: 850}, left.From)
	assert.Equal(t, fitout.Point{X: 3500, Y: 700, Z: 1090}, right.To)
	gap, ok := Gap(&b)
	require.True(t, ok)
	assert.Equal(t, fitout.Box{From: fitout.Point{X: 3800, Y: -675, Z: 865}, To: fitout.Point{X: 3800, Y: 675, Z: 1325}},
		gap)
	b.DiagonalLeft, b.DiagonalRight = b.DiagonalLeft+30, b.DiagonalRight-30
	assert.Greater(t, Floor(&b)[2].Y, 700.0, "a longer left diagonal skews the rear to the right")
}
