// Package strut holds a lid up by gas struts: the force at the hand over the whole swing, whether the lid stays up
// in the wind and closes with one hand, and where the struts should turn so that it does.
package strut

import "math"

// gravity is standard gravity, m/s².
const gravity = 9.80665

// Lid is a lid that swings up about its hinge.
type Lid struct {
	Kg     float64 // its mass, with its middle halfway along it
	Length float64 // from the hinge to the free edge, mm; above 0
	Opens  float64 // how far it swings, °; above 0, at most 120
	Wind   float64 // force of the wind on the open lid, at its middle, N
	Cold   float64 // coldest that it is opened in, °C
	Hot    float64 // hottest that it is closed in, °C
}

// Struts are some alike that lift a lid, in the plane of its swing: u runs from the hinge to the free edge of the shut
// lid, w up.
type Struts struct {
	Count  float64 // how many
	Force  float64 // of each at 20 °C, N
	At     float64 // on the lid: along it from the hinge, mm
	Under  float64 // on the lid: below the hinge when it is shut, mm
	Along  float64 // on the box: from the hinge toward the free edge, mm
	Below  float64 // on the box: below the hinge, mm
	Length float64 // between the pivots, out all the way, mm
	Stroke float64 // by which it goes in, mm
}

// Warm is the share of its force at 20 °C that a gas strut has at t °C: (273 + t)/293, the gas law at constant
// volume.
func Warm(t float64) float64 { return (273 + t) / 293 }

// Long returns how far apart the pivots of a strut are when the lid is open by φ degrees, mm.
func (s *Struts) Long(φ float64) float64 {
	u, w := s.onLid(φ)
	return math.Hypot(u-s.Along, w+s.Below)
}

// onLid is where the strut takes the lid that is open by φ degrees: the shut place (a, −c) turned about the hinge.
func (s *Struts) onLid(φ float64) (u, w float64) {
	sin, cos := math.Sincos(φ * math.Pi / 180)
	return s.At*cos + s.Under*sin, s.At*sin - s.Under*cos
}

// Arm returns the lever of a strut about the hinge when the lid is open by φ degrees, mm: (w·b + u·d)/ℓ,
// where the lid's pivot stands at (u, w), the box's at (b, −d), and ℓ is the way between them. It is negative
// where the strut pulls the lid shut, and 0 where the pivots meet.
func (s *Struts) Arm(φ float64) float64 {
	u, w := s.onLid(φ)
	long := math.Hypot(u-s.Along, w+s.Below)
	if long == 0 {
		return 0
	}
	return (w*s.Along + u*s.Below) / long
}

// Hand returns the force at the free edge, square to the lid, that holds the lid of mass m and length l open by φ
// degrees, N: (m g (l/2) cos φ − n F (273 + T)/293 · arm) / l. Above 0 the hand lifts, below 0 it pulls the
// lid down.
func Hand(l *Lid, s *Struts, φ, t float64) float64 {
	weight := l.Kg * gravity * l.Length / 2 * math.Cos(φ*math.Pi/180)
	return (weight - s.Count*s.Force*Warm(t)*s.Arm(φ)) / l.Length
}

// Trouble is what is wrong with the struts of a lid, each figure 0 or less where nothing is.
type Trouble struct {
	Long   float64 // the pivots are further apart than the strut is long, mm
	Short  float64 // they are nearer than it goes in, mm
	Lifts  float64 // what the hand has to lift from a third of the swing on, N
	Wind   float64 // force at the free edge that is missing to hold it open in the wind, N
	Closes float64 // hardest pull that closes it, less what one hand gives, N
}

// OneHand is what one hand pulls down at the edge of a lid, N. Workshop practice.
const OneHand = 120

// third is the share of its swing from which a lid should rise by itself.
const third = 1.0 / 3

// few are the places of the swing that are looked at: each degree and a half of a right angle.
const few = 60

// near is what pivots may be apart from what a strut gives, mm: its end fittings have that much.
const near = 0.5

// Look returns what is wrong with the struts of a lid, looked at over its whole swing: in the cold for lifting and the
// wind, in the heat for closing.
func Look(l *Lid, s *Struts) Trouble {
	t := Trouble{Lifts: math.Inf(-1), Closes: math.Inf(-1), Long: math.Inf(-1), Short: math.Inf(-1)}
	for n := range few + 1 {
		φ := l.Opens * float64(n) / few
		long := s.Long(φ)
		t.Long = max(t.Long, long-s.Length-near)
		t.Short = max(t.Short, s.Length-s.Stroke-long-near)
		t.Closes = max(t.Closes, -Hand(l, s, φ, l.Hot)-OneHand)
		if float64(n) >= few*third {
			t.Lifts = max(t.Lifts, Hand(l, s, φ, l.Cold))
		}
	}
	t.Wind = Hand(l, s, l.Opens, l.Cold) + l.Wind/2
	return t
}

// Sound tells whether nothing is wrong.
func (t Trouble) Sound() bool {
	return max(t.Long, t.Short, t.Lifts, t.Wind, t.Closes) <= 0
}
