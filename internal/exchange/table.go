package exchange

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"regexp"
	"strconv"
	"strings"

	"codeberg.org/go-pdf/fpdf"
	"github.com/xuri/excelize/v2"

	"zaino/internal/core/report"
)

// writeSheetCSV writes the tables of a sheet one under the other, each with its name before its
// head.
func writeSheetCSV(s *report.Sheet) ([]byte, error) {
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	for i, t := range s.Tables {
		rows := append([][]string{{t.Name}, t.Head}, t.Rows...)
		if i > 0 {
			rows = append([][]string{{""}}, rows...)
		}
		for _, row := range rows {
			safe := make([]string, len(row))
			for k := range row {
				safe[k] = plainText(row[k])
			}
			if err := w.Write(safe); err != nil {
				return nil, err
			}
		}
	}
	w.Flush()
	return out.Bytes(), w.Error()
}

// writeSheetXLSX writes a sheet as a workbook, a sheet of it for each table. What is a figure is written as one.
func writeSheetXLSX(s *report.Sheet) ([]byte, error) {
	b := newBook(s.Job + ", " + s.Subject)
	about := [][]any{{s.Job}, {s.Customer}, {"Variant " + s.Variant}, {s.About}}
	for _, c := range s.Cautions {
		about = append(about, []any{c})
	}
	b.sheet("About", 60, about)
	for _, t := range s.Tables {
		rows := make([][]any, 0, len(t.Rows)+1)
		for i, row := range append([][]string{t.Head}, t.Rows...) {
			cells := make([]any, len(row))
			for k, text := range row {
				if cells[k] = text; i > 0 {
					cells[k] = figureOf(text)
				}
			}
			rows = append(rows, cells)
		}
		if sum := sumRow(rows, t.Sums); sum != nil {
			rows = append(rows, sum)
		}
		b.sheet(t.Name, 22, rows)
	}
	return b.bytes()
}

// measure is a figure with its unit, as a workbook shows and still adds it up.
type measure struct {
	value    float64
	decimals int
	unit     string
}

// shown is a figure as the core shows it: thousands apart, a unit behind.
var shown = regexp.MustCompile(`^(-?\d{1,3}(?:\x{202f}\d{3})*(?:\.(\d+))?)\x{00a0}([^"]+)$`)

// figureOf is a figure where a text is one.
func figureOf(text string) any {
	if plainNumber.MatchString(text) {
		if value, err := strconv.ParseFloat(text, 64); err == nil {
			return value
		}
	}
	if m := shown.FindStringSubmatch(text); m != nil {
		if value, err := strconv.ParseFloat(strings.ReplaceAll(m[1], "\u202f", ""), 64); err == nil {
			return measure{value, len(m[2]), m[3]}
		}
	}
	return text
}

// sumRow sums columns of figures with one unit, below the rows and their head; nil where there is nothing to sum.
func sumRow(rows [][]any, columns []int) []any {
	if len(columns) == 0 || len(rows) < 3 {
		return nil
	}
	sum := make([]any, len(rows[0]))
	sum[0] = "Together"
	for k := range sum[1:] {
		sum[k+1] = ""
	}
	for _, k := range columns {
		kind, same := rows[1][k], true
		var total summed
		for _, row := range rows[1:] {
			switch cell := row[k].(type) {
			case measure:
				first, ok := kind.(measure)
				same = same && ok && cell.unit == first.unit
				total.unit, total.decimals = cell.unit, max(total.decimals, cell.decimals)
			case float64:
				_, ok := kind.(float64)
				same = same && ok
			default:
				same = false
			}
		}
		if column, err := excelize.ColumnNumberToName(k + 1); err == nil && same {
			total.formula = formula(sumOf(column, len(rows)))
			sum[k] = total
		}
	}
	return sum
}

// pictured draws something of its own on the pages of a sheet.
type pictured func(pdf *fpdf.Fpdf, text func(string) string)

// writeSheetPDF writes a sheet as pages: a picture, if there is one, every table, the cautions, and pages that follow.
func writeSheetPDF(s *report.Sheet, picture pictured, following ...pictured) ([]byte, error) {
	pdf, text := pages(s.Job, s.Job+", "+s.Subject)
	pdf.SetFont(sans, "B", 16)
	pdf.MultiCell(0, 8, text(s.Job+": "+s.Subject), "", "L", false)
	pdf.SetFont(sans, "", 9)
	pdf.MultiCell(0, 4.5, text(fmt.Sprintf("%s Variant %s. %s.", s.Customer, s.Variant, s.About)), "", "L", false)
	for _, c := range s.Cautions {
		pdf.MultiCell(0, 4.5, text(c), "", "L", false)
	}
	picture(pdf, text)
	for _, t := range s.Tables {
		if len(t.Rows) == 0 {
			continue
		}
		(&paperTable{title: t.Name, head: t.Head, rows: t.Rows, size: 7.5}).write(pdf, text)
	}
	for _, more := range following {
		more(pdf, text)
	}
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}

// noPicture is of a sheet that has only tables.
func noPicture(*fpdf.Fpdf, func(string) string) {}

// pageWidth is what the margins leave of a page, mm.
const pageWidth = 182.0
