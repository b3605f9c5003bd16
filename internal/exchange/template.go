package exchange

import (
	"bytes"
	"fmt"
	"math"
	"slices"

	"codeberg.org/go-pdf/fpdf"

	"zaino/internal/core/build"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/space"
)

// spot is a point of a template, mm.
type spot struct{ X, Y float64 }

// outline is what a template shows: closed lines at full size, and words.
type outline struct {
	Name   string
	Lines  [][]spot // closed; the first is the outside
	Round  []circle
	Marked []spot // centres to mark
}

type circle struct {
	X, Y, R float64
}

// measures of a tile, mm.
const (
	tileEdge    = 12.0 // that printers leave white
	tileOverlap = 10.0
	checkLine   = 100.0
)

// WriteTemplatePDF writes a template at full size on pages that are glued together: the floor of a space, or a
// panel with its holes. Each page has its place, marks to lay it by, and a line to check its scale.
func WriteTemplatePDF(j *fitout.Job, of string, paper Paper) ([]byte, error) {
	size, known := papers[paper]
	if !known {
		return nil, fitout.Problem{Path: "paper", Given: string(paper), Accepted: "a4, a3 or letter"}
	}
	o, ok := outlineOf(j, of)
	if !ok {
		return nil, fitout.Problem{
			Path:     "of",
			Given:    of,
			Accepted: "the id of a measured space, or the mark of a panel",
		}
	}
	pdf := fpdf.NewCustom(&fpdf.InitType{UnitStr: "mm", Size: fpdf.SizeType{Wd: size[0], Ht: size[1]}})
	text := withFonts(pdf)
	pdf.SetTitle(j.Name+", template "+o.Name, true)
	pdf.SetAutoPageBreak(false, 0)
	low, high := o.bounds()
	wide, tall := size[0]-2*tileEdge, size[1]-2*tileEdge-10
	stepX, stepY := wide-tileOverlap, tall-tileOverlap
	columns, rows := tiles(high.X-low.X, wide), tiles(high.Y-low.Y, tall)
	if columns*rows > mostTiles {
		return nil, fitout.Problem{Path: "paper", Given: fmt.Sprintf("%d pages of %s", columns*rows, paper),
			Accepted: fmt.Sprintf("up to %d pages: a larger paper", mostTiles)}
	}
	for row := range rows {
		for column := range columns {
			pdf.AddPage()
			x, y := low.X+float64(column)*stepX, low.Y+float64(row)*stepY
			place := fmt.Sprintf("%c%d", 'A'+column%26, row+1)
			tile(
				pdf,
				text,
				&o,
				spot{x, y},
				wide,
				tall,
				fmt.Sprintf("%s, %s: page %s of %d × %d", j.Name, o.Name, place, columns, rows),
				place,
			)
		}
	}
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}

// mostTiles is how many pages one template may have.
const mostTiles = 400

// tiles is how many pages a length takes.
func tiles(length, page float64) int {
	return max(1, int(math.Ceil((length-tileOverlap)/(page-tileOverlap)-1e-9)))
}

// bounds are around all lines, with a little room.
func (o *outline) bounds() (low, high spot) {
	low, high = spot{math.Inf(1), math.Inf(1)}, spot{math.Inf(-1), math.Inf(-1)}
	for _, line := range o.Lines {
		for _, p := range line {
			low, high = spot{min(low.X, p.X), min(low.Y, p.Y)}, spot{max(high.X, p.X), max(high.Y, p.Y)}
		}
	}
	const room = 5
	return spot{low.X - room, low.Y - room}, spot{high.X + room, high.Y + room}
}

