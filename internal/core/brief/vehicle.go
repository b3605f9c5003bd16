package brief

import "zaino/internal/core/fitout"

func fuelStore(s *situation) *School {
	c := ask("Fuel", "fuel-store", "More fuel", "A second tank or jerry cans?")
	capacity := 0.0
	density := 0.8
	for _, t := range s.vehicle.Tanks {
		if t.Kind == fitout.TankFuel {
			capacity, density = capacity+t.Capacity, t.Density
		}
	}
	more := max(0, s.needs.Fuel.Litres-capacity)
	none := c.way("none", "What the vehicle has", 1).mass(0)
	tank := c.way("second-tank", "A second tank", 4).mass(22).pro(1,
		"Low, ahead of or beside the axle, filled at the "+
			"pump.").con(1, "Fuel systems belong to licensed people; the range then sits in the vehicle's mass every day.")
	cans := c.way("cans", "Jerry cans", 1).mass(4*max(1, float64(int((more+19)/20)))).pro(1,
		"Only when the trip wants them.").con(2, "Behind the rear axle they weigh on the tail more than their mass, and never in the people space.")
	if more == 0 {
		none.pro(3, "The tanks hold %s; the longest way wants %s.", s.say.Volume(capacity), s.say.Volume(s.needs.Fuel.Litres))
		tank.con(2, "Not needed.")
		cans.con(1, "Not needed.")
	} else {
		none.con(3, "The tanks hold %s; the longest way wants %s.", s.say.Volume(capacity), s.say.Volume(s.needs.Fuel.Litres))
		tank.pro(1, "Covers the %s (%s) that are missing.", s.say.Volume(more), s.say.Mass(more*density))
		if more <= 40 {
			cans.pro(3, "%s are missing: %d cans.", s.say.Volume(more), int((more+19)/20))
		} else {
			cans.con(1, "%d cans to lift and to tie.", int((more+19)/20))
			tank.pro(2, "More than cans should carry.")
		}
	}
	return c
}

func insulation(s *situation) *School {
	c := ask("Comfort", "insulation", "Insulation", "How much?")
	none := c.way("none", "None", 1).mass(0).pro(1, "No mass, no room, nothing that holds damp.")
	part := c.way("partial", "Roof and windows", 2).mass(6).width(0).pro(1, "Where most of the heat enters, for little.")
	full := c.way("full", "All round, with ventilation", 3).mass(18).width(50).con(1,
		"About %s and %s of width; without ventilation it gathers damp.", s.say.Mass(18), s.say.Length(50))
	if !s.inside {
		none.pro(2, "Nobody sleeps inside.")
		full.con(1, "Nobody sleeps inside.")
	} else {
		part.pro(1, "Somebody sleeps inside.")
		if s.freezing {
			full.pro(3, "Sleeping inside at %s.", s.say.Temperature(s.brief.Trip.Coldest))
		}
	}
	if s.hot {
		part.pro(2, "Days of %s: the roof lets most of it in.", s.say.Temperature(s.brief.Trip.Hottest))
	}
	return c
}

func heat(s *situation) *School {
	c := ask("Comfort", "heat", "Heat", "A heater, and on what?")
	none := c.way("none", "None", 1).mass(0).pro(1, "A warm bag weighs less than any heater.")
	diesel := c.way("fuel", "Diesel or petrol heater", 3).mass(7).pro(1, "Burns what the vehicle carries.").con(1,
		"Combustion air and exhaust outside, away from every opening; an alarm inside.")
	gas := c.way("gas", "Gas heater", 3).mass(9).con(2, "A second bottle, a sealed locker, and licensed work.").pro(1,
		"Quiet.")
	wood := c.way("wood", "Wood stove", 3).mass(24).pro(1, "Dries everything.").con(2,
		"Sparks, a hot flue through the roof, and it is lit by hand.").con(1, "Bedding has to stay far from it.")
	pump := c.way("heat-pump", "Heat pump", 4).mass(28).pro(1, "Cools as well.").con(2,
		"Draws several hundred watts for hours.")
	cold := s.brief.Trip.Coldest
	switch {
	case s.inside && s.freezing:
		diesel.pro(3, "Sleeping inside at %s.", s.say.Temperature(cold))
		gas.pro(1, "Sleeping inside at %s.", s.say.Temperature(cold))
		wood.pro(1, "Sleeping inside at %s.", s.say.Temperature(cold))
		none.con(2, "Sleeping inside at %s: what is wet stays wet.", s.say.Temperature(cold))
	case !s.freezing:
		none.pro(3, "The coldest night has %s.", s.say.Temperature(cold))
	}
	if s.hot && s.inside && s.needs.MainsNights <= 2 {
		pump.pro(2, "Days of %s with mains power near.", s.say.Temperature(s.brief.Trip.Hottest))
	}
	s.frugal(diesel, gas, wood, pump)
	return c
}

