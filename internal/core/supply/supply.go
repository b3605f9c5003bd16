// Package supply finds the set of battery, panels, charger and inverter of the catalogue
// that lasts the days of a job: the lightest or the cheapest of all that do, by exact
// search. More sun and more charging never lower the line of a battery, so that of each
// battery only the edge between what lasts and what does not is followed; where something
// is shed or switched by logic that does not hold, and every set is tried.
package supply

import (
	"cmp"
	"context"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
)

// Wish is what a set is asked for.
type Wish struct {
	System  string  `json:"system" doc:"id of the system that it is for; empty: the first house"`
	Aim     string  `json:"aim" enum:"mass,price" doc:"what there is to be least of"`
	Reserve float64 `json:"reserve" minimum:"0" maximum:"0.9" doc:"state of charge that is kept, 0 to 1"`
	Most    int     `json:"most" minimum:"0" maximum:"4" doc:"panels of one kind at most"`
	Loose   bool    `json:"loose" doc:"panels that are put up at camp count too"`
	Slim    float64 `json:"slim" minimum:"0" maximum:"2000" doc:"least side of the battery at most, mm; 0: any"`
}

// Check refuses a wish that is out of range.
func (w *Wish) Check() error {
	switch {
	case w.Aim != "mass" && w.Aim != "price":
		return fitout.Problem{Path: "wish.aim", Given: w.Aim, Accepted: "mass or price"}
	case !(w.Reserve >= 0 && w.Reserve <= 0.9):
		return fitout.Problem{Path: "wish.reserve", Given: "another", Accepted: "a share from 0 to 0.9"}
	case w.Most < 0 || w.Most > 4:
		return fitout.Problem{Path: "wish.most", Given: "another", Accepted: "a number from 0 to 4"}
	}
	return nil
}

// SetPart is one component of a set.
type SetPart struct {
	Component string  `json:"component" doc:"id in the catalogue"`
	Name      string  `json:"name"`
	Count     int     `json:"count"`
	Mass      float64 `json:"mass" doc:"of all, kg"`
	Price     int     `json:"price" doc:"of all, cents"`
}

// SupplySet is one set that lasts.
type SupplySet struct {
	Parts  []SetPart `json:"parts"`
	Mass   float64   `json:"mass" doc:"kg"`
	Price  int       `json:"price" doc:"cents"`
	Lowest float64   `json:"lowest" doc:"state of charge, 0 to 1"`

	Changes []fitout.Fix `json:"changes" doc:"that put it into the job"`
	Front   float64      `json:"front" doc:"change of the front axle load, kg"`
	Rear    float64      `json:"rear" doc:"change of the rear axle load, kg"`
}

// Choice is one set on the way: −1 for none of a kind.
type Choice struct{ Battery, Panel, Panels, Charger, Inverter int }

// Search looks for sets.
type Search struct {
	plan   *plan.Plan
	base   fitout.Electrics // without what is chosen anew
	system int
	wish   *Wish
	c      Candidates
	edge   bool // what lasts and what does not has an edge
	mains  bool
	Tried  int // runs of the days
}

// NewSearch makes a search ready. It refuses a job without a battery to plan for.
func NewSearch(p *plan.Plan, c Candidates, w *Wish) (*Search, error) {
	s := &Search{plan: p, wish: w, c: c, edge: true, system: -1}
	e := p.Variant.Electrics
	for i := range e.Systems {
		if e.Systems[i].ID == w.System || w.System == "" && e.Systems[i].Kind == fitout.HouseSystem && s.system < 0 {
			s.system = i
		}
	}
	if s.system < 0 {
		return nil, fitout.Problem{Path: "wish.system", Given: w.System,
			Accepted: "the id of a battery of the electrics; add one first"}
	}
	id := e.Systems[s.system].ID
	inverters := map[string]bool{}
	for _, i := range e.Inverters {
		inverters[i.ID] = i.System == id
	}
	for i := range e.Loads {
		l := &e.Loads[i]
		hangs := l.System == id && l.Inverter == "" || inverters[l.Inverter]
		s.edge = s.edge && (l.Shed == 0 || !hangs)
		if inverters[l.Inverter] && !l.Others {
			s.mains = true
		}
	}
	s.edge = s.edge && len(e.Outputs) == 0
	chargers := map[string]bool{}
	e.Chargers = slices.DeleteFunc(slices.Clone(e.Chargers), func(c fitout.Charger) bool {
		chargers[c.ID] = c.System == id
		return c.System == id
	})
	e.Sources = slices.DeleteFunc(slices.Clone(e.Sources), func(x fitout.PowerSource) bool {
		return (x.System == id || chargers[x.Charger]) && (x.Kind == fitout.Solar || x.Kind == fitout.Alternator)
	})
	s.base = e
	return s, nil
}

