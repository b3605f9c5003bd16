package keeping

import (
	"slices"

	"zaino/internal/core/fit/clearance"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// PlaceFor is the compartment that suits a thing best: one that it goes into and that has room for it, the one
// that is then fullest, so that large rooms stay for large things; nil where there is none. Fridges and crates
// take only what is laid there by hand.
func PlaceFor(s *scene.Scene, p *plan.Plan, id string) *fitout.InCell {
	k := p.Index(id)
	if k < 0 || len(s.Cells[id]) > 0 {
		return nil
	}
	thing := &p.Items[k]
	var best *fitout.InCell
	fullestYet := -1.0
	for i := range p.Items {
		holder := &p.Items[i]
		if holder.Module == nil || module.Of(holder.Module.Kind).Shape == module.Bought ||
			!clearance.PassesDoor(s, thing.Size, holder.ID) {
			continue
		}
		for _, f := range s.Cells[holder.ID] {
			c := f.Cell
			if len(TooLarge(thing.Size, c.Inside.Size())) > 0 || f.Litres == 0 ||
				slices.ContainsFunc(f.Holds, func(h scene.Held) bool { return h.ID == id }) {
				continue
			}
			if filled := f.Filled + thing.Box().Litres()/f.Litres; filled <= Fullest && filled > fullestYet {
				best, fullestYet = &fitout.InCell{Module: holder.ID, Cell: c.ID}, filled
			}
		}
	}
	return best
}

// PutOutOfSight offers to lay what is in sight, or where people are, into a compartment: one away from people for
// what belongs away from them.
func PutOutOfSight(s *scene.Scene, p *plan.Plan, f *fitout.Finding) []fitout.Fix {
	fixes := putAway(s, p, f.Subject.ID)
	if fixes == nil || f.Rule != "needs-away" {
		return fixes
	}
	if holder := s.Part(PlaceFor(s, p, f.Subject.ID).Module); holder == nil || s.BayOf(holder) == nil ||
		s.BayOf(holder).Shared {
		return nil
	}
	return fixes
}

// PutAway offers to lay gear where it fits; nothing where it fits nowhere, and nothing for what is built in.
func PutAway(p *plan.Plan, id string) []fitout.Fix {
	k := p.Index(id)
	if k < 0 || p.Items[k].Module != nil && p.Items[k].Module.Kind != fitout.PlainGear {
		return nil
	}
	return putAway(scene.Of(p), p, id)
}

// putAway offers to lay a thing where it fits; nothing where it fits nowhere.
func putAway(s *scene.Scene, p *plan.Plan, id string) []fitout.Fix {
	to := PlaceFor(s, p, id)
	if to == nil {
		return nil
	}
	return []fitout.Fix{
		scene.Edit("Put "+words.Lower(p.Name(id))+" into "+words.Lower(p.Name(to.Module)), "put-away", id, 0),
	}
}
