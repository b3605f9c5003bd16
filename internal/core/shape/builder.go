package shape

import (
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// builder makes the solids of one part in the frame of who stands before its face: a across
// the face from the left, d inward from the face, h up from its floor. What faces no side,
// or up, is built as if it faced the rear.
type builder struct {
	item  *fitout.Item
	m     *fitout.Module
	part  *Part
	box   fitout.Box
	face  fitout.Face
	W     float64 // width of the face, mm
	D     float64 // depth behind it
	H     float64 // height
	cell  string  // of the leaf that solids belong to now
	moves bool
	// reaches says that it may reach beyond its own size.
	reaches bool
	moved   map[string][]Prism
	order   []string
}

func newBuilder(item *fitout.Item, p *Part) *builder {
	b := &builder{item: item, m: item.Module, part: p, box: item.Box(), face: fitout.FaceRear, moved: map[string][]Prism{}}
	if b.m == nil {
		b.m = &fitout.Module{}
	} else if b.m.Faces == fitout.FaceLeft || b.m.Faces == fitout.FaceRight || b.m.Faces == fitout.FaceFront {
		b.face = b.m.Faces
	}
	s := item.Size
	b.W, b.D, b.H = s.Width, s.Length, s.Height
	if b.face == fitout.FaceLeft || b.face == fitout.FaceRight {
		b.W, b.D = s.Length, s.Width
	}
	return b
}

// proud is how far grips may stand out of a face, mm.
const proud = 14.0

// at is a place of the frame of the face in that of the vehicle; nothing of a thing lies
// outside of it but its grips.
func (b *builder) at(a, d, h float64) fitout.Point {
	if !b.reaches {
		a, d, h = min(max(a, 0), b.W), min(max(d, -proud), b.D), min(max(h, 0), b.H)
	}
	z := b.box.From.Z + h
	switch b.face {
	case fitout.FaceFront:
		return fitout.Point{X: b.box.From.X + d, Y: b.box.To.Y - a, Z: z}
	case fitout.FaceLeft:
		return fitout.Point{X: b.box.From.X + a, Y: b.box.From.Y + d, Z: z}
	case fitout.FaceRight:
		return fitout.Point{X: b.box.To.X - a, Y: b.box.To.Y - d, Z: z}
	}
	return fitout.Point{X: b.box.To.X - d, Y: b.box.From.Y + a, Z: z}
}

func (b *builder) add(p Prism) {
	if s := p.Bounds().Size(); min(s.Length, s.Width, s.Height) < 0.01 {
		return // no room for it
	}
	if !b.moves {
		b.part.Still = append(b.part.Still, p)
		return
	}
	if _, known := b.moved[b.cell]; !known {
		b.order = append(b.order, b.cell)
	}
	b.moved[b.cell] = append(b.moved[b.cell], p)
}

// leaf makes what build adds move with a compartment; empty for the whole.
func (b *builder) leaf(cell string, build func()) {
	before, moved := b.cell, b.moves
	b.cell, b.moves = cell, true
	build()
	b.cell, b.moves = before, moved
}

// block adds a box from corner to corner of the frame of the face; what has no room is left
// out.
func (b *builder) block(a0, a1, d0, d1, h0, h1 float64, tone Tone) {
	if a0 < a1 && d0 < d1 && h0 < h1 {
		b.add(between(b.at(a0, d0, h0), b.at(a1, d1, h1), tone))
	}
}

// detail adds a box that is drawn with thin lines.
func (b *builder) detail(a0, a1, d0, d1, h0, h1 float64, tone Tone) {
	if a0 < a1 && d0 < d1 && h0 < h1 {
		p := between(b.at(a0, d0, h0), b.at(a1, d1, h1), tone)
		p.Thin = true
		b.add(p)
	}
}

// between is a box between two corners.
func between(one, other fitout.Point, tone Tone) Prism {
	return boxed(fitout.Box{
		From: fitout.Point{X: min(one.X, other.X), Y: min(one.Y, other.Y), Z: min(one.Z, other.Z)},
		To:   fitout.Point{X: max(one.X, other.X), Y: max(one.Y, other.Y), Z: max(one.Z, other.Z)},
	}, tone)
}

// inward adds an outline of the face (a, h) that goes inward from d0 to d1.
func (b *builder) inward(outline []Flat, d0, d1 float64, tone Tone, round bool) {
	b.extrude(outline, d0, d1, tone, round, func(along float64, f Flat) fitout.Point { return b.at(f.U, along, f.V) })
}

// sideways adds an outline of the side (d, h) that goes along the face from a0 to a1.
func (b *builder) sideways(outline []Flat, a0, a1 float64, tone Tone, round bool) {
	b.extrude(outline, a0, a1, tone, round, func(along float64, f Flat) fitout.Point { return b.at(along, f.U, f.V) })
}

// upward adds an outline of the floor (a, d) that goes up from h0 to h1.
func (b *builder) upward(outline []Flat, h0, h1 float64, tone Tone, round bool) {
	b.extrude(outline, h0, h1, tone, round, func(along float64, f Flat) fitout.Point { return b.at(f.U, f.V, along) })
}

func (b *builder) extrude(outline []Flat, from, to float64, tone Tone, round bool,
	at func(along float64, f Flat) fitout.Point) {
	if to-from < 0.01 || len(outline) < 3 {
		return
	}
	one, other := at(from, outline[0]), at(to, outline[0])
	axis := AxisZ
	switch {
	case math.Abs(one.X-other.X) > 0.005:
		axis = AxisX
	case math.Abs(one.Y-other.Y) > 0.005:
		axis = AxisY
	}
	p := Prism{Axis: axis, Round: round, Tone: tone, Outline: make([]Flat, len(outline))}
	first, _ := apart(axis, one)
	second, _ := apart(axis, other)
	p.From, p.To = min(first, second), max(first, second)
	for i, f := range outline {
		_, p.Outline[i] = apart(axis, at(from, f))
	}
	b.add(p)
}

// hang gives what moves its way: as the module's own leaves go. What moves but has no leaf
// stands still, and so does a door or flap in a top, which no module is made with.
func (b *builder) hang(leaves []module.Leaf) {
	for _, cell := range b.order {
		solids := b.moved[cell]
		var leaf *module.Leaf
		for i := range leaves {
			if leaves[i].Cell == cell {
				leaf = &leaves[i]
			}
		}
		turnsTop := b.m.Faces == fitout.FaceTop && b.m.Unfolds == 0
		if motion := module.Of(b.m.Kind).Motion; leaf == nil || turnsTop && (motion == module.FlapOut || motion == module.DoorOut) {
			b.part.Still = append(b.part.Still, solids...)
			continue
		}
		moving := Moving{Cell: cell, Solids: solids}
		switch module.Of(b.m.Kind).Motion {
		case module.LidUp:
			b.turnsUp(&moving)
		case module.FlapOut:
			b.turnsOut(&moving, false)
		case module.DoorOut:
			b.turnsOut(&moving, true)
		default:
			if b.m.Unfolds > 0 {
				b.unfolds(&moving)
			} else {
				b.slides(&moving)
			}
		}
		b.part.Leaves = append(b.part.Leaves, moving)
	}
}

// slides takes a leaf out by the travel of its module, and down by its drop.
func (b *builder) slides(m *Moving) {
	travel := b.m.Travel
	if travel == 0 {
		travel = module.Depth(b.item)
	}
	at, in := b.at(0, 0, 0), b.at(0, b.D, 0)
	way := max(math.Abs(in.X-at.X), math.Abs(in.Y-at.Y))
	m.Slides = fitout.Point{X: (at.X - in.X) / way * travel, Y: (at.Y - in.Y) / way * travel, Z: -b.m.Drop}
	if b.m.Faces == fitout.FaceTop {
		m.Slides = fitout.Point{Z: travel - b.m.Drop}
	}
}

// turnsUp turns a lid up about its edge away from the face; of one that faces up, about its
// front edge.
func (b *builder) turnsUp(m *Moving) {
	m.Through = b.at(0, b.D, b.H)
	switch b.face {
	case fitout.FaceRear: // hinged at the front: what lies behind it comes up
		m.About, m.Quarters = AxisY, -1
	case fitout.FaceFront:
		m.About, m.Quarters = AxisY, 1
	case fitout.FaceLeft:
		m.About, m.Quarters = AxisX, -1
	case fitout.FaceRight:
		m.About, m.Quarters = AxisX, 1
	}
}

// turnsOut turns a flap down about the foot of the face, or a door out about the left or,
// mirrored, the right side of it, as seen from outside.
func (b *builder) turnsOut(m *Moving, door bool) {
	if door {
		m.About = AxisZ
		m.Through, m.Quarters = b.at(0, 0, 0), -1
		if b.m.Mirrored {
			m.Through, m.Quarters = b.at(b.W, 0, 0), 1
		}
		return
	}
	m.Through = b.at(0, 0, 0)
	switch b.face {
	case fitout.FaceRear:
		m.About, m.Quarters = AxisY, 1
	case fitout.FaceFront:
		m.About, m.Quarters = AxisY, -1
	case fitout.FaceLeft:
		m.About, m.Quarters = AxisX, 1
	case fitout.FaceRight:
		m.About, m.Quarters = AxisX, -1
	}
}

// unfolds turns a piece that lies on top over the upper edge of the face.
func (b *builder) unfolds(m *Moving) {
	m.Through = b.at(0, 0, b.H)
	m.About, m.Quarters = AxisY, 2
	if b.face == fitout.FaceLeft || b.face == fitout.FaceRight {
		m.About = AxisX
	}
}
