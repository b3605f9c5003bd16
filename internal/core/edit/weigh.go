package edit

import (
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/weigh"
)

// mostWeighIns is how many weighings a variant holds.
const mostWeighIns = 50

// weighIn adds a weighing of what is aboard in the state shown, of which nothing was read yet: ID is its id, With what
// it is called.
var weighIn = onVariant(func(j *fitout.Job, v *fitout.Variant, e *fitout.FixEdit) bool {
	if e.ID == "" || len(v.WeighIns) >= mostWeighIns ||
		slices.ContainsFunc(v.WeighIns, func(w fitout.WeighIn) bool { return w.ID == e.ID }) {
		return false
	}
	name := e.With
	if name == "" {
		name = "Weighing"
	}
	v.WeighIns = append(slices.Clone(v.WeighIns), weigh.Begin(plan.Of(j), e.ID, name))
	return true
})

// weighNote notes anew what is aboard, by the plan and the state shown now.
var weighNote = onVariant(func(j *fitout.Job, v *fitout.Variant, e *fitout.FixEdit) bool {
	v.WeighIns = slices.Clone(v.WeighIns)
	for i := range v.WeighIns {
		if v.WeighIns[i].ID == e.ID {
			weigh.Note(plan.Of(j), &v.WeighIns[i])
			return true
		}
	}
	return false
})
