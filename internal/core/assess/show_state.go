package assess

import (
	"fmt"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
)

// ShowState sets everything that may vary in a job's chosen variant as one of its
// states says, named as AccountOf names them. Someone who was always aboard and
// stays at home in a case hangs on a switch of their own then. The stance of a case
// is not a setting of the state shown, which is on the road.
func ShowState(j *fitout.Job, at string) (fitout.Job, error) {
	_, state, err := newSubject(j).stateAt(at)
	if err != nil {
		return *j, err
	}
	shown := withItems(j, func(i *fitout.Item) {
		if i.Presence.Kind == fitout.ByLevel && i.Presence.Level != nil {
			level := *i.Presence.Level
			level.Now = state.Levels[i.ID]
			i.Presence.Level = &level
		}
	})
	shown.Vehicle.Tanks = slices.Clone(j.Vehicle.Tanks)
	for i := range shown.Vehicle.Tanks {
		t := &shown.Vehicle.Tanks[i]
		t.Now = state.TankFills[t.ID]
	}
	v := shown.ChosenVariant()
	v.Switches, v.Choices = slices.Clone(v.Switches), slices.Clone(v.Choices)
	for i := range v.Switches {
		v.Switches[i].On = state.Switches[v.Switches[i].ID]
	}
	for i := range v.Choices {
		v.Choices[i].Chosen = state.Choices[v.Choices[i].ID]
	}
	id, isCase := strings.CutPrefix(at, "case:")
	for i := range v.Cases {
		for k := range v.Cases[i].People {
			if isCase && v.Cases[i].ID == id {
				showPerson(&shown, &v.Cases[i].People[k])
			}
		}
	}
	if j.Trailer != nil {
		trailer := *j.Trailer
		trailer.Coupled = state.Coupled
		shown.Trailer = &trailer
	}
	return shown, fitout.Validate(&shown)
}

// showPerson puts someone onto the seat that a case says, or leaves them at home.
func showPerson(j *fitout.Job, p *fitout.CasePerson) {
	v := j.ChosenVariant()
	k := slices.IndexFunc(v.Items, func(i fitout.Item) bool { return i.ID == p.Item })
	if k < 0 {
		return
	}
	item := &v.Items[k]
	if p.Seat != "" && slices.ContainsFunc(j.Vehicle.Seats, func(s fitout.Seat) bool { return s.ID == p.Seat }) {
		item.Seat = p.Seat
	}
	switch {
	case p.Aboard:
	case item.Presence.Kind == fitout.Always:
		id := fmt.Sprintf("along-%.50s", item.ID)
		v.Switches = slices.DeleteFunc(v.Switches, func(sw fitout.Switch) bool { return sw.ID == id }) // one that nobody hangs on any more
		v.Switches = append(v.Switches, fitout.Switch{ID: id, Name: item.Name})
		item.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: id}
	case item.Presence.Kind == fitout.BySwitch:
		for i := range v.Switches {
			if v.Switches[i].ID == item.Presence.Switch {
				v.Switches[i].On = false
			}
		}
	}
}
