package load

import "zaino/internal/core/fitout"

// State is one setting of everything that may vary.
type State struct {
	Value     float64           // of the form that it was sought for
	Switches  map[string]bool   // on, by id of the switch
	Choices   map[string]string // member, by id of the choice; empty for none
	Levels    map[string]float64
	TankFills map[string]float64      // litres, by id of the tank
	Out       map[string]bool         // left behind whatever else is set, by id of the item
	At        map[string]fitout.Point // elsewhere than in the plan, by id of the item
	Stance    string                  // id of the stance that it is in; empty for the road
	Coupled   bool
}

// Worst returns the state in which a form is greatest, over every switch,
// choice, level, tank and the trailer, without trying them all: with the trailer
// on, and without it, the form is linear, so independent terms count where they
// add, a choice gives its best member, and each tree of requirements is maximised
// from its leaves up. What comes later or from others does not count yet.
func (p *Plan) Worst(f Form) State {
	worst := p.worst(f, false)
	if p.Trailer != nil {
		if towing := p.worst(f, true); towing.Value > worst.Value {
			return towing
		}
	}
	return worst
}

func (p *Plan) worst(f Form, coupled bool) State {
	w := newWorst(p, f, coupled)
	value := f.Of(p.Unladen) + w.always
	for i := range p.vehicle.Tanks {
		tank := &p.vehicle.Tanks[i]
		litres, gain := w.level(p.Tanks[i], 0, tank.Min, tank.Capacity, tank.Density)
		w.state.TankFills[tank.ID] = litres
		value += gain
	}
	for i := range p.variant.Items {
		item := &p.variant.Items[i]
		if l := item.Presence.Level; item.Presence.Kind == fitout.ByLevel && l != nil && item.Work.Now() {
			litres, gain := w.level(p.Items[i], item.Mass, l.Min, l.Max, l.Density)
			w.state.Levels[item.ID] = litres
			value += gain
		}
	}
	for i := range p.variant.Switches {
		if s := &p.variant.Switches[i]; s.Requires == nil {
			value += w.settle(s.ID, true)
		}
	}
	for i := range p.variant.Choices {
		value += w.choose(&p.variant.Choices[i])
	}
	w.state.Value = value + p.Towed(f, &w.state)
	return w.state
}

// member names a member of a choice.
type member struct{ choice, id string }

// worst is the work of one Worst: what each switch and member brings to the
// form by itself, and which switches hang on it.
type worst struct {
	form      Form
	coupled   bool
	always    float64
	own       map[string]float64
	ownMember map[member]float64
	below     map[string][]string
	belowOf   map[member][]string
	state     State
}

func newWorst(p *Plan, f Form, coupled bool) *worst {
	w := &worst{
		form: f, coupled: coupled, own: map[string]float64{}, ownMember: map[member]float64{},
		below: map[string][]string{}, belowOf: map[member][]string{},
		state: State{
			Switches: map[string]bool{}, Choices: map[string]string{},
			Levels: map[string]float64{}, TankFills: map[string]float64{}, Coupled: coupled,
		},
	}
	for i := range p.variant.Items {
		if !p.variant.Items[i].Work.Now() {
			continue
		}
		value := f.Of(p.Items[i].onto(Moments{}, coupled))
		switch presence := p.variant.Items[i].Presence; presence.Kind {
		case fitout.BySwitch:
			w.own[presence.Switch] += value
		case fitout.ByChoice:
			w.ownMember[member{presence.Choice, presence.Member}] += value
		case fitout.Always:
			w.always += value
		}
	}
	for _, s := range p.variant.Switches {
		switch r := s.Requires; {
		case r == nil:
		case r.Switch != "":
			w.below[r.Switch] = append(w.below[r.Switch], s.ID)
		default:
			m := member{r.Choice, r.Member}
			w.belowOf[m] = append(w.belowOf[m], s.ID)
		}
	}
	return w
}

// level returns the fill between least and most where the form is greater, and
// the form's value of vessel and content.
func (w *worst) level(thing Placed, vessel, least, most, density float64) (litres, value float64) {
	thing.setKg(1)
	perKg := w.form.Of(thing.onto(Moments{}, w.coupled))
	litres = least
	if perKg > 0 {
		litres = most
	}
	return litres, perKg * (vessel + litres*density)
}

// best is the most that a switch and all that hangs on it can bring; 0 where
// it is better off.
func (w *worst) best(id string) float64 {
	return max(0, w.own[id]+w.bestOf(w.below[id]))
}

func (w *worst) bestOf(ids []string) float64 {
	sum := 0.0
	for _, id := range ids {
		sum += w.best(id)
	}
	return sum
}

// settle writes the best setting of a switch and of all below it into the
// state and returns its value. A switch whose parent is off is off.
func (w *worst) settle(id string, possible bool) float64 {
	value := w.best(id)
	on := possible && value > 0
	w.state.Switches[id] = on
	for _, below := range w.below[id] {
		w.settle(below, on)
	}
	if !on {
		return 0
	}
	return value
}

// choose writes the best member of a choice into the state and returns its value.
func (w *worst) choose(c *fitout.Choice) float64 {
	best, chosen := 0.0, ""
	first := !c.None
	for _, m := range c.Members {
		key := member{c.ID, m.ID}
		value := w.ownMember[key] + w.bestOf(w.belowOf[key])
		if first || value > best {
			best, chosen, first = value, m.ID, false
		}
	}
	w.state.Choices[c.ID] = chosen
	for _, m := range c.Members {
		for _, id := range w.belowOf[member{c.ID, m.ID}] {
			w.settle(id, m.ID == chosen)
		}
	}
	return best
}
