package trip

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// legTooLong stops a way on which the fuel gives out, and cautions where the reserve is touched: once on each
// stretch between two fillings, at the leg on which it runs dry, or else at the first that touches the reserve.
func legTooLong(l *Look) []fitout.Finding {
	if !l.Typed || len(l.C.fuel) == 0 {
		return nil
	}
	var found []fitout.Finding
	short := false
	for i := range l.W.Legs {
		if l.C.bought(l.W, i) > 0 {
			short = false
		}
		if short || l.W.Legs[i].short() < settled {
			continue
		}
		short = true
		found = append(found, l.tooLong(i))
	}
	return found
}

// tooLong stops a stretch of the way on which the fuel gives out, and cautions of one on which the reserve is touched,
// from the first leg that is short.
func (l *Look) tooLong(first int) fitout.Finding {
	missing, end := l.C.missing(l.W, l.C.before(first), first, false), l.end(l.W, first)
	at := first
	for k := end - 1; k >= first; k-- {
		if l.W.Legs[k].Lacking > dry {
			at = k // the first that runs dry, however much is short before
		}
	}
	leg, from, to := &l.W.Legs[at], l.stop(at), l.stop(at+1)
	f := about("leg-too-long", fitout.Caution, "route", from.ID)
	f.Title = fmt.Sprintf("Reserve touched before %s", to.Name)
	told := fmt.Sprintf("%s are left at %s.", l.Say.Volume(leg.Left), to.Name)
	if leg.Left < dry {
		f.Severity, f.Title = fitout.Stop, fmt.Sprintf("No fuel before %s", to.Name)
		for _, lack := range l.W.Lacks {
			if lack.Of == WantFuel && lack.Leg == at {
				told = fmt.Sprintf("It gives out %s before it.", l.Say.Distance(l.W.Stops[at+1].Km-lack.Km))
			}
		}
	}
	f.Sentence = words.Sentences(
		fmt.Sprintf("From %s to %s, %s, takes %s, an estimate; %s can be used on leaving.", from.Name, to.Name,
			l.Say.Distance(from.Leg.Km), l.Say.Volume(leg.Fuel), l.Say.Volume(leg.Fuel+leg.Left-leg.Lacking)),
		told, fmt.Sprintf("With the reserve of %s that is %s too little up to %s.", l.Say.Volume(leg.Reserve),
			l.Say.VolumeAtLeast(missing), l.stop(end).Name), l.wayOut(first, missing))
	f.Under(leg.Left, leg.Reserve, "L")
	f.Margin = -missing
	l.fillPlan(&f, Lightest)
	return f
}

// dry is what may be left in tanks that are called empty, litres.
const dry = 0.05

// end is the stop up to which what is missing on a leg is counted: the next one that fills, or the last.
func (l *Look) end(w *Way, leg int) int {
	for leg++; leg < len(w.Legs) && l.C.bought(w, leg) <= settled; leg++ {
	}
	return leg
}

// wayOut tells which stop or vessel mends a leg that is too long.
func (l *Look) wayOut(leg int, missing float64) string {
	from := l.C.before(leg)
	at, room, more := "at "+l.stop(from).Name, l.room(from), l.C.missing(l.W, from, leg, true)
	if !l.C.planned(from) {
		at = "at the start"
	}
	switch {
	case room >= missing && !l.C.planned(from):
		return fmt.Sprintf(
			"No pump lies before it: bring that much more %s, where the tanks have room for %s.",
			at,
			l.Say.Volume(room),
		)
	case room >= missing:
		return fmt.Sprintf("Fill that more %s: the tanks have room for %s.", at, l.Say.Volume(room))
	case room < 0.5:
		return fmt.Sprintf("The tanks are full already %s: another vessel of %s, or a pump on the way, would do.", at,
			l.Say.VolumeAtLeast(more))
	default:
		return fmt.Sprintf(
			"The tanks take only %s more %s: another vessel of %s, or a pump on the way, would do.",
			l.Say.Volume(room),
			at,
			l.Say.VolumeAtLeast(more-room),
		)
	}
}

// room is what the fuel tanks still take on leaving a stop, litres.
func (l *Look) room(stop int) float64 {
	sum := 0.0
	for _, k := range l.C.fuel {
		sum += max(0, l.C.Vessels[k].Full-l.W.Stops[stop].Leave[k])
	}
	return sum
}

