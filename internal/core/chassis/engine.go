// Package chassis looks at what is bolted to a vehicle from outside its spaces: what the tyres reach, how a body
// stands on a frame that twists, what the mirrors see past, and what stands over an aerial.
package chassis

import (
	"zaino/internal/core/fit"
	"zaino/internal/core/plan"
)

// Rules hold a plan against its tyres, body mounts, mirrors and aerials.
func Rules() []plan.Rule {
	return []plan.Rule{tyreHits, bodyTwist, bodyMountOver, mirrorsNarrow, aerialShaded, legOver, legsTip, legsFew, offUncharged}
}

// slack is what two boxes may reach into each other without a word, mm.
const slack = 1.0

// about begins a finding about a part.
var about = fit.About
