package demo

import (
	"slices"

	"zaino/internal/core/fitout"
)

// list makes a slip on each of a list of a job, by its id.
func list[T any](
	name string,
	of func(j *fitout.Job) []T,
	spoil func(j *fitout.Job, x *T) (id string, slipped bool),
) each {
	return each{name, func(j *fitout.Job) int { return len(of(j)) }, func(j *fitout.Job, k int) (string, bool) {
		return spoil(j, &of(j)[k])
	}}
}

// frosty is the first stop with a night below 0 °C; empty for none.
func frosty(j *fitout.Job) string {
	for _, s := range stops(j) {
		cold := j.Brief.Trip.Coldest
		if s.Cold != nil {
			cold = s.Cold.Night
		}
		if s.Nights > 0 && cold < 0 {
			return s.ID
		}
	}
	return ""
}

// once makes a slip that a job has but one place for.
func once(name string, spoil func(j *fitout.Job) bool) each {
	return each{
		name,
		func(*fitout.Job) int { return 1 },
		func(j *fitout.Job, _ int) (string, bool) { return "", spoil(j) },
	}
}

func electrics(j *fitout.Job) *fitout.Electrics  { return &j.ChosenVariant().Electrics }
func plumbing(j *fitout.Job) *fitout.Plumbing    { return &j.ChosenVariant().Plumbing }
func systems(j *fitout.Job) []fitout.PowerSystem { return electrics(j).Systems }
func loads(j *fitout.Job) []fitout.PowerLoad     { return electrics(j).Loads }
func circuits(j *fitout.Job) []fitout.Circuit    { return electrics(j).Circuits }
func chargers(j *fitout.Job) []fitout.Charger    { return electrics(j).Chargers }
func sources(j *fitout.Job) []fitout.PowerSource { return electrics(j).Sources }
func vessels(j *fitout.Job) []fitout.Vessel      { return plumbing(j).Vessels }
func outlets(j *fitout.Job) []fitout.Outlet      { return plumbing(j).Outlets }
func pumps(j *fitout.Job) []fitout.Pump          { return plumbing(j).Pumps }
func stops(j *fitout.Job) []fitout.RouteStop     { return j.Route.Stops }
func stances(j *fitout.Job) []fitout.Stance      { return j.ChosenVariant().Stances }
func inverters(j *fitout.Job) []fitout.Inverter  { return electrics(j).Inverters }
func bays(j *fitout.Job) []fitout.Bay            { return j.Vehicle.Bays }
func mounts(j *fitout.Job) []fitout.Mount        { return j.Vehicle.Mounts }
func gear(j *fitout.Job) []fitout.Gear           { return j.Brief.Gear }

