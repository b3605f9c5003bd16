package keeping

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// CableFollows cautions about what slides and has a cable or hose that nobody
// has said how it follows: it is what snags and tears.
func CableFollows(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		m := p.Module()
		if p.Motion != scene.Slides || m.Follows != fitout.NotSaid {
			continue
		}
		what := ""
		if m.Watts > 0 || p.Traits().Cools {
			what = "Its cable"
		}
		for _, c := range m.Cells {
			if p.Traits().WiredDrawer && c.ID != "" {
				what = "Its hose"
			}
		}
		if what == "" {
			continue
		}
		length := scene.TravelOf(p)/2 + 300
		f := scene.About("cable-follows", fitout.Caution, p)
		f.Title = fmt.Sprintf("What follows %s out", words.Lower(p.Name()))
		f.Sentence = fmt.Sprintf("%s has to follow it by %s without snagging. Choose a chain, a fold at mid-point (about "+
			"%s of it between its clamps) or elastic take-up, and leave the room for it.", what, s.Say.Length(scene.TravelOf(p)),
			s.Say.Length(length))
		f.Value, f.Limit, f.Margin, f.Source = 0, scene.TravelOf(p), -scene.TravelOf(p), "practice"
		f.Lines = []fitout.Line{
			scene.Line(p.Leaves[0].Closed.Middle(), p.Leaves[0].Open.Middle(), s.Say.Length(scene.TravelOf(p))),
		}
		found = append(found, f)
	}
	return found
}
