package clearance

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// LidBlocked cautions about a lid that meets what stands above it, or the
// ceiling, before it is up. A lid that stands half open is still of use, so it
// counts from half of its way.
func LidBlocked(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if p.Motion != scene.LidUp {
			continue
		}
		leaf := p.Leaves[0]
		room, above := roomAbove(s, i, leaf.Swept)
		reach := leaf.Swept.To.Z - p.Box.To.Z
		if room >= reach/2-scene.Slack {
			continue
		}
		f := scene.About("lid-blocked", fitout.Caution, p)
		f.With = scene.With(above)
		f.Title = fmt.Sprintf("Lid of %s has no room", words.Lower(p.Name()))
		f.Sentence = fmt.Sprintf("The lid needs %s above it to stand half open and has %s. Lower the box by %s, hinge the "+
			"lid on its other side, or choose a drop-down front or a lift-off lid.", s.Say.Length(reach/2), s.Say.Length(room),
			s.Say.LengthAtLeast(reach/2-room))
		f.Value, f.Limit, f.Margin = room, reach/2, room-reach/2
		f.Lines = []fitout.Line{s.Upright(p.Box, p.Box.To.Z, p.Box.To.Z+room)}
		if q := s.Part(above); q != nil && q.Box.From.Z < p.Box.To.Z-scene.Slack {
			// Lowered, the lid would meet it all the same.
			half := leaf.Swept
			half.To.Z = p.Box.To.Z + reach/2
			f.Sentence = fmt.Sprintf("The lid needs %s above it to stand half open, and %s stands up beside it into its way. %s",
				s.Say.Length(reach/2), words.Lower(q.Name()), s.Clearing("that", q, nil, scene.Steps(q.Box, half),
					"hinge the lid on its other side, or choose a drop-down front or a lift-off lid"))
			f.Fixes = s.Moves(q, half, nil)
		}
		found = append(found, f)
	}
	return found
}

// roomAbove is the clear height above a part within what its lid sweeps, mm, up
// to what hangs there, by its id, or the ceiling of its bay.
func roomAbove(s *scene.Scene, i int, swept fitout.Box) (room float64, above string) {
	p := &s.Parts[i]
	room = swept.To.Z - p.Box.To.Z
	if bay := s.BayOf(p); bay != nil && !bay.Open && bay.Opening.Face != fitout.FaceTop {
		room = min(room, bay.Room.To.Z-p.Box.To.Z)
	}
	for k := range s.Parts {
		q := &s.Parts[k]
		by := swept.Overlap(q.Box)
		if k == i || by.X <= scene.Slack || by.Y <= scene.Slack || q.Box.To.Z <= p.Box.To.Z+scene.Slack {
			continue
		}
		if free := max(0, q.Box.From.Z-p.Box.To.Z); free < room {
			room, above = free, q.ID
		}
	}
	return room, above
}

// lidShare is how far out a chest fridge comes before its lid, hinged at the far
// side, is clear of what it slid out from under.
const lidShare = 0.9

// FridgeLid cautions about a chest fridge whose lid hits what is above it,
// because its slide does not bring it out.
func FridgeLid(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if !p.Traits().Cools || p.Motion != scene.Slides {
			continue
		}
		depth := scene.DepthOf(p)
		travel := scene.TravelOf(p)
		lid := p.Box
		lid.From.Z, lid.To.Z = p.Box.To.Z, p.Box.To.Z+min(p.Box.Size().Length, p.Box.Size().Width)
		room, above := roomAbove(s, i, lid)
		need := lid.To.Z - lid.From.Z
		if travel >= lidShare*depth-scene.Slack || room >= need-scene.Slack {
			continue
		}
		f := scene.About("fridge-lid", fitout.Caution, p)
		f.With = scene.With(above)
		f.Title = fmt.Sprintf("Lid of %s meets what is above it", words.Lower(p.Name()))
		f.Sentence = fmt.Sprintf("Its slide brings it out by %s of %s, and above what stays inside there are %s where the "+
			"lid needs %s. Let it come out by %s, or leave %s above it.", s.Say.Length(travel), s.Say.Length(depth),
			s.Say.Length(room), s.Say.Length(need), s.Say.LengthAtLeast(lidShare*depth),
			s.Say.LengthAtLeast(need))
		f.Value, f.Limit, f.Margin = travel, lidShare*depth, travel-lidShare*depth
		wants := min(depth, math.Ceil(lidShare*depth))
		f.Fixes = []fitout.Fix{scene.Edit("Slide that comes out by "+s.Say.Length(wants), "travel", p.ID, wants)}
		f.Lines = []fitout.Line{s.Upright(p.Box, p.Box.To.Z, p.Box.To.Z+room)}
		found = append(found, f)
	}
	return found
}
