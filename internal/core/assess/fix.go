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

// candidate weighs up a change by what it does to the moments.
func (s *subject) candidate(l *limit, label string, edit fitout.FixEdit, change load.Moments, effort float64) candidate {
	effect, relief := change.Axles(s.plan.Wheelbase), -l.form.Of(change)
	return candidate{
		fix:    fitout.Fix{Label: label, Edit: edit, Front: effect.Front, Rear: effect.Rear},
		relief: relief,
		enough: relief >= l.over()-1e-9 && s.keeps(effect, l),
		effort: effort,
	}
}

// lighter is what taking so many kg off a place does to the moments.
func lighter(at load.Mass, kg float64) load.Moments {
	at.Kg = -kg
	return load.Moments{}.Add(at)
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
		if !s.movable(i) || placed.Mass.X < from+half || placed.Mass.X > to-half {
			continue
		}
		perMM := l.form.Sensitivity(placed.Mass).PerMM
		if perMM == 0 {
			continue
		}
		shift := -l.over() / perMM
		shift = math.Copysign(math.Ceil(math.Abs(shift)/shiftStep)*shiftStep, shift)
		shift = min(max(shift, from+half-placed.Mass.X), to-half-placed.Mass.X)
		if math.Abs(shift) < shiftStep || !s.standsAfter(item.ID, fitout.Point{X: shift}) {
			continue
		}
		direction := "rearward"
		if shift < 0 {
			direction = "forward"
		}
		all = append(all, s.candidate(l,
			fmt.Sprintf("Move %s %s %s", lower(item.Name), s.say.length(math.Abs(shift)), direction),
			fitout.FixEdit{Kind: "move-item", ID: item.ID, Value: s.storedX(i) + shift},
			load.Moments{X: placed.Mass.Kg * shift, XY: placed.Mass.Kg * shift * placed.Mass.Y}, placed.Mass.Kg*math.Abs(shift)/1000))
	}
	return all
}

// standsAfter reports whether a part that is moved stays in its bay and clear of
// others; what is no module is not judged.
func (s *subject) standsAfter(id string, by fitout.Point) bool {
	k := slices.IndexFunc(s.bench.parts, func(p fit.Part) bool { return p.ID == id })
	return k < 0 || s.standsAs(k, s.bench.parts[k].Box.Moved(by.X, by.Y, by.Z))
}

// standsAs reports whether part k of the bench stays in its bay and clear of
// others as another box.
func (s *subject) standsAs(k int, box fitout.Box) bool {
	parts := slices.Clone(s.bench.parts)
	id := parts[k].ID
	parts[k].Box = box
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
		all = append(all, s.candidate(l,
			fmt.Sprintf("Carry %s less in %s", s.say.volume(litres), lower(name)),
			fitout.FixEdit{Kind: kind, ID: id, Value: now - litres}, lighter(place, litres*density), litres*density))
	}
	for i, tank := range s.job.Vehicle.Tanks {
		drain("tank-level", tank.ID, tank.Name, s.plan.Tanks[i].Mass, tank.Now, tank.Min, tank.Density)
	}
	for i, item := range s.variant.Items {
		if level := item.Presence.Level; level != nil && item.Presence.Kind == fitout.ByLevel && !s.plan.Items[i].Trailer {
			drain("item-level", item.ID, item.Name, s.plan.Items[i].Mass, level.Now, level.Min, level.Density)
		}
	}
	return all
}

// leavings switches something off that can stay behind, with all that needs it.
func leavings(s *subject, l *limit) []candidate {
	var all []candidate
	for k, sw := range s.variant.Switches {
		if !sw.On {
			continue
		}
		trial := *s.job
		variant := *s.variant
		variant.Switches = slices.Clone(variant.Switches)
		variant.Switches[k].On = false
		trial.Variants = []fitout.Variant{variant}
		change := load.NewPlan(&trial).Now().Minus(s.now)
		if change.Kg+change.Towed == 0 || s.carriesPeople(sw.ID) {
			continue
		}
		all = append(all, s.candidate(l, "Leave "+lower(sw.Name)+" behind", fitout.FixEdit{Kind: "switch-off", ID: sw.ID},
			change, -change.Kg-change.Towed))
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

// trailings put a loose thing onto the coupled trailer, over its axle.
func trailings(s *subject, l *limit) []candidate {
	if !s.plan.Coupled() {
		return nil
	}
	var all []candidate
	for i := range s.variant.Items {
		item, placed := &s.variant.Items[i], s.plan.Items[i]
		if !placed.Present || item.Seat != "" || item.Module != nil || item.Locked || placed.Mass.Kg < lightest {
			continue
		}
		change := lighter(placed.Mass, placed.Mass.Kg)
		change.Towed = placed.Mass.Kg
		all = append(all, s.candidate(l, fmt.Sprintf("Carry %s on the trailer, over its axle", lower(item.Name)),
			fitout.FixEdit{Kind: "to-trailer", ID: item.ID}, change, placed.Mass.Kg))
	}
	return all
}

// untrailings take a thing off the trailer, onto the vehicle where it has its place.
func untrailings(s *subject, l *limit) []candidate {
	var all []candidate
	for i := range s.variant.Items {
		item, placed := &s.variant.Items[i], s.plan.Items[i]
		if !placed.Present || !placed.Trailer || item.Locked {
			continue
		}
		place := s.placed[i].At // with a wheelbase extension
		at := load.Mass{Kg: placed.Towed, X: place.X, Y: place.Y, Z: place.Z}
		change := load.Moments{Towed: -placed.Towed}.Add(at)
		all = append(all, s.candidate(l, fmt.Sprintf("Carry %s on the vehicle instead of the trailer", lower(item.Name)), fitout.FixEdit{Kind: "off-trailer", ID: item.ID}, change, placed.Towed))
	}
	return all
}

// uncoupling leaves the trailer behind.
func uncoupling(s *subject, l *limit) []candidate {
	if !s.plan.Coupled() {
		return nil
	}
	change := load.Moments{Towed: -s.now.Towed}.Minus(s.plan.Towing.Moments(s.plan.Wheelbase))
	return []candidate{s.candidate(l, "Uncouple the trailer", fitout.FixEdit{Kind: "uncouple"}, change, s.job.Trailer.Mass)}
}
