package exchange

import (
	"bytes"
	"fmt"
	"strconv"
	"strings"

	"codeberg.org/go-pdf/fpdf"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/report"
)

// PackPhoto is a picture that goes into a pack.
type PackPhoto struct {
	Caption string
	JPEG    []byte
}

// WritePackPDF writes the customer's pack as PDF: its sections, drawings and photos, and who signed.
func WritePackPDF(j *fitout.Job, photos []PackPhoto) ([]byte, error) {
	p := report.PackOf(j)
	pdf, text := pages(p.Job+", handover", p.Job+", handover")
	w := packPages{pdf, text}
	w.say(18, "B", p.Job)
	w.say(10, "", strings.Join(filled(p.Vehicle, p.Customer, p.Workshop, p.Contact), "\n"))
	w.say(8, "", "Pack "+p.Sum)
	if err := w.drawings(j); err != nil {
		return nil, err
	}
	for i := range p.Sections {
		w.section(&p.Sections[i])
	}
	w.photos(photos)
	if len(p.Signed) > 0 {
		w.head("Signed")
		for i := range p.Signed {
			w.signature(&p.Signed[i], p.Sum)
		}
	}
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}

// filled are the texts that say something.
func filled(all ...string) []string {
	var kept []string
	for _, text := range all {
		if strings.TrimSpace(text) != "" {
			kept = append(kept, text)
		}
	}
	return kept
}

// packPages writes sections on pages.
type packPages struct {
	pdf  *fpdf.Fpdf
	text func(string) string
}

func (w packPages) say(size float64, style, s string) {
	w.pdf.SetFont(sans, style, size)
	w.pdf.MultiCell(0, size*0.5, w.text(s), "", "L", false)
}

// room begins a page where less than so many mm are left.
func (w packPages) room(mm float64) {
	if w.pdf.GetY() > 280-mm {
		w.pdf.AddPage()
	}
}

func (w packPages) head(title string) {
	w.room(30)
	w.pdf.Ln(4)
	w.say(13, "B", title)
	w.pdf.Ln(1)
}

func (w packPages) section(s *report.PackSection) {
	w.head(s.Title)
	if s.Lead != "" {
		w.say(9, "", s.Lead)
	}
	for _, line := range s.Lines {
		w.room(8)
		w.say(9.5, "", "·  "+line)
	}
	for i := range s.Tables {
		t := &s.Tables[i]
		(&paperTable{title: t.Title, head: t.Heads, rows: t.Rows, size: 8.5}).write(w.pdf, w.text)
	}
}

// drawings are the vehicle from the left and from above, to one standard scale.
func (w packPages) drawings(j *fitout.Job) error {
	stands := []draw.Stand{draw.Left, draw.Above}
	scene := draw.SceneOf(plan.Of(j), "", nil)
	wish := draw.DrawingWish{People: true}
	const wide, high = 182.0, 190.0
	scale, err := scaleFor(scene, stands, &wish, [2]float64{wide, high}, 0)
	if err != nil {
		return err
	}
	for _, stand := range stands {
		wish.Looks = append(wish.Looks, scene.Fit(stand, &wish, sheetLetter*scale/11, margin))
	}
	drawings := sketched(plan.Of(j), scene, &wish, sheetLetter*scale)
	s := &sheet{pdf: w.pdf, text: w.text, scale: scale}
	at, top, low := places(drawings, scale), w.pdf.GetY()+4, 0.0
	for i := range drawings {
		s.view(&drawings[i], 14+at[i][0], top+at[i][1])
		_, tall := onPaper(&drawings[i].look, scale)
		low = max(low, top+at[i][1]+tall)
	}
	w.pdf.SetLineWidth(0.2)
	w.pdf.SetXY(14, low+2)
	w.say(8, "", fmt.Sprintf("1 : %.0f, from the left and from above.", scale))
	return nil
}

func (w packPages) photos(photos []PackPhoto) {
	if len(photos) == 0 {
		return
	}
	w.head("Pictures")
	for i, photo := range photos {
		name := fmt.Sprintf("photo%d", i)
		info := w.pdf.RegisterImageOptionsReader(
			name,
			fpdf.ImageOptions{ImageType: "JPEG"},
			bytes.NewReader(photo.JPEG),
		)
		if w.pdf.Err() || info == nil || info.Width() <= 0 {
			w.pdf.ClearError()
			continue
		}
		width := 86.0
		high := width * info.Height() / info.Width()
		if high > 110 {
			high, width = 110, 110*info.Width()/info.Height()
		}
		w.room(high + 8)
		w.pdf.ImageOptions(name, 14, w.pdf.GetY(), width, high, true, fpdf.ImageOptions{ImageType: "JPEG"}, 0, "")
		w.say(8.5, "", photo.Caption)
		w.pdf.Ln(2)
	}
}

// signature draws a name as it was drawn on the screen.
func (w packPages) signature(s *fitout.Signature, sum string) {
	w.room(32)
	x, y := w.pdf.GetX(), w.pdf.GetY()
	const scale = 60.0 / 600
	w.pdf.SetLineWidth(0.35)
	for _, stroke := range Strokes(s.Strokes) {
		for i := 1; i < len(stroke); i++ {
			w.pdf.Line(x+stroke[i-1].X*scale, y+stroke[i-1].Y*scale, x+stroke[i].X*scale, y+stroke[i].Y*scale)
		}
	}
	w.pdf.SetLineWidth(0.2)
	w.pdf.Line(x, y+20, x+60, y+20)
	w.pdf.SetXY(x, y+21)
	line := fmt.Sprintf("%s (%s), %s", s.Name, s.Role, strings.Replace(s.On, "T", " ", 1))
	if s.Sum != sum {
		line += ", for another pack than this one"
	}
	w.say(9, "", line)
	w.pdf.Ln(3)
}

// DrawnPoint is a point of a signature, in a field of 600 by 200.
type DrawnPoint struct{ X, Y float64 }

// mostDrawn is how many points of a signature are drawn.
const mostDrawn = 8000

// Strokes are the lines of a signature. What cannot be read, or lies outside its field, is left out.
func Strokes(drawn string) [][]DrawnPoint {
	var all [][]DrawnPoint
	words := strings.Fields(drawn)
	for i, n := 0, 0; i+2 < len(words) && n < mostDrawn; n++ {
		if words[i] != "M" && words[i] != "L" {
			i++
			continue
		}
		x, err1 := strconv.ParseFloat(words[i+1], 64)
		y, err2 := strconv.ParseFloat(words[i+2], 64)
		if err1 == nil && err2 == nil && x >= 0 && x <= 600 && y >= 0 && y <= 200 {
			if words[i] == "M" || len(all) == 0 {
				all = append(all, nil)
			}
			all[len(all)-1] = append(all[len(all)-1], DrawnPoint{x, y})
		}
		i += 3
	}
	return all
}
