package keeping

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// RimHeight cautions about a rim that is above the reach of those who serve,
// with the fridge or box as far out and down as it comes. A drop slide, a lower
// place or a step mends it.
func RimHeight(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if !p.Traits().ReachedInto || s.Reach.Rim == 0 {
			continue
		}
		rim := p.Box.To.Z
		if p.Motion == scene.Slides {
			rim = p.Leaves[0].Open.To.Z
		}
		over := rim - s.Reach.Rim
		if over <= scene.Slack {
			continue
		}
		f := scene.About("rim-height", fitout.Caution, p)
		f.Title = fmt.Sprintf("Rim of %s %s above reach", words.Lower(p.Name()), s.Say.Length(over))
		f.Sentence = fmt.Sprintf("The rim stands %s above ground; %s reaches in up to %s. Put it %s lower", s.Say.Length(rim),
			s.Reach.Who, s.Say.Length(s.Reach.Rim), s.Say.LengthAtLeast(over))
		if p.Traits().Cools {
			f.Sentence += fmt.Sprintf(", or choose a slide that drops by %s",
				s.Say.LengthAtLeast(over+p.Module().Drop))
			f.Fixes = append(f.Fixes, scene.Edit("Slide that drops by "+s.Say.Length(over+p.Module().Drop), "drop", p.ID,
				over+p.Module().Drop))
		}
		if !quantity.Exceeds(over, s.Practice.Step) {
			f.Sentence += fmt.Sprintf(", or keep a step of %s by it", s.Say.Length(s.Practice.Step))
		}
		f.Sentence += "."
		f.Value, f.Limit, f.Margin, f.Source = rim, s.Reach.Rim, -over, "practice"
		f.Lines = []fitout.Line{s.Upright(p.Box, 0, rim)}
		if stepBeside(s) && !quantity.Exceeds(over, s.Practice.Step) {
			continue // a step comes along
		}
		found = append(found, f)
	}
	return found
}

// stepBeside tells whether a step comes along.
func stepBeside(s *scene.Scene) bool {
	for i := range s.Parts {
		if s.Parts[i].Traits().Step {
			return true
		}
	}
	return false
}
