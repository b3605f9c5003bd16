package shape

import (
	"math"

	"zaino/internal/core/fitout"
)

// Mesh is a solid as triangles, mm in the vehicle's frame: corners with the way that each
// looks, three for a triangle, seen from outside against the clock.
type Mesh struct {
	Points  []fitout.Point
	Normals []fitout.Point
	Corners []uint32
}

// Add adds the surface of a prism to a mesh.
func (m *Mesh) Add(p *Prism) {
	outline := distinct(p.Outline)
	if len(outline) < 3 {
		return
	}
	if area(outline) < 0 {
		outline = reversed(outline)
	}
	// The outline counts U to V to the axis of the prism: y, z, x and x, y, z so, but x, z, y the other way round.
	flip := p.Axis == AxisY
	face := func(at float64, up float64) {
		first := uint32(len(m.Points))
		normal := place(p.Axis, up, Flat{})
		for _, f := range outline {
			m.Points, m.Normals = append(m.Points, place(p.Axis, at, f)), append(m.Normals, normal)
		}
		for _, t := range triangles(outline) {
			m.triangle(first+t[0], first+t[1], first+t[2], (up < 0) != flip)
		}
	}
	face(p.To, 1)
	face(p.From, -1)
	n := len(outline)
	for i := range outline {
		a, b := outline[i], outline[(i+1)%n]
		first := uint32(len(m.Points))
		one, other := way(a, b), way(a, b)
		if p.Round {
			one, other = middle(way(outline[(i+n-1)%n], a), one), middle(other, way(b, outline[(i+2)%n]))
		}
		for _, corner := range []struct {
			f    Flat
			at   float64
			look Flat
		}{{a, p.From, one}, {b, p.From, other}, {b, p.To, other}, {a, p.To, one}} {
			m.Points = append(m.Points, place(p.Axis, corner.at, corner.f))
			m.Normals = append(m.Normals, place(p.Axis, 0, corner.look))
		}
		m.triangle(first, first+1, first+2, flip)
		m.triangle(first, first+2, first+3, flip)
	}
}

// distinct is an outline without corners that lie on the one before.
func distinct(outline []Flat) []Flat {
	var all []Flat
	for i, f := range outline {
		before := outline[(i+len(outline)-1)%len(outline)]
		if math.Hypot(f.U-before.U, f.V-before.V) > 1e-6 {
			all = append(all, f)
		}
	}
	return all
}

func (m *Mesh) triangle(a, b, c uint32, flip bool) {
	if flip {
		b, c = c, b
	}
	m.Corners = append(m.Corners, a, b, c)
}

// way is how the side from a to b of an outline that runs against the clock looks.
func way(a, b Flat) Flat {
	u, v := b.V-a.V, a.U-b.U
	long := math.Hypot(u, v)
	if long == 0 {
		return Flat{}
	}
	return Flat{u / long, v / long}
}

func middle(a, b Flat) Flat {
	u, v := a.U+b.U, a.V+b.V
	long := math.Hypot(u, v)
	if long == 0 {
		return a
	}
	return Flat{u / long, v / long}
}

// area of an outline, positive against the clock.
func area(outline []Flat) float64 {
	sum := 0.0
	for i, a := range outline {
		b := outline[(i+1)%len(outline)]
		sum += a.U*b.V - b.U*a.V
	}
	return sum / 2
}

// triangles cuts an outline that runs against the clock into triangles, ear by ear.
func triangles(outline []Flat) [][3]uint32 {
	left := make([]uint32, len(outline))
	for i := range left {
		left[i] = uint32(i)
	}
	cross := func(a, b, c Flat) float64 { return (b.U-a.U)*(c.V-a.V) - (b.V-a.V)*(c.U-a.U) }
	var all [][3]uint32
	for len(left) > 3 {
		n, cut := len(left), -1
		for i := range left {
			a, b, c := outline[left[(i+n-1)%n]], outline[left[i]], outline[left[(i+1)%n]]
			if cross(a, b, c) <= 1e-9 {
				continue
			}
			ear := true
			for k := range left {
				if q := outline[left[k]]; q != a && q != b && q != c && cross(a, b, q) >= 0 && cross(b, c, q) >= 0 && cross(c, a, q) >= 0 {
					ear = false
					break
				}
			}
			if ear {
				cut = i
				break
			}
		}
		if cut < 0 { // only flat corners are left: any of them goes
			cut = 0
		}
		all = append(all, [3]uint32{left[(cut+n-1)%n], left[cut], left[(cut+1)%n]})
		left = append(left[:cut], left[cut+1:]...)
	}
	return append(all, [3]uint32{left[0], left[1], left[2]})
}
