package load

// Worst returns the state in which a count is greatest, over every switch, choice,
// level, tank and the trailer, without trying them all: with the trailer on, and
// without it, the count is linear, so independent terms count where they add, a
// choice gives its best member, and what hangs together is settled together (see
// variety). What comes later or from others does not count yet.
func (p *Plan) Worst(count Count) State {
	worst := p.worst(count, false)
	if p.Trailer != nil {
		if towing := p.worst(count, true); towing.Value > worst.Value {
			return towing
		}
	}
	return worst
}

// WorstTowing is Worst over the states in which the trailer is coupled.
func (p *Plan) WorstTowing(count Count) State { return p.worst(count, p.Trailer != nil) }

func (p *Plan) worst(count Count, coupled bool) State {
	s := State{
		Switches: map[string]bool{}, Choices: map[string]string{},
		Levels: map[string]float64{}, TankFills: map[string]float64{}, Coupled: coupled,
	}
	s.Value = count(Carrier{Kind: EmptyVehicle}, p.Unladen)
	if coupled {
		s.Value += count(Carrier{Kind: TheTrailer}, p.Towing.Moments(p.Wheelbase))
	}
	for i := range p.vehicle.Tanks {
		tank := &p.vehicle.Tanks[i]
		content := vessel{carrier: p.tank(i), thing: p.Tanks[i], least: tank.Min, most: tank.Capacity, density: tank.Density}
		litres, value := content.best(count, coupled)
		s.TankFills[tank.ID] = litres
		s.Value += value
	}
	worth := make([]float64, len(p.variety.terms))
	for k, t := range p.variety.terms {
		for _, i := range t.items {
			item, thing := &p.variant.Items[i], p.onRoad(i)
			l := level(item)
			if l == nil {
				worth[k] += count(p.Carrier(i), thing.onto(Moments{}, coupled))
				continue
			}
			content := vessel{p.Carrier(i), thing, item.Mass, l.Min, l.Max, l.Density}
			litres, value := content.best(count, coupled)
			s.Levels[item.ID] = litres
			worth[k] += value
		}
	}
	value, set := p.variety.best(worth, p.requires())
	s.Value += value
	for i, x := range p.variety.variables {
		if x.choice {
			s.Choices[x.id] = x.values[set[i]]
		} else {
			s.Switches[x.id] = set[i] == on
		}
	}
	return s
}

// requires is the setting that each switch requires, by the index of the switch.
func (p *Plan) requires() map[int]setting {
	all := map[int]setting{}
	for i := range p.variant.Switches {
		if r := p.variant.Switches[i].Requires; r != nil {
			if needs, known := p.variety.named(r.Switch, r.Choice, r.Member); known {
				all[i] = needs
			}
		}
	}
	return all
}

// vessel is a tank or vessel that may be filled between two marks.
type vessel struct {
	carrier     Carrier
	thing       Placed
	empty       float64 // its own mass, kg
	least, most float64 // litres
	density     float64 // kg/L
}

// best is the fill at which a count is greater, and what vessel and content count
// then.
func (v vessel) best(count Count, coupled bool) (litres, value float64) {
	v.thing.setKg(1)
	perKg := count(v.carrier, v.thing.onto(Moments{}, coupled))
	litres = v.least
	if perKg > 0 {
		litres = v.most
	}
	return litres, perKg * (v.empty + litres*v.density)
}
