package edit

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/core/scene"
)

// equip puts an electrical component of the catalogue into the vehicle, joined to a
// system: a battery takes the place of the one that the system has, everything else is
// placed where there is room. With no system it begins one, or hangs on the first.
var equip = Kind{Elsewhere: true, Apply: func(j *fitout.Job, components []fitout.Component,
	e *fitout.FixEdit) (fitout.Job, bool) {
	k := slices.IndexFunc(components, func(c fitout.Component) bool { return c.ID == e.With })
	if k < 0 || components[k].Device == nil {
		return *j, false
	}
	c := &components[k]
	edited := withElectrics(j)
	v := edited.ChosenVariant()
	el := &v.Electrics
	at := slices.IndexFunc(el.Systems, func(s fitout.PowerSystem) bool { return s.ID == e.ID })
	if e.ID != "" && at < 0 {
		return *j, false
	}
	if c.Device.System != nil && at >= 0 {
		return replaceBattery(&edited, at, c), true
	}
	if own := slices.IndexFunc(el.Inverters, func(i fitout.Inverter) bool { return i.System == e.ID }); own >= 0 &&
		c.Device.Inverter != nil && c.Device.Panel == nil {
		return replaceInverter(&edited, own, c), true
	}
	v.Items = append(slices.Clone(v.Items), placedItem(&edited, c, e.ID))
	Join(el, c.Device, v.Items[len(v.Items)-1].ID, c.Item.Name, e.ID)
	return edited, true
}}

// withElectrics returns the job with the electrics of its chosen variant its own.
func withElectrics(j *fitout.Job) fitout.Job {
	edited := *j
	edited.Variants = slices.Clone(j.Variants)
	e := &edited.ChosenVariant().Electrics
	e.Systems, e.Chargers, e.Sources = slices.Clone(e.Systems), slices.Clone(e.Chargers), slices.Clone(e.Sources)
	e.Inverters, e.Loads, e.Links = slices.Clone(e.Inverters), slices.Clone(e.Loads), slices.Clone(e.Links)
	e.Panels, e.Circuits, e.Outputs = slices.Clone(e.Panels), slices.Clone(e.Circuits), slices.Clone(e.Outputs)
	return edited
}

// replaceBattery puts a battery of the catalogue in the place of the one of a system; what
// hangs on it, its reserve, meter and isolator stay.
func replaceBattery(j *fitout.Job, at int, c *fitout.Component) fitout.Job {
	v := j.ChosenVariant()
	s, with := &v.Electrics.Systems[at], c.Device.System
	if p := plan.Of(j); p.Index(s.Item) >= 0 && p.Items[p.Index(s.Item)].Name == s.Name {
		s.Name = c.Item.Name // it was called what it was
	}
	putBattery(s, with)
	edited := WithItems(j, func(i *fitout.Item) {
		if i.ID == s.Item && i.Module != nil {
			Replace(i, &c.Item)
		}
	})
	standsClear(&edited, c, s.Item)
	if !slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.ID == s.Item && i.Module != nil }) {
		w := edited.ChosenVariant()
		w.Items = slices.DeleteFunc(w.Items, func(i fitout.Item) bool { return i.ID == s.Item && s.Item != "" })
		w.Items = append(w.Items, placedItem(&edited, c, ""))
		w.Electrics.Systems[at].Item = w.Items[len(w.Items)-1].ID
	}
	return edited
}

