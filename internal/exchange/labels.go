package exchange

import (
	"bytes"
	"fmt"
	"image/color"
	"strings"

	"codeberg.org/go-pdf/fpdf"
	"github.com/boombuler/barcode/qr"

	"zaino/internal/core/fitout"
)

// LabelSheet is a common sheet of labels.
type LabelSheet string

// The label sheets: A4 with 3 × 8 of 70 × 37 mm, A4 with 2 × 7 of 99.1 × 38.1 mm, letter with 3 × 10 of
// 2⅝ × 1 in.
const (
	Labels24 LabelSheet = "24"
	Labels14 LabelSheet = "14"
	Labels30 LabelSheet = "30"
)

type labelGrid struct {
	paper                           fpdf.SizeType
	columns, rows                   int
	wide, high, left, top, betweenX float64
}

var labelGrids = map[LabelSheet]labelGrid{
	Labels24: {fpdf.SizeType{Wd: 210, Ht: 297}, 3, 8, 70, 37, 0, 0.5, 0},
	Labels14: {fpdf.SizeType{Wd: 210, Ht: 297}, 2, 7, 99.1, 38.1, 4.65, 15.15, 2.5},
	Labels30: {fpdf.SizeType{Wd: 215.9, Ht: 279.4}, 3, 10, 66.68, 25.4, 4.76, 12.7, 3.17},
}

// WriteLabels writes a label for every panel and profile that is made here: its name, its size, its part, where it
// goes, and a code that leads to its page at an address.
func WriteLabels(j *fitout.Job, sheet LabelSheet, address string) ([]byte, error) {
	g, known := labelGrids[sheet]
	if !known {
		return nil, fitout.Problem{Path: "labels", Given: string(sheet), Accepted: "24, 14 or 30 to a sheet"}
	}
	_, v := built(j)
	z := sizesOf(j)
	pdf := fpdf.NewCustom(&fpdf.InitType{UnitStr: "mm", Size: g.paper})
	text := withFonts(pdf)
	pdf.SetTitle(j.Name+", labels", true)
	pdf.SetAutoPageBreak(false, 0)
	n := 0
	add := func(mark, size, of, where string) error {
		at := n % (g.columns * g.rows)
		if at == 0 {
			pdf.AddPage()
		}
		n++
		x := g.left + float64(at%g.columns)*(g.wide+g.betweenX)
		y := g.top + float64(at/g.columns)*g.high
		code := min(g.high-6, 24)
		room := g.wide - code - 9
		line := func(k int, style string, points float64, s string) {
			pdf.SetFont(sans, style, points)
			pdf.Text(x+4, y+6+float64(k)*5, fitted(pdf, text(s), room))
		}
		line(0, "B", 12, mark)
		line(1, "", 9, size)
		line(2, "", 8, of)
		line(3, "", 7, where)
		return qrCode(
			pdf,
			strings.TrimRight(address, "/")+"/jobs/"+j.ID+"/build?part="+mark,
			x+g.wide-code-3,
			y+3,
			code,
		)
	}
	for i := range v.Panels {
		p := &v.Panels[i]
		if !p.Here {
			continue
		}
		if err := add(p.Mark, fmt.Sprintf("%s × %s × %s", z.say(p.CutLength), z.say(p.CutWidth), z.say(p.Thickness)), p.Of, p.Name); err != nil {
			return nil, err
		}
	}
	for i := range v.Rods {
		if err := add(v.Rods[i].Mark, z.say(v.Rods[i].Length), v.Rods[i].Of, v.Rods[i].Name); err != nil {
			return nil, err
		}
	}
	if n == 0 {
		pdf.AddPage()
		pdf.SetFont(sans, "", 12)
		pdf.Text(20, 30, text("Nothing of this variant is cut here."))
	}
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}

// qrCode draws a code as squares.
func qrCode(pdf *fpdf.Fpdf, content string, x, y, size float64) error {
	code, err := qr.Encode(content, qr.M, qr.Auto)
	if err != nil {
		return err
	}
	n := code.Bounds().Dx()
	cell := size / float64(n)
	pdf.SetFillColor(0, 0, 0)
	for row := range n {
		for from := 0; from < n; {
			to := from
			for to < n && code.At(to, row) == color.Black {
				to++
			}
			if to > from {
				pdf.Rect(x+float64(from)*cell, y+float64(row)*cell, float64(to-from)*cell, cell+0.01, "F")
			}
			from = to + 1
		}
	}
	return nil
}

// fitted cuts a text to the width of its label, between words where it can, and shows that it goes on.
func fitted(pdf *fpdf.Fpdf, s string, width float64) string {
	lines := pdf.SplitText(s, width-1.5)
	if len(lines) < 2 {
		return s
	}
	letters := []rune(lines[0])
	for len(letters) > 1 && pdf.GetStringWidth(string(letters)+"…") > width-1.5 {
		letters = letters[:len(letters)-1]
	}
	return string(letters) + "…"
}
