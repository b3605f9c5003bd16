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
// foot, and h its height above ground, both mm. A point inside the tyre's outline
// (ρ < r) is met by the tyre first and decides nothing: ok is false.
func Clear(a, h, r float64) (degrees float64, ok bool) {
	rho := math.Hypot(a, r-h)
	if a <= 0 || rho < r {
		return 0, false
	}
	return max(0, (math.Asin(r/rho)-math.Atan2(r-h, a))*180/math.Pi), true
}

// Over returns the ramp-over angle of a point between the axles, in degrees: the sum
// of what it clears toward both tyres, which is the supplement of the angle between
// the tangents to them (SAE J1100). ok is false for a point inside either tyre's
// outline.
func Over(x, h, r, wheelbase float64) (degrees float64, ok bool) {
	front, ahead := Clear(x, h, r)
	rear, behind := Clear(wheelbase-x, h, r)
	return front + rear, ahead && behind
}

// Suspension is an axle as the springs and airbags that count leave it.
type Suspension struct {
	Rate   float64 // N/mm at the wheel, with what airbags add; 0 = unknown
	Second float64 // N/mm from a deflection on, with what airbags add; 0 = one rate
	From   float64 // mm below unladen where the second rate begins
	Added  float64 // N/mm of airbags within both rates
	Bump   float64 // mm from the unladen height to the stop, without lift; 0 = unknown
	Lift   float64 // mm
}

// On returns the suspension of an axle: springs replace the rates, airbags add
// to them, and both may lift.
func On(v *fitout.Vehicle, axle fitout.WhichAxle) Suspension {
	own := AxleOf(v, axle)
	s := Suspension{Rate: own.Rate, Second: own.Second, From: own.From, Bump: own.Bump}
	for i := range v.Modifications {
		m := &v.Modifications[i]
		if !m.Counted || !m.Axle.On(axle) {
			continue
		}
		switch m.Kind {
		case fitout.Springs:
			if m.Rate > 0 {
				s.Rate, s.Second, s.From = m.Rate, m.Second, m.From
			}
		case fitout.Airbags:
			s.Added += m.Rate
		}
		s.Lift += m.Lift
	}
	if s.Rate == 0 {
		s.Added = 0
		return s
	}
	s.Rate += s.Added
	if s.Second > 0 {
		s.Second += s.Added
	}
	return s
}

// AxleOf is what is known of an axle of a vehicle.
func AxleOf(v *fitout.Vehicle, axle fitout.WhichAxle) fitout.Axle {
	if axle == fitout.RearAxle {
		return v.Rear
	}
	return v.Front
}

// Drop returns how far the axle goes down, mm, when its load grows by kg: up to where the second rate begins
// Δz = ΔF·g/(2k₁), from there on what is left over the second rate k₂. ok is false for a rate that is not known.
func (s Suspension) Drop(kg float64) (mm float64, ok bool) {
	mm, ok = Drop(kg, s.Rate)
	if !ok || s.Second <= 0 || mm <= s.From {
		return mm, ok
	}
	further, _ := Drop(kg-2*s.Rate*s.From/gravity, s.Second)
	return s.From + further, true
}

// RateFor returns the one rate of springs, N/mm at the wheel, by which an axle whose load grows by kg goes down by
// mm, without what airbags add: ΔF·g/(2Δz). It is 0 where nothing goes down.
func (s Suspension) RateFor(kg, mm float64) float64 {
	if kg <= 0 || mm <= 0 {
		return 0
	}
	return max(0, kg*gravity/(2*mm)-s.Added)
}

// SecondFor returns the second rate, N/mm at the wheel, by which it goes down by mm while the first stays, without
// what airbags add: (ΔF·g/2 − k₁ s)/(Δz − s), s where it begins. It is 0 where the first rate alone is
// stiff enough, or begins too late.
func (s Suspension) SecondFor(kg, mm float64) float64 {
	left := kg*gravity/2 - s.Rate*s.From
	if s.Rate <= 0 || mm <= s.From || left <= 0 {
		return 0
	}
	return max(0, left/(mm-s.From)-s.Added)
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
	drop, known := s.Drop(kg)
	h := Height{Drop: drop - s.Lift, Known: known, Rate: s.Rate}
	if known && s.Second > 0 && drop > s.From {
		h.Rate = s.Second
	}
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
	Known    bool    `json:"known" doc:"there is a low point that decides and both spring rates are known"`

	unladen, raked bool // a point has decided it
}

// Angles are what the loaded vehicle clears.
type Angles struct {
	Approach  Angle `json:"approach"`
	RampOver  Angle `json:"rampOver"`
	Departure Angle `json:"departure"`
}

// AnglesOf returns the angles of the low points of a vehicle as it stands. A point
// ahead of the front axle counts for the approach, one behind the rear axle for the
// departure, one between them for the ramp-over angle. What stands inside a tyre's
// outline decides nothing.
func AnglesOf(v *fitout.Vehicle, front, rear Height) Angles {
	var a Angles
	L, r := v.Wheelbase, v.TyreRadius
	for i := range v.LowPoints {
		p := &v.LowPoints[i]
		x, h := p.At.X, p.At.Z
		raked := h - front.Drop - (rear.Drop-front.Drop)*x/L
		clears, end, loaded := func(h float64) (float64, bool) { return Over(x, h, r, L) }, &a.RampOver, raked
		switch {
		case x < 0:
			clears, end, loaded = func(h float64) (float64, bool) { return Clear(-x, h, r) }, &a.Approach, h-front.Drop
		case x > L:
			clears, end, loaded = func(h float64) (float64, bool) { return Clear(x-L, h, r) }, &a.Departure, h-rear.Drop
		}
		end.least(p.ID, clears, h, loaded, raked)
	}
	for _, angle := range []*Angle{&a.Approach, &a.RampOver, &a.Departure} {
		angle.Known = angle.Point != "" && front.Known && rear.Known
	}
	return a
}

// least takes in a point at its heights unladen, loaded, and loaded with the rake.
func (a *Angle) least(id string, clears func(h float64) (float64, bool), unladen, loaded, raked float64) {
	first := a.Point == ""
	if angle, ok := clears(loaded); ok && (first || angle < a.Loaded) {
		a.Point, a.Loaded = id, angle
	}
	if angle, ok := clears(unladen); ok && (!a.unladen || angle < a.Unladen) {
		a.Unladen, a.unladen = angle, true
	}
	if angle, ok := clears(raked); ok && (!a.raked || angle < a.WithRake) {
		a.WithRake, a.raked = angle, true
	}
}
