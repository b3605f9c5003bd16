package exchange

import (
	"archive/zip"
	"bytes"
	"fmt"
	"math"
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

var routerLayers = []dxfLayer{{layerCut, 1, solidLine}, {layerDrill, 2, solidLine}, {layerMark, 3, solidLine}}

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
			d := newDXF(nil, routerLayers...)
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
	d := newDXF(nil, routerLayers...)
	d.closed(layerMark, []spot{{0, 0}, {s.Length, 0}, {s.Length, s.Width}, {0, s.Width}})
	for _, q := range s.Pieces {
		p := &v.Panels[q.Panel]
		d.panel(p, q.X, q.Y, math.Abs(q.Length-p.CutLength) > 0.05) // by its grain or by the saw
	}
	return d.bytes()
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
	d.text(layerMark, at.X, at.Y, 12, p.Mark+" "+p.Name)
}
