package trip

import (
	"math"

	"zaino/internal/core/fitout"
)

// OfBrief is the route that a brief says already: so many km between fuel, so many nights between
// services, halfway in a camp.
func OfBrief(j *fitout.Job) *fitout.Route {
	r := j.Route
	trip := &j.Brief.Trip
	start, camp, end := fitout.NewStop("start", "Start"), fitout.NewStop("camp", "Camp"), fitout.NewStop("end", "Next services")
	for _, s := range []*fitout.RouteStop{&start, &end} {
		s.Water, s.Gas, s.Mains, s.Food, s.Dump, s.Shower = fitout.ByHose, true, true, true, true, true
		if fuel := j.Vehicle.EngineFuel(); fuel != fitout.NoFuel {
			s.Fuels = []fitout.FuelHad{{Fuel: fuel}}
		}
	}
	start.Leg.Km, camp.Leg.Km = trip.FuelDistance/2, trip.FuelDistance/2
	camp.Nights = math.Floor(min(60, trip.Nights))
	switch trip.Tows {
	case fitout.TowsAlways, fitout.TowsSometimes:
		start.Leg.Towing, camp.Leg.Towing = fitout.TowWith, fitout.TowWith
	}
	r.Stops = []fitout.RouteStop{start, camp, end}
	return &r
}
