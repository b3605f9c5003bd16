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

// writeSheetXLSX writes a sheet as a workbook, a sheet of it for each table.
func writeSheetXLSX(s *report.Sheet) ([]byte, error) {
	f := excelize.NewFile()
	defer func() { _ = f.Close() }()
	about := report.Table{Name: "About", Head: []string{s.Job}, Rows: [][]string{{s.Customer}, {"Variant " + s.Variant},
		{s.About}}}
	for _, c := range s.Cautions {
		about.Rows = append(about.Rows, []string{c})
	}
	for _, t := range append([]report.Table{about}, s.Tables...) {
		if _, err := f.NewSheet(t.Name); err != nil {
			return nil, err
		}
		for i, row := range append([][]string{t.Head}, t.Rows...) {
			cells := make([]any, len(row))
			for k := range row {
				cells[k] = row[k]
			}
			if err := f.SetSheetRow(t.Name, "A"+strconv.Itoa(i+1), &cells); err != nil {
				return nil, err
			}
		}
		if err := f.SetColWidth(t.Name, "A", "H", 22); err != nil {
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
		pdf.Ln(4)
		pdf.SetFont(sans, "B", 12)
		pdf.MultiCell(0, 6, text(t.Name), "", "L", false)
		pdf.SetFont(sans, "B", 7.5)
		widths := columnWidths(pdf, &t, text)
		for i, row := range append([][]string{t.Head}, t.Rows...) {
			pdf.SetFont(sans, map[bool]string{true: "B"}[i == 0], 7.5)
			for k, cell := range row {
				pdf.CellFormat(widths[k], 4.8, fitted(pdf, text(cell), widths[k]), "B", 0, "L", false, 0, "")
			}
			pdf.Ln(-1)
		}
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

// columnWidths are as wide as what stands in each column, and together as wide as the page.
func columnWidths(pdf *fpdf.Fpdf, t *report.Table, text func(string) string) []float64 {
	const beside = 3.0 // mm
	widths := make([]float64, len(t.Head))
	sum := 0.0
	for k := range widths {
		for _, row := range append([][]string{t.Head}, t.Rows...) {
			widths[k] = max(widths[k], pdf.GetStringWidth(text(row[k]))+beside)
		}
		sum += widths[k]
	}
	for k := range widths {
		widths[k] *= pageWidth / sum
	}
	return widths
}

// pageWidth is what the margins leave of a page, mm.
const pageWidth = 182.0
