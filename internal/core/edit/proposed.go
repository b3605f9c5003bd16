package edit

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fit"
	"zaino/internal/core/fit/strength"
	"zaino/internal/core/fitout"
	modules "zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// asked are the edits by which a new part gets what the rules ask of its hardware.
var asked = map[string]string{"latch": "a rated latch", "travel": "its travel", "drop": "its drop",
	"strut-force": "stronger gas struts"}

// proposed gives a part what the rules would ask of its hardware, as long as that mends without
// a new finding, and fixings that hold it; it tells what.
func proposed(j *fitout.Job, id string) (fitout.Job, []string) {
	job := *j
	var said []string
	for range 6 {
		fixed := false
		for _, f := range fit.Check(scene.Of(plan.Of(&job))) {
			if f.Subject.ID != id {
				continue
			}
			for _, fix := range f.Fixes {
				what, known := asked[fix.Edit.Kind]
				if !known || fix.Edit.ID != id {
					continue
				}
				if next, err := Apply(&job, nil, []fitout.FixEdit{fix.Edit}); err == nil &&
					graves(&next) < graves(&job) {
					job, fixed = next, true
					if !slices.Contains(said, what) {
						said = append(said, what)
					}
					break
				}
			}
			if fixed {
				break
			}
		}
		if !fixed {
			break
		}
	}
	if chained, ok := follows(&job, id); ok {
		job, said = chained, append(said, "a chain for its cable or hose")
	}
	if n := fix(&job, id, ""); n > 0 {
		said = append(said, fmt.Sprintf("%d fixings", n))
	}
	if len(said) == 0 {
		return job, nil
	}
	return WithItems(&job, func(i *fitout.Item) {
		if i.ID == id && i.Note == "" {
			i.Note = words.Capital(words.List(said)) + " proposed: check each before it is built or drilled."
		}
	}), said
}

// follows gives a part that slides with a cable or hose a chain, where the rules ask how that
// follows.
func follows(j *fitout.Job, id string) (fitout.Job, bool) {
	next := WithItems(j, func(i *fitout.Item) {
		if i.ID == id && i.Module != nil && i.Module.Follows == fitout.NotSaid {
			m := *i.Module
			m.Follows, i.Module = fitout.Chain, &m
		}
	})
	return next, graves(&next) < graves(j)
}

// Fixings that are proposed: what one holds, kg of force, and how many at most. A practice
// figure for an M8 bolt through sheet with a plate beneath.
const (
	boltHolds = 250.0
	mostBolts = 12
)

// fix holds a part by the nearest mounting points of the vehicle that have force left, or by
// bolts proposed under its corners; it tells by how many. What is light, or carried, or soft
// needs none. One mounting point is left alone.
func fix(job *fitout.Job, id, but string) int {
	s := scene.Of(plan.Of(job))
	k := slices.IndexFunc(s.Parts, func(p scene.Part) bool { return p.ID == id })
	if k < 0 || len(s.Parts[k].Module().Fixings) > 0 || !strength.MustBeHeld(s, &s.Parts[k]) {
		return 0
	}
	p := &s.Parts[k]
	need := strength.Asks(s, p) * 1.5 // what lies in it comes on top
	if n := onMounts(job, s, p, need, but); n > 0 {
		return n
	}
	n := min(mostBolts, max(4, int(math.Ceil(need/boltHolds))))
	edited := *job
	edited.Vehicle.Mounts = slices.Clone(job.Vehicle.Mounts)
	b := p.Box
	var fixings []fitout.Fixing
	behind := p.Item.Behind
	for i := range n {
		// Round the foot of the part: its corners first.
		x, y := b.From.X, b.From.Y
		if i%2 == 1 {
			x = b.To.X
		}
		if i/2%2 == 1 {
			y = b.To.Y
		}
		if i >= 4 {
			share := float64(i/2-1) / float64((n-2)/2+1)
			x = b.From.X + (b.To.X-b.From.X)*share
			y = []float64{b.From.Y, b.To.Y}[i%2]
		}
		mount := fitout.Mount{
			ID: freshID("bolt", func(m string) bool {
				return slices.ContainsFunc(edited.Vehicle.Mounts, func(o fitout.Mount) bool { return o.ID == m })
			}),
			Name: cut(fmt.Sprintf("Proposed bolt %d of %s", i+1, words.Lower(p.Name())), 120),
			At: fitout.Point{
				X: job.Vehicle.Stored(x, behind),
				Y: y,
				Z: b.From.Z,
			}, Rating: boltHolds, Behind: behind,
			Beneath: "not looked at yet: look before drilling",
		}
		edited.Vehicle.Mounts = append(edited.Vehicle.Mounts, mount)
		fixings = append(fixings, fitout.Fixing{Mount: mount.ID})
	}
	if len(edited.Vehicle.Mounts) > mostMounts {
		return 0
	}
	*job = fixed(&edited, id, fixings)
	return n
}

