package exchange

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"strconv"

	"codeberg.org/go-pdf/fpdf"
	"github.com/xuri/excelize/v2"

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

// WriteAccountXLSX writes the account as a workbook: masses, formulas, limits.
func WriteAccountXLSX(a *report.Account) ([]byte, error) {
	f := excelize.NewFile()
	defer func() { _ = f.Close() }()
	put := func(sheet string, rows [][]any) error {
		if _, err := f.NewSheet(sheet); err != nil {
			return err
		}
		for i, row := range rows {
			cell, err := excelize.CoordinatesToCellName(1, i+1)
			if err != nil {
				return err
			}
			if err := f.SetSheetRow(sheet, cell, &row); err != nil {
				return err
			}
		}
		return f.SetColWidth(sheet, "A", "C", 26)
	}
	masses := [][]any{{}}
	for _, h := range accountHead {
		masses[0] = append(masses[0], h)
	}
	for _, r := range append(append([]report.AccountRow{}, a.Rows...), a.Sum) {
		masses = append(masses, []any{r.Group, r.Name, r.Source, r.Kg, r.X, r.Y, r.Z, r.Moment, r.Front, r.Rear})
	}
	formulas := [][]any{{"Figure", "Formula", "With the numbers put in"}}
	for _, x := range a.Formulas {
		formulas = append(formulas, []any{x.Name, x.Formula, x.Numbers})
	}
	limits := [][]any{{"Limit", "Source", "Binds", "Load kg", "Limit kg", "Left kg", "σ kg", "Probability over"}}
	for _, l := range a.Limits {
		limits = append(limits, []any{l.Title, l.Source, l.Binds, l.Load, l.Limit, l.Left, l.Sigma, l.Over})
	}
	about := [][]any{{a.Job}, {a.Customer}, {"Variant " + a.Variant}, {a.Case + ": " + a.State}, {a.Baseline}}
	for _, c := range a.Cautions {
		about = append(about, []any{c})
	}
	for _, sheet := range []struct {
		name string
		rows [][]any
	}{{"About", about}, {"Masses", masses}, {"Formulas", formulas}, {"Limits", limits}} {
		if err := put(sheet.name, sheet.rows); err != nil {
			return nil, err
		}
	}
	if err := f.DeleteSheet("Sheet1"); err != nil {
		return nil, err
	}
	out, err := f.WriteToBuffer()
	if err != nil {
		return nil, err
	}
	return out.Bytes(), nil
}

// formulaWidths are the columns of the formulas, mm.
var formulaWidths = []float64{40, 62, 80}

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
	table := func(widths []float64, align string, rows [][]string) {
		for i, row := range rows {
			style := ""
			if i == 0 {
				style = "B"
			}
			pdf.SetFont(sans, style, 7.5)
			for k, cell := range row {
				pdf.CellFormat(widths[k], 4.6, fitted(pdf, text(cell), widths[k]), "B", 0, align[k:k+1], false, 0, "")
			}
			pdf.Ln(-1)
		}
	}
	heading("Limits")
	limits := [][]string{{"Limit", "Source", "Load kg", "Limit kg", "Left kg", "± 2σ kg", "Over with"}}
	for _, l := range a.Limits {
		limits = append(limits, []string{l.Title, l.Source, fmt.Sprintf("%.1f", l.Load), fmt.Sprintf("%.1f", l.Limit),
			fmt.Sprintf("%.1f", l.Left), fmt.Sprintf("%.1f", 2*l.Sigma), fmt.Sprintf("%.1f %%", 100*l.Over)})
	}
	table([]float64{34, 28, 24, 24, 24, 24, 24}, "LLRRRRR", limits)
	heading("Formulas with the numbers put in")
	formulas := [][]string{{"Figure", "Formula", "Numbers"}}
	for _, x := range a.Formulas {
		formulas = append(formulas, []string{x.Name, x.Formula, x.Numbers})
	}
	table(formulaWidths, "LLL", formulas)
	heading("Masses in this state")
	rows := [][]string{accountHead}
	for i := range a.Rows {
		rows = append(rows, accountRow(&a.Rows[i]))
	}
	rows = append(rows, accountRow(&a.Sum))
	table([]float64{22, 42, 20, 15, 13, 13, 12, 20, 13, 12}, "LLLRRRRRRR", rows)
	heading("Cautions")
	for _, c := range a.Cautions {
		say(c)
	}
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}

// fitted cuts a text to the width of its cell.
func fitted(pdf *fpdf.Fpdf, s string, width float64) string {
	letters := []rune(s)
	for len(letters) > 1 && pdf.GetStringWidth(string(letters)) > width-1.5 {
		letters = letters[:len(letters)-1]
	}
	return string(letters)
}
