package load

import "zaino/internal/core/fitout"

// Case is the state that a case sets, starting from the one shown. A level is kept
// within what its tank or vessel holds, and a switch is off without what it needs.
// Names of things that are gone are passed over: a choice that has lost the member
// of the case, or that does not allow none, stays as it is shown.
func (p *Plan) Case(c *fitout.Case) State {
	s := p.asSet()
	s.Coupled = c.Coupled && p.Trailer != nil
	for _, sw := range c.Switches {
		if _, known := s.Switches[sw.Switch]; known {
			s.Switches[sw.Switch] = sw.On
		}
	}
	for i := range p.variant.Choices {
		for _, set := range c.Choices {
			if choice := &p.variant.Choices[i]; choice.ID == set.Choice && allows(choice, set.Member) {
				s.Choices[choice.ID] = set.Member
			}
		}
	}
	for _, l := range c.Levels {
		p.fill(&s, l.Of, l.Litres)
	}
	p.people(&s, c)
	p.stance(&s, c.Stance)
	p.settleRequirements(&s)
	return s
}

// allows tells whether a choice can be set to a member, or to none for "".
func allows(c *fitout.Choice, member string) bool {
	if member == "" {
		return c.None
	}
	for _, m := range c.Members {
		if m.ID == member {
			return true
		}
	}
	return false
}

// people puts those of a case onto its seats, or leaves them at home. Who comes
// along does so without those who share a switch or a choice with them.
func (p *Plan) people(s *State, c *fitout.Case) {
	for _, person := range c.People {
		if p.index(person.Item) < 0 {
			continue
		}
		if person.Aboard {
			s.Along[person.Item] = true
		} else {
			s.Out[person.Item] = true
		}
		if seat := seatByID(p.vehicle, person.Seat); person.Seat != "" && seat != nil {
			s.At[person.Item] = seat.At
		}
	}
}

// stance lays what is loose, with all that lies in it, where it lies in a stance.
func (p *Plan) stance(s *State, id string) {
	for i := range p.variant.Stances {
		if p.variant.Stances[i].ID != id {
			continue
		}
		s.Stance = id
		if p.variant.Stances[i].Off {
			for off := range p.vehicle.Carrier.ComesOff(p.variant) {
				s.Out[off] = true
			}
		}
		for _, loose := range p.variant.Stances[i].Loose {
			p.lay(s, &loose)
		}
	}
}

func (p *Plan) lay(s *State, loose *fitout.LoosePlace) {
	k := p.index(loose.Item)
	if k < 0 {
		return
	}
	from := p.variant.Items[k].At
	for i := range p.variant.Items {
		item := &p.variant.Items[i]
		if p.within(i, func(holder int) bool { return holder != k }) {
			continue
		}
		if loose.Outside {
			s.Out[item.ID] = true
			continue
		}
		s.At[item.ID] = fitout.Point{
			X: item.At.X + loose.At.X - from.X, Y: item.At.Y + loose.At.Y - from.Y, Z: item.At.Z + loose.At.Z - from.Z,
		}
	}
}

// index is where an item stands in the variant, or −1.
func (p *Plan) index(id string) int {
	for i := range p.variant.Items {
		if p.variant.Items[i].ID == id {
			return i
		}
	}
	return -1
}

// fill sets a tank or vessel of a state to so many litres, or as far as it goes.
func (p *Plan) fill(s *State, id string, litres float64) {
	for i := range p.vehicle.Tanks {
		if t := &p.vehicle.Tanks[i]; t.ID == id {
			s.TankFills[id] = min(max(litres, t.Min), t.Capacity)
		}
	}
	for i := range p.variant.Items {
		if l := level(&p.variant.Items[i]); p.variant.Items[i].ID == id && l != nil {
			s.Levels[id] = min(max(litres, l.Min), l.Max)
		}
	}
}

// Without is a state with one switch off, and all that requires it.
func (p *Plan) Without(s *State, sw string) State {
	t := s.clone()
	t.Switches[sw] = false
	p.settleRequirements(&t)
	return t
}
