package exchange

import (
	"bytes"
	"fmt"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/shape"
)

// drawingLayers are those of a view: what is nearer to the hand of who works with it first, since an edge that two
// layers have is drawn on the first of them.
var drawingLayers = []dxfLayer{
	{string(layerModules), 2, solidLine}, {string(layerGear), 3, solidLine}, {string(layerPeople), 6, solidLine},
	{string(layerFittings), 4, solidLine}, {string(layerDoors), 5, solidLine}, {string(layerVehicle), 7, solidLine},
	{string(layerGround), 8, solidLine}, {string(layerSpaces), 1, dashedLine}, {string(layerHidden), 8, hiddenLine},
	{string(layerMeasures), 9, solidLine}, {string(layerNames), 7, solidLine},
}

// layerOf is the layer of each kind of thing.
var layerOf = map[draw.Kind]layer{
	draw.OfVehicle: layerVehicle, draw.OfDoor: layerDoors, draw.OfModule: layerModules, draw.OfGear: layerGear,
	draw.OfPerson: layerPeople, draw.OfPlaced: layerPeople, draw.OfFitting: layerFittings, draw.OfGround: layerGround,
}

// WriteDXF writes one view of a job as an ASCII DXF of release 12, which every
// drawing program and cutter reads: outlines and texts on layers, in mm, 1:1.
func WriteDXF(j *fitout.Job, stand draw.Stand) ([]byte, error) {
	if err := checked(stand); err != nil {
		return nil, err
	}
	d := drawn(j, stand)
	d.pen()
	low := shape.Flat{U: d.look.From, V: (d.look.Ground - d.look.Height) * d.look.Scale}
	high := shape.Flat{U: low.U + d.look.Width*d.look.Scale, V: low.V + d.look.Height*d.look.Scale}
	out := newDXF([]shape.Flat{low, high}, drawingLayers...)
	out.pair(999, asciiText(d.title))
	byLayer := make([][]line, len(drawingLayers))
	for _, l := range d.lines {
		k := slices.IndexFunc(drawingLayers, func(of dxfLayer) bool { return of.name == string(l.layer) })
		byLayer[k] = append(byLayer[k], l)
	}
	for k, all := range chains(byLayer) {
		for i := range all {
			out.chain(drawingLayers[k].name, &all[i])
		}
	}
	out.text(string(layerNames), low.U, low.V-3*textHeight, 1.6*textHeight, d.title+", mm, 1:1")
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

// dxfLayer is a layer with its colour and the kind of its lines.
type dxfLayer struct {
	name   string
	colour int // of the usual nine
	kind   string
}

// The kinds of lines.
const (
	solidLine  = "CONTINUOUS"
	dashedLine = "DASHED"
	hiddenLine = "HIDDEN"
)

// dashes are the kinds of lines that are broken: what they look like, and their dashes and gaps, mm.
var dashes = []struct {
	name, looks string
	long, gap   float64
}{{dashedLine, "__ __ __ __", 24, 12}, {hiddenLine, "_ _ _ _ _ _", 12, 8}}

// newDXF begins a drawing with its layers; extent is from its lowest to its highest corner, or nil.
func newDXF(extent []shape.Flat, layers ...dxfLayer) *dxf {
	d := &dxf{}
	d.pair(0, "SECTION")
	d.pair(2, "HEADER")
	d.pair(9, "$ACADVER")
	d.pair(1, "AC1009")
	d.pair(9, "$INSUNITS") // mm; a program that does not know it reads on
	d.pair(70, "4")
	d.pair(9, "$MEASUREMENT")
	d.pair(70, "1")
	for k, at := range extent {
		d.pair(9, []string{"$EXTMIN", "$EXTMAX"}[k])
		d.mm(10, at.U)
		d.mm(20, at.V)
	}
	d.pair(0, "ENDSEC")
	d.pair(0, "SECTION")
	d.pair(2, "TABLES")
	d.pair(0, "TABLE")
	d.pair(2, "LTYPE")
	d.pair(70, fmt.Sprint(1+len(dashes)))
	d.lineKind(solidLine, "Solid line")
	for _, k := range dashes {
		d.lineKind(k.name, k.looks, k.long, -k.gap)
	}
	d.pair(0, "ENDTAB")
	d.pair(0, "TABLE")
	d.pair(2, "LAYER")
	d.pair(70, fmt.Sprint(len(layers)))
	for _, layer := range layers {
		d.pair(0, "LAYER")
		d.pair(2, layer.name)
		d.pair(70, "0")
		d.pair(62, fmt.Sprint(layer.colour))
		d.pair(6, layer.kind)
	}
	d.pair(0, "ENDTAB")
	d.pair(0, "ENDSEC")
	d.pair(0, "SECTION")
	d.pair(2, "ENTITIES")
	return d
}

// lineKind adds a kind of lines with its dashes, gaps negative.
func (d *dxf) lineKind(name, looks string, pattern ...float64) {
	d.pair(0, "LTYPE")
	d.pair(2, name)
	d.pair(70, "0")
	d.pair(3, looks)
	d.pair(72, "65")
	d.pair(73, fmt.Sprint(len(pattern)))
	whole := 0.0
	for _, mm := range pattern {
		whole += math.Abs(mm)
	}
	d.mm(40, whole)
	for _, mm := range pattern {
		d.mm(49, mm)
	}
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
	c := chain{closed: true}
	for _, p := range line {
		c.points = append(c.points, shape.Flat{U: p.X, V: p.Y})
	}
	d.chain(layer, &c)
}

// chain adds a line of one stretch or more.
func (d *dxf) chain(layer string, c *chain) {
	if len(c.points) == 2 {
		d.pair(0, "LINE")
		d.pair(8, layer)
		d.mm(10, c.points[0].U)
		d.mm(20, c.points[0].V)
		d.mm(11, c.points[1].U)
		d.mm(21, c.points[1].V)
		return
	}
	d.pair(0, "POLYLINE")
	d.pair(8, layer)
	d.pair(66, "1")
	d.pair(70, map[bool]string{true: "1", false: "0"}[c.closed])
	for _, p := range c.points {
		d.pair(0, "VERTEX")
		d.pair(8, layer)
		d.mm(10, p.U)
		d.mm(20, p.V)
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
		of := layerOf[g.Kind]
		for _, l := range seen {
			d.lines = append(d.lines, line{of, l.From, l.To})
		}
		for _, l := range hidden {
			d.lines = append(d.lines, line{layerHidden, l.From, l.To})
		}
		if l := g.Label; l != nil {
			for k, text := range l.Lines {
				at := shape.Flat{
					U: l.U + draw.Wide(text, textHeight)/2,
					V: l.V - 12*textHeight/11*float64(k) + textHeight/3,
				}
				d.labels = append(d.labels, label{layerNames, at, text})
			}
			if len(l.Lines) == 0 {
				d.labels = append(d.labels, label{layerNames, shape.Flat{U: l.U, V: l.V}, fmt.Sprint(l.Number)})
			}
		}
	}
	for i, k := range d.key {
		d.labels = append(
			d.labels,
			label{layerNames, shape.Flat{U: d.look.From + 500, V: (d.look.Ground-d.look.Height)*d.look.Scale -
				40*float64(i)}, fmt.Sprintf("%d  %s", k.Number, k.Name)},
		)
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
