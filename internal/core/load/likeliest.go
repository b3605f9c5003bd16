package load

import (
	"math"

	"zaino/internal/core/fitout"
)

// Likeliest looks for the state in which a limit is most likely exceeded, which is
// not always the one with the greatest load: it starts from that and changes one
// thing after another as long as that makes it likelier.
func (p *Plan) Likeliest(count Count, limit float64, b Baseline, u *fitout.Uncertainty) (State, float64) {
	state := p.Worst(count)
	far := func(s *State) float64 { // how many σ the limit is away; least is likeliest
		sigma := Sigma(count, p.Errors(b, u, s))
		if sigma == 0 {
			return math.Inf(1)
		}
		return (limit - p.Value(count, s)) / sigma
	}
	best := far(&state)
	for again := true; again; {
		again = false
		for _, trial := range p.neighbours(&state) {
			if z := far(&trial); z < best-1e-9 {
				best, state, again = z, trial, true
			}
		}
	}
	state.Value = p.Value(count, &state)
	return state, 0.5 * math.Erfc(best/math.Sqrt2)
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
