package edit

import (
	"zaino/internal/core/fit/keeping"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
)

// PutAway lays a thing into the compartment that suits it best: one that it goes
// into and that has room for it, the one that is then fullest, so that large
// rooms stay for large things. Fridges and crates take only what is laid there
// by hand. It refuses what goes nowhere.
func PutAway(j *fitout.Job, id string) (fitout.Job, error) {
	p := plan.Of(j)
	s := scene.Of(p)
	k := p.Index(id)
	if k < 0 || len(s.Cells[id]) > 0 {
		return *j, fitout.Problem{
			Path:     "id",
			Given:    id,
			Accepted: "the id of an item that has no compartments of its own",
		}
	}
	thing, best := &p.Items[k], keeping.PlaceFor(s, p, id)
	if best == nil {
		return *j, fitout.Problem{
			Path: "id",
			Name: thing.Name,
			Given: "a thing of " + p.Say.Length(thing.Size.Length) +
				" × " + p.Say.Length(thing.Size.Width) + " × " + p.Say.Length(thing.Size.Height),
			Accepted: "one that goes into a compartment with room left; height decides first",
		}
	}
	return WithItems(j, func(i *fitout.Item) {
		if i.ID == id {
			i.In, i.Seat = best, ""
		}
	}), nil
}

// putAway is PutAway as a fix.
var putAway = elsewhere(Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	put, err := PutAway(j, e.ID)
	return put, err == nil
}})
