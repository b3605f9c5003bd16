package fit

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// wayIn stops a module that stands in its bay but cannot pass the opening,
// however it is turned: of its three sides the two smaller must go through.
// An under-tray box is hung from below. What is built of panels can be carried in flat, so it gets a note only.
func wayIn(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := s.bay(p)
		if bay == nil || !bay.Opening.Known || p.Traits().Barrier || p.Traits().HungBelow {
			continue
		}
		size := p.Box.Size()
		sides := []float64{size.Length, size.Width, size.Height}
		slices.Sort(sides)
		gap := []float64{bay.Opening.Width, bay.Opening.Height}
		slices.Sort(gap)
		over := max(sides[0]-gap[0], sides[1]-gap[1])
		if over <= slack {
			continue
		}
		f := about("way-in", fitout.Stop, p)
		f.Title = fmt.Sprintf("%s does not pass the opening", p.Name())
		f.Sentence = fmt.Sprintf("%s is %s × %s at its smallest; the opening of %s is %s × %s. It is %s too large to be "+
			"carried in or taken out.", p.Name(), s.Say.Length(sides[0]), s.Say.Length(sides[1]), words.Lower(bay.Name),
			s.Say.Length(gap[0]), s.Say.Length(gap[1]), s.Say.Length(over))
		if p.Built {
			f.Severity = fitout.Note
			f.Sentence += " Carry its panels in and put it together inside, and plan for how it comes out again."
		} else {
			f.Sentence += " Choose a smaller one."
		}
		f.Value, f.Margin = over, -over
		f.Lines = []fitout.Line{line(p.Box.Middle(), bay.Opening.Gap.Middle(), s.Say.Length(over))}
		found = append(found, f)
	}
	return found
}
