package offer

import (
	"fmt"
	"slices"

	"zaino/internal/core/fit/keeping"
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// lighter is what a kilogram less at a place does to the moments.
func lighter(at load.Mass, kg float64) load.Moments {
	at.Kg = -kg
	return load.Moments{}.Add(at)
}

// drains carry less in a tank or vessel, down to the least that is allowed. What makes
// less of water or fuel than the brief needs says so first.
func (s sheet) drains() []Change {
	var all []Change
	for i := range s.Vehicle.Tanks {
		t := &s.Vehicle.Tanks[i]
		per := Supplies{}
		if t.Kind == fitout.TankFuel {
			per.Fuel = 1
		}
		place := s.Load.Tanks[i].Mass
		place.Kg = 1
		all = append(all, s.drain(load.Carrier{Kind: load.OneTank, Index: i, Tank: t}, "tank-level", t.ID, t.Name,
			load.Moments{}.Add(place), t.Now, t.Min, t.Density, per))
	}
	for i := range s.Variant.Items {
		item := &s.Variant.Items[i]
		level := item.Presence.Level
		comes := s.Load.Items[i].Present && (!s.Load.Items[i].Trailer || s.Load.Coupled())
		if level == nil || item.Presence.Kind != fitout.ByLevel || !comes {
			continue
		}
		per := load.Moments{Towed: 1}
		if !s.Load.Items[i].Trailer {
			place := s.Load.Items[i].Mass
			place.Kg = 1
			per = load.Moments{}.Add(place)
		}
		all = append(all, s.drain(s.Load.Carrier(i), "item-level", item.ID, item.Name, per, level.Now, level.Min,
			level.Density, held(item, 1)))
	}
	return slices.DeleteFunc(all, func(c Change) bool { return c.Most <= 0 })
}

func (s sheet) drain(c load.Carrier, kind, id, name string, perKg load.Moments, now, least, density float64,
	perLitre Supplies) Change {
	per := perKg.Times(-density)
	axles := s.axles(per)
	return Change{
		Things: []string{id}, Most: now - least, Step: min(1, now-least), Effects: s.effects(c, per), Axles: axles,
		Effort: density,
		Can:    func(float64) bool { return true },
		Fix: func(litres float64) fitout.Fix {
			return fitout.Fix{
				Label: s.saying(fmt.Sprintf("Carry %s less in %s", s.Say.Volume(litres), words.Lower(name)),
					Supplies{perLitre.Water * litres, perLitre.Fuel * litres}),
				Edit:  fitout.FixEdit{Kind: kind, ID: id, Value: now - litres},
				Front: axles.Front * litres, Rear: axles.Rear * litres,
			}
		},
	}
}

// leavings switch something off that can stay behind, with all that needs it. Who comes
// along is not for a fix to say.
func (s sheet) leavings() []Change {
	var all []Change
	for _, sw := range s.Variant.Switches {
		if !s.Shown.Switches[sw.ID] || s.carriesPeople(sw.ID) {
			continue
		}
		without := s.Load.Without(&s.Shown, sw.ID)
		effects := make([]float64, len(s.table.All))
		sum, things := load.Moments{}, []string{"switch " + sw.ID}
		for i := range s.Load.Items {
			before, was := s.Load.In(i, &s.Shown)
			if _, is := s.Load.In(i, &without); !was || is {
				continue
			}
			gone := load.Moments{Towed: before.Towed}.Add(before.Mass).Times(-1)
			sum, things = sum.Plus(gone), append(things, s.Items[i].ID)
			for k, by := range s.effects(s.Load.Carrier(i), gone) {
				effects[k] += by
			}
		}
		if sum.Kg+sum.Towed == 0 {
			continue
		}
		all = append(all, s.whole(things, -sum.Kg-sum.Towed, effects, s.axles(sum), fitout.Fix{
			Label: s.saying("Leave "+words.Lower(sw.Name)+" behind", s.aboard.minus(suppliesIn(s.Plan, &without))),
			Edit:  fitout.FixEdit{Kind: "switch-off", ID: sw.ID},
		}))
	}
	return all
}

// carriesPeople tells whether someone stays at home when a switch is off.
func (s sheet) carriesPeople(id string) bool {
	without := s.Load.Without(&s.Shown, id)
	for i := range s.Variant.Items {
		if !plan.Traveller(&s.Variant.Items[i]) {
			continue
		}
		_, was := s.Load.In(i, &s.Shown)
		if _, is := s.Load.In(i, &without); was && !is {
			return true
		}
	}
	return false
}

// lighter builds a part of a lighter material: it weighs then what that makes it weigh.
// Its effort is the mass that is built anew.
func (s sheet) lighter() []Change {
	var all []Change
	for i := range s.Items {
		item := &s.Items[i]
		built := item.Module != nil && item.Module.Wall != fitout.NoMaterial && item.Module.Wall != fitout.FoamCore
		if !built || item.Locked || item.Work == fitout.WorkExisting || !s.Load.Items[i].Present || s.Load.Items[i].Trailer {
			continue
		}
		m, light := *item.Module, *item
		m.Wall, m.Panel = fitout.FoamCore, foamPanel
		light.Module = &m
		kg, _, ok := module.Mass(&light, s.Job.Build.Runners)
		saves := item.Mass - kg
		if !ok || saves < 1 || !s.holdsStill(&light) {
			continue
		}
		change := lighter(s.Load.Items[i].Mass, saves)
		all = append(all, s.whole([]string{item.ID}, 2*saves+item.Mass/2, s.effects(s.Load.Carrier(i), change),
			s.axles(change), fitout.Fix{
				Label: fmt.Sprintf("Build %s of foam-core, %s lighter", words.Lower(item.Name), s.Say.Mass(saves)),
				Edit:  fitout.FixEdit{Kind: "foam-core", ID: item.ID, Value: foamPanel},
			}))
	}
	return all
}

// holdsStill tells whether what lies in a part goes into it too with other walls.
func (s sheet) holdsStill(part *fitout.Item) bool {
	cells := module.Cells(part)
	return !slices.ContainsFunc(s.Items, func(i fitout.Item) bool {
		if i.In == nil || i.In.Module != part.ID {
			return false
		}
		k := slices.IndexFunc(cells, func(c module.Cell) bool { return c.ID == i.In.Cell })
		if k < 0 {
			return false
		}
		return len(keeping.TooLarge(i.Size, cells[k].Inside.Size())) > 0
	})
}

// foamPanel is the thickness of foam-core that a part is built of instead, mm.
const foamPanel = 15
