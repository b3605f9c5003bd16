package trip

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// spread draws a way with two tanks in whole litres and three loads.
func spread(t *rapid.T) Spread {
	s := Spread{}
	for range 2 {
		capacity := rapid.IntRange(2, 9).Draw(t, "capacity")
		s.Capacity = append(s.Capacity, float64(capacity))
		s.Aboard = append(s.Aboard, float64(rapid.IntRange(0, capacity).Draw(t, "aboard")))
	}
	per := make([][]float64, 3)
	for a := range per {
		for range 2 {
			per[a] = append(per[a], float64(rapid.IntRange(-2, 8).Draw(t, "per litre"))/100)
		}
	}
	for range rapid.IntRange(1, 5).Draw(t, "legs") {
		leg := SpreadLeg{Leg: Leg{Fuel: float64(rapid.IntRange(0, 7).Draw(t, "fuel")),
			Reserve: float64(rapid.IntRange(0, 2).Draw(t, "reserve"))}, Per: per}
		for range per {
			bare := float64(rapid.IntRange(70, 95).Draw(t, "bare")) / 100
			leg.Leaving = append(leg.Leaving, bare)
			leg.Reaching = append(leg.Reaching, bare-float64(rapid.IntRange(0, 5).Draw(t, "used"))/100)
		}
		s.Legs = append(s.Legs, leg)
		s.Sure = append(s.Sure, rapid.IntRange(0, 2).Draw(t, "sure") > 0)
	}
	return s
}

// everySpread tries every filling and every way to draw in steps of a litre.
func everySpread(s *Spread, step float64) float64 {
	type state [2]int
	now := map[state]float64{{int(math.Round(s.Aboard[0] / step)), int(math.Round(s.Aboard[1] / step))}: math.Inf(-1)}
	n := [2]int{int(math.Round(s.Capacity[0] / step)), int(math.Round(s.Capacity[1] / step))}
	for i, leg := range s.Legs {
		filled := map[state]float64{}
		worst := func(bare []float64, at state, so float64) float64 {
			for a := range bare {
				so = max(so, s.load(i, a, bare, []float64{float64(at[0]) * step, float64(at[1]) * step}))
			}
			return so
		}
		for at, so := range now {
			for a := at[0]; a <= n[0]; a++ {
				for b := at[1]; b <= n[1]; b++ {
					to := state{a, b}
					if to != at && !s.Sure[i] {
						continue
					}
					so := worst(leg.Leaving, to, so)
					if known, is := filled[to]; !is || so < known {
						filled[to] = so
					}
				}
			}
		}
		now = map[state]float64{}
		fuel := int(math.Round(leg.Fuel / step))
		for at, so := range filled {
			for first := 0; first <= fuel; first++ {
				to := state{at[0] - first, at[1] - (fuel - first)}
				if to[0] < 0 || to[1] < 0 || float64(to[0]+to[1])*step < leg.Reserve {
					continue
				}
				so := worst(leg.Reaching, to, so)
				if known, is := now[to]; !is || so < known {
					now[to] = so
				}
			}
		}
	}
	best := math.Inf(1)
	for _, so := range now {
		best = min(best, so)
	}
	return best
}

// The greatest load of the balanced filling is that of the best of all fillings: never more than
// the best one in steps, and nearer to it the smaller the steps are.
func TestBalanceIsTheBest(t *testing.T) {
	fiveHundred(t, func(t *rapid.T) {
		s := spread(t)
		plan, err := s.Balance()
		best := everySpread(&s, 1)
		require.Equal(t, !math.IsInf(best, 1), err == nil, "%+v", s)
		if err != nil {
			return
		}
		assert.LessOrEqual(t, plan.Worst, best+1e-6)
		assert.InDelta(t, plan.Worst, everySpread(&s, 0.5), 0.5*0.16+1e-6, "two tanks, at most 0.08 a litre each")
		keeps(t, &s, &plan)
	})
}

// keeps holds a plan against every promise of it: nothing below empty, nothing above full, the
// reserve, what is burned, and loads up to the greatest.
func keeps(t require.TestingT, s *Spread, plan *SpreadPlan) {
	levels := append([]float64{}, s.Aboard...)
	for i := range s.Legs {
		used, left := 0.0, 0.0
		for k := range levels {
			if !s.Sure[i] {
				assert.Zero(t, plan.Buy[i][k])
			}
			assert.GreaterOrEqual(t, plan.Buy[i][k], -1e-6)
			assert.InDelta(t, levels[k]+plan.Buy[i][k], plan.Leave[i][k], 1e-6)
			assert.LessOrEqual(t, plan.Leave[i][k], s.Capacity[k]+1e-6)
			assert.GreaterOrEqual(t, plan.Reach[i][k], -1e-6)
			assert.LessOrEqual(t, plan.Reach[i][k], plan.Leave[i][k]+1e-6)
			used += plan.Leave[i][k] - plan.Reach[i][k]
			left += plan.Reach[i][k]
		}
		assert.InDelta(t, s.Legs[i].Fuel, used, 1e-6)
		assert.GreaterOrEqual(t, left, s.Legs[i].Reserve-1e-6)
		copy(levels, plan.Reach[i])
	}
	assert.InDelta(t, s.worst(plan), plan.Worst, 1e-6)
}

// long is a way of sixty stops and three tanks.
func long() (Spread, Line) {
	r := rand.New(rand.NewPCG(3, 4))
	s := Spread{Capacity: []float64{80, 60, 40}, Aboard: []float64{40, 10, 0}}
	l := Line{Capacity: 180, Aboard: 50}
	per := [][]float64{{0.0004, -0.00005, 0.0001}, {0.0001, 0.0006, 0.0004}, {0.00024, 0.00024, 0.00024}}
	for i := range 60 {
		leg := SpreadLeg{Leg: Leg{Fuel: 10 + 25*r.Float64(), Reserve: 15}, Per: per}
		for range per {
			bare := 0.9 + 0.08*r.Float64()
			leg.Leaving, leg.Reaching = append(leg.Leaving, bare), append(leg.Reaching, bare-0.004)
		}
		s.Legs, l.Legs = append(s.Legs, leg), append(l.Legs, leg.Leg)
		sure := i%3 != 2
		s.Sure, l.Stops = append(s.Sure, sure), append(l.Stops, Pump{Sure: sure, Price: 18000 + r.IntN(9000)})
	}
	return s, l
}

// A long way with three tanks keeps every promise too.
func TestBalanceOfALongWay(t *testing.T) {
	s, _ := long()
	plan, err := s.Balance()
	require.NoError(t, err)
	keeps(t, &s, &plan)
}

func BenchmarkFillSixtyStops(b *testing.B) {
	_, l := long()
	for b.Loop() {
		if _, err := l.Cheapest(); err != nil {
			b.Fatal(err)
		}
		if _, err := l.Lightest(); err != nil {
			b.Fatal(err)
		}
	}
}

func BenchmarkBalanceSixtyStopsThreeTanks(b *testing.B) {
	s, _ := long()
	for b.Loop() {
		if _, err := s.Balance(); err != nil {
			b.Fatal(err)
		}
	}
}
