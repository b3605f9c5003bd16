package answer

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// inWords are what substances are called in a sentence.
var inWords = map[fitout.Substance]string{
	fitout.SubstancePetrol: "petrol", fitout.SubstanceDiesel: "diesel", fitout.SubstanceGas: "gas",
	fitout.SubstanceSpirits: "spirits", fitout.SubstanceAcid: "acid", fitout.SubstanceBleach: "bleach",
	fitout.SubstanceFood: "food", fitout.SubstanceDirt: "dirt",
}

// substanceUnsaid cautions of a thing whose name speaks of something that burns or corrodes, while nobody said what
// is in it: until then it is looked at as if it held nothing. It notes food and dirt by their names where the two
// lie together.
func substanceUnsaid(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Variant.Items {
		item := &p.Variant.Items[i]
		likely, severity := fitout.ProposedSubstance(item.Name, p.Job.Region), fitout.Caution
		if likely == fitout.SubstanceDirt || likely == fitout.SubstanceFood {
			severity = fitout.Note
			if !liesWithOther(p, item, likely) {
				continue
			}
		} else if !likely.Burns() && !likely.Corrodes() {
			continue
		}
		if item.Substance != fitout.SubstanceNotSaid || plan.Traveller(item) {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "substance-unsaid", Severity: severity, Subject: fitout.Subject{Kind: "item", ID: item.ID}, Source: "practice",
			Title: fmt.Sprintf("Is there %s in %s?", inWords[likely], words.Lower(item.Name)), Margin: -1,
			Sentence: fmt.Sprintf(
				"Its name speaks of %s, and nobody said what it holds; until then its neighbours and its place are not "+
					"looked at for it. Say what it holds, or that it holds nothing that matters.",
				inWords[likely],
			),
			Fixes: []fitout.Fix{
				{
					Label: "It holds " + inWords[likely],
					Edit:  fitout.FixEdit{Kind: "substance", ID: item.ID, With: string(likely)},
				},
				{
					Label: "Nothing that matters",
					Edit:  fitout.FixEdit{Kind: "substance", ID: item.ID, With: string(fitout.SubstanceNone)},
				},
			},
		})
	}
	return found
}

// liesWithOther tells whether food lies in one compartment with dirt, or dirt with food, by what is said of the
// other or else by its name; dirt in a pantry too.
func liesWithOther(p *plan.Plan, item *fitout.Item, is fitout.Substance) bool {
	if item.In == nil {
		return false
	}
	other := fitout.SubstanceFood
	if is == fitout.SubstanceFood {
		other = fitout.SubstanceDirt
	}
	for i := range p.Variant.Items {
		q := &p.Variant.Items[i]
		if q.ID == item.In.Module && q.Module != nil && q.Module.Kind == fitout.Pantry &&
			is == fitout.SubstanceDirt {
			return true
		}
		if q.In == nil || *q.In != *item.In || q.ID == item.ID {
			continue
		}
		holds := q.Substance
		if holds == fitout.SubstanceNotSaid {
			holds = fitout.ProposedSubstance(q.Name, p.Job.Region)
		}
		if holds == other {
			return true
		}
	}
	return false
}
