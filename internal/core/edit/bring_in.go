package edit

import (
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// BringIn brings what has a plug into the electrics: every part and thing aboard that is
// electrical by the catalogue, by its kind or by its watts, and the gear of the brief that
// has a plug. What is there already is left as it is. It tells the names of what came in.
func BringIn(j *fitout.Job, components []fitout.Component) (fitout.Job, []string) {
	edited := withElectrics(j)
	v := edited.ChosenVariant()
	e := &v.Electrics
	known := map[string]bool{}
	for _, named := range e.Named() {
		known[named.Item] = true
		known[named.ID] = true
	}
	came := []string{}
	// What stores first, so that what runs has something to hang on.
	for _, stores := range []bool{true, false} {
		for i := range v.Items {
			item := &v.Items[i]
			device := deviceOf(item, components)
			if known[item.ID] || device == nil || (device.System != nil) != stores {
				continue
			}
			Join(e, device, item.ID, item.Name, "")
			known[item.ID] = true
			came = append(came, item.Name)
		}
	}
	for _, g := range j.Brief.Gear {
		if g.Watts <= 0 || known[g.ID] || known["gear-"+g.ID] {
			continue
		}
		load := fitout.PowerLoad{Count: min(200, g.Count), Watts: g.Watts, Use: fitout.UseSpans, Electronic: true,
			Spans: []fitout.Span{{ID: "s1", From: 18, To: evening(g.Hours), Share: 1}}}
		if g.Mains {
			load.Inverter = byMains
		}
		item := ""
		if slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.ID == g.ID }) {
			item = g.ID
		}
		e.Loads = append(e.Loads, joinedLoad(e, load, "gear-"+g.ID[:min(len(g.ID), 59)], item, g.Name, mainSystem(e)))
		came = append(came, g.Name)
	}
	return edited, came
}

// loadOf says that a load under Power is a part, or adds one for it: as the component that it was, else by its kind.
var loadOf = Kind{Apply: func(j *fitout.Job, components []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	edited := withElectrics(j)
	v := edited.ChosenVariant()
	k := slices.IndexFunc(v.Items, func(i fitout.Item) bool { return i.ID == e.ID })
	if k < 0 {
		return *j, false
	}
	if e.With != "" {
		loads := v.Electrics.Loads
		l := slices.IndexFunc(loads, func(l fitout.PowerLoad) bool { return l.ID == e.With && l.Item == "" })
		if l < 0 {
			return *j, false
		}
		loads[l].Item = e.ID
		return edited, true
	}
	item := v.Items[k]
	device := deviceOf(&item, components)
	if device == nil || device.Load == nil {
		item.Component = ""
		device = deviceOf(&item, components)
	}
	if device == nil || device.Load == nil {
		return *j, false
	}
	Join(&v.Electrics, device, item.ID, item.Name, "")
	return edited, true
}}

// evening is when something ends that runs so many hours from six in the evening.
func evening(hours float64) float64 {
	if hours <= 0 {
		hours = 1
	}
	if hours >= 24 {
		return 18 - 1e-3
	}
	if end := 18 + hours; end <= 24 {
		return end
	}
	return hours - 6
}

// deviceOf is what an item is electrically: as the component that it was, else by its kind
// and what its name and its watts say; nil for what has no plug.
func deviceOf(i *fitout.Item, components []fitout.Component) *fitout.Device {
	if i.Form == fitout.FormPerson || i.Form == fitout.FormAnimal {
		return nil
	}
	if i.Component != "" {
		if k := slices.IndexFunc(components, func(c fitout.Component) bool { return c.ID == i.Component }); k >= 0 {
			return components[k].Device
		}
	}
	name := i.Name
	if i.Module != nil {
		switch i.Module.Kind {
		case fitout.BatteryBox:
			return &fitout.Device{System: batteryNamed(name)}
		case fitout.PowerStation:
			return stationNamed(name)
		case fitout.Board:
			return &fitout.Device{Panel: &fitout.SwitchPanel{Cutouts: []fitout.Cutout{}}}
		case fitout.FridgeSlide, fitout.UprightFridge:
			return &fitout.Device{Load: fridgeOf(i)}
		case fitout.Heater:
			return &fitout.Device{Load: runs(max(i.Module.Watts, 25), 19, 22)}
		}
		if i.Module.Watts > 0 {
			return &fitout.Device{Load: runs(i.Module.Watts, 18, 20)}
		}
	}
	switch {
	case words.Names(name, "solar"):
		watts, _ := figureNamed(name, "w")
		return &fitout.Device{Source: &fitout.PowerSource{Kind: fitout.Solar, Watts: orElse(watts, 160),
			Mount:  fitout.FlatPanel,
			Shades: []fitout.Shade{}, Spans: []fitout.Span{}}}
	case words.Names(name, "inverter"):
		watts, _ := figureNamed(name, "w")
		return &fitout.Device{Inverter: &fitout.Inverter{Watts: orElse(watts, 1000), Standby: 10}}
	}
	return nil
}

func runs(watts, from, to float64) *fitout.PowerLoad {
	return &fitout.PowerLoad{Count: 1, Watts: watts, Use: fitout.UseSpans,
		Spans: []fitout.Span{{ID: "s1", From: from, To: to, Share: 1}}}
}

// fridgeOf is what a fridge draws by its size: 12 W on the mean at 32 and 4 °C of a chest of
// 45 L outside 120 L, more as its outside grows. An estimate, until its sheet is entered.
func fridgeOf(i *fitout.Item) *fitout.PowerLoad {
	litres := i.Box().Litres()
	mean := max(8, min(30, 6+litres/20))
	return &fitout.PowerLoad{Count: 1, Watts: 3.5 * mean, Use: fitout.UseHeat, Electronic: true, Least: 10.7,
		Spans: []fitout.Span{}, Heat: &fitout.HeatUse{Mean: float64(int(mean)), At: 32, AtInner: 4, Inner: 4}}
}

func orElse(value, otherwise float64) float64 {
	if value > 0 {
		return value
	}
	return otherwise
}
