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
}

// substanceUnsaid cautions of a thing whose name speaks of something that burns or corrodes, while nobody said what is in
// it: until then it is looked at as if it held nothing.
func substanceUnsaid(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Variant.Items {
		item := &p.Variant.Items[i]
		likely := fitout.ProposedSubstance(item.Name, p.Job.Region)
		if item.Substance != fitout.SubstanceNotSaid || !likely.Burns() && !likely.Corrodes() ||
			plan.Traveller(item) {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "substance-unsaid", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "item", ID: item.ID}, Source: "practice",
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
