package load

import (
	"math"

	"zaino/internal/core/fitout"
)

// Likeliest looks for the state in which a limit is most likely exceeded, which is not always the one with the
// greatest load: from that, and from the one shown, it changes one setting after another as long as that makes
// it likelier, and two at a time where one alone does not.
func (p *Plan) Likeliest(count Count, limit float64, b Baseline, u *fitout.Uncertainty) (State, float64) {
	sigmaIn := p.sigmaOf(count, b, u)
	far := func(s *State) float64 { // how many σ the limit is away; least is likeliest
		sigma := sigmaIn(s)
		if sigma == 0 {
			return math.Inf(1)
		}
		return (limit - p.Value(count, s)) / sigma
	}
	state, best := p.Worst(count), math.Inf(1)
	for _, from := range []State{state, p.Shown()} {
		if at, z := p.climb(from, far); z < best {
			state, best = at, z
		}
	}
	state.Value = p.Value(count, &state)
	return state, 0.5 * math.Erfc(best/math.Sqrt2)
}

// climb goes from a state to the best that one change, or two together, lead to, as long as any does.
func (p *Plan) climb(state State, far func(*State) float64) (State, float64) {
	best := far(&state)
	better := func(all []State) bool {
		found := false
		for i := range all {
			if z := far(&all[i]); z < best-1e-9 {
				best, state, found = z, all[i], true
			}
		}
		return found
	}
	for {
		one := p.neighbours(&state)
		if better(one) {
			continue
		}
		found := false
		for i := range one {
			if found = better(p.neighbours(&one[i])); found {
				break
			}
		}
		if !found {
			return state, best
		}
	}
}

// neighbours are the states that differ in one setting and keep all requirements.
func (p *Plan) neighbours(s *State) []State {
	var all []State
	add := func(change func(t *State)) {
		t := s.clone()
		change(&t)
		if p.keeps(&t) {
			all = append(all, t)
		}
	}
	for i := range p.variant.Switches {
		id := p.variant.Switches[i].ID
		add(func(t *State) { t.Switches[id] = !t.Switches[id] })
	}
	for i := range p.variant.Choices {
		c := &p.variant.Choices[i]
		for _, m := range c.Members {
			add(func(t *State) { t.Choices[c.ID] = m.ID })
		}
		if c.None {
			add(func(t *State) { t.Choices[c.ID] = "" })
		}
	}
	for i := range p.variant.Items {
		if l := level(&p.variant.Items[i]); l != nil {
			id := p.variant.Items[i].ID
			add(func(t *State) { t.Levels[id] = l.Min })
			add(func(t *State) { t.Levels[id] = l.Max })
		}
	}
	for i := range p.vehicle.Tanks {
		tank := &p.vehicle.Tanks[i]
		add(func(t *State) { t.TankFills[tank.ID] = tank.Min })
		add(func(t *State) { t.TankFills[tank.ID] = tank.Capacity })
	}
	return all
}

// keeps tells whether every switch that is on has what it requires.
func (p *Plan) keeps(s *State) bool {
	for _, sw := range p.variant.Switches {
		if s.Switches[sw.ID] && !s.has(sw.Requires) {
			return false
		}
	}
	return true
}
