package exchange

import (
	"bytes"
	"fmt"
	"math"
	"strconv"
	"strings"

	"codeberg.org/go-pdf/fpdf"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/shape"
)

// Paper is a size of sheet, laid on its side.
type Paper string

// The papers.
const (
	A4     Paper = "a4"
	A3     Paper = "a3"
	Letter Paper = "letter"
)

// papers are their widths and heights, mm.
var papers = map[Paper][2]float64{A4: {297, 210}, A3: {420, 297}, Letter: {279.4, 215.9}}

// scales are the standard scales of drawings, the largest first.
var scales = []float64{1, 2, 5, 10, 15, 20, 25, 30, 40, 50, 75, 100}

// SheetWish is what a drawing sheet is asked to show.
type SheetWish struct {
	Paper  Paper
	Stands []draw.Stand // none: from the left, from behind and from above
	Focus  string       // id of a space or a part; empty for all
	Stance string       // id of a stance; empty for the road
	Scale  float64      // 1 : so many; 0 for the largest that goes on the paper
	Who    string       // who drew it
	Date   string       // as it is written
}

// Measures of a sheet, mm on paper.
const (
	sheetEdge   = 10.0
	titleHigh   = 26.0
	sheetLetter = 2.2 // height of letters
	viewGap     = 9.0
	keyWide     = 62.0
)

// WriteSheetPDF writes views of a job to scale on one sheet: with measures, the key, a block
// that says what it is, and the cautions.
func WriteSheetPDF(j *fitout.Job, w *SheetWish) ([]byte, error) {
	size, known := papers[w.Paper]
	if !known {
		return nil, fitout.Problem{Path: "paper", Given: string(w.Paper), Accepted: "a4, a3 or letter"}
	}
	stands := w.Stands
	if len(stands) == 0 {
		stands = []draw.Stand{draw.Left, draw.Behind, draw.Above}
	}
	for _, s := range stands {
		if err := checked(s); err != nil {
			return nil, err
		}
	}
	p := plan.Of(j)
	scene := draw.SceneOf(p, w.Stance, nil)
	wish := draw.DrawingWish{People: w.Focus == "", Stance: w.Stance, Focus: w.Focus, Only: w.Focus != ""}
	if _, there := scene.Box(w.Focus); w.Focus != "" && !there {
		return nil, fitout.Problem{Path: "focus", Given: w.Focus, Accepted: "the id of a space or a part of this job"}
	}
	room := [2]float64{size[0] - 2*sheetEdge - keyWide, size[1] - 2*sheetEdge - titleHigh - 4}
	scale, err := scaleFor(scene, stands, &wish, room, w.Scale)
	if err != nil {
		return nil, err
	}
	letter := sheetLetter * scale
	for _, s := range stands {
		wish.Looks = append(wish.Looks, scene.Fit(s, &wish, letter/11, margin))
	}
	drawings := sketched(p, scene, &wish, letter)
	pdf := fpdf.NewCustom(&fpdf.InitType{UnitStr: "mm", Size: fpdf.SizeType{Wd: size[0], Ht: size[1]}})
	sheet := &sheet{pdf: pdf, text: withFonts(pdf), scale: scale}
	pdf.SetTitle(j.Name, true)
	pdf.SetAutoPageBreak(false, 0)
	pdf.AddPage()
	at := places(drawings, scale)
	for i := range drawings {
		sheet.view(&drawings[i], sheetEdge+at[i][0], sheetEdge+at[i][1])
	}
	sheet.key(drawings[0].key, size[0]-sheetEdge-keyWide+4, sheetEdge, size[1]-2*sheetEdge-titleHigh-6)
	sheet.title(j, w, size)
	var out bytes.Buffer
	if err := pdf.Output(&out); err != nil {
		return nil, err
	}
	return out.Bytes(), nil
}

// margin about a view for its measures, in units of its letters.
const margin = 34.0

// onPaper is how large a view is on paper, mm.
func onPaper(l *draw.Look, scale float64) (wide, high float64) {
	return l.Width * l.Scale / scale, l.Height * l.Scale / scale
}

