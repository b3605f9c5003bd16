package answer

import (
	"fmt"
	"slices"
	"strings"

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
		f.Fixes = loadFor(e, item)
		found = append(found, f)
	}
	return found
}

// loadFor offers the loads under Power that are no part yet and are called as this one is, or else a load for it.
func loadFor(e *fitout.Electrics, item *fitout.Item) []fitout.Fix {
	var fixes []fitout.Fix
	name := strings.ToLower(item.Name)
	for i := range e.Loads {
		l := &e.Loads[i]
		if called := strings.ToLower(l.Name); l.Item == "" && (strings.Contains(name, called) || strings.Contains(called, name)) {
			fixes = append(fixes, fitout.Fix{Label: "The load “" + l.Name + "” under Power is it",
				Edit: fitout.FixEdit{Kind: "load-of", ID: item.ID, With: l.ID}})
		}
	}
	if traits := module.TraitsOf(item.Module.Kind); len(fixes) == 0 && !traits.Stores {
		fixes = append(fixes, fitout.Fix{Label: "Add its load under Power, an estimate",
			Edit: fitout.FixEdit{Kind: "load-of", ID: item.ID}})
	}
	return fixes
}
