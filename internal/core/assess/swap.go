package assess

import (
	"cmp"
	"fmt"
	"slices"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// mostSwaps is how many parts of the catalogue are thought of for one part.
const mostSwaps = 2

// swaps put a lighter part of the catalogue in the place of one of its kind. What
// stands there already, and what is locked, stays; plain gear is of no kind that
// says what it is for, so that none serves for another. Its effort is the mass of what
// is bought anew and half of what it replaces.
func swaps(s *subject, l *limit, components []fitout.Component) []candidate {
	var all []candidate
	for i := range s.variant.Items {
		old := &s.placed[i]
		if old.Module == nil || old.Module.Kind == fitout.PlainGear || old.Locked || old.Work == fitout.WorkExisting || !s.plan.Items[i].Present {
			continue
		}
		var own []candidate
		for k := range components {
			with := &components[k].Item
			if with.Module == nil || with.Module.Kind != old.Module.Kind || with.Name == old.Name || !s.houses(old, with) {
				continue
			}
			kg := componentMass(with)
			saves := old.Mass - kg
			if saves < 1 || !s.fitsInstead(old, with) {
				continue
			}
			own = append(own, s.candidate(l, fmt.Sprintf("Swap %s for %s, %s lighter", lower(old.Name), lower(with.Name), s.say.mass(saves)),
				fitout.FixEdit{Kind: "swap", ID: old.ID, With: components[k].ID}, lighter(s.plan.Items[i].Mass, saves), kg+old.Mass/2+saves))
		}
		// The one that is most like the old one first: it was chosen for what it holds.
		slices.SortStableFunc(own, func(a, b candidate) int { return cmp.Compare(a.relief, b.relief) })
		all = append(all, own[:min(len(own), mostSwaps)]...)
	}
	return all
}

// houses tells whether what would replace a part holds what is in it now, and has
// a compartment of the same name for all that lies in it.
func (s *subject) houses(old, with *fitout.Item) bool {
	holds, has := old.Presence.Level, with.Presence.Level
	if (holds == nil) != (has == nil) || holds != nil && has.Max < holds.Now {
		return false
	}
	return !slices.ContainsFunc(s.variant.Items, func(i fitout.Item) bool {
		return i.In != nil && i.In.Module == old.ID && !hasCell(with.Module, i.In.Cell)
	})
}

// fitsInstead tells whether a part of the catalogue stands where an old one stands.
func (s *subject) fitsInstead(old, with *fitout.Item) bool {
	k := slices.IndexFunc(s.bench.parts, func(p fit.Part) bool { return p.ID == old.ID })
	if k < 0 {
		return true // it lies in another, which the whole trial looks at
	}
	trial := *old
	replace(&trial, with)
	return s.standsAs(k, trial.Box())
}

// componentMass is what a component weighs empty, kg.
func componentMass(i *fitout.Item) float64 {
	if kg, _, ok := module.Mass(i); ok && i.Source == fitout.ByMaterial {
		return kg
	}
	return i.Mass
}
