package module

import "zaino/internal/core/fitout"

// panel is one board of a module: its box, and what it is made of.
type panel struct {
	box   fitout.Box
	kg    float64
	sheet bool // cut from a sheet: not a runner, lining or profile
}

// Mass returns what a module weighs by its construction, kg, and the centre of
// that mass: the sum over its panels of area × thickness × density, its runners,
// lining and profiles. ok is false for what is bought whole, whose mass the data
// sheet gives.
func Mass(i *fitout.Item) (kg float64, centre fitout.Point, ok bool) {
	if i.Module == nil || i.Module.Wall == fitout.NoMaterial || Of(i.Module.Kind).Shape == Bought {
		return 0, i.At, false
	}
	sum := fitout.Point{}
	for _, p := range panels(i) {
		at := p.box.Middle()
		kg += p.kg
		sum.X, sum.Y, sum.Z = sum.X+p.kg*at.X, sum.Y+p.kg*at.Y, sum.Z+p.kg*at.Z
	}
	if kg == 0 {
		return 0, i.At, true
	}
	return kg, fitout.Point{X: sum.X / kg, Y: sum.Y / kg, Z: sum.Z / kg}, true
}

func panels(i *fitout.Item) []panel {
	m := i.Module
	box := i.Box()
	switch Of(m.Kind).Shape {
	case Plate:
		plate := box
		plate.From.Z = max(box.From.Z, box.To.Z-m.Panel)
		all := []panel{board(m, plate)}
		if below := plate.From.Z - box.From.Z; below > 0 { // two bearers along the length
			for _, y := range []float64{box.From.Y, box.To.Y - m.Panel} {
				all = append(all, board(m, fitout.Box{From: fitout.Point{X: box.From.X, Y: y, Z: box.From.Z},
					To: fitout.Point{X: box.To.X, Y: y + m.Panel, Z: plate.From.Z}}))
			}
		}
		return all
	case Frame:
		bottom := box
		bottom.To.Z = box.From.Z + m.Panel
		return append([]panel{board(m, bottom)}, runners(i, []fitout.Box{box})...)
	case OpenBox:
		return append(shell(i, box, true), lining(m, box)...)
	}
	all := shell(i, box, false)
	if n := len(m.Cells); n > 1 {
		all = append(all, dividers(i, box)...)
	}
	if Of(m.Kind).Motion != Drawers {
		return append(all, lining(m, box)...)
	}
	var drawers []fitout.Box
	for _, c := range Cells(i) {
		all = append(all, drawer(i, c)...)
		drawers = append(drawers, c.Outer)
	}
	return append(all, runners(i, drawers)...)
}

// board is a panel of the module's material that fills a box.
func board(m *fitout.Module, b fitout.Box) panel {
	return panel{b, b.Litres() / 1000 * density(m.Wall), true}
}

// shell is top, bottom, both sides and the end away from the face; with all
// four sides, the face's too. Extrusion adds the twelve edges as profiles.
func shell(i *fitout.Item, b fitout.Box, closed bool) []panel {
	m, t := i.Module, i.Module.Panel
	top, bottom, left, right, front, rear := b, b, b, b, b, b
	top.From.Z, bottom.To.Z = b.To.Z-t, b.From.Z+t
	left.To.Y, right.From.Y = b.From.Y+t, b.To.Y-t
	front.To.X, rear.From.X = b.From.X+t, b.To.X-t
	for _, side := range []*fitout.Box{&left, &right, &front, &rear} {
		side.From.Z, side.To.Z = b.From.Z+t, b.To.Z-t
	}
	for _, end := range []*fitout.Box{&front, &rear} {
		end.From.Y, end.To.Y = b.From.Y+t, b.To.Y-t
	}
	open := map[fitout.Face]*fitout.Box{fitout.FaceRear: &rear, fitout.FaceFront: &front, fitout.FaceLeft: &left,
		fitout.FaceRight: &right}[m.Faces]
	var all []panel
	for _, side := range []*fitout.Box{&top, &bottom, &left, &right, &front, &rear} {
		if closed || side != open {
			all = append(all, board(m, *side))
		}
	}
	if m.Wall == fitout.Extrusion {
		s := b.Size()
		all = append(all, panel{b, profileKg * 4 * (s.Length + s.Width + s.Height) / 1000, false})
	}
	return all
}

// dividers stand between compartments.
func dividers(i *fitout.Item, b fitout.Box) []panel {
	m, t := i.Module, i.Module.Panel
	s := b.Size()
	litres := Width(i) * Depth(i) * t / 1e6
	if m.Stack != fitout.Above {
		litres = s.Height * Depth(i) * t / 1e6
	}
	n := float64(len(m.Cells) - 1)
	return []panel{{b, n * litres / 1000 * density(m.Wall), true}}
}

// drawer is the bottom and four sides of one drawer, its partitions and cover,
// and its lining. A partition stands across, as wide and high as the inside.
func drawer(i *fitout.Item, c Cell) []panel {
	m := i.Module
	s, inside := c.Outer.Size(), c.Inside.Size()
	area := s.Length*s.Width + 2*s.Height*(s.Length+s.Width)
	across := min(inside.Length, inside.Width)
	area += float64(c.Walls) * across * inside.Height
	if c.Cover {
		area += s.Length * s.Width
	}
	litres := area * m.Panel / 1e6
	return append([]panel{{c.Outer, litres / 1000 * density(m.Wall), true}}, lining(m, c.Outer)...)
}

// lining lies on the bottom and the sides of a box.
func lining(m *fitout.Module, b fitout.Box) []panel {
	if m.Lining == 0 {
		return nil
	}
	s := b.Size()
	return []panel{{b, liningKg * (s.Length*s.Width + 2*s.Height*(s.Length+s.Width)) / 1e6, false}}
}

// runners are a pair for each drawer, as long as it is deep.
func runners(i *fitout.Item, drawers []fitout.Box) []panel {
	var all []panel
	for _, d := range drawers {
		s := d.Size()
		length := s.Length
		if across(i.Module.Faces) {
			length = s.Width
		}
		all = append(all, panel{d, runnerKg(i.Module.Runner) * length / 1000, false})
	}
	return all
}

// Material is what a built module takes of panel, m², and of runner, m; nothing
// for what is bought whole.
func Material(i *fitout.Item) (area, runner float64) {
	if i.Module == nil || i.Module.Wall == fitout.NoMaterial || i.Module.Panel == 0 || Of(i.Module.Kind).Shape == Bought {
		return 0, 0
	}
	for _, p := range panels(i) {
		if p.sheet {
			area += p.kg / (density(i.Module.Wall) * i.Module.Panel / 1000)
		}
	}
	if Of(i.Module.Kind).Motion == Drawers {
		runner = Depth(i) / 1000 * 2 * float64(max(1, len(i.Module.Cells)))
	}
	return area, runner
}
