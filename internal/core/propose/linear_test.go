package propose

import (
	"math"
	"testing"

	"pgregory.net/rapid"
)

// atCorners solves a small program by looking at every corner: as many of the ends, of variables and rows, as there are
// variables. It is written without anything of the program; false where no corner keeps everything.
func atCorners(worth, high []float64, rows []row) (best float64, found bool) {
	n := len(worth)
	type plane struct {
		times []float64
		at    float64
	}
	var planes []plane
	for j := range n {
		unit := make([]float64, n)
		unit[j] = 1
		planes = append(planes, plane{unit, 0}, plane{unit, high[j]})
	}
	dense := make([][]float64, len(rows))
	for i, r := range rows {
		dense[i] = make([]float64, n)
		for k, at := range r.at {
			dense[i][at] += r.times[k]
		}
		for _, end := range []float64{r.low, r.high} {
			if !math.IsInf(end, 0) {
				planes = append(planes, plane{dense[i], end})
			}
		}
	}
	keeps := func(x []float64) bool {
		for j := range x {
			if x[j] < -1e-7 || x[j] > high[j]+1e-7 {
				return false
			}
		}
		for i, r := range rows {
			sum := 0.0
			for j, by := range dense[i] {
				sum += by * x[j]
			}
			if sum < r.low-1e-7 || sum > r.high+1e-7 {
				return false
			}
		}
		return true
	}
	chosen := make([]int, 0, n)
	var look func(from int)
	look = func(from int) {
		if len(chosen) == n {
			a, b := make([][]float64, n), make([]float64, n)
			for i, c := range chosen {
				a[i], b[i] = append([]float64{}, planes[c].times...), planes[c].at
			}
			if x, ok := eliminated(a, b); ok && keeps(x) {
				sum := 0.0
				for j := range x {
					sum += worth[j] * x[j]
				}
				if !found || sum > best {
					best, found = sum, true
				}
			}
			return
		}
		for c := from; c < len(planes); c++ {
			chosen = append(chosen, c)
			look(c + 1)
			chosen = chosen[:len(chosen)-1]
		}
	}
	look(0)
	return best, found
}

// eliminated solves as many equations as there are unknowns; false where they do not say one answer.
func eliminated(a [][]float64, b []float64) ([]float64, bool) {
	n := len(b)
	for c := range n {
		most := c
		for i := c + 1; i < n; i++ {
			if math.Abs(a[i][c]) > math.Abs(a[most][c]) {
				most = i
			}
		}
		if math.Abs(a[most][c]) < 1e-9 {
			return nil, false
		}
		a[c], a[most], b[c], b[most] = a[most], a[c], b[most], b[c]
		for i := range n {
			if i == c {
				continue
			}
			by := a[i][c] / a[c][c]
			for j := c; j < n; j++ {
				a[i][j] -= by * a[c][j]
			}
			b[i] -= by * b[c]
		}
	}
	for i := range n {
		b[i] /= a[i][i]
	}
	return b, true
}

// A program of a few variables is solved as its corners say; so is one that had a row added, or a variable shut out,
// after it was solved.
func TestAProgramIsSolvedAsItsCornersSay(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(1, 4).Draw(t, "variables")
		figure := rapid.Map(rapid.IntRange(-6, 6), func(i int) float64 { return float64(i) })
		worth := rapid.SliceOfN(figure, n, n).Draw(t, "worth")
		high := rapid.SliceOfN(rapid.Map(rapid.IntRange(0, 4), func(i int) float64 { return float64(i) }), n, n).
			Draw(t, "high")
		drawn := func() row {
			r := row{low: math.Inf(-1), high: math.Inf(1)}
			for j := range n {
				if by := figure.Draw(t, "times"); by != 0 {
					r.add(j, by)
				}
			}
			end := figure.Draw(t, "end")
			switch rapid.IntRange(0, 2).Draw(t, "kind") {
			case 0:
				r.high = end
			case 1:
				r.low = end
			default:
				r.low, r.high = end, end+float64(rapid.IntRange(0, 3).Draw(t, "room"))
			}
			return r
		}
		var rows []row
		for range rapid.IntRange(1, 4).Draw(t, "rows") {
			rows = append(rows, drawn())
		}
		p := newLinear(worth, high, rows)
		agrees := func(when string) {
			want, any := atCorners(worth, high, rows)
			got := p.solve(1000, math.Inf(-1))
			if got != any || any && math.Abs(p.sum()-want) > 1e-6 {
				t.Fatalf("%s: %v %v, the corners say %v %v", when, p.sum(), got, want, any)
			}
		}
		agrees("at first")
		rows = append(rows, drawn())
		p.add(rows[len(rows)-1])
		agrees("with one more row")
		shut := rapid.IntRange(0, n-1).Draw(t, "shut out")
		high[shut], p.high[shut] = 0, 0
		agrees("with one shut out")
	})
}
