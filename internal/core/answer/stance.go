package answer

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// mostOpenNamed is how many things that open a sentence names before it counts the rest.
const mostOpenNamed = 4

// stancesNone notes a fitout of which several parts open and no stance says what is open, slid out or let down at one
// time: whether they can be is not looked at then.
func stancesNone(p *plan.Plan) []fitout.Finding {
	if len(p.Variant.Stances) > 0 {
		return nil
	}
	var opens []string
	for i := range p.Items {
		item := &p.Items[i]
		if item.Module != nil && item.In == nil && p.Load.Items[i].Road && len(module.Leaves(item)) > 0 {
			opens = append(opens, words.Lower(item.Name))
		}
	}
	if len(opens) < 2 {
		return nil // one alone is in nothing's way that does not stand there on the road
	}
	if rest := len(opens) - mostOpenNamed; rest > 1 {
		opens = append(opens[:mostOpenNamed], fmt.Sprintf("%d more", rest))
	}
	return []fitout.Finding{{
		Rule: "stances-none", Severity: fitout.Note, Subject: fitout.Subject{Kind: "stance"}, Source: "practice", Margin: -1,
		Title: "No stance says what is open together",
		Sentence: fmt.Sprintf(
			"%s open, and whether they can at one time is not looked at. Say under Stances how it stands "+
				"where you camp: what is open, who sleeps where.",
			words.Capital(words.List(opens)),
		),
	}}
}
