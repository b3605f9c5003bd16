package trip

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// lacking has a finding for every stretch of the way, from where something gives out to where there
// is more of it.
func (l *Look) lacking(want Want, tell func(*Lack) fitout.Finding) []fitout.Finding {
	if !l.Typed {
		return nil
	}
	var found []fitout.Finding
	for i := range l.W.Lacks {
		if lack := &l.W.Lacks[i]; lack.Of == want {
			found = append(found, tell(lack))
		}
	}
	return found
}

// atStop is the stop at which a lack shows, or from which its leg begins.
func (k *Lack) atStop() int { return max(k.Stop, k.Leg, 0) }

// when puts a lack into words: "on day 4, 120 km after the ford".
func (l *Look) when(k *Lack) string {
	if k.Leg < 0 {
		return fmt.Sprintf("on day %d at %s", k.Day, l.stop(k.Stop).Name)
	}
	return fmt.Sprintf("on day %d, %s", k.Day, l.where(k.Km, k.Leg))
}

// waterShort stops a way on which drinking water gives out.
func waterShort(l *Look) []fitout.Finding {
	return l.lacking(WantDrinking, func(lack *Lack) fitout.Finding {
		f := about("water-short", fitout.Stop, "route", l.stop(lack.atStop()).ID)
		f.Title = fmt.Sprintf("Drinking water gives out on day %d", lack.Day)
		f.Sentence = words.Sentences(
			fmt.Sprintf(
				"It gives out %s; %s are missing until there is more, of %s a day.",
				l.when(lack),
				l.Say.VolumeAtLeast(lack.Litres),
				l.Say.Volume(l.C.daily.drinking),
			),
			"Carry more, or find a stop with water that is fit to drink.",
		)
		f.Over(lack.Litres, 0, "L")
		return f
	})
}

// washesWithDrinking cautions where there is a vessel for washing and it runs dry, so that what is
// washed with is drunk from.
func washesWithDrinking(l *Look) []fitout.Finding {
	if !l.Typed || l.C.daily.wash == 0 {
		return nil
	}
	d := drawer{vessels: l.C.Vessels}
	wash := d.holding(fitout.HoldsWash)
	if len(wash) == 0 || len(d.holding(fitout.HoldsDrinking)) == 0 {
		return nil
	}
	for i := range l.W.Points {
		p := &l.W.Points[i]
		d.levels = p.Levels
		if d.left(wash) > 0.05 || p.Leg < 0 || l.C.Days.OnLeg[p.Leg] == 0 {
			continue
		}
		f := about("washes-with-drinking", fitout.Caution, "route", l.stop(p.Leg).ID)
		f.Title = "Drinking water is washed with"
		f.Sentence = words.Sentences(
			fmt.Sprintf("Water for washing is used up %s; from there on %s a day come out of the drinking water.",
				l.where(p.Km, p.Leg), l.Say.Volume(l.C.daily.wash)),
			"Wash less, or fill it again: water for washing need not be fit to drink.")
		f.Over(l.C.daily.wash, 0, "L")
		return []fitout.Finding{f}
	}
	return nil
}

// washShort cautions where water for washing gives out.
func washShort(l *Look) []fitout.Finding {
	return l.lacking(WantWash, func(lack *Lack) fitout.Finding {
		f := about("wash-short", fitout.Caution, "route", l.stop(lack.atStop()).ID)
		f.Title = fmt.Sprintf("Water for washing gives out on day %d", lack.Day)
		f.Sentence = fmt.Sprintf(
			"It gives out %s, with nothing left to drink from either; %s are missing until there is more. Carry more, or wash "+
				"less.",
			l.when(lack),
			l.Say.VolumeAtLeast(lack.Litres),
		)
		f.Over(lack.Litres, 0, "L")
		return f
	})
}

