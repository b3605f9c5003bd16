package exchange

import (
	"bytes"
	"fmt"
	"strconv"
	"strings"

	"codeberg.org/go-pdf/fpdf"

	"zaino/internal/core/build"
	"zaino/internal/core/fitout"
	"zaino/internal/core/report"
)

// WriteCutPDF writes the cut list, the bars, and every sheet with the order of its cuts as pages.
func WriteCutPDF(j *fitout.Job) ([]byte, error) {
	p, v := built(j)
	z := sizesOf(j)
	s := report.Sheet{Job: j.Name, Customer: j.Customer, Variant: p.Variant.Name, Subject: "cut list",
		About: fmt.Sprintf(
			"%d panels; sizes in %s, banding taken off",
			len(v.Panels),
			z.unit(),
		), Tables: cutTables(&v, z),
		Cautions: []string{"Measure the first panel of each size before the rest is cut. Guard, eyes, ears and dust."}}
	return writeSheetPDF(&s, noPicture, func(pdf *fpdf.Fpdf, text func(string) string) {
		n := 0
		for g := range v.Groups {
			for k := range v.Groups[g].Sheets {
				n++
				sheetPage(pdf, text, &v, &v.Groups[g].Sheets[k], n, z)
			}
		}
	})
}

// sheetPage draws one sheet with its pieces and the order of its cuts on a page of its own.
func sheetPage(pdf *fpdf.Fpdf, text func(string) string, v *build.BuildView, s *build.SheetCut, n int, z sizes) {
	pdf.AddPage()
	pdf.SetFont(sans, "B", 12)
	pdf.MultiCell(
		0,
		6,
		text(fmt.Sprintf("Sheet %d: %s, %s × %s %s", n, s.Name, z.say(s.Length), z.say(s.Width), z.unit())),
		"",
		"L",
		false,
	)
	pdf.SetFont(sans, "", 8)
	about := fmt.Sprintf("%d pieces, %.0f %% used", len(s.Pieces), 100*s.Used)
	if s.Trim > 0 {
		about += fmt.Sprintf("; first %s %s off every edge", z.say(s.Trim), z.unit())
	}
	if s.Place != "" {
		about += "; kept in " + s.Place
	}
	pdf.MultiCell(0, 5, text(about), "", "L", false)
	x0, y0 := pdf.GetX(), pdf.GetY()+2
	scale := min(pageWidth/s.Length, 110/s.Width)
	pdf.SetLineWidth(0.3)
	pdf.Rect(x0, y0, s.Length*scale, s.Width*scale, "D")
	pdf.SetLineWidth(0.15)
	for _, q := range s.Pieces {
		p := &v.Panels[q.Panel]
		pdf.SetFillColor(236, 231, 220)
		pdf.Rect(x0+q.X*scale, y0+q.Y*scale, q.Length*scale, q.Width*scale, "FD")
		high := min(3.2, q.Width*scale/2.4)
		pdf.SetFont(sans, "B", high*2.4)
		label := text(p.Mark)
		if pdf.GetStringWidth(label) < q.Length*scale-1 {
			pdf.Text(x0+q.X*scale+0.8, y0+q.Y*scale+high, label)
		}
		size := text(fmt.Sprintf("%s  %s × %s", p.Name, z.say(q.Length), z.say(q.Width)))
		pdf.SetFont(sans, "", high*2)
		if pdf.GetStringWidth(size) < q.Length*scale-1 && q.Width*scale > 2.3*high {
			pdf.Text(x0+q.X*scale+0.8, y0+q.Y*scale+2.1*high, size)
		}
	}
	pdf.SetDrawColor(176, 58, 46)
	pdf.SetTextColor(176, 58, 46)
	pdf.SetFont(sans, "B", 6)
	for k, c := range s.Cuts {
		x, y := x0+c.X*scale, y0+c.Y*scale
		to := [2]float64{x, y + c.Length*scale}
		if c.Rip {
			to = [2]float64{x + c.Length*scale, y}
		}
		pdf.Line(x, y, to[0], to[1])
		pdf.Text((x+to[0])/2+0.4, (y+to[1])/2-0.3, strconv.Itoa(k+1))
	}
	pdf.SetDrawColor(0, 0, 0)
	pdf.SetTextColor(0, 0, 0)
	pdf.SetXY(x0, y0+s.Width*scale+4)
	pdf.SetFont(sans, "", 8)
	var order []string
	for k, c := range s.Cuts {
		way, at := "across at", c.X
		if c.Rip {
			way, at = "along at", c.Y
		}
		order = append(order, fmt.Sprintf("%d %s %s", k+1, way, z.say(at)))
	}
	pdf.MultiCell(
		0,
		4.2,
		text("Cuts in their order, from the corner at the top left: "+strings.Join(order, "; ")+"."),
		"",
		"L",
		false,
	)
	for _, r := range s.Rests {
		pdf.MultiCell(0, 4.2, text(fmt.Sprintf("Keep: %s × %s", z.say(r.Length), z.say(r.Width))), "", "L", false)
	}
}

// WriteSheetsSVG writes every sheet as one picture, 1:10.
func WriteSheetsSVG(j *fitout.Job) ([]byte, error) {
	_, v := built(j)
	const scale, gap, letter = 0.1, 20.0, 5.0
	var out bytes.Buffer
	wide, high := 0.0, gap
	for _, g := range v.Groups {
		for k := range g.Sheets {
			wide = max(wide, g.Sheets[k].Length*scale)
			high += g.Sheets[k].Width*scale + gap
		}
	}
	fmt.Fprintf(
		&out,
		`<svg xmlns="http://www.w3.org/2000/svg" width="%.1fmm" height="%.1fmm" viewBox="0 0 %.1f %.1f" font-family="sans-serif">`+"\n",
		wide+2*gap,
		high,
		wide+2*gap,
		high,
	)
	y := gap
	for _, g := range v.Groups {
		for k := range g.Sheets {
			s := &g.Sheets[k]
			fmt.Fprintf(
				&out,
				`<text x="%.1f" y="%.1f" font-size="%.1f">%s</text>`+"\n",
				gap,
				y-2,
				letter,
				escaped(s.Name),
			)
			fmt.Fprintf(
				&out,
				`<rect x="%.2f" y="%.2f" width="%.2f" height="%.2f" fill="none" stroke="#000"/>`+"\n",
				gap,
				y,
				s.Length*scale,
				s.Width*scale,
			)
			for _, q := range s.Pieces {
				fmt.Fprintf(
					&out,
					`<rect x="%.2f" y="%.2f" width="%.2f" height="%.2f" fill="#ece7dc" stroke="#000" stroke-width="0.3"/>`+"\n",
					gap+q.X*scale,
					y+q.Y*scale,
					q.Length*scale,
					q.Width*scale,
				)
				fmt.Fprintf(
					&out,
					`<text x="%.2f" y="%.2f" font-size="3">%s</text>`+"\n",
					gap+q.X*scale+1,
					y+q.Y*scale+4,
					escaped(v.Panels[q.Panel].Mark),
				)
			}
			y += s.Width*scale + gap
		}
	}
	out.WriteString("</svg>\n")
	return out.Bytes(), nil
}
