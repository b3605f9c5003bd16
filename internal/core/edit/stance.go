package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// Edits of what holds in one stance; its id is what the edit is with.
var (
	// outside puts a thing onto the ground.
	outside = inStance(func(v *fitout.Variant, s *fitout.Stance, e *fitout.FixEdit) bool {
		if !slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.ID == e.ID }) {
			return false
		}
		stays := slices.DeleteFunc(slices.Clone(s.Loose), func(l fitout.LoosePlace) bool { return l.Item == e.ID })
		s.Loose = append(stays, fitout.LoosePlace{Item: e.ID, Outside: true})
		return true
	})
	// turnBack lets a seat look ahead.
	turnBack = inStance(func(_ *fitout.Variant, s *fitout.Stance, e *fitout.FixEdit) bool {
		was := len(s.Turned)
		s.Turned = slices.DeleteFunc(slices.Clone(s.Turned), func(t fitout.SeatTurned) bool { return t.Seat == e.ID })
		return len(s.Turned) < was
	})
	// leaveShut opens a part no more.
	leaveShut = inStance(func(_ *fitout.Variant, s *fitout.Stance, e *fitout.FixEdit) bool {
		was := len(s.Open)
		s.Open = slices.DeleteFunc(slices.Clone(s.Open), func(o fitout.Opened) bool { return o.Module == e.ID })
		return len(s.Open) < was
	})
	// hang sets how low the hammock of a traveller hangs, mm.
	hang = inStance(func(_ *fitout.Variant, s *fitout.Stance, e *fitout.FixEdit) bool {
		s.Hung = slices.Clone(s.Hung)
		at := slices.IndexFunc(s.Hung, func(h fitout.Hung) bool { return h.Traveller == e.ID })
		if at >= 0 {
			s.Hung[at].Low = e.Value
		}
		return at >= 0
	})
)

func inStance(change func(v *fitout.Variant, s *fitout.Stance, e *fitout.FixEdit) bool) Kind {
	return Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		changed := *j
		changed.Variants = slices.Clone(j.Variants)
		v := changed.ChosenVariant()
		k := slices.IndexFunc(v.Stances, func(s fitout.Stance) bool { return s.ID == e.With })
		if k < 0 {
			return *j, false
		}
		v.Stances = slices.Clone(v.Stances)
		return changed, change(v, &v.Stances[k], e)
	}}
}
