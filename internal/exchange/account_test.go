package exchange

import (
	"bytes"
	"compress/zlib"
	"encoding/csv"
	"fmt"
	"io"
	"strconv"
	"strings"
	"testing"
	"time"
	"unicode/utf16"

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
		live := func(cell string, want float64) {
			f, err := book.GetCellFormula("Masses", cell)
			require.NoError(t, err)
			assert.NotEmpty(t, f, cell)
			kept, err := book.GetCellValue("Masses", cell, excelize.Options{RawCellValue: true})
			require.NoError(t, err)
			shown, err := strconv.ParseFloat(kept, 64)
			require.NoError(t, err)
			assert.InDelta(t, want, shown, 1e-6, cell)
		}
		last := strconv.Itoa(len(a.Rows) + 2)
		figures := assess.Of(&j)
		live("D"+last, figures.Axles.Front+figures.Axles.Rear)
		live("I"+last, figures.Axles.Front)
		live("J"+last, figures.Axles.Rear)
		live("E"+last, j.Vehicle.Wheelbase*figures.Axles.Rear/(figures.Axles.Front+figures.Axles.Rear))
		live("J2", a.Rows[0].Rear)
		// Who puts another mass into a row sees its axle load.
		require.NoError(t, book.SetCellValue("Masses", "D3", a.Rows[1].Kg+100))
		front, err := book.CalcCellValue("Masses", "I"+last, excelize.Options{RawCellValue: true})
		require.NoError(t, err)
		changed, err := strconv.ParseFloat(front, 64)
		require.NoError(t, err)
		assert.InDelta(t, figures.Axles.Front+100*(1-a.Rows[1].X/a.Base), changed, 1e-6)
		of, err := book.GetDocProps()
		require.NoError(t, err)
		assert.Equal(t, "Zaino", of.Creator)
		assert.Contains(t, of.Title, j.Name)

		data, err = WriteAccountPDF(&a)
		require.NoError(t, err)
		assert.True(t, bytes.HasPrefix(data, []byte("%PDF-")))
		assert.Greater(t, len(data), 4000)
	}
}

// Every figure, formula and number of the account stands whole on its pages, for each demo job in the state shown and
// in its worst.
func TestTheFormulasOfThePDFStandWhole(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for _, j := range jobs {
		for _, state := range []string{"", "worst:rear"} {
			a, err := report.AccountOf(&j, state)
			require.NoError(t, err)
			require.GreaterOrEqual(t, len(a.Formulas), 8)
			data, err := WriteAccountPDF(&a)
			require.NoError(t, err)
			pages := textOf(t, data)
			whole := strings.Join(pages, " ")
			for _, f := range a.Formulas {
				for _, text := range []string{f.Name, f.Formula, f.Numbers} {
					for _, word := range strings.Fields(drawable.Replace(text)) {
						assert.Contains(t, whole, word, "%s", text)
					}
				}
			}
			for i := range a.Rows {
				for _, word := range strings.Fields(a.Rows[i].Name) {
					assert.Contains(t, whole, word)
				}
			}
			assert.NotContains(t, whole, "?", "a letter that the font lacks")
		}
	}
}

// textOf is what stands on the pages of a PDF, a text for each.
func textOf(t *testing.T, data []byte) []string {
	t.Helper()
	var pages []string
	for _, part := range bytes.Split(data, []byte("stream\n"))[1:] {
		r, err := zlib.NewReader(bytes.NewReader(part))
		if err != nil {
			continue
		}
		plain, _ := io.ReadAll(r)
		if !bytes.Contains(plain, []byte("BT ")) {
			continue
		}
		var words []string
		for rest := plain; ; {
			at := bytes.Index(rest, []byte("Td ("))
			if at < 0 {
				break
			}
			rest = rest[at+4:]
			end := 0
			var raw []byte
			for end < len(rest) && rest[end] != ')' {
				if rest[end] == '\\' {
					end++
					if rest[end] == 'r' {
						raw, end = append(raw, '\r'), end+1
						continue
					}
				}
				raw = append(raw, rest[end])
				end++
			}
			units := make([]uint16, len(raw)/2)
			for i := range units {
				units[i] = uint16(raw[2*i])<<8 | uint16(raw[2*i+1])
			}
			words = append(words, string(utf16.Decode(units)))
		}
		pages = append(pages, strings.Join(words, " "))
	}
	return pages
}

func TestNamesOfAllCountriesStandOnPaper(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := jobs[0]
	j.Name = "Żółw №5 Ключ Ωμέγα Ağaç"
	items := j.Variants[0].Items
	items[0].Name = "Nước mắm 鍋 кухня"
	for i := range 90 { // more than a page of them
		items = append(items, items[0])
		items[len(items)-1].ID = fmt.Sprint("more-", i)
	}
	j.Variants[0].Items = items
	a, err := report.AccountOf(&j, "")
	require.NoError(t, err)
	data, err := WriteAccountPDF(&a)
	require.NoError(t, err)
	pages := textOf(t, data)
	require.Greater(t, len(pages), 2)
	for i, page := range pages {
		assert.Contains(t, page, "Żółw №5 Ключ Ωμέγα Ağaç", "page %d says what it is of", i+1)
	}
	assert.Contains(t, pages[1], "Moment kg·m", "the head of a table stands again")
	whole := strings.Join(pages, " ")
	assert.Contains(t, whole, "кухня")
	assert.Contains(t, whole, "?", "a letter of no font here is seen to be missing")
	assert.Regexp(t, `N.{0,2}c m.m`, whole)
	assert.Contains(t, string(data), "/CreationDate (D:"+time.Now().UTC().Format("2006"))
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
