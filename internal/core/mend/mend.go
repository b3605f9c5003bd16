// Package mend looks for ways to bring a load back within its limit: one change or a few
// together, each by as much as it takes, tried on the whole job before it is told.
package mend

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"strings"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/offer"
	"zaino/internal/core/plan"
)

// Mend is one way to bring a load back within its limit: one change or a few
// together, with the pads before and after. It was tried on the whole job.
type Mend struct {
	Changes []fitout.Fix `json:"changes"`
	Pads    []limits.Pad `json:"pads" doc:"after it"`
	Effort  float64      `json:"effort" doc:"less is less to do; kg·m moved, or kg left behind"`
	Reaches string       `json:"reaches" doc:"what was asked for before and after it, where no pad shows that; empty otherwise"`
	Caution string       `json:"caution" doc:"what belongs to it; empty for nothing"`
}

// Mends are the ways found, the least effort first, and what could be done to the
// vehicle, each with the caution that belongs to it.
type Mends struct {
	Found   []Mend `json:"found"`
	Vehicle []Mend `json:"vehicle"`
	None    string `json:"none" doc:"said when no change of load does, or nothing short of another vehicle; empty otherwise"`
}

// How many ways are told, how many changes are combined, how many of the best are
// combined and how many of their combinations are tried on the whole job.
const (
	mostMends    = 6
	mostTogether = 3
	mostCombined = 40
	mostTried    = 40
)

// Mendable refuses what ways to mend cannot be asked for.
func Mendable(j *fitout.Job, id string) error {
	if system, is := strings.CutPrefix(id, powered); is {
		e := &j.ChosenVariant().Electrics
		if slices.ContainsFunc(e.Systems, func(s fitout.PowerSystem) bool { return s.ID == system }) {
			return nil
		}
		return fitout.Problem{Path: "limit", Given: id, Accepted: powered + " and the id of a battery of the job"}
	}
	_, _, err := find(plan.Of(j), id)
	return err
}

// find is a limit that can be mended, with its place in the table.
func find(p *plan.Plan, id string) (limits.Limit, int, error) {
	var ids []string
	for i, l := range limits.Of(p).All {
		f := l.Facts()
		if f.ID == id && !f.Echo {
			return l, i, nil
		}
		if !f.Echo {
			ids = append(ids, f.ID)
		}
	}
	return nil, 0, fitout.Problem{Path: "limit", Given: id, Accepted: "one of the job's limits: " +
		strings.Join(ids, ", ")}
}

// Limit looks for the ways to mend one limit that is passed, or a rule of balance that is
// broken, or to come clear of one that is close: single changes first, then pairs, then
// threes, until there are enough. The amounts of each set are the least effort that keeps
// every limit by its linear effect; the best sets are tried on the whole job, and only what
// keeps every other limit, breaks no rule and does what it says is told. What is bought
// comes from the given components. progress is told the share that is done; it ends early
// with the context, with the best so far.
func Limit(ctx context.Context, j *fitout.Job, components []fitout.Component, id string,
	progress func(share float64)) (Mends, error) {
	result := Mends{Found: []Mend{}, Vehicle: []Mend{}}
	p := plan.Of(j)
	if system, is := strings.CutPrefix(id, powered); is {
		if err := Mendable(j, id); err != nil {
			return result, err
		}
		return batteryMends(ctx, p, components, system, progress), nil
	}
	l, at, err := find(p, id)
	if err != nil {
		return result, err
	}
	s := newSearch(p, components, l, at)
	if !l.Facts().Stated() || s.need <= 0 {
		return result, nil
	}
	for together := 1; together <= mostTogether && len(result.Found) < mostMends && ctx.Err() == nil; together++ {
		for n, set := range s.sets(ctx, together) {
			if n >= mostTried || len(result.Found) >= mostMends || ctx.Err() != nil {
				break
			}
			if m, ok := s.try(set); ok {
				result.Found = append(result.Found, m)
			}
			progress((float64(together-1) + float64(n+1)/mostTried) / mostTogether)
		}
	}
	if ctx.Err() == nil {
		result.Vehicle = s.vehicleWays()
		result.None = s.none(&result)
	}
	progress(1)
	return result, nil
}

// none says what it comes to when nothing was found. That nothing short of another
// vehicle will do is said only where no amounts of all the changes together would do, nor
// together with what can be done to the vehicle, and never of what is merely close.
func (s *search) none(found *Mends) string {
	if len(found.Found) > 0 {
		return ""
	}
	f := s.limit.Facts()
	what := "within its limit"
	switch _, isMass := s.limit.(*limits.Mass); {
	case s.clear:
		return "It is within its limit. No one, two or three changes of load bring it clear of it."
	case !isMass:
		what = "within the workshop's rule"
	}
	if s.together(nil) {
		return fmt.Sprintf("No one, two or three changes of load bring it %s; more of them together may.", what)
	}
	said := fmt.Sprintf("No changes of load bring it %s, however many are made at once.", what)
	if len(found.Vehicle) == 0 && upgradable[f.ID] != "" && !s.together(s.raised()) {
		said += fmt.Sprintf(" It is %s over, and a certified upgrade is taken to raise a rating by %.0f %% at most: "+
			"nothing short of another vehicle will do.",
			s.plan.Say.Mass(s.need), 100*s.plan.Job.Practice.UpgradeShare)
	}
	return said
}

// search is the search for ways to mend one limit.
type search struct {
	plan       *plan.Plan
	components []fitout.Component
	table      *limits.Table
	limit      limits.Limit
	at         int     // its place in the table
	need       float64 // what has to be taken off it, in the unit that it counts
	clear      bool    // it is within its limit, and is to come clear of it
	all        []offer.Change
	best       []offer.Change // those that take something off it, the best first
	before     assess.Broken  // what is broken already
	kept       []int          // the other limits that have to be kept, by their place
	base       []float64      // by how much each limit is passed now
}

func newSearch(p *plan.Plan, components []fitout.Component, l limits.Limit, at int) *search {
	s := &search{plan: p, components: components, table: limits.Of(p), limit: l, at: at}
	s.need, s.clear = need(p, l, s.table.Shown())
	if s.need <= 0 {
		return s
	}
	s.all = offer.All(p, components)
	s.best = offer.For(s.all, at)
	slices.SortStableFunc(s.best, func(a, b offer.Change) int {
		return cmp.Compare(a.Effort/a.Relief(at), b.Effort/b.Relief(at))
	})
	s.best = s.best[:min(len(s.best), mostCombined)]
	s.before = assess.BrokenIn(assess.Findings(p))
	for k, other := range s.table.All {
		f := other.Facts()
		s.base = append(s.base, other.Beyond(s.table.Shown()))
		if k != at && f.Stated() && (!f.Towing || s.table.Shown().State.Coupled) {
			s.kept = append(s.kept, k)
		}
	}
	return s
}

// need is what has to be taken off a limit; of one that is close, what brings it clear.
func need(p *plan.Plan, l limits.Limit, in *limits.Situation) (float64, bool) {
	f, beyond := l.Facts(), l.Beyond(in)
	if f.State(l.Load(in), p.Job.Practice.Close) == limits.Close {
		return beyond + f.Bound.Figure()*p.Job.Practice.Close, true
	}
	return beyond, false
}
