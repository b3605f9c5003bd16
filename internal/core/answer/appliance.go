package answer

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// applianceUnplanned cautions of a fridge, or another part that says what it draws, of which Power knows nothing: no
// battery, cable and fuse is reckoned for it. Where nothing of Power is planned yet, it is noted.
func applianceUnplanned(p *plan.Plan) []fitout.Finding {
	e := &p.Variant.Electrics
	var found []fitout.Finding
	for i := range p.Items {
		item := &p.Items[i]
		if item.Module == nil || item.Module.Kind == fitout.Board ||
			item.Module.Watts == 0 && !module.TraitsOf(item.Module.Kind).Cools ||
			slices.ContainsFunc(e.Loads, func(l fitout.PowerLoad) bool { return l.Item == item.ID }) {
			continue
		}
		f := fitout.Finding{
			Rule: "appliance-unplanned", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "module", ID: item.ID},
			Source: "practice", Margin: -1,
		}
		if len(e.Loads) == 0 && len(e.Systems) == 0 {
			f.Severity = fitout.Note
		}
		f.Title = fmt.Sprintf("Nothing is planned that feeds %s", words.Lower(item.Name))
		f.Sentence = "It draws current, and no load under Power is it: no battery, cable and fuse is reckoned with it. Add its " +
			"load there, or say of a load there that it is this part."
		found = append(found, f)
	}
	return found
}
