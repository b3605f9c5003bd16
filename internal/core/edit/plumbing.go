package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// tapBore gives an outlet a hose of another bore, mm.
var tapBore = onVariant(func(_ *fitout.Job, v *fitout.Variant, e *fitout.FixEdit) bool {
	v.Plumbing.Outlets = slices.Clone(v.Plumbing.Outlets)
	for i := range v.Plumbing.Outlets {
		if v.Plumbing.Outlets[i].ID == e.ID {
			v.Plumbing.Outlets[i].Bore = e.Value
			return true
		}
	}
	return false
})

// vessel changes what is said of a vessel; of one that nothing is said of yet, from nothing on.
func vessel(change func(v *fitout.Vessel, e *fitout.FixEdit)) Kind {
	return onVariant(func(j *fitout.Job, v *fitout.Variant, e *fitout.FixEdit) bool {
		isTank := slices.ContainsFunc(j.Vehicle.Tanks, func(t fitout.Tank) bool { return t.ID == e.ID })
		isItem := slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.ID == e.ID && i.Presence.Level != nil })
		if !isTank && !isItem {
			return false
		}
		v.Plumbing.Vessels = slices.Clone(v.Plumbing.Vessels)
		k := slices.IndexFunc(v.Plumbing.Vessels, func(w fitout.Vessel) bool { return w.Of == e.ID })
		if k < 0 {
			k = len(v.Plumbing.Vessels)
			v.Plumbing.Vessels = append(v.Plumbing.Vessels, fitout.Vessel{Of: e.ID})
		}
		change(&v.Plumbing.Vessels[k], e)
		return true
	})
}

// breather leads a breather up from a vessel.
var breather = vessel(func(v *fitout.Vessel, _ *fitout.FixEdit) { v.Breather = fitout.IsSo })

// tapFrom has an outlet draw from a vessel by its id.
var tapFrom = onVariant(func(j *fitout.Job, v *fitout.Variant, e *fitout.FixEdit) bool {
	v.Plumbing.Outlets = slices.Clone(v.Plumbing.Outlets)
	k := slices.IndexFunc(v.Plumbing.Outlets, func(o fitout.Outlet) bool { return o.ID == e.ID })
	known := slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.ID == e.With }) ||
		slices.ContainsFunc(j.Vehicle.Tanks, func(t fitout.Tank) bool { return t.ID == e.With })
	if k < 0 || !known {
		return false
	}
	v.Plumbing.Outlets[k].Vessel = e.With
	return true
})

// vesselRest counts so many litres of a vessel as unusable.
var vesselRest = vessel(func(v *fitout.Vessel, e *fitout.FixEdit) { v.Unusable = e.Value })

// vesselRoom leaves so much of a vessel free, %.
var vesselRoom = vessel(func(v *fitout.Vessel, e *fitout.FixEdit) { v.Expansion = e.Value / 100 })

// airHose gives the compressor a hose of another length, mm.
var airHose = onVariant(func(_ *fitout.Job, v *fitout.Variant, e *fitout.FixEdit) bool {
	v.Plumbing.Air.Hose = e.Value / 1000
	return true
})
