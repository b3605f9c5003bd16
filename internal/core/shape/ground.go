package shape

import "zaino/internal/core/fitout"

// GroundID begins the ids of what stands on the ground in a stance, and PlacedID those of people in it.
const (
	GroundID = "~ground-"
	PlacedID = "~placed-"
)

// Ground is the form of a thing on the ground: an awning as its roof on four legs, a tent as a ridge, a table
// and a chair on legs, a ladder as two rails with rungs, anything else as its box.
func Ground(g *fitout.GroundThing) []Prism {
	b := g.Box()
	size := b.Size()
	const leg, top = 40.0, 30.0
	legs := func(up float64) []Prism {
		var all []Prism
		for _, x := range []float64{b.From.X, b.To.X - leg} {
			for _, y := range []float64{b.From.Y, b.To.Y - leg} {
				all = append(
					all,
					boxed(
						fitout.Box{
							From: fitout.Point{X: x, Y: y, Z: b.From.Z},
							To:   fitout.Point{X: x + leg, Y: y + leg, Z: up},
						},
						Metal,
					),
				)
			}
		}
		return all
	}
	plate := func(from, to float64, tone Tone) Prism {
		return boxed(
			fitout.Box{
				From: fitout.Point{X: b.From.X, Y: b.From.Y, Z: from},
				To:   fitout.Point{X: b.To.X, Y: b.To.Y, Z: to},
			},
			tone,
		)
	}
	switch g.Kind {
	case fitout.GroundAwning:
		return append(legs(b.To.Z-top), plate(b.To.Z-top, b.To.Z, Cloth))
	case fitout.GroundTable:
		return append(legs(b.To.Z-top), plate(b.To.Z-top, b.To.Z, Carcass))
	case fitout.GroundChair:
		seat := b.From.Z + size.Height*0.45
		back := b
		back.From.Z, back.To.X = seat, b.From.X+top
		return append(legs(seat), plate(seat, seat+top, Cloth), boxed(back, Cloth))
	case fitout.GroundTent:
		return []Prism{{Axis: AxisX, From: b.From.X, To: b.To.X, Tone: Cloth,
			Outline: []Flat{{b.From.Y, b.From.Z}, {b.To.Y, b.From.Z}, {(b.From.Y + b.To.Y) / 2, b.To.Z}}}}
	case fitout.GroundLadder:
		return ladder(b)
	case fitout.GroundFire:
		return []Prism{{Axis: AxisZ, From: b.From.Z, To: b.To.Z, Tone: Light, Round: true,
			Outline: circle(Flat{(b.From.X + b.To.X) / 2, (b.From.Y + b.To.Y) / 2}, min(size.Length, size.Width)/2)}}
	}
	return []Prism{boxed(b, Plain)}
}

// ladder leans along the longer side of its foot.
func ladder(b fitout.Box) []Prism {
	const rail = 50.0
	size := b.Size()
	lean := []Flat{{b.From.X, b.From.Z}, {b.From.X + rail, b.From.Z}, {b.To.X, b.To.Z}, {b.To.X - rail, b.To.Z}}
	axis, low, high := AxisY, b.From.Y, b.To.Y
	if size.Width > size.Length {
		lean = []Flat{{b.From.Y, b.From.Z}, {b.From.Y + rail, b.From.Z}, {b.To.Y, b.To.Z}, {b.To.Y - rail, b.To.Z}}
		axis, low, high = AxisX, b.From.X, b.To.X
	}
	all := []Prism{{Axis: axis, From: low, To: low + rail, Tone: Metal, Outline: lean},
		{Axis: axis, From: high - rail, To: high, Tone: Metal, Outline: lean}}
	for up := 300.0; up < size.Height-100; up += 300 {
		share := up / size.Height
		at := Flat{lean[0].U + share*(lean[3].U-lean[0].U), b.From.Z + up}
		all = append(all, Prism{Axis: axis, From: low, To: high, Tone: Metal, Thin: true,
			Outline: []Flat{{at.U, at.V}, {at.U + rail, at.V}, {at.U + rail, at.V + 25}, {at.U, at.V + 25}}})
	}
	return all
}
