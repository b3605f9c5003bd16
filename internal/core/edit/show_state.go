package edit

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// ShowState sets everything that may vary in a job's chosen variant as one of its
// states says, named as limits.Table.StateAt names them, so that the state shown is that
// state: with its stance, and who sits where. Someone whose switch or choice says
// otherwise, or who has none, hangs on a switch of their own then.
func ShowState(j *fitout.Job, at string) (fitout.Job, error) {
	p := plan.Of(j)
	named, err := limits.Of(p).StateAt(at)
	if err != nil {
		return *j, err
	}
	state := &named.State
	shown := WithItems(j, func(i *fitout.Item) {
		if litres, varies := state.Levels[i.ID]; varies && i.Presence.Level != nil {
			level := *i.Presence.Level
			level.Now = litres
			i.Presence.Level = &level
		}
	})
	shown.Vehicle.Tanks = slices.Clone(j.Vehicle.Tanks)
	for i := range shown.Vehicle.Tanks {
		t := &shown.Vehicle.Tanks[i]
		t.Now = state.TankFills[t.ID]
	}
	v := shown.ChosenVariant()
	v.Stance = state.Stance
	v.Switches, v.Choices = slices.Clone(v.Switches), slices.Clone(v.Choices)
	for i := range v.Switches {
		v.Switches[i].On = state.Switches[v.Switches[i].ID]
	}
	for i := range v.Choices {
		v.Choices[i].Chosen = state.Choices[v.Choices[i].ID]
	}
	if c := caseOf(p, named.Case); c != nil {
		for _, person := range c.People {
			showPerson(&shown, &person, state)
		}
	}
	if j.Trailer != nil {
		trailer := *j.Trailer
		trailer.Coupled = state.Coupled
		shown.Trailer = &trailer
	}
	return shown, fitout.Validate(&shown)
}

func caseOf(p *plan.Plan, id string) *fitout.Case {
	for i := range p.Variant.Cases {
		if p.Variant.Cases[i].ID == id {
			return &p.Variant.Cases[i]
		}
	}
	return nil
}

// showPerson puts someone onto the seat that a case says, or leaves them at home.
func showPerson(j *fitout.Job, person *fitout.CasePerson, state *load.State) {
	v := j.ChosenVariant()
	k := slices.IndexFunc(v.Items, func(i fitout.Item) bool { return i.ID == person.Item })
	if k < 0 {
		return
	}
	item := &v.Items[k]
	if person.Seat != "" && slices.ContainsFunc(j.Vehicle.Seats, func(s fitout.Seat) bool { return s.ID == person.Seat }) {
		item.Seat = person.Seat
	}
	aboard := true
	switch item.Presence.Kind {
	case fitout.BySwitch:
		aboard = state.Switches[item.Presence.Switch]
	case fitout.ByChoice:
		aboard = state.Choices[item.Presence.Choice] == item.Presence.Member
	case fitout.ByLevel:
		return // nobody is a vessel
	}
	if aboard == person.Aboard {
		return
	}
	id := fmt.Sprintf("along-%.50s", item.ID)
	v.Switches = slices.DeleteFunc(v.Switches, func(sw fitout.Switch) bool { return sw.ID == id && !used(v, id, item.ID) })
	if slices.ContainsFunc(v.Switches, func(sw fitout.Switch) bool { return sw.ID == id }) {
		return
	}
	v.Switches = append(v.Switches, fitout.Switch{ID: id, Name: item.Name, On: person.Aboard})
	item.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: id}
}

// used tells whether anything but one item hangs on a switch.
func used(v *fitout.Variant, id, but string) bool {
	hangs := func(i fitout.Item) bool {
		return i.ID != but && i.Presence.Kind == fitout.BySwitch && i.Presence.Switch == id
	}
	needs := func(s fitout.Switch) bool { return s.Requires != nil && s.Requires.Switch == id }
	return slices.ContainsFunc(v.Items, hangs) || slices.ContainsFunc(v.Switches, needs)
}
