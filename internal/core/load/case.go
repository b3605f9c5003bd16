package load

import "zaino/internal/core/fitout"

// Shown is the state shown; a switch that lacks what it requires is off in it.
func (p *Plan) Shown() State {
	s := p.asSet()
	p.settleRequirements(&s)
	return s
}

// asSet is the state shown as its switches are set.
func (p *Plan) asSet() State {
	s := State{Switches: map[string]bool{}, Choices: map[string]string{}, Levels: map[string]float64{}, TankFills: map[string]float64{}, Out: map[string]bool{}, At: map[string]fitout.Point{}, Coupled: p.Coupled()}
	for _, sw := range p.variant.Switches {
		s.Switches[sw.ID] = sw.On
	}
	for _, c := range p.variant.Choices {
		s.Choices[c.ID] = c.Chosen
	}
	for i := range p.variant.Items {
		if l := p.variant.Items[i].Presence.Level; p.variant.Items[i].Presence.Kind == fitout.ByLevel && l != nil {
			s.Levels[p.variant.Items[i].ID] = l.Now
		}
	}
	for _, tank := range p.vehicle.Tanks {
		s.TankFills[tank.ID] = tank.Now
	}
	return s
}

// Case is the state that a case sets, starting from the one shown. A level is kept
// within what its tank or vessel holds, and a switch is off without what it needs.
func (p *Plan) Case(c *fitout.Case) State {
	s := p.asSet()
	s.Coupled = c.Coupled && p.Trailer != nil
	for _, sw := range c.Switches {
		if _, known := s.Switches[sw.Switch]; known {
			s.Switches[sw.Switch] = sw.On
		}
	}
	for i := range c.Choices {
		if _, known := s.Choices[c.Choices[i].Choice]; known {
			s.Choices[c.Choices[i].Choice] = c.Choices[i].Member
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

// people puts those of a case onto its seats, or leaves them at home.
func (p *Plan) people(s *State, c *fitout.Case) {
	for _, person := range c.People {
		if !person.Aboard {
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
		for _, loose := range p.variant.Stances[i].Loose {
			p.lay(s, &loose)
		}
	}
}

func (p *Plan) lay(s *State, loose *fitout.LoosePlace) {
	from := p.item(loose.Item)
	if from == nil {
		return
	}
	for i := range p.variant.Items {
		item := &p.variant.Items[i]
		if !p.within(item, loose.Item) {
			continue
		}
		if loose.Outside {
			s.Out[item.ID] = true
			continue
		}
		s.At[item.ID] = fitout.Point{X: item.At.X + loose.At.X - from.At.X, Y: item.At.Y + loose.At.Y - from.At.Y, Z: item.At.Z + loose.At.Z - from.At.Z}
	}
}

// within tells whether an item is one or lies in it, however deep.
func (p *Plan) within(item *fitout.Item, id string) bool {
	for depth := 0; item != nil && depth <= len(p.variant.Items); depth++ {
		if item.ID == id {
			return true
		}
		if item.In == nil {
			return false
		}
		item = p.item(item.In.Module)
	}
	return false
}

func (p *Plan) item(id string) *fitout.Item {
	for i := range p.variant.Items {
		if p.variant.Items[i].ID == id {
			return &p.variant.Items[i]
		}
	}
	return nil
}

// fill sets a tank or vessel of a state to so many litres, or as far as it goes.
func (p *Plan) fill(s *State, id string, litres float64) {
	for i := range p.vehicle.Tanks {
		if t := &p.vehicle.Tanks[i]; t.ID == id {
			s.TankFills[id] = min(max(litres, t.Min), t.Capacity)
		}
	}
	for i := range p.variant.Items {
		if l := p.variant.Items[i].Presence.Level; p.variant.Items[i].ID == id && l != nil {
			s.Levels[id] = min(max(litres, l.Min), l.Max)
		}
	}
}

// settleRequirements switches off what lacks what it requires, until nothing
// changes any more.
func (p *Plan) settleRequirements(s *State) {
	for again := true; again; {
		again = false
		for _, sw := range p.variant.Switches {
			r := sw.Requires
			if r == nil || !s.Switches[sw.ID] {
				continue
			}
			if r.Switch != "" && !s.Switches[r.Switch] || r.Choice != "" && s.Choices[r.Choice] != r.Member {
				s.Switches[sw.ID], again = false, true
			}
		}
	}
}

// MomentsIn are the moments in a state, without trailer but with what rides on it.
func (p *Plan) MomentsIn(s *State) Moments {
	m := p.Unladen
	for i := range p.Tanks {
		tank := p.Tanks[i].Mass
		tank.Kg = s.TankFills[p.vehicle.Tanks[i].ID] * p.vehicle.Tanks[i].Density
		m = m.Add(tank)
	}
	for i := range p.Items {
		if thing, aboard := p.In(i, s); aboard {
			m = thing.onto(m, s.Coupled)
		}
	}
	return m
}

// Towed is what a coupled trailer adds to a form in a state.
func (p *Plan) Towed(f Form, s *State) float64 {
	if !s.Coupled || p.Trailer == nil {
		return 0
	}
	return f.Of(p.Towing.Moments(p.Wheelbase))
}

// Value is a form in a state.
func (p *Plan) Value(f Form, s *State) float64 { return f.Of(p.MomentsIn(s)) + p.Towed(f, s) }

// Fill is one step on the way from full to empty.
type Fill struct {
	Of     string  // id of the tank or vessel that is being used up
	Share  float64 // of it that is left, 1 to 0
	Litres float64 // of it that is left
	State  State
}

// UseUp is the way from everything full to everything empty: one tank or vessel
// after another in the order that the variant says, those not named last, as
// listed. gains are the ids of waste tanks, which take up what the others of
// loses lose. Each is looked at in quarters.
func (p *Plan) UseUp(gains, loses map[string]bool) []Fill {
	s := p.Shown()
	var order []string
	most, least := map[string]float64{}, map[string]float64{}
	add := func(id string, from, to float64) {
		if gains[id] {
			s.Levels[id] = from
			most[id] = to
			return
		}
		p.fill(&s, id, to)
		order, most[id], least[id] = append(order, id), to, from
	}
	for _, t := range p.vehicle.Tanks {
		add(t.ID, t.Min, t.Capacity)
	}
	for i := range p.variant.Items {
		if l := p.variant.Items[i].Presence.Level; p.variant.Items[i].Presence.Kind == fitout.ByLevel && l != nil {
			add(p.variant.Items[i].ID, l.Min, l.Max)
		}
	}
	order = p.inOrder(order)
	way := []Fill{{Share: 1, State: s.clone()}}
	const quarters = 4
	for _, id := range order {
		for q := 1; q <= quarters; q++ {
			litres := most[id] - (most[id]-least[id])*float64(q)/quarters
			before := s.Levels[id]
			p.fill(&s, id, litres)
			if loses[id] {
				p.gain(&s, gains, most, before-litres)
			}
			way = append(way, Fill{Of: id, Share: 1 - float64(q)/quarters, Litres: litres, State: s.clone()})
		}
	}
	return way
}

// gain puts used water into the waste tanks as far as they hold it.
func (p *Plan) gain(s *State, gains map[string]bool, most map[string]float64, litres float64) {
	for i := range p.variant.Items {
		id := p.variant.Items[i].ID
		if !gains[id] || litres <= 0 {
			continue
		}
		takes := min(litres, most[id]-s.Levels[id])
		s.Levels[id] += takes
		litres -= takes
	}
}

// inOrder puts ids into the order in which they are used up.
func (p *Plan) inOrder(ids []string) []string {
	var order []string
	has := func(list []string, id string) bool {
		for _, o := range list {
			if o == id {
				return true
			}
		}
		return false
	}
	for _, u := range p.variant.UsedUp {
		if has(ids, u.Of) && !has(order, u.Of) {
			order = append(order, u.Of)
		}
	}
	for _, id := range ids {
		if !has(order, id) {
			order = append(order, id)
		}
	}
	return order
}
