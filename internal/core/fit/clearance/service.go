package clearance

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
)

// handRoom is how much room a hand with a tool needs in front of something, mm.
const handRoom = 120

// ServiceReach cautions about a board, battery, tank or heater that nobody can
// reach once everything is in: every side is closed by what neither slides, swings
// nor lifts out of the way.
func ServiceReach(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		what, bay := p.Traits().Served, s.BayOf(p)
		if what == "" || bay == nil {
			continue
		}
		sides := []string{"front", "rear", "left", "right", "above"}
		if face := map[fitout.Face]string{fitout.FaceFront: "front", fitout.FaceRear: "rear", fitout.FaceLeft: "left",
			fitout.FaceRight: "right", fitout.FaceTop: "above"}[p.Module().Faces]; face != "" {
			sides = []string{face}
		}
		gaps := scene.Gaps(p, s.Parts, bay)
		most, before := -1.0, ""
		for _, side := range sides {
			room, to := 1e9, ""
			for _, g := range gaps {
				if g.Side == side {
					room, to = g.MM, g.To
				}
			}
			if q := s.Part(to); q != nil && Yields(s, q) || to == "" && opensTo(bay, side) {
				room = 1e9
			}
			if room > most {
				most, before = room, to
			}
		}
		if most >= handRoom-scene.Slack {
			continue
		}
		f := scene.About("service-reach", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s cannot be reached", p.Name())
		stands := "A wall"
		if q := s.Part(before); q != nil {
			stands = q.Name()
		}
		f.Sentence = fmt.Sprintf(
			"For its %s a hand needs %s in front of it; there are %s. %s stands there. Turn it, move "+
				"it, or leave a hatch.",
			what,
			s.Say.Length(handRoom),
			s.Say.Length(most),
			stands,
		)
		f.Value, f.Limit, f.Margin, f.Source = most, handRoom, most-handRoom, "practice"
		found = append(found, f)
	}
	return found
}

// Yields tells whether a part gets out of the way without tools: it slides, it
// swings, or it is loose gear.
func Yields(s *scene.Scene, q *scene.Part) bool {
	return q.Motion == scene.Slides || q.Motion == scene.DoorOut || q.Traits().Yields || s.IsCarried(q)
}

// sideOf is the side of a space that a face is on.
var sideOf = map[fitout.Face]string{fitout.FaceFront: "front", fitout.FaceRear: "rear", fitout.FaceLeft: "left",
	fitout.FaceRight: "right", fitout.FaceTop: "above"}

// opensTo tells whether an opening of a bay is on a side.
func opensTo(b *scene.Bay, side string) bool {
	return slices.ContainsFunc(b.Exits(), func(o *scene.Opening) bool { return side == sideOf[o.Face] })
}
