package clearance

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// LiftOut cautions about a part that has to come out and is too heavy for those
// who are there to lift it.
func LiftOut(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	s.LiftsOut(func(i int, want *fitout.LiftOut) {
		p := &s.Parts[i]
		people := max(1, want.People)
		most := people * s.Practice.OneLifts
		if !quantity.Exceeds(p.Kg(), most) {
			return
		}
		f := scene.About("lift-out", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s is too heavy to lift out", p.Name())
		f.Sentence = fmt.Sprintf("%s weighs %s with what lies in it; %.0f to lift it should have no more than %s. Empty it "+
			"first, split it, or make it %s lighter.", p.Name(), s.Say.Mass(p.Kg()), people, s.Say.Mass(most),
			s.Say.MassAtLeast(p.Kg()-most))
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = p.Kg(), most, most-p.Kg(), "kg", "workshop rule"
		found = append(found, f)
	})
	return found
}

// LockedIn notes what has to go out before a part that is to come out.
func LockedIn(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	s.LiftsOut(func(i int, _ *fitout.LiftOut) {
		p := &s.Parts[i]
		first := s.Before(i)
		if len(first) == 0 {
			return
		}
		var names []string
		for _, k := range first {
			names = append(names, words.Lower(s.Parts[k].Name()))
		}
		f := scene.About("locked-in", fitout.Note, p)
		f.Title = fmt.Sprintf("%d before %s comes out", len(first), words.Lower(p.Name()))
		f.Sentence = fmt.Sprintf("Between %s and the opening stand %s: they go in after it and out before it.",
			words.Lower(p.Name()), words.List(names))
		f.Value, f.Margin, f.Unit = float64(len(first)), -float64(len(first)), ""
		found = append(found, f)
	})
	return found
}
