package edit

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
)

// extension lengthens the wheelbase by so much in all. Where nobody said what of the
// vehicle moves with its axle, all that its rear axle carries dry is taken: that is more
// than does, so that the loads are on the safe side.
var extension = Kind{
	Caution: "A structural change: for certified people under local rules, with brakes, drive shaft and turning circle " +
		"looked at. " +
		"The load stays where it is unless it is said to stand behind the cut; what of the vehicle moves with its axle is " +
		"an estimate until it is entered under Vehicle.",
	Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		changed := *j
		v := &changed.Vehicle
		x := fitout.Extension{Cut: v.Outline.Headboard}
		if v.Extension != nil {
			x = *v.Extension
		}
		if x.BehindCut == 0 {
			w := load.Weigh(v, &j.Practice.Uncertainty)
			dry := load.DryVehicle(v, &w).Mass
			x.BehindCut = max(0, dry.Kg*dry.X/v.Wheelbase)
		}
		x.By, x.Certificated = e.Value, false
		v.Extension = &x
		return changed, true
	},
}
