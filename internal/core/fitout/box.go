package fitout

import "math"

// Box is an upright box in the vehicle's frame, mm: from its least corner to
// its greatest.
type Box struct {
	From Point `json:"from"`
	To   Point `json:"to"`
}

// Box returns the closed outside of an item: its size about its place.
func (i *Item) Box() Box {
	h := half(i.Size)
	return Box{Point{X: i.At.X - h.X, Y: i.At.Y - h.Y, Z: i.At.Z - h.Z}, Point{X: i.At.X + h.X, Y: i.At.Y + h.Y,
		Z: i.At.Z + h.Z}}
}

func half(s Size) Point {
	return Point{X: s.Length / 2, Y: s.Width / 2, Z: s.Height / 2}
}

// Middle returns the centre of a box.
func (b Box) Middle() Point {
	return Point{X: (b.From.X + b.To.X) / 2, Y: (b.From.Y + b.To.Y) / 2, Z: (b.From.Z + b.To.Z) / 2}
}

// Size returns the sides of a box, mm.
func (b Box) Size() Size {
	return Size{Length: b.To.X - b.From.X, Width: b.To.Y - b.From.Y, Height: b.To.Z - b.From.Z}
}

// Litres is the room of a box.
func (b Box) Litres() float64 {
	s := b.Size()
	return s.Length * s.Width * s.Height / 1e6
}

// Grown is a box with so much more on every side, mm.
func (b Box) Grown(by float64) Box {
	return Box{
		From: Point{b.From.X - by, b.From.Y - by, b.From.Z - by},
		To:   Point{b.To.X + by, b.To.Y + by, b.To.Z + by},
	}
}

// Off is how far a point is from a box, mm; 0 within it.
func (b Box) Off(at Point) float64 {
	by := b.Overlap(Box{From: at, To: at})
	return math.Hypot(math.Hypot(max(0, -by.X), max(0, -by.Y)), max(0, -by.Z))
}

// Moved returns the box shifted.
func (b Box) Moved(dx, dy, dz float64) Box {
	for _, p := range []*Point{&b.From, &b.To} {
		p.X, p.Y, p.Z = p.X+dx, p.Y+dy, p.Z+dz
	}
	return b
}

// Around returns the least box that holds both.
func (b Box) Around(o Box) Box {
	return Box{
		Point{X: min(b.From.X, o.From.X), Y: min(b.From.Y, o.From.Y), Z: min(b.From.Z, o.From.Z)},
		Point{X: max(b.To.X, o.To.X), Y: max(b.To.Y, o.To.Y), Z: max(b.To.Z, o.To.Z)},
	}
}

// Cut cuts a box to what lies in another; where nothing does, it is flat.
func (b Box) Cut(o Box) Box {
	cut := func(from, to *float64, least, most float64) {
		*from, *to = min(max(*from, least), most), max(min(*to, most), least)
		*to = max(*from, *to)
	}
	cut(&b.From.X, &b.To.X, o.From.X, o.To.X)
	cut(&b.From.Y, &b.To.Y, o.From.Y, o.To.Y)
	cut(&b.From.Z, &b.To.Z, o.From.Z, o.To.Z)
	return b
}

// Overlap returns how far two boxes reach into each other along each axis, mm;
// where any of them is 0 or less, they do not touch inside.
func (b Box) Overlap(o Box) Point {
	return Point{
		X: min(b.To.X, o.To.X) - max(b.From.X, o.From.X),
		Y: min(b.To.Y, o.To.Y) - max(b.From.Y, o.From.Y),
		Z: min(b.To.Z, o.To.Z) - max(b.From.Z, o.From.Z),
	}
}
