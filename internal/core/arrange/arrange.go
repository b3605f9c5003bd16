// Package arrange proposes arrangements of a fitout: it packs the parts into the bays,
// searches among the places that worked out, and explains what it found.
package arrange

import (
	"cmp"
	"context"
	"fmt"
	"math"
	"slices"
	"strings"
	"time"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/propose"
	"zaino/internal/core/report"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// Aim is one thing that an arrangement can be good at.
type Aim string

// The aims, in the order in which they are offered.
const (
	AimRear   Aim = "rear-axle" // little on the rear axle
	AimLow    Aim = "low"       // mass low down
	AimSides  Aim = "sides"     // left and right alike
	AimAccess Aim = "access"    // what is used daily near the opening and low enough
	AimSteps  Aim = "steps"     // few steps to what is used daily
	AimRoom   Aim = "room"      // room in drawers
)

// Aims are all of them.
var Aims = [...]Aim{AimRear, AimLow, AimSides, AimAccess, AimSteps, AimRoom}

// Wishes are what a proposal is asked for: the parts that may be placed anew (none
// named: all that are not locked), and the aims, the most important first; what is
// not named counts last.
type Wishes struct {
	Parts []string `json:"parts"`
	Aims  []Aim    `json:"aims" maxItems:"6"`
}

// Proposal is one arrangement, with what speaks for it.
type Proposal struct {
	Job      fitout.Job            `json:"job" doc:"with the arrangement as a further variant, not saved"`
	Sentence string                `json:"sentence"`
	Score    float64               `json:"score"`
	Bound    float64               `json:"bound" doc:"no arrangement of the same places is better than this"`
	Proven   bool                  `json:"proven" doc:"no arrangement of the same places is better"`
	Figures  report.VariantFigures `json:"figures"`
}

// Proposals are the arrangements found, or why there are none.
type Proposals struct {
	Found      []Proposal `json:"found"`
	Impossible string     `json:"impossible" doc:"which demand makes it impossible; empty when something fits"`
}

// proposals wanted, and in how many places they differ.
const (
	wanted = 3
	apart  = 2
)

// alike is how near two places count as the same, mm.
const alike = 120

// nodesEach is how much of the search each proposal may take.
const nodesEach = 150_000

// Propose finds arrangements of the chosen variant's parts in its bays: fixed
// parts stay, every hard rule holds in every stance. progress is told the share
// that is done; it ends early with the context.
func Propose(ctx context.Context, j *fitout.Job, wishes Wishes, progress func(share float64)) Proposals {
	d := newDraft(plan.Of(j), wishes)
	progress(0.05)
	if reason := d.impossibleAlone(); reason != "" {
		return Proposals{Found: []Proposal{}, Impossible: reason}
	}
	packing, enough := halfOf(ctx)
	seeds := d.pack(packing, progress)
	late := packing.Err() != nil
	enough()
	result := Proposals{Found: []Proposal{}}
	if ctx.Err() != nil {
		return result
	}
	if len(seeds) == 0 {
		if result.Impossible = d.whyNot(ctx); late || ctx.Err() != nil {
			result.Impossible = "No arrangement was found in the time that a search may take. Leave parts out, or place " +
				"and lock some by hand first."
		}
		return result
	}
	search := propose.NewSearch(d.problem())
	search.Seeds = seeds
	var earlier [][]int
	if d.asIs != nil {
		earlier = append(earlier, d.asIs)
	}
	for len(result.Found) < wanted && ctx.Err() == nil {
		best, found := search.Best(ctx, nodesEach, earlier, min(apart, len(d.parts)))
		if !found {
			break
		}
		earlier = append(earlier, best.Choice)
		result.Found = append(result.Found, d.build(best))
		progress(packShare + (1-packShare)*float64(len(result.Found))/wanted)
	}
	slices.SortStableFunc(result.Found, func(a, b Proposal) int { return cmp.Compare(b.Score, a.Score) })
	for n := range result.Found {
		result.Found[n].Job.ChosenVariant().Name = fmt.Sprintf("%s, proposal %d", d.Variant.Name, n+1)
	}
	if len(result.Found) == 0 && ctx.Err() == nil {
		result.Impossible = fmt.Sprintf(
			"It fits as it stands; nothing else was found that differs in %d places and keeps "+
				"every hard rule.",
			apart,
		)
	}
	return result
}

// halfOf ends when half of the time that is left is over, so that what was packed is
// searched in the other half.
func halfOf(ctx context.Context) (context.Context, context.CancelFunc) {
	end, ends := ctx.Deadline()
	if !ends {
		return ctx, func() {}
	}
	return context.WithTimeout(ctx, time.Until(end)/2)
}

// holds tells whether a choice keeps every rule in every stance, also those that only the whole job shows.
func (d *draft) holds(choice []int) bool {
	job, err := d.arranged(choice)
	if err != nil {
		return false
	}
	for key := range stops(plan.Of(&job)) {
		_, id, _ := strings.Cut(key, " ")
		if !d.before[key] || slices.ContainsFunc(d.parts, func(p *scene.Part) bool { return p.ID == id }) {
			return false
		}
	}
	return true
}

// arranged is the job with a variant of its own in which the parts stand as chosen.
func (d *draft) arranged(choice []int) (fitout.Job, error) {
	job, err := edit.Branch(d.Given, d.Variant.ID, "")
	if err != nil {
		return job, err
	}
	v := job.ChosenVariant()
	v.Items = slices.Clone(v.Items)
	for i, a := range choice {
		pl := &d.places[i][a]
		for k := range v.Items {
			if v.Items[k].ID == pl.item.ID {
				at := pl.item.At
				at.X = job.Vehicle.Stored(at.X, pl.item.Behind)
				v.Items[k].At, v.Items[k].Size, v.Items[k].Bay, v.Items[k].In = at, pl.item.Size, pl.bay.ID, nil
				m := *v.Items[k].Module
				m.Faces = pl.item.Module.Faces
				v.Items[k].Module = &m
			}
		}
	}
	return job, nil
}

// build makes a solution that holds into a variant with its figures.
func (d *draft) build(r propose.Result) Proposal {
	job, _ := d.arranged(r.Choice) // it was there when it was held against the rules
	p := plan.Of(&job)
	figures := report.VariantOf(p, d.Plan, assess.Findings(p))
	return Proposal{Job: job, Sentence: d.explain(p, &figures), Score: r.Score, Bound: r.Bound, Proven: r.Exact,
		Figures: figures}
}

// stops are the rules of fit that stop a plan, each with its subject.
func stops(p *plan.Plan) map[string]bool {
	all := map[string]bool{}
	for _, f := range fit.Check(scene.Of(p)) {
		if f.Severity == fitout.Stop {
			all[f.Rule+" "+f.Subject.ID] = true
		}
	}
	return all
}

// explain says in a sentence what a proposal does against what there was.
func (d *draft) explain(s *plan.Plan, f *report.VariantFigures) string {
	var parts []string
	rear := s.Load.Axles().Rear - d.Load.Axles().Rear
	switch {
	case rear < -0.5:
		parts = append(parts, fmt.Sprintf("takes %s off the rear axle", d.Say.Mass(-rear)))
	case rear > 0.5:
		parts = append(parts, fmt.Sprintf("puts %s more on the rear axle", d.Say.Mass(rear)))
	}
	if dz := s.Now.Centre().Z - d.Now.Centre().Z; math.Abs(dz) >= 1 {
		word := "lower"
		if dz > 0 {
			word = "higher"
		}
		parts = append(parts, fmt.Sprintf("brings the centre of gravity %s %s", d.Say.Length(math.Abs(dz)), word))
	}
	mine := report.VariantOf(d.Plan, d.Plan, nil)
	if was, is := math.Abs(mine.Sides), math.Abs(f.Sides); math.Abs(was-is) >= 1 {
		parts = append(
			parts,
			fmt.Sprintf("has the sides differ by %s instead of %s", d.Say.Mass(is), d.Say.Mass(was)),
		)
	}
	if by := f.Steps - mine.Steps; by != 0 {
		word := "fewer"
		if by > 0 {
			word = "more"
		}
		parts = append(
			parts,
			fmt.Sprintf("takes %d %s steps to what is used daily", int(math.Abs(float64(by))), word),
		)
	}
	var moved []string
	for _, diff := range f.Differs {
		if diff.Kind == "moved" || diff.Kind == "changed" {
			moved = append(moved, words.Lower(s.Name(diff.ID)))
		}
	}
	if len(parts) == 0 {
		parts = append(parts, "is as good as what there was")
	}
	sentence := words.Capital(words.List(parts)) + "."
	if len(moved) > 0 {
		more := ""
		if len(moved) > 4 {
			more = fmt.Sprintf(" and %d more", len(moved)-4)
			moved = moved[:4]
		}
		sentence += fmt.Sprintf(" It places %s%s anew.", strings.Join(moved, ", "), more)
	}
	return sentence
}

// Known tells whether there is such an aim.
func (a Aim) Known() bool { return slices.Contains(Aims[:], a) }
