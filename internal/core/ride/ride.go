// Package ride tells how the vehicle stands on its springs: how far each axle
// goes down under the load, the rake, what is left to the bump stop, and the
// angles that it clears.
package ride

import (
	"math"

	"zaino/internal/core/fitout"
)

// gravity is standard gravity, m/s².
const gravity = 9.80665

// Drop returns how far an axle goes down, mm, when its load grows by kg on
// springs of a rate at the wheel, N/mm, per side: Δz = ΔF·g / (2k). ok is false
// for a rate that is not known.
func Drop(kg, rate float64) (mm float64, ok bool) {
	if rate <= 0 {
		return 0, false
	}
	return kg * gravity / (2 * rate), true
}

// Rake returns the nose-up angle in degrees of a vehicle whose axles went down
// by front and rear, mm, over its wheelbase, mm: atan((rear − front) / L).
func Rake(front, rear, wheelbase float64) float64 {
	return math.Atan2(rear-front, wheelbase) * 180 / math.Pi
}

// Clear returns the steepest slope, in degrees, that a point clears when a
// tyre of radius r stands at its foot: φ = asin(r/ρ) − atan2(r − h, a) with
// ρ = √(a² + (r − h)²), the line that touches the tyre and passes the point.
// a is the distance from the axle line to the point, away from the slope's
// foot, and h its height above ground, both mm. A point within the tyre has no
// such line and gives 0.
func Clear(a, h, r float64) float64 {
	rho := math.Hypot(a, r-h)
	if a <= 0 || rho < r {
		return 0
	}
	return max(0, (math.Asin(r/rho)-math.Atan2(r-h, a))*180/math.Pi)
}

// Suspension is an axle as the springs and airbags that count leave it.
type Suspension struct {
	Rate float64 // N/mm at the wheel; 0 = unknown
	Bump float64 // mm from the unladen height to the stop, without lift; 0 = unknown
	Lift float64 // mm
}

// On returns the suspension of an axle: springs replace the rate, airbags add
// to it, and both may lift.
func On(v *fitout.Vehicle, axle fitout.WhichAxle) Suspension {
	own := v.Front
	if axle == fitout.RearAxle {
		own = v.Rear
	}
	s := Suspension{Rate: own.Rate, Bump: own.Bump}
	added := 0.0
	for i := range v.Modifications {
		m := &v.Modifications[i]
		if !m.Counted || !m.Axle.On(axle) {
			continue
		}
		switch m.Kind {
		case fitout.Springs:
			if m.Rate > 0 {
				s.Rate = m.Rate
			}
		case fitout.Airbags:
			added += m.Rate
		}
		s.Lift += m.Lift
	}
	if s.Rate > 0 {
		s.Rate += added
	}
	return s
}

// Height is how one axle stands.
type Height struct {
	Drop      float64 `json:"drop" doc:"down against the unladen vehicle before any lift, mm; negative is up"`
	Known     bool    `json:"known" doc:"the spring rate is known"`
	Bump      float64 `json:"bump" doc:"left to the bump stop, mm"`
	BumpKnown bool    `json:"bumpKnown"`
	Rate      float64 `json:"rate" doc:"at the wheel, N/mm"`
}

// Stands returns how an axle stands when it carries kg more than unladen.
func Stands(s Suspension, kg float64) Height {
	drop, known := Drop(kg, s.Rate)
	h := Height{Drop: drop - s.Lift, Known: known, Rate: s.Rate}
	if known && s.Bump > 0 {
		h.Bump, h.BumpKnown = s.Bump+s.Lift-drop, true
	}
	return h
}

// Angle is the least angle over the low points of one end, in degrees.
type Angle struct {
	Point    string  `json:"point" doc:"id of the low point that decides when loaded"`
	Unladen  float64 `json:"unladen" doc:"°"`
	Loaded   float64 `json:"loaded" doc:"with the nearest axle's drop, °"`
	WithRake float64 `json:"withRake" doc:"with the drop of both axles carried out to the point, °"`
	Known    bool    `json:"known" doc:"there is a low point and both spring rates are known"`
}

// Angles are what the loaded vehicle clears.
type Angles struct {
	Approach  Angle `json:"approach"`
	RampOver  Angle `json:"rampOver"`
	Departure Angle `json:"departure"`
}

// AnglesOf returns the angles of the low points. A point ahead of the front
// axle counts for the approach, one behind the rear axle for the departure, one
// between them for the ramp-over angle, the sum of what it clears toward both
// tyres. wheelbase is with any extension, mm.
func AnglesOf(v *fitout.Vehicle, wheelbase float64, front, rear Height) Angles {
	var a Angles
	shift := wheelbase - v.Wheelbase
	for i := range v.LowPoints {
		p := &v.LowPoints[i]
		x := p.At.X
		if p.Behind {
			x += shift
		}
		raked := p.At.Z - front.Drop - (rear.Drop-front.Drop)*x/wheelbase
		r := v.TyreRadius
		switch {
		case x < 0:
			least(&a.Approach, p.ID, Clear(-x, p.At.Z, r), Clear(-x, p.At.Z-front.Drop, r), Clear(-x, raked, r))
		case x > wheelbase:
			b := x - wheelbase
			least(&a.Departure, p.ID, Clear(b, p.At.Z, r), Clear(b, p.At.Z-rear.Drop, r), Clear(b, raked, r))
		default:
			over := func(h float64) float64 { return Clear(x, h, r) + Clear(wheelbase-x, h, r) }
			least(&a.RampOver, p.ID, over(p.At.Z), over(raked), over(raked))
		}
	}
	for _, angle := range []*Angle{&a.Approach, &a.RampOver, &a.Departure} {
		angle.Known = angle.Point != "" && front.Known && rear.Known
	}
	return a
}

func least(a *Angle, id string, unladen, loaded, withRake float64) {
	if a.Point == "" {
		*a = Angle{id, unladen, loaded, withRake, false}
		return
	}
	if loaded < a.Loaded {
		a.Point, a.Loaded = id, loaded
	}
	a.Unladen, a.WithRake = min(a.Unladen, unladen), min(a.WithRake, withRake)
}
