package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// circuitProposed takes cable and fuse of a circuit as they are proposed; what is said of its
// way stays.
var circuitProposed = circuit(func(c *fitout.Circuit, _ *fitout.FixEdit) bool {
	c.Area, c.Insulation, c.Fuse, c.FuseKind, c.FuseAt, c.FuseVolts = 0, 0, 0, "", 0, 0
	c.FarFuse, c.NoFarFuse = 0, false
	return true
})

// guard puts onto what a cable passes what it wants there.
var guard = circuit(func(c *fitout.Circuit, e *fitout.FixEdit) bool {
	k := slices.IndexFunc(c.Crossings, func(x fitout.Crossing) bool { return x.ID == e.With })
	if k < 0 {
		return false
	}
	c.Crossings = slices.Clone(c.Crossings)
	c.Crossings[k].Guarded = true
	return true
})

// plugHeld takes a plug that is held, plugCoded one that fits one socket only.
var (
	plugHeld  = circuit(func(c *fitout.Circuit, _ *fitout.FixEdit) bool { c.Latched = true; return c.Plug != "" })
	plugCoded = circuit(func(c *fitout.Circuit, _ *fitout.FixEdit) bool { c.Coded = true; return c.Plug != "" })
)

// behindIsolator joins a circuit behind the isolator, behindMeter behind the shunt.
var (
	behindIsolator = circuit(func(c *fitout.Circuit, _ *fitout.FixEdit) bool { c.OffBattery = false; return true })
	behindMeter    = circuit(func(c *fitout.Circuit, _ *fitout.FixEdit) bool { c.PastMeter = false; return true })
)

// circuit makes an edit of what was said of one circuit.
func circuit(change func(*fitout.Circuit, *fitout.FixEdit) bool) Kind {
	return electrics(func(e *fitout.Electrics, edit *fitout.FixEdit) bool {
		k := slices.IndexFunc(e.Circuits, func(c fitout.Circuit) bool { return c.Of == edit.ID })
		return k >= 0 && change(&e.Circuits[k], edit)
	})
}
