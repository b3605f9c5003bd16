// Package chassis looks at what is bolted to a vehicle from outside its spaces: what the tyres reach, how a body
// stands on a frame that twists, what the mirrors see past, and what stands over an aerial.
package chassis

import (
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
)

// Rules hold a plan against its tyres, its axle, exhaust, shafts and lines, body mounts, mirrors, the view behind,
// aerials and legs, and against where things of it are entered.
func Rules() []plan.Rule {
	return []plan.Rule{
		tyreHits, axleHits, exhaustNear, shaftNear, lineNear, bodyTwist, bodyMountOver, mirrorsNarrow, rearView, aerialShaded,
		legOver, legsTip, legsFew, offUncharged, offVehicle,
	}
}

// slack is what two boxes may reach into each other without a word, mm.
const slack = 1.0

// about begins a finding about a part.
var about = scene.About