// tanksTooSmall stops a way that full tanks do not reach from one sure pump to the next.
func tanksTooSmall(l *Look) []fitout.Finding {
	if !l.Typed || len(l.C.fuel) == 0 {
		return nil
	}
	refuse := l.C.Reach(l.W)
	if refuse == nil || !l.short() { // one that fills where it is not sure is another finding
		return nil
	}
	lacking := l.C.anotherVessel(l.W, refuse)
	from, to := l.stop(refuse.From), l.stop(min(refuse.To, len(l.C.Route.Stops)-1))
	f := about("tanks-too-small", fitout.Stop, "route", from.ID)
	f.Title = fmt.Sprintf("Full tanks do not reach from %s to %s", from.Name, to.Name)
	unsure := ""
	for i := refuse.From + 1; i < refuse.To && i < len(l.C.Route.Stops); i++ {
		if _, has := l.C.fuelAt(i); has && l.stop(i).Sure == fitout.Unsure {
			if l.C.as(i, fitout.Sure).Reach(l.W) != nil {
				continue
			}
			unsure = fmt.Sprintf("Ask at %s whether there will be fuel: if that is sure, it does.", l.stop(i).Name)
			f.Fixes = append(f.Fixes, fitout.Fix{Label: "Count on " + l.stop(i).Name,
				Edit: fitout.FixEdit{Kind: "stop-sure", ID: l.stop(i).ID}})
			break
		}
	}
	f.Sentence = words.Sentences(
		fmt.Sprintf(
			"Even filled to the full at %s, %s are missing up to %s with the reserve, an estimate.",
			from.Name,
			l.Say.VolumeAtLeast(lacking),
			to.Name,
		),
		unsure,
		"A second tank or cans, less reserve, or another way.",
	)
	f.Over(lacking, 0, "L")
	return []fitout.Finding{f}
}

// short tells whether the reserve is touched anywhere.
func (l *Look) short() bool {
	for i := range l.W.Legs {
		if l.W.Legs[i].short() >= settled {
			return true
		}
	}
	return false
}

// as is the course with one stop sure, unsure or shut.
func (c *Course) as(stop int, sure fitout.Sureness) *Course {
	other, route := *c, *c.Route
	route.Stops = slices.Clone(route.Stops)
	route.Stops[stop].Sure = sure
	other.Route = &route
	return &other
}

// hangsOnUnsure cautions where the plan fills at a stop that may be shut, and does not reach the next
// one without it: every unsure stop is taken away in turn.
func hangsOnUnsure(l *Look) []fitout.Finding {
	if !l.Typed {
		return nil
	}
	var found []fitout.Finding
	for i := range l.C.Route.Stops {
		if l.stop(i).Sure != fitout.Unsure || l.C.bought(l.W, i) < settled {
			continue
		}
		without := l.C.as(i, fitout.Shut).Follow(l.Variant.Fills)
		for k := i; k < len(without.Legs); k++ {
			missing := l.C.missing(without, l.C.before(max(0, i-1)), k, false)
			if without.Legs[k].short() < settled || l.W.Legs[k].short() >= settled {
				continue
			}
			f := about("hangs-on-unsure", fitout.Caution, "route", l.stop(i).ID)
			f.Title = "All hangs on the pump of " + l.stop(i).Name
			f.Sentence = words.Sentences(
				fmt.Sprintf(
					"The plan fills %s there, and it is not sure that it can.",
					l.Say.Volume(l.C.bought(l.W, i)),
				),
				fmt.Sprintf("Without it %s are missing up to %s with the reserve.", l.Say.VolumeAtLeast(missing),
					l.stop(l.end(without, k)).Name),
				"Carry them from before, or ask there before leaving.",
			)
			f.Over(missing, 0, "L")
			l.fillPlan(&f, Lightest)
			found = append(found, f)
			break
		}
	}
	return found
}

// wrongFuel cautions where fuel is to be filled at a stop that has only another kind.
func wrongFuel(l *Look) []fitout.Finding {
	if !l.Typed {
		return nil
	}
	var found []fitout.Finding
	for _, fill := range l.Variant.Fills {
		v := l.vessel(fill.Of)
		i := slices.IndexFunc(l.C.Route.Stops, func(s fitout.RouteStop) bool { return s.ID == fill.Stop })
		if v == nil || i < 0 || v.Holds != fitout.HoldsFuel || len(l.stop(i).Fuels) == 0 ||
			fill.Litres <= v.Unusable {
			continue
		}
		if _, has := l.C.fuelAt(i); has {
			continue
		}
		f := about("fuel-wrong-kind", fitout.Stop, "route", fill.Stop)
		f.With = []string{v.ID}
		f.Title = fmt.Sprintf("%s has no %s", l.stop(i).Name, l.Vehicle.EngineFuel())
		f.Sentence = fmt.Sprintf(
			"%s is to be filled at %s, which has only %s. The engine burns %s.",
			v.Name,
			l.stop(i).Name,
			l.stop(i).Fuels[0].Fuel,
			l.Vehicle.EngineFuel(),
		)
		f.Margin = -1
		found = append(found, f)
	}
	return found
}

