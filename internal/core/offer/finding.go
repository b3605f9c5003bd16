package offer

import (
	"cmp"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
)

// mostFixes is how many changes a finding offers.
const mostFixes = 4

// To puts the best single changes to findings about a limit that is passed: those that
// suffice and keep every other limit first, the least effort first; then what helps most
// of those that do not, and say so.
func To(p *plan.Plan, findings []fitout.Finding) {
	var all []Change
	for i := range findings {
		f := &findings[i]
		if f.Mend == "" || f.Severity != fitout.Stop || len(f.Fixes) > 0 {
			continue
		}
		if all == nil {
			all = All(p, nil)
		}
		f.Fixes = fixes(p, all, f.Mend)
	}
}

// offered is one change by the amount that it is offered by.
type offered struct {
	fix            fitout.Fix
	enough         bool
	effort, relief float64
}

// fixes are the best single changes for a limit that is passed.
func fixes(p *plan.Plan, changes []Change, id string) []fitout.Fix {
	t := limits.Of(p)
	at := slices.IndexFunc(t.All, func(l limits.Limit) bool { return l.Facts().ID == id })
	if at < 0 {
		return []fitout.Fix{}
	}
	beyond := t.All[at].Beyond(t.Shown())
	var all []offered
	for _, c := range For(changes, at) {
		amount := c.Rounded(beyond / c.Relief(at))
		if !c.Can(amount) {
			continue
		}
		effects := make([]float64, len(c.Effects))
		for k, by := range c.Effects {
			effects[k] = by * amount
		}
		if !t.Keeps(effects, id) {
			continue
		}
		relief := c.Relief(at) * amount
		all = append(all, offered{c.Fix(amount), relief >= beyond-1e-9, c.Effort * amount, relief})
	}
	slices.SortStableFunc(all, func(a, b offered) int {
		switch {
		case a.enough && b.enough:
			return cmp.Compare(a.effort, b.effort)
		case !a.enough && !b.enough:
			return cmp.Compare(b.relief, a.relief)
		case a.enough:
			return -1
		}
		return 1
	})
	best := []fitout.Fix{}
	for _, o := range all[:min(len(all), mostFixes)] {
		if !o.enough {
			o.fix.Label += " (not enough alone)"
		}
		best = append(best, o.fix)
	}
	return best
}
