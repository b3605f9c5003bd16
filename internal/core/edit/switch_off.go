package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// switchOff leaves behind what hangs on a switch, and all that needs it.
var switchOff = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	changed := *j
	changed.Variants = slices.Clone(j.Variants)
	v := changed.ChosenVariant()
	k := slices.IndexFunc(v.Switches, func(s fitout.Switch) bool { return s.ID == e.ID })
	if k < 0 {
		return *j, false
	}
	v.Switches = slices.Clone(v.Switches)
	v.Switches[k].On = false
	return changed, true
}}
