package demo

import (
	"slices"

	"zaino/internal/core/fitout"
)

// under tells of a part that hangs under the load floor.
func under(j *fitout.Job, i *fitout.Item) bool {
	return i.Module != nil && i.In == nil && i.Box().To.Z < j.Vehicle.Outline.FloorHeight
}

// vehicleSlips are what a plan forgets of the vehicle itself, and of what is simply put into it.
var vehicleSlips = []each{
	list("seat is entered twice", func(j *fitout.Job) []fitout.Seat { return j.Vehicle.Seats },
		func(j *fitout.Job, s *fitout.Seat) (string, bool) {
			twice := *s
			twice.ID, twice.Driver = s.ID+"-2", false
			j.Vehicle.Seats = append(j.Vehicle.Seats, twice)
			return twice.ID, true
		}),
	items("hangs where a shaft turns", func(j *fitout.Job, i *fitout.Item) bool {
		j.Vehicle.Marks = append(j.Vehicle.Marks, fitout.Mark{ID: "shaft", Name: "Propeller shaft",
			Kind: fitout.ShaftMark, At: i.At, From: fitout.FaceNone})
		return under(j, i)
	}),
	items("hangs against a brake line", func(j *fitout.Job, i *fitout.Item) bool {
		at := i.At
		at.Z = i.Box().To.Z + 10
		j.Vehicle.Marks = append(j.Vehicle.Marks, fitout.Mark{ID: "line", Name: "Brake line",
			Kind: fitout.LineMark, At: at, From: fitout.FaceNone})
		return under(j, i)
	}),
	items("hangs where the factory spare wheel is", func(j *fitout.Job, i *fitout.Item) bool {
		j.Vehicle.Parts = append(j.Vehicle.Parts, fitout.Part{ID: "wheel", Name: "Spare wheel", Mass: 30, At: i.At,
			InBaseline: true, State: fitout.Fitted, Source: fitout.DataSheet,
			Size: fitout.Size{Length: 700, Width: 700, Height: 240}})
		return under(j, i)
	}),
	items("bolt comes out over a brake line", func(j *fitout.Job, i *fitout.Item) bool {
		if i.Module == nil || len(i.Module.Fixings) == 0 {
			return false
		}
		k := slices.IndexFunc(j.Vehicle.Mounts, func(m fitout.Mount) bool { return m.ID == i.Module.Fixings[0].Mount })
		at := j.Vehicle.Mounts[k].At
		at.Z -= 120
		j.Vehicle.Marks = append(j.Vehicle.Marks, fitout.Mark{ID: "line", Name: "Brake line",
			Kind: fitout.LineMark, At: at, From: fitout.FaceNone})
		return true
	}),
	list("leg is entered with a figure too few", func(j *fitout.Job) []fitout.RouteStop { return j.Route.Stops },
		func(_ *fitout.Job, s *fitout.RouteStop) (string, bool) {
			s.Leg.Km /= 10
			return s.ID, s.Leg.Km > 2 && s.Place != nil
		}),
	list("interval has a figure too many", func(j *fitout.Job) []fitout.Interval { return j.Handover.Intervals },
		func(_ *fitout.Job, n *fitout.Interval) (string, bool) {
			n.Km, n.Months = n.Km*10, n.Months*10
			usual := fitout.NewHandover().Intervals
			return n.ID, slices.ContainsFunc(usual, func(u fitout.Interval) bool { return u.ID == n.ID })
		}),
	items("vessel is only its content", func(_ *fitout.Job, i *fitout.Item) bool {
		was := i.Mass
		i.Mass = 0
		return was > 0 && i.Module != nil && i.Presence.Level != nil
	}),
	once("no stance is said", func(j *fitout.Job) bool {
		j.ChosenVariant().Stances = []fitout.Stance{}
		return true
	}),
	items("comes as gear of the ledger", func(_ *fitout.Job, i *fitout.Item) bool {
		held := i.Module != nil && i.Module.Kind != fitout.PlainGear && i.In == nil && i.Bay != "" && i.Mass >= 3 &&
			len(i.Module.Fixings) > 0
		i.Module = nil
		return held
	}),
	once("papers hold no tray and none is aboard", func(j *fitout.Job) bool {
		v := j.ChosenVariant()
		v.Items = slices.DeleteFunc(v.Items, func(i fitout.Item) bool { return i.ID == "aluminium-tray" })
		dry := 1100.0
		j.Vehicle.Baseline = fitout.Baseline{Definition: fitout.Kerb, Split: fitout.SplitKnown, Front: dry, Rear: dry,
			CGHeight: 690, Tray: fitout.TrayBare, Tickets: []fitout.Ticket{}}
		return j.Vehicle.Outline.Body == fitout.BodyTray
	}),
}
