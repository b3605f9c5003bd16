package fit

import (
	"cmp"
	"slices"

	"zaino/internal/core/fitout"
)

// Rule is one thing that an experienced eye would see. Its id is stable: what
// was accepted under it stays accepted.
type Rule struct {
	ID    string
	Check func(s *Scene) []fitout.Finding
}

// all are the rules. Each adds itself from its own file, so that a new rule is
// one file and its test; nothing changes the list after the program has started.
var all []Rule

func add(id string, check func(s *Scene) []fitout.Finding) struct{} {
	all = append(all, Rule{id, check})
	return struct{}{}
}

// Rules returns all rules by their id.
func Rules() []Rule {
	return slices.SortedFunc(slices.Values(all), func(a, b Rule) int { return cmp.Compare(a.ID, b.ID) })
}

// Check holds a prepared scene against every rule, in every stance. What is
// wrong on the road is not told again for each stance.
func (s *Scene) Check() []fitout.Finding {
	type key struct{ rule, subject, title string }
	told := map[key]bool{}
	var found []fitout.Finding
	for _, rule := range Rules() {
		for _, f := range rule.Check(s) {
			f.Rule = rule.ID
			k := key{f.Rule, f.Subject.ID, f.Title}
			if told[k] {
				continue
			}
			told[k] = true
			found = append(found, f)
		}
	}
	return found
}

// each runs a check in every posture and marks what it finds with its stance.
func (s *Scene) each(check func(p *Posture) []fitout.Finding) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Postures {
		p := &s.Postures[i]
		for _, f := range check(p) {
			f.Stance = p.Stance.ID
			f.Sentence += p.in()
			found = append(found, f)
		}
	}
	return found
}
