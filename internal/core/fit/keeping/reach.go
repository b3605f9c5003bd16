package keeping

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
)

// daily calls back for everything that the brief has taken out daily or more: a
// part that stands free, or a thing in a compartment, with its box as it is when
// what holds it is open.
func daily(s *scene.Scene, tell func(f fitout.Finding, name string, box fitout.Box, holder *scene.Part)) {
	for i := range s.Parts {
		p := &s.Parts[i]
		if p.Item != nil && s.Often(p.ID) && !p.Traits().ReachedInto {
			tell(scene.About("", fitout.Caution, p), p.Name(), p.Box, p)
		}
	}
	for i := range s.Things {
		t := &s.Things[i]
		p := s.Part(t.Part)
		if p == nil || !s.Often(t.Item.ID) {
			continue
		}
		tell(scene.AboutThing("", fitout.Caution, t), t.Item.Name, t.Item.Box(), p)
	}
}

// ReachHeight cautions about what is used daily and lies higher than the hand
// grips from the ground.
func ReachHeight(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	if s.Reach.Grip == 0 {
		return nil
	}
	daily(s, func(f fitout.Finding, name string, box fitout.Box, holder *scene.Part) {
		height := box.From.Z - holder.Module().Drop
		over := height - s.Reach.Grip
		if over <= scene.Slack || stepBeside(s) && !quantity.Exceeds(over, s.Practice.Step) {
			return
		}
		f.Title = fmt.Sprintf("%s %s above reach", name, s.Say.Length(over))
		f.Sentence = fmt.Sprintf("%s is used daily and lies %s above ground; %s grips up to %s. Put it %s lower", name,
			s.Say.Length(height), s.Reach.Who, s.Say.Length(s.Reach.Grip), s.Say.LengthAtLeast(over))
		if !quantity.Exceeds(over, s.Practice.Step) {
			f.Sentence += fmt.Sprintf(", or keep a step of %s by it", s.Say.Length(s.Practice.Step))
		}
		f.Sentence += "."
		f.Value, f.Limit, f.Margin, f.Source = height, s.Reach.Grip, -over, "practice"
		f.Lines = []fitout.Line{s.Upright(box, 0, box.From.Z)}
		found = append(found, f)
	})
	return found
}

// ReachDepth cautions about what is used daily and stands further behind the
// opening than an arm reaches. What slides out comes to the hand.
func ReachDepth(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	if s.Reach.Arm == 0 {
		return nil
	}
	daily(s, func(f fitout.Finding, name string, box fitout.Box, holder *scene.Part) {
		bay := s.BayOf(holder)
		if bay == nil || !bay.Opening.Known || bay.Shared || holder.Motion == scene.Slides ||
			holder.Motion == scene.Drawers ||
			s.IsCarried(holder) {
			return
		}
		depth := bay.Behind(box)
		over := depth - s.Reach.Arm
		if over <= scene.Slack {
			return
		}
		f.Title = fmt.Sprintf("%s %s beyond the arm", name, s.Say.Length(over))
		f.Sentence = fmt.Sprintf("%s is used daily and its near side is %s behind the opening; %s reaches %s. Bring it %s "+
			"nearer, or put it on something that slides.", name, s.Say.Length(depth), s.Reach.Who, s.Say.Length(s.Reach.Arm),
			s.Say.Length(over))
		f.Value, f.Limit, f.Margin, f.Source = depth, s.Reach.Arm, -over, "practice"
		f.Lines = []fitout.Line{scene.Line(box.Middle(), bay.Opening.Gap.Middle(), s.Say.Length(depth))}
		found = append(found, f)
	})
	return found
}

// mostMoves is how many steps to a thing that is used daily are still borne.
const mostMoves = 3

// Buried notes what is used daily and takes more steps to get at than are borne.
func Buried(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for _, g := range s.Gets() {
		n := len(g.Steps)
		if n <= mostMoves {
			continue
		}
		f := fitout.Finding{Severity: fitout.Note, Subject: fitout.Subject{Kind: "module", ID: g.ID}, Source: "practice"}
		f.Title = fmt.Sprintf("%s is %d steps away", g.Name, n)
		f.Sentence = fmt.Sprintf("It is used %s, and to get at it: %s. Up to %d are borne; put it nearer.", g.Used,
			scene.Sentence(g.Steps), mostMoves)
		f.Value, f.Limit, f.Margin = float64(n), mostMoves, float64(mostMoves-n)
		found = append(found, f)
	}
	return found
}
