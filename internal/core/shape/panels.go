package shape

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// panel is how thick the panels of a module are drawn, mm.
func (b *builder) panel() float64 {
	t := b.m.Panel
	if t == 0 {
		t = 3
	}
	return min(t, b.W/4, b.D/4, b.H/4)
}

// material is the tone of what a module is built of.
func (b *builder) material() Tone {
	if b.m.Wall == fitout.Aluminium || b.m.Wall == fitout.Extrusion || b.m.Wall == fitout.NoMaterial {
		return Metal
	}
	return Carcass
}

// carcass adds the panels and profiles of a module, its dividers among them, as they are cut; of one that is bought
// whole a bottom, a top, sides, a back and dividers, as thick as such things are.
func (b *builder) carcass() {
	made := module.AnatomyOf(b.item, nil)
	for i := range made.Panels {
		if p := &made.Panels[i]; p.Cell == "" && p.Name != "door" && p.Name != "flap" { // those move
			b.add(between(p.Box.From, p.Box.To, b.material()))
		}
	}
	for i := range made.Rods {
		b.add(between(made.Rods[i].Box.From, made.Rods[i].Box.To, Metal))
	}
	if len(made.Panels) > 0 {
		return
	}
	t, tone := b.panel(), b.material()
	b.block(0, b.W, 0, b.D, 0, t, tone)
	b.block(0, b.W, 0, b.D, b.H-t, b.H, tone)
	b.block(0, t, 0, b.D, t, b.H-t, tone)
	b.block(b.W-t, b.W, 0, b.D, t, b.H-t, tone)
	b.block(t, b.W-t, b.D-t, b.D, t, b.H-t, tone)
	b.dividers()
}

// room is where a compartment stands in the frame of the face.
type room struct {
	id, name               string
	a0, a1, d0, d1, h0, h1 float64
}

// rooms are the compartments of a module, or the whole of one that has none.
func (b *builder) rooms() []room {
	t := b.panel()
	var all []room
	for _, c := range module.Cells(b.item) {
		all = append(all, b.roomOf(c.ID, c.Name, c.Outer))
	}
	if all == nil {
		all = []room{{"", "", t, b.W - t, 0, b.D - t, t, b.H - t}}
	}
	return all
}

func (b *builder) roomOf(id, name string, box fitout.Box) room {
	origin := b.at(0, 0, 0)
	of := func(p fitout.Point) (a, d, h float64) {
		x, y := p.X-origin.X, p.Y-origin.Y
		switch b.face {
		case fitout.FaceFront:
			return -y, x, p.Z - origin.Z
		case fitout.FaceLeft:
			return x, y, p.Z - origin.Z
		case fitout.FaceRight:
			return -x, -y, p.Z - origin.Z
		}
		return y, -x, p.Z - origin.Z
	}
	a0, d0, h0 := of(box.From)
	a1, d1, h1 := of(box.To)
	return room{id, name, min(a0, a1), max(a0, a1), min(d0, d1), max(d0, d1), h0, h1}
}

// handle adds a bar to grip, in the middle of a width at a height, on a face at d.
func (b *builder) handle(a0, a1, d, h float64) {
	half := min(70, (a1-a0)*0.22)
	middle := (a0 + a1) / 2
	b.detail(middle-half, middle+half, d-14, d, h-6, h+6, Hardware)
}

// legs adds four legs under a height.
func (b *builder) legs(height, thick float64) {
	inset := min(20, b.W/10, b.D/10)
	for _, a := range []float64{inset, b.W - inset - thick} {
		for _, d := range []float64{inset, b.D - inset - thick} {
			b.block(a, a+thick, d, d+thick, 0, height, Metal)
		}
	}
}
