package module

import "zaino/internal/core/fitout"

// Cell is one compartment of a module as it stands, closed.
type Cell struct {
	ID     string     `json:"id"`
	Name   string     `json:"name"`
	Outer  fitout.Box `json:"outer" doc:"the drawer or compartment itself"`
	Inside fitout.Box `json:"inside" doc:"the room in it"`
	Walls  int        `json:"walls" doc:"partitions across it"`
	Cover  bool       `json:"cover" doc:"a lift-out cover lies over it"`
}

// Cells returns the compartments of a module. Along the face or upward they
// share what the panels leave by their shares: of n compartments in a carcass of
// width W with panels of t each gets its share of W − (n+1)·t. In a drawer the
// runners take their width on both sides, the drawer's own panels and the lining
// theirs: 640 outside with 9 mm panels, 19 mm runners and 3 mm lining leave a
// drawer of 584 and 560 inside it.
func Cells(i *fitout.Item) []Cell {
	m := i.Module
	spec := Of(m.Kind)
	if !spec.Holds || len(m.Cells) == 0 {
		return nil
	}
	side, panel := wall(m), 0.0
	if m.Wall != fitout.NoMaterial {
		panel = m.Panel
	}
	box := i.Box()
	total := 0.0
	for _, c := range m.Cells {
		total += share(c)
	}
	n := float64(len(m.Cells))
	upward := m.Stack == fitout.Above
	room := Width(i) - (n+1)*side
	if upward {
		room = i.Size.Height - (n+1)*side
	}
	at := side
	cells := make([]Cell, 0, len(m.Cells))
	for k := range m.Cells {
		c := m.Cells[k]
		if m.Mirrored && !upward {
			c = m.Cells[len(m.Cells)-1-k]
		}
		size := max(0, room) * share(c) / total
		bay := within(i, box, at, size, upward, side).Cut(box)
		outer, inside := bay, bay
		switch spec.Motion {
		case Drawers:
			outer = drawerIn(i, bay, c.Cover)
			inside = narrowed(i, outer, panel+m.Lining, panel+m.Lining, 0)
			inside.From.Z = min(inside.To.Z, inside.From.Z+panel+m.Lining)
		default:
			inside = narrowed(i, behindLeaf(i, bay), m.Lining, m.Lining, 0)
		}
		if c.Cover && spec.Motion != Drawers { // it takes its thickness off the height
			inside.To.Z = max(inside.From.Z, inside.To.Z-panel)
		}
		cells = append(cells, Cell{c.ID, c.Name, outer, inside, c.Walls, c.Cover})
		at += size + side
	}
	return cells
}

// behindLeaf is what a door or flap leaves of a room: it stands between the sides, as thick as a panel.
func behindLeaf(i *fitout.Item, bay fitout.Box) fitout.Box {
	if i.Module.Wall == fitout.NoMaterial || !hasLeaf(Of(i.Module.Kind)) {
		return bay
	}
	t := i.Module.Panel
	switch i.Module.Faces {
	case fitout.FaceRear:
		bay.To.X = max(bay.From.X, bay.To.X-t)
	case fitout.FaceFront:
		bay.From.X = min(bay.To.X, bay.From.X+t)
	case fitout.FaceRight:
		bay.To.Y = max(bay.From.Y, bay.To.Y-t)
	case fitout.FaceLeft:
		bay.From.Y = min(bay.To.Y, bay.From.Y+t)
	}
	return bay
}

// drawerIn is what a drawer measures outside in its room: the runners take their width at its sides, and
// it leaves its gaps free. A cover lies on its sides and takes its thickness off their height.
func drawerIn(i *fitout.Item, bay fitout.Box, cover bool) fitout.Box {
	m, gaps := i.Module, GapsOf(i.Module)
	b := narrowed(i, bay, Side(m.Runner), 0, gaps.Above)
	b.From.Z = min(b.To.Z, b.From.Z+gaps.Below)
	if cover && m.Wall != fitout.NoMaterial {
		b.To.Z = max(b.From.Z, b.To.Z-m.Panel)
	}
	switch m.Faces {
	case fitout.FaceRear:
		b.From.X = min(b.To.X, b.From.X+gaps.Behind)
	case fitout.FaceFront:
		b.To.X = max(b.From.X, b.To.X-gaps.Behind)
	case fitout.FaceRight:
		b.From.Y = min(b.To.Y, b.From.Y+gaps.Behind)
	case fitout.FaceLeft:
		b.To.Y = max(b.From.Y, b.To.Y-gaps.Behind)
	}
	return b
}

// GapsOf are what the drawers of a module leave free around them.
func GapsOf(m *fitout.Module) fitout.Gaps {
	if m.Gaps != nil {
		return *m.Gaps
	}
	return fitout.DrawerGaps
}

func share(c fitout.Cell) float64 {
	if c.Share <= 0 {
		return 1
	}
	return c.Share
}

// within returns the room of one compartment: from a distance along the face, or
// above the floor of the module, between its other panels.
func within(i *fitout.Item, box fitout.Box, at, size float64, upward bool, panel float64) fitout.Box {
	b := box
	b.From.Z, b.To.Z = box.From.Z+panel, box.To.Z-panel
	if upward {
		b.From.Z, b.To.Z = box.From.Z+at, box.From.Z+at+size
	}
	switch {
	case across(i.Module.Faces):
		if upward {
			b.From.X, b.To.X = box.From.X+panel, box.To.X-panel
		} else {
			b.From.X, b.To.X = box.From.X+at, box.From.X+at+size
		}
	case upward:
		b.From.Y, b.To.Y = box.From.Y+panel, box.To.Y-panel
	default:
		b.From.Y, b.To.Y = box.From.Y+at, box.From.Y+at+size
	}
	// The back panel stands on the side away from the face.
	switch i.Module.Faces {
	case fitout.FaceRear:
		b.From.X += panel
	case fitout.FaceFront:
		b.To.X -= panel
	case fitout.FaceRight:
		b.From.Y += panel
	case fitout.FaceLeft:
		b.To.Y -= panel
	}
	return b
}

// narrowed takes sides off the width of a module's face, ends off its depth at
// both ends, and top off its height. What is used up is 0, never less.
func narrowed(i *fitout.Item, b fitout.Box, sides, ends, top float64) fitout.Box {
	x, y := ends, sides
	if across(i.Module.Faces) {
		x, y = sides, ends
	}
	take := func(from, to *float64, by float64) {
		by = min(by, (*to-*from)/2)
		*from, *to = *from+by, *to-by
	}
	take(&b.From.X, &b.To.X, x)
	take(&b.From.Y, &b.To.Y, y)
	b.To.Z = max(b.From.Z, b.To.Z-top)
	return b
}