// replaceInverter puts an inverter of the catalogue in the place of one that is there; what
// runs on it stays on it. One that is part of a board leaves the board where it is.
func replaceInverter(j *fitout.Job, at int, c *fitout.Component) fitout.Job {
	v := j.ChosenVariant()
	i := &v.Electrics.Inverters[at]
	putInverter(i, c.Device.Inverter)
	others := 0
	for _, named := range v.Electrics.Named() {
		if named.Item == i.Item {
			others++
		}
	}
	edited := *j
	if others == 1 {
		edited = WithItems(j, func(item *fitout.Item) {
			if item.ID == i.Item && item.Module != nil {
				Replace(item, &c.Item)
			}
		})
		standsClear(&edited, c, i.Item)
		if k := slices.IndexFunc(v.Items, func(item fitout.Item) bool {
			return item.ID == i.Item && item.Module != nil
		}); k >= 0 {
			return edited
		}
	}
	w := edited.ChosenVariant()
	w.Items = append(slices.Clone(w.Items), placedItem(&edited, c, i.System))
	w.Electrics.Inverters[at].Item = w.Items[len(w.Items)-1].ID
	return edited
}

// standsClear moves an item that took the place of a smaller one to where there is room,
// where it now reaches into something else.
func standsClear(j *fitout.Job, c *fitout.Component, id string) {
	v := j.ChosenVariant()
	k := slices.IndexFunc(v.Items, func(i fitout.Item) bool { return i.ID == id && i.Module != nil })
	if k < 0 {
		return
	}
	p := plan.Of(j)
	at := p.Index(id)
	if box := p.Items[at].Box(); !slices.ContainsFunc(p.Items, func(o fitout.Item) bool {
		by := box.Overlap(o.Box())
		return o.ID != id && o.In == nil && min(by.X, by.Y, by.Z) > 0
	}) {
		return
	}
	without := *j
	without.Variants = slices.Clone(j.Variants)
	w := without.ChosenVariant()
	w.Items = slices.Delete(slices.Clone(v.Items), k, k+1)
	placed := placedItem(&without, c, "")
	old := &v.Items[k]
	old.Bay, old.At, old.Size, old.Behind = placed.Bay, placed.At, placed.Size, placed.Behind
	old.Module.Faces, old.Module.Mirrored = placed.Module.Faces, placed.Module.Mirrored
}

// clearSupply takes out what charges a system from sun and alternator, with the items that
// are nothing else, so that another set can take their place.
var clearSupply = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	edited := withElectrics(j)
	v := edited.ChosenVariant()
	el := &v.Electrics
	if !slices.ContainsFunc(el.Systems, func(s fitout.PowerSystem) bool { return s.ID == e.ID }) {
		return *j, false
	}
	gone := map[string]bool{}
	chargers := map[string]bool{}
	el.Chargers = slices.DeleteFunc(el.Chargers, func(c fitout.Charger) bool {
		if c.System == e.ID {
			chargers[c.ID], gone[c.Item] = true, true
		}
		return c.System == e.ID
	})
	el.Sources = slices.DeleteFunc(el.Sources, func(s fitout.PowerSource) bool {
		out := (s.System == e.ID || chargers[s.Charger]) && (s.Kind == fitout.Solar || s.Kind == fitout.Alternator)
		if out {
			gone[s.Item] = true
		}
		return out
	})
	for _, named := range el.Named() {
		delete(gone, named.Item)
	}
	v.Items = slices.DeleteFunc(slices.Clone(v.Items), func(i fitout.Item) bool { return gone[i.ID] })
	return edited, true
}}

