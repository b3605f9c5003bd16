package mend

import (
	"fmt"
	"strings"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/offer"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
)

// try makes the changes of a set on the whole job and holds it against every limit and
// every rule.
func (s *search) try(all set) (Mend, bool) {
	fixes := make([]fitout.Fix, len(all))
	for i, d := range all {
		fixes[i] = d.Fix(d.amount)
	}
	m, ok := s.tryFixes(fixes)
	m.Effort = all.effort()
	return m, ok
}

func (s *search) tryFixes(fixes []fitout.Fix) (Mend, bool) {
	m := Mend{Changes: fixes}
	edits := make([]fitout.FixEdit, len(fixes))
	for i := range fixes {
		edits[i] = fixes[i].Edit
		if said := edit.CautionOf(edits[i].Kind); said != "" && !strings.Contains(m.Caution, said) {
			m.Caution = strings.TrimSpace(m.Caution + " " + said)
		}
	}
	job, err := edit.Apply(s.plan.Given, s.components, edits)
	if err != nil {
		return m, false
	}
	after := plan.Of(&job)
	table := limits.Of(after)
	target := table.Get(s.limit.Facts().ID)
	if target == nil || !s.mended(after, target) || s.passes(table) || s.before.Further(after, s.limit.Facts()) {
		return m, false
	}
	short := offer.Short(s.plan, offer.SuppliesOf(s.plan), offer.SuppliesOf(after))
	m.Changes[0].Label = offer.Warned(m.Changes[0].Label, short)
	m.Pads = table.PadsIn(table.Shown())
	m.Reaches = s.reaches(target, table.Shown())
	return m, true
}

// mended tells whether the limit is kept now, and clear of it where that was asked for.
func (s *search) mended(after *plan.Plan, target limits.Limit) bool {
	in := limits.Of(after).Shown()
	left, _ := need(after, target, in)
	if s.clear {
		return left <= quantity.Tolerance
	}
	return !quantity.Exceeds(target.Beyond(in), 0)
}

// passes tells whether a limit is passed that was kept before, or one is passed further.
func (s *search) passes(after *limits.Table) bool {
	for _, l := range after.All {
		f := l.Facts()
		was := s.table.Get(f.ID)
		if f.ID == s.limit.Facts().ID || !f.Stated() || f.Towing && !after.Shown().State.Coupled {
			continue
		}
		before := 0.0
		if was != nil && was.Facts().Stated() {
			before = max(0, was.Beyond(s.table.Shown()))
		}
		if quantity.Exceeds(l.Beyond(after.Shown()), before) {
			return true
		}
	}
	return false
}

// reaches says of a rule of balance, or of what no pad shows, how it stood before and
// how it stands after a change.
func (s *search) reaches(target limits.Limit, in *limits.Situation) string {
	f, say := target.Facts(), s.plan.Say
	if _, isMass := s.mass(); isMass {
		for _, pad := range s.table.Pads {
			if pad.Facts().ID == f.ID {
				return ""
			}
		}
		return fmt.Sprintf("%s: %s before, %s of %s after", f.Title, say.Mass(s.limit.Load(s.table.Shown())),
			say.Mass(target.Load(in)), say.Mass(f.Bound.Figure()))
	}
	figure := func(value float64) string {
		return strings.TrimSpace(fmt.Sprintf("%.1f %s", value, f.Unit))
	}
	return fmt.Sprintf("%s: %s before, %s after; the workshop's rule is %s", f.Title,
		figure(s.limit.Load(s.table.Shown())), figure(target.Load(in)), figure(f.Bound.Figure()))
}
