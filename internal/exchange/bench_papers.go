package exchange

import (
	"bytes"
	"cmp"
	"fmt"
	"slices"
	"strings"

	"codeberg.org/go-pdf/fpdf"

	"zaino/internal/core/build"
	"zaino/internal/core/fitout"
)

// WriteStepsPDF writes the steps: all, or those of one person; and the tags that hang on what is not ready.
func WriteStepsPDF(j *fitout.Job, who string) ([]byte, error) {
	p, v := built(j)
	pdf, text := pages(j.Name+", steps", j.Name+", steps")
	say := func(size float64, style, s string) {
		pdf.SetFont(sans, style, size)
		pdf.MultiCell(0, size*0.52, text(s), "", "L", false)
	}
	title := "Steps of the build"
	if who != "" {
		title += " for " + who
	}
	say(16, "B", j.Name+": "+title)
	say(
		9,
		"",
		fmt.Sprintf(
			"Variant %s. %s hours in %d days, an estimate. The order follows from what must come before what.",
			p.Variant.Name,
			trimmed(v.Hours),
			v.Days,
		),
	)
	day := -1
	for i := range v.Steps {
		s := &v.Steps[i]
		if who != "" && s.Day > 0 && !slices.Contains(s.Makers, who) {
			continue
		}
		if s.Day != day {
			day = s.Day
			pdf.Ln(3)
			head := strings.TrimSpace(fmt.Sprintf("Day %d  %s", day, s.Date))
			if day == 0 {
				head = "Without a day: these hang on reasons that run in a ring"
			}
			say(11, "B", head)
		}
		y := pdf.GetY()
		if y > 265 {
			pdf.AddPage()
			y = pdf.GetY()
		}
		pdf.Rect(15, y+1, 3.2, 3.2, "D")
		if s.Done {
			pdf.Line(15, y+1, 18.2, y+4.2)
			pdf.Line(15, y+4.2, 18.2, y+1)
		}
		pdf.SetLeftMargin(21)
		pdf.SetX(21)
		line := fmt.Sprintf("%s  (%s min", s.Title, trimmed(s.Minutes))
		if s.People > 1 {
			line += fmt.Sprintf(", %d people", s.People)
		}
		if len(s.Makers) > 0 {
			line += ", " + strings.Join(s.Makers, " and ")
		}
		say(9.5, "B", line+")")
		for _, more := range []struct{ name, what string }{{"Parts: ", strings.Join(s.Parts, " ")}, {"Takes: ", strings.Join(s.Takes, "; ")},
			{"Tools: ", s.Tools}, {"Caution: ", s.Caution}, {"After: ", strings.Join(s.After, "; ")}, {"Note: ", s.Noted.Trouble}} {
			if more.what != "" {
				say(8, "", more.name+more.what)
			}
		}
		if s.Wait > 0 {
			say(8, "", fmt.Sprintf("Then wait %s h: %s.", trimmed(s.Wait), s.Why))
		}
		pdf.SetLeftMargin(14)
		pdf.SetX(14)
		pdf.Ln(1)
	}
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}

// WriteTagsPDF writes tags to hang on what is not ready: do not switch on, not yet torqued.
func WriteTagsPDF(j *fitout.Job) ([]byte, error) {
	_, v := built(j)
	pdf, text := pages(j.Name+", tags", j.Name)
	n := 0
	tag := func(head, of string) {
		if n > 0 && n%6 == 0 {
			pdf.AddPage()
		}
		x, y := 14+float64(n%2)*93, 16+float64(n/2%3)*86
		n++
		pdf.SetLineWidth(0.6)
		pdf.Rect(x, y, 88, 80, "D")
		pdf.Circle(x+44, y+8, 3, "D")
		pdf.SetFont(sans, "B", 18)
		pdf.SetXY(x+3, y+22)
		pdf.MultiCell(82, 9, text(head), "", "C", false)
		pdf.SetFont(sans, "", 10)
		pdf.SetXY(x+3, y+48)
		pdf.MultiCell(82, 5, text(of), "", "C", false)
		pdf.SetFont(sans, "", 8)
		pdf.Text(x+5, y+75, text("by                          on"))
	}
	for i := range v.Steps {
		s := &v.Steps[i]
		switch {
		case s.Done:
		case s.ID == "connect":
			tag("DO NOT SWITCH ON", j.Name+": lines are not tested yet")
		case s.Work == "torque":
			tag("NOT YET TORQUED", s.Title)
		case s.Work == "fit" && s.Kg > 0:
			tag("NOT YET TORQUED", s.Title)
		}
	}
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}