// fixed returns the job with the fixings of a part; a thing of the ledger is gear of the fitout by them.
func fixed(job *fitout.Job, id string, fixings []fitout.Fixing) fitout.Job {
	return WithItems(job, func(i *fitout.Item) {
		if i.ID == id {
			m := modules.Gear()
			if i.Module != nil {
				*m = *i.Module
			}
			m.Fixings, i.Module = fixings, m
		}
	})
}

// hold proposes fixings for a part that nothing holds.
var hold = Kind{
	Caution: "Proposed bolts are practice: look at what lies beneath before anything is drilled.",
	Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		job := *j
		n := fix(&job, e.ID, "")
		return job, n > 0
	},
}

// holdAnew proposes other fixings for a part in the place of those that it has, without one mounting point.
var holdAnew = Kind{
	Caution: hold.Caution,
	Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		job := WithItems(j, func(i *fitout.Item) {
			if i.ID == e.ID && i.Module != nil {
				m := *i.Module
				m.Fixings, i.Module = []fitout.Fixing{}, &m
			}
		})
		n := fix(&job, e.ID, e.With)
		return job, n > 0
	},
}

// unfix says of a mounting point that it does not hold a part.
var unfix = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
	if i.Module == nil {
		return false
	}
	m := *i.Module
	m.Fixings = slices.DeleteFunc(slices.Clone(m.Fixings), func(f fitout.Fixing) bool { return f.Mount == e.With })
	let := len(m.Fixings) < len(i.Module.Fixings)
	i.Module = &m
	return let
})

// near is how far from a part a mounting point may be that is proposed for it, mm.
const near = 250.0

// onMounts fixes a part to mounting points of the vehicle that are near and hold nothing else
// yet, where they are enough; it tells by how many.
func onMounts(job *fitout.Job, s *scene.Scene, p *scene.Part, need float64, but string) int {
	used := map[string]bool{}
	for i := range s.Parts {
		for _, f := range s.Parts[i].Module().Fixings {
			used[f.Mount] = true
		}
	}
	off := func(m *fitout.Mount) float64 { return p.Box.Off(m.At) }
	var free []*fitout.Mount
	for i := range s.Vehicle.Mounts {
		if m := &s.Vehicle.Mounts[i]; !used[m.ID] && m.ID != but && m.Rating > 0 && off(m) <= near {
			free = append(free, m)
		}
	}
	slices.SortStableFunc(free, func(a, b *fitout.Mount) int { return cmp.Compare(off(a), off(b)) })
	held := 0.0
	var fixings []fitout.Fixing
	for _, m := range free {
		if held >= need {
			break
		}
		held += m.Rating
		fixings = append(fixings, fitout.Fixing{Mount: m.ID})
	}
	if held < need {
		return 0
	}
	*job = fixed(job, p.ID, fixings)
	return len(fixings)
}

// mostMounts is how many mounting points a vehicle may have.
const mostMounts = 200

func cut(text string, most int) string {
	if r := []rune(text); len(r) > most {
		return string(r[:most])
	}
	return text
}
