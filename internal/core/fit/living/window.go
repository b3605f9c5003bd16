package living

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// OpeningCovered cautions of a further opening of which something that stands before it leaves less than
// half free: no air comes in, nobody sees out, and nothing goes through.
func OpeningCovered(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for k := range s.Bays {
		bay := &s.Bays[k]
		for i := range bay.More {
			o := &bay.More[i]
			free, whole, most, by := area(o.Gap), area(o.Gap), 0.0, -1
			for n := range s.Parts {
				if s.Parts[n].Bay != bay.ID || scene.Least(before(&o.Opening, exitRoom).Overlap(s.Parts[n].Box)) <= scene.Slack {
					continue
				}
				taken := area(o.Gap.Cut(flattened(s.Parts[n].Box, o.Gap)))
				if free -= taken; taken > most {
					most, by = taken, n
				}
			}
			if by < 0 || free*2 >= whole {
				continue
			}
			f := scene.About("opening-covered", fitout.Caution, &s.Parts[by])
			f.With = []string{bay.ID}
			f.Subject.Measure = "more/" + o.Said.ID
			f.Title = fmt.Sprintf("%s is built over", o.Said.Name)
			f.Sentence = fmt.Sprintf(
				"%s stands before %s of %s and leaves less than half of it free. Move it %s away, or to another "+
					"place.",
				s.Parts[by].Name(),
				words.Lower(o.Said.Name),
				words.Lower(bay.Name),
				s.Say.LengthAtLeast(reaches(&o.Opening, s.Parts[by].Box)),
			)
			f.Under(max(0, 100*free/whole), 50, "%")
			f.Source = "practice"
			found = append(found, f)
		}
	}
	return found
}

// reaches is how far a box stands within the room that an opening needs before it, square to the opening, mm.
func reaches(o *scene.Opening, b fitout.Box) float64 {
	by := before(o, exitRoom).Overlap(b)
	switch o.Face {
	case fitout.FaceRear, fitout.FaceFront:
		return by.X
	case fitout.FaceLeft, fitout.FaceRight:
		return by.Y
	}
	return by.Z
}

// before is the room of a depth behind an opening, inside.
func before(o *scene.Opening, depth float64) fitout.Box {
	room := o.Gap
	switch o.Face {
	case fitout.FaceRear:
		room.From.X -= depth
	case fitout.FaceFront:
		room.To.X += depth
	case fitout.FaceRight:
		room.From.Y -= depth
	case fitout.FaceLeft:
		room.To.Y += depth
	default:
		room.From.Z -= depth
	}
	return room
}

// Outside is the room of a depth before an opening, outside.
func Outside(o *scene.Opening, depth float64) fitout.Box {
	b := before(o, -depth)
	return fitout.Box{
		From: fitout.Point{X: min(b.From.X, b.To.X), Y: min(b.From.Y, b.To.Y), Z: min(b.From.Z, b.To.Z)},
		To:   fitout.Point{X: max(b.From.X, b.To.X), Y: max(b.From.Y, b.To.Y), Z: max(b.From.Z, b.To.Z)},
	}
}

// WindowUncovered notes a window where people sleep that nothing covers, or of which nobody said that
// something does: cold, insects and looks come in.
func WindowUncovered(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	told := map[string]bool{}
	beds(s, func(b *bed) {
		joins := roomOf(s, b)
		for k := range s.Bays {
			bay := &s.Bays[k]
			for i := range bay.More {
				o := bay.More[i].Said
				if !joins[bay.ID] || o.Use != fitout.ForAir && o.Use != fitout.ForSight || o.Cover == fitout.IsSo ||
					told[bay.ID+o.ID] {
					continue
				}
				told[bay.ID+o.ID] = true
				f := aboutBed(s, b, fitout.Note)
				f.Subject = fitout.Subject{Kind: "bay", ID: bay.ID, Measure: "more/" + o.ID}
				f.With = nil
				f.Title = fmt.Sprintf("Nothing covers %s at night", words.Lower(o.Name))
				f.Sentence = fmt.Sprintf(
					"People sleep by %s of %s. A cover keeps cold, insects and looks out; it is stowed somewhere by day.",
					words.Lower(o.Name),
					words.Lower(bay.Name),
				)
				if o.Cover == "" {
					f.Title = fmt.Sprintf("What covers %s at night is not said", words.Lower(o.Name))
				}
				f.Sentence += b.posture.In()
				f.Value, f.Limit, f.Margin, f.Unit, f.Source = 0, 0, -1, "", "practice"
				found = append(found, f)
			}
		}
	})
	return found
}

// Lying is a bed of a stance with those who lie on it.
type Lying struct {
	Stance string // id
	Box    fitout.Box
	Who    []*fitout.Traveller
}

// Beds are the beds of every stance in which people sleep inside.
func Beds(s *scene.Scene) []Lying {
	var all []Lying
	beds(s, func(b *bed) { all = append(all, Lying{b.posture.Stance.ID, b.around, b.sleepers}) })
	return all
}
