package brief

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

func sleeping(s *situation) *School {
	c := ask("Sleeping", "sleeping", "Sleeping", "Where do they sleep?")
	bed := s.needs.Bed
	roofTent := c.way("roof-tent", "Roof tent", 4).mass(62).height(280).pro(1,
		"Up in minutes, off the wet ground, the room inside stays "+
			"free.").con(1, "About %s as high up as it gets, on a rated roof, and the camp has to be struck to drive.", s.say.Mass(62))
	ground := c.way("ground", "Swag or ground tent", 1).mass(9*float64(max(1, bed.Sleepers))).pro(2,
		"Light, cheap, low, and the vehicle can drive off without it.").con(1, "Wet ground, and it is put up every night.")
	inside := c.way("inside", "Inside on a platform", 2).mass(32).height(180).pro(1, "Dry, locked and ready at once.")
	hammock := c.way("hammock", "Hammock", 1).mass(2*float64(max(1, bed.Sleepers))).pro(1, "Lightest of all.").con(2,
		"Wants two trees, and warm nights.")
	if length, box := s.longest(); length > 0 && bed.Length > 0 {
		if length >= bed.Length {
			inside.pro(2, "The bed of %s fits the %s of %s.", s.say.Length(bed.Length), s.say.Length(length), box)
		} else {
			inside.con(2, "The bed wants %s; %s is %s long, so something has to fold or open.", s.say.Length(bed.Length), box,
				s.say.Length(length))
		}
	}
	if bed.Sleepers > 2 {
		inside.con(3, "%d sleepers want a bed %s wide.", bed.Sleepers, s.say.Length(bed.Width))
		ground.pro(1, "Grows with the number of sleepers.")
	}
	if s.freezing {
		inside.pro(2, "Nights of %s.", s.say.Temperature(s.brief.Trip.Coldest))
		roofTent.con(1, "Cold from below at %s.", s.say.Temperature(s.brief.Trip.Coldest))
		hammock.con(2, "Nights of %s.", s.say.Temperature(s.brief.Trip.Coldest))
	}
	if e := s.brief.Envelope.Height; e > 0 && s.vehicle.Outline.Height+280 > e {
		roofTent.con(2, "With it the vehicle stands at about %s, above the %s of the brief.",
			s.say.Length(s.vehicle.Outline.Height+280), s.say.Length(e))
	}
	if s.brief.Daily.Driver {
		roofTent.con(1, "Rides along every day, or needs a hoist.")
	}
	if s.tight() {
		roofTent.con(2, "Only %s are left for the fitout.", s.say.Mass(s.left))
	}
	wants := map[fitout.SleepWhere]*Way{fitout.SleepInside: inside, fitout.SleepRoof: roofTent, fitout.SleepGround: ground}
	if w := wants[s.brief.Camp.SleepWhere]; w != nil {
		w.pro(3, "It is what the customer asks for.")
	}
	s.frugal(roofTent)
	return c
}

// longest is the longest bay that a bed could lie in; of a wagon with the
// seats folded it is as measured.
func (s *situation) longest() (mm float64, name string) {
	for i := range s.vehicle.Bays {
		b := &s.vehicle.Bays[i]
		switch b.Kind {
		case fitout.BayWagonCargo, fitout.BayTub, fitout.BayCanopyRear, fitout.BayLivingBox:
			if least := min(b.LengthLeft, b.LengthRight); least > mm {
				mm, name = least, words.Lower(b.Name)
			}
		}
	}
	return mm, name
}

func cookingPlace(s *situation) *School {
	c := ask("Kitchen", "cooking-place", "Where to cook", "Inside or outside?")
	outside := c.way("outside", "Outside, at the tailgate or side", 2).mass(12).pro(2,
		"Steam, flame and fat stay out; room to stand.").con(1, "Wind and rain are there too: it wants an awning.")
	inside := c.way("inside", "Inside", 3).mass(24).pro(1, "Weather does not matter.").con(2,
		"Flame inside wants ventilation, a gas drain and an alarm, by licensed people.")
	if s.freezing || s.brief.Camp.CookWhere == fitout.CookInside {
		inside.pro(2, "Nights of %s, or the customer asks for it.", s.say.Temperature(s.brief.Trip.Coldest))
	}
	if s.brief.Camp.CookWhere == fitout.CookOutside {
		outside.pro(2, "It is what the customer asks for.")
	}
	return c
}

