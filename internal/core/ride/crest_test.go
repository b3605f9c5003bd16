package ride

import (
	"math"
	"testing"

	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// under tells whether a point is under a plane that leaves a level road at an angle and
// touches a tyre from below: a behind the tyre's axle, h above the road. Of the line
// through the tangent point, whose distance from the middle of the tyre is its radius.
func under(a, h, r, angle float64) bool {
	sin, cos := math.Sincos(angle)
	return h*cos-a*sin < r*cos-r
}

// grounds rolls a vehicle over a crest of two planes that fall away from each other by an
// angle, from all of it before the wheels to all of it behind them, and tells whether the
// point touches the ground on the way.
func grounds(x, h, r, wheelbase, breaks float64) bool {
	const steps = 2000
	for i := range steps + 1 {
		front := breaks * float64(i) / steps
		if under(x, h, r, front) && under(wheelbase-x, h, r, breaks-front) {
			return true
		}
	}
	return false
}

// least is the least angle at which something happens, by halving, rad.
func least(happens func(angle float64) bool) float64 {
	low, high := 0.0, math.Pi
	for range 40 {
		if middle := (low + high) / 2; happens(middle) {
			high = middle
		} else {
			low = middle
		}
	}
	return high
}

// A vehicle that is rolled over crests and onto slopes of every angle touches at the
// angles that are told, and where a tyre is met first nothing is told.
func TestAnglesAreThoseAtWhichARolledVehicleTouches(t *testing.T) {
	told := 0
	rapid.Check(t, func(t *rapid.T) {
		r, wheelbase := rapid.Float64Range(250, 550).Draw(t, "r"), rapid.Float64Range(2200, 4500).Draw(t, "wheelbase")
		x, h := rapid.Float64Range(-1200, 6000).Draw(t, "x"), rapid.Float64Range(1, 900).Draw(t, "h")
		if x == 0 || x == wheelbase {
			return // straight above an axle a point is met at no angle that counts
		}
		v := fitout.Vehicle{Wheelbase: wheelbase, TyreRadius: r,
			LowPoints: []fitout.LowPoint{{ID: "bar", At: fitout.Point{X: x, Z: h}}}}
		level := Height{Known: true}
		angles := AnglesOf(&v, level, level)
		angle, want := angles.RampOver, 0.0
		switch {
		case x < 0:
			angle, want = angles.Approach, least(func(slope float64) bool { return under(-x, h, r, slope) })
		case x > wheelbase:
			angle, want = angles.Departure, least(func(slope float64) bool { return under(x-wheelbase, h, r, slope) })
		default:
			want = least(func(breaks float64) bool { return grounds(x, h, r, wheelbase, breaks) })
		}
		inside := math.Hypot(x, h-r) < r || math.Hypot(x-wheelbase, h-r) < r
		if inside != (angle.Point == "") {
			t.Fatalf("inside a tyre: %v, decides: %q", inside, angle.Point)
		}
		if inside || want > 170*math.Pi/180 {
			return
		}
		told++
		if is := angle.Loaded; math.Abs(is-want*180/math.Pi) > 0.2 {
			t.Fatalf("told %.2f°, it touches at %.2f°", is, want*180/math.Pi)
		}
	})
	if told < 3 {
		t.Fatalf("only %d were compared", told)
	}
}
