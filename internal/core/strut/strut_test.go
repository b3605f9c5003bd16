package strut_test

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/strut"
)

// A lid of 10 kg and 600 mm on two struts of 200 N that take it at 250 from the hinge, and turn 200 below it and 50 in.
func ExampleHand() {
	lid := &strut.Lid{Kg: 10, Length: 600, Opens: 90}
	s := &strut.Struts{Count: 2, Force: 200, At: 250, Along: 50, Below: 200}
	fmt.Printf(
		"shut: %.1f mm apart, lever %.1f mm, the hand lifts %.1f N\n",
		s.Long(0),
		s.Arm(0),
		strut.Hand(lid, s, 0, 20),
	)
	fmt.Printf(
		"open: %.1f mm apart, lever %.1f mm, the hand pulls %.1f N\n",
		s.Long(90),
		s.Arm(90),
		-strut.Hand(lid, s, 90, 20),
	)
	// Output:
	// shut: 282.8 mm apart, lever 176.8 mm, the hand lifts -68.8 N
	// open: 452.8 mm apart, lever 27.6 mm, the hand pulls 18.4 N
}

// At −10 °C a strut has nine tenths of what its label says.
func TestColdTakesForce(t *testing.T) {
	assert.InDelta(t, 263.0/293, strut.Warm(-10), 1e-12)
	assert.Equal(t, 1.0, strut.Warm(20))
}

func lids(t *rapid.T) (*strut.Lid, *strut.Struts) {
	l := &strut.Lid{
		Kg: rapid.Float64Range(1, 40).Draw(t, "kg"), Length: rapid.Float64Range(200, 1600).Draw(t, "length"),
		Opens: rapid.Float64Range(40, 110).Draw(t, "opens"), Wind: rapid.Float64Range(0, 200).Draw(t, "wind"),
		Cold: rapid.Float64Range(-25, 15).Draw(t, "cold"), Hot: rapid.Float64Range(20, 45).Draw(t, "hot"),
	}
	s := &strut.Struts{
		Count: 2, Force: rapid.Float64Range(50, 800).Draw(t, "force"), At: rapid.Float64Range(50, l.Length).Draw(t, "at"),
		Under: rapid.Float64Range(0, 60).Draw(t, "under"), Along: rapid.Float64Range(-50, l.Length).Draw(t, "along"),
		Below: rapid.Float64Range(60, 500).Draw(t, "below"),
	}
	return l, s
}

// The work of the struts over a swing is what their lengthening gives: lever and length are one geometry.
func TestLeverIsHowTheStrutLengthens(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		_, s := lids(t)
		φ := rapid.Float64Range(1, 100).Draw(t, "φ")
		if s.Long(φ) < 20 {
			return // the pivots all but meet
		}
		const h = 1e-4
		slope := (s.Long(φ+h) - s.Long(φ-h)) / (2 * h * math.Pi / 180)
		if math.Abs(slope-s.Arm(φ)) > 1e-3*max(1, math.Abs(slope)) {
			t.Fatalf("lengthens by %.4f mm a radian, lever %.4f mm", slope, s.Arm(φ))
		}
	})
}

// What is proposed does what it was asked for, by the moments taken anew from the places of the pivots; and where
// a finer and longer search of every place finds nothing, nothing is proposed.
func TestProposedStrutsLiftHoldAndClose(t *testing.T) {
	found := 0
	rapid.Check(t, func(t *rapid.T) {
		l, _ := lids(t)
		room := strut.Room{
			Deep:  rapid.Float64Range(80, 600).Draw(t, "deep"),
			Under: rapid.Float64Range(0, 40).Draw(t, "lid"),
		}
		s, ok := strut.Propose(l, 2, room)
		if !ok {
			return
		}
		found++
		for φ := 0.0; φ <= l.Opens+1e-9; φ += l.Opens / 200 {
			rad := φ * math.Pi / 180
			// Pivots in the plane, the push along the line between them, its moment about the hinge.
			px, py := s.At*math.Cos(rad)+s.Under*math.Sin(rad), s.At*math.Sin(rad)-s.Under*math.Cos(rad)
			dx, dy := px-s.Along, py+s.Below
			long := math.Hypot(dx, dy)
			push := func(celsius float64) float64 {
				f := 2 * s.Force * (273 + celsius) / 293
				return (px*dy/long - py*dx/long) * f
			}
			weight := l.Kg * 9.80665 * l.Length / 2 * math.Cos(rad)
			if long > s.Length+0.6 || long < s.Length-s.Stroke-0.6 {
				t.Fatalf(
					"at %.0f° the pivots are %.1f mm apart; the strut gives %.1f to %.1f",
					φ,
					long,
					s.Length-s.Stroke,
					s.Length,
				)
			}
			if φ >= l.Opens/3+1 && push(l.Cold) < weight-1e-6 {
				t.Fatalf("at %.0f° of %.0f° it does not rise by itself", φ, l.Opens)
			}
			if (push(l.Hot)-weight)/l.Length > strut.OneHand+0.5 {
				t.Fatalf("at %.0f° one hand does not close it", φ)
			}
			if φ >= l.Opens-1e-9 && push(l.Cold) < weight+l.Wind*l.Length/2-1e-6 {
				t.Fatalf("the wind shuts it")
			}
		}
	})
	require.Greater(t, found, 20, "usual lids have an answer")
}

// A shorter way than the strut goes in, a longer one than it is long, too weak, too strong: each is seen alone.
func TestWhatIsWrongIsSeen(t *testing.T) {
	l := &strut.Lid{Kg: 12, Length: 700, Opens: 90, Wind: 30, Cold: 0, Hot: 40}
	good, ok := strut.Propose(l, 2, strut.Room{Deep: 350, Under: 20})
	require.True(t, ok)
	require.True(t, strut.Look(l, &good).Sound())
	weak, strong, long, short := good, good, good, good
	weak.Force *= 0.4
	strong.Force *= 4
	long.Length += 30
	long.Stroke = good.Stroke - 90
	short.Length -= 30
	assert.Positive(t, strut.Look(l, &weak).Lifts)
	assert.Positive(t, strut.Look(l, &strong).Closes)
	assert.Positive(t, strut.Look(l, &long).Short, "it does not go in so far")
	assert.Positive(t, strut.Look(l, &short).Long, "it is out before the lid is up")
	windy := *l
	windy.Wind = 900
	assert.Positive(t, strut.Look(&windy, &good).Wind)
}

func BenchmarkPropose(b *testing.B) {
	l := &strut.Lid{Kg: 12, Length: 700, Opens: 90, Wind: 30, Cold: 0, Hot: 40}
	for b.Loop() {
		strut.Propose(l, 2, strut.Room{Deep: 350, Under: 20})
	}
}
