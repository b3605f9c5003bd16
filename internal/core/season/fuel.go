package season

import (
	"math"
	"strings"

	"zaino/internal/core/gauss"
	"zaino/internal/core/handover"
)

// drive gathers the ways between full tanks; what was filled in between without being full counts to the next full one.
func (s *season) drive() {
	from, litres := 0.0, 0.0
	mixed, whole := map[string]float64{}, 0.0
	last := 0.0
	for i := range s.entries {
		e := &s.entries[i]
		if e.Kind != Fuel || e.Km == 0 {
			continue
		}
		if last > 0 {
			for id, share := range s.shares(e) {
				mixed[id] += share * max(0, e.Km-last)
			}
			whole += max(0, e.Km-last)
		}
		last = e.Km
		litres += e.Litres
		if !e.Full {
			continue
		}
		if from > 0 && e.Km > from && whole > 0 {
			l := leg{on: e.At, litres: litres, km: e.Km - from, shares: map[string]float64{}}
			for id, km := range mixed {
				l.shares[id] = km / whole
			}
			s.legs = append(s.legs, l)
		}
		from, litres, mixed, whole = e.Km, 0, map[string]float64{}, 0
	}
	for _, l := range s.legs {
		for id, share := range l.shares {
			if surface := s.surface(id); surface != nil && surface.Factor >= roughFrom {
				s.view.RoughKm += share * l.km
			}
		}
	}
}

// driven is how far it came, for what is due.
func (s *season) driven() handover.Driven {
	d := handover.Driven{}
	for i := range s.entries {
		d.Km = max(d.Km, s.entries[i].Km)
	}
	checked := s.p.Job.Handover.Delivered
	for i := range s.p.Job.Handover.Intervals {
		if n := &s.p.Job.Handover.Intervals[i]; n.Rough && n.LastOn > checked {
			checked = n.LastOn
		}
	}
	for _, l := range s.legs {
		rough := 0.0
		for id, share := range l.shares {
			if surface := s.surface(id); surface != nil && surface.Factor >= roughFrom {
				rough += share * l.km
			}
		}
		on := strings.SplitN(l.on, "T", 2)[0]
		d.Rough = append(d.Rough, handover.RoughKm{On: on, Km: rough})
		if on >= checked {
			s.view.SinceCheck += rough
		}
	}
	return d
}

// fuel corrects what is burned on each surface: the consumption of all of them errs by one source, what each does to it
// by one of its own; litres between full tanks are so much of each.
func (s *season) fuel() {
	b := &s.p.Job.Brief
	c := b.Assumptions.Consumption
	if c == 0 || len(b.Surfaces) == 0 {
		return
	}
	readings := make([]gauss.Reading, 0, len(s.legs))
	bears := make([]int, len(b.Surfaces))
	for _, l := range s.legs {
		planned, moves := 0.0, make([]float64, len(b.Surfaces)+1)
		for k := range b.Surfaces {
			litres := l.km / 100 * l.shares[b.Surfaces[k].ID] * c * b.Surfaces[k].Factor
			planned += litres
			moves[0] += litres * consumptionBy
			moves[k+1] = litres * factorBy
			if litres > 0 {
				bears[k]++
			}
		}
		readings = append(
			readings,
			gauss.Reading{Off: l.litres - planned, Own: math.Hypot(fuelReadBy*l.litres, fuelReadL), Moves: moves},
		)
	}
	after := gauss.Update(len(b.Surfaces)+1, readings)
	for k := range b.Surfaces {
		surface := &b.Surfaces[k]
		planned := c * surface.Factor
		asked := make([]float64, len(b.Surfaces)+1)
		asked[0], asked[k+1] = planned*consumptionBy, planned*factorBy
		a := Assumed{ID: "fuel/" + surface.ID, Name: surface.Name, Unit: "L/100 km", Planned: planned,
			By: math.Hypot(asked[0], asked[k+1]), Found: planned, Readings: bears[k]}
		a.Sigma = a.By
		if len(readings) > 0 {
			a.Found, a.Sigma = planned+after.Shift(asked), after.Sigma(asked)
		}
		a.judge(s.p)
		s.view.Assumed = append(s.view.Assumed, a)
	}
}
