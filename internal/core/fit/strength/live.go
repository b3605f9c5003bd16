package strength

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// LiveLoad cautions about what somebody will sit or stand on and that is rated
// for less: an open drawer or table, a floor, a platform, a rack.
func LiveLoad(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		rated := p.Module().Rated
		if rated == 0 {
			continue
		}
		load := s.Practice.Standing
		on := "stands on it"
		var fixes []fitout.Fix
		switch {
		case p.Traits().SatOn:
			_, carries := heaviest(s, i)
			load, on = load+carries, "sits on it when it is out"
			if wants := math.Ceil(load/ratedStep) * ratedStep; wants <= mostRated {
				fixes = []fitout.Fix{scene.Edit("Runners rated "+s.Say.Mass(wants), "runners", p.ID, wants)}
			}
		case p.Traits().StoodOn:
			for _, k := range s.StandOn(i) {
				load += s.Parts[k].Kg()
			}
		default:
			continue
		}
		if !quantity.Exceeds(load, rated) {
			continue
		}
		f := scene.About("live-load", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s does not carry a person", p.Name())
		f.Sentence = fmt.Sprintf("Someone %s: with %s and what it carries that is %s, and it is rated %s. Rate it %s "+
			"higher, support its end with a leg, or mark it.", on, s.Say.Mass(s.Practice.Standing), s.Say.Mass(load),
			s.Say.Mass(rated), s.Say.MassAtLeast(load-rated))
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = load, rated, rated-load, "kg", "data sheet"
		f.Fixes = fixes
		found = append(found, f)
	}
	return found
}

// DoorLoad stops what hangs on a door or carrier and is heavier than its hinges
// carry, and notes a heavy one whose rating nobody has stated.
func DoorLoad(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if !p.Traits().Hinged {
			continue
		}
		rated, kg := p.Module().Rated, p.Kg()
		f := scene.About("door-load", fitout.Stop, p)
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = kg, rated, rated-kg, "kg", "data sheet"
		switch {
		case rated > 0 && quantity.Exceeds(kg, rated):
			f.Title = fmt.Sprintf("Hinges of %s %s over", words.Lower(p.Name()), s.Say.Mass(kg-rated))
			f.Sentence = fmt.Sprintf("It weighs %s and its hinges carry %s. Take %s off it, or hang it on the body.",
				s.Say.Mass(kg), s.Say.Mass(rated), s.Say.MassAtLeast(kg-rated))
		case rated == 0 && kg > s.Practice.HeavyFrom:
			f.Severity, f.Source = fitout.Note, "workshop rule"
			f.Title = fmt.Sprintf("What carries %s is not stated", words.Lower(p.Name()))
			f.Sentence = fmt.Sprintf("%s hang on hinges or a bracket whose rating nobody has entered. Look it up and enter it.",
				s.Say.Mass(kg))
		default:
			continue
		}
		found = append(found, f)
	}
	return found
}
