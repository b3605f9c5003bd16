package wiring

import (
	"fmt"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// BoardDrawing is the single-line drawing of the wiring, in units of which a text is 11
// high: the same on the screen, as SVG and on paper.
type BoardDrawing struct {
	Width  float64     `json:"width"`
	Height float64     `json:"height"`
	Boxes  []DrawnBox  `json:"boxes"`
	Wires  []DrawnWire `json:"wires"`
	Texts  []DrawnText `json:"texts"`
}

// DrawnBox is a thing of the drawing.
type DrawnBox struct {
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
	Kind   string  `json:"kind" enum:"battery,end,panel,fuse"`
	Of     string  `json:"of" doc:"id of the line or system that it belongs to"`
}

// DrawnWire is a line of the drawing, thicker for thicker copper.
type DrawnWire struct {
	Points []float64 `json:"points" doc:"x and y in turn"`
	Thick  float64   `json:"thick"`
	Dashed bool      `json:"dashed" doc:"another workshop finishes it"`
	Of     string    `json:"of" doc:"id of the line"`
}

// DrawnText is a text of the drawing.
type DrawnText struct {
	X      float64 `json:"x"`
	Y      float64 `json:"y" doc:"of its foot"`
	Text   string  `json:"text"`
	Strong bool    `json:"strong"`
	Of     string  `json:"of" doc:"id of the line or system that it belongs to"`
}

// Measures of the drawing.
const (
	rowHigh  = 34.0
	boxHigh  = 26.0
	lineHigh = 11.5
	// strongLetter is the mean width of a letter in bold, from the widest alphabets of names.
	strongLetter = 6.2
	batteryAt    = 8.0
	batteryW     = 118.0
	busAt        = 196.0
	fuseAt       = 212.0
	fuseW        = 66.0
	cableAt      = 288.0
	endAt        = 470.0
	endW         = 226.0
	panelBusAt   = 330.0
	panelEndAt   = 524.0
	drawnWide    = endAt + endW + 8
)

// draw lays the wiring out: a battery to the left of each system, a bus behind its main
// fuse, a row for each line; what a panel feeds stands below it, indented.
func (b *Board) draw() BoardDrawing {
	d := &BoardDrawing{Width: drawnWide, Boxes: []DrawnBox{}, Wires: []DrawnWire{}, Texts: []DrawnText{}}
	y := 10.0
	for i := range b.E.Systems {
		s := &b.E.Systems[i]
		if rows := b.rows(s.ID); b.Setup.Systems[i].Aboard() && len(rows) > 0 {
			y = b.drawSystem(d, s, rows, y) + 14
		}
	}
	d.Height = y
	return *d
}

// row is a line of the drawing, with how deep it stands below a panel.
type row struct {
	line   *Wire
	indent bool
}

func (b *Board) rows(system string) []row {
	var rows []row
	for i := range b.Lines {
		line := &b.Lines[i]
		if line.System != system || line.Kind == MainLine || line.From != system && b.panel(line.From) != nil {
			continue
		}
		rows = append(rows, row{line, false})
		if line.Kind == PanelLine {
			for k := range b.Lines {
				if b.Lines[k].From == line.Of {
					rows = append(rows, row{&b.Lines[k], true})
				}
			}
		}
	}
	return rows
}

func (b *Board) main(system string) *Wire {
	for i := range b.Lines {
		if b.Lines[i].Kind == MainLine && b.Lines[i].Of == system {
			return &b.Lines[i]
		}
	}
	return nil
}

func (b *Board) drawSystem(d *BoardDrawing, s *fitout.PowerSystem, rows []row, top float64) float64 {
	middle := top + rowHigh/2
	name := inLines(s.Name, lettersIn(batteryW-12), 3)
	head := middle - boxHigh/2 - 4 // the box grows downward with its name
	high := boxHigh + 8 + lineHigh*float64(len(name)-1)
	d.box(batteryAt, head, batteryW, high, "battery", s.ID)
	for k, line := range name {
		d.text(batteryAt+6, middle-1+lineHigh*float64(k), line, true, s.ID)
	}
	d.text(batteryAt+6, head+high-5, fmt.Sprintf("%s %s", b.Say.Charge(s.Battery.Capacity*s.Battery.Parallel),
		b.Say.Volts(s.Voltage)), false, s.ID)
	below := head + high + 14
	of, thick := s.ID, 2.0
	if main := b.main(s.ID); main != nil {
		thick = thickness(main.Area)
		d.text(batteryAt, below, fmt.Sprintf("%d · %s, %s", main.Number, b.cable(main), b.fuse(main)), false, s.ID)
	}
	d.wire(of, thick, false, batteryAt+batteryW, middle, busAt, middle)
	foot := top + rowHigh*(float64(len(rows))-0.5)
	d.wire(of, thick, false, busAt, middle, busAt, b.lastOnBus(rows, top))
	panelTop := 0.0
	for k, r := range rows {
		y := top + rowHigh*(float64(k)+0.5)
		from := busAt
		if r.indent {
			from = panelBusAt
			if !rows[k-1].indent {
				panelTop = y - rowHigh + boxHigh/2
			}
			if k+1 == len(rows) || !rows[k+1].indent {
				d.wire(r.line.From, 2, false, endAt+12, panelTop, endAt+12, panelTop+5, panelBusAt, panelTop+5, panelBusAt, y)
			}
		}
		b.drawRow(d, r, from, y)
	}
	return max(foot, below+4) + rowHigh/2
}

// lastOnBus is where the bus ends: at the last line that starts from it.
func (b *Board) lastOnBus(rows []row, top float64) float64 {
	last := 0
	for k := range rows {
		if !rows[k].indent {
			last = k
		}
	}
	return top + rowHigh*(float64(last)+0.5)
}

func (b *Board) drawRow(d *BoardDrawing, r row, from, y float64) {
	line := r.line
	at, wide := endAt, endW
	fuse, label := fuseAt, cableAt
	if r.indent {
		at, wide = panelEndAt, endAt+endW-panelEndAt
		fuse, label = panelBusAt+12, panelBusAt+12
	}
	thick := thickness(line.Area)
	d.wire(line.Of, thick, line.Others, from, y, at, y)
	if line.Fuse > 0 && !r.indent {
		d.box(fuse, y-8, fuseW, 16, "fuse", line.Of)
		d.text(fuse+5, y+4, b.fuse(line), false, line.Of)
	}
	said := fmt.Sprintf("%d · %s, %s", line.Number, b.cable(line), b.Say.Length(line.Length))
	if r.indent {
		said = fmt.Sprintf("%d · %s, %s", line.Number, b.fuse(line), b.cable(line))
	}
	d.text(label, y-4, said, false, line.Of)
	kind := "end"
	if line.Kind == PanelLine {
		kind = "panel"
	}
	d.box(at, y-boxHigh/2, wide, boxHigh, kind, line.Of)
	name := inLines(line.Name, lettersIn(wide-12), 2)
	first := y + 4 - lineHigh/2*float64(len(name)-1)
	for k, said := range name {
		d.text(at+6, first+lineHigh*float64(k), said, line.Kind == PanelLine, line.Of)
	}
}

// cable puts the copper of a line into words, and the size by which it is sold.
func (b *Board) cable(line *Wire) string {
	if line.SoldAs > 0 {
		return fmt.Sprintf("%s (%s mm cable)", b.Say.Copper(line.Area), b.Say.Plain(line.SoldAs))
	}
	return b.Say.Copper(line.Area)
}

func (b *Board) fuse(line *Wire) string {
	if line.Fuse == 0 {
		return "no fuse"
	}
	return fmt.Sprintf("%s %s", b.Say.Amps(line.Fuse), FuseWord(line.FuseKind))
}

// FuseWord is what a make of fuse is called.
func FuseWord(kind fitout.FuseKind) string {
	if kind == fitout.ClassTFuse {
		return "class T"
	}
	return string(kind)
}

// Label is what stands on both ends of a line's cable, in the words of a job.
func Label(say words.Speaker, line *Wire) string {
	fuse := "no fuse"
	if line.Fuse > 0 {
		fuse = say.Amps(line.Fuse) + " " + FuseWord(line.FuseKind)
	}
	return fmt.Sprintf("%d %s · %s · %s", line.Number, line.Name, say.Copper(line.Area), fuse)
}

// thickness is how thick a wire is drawn.
func thickness(area float64) float64 {
	switch {
	case area >= 25:
		return 3.5
	case area >= 6:
		return 2.5
	}
	return 1.5
}

// lettersIn is how many letters stand in a width.
func lettersIn(wide float64) int { return int(wide / strongLetter) }

// inLines breaks a name between words into lines of so many letters at most; what needs more
// lines than there is room for ends in dots.
func inLines(name string, most, lines int) []string {
	var broken []string
	line := ""
	for _, word := range strings.Fields(name) {
		for runes := []rune(word); ; {
			switch joined := strings.TrimSpace(line + " " + string(runes)); {
			case len([]rune(joined)) <= most:
				line, runes = joined, nil
			case line != "":
				broken, line = append(broken, line), ""
			default:
				broken, runes = append(broken, string(runes[:most])), runes[most:]
			}
			if len(runes) == 0 {
				break
			}
		}
	}
	if line != "" || len(broken) == 0 {
		broken = append(broken, line)
	}
	if len(broken) > lines {
		last := []rune(broken[lines-1])
		broken = append(broken[:lines-1:lines-1], string(last[:min(len(last), most-1)])+"…")
	}
	return broken
}

func (d *BoardDrawing) box(x, y, width, height float64, kind, of string) {
	d.Boxes = append(d.Boxes, DrawnBox{x, y, width, height, kind, of})
}

func (d *BoardDrawing) wire(of string, thick float64, dashed bool, points ...float64) {
	d.Wires = append(d.Wires, DrawnWire{points, thick, dashed, of})
}

func (d *BoardDrawing) text(x, y float64, text string, strong bool, of string) {
	d.Texts = append(d.Texts, DrawnText{x, y, text, strong, of})
}
