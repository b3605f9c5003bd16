package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// outside puts a thing onto the ground in a stance.
var outside = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	changed := *j
	changed.Variants = slices.Clone(j.Variants)
	v := changed.ChosenVariant()
	k := slices.IndexFunc(v.Stances, func(s fitout.Stance) bool { return s.ID == e.With })
	if k < 0 || !slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.ID == e.ID }) {
		return *j, false
	}
	v.Stances = slices.Clone(v.Stances)
	stays := slices.DeleteFunc(slices.Clone(v.Stances[k].Loose), func(l fitout.LoosePlace) bool { return l.Item == e.ID })
	v.Stances[k].Loose = append(stays, fitout.LoosePlace{Item: e.ID, Outside: true})
	return changed, true
}}
