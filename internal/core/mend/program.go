package mend

import "math"

// program is a small linear program: the least cost · x over 0 ≤ x ≤ most with
// rows · x ≤ bounds. It is solved exactly by the simplex method; Bland's rule keeps it
// from going round in circles.
type program struct {
	cost, most []float64
	rows       [][]float64
	bounds     []float64
}

// epsilon is what counts as nothing in the tableau, whose figures are of the order of
// thousands at most.
const epsilon = 1e-9

// solve returns the amounts of the least cost; false where no amounts keep every row.
func (p *program) solve() ([]float64, bool) {
	n, m := len(p.cost), len(p.rows)+len(p.most)
	// One row for each bound, with its slack; a row with a negative bound starts from an
	// artificial variable of its own.
	width := n + m + m + 1
	last := width - 1
	t := make([][]float64, m)
	basis := make([]int, m)
	artificial := false
	for i := range m {
		t[i] = make([]float64, width)
		if i < len(p.rows) {
			copy(t[i], p.rows[i])
			t[i][last] = p.bounds[i]
		} else {
			t[i][i-len(p.rows)], t[i][last] = 1, p.most[i-len(p.rows)]
		}
		t[i][n+i], basis[i] = 1, n+i
		if t[i][last] < 0 {
			for k := range t[i] {
				t[i][k] = -t[i][k]
			}
			t[i][n+m+i], basis[i], artificial = 1, n+m+i, true
		}
	}
	if artificial {
		goal := make([]float64, width)
		for i := range m {
			goal[n+m+i] = 1
		}
		if left := simplex(t, basis, goal, width-1); left > 1e-7 {
			return nil, false
		}
		dropArtificial(t, basis, n+m)
	}
	goal := make([]float64, width)
	copy(goal, p.cost)
	simplex(t, basis, goal, n+m)
	x := make([]float64, n)
	for i, of := range basis {
		if of < n {
			x[of] = t[i][last]
		}
	}
	return x, true
}

// simplex brings a goal to its least over the first columns and returns it.
func simplex(t [][]float64, basis []int, goal []float64, columns int) float64 {
	last := len(goal) - 1
	reduced := append([]float64{}, goal...)
	for i, of := range basis {
		if by := goal[of]; by != 0 {
			for k := range reduced {
				reduced[k] -= by * t[i][k]
			}
		}
	}
	for {
		in := -1
		for k := range columns {
			if reduced[k] < -epsilon {
				in = k
				break
			}
		}
		if in < 0 {
			return -reduced[last]
		}
		out, least := -1, math.Inf(1)
		for i := range t {
			if t[i][in] <= epsilon {
				continue
			}
			ratio := t[i][last] / t[i][in]
			if out < 0 || ratio < least-epsilon || ratio < least+epsilon && basis[i] < basis[out] {
				out, least = i, ratio
			}
		}
		if out < 0 {
			return math.Inf(-1) // every amount has a most, so that it does not come to this
		}
		pivot(t, reduced, out, in)
		basis[out] = in
	}
}

// pivot brings a column into the basis in a row.
func pivot(t [][]float64, reduced []float64, row, column int) {
	by := t[row][column]
	for k := range t[row] {
		t[row][k] /= by
	}
	clear := func(other []float64) {
		if by := other[column]; by != 0 {
			for k := range other {
				other[k] -= by * t[row][k]
			}
		}
	}
	for i := range t {
		if i != row {
			clear(t[i])
		}
	}
	clear(reduced)
}

// dropArtificial takes artificial variables that stayed at 0 out of the basis.
func dropArtificial(t [][]float64, basis []int, from int) {
	none := make([]float64, len(t[0]))
	for i, of := range basis {
		if of < from {
			continue
		}
		for k := range from {
			if math.Abs(t[i][k]) > epsilon {
				pivot(t, none, i, k)
				basis[i] = k
				break
			}
		}
	}
}
