package clearance

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// walled tells whether a side of a space without an opening is a wall for sure: every one of a wagon, of a box under
// the tray and of a space of which a further opening was measured, the front of a tub. Canopies and boxes often have
// more than the one opening that is measured; of them nothing is said.
func walled(b *scene.Bay, side string) bool {
	switch {
	case !b.Opening.Known || side == "" || side == "top" || side == "floor" || opensTo(b, side):
		return false
	case b.Kind == fitout.BayWagonCargo || b.Kind == fitout.BayUnderTray || len(b.More) > 0:
		return true
	}
	return b.Kind == fitout.BayTub && side == "front"
}

// opensInside tells whether a part that is turned to a face opens within the walls of its space, or through its
// opening.
func opensInside(p *scene.Part, bay *scene.Bay, face fitout.Face) bool {
	if p.Item == nil || p.Item.Module == nil {
		return false
	}
	item, m := *p.Item, *p.Item.Module
	m.Faces, item.Module = face, &m
	turned := scene.PartOf(&item)
	return !slices.ContainsFunc(turned.Leaves, func(leaf scene.Leaf) bool {
		_, side := scene.Outside(leaf.Open, bay)
		return walled(bay, side)
	})
}

// FacesWall cautions of a drawer, slide or door that opens toward a wall: out of its space on a side on which that
// has no opening.
func FacesWall(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := s.BayOf(p)
		if bay == nil || p.Motion == scene.Still || p.Motion == scene.LidUp {
			continue
		}
		for _, leaf := range p.Leaves {
			mm, side := scene.Outside(leaf.Open, bay)
			if !walled(bay, side) {
				continue
			}
			f := scene.About("faces-wall", fitout.Caution, p)
			f.With = scene.With(leaf.Cell)
			f.Title = fmt.Sprintf("%s opens into a wall", p.Name())
			f.Sentence = fmt.Sprintf(
				"Open, it stands %s out of %s on its %s side, where that has no opening. Turn it toward the opening, "+
					"let it come out less, or measure the opening there.",
				s.Say.Length(mm),
				words.Lower(bay.Name),
				side,
			)
			f.Value, f.Margin = mm, -mm
			f.Lines = []fitout.Line{scene.Line(leaf.Closed.Middle(), leaf.Open.Middle(), s.Say.Length(mm))}
			if face := bay.Opening.Face; face != p.Module().Faces && face != fitout.FaceTop &&
				opensInside(p, bay, face) {
				turned := scene.Edit(fmt.Sprintf("Turn it toward the %s", sideOf[face]), "turn", p.ID, 0)
				turned.Edit.With = string(face)
				f.Fixes = append(f.Fixes, turned)
			}
			found = append(found, f)
			break
		}
	}
	return found
}
