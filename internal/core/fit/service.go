package fit

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
)

// handRoom is how much room a hand with a tool needs in front of something, mm.
const handRoom = 120

// serviceReach cautions about a board, battery, tank or heater that nobody can
// reach once everything is in: every side is closed by what neither slides, swings
// nor lifts out of the way.
func serviceReach(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		what, bay := p.Traits().Served, s.bay(p)
		if what == "" || bay == nil {
			continue
		}
		sides := []string{"front", "rear", "left", "right", "above"}
		if face := map[fitout.Face]string{fitout.FaceFront: "front", fitout.FaceRear: "rear", fitout.FaceLeft: "left",
			fitout.FaceRight: "right", fitout.FaceTop: "above"}[p.Module().Faces]; face != "" {
			sides = []string{face}
		}
		gaps := Gaps(p, s.Parts, bay)
		most, before := -1.0, ""
		for _, side := range sides {
			room, to := 1e9, ""
			for _, g := range gaps {
				if g.Side == side {
					room, to = g.MM, g.To
				}
			}
			if q := s.part(to); q != nil && s.yields(q) || to == "" && bay.opensTo(side) {
				room = 1e9
			}
			if room > most {
				most, before = room, to
			}
		}
		if most >= handRoom-slack {
			continue
		}
		f := about("service-reach", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s cannot be reached", p.Name())
		stands := "A wall"
		if q := s.part(before); q != nil {
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

// yields tells whether a part gets out of the way without tools: it slides, it
// swings, or it is loose gear.
func (s *Scene) yields(q *Part) bool {
	return q.Motion == Slides || q.Motion == DoorOut || q.Traits().Yields || s.isCarried(q)
}

// sideOf is the side of a space that a face is on.
var sideOf = map[fitout.Face]string{fitout.FaceFront: "front", fitout.FaceRear: "rear", fitout.FaceLeft: "left",
	fitout.FaceRight: "right", fitout.FaceTop: "above"}

// opensTo tells whether an opening of a bay is on a side.
func (b *Bay) opensTo(side string) bool {
	return slices.ContainsFunc(b.Exits(), func(o *Opening) bool { return side == sideOf[o.Face] })
}