func cookingFuel(s *situation) *School {
	c := ask("Kitchen", "cooking-fuel", "What to cook on", "Gas or induction?")
	meals := s.brief.Camp.HotMeals * max(1, s.needs.Nights)
	gas := c.way("gas", "Gas", 1).mass(11).number("Gas for the trip", 0.06*meals*float64(max(1, s.needs.People))/2,
		"mass").
		pro(2, "%.0f hot meals on one bottle, whatever the weather.", meals).con(1,
		"A sealed locker with a drain, by a licensed fitter; some ferries and tunnels refuse it.")
	induction := c.way("induction", "Induction", 3).mass(26).pro(1, "No flame, no bottle, no gas locker.").
		con(2, "Draws about 1800 W: the battery's discharge current and the inverter limit it, not the capacity.")
	if s.needs.MainsNights <= 2 {
		induction.pro(2, "Mains power every %s.", s.nights(s.needs.MainsNights))
	} else {
		induction.con(2, "%s without mains: about %.1f kWh a day more to make.", s.nights(s.needs.MainsNights),
			0.4*s.brief.Camp.HotMeals)
	}
	if s.brief.Camp.CookWhere == fitout.CookInside {
		induction.pro(1, "No flame where people are.")
		gas.con(1, "Flame inside.")
	}
	s.frugal(induction)
	return c
}

func appliances(s *situation) *School {
	c := ask("Power", "appliances", "Appliances", "Low voltage, or mains through the inverter?")
	low := c.way("low-voltage", "Low voltage wherever it exists", 2).mass(3).pro(2,
		"No inverter running day and night, no mains in the vehicle.")
	mains := c.way("inverter", "Mains through the inverter", 3).mass(9).pro(1, "What they have at home works here.").con(1,
		"The inverter's own draw, about 20 W, never sleeps.").con(1, "Mains in a vehicle belongs to licensed people.")
	if s.needs.MainsNights > 4 {
		low.pro(1, "%s on what the battery holds.", s.nights(s.needs.MainsNights))
	}
	s.frugal(mains)
	return c
}

func battery(s *situation) *School {
	c := ask("Power", "battery", "Battery", "Portable station or fixed house battery?")
	station := c.way("station", "Portable power station", 2).mass(14).pro(1,
		"Goes into the house or the tent; no "+
			"installation.").con(1, "Charges slowly while driving, and stands loose unless it is tied down.")
	house := c.way("house", "Fixed house battery", 3).mass(27).pro(2,
		"More current, always charging when the engine "+
			"runs.").con(1, "Installed: fuses, cables and an isolator, so that it never flattens the starting battery.")
	if s.needs.MainsNights > 3 {
		house.pro(2, "%s without mains.", s.nights(s.needs.MainsNights))
	} else {
		station.pro(2, "Only %s without mains.", s.nights(s.needs.MainsNights))
	}
	if s.daily {
		station.pro(1, "Stays at home on working days.")
	}
	s.frugal(house)
	return c
}

func solar(s *situation) *School {
	c := ask("Power", "solar", "Solar", "On the roof, or a loose panel?")
	roofed := c.way("roof", "On the roof", 2).mass(13).pro(1, "Always charging, moving and parked.").con(1,
		"Shaded by whatever else is on the roof, and the vehicle has to stand in the sun.")
	loose := c.way("loose", "A loose panel", 2).mass(9).pro(1,
		"Follows the sun while the vehicle stands in the shade.").con(1, "Set out by hand every day, and it can be stolen.")
	if s.hot {
		loose.pro(2, "At %s the vehicle wants shade and the panel does not.", s.say.Temperature(s.brief.Trip.Hottest))
	}
	if s.brief.Trip.DayDistance >= 100 {
		roofed.pro(2, "They move about %.0f km a day: it charges without being set out.", s.brief.Trip.DayDistance)
	}
	if s.brief.Camp.SleepWhere == fitout.SleepRoof {
		roofed.con(2, "The roof tent takes its place.")
	}
	return c
}

func slideCable(s *situation) *School {
	c := ask("Power", "slide-cable", "Cable and hose on a slide", "How do they follow?")
	c.way("chain", "Cable chain", 3).mass(1.5).width(30).pro(2, "Guides cable and hose together; nothing can snag.").con(1,
		"Wants %s beside or below the slide.", s.say.Length(30))
	c.way("fold", "Fold held at mid-point", 1).mass(0.2).pro(1, "Two clips and a loop; simple.").con(1,
		"Hangs where something can catch it.")
	c.way("elastic", "Elastic take-up", 1).mass(0.2).pro(1, "Keeps the loop short.").con(2,
		"The elastic tires, and then the loop falls under the slide.")
	return c
}

