package assess

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
)

const (
	mostFixes = 4
	shiftStep = 5.0 // mm to which a move is rounded up
	lightest  = 4.0 // kg below which nothing is worth moving
)

// candidate is a fix with what decides its rank.
type candidate struct {
	fix    fitout.Fix
	relief float64 // taken off the overload, kg
	enough bool    // mends it, and keeps the other axle within its limit
	effort float64 // kg·m moved; what is left behind counts as moved a metre
}

// fixes are single changes that take a load back within its limit, or as far
// as one change can: least effort first, those that suffice before those that
// do not.
func fixes(s *subject, l *limit) []fitout.Fix {
	all := append(moves(s, l), drains(s, l)...)
	all = append(all, leavings(s, l)...)
	all = append(all, uncoupling(s, l)...)
	slices.SortStableFunc(all, func(a, b candidate) int {
		switch {
		case a.enough && b.enough:
			return cmp.Compare(a.effort, b.effort)
		case !a.enough && !b.enough:
			return cmp.Compare(b.relief, a.relief)
		case a.enough:
			return -1
		}
		return 1
	})
	result := []fitout.Fix{}
	for _, c := range all[:min(len(all), mostFixes)] {
		if !c.enough {
			c.fix.Label += " (not enough alone)"
		}
		result = append(result, c.fix)
	}
	return result
}

// candidate weighs up a change by its effect on the vehicle's axles and on the
// trailer's.
func (s *subject) candidate(l *limit, label string, edit fitout.FixEdit, effect load.Axles, trailerAxle, effort float64) candidate {
	change := l.form.Of(load.Moments{Kg: effect.Gross(), X: effect.Rear * s.plan.Wheelbase}) + l.form.Towed*trailerAxle
	return candidate{
		fix:    fitout.Fix{Label: label, Edit: edit, Front: effect.Front, Rear: effect.Rear},
		relief: -change,
		enough: -change >= l.over()-1e-9 && s.keeps(effect, l),
		effort: effort,
	}
}

// keeps reports whether an effect leaves the other axle within its limit, if
// it is within it now.
func (s *subject) keeps(effect load.Axles, mended *limit) bool {
	axles := s.plan.Axles()
	for _, l := range s.limits {
		if l.id == mended.id || !l.stated() || l.over() > 0 {
			continue
		}
		if l.id == "front" && axles.Front+effect.Front > l.limit.Kg || l.id == "rear" && axles.Rear+effect.Rear > l.limit.Kg {
			return false
		}
	}
	return true
}

// moves shifts one loose thing along the load space, by what is needed or as
// far as the load space goes.
func moves(s *subject, l *limit) []candidate {
	if l.form.X == 0 {
		return nil
	}
	var all []candidate
	from, to := s.job.Vehicle.Outline.Headboard, s.plan.Wheelbase+s.job.Vehicle.Outline.RearOverhang
	for i := range s.variant.Items {
		item, placed := &s.variant.Items[i], s.plan.Items[i]
		half := item.Size.Length / 2
		if !placed.Present || item.Seat != "" || item.In != nil || item.Locked || placed.Mass.Kg < lightest || placed.Mass.X < from+half || placed.Mass.X > to-half {
			continue
		}
		shift := -l.over() / l.form.Sensitivity(placed.Mass).PerMM
		shift = math.Copysign(math.Ceil(math.Abs(shift)/shiftStep)*shiftStep, shift)
		shift = min(max(shift, from+half-placed.Mass.X), to-half-placed.Mass.X)
		if math.Abs(shift) < shiftStep || !s.standsAfter(item.ID, shift) {
			continue
		}
		direction := "rearward"
		if shift < 0 {
			direction = "forward"
		}
		rear := placed.Mass.Kg * shift / s.plan.Wheelbase
		all = append(all, s.candidate(l,
			fmt.Sprintf("Move %s %s %s", lower(item.Name), s.say.length(math.Abs(shift)), direction),
			fitout.FixEdit{Kind: "move-item", ID: item.ID, Value: s.storedX(i) + shift},
			load.Axles{Front: -rear, Rear: rear}, 0, placed.Mass.Kg*math.Abs(shift)/1000))
	}
	return all
}

