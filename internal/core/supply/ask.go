package supply

import (
	"context"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
)

// SupplyAnswer is what was found.
type SupplyAnswer struct {
	Sets  []SupplySet `json:"sets" doc:"the least of each battery that last, the least first"`
	Worse []SupplySet `json:"worse" doc:"the least that lasts under an overcast sky too; empty where none does"`
	Of    int         `json:"of" doc:"sets that were thought of"`
	Tried int         `json:"tried" doc:"runs of the days that it took"`
	None  string      `json:"none" doc:"said where none lasts; empty otherwise"`
}

// mostSets is how many sets are told.
const mostSets = 5

// Ask looks for the least sets of components that last the days of a plan, and what it takes
// to be safe in bad weather too.
func Ask(ctx context.Context, p *plan.Plan, components []fitout.Component, w *Wish,
	progress func(float64)) (SupplyAnswer, error) {
	a := SupplyAnswer{Sets: []SupplySet{}, Worse: []SupplySet{}}
	s, err := NewSearch(p, Of(components, w), w)
	if err != nil {
		return a, err
	}
	a.Of = len(s.All())
	a.Sets = s.Best(ctx, power.AsPlanned, mostSets, func(share float64) { progress(share / 2) })
	a.Worse = s.Best(ctx, Overcast, 1, func(share float64) { progress(0.5 + share/2) })
	a.Tried = s.Tried
	for _, sets := range [][]SupplySet{a.Sets, a.Worse} {
		for i := range sets {
			s.place(&sets[i], components)
		}
	}
	if len(a.Sets) == 0 && ctx.Err() == nil {
		a.None = "No set of the catalogue lasts these days with that reserve. Use less, drive more, allow more panels, or " +
			"fewer nights."
	}
	return a, nil
}

// place says what puts a set into the job, and what it does to the axles.
func (s *Search) place(set *SupplySet, components []fitout.Component) {
	system := s.base.Systems[s.system].ID
	edits := []fitout.FixEdit{{Kind: "clear-supply", ID: system}}
	set.Changes = []fitout.Fix{{Label: "Take out what charges it now", Edit: edits[0]}}
	for _, part := range set.Parts {
		for range part.Count {
			e := fitout.FixEdit{Kind: "equip", ID: system, With: part.Component}
			edits = append(edits, e)
			set.Changes = append(set.Changes, fitout.Fix{Label: part.Name, Edit: e})
		}
	}
	if changed, err := edit.Apply(s.plan.Given, components, edits); err == nil {
		before, after := s.plan.Load.Axles(), plan.Of(&changed).Load.Axles()
		set.Front, set.Rear = after.Front-before.Front, after.Rear-before.Rear
	}
}
