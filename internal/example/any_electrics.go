package example

import (
	"strconv"

	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// electrics makes the names of drawn electrics name something that is there, or that is
// gone, and each key stand once.
func (d drawing) electrics(v *fitout.Variant, item func() string) {
	e := &v.Electrics
	system := func() string {
		return one(d, e.Systems, func(s *fitout.PowerSystem) string { return s.ID }, "", "gone")
	}
	any := func() string {
		named := e.Named()
		return one(d, named, func(n *fitout.Named) string { return n.ID }, "gone")
	}
	output := func() string { return one(d, e.Outputs, func(o *fitout.Output) string { return o.ID }, "gone") }
	control := func() string { return one(d, e.Controls, func(c *fitout.Control) string { return c.ID }, "", "gone") }
	if rapid.IntRange(0, 9).Draw(d.t, "long") > 0 { // sixty nights take their time, and say little more
		e.Days.Count = min(max(1, e.Days.Count), 4)
	}
	for i := range e.Systems {
		e.Systems[i].Item = item()
	}
	for i := range e.Chargers {
		c := &e.Chargers[i]
		c.System, c.From, c.Item, c.Port = system(), system(), item(), "port0"
	}
	for i := range e.Sources {
		s := &e.Sources[i]
		s.System, s.Item = system(), item()
		s.Charger = one(d, e.Chargers, func(c *fitout.Charger) string { return c.ID }, "", "gone")
	}
	for i := range e.Inverters {
		e.Inverters[i].System, e.Inverters[i].Item = system(), item()
	}
	for i := range e.Loads {
		l := &e.Loads[i]
		l.System, l.Item, l.Port = system(), item(), rapid.SampledFrom([]string{"", "port0"}).Draw(d.t, "port")
		l.Inverter = one(d, e.Inverters, func(n *fitout.Inverter) string { return n.ID }, "", "gone")
	}
	for i := range e.Links {
		e.Links[i].From, e.Links[i].To, e.Links[i].Item = system(), system(), item()
	}
	for i := range e.Panels {
		e.Panels[i].System, e.Panels[i].Item = system(), item()
	}
	e.Circuits = only(e.Circuits, func(c *fitout.Circuit) string { return c.Of }, func(c *fitout.Circuit) bool {
		c.Of, c.From = any(), any()
		return true
	})
	for i := range e.Outputs {
		o := &e.Outputs[i]
		o.Of, o.LockedOn, o.LockedOff = any(), control(), control()
		for k := range o.Lines {
			for n := range o.Lines[k].Conditions {
				c := &o.Lines[k].Conditions[n]
				c.Of, c.Place = rapid.SampledFrom([]string{system(), control(), output()}).Draw(d.t, "of"), ""
			}
		}
	}
	for i := range e.Days.Own {
		e.Days.Own[i].Day = strconv.Itoa(i + 1)
	}
	for i := range v.Cases {
		c := &v.Cases[i]
		c.Charges = only(c.Charges, func(x *fitout.CaseCharge) string { return x.System }, func(x *fitout.CaseCharge) bool {
			x.System = system()
			return x.System != ""
		})
	}
}
