package exchange

import (
	"bytes"
	"fmt"
	"strings"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/shape"
)

// WriteDXF writes one view of a job as an ASCII DXF of release 12, which every
// drawing program and cutter reads: lines and texts on layers, in mm, 1:1.
func WriteDXF(j *fitout.Job, stand draw.Stand) ([]byte, error) {
	if err := checked(stand); err != nil {
		return nil, err
	}
	d := drawn(j, stand)
	d.pen()
	var out bytes.Buffer
	pair := func(code int, value string) { fmt.Fprintf(&out, "%d\r\n%s\r\n", code, value) }
	mm := func(code int, value float64) { pair(code, fmt.Sprintf("%.3f", value)) }
	low := shape.Flat{U: d.look.From, V: (d.look.Ground - d.look.Height) * d.look.Scale}
	high := shape.Flat{U: low.U + d.look.Width*d.look.Scale, V: low.V + d.look.Height*d.look.Scale}
	pair(0, "SECTION")
	pair(2, "HEADER")
	pair(9, "$ACADVER")
	pair(1, "AC1009")
	for _, corner := range []struct {
		name string
		at   shape.Flat
	}{{"$EXTMIN", low}, {"$EXTMAX", high}} {
		pair(9, corner.name)
		mm(10, corner.at.U)
		mm(20, corner.at.V)
	}
	pair(0, "ENDSEC")
	pair(0, "SECTION")
	pair(2, "TABLES")
	pair(0, "TABLE")
	pair(2, "LAYER")
	layers := []layer{layerVehicle, layerSpaces, layerModules, layerHidden, layerNames, layerMeasures}
	pair(70, fmt.Sprint(len(layers)))
	for k, l := range layers {
		pair(0, "LAYER")
		pair(2, string(l))
		pair(70, "0")
		pair(62, fmt.Sprint(k+1))
		pair(6, "CONTINUOUS")
	}
	pair(0, "ENDTAB")
	pair(0, "ENDSEC")
	pair(0, "SECTION")
	pair(2, "ENTITIES")
	for _, l := range d.lines {
		pair(0, "LINE")
		pair(8, string(l.layer))
		mm(10, l.from.U)
		mm(20, l.from.V)
		mm(11, l.to.U)
		mm(21, l.to.V)
	}
	for _, t := range d.labels {
		pair(0, "TEXT")
		pair(8, string(t.layer))
		mm(10, t.at.U)
		mm(20, t.at.V)
		mm(40, textHeight)
		pair(1, asciiText(t.text))
		pair(72, "1") // centred on the second point
		mm(11, t.at.U)
		mm(21, t.at.V)
	}
	pair(0, "ENDSEC")
	pair(0, "EOF")
	return out.Bytes(), nil
}

// pen turns the view into lines: what is seen, and the edges that lie behind something on a
// layer of their own; and its names into texts.
func (d *drawing) pen() {
	for i := range d.view.Groups {
		g := &d.view.Groups[i]
		seen, hidden := d.view.Lines(i)
		of := layerModules
		if g.Kind == draw.OfVehicle || g.Kind == draw.OfDoor {
			of = layerVehicle
		}
		for _, l := range seen {
			d.lines = append(d.lines, line{of, l.From, l.To})
		}
		for _, l := range hidden {
			d.lines = append(d.lines, line{layerHidden, l.From, l.To})
		}
		if l := g.Label; l != nil {
			for k, text := range l.Lines {
				at := shape.Flat{U: l.U + draw.Wide(text, textHeight)/2, V: l.V - 12*textHeight/11*float64(k) + textHeight/3}
				d.labels = append(d.labels, label{layerNames, at, text})
			}
			if len(l.Lines) == 0 {
				d.labels = append(d.labels, label{layerNames, shape.Flat{U: l.U, V: l.V}, fmt.Sprint(l.Number)})
			}
		}
	}
	for i, k := range d.key {
		d.labels = append(d.labels, label{layerNames, shape.Flat{U: d.look.From + 500, V: (d.look.Ground-d.look.Height)*d.look.Scale -
			40*float64(i)}, fmt.Sprintf("%d  %s", k.Number, k.Name)})
	}
}

// asciiText keeps a text on one line of a file that knows no other letters than
// those of its code page: what is beyond is written as \U+XXXX.
func asciiText(text string) string {
	var out strings.Builder
	for _, r := range text {
		switch {
		case r == '\u202f' || r == '\u00a0' || r < ' ':
			out.WriteByte(' ')
		case r < 127:
			out.WriteRune(r)
		default:
			fmt.Fprintf(&out, "\\U+%04X", r)
		}
	}
	return out.String()
}