// WriteAssemblyPDF writes a page for each part that is made here: a picture of its panels, each with its mark,
// what goes where, and its hardware.
func WriteAssemblyPDF(j *fitout.Job) ([]byte, error) {
	_, v := built(j)
	z := sizesOf(j)
	pdf, text := pages(j.Name+", assembly", j.Name+", assembly")
	first := true
	for i := range v.Parts {
		m := &v.Parts[i]
		if m.How != fitout.MadeHere || len(m.Panels) == 0 {
			continue
		}
		if !first {
			pdf.AddPage()
		}
		first = false
		pdf.SetFont(sans, "B", 14)
		pdf.MultiCell(0, 7, text(fmt.Sprintf("%d  %s", m.Number, m.Name)), "", "L", false)
		bottom := exploded(pdf, text, &v, m)
		pdf.SetY(bottom + 4)
		pdf.SetFont(sans, "", 8)
		for _, k := range m.Panels {
			p := &v.Panels[k]
			pdf.MultiCell(
				0,
				4,
				text(
					fmt.Sprintf(
						"%s  %s  %s × %s × %s",
						p.Mark,
						p.Name,
						z.say(p.CutLength),
						z.say(p.CutWidth),
						z.say(p.Thickness),
					),
				),
				"",
				"L",
				false,
			)
		}
		for _, k := range m.Rods {
			r := &v.Rods[k]
			pdf.MultiCell(
				0,
				4,
				text(fmt.Sprintf("%s  %s  %s%s", r.Mark, r.Name, z.say(r.Length), nutWords(r))),
				"",
				"L",
				false,
			)
		}
		for _, n := range v.Hardware {
			if slices.Contains(n.Modules, m.ID) {
				pdf.MultiCell(0, 4, text("·  "+n.Name), "", "L", false)
			}
		}
	}
	if first {
		pdf.SetFont(sans, "", 11)
		pdf.MultiCell(0, 6, text("Nothing of this variant is made here."), "", "L", false)
	}
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}

func nutWords(r *build.Rod) string {
	var all []string
	for _, n := range r.Nuts {
		all = append(all, fmt.Sprintf("%d for %s", n.Count, n.For))
	}
	if len(all) == 0 {
		return ""
	}
	return "; nuts: " + strings.Join(all, ", ")
}

// exploded draws the panels of a part apart from each other, seen from above at its corner, and returns where the
// picture ends on the page.
func exploded(pdf *fpdf.Fpdf, text func(string) string, v *build.BuildView, m *build.Made) float64 {
	type face struct {
		depth float64
		line  []fpdf.PointType
		mark  string
		at    fpdf.PointType
	}
	middle := m.Box.Middle()
	const apart, cos, sin = 0.7, 0.866, 0.5
	flat := func(p fitout.Point) (float64, float64) { return (p.Y - p.X) * cos, (p.X+p.Y)*sin - p.Z }
	var faces []face
	add := func(b fitout.Box, mark string, thin int) {
		c := b.Middle()
		d := fitout.Point{X: (c.X - middle.X) * apart, Y: (c.Y - middle.Y) * apart, Z: (c.Z - middle.Z) * apart * 1.6}
		b = b.Moved(d.X, d.Y, d.Z)
		quad := func(mark string, points ...fitout.Point) {
			f := face{mark: mark}
			for _, p := range points {
				x, y := flat(p)
				f.line = append(f.line, fpdf.PointType{X: x, Y: y})
				f.depth += p.X + p.Y + p.Z
				f.at.X, f.at.Y = f.at.X+x/4, f.at.Y+y/4
			}
			faces = append(faces, f)
		}
		f, t := b.From, b.To
		on := func(side int) string {
			if side == thin {
				return mark
			}
			return ""
		}
		quad(
			on(0),
			fitout.Point{X: t.X, Y: f.Y, Z: f.Z},
			fitout.Point{X: t.X, Y: t.Y, Z: f.Z},
			fitout.Point{X: t.X, Y: t.Y, Z: t.Z},
			fitout.Point{X: t.X, Y: f.Y, Z: t.Z},
		)
		quad(
			on(1),
			fitout.Point{X: f.X, Y: t.Y, Z: f.Z},
			fitout.Point{X: t.X, Y: t.Y, Z: f.Z},
			fitout.Point{X: t.X, Y: t.Y, Z: t.Z},
			fitout.Point{X: f.X, Y: t.Y, Z: t.Z},
		)
		quad(
			on(2),
			fitout.Point{X: f.X, Y: f.Y, Z: t.Z},
			fitout.Point{X: t.X, Y: f.Y, Z: t.Z},
			fitout.Point{X: t.X, Y: t.Y, Z: t.Z},
			fitout.Point{X: f.X, Y: t.Y, Z: t.Z},
		)
	}
	for _, k := range m.Panels {
		add(v.Panels[k].Box, v.Panels[k].Mark, v.Panels[k].Thin)
	}
	for _, k := range m.Rods {
		add(v.Rods[k].Box, "", 0)
	}
	low, high := fpdf.PointType{X: 1e9, Y: 1e9}, fpdf.PointType{X: -1e9, Y: -1e9}
	for _, f := range faces {
		for _, p := range f.line {
			low.X, low.Y, high.X, high.Y = min(low.X, p.X), min(low.Y, p.Y), max(high.X, p.X), max(high.Y, p.Y)
		}
	}
	x0, y0 := pdf.GetX(), pdf.GetY()+3
	scale := min(pageWidth/(high.X-low.X), 130/(high.Y-low.Y))
	slices.SortStableFunc(faces, func(a, b face) int { return cmp.Compare(a.depth, b.depth) }) // the furthest first
	pdf.SetLineWidth(0.15)
	pdf.SetFillColor(243, 239, 230)
	pdf.SetFont(sans, "B", 7)
	for _, f := range faces {
		line := make([]fpdf.PointType, len(f.line))
		for k, p := range f.line {
			line[k] = fpdf.PointType{X: x0 + (p.X-low.X)*scale, Y: y0 + (p.Y-low.Y)*scale}
		}
		pdf.Polygon(line, "FD")
		if f.mark != "" { // what stands before a panel hides its mark too
			pdf.Text(x0+(f.at.X-low.X)*scale-3, y0+(f.at.Y-low.Y)*scale+1, text(f.mark))
		}
	}
	return y0 + (high.Y-low.Y)*scale
}
