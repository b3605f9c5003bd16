// Package load tells where mass rests: axle loads, corners, centre of gravity,
// and the exact worst state of each limit. Everything is statics of point
// masses on a beam over two axles; the small functions here are pure and take
// plain values, and Plan (plan.go) puts a job through them.
package load

import "math"

// Mass is a point mass, kg, at a place in the vehicle's frame, mm. Kg is
// negative for what is taken off the vehicle.
type Mass struct{ Kg, X, Y, Z float64 }

// Moments are the sums that every figure of statics comes from: mass in kg,
// first moments in kg·mm, the product moment XY in kg·mm², which the corners
// need; of a coupled trailer what rests on its own axles and what it puts on the
// ball before any weight distribution, kg.
type Moments struct{ Kg, X, Y, Z, XY, Towed, Ball float64 }

// Add returns the moments with one more mass.
func (m Moments) Add(a Mass) Moments {
	m.Kg += a.Kg
	m.X += a.Kg * a.X
	m.Y += a.Kg * a.Y
	m.Z += a.Kg * a.Z
	m.XY += a.Kg * a.X * a.Y
	return m
}

// Plus returns both moments together.
func (m Moments) Plus(b Moments) Moments {
	return Moments{m.Kg + b.Kg, m.X + b.X, m.Y + b.Y, m.Z + b.Z, m.XY + b.XY, m.Towed + b.Towed, m.Ball + b.Ball}
}

// Times returns the moments of so many of them.
func (m Moments) Times(n float64) Moments {
	return Moments{m.Kg * n, m.X * n, m.Y * n, m.Z * n, m.XY * n, m.Towed * n, m.Ball * n}
}

// Minus takes moments off.
func (m Moments) Minus(b Moments) Moments { return m.Plus(b.Times(-1)) }

// Sum returns the moments of all masses. It allocates nothing.
func Sum(masses []Mass) Moments {
	var m Moments
	for i := range masses {
		m = m.Add(masses[i])
	}
	return m
}

// Axles are the loads on the front and rear axle, kg. They sum to the gross.
type Axles struct {
	Front float64 `json:"front" doc:"kg"`
	Rear  float64 `json:"rear" doc:"kg"`
}

// Gross is the sum of both axles, kg.
func (a Axles) Gross() float64 { return a.Front + a.Rear }

// Plus adds two sets of axle loads.
func (a Axles) Plus(b Axles) Axles { return Axles{a.Front + b.Front, a.Rear + b.Rear} }

// times returns so many of them.
func (a Axles) times(n float64) Axles { return Axles{a.Front * n, a.Rear * n} }

// Axles returns the axle loads by moments about the front axle:
// R = Σ mx / L, F = Σ m − R. The wheelbase is in mm and above 0.
func (m Moments) Axles(wheelbase float64) Axles {
	rear := m.X / wheelbase
	return Axles{Front: m.Kg - rear, Rear: rear}
}

// Centre is a centre of gravity, mm.
type Centre struct {
	X float64 `json:"x" doc:"mm rearward of the front axle"`
	Y float64 `json:"y" doc:"mm right of the centre line"`
	Z float64 `json:"z" doc:"mm above the ground"`
}

// Centre returns the mass-weighted mean place. Without mass it is the origin.
func (m Moments) Centre() Centre {
	if m.Kg == 0 {
		return Centre{}
	}
	return Centre{m.X / m.Kg, m.Y / m.Kg, m.Z / m.Kg}
}

// Corners are estimated wheel loads, kg: each mass shared to the axles by its
// x and across each axle's track by its y. The real split also depends on roll
// stiffness.
type Corners struct {
	FrontLeft  float64 `json:"frontLeft" doc:"kg"`
	FrontRight float64 `json:"frontRight" doc:"kg"`
	RearLeft   float64 `json:"rearLeft" doc:"kg"`
	RearRight  float64 `json:"rearRight" doc:"kg"`
}

// Left is the load on both left wheels, kg.
func (c Corners) Left() float64 { return c.FrontLeft + c.RearLeft }

// Right is the load on both right wheels, kg.
func (c Corners) Right() float64 { return c.FrontRight + c.RearRight }

// Corners shares each mass left = load·(½ − y/T), right = load·(½ + y/T), with
// T the track of the axle. All lengths in mm and above 0.
func (m Moments) Corners(wheelbase, trackFront, trackRear float64) Corners {
	axles := m.Axles(wheelbase)
	rearSide := m.XY / wheelbase / trackRear
	frontSide := (m.Y - m.XY/wheelbase) / trackFront
	return Corners{
		FrontLeft: axles.Front/2 - frontSide, FrontRight: axles.Front/2 + frontSide,
		RearLeft: axles.Rear/2 - rearSide, RearRight: axles.Rear/2 + rearSide,
	}
}

// Stability returns the static stability factor SSF = T̄ / (2 z) and the side
// tip angle atan SSF in degrees, with T̄ the mean track and z the height of the
// centre of gravity, mm. It is a rigid-body upper bound: springs and tyres take
// some of it away, so only its loss against the unladen vehicle says something.
func Stability(trackFront, trackRear, height float64) (ssf, tipDegrees float64) {
	if height <= 0 {
		return math.Inf(1), 90
	}
	ssf = (trackFront + trackRear) / 2 / (2 * height)
	return ssf, math.Atan(ssf) * 180 / math.Pi
}

// OnGrade returns the forces normal to the road, in kg, standing nose up by an
// angle in degrees: R = M (x cos θ + z sin θ) / L, F = M cos θ − R. They speak
// of grip and braking feel; no rating is compared with them.
func (m Moments) OnGrade(wheelbase, degrees float64) Axles {
	sin, cos := math.Sincos(degrees * math.Pi / 180)
	rear := (m.X*cos + m.Z*sin) / wheelbase
	return Axles{Front: m.Kg*cos - rear, Rear: rear}
}
