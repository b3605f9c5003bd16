package trip

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// The example of a way with four pumps: 95 L of tanks, 60 aboard, 15 kept back.
func TestFillingFourPumps(t *testing.T) {
	l := Line{Capacity: 95, Aboard: 60}
	for i, fuel := range []float64{23.4, 69.3, 46.5, 35.1} {
		l.Legs = append(l.Legs, Leg{Fuel: fuel, Reserve: 15})
		l.Stops = append(l.Stops, Pump{Sure: true, Price: []int{19500, 21000, 26000, 23000}[i]})
	}
	cheap, err := l.Cheapest()
	require.NoError(t, err)
	assert.InDeltaSlice(t, []float64{35, 23.4, 35.8, 35.1}, cheap.Buy, 1e-9)
	assert.Equal(t, 29120, cheap.Cost)
	light, err := l.Lightest()
	require.NoError(t, err)
	assert.InDeltaSlice(t, []float64{0, 47.7, 46.5, 35.1}, light.Buy, 1e-9)
	assert.Equal(t, 30180, light.Cost)

	// Without the second pump the first leg must carry for two, and the tanks do not hold that.
	l.Stops[1].Sure = false
	_, err = l.Lightest()
	assert.Equal(t, Impossible{From: 0, To: 2, Lacking: 23.4 + 69.3 + 15 - 95}, rounded(err))
}

func rounded(err error) error {
	i, ok := err.(Impossible)
	if !ok {
		return err
	}
	i.Lacking = math.Round(i.Lacking*1e6) / 1e6
	return i
}

// least is the least level in a tank on reaching the ends of the legs with a filling, less the
// reserve, litres.
func (l *Line) least(f *Filling) float64 {
	level, least := l.Aboard, math.Inf(1)
	for i, leg := range l.Legs {
		level += f.Buy[i] - leg.Fuel
		least = min(least, level-leg.Reserve)
	}
	return least
}

// fiveHundred checks on so many ways that are drawn.
func fiveHundred(t *testing.T, check func(*rapid.T)) {
	for range 5 {
		rapid.Check(t, check)
	}
}

// line draws a small way in whole litres: stops up to six, some not sure, reserves of each form.
func line(t *rapid.T) Line {
	l := Line{Capacity: float64(rapid.IntRange(4, 24).Draw(t, "capacity"))}
	l.Aboard = float64(rapid.IntRange(0, int(l.Capacity)).Draw(t, "aboard"))
	most := float64(rapid.IntRange(0, 5).Draw(t, "reserve"))
	byWay := rapid.Bool().Draw(t, "reserve by the way")
	for range rapid.IntRange(1, 6).Draw(t, "legs") {
		leg := Leg{Fuel: float64(rapid.IntRange(0, 12).Draw(t, "fuel")), Reserve: most}
		if byWay { // so many km of a leg: another reserve for each
			leg.Reserve = float64(rapid.IntRange(0, 6).Draw(t, "its reserve"))
		}
		l.Legs = append(l.Legs, leg)
		l.Stops = append(l.Stops, Pump{Sure: rapid.IntRange(0, 3).Draw(t, "sure") > 0,
			Price: 100 * rapid.IntRange(100, 300).Draw(t, "price")})
	}
	return l
}

// everyFilling tries every purchase in whole litres and returns the least cost, the least litres
// bought up to each stop by anyone, and whether the way can be driven at all. Unsure pumps may be
// shut, so that nothing is bought there.
func everyFilling(l *Line) (cost int, possible bool) {
	const none = math.MaxInt
	// best[level] is the least cost of reaching the stop at hand with a level.
	best := make([]int, int(l.Capacity)+1)
	for i := range best {
		best[i] = none
	}
	best[int(l.Aboard)] = 0
	for i, leg := range l.Legs {
		next := make([]int, len(best))
		for k := range next {
			next[k] = none
		}
		for level, so := range best {
			if so == none {
				continue
			}
			for buy := 0; level+buy <= int(l.Capacity); buy++ {
				if buy > 0 && !l.Stops[i].Sure {
					break
				}
				left := level + buy - int(leg.Fuel)
				if left < 0 || float64(left) < leg.Reserve {
					continue
				}
				next[left] = min(next[left], so+buy*l.Stops[i].Price/100)
			}
		}
		best = next
	}
	cost = none
	for _, so := range best {
		cost = min(cost, so)
	}
	return cost, cost != none
}

// Cheapest is what trying every filling finds; lightest carries no litre that some other filling
// could do without; both keep the reserve and hold in the tank, and what is bought is burned or left.
func TestFillingsAreTheBest(t *testing.T) {
	fiveHundred(t, func(t *rapid.T) {
		l := line(t)
		cost, possible := everyFilling(&l)
		cheap, err := l.Cheapest()
		require.Equal(t, possible, err == nil, "%+v: %v", l, err)
		light, errLight := l.Lightest()
		require.Equal(t, possible, errLight == nil)
		if !possible {
			return
		}
		assert.Equal(t, cost, cheap.Cost)
		for _, f := range []Filling{cheap, light} {
			level := l.Aboard
			for i, leg := range l.Legs {
				level += f.Buy[i]
				assert.GreaterOrEqual(t, f.Buy[i], 0.0)
				assert.LessOrEqual(t, level, l.Capacity+1e-9)
				if !l.Stops[i].Sure {
					assert.Zero(t, f.Buy[i])
				}
				level -= leg.Fuel
				assert.GreaterOrEqual(t, level, leg.Reserve-1e-9)
			}
		}
		// A litre less at any stop leaves the reserve somewhere before more can be bought.
		for i := range light.Buy {
			if light.Buy[i] < 1 {
				continue
			}
			less := Filling{Buy: append([]float64{}, light.Buy...)}
			less.Buy[i]--
			upTo := Line{Capacity: l.Capacity, Aboard: l.Aboard, Stops: l.Stops, Legs: l.Legs}
			for k := i + 1; k < len(l.Legs); k++ {
				if l.Stops[k].Sure {
					upTo.Legs = l.Legs[:k]
					break
				}
			}
			assert.Less(t, upTo.least(&less), 0.0)
		}
	})
}
