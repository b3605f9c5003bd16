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

// MountFar cautions of mounting points that are said to hold a part and are further from it than a strap holds: one
// of them stands elsewhere than was measured, or another point was meant.
func MountFar(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if p.Away {
			continue
		}
		var far []*fitout.Mount
		var names, offs, nearer []string
		most := 0.0
		for _, m := range Mounts(s, p) {
			off := p.Box.Off(m.At)
			if off <= farthestHeld+scene.Slack {
				continue
			}
			far, most = append(far, m), max(most, off)
			names, offs = append(names, words.Lower(m.Name)), append(offs, s.Say.Length(off))
			nearer = append(nearer, s.Say.LengthAtLeast(off-farthestHeld))
		}
		if len(far) == 0 {
			continue
		}
		f := scene.About("mount-far", fitout.Caution, p)
		verbs, after := [3]string{"is", "the point is, bring it", "another"}, ""
		if len(far) > 1 {
			verbs, after = [3]string{"are", "the points are, bring them", "others"}, " (not enough alone)"
		}
		f.Title = fmt.Sprintf("%s is held from %s away", p.Name(), s.Say.Length(most))
		f.Sentence = fmt.Sprintf(
			"%s %s to hold it and %s %s from it; beyond %s no bolt and no strap does. Measure where "+
				"%s nearer by %s, or hold it by %s.",
			words.Capital(words.List(names)), verbs[0], verbs[0], words.List(offs), s.Say.Length(farthestHeld),
			verbs[1], words.List(nearer), verbs[2],
		)
		f.Over(most, farthestHeld, "mm")
		f.Source = "practice"
		for _, m := range far {
			f.With = append(f.With, m.ID)
			f.Lines = append(f.Lines, scene.Line(p.Box.Middle(), m.At, s.Say.Length(p.Box.Off(m.At))))
			anew, must := HoldAnew(s, p, m.ID, after)
			if !must {
				anew = unfix(p, m, after)
			}
			if len(f.Fixes) < MostHeldAnew {
				f.Fixes = append(f.Fixes, anew)
			}
		}
		found = append(found, f)
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
