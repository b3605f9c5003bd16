package clearance

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// OutsideBay stops a module that does not stand inside its bay.
func OutsideBay(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := s.BayOf(p)
		if bay == nil || leansOn(bay, p) {
			continue
		}
		mm, side := scene.Outside(p.Box, bay)
		if side == "" || bridges(s, p, bay) {
			continue
		}
		// One that stands out on several sides is told of all of them: moved in on one alone it is out still.
		where, inside := onSide(side), p.Box
		further := ""
		for n, out := 0, side; n < 3; n++ {
			by, more := scene.Outside(inside, bay)
			if n > 0 {
				if more == "" || more == opposite[out] {
					break
				}
				further += fmt.Sprintf(", and %s %s", s.Say.Length(by), onSide(more))
			}
			inside, out = movedIn(inside, more, by), more
		}
		f := scene.About("outside-bay", fitout.Stop, p)
		f.Title = fmt.Sprintf("%s stands out of its space", p.Name())
		f.Sentence = fmt.Sprintf("%s stands %s out of %s %s%s. Move it or make it smaller by that much.", p.Name(),
			s.Say.Length(mm), words.Lower(bay.Name), where, further)
		f.Value, f.Margin = mm, -mm
		if kind, value, ok := backInside(p.Box, side, mm); ok && further == "" {
			f.Fixes = []fitout.Fix{scene.Edit("Move it in by "+s.Say.Length(mm), kind, p.ID, value)}
			b := p.Box
			b.From, b.To = b.Middle(), b.Middle()
			f.Lines = []fitout.Line{outLine(p.Box, side, mm, s.Say.Length(mm))}
		}
		found = append(found, f)
	}
	return found
}

// opposite is the side across from one.
var opposite = map[string]string{
	"left":  "right",
	"right": "left",
	"front": "rear",
	"rear":  "front",
	"top":   "floor",
	"floor": "top",
}

// onSide puts a side of a space into words.
func onSide(side string) string {
	if side == "left" || side == "right" {
		return "on the " + side
	}
	return "at the " + side
}

// movedIn is a box moved back from a side that it stands out on.
func movedIn(b fitout.Box, side string, mm float64) fitout.Box {
	switch side {
	case "rear":
		return b.Moved(-mm, 0, 0)
	case "front":
		return b.Moved(mm, 0, 0)
	case "right":
		return b.Moved(0, -mm, 0)
	case "left":
		return b.Moved(0, mm, 0)
	case "top":
		return b.Moved(0, 0, -mm)
	}
	return b.Moved(0, 0, mm)
}

// bridged is a gap between two spaces that a panel lies across, mm: a sill, a folded seat's edge.
const bridged = 80

// bridges tells whether a bed or a floor reaches out of its space into others that join it, and stands in nothing
// else.
func bridges(s *scene.Scene, p *scene.Part, bay *scene.Bay) bool {
	if !p.Traits().Floor {
		return false
	}
	within := bay.Room
	for grown := true; grown; {
		grown = false
		for k := range s.Bays {
			room := s.Bays[k].Room
			if within.Around(room) == within || s.Bays[k].Open || scene.Least(Larger(within).Overlap(room)) <= 0 {
				continue
			}
			// Side by side they make one room as wide and as high as both are.
			joined := within.Around(room)
			joined.From.Y, joined.To.Y = max(within.From.Y, room.From.Y), min(within.To.Y, room.To.Y)
			joined.From.Z, joined.To.Z = max(within.From.Z, room.From.Z), min(within.To.Z, room.To.Z)
			if joined.Around(p.Box) == joined {
				return true
			}
			if joined.Size().Length > within.Size().Length {
				within, grown = joined, true
			}
		}
	}
	return false
}

// Larger is a box with the gap that is bridged around it along the vehicle.
func Larger(b fitout.Box) fitout.Box {
	b.From.X, b.To.X = b.From.X-bridged, b.To.X+bridged
	return b
}

// backInside is the middle of a part moved back by what stands out.
func backInside(b fitout.Box, side string, mm float64) (kind string, value float64, ok bool) {
	m := b.Middle()
	switch side {
	case "rear":
		return "part-x", m.X - mm, true
	case "front":
		return "part-x", m.X + mm, true
	case "right":
		return "part-y", m.Y - mm, true
	case "left":
		return "part-y", m.Y + mm, true
	case "top":
		return "part-z", m.Z - mm, true
	case "floor":
		return "part-z", m.Z + mm, true
	}
	return "", 0, false
}

// outLine is the measure of what stands out at one side.
func outLine(b fitout.Box, side string, mm float64, label string) fitout.Line {
	from := b.Middle()
	switch side {
	case "rear":
		from.X = b.To.X
	case "front":
		from.X = b.From.X
	case "right":
		from.Y = b.To.Y
	case "left":
		from.Y = b.From.Y
	case "top":
		from.Z = b.To.Z
	default:
		from.Z = b.From.Z
	}
	to := from
	switch side {
	case "rear":
		to.X -= mm
	case "front":
		to.X += mm
	case "right":
		to.Y -= mm
	case "left":
		to.Y += mm
	case "top":
		to.Z -= mm
	default:
		to.Z += mm
	}
	return scene.Line(from, to, label)
}
