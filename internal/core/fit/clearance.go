package fit

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// tight cautions about a slide with less room beside it than the workshop wants:
// paint, swelling and a bent frame make it jam.
func tight(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := s.bay(p)
		if p.Motion != Slides || bay == nil {
			continue
		}
		beside := []string{"left", "right"}
		if f := p.Module().Faces; f == fitout.FaceLeft || f == fitout.FaceRight {
			beside = []string{"front", "rear"}
		}
		for _, g := range Gaps(p, s.Parts, bay) {
			if !slices.Contains(beside, g.Side) || g.MM >= s.Practice.Clearance-slack || g.MM < -slack {
				continue // what reaches into it is told as that
			}
			to := "the wall"
			if q := s.part(g.To); q != nil {
				if contains(s.standOn(i), indexOf(s.Parts, q.ID)) || s.isCarried(p) && s.isCarried(q) {
					continue
				}
				to = words.Lower(q.Name())
			}
			f := about("tight", fitout.Caution, p)
			f.With = with(g.To)
			f.Title = fmt.Sprintf("%s runs tight", p.Name())
			f.Sentence = fmt.Sprintf("Between it and %s there are %s; what slides wants %s on each side. Move it, or make it "+
				"narrower, by %s.", to, s.Say.Length(g.MM), s.Say.Length(s.Practice.Clearance),
				s.Say.LengthAtLeast(s.Practice.Clearance-g.MM))
			f.Value, f.Limit, f.Margin, f.Source = g.MM, s.Practice.Clearance, g.MM-s.Practice.Clearance, "workshop rule"
			f.Fixes = s.aside(p, bay, g.Side, s.Practice.Clearance-g.MM)
			found = append(found, f)
			break
		}
	}
	return found
}

// aside offers to move a slide away from a side, where the other side then keeps what slides wants.
func (s *Scene) aside(p *Part, bay *Bay, from string, mm float64) []fitout.Fix {
	other := map[string]string{"left": "right", "right": "left", "front": "rear", "rear": "front"}[from]
	for _, g := range Gaps(p, s.Parts, bay) {
		if g.Side == other && g.MM < s.Practice.Clearance+mm {
			return nil
		}
	}
	away := map[string]step{
		"left": {mm, "to the right", fitout.Point{Y: 1}}, "right": {mm, "to the left", fitout.Point{Y: -1}},
		"front": {mm, "toward the rear", fitout.Point{X: 1}}, "rear": {mm, "toward the front", fitout.Point{X: -1}},
	}
	return s.movesBy(p, []step{away[from]}, nil)
}
