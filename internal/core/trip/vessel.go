package trip

import (
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
)

// Vessel is one tank or level item that comes along.
type Vessel struct {
	ID       string
	Name     string
	Tank     bool // of the vehicle; otherwise an item
	Holds    fitout.Contents
	Full     float64 // litres when it is full, with the room for expansion left free
	Capacity float64 // litres to the brim
	Unusable float64 // litres
	Now      float64 // litres in the state shown
	Min      float64 // least that it is driven with, litres
	Density  float64 // kg/L
	At       fitout.Point
	Said     *fitout.Vessel // what is said of it; never nil

	perLitre load.Moments
}

// Usable is what can be drawn of a full one, litres.
func (v *Vessel) Usable() float64 { return max(0, v.Full-v.Unusable) }

// vesselsOf are all tanks and level items that come along, in the order in which they are used
// up: those that the variant names first, then as they stand.
func vesselsOf(p *plan.Plan) []Vessel {
	said := map[string]*fitout.Vessel{}
	for i := range p.Variant.Plumbing.Vessels {
		v := &p.Variant.Plumbing.Vessels[i]
		said[v.Of] = v
	}
	var all []Vessel
	add := func(v Vessel) {
		if v.Said = said[v.ID]; v.Said == nil {
			v.Said = &fitout.Vessel{Of: v.ID}
		}
		if v.Said.Holds != fitout.HoldsByKind {
			v.Holds = v.Said.Holds
		}
		v.Full = v.Capacity * (1 - v.Said.Expansion)
		v.Unusable = min(v.Said.Unusable, v.Full)
		all = append(all, v)
	}
	for i := range p.Vehicle.Tanks {
		t := &p.Vehicle.Tanks[i]
		holds := fitout.HoldsOther
		if t.Kind == fitout.TankFuel {
			holds = fitout.HoldsFuel
		}
		add(
			Vessel{
				ID:       t.ID,
				Name:     t.Name,
				Tank:     true,
				Holds:    holds,
				Capacity: t.Capacity,
				Now:      t.Now,
				Min:      t.Min,
				Density:  t.Density,
				At:       t.At,
			},
		)
	}
	for i := range p.Variant.Items {
		item := &p.Variant.Items[i]
		if l := item.Presence.Level; item.Presence.Kind == fitout.ByLevel && l != nil && p.Load.Items[i].Present {
			add(
				Vessel{
					ID:       item.ID,
					Name:     item.Name,
					Holds:    byKind(item),
					Capacity: l.Max,
					Now:      l.Now,
					Min:      l.Min,
					Density:  l.Density,
					At:       item.At,
				},
			)
		}
	}
	order := map[string]int{}
	for i, first := range p.Variant.UsedUp {
		order[first.Of] = i + 1
	}
	slices.SortStableFunc(all, func(a, b Vessel) int {
		rank := func(v *Vessel) int {
			if at := order[v.ID]; at > 0 {
				return at
			}
			return len(order) + 1
		}
		return rank(&a) - rank(&b)
	})
	return all
}

// byKind is what a level item holds by what it is, or by what is in it. Fuel in a can may be for a stove
// or a generator: the engine burns it only where that is said.
func byKind(item *fitout.Item) fitout.Contents {
	if item.Substance == fitout.SubstanceGas {
		return fitout.HoldsGas
	}
	if item.Module == nil {
		if item.Substance == fitout.SubstanceWater {
			return fitout.HoldsDrinking
		}
		return fitout.HoldsOther
	}
	if item.Module.Kind == fitout.FuelTank {
		return fitout.HoldsFuel
	}
	switch traits := module.TraitsOf(item.Module.Kind); {
	case traits.Waste:
		return fitout.HoldsWaste
	case traits.Water || item.Substance == fitout.SubstanceWater:
		return fitout.HoldsDrinking
	}
	return fitout.HoldsOther
}

// Loads are what stands on the axles, kg.
type Loads struct {
	Front       float64 `json:"front" doc:"kg"`
	Rear        float64 `json:"rear" doc:"kg"`
	Gross       float64 `json:"gross" doc:"kg"`
	Combination float64 `json:"combination" doc:"with the trailer where it is on, kg"`
}

// scale tells the loads for any levels: everything is linear in them.
type scale struct {
	wheelbase float64
	bare      [2]load.Moments // with every vessel empty: without trailer, with it
	vessels   []Vessel
}

// weigh makes a scale, and fills in what a litre of each vessel puts where.
func weigh(p *plan.Plan, vessels []Vessel) *scale {
	s := &scale{wheelbase: p.Load.Wheelbase, vessels: vessels}
	state := p.Load.Shown()
	empty := func(coupled bool) load.Moments {
		bare := state
		bare.Coupled = coupled && p.Job.Trailer != nil
		bare.TankFills, bare.Levels = map[string]float64{}, map[string]float64{}
		for id, litres := range state.TankFills {
			bare.TankFills[id] = litres
		}
		for id, litres := range state.Levels {
			bare.Levels[id] = litres
		}
		for i := range vessels {
			if vessels[i].Tank {
				bare.TankFills[vessels[i].ID] = 0
			} else {
				bare.Levels[vessels[i].ID] = 0
			}
		}
		m := load.Moments{}
		p.Load.Visit(&bare, func(_ load.Carrier, own load.Moments) { m = m.Plus(own) })
		return m
	}
	s.bare = [2]load.Moments{empty(false), empty(true)}
	for i := range vessels {
		v := &vessels[i]
		item := p.Index(v.ID)
		one := load.Mass{Kg: v.Density, X: v.At.X, Y: v.At.Y, Z: v.At.Z}
		v.perLitre = load.Moments{}.Add(one)
		if v.Tank || item < 0 {
			continue
		}
		thing, aboard := p.Load.In(item, &state)
		switch {
		case !aboard:
			v.perLitre = load.Moments{}
		case thing.Trailer:
			v.perLitre = load.Moments{Towed: v.Density}
		default:
			one.X, one.Y, one.Z = thing.Mass.X, thing.Mass.Y, thing.Mass.Z
			v.perLitre = load.Moments{}.Add(one)
		}
	}
	return s
}

// at are the loads with so many litres in each vessel.
func (s *scale) at(levels []float64, coupled bool) Loads {
	m := s.bare[0]
	if coupled {
		m = s.bare[1]
	}
	for i := range s.vessels {
		own := s.vessels[i].perLitre
		if !coupled {
			own.Towed = 0
		}
		m = m.Plus(own.Times(levels[i]))
	}
	axles := m.Axles(s.wheelbase)
	return Loads{Front: axles.Front, Rear: axles.Rear, Gross: axles.Gross(), Combination: m.Kg + m.Towed}
}
