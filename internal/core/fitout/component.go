package fitout

import (
	"reflect"
	"strings"
)

// Component is a part to place on the bench: an item without a place, of the
// generic catalogue or of the workshop's own. A built one has no mass of its
// own; its construction gives it.
type Component struct {
	ID   string `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Why  string `json:"why" maxLength:"400" doc:"where its mass comes from"`
	Own  bool   `json:"own" doc:"added by this workshop"`
	Item Item   `json:"item"`

	Device *Device `json:"device,omitempty" doc:"what it is electrically"`
}

// Loosen takes off what ties the item of a component to the job that it came
// from: place, bay, seat, compartment, switch and choice.
func (c *Component) Loosen() {
	i := &c.Item
	i.At, i.Bay, i.Seat, i.In, i.Behind, i.Locked, i.Work = Point{}, "", "", nil, false, false, WorkBuild
	if i.Presence.Kind != ByLevel {
		i.Presence = Presence{Kind: Always}
	}
}

// Fill makes missing lists empty, as Decode does for a job.
func (c *Component) Fill() {
	fillLists(reflect.ValueOf(c).Elem())
	if c.Item.Substance == SubstanceNotSaid {
		c.Item.Substance = ProposedSubstance(c.Item.Name, "")
	}
}

// CheckComponent holds a component against the rules of the document. It returns
// nil or Problems, with the paths of its item.
func CheckComponent(c *Component) error {
	trial := NewJob("trial", "trial", AustraliaNZ)
	trial.Variants[0].Items = []Item{c.Item}
	if c.Device != nil {
		trial.Variants[0].Electrics.Take(c.Device)
	}
	v := validator{}
	v.pattern(c)
	if c.Item.Module == nil {
		v.refuse("item.module", c.Item.Name, "nothing", "a part with a module")
	}
	var problems Problems
	if err, ok := Validate(&trial).(Problems); ok {
		problems = err
	}
	for _, p := range problems {
		if path, ok := strings.CutPrefix(p.Path, "variants[0].electrics"); ok {
			p.Path = "device" + path
		} else {
			p.Path = "item" + p.Path[len("variants[0].items[0]"):]
		}
		v.problems = append(v.problems, p)
	}
	if len(v.problems) == 0 {
		return nil
	}
	return v.problems
}

func (v *validator) pattern(c *Component) {
	for _, r := range c.ID {
		if !(r >= 'a' && r <= 'z' || r >= 'A' && r <= 'Z' || r >= '0' && r <= '9' || r == '-' || r == '_') {
			v.refuse("id", c.Item.Name, shown(c.ID), "an id of 1 to 64 letters, digits, - or _")
			return
		}
	}
	if c.ID == "" || len(c.ID) > 64 {
		v.refuse("id", c.Item.Name, shown(c.ID), "an id of 1 to 64 letters, digits, - or _")
	}
}
