package offer

import (
	"cmp"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
)

// How many changes a finding offers, and how many of the best are tried for it.
const (
	mostFixes = 4
	mostTried = 8
)

// To puts the best single changes to findings about a limit that is passed: those that
// suffice and keep every other limit first, the least effort first; then what helps most
// of those that do not, and say so. harmless tells whether a change leaves every rule of
// the whole job as it was; others are not offered.
func To(p *plan.Plan, findings []fitout.Finding, harmless func(fitout.FixEdit, *limits.Facts) bool) {
	var all []Change
	for i := range findings {
		f := &findings[i]
		if f.Mend == "" || f.Severity != fitout.Stop || len(f.Fixes) > 0 {
			continue
		}
		if all == nil {
			all = All(p, nil)
		}
		f.Fixes = fixes(p, all, f.Mend, harmless)
	}
}

// offered is one change by the amount that it is offered by.
type offered struct {
	fix            fitout.Fix
	enough         bool
	effort, relief float64
}

// fixes are the best single changes for a limit that is passed.
func fixes(p *plan.Plan, changes []Change, id string,
	harmless func(fitout.FixEdit, *limits.Facts) bool) []fitout.Fix {
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
	for _, o := range all[:min(len(all), mostTried)] {
		if len(best) == mostFixes {
			break
		}
		if !harmless(o.fix.Edit, t.All[at].Facts()) {
			continue
		}
		if !o.enough {
			o.fix.Label += " (not enough alone)"
		}
		best = append(best, o.fix)
	}
	return best
}
