package exchange

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"math"
	"strconv"

	"zaino/internal/core/report"
)

// accountHead are the columns of an account, as a table has them. Masses are in
// kg, lengths in mm, whatever the units of the job: what is checked by others is
// checked in one set of units.
var accountHead = []string{"Group", "Name", "Source", "Mass kg", "x mm", "y mm", "z mm", "Moment kg·m", "Front kg",
	"Rear kg"}

func accountRow(r *report.AccountRow) []string {
	n := func(x float64) string { return strconv.FormatFloat(x, 'f', 1, 64) }
	return []string{r.Group, r.Name, r.Source, n(r.Kg), n(r.X), n(r.Y), n(r.Z), n(r.Moment), n(r.Front), n(r.Rear)}
}

// WriteAccountCSV writes where the figures of a job come from as CSV: the rows and
// their sum.
func WriteAccountCSV(a *report.Account) ([]byte, error) {
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	rows := [][]string{accountHead}
	for i := range a.Rows {
		rows = append(rows, accountRow(&a.Rows[i]))
	}
	rows = append(rows, accountRow(&a.Sum))
	for _, row := range rows {
		for k := range 3 { // words; the rest are figures, which may be negative
			row[k] = plainText(row[k])
		}
	}
	err := w.WriteAll(rows)
	return out.Bytes(), err
}

// WriteAccountXLSX writes the account as a workbook: masses, formulas, limits. Moments, axle loads and sums are live.
func WriteAccountXLSX(a *report.Account) ([]byte, error) {
	b := newBook(a.Job + ", " + a.Case)
	about := [][]any{{a.Job}, {a.Customer}, {"Variant " + a.Variant}, {a.Case + ": " + a.State}, {a.Baseline}}
	for _, c := range a.Cautions {
		about = append(about, []any{c})
	}
	b.sheet("About", 60, about)
	b.sheet("Masses", 16, massRows(a))
	formulas := [][]any{{"Figure", "Formula", "With the numbers put in"}}
	for _, x := range a.Formulas {
		formulas = append(formulas, []any{x.Name, x.Formula, x.Numbers})
	}
	b.sheet("Formulas", 40, formulas)
	limits := [][]any{{"Limit", "Source", "Binds", "Load kg", "Limit kg", "Left kg", "σ kg", "Probability over"}}
	for _, l := range a.Limits {
		n := len(limits) + 1
		var left any = l.Left
		if math.Abs(l.Limit-l.Load-l.Left) < 1e-6 {
			left = formula(fmt.Sprintf("E%d-D%d", n, n))
		}
		limits = append(limits, []any{l.Title, l.Source, l.Binds, l.Load, l.Limit, left, l.Sigma, l.Over})
	}
	b.sheet("Limits", 22, limits)
	return b.bytes()
}

// massRows are the masses with what follows from them as formulas: the moment about the front axle, the axle loads by
// the wheelbase beside the head, and the sum at its centre of gravity.
func massRows(a *report.Account) [][]any {
	rows := [][]any{{}}
	for _, h := range accountHead {
		rows[0] = append(rows[0], h)
	}
	rows[0] = append(rows[0], "", "Wheelbase mm", a.Base)
	for _, r := range a.Rows {
		n := len(rows) + 1
		row := []any{r.Group, r.Name, r.Source, r.Kg, r.X, r.Y, r.Z, r.Moment, r.Front, r.Rear}
		if a.Base > 0 && math.Abs(r.Kg*r.X/1000-r.Moment) < 1e-6 && math.Abs(r.Kg*r.X/a.Base-r.Rear) < 1e-6 {
			row[7] = formula(fmt.Sprintf("D%d*E%d/1000", n, n))
			row[8] = formula(fmt.Sprintf("D%d-J%d", n, n))
			row[9] = formula(fmt.Sprintf("D%d*E%d/$M$1", n, n))
		}
		rows = append(rows, row)
	}
	n := len(rows)
	sum := []any{a.Sum.Group, a.Sum.Name, a.Sum.Source, formula(sumOf("D", n))}
	for _, axis := range []string{"E", "F", "G"} {
		if a.Sum.Kg == 0 {
			sum = append(sum, 0.0)
			continue
		}
		sum = append(sum, formula(fmt.Sprintf("SUMPRODUCT(D2:D%d,%s2:%s%d)/D%d", n, axis, axis, n, n+1)))
	}
	for _, column := range []string{"H", "I", "J"} {
		sum = append(sum, formula(sumOf(column, n)))
	}
	return append(rows, sum)
}

// WriteAccountPDF writes the account as pages to hand over: where the figures come
// from, the formulas, the limits with their sources, and the cautions.
func WriteAccountPDF(a *report.Account) ([]byte, error) {
	pdf, text := pages(a.Job, a.Job)
	heading := func(s string) {
		pdf.Ln(3)
		pdf.SetFont(sans, "B", 12)
		pdf.MultiCell(0, 6, text(s), "", "L", false)
		pdf.SetFont(sans, "", 9)
	}
	say := func(s string) {
		pdf.SetFont(sans, "", 9)
		pdf.MultiCell(0, 4.5, text(s), "", "L", false)
	}
	pdf.SetFont(sans, "B", 16)
	pdf.MultiCell(0, 8, text(a.Job), "", "L", false)
	say(fmt.Sprintf("%s. Variant %s. %s: %s.", a.Customer, a.Variant, a.Case, a.State))
	say(a.Baseline)
	table := func(rows [][]string, align string) {
		(&paperTable{head: rows[0], rows: rows[1:], align: align, size: 7.5}).write(pdf, text)
	}
	heading("Limits")
	limits := [][]string{{"Limit", "Source", "Load kg", "Limit kg", "Left kg", "± 2σ kg", "Over with"}}
	for _, l := range a.Limits {
		limits = append(limits, []string{l.Title, l.Source, fmt.Sprintf("%.1f", l.Load), fmt.Sprintf("%.1f", l.Limit),
			fmt.Sprintf("%.1f", l.Left), fmt.Sprintf("%.1f", 2*l.Sigma), fmt.Sprintf("%.1f %%", 100*l.Over)})
	}
	table(limits, "LLRRRRR")
	heading("Formulas with the numbers put in")
	formulas := [][]string{{"Figure", "Formula", "Numbers"}}
	for _, x := range a.Formulas {
		formulas = append(formulas, []string{x.Name, x.Formula, x.Numbers})
	}
	table(formulas, "LLL")
	heading("Masses in this state")
	rows := [][]string{accountHead}
	for i := range a.Rows {
		rows = append(rows, accountRow(&a.Rows[i]))
	}
	rows = append(rows, accountRow(&a.Sum))
	table(rows, "LLLRRRRRRR")
	heading("Cautions")
	for _, c := range a.Cautions {
		say(c)
	}
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}
