package scene

import (
	"math"

	"zaino/internal/core/fitout"
)

// PackedUp is how far a part may stand over what is beneath it without a word, mm: feet, packers, carpet or a floor
// that nobody drew. Workshop practice.
const PackedUp = 50.0

// standing is a part with what stands on it.
type standing struct {
	scene *Scene
	at    int   // of the part; below 0 where it is none of the scene
	on    []int // the parts of which the middle stands on it
}

func (s *Scene) standing(id string) *standing {
	of := &standing{scene: s, at: IndexOf(s.Parts, id)}
	if of.at < 0 {
		return of
	}
	p := &s.Parts[of.at]
	for i := range s.Parts {
		if q := &s.Parts[i]; i != of.at && over(q.Box, p.Box) && q.Box.From.Z-p.Box.To.Z <= PackedUp {
			of.on = append(of.on, i)
		}
	}
	return of
}

// over tells whether the middle of a box lies above another one, seen from above and from the side.
func over(box, under fitout.Box) bool {
	m := box.Middle()
	return m.X >= under.From.X-Slack && m.X <= under.To.X+Slack && m.Y >= under.From.Y-Slack && m.Y <= under.To.Y+Slack &&
		under.To.Z <= box.From.Z+Slack
}

// air is how much lies between a part, as a box, and what is beneath its middle, mm, where the part that may move
// stands as another box; without end outside of every space.
func (of *standing) air(part int, box, moved fitout.Box) float64 {
	s := of.scene
	bay := BayOf(s.Bays, s.Parts[part].Bay)
	if bay == nil {
		return math.Inf(1)
	}
	least := box.From.Z - bay.Room.From.Z
	look := func(under fitout.Box) {
		if over(box, under) {
			least = min(least, box.From.Z-under.To.Z)
		}
	}
	for k := range bay.Obstacles {
		look(bay.Obstacles[k].Box)
	}
	for k := range s.Parts {
		switch k {
		case part:
		case of.at:
			look(moved)
		default:
			look(s.Parts[k].Box)
		}
	}
	return least
}

// stays tells whether the part stands as another box on something too where it stands now, and all that stands on
// it. What hangs, hangs there as well; what is raised is put on something.
func (of *standing) stays(as fitout.Box) bool {
	if of.at < 0 {
		return true
	}
	was := of.scene.Parts[of.at].Box
	falls := func(part int, before, after fitout.Box) bool {
		air := of.air(part, before, was)
		return air <= PackedUp+Slack && of.air(part, after, as) > max(air, Touching)+Slack
	}
	for _, k := range of.on {
		if box := of.scene.Parts[k].Box; falls(k, box, box) {
			return false
		}
	}
	to, from := as.Middle(), was.Middle()
	return to.X == from.X && to.Y == from.Y || !falls(of.at, was, as)
}

// StandsOn tells whether a part moved by so many mm along each axis stays in its bay, clear of others, and on
// something, with what stands on it.
func (s *Scene) StandsOn(p *Part, by fitout.Point) bool {
	return s.StandsAs(p.ID, func(b fitout.Box) fitout.Box { return b.Moved(by.X, by.Y, by.Z) }) &&
		s.standing(p.ID).stays(p.Box.Moved(by.X, by.Y, by.Z))
}