// scaleFor is the largest standard scale at which the views go on the paper, or the one that
// was asked for, if they do at that.
func scaleFor(scene *draw.Scene, stands []draw.Stand, wish *draw.DrawingWish, room [2]float64, asked float64) (float64,
	error) {
	fits := func(scale float64) bool {
		var drawings []drawing
		for _, s := range stands {
			drawings = append(drawings, drawing{look: scene.Fit(s, wish, sheetLetter*scale/11, margin)})
		}
		wide, high := 0.0, 0.0
		for i, at := range places(drawings, scale) {
			w, h := onPaper(&drawings[i].look, scale)
			wide, high = max(wide, at[0]+w), max(high, at[1]+h)
		}
		return wide <= room[0] && high <= room[1]
	}
	if asked > 0 {
		if !fits(asked) {
			return 0, fitout.Problem{Path: "scale", Given: "1:" + strconv.FormatFloat(asked, 'f', -1, 64),
				Accepted: "a smaller scale, a larger paper, or fewer views"}
		}
		return asked, nil
	}
	for _, s := range scales {
		if fits(s) {
			return s, nil
		}
	}
	return 0, fitout.Problem{Path: "scale", Given: "a vehicle that goes on no paper at 1:100", Accepted: "a larger paper"}
}

// places are where the views of a sheet stand, mm from the upper left: the first and third
// below each other, the second beside the first, others in further rows.
func places(drawings []drawing, scale float64) [][2]float64 {
	at := make([][2]float64, len(drawings))
	x, y, row := 0.0, 0.0, 0.0
	for i := range drawings {
		w, h := onPaper(&drawings[i].look, scale)
		if i%2 == 0 && i > 0 {
			x, y, row = 0, y+row+viewGap, 0
		}
		at[i] = [2]float64{x, y}
		x, row = x+w+viewGap, max(row, h)
	}
	return at
}

// sheet is what is drawn on one page.
type sheet struct {
	pdf   *fpdf.Fpdf
	text  func(string) string
	scale float64
}

// colour splits a colour as it is written in CSS.
func colour(hex string) (r, g, b int) {
	n, _ := strconv.ParseUint(strings.TrimPrefix(hex, "#"), 16, 32) // of a table of ours
	return int(n >> 16), int(n >> 8 & 255), int(n & 255)
}

// view draws one view with its upper left at a place, mm.
func (s *sheet) view(d *drawing, left, top float64) {
	at := func(f shape.Flat) fpdf.PointType {
		return fpdf.PointType{X: left + (f.U-d.look.From)/s.scale, Y: top + (d.look.Ground*d.look.Scale-f.V)/s.scale}
	}
	s.pdf.SetFont(sans, "B", 8)
	s.pdf.Text(left, top+3, s.text(d.view.Title))
	things := func(vehicle bool) {
		for i := range d.view.Groups {
			if g := &d.view.Groups[i]; (i == 0 && g.Kind == draw.OfVehicle) == vehicle { // unless the cab stands before all
				s.group(g, at)
			}
		}
	}
	things(true)
	s.lines(d, layerSpaces, at)
	things(false)
	s.hidden(d, at)
	s.lines(d, layerMeasures, at)
	s.names(d, at)
}

func (s *sheet) group(g *draw.DrawnGroup, at func(shape.Flat) fpdf.PointType) {
	s.pdf.SetDrawColor(39, 56, 58)
	s.pdf.SetDashPattern(nil, 0)
	switch g.Work {
	case fitout.WorkLater:
		s.pdf.SetDashPattern([]float64{1.6, 0.8}, 0)
	case fitout.WorkOthers:
		s.pdf.SetDashPattern([]float64{2, 0.6, 0.4, 0.6}, 0)
	}
	if g.Absent { // not aboard in the state shown: dotted, and one looks through it
		s.pdf.SetDashPattern([]float64{0.3, 0.7}, 0)
	}
	if !g.Covered {
		for _, f := range g.Faces() {
			points := make([]fpdf.PointType, len(f.Points))
			for k, p := range f.Points {
				points[k] = at(p)
			}
			weight, style := 0.2, "DF"
			if f.Thin || g.Work == fitout.WorkExisting {
				weight = 0.1
			}
			if f.Cut {
				weight = 0.45
			}
			if hex := tones[f.Tone]; hex == "none" || g.Absent {
				style = "D"
			} else {
				s.pdf.SetFillColor(colour(hex))
			}
			s.pdf.SetLineWidth(weight)
			s.pdf.Polygon(points, style)
		}
	}
	s.pdf.SetDashPattern(nil, 0)
}

