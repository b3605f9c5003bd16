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

// Worst returns the state in which a form is greatest.
func (p *Plan) Worst(f Form) State {
	return p.WorstBy(func(_ Of, m Moments) float64 { return f.Of(m) })
}

// Of is whose moments are counted: an item or a tank by its index, or the empty
// vehicle or the trailer for −1.
type Of struct{ Item, Tank int }

// Count is the value of moments; it has to be linear in them for any one of those
// whose they are.
type Count func(of Of, m Moments) float64

// WorstBy returns the state in which a count is greatest, over every switch,
// choice, level, tank and the trailer, without trying them all: with the trailer
// on, and without it, the count is linear, so independent terms count where they
// add, a choice gives its best member, and each tree of requirements is maximised
// from its leaves up. What comes later or from others does not count yet.
func (p *Plan) WorstBy(count Count) State {
	worst := p.worst(count, false)
	if p.Trailer != nil {
		if towing := p.worst(count, true); towing.Value > worst.Value {
			return towing
		}
	}
	return worst
}

// neither is the empty vehicle, or the trailer.
var neither = Of{-1, -1}

func (p *Plan) worst(count Count, coupled bool) State {
	w := newWorst(p, count, coupled)
	value := count(neither, p.Unladen) + w.always
	if coupled {
		value += count(neither, p.Towing.Moments(p.Wheelbase))
	}
	for i := range p.vehicle.Tanks {
		tank := &p.vehicle.Tanks[i]
		litres, gain := w.level(Of{-1, i}, p.Tanks[i], 0, tank.Min, tank.Capacity, tank.Density)
		w.state.TankFills[tank.ID] = litres
		value += gain
	}
	for i := range p.variant.Items {
		item := &p.variant.Items[i]
		if l := item.Presence.Level; item.Presence.Kind == fitout.ByLevel && l != nil && item.Work.Now() {
			litres, gain := w.level(Of{i, -1}, p.Items[i], item.Mass, l.Min, l.Max, l.Density)
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
	w.state.Value = value
	return w.state
}

// member names a member of a choice.
type member struct{ choice, id string }

// worst is the work of one WorstBy: what each switch and member brings to the
// count by itself, and which switches hang on it.
type worst struct {
	count     Count
	coupled   bool
	always    float64
	own       map[string]float64
	ownMember map[member]float64
	below     map[string][]string
	belowOf   map[member][]string
	state     State
}

func newWorst(p *Plan, count Count, coupled bool) *worst {
	w := &worst{
		count: count, coupled: coupled, own: map[string]float64{}, ownMember: map[member]float64{},
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
		value := count(Of{i, -1}, p.Items[i].onto(Moments{}, coupled))
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

// level returns the fill between least and most where the count is greater, and
// its value of vessel and content.
func (w *worst) level(of Of, thing Placed, vessel, least, most, density float64) (litres, value float64) {
	thing.setKg(1)
	perKg := w.count(of, thing.onto(Moments{}, w.coupled))
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
