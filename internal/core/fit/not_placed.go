package fit

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// notPlaced stops a part that is said to stand in a space and still lies where a new thing is put: at the front
// axle, on the centre line and the ground. Nothing else is said of it until it has a place.
func notPlaced(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Unplaced {
		p := &s.Unplaced[i]
		bay := s.BayOf(p)
		f := scene.About("not-placed", fitout.Stop, p)
		f.With = scene.With(p.Bay)
		f.Title = fmt.Sprintf("%s has no place in %s", p.Name(), words.Lower(bay.Name))
		f.Sentence = fmt.Sprintf(
			"It is said to stand in %s, and no place was given: its %s count as if they lay on the ground at the front "+
				"axle. Put it where it stands.",
			words.Lower(bay.Name),
			s.Say.Mass(p.Kg()),
		)
		f.Value, f.Margin, f.Unit = p.Kg(), -p.Kg(), "kg"
		if i < mostPlaced {
			f.Fixes = placeFor(s, p)
		}
		found = append(found, f)
	}
	return found
}

// placeFor offers the free place of its space that is nearest to its opening for a part that has none.
func placeFor(s *scene.Scene, p *scene.Part) []fitout.Fix {
	on := *s
	on.Postures = nil // those of s stay its own
	on.Parts = append(slices.Clone(s.Parts), *p)
	on.Prepare()
	there := &on.Parts[len(on.Parts)-1]
	bay := on.BayOf(there)
	if !movable(&on, there) {
		return nil
	}
	to := nearestFree(&on, there, bay)
	if to == nil {
		return nil
	}
	put := scene.Edit("Put it to a free place in "+words.Lower(bay.Name), "part-place", p.ID, 0)
	put.Edit.At = to
	return []fitout.Fix{put}
}
