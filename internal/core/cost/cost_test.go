package cost_test

import (
	"math/big"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"zaino/internal/core/cost"
	"zaino/internal/core/fitout"
)

// Worked example: materials 842.60, hardware 516.35, bought 1890.00, mark-up 18 %, 31.5 h at 88.00, tax 10 %.
func TestAQuoteByHand(t *testing.T) {
	q := cost.QuoteOf(&cost.CostLines{
		Material: []cost.CostLine{
			{Sum: 84260},
		}, Hardware: []cost.CostLine{{Sum: 51635}}, Bought: []cost.CostLine{{Sum: 189000}},
		Work: []cost.CostLine{cost.Of("Work", 31.5, "h", 8800, 2)},
	}, &fitout.Money{MarkUp: 0.18, Tax: 0.1, Decimals: 2, Deposit: 0.4, Midway: 0.3})
	// (842.60 + 516.35 + 1890.00) · 1.18 = 3248.95 · 1.18 = 3833.761
	assert.Equal(t, 383376, q.Parts)
	assert.Equal(t, 277200, q.Work)
	assert.Equal(t, 660576, q.Net)
	assert.Equal(t, 66058, q.Tax)
	assert.Equal(t, 726634, q.Total)
	assert.Equal(t, 290654, q.Deposit, "7266.34 · 0.4 = 2906.536")
	assert.Equal(t, q.Total, q.Deposit+q.Midway+q.Rest)
}

// A currency without cents is rounded to wholes, half up; one with tenths to those.
func TestACurrencyWithoutCents(t *testing.T) {
	assert.Equal(t, 12400, cost.Times(12350, 1, 0), "123.50 is 124")
	assert.Equal(t, 12300, cost.Times(12349, 1, 0))
	assert.Equal(t, 12350, cost.Times(12345, 1, 1))
	assert.Equal(t, 3, cost.Times(5, 0.5, 2), "half up")
	assert.Equal(t, -2, cost.Times(-5, 0.5, 2), "half up is toward more, also of a credit")
}

// Whatever is added up: it is the same to the cent in any order, no line is off its exact value by more than half
// of what is rounded to, and the parts of the payment are the whole.
func TestMoneyAddsUpInAnyOrder(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		decimals := rapid.IntRange(0, 2).Draw(t, "decimals")
		unit := int64([]int{100, 10, 1}[decimals])
		lines := rapid.SliceOfN(rapid.Custom(func(t *rapid.T) cost.CostLine {
			count := float64(rapid.IntRange(0, 100000).Draw(t, "count")) / 1000
			each := rapid.IntRange(0, 1e8).Draw(t, "each")
			l := cost.Of("Thing", count, "", each, decimals)
			exact := new(big.Rat).Mul(big.NewRat(int64(each), 1), new(big.Rat).SetFrac64(int64(count*1000+0.5), 1000))
			off := new(big.Rat).Sub(big.NewRat(int64(l.Sum), 1), exact)
			if off.Cmp(big.NewRat(unit, 2)) > 0 || off.Cmp(big.NewRat(-unit, 2)) <= 0 {
				t.Fatalf("%v × %d is %d, off by %s", count, each, l.Sum, off.FloatString(3))
			}
			return l
		}), 0, 30).Draw(t, "lines")
		m := fitout.Money{MarkUp: float64(rapid.IntRange(0, 500).Draw(t, "mark-up")) / 100, Decimals: decimals,
			Tax:     float64(rapid.IntRange(0, 100).Draw(t, "tax")) / 100,
			Deposit: float64(rapid.IntRange(0, 100).Draw(t, "deposit")) / 100,
			Midway:  float64(rapid.IntRange(0, 100).Draw(t, "midway")) / 100}
		q := cost.QuoteOf(&cost.CostLines{Material: lines}, &m)
		mixed := rapid.Permutation(lines).Draw(t, "mixed")
		half := len(mixed) / 2
		if other := cost.QuoteOf(&cost.CostLines{Hardware: mixed[:half], Bought: mixed[half:]}, &m); other.Total != q.Total {
			t.Fatalf("%d in one order, %d in another", q.Total, other.Total)
		}
		if q.Deposit+q.Midway+q.Rest != q.Total || q.Rest < 0 || q.Net+q.Tax != q.Total {
			t.Fatalf("%+v does not add up", q)
		}
	})
}
