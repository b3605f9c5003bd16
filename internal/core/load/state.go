package load

import (
	"maps"

	"zaino/internal/core/fitout"
)

// State is one setting of everything that may vary.
type State struct {
	Value     float64                 // of what it was sought for
	Switches  map[string]bool         // on, by id of the switch
	Choices   map[string]string       // member, by id of the choice; empty for none
	Levels    map[string]float64      // litres, by id of the item
	TankFills map[string]float64      // litres, by id of the tank
	Out       map[string]bool         // left behind whatever else is set, by id of the item
	Along     map[string]bool         // comes along whatever its own switch or choice says, by id of the item
	At        map[string]fitout.Point // elsewhere than in the plan, by id of the item
	Stance    string                  // id of the stance that it is in; empty for the road
	Coupled   bool
}

func (s *State) clone() State {
	t := *s
	t.Switches, t.Choices = maps.Clone(s.Switches), maps.Clone(s.Choices)
	t.Levels, t.TankFills = maps.Clone(s.Levels), maps.Clone(s.TankFills)
	return t
}

// Shown is the state shown, in the stance in which loads are shown; a switch that lacks
// what it requires is off in it.
func (p *Plan) Shown() State {
	s := p.asSet()
	p.stance(&s, p.variant.Stance)
	p.settleRequirements(&s)
	return s
}

// asSet is the state shown as its switches are set.
func (p *Plan) asSet() State {
	s := State{
		Switches: map[string]bool{}, Choices: map[string]string{}, Levels: map[string]float64{},
		TankFills: map[string]float64{},
		Out:       map[string]bool{}, Along: map[string]bool{}, At: map[string]fitout.Point{}, Coupled: p.Coupled(),
	}
	for _, sw := range p.variant.Switches {
		s.Switches[sw.ID] = sw.On
	}
	for _, c := range p.variant.Choices {
		s.Choices[c.ID] = c.Chosen
	}
	for i := range p.variant.Items {
		if l := level(&p.variant.Items[i]); l != nil {
			s.Levels[p.variant.Items[i].ID] = l.Now
		}
	}
	for _, tank := range p.vehicle.Tanks {
		s.TankFills[tank.ID] = tank.Now
	}
	return s
}

// level is the content of an item that varies by level, or nil.
func level(item *fitout.Item) *fitout.Level {
	if item.Presence.Kind != fitout.ByLevel {
		return nil
	}
	return item.Presence.Level
}

// settleRequirements switches off what lacks what it requires, until nothing
// changes any more.
func (p *Plan) settleRequirements(s *State) {
	for again := true; again; {
		again = false
		for _, sw := range p.variant.Switches {
			if s.Switches[sw.ID] && !s.has(sw.Requires) {
				s.Switches[sw.ID], again = false, true
			}
		}
	}
}

// has tells whether a state has what a switch requires.
func (s *State) has(r *fitout.Require) bool {
	switch {
	case r == nil:
		return true
	case r.Switch != "":
		return s.Switches[r.Switch]
	}
	return s.Choices[r.Choice] == r.Member
}

// aboard tells whether an item is aboard in a state: it by its own presence, and
// every module that it lies in by theirs. What is kept for later is not left out.
func (p *Plan) aboard(i int, s *State) bool {
	return p.within(i, func(k int) bool {
		item := &p.variant.Items[k]
		switch {
		case s.Out[item.ID]:
			return false
		case s.Along[item.ID]:
			return true
		case item.Presence.Kind == fitout.BySwitch:
			return s.Switches[item.Presence.Switch]
		case item.Presence.Kind == fitout.ByChoice:
			return s.Choices[item.Presence.Choice] == item.Presence.Member
		}
		return true
	})
}

// onRoad is an item where it is on the road, whatever stance is shown.
func (p *Plan) onRoad(i int) Placed {
	thing := p.Items[i]
	thing.Mass = p.road[i]
	return thing
}

// In returns an item as it is in a state, and whether it is aboard.
func (p *Plan) In(i int, s *State) (Placed, bool) {
	item, thing := &p.variant.Items[i], p.onRoad(i)
	if !p.now(i) || !p.aboard(i, s) {
		return thing, false
	}
	if place, elsewhere := s.At[item.ID]; elsewhere && !thing.Trailer {
		thing.Mass = at(place, thing.Mass.Kg)
	}
	if l := level(item); l != nil {
		thing.setKg(p.own(i) + s.Levels[item.ID]*l.Density)
	}
	return thing, true
}

// Visit visits every carrier that is aboard in a state, with its moments: the empty
// vehicle, what is in the tanks, the items, and the trailer where it is coupled.
func (p *Plan) Visit(s *State, see func(c Carrier, m Moments)) {
	see(Carrier{Kind: EmptyVehicle}, p.Unladen)
	for i := range p.Tanks {
		tank := p.Tanks[i].Mass
		tank.Kg = s.TankFills[p.vehicle.Tanks[i].ID] * p.vehicle.Tanks[i].Density
		see(p.tank(i), Moments{}.Add(tank))
	}
	for i := range p.Items {
		if thing, aboard := p.In(i, s); aboard {
			see(p.Carrier(i), thing.onto(Moments{}, s.Coupled))
		}
	}
	if s.Coupled && p.Trailer != nil {
		see(Carrier{Kind: TheTrailer}, p.Towing.Moments(p.Wheelbase))
	}
}

// MomentsIn are the moments in a state, without trailer but with what rides on it.
func (p *Plan) MomentsIn(s *State) Moments {
	sum := Moments{}
	p.Visit(s, func(c Carrier, m Moments) {
		if c.Kind != TheTrailer {
			sum = sum.Plus(m)
		}
	})
	return sum
}

// Value is what a count comes to in a state.
func (p *Plan) Value(count Count, s *State) float64 {
	sum := 0.0
	p.Visit(s, func(c Carrier, m Moments) { sum += count(c, m) })
	return sum
}