// placedItem is a component as an item where there is room for it: a panel that is fixed on
// the roof, everything else beside the battery of its system, or in any space.
func placedItem(j *fitout.Job, c *fitout.Component, system string) fitout.Item {
	v := j.ChosenVariant()
	item := c.Item
	item.ID = freshID(c.ID, func(id string) bool {
		return slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.ID == id })
	})
	m := *c.Item.Module
	m.Cells, m.Fixings = slices.Clone(c.Item.Module.Cells), slices.Clone(c.Item.Module.Fixings)
	item.Module, item.Work = &m, fitout.WorkBuild
	p := plan.Of(j)
	s := scene.Of(p)
	beside, near := "", fitout.Point{}
	for i := range v.Electrics.Systems {
		if v.Electrics.Systems[i].ID == system {
			if k := p.Index(v.Electrics.Systems[i].Item); k >= 0 {
				beside, near = p.Items[k].Bay, p.Items[k].At
			}
		}
	}
	onRoof := c.Device.Source != nil && c.Device.Source.Kind == fitout.Solar && !c.Device.Source.Loose
	for _, first := range []bool{true, false} {
		for i := range s.Bays {
			bay := &s.Bays[i]
			wanted := bay.ID == beside || beside == "" && bay.Kind != fitout.BayRoof
			if onRoof {
				wanted = bay.Kind == fitout.BayRoof
			}
			if wanted != first || bay.Kind == fitout.BayRoof != onRoof {
				continue
			}
			if room, ok := scene.Remainder(bay, s.Parts, near, item.Size); ok {
				item.Bay = bay.ID
				item.At = fitout.Point{
					X: room.From.X + item.Size.Length/2, Y: room.From.Y + item.Size.Width/2, Z: room.From.Z + item.Size.Height/2,
				}
				item.At.X = j.Vehicle.Stored(item.At.X, item.Behind)
				return item
			}
		}
	}
	item.At = standsFree(p, item.Size, onRoof)
	item.At.X = j.Vehicle.Stored(item.At.X, item.Behind)
	return item
}

// standsFree is a place where nothing is measured: on the floor behind the cab, or on the
// roof, the first that nothing else takes; between the axles where all is taken.
func standsFree(p *plan.Plan, size fitout.Size, onRoof bool) fitout.Point {
	const step = 100.0
	o := &p.Vehicle.Outline
	floor, from := o.FloorHeight, max(o.CabRear, o.Headboard)+20
	if onRoof {
		floor, from = o.Height+20, o.CabFront
	}
	rear := p.Vehicle.Wheelbase + o.RearOverhang
	width := o.Width
	if width == 0 { // not said: what stands between the wheels is within the body
		width = max(p.Load.TrackFront, p.Load.TrackRear)
	}
	for z := floor; z < floor+1000; z += 3 * step {
		for x := from; x+size.Length <= rear; x += step {
			for y := -width / 2; y+size.Width <= width/2; y += step {
				at := fitout.Point{X: x + size.Length/2, Y: y + size.Width/2, Z: z + size.Height/2}
				trial := fitout.Item{At: at, Size: size}
				box := trial.Box()
				if !slices.ContainsFunc(p.Items, func(i fitout.Item) bool {
					by := box.Overlap(i.Box())
					return i.In == nil && min(by.X, by.Y, by.Z) > 0
				}) {
					return at
				}
			}
		}
	}
	return fitout.Point{X: p.Vehicle.Wheelbase / 2, Z: floor + size.Height/2}
}

// freshID is an id that nothing has yet: the wanted one, or with a number behind it.
func freshID(wanted string, taken func(string) bool) string {
	for n := 1; ; n++ {
		id := wanted
		if n > 1 {
			tail := fmt.Sprintf("-%d", n)
			id = wanted[:min(len(wanted), 64-len(tail))] + tail
		}
		if !taken(id) {
			return id
		}
	}
}

// driveHours makes every day that is driven longer.
var driveHours = electrics(func(e *fitout.Electrics, edit *fitout.FixEdit) bool {
	if edit.Value <= 0 || edit.Value > 24 {
		return false
	}
	power.AddDriving(e, edit.Value)
	return true
})

// loadLess leaves out a share of the hours of a load.
var loadLess = electrics(func(e *fitout.Electrics, edit *fitout.FixEdit) bool {
	k := slices.IndexFunc(e.Loads, func(l fitout.PowerLoad) bool { return l.ID == edit.ID })
	if k < 0 || edit.Value <= 0 || edit.Value > 1 {
		return false
	}
	e.Loads[k].Spans = power.Shorter(e.Loads[k].Spans, edit.Value)
	return true
})

// electrics makes an edit of the electrics of the chosen variant.
func electrics(change func(*fitout.Electrics, *fitout.FixEdit) bool) Kind {
	return Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		edited := withElectrics(j)
		done := change(&edited.ChosenVariant().Electrics, e)
		return edited, done
	}}
}
