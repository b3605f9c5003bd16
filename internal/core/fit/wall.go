package fit

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// facesWall cautions of a drawer, slide or door in a wagon that opens toward a wall: out of its space on a side on which
// that has no opening. Canopies and boxes often have more than the one opening that is measured; of them nothing is said.
func facesWall(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := s.bay(p)
		if bay == nil || bay.Kind != fitout.BayWagonCargo || !bay.Opening.Known || p.Motion == Still ||
			p.Motion == LidUp {
			continue
		}
		for _, leaf := range p.Leaves {
			mm, side := Outside(leaf.Open, bay)
			if side == "" || side == "top" || side == "floor" || bay.opensTo(side) {
				continue
			}
			f := about("faces-wall", fitout.Caution, p)
			f.With = with(leaf.Cell)
			f.Title = fmt.Sprintf("%s opens into a wall", p.Name())
			f.Sentence = fmt.Sprintf(
				"Open, it stands %s out of %s on its %s side, where that has no opening. Turn it toward the opening, "+
					"let it come out less, or measure the opening there.",
				s.Say.Length(mm),
				words.Lower(bay.Name),
				side,
			)
			f.Value, f.Margin = mm, -mm
			f.Lines = []fitout.Line{line(leaf.Closed.Middle(), leaf.Open.Middle(), s.Say.Length(mm))}
			found = append(found, f)
			break
		}
	}
	return found
}