// standsAfter reports whether a part that is moved along the vehicle stays in
// its bay and clear of others; what is no module is not judged.
func (s *subject) standsAfter(id string, shift float64) bool {
	parts := slices.Clone(s.bench.parts)
	k := slices.IndexFunc(parts, func(p fit.Part) bool { return p.ID == id })
	if k < 0 {
		return true
	}
	parts[k].Box = parts[k].Box.Moved(shift, 0, 0)
	if bay := s.bench.bay(parts[k].Bay); bay != nil {
		if _, side := fit.Outside(parts[k].Box, bay); side != "" {
			return false
		}
	}
	return !slices.ContainsFunc(fit.Clashes(parts, s.bench.bays), func(c fit.Clash) bool { return c.Part == id || c.Other == id })
}

// storedX is where the document has item i, before any extension, mm.
func (s *subject) storedX(i int) float64 {
	if e := s.job.Vehicle.Extension; e != nil && s.placed[i].Behind {
		return s.placed[i].At.X - e.By
	}
	return s.placed[i].At.X
}

// drains carries less in a tank or vessel, down to the least that is allowed.
func drains(s *subject, l *limit) []candidate {
	var all []candidate
	drain := func(kind, id, name string, place load.Mass, now, least, density float64) {
		perLitre := density * l.form.Sensitivity(place).PerKg
		if perLitre <= 0 || now <= least {
			return
		}
		litres := min(now-least, math.Ceil(l.over()/perLitre))
		effect := load.Moments{}.Add(load.Mass{Kg: -litres * density, X: place.X}).Axles(s.plan.Wheelbase)
		all = append(all, s.candidate(l,
			fmt.Sprintf("Carry %s less in %s", s.say.volume(litres), lower(name)),
			fitout.FixEdit{Kind: kind, ID: id, Value: now - litres}, effect, 0, litres*density))
	}
	for i, tank := range s.job.Vehicle.Tanks {
		drain("tank-level", tank.ID, tank.Name, s.plan.Tanks[i].Mass, tank.Now, tank.Min, tank.Density)
	}
	for i, item := range s.variant.Items {
		if level := item.Presence.Level; level != nil && item.Presence.Kind == fitout.ByLevel {
			drain("item-level", item.ID, item.Name, s.plan.Items[i].Mass, level.Now, level.Min, level.Density)
		}
	}
	return all
}

// leavings switches something off that can stay behind, with all that needs it.
func leavings(s *subject, l *limit) []candidate {
	var all []candidate
	before := s.plan.Axles()
	for k, sw := range s.variant.Switches {
		if !sw.On {
			continue
		}
		trial := *s.job
		variant := *s.variant
		variant.Switches = slices.Clone(variant.Switches)
		variant.Switches[k].On = false
		trial.Variants = []fitout.Variant{variant}
		without := load.NewPlan(&trial).Axles()
		effect := load.Axles{Front: without.Front - before.Front, Rear: without.Rear - before.Rear}
		if effect.Gross() == 0 || s.carriesPeople(sw.ID) {
			continue
		}
		all = append(all, s.candidate(l, "Leave "+lower(sw.Name)+" behind", fitout.FixEdit{Kind: "switch-off", ID: sw.ID},
			effect, 0, -effect.Gross()))
	}
	return all
}

// carriesPeople reports whether a switch puts a traveller aboard: who comes
// along is not for a fix to say.
func (s *subject) carriesPeople(id string) bool {
	return slices.ContainsFunc(s.variant.Items, func(item fitout.Item) bool {
		return item.Presence.Kind == fitout.BySwitch && item.Presence.Switch == id && isTraveller(&item)
	})
}

// uncoupling leaves the trailer behind.
func uncoupling(s *subject, l *limit) []candidate {
	if !s.plan.Coupled() {
		return nil
	}
	t := s.plan.Towing
	effect := load.Axles{Front: -t.Vehicle.Front, Rear: -t.Vehicle.Rear}
	return []candidate{s.candidate(l, "Uncouple the trailer", fitout.FixEdit{Kind: "uncouple"}, effect, -t.TrailerAxle, s.job.Trailer.Mass)}
}
