package strut

import "math"

// Room is where the pivots of a proposal may stand.
type Room struct {
	Deep  float64 // below the hinge, inside the box, mm
	Under float64 // of the lid's pivot below the hinge when it is shut, mm
}

// What struts are sold in, usual of the trade: strokes of 60 to 400 mm, twice the stroke and 100 mm long when they are
// out, 50 to 1500 N in steps of 50.
const (
	leastStroke, mostStroke, strokeStep = 60.0, 400.0, 20.0
	fittings                            = 100.0
	forceStep, mostForce                = 50.0, 1500.0
)

// LengthOf is the usual length of a strut of a stroke between its pivots, out all the way, mm.
func LengthOf(stroke float64) float64 { return 2*stroke + fittings }

// How finely the lid and the box are searched, in shares of the lid's length and of the room below the hinge.
const alongSteps, deepSteps = 14, 8

// Propose returns where so many struts should turn and how strong each must be, so that the lid rises by itself from a
// third of its swing, holds in the wind and closes with one hand; the strut is out all the way when the lid is open. Of
// all that do, the one that is closed with the least pull, of those the weakest. ok is false where none was found.
func Propose(l *Lid, count float64, room Room) (best Struts, ok bool) {
	if l.Length <= 0 || l.Opens <= 0 || count <= 0 || room.Deep <= 0 {
		return Struts{}, false
	}
	hardest := math.Inf(1)
	for stroke := leastStroke; stroke <= mostStroke; stroke += strokeStep {
		for a := range alongSteps {
			for d := range deepSteps {
				s := Struts{
					Count: count, Stroke: stroke, Length: LengthOf(stroke), Under: room.Under,
					At:    math.Round(l.Length * (0.1 + 0.8*float64(a)/(alongSteps-1))),
					Below: math.Round(room.Deep * float64(d+1) / deepSteps),
				}
				// Where it is out all the way when the lid is open: on a circle about the lid's pivot.
				u, w := s.onLid(l.Opens)
				across := s.Length*s.Length - (w+s.Below)*(w+s.Below)
				if across < 0 {
					continue
				}
				for _, way := range []float64{-1, 1} {
					s.Along = math.Floor(u + way*math.Sqrt(across))
					if s.Along < 0 || s.Along > l.Length {
						continue
					}
					if pull, fits := s.strength(l, hardest); fits &&
						(pull < hardest-1 || pull < hardest+1 && s.Force < best.Force) {
						best, hardest = s, min(pull, hardest)
					}
				}
			}
		}
	}
	return best, !math.IsInf(hardest, 1)
}

// strength chooses the weakest force that lifts and holds the lid, and returns the hardest pull that closes it
// then, above what one hand gives, N. What takes more than so much is not looked at closely.
func (s *Struts) strength(l *Lid, hardest float64) (pull float64, ok bool) {
	// The swing is looked at coarsely while searching, and closely once.
	const coarse = 12
	var arms, weights [coarse + 1]float64
	need := 0.0
	for n := range coarse + 1 {
		φ := l.Opens * float64(n) / coarse
		if long := s.Long(φ); long > s.Length+near || long < s.Length-s.Stroke-near {
			return 0, false
		}
		arms[n], weights[n] = s.Arm(φ), l.Kg*gravity*l.Length/2*math.Cos(φ*math.Pi/180)
		if float64(n) < coarse*third {
			continue
		}
		if arms[n] <= 0 {
			return 0, false
		}
		need = max(need, weights[n]/arms[n])
	}
	need = max(need, (weights[coarse]+l.Wind*l.Length/2)/arms[coarse])
	s.Force = math.Ceil(need/Warm(l.Cold)/s.Count/forceStep) * forceStep
	if s.Force > mostForce {
		return 0, false
	}
	for n, arm := range arms {
		if (s.Count*s.Force*Warm(l.Hot)*arm-weights[n])/l.Length-OneHand > min(0, hardest+1) {
			return 0, false
		}
	}
	t := Look(l, s)
	return t.Closes, t.Sound()
}
