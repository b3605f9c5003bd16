package trip

import "math"

// Spread is a way on which it is free in which tank fuel is carried, and from which one it is drawn:
// what stands on each axle follows from the litres in each tank. Litres are what can be used.
type Spread struct {
	Capacity []float64 // of each tank, litres
	Aboard   []float64 // in each tank on reaching the first stop, litres
	Sure     []bool    // the stop at the begin of each leg has fuel that is planned with
	Legs     []SpreadLeg
}

// SpreadLeg is one leg of a spread.
type SpreadLeg struct {
	Leg
	// Leaving and Reaching are each load over its limit without any fuel; Per is what a litre in each
	// tank adds to each of them.
	Leaving, Reaching []float64
	Per               [][]float64 // by load, by tank
}

// SpreadPlan is how to fill each tank.
type SpreadPlan struct {
	Leave  [][]float64 // litres in each tank on leaving each stop, by stop
	Reach  [][]float64 // and on reaching the end of the leg that begins there
	Buy    [][]float64 // litres that go into each tank, by stop
	Worst  float64     // greatest load over its limit on the whole way
	Litres float64     // bought in all
}

// litreCost is what a litre counts beside the loads: so little that it decides only between plans
// with the same greatest load.
const litreCost = 1e-9

// Balance fills the tanks so that the greatest load over its limit on the whole way is the least,
// and among such plans buys the fewest litres: the exact optimum of a linear program over tanks and
// legs. It refuses a way that full tanks do not reach.
func (s *Spread) Balance() (SpreadPlan, error) {
	if err := s.line().check(); err != nil {
		return SpreadPlan{}, err
	}
	v := s.variables()
	costs := make([]float64, v.count)
	costs[0] = 1
	for k := 1; k < v.count; k++ {
		costs[k] = litreCost * (1 + 1e-3*float64(k)/float64(v.count))
	}
	p := newProgram(costs)
	for round := 0; ; round++ {
		plan := s.plan(v, p.amounts())
		// Rounding may leave a row broken by a hair, however often it is handed in: what is followed litre by litre
		// afterwards tells whether anything is left of it.
		if !s.broken(v, p, &plan) || round == mostLooks*(v.count+len(s.Legs)) {
			plan.Worst = s.worst(&plan)
			return plan, nil
		}
		if !p.solve() {
			return SpreadPlan{}, Impossible{} // the check above has found every case
		}
	}
}

// mostLooks is how often the rows of a program are looked at for each unknown and leg. Many times fewer are needed.
const mostLooks = 20

// line is the way with all tanks together.
func (s *Spread) line() *Line {
	l := &Line{}
	for t := range s.Capacity {
		l.Capacity, l.Aboard = l.Capacity+s.Capacity[t], l.Aboard+s.Aboard[t]
	}
	for i := range s.Legs {
		l.Legs, l.Stops = append(l.Legs, s.Legs[i].Leg), append(l.Stops, Pump{Sure: s.Sure[i]})
	}
	return l
}

// variables are the places of the unknowns: 0 is the greatest load over its limit; litres bought
// into a tank where there is a pump; litres drawn from a tank on a leg, of all tanks but the last,
// which gives the rest.
type variables struct {
	count     int
	buy, draw [][]int
}

func (s *Spread) variables() *variables {
	v := &variables{count: 1}
	next := func() int { v.count++; return v.count - 1 }
	for i := range s.Legs {
		var buy, draw []int
		for t := range s.Capacity {
			if s.Sure[i] {
				buy = append(buy, next())
			}
			if t < len(s.Capacity)-1 {
				draw = append(draw, next())
			}
		}
		v.buy, v.draw = append(v.buy, buy), append(v.draw, draw)
	}
	return v
}

// plan puts amounts into the tanks.
func (s *Spread) plan(v *variables, x []float64) SpreadPlan {
	p := SpreadPlan{Worst: x[0]}
	levels := append([]float64{}, s.Aboard...)
	for i := range s.Legs {
		buy := make([]float64, len(levels))
		for t, k := range v.buy[i] {
			buy[t] = x[k]
			levels[t] += x[k]
			p.Litres += x[k]
		}
		p.Buy, p.Leave = append(p.Buy, buy), append(p.Leave, append([]float64{}, levels...))
		rest, last := s.Legs[i].Fuel, len(levels)-1
		for t, k := range v.draw[i] {
			levels[t] -= x[k]
			rest -= x[k]
		}
		levels[last] -= rest
		p.Reach = append(p.Reach, append([]float64{}, levels...))
	}
	return p
}

