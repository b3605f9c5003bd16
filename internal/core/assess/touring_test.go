package assess_test

import (
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// touring is a sound trip of four nights: home, a pump at a ford, a camp, home again; with tanks of
// fuel, drinking water, washing water and waste, gas and food, a tap by weight and one by a pump,
// and air for the tyres.
func touring() fitout.Job {
	j := example.Ute()
	example.Crew(&j)
	j.Brief.Trip.FuelDistance = 500
	j.Brief.Camp.WasteWater = fitout.WasteCaught
	j.Vehicle.Limits.Gross.Kg, j.Vehicle.Limits.RearAxle.Kg = 3500, 1700
	j.Vehicle.Outline.Width = 1880
	j.Vehicle.Tanks = append(
		j.Vehicle.Tanks,
		fitout.Tank{ID: "second", Name: "Second tank", Kind: fitout.TankFuel, Capacity: 60,
			Density: 0.84, At: fitout.Point{X: 3900, Z: 700}},
	)
	vessel := func(id string, litres, density, x, z float64) {
		example.Add(&j, id, 8, x, func(i *fitout.Item) {
			i.Form, i.At.Z, i.Size = fitout.FormTank, z, fitout.Size{Length: 600, Width: 400, Height: 400}
			i.Presence = fitout.Presence{
				Kind:  fitout.ByLevel,
				Level: &fitout.Level{Max: litres, Now: litres, Density: density},
			}
		})
	}
	vessel("drinking", 90, 1, 2400, 1200)
	vessel("washing", 40, 1, 2500, 900)
	vessel("waste", 40, 1, 2600, 700)
	vessel("bottle", 17, 0.51, 2700, 900)
	vessel("larder", 40, 0.5, 2300, 900)
	p := &j.Variants[0].Plumbing
	p.Vessels = []fitout.Vessel{
		{
			Of:        "second",
			Breather:  fitout.IsSo,
			Baffles:   fitout.IsSo,
			Sender:    fitout.IsSo,
			Expansion: 0.03,
			Feeds:     "fuel",
			By:        fitout.ByPump,
			Rate:      3,
			Stops:     fitout.StopReturn,
			Filler: &fitout.Filler{
				At:     fitout.Point{X: 3900, Y: 900, Z: 1000},
				Drop:   200,
				Run:    600,
				Bore:   40,
				Nozzle: 25,
			},
		},
		{Of: "drinking", Holds: fitout.HoldsDrinking}, {Of: "washing", Holds: fitout.HoldsWash},
		{Of: "waste", Holds: fitout.HoldsWaste}, {Of: "bottle", Holds: fitout.HoldsGas, Gas: fitout.Propane},
		{Of: "larder", Holds: fitout.HoldsFood},
	}
	p.Outlets = []fitout.Outlet{
		{
			ID:     "tap",
			Name:   "Tap",
			Vessel: "drinking",
			At:     fitout.Point{X: 2400, Y: -900, Z: 800},
			Bore:   12,
			Hose:   1.5,
			Loss:   0.5,
		},
		{
			ID:     "shower",
			Name:   "Shower",
			Vessel: "washing",
			Pump:   "pump",
			At:     fitout.Point{X: 2400, Y: -900, Z: 1500},
			Bore:   10,
			Flow:   6,
		},
	}
	p.Pumps = []fitout.Pump{{ID: "pump", Name: "Water pump", Flow: 10, Amps: 5}}
	p.Burners = []fitout.Burner{
		{ID: "stove", Name: "Stove", Vessel: "bottle", KW: 2.2, Basis: fitout.BasisNet, Hours: 1},
	}
	p.Provision = 1.5
	p.Air = fitout.Air{Free: 75, Minutes: 30, Rest: 30, Hose: 8, Width: 265, Rim: 216, Low: 120, High: 240,
		Couplings: []fitout.Coupling{{ID: "tail", Name: "Tail", At: fitout.Point{X: 4400, Z: 600}}}}
	p.Pressures = []fitout.TyrePressure{
		{ID: "f", Axle: fitout.FrontAxle, UpTo: 1500, KPa: 230},
		{ID: "r", Axle: fitout.RearAxle, UpTo: 1900, KPa: 300},
	}
	home, ford, camp, back := fitout.NewStop(
		"home",
		"Home",
	), fitout.NewStop(
		"ford",
		"Ford",
	), fitout.NewStop(
		"camp",
		"Camp",
	), fitout.NewStop(
		"back",
		"Home again",
	)
	for _, s := range []*fitout.RouteStop{&home, &ford, &back} {
		s.Fuels, s.Water = []fitout.FuelHad{{Fuel: fitout.Diesel, Price: 20000}}, fitout.ByHose
	}
	home.Gas, home.Food, home.Dump = true, true, true
	home.Leg.Km, home.Leg.Hours, ford.Leg.Km, camp.Leg.Km = 200, 4, 200, 200
	camp.Nights = 4
	j.Route.Stops = []fitout.RouteStop{home, ford, camp, back}
	return j
}

// said is what is said of a vessel of it.
func said(j *fitout.Job, of string) *fitout.Vessel {
	p := &j.Variants[0].Plumbing
	for i := range p.Vessels {
		if p.Vessels[i].Of == of {
			return &p.Vessels[i]
		}
	}
	panic(of)
}

// level is the content of a level item of it.
func level(j *fitout.Job, of string) *fitout.Level {
	for i := range j.Variants[0].Items {
		if j.Variants[0].Items[i].ID == of {
			return j.Variants[0].Items[i].Presence.Level
		}
	}
	panic(of)
}

func stop(j *fitout.Job, n int) *fitout.RouteStop { return &j.Route.Stops[n] }

// inCargo puts a thing into a space that is measured as part of the cab.
func inCargo(j *fitout.Job, id string) {
	example.Cargo(j)
	for i := range j.Variants[0].Items {
		if j.Variants[0].Items[i].ID == id {
			j.Variants[0].Items[i].Bay = "cargo"
		}
	}
}

// beside stands a part with its middle at y beside the filler of the second tank.
func beside(j *fitout.Job, kind fitout.ModuleKind, y float64) {
	example.Add(j, "part", 20, 3900, func(i *fitout.Item) {
		i.At, i.Size = fitout.Point{X: 3900, Y: y, Z: 1000}, fitout.Size{Length: 600, Width: 300, Height: 500}
		i.Module = &fitout.Module{
			Kind:    kind,
			Faces:   fitout.FaceRear,
			Wall:    fitout.NoMaterial,
			Runner:  fitout.NoRunner,
			Stack:   fitout.Beside,
			Cells:   []fitout.Cell{},
			Fixings: []fitout.Fixing{},
		}
	})
}

func can(j *fitout.Job, x float64) {
	example.Add(j, "can", 3, x, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 20, Now: 20, Density: 0.84}}
	})
	j.Variants[0].Plumbing.Vessels = append(
		j.Variants[0].Plumbing.Vessels,
		fitout.Vessel{Of: "can", Holds: fitout.HoldsFuel},
	)
}

func bag(j *fitout.Job, manual fitout.Yes) {
	j.Variants[0].Plumbing.Air.Bags = []fitout.HelperBag{
		{ID: "bag", Name: "Rear bags", Axle: fitout.RearAxle, Manual: manual},
	}
}

// pressures enters a line for the rear axle up to 1,500 kg and one up to 2,000 kg, kPa.
func pressures(j *fitout.Job, lighter, heavier float64) {
	j.Variants[0].Plumbing.Pressures = []fitout.TyrePressure{
		{ID: "light", Axle: fitout.RearAxle, UpTo: 1500, KPa: lighter},
		{ID: "heavy", Axle: fitout.RearAxle, UpTo: 2000, KPa: heavier},
	}
}

// places puts the first two stops on one meridian, the second so many degrees north.
func places(j *fitout.Job, north float64) {
	stop(j, 0).Place = &fitout.Place{Latitude: 10, Longitude: 40}
	stop(j, 1).Place = &fitout.Place{Latitude: north, Longitude: 40}
}
