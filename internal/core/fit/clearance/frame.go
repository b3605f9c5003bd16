package clearance

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// out are the leaves that go out through the opening of their bay, whether a
// stance opens them or not, with what they carry.
func goesOut(s *scene.Scene, i int, tell func(bay *scene.Bay, box fitout.Box)) {
	p := &s.Parts[i]
	bay := s.BayOf(p)
	if bay == nil || p.Motion != scene.Slides && p.Motion != scene.Drawers {
		return
	}
	for _, leaf := range p.Leaves {
		if bay.Through(leaf.Swept) && !bay.Through(leaf.Closed) {
			tell(bay, leaf.Closed)
		}
	}
}

// Lip stops a slide that stands lower than the lip of the opening that it has to
// pass.
func Lip(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		told := false
		goesOut(s, i, func(bay *scene.Bay, box fitout.Box) {
			mm := bay.Opening.Gap.From.Z - box.From.Z
			if told || bay.Opening.Face == fitout.FaceTop || mm <= scene.Slack {
				return
			}
			told = true
			f := scene.About("lip", fitout.Stop, p)
			f.Title = fmt.Sprintf("%s runs against the lip", p.Name())
			f.Sentence = fmt.Sprintf("What slides out of %s is %s below the lip of %s. Raise it by %s, on a floor that clears "+
				"the lip.", words.Lower(p.Name()), s.Say.Length(mm), words.Lower(bay.Name),
				s.Say.LengthAtLeast(mm))
			f.Value, f.Limit, f.Margin = box.From.Z, bay.Opening.Gap.From.Z, -mm
			f.Fixes = []fitout.Fix{scene.Edit("Raise it by "+s.Say.Length(mm), "part-z", p.ID, p.Box.Middle().Z+mm)}
			f.Lines = []fitout.Line{s.Upright(box, box.From.Z, bay.Opening.Gap.From.Z)}
			found = append(found, f)
		})
	}
	return found
}

// OpeningFrame stops a slide that runs into the frame beside or above its opening.
func OpeningFrame(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		told := false
		goesOut(s, i, func(bay *scene.Bay, box fitout.Box) {
			mm, side := bay.Frame(box)
			if told || mm <= scene.Slack || side == "lip" {
				return
			}
			told = true
			f := scene.About("opening-frame", fitout.Stop, p)
			f.Title = fmt.Sprintf("%s runs into the frame", p.Name())
			f.Sentence = fmt.Sprintf("What slides out of %s stands %s into the frame of %s, %s. An opening is smaller than "+
				"its space: move it, or make it smaller, by that much.", words.Lower(p.Name()), s.Say.LengthAtLeast(mm),
				words.Lower(bay.Name), atSide(side))
			f.Value, f.Margin = mm, -mm
			if kind, value, ok := backInside(p.Box, side, mm); ok {
				f.Fixes = []fitout.Fix{scene.Edit("Move it by "+s.Say.Length(mm), kind, p.ID, value)}
			}
			f.Lines = []fitout.Line{outLine(box, side, mm, s.Say.Length(mm))}
			found = append(found, f)
		})
	}
	return found
}

func atSide(side string) string {
	switch side {
	case "left", "right":
		return "on the " + side
	}
	return "at the " + side
}