// tile draws the part of a template that lies on one page.
func tile(pdf *fpdf.Fpdf, text func(string) string, o *outline, from spot, wide, tall float64, title, place string) {
	at := func(p spot) (float64, float64) { return tileEdge + p.X - from.X, tileEdge + p.Y - from.Y }
	pdf.ClipRect(tileEdge, tileEdge, wide, tall, false)
	pdf.SetLineWidth(0.35)
	for _, line := range o.Lines {
		points := make([]fpdf.PointType, len(line))
		for k, p := range line {
			x, y := at(p)
			points[k] = fpdf.PointType{X: x, Y: y}
		}
		pdf.Polygon(points, "D")
	}
	for _, c := range o.Round {
		x, y := at(spot{c.X, c.Y})
		pdf.Circle(x, y, c.R, "D")
	}
	pdf.SetLineWidth(0.15)
	for _, m := range o.Marked {
		x, y := at(m)
		pdf.Line(x-4, y, x+4, y)
		pdf.Line(x, y-4, x, y+4)
	}
	pdf.ClipEnd()
	pdf.SetDrawColor(150, 150, 150)
	for _, x := range []float64{tileEdge + tileOverlap/2, tileEdge + wide - tileOverlap/2} { // marks to lay pages by
		for _, y := range []float64{tileEdge + tileOverlap/2, tileEdge + tall - tileOverlap/2} {
			pdf.Line(x-3, y, x+3, y)
			pdf.Line(x, y-3, x, y+3)
			pdf.Circle(x, y, 1.5, "D")
		}
	}
	pdf.SetDrawColor(0, 0, 0)
	pdf.SetFont(sans, "B", 22)
	pdf.SetTextColor(200, 200, 200)
	pdf.Text(tileEdge+wide/2-6, tileEdge+14, text(place))
	pdf.SetTextColor(0, 0, 0)
	pdf.SetFont(sans, "", 7.5)
	foot := tileEdge + tall + 6
	pdf.Text(tileEdge+checkLine+6, foot+1, text(title))
	pdf.SetLineWidth(0.3)
	pdf.Line(tileEdge, foot, tileEdge+checkLine, foot)
	for k := range 11 {
		high := 1.0
		if k%5 == 0 {
			high = 2
		}
		pdf.Line(tileEdge+float64(k)*checkLine/10, foot-high, tileEdge+float64(k)*checkLine/10, foot)
	}
	pdf.Text(tileEdge, foot+4, text("This line is 100 mm long. If it is not, print at 100 %, not fitted to the page."))
}

// outlineOf is what a template of a space's floor or of a panel shows.
func outlineOf(j *fitout.Job, of string) (outline, bool) {
	p := plan.Of(j)
	if bay := p.Bay(of); bay != nil {
		return floorOutline(bay), space.RoomOf(bay).Length > 0
	}
	l := build.LookAt(p).List
	for k := range l.Panels {
		if l.Panels[k].Mark == of {
			return panelOutline(&l.Panels[k]), true
		}
	}
	return outline{}, false
}

// panelOutline is a panel as it is cut, with its holes.
func panelOutline(p *build.CutPanel) outline {
	o := outline{
		Name:  p.Mark + " " + p.Of + ", " + p.Name,
		Lines: [][]spot{{{0, 0}, {p.CutLength, 0}, {p.CutLength, p.CutWidth}, {0, p.CutWidth}}},
	}
	if len(p.Outline) > 0 {
		o.Lines[0] = make([]spot, len(p.Outline))
		for k, at := range p.Outline {
			o.Lines[0][k] = spot{at.U, at.V}
		}
	}
	for _, d := range p.Drilled {
		o.Round = append(o.Round, circle{d.U, d.V, d.Across / 2})
	}
	for _, h := range p.Holes {
		o.Marked = append(o.Marked, spot{h.U, h.V})
		if h.Width == 0 {
			o.Round = append(o.Round, circle{h.U, h.V, h.Length / 2})
			continue
		}
		o.Lines = append(o.Lines, roundedRect(h.U, h.V, h.Length, h.Width, h.Radius))
	}
	return o
}

// roundedRect is a rectangle about a middle, its corners rounded in steps of 15°.
func roundedRect(x, y, length, width, radius float64) []spot {
	radius = min(radius, length/2, width/2)
	if radius <= 0 {
		return []spot{
			{x - length/2, y - width/2},
			{x + length/2, y - width/2},
			{x + length/2, y + width/2},
			{x - length/2, y + width/2},
		}
	}
	var line []spot
	for corner := range 4 {
		sx, sy := 1.0, 1.0
		if corner == 1 || corner == 2 {
			sx = -1
		}
		if corner >= 2 {
			sy = -1
		}
		cx, cy := x+sx*(length/2-radius), y+sy*(width/2-radius)
		for step := 0; step <= 6; step++ {
			a := float64(corner)*math.Pi/2 + float64(step)*math.Pi/12
			line = append(line, spot{cx + radius*math.Cos(a), cy + radius*math.Sin(a)})
		}
	}
	return line
}

// floorOutline is the floor of a space as it was measured. x is from the bay's front, y from its middle.
func floorOutline(bay *fitout.Bay) outline {
	edges := space.FloorEdges(bay, bay.At.Z, bay.At.Z+1)
	line := make([]spot, 0, 2*len(edges))
	for _, e := range edges {
		line = append(line, spot{e.X - bay.At.X, e.Left - bay.At.Y})
	}
	for _, e := range slices.Backward(edges) {
		line = append(line, spot{e.X - bay.At.X, e.Right - bay.At.Y})
	}
	front, rear := edges[0].X-bay.At.X, edges[len(edges)-1].X-bay.At.X
	return outline{Name: bay.Name + ", floor", Lines: [][]spot{line}, Marked: []spot{{front, 0}, {rear, 0}}}
}
