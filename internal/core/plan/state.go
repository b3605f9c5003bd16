package plan

import (
	"fmt"
	"strings"

	"zaino/internal/core/load"
	"zaino/internal/core/words"
)

// State describes a state: how full the tanks are, what is aboard and what is left
// out.
func (p *Plan) State(state *load.State) string {
	with, without := p.fills(state), []string{}
	sort := func(on bool, name string) {
		if on {
			with = append(with, name)
		} else {
			without = append(without, name)
		}
	}
	for _, sw := range p.Variant.Switches {
		sort(state.Switches[sw.ID], words.Lower(sw.Name))
	}
	for _, c := range p.Variant.Choices {
		for _, m := range c.Members {
			if m.ID == state.Choices[c.ID] {
				with = append(with, words.Lower(m.Name))
			}
		}
		if state.Choices[c.ID] == "" {
			without = append(without, "any "+words.Lower(c.Name))
		}
	}
	for i := range p.Variant.Items {
		item := &p.Variant.Items[i]
		switch {
		case !Traveller(item):
		case state.Out[item.ID]:
			without = append(without, words.Lower(item.Name))
		case state.Along[item.ID] && !p.Load.Items[i].Present:
			with = append(with, words.Lower(item.Name))
		}
	}
	if p.Job.Trailer != nil {
		sort(state.Coupled, "the trailer")
	}
	text := strings.Join(with, ", ")
	if len(with) > 0 {
		text = "with " + text
	}
	for i := range p.Variant.Stances {
		if stance := &p.Variant.Stances[i]; stance.ID == state.Stance {
			text = strings.TrimSpace(fmt.Sprintf("in the stance “%s” %s", stance.Name, text))
		}
	}
	if len(without) > 0 {
		text = strings.TrimPrefix(text+"; without "+strings.Join(without, ", "), "; ")
	}
	if text == "" {
		return "in its only state"
	}
	return text
}

// fills say how full each tank and vessel is in a state.
func (p *Plan) fills(state *load.State) []string {
	var all []string
	for _, tank := range p.Vehicle.Tanks {
		all = append(all, p.Say.Filled(tank.Name, state.TankFills[tank.ID]))
	}
	for i := range p.Variant.Items {
		item := &p.Variant.Items[i]
		if litres, varies := state.Levels[item.ID]; varies {
			all = append(all, p.Say.Filled(item.Name, litres))
		}
	}
	return all
}
