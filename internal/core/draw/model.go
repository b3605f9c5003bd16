package draw

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/shape"
)

// Form is a thing in the round, shut, with what of it can open and what is open.
type Form struct {
	ID, Name string
	Kind     Kind
	Work     fitout.Work
	Absent   bool           // not aboard in the state shown
	Lies     *fitout.InCell // the compartment that it lies in
	Open     []string       // compartments that are open
	Part     shape.Part
}

// Model is everything of a job in the round: in the stance of a wish (empty: on the road), with
// who stands before its focus.
func Model(p *plan.Plan, w *DrawingWish) []Form {
	s := SceneOf(p, w.Stance, nil)
	if somebody, ok := s.somebody(w); ok {
		somebody.form = shape.Part{ID: somebody.id, Still: somebody.solids}
		s.things = append(s.things, somebody)
	}
	all := make([]Form, len(s.things))
	for i := range s.things {
		t := &s.things[i]
		all[i] = Form{ID: t.id, Name: t.name, Kind: t.kind, Work: t.work, Absent: t.absent, Lies: t.lies, Open: t.open,
			Part: t.form}
	}
	return all
}
