package clearance

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// Tight cautions about a slide with less room beside it than the workshop wants:
// paint, swelling and a bent frame make it jam.
func Tight(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := s.BayOf(p)
		if p.Motion != scene.Slides || bay == nil {
			continue
		}
		beside := []string{"left", "right"}
		if f := p.Module().Faces; f == fitout.FaceLeft || f == fitout.FaceRight {
			beside = []string{"front", "rear"}
		}
		for _, g := range scene.Gaps(p, s.Parts, bay) {
			if !slices.Contains(beside, g.Side) || g.MM >= s.Practice.Clearance-scene.Slack || g.MM < -scene.Slack {
				continue // what reaches into it is told as that
			}
			to := "the wall"
			if q := s.Part(g.To); q != nil {
				if slices.Contains(s.StandOn(i), scene.IndexOf(s.Parts, q.ID)) || s.IsCarried(p) && s.IsCarried(q) {
					continue
				}
				to = words.Lower(q.Name())
			}
			f := scene.About("tight", fitout.Caution, p)
			f.With = scene.With(g.To)
			f.Title = fmt.Sprintf("%s runs tight", p.Name())
			f.Sentence = fmt.Sprintf("Between it and %s there are %s; what slides wants %s on each side. Move it, or make it "+
				"narrower, by %s.", to, s.Say.Length(g.MM), s.Say.Length(s.Practice.Clearance),
				s.Say.LengthAtLeast(s.Practice.Clearance-g.MM))
			f.Value, f.Limit, f.Margin, f.Source = g.MM, s.Practice.Clearance, g.MM-s.Practice.Clearance, "workshop rule"
			f.Fixes = aside(s, p, bay, g.Side, s.Practice.Clearance-g.MM)
			found = append(found, f)
			break
		}
	}
	return found
}

// aside offers to move a slide away from a side, where the other side then keeps what slides wants.
func aside(s *scene.Scene, p *scene.Part, bay *scene.Bay, from string, mm float64) []fitout.Fix {
	other := map[string]string{"left": "right", "right": "left", "front": "rear", "rear": "front"}[from]
	for _, g := range scene.Gaps(p, s.Parts, bay) {
		if g.Side == other && g.MM < s.Practice.Clearance+mm {
			return nil
		}
	}
	away := map[string]scene.Step{
		"left": scene.ToTheRight(mm), "right": scene.ToTheLeft(mm),
		"front": scene.ToTheRear(mm), "rear": scene.ToTheFront(mm),
	}
	return s.MovesBy(p, []scene.Step{away[from]}, nil)
}
