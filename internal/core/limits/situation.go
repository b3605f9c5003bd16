package limits

import (
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// Situation is a state with what the limits are worked out from.
type Situation struct {
	State   *load.State
	Moments load.Moments // without trailer
	Axles   load.Axles   // with it, where it is coupled
	Corners load.Corners // without it, an estimate
	Trailer float64      // mass of the coupled trailer with what rides on it, kg
	Ball    float64      // what it puts on the ball, kg

	carried []carried
}

// carried is one carrier that is aboard.
type carried struct {
	carrier load.Carrier
	moments load.Moments
}

// In works out a state.
func In(p *plan.Plan, state *load.State) *Situation {
	s := &Situation{State: state, carried: make([]carried, 0, len(p.Items)+len(p.Vehicle.Tanks)+2)}
	var towing load.Moments
	p.Load.Visit(state, func(c load.Carrier, m load.Moments) {
		s.carried = append(s.carried, carried{c, m})
		if c.Kind == load.TheTrailer {
			towing = m
		} else {
			s.Moments = s.Moments.Plus(m)
		}
	})
	L := p.Load.Wheelbase
	s.Axles = s.Moments.Plus(towing).Axles(L)
	s.Corners = s.Moments.Corners(L, p.Load.TrackFront, p.Load.TrackRear)
	if state.Coupled && p.Job.Trailer != nil {
		s.Ball, s.Trailer = towing.Ball, towing.Kg+towing.Towed+s.Moments.Towed
	}
	return s
}

// Sum is what a count comes to.
func (s *Situation) Sum(count load.Count) float64 {
	sum := 0.0
	for i := range s.carried {
		sum += count(s.carried[i].carrier, s.carried[i].moments)
	}
	return sum
}
