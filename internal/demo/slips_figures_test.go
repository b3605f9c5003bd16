package demo

import "zaino/internal/core/fitout"

func intervals(j *fitout.Job) []fitout.Interval { return j.Handover.Intervals }

// tenfold multiplies a figure, where there is one, and says whether there is.
func tenfold(figure *float64, by float64) bool {
	was := *figure
	*figure *= by
	return was != 0
}

// figureSlips are figures with a point in the wrong place.
var figureSlips = []each{
	list("leg takes ten times as long", stops, func(_ *fitout.Job, s *fitout.RouteStop) (string, bool) {
		return s.ID, tenfold(&s.Leg.Hours, 10) && s.Leg.Km/s.Leg.Hours < 3
	}),
	list("leg takes a tenth of the time", stops, func(_ *fitout.Job, s *fitout.RouteStop) (string, bool) {
		return s.ID, tenfold(&s.Leg.Hours, 0.1)
	}),
	list("interval was done last on ten times the clock", intervals, func(j *fitout.Job, n *fitout.Interval) (string, bool) {
		return n.ID, tenfold(&n.LastKm, 10) && j.Handover.Km > 0
	}),
	list("battery is charged with ten times as much", systems, func(_ *fitout.Job, s *fitout.PowerSystem) (string, bool) {
		return s.ID, tenfold(&s.Battery.Charge, 10)
	}),
	list("battery gives ten times as much", systems, func(_ *fitout.Job, s *fitout.PowerSystem) (string, bool) {
		return s.ID, tenfold(&s.Battery.Discharge, 10) && s.Kind == fitout.StartSystem
	}),
	list("battery holds a tenth", systems, func(_ *fitout.Job, s *fitout.PowerSystem) (string, bool) {
		return s.ID, tenfold(&s.Battery.Capacity, 0.1)
	}),
	list("inverter gives a tenth for a moment", inverters, func(_ *fitout.Job, i *fitout.Inverter) (string, bool) {
		return i.ID, tenfold(&i.Surge, 0.1)
	}),
	list("lamp is ten times as bright", loads, func(_ *fitout.Job, l *fitout.PowerLoad) (string, bool) {
		return l.ID, l.Light != nil && tenfold(&l.Light.Lumens, 10)
	}),
	once("days under Power have lost a figure of their heat", func(j *fitout.Job) bool {
		days := &electrics(j).Days
		return tenfold(&days.High, 0.1) && days.High < days.Low
	}),
	items("runners bear ten times as much", func(_ *fitout.Job, i *fitout.Item) bool {
		return i.Module != nil && i.Module.Runner != fitout.NoRunner && i.Module.Rated >= 80 && tenfold(&i.Module.Rated, 10)
	}),
	list("space bears ten times as much", bays, func(_ *fitout.Job, b *fitout.Bay) (string, bool) {
		return b.ID, tenfold(&b.Rating, 10)
	}),
	list("gear is ten times as long", gear, func(_ *fitout.Job, g *fitout.Gear) (string, bool) {
		return g.ID, tenfold(&g.Size.Length, 10) && g.Size.Length > 6000
	}),
	list("hose is a tenth as long", outlets, func(_ *fitout.Job, o *fitout.Outlet) (string, bool) {
		return o.ID, tenfold(&o.Hose, 0.1)
	}),
	once("tyres have lost a figure of their width", func(j *fitout.Job) bool { return tenfold(&plumbing(j).Air.Width, 0.1) }),
	once("road pressure has lost a figure", func(j *fitout.Job) bool { return tenfold(&plumbing(j).Air.High, 0.1) }),
	once("cargo is held against a tenth forward", func(j *fitout.Job) bool {
		return tenfold(&j.Practice.Restraint.Forward, 0.1)
	}),
	once("cargo is held against a tenth sideways", func(j *fitout.Job) bool {
		return tenfold(&j.Practice.Restraint.Sideways, 0.1)
	}),
	once("an estimate is a tenth as uncertain", func(j *fitout.Job) bool {
		return tenfold(&j.Practice.Uncertainty.Estimate, 0.1)
	}),
	once("trailer's axle is a tenth as far", func(j *fitout.Job) bool {
		return j.Trailer != nil && tenfold(&j.Trailer.BallToAxle, 0.1)
	}),
	once("tow bar bears ten times as much on its ball", func(j *fitout.Job) bool {
		return tenfold(&j.Vehicle.Hitch.Ball, 10) && j.Vehicle.Hitch.Trailer > 0
	}),
}