// axleOverOnTheWay stops a way on which an axle, the gross or the combination passes its limit, for
// each limit once, where it is worst; and tells whether filling later would mend it.
func axleOverOnTheWay(l *Look) []fitout.Finding {
	if !l.Typed {
		return nil
	}
	var found []fitout.Finding
	for _, worst := range l.C.WorstOf(l.W) {
		if worst.Load <= worst.Most+0.05 {
			continue
		}
		title, km := "", 0.0
		for _, b := range l.C.bounds() {
			if b.id == worst.Limit {
				title, km = b.title, l.W.kmOver(&b)
			}
		}
		stop := l.stop(max(0, worst.Leg)).ID
		f := about("over-on-the-way", fitout.Stop, "route", stop)
		f.With, f.Waivable = []string{worst.Limit}, false
		f.Title = fmt.Sprintf("%s %s over %s", title, l.Say.Mass(worst.Load-worst.Most), l.where(worst.Km, worst.Leg))
		later := ""
		var p *Proposal
		if l.C.Quick() {
			p = l.Propose(WithinAxle)
		} else {
			later = "See under Range whether filling later mends it."
		}
		if p != nil && p.Refuse == nil && len(p.Fills) > 0 {
			now := loadOf(l.C.WorstOf(p.Way), worst.Limit)
			switch {
			case now <= worst.Most:
				later = fmt.Sprintf("Filled later, at the pumps on the way, it is at most %s.", l.Say.Mass(now))
				l.fillPlan(&f, WithinAxle)
			case now < worst.Load-0.5:
				later = fmt.Sprintf(
					"Filled later it would still be %s: something else has to stay behind.",
					l.Say.Mass(now),
				)
				l.fillPlan(&f, WithinAxle)
				for k := range f.Fixes {
					f.Fixes[k].Label += " (not enough alone)"
				}
			default:
				later = "No other way to fill mends it: something has to stay behind, or be stowed elsewhere."
			}
		}
		f.Sentence = words.Sentences(
			fmt.Sprintf("It carries %s of %s %s, and is over its limit for %s of the way.", l.Say.Mass(worst.Load),
				l.Say.Mass(worst.Most), l.where(worst.Km, worst.Leg), l.Say.Distance(math.Max(1, km))), later)
		f.Source = "plate"
		f.Over(worst.Load, worst.Most, "kg")
		found = append(found, f)
	}
	return found
}

// loadOf is the load of one limit among the worst of all.
func loadOf(all []Worst, limit string) float64 {
	for _, w := range all {
		if w.Limit == limit {
			return w.Load
		}
	}
	return 0
}

// kmOver is on how many km a limit is passed.
func (w *Way) kmOver(b *bound) float64 {
	sum := 0.0
	for i := 1; i < len(w.Points); i++ {
		p, q := &w.Points[i-1], &w.Points[i]
		if p.Leg != q.Leg {
			continue
		}
		a, z := b.load(&p.Loads)-b.most, b.load(&q.Loads)-b.most
		switch km := q.Km - p.Km; {
		case a > 0 && z > 0:
			sum += km
		case a > 0 || z > 0: // the load is linear between two points
			sum += km * max(a, z) / math.Abs(a-z)
		}
	}
	return sum
}

// briefDiffers notes a way that is longer between fuel, or has more nights, than the brief says.
func briefDiffers(l *Look) []fitout.Finding {
	trip := &l.Job.Brief.Trip
	if !l.Typed {
		return nil
	}
	longest, km, last := 0.0, 0.0, 0
	for i := range l.W.Legs {
		if l.C.planned(i) {
			km, last = 0, i
		}
		km += l.stop(i).Leg.Km
		longest = max(longest, km)
	}
	var found []fitout.Finding
	if trip.FuelDistance > 0 && longest > trip.FuelDistance+0.5 {
		f := about("route-longer", fitout.Note, "route", l.stop(last).ID)
		f.Title = "The way is longer between fuel than the brief says"
		f.Sentence = fmt.Sprintf("The brief has %s between fuel, the way %s. Both are to say the same.",
			l.Say.Distance(trip.FuelDistance), l.Say.Distance(longest))
		f.Source = "brief"
		f.Over(longest, trip.FuelDistance, "km")
		found = append(found, f)
	}
	if nights := float64(l.W.Days.Nights); trip.Nights > 0 && nights > trip.Nights {
		f := about("route-nights", fitout.Note, "route", l.stop(0).ID)
		f.Title = "The way has more nights than the brief"
		f.Sentence = fmt.Sprintf(
			"The brief has %s nights between services, the way %s in all. That is right where water and "+
				"food are had on the way.",
			l.Say.Plain(trip.Nights),
			l.Say.Plain(nights),
		)
		f.Source = "brief"
		f.Over(nights, trip.Nights, "nights")
		found = append(found, f)
	}
	return found
}

// canBehind notes fuel cans behind the rear axle: what they take off the front.
func canBehind(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.C.Vessels {
		v := &l.C.Vessels[i]
		if v.Tank || v.Holds != fitout.HoldsFuel || v.perLitre.Towed != 0 || v.At.X <= l.Load.Wheelbase {
			continue
		}
		axles := v.perLitre.Times(v.Full).Axles(l.Load.Wheelbase)
		f := about("can-behind", fitout.Note, "item", v.ID)
		f.Title = fmt.Sprintf("%s lifts the front", v.Name)
		f.Sentence = fmt.Sprintf(
			"Full it takes %s off the front axle and puts %s on the rear. Ahead of the rear axle it would "+
				"not.",
			l.Say.Mass(-axles.Front),
			l.Say.Mass(axles.Rear),
		)
		f.Source = "physics"
		f.Over(-axles.Front, 0, "kg")
		found = append(found, f)
	}
	return found
}