var stageSlips = []each{
	list("battery has no isolator", systems, func(_ *fitout.Job, s *fitout.PowerSystem) (string, bool) {
		was := s.Isolator
		s.Isolator = false
		return s.ID, was && s.Kind == fitout.HouseSystem
	}),
	list("battery is of 24 V", systems, func(_ *fitout.Job, s *fitout.PowerSystem) (string, bool) {
		was := s.Voltage
		s.Voltage = 24
		return s.ID, was == 12 && s.Kind == fitout.HouseSystem
	}),
	list(
		"battery is hardly charged at the start",
		systems,
		func(_ *fitout.Job, s *fitout.PowerSystem) (string, bool) {
			s.Full = 0.15
			return s.ID, s.Kind == fitout.HouseSystem
		},
	),
	list("charger is set for another battery", chargers, func(j *fitout.Job, c *fitout.Charger) (string, bool) {
		k := slices.IndexFunc(systems(j), func(s fitout.PowerSystem) bool { return s.ID == c.System })
		was := c.For
		c.For = "flooded"
		return c.ID, k >= 0 && systems(j)[k].Battery.Chemistry != fitout.Flooded && was != "flooded"
	}),
	list("charger hangs on nothing", chargers, func(_ *fitout.Job, c *fitout.Charger) (string, bool) {
		was := c.System
		c.System = ""
		return c.ID, was != ""
	}),
	list("panel is all in shade", sources, func(_ *fitout.Job, s *fitout.PowerSource) (string, bool) {
		s.Watts /= 20
		return s.ID, s.Kind == fitout.Solar
	}),
	list("source charges nothing", sources, func(_ *fitout.Job, s *fitout.PowerSource) (string, bool) {
		was := s.System + s.Charger
		s.System, s.Charger = "", ""
		return s.ID, was != ""
	}),
	list("load hangs on nothing", loads, func(_ *fitout.Job, l *fitout.PowerLoad) (string, bool) {
		was := l.System + l.Inverter
		l.System, l.Inverter = "", ""
		return l.ID, was != "" && !l.Others
	}),
	list("load must never drop", loads, func(_ *fitout.Job, l *fitout.PowerLoad) (string, bool) {
		was := l.Essential
		l.Essential, l.Shed = true, 0.9
		return l.ID, !was && !l.Others
	}),
	list("load has a surge of 8 kW", loads, func(_ *fitout.Job, l *fitout.PowerLoad) (string, bool) {
		l.Surge = 8000
		return l.ID, l.Inverter != ""
	}),
	list("circuit crosses an edge bare", circuits, func(_ *fitout.Job, c *fitout.Circuit) (string, bool) {
		c.Crossings = append(c.Crossings, fitout.Crossing{ID: "bare", Kind: "edge"})
		return c.Of, true
	}),
	list(
		"circuit stays live when the isolator is open",
		circuits,
		func(j *fitout.Job, c *fitout.Circuit) (string, bool) {
			was := c.OffBattery
			c.OffBattery = true
			return c.Of, !was && slices.ContainsFunc(systems(j), func(s fitout.PowerSystem) bool {
				return s.Kind == fitout.HouseSystem && s.Isolator
			})
		},
	),
	list("circuit lost 3 V when it was tested", circuits, func(_ *fitout.Job, c *fitout.Circuit) (string, bool) {
		c.Tested = 3
		return c.Of, true
	}),
	list("tank is emptied by nobody knows what", vessels, func(_ *fitout.Job, v *fitout.Vessel) (string, bool) {
		v.Unusable += 40
		return v.Of, v.Holds == "drinking" || v.Holds == "fuel"
	}),
	list("tank's line lies in the cold", vessels, func(j *fitout.Job, v *fitout.Vessel) (string, bool) {
		was := v.Outside
		v.Outside, v.FrostSafe = true, false
		return frosty(j), !was && v.Holds == "drinking" && frosty(j) != ""
	}),
	list("tank feeds itself", vessels, func(_ *fitout.Job, v *fitout.Vessel) (string, bool) {
		v.Feeds = v.Of
		return v.Of, v.Holds == "fuel"
	}),
	list("tap draws from nothing", outlets, func(_ *fitout.Job, o *fitout.Outlet) (string, bool) {
		was := o.Vessel
		o.Vessel = ""
		return o.ID, was != ""
	}),
	list("tap is 3 m up without a pump", outlets, func(_ *fitout.Job, o *fitout.Outlet) (string, bool) {
		o.Pump, o.At.Z = "", 3000
		return o.ID, o.Vessel != ""
	}),
	list("pump is a twentieth", pumps, func(_ *fitout.Job, p *fitout.Pump) (string, bool) {
		p.Flow /= 20
		return p.ID, p.Flow > 0
	}),
	list("stop is at −20 °C", stops, func(j *fitout.Job, s *fitout.RouteStop) (string, bool) {
		was := s.Cold == nil && j.Brief.Trip.Coldest < 0 || s.Cold != nil && s.Cold.Night < 0
		s.Cold = &fitout.Cold{Night: -20}
		return s.ID, s.Nights >= 1 && !was
	}),
	list("gear is to be out of sight", gear, func(j *fitout.Job, g *fitout.Gear) (string, bool) {
		was := g.Hidden
		g.Hidden = true
		i := first(j, func(i *fitout.Item) bool { return i.ID == g.ID && i.In == nil && withPeople(j, i) })
		return g.ID, !was && i != nil
	}),
	list("gear is to be away from people", gear, func(j *fitout.Job, g *fitout.Gear) (string, bool) {
		was := g.Away
		g.Away = true
		i := first(j, func(i *fitout.Item) bool { return i.ID == g.ID && withPeople(j, i) })
		return g.ID, !was && i != nil
	}),
	list("gear is to be kept cool", gear, func(j *fitout.Job, g *fitout.Gear) (string, bool) {
		was := g.Cool
		g.Cool = true
		i := first(j, func(i *fitout.Item) bool {
			return i.ID == g.ID && i.In == nil && i.Bay != "" && i.Presence.Kind == fitout.Always
		})
		return g.ID, !was && i != nil && !kind(fitout.FridgeSlide, fitout.UprightFridge)(i)
	}),
	list("gear weighs three times as much", gear, func(j *fitout.Job, g *fitout.Gear) (string, bool) {
		g.Mass *= 3
		i := first(j, func(i *fitout.Item) bool { return i.ID == g.ID })
		return g.ID, g.Mass > 30 && i != nil && i.Source != fitout.ByScale && i.Presence.Level == nil
	}),
	list("gear that is not there is wanted along", gear, func(j *fitout.Job, g *fitout.Gear) (string, bool) {
		g.ID, g.Name = "not-there", "Something else"
		return g.ID, true
	}),
	list("sleeper is 400 mm longer", func(j *fitout.Job) []fitout.Traveller { return j.Brief.Travellers },
		func(j *fitout.Job, t *fitout.Traveller) (string, bool) {
			t.Height += 400
			sleeps := slices.ContainsFunc(stances(j), func(s fitout.Stance) bool {
				return slices.ContainsFunc(s.Sleepers, func(x fitout.Sleeper) bool { return x.Traveller == t.ID })
			})
			return t.ID, sleeps && t.Height > 2000
		}),
	once("the budget is a third", func(j *fitout.Job) bool {
		j.Brief.Budget /= 3
		return j.Brief.Budget > 0
	}),
	list("paper is out of date", func(j *fitout.Job) []fitout.Paper { return j.Handover.Papers },
		func(_ *fitout.Job, p *fitout.Paper) (string, bool) {
			p.Expires = "2020-01-01"
			return p.ID, p.Issued != ""
		}),
	list("test did not pass", func(j *fitout.Job) []fitout.TestDone { return j.ChosenVariant().Tests },
		func(_ *fitout.Job, x *fitout.TestDone) (string, bool) {
			was := x.Passed
			x.Passed = fitout.IsNotSo
			return x.Test, was == fitout.IsSo
		}),
	list(
		"weigh-in reads 150 kg more behind",
		func(j *fitout.Job) []fitout.WeighIn { return j.ChosenVariant().WeighIns },
		func(_ *fitout.Job, w *fitout.WeighIn) (string, bool) {
			w.Rear += 150
			return w.ID, w.Reading == "axles"
		},
	),
}
