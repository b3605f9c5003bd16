package exchange

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"strconv"
	"testing"

	"codeberg.org/go-pdf/fpdf"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"

	"zaino/internal/core/assess"
	"zaino/internal/core/report"
	"zaino/internal/demo"
)

// What is handed over says what the screen says, in every format.
func TestTheAccountIsTheSameInEveryFormat(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for _, j := range jobs {
		a, err := report.AccountOf(&j, "")
		require.NoError(t, err)
		data, err := WriteAccountCSV(&a)
		require.NoError(t, err)
		rows, err := csv.NewReader(bytes.NewReader(data)).ReadAll()
		require.NoError(t, err)
		require.Len(t, rows, len(a.Rows)+2)
		for _, row := range rows[1:] {
			for _, figure := range row[3:] {
				_, err := strconv.ParseFloat(figure, 64)
				require.NoError(t, err, "%s: figures are figures, negative ones too", row[1])
			}
		}
		rear, err := strconv.ParseFloat(rows[len(rows)-1][9], 64)
		require.NoError(t, err)
		assert.InDelta(t, assess.Of(&j).Axles.Rear, rear, 0.051)

		data, err = WriteAccountXLSX(&a)
		require.NoError(t, err)
		book, err := excelize.OpenReader(bytes.NewReader(data))
		require.NoError(t, err)
		cells, err := book.GetRows("Masses")
		require.NoError(t, err)
		require.Len(t, cells, len(a.Rows)+2)
		assert.Equal(t, a.Rows[1].Name, cells[2][1])
		assert.Contains(t, book.GetSheetList(), "Formulas")

		data, err = WriteAccountPDF(&a)
		require.NoError(t, err)
		assert.True(t, bytes.HasPrefix(data, []byte("%PDF-")))
		assert.Greater(t, len(data), 4000)
	}
}

// Every figure, formula and number of the PDF stands whole in its column, for each
// demo job in the state shown and in its worst.
func TestTheFormulasOfThePDFStandWhole(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	pdf := fpdf.New("P", "mm", "A4", "")
	pdf.AddPage()
	pdf.SetFont(sans, "", 7.5)
	encode := withFonts(pdf)
	for _, j := range jobs {
		for _, state := range []string{"", "worst:rear"} {
			a, err := report.AccountOf(&j, state)
			require.NoError(t, err)
			require.GreaterOrEqual(t, len(a.Formulas), 8)
			for _, f := range a.Formulas {
				for k, text := range []string{f.Name, f.Formula, f.Numbers} {
					whole := encode(text)
					assert.Equal(t, whole, fitted(pdf, whole, formulaWidths[k]), "%s", text)
					assert.NotContains(t, whole, "?", "%s has letters that the font lacks", text)
				}
			}
		}
	}
}

// What somebody named like a formula stays text in every table that is handed over.
func TestNamesLikeFormulasStayText(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := jobs[0]
	j.Variants[0].Items[0].Name = "=HYPERLINK(\"http://elsewhere\")"
	j.Variants[0].Items[1].Name = "+1 spare, „grün“ − Ω"
	j.Name = "@job"
	a, err := report.AccountOf(&j, "case:leaving")
	require.NoError(t, err)
	data, err := WriteAccountCSV(&a)
	require.NoError(t, err)
	rows, err := csv.NewReader(bytes.NewReader(data)).ReadAll()
	require.NoError(t, err)
	names := map[string]bool{}
	for _, row := range rows {
		names[row[1]] = true
		for _, word := range row[:3] {
			if word != "" {
				assert.NotContains(t, "=+@\t\r", word[:1], word)
			}
		}
	}
	assert.True(t, names["'=HYPERLINK(\"http://elsewhere\")"])

	data, err = WriteAccountXLSX(&a)
	require.NoError(t, err)
	book, err := excelize.OpenReader(bytes.NewReader(data))
	require.NoError(t, err)
	about, err := book.GetRows("About")
	require.NoError(t, err)
	assert.Contains(t, about[3][0], "Leaving the depot, full: with", "it says which state it is of")
	cells, err := book.GetRows("Masses")
	require.NoError(t, err)
	for i := range cells {
		formula, err := book.GetCellFormula("Masses", fmt.Sprintf("B%d", i+1))
		require.NoError(t, err)
		assert.Empty(t, formula)
	}

	data, err = WriteAccountPDF(&a)
	require.NoError(t, err)
	assert.True(t, bytes.HasPrefix(data, []byte("%PDF-")), "letters that the font lacks do not stop it")
}
