package trip

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// By whichever rule the rows are brought back, by the worst first or carefully, the same programs can be solved, and
// at the same least cost; every row is kept.
func TestTheCarefulRuleComesToTheSame(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n, m := rapid.IntRange(1, 6).Draw(t, "unknowns"), rapid.IntRange(1, 9).Draw(t, "rows")
		figure := rapid.IntRange(-4, 4)
		costs := make([]float64, n)
		for k := range costs {
			costs[k] = float64(rapid.IntRange(0, 5).Draw(t, "cost"))
		}
		type row struct {
			terms []term
			bound float64
		}
		var rows []row
		for range m {
			own := row{bound: float64(figure.Draw(t, "bound"))}
			for k := range n {
				if by := figure.Draw(t, "by"); by != 0 {
					own.terms = append(own.terms, term{k, float64(by)})
				}
			}
			rows = append(rows, own)
		}
		solved := func(patience int) (cost float64, ok bool) {
			p := newProgram(costs)
			p.patience = patience
			for _, r := range rows {
				p.keep(r.terms, r.bound)
			}
			if !p.solve() {
				return 0, false
			}
			x := p.amounts()
			for k := range x {
				cost += costs[k] * x[k]
				if x[k] < -1e-6 {
					t.Fatalf("less than nothing: %v", x)
				}
			}
			for _, r := range rows {
				sum := 0.0
				for _, of := range r.terms {
					sum += of.by * x[of.of]
				}
				if sum > r.bound+1e-6 {
					t.Fatalf("%v breaks %v", x, r)
				}
			}
			return cost, true
		}
		cost, ok := solved(20)
		careful, also := solved(-1)
		assert.Equal(t, ok, also)
		assert.InDelta(t, cost, careful, 1e-6*(1+cost))
	})
}
