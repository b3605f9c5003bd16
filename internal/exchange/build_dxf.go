package exchange

import (
	"archive/zip"
	"bytes"
	"fmt"
	"time"

	"zaino/internal/core/build"
	"zaino/internal/core/fitout"
)

// Layers of a file for a router.
const (
	layerCut   = "CUT"
	layerDrill = "DRILL"
	layerMark  = "MARK"
)

// WriteBuildDXF writes every sheet and every panel as a DXF of its own, in one archive: closed outlines to cut,
// holes to drill, marks to read, on a layer each, in mm.
func WriteBuildDXF(j *fitout.Job) ([]byte, error) {
	_, v := built(j)
	var out bytes.Buffer
	w := zip.NewWriter(&out)
	add := func(name string, data []byte) error {
		f, err := w.CreateHeader(
			&zip.FileHeader{Name: name, Method: zip.Deflate, Modified: time.Date(2026, 1, 1, 0, 0, 0, 0, time.UTC)},
		)
		if err != nil {
			return err
		}
		_, err = f.Write(data)
		return err
	}
	n := 0
	for g := range v.Groups {
		for k := range v.Groups[g].Sheets {
			n++
			if err := add(fmt.Sprintf("sheet-%02d.dxf", n), sheetDXF(&v, &v.Groups[g].Sheets[k])); err != nil {
				return nil, err
			}
		}
	}
	for i := range v.Panels {
		if p := &v.Panels[i]; p.Here {
			d := newDXF()
			d.panel(p, 0, 0, false)
			if err := add("panel-"+p.Mark+".dxf", d.bytes()); err != nil {
				return nil, err
			}
		}
	}
	if err := w.Close(); err != nil {
		return nil, err
	}
	return out.Bytes(), nil
}

// sheetDXF is one sheet with its pieces.
func sheetDXF(v *build.BuildView, s *build.SheetCut) []byte {
	d := newDXF()
	d.closed(layerMark, []spot{{0, 0}, {s.Length, 0}, {s.Length, s.Width}, {0, s.Width}})
	for _, q := range s.Pieces {
		d.panel(&v.Panels[q.Panel], q.X, q.Y, q.Turned != turnedByGrain(&v.Panels[q.Panel], &q))
	}
	return d.bytes()
}

// turnedByGrain tells whether a panel lies across by its grain already, before the sheet turned it.
func turnedByGrain(p *build.CutPanel, q *build.PieceCut) bool {
	across := p.CutLength - q.Length
	return q.Turned == (across > -0.05 && across < 0.05)
}

// dxf is a drawing that is being written, an ASCII DXF of release 12.
type dxf struct {
	out bytes.Buffer
}

func newDXF() *dxf {
	d := &dxf{}
	d.pair(0, "SECTION")
	d.pair(2, "HEADER")
	d.pair(9, "$ACADVER")
	d.pair(1, "AC1009")
	d.pair(0, "ENDSEC")
	d.pair(0, "SECTION")
	d.pair(2, "TABLES")
	d.pair(0, "TABLE")
	d.pair(2, "LAYER")
	d.pair(70, "3")
	for k, layer := range []string{layerCut, layerDrill, layerMark} {
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

// panel adds a panel at a place, turned by 90° if it lies so, with its holes and its mark.
func (d *dxf) panel(p *build.CutPanel, x, y float64, turned bool) {
	o := panelOutline(p)
	to := func(q spot) spot {
		if turned {
			return spot{x + q.Y, y + q.X}
		}
		return spot{x + q.X, y + q.Y}
	}
	for k, line := range o.Lines {
		placed := make([]spot, len(line))
		for i := range line {
			placed[i] = to(line[i])
		}
		layer := layerCut
		if k > 0 {
			layer = layerDrill
		}
		d.closed(layer, placed)
	}
	for _, c := range o.Round {
		at := to(spot{c.X, c.Y})
		d.pair(0, "CIRCLE")
		d.pair(8, layerDrill)
		d.mm(10, at.X)
		d.mm(20, at.Y)
		d.mm(40, c.R)
	}
	at := to(spot{10, 10})
	d.pair(0, "TEXT")
	d.pair(8, layerMark)
	d.mm(10, at.X)
	d.mm(20, at.Y)
	d.mm(40, 12)
	d.pair(1, asciiText(p.Mark+" "+p.Name))
}

func (d *dxf) bytes() []byte {
	d.pair(0, "ENDSEC")
	d.pair(0, "EOF")
	return d.out.Bytes()
}
