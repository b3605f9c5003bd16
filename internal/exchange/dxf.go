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
	low := shape.Flat{U: d.look.From, V: (d.look.Ground - d.look.Height) * d.look.Scale}
	high := shape.Flat{U: low.U + d.look.Width*d.look.Scale, V: low.V + d.look.Height*d.look.Scale}
	out := newDXF([]shape.Flat{low, high}, string(layerVehicle), string(layerSpaces), string(layerModules), string(layerHidden),
		string(layerNames), string(layerMeasures))
	for _, l := range d.lines {
		out.pair(0, "LINE")
		out.pair(8, string(l.layer))
		out.mm(10, l.from.U)
		out.mm(20, l.from.V)
		out.mm(11, l.to.U)
		out.mm(21, l.to.V)
	}
	for _, t := range d.labels {
		out.text(string(t.layer), t.at.U, t.at.V, textHeight, t.text)
		out.pair(72, "1") // centred on the second point
		out.mm(11, t.at.U)
		out.mm(21, t.at.V)
	}
	return out.bytes(), nil
}

// dxf is a drawing that is being written, an ASCII DXF of release 12.
type dxf struct {
	out bytes.Buffer
}

// newDXF begins a drawing with its layers; extent is from its lowest to its highest corner, or nil.
func newDXF(extent []shape.Flat, layers ...string) *dxf {
	d := &dxf{}
	d.pair(0, "SECTION")
	d.pair(2, "HEADER")
	d.pair(9, "$ACADVER")
	d.pair(1, "AC1009")
	for k, at := range extent {
		d.pair(9, []string{"$EXTMIN", "$EXTMAX"}[k])
		d.mm(10, at.U)
		d.mm(20, at.V)
	}
	d.pair(0, "ENDSEC")
	d.pair(0, "SECTION")
	d.pair(2, "TABLES")
	d.pair(0, "TABLE")
	d.pair(2, "LAYER")
	d.pair(70, fmt.Sprint(len(layers)))
	for k, layer := range layers {
		d.pair(0, "LAYER")
		d.pair(2, layer)
		d.pair(70, "0")
		d.pair(62, fmt.Sprint(k+1))
		d.pair(6, "CONTINUOUS")
	}
	d.pair(0, "ENDTAB")
	d.pair(0, "ENDSEC")
	d.pair(0, "SECTION")
	d.pair(2, "ENTITIES")
	return d
}

func (d *dxf) pair(code int, value string) { fmt.Fprintf(&d.out, "%d\r\n%s\r\n", code, value) }

func (d *dxf) mm(code int, value float64) { d.pair(code, fmt.Sprintf("%.3f", value)) }

// text adds words at a place, as high as their letters are.
func (d *dxf) text(layer string, x, y, high float64, text string) {
	d.pair(0, "TEXT")
	d.pair(8, layer)
	d.mm(10, x)
	d.mm(20, y)
	d.mm(40, high)
	d.pair(1, asciiText(text))
}

// closed adds a closed outline.
func (d *dxf) closed(layer string, line []spot) {
	d.pair(0, "POLYLINE")
	d.pair(8, layer)
	d.pair(66, "1")
	d.pair(70, "1")
	for _, p := range line {
		d.pair(0, "VERTEX")
		d.pair(8, layer)
		d.mm(10, p.X)
		d.mm(20, p.Y)
	}
	d.pair(0, "SEQEND")
	d.pair(8, layer)
}

func (d *dxf) bytes() []byte {
	d.pair(0, "ENDSEC")
	d.pair(0, "EOF")
	return d.out.Bytes()
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
