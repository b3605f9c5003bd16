package clearance

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// WayIn stops a module that stands in its bay but cannot pass the opening, however it is turned: of its three sides
// the two smaller must go through. An under-tray box is hung from below; what lies in it passes its door. What is
// built of panels can be carried in flat, so it gets a note only.
func WayIn(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := s.BayOf(p)
		if bay == nil || !bay.Opening.Known || p.Traits().Barrier {
			continue
		}
		if !p.Traits().HungBelow {
			found = passes(s, found, scene.About("way-in", fitout.Stop, p), p.Name(), p.Box, bay)
			continue
		}
		for k := range s.Things {
			if t := &s.Things[k]; t.Part == p.ID && t.Item.Form != fitout.FormSoft {
				found = passes(s, found, scene.AboutThing("way-in", fitout.Stop, t), t.Item.Name, t.Item.Box(), bay)
			}
		}
	}
	return found
}

// passes adds a finding where a box does not pass the opening of a bay.
func passes(s *scene.Scene,
	found []fitout.Finding,
	f fitout.Finding,
	name string,
	box fitout.Box,
	bay *scene.Bay,
) []fitout.Finding {
	sides, gap := smaller(box.Size()), smaller(fitout.Size{Length: bay.Opening.Width, Width: bay.Opening.Height})
	over := max(sides[0]-gap[0], sides[1]-gap[1])
	if over <= scene.Slack {
		return found
	}
	f.Title = fmt.Sprintf("%s does not pass the opening", name)
	f.Sentence = fmt.Sprintf("%s is %s × %s at its smallest; the opening of %s is %s × %s. It is %s too large to be "+
		"carried in or taken out.", name, s.Say.Length(sides[0]), s.Say.Length(sides[1]), words.Lower(bay.Name),
		s.Say.Length(gap[0]), s.Say.Length(gap[1]), s.Say.Length(over))
	if p := s.Part(f.Subject.ID); p != nil && p.Built {
		f.Severity = fitout.Note
		f.Sentence += " Carry its panels in and put it together inside, and plan for how it comes out again."
	} else {
		f.Sentence += " Choose a smaller one."
	}
	f.Value, f.Margin = over, -over
	f.Lines = []fitout.Line{scene.Line(box.Middle(), bay.Opening.Gap.Middle(), s.Say.Length(over))}
	return append(found, f)
}

// smaller are the two smaller sides of a size, the smallest first; of one without a height both of it.
func smaller(size fitout.Size) [2]float64 {
	sides := []float64{size.Length, size.Width, size.Height}
	if size.Height == 0 {
		sides = sides[:2]
	}
	slices.Sort(sides)
	return [2]float64{sides[0], sides[1]}
}

// PassesDoor tells whether a thing passes the door of an under-tray box; through other openings it goes with what it
// lies in.
func PassesDoor(s *scene.Scene, thing fitout.Size, holder string) bool {
	p := s.Part(holder)
	if p == nil || !p.Traits().HungBelow {
		return true
	}
	bay := s.BayOf(p)
	if bay == nil || !bay.Opening.Known {
		return true
	}
	sides, gap := smaller(thing), smaller(fitout.Size{Length: bay.Opening.Width, Width: bay.Opening.Height})
	return max(sides[0]-gap[0], sides[1]-gap[1]) <= scene.Slack
}