// hidden draws the edges that lie behind something, dashed over what hides them.
func (s *sheet) hidden(d *drawing, at func(shape.Flat) fpdf.PointType) {
	s.pdf.SetDrawColor(110, 122, 122)
	s.pdf.SetLineWidth(0.1)
	s.pdf.SetDashPattern([]float64{0.9, 0.7}, 0)
	for i := range d.view.Groups {
		if g := &d.view.Groups[i]; g.Faded || g.Kind == draw.OfVehicle {
			continue
		}
		_, hidden := d.view.Lines(i)
		for _, l := range hidden {
			a, b := at(l.From), at(l.To)
			s.pdf.Line(a.X, a.Y, b.X, b.Y)
		}
	}
	s.pdf.SetDashPattern(nil, 0)
}

func (s *sheet) lines(d *drawing, l layer, at func(shape.Flat) fpdf.PointType) {
	s.pdf.SetDrawColor(76, 89, 87)
	s.pdf.SetLineWidth(0.1)
	if l == layerSpaces {
		s.pdf.SetDrawColor(29, 90, 84)
		s.pdf.SetLineWidth(0.25)
		s.pdf.SetDashPattern([]float64{1.6, 0.8}, 0)
	}
	for _, line := range d.lines {
		if line.layer == l {
			a, b := at(line.from), at(line.to)
			s.pdf.Line(a.X, a.Y, b.X, b.Y)
		}
	}
	s.pdf.SetDashPattern(nil, 0)
	for _, t := range d.labels {
		if t.layer == l {
			p := at(t.at)
			s.put(t.text, p.X, p.Y+sheetLetter*0.35, draw.Wide(t.text, sheetLetter), "C")
		}
	}
}

// put writes a text no wider than its room, in letters of the sheet or smaller; to the right
// of a place or about it.
func (s *sheet) put(text string, x, y, room float64, align string) {
	said := s.text(text)
	points := sheetLetter * 72 / 25.4
	s.pdf.SetFont(sans, "", points)
	if wide := s.pdf.GetStringWidth(said); wide > room {
		s.pdf.SetFontSize(points * room / wide)
	}
	if align == "C" {
		x -= s.pdf.GetStringWidth(said) / 2
	}
	s.pdf.Text(x, y, said)
}

func (s *sheet) names(d *drawing, at func(shape.Flat) fpdf.PointType) {
	for i := range d.view.Groups {
		l := d.view.Groups[i].Label
		if l == nil {
			continue
		}
		p := at(shape.Flat{U: l.U, V: l.V})
		for k, line := range l.Lines {
			room := draw.Wide(line, sheetLetter)
			s.pdf.SetFillColor(253, 251, 246)
			s.pdf.Rect(p.X-0.2, p.Y+12.0/11*sheetLetter*float64(k)-sheetLetter*0.8, room+0.4, sheetLetter, "F")
			s.put(line, p.X, p.Y+12.0/11*sheetLetter*float64(k), room, "L")
		}
		if len(l.Lines) > 0 {
			continue
		}
		s.pdf.SetDrawColor(29, 43, 42)
		s.pdf.SetLineWidth(0.15)
		if len(l.Leader) == 2 {
			end := at(shape.Flat{U: l.Leader[0], V: l.Leader[1]})
			s.pdf.Line(p.X, p.Y, end.X, end.Y)
		}
		s.pdf.SetFillColor(253, 251, 246)
		s.pdf.Circle(p.X, p.Y, sheetLetter*0.72, "DF")
		s.put(strconv.Itoa(l.Number), p.X, p.Y+sheetLetter*0.33, sheetLetter*1.2, "C")
	}
}

