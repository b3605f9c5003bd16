package gauss_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"zaino/internal/core/gauss"
)

// One quantity, believed to ± 3 and read to ± 4: variances weigh, 1/9 against 1/16.
func TestOneReadingOfOneQuantity(t *testing.T) {
	p := gauss.Update(1, []gauss.Reading{{Off: 10, Own: 4, Moves: []float64{3}}})
	assert.InDelta(t, 10*9.0/25, p.Shift([]float64{3}), 1e-12)
	assert.InDelta(t, math.Sqrt(1/(1/9.0+1/16.0)), p.Sigma([]float64{3}), 1e-12)
	assert.InDelta(t, 100/25.0, p.Chi2, 1e-12)
}

// Percentiles of χ² from printed tables.
func TestHowUnlikelyChiSquaredIs(t *testing.T) {
	for _, c := range []struct {
		chi2    float64
		degrees int
		want    float64
	}{{3.841, 1, 0.05}, {5.991, 2, 0.05}, {7.815, 3, 0.05}, {9.488, 4, 0.05}, {11.070, 5, 0.05}, {23.209, 10, 0.01}, {0, 3, 1}} {
		assert.InDelta(t, c.want, gauss.Unlikely(c.chi2, c.degrees), 1e-4, "%v of %d", c.chi2, c.degrees)
	}
}

// However sources and readings are drawn: a reading never widens what is believed, in whatever order readings come
// it is the same, and readings as believed move nothing.
func TestReadingsOnlyEverNarrow(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(1, 8).Draw(t, "sources")
		number := rapid.Float64Range(-20, 20)
		readings := rapid.SliceOfN(rapid.Custom(func(t *rapid.T) gauss.Reading {
			return gauss.Reading{Off: number.Draw(t, "off"), Own: rapid.Float64Range(0.1, 10).Draw(t, "own"),
				Moves: rapid.SliceOfN(number, n, n).Draw(t, "moves")}
		}), 1, 6).Draw(t, "readings")
		asked := rapid.SliceOfN(number, n, n).Draw(t, "asked")
		all := gauss.Update(n, readings)
		fewer := gauss.Update(n, readings[:len(readings)-1])
		if all.Sigma(asked) > fewer.Sigma(asked)+1e-6 {
			t.Fatalf("one more reading widened %v to %v", fewer.Sigma(asked), all.Sigma(asked))
		}
		turned := make([]gauss.Reading, len(readings))
		agreeing := make([]gauss.Reading, len(readings))
		for i, r := range readings {
			turned[len(readings)-1-i] = r
			r.Off = 0
			agreeing[i] = r
		}
		other, none := gauss.Update(n, turned), gauss.Update(n, agreeing)
		if math.Abs(other.Shift(asked)-all.Shift(asked)) > 1e-5*(1+math.Abs(all.Shift(asked))) ||
			math.Abs(other.Sigma(asked)-all.Sigma(asked)) > 1e-4 {
			t.Fatalf("the order of readings counts: %v, %v", other, all)
		}
		if none.Shift(asked) != 0 || none.Chi2 != 0 {
			t.Fatalf("readings as believed moved something: %v", none)
		}
	})
}

// Against sampling: of a million drawn vehicles those whose readings come out as read, weighted by how likely the
// device reads so, have the same mean and spread.
func TestPosteriorAgainstSampling(t *testing.T) {
	readings := []gauss.Reading{
		{Off: 3, Own: 2, Moves: []float64{2, 1, -1}},
		{Off: -1, Own: 3, Moves: []float64{0.5, 2, 2}},
	}
	asked := []float64{1, 2, 3}
	p := gauss.Update(3, readings)
	random := rand.New(rand.NewPCG(3, 5))
	sum, mean, square := 0.0, 0.0, 0.0
	for range 1_000_000 {
		s := [3]float64{random.NormFloat64(), random.NormFloat64(), random.NormFloat64()}
		weight := 1.0
		for _, r := range readings {
			of := (r.Off - r.Moves[0]*s[0] - r.Moves[1]*s[1] - r.Moves[2]*s[2]) / r.Own
			weight *= math.Exp(-of * of / 2)
		}
		value := asked[0]*s[0] + asked[1]*s[1] + asked[2]*s[2]
		sum, mean, square = sum+weight, mean+weight*value, square+weight*value*value
	}
	mean /= sum
	assert.InDelta(t, mean, p.Shift(asked), 0.02)
	assert.InDelta(t, math.Sqrt(square/sum-mean*mean), p.Sigma(asked), 0.02)
}

// Two exact readings of nearly the same, of what nobody knew at all: each is believed, and so is their difference.
func TestTwoReadingsOfNearlyTheSame(t *testing.T) {
	const vast = 1e7
	p := gauss.Update(2, []gauss.Reading{
		{Off: 500, Own: 0.01, Moves: []float64{vast, 0}},
		{Off: 500.3, Own: 0.01, Moves: []float64{vast, 0.5}},
	})
	assert.InDelta(t, 500, p.Shift([]float64{vast, 0}), 0.05)
	assert.InDelta(t, 0.3, p.Shift([]float64{0, 0.5}), 0.01)
	assert.InDelta(t, 0.0141, p.Sigma([]float64{0, 0.5}), 0.0005)
}
