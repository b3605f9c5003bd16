package trip

import (
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// Way is what comes of a route: every level and load from the start to the end. Between two
// points that follow each other everything is linear in the km.
type Way struct {
	Points []Point
	Stops  []AtStop // in the order of the route
	Legs   []OnLeg  // one less
	Lacks  []Lack
	Days   Days

	filled map[fitout.Contents]int // how often a vessel of it was filled, or emptied of waste, so far
}

// Point is a place on the way with what is in the vessels and on the axles.
type Point struct {
	Km     float64
	Leg    int // that it is on, −1 at the first stop before leaving
	Levels []float64
	Loads  Loads
}

// AtStop is one stop as it is reached and left.
type AtStop struct {
	Km     float64
	Open   bool      // what it has can be had
	Arrive []float64 // levels
	Leave  []float64
	Filled []float64 // litres that go into each vessel, negative: out of it
	Cost   int       // of the fuel, in cents
	Loads  Loads     // on leaving
	Towing bool      // on leaving
}

// OnLeg is one leg as it is driven.
type OnLeg struct {
	Fuel    float64 // that it takes, litres
	Mass    float64 // gross on leaving, kg
	Reserve float64 // of fuel that must be left at its end, litres
	Left    float64 // of fuel that can be drawn at its end, litres
	Lacking float64 // of the fuel that it takes, litres
	Towing  bool
}

// Course follows plans of filling along a route.
type Course struct {
	Plan    *plan.Plan
	Route   *fitout.Route
	Vessels []Vessel
	Days    Days

	scale *scale
	daily daily
	tow   float64
	fuel  []int // places of the fuel vessels of the engine
}

// CourseOf makes a route ready to be followed; without stops it is that of the brief.
func CourseOf(p *plan.Plan) *Course {
	return plan.Once(p, func(p *plan.Plan) *Course {
		route := &p.Job.Route
		if len(route.Stops) < 2 {
			route = OfBrief(p.Job)
		}
		c := &Course{Plan: p, Route: route, Vessels: vesselsOf(p), Days: DaysOf(route.Stops),
			daily: dailyOf(&p.Job.Brief, p.Variant.Plumbing.Provision), tow: p.Job.Brief.Assumptions.TowFactor}
		c.scale = weigh(p, c.Vessels)
		d := drawer{vessels: c.Vessels}
		c.fuel = d.holding(fitout.HoldsFuel)
		return c
	})
}

// Towing tells whether the trailer is on during a leg.
func (c *Course) Towing(leg int) bool {
	switch c.Route.Stops[leg].Leg.Towing {
	case fitout.TowWith:
		return c.Plan.Job.Trailer != nil
	case fitout.TowWithout:
		return false
	}
	return c.Plan.Load.Coupled()
}

// use is what decides the fuel of a leg at a gross on leaving, kg.
func (c *Course) use(leg int, gross float64) LegUse {
	l, b := &c.Route.Stops[leg].Leg, &c.Plan.Job.Brief
	u := LegUse{
		Km:          l.Km,
		Consumption: b.Assumptions.Consumption,
		Surface:     SurfaceFactor(l, b.Surfaces),
		Wind:        l.Wind,
		Tow:         1,
		Mass:        MassFactor(c.Route.ByMass, gross, c.Route.Mass),
		Idle:        l.Idle,
		IdleUse:     c.Route.Idle,
	}
	if c.Towing(leg) {
		u.Tow = c.tow
	}
	return u
}

// Reserve is the fuel that must be left at the end of a leg that takes so much, litres: the most
// of the litres of the brief, so many km of the leg, and a share of what the tanks give.
func (c *Course) Reserve(leg int, fuel float64) float64 {
	most := max(c.Plan.Job.Brief.Assumptions.FuelReserve, c.keptBack())
	if km := c.Route.Stops[leg].Leg.Km; km > 0 {
		most = max(most, c.Route.Reserve.Distance*fuel/km)
	}
	return most
}

// Has tells whether a stop offers what a vessel holds, if it is open.
func (c *Course) Has(stop int, v *Vessel) bool {
	s := &c.Route.Stops[stop]
	switch v.Holds {
	case fitout.HoldsFuel:
		_, has := c.fuelAt(stop)
		return has
	case fitout.HoldsDrinking:
		return s.Water != fitout.NoWater && !s.Wash
	case fitout.HoldsWash:
		return s.Water != fitout.NoWater
	case fitout.HoldsGas:
		return s.Gas
	case fitout.HoldsFood:
		return s.Food
	case fitout.HoldsWaste:
		return s.Dump
	}
	return false
}

// fuelAt is the fuel of the engine at a stop, where it is had.
func (c *Course) fuelAt(stop int) (fitout.FuelHad, bool) {
	wanted := c.Plan.Vehicle.EngineFuel()
	for _, f := range c.Route.Stops[stop].Fuels {
		if f.Fuel == wanted {
			return f, true
		}
	}
	return fitout.FuelHad{}, false
}

// target is what a vessel that holds so much holds on leaving a stop. At the start, which one need
// not have filled up for, that may be less.
func (c *Course) target(fills map[fitout.StopFill]float64, stop int, v *Vessel, holds float64) float64 {
	waste := v.Holds == fitout.HoldsWaste
	if !c.Has(stop, v) || !Open(c.Route, &c.Days, stop) {
		return holds
	}
	litres, said := fills[fitout.StopFill{Stop: c.Route.Stops[stop].ID, Of: v.ID}]
	switch {
	case said && stop == 0:
		return min(litres, v.Full)
	case said && waste:
		return min(litres, holds)
	case said:
		return max(holds, min(litres, v.Full))
	case c.Route.Stops[stop].Sure != fitout.Sure || stop == len(c.Route.Stops)-1:
		return holds
	case waste:
		return 0
	}
	return max(holds, v.Full)
}

// Follow drives the route, filling as fills say; whatever they do not name is filled wherever a
// sure stop has it.
func (c *Course) Follow(fills []fitout.StopFill) *Way {
	said := make(map[fitout.StopFill]float64, len(fills))
	for _, f := range fills {
		said[fitout.StopFill{Stop: f.Stop, Of: f.Of}] = f.Litres
	}
	n := len(c.Route.Stops)
	w := &Way{
		Days:   c.Days,
		Stops:  make([]AtStop, n),
		Legs:   make([]OnLeg, max(0, n-1)),
		filled: map[fitout.Contents]int{},
	}
	d := &drawer{vessels: c.Vessels, levels: make([]float64, len(c.Vessels))}
	for i := range c.Vessels {
		d.levels[i] = min(c.Vessels[i].Now, c.Vessels[i].Capacity)
	}
	km := 0.0
	for i := range n {
		at := &w.Stops[i]
		at.Km, at.Open, at.Arrive = km, Open(c.Route, &c.Days, i), slices.Clone(d.levels)
		w.stay(c, d, i, km)
		w.fill(c, d, said, i)
		at.Leave = slices.Clone(d.levels)
		leg := min(i, n-2)
		at.Towing = leg >= 0 && c.Towing(leg)
		at.Loads = c.scale.at(d.levels, at.Towing)
		if i == n-1 {
			if n == 1 {
				w.point(c, d, km, -1, at.Towing)
			}
			break
		}
		w.drive(c, d, i, km)
		km += c.Route.Stops[i].Leg.Km
	}
	return w
}

func (w *Way) point(c *Course, d *drawer, km float64, leg int, towing bool) {
	w.Points = append(
		w.Points,
		Point{Km: km, Leg: leg, Levels: slices.Clone(d.levels), Loads: c.scale.at(d.levels, towing)},
	)
}

// stay uses what is used at a stop: by the days that are spent there, and by the nights.
func (w *Way) stay(c *Course, d *drawer, stop int, km float64) {
	open := w.Stops[stop].Open
	for _, f := range c.flows(d, c.Days.At[stop]) {
		served := false // what the stop itself has is used while one is there
		for _, i := range slices.Concat(f.out, f.in) {
			served = served || open && c.Route.Stops[stop].Sure == fitout.Sure && c.Has(stop, &c.Vessels[i])
		}
		if served {
			continue
		}
		if lacking := d.run(&f, 1); lacking > 0 {
			w.lack(
				Lack{
					Of:     f.of,
					Km:     km,
					Leg:    -1,
					Stop:   stop,
					Day:    w.Days.Arrive[stop],
					Litres: lacking,
					Burner: f.burner,
				},
			)
		}
	}
	nights := math.Floor(c.Route.Stops[stop].Nights)
	if nights == 0 {
		return
	}
	for i := range c.Plan.Variant.Plumbing.Burners {
		b := &c.Plan.Variant.Plumbing.Burners[i]
		if !b.Heater || c.ColdAt(stop) >= b.Below {
			continue
		}
		f := c.burn(b, nights)
		if lacking := d.run(&f, 1); lacking > 0 {
			w.lack(
				Lack{
					Of:     WantBurner,
					Km:     km,
					Leg:    -1,
					Stop:   stop,
					Day:    w.Days.Arrive[stop],
					Litres: lacking,
					Burner: b.ID,
				},
			)
		}
	}
}

// ColdAt is the coldest night of a stop, °C.
func (c *Course) ColdAt(stop int) float64 {
	if cold := c.Route.Stops[stop].Cold; cold != nil {
		return cold.Night
	}
	return c.Plan.Job.Brief.Trip.Coldest
}

// burn is what a burner takes in so many days or nights.
func (c *Course) burn(b *fitout.Burner, days float64) flow {
	f := flow{of: WantBurner, burner: b.ID}
	for i := range c.Vessels {
		v := &c.Vessels[i]
		if v.ID != b.Vessel {
			continue
		}
		f.out = []int{i}
		f.amount = b.Litres * b.Hours * days
		if v.Holds == fitout.HoldsGas {
			f.amount = GasUse(b.KW, b.Basis, v.Said.Gas) * b.Hours * days / v.Density
		}
	}
	return f
}

// flows are what is used in a time by the day.
func (c *Course) flows(d *drawer, days float64) []flow {
	if days == 0 {
		return nil
	}
	drinking, wash := d.holding(fitout.HoldsDrinking), d.holding(fitout.HoldsWash)
	var all []flow
	add := func(of Want, amount float64, out, in []int) {
		if amount > 0 && len(out)+len(in) > 0 {
			all = append(all, flow{of: of, amount: amount, out: out, in: in})
		}
	}
	add(WantDrinking, c.daily.drinking*days, drinking, nil)
	add(WantWash, c.daily.wash*days, slices.Concat(wash, drinking), nil)
	add(WantWaste, c.daily.waste*days, nil, d.holding(fitout.HoldsWaste))
	if food := d.holding(fitout.HoldsFood); len(food) > 0 {
		add(WantFood, c.daily.food*days/c.Vessels[food[0]].Density, food, nil)
	}
	for i := range c.Plan.Variant.Plumbing.Burners {
		if b := &c.Plan.Variant.Plumbing.Burners[i]; !b.Heater {
			if f := c.burn(b, days); f.amount > 0 {
				all = append(all, f)
			}
		}
	}
	for i := range c.Plan.Variant.Plumbing.Warmers {
		w := &c.Plan.Variant.Plumbing.Warmers[i]
		for k := range c.Vessels {
			if v := &c.Vessels[k]; w.By == fitout.WarmedByGas && v.ID == w.Vessel && v.Holds == fitout.HoldsGas {
				if gas := warming(w).Gas; gas > 0 {
					all = append(
						all,
						flow{of: WantBurner, amount: gas * days / v.Density, out: []int{k}, burner: w.ID},
					)
				}
			}
		}
	}
	return all
}

func (w *Way) fill(c *Course, d *drawer, said map[fitout.StopFill]float64, stop int) {
	at := &w.Stops[stop]
	at.Filled = make([]float64, len(c.Vessels))
	bought := 0.0
	for i := range c.Vessels {
		v := &c.Vessels[i]
		to := c.target(said, stop, v, d.levels[i])
		at.Filled[i] = to - d.levels[i]
		if more := at.Filled[i]; more > settled || v.Holds == fitout.HoldsWaste && more < -settled {
			w.filled[v.Holds]++
		}
		d.levels[i] = to
		if v.Holds == fitout.HoldsFuel {
			bought += max(0, at.Filled[i])
		}
	}
	if had, has := c.fuelAt(stop); has {
		at.Cost = Cents(bought, had.Price)
	}
}

// Cents is what litres cost at a price in 1/10 000 of the currency, in cents.
func Cents(litres float64, price int) int { return int(math.Round(litres * float64(price) / 100)) }

// drive goes along a leg, and stops to look wherever a vessel gives out.
func (w *Way) drive(c *Course, d *drawer, leg int, km float64) {
	l, towing := &c.Route.Stops[leg].Leg, w.Stops[leg].Towing
	on := &w.Legs[leg]
	on.Mass, on.Towing = w.Stops[leg].Loads.Gross, towing
	on.Fuel = c.use(leg, on.Mass).Litres()
	on.Reserve = c.Reserve(leg, on.Fuel)
	all := c.flows(d, c.Days.OnLeg[leg])
	if on.Fuel > 0 {
		all = append(all, flow{of: WantFuel, amount: on.Fuel, out: c.fuel})
	}
	breaks := []float64{0, 1}
	for i := range all {
		breaks = append(breaks, d.breaks(&all[i])...)
	}
	slices.Sort(breaks)
	w.point(c, d, km, leg, towing)
	start := slices.Clone(d.levels)
	for k, share := range breaks {
		if share > 1 || k > 0 && share-breaks[k-1] < 1e-9 || share <= 0 {
			continue
		}
		copy(d.levels, start)
		for i := range all {
			lacking := d.run(&all[i], share)
			if lacking > 0 && share == 1 {
				// It gave out where its last vessel did.
				if all[i].of == WantFuel {
					on.Lacking = lacking
				}
				where := 1 - lacking/all[i].amount
				day := w.Days.Leave[leg]
				w.lack(Lack{Of: all[i].of, Km: km + where*l.Km, Leg: leg, Stop: -1, Day: day, Litres: lacking,
					Burner: all[i].burner})
			}
		}
		w.point(c, d, km+share*l.Km, leg, towing)
	}
	on.Left = d.left(c.fuel)
}
