package fit

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
)

// daily calls back for everything that the brief has taken out daily or more: a
// part that stands free, or a thing in a compartment, with its box as it is when
// what holds it is open.
func (s *Scene) daily(tell func(f fitout.Finding, name string, box fitout.Box, holder *Part)) {
	for i := range s.Parts {
		p := &s.Parts[i]
		if p.Item != nil && s.often(p.ID) && !p.Traits().ReachedInto {
			tell(about("", fitout.Caution, p), p.Name(), p.Box, p)
		}
	}
	for i := range s.Things {
		t := &s.Things[i]
		p := s.part(t.Part)
		if p == nil || !s.often(t.Item.ID) {
			continue
		}
		tell(aboutThing("", fitout.Caution, t), t.Item.Name, t.Item.Box(), p)
	}
}

// reachHeight cautions about what is used daily and lies higher than the hand
// grips from the ground.
func reachHeight(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	if s.Reach.Grip == 0 {
		return nil
	}
	s.daily(func(f fitout.Finding, name string, box fitout.Box, holder *Part) {
		height := box.From.Z - holder.Module().Drop
		over := height - s.Reach.Grip
		if over <= slack || s.stepBeside() && !quantity.Exceeds(over, s.Practice.Step) {
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
		f.Lines = []fitout.Line{s.upright(box, 0, box.From.Z)}
		found = append(found, f)
	})
	return found
}

// reachDepth cautions about what is used daily and stands further behind the
// opening than an arm reaches. What slides out comes to the hand.
func reachDepth(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	if s.Reach.Arm == 0 {
		return nil
	}
	s.daily(func(f fitout.Finding, name string, box fitout.Box, holder *Part) {
		bay := s.bay(holder)
		if bay == nil || !bay.Opening.Known || bay.Shared || holder.Motion == Slides || holder.Motion == Drawers ||
			s.isCarried(holder) {
			return
		}
		depth := bay.Behind(box)
		over := depth - s.Reach.Arm
		if over <= slack {
			return
		}
		f.Title = fmt.Sprintf("%s %s beyond the arm", name, s.Say.Length(over))
		f.Sentence = fmt.Sprintf("%s is used daily and its near side is %s behind the opening; %s reaches %s. Bring it %s "+
			"nearer, or put it on something that slides.", name, s.Say.Length(depth), s.Reach.Who, s.Say.Length(s.Reach.Arm),
			s.Say.Length(over))
		f.Value, f.Limit, f.Margin, f.Source = depth, s.Reach.Arm, -over, "practice"
		f.Lines = []fitout.Line{line(box.Middle(), bay.Opening.Gap.Middle(), s.Say.Length(depth))}
		found = append(found, f)
	})
	return found
}

// isCarried tells whether a part stands on something that slides out.
func (s *Scene) isCarried(p *Part) bool {
	for i := range s.Parts {
		if s.Parts[i].Traits().CarriesOut && contains(s.standOn(i), indexOf(s.Parts, p.ID)) {
			return true
		}
	}
	return false
}

// Behind returns how far the near side of a box stands behind the opening of a bay.
func (b *Bay) Behind(box fitout.Box) float64 {
	gap := b.Opening.Gap
	switch b.Opening.Face {
	case fitout.FaceRear:
		return gap.From.X - box.To.X
	case fitout.FaceFront:
		return box.From.X - gap.From.X
	case fitout.FaceRight:
		return gap.From.Y - box.To.Y
	case fitout.FaceLeft:
		return box.From.Y - gap.From.Y
	}
	return gap.From.Z - box.To.Z
}

// mostMoves is how many steps to a thing that is used daily are still borne.
const mostMoves = 3

// buried notes what is used daily and takes more steps to get at than are borne.
func buried(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	for _, g := range s.Gets() {
		n := len(g.Steps)
		if n <= mostMoves {
			continue
		}
		f := fitout.Finding{Severity: fitout.Note, Subject: fitout.Subject{Kind: "module", ID: g.ID}, Source: "practice"}
		f.Title = fmt.Sprintf("%s is %d steps away", g.Name, n)
		f.Sentence = fmt.Sprintf("It is used %s, and to get at it: %s. Up to %d are borne; put it nearer.", g.Used,
			sentence(g.Steps), mostMoves)
		f.Value, f.Limit, f.Margin = float64(n), mostMoves, float64(mostMoves-n)
		found = append(found, f)
	}
	return found
}