// electrics are those of a choice.
func (s *Search) electrics(c Choice) *fitout.Electrics {
	e := s.base
	e.Systems = slices.Clone(e.Systems)
	e.Sources, e.Chargers = slices.Clone(e.Sources), slices.Clone(e.Chargers)
	of := &e.Systems[s.system]
	was := of.Battery
	of.Battery, of.Voltage = s.c.Batteries[c.Battery].Device.System.Battery, s.c.Batteries[c.Battery].Device.System.Voltage
	of.Battery.Warmer = was.Warmer
	if c.Panel >= 0 && c.Panels > 0 {
		panel := *s.c.Panels[c.Panel].Device.Source
		panel.ID, panel.System, panel.Watts = "asked-sun", of.ID, panel.Watts*float64(c.Panels)
		e.Sources = append(e.Sources, panel)
	}
	if c.Charger >= 0 {
		e.Sources = append(e.Sources, fitout.PowerSource{ID: "asked-charger", Name: "Charger", Kind: fitout.Alternator,
			System: of.ID,
			Amps:   s.c.Chargers[c.Charger].Device.Charger.Amps, Mount: fitout.FlatPanel})
	}
	if c.Inverter >= 0 {
		e.Inverters = slices.Clone(e.Inverters)
		for i := range e.Inverters {
			if e.Inverters[i].System == of.ID {
				with := *s.c.Inverters[c.Inverter].Device.Inverter
				e.Inverters[i].Watts, e.Inverters[i].Surge = with.Watts, with.Surge
				e.Inverters[i].Standby, e.Inverters[i].Efficiency = with.Standby, with.Efficiency
			}
		}
	}
	return &e
}

// Lasts tells whether a choice lasts the days with its reserve, gives what is asked of it
// at once, and its lowest state of charge.
func (s *Search) Lasts(c Choice, weather power.Weather) (float64, bool) {
	s.Tried++
	setup := power.SetupFor(s.plan, s.electrics(c))
	run := setup.Run(weather, nil)
	of := &run.Systems[s.system]
	battery := &setup.Systems[s.system].Def.Battery
	fits := of.OutAt < 0 && of.Lowest >= s.wish.Reserve && of.Peak <= power.MostDischarge(battery)*1.000001
	if c.Inverter >= 0 {
		watts, surge := power.OnInverters(setup, run, s.system)
		with := s.c.Inverters[c.Inverter].Device.Inverter
		fits = fits && watts <= with.Watts && surge <= max(with.Surge, with.Watts)
	}
	return of.Lowest, fits
}

// Weigh is what there is to be least of: kg, or cents.
func (s *Search) Weigh(c Choice) float64 {
	total := 0.0
	for _, p := range s.parts(c) {
		if s.wish.Aim == "price" {
			total += float64(p.Price)
		} else {
			total += p.Mass
		}
	}
	return total
}

func (s *Search) parts(c Choice) []SetPart {
	var all []SetPart
	add := func(of *Candidate, count int) {
		all = append(all, SetPart{of.ID, of.Name, count, of.Mass * float64(count), of.Price * count})
	}
	add(&s.c.Batteries[c.Battery], 1)
	if c.Panel >= 0 && c.Panels > 0 {
		if k := s.controller(c); k >= 0 {
			add(&s.c.Controllers[k], 1)
		}
		add(&s.c.Panels[c.Panel], c.Panels)
	}
	if c.Charger >= 0 {
		add(&s.c.Chargers[c.Charger], 1)
	}
	if c.Inverter >= 0 {
		add(&s.c.Inverters[c.Inverter], 1)
	}
	return all
}

