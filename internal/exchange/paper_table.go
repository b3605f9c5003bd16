package exchange

import (
	"strings"

	"codeberg.org/go-pdf/fpdf"
)

// paperTable is a table on pages: its columns are as wide as what stands in them asks for, cells break their lines
// between words, and its head stands again on every page that it goes on to.
type paperTable struct {
	title string
	head  []string
	rows  [][]string
	align string  // a letter for each column, L or R; empty: all L
	size  float64 // of the letters, points
}

const (
	pageFoot    = 281.0 // where a page ends, mm from its top
	cellBeside  = 2.6   // of a cell, mm, beside what stands in it
	widestCell  = 70.0  // that a column asks for, mm
	smallestSet = 4.5   // points
)

// write writes the table at the place where the page is.
func (t *paperTable) write(pdf *fpdf.Fpdf, text func(string) string) {
	pdf.Ln(2)
	if t.title != "" {
		if pdf.GetY() > pageFoot-18 {
			pdf.AddPage()
		}
		pdf.SetFont(sans, "B", t.size+1)
		pdf.MultiCell(0, (t.size+1)*0.5, text(t.title), "", "L", false)
	}
	widths, size := t.widths(pdf, text)
	t.row(pdf, text, t.head, widths, size, "B")
	for _, cells := range t.rows {
		if pdf.GetY()+t.high(pdf, text, cells, widths, size, "") > pageFoot {
			pdf.AddPage()
			t.row(pdf, text, t.head, widths, size, "B")
		}
		t.row(pdf, text, cells, widths, size, "")
	}
}

// widths are those of the columns, and the size of letters with which no word is wider than its column.
func (t *paperTable) widths(pdf *fpdf.Fpdf, text func(string) string) (widths []float64, size float64) {
	for size = t.size; ; size -= 0.5 {
		least, wished := make([]float64, len(t.head)), make([]float64, len(t.head))
		for i, cells := range append([][]string{t.head}, t.rows...) {
			pdf.SetFont(sans, map[bool]string{true: "B"}[i == 0], size)
			for c, cell := range cells {
				cell = text(cell)
				wished[c] = max(wished[c], min(widestCell, pdf.GetStringWidth(cell)+cellBeside))
				for _, word := range strings.Split(cell, " ") {
					least[c] = max(least[c], pdf.GetStringWidth(word)+cellBeside)
				}
			}
		}
		sumLeast, sumWished := 0.0, 0.0
		for c := range least {
			wished[c] = max(wished[c], least[c])
			sumLeast, sumWished = sumLeast+least[c], sumWished+wished[c]
		}
		widths = make([]float64, len(t.head))
		for c := range widths {
			switch {
			case sumWished <= pageWidth:
				widths[c] = wished[c] * pageWidth / sumWished
			case sumLeast <= pageWidth:
				widths[c] = least[c] + (wished[c]-least[c])*(pageWidth-sumLeast)/(sumWished-sumLeast)
			default:
				widths[c] = least[c] * pageWidth / sumLeast
			}
		}
		if sumLeast <= pageWidth || size <= smallestSet {
			return widths, size
		}
	}
}

func (t *paperTable) lines(pdf *fpdf.Fpdf, text func(string) string, cells []string, widths []float64) (lines [][]string,
	most int) {
	lines, most = make([][]string, len(cells)), 1
	for c := range cells {
		lines[c] = pdf.SplitText(text(cells[c]), widths[c])
		most = max(most, len(lines[c]))
	}
	return lines, most
}

// high is how high a row is, mm.
func (t *paperTable) high(pdf *fpdf.Fpdf, text func(string) string, cells []string, widths []float64, size float64,
	style string) float64 {
	pdf.SetFont(sans, style, size)
	_, most := t.lines(pdf, text, cells, widths)
	return size*0.5*float64(most) + 0.8
}

func (t *paperTable) row(pdf *fpdf.Fpdf, text func(string) string, cells []string, widths []float64, size float64,
	style string) {
	high := t.high(pdf, text, cells, widths, size, style)
	lines, _ := t.lines(pdf, text, cells, widths)
	left, y := pdf.GetX(), pdf.GetY()
	x := left
	for c := range cells {
		align := "L"
		if c < len(t.align) {
			align = t.align[c : c+1]
		}
		for n, line := range lines[c] {
			pdf.SetXY(x, y+size*0.5*float64(n))
			pdf.CellFormat(widths[c], size*0.5, line, "", 0, align, false, 0, "")
		}
		x += widths[c]
	}
	pdf.SetDrawColor(190, 190, 190)
	pdf.Line(left, y+high-0.4, x, y+high-0.4)
	pdf.SetDrawColor(0, 0, 0)
	pdf.SetXY(left, y+high)
}
