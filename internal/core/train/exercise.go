// Package train makes exercises: a sound build into which mistakes are put that somebody makes, drawn by a
// seed so that each is another one, and tells a learner afterwards what was seen, missed, and marked in vain.
package train

import (
	"errors"
	"fmt"
	"math/rand/v2"
	"slices"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// Mistakes is how many mistakes an exercise has.
const Mistakes = 15

// ErrTooFew says that a build has not enough in it to make the mistakes with.
var ErrTooFew = errors.New("the build has not enough parts to make an exercise of")

// Exercise is a build with mistakes in it, as the seed draws them: each is told by a rule that did not speak
// before, about a thing on which no other was made, and goes on being told beside the others. The build is
// made sound first as far as what is offered mends it.
func Exercise(build *fitout.Job, kind fitout.TrainingKind, seed int) (fitout.Job, error) {
	j, err := sound(build)
	if err != nil {
		return j, err
	}
	r := rand.New(rand.NewPCG(uint64(seed), 20)) //nolint:gosec // drawn to be drawn again
	j.Training = &fitout.Training{Kind: kind, Seed: seed, Made: []fitout.Mistake{}, Marked: []fitout.Marked{}}
	known := told(&j)
	used := map[string]bool{}
	for round := range 3 {
		for _, at := range r.Perm(len(slips)) {
			if len(j.Training.Made) == Mistakes {
				return j, nil
			}
			s := &slips[at]
			if round < 2 && made(&j, s) > round || made(&j, s) > 2 {
				continue
			}
			tried := 0
			for _, k := range r.Perm(len(j.ChosenVariant().Items)) {
				if used[j.ChosenVariant().Items[k].ID] {
					continue
				}
				next := spoilt(&j, k)
				if !s.make(&next, &next.ChosenVariant().Items[k], r) || fitout.Validate(&next) != nil {
					continue
				}
				after := told(&next)
				if things, f := seen(&next, s, k, known, after, used); f != nil {
					j, known = next, after
					note(&j, s, k, f, things, used)
					break
				}
				if tried++; tried == patience {
					break
				}
			}
		}
	}
	if len(j.Training.Made) < Mistakes {
		return j, fmt.Errorf("%w: %d of %d", ErrTooFew, len(j.Training.Made), Mistakes)
	}
	return j, nil
}

// made counts how often a slip was made already.
func made(j *fitout.Job, s *slip) int {
	n := 0
	for i := range j.Training.Made {
		if j.Training.Made[i].Rule != "" && slices.Contains(s.rules, j.Training.Made[i].Rule) {
			n++
		}
	}
	return n
}

// patience is on how many things a slip is tried in one round.
const patience = 6

// spoilt is a job of which one item can be spoilt, and what the brief and the plumbing say of it, without
// the first one's knowing.
func spoilt(j *fitout.Job, k int) fitout.Job {
	next := *j
	next.Variants = slices.Clone(j.Variants)
	v := next.ChosenVariant()
	v.Items = slices.Clone(v.Items)
	if m := v.Items[k].Module; m != nil {
		own := *m
		v.Items[k].Module = &own
	}
	v.Plumbing.Vessels = slices.Clone(v.Plumbing.Vessels)
	next.Brief.Gear = slices.Clone(j.Brief.Gear)
	training := *j.Training
	training.Made = slices.Clone(training.Made)
	next.Training = &training
	return next
}

// seen returns what tells a slip that was made on an item, and the things on which it can be seen; nil where
// nothing new does, where another mistake can be seen on them too, or where one made before is not told any
// more.
func seen(
	next *fitout.Job,
	s *slip,
	k int,
	known, after map[string]fitout.Finding,
	used map[string]bool,
) ([]fitout.ThingNote, *fitout.Finding) {
	for i := range next.Training.Made {
		m := &next.Training.Made[i]
		if !slices.ContainsFunc(m.Things, func(t fitout.ThingNote) bool { return tells(after, m.Rule, t.Of) }) {
			return nil, nil
		}
	}
	id := next.ChosenVariant().Items[k].ID
	for _, key := range sorted(after) {
		f := after[key]
		if _, before := known[key]; before || !slices.Contains(s.rules, f.Rule) ||
			f.Subject.ID != id && !slices.Contains(f.With, id) {
			continue
		}
		things := []fitout.ThingNote{{Of: id}}
		for _, other := range append([]string{f.Subject.ID}, f.With...) {
			there := slices.ContainsFunc(
				next.ChosenVariant().Items,
				func(i fitout.Item) bool { return i.ID == other },
			)
			if there && !slices.Contains(things, fitout.ThingNote{Of: other}) {
				things = append(things, fitout.ThingNote{Of: other})
			}
		}
		if !slices.ContainsFunc(things, func(t fitout.ThingNote) bool { return used[t.Of] }) {
			return things, &f
		}
	}
	return nil, nil
}

// note notes a slip that was made.
func note(j *fitout.Job, s *slip, k int, f *fitout.Finding, things []fitout.ThingNote, used map[string]bool) {
	for _, t := range things {
		used[t.Of] = true
	}
	j.Training.Made = append(j.Training.Made, fitout.Mistake{ID: fmt.Sprintf("mistake-%d", len(j.Training.Made)+1),
		Title: fmt.Sprintf(s.title, j.ChosenVariant().Items[k].Name), Rule: f.Rule, Told: f.Sentence, Things: things})
}

// sound is a build with what stops it mended by what is offered, where anything is.
func sound(build *fitout.Job) (fitout.Job, error) {
	j, err := copied(build)
	if err != nil {
		return j, err
	}
	for range 8 {
		found := assess.Of(&j).Findings
		k := slices.IndexFunc(
			found,
			func(f fitout.Finding) bool { return f.Severity == fitout.Stop && len(f.Fixes) > 0 },
		)
		if k < 0 {
			break
		}
		next, err := edit.Apply(&j, nil, []fitout.FixEdit{found[k].Fixes[0].Edit})
		if err != nil {
			break
		}
		j = next
	}
	return j, nil
}

// told are the findings of a job by what they name.
func told(j *fitout.Job) map[string]fitout.Finding {
	all := map[string]fitout.Finding{}
	for _, f := range assess.Findings(plan.Of(j)) {
		all[f.Key+" in "+f.Stance] = f
	}
	return all
}

// sorted are the keys in an order that is the same every time, the worst first.
func sorted(all map[string]fitout.Finding) []string {
	keys := make([]string, 0, len(all))
	for key := range all {
		keys = append(keys, key)
	}
	slices.SortFunc(keys, func(a, b string) int {
		if d := all[a].Severity.Rank() - all[b].Severity.Rank(); d != 0 {
			return d
		}
		if a < b {
			return -1
		}
		return 1
	})
	return keys
}

// tells tells whether a rule speaks of a thing.
func tells(all map[string]fitout.Finding, rule, id string) bool {
	for _, f := range all {
		if f.Rule == rule && (f.Subject.ID == id || slices.Contains(f.With, id)) {
			return true
		}
	}
	return false
}

// copied is a job that can be spoilt without the first one's knowing.
func copied(j *fitout.Job) (fitout.Job, error) {
	data, err := fitout.Encode(j)
	if err != nil {
		return *j, err
	}
	return fitout.Decode(data)
}