func waterStore(s *situation) *School {
	c := ask("Water", "water-store", "Water", "Several vessels, one tank or a bladder?")
	litres := s.needs.Water.Litres
	vessels := c.way("vessels", "Several vessels", 1).mass(0.06*litres).pro(1,
		"One runs dry as a warning; they are filled and carried by hand.")
	tank := c.way("tank", "One fixed tank", 3).mass(0.14*litres).pro(1,
		"Low and central, filled by hose, with baffles and a breather.").con(1, "If it leaks or is fouled, all is lost.")
	bladder := c.way("bladder", "A bladder", 2).mass(0.02*litres).pro(1, "Takes no room when it is empty.").con(1,
		"Chafes where it is not held, and cannot be cleaned well.")
	if litres > 60 {
		tank.pro(2, "%s, too much to carry by hand.", s.say.Volume(litres))
		vessels.con(1, "%d cans of %s to lift.", int((litres+19)/20), s.say.Volume(20))
	} else {
		vessels.pro(2, "%s are %d cans.", s.say.Volume(litres), int((litres+19)/20))
	}
	if s.daily {
		bladder.pro(1, "Rolled up on working days.")
	}
	if s.rough > 0.3 {
		bladder.con(1, "Tracks chafe it.")
	}
	return c
}

func waterFeed(s *situation) *School {
	c := ask("Water", "water-feed", "Tap", "Gravity or pump?")
	gravity := c.way("gravity", "Gravity", 1).mass(0.5).pro(1, "Nothing to break, no power.").con(1,
		"The water has to stand above the tap, and so does its mass.")
	pump := c.way("pump", "Pump", 2).mass(2).pro(1, "The tank lies low and central where it belongs.")
	if s.needs.Water.Litres > 40 {
		pump.pro(2, "%s stay low.", s.say.Mass(s.needs.Water.Litres))
		gravity.con(1, "%s up high.", s.say.Mass(s.needs.Water.Litres))
	}
	if s.brief.Camp.Washing == fitout.WashShower {
		pump.pro(2, "A shower wants pressure.")
	}
	return c
}

func waste(s *situation) *School {
	c := ask("Water", "waste", "Used water", "Sink with a waste tank, a bowl, or nothing?")
	tank := c.way("tank", "Sink with a waste tank", 3).mass(8).pro(1, "Caught and let out where it is allowed.").con(1,
		"It fills as the fresh water empties: the same mass in another place.")
	bowl := c.way("bowl", "A bowl", 1).mass(0.5).pro(2, "Weighs nothing and is emptied where it does no harm.")
	if s.brief.Camp.WasteWater == fitout.WasteCaught {
		tank.pro(3, "The brief wants used water caught.")
		bowl.con(1, "Catches only what is carried away.")
	}
	return c
}

func toilet(s *situation) *School {
	c := ask("Water", "toilet", "Toilet", "None, cassette or composting?")
	none := c.way("none", "None", 1).mass(0.5).pro(1, "A spade and a rule of distance.")
	cassette := c.way("cassette", "Cassette", 2).mass(9).pro(1, "Closed and emptied at a station.").con(1,
		"Wants a station about every %s.", s.nights(max(1, float64(int(10/max(1, float64(s.needs.People)))))))
	compost := c.way("composting", "Composting", 3).mass(12).pro(1, "No chemicals, emptied seldom.").con(1,
		"Wants air, and someone who looks after it.")
	switch s.brief.Camp.Toilet {
	case fitout.ToiletNone:
		none.pro(3, "The brief asks for none.")
	case fitout.ToiletCarried:
		cassette.pro(3, "The brief asks for one that is carried along.")
	default:
		cassette.pro(2, "The brief asks for one built in.")
		compost.pro(2, "The brief asks for one built in.")
		if s.needs.Nights > 5 {
			compost.pro(2, "%s between stations.", s.nights(s.needs.Nights))
		}
	}
	return c
}

func freezing(s *situation) *School {
	c := ask("Water", "freezing", "Frost", "Tanks inside, or heated?")
	inside := c.way("inside", "Tanks and pipes inside", 2).mass(0).pro(1,
		"What is warm needs no heating, and nothing has to be remembered.")
	heated := c.way("heated", "Heated tanks outside", 3).mass(3).pro(1, "The room inside stays free.").con(1,
		"A battery's worth of heat every cold night.")
	under := c.way("drained", "Outside and drained before frost", 1).mass(0).pro(1, "Costs nothing.")
	if s.freezing {
		inside.pro(2, "Nights of %s.", s.say.Temperature(s.brief.Trip.Coldest))
		heated.pro(1, "Nights of %s.", s.say.Temperature(s.brief.Trip.Coldest))
		under.con(3, "At %s it would have to stand dry on the trip itself.", s.say.Temperature(s.brief.Trip.Coldest))
	} else {
		under.pro(2, "No frost on these trips: the coldest night has %s.", s.say.Temperature(s.brief.Trip.Coldest))
		heated.con(2, "Not needed.")
	}
	return c
}
