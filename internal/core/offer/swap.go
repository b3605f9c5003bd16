package offer

import (
	"cmp"
	"fmt"
	"slices"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// mostSwaps is how many parts of the catalogue are thought of for one part.
const mostSwaps = 2

// swaps put a lighter part of the catalogue in the place of one of its kind. What
// stands there already, and what is locked, stays; plain gear is of no kind that
// says what it is for, so that none serves for another. The effort is the mass of what
// is bought anew and half of what it replaces.
func (s sheet) swaps(components []fitout.Component) []Change {
	var all []Change
	for i := range s.Items {
		old := &s.Items[i]
		placed := &s.Load.Items[i]
		if old.Module == nil || module.TraitsOf(old.Module.Kind).Yields || old.Locked || old.Work == fitout.WorkExisting ||
			!placed.Present || placed.Trailer {
			continue
		}
		var own []Change
		for k := range components {
			with := &components[k].Item
			if with.Module == nil || with.Module.Kind != old.Module.Kind || with.Name == old.Name || !s.serves(old, with) ||
				!s.feedsAsMuch(old, &components[k]) ||
				!s.doesAsMuch(old, components[k].Device) {
				continue
			}
			kg := s.componentMass(with)
			saves := old.Mass - kg
			if saves < 1 || !s.fitsInstead(old, with) {
				continue
			}
			change := lighter(placed.Mass, saves)
			c := s.whole([]string{old.ID}, kg+old.Mass/2+saves, s.effects(s.Load.Carrier(i), change), s.axles(change),
				fitout.Fix{
					Label: fmt.Sprintf("Swap %s for %s, %s lighter", words.Lower(old.Name), words.Lower(with.Name), s.Say.Mass(saves)),
					Edit:  fitout.FixEdit{Kind: "swap", ID: old.ID, With: components[k].ID},
				})
			c.Saves = saves
			own = append(own, c)
		}
		// The one that is most like the old one first: it was chosen for what it holds.
		slices.SortStableFunc(own, func(a, b Change) int { return cmp.Compare(a.Saves, b.Saves) })
		all = append(all, own[:min(len(own), mostSwaps)]...)
	}
	return all
}

// serves tells whether what would replace a part holds what is in it now, has a
// compartment of the same name for all that lies in it.
func (s sheet) serves(old, with *fitout.Item) bool {
	holds, has := old.Presence.Level, with.Presence.Level
	if (holds == nil) != (has == nil) || holds != nil && has.Max < holds.Now {
		return false
	}
	return !slices.ContainsFunc(s.Variant.Items, func(i fitout.Item) bool {
		return i.In != nil && i.In.Module == old.ID && !edit.HasCell(with.Module, i.In.Cell)
	})
}

// fitsInstead tells whether a part of the catalogue stands where an old one stands.
func (s sheet) fitsInstead(old, with *fitout.Item) bool {
	trial := *old
	edit.Replace(&trial, with)
	return scene.Of(s.Plan).StandsAs(old.ID, func(fitout.Box) fitout.Box { return trial.Box() })
}

// componentMass is what a component weighs empty, kg.
func (s sheet) componentMass(i *fitout.Item) float64 {
	if kg, _, ok := module.Mass(i, s.Job.Build.Runners); ok && i.Source == fitout.ByMaterial {
		return kg
	}
	return i.Mass
}