// worst is the greatest load over its limit of a plan.
func (s *Spread) worst(p *SpreadPlan) float64 {
	worst := math.Inf(-1)
	for i := range s.Legs {
		for a := range s.Legs[i].Leaving {
			worst = max(
				worst,
				s.load(i, a, s.Legs[i].Leaving, p.Leave[i]),
				s.load(i, a, s.Legs[i].Reaching, p.Reach[i]),
			)
		}
	}
	return worst
}

func (s *Spread) load(leg, of int, bare, levels []float64) float64 {
	sum := bare[of]
	for t, litres := range levels {
		sum += s.Legs[leg].Per[of][t] * litres
	}
	return sum
}

// level is the litres in a tank on leaving a stop, or on reaching the end of its leg, as terms of
// the unknowns and a figure beside them.
func (s *Spread) level(v *variables, leg, tank int, reached bool) ([]term, float64) {
	var terms []term
	fixed, last := s.Aboard[tank], len(s.Capacity)-1
	for i := range leg + 1 {
		if len(v.buy[i]) > 0 {
			terms = append(terms, term{v.buy[i][tank], 1})
		}
		if i == leg && !reached {
			break
		}
		if tank < last {
			terms = append(terms, term{v.draw[i][tank], -1})
			continue
		}
		fixed -= s.Legs[i].Fuel
		for _, k := range v.draw[i] {
			terms = append(terms, term{k, 1})
		}
	}
	return terms, fixed
}

// tolerance is how far a row may be broken: a millionth of a litre, or of a limit.
const tolerance = 1e-7

// broken hands in the rows that a plan breaks, of every leg and tank the one that is broken most;
// false where it breaks none.
func (s *Spread) broken(v *variables, p *program, plan *SpreadPlan) bool {
	found := false
	keep := func(terms []term, bound float64) {
		found = true
		p.keep(terms, bound)
	}
	negative := func(terms []term) []term {
		all := make([]term, len(terms))
		for i, t := range terms {
			all[i] = term{t.of, -t.by}
		}
		return all
	}
	last := len(s.Capacity) - 1
	for i := range s.Legs {
		drawn, left := 0.0, 0.0
		for t := range s.Capacity {
			if plan.Leave[i][t] > s.Capacity[t]+tolerance {
				terms, fixed := s.level(v, i, t, false)
				keep(terms, s.Capacity[t]-fixed)
			}
			if plan.Reach[i][t] < -tolerance {
				terms, fixed := s.level(v, i, t, true)
				keep(negative(terms), fixed)
			}
			left += plan.Reach[i][t]
			if t < last {
				drawn += plan.Leave[i][t] - plan.Reach[i][t]
			}
		}
		if drawn > s.Legs[i].Fuel+tolerance {
			var terms []term
			for _, k := range v.draw[i] {
				terms = append(terms, term{k, 1})
			}
			keep(terms, s.Legs[i].Fuel)
		}
		if left < s.Legs[i].Reserve-tolerance {
			var terms []term
			fixed := 0.0
			for t := range s.Capacity {
				own, figure := s.level(v, i, t, true)
				terms, fixed = append(terms, own...), fixed+figure
			}
			keep(negative(terms), fixed-s.Legs[i].Reserve)
		}
		for a := range s.Legs[i].Leaving {
			if s.load(i, a, s.Legs[i].Leaving, plan.Leave[i]) > plan.Worst+tolerance {
				s.lighten(v, keep, i, a, false)
			}
			if s.load(i, a, s.Legs[i].Reaching, plan.Reach[i]) > plan.Worst+tolerance {
				s.lighten(v, keep, i, a, true)
			}
		}
	}
	return found
}

// lighten keeps one load within the greatest.
func (s *Spread) lighten(v *variables, keep func([]term, float64), leg, of int, reached bool) {
	bare := s.Legs[leg].Leaving[of]
	if reached {
		bare = s.Legs[leg].Reaching[of]
	}
	terms := []term{{0, -1}}
	for t := range s.Capacity {
		own, fixed := s.level(v, leg, t, reached)
		for _, k := range own {
			terms = append(terms, term{k.of, k.by * s.Legs[leg].Per[of][t]})
		}
		bare += fixed * s.Legs[leg].Per[of][t]
	}
	keep(terms, -bare)
}
