package exchange

import (
	"bytes"
	"fmt"
	"strings"

	"codeberg.org/go-pdf/fpdf"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/report"
	"zaino/internal/core/wiring"
)

// WritePowerCSV writes a power sheet as text.
func WritePowerCSV(j *fitout.Job) ([]byte, error) {
	s := report.PowerSheetOf(j)
	return writeSheetCSV(&s.Sheet)
}

// WritePowerXLSX writes a power sheet as a workbook.
func WritePowerXLSX(j *fitout.Job) ([]byte, error) {
	s := report.PowerSheetOf(j)
	return writeSheetXLSX(&s.Sheet)
}

// WritePowerPDF writes a power sheet as pages for the electrician and the customer: the
// board, every table, the cautions.
func WritePowerPDF(j *fitout.Job) ([]byte, error) {
	s := report.PowerSheetOf(j)
	return writeSheetPDF(&s.Sheet, func(pdf *fpdf.Fpdf, text func(string) string) { drawBoard(pdf, &s.Drawing, text) })
}

// drawBoard draws the board across the page, over as many pages as it needs.
func drawBoard(pdf *fpdf.Fpdf, d *wiring.BoardDrawing, text func(string) string) {
	if len(d.Boxes) == 0 {
		return
	}
	scale := pageWidth / d.Width
	top := pdf.GetY() + 4
	const foot = 275.0
	from := 0.0 // of the drawing, where this page begins
	for from < d.Height {
		to := from + (foot-top)/scale
		inside := func(y float64) bool { return y >= from && y < to }
		at := func(x, y float64) (float64, float64) { return 14 + x*scale, top + (y-from)*scale }
		for _, w := range d.Wires {
			pdf.SetLineWidth(w.Thick * scale * 0.6)
			for i := 0; i+3 < len(w.Points); i += 2 {
				y1, y2 := max(from, min(to, w.Points[i+1])), max(from, min(to, w.Points[i+3]))
				if y1 == y2 && !inside(w.Points[i+1]) {
					continue
				}
				x1, up := at(w.Points[i], y1)
				x2, down := at(w.Points[i+2], y2)
				pdf.Line(x1, up, x2, down)
			}
		}
		pdf.SetLineWidth(0.2)
		pdf.SetFillColor(255, 255, 255)
		for _, b := range d.Boxes {
			if inside(b.Y) {
				x, y := at(b.X, b.Y)
				pdf.Rect(x, y, b.Width*scale, b.Height*scale, "FD")
			}
		}
		for _, t := range d.Texts {
			if inside(t.Y) {
				pdf.SetFont(sans, map[bool]string{true: "B"}[t.Strong], 11*scale*2.83*0.82)
				x, y := at(t.X, t.Y)
				pdf.Text(x, y, text(t.Text))
			}
		}
		if from = to; from < d.Height {
			pdf.AddPage()
			top = 16
		} else {
			pdf.SetY(min(foot, top+(d.Height-(to-(foot-top)/scale))*scale))
		}
	}
	pdf.SetX(14)
}

// WriteBoardSVG writes the board of a job as a drawing.
func WriteBoardSVG(j *fitout.Job) ([]byte, error) {
	d := wiring.Engine().Figures(plan.Of(j)).Drawing
	var out bytes.Buffer
	fmt.Fprintf(&out, `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %.0f %.0f" font-family="sans-serif" font-size="11">`+"\n",
		d.Width, max(20, d.Height))
	fmt.Fprintf(&out, "<title>%s, board</title>\n", escaped(j.Name))
	for _, w := range d.Wires {
		points := make([]string, 0, len(w.Points)/2)
		for i := 0; i+1 < len(w.Points); i += 2 {
			points = append(points, fmt.Sprintf("%.1f %.1f", w.Points[i], w.Points[i+1]))
		}
		dash := ""
		if w.Dashed {
			dash = ` stroke-dasharray="6 4"`
		}
		fmt.Fprintf(&out, `<path d="M%s" fill="none" stroke="#1d2b2a" stroke-width="%.1f"%s/>`+"\n",
			strings.Join(points, "L"), w.Thick, dash)
	}
	for _, b := range d.Boxes {
		fmt.Fprintf(&out, `<rect x="%.1f" y="%.1f" width="%.1f" height="%.1f" fill="#ffffff" stroke="#1d2b2a"/>`+"\n", b.X,
			b.Y, b.Width,
			b.Height)
	}
	for _, t := range d.Texts {
		weight := ""
		if t.Strong {
			weight = ` font-weight="bold"`
		}
		fmt.Fprintf(&out, `<text x="%.1f" y="%.1f" fill="#1d2b2a"%s>%s</text>`+"\n", t.X, t.Y, weight, escaped(t.Text))
	}
	out.WriteString("</svg>\n")
	return out.Bytes(), nil
}