// wasteFull cautions where waste water has no room any more.
func wasteFull(l *Look) []fitout.Finding {
	return l.lacking(WantWaste, func(lack *Lack) fitout.Finding {
		f := about("waste-full", fitout.Caution, "route", l.stop(lack.atStop()).ID)
		f.Title = fmt.Sprintf("Waste water is full on day %d", lack.Day)
		f.Sentence = fmt.Sprintf(
			"It is full %s, and %s more come to it, an estimate: four fifths of what is washed with. Empty it "+
				"at a stop with a dump before, or catch more.",
			l.when(lack),
			l.Say.VolumeAtLeast(lack.Litres),
		)
		f.Over(lack.Litres, 0, "L")
		return f
	})
}

// foodShort cautions where food gives out.
func foodShort(l *Look) []fitout.Finding {
	return l.lacking(WantFood, func(lack *Lack) fitout.Finding {
		f := about("food-short", fitout.Caution, "route", l.stop(lack.atStop()).ID)
		f.Title = fmt.Sprintf("Food gives out on day %d", lack.Day)
		kg := lack.Litres
		for i := range l.C.Vessels {
			if v := &l.C.Vessels[i]; v.Holds == fitout.HoldsFood {
				kg = lack.Litres * v.Density
				break
			}
		}
		f.Sentence = fmt.Sprintf(
			"It gives out %s, at %s a day; %s are missing until there is more. Carry more, or buy some on the way.",
			l.when(lack),
			l.Say.Mass(l.C.daily.food),
			l.Say.MassAtLeast(kg),
		)
		f.Over(kg, 0, "kg")
		return f
	})
}

// heavyJugs is from how many jugs on carrying is worth a word.
const heavyJugs = 3

// carriedWater notes water that is carried by the jug: how often one walks.
func carriedWater(l *Look) []fitout.Finding {
	if !l.Typed {
		return nil
	}
	jug := l.Variant.Plumbing.Jug
	if jug == 0 {
		jug = usualJug
	}
	var found []fitout.Finding
	for i := range l.C.Route.Stops {
		litres := 0.0
		for k := range l.C.Vessels {
			if holds := l.C.Vessels[k].Holds; holds == fitout.HoldsDrinking || holds == fitout.HoldsWash {
				litres += max(0, l.W.Stops[i].Filled[k])
			}
		}
		n := Jugs(litres, jug)
		if l.stop(i).Water != fitout.ByCarried || n < heavyJugs {
			continue
		}
		f := about("water-carried", fitout.Note, "route", l.stop(i).ID)
		f.Title = fmt.Sprintf("%d jugs to carry at %s", n, l.stop(i).Name)
		f.Sentence = fmt.Sprintf("%s are filled there without a hose: %d times a jug of %s, lifted to the filler.",
			l.Say.Volume(litres), n, l.Say.Volume(jug))
		f.Over(float64(n), heavyJugs-1, "jugs")
		found = append(found, f)
	}
	return found
}

// usualJug is a jug of which nobody said how large it is, litres.
const usualJug = 10.0

// frozen cautions of the first night on which water in the cold air freezes, with what to drain in
// which order, and names where it does again.
func frozen(l *Look) []fitout.Finding {
	steps := l.drain()
	if len(steps) == 0 {
		return nil
	}
	var at []int
	for i := range l.C.Route.Stops {
		if math.Floor(l.stop(i).Nights) > 0 && l.C.ColdAt(i) < 0 {
			at = append(at, i)
		}
	}
	if len(at) == 0 {
		return nil
	}
	first, cold := at[0], l.C.ColdAt(at[0])
	f := about("frost", fitout.Caution, "route", l.stop(first).ID)
	f.Title = fmt.Sprintf("Water freezes in the night at %s", l.stop(first).Name)
	f.Sentence = words.Sentences(
		fmt.Sprintf("On night %d it gets down to %s there.", l.W.Days.Arrive[first], l.Say.Temperature(cold)),
		"Before it, in this order: "+strings.Join(steps, "; ")+".",
		"Or lag and heat what is outside, or move it in.")
	var again []string
	for _, k := range at[1:] {
		f.With, again = append(f.With, l.stop(k).ID), append(again, l.stop(k).Name)
	}
	if len(again) > 0 {
		f.Sentence += " It does again at " + words.List(again) + "."
	}
	f.Source = "physics"
	f.Under(cold, 0, "°C")
	return []fitout.Finding{f}
}

