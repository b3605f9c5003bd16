package space

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// measureNames are what a sentence calls the measures of a bay.
var measureNames = map[string]string{
	"lengthLeft": "length on the left", "lengthRight": "length on the right", "widthFront": "width at the front",
	"widthRear":    "width at the rear",
	"diagonalLeft": "diagonal from front left", "diagonalRight": "diagonal from front right",
}

// bayMeasures says what the measures of a bay say against each other, and
// which to take again.
func bayMeasures(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Vehicle.Bays {
		b := &p.Vehicle.Bays[i]
		for _, c := range Checks(b) {
			f := fitout.Finding{
				Rule: "measure-" + c.Rule, Severity: fitout.Note, Value: c.Value, Limit: c.Limit, Margin: c.Limit - c.Value,
				Unit: "mm", Source: "practice",
				Subject: fitout.Subject{Kind: "bay", ID: b.ID, Measure: strings.Join(c.Measure, "/")},
			}
			if c.Wrong {
				f.Severity, f.Source = fitout.Caution, "physics"
			}
			tellMeasure(p, &f, b, c)
			found = append(found, f)
		}
	}
	return found
}

// tellMeasure puts a check of the measures into words.
func tellMeasure(p *plan.Plan, f *fitout.Finding, b *fitout.Bay, c Check) {
	value, limit, name := p.Say.Length(c.Value), p.Say.Length(c.Limit), measureNames[c.Measure[0]]
	switch c.Rule {
	case "level-first":
		f.Severity, f.Unit = fitout.Caution, "°"
		f.Title = b.Name + ": level first"
		f.Sentence = fmt.Sprintf("The floor is %.1f° out of level and not marked as levelled. Level it before measuring "+
			"on: levelling after the template is made spoils the template.", math.Abs(c.Value))
	case "diagonals":
		f.Title = fmt.Sprintf("%s: the %s does not close", b.Name, name)
		f.Sentence = fmt.Sprintf("Sides and diagonals do not make one floor. Measure the %s again: %s was given, %s would "+
			"close it.", name, value, limit)
	case "sides-differ":
		f.Title = b.Name + " is not as long on both sides"
		f.Sentence = fmt.Sprintf("Left %s, right %s. What is as long as the bay fits one side only; plan with the shorter.",
			value, limit)
	case "ends-differ":
		f.Title = b.Name + " is not as wide at both ends"
		f.Sentence = fmt.Sprintf("Front %s, rear %s. Runners want parallel sides: plan with the narrower.", value, limit)
	case "heights-differ":
		f.Title = b.Name + " is not as high at both ends"
		f.Sentence = fmt.Sprintf("Front %s, rear %s. Plan with the lower.", value, limit)
	case "arches-meet":
		f.Title = b.Name + ": the arches meet"
		f.Sentence = fmt.Sprintf("Both arches together reach %s into a bay that is %s wide. Measure how far each stands "+
			"into the bay again.", value, limit)
	case "arches-outside":
		f.Title = b.Name + ": wider between the arches than at the walls"
		f.Sentence = fmt.Sprintf("Between the arches %s, wall to wall %s. Measure between the arches again.", value, limit)
	case "arches-do-not-add-up":
		f.Title = b.Name + ": the arches do not add up"
		f.Sentence = fmt.Sprintf("Between the arches %s was given; the width less both arches leaves %s. Measure between "+
			"the arches again, then the arches.", value, limit)
	case "opening-too-wide":
		f.Title = b.Name + ": the opening is wider than the bay"
		f.Sentence = fmt.Sprintf("The opening is %s wide, the bay behind it %s. An opening is smaller than its bay: "+
			"measure between the seals again.", value, limit)
	case "opening-too-high":
		f.Title = b.Name + ": the opening is higher than the bay"
		f.Sentence = fmt.Sprintf("Lip and opening together are %s, the bay behind it %s. Measure from the lip to the "+
			"lowest seal again.", value, limit)
	default: // obstacle-outside
		f.Title = fmt.Sprintf("%s: %s stands out of the bay", b.Name, words.Lower(c.Name))
		f.Sentence = fmt.Sprintf("%s reaches to %s in a bay of %s. Measure its place and size again.", c.Name, value, limit)
	}
}
