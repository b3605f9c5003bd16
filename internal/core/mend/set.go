package mend

import (
	"cmp"
	"context"
	"math"
	"slices"

	"zaino/internal/core/limits"
	"zaino/internal/core/offer"
	"zaino/internal/core/quantity"
)

// done is one change by an amount.
type done struct {
	*offer.Change
	amount float64
}

// set are changes that are made together.
type set []done

func (s set) effort() float64 {
	sum := 0.0
	for _, d := range s {
		sum += d.Effort * d.amount
	}
	return sum
}

// sets are the sets of so many changes to different things that mend the limit by their
// linear effect, keep every other, and need every one of them; the least effort first.
func (s *search) sets(ctx context.Context, together int) []set {
	var all []set
	try := func(changes ...*offer.Change) {
		if found, ok := s.amounts(changes); ok {
			all = append(all, found)
		}
	}
	best := s.best
	switch together {
	case 1:
		for i := range best {
			try(&best[i])
		}
	case 2:
		for i := range best {
			for k := i + 1; k < len(best) && ctx.Err() == nil; k++ {
				if !best[i].Meets(&best[k]) {
					try(&best[i], &best[k])
				}
			}
			s.helped(ctx, &best[i], try)
		}
	case 3:
		for i := range best {
			for k := i + 1; k < len(best); k++ {
				for m := k + 1; m < len(best) && ctx.Err() == nil; m++ {
					if !best[i].Meets(&best[k]) && !best[i].Meets(&best[m]) && !best[k].Meets(&best[m]) {
						try(&best[i], &best[k], &best[m])
					}
				}
			}
		}
	}
	slices.SortStableFunc(all, func(a, b set) int { return cmp.Compare(a.effort(), b.effort()) })
	return all
}

// helped tries a change with those that take nothing off the limit, and make room on
// another that the change would pass.
func (s *search) helped(ctx context.Context, c *offer.Change, try func(...*offer.Change)) {
	amount := s.need / c.Relief(s.at)
	if amount > c.Most {
		return
	}
	var passes []int
	for _, k := range s.kept {
		if quantity.Exceeds(s.base[k]+c.Effects[k]*amount, max(0, s.base[k])) {
			passes = append(passes, k)
		}
	}
	for i := range s.all {
		other := &s.all[i]
		if ctx.Err() != nil || len(passes) == 0 || c.Meets(other) || other.Relief(s.at) > 0 {
			continue
		}
		if !slices.ContainsFunc(passes, func(k int) bool { return other.Relief(k) <= 0 }) {
			try(c, other)
		}
	}
}

// amounts are the amounts of changes that mend the limit with the least effort, in steps;
// false where there are none, or one of them is not needed.
func (s *search) amounts(changes []*offer.Change) (set, bool) {
	reach := 0.0
	for _, c := range changes {
		reach += max(0, c.Relief(s.at)) * c.Most
	}
	if reach < s.need-1e-9 {
		return nil, false
	}
	if len(changes) > 1 && s.idle(changes, reach) {
		return nil, false
	}
	var x []float64
	if !whole(changes) {
		found, ok := s.program(changes).solve()
		if !ok {
			return nil, false
		}
		x = found
	}
	return s.stepped(changes, x)
}

// whole tells whether every one of some changes is done or not.
func whole(changes []*offer.Change) bool {
	return !slices.ContainsFunc(changes, func(c *offer.Change) bool { return c.Step < c.Most })
}

// idle tells whether a set of changes, which reach so far, has one that it can do
// without: then the smaller set is told.
func (s *search) idle(changes []*offer.Change, reach float64) bool {
	for i, c := range changes {
		if reach-max(0, c.Relief(s.at))*c.Most < s.need-1e-9 {
			continue
		}
		rest := slices.Delete(slices.Clone(changes), i, i+1)
		if whole(rest) {
			if _, ok := s.stepped(rest, nil); ok {
				return true
			}
		} else if _, ok := s.program(rest).solve(); ok {
			return true
		}
	}
	return false
}

