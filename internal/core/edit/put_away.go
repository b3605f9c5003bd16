package edit

import (
	"slices"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	modules "zaino/internal/core/module"
	"zaino/internal/core/plan"
)

// PutAway lays a thing into the compartment that suits it best: one that it goes
// into and that has room for it, the one that is then fullest, so that large
// rooms stay for large things. Fridges and crates take only what is laid there
// by hand. It refuses what goes nowhere.
func PutAway(j *fitout.Job, id string) (fitout.Job, error) {
	p := plan.Of(j)
	s := fit.Of(p)
	var thing *fitout.Item
	for i := range p.Items {
		if p.Items[i].ID == id {
			thing = &p.Items[i]
		}
	}
	if thing == nil || len(s.Cells[id]) > 0 {
		return *j, fitout.Problem{Path: "id", Given: id, Accepted: "the id of an item that has no compartments of its own"}
	}
	var best *fitout.InCell
	fullestYet := -1.0
	for i := range p.Items {
		holder := &p.Items[i]
		if holder.Module == nil || modules.Of(holder.Module.Kind).Shape == modules.Bought {
			continue
		}
		for _, f := range s.Cells[holder.ID] {
			c := f.Cell
			if over, _ := fit.TooLarge(thing.Size, c.Inside.Size()); over > 0 || f.Litres == 0 ||
				slices.ContainsFunc(f.Holds, func(h fit.Held) bool { return h.ID == id }) {
				continue
			}
			if filled := f.Filled + thing.Box().Litres()/f.Litres; filled <= fit.Fullest && filled > fullestYet {
				best, fullestYet = &fitout.InCell{Module: holder.ID, Cell: c.ID}, filled
			}
		}
	}
	if best == nil {
		return *j, fitout.Problem{Path: "id", Name: thing.Name, Given: "a thing of " + p.Say.Length(thing.Size.Length) +
			" × " + p.Say.Length(thing.Size.Width) + " × " + p.Say.Length(thing.Size.Height),
			Accepted: "one that goes into a compartment with room left; height decides first"}
	}
	return WithItems(j, func(i *fitout.Item) {
		if i.ID == id {
			i.In, i.Seat = best, ""
		}
	}), nil
}
