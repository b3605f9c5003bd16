package demo

import (
	"slices"
	"strings"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/words"
	"zaino/internal/example"
)

// feeds tells whether a system feeds a load: itself, through an inverter, or by what it charges.
func feeds(j *fitout.Job, system string, l *fitout.PowerLoad) bool {
	by := l.System
	if k := slices.IndexFunc(inverters(j), func(v fitout.Inverter) bool { return v.ID == l.Inverter }); k >= 0 {
		by = inverters(j)[k].System
	}
	return by == system ||
		slices.ContainsFunc(chargers(j), func(c fitout.Charger) bool { return c.From == system && c.System == by })
}

// draws lets a load take a share less.
func draws(l *fitout.PowerLoad, less float64) {
	l.Watts, l.EventWh, l.Standby = l.Watts*(1-less), l.EventWh*(1-less), l.Standby*(1-less)
	if l.Heat != nil {
		l.Heat.Mean *= 1 - less
	}
}

// ofBattery is a change of the system that a finding is about.
func ofBattery(says string, do func(s *fitout.PowerSystem, by float64)) follower {
	return one(says, quantity.Plain, systems, func(s *fitout.PowerSystem) string { return s.ID }, do)
}

// lowest is how much a battery holds when it holds least, Ah.
func lowest(j *fitout.Job, system string) float64 {
	for _, s := range assess.Of(j).Power.Systems {
		if s.ID == system {
			return s.Lowest * s.Capacity
		}
	}
	return 0
}

// takingLess lets all that a battery feeds take so much less that it holds by the amount more when it holds least.
func takingLess(says string) follower {
	return follower{says: says, kind: quantity.Plain,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
			system := f.Subject.ID
			fed := func(of *fitout.Job, less float64) *fitout.Job {
				for n := range loads(of) {
					if l := &loads(of)[n]; feeds(of, system, l) {
						draws(l, less)
					}
				}
				return of
			}
			wanted := lowest(j, system) + by
			least, most := 0.0, 1.0
			for range 20 {
				then := example.Copy(j)
				if half := (least + most) / 2; lowest(fed(&then, half), system) < wanted {
					least = half
				} else {
					most = half
				}
			}
			fed(j, most)
			return most < 0.999
		}}
}

// chargersLower sets the largest of the chargers that a sentence speaks of lower.
func chargersLower(says string) follower {
	return follower{says: says, kind: quantity.Plain,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
			var largest *fitout.Charger
			for k := range chargers(j) {
				c := &chargers(j)[k]
				spoken := strings.Contains(strings.ToLower(f.Sentence), strings.ToLower(c.Name)) || c.System == f.Subject.ID
				if spoken && (largest == nil || c.Amps > largest.Amps) {
					largest = c
				}
			}
			if largest == nil || largest.Amps-by < 1 {
				return false
			}
			largest.Amps -= by
			return true
		}}
}

// larger makes the first fuel tank larger, and fuller where it leaves.
func larger(says string) follower {
	return follower{says: says, kind: quantity.Volume,
		do: func(j *fitout.Job, _ *fitout.Finding, by float64, _ []string) bool {
			k := slices.IndexFunc(j.Vehicle.Tanks, func(t fitout.Tank) bool { return t.Kind == fitout.TankFuel })
			if k < 0 {
				return false
			}
			t := &j.Vehicle.Tanks[k]
			t.Capacity, t.Now = t.Capacity+by, t.Now+by
			for n := range j.ChosenVariant().Fills {
				if fill := &j.ChosenVariant().Fills[n]; fill.Of == t.ID {
					fill.Litres += by
				}
			}
			return true
		}}
}

// heaviest is the heaviest thing that stands by itself.
func heaviest(j *fitout.Job) *fitout.Item {
	var found *fitout.Item
	for k := range j.ChosenVariant().Items {
		if i := &j.ChosenVariant().Items[k]; i.In == nil && (found == nil || i.Mass > found.Mass) {
			found = i
		}
	}
	return found
}

// stageFollowers follow what is said of batteries, fuel and loads.
var stageFollowers = map[string][]follower{
	"battery-current": {ofBattery("a battery that gives # A", func(s *fitout.PowerSystem, by float64) {
		s.Battery.Discharge = by
	})},
	"battery-charged-fast": {chargersLower("Set the chargers # A lower together")},
	"alternator-asked":     {chargersLower("lower together, # A for idling too")},
	"battery-cold":         {takingLess("or take # Ah less")},
	"power-reserve":        {takingLess("Take # Ah out less by then")},
	"power-runs-out": {
		ofBattery("take # Ah more of battery", func(s *fitout.PowerSystem, by float64) {
			s.Battery.Capacity += by / s.Battery.Parallel
		}),
		{says: "# ?% less of ([^.;]+)", kind: quantity.Plain,
			do: func(j *fitout.Job, _ *fitout.Finding, share float64, said []string) bool {
				for n := range loads(j) {
					if l := &loads(j)[n]; words.Lower(l.Name) == said[len(said)-1] {
						draws(l, share/100)
						return true
					}
				}
				return false
			}},
	},
	"leg-too-long":    {larger("another vessel of #")},
	"tanks-too-small": {larger("# are missing up to")},
	"payload-gone": {{says: "gear of the brief are # above", kind: quantity.Mass,
		do: func(j *fitout.Job, _ *fitout.Finding, by float64, _ []string) bool {
			for k := range gear(j) {
				g := &gear(j)[k]
				if less := min(by, g.Mass*g.Count); less > 0 {
					g.Mass, by = g.Mass-less/g.Count, by-less
				}
			}
			return by < 1e-9
		}}},
	"sides-uneven": {{says: "; # of it on the (left|right) wheels", kind: quantity.Mass,
		do: func(j *fitout.Job, _ *fitout.Finding, by float64, said []string) bool {
			i := heaviest(j)
			if i == nil {
				return false
			}
			rear := i.At.X / j.Vehicle.Wheelbase // the share of it that the rear axle carries
			between := 1 / ((1-rear)/j.Vehicle.TrackFront + rear/j.Vehicle.TrackRear)
			i.At.Y += by * between / i.Mass * map[string]float64{"left": -1, "right": 1}[said[len(said)-1]]
			return true
		}}},
	"front-light": {{says: "; # of it on the front instead of the rear", kind: quantity.Mass,
		do: func(j *fitout.Job, _ *fitout.Finding, by float64, _ []string) bool {
			i := heaviest(j)
			if i == nil {
				return false
			}
			i.At.X -= by * j.Vehicle.Wheelbase / i.Mass
			return true
		}}},
}