// drain is what is drained, opened and blown out before frost, in its order: what pushes water
// first, then outlets from the highest down, then lines, then tanks from the highest down, waste
// last. Nothing where no water is in the cold.
func (l *Look) drain() []string {
	var tanks, waste []*Vessel
	for i := range l.C.Vessels {
		v := &l.C.Vessels[i]
		water := v.Holds == fitout.HoldsDrinking || v.Holds == fitout.HoldsWash || v.Holds == fitout.HoldsWaste
		if !water || !v.Said.Outside || v.Said.FrostSafe {
			continue
		}
		if v.Holds == fitout.HoldsWaste {
			waste = append(waste, v)
		} else {
			tanks = append(tanks, v)
		}
	}
	outlets := slices.Clone(l.Variant.Plumbing.Outlets)
	outlets = slices.DeleteFunc(outlets, func(o fitout.Outlet) bool { return !o.Cold })
	if len(tanks)+len(waste)+len(outlets) == 0 {
		return nil
	}
	slices.SortStableFunc(outlets, func(a, b fitout.Outlet) int { return int(b.At.Z - a.At.Z) })
	slices.SortStableFunc(tanks, func(a, b *Vessel) int { return int(b.At.Z - a.At.Z) })
	var steps []string
	for _, p := range l.Variant.Plumbing.Pumps {
		steps = append(steps, "switch "+words.Lower(p.Name)+" off")
	}
	for _, o := range outlets {
		steps = append(steps, "open "+words.Lower(o.Name))
	}
	for _, v := range append(tanks, waste...) {
		steps = append(steps, "drain "+words.Lower(v.Name))
	}
	return append(steps, "blow the lines out", "leave all taps open")
}

// pumpSmall cautions of a pump that gives less than the outlets that may be open at once.
func pumpSmall(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for _, p := range l.Variant.Plumbing.Pumps {
		open, alone := 0.0, 0.0
		var names []string
		for _, o := range l.Variant.Plumbing.Outlets {
			if o.Pump != p.ID {
				continue
			}
			if o.Shut {
				alone = max(alone, o.Flow)
				continue
			}
			open += o.Flow
			names = append(names, words.Lower(o.Name))
		}
		wanted := max(open, alone)
		if p.Flow == 0 || wanted <= p.Flow+0.05 {
			continue
		}
		f := about("pump-small", fitout.Caution, "plumbing", p.ID)
		f.Title = fmt.Sprintf("%s is too small for its outlets", p.Name)
		f.Sentence = words.Sentences(
			fmt.Sprintf(
				"It gives %s; %s together want %s.",
				l.Say.Flow(p.Flow),
				words.List(names),
				l.Say.FlowAtLeast(wanted),
			),
			"A larger pump, or say which of them is never open with another.",
		)
		f.Over(wanted, p.Flow, "L/min")
		found = append(found, f)
	}
	return found
}

// onePump notes drinking water that one pump alone brings out.
func onePump(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for _, p := range l.Variant.Plumbing.Pumps {
		if p.Spare || len(l.Variant.Plumbing.Pumps) > 1 {
			continue
		}
		i := slices.IndexFunc(l.Variant.Plumbing.Outlets, func(o fitout.Outlet) bool {
			v := l.vessel(o.Vessel)
			return o.Pump == p.ID && v != nil && v.Holds == fitout.HoldsDrinking
		})
		if i < 0 ||
			slices.ContainsFunc(l.Variant.Plumbing.Outlets, func(o fitout.Outlet) bool { return o.Pump == "" }) {
			continue
		}
		f := about("one-pump", fitout.Note, "plumbing", p.ID)
		f.Title = "Without " + words.Lower(p.Name) + " there is no water"
		f.Sentence = "It alone brings drinking water out. A tap by weight, a hand pump or a spare one belongs to it."
		found = append(found, f)
	}
	return found
}