// key writes what the numbers stand for, and by what line one tells who makes a thing.
func (s *sheet) key(key []draw.Keyed, x, y, high float64) {
	row := min(3.6, (high-24)/math.Max(1, float64(len(key))))
	s.pdf.SetFont(sans, "B", 8)
	s.pdf.Text(x, y+3, s.text("Key"))
	y += 7
	for _, k := range key {
		s.put(strconv.Itoa(k.Number), x+2, y, 5, "C")
		s.put(k.Name, x+6, y, keyWide-12, "L")
		y += row
	}
	y += 3
	for _, line := range []struct {
		dash []float64
		thin bool
		says string
	}{{nil, false, "of this build"}, {nil, true, "there already"}, {[]float64{1.6, 0.8}, false, "later"},
		{[]float64{2, 0.6, 0.4, 0.6}, false, "by others"}} {
		s.pdf.SetDashPattern(line.dash, 0)
		s.pdf.SetLineWidth(map[bool]float64{true: 0.1, false: 0.25}[line.thin])
		s.pdf.Line(x, y-0.8, x+8, y-0.8)
		s.pdf.SetDashPattern(nil, 0)
		s.put(line.says, x+10, y, keyWide-16, "L")
		y += 3.6
	}
}

// sheetCautions stand on every sheet.
const sheetCautions = "Figures are estimates until measured and weighed; measure on the vehicle before anything is cut or " +
	"drilled. Brakes, seat belts, gas, fuel, mains and structural work belong to licensed or certified people under local rules."

// title writes the block that says what the sheet is.
func (s *sheet) title(j *fitout.Job, w *SheetWish, size [2]float64) {
	top := size[1] - sheetEdge - titleHigh
	wide := size[0] - 2*sheetEdge
	s.pdf.SetDrawColor(29, 43, 42)
	s.pdf.SetLineWidth(0.35)
	s.pdf.Rect(sheetEdge, top, wide, titleHigh, "D")
	focus := "whole vehicle"
	for i := range j.Vehicle.Bays {
		if j.Vehicle.Bays[i].ID == w.Focus {
			focus = j.Vehicle.Bays[i].Name
		}
	}
	v := j.ChosenVariant()
	for i := range v.Items {
		if v.Items[i].ID == w.Focus {
			focus = v.Items[i].Name
		}
	}
	stance := "on the road"
	for i := range v.Stances {
		if v.Stances[i].ID == w.Stance {
			stance = v.Stances[i].Name
		}
	}
	fields := [][2]string{{"Job", j.Name}, {"Customer", j.Customer}, {"Variant", v.Name}, {"Shown", focus + ", " + stance},
		{"Scale", fmt.Sprintf("1:%s on %s", strconv.FormatFloat(s.scale, 'f', -1, 64), strings.ToUpper(string(w.Paper[:1]))+
			string(w.Paper[1:]))}, {"Date", w.Date}, {"Drawn by", w.Who}}
	x := sheetEdge
	shares := []float64{0.24, 0.17, 0.1, 0.19, 0.11, 0.09, 0.1}
	for i, f := range fields {
		cell := wide * shares[i]
		s.pdf.SetFont(sans, "", 5.5)
		s.pdf.Text(x+1.5, top+3.5, s.text(f[0]))
		s.pdf.SetFont(sans, "B", 9)
		said := s.text(f[1])
		if w := s.pdf.GetStringWidth(said); w > cell-3 {
			s.pdf.SetFontSize(9 * (cell - 3) / w)
		}
		s.pdf.Text(x+1.5, top+10, said)
		s.pdf.Line(x, top, x, top+14)
		x += cell
	}
	s.pdf.Line(sheetEdge, top+14, sheetEdge+wide, top+14)
	s.pdf.SetXY(sheetEdge+1, top+15.5)
	s.pdf.SetFont(sans, "", 6.5)
	s.pdf.MultiCell(wide-2, 3.2, s.text(sheetCautions), "", "L", false)
}
