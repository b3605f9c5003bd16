package keeping

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
)

// Ventilation cautions about a fridge, battery, inverter, power station or
// heater that is shut in.
func Ventilation(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		need := p.Traits().Air
		bay := s.BayOf(p)
		if need == 0 || bay == nil {
			continue
		}
		free, best := 0, 0.0
		for _, side := range []string{"front", "rear", "left", "right", "above"} {
			room := 1e9 // nothing on that side
			for _, g := range scene.Gaps(p, s.Parts, bay) {
				if g.Side == side {
					room = g.MM
				}
			}
			if room >= need-scene.Slack {
				free++
			} else {
				best = max(best, room)
			}
		}
		if free >= 2 {
			continue
		}
		f := scene.About("ventilation", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s is shut in", p.Name())
		f.Sentence = fmt.Sprintf("It gives off heat and wants %s of air at two sides; %d of its sides have that. Leave %s "+
			"more on another side, or cut vents there: heat shortens its life and may shut it down.", s.Say.Length(need), free,
			s.Say.LengthAtLeast(need-best))
		f.Value, f.Limit, f.Margin, f.Source = float64(free), 2, float64(free-2), "practice"
		f.Unit = ""
		found = append(found, f)
	}
	return found
}
