// Package cost adds up what a build costs, in whole hundredths of the currency. It rounds half up, each line by
// itself, so that the sum is the same in any order.
package cost

import (
	"math"
	"math/big"

	"zaino/internal/core/fitout"
)

// CostLine is one line of a quote.
type CostLine struct {
	What  string  `json:"what"`
	Count float64 `json:"count"`
	Unit  string  `json:"unit" doc:"pieces, sheets, h …"`
	Each  int     `json:"each" doc:"in cents; 0: not known"`
	Sum   int     `json:"sum" doc:"in cents"`
}

// CostLines are what a build takes, before mark-up.
type CostLines struct {
	Material []CostLine `json:"material" doc:"sheets and bars"`
	Hardware []CostLine `json:"hardware"`
	Bought   []CostLine `json:"bought" doc:"whole parts, and what is made elsewhere"`
	Work     []CostLine `json:"work" doc:"hours"`
}

// Quote is what is asked for a build, in cents.
type Quote struct {
	Material int `json:"material"`
	Hardware int `json:"hardware"`
	Bought   int `json:"bought"`
	Marked   int `json:"marked" doc:"mark-up on the three"`
	Parts    int `json:"parts" doc:"the three with the mark-up"`
	Work     int `json:"work"`
	Net      int `json:"net"`
	Tax      int `json:"tax"`
	Total    int `json:"total"`
	Deposit  int `json:"deposit"`
	Midway   int `json:"midway"`
	Rest     int `json:"rest" doc:"at hand-over"`
}

// Times is a sum of money times a factor, rounded half up to what the currency has: to a hundredth with two
// decimals, to a whole with none. The factor counts to a millionth.
func Times(cents int, factor float64, decimals int) int {
	unit := int64(math.Pow10(2 - max(0, min(2, decimals))))
	product := new(big.Int).Mul(big.NewInt(int64(cents)), big.NewInt(int64(math.Round(factor*1e6))))
	whole := big.NewInt(unit * 1e6)
	half := new(big.Int).Rsh(whole, 1)
	product.Add(product, half)
	product.Div(product, whole) // rounds down, also below nothing
	return int(product.Int64() * unit)
}

// Of is a line with its sum.
func Of(what string, count float64, unit string, each, decimals int) CostLine {
	return CostLine{What: what, Count: count, Unit: unit, Each: each, Sum: Times(each, count, decimals)}
}

// Sum adds lines up.
func Sum(lines []CostLine) int {
	total := 0
	for i := range lines {
		total += lines[i].Sum
	}
	return total
}

// QuoteOf is the price of lines: (material + hardware + bought) · (1 + mark-up) + Σ hours · rate, and the tax on
// the sum. The parts of the payment add up to the total.
func QuoteOf(l *CostLines, m *fitout.Money) Quote {
	q := Quote{Material: Sum(l.Material), Hardware: Sum(l.Hardware), Bought: Sum(l.Bought), Work: Sum(l.Work)}
	q.Parts = Times(q.Material+q.Hardware+q.Bought, 1+m.MarkUp, m.Decimals)
	q.Marked = q.Parts - q.Material - q.Hardware - q.Bought
	q.Net = q.Parts + q.Work
	q.Tax = Times(q.Net, m.Tax, m.Decimals)
	q.Total = q.Net + q.Tax
	q.Deposit = Times(q.Total, m.Deposit, m.Decimals)
	q.Midway = min(q.Total-q.Deposit, Times(q.Total, m.Midway, m.Decimals))
	q.Rest = q.Total - q.Deposit - q.Midway
	return q
}
