package strength

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// farthestHeld is how far from a mounting point a strap still holds a part, mm. Practice: a longer one stretches,
// and lets it move before it holds.
const farthestHeld = 1000.0

// MountFar cautions of a mounting point that is said to hold a part and is further from it than a strap holds: one
// of them stands elsewhere than was measured, or another point was meant.
func MountFar(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if p.Away {
			continue
		}
		for _, m := range Mounts(s, p) {
			off := p.Box.Off(m.At)
			if off <= farthestHeld {
				continue
			}
			f := scene.About("mount-far", fitout.Caution, p)
			f.With = []string{m.ID}
			f.Title = fmt.Sprintf("%s is held from %s away", p.Name(), s.Say.Length(off))
			f.Sentence = fmt.Sprintf(
				"%s is to hold it and is %s from it; beyond %s no bolt and no strap does. Measure where "+
					"the point is, bring it nearer by %s, or hold it by another.",
				m.Name,
				s.Say.Length(off),
				s.Say.Length(farthestHeld),
				s.Say.LengthAtLeast(off-farthestHeld),
			)
			f.Over(off, farthestHeld, "mm")
			f.Source = "practice"
			f.Lines = []fitout.Line{scene.Line(p.Box.Middle(), m.At, s.Say.Length(off))}
			anew, must := HoldAnew(s, p, m.ID, "")
			if !must {
				anew = unfix(p, m, "")
			}
			f.Fixes = []fitout.Fix{anew}
			found = append(found, f)
			break
		}
	}
	return found
}

// unfix offers to say that a mounting point does not hold a part that need not be held.
func unfix(p *scene.Part, m *fitout.Mount, after string) fitout.Fix {
	let := scene.Edit(
		"Let "+words.Lower(m.Name)+" not hold "+words.Lower(p.Name())+", which need not be"+after,
		"unfix",
		p.ID,
		0,
	)
	let.Edit.With = m.ID
	return let
}
