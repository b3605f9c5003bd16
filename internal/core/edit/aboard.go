package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// sitting is how large somebody who sits is, mm.
var sitting = fitout.Size{Length: 500, Width: 480, Height: 900}

// putAboard puts everyone of the brief who is not aboard yet on a free seat, or behind the cab where there is none.
var putAboard = onVariant(func(j *fitout.Job, v *fitout.Variant, _ *fitout.FixEdit) bool {
	done := false
	v.Items = slices.Clone(v.Items)
	for _, t := range j.Brief.Travellers {
		if slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.ID == t.ID }) {
			continue
		}
		item := fitout.Item{
			ID:       t.ID,
			Name:     t.Name,
			Group:    "People",
			Form:     fitout.FormPerson,
			Mass:     t.Mass,
			Source:   fitout.ByScale,
			Size:     sitting,
			Presence: fitout.Presence{Kind: fitout.Always},
		}
		if t.Kind == fitout.TravellerAnimal {
			item.Form = fitout.FormAnimal
		}
		item.At = fitout.Point{X: j.Vehicle.Outline.CabRear, Z: j.Vehicle.Outline.FloorHeight + 300}
		for _, s := range j.Vehicle.Seats {
			if !slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.Seat == s.ID }) {
				item.Seat, item.At = s.ID, s.At
				break
			}
		}
		v.Items, done = append(v.Items, item), true
	}
	return done
})
