package trip

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// Look is a plan with its way followed once; the rules look at it.
type Look struct {
	*plan.Plan
	C     *Course
	W     *Way
	Typed bool // somebody has entered the way; otherwise it is that of the brief

	proposals map[Manner]*Proposal
}

// LookAt follows the way of a plan once.
func LookAt(p *plan.Plan) *Look {
	return plan.Once(p, func(p *plan.Plan) *Look {
		c := CourseOf(p)
		return &Look{Plan: p, C: c, W: c.Follow(p.Variant.Fills), Typed: len(p.Job.Route.Stops) > 1,
			proposals: map[Manner]*Proposal{}}
	})
}

// Propose finds how to fill in one manner, once.
func (l *Look) Propose(manner Manner) *Proposal {
	if l.proposals[manner] == nil {
		p := l.C.Propose(manner)
		l.proposals[manner] = &p
	}
	return l.proposals[manner]
}

// about begins a finding about a stop of the route, or a part of the plumbing.
func about(rule string, severity fitout.Severity, kind, id string) fitout.Finding {
	return fitout.Finding{Rule: rule, Severity: severity, Subject: fitout.Subject{Kind: kind, ID: id}, Source: "practice",
		Waivable: true}
}

func (l *Look) stop(i int) *fitout.RouteStop { return &l.C.Route.Stops[i] }

// vessel is a vessel by its id, or nil.
func (l *Look) vessel(id string) *Vessel {
	for i := range l.C.Vessels {
		if l.C.Vessels[i].ID == id {
			return &l.C.Vessels[i]
		}
	}
	return nil
}

// box is where a vessel stands: of an item its box, of a tank of the vehicle its middle, whose size
// nobody has entered; false for that.
func (l *Look) box(v *Vessel) (fitout.Box, bool) {
	if i := l.Index(v.ID); i >= 0 && !v.Tank {
		return l.Items[i].Box(), true
	}
	return fitout.Box{From: v.At, To: v.At}, false
}

// fillPlan offers to fill in a manner, where that is possible.
func (l *Look) fillPlan(f *fitout.Finding, manner Manner) {
	if !l.C.Quick() {
		return // of a long way it is offered under Range
	}
	if p := l.Propose(manner); p.Refuse == nil && len(p.Fills) > 0 {
		f.Fixes = append(f.Fixes, fitout.Fix{Label: MannerNames[manner], Edit: fitout.FixEdit{Kind: "fill-plan",
			With: string(manner)}})
	}
}

// MannerNames are the manners as a person says them.
var MannerNames = map[Manner]string{
	Cheapest: "Fill where fuel is cheapest", Lightest: "Fill only what the way to the next pump takes",
	WithinAxle: "Fill so that the axles carry least",
}

// where puts a place on the way into words.
func (l *Look) where(km float64, leg int) string {
	if leg < 0 || leg >= len(l.W.Legs) {
		return "at " + l.stop(0).Name
	}
	from := km - l.W.Stops[leg].Km
	if from < 0.5 {
		return "leaving " + l.stop(leg).Name
	}
	return fmt.Sprintf("%s after %s", l.Say.Distance(from), l.stop(leg).Name)
}
