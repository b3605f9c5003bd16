package assess

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/space"
)

// measureNames are what a sentence calls the measures of a bay.
var measureNames = map[string]string{
	"lengthLeft": "length on the left", "lengthRight": "length on the right", "widthFront": "width at the front", "widthRear": "width at the rear",
	"diagonalLeft": "diagonal from front left", "diagonalRight": "diagonal from front right",
}

// bayMeasures says what the measures of a bay say against each other, and
// which to take again.
func bayMeasures(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.job.Vehicle.Bays {
		b := &s.job.Vehicle.Bays[i]
		for _, c := range space.Checks(b) {
			f := fitout.Finding{
				Rule: "measure-" + c.Rule, Severity: fitout.Note, Value: c.Value, Limit: c.Limit, Margin: c.Limit - c.Value, Unit: "mm", Source: "practice",
				Subject: fitout.Subject{Kind: "bay", ID: b.ID, Measure: strings.Join(c.Measure, "/")},
			}
			if c.Wrong {
				f.Severity, f.Source = fitout.Caution, "physics"
			}
			s.tellMeasure(&f, b, c)
			found = append(found, f)
		}
	}
	return found
}

func (s *subject) tellMeasure(f *fitout.Finding, b *fitout.Bay, c space.Check) {
	value, limit, name := s.say.length(c.Value), s.say.length(c.Limit), measureNames[c.Measure[0]]
	switch c.Rule {
	case "level-first":
		f.Severity, f.Unit = fitout.Caution, "°"
		f.Title = b.Name + ": level first"
		f.Sentence = fmt.Sprintf("The floor is %.1f° out of level and not marked as levelled. Level it before measuring on: levelling after the template is made spoils the template.", math.Abs(c.Value))
	case "diagonals":
		f.Title = fmt.Sprintf("%s: the %s does not close", b.Name, name)
		f.Sentence = fmt.Sprintf("Sides and diagonals do not make one floor. Measure the %s again: %s was given, %s would close it.", name, value, limit)
	case "sides-differ":
		f.Title = b.Name + " is not as long on both sides"
		f.Sentence = fmt.Sprintf("Left %s, right %s. What is as long as the bay fits one side only; plan with the shorter.", value, limit)
	case "ends-differ":
		f.Title = b.Name + " is not as wide at both ends"
		f.Sentence = fmt.Sprintf("Front %s, rear %s. Runners want parallel sides: plan with the narrower.", value, limit)
	case "heights-differ":
		f.Title = b.Name + " is not as high at both ends"
		f.Sentence = fmt.Sprintf("Front %s, rear %s. Plan with the lower.", value, limit)
	case "arches-meet":
		f.Title = b.Name + ": the arches meet"
		f.Sentence = fmt.Sprintf("Both arches together reach %s into a bay that is %s wide. Measure how far each stands into the bay again.", value, limit)
	case "arches-outside":
		f.Title = b.Name + ": wider between the arches than at the walls"
		f.Sentence = fmt.Sprintf("Between the arches %s, wall to wall %s. Measure between the arches again.", value, limit)
	case "arches-do-not-add-up":
		f.Title = b.Name + ": the arches do not add up"
		f.Sentence = fmt.Sprintf("Between the arches %s was given; the width less both arches leaves %s. Measure between the arches again, then the arches.", value, limit)
	case "opening-too-wide":
		f.Title = b.Name + ": the opening is wider than the bay"
		f.Sentence = fmt.Sprintf("The opening is %s wide, the bay behind it %s. An opening is smaller than its bay: measure between the seals again.", value, limit)
	case "opening-too-high":
		f.Title = b.Name + ": the opening is higher than the bay"
		f.Sentence = fmt.Sprintf("Lip and opening together are %s, the bay behind it %s. Measure from the lip to the lowest seal again.", value, limit)
	default: // obstacle-outside
		f.Title = fmt.Sprintf("%s: %s stands out of the bay", b.Name, lower(c.Name))
		f.Sentence = fmt.Sprintf("%s reaches to %s in a bay of %s. Measure its place and size again.", c.Name, value, limit)
	}
}

// bayOver stops a bay that carries more than its rating; of the roof, the
// roof's own and the rack's ratings bind too.
func bayOver(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.job.Vehicle.Bays {
		b := &s.job.Vehicle.Bays[i]
		limit, by := s.bayRating(b)
		load := s.loadIn(b.ID)
		if limit == 0 || load <= limit {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "bay-over", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "bay", ID: b.ID}, Mend: targetBay + b.ID,
			Title:    fmt.Sprintf("%s %s over", b.Name, s.say.mass(load-limit)),
			Sentence: fmt.Sprintf("%s carries %s while driving; %s is %s.", b.Name, s.say.mass(load), by, s.say.mass(limit)),
			Value:    load, Limit: limit, Margin: limit - load, Unit: "kg", Source: "data sheet",
		})
	}
	return found
}

// bayRating is what a bay may carry while driving, kg, and what says so: its own
// rating, or the roof's where that is less.
func (s *subject) bayRating(b *fitout.Bay) (float64, string) {
	if roof := s.rating(fitout.LimitRoofMoving); b.Kind == fitout.BayRoof && roof.Kg > 0 && (b.Rating == 0 || roof.Kg < b.Rating) {
		return roof.Kg, "the limit of " + s.bindsOrRoof(roof.Limit)
	}
	return b.Rating, "its rating"
}

func (s *subject) bindsOrRoof(id fitout.LimitID) string {
	if by := s.binds(s.rating(id)); by != "" {
		return by
	}
	return "the roof"
}

// roofParkedOver holds a parked roof with those who sleep on it against its
// parked rating.
func roofParkedOver(s *subject) []fitout.Finding {
	if s.job.Brief.Camp.SleepWhere != fitout.SleepRoof {
		return nil
	}
	sleepers := s.roofSleepers()
	var found []fitout.Finding
	for i := range s.job.Vehicle.Bays {
		b := &s.job.Vehicle.Bays[i]
		limit := b.RatingParked
		if roof := s.rating(fitout.LimitRoofParked); roof.Kg > 0 && (limit == 0 || roof.Kg < limit) {
			limit = roof.Kg
		}
		load := s.loadIn(b.ID) + sleepers
		if b.Kind != fitout.BayRoof || limit == 0 || load <= limit || s.loadIn(b.ID) == 0 {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "roof-parked-over", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "bay", ID: b.ID},
			Title:    fmt.Sprintf("%s parked %s over", b.Name, s.say.mass(load-limit)),
			Sentence: fmt.Sprintf("With those who sleep there, %s carries %s parked; %s may be up there.", lower(b.Name), s.say.mass(load), s.say.mass(limit)),
			Value:    load, Limit: limit, Margin: limit - load, Unit: "kg", Source: "data sheet",
		})
	}
	return found
}
