package edit

import (
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/wiring"
)

// countCables counts the mass of the cables as an item that stands where they run on the
// mean.
var countCables = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	middle, mass := wiring.BoardOf(plan.Of(j)).Middle()
	if mass <= 0 || e.Value <= 0 {
		return *j, false
	}
	edited := *j
	edited.Variants = slices.Clone(j.Variants)
	v := edited.ChosenVariant()
	v.Items = slices.DeleteFunc(slices.Clone(v.Items), func(i fitout.Item) bool { return i.ID == wiring.CablesItem })
	middle.X = j.Vehicle.Stored(middle.X, false)
	v.Items = append(v.Items, fitout.Item{
		ID: wiring.CablesItem, Name: "Cables of the board", Group: "Power", Cables: true, Form: fitout.FormBox, Mass: mass, At: middle,
		Source: fitout.ByMaterial, Presence: fitout.Presence{Kind: fitout.Always},
	})
	return edited, true
}}
