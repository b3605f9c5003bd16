package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// itemLevel fills a vessel to so many litres.
var itemLevel = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
	if i.Presence.Level == nil {
		return false
	}
	level := *i.Presence.Level
	level.Now = e.Value
	i.Presence.Level = &level
	return true
})

// tankLevel fills a tank of the vehicle to so many litres.
var tankLevel = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	changed := *j
	v := &changed.Vehicle
	k := slices.IndexFunc(v.Tanks, func(t fitout.Tank) bool { return t.ID == e.ID })
	if k < 0 {
		return *j, false
	}
	v.Tanks = slices.Clone(v.Tanks)
	v.Tanks[k].Now = e.Value
	return changed, true
}}
