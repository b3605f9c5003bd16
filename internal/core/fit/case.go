package fit

import (
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
)

// inCases are what the rules say of things that only come along in a case: what is wrong with them as it is shown, or
// without them, is found already. A case that brings nothing further onto the bench is not looked at.
func inCases(p *plan.Plan, shown []fitout.Finding) []fitout.Finding {
	var found []fitout.Finding
	var told map[string]bool
	seen := map[string]bool{}
	for k := range p.Variant.Cases {
		c := &p.Variant.Cases[k]
		state := p.Load.Case(c)
		aboard, further, names := make([]bool, len(p.Items)), map[string]bool{}, []string{}
		for i := range p.Items {
			_, aboard[i] = p.Load.In(i, &state)
			if aboard[i] && !p.Load.Items[i].Road && !p.Load.Items[i].Trailer && p.Items[i].Module != nil {
				further[p.Items[i].ID] = true
				names = append(names, p.Items[i].ID)
			}
		}
		if key := strings.Join(names, " "); len(names) == 0 || seen[key] {
			continue
		} else {
			seen[key] = true
		}
		if told == nil {
			told = map[string]bool{}
			for _, f := range shown {
				told[f.Names()+f.Stance] = true
			}
		}
		for _, f := range Check(scene.SceneOf(p, func(i int) bool { return aboard[i] })) {
			isNew := further[f.Subject.ID] || slices.ContainsFunc(f.With, func(id string) bool { return further[id] })
			if !isNew || told[f.Names()+f.Stance] {
				continue
			}
			told[f.Names()+f.Stance] = true
			f.Sentence += " In “" + c.Name + "”."
			found = append(found, f)
		}
	}
	return found
}