// program is what the amounts of changes have to keep: what is needed is taken off, no
// other limit is passed, and none that is passed already goes further. What is done or
// not is done.
func (s *search) program(changes []*offer.Change) *program {
	p := &program{}
	var by []*offer.Change
	always := make([]float64, len(s.table.All))
	for _, c := range changes {
		if c.Step < c.Most {
			by = append(by, c)
			p.cost, p.most = append(p.cost, c.Effort), append(p.most, c.Most)
			continue
		}
		for k, effect := range c.Effects {
			always[k] += effect * c.Most
		}
	}
	row := func(k int, bound float64) {
		r := make([]float64, len(by))
		for i, c := range by {
			r[i] = c.Effects[k]
		}
		p.rows, p.bounds = append(p.rows, r), append(p.bounds, bound-always[k])
	}
	row(s.at, -s.need)
	for _, k := range s.kept {
		row(k, max(0, s.base[k])-s.base[k]+quantity.Tolerance)
	}
	return p
}

// stepped rounds amounts to steps, up or down, the least effort first, so that all is
// kept still and every change goes by its amount.
func (s *search) stepped(changes []*offer.Change, x []float64) (set, bool) {
	var best set
	for bits := range 1 << len(changes) {
		trial, n, fits := make(set, 0, len(changes)), 0, true
		for i, c := range changes {
			amount := c.Most
			if c.Step < c.Most {
				amount = c.Rounded(x[n])
				if bits>>i&1 == 1 {
					amount = math.Floor(x[n]/c.Step) * c.Step
				}
				n++
			} else if bits>>i&1 == 1 {
				fits = false
			}
			trial = append(trial, done{c, amount})
			fits = fits && amount > 0
		}
		if fits && s.keeps(trial) && (best == nil || trial.effort() < best.effort()) {
			best = trial
		}
	}
	if best == nil || slices.ContainsFunc(best, func(d done) bool { return !d.Can(d.amount) }) {
		return nil, false
	}
	return best, true
}

// keeps tells whether changes mend the limit and keep every other by their linear effect.
func (s *search) keeps(all set) bool {
	effect := func(k int) float64 {
		sum := 0.0
		for _, d := range all {
			sum += d.Effects[k] * d.amount
		}
		return sum
	}
	return -effect(s.at) >= s.need-1e-9 && !slices.ContainsFunc(s.kept, func(k int) bool {
		return quantity.Exceeds(s.base[k]+effect(k), max(0, s.base[k]))
	})
}

// together tells whether amounts of all changes at once would do, each thing being
// changed at most wholly: where they would not, no set of them does. raised is by how much
// each limit can be raised besides, in the order of the table; nil for none.
func (s *search) together(raised []float64) bool {
	if raised == nil {
		raised = make([]float64, len(s.table.All))
	}
	p := &program{}
	for i := range s.all {
		p.cost, p.most = append(p.cost, 0), append(p.most, s.all[i].Most)
	}
	row := func(of func(c *offer.Change) float64, bound float64) {
		r := make([]float64, len(s.all))
		for i := range s.all {
			r[i] = of(&s.all[i])
		}
		p.rows, p.bounds = append(p.rows, r), append(p.bounds, bound)
	}
	row(func(c *offer.Change) float64 { return c.Effects[s.at] }, raised[s.at]-s.need)
	for _, k := range s.kept {
		row(func(c *offer.Change) float64 { return c.Effects[k] },
			max(0, s.base[k])-s.base[k]+raised[k]+quantity.Tolerance)
	}
	things := map[string]bool{}
	for i := range s.all {
		for _, thing := range s.all[i].Things {
			if things[thing] {
				continue
			}
			things[thing] = true
			row(func(c *offer.Change) float64 {
				if c.Most > 0 && slices.Contains(c.Things, thing) {
					return 1 / c.Most
				}
				return 0
			}, 1)
		}
	}
	_, ok := p.solve()
	return ok
}

// mass is the limit that is mended as one in kg; false for a rule of balance.
func (s *search) mass() (*limits.Mass, bool) {
	m, ok := s.limit.(*limits.Mass)
	return m, ok
}
