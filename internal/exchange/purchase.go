package exchange

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/report"
)

// WriteBuyPDF writes the purchase list as pages.
func WriteBuyPDF(j *fitout.Job) ([]byte, error) {
	p, v := built(j)
	t := report.Table{
		Name: "Purchase list",
		Head: []string{"what", "needed", "in stock", "buy", "supplier", "number", "days"},
	}
	for _, b := range v.Buy {
		t.Rows = append(
			t.Rows,
			[]string{
				b.Name,
				trimmed(b.Needed) + " " + b.Unit,
				trimmed(b.Have),
				fmt.Sprintf("%d %s", b.Buy, b.Of),
				b.Supply.From,
				b.Supply.Number,
				trimmed(b.Supply.Days),
			},
		)
	}
	s := report.Sheet{Job: j.Name, Customer: j.Customer, Variant: p.Variant.Name, Subject: "purchase list",
		About: "What the build takes, less what is in stock; an estimate", Tables: []report.Table{t}}
	return writeSheetPDF(&s, noPicture)
}

// WriteBuyCSV writes the purchase list as CSV.
func WriteBuyCSV(j *fitout.Job) ([]byte, error) {
	_, v := built(j)
	t := report.Table{
		Name: "Purchase list",
		Head: []string{"what", "needed", "unit", "in stock", "buy", "of", "supplier", "number", "days"},
	}
	for _, b := range v.Buy {
		t.Rows = append(
			t.Rows,
			[]string{
				b.Name,
				trimmed(b.Needed),
				b.Unit,
				trimmed(b.Have),
				fmt.Sprint(b.Buy),
				b.Of,
				b.Supply.From,
				b.Supply.Number,
				trimmed(b.Supply.Days),
			},
		)
	}
	return writeSheetCSV(&report.Sheet{Tables: []report.Table{t}})
}

func trimmed(value float64) string { return exactly(float64(int(value*100+0.5)) / 100) }