// controller is the least controller for the panels of a choice, −1 where the catalogue has
// none that is wide enough: then no set with them is told.
func (s *Search) controller(c Choice) int {
	panel := s.c.Panels[c.Panel].Device.Source
	class := s.c.Batteries[c.Battery].Device.System.Voltage
	return Controller(s.c.Controllers, panel.Watts*float64(c.Panels), panel.Open, s.plan.Job.Brief.Trip.Coldest, class,
		func(one *Candidate) float64 {
			if s.wish.Aim == "price" {
				return float64(one.Price)
			}
			return one.Mass
		})
}

// setOf is a choice as a set.
func (s *Search) setOf(c Choice, lowest float64) SupplySet {
	set := SupplySet{Parts: s.parts(c), Lowest: lowest, Changes: []fitout.Fix{}}
	for _, p := range set.Parts {
		set.Mass += p.Mass
		set.Price += p.Price
	}
	return set
}

// All are all choices, the least first.
func (s *Search) All() []Choice {
	var all []Choice
	inverters := []int{-1}
	if s.mains {
		inverters = inverters[:0]
		for i := range s.c.Inverters {
			inverters = append(inverters, i)
		}
	}
	for b := range s.c.Batteries {
		for _, inverter := range inverters {
			for charger := -1; charger < len(s.c.Chargers); charger++ {
				all = append(all, Choice{b, -1, 0, charger, inverter})
				for panel := range s.c.Panels {
					for n := 1; n <= s.wish.Most; n++ {
						if c := (Choice{b, panel, n, charger, inverter}); s.controller(c) >= 0 {
							all = append(all, c)
						}
					}
				}
			}
		}
	}
	weights := make(map[Choice]float64, len(all))
	for _, c := range all {
		weights[c] = s.Weigh(c)
	}
	slices.SortStableFunc(all, func(a, b Choice) int { return cmp.Compare(weights[a], weights[b]) })
	return all
}

// Best are the least sets that last, up to so many, each of another battery, the least
// first. It ends early with the context, with what it has by then; progress is told the
// share that is done.
func (s *Search) Best(ctx context.Context, weather power.Weather, most int, progress func(float64)) []SupplySet {
	sets := []SupplySet{}
	all := s.All()
	done := map[int]bool{}
	var fails []Choice
	for n, c := range all {
		if ctx.Err() != nil || len(sets) == most {
			break
		}
		if n%64 == 0 {
			progress(float64(n) / float64(len(all)))
		}
		if done[c.Battery] || s.edge && slices.ContainsFunc(fails, func(f Choice) bool { return s.atMost(c, f) }) {
			continue
		}
		lowest, lasts := s.Lasts(c, weather)
		if !lasts {
			fails = append(fails, c)
			continue
		}
		done[c.Battery] = true
		sets = append(sets, s.setOf(c, lowest))
	}
	progress(1)
	return sets
}

// atMost tells whether a choice gives no more than one that does not last: of the same
// battery and inverter, with no more of charging, and no more sun of the same kind.
func (s *Search) atMost(c, failed Choice) bool {
	if c.Battery != failed.Battery || c.Inverter != failed.Inverter || s.amps(c) > s.amps(failed) {
		return false
	}
	if s.watts(c) == 0 {
		return true
	}
	if failed.Panel < 0 || failed.Panels == 0 {
		return false
	}
	a, b := s.c.Panels[c.Panel].Device.Source, s.c.Panels[failed.Panel].Device.Source
	alike := a.Mount == b.Mount && a.Tilt == b.Tilt && a.Loose == b.Loose && a.Amps == 0 && b.Amps == 0 &&
		len(a.Shades) == 0 && len(b.Shades) == 0
	return alike && s.watts(c) <= s.watts(failed)
}

func (s *Search) amps(c Choice) float64 {
	if c.Charger < 0 {
		return 0
	}
	return s.c.Chargers[c.Charger].Device.Charger.Amps
}

func (s *Search) watts(c Choice) float64 {
	if c.Panel < 0 {
		return 0
	}
	return s.c.Panels[c.Panel].Device.Source.Watts * float64(c.Panels)
}

// Overcast is weather that is overcast all the way.
var Overcast = power.Weather{Cloud: 0.25}