func boxRoof(s *situation) *School {
	c := ask("Comfort", "box-roof", "Roof of a living box", "Hard or pop-up?")
	hard := c.way("hard", "Hard roof", 2).mass(70).height(0).pro(1, "Ready at once, insulated, quiet in wind.").con(1,
		"Stands high in the wind and on side slopes.")
	pop := c.way("pop-up", "Pop-up", 4).mass(85).height(-500).pro(1, "About %s lower on the road.",
		s.say.Length(500)).con(1, "Cloth walls: cold, and a seam to keep tight.")
	if s.freezing && s.inside {
		hard.pro(2, "Nights of %s.", s.say.Temperature(s.brief.Trip.Coldest))
	}
	if e := s.brief.Envelope.Height; e > 0 && e < 2600 {
		pop.pro(3, "Has to pass under %s.", s.say.Length(e))
		hard.con(2, "Does not pass under %s.", s.say.Length(e))
	}
	return c
}

func roof(s *situation) *School {
	c := ask("Roof", "roof", "Roof", "One fixed kit or kits that swap?")
	fixed := c.way("fixed", "One fixed kit", 2).mass(30).pro(1, "Wired and sealed once.").con(1,
		"Always there: wind, fuel and height every day.")
	swap := c.way("swap", "Kits that swap on and off", 3).mass(36).pro(1,
		"Only what this trip wants shares the roof's "+
			"rating.").con(1, "Each kit needs its own plug, its own place at home and two people.")
	if s.daily {
		swap.pro(2, "Off on working days.")
	} else {
		fixed.pro(1, "The vehicle is for trips.")
	}
	if kg := s.vehicle.Limits.RoofMoving.Kg; kg > 0 && kg < 80 {
		swap.pro(1, "Only %s may be up there while driving.", s.say.Mass(kg))
	}
	if s.brief.Envelope.Height > 0 && s.brief.Envelope.Height < s.vehicle.Outline.Height+250 {
		swap.pro(2, "Off, it fits under %s.", s.say.Length(s.brief.Envelope.Height))
		fixed.con(2, "Leaves %s under %s.", s.say.Length(max(0, s.brief.Envelope.Height-s.vehicle.Outline.Height)),
			s.say.Length(s.brief.Envelope.Height))
	}
	return c
}

func spare(s *situation) *School {
	c := ask("Vehicle", "spare", "Spare wheel", "Where, when its place is taken?")
	under := c.way("under", "Under the body", 2).mass(4).pro(2, "Low, and in nobody's way.").con(1,
		"Takes the place of a tank or a box, and it is dirty work to reach.")
	wall := c.way("rear-wall", "On the rear wall or a carrier", 3).mass(22).pro(1, "Reached standing.").con(2,
		"Far behind the axle: it weighs on the rear axle more than its mass, and may hide plate and lamps.")
	inside := c.way("inside", "Inside", 1).mass(3).pro(1, "Clean, and it can be near the axle.").con(1,
		"Takes about %s of the best room.", s.say.Volume(90))
	roofed := c.way("roof", "On the roof", 2).mass(6).pro(1, "Takes no room.").con(2,
		"Its mass at the highest place, lifted down by two.")
	if s.rough > 0.15 {
		wall.pro(1, "Tracks ask for it: reached without unloading.")
	}
	if s.vehicle.Outline.Body == fitout.BodyTray {
		under.pro(1, "A %s leaves room between the rails.", s.say.Term(fitout.TermTray))
	}
	if s.wagon {
		inside.con(1, "In a wagon it lies where the drawers go.")
	}
	if s.needs.Reach.Grip > 0 && s.vehicle.Outline.Height > s.needs.Reach.Grip {
		roofed.con(1, "The roof stands at %s; %s grips up to %s.", s.say.Length(s.vehicle.Outline.Height), s.needs.Reach.Who,
			s.say.Length(s.needs.Reach.Grip))
	}
	return c
}

func suspension(s *situation) *School {
	c := ask("Vehicle", "suspension", "Suspension", "For the new mass: springs, airbags, both, or an upgrade?")
	none := c.way("none", "As it is", 1).mass(0)
	springs := c.way("springs", "Springs matched to the load", 2).mass(9).pro(1,
		"Right at the mass that it mostly has.").con(1, "Hard when empty.")
	bags := c.way("airbags", "Helper airbags", 2).mass(5).pro(1, "Levels it for each load.").con(2,
		"Raises no rating; on a plain chassis their force sits where the frame was not made for it.")
	both := c.way("both", "Springs and airbags", 3).mass(14).pro(1,
		"Springs for what is always there, air for what comes and goes.")
	upgrade := c.way("upgrade", "Conversion with a certified upgrade", 4).mass(22).con(1,
		"Certified people only; in many places it counts only before the first registration, and the axle ratings do not "+
			"always rise with it.")
	if s.known && s.left < 0 {
		upgrade.pro(3, "The payload is %s short before any fitout: only a higher limit or less load helps.",
			s.say.Mass(-s.left))
		none.con(3, "The load is already over.")
	} else if s.known && s.left < 250 {
		springs.pro(2, "%s are left for the fitout: it will run near its limit always.", s.say.Mass(s.left))
		none.con(1, "It will run near its limit always.")
	} else {
		none.pro(2, "There is payload to spare.")
	}
	if s.brief.Trip.Tows == fitout.TowsSometimes {
		bags.pro(2, "The ball comes and goes.")
		both.pro(1, "The ball comes and goes.")
	}
	if s.daily {
		springs.con(1, "Driven empty on working days.")
		bags.pro(1, "Soft when empty.")
	}
	s.frugal(both, upgrade)
	return c
}
