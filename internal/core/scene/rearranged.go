package scene

import (
	"slices"

	"zaino/internal/core/fitout"
)

// Rearranged is a scene as it stands in a stance, where something is put elsewhere
// inside; what stands outside is left out of it.
func (s *Scene) Rearranged(stance *fitout.Stance) (*Scene, bool) {
	on, moved := *s, false
	on.Stances = nil
	on.Parts = nil
	for i := range s.Parts {
		p := s.Parts[i]
		at := slices.IndexFunc(stance.Loose, func(l fitout.LoosePlace) bool { return l.Item == p.ID })
		if at >= 0 && stance.Loose[at].Outside {
			continue
		}
		if at >= 0 {
			moved = true
			from, to := p.Box.Middle(), stance.Loose[at].At
			p = p.MovedBy(to.X-from.X, to.Y-from.Y, to.Z-from.Z)
			p.Bay, p.Away = s.bayAt(to), true
		}
		on.Parts = append(on.Parts, p)
	}
	if moved {
		on.Postures = nil
		on.Prepare()
	}
	return &on, moved
}

// MovedBy is a part with all that moves of it, shifted.
func (p Part) MovedBy(dx, dy, dz float64) Part {
	p.Box = p.Box.Moved(dx, dy, dz)
	p.Leaves = slices.Clone(p.Leaves)
	for i := range p.Leaves {
		for _, b := range []*fitout.Box{&p.Leaves[i].Closed, &p.Leaves[i].Open, &p.Leaves[i].Swept} {
			*b = b.Moved(dx, dy, dz)
		}
	}
	p.Cells = slices.Clone(p.Cells)
	for i := range p.Cells {
		p.Cells[i].Outer, p.Cells[i].Inside = p.Cells[i].Outer.Moved(dx, dy, dz), p.Cells[i].Inside.Moved(dx, dy, dz)
	}
	return p
}

// bayAt is the id of the bay whose room holds a place, or empty for none.
func (s *Scene) bayAt(at fitout.Point) string {
	for i := range s.Bays {
		room := s.Bays[i].Room
		if room.Around(fitout.Box{From: at, To: at}) == room {
			return s.Bays[i].ID
		}
	}
	return ""
}
