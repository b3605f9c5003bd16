package trip

import "math"

// program is a linear program with many rows of which few matter: the least cost · x over x ≥ 0
// with row · x ≤ bound for each of them. It is solved exactly by the dual simplex method; rows are
// handed in as they turn out to be broken. Costs must not be negative.
type program struct {
	width int
	free  []int       // variable of each column: x below width, slacks from there on
	basic []int       // variable of each row
	rows  [][]float64 // value = last − Σ row · free
	costs []float64   // of the columns

	patience int // steps for each row and column before it goes on carefully
}

func newProgram(costs []float64) *program {
	p := &program{width: len(costs), costs: append([]float64{}, costs...), patience: 20}
	for i := range costs {
		p.free = append(p.free, i)
	}
	return p
}

// term is one coefficient of a row.
type term struct {
	of int
	by float64
}

// keep adds a row: Σ terms ≤ bound.
func (p *program) keep(terms []term, bound float64) {
	n := p.width
	row := make([]float64, n+1)
	row[n] = bound
	for _, t := range terms {
		p.express(row, t.of, t.by)
	}
	p.rows = append(p.rows, row)
	p.basic = append(p.basic, p.width+len(p.basic))
}

// express adds so much of a variable to a row, in terms of what is free now.
func (p *program) express(row []float64, of int, by float64) {
	for k, v := range p.free {
		if v == of {
			row[k] += by
			return
		}
	}
	for i, v := range p.basic {
		if v == of {
			n := p.width
			for k := range n {
				row[k] -= by * p.rows[i][k]
			}
			row[n] -= by * p.rows[i][n]
			return
		}
	}
}

// nothing is what counts as none in the tableau, whose figures are of the order of hundreds.
const nothing = 1e-9

// solve brings every row back within its bound; false where no x keeps all rows. Where it takes long it goes on by
// Bland's rule, the lowest variable out and in, by which it cannot go round in circles; and it ends in any case.
func (p *program) solve() bool {
	n := p.width
	for step := 0; ; step++ {
		careful := step > p.patience*(n+len(p.rows))
		if step > (p.patience+2000)*(n+len(p.rows)) {
			return false
		}
		// The row that is broken most goes out.
		out := -1
		for i := range p.rows {
			if p.rows[i][n] < -nothing && (out < 0 || !careful && p.rows[i][n] < p.rows[out][n] ||
				careful && p.basic[i] < p.basic[out]) {
				out = i
			}
		}
		if out < 0 {
			return true
		}
		// The column that costs least for it comes in; of two that cost the same, the larger step.
		row, in, least := p.rows[out], -1, math.Inf(1)
		for k := range n {
			if row[k] >= -nothing {
				continue
			}
			ratio := p.costs[k] / -row[k]
			if ratio < least-1e-15 || ratio <= least+1e-15 && in >= 0 &&
				(!careful && row[k] < row[in] || careful && p.free[k] < p.free[in]) {
				in, least = k, ratio
			}
		}
		if in < 0 {
			return false
		}
		p.pivot(out, in)
	}
}

func (p *program) pivot(out, in int) {
	n, row := p.width, p.rows[out]
	by := row[in]
	for k := range row {
		row[k] /= by
	}
	row[in] = 1 / by
	for i, other := range p.rows {
		if i == out || other[in] == 0 {
			continue
		}
		a := other[in]
		for k := range n + 1 {
			if k != in {
				other[k] -= a * row[k]
			}
		}
		other[in] = -a * row[in]
	}
	if c := p.costs[in]; c != 0 {
		for k := range n {
			if k != in {
				p.costs[k] -= c * row[k]
			}
		}
		p.costs[in] = -c * row[in]
	}
	p.basic[out], p.free[in] = p.free[in], p.basic[out]
}

// amounts are the values of x.
func (p *program) amounts() []float64 {
	x := make([]float64, p.width)
	for i, v := range p.basic {
		if v < p.width {
			x[v] = p.rows[i][p.width]
		}
	}
	return x
}
