// Package gauss lets readings correct what was believed: linear readings of quantities that err normally. The
// believed are independent sources of error, each with a standard deviation of 1 of its own.
package gauss

import "math"

// Reading is one figure that was read: how far it is from what was believed, how far the device itself errs (both in
// the reading's unit, Own above 0), and how far one standard deviation of each source moves it.
type Reading struct {
	Off   float64
	Own   float64
	Moves []float64 // by source; those that are missing do not move it
}

// Posterior is what is believed after readings.
type Posterior struct {
	// Chi2 is dᵀ C⁻¹ d, with as many degrees of freedom as there are readings.
	Chi2    float64
	Degrees int
	// LogDet is ln det C, for comparing one belief with another.
	LogDet float64
	Root   Lower // of C
	// Mean is how far each source turned out to be off, in its standard deviations.
	Mean []float64
	// Whitened has a row for each source: what it takes off the variance of a sum Σ aₖ sₖ is the square of the
	// length of Σ aₖ Whitened[k].
	Whitened [][]float64
}

// Update corrects sources by readings: with G the moves, R the devices' own variances and C = G Gᵀ + R, the mean
// becomes Gᵀ C⁻¹ d and the covariance 1 − Gᵀ C⁻¹ G (Kalman; the same as weighted least squares with a prior).
func Update(sources int, readings []Reading) Posterior {
	n := len(readings)
	d := make([]float64, n)
	for i := range readings {
		d[i] = readings[i].Off
	}
	root, straight := rootOf(sources, readings)
	p := Posterior{Degrees: n, Root: root, Mean: make([]float64, sources), Whitened: make([][]float64, sources)}
	half := root.Half(d)
	p.Chi2 = Dot(half, half)
	for i := range root {
		p.LogDet += 2 * math.Log(root[i][i])
	}
	for k := range sources {
		p.Whitened[k] = make([]float64, n)
		for i := range readings {
			p.Whitened[k][i] = straight[i][k] // what L⁻¹ G is, without dividing
		}
		p.Mean[k] = Dot(p.Whitened[k], half)
	}
	return p
}

// rootOf is the root L of C = G Gᵀ + R with L⁻¹ [G √R], from G and the devices' own errors themselves: their rows are
// made perpendicular one after another, twice over, so that two readings of nearly the same keep what tells them apart.
func rootOf(sources int, readings []Reading) (root Lower, straight [][]float64) {
	root, straight = make(Lower, len(readings)), make([][]float64, len(readings))
	for i := range readings {
		row := make([]float64, sources+len(readings))
		copy(row, readings[i].Moves)
		row[sources+i] = readings[i].Own
		root[i] = make([]float64, i+1)
		for range 2 {
			for k := range i {
				along := Dot(row, straight[k])
				root[i][k] += along
				for at := range row {
					row[at] -= along * straight[k][at]
				}
			}
		}
		length := max(math.Sqrt(Dot(row, row)), least)
		root[i][i] = length
		for at := range row {
			row[at] /= length
		}
		straight[i] = row
	}
	return root, straight
}

// Shift is how far a sum Σ aₖ sₖ moved.
func (p *Posterior) Shift(a []float64) float64 { return Dot(a, p.Mean) }

// Sigma is the standard deviation of a sum Σ aₖ sₖ after the readings.
func (p *Posterior) Sigma(a []float64) float64 {
	before, off := 0.0, make([]float64, p.Degrees)
	for k, ak := range a {
		if before += ak * ak; ak != 0 {
			for i, w := range p.Whitened[k] {
				off[i] += ak * w
			}
		}
	}
	return math.Sqrt(max(0, before-Dot(off, off)))
}

// Unlikely is the probability that χ² of so many degrees of freedom is at least as large, 0 to 1. Degrees are 1 or
// more. By the recurrence Q(k+2) = Q(k) + (x/2)^(k/2) e^(−x/2) / Γ(k/2+1) from Q(1) = erfc √(x/2) and Q(2) = e^(−x/2).
func Unlikely(chi2 float64, degrees int) float64 {
	half := max(0, chi2) / 2
	q, k := math.Exp(-half), 2
	if degrees%2 == 1 {
		q, k = math.Erfc(math.Sqrt(half)), 1
	}
	for ; k < degrees; k += 2 {
		lg, _ := math.Lgamma(float64(k)/2 + 1)
		q += math.Exp(float64(k)/2*math.Log(max(half, math.SmallestNonzeroFloat64)) - half - lg)
	}
	return min(1, q)
}

// Dot is the sum of products, as far as both reach.
func Dot(a, b []float64) float64 {
	sum := 0.0
	for i := range min(len(a), len(b)) {
		sum += a[i] * b[i]
	}
	return sum
}

// Lower is a lower triangular matrix.
type Lower [][]float64

// least is what no pivot is smaller than, so that the sums stay solvable.
const least = 1e-5

// Cholesky returns the root of a symmetric positive definite matrix: V = R Rᵀ.
func Cholesky(v [][]float64) Lower {
	root := make(Lower, len(v))
	for i := range v {
		root[i] = make([]float64, i+1)
		for k := 0; k <= i; k++ {
			sum := v[i][k] - Dot(root[i][:k], root[k][:k])
			if i == k {
				root[i][i] = math.Sqrt(max(sum, least*least))
			} else {
				root[i][k] = sum / root[k][k]
			}
		}
	}
	return root
}

// Half solves R x = b.
func (r Lower) Half(b []float64) []float64 {
	x := make([]float64, len(b))
	for i := range b {
		x[i] = (b[i] - Dot(r[i][:i], x[:i])) / r[i][i]
	}
	return x
}

// Over solves R Rᵀ x = b.
func (r Lower) Over(b []float64) []float64 {
	x := r.Half(b)
	for i := len(b) - 1; i >= 0; i-- {
		for k := i + 1; k < len(b); k++ {
			x[i] -= r[k][i] * x[k]
		}
		x[i] /= r[i][i]
	}
	return x
}
