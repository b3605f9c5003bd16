package load

import (
	"math"

	"zaino/internal/core/fitout"
)

// Likeliest looks for the state in which a limit is most likely exceeded, which is
// not always the one with the greatest load: it starts from that and changes one
// thing after another as long as that makes it likelier.
func (p *Plan) Likeliest(f Form, limit float64, b Baseline, u *fitout.Uncertainty) (State, float64) {
	state := p.Worst(f)
	far := func(s *State) float64 { // how many σ the limit is away; least is likeliest
		sigma := Sigma(f, p.Errors(b, u, s))
		if sigma == 0 {
			return math.Inf(1)
		}
		return (limit - p.Value(f, s)) / sigma
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
	state.Value = p.Value(f, &state)
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
		if l := p.variant.Items[i].Presence.Level; l != nil && p.variant.Items[i].Presence.Kind == fitout.ByLevel {
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
		if r := sw.Requires; s.Switches[sw.ID] && r != nil {
			if r.Switch != "" && !s.Switches[r.Switch] || r.Choice != "" && s.Choices[r.Choice] != r.Member {
				return false
			}
		}
	}
	return true
}

func (s *State) clone() State {
	t := *s
	t.Switches, t.Choices = map[string]bool{}, map[string]string{}
	t.Levels, t.TankFills = map[string]float64{}, map[string]float64{}
	for k, v := range s.Switches {
		t.Switches[k] = v
	}
	for k, v := range s.Choices {
		t.Choices[k] = v
	}
	for k, v := range s.Levels {
		t.Levels[k] = v
	}
	for k, v := range s.TankFills {
		t.TankFills[k] = v
	}
	return t
}
