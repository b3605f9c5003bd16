package brief

import (
	"fmt"

	"zaino/internal/core/fitout"
)

// carrier: what everything stands in; its own mass is usually the biggest
// single item of the build.
func carrier(s *situation) *School {
	c := ask("Carrier", "carrier", "Carrier", "What is everything built into?")
	drawers := c.way("wagon-drawers", "Drawers in a wagon", 2).mass(85).pro(1, "Sealed and locked by the vehicle itself.")
	tub := c.way("tub-lid", s.capital(fitout.TermTub)+" with a lid or "+s.say.Term(fitout.TermCanopy), 2).mass(60).pro(1,
		"Keeps the factory %s and its crash behaviour.", s.say.Term(fitout.TermTub))
	tray := c.way("tray-canopy", fmt.Sprintf("%s with %s and boxes below", s.capital(fitout.TermTray),
		s.say.Term(fitout.TermCanopy)), 3).mass(340).pro(2, "Reached from both sides; the room below is used too.").
		con(2, "%s and %s together weigh about %s before anything is in them.", s.capital(fitout.TermTray),
			s.say.Term(fitout.TermCanopy), s.say.Mass(340))
	box := c.way("living-box", "Slide-in living box", 4).mass(520).pro(1, "Living inside in any weather.").
		con(3, "About %s high up behind the cab before anything is in it.", s.say.Mass(520))
	if s.wagon {
		drawers.pro(3, "The vehicle is a wagon: the room is there and sealed.")
		for _, w := range []*Way{tub, tray, box} {
			w.con(3, "Not on a wagon body.")
		}
	} else {
		drawers.con(3, "The vehicle has no wagon body.")
	}
	if s.vehicle.Outline.Body == fitout.BodyTub {
		tub.pro(2, "The %s is there.", s.say.Term(fitout.TermTub))
	}
	if s.vehicle.Outline.Body == fitout.BodyTray {
		tray.pro(2, "The vehicle already has a %s.", s.say.Term(fitout.TermTray))
		tub.con(2, "The %s is gone.", s.say.Term(fitout.TermTub))
	}
	if s.inside && s.freezing && s.needs.Nights >= 4 {
		box.pro(3, "%s inside at %s want walls and standing height.", s.nights(s.needs.Nights),
			s.say.Temperature(s.brief.Trip.Coldest))
	}
	if s.tight() {
		tray.con(1, "Only %s are left for the whole fitout.", s.say.Mass(s.left))
		box.con(3, "Only %s are left for the whole fitout.", s.say.Mass(s.left))
	}
	s.frugal(tray, box)
	return c
}

func fridge(s *situation) *School {
	c := ask("Kitchen", "fridge", "Fridge", "Which fridge, and on what?")
	kg := 14 + 0.3*s.litres
	plain := c.way("chest-plain", "Chest on a plain slide",
		2).mass(kg+17).width(40).height(slideHeight+s.chest()).number("Rim above ground", s.rim, "length").
		pro(1, "Cheap, light and low; %s for these people and nights.", s.say.Volume(s.litres))
	drop := c.way("chest-drop", "Chest on a drop-down slide",
		3).mass(kg+29).width(90).height(slideHeight+45+s.chest()).number("Rim above ground", s.rim-300, "length").
		con(1, "%s heavier than a plain slide, %s wider and dearer.", s.say.Mass(12), s.say.Length(50))
	upright := c.way("upright", "Upright", 3).mass(kg+9).width(0).height(520+3*s.litres).
		pro(2, "Easiest to use: the door opens at hand, nothing has to be dug out.").
		con(1, "Cold falls out at each opening and it has to be packed so that nothing follows.")
	drawer := c.way("drawer", "Drawer fridge", 4).mass(kg+6).width(30).height(420).
		pro(1, "Good under a bench: no lid above it, no slide below it.")
	if r := s.needs.Reach; r.Rim > 0 {
		if s.rim > r.Rim {
			plain.con(3, "Its rim stands at %s; %s reaches into it up to %s.", s.say.Length(s.rim), r.Who, s.say.Length(r.Rim))
			if s.rim-300 <= r.Rim {
				drop.pro(3, "Brings the rim from %s down to about %s, within the %s of %s.", s.say.Length(s.rim),
					s.say.Length(s.rim-300), s.say.Length(r.Rim), r.Who)
			} else {
				drop.con(2, "Even lowered the rim stands at about %s, above the %s of %s: a step is needed.",
					s.say.Length(s.rim-300), s.say.Length(r.Rim), r.Who)
			}
			upright.pro(2, "Has no rim to reach over.")
		} else {
			plain.pro(2, "Its rim at %s is within the reach of %s, %s.", s.say.Length(s.rim), r.Who, s.say.Length(r.Rim))
			drop.con(2, "Not needed: the rim is within reach.")
		}
	}
	if s.inside && s.wagon {
		upright.con(3, "Nobody sleeps above it: it would set the height of the platform to %s.", s.say.Length(520+3*s.litres))
		drop.con(1, "The platform above rises with the slide.")
	}
	if s.litres > 50 {
		drawer.con(3, "Holds about %s; these people and nights want %s.", s.say.Volume(35), s.say.Volume(s.litres))
	}
	if s.hot {
		upright.con(1, "Draws more at %s.", s.say.Temperature(s.brief.Trip.Hottest))
	}
	if s.rough > 0.15 {
		upright.con(1, "On tracks its shelves empty themselves when the door is opened.")
	}
	s.frugal(drop, upright, drawer)
	return c
}

func fridgePlace(s *situation) *School {
	c := ask("Kitchen", "fridge-place", "Where the fridge stands", "Forward, at the rear, or at a side?")
	forward := c.way("forward", "Forward, just behind the cab or seats", 2).pro(2,
		"Keeps its %s off the tail: each step of %s forward takes load off the rear axle.", s.say.Mass(14+0.3*s.litres+17),
		s.say.Length(500))
	rear := c.way("rear", "At the rear", 2).pro(1,
		"Slides out with nothing in its way, at the tailgate where one "+
			"cooks.").con(1, "Its whole mass stands behind the rear axle.")
	if s.wagon {
		forward.con(3, "In a wagon the pull-out has only the tailgate to come out of.")
		rear.pro(1, "The only opening that a slide can use.")
	} else {
		forward.pro(1, "A side door lets it slide out there.")
	}
	if s.brief.Trip.Tows != fitout.TowsNever {
		rear.con(1, "The trailer's ball already stands on the tail, and a coupled trailer is in the way.")
	}
	return c
}

func drawers(s *situation) *School {
	c := ask("Drawers", "drawers", "Drawers", "One big or two small?")
	one := c.way("one-big", "One big drawer", 2).mass(42).width(58).pro(1,
		"Long and broad things lie flat; one pair of runners less.").con(1, "Everything moves for everything.")
	two := c.way("two-small", "Two small drawers", 3).mass(52).width(116).pro(1,
		"One for the kitchen, one for tools; each opened with one "+
			"hand.").con(1, "A second pair of runners and two more panels take %s of width and %s.", s.say.Length(58), s.say.Mass(10))
	often, broad := 0, 0
	for _, g := range s.brief.Gear {
		if g.Used == fitout.UsedOften || g.Used == fitout.UsedDaily {
			often++
		}
		if min(g.Size.Length, g.Size.Width) > 450 {
			broad++
		}
	}
	if often > 3 {
		two.pro(2, "%d things are used daily or more: they come to hand in half the digging.", often)
	}
	if broad > 0 {
		one.pro(2, "%d things are broader than half a drawer.", broad)
	}
	if s.needs.People >= 3 {
		two.pro(1, "%d people rarely want the same drawer.", s.needs.People)
	}
	if s.tight() {
		one.pro(1, "%s lighter, and only %s are left.", s.say.Mass(10), s.say.Mass(s.left))
	}
	return c
}

func drawerLength(s *situation) *School {
	c := ask("Drawers", "drawer-length", "Length of the drawers", "As long as the bay, or short with hidden room behind?")
	full := c.way("full", "Full length", 3).mass(52).pro(1,
		"Long things lie in it; nothing has to be unloaded to get at the far "+
			"end.").con(1, "A full load on a long slide needs strong runners and stands far out of the vehicle.")
	short := c.way("short", "Short, with hidden room behind", 2).mass(38).pro(1,
		"Heavy things that are seldom touched lie ahead of the axle, out of "+
			"sight.").pro(1, "Shorter runners carry more and fit with room to spare.")
	long := false
	seldom := 0
	for _, g := range s.brief.Gear {
		long = long || g.Size.Length > 1000
		if g.Used == fitout.UsedSeldom || g.Used == fitout.UsedEmergency {
			seldom++
		}
	}
	if long {
		full.pro(2, "Some of the gear is longer than %s.", s.say.Length(1000))
	}
	if seldom > 2 {
		short.pro(2, "%d things are seldom touched: they go behind.", seldom)
	}
	if s.needs.Reach.Arm > 0 {
		short.pro(1, "%s reaches %s in; what lies beyond is out of reach without a drawer anyway.", s.needs.Reach.Who,
			s.say.Length(s.needs.Reach.Arm))
	}
	return c
}

func drawerLock(s *situation) *School {
	c := ask("Drawers", "drawer-lock", "Lock of the drawers", "A lock on both runners or on one?")
	both := c.way("both", "On both runners", 3).pro(1, "Holds straight under a heavy load on a slope.").con(1,
		"A wide drawer then needs two hands.")
	one := c.way("one", "On one runner", 2).pro(1, "Opened with one hand, the other holds the pot.")
	if s.rough > 0.15 {
		both.pro(2, "%.0f %% of the way are tracks and sand: it must not come open.", 100*s.rough)
	} else {
		one.pro(1, "Mostly roads: one rated lock and the latch hold it.")
	}
	return c
}

func runners(s *situation) *School {
	c := ask("Drawers", "runners", "Runners", "What do drawers run on?")
	ball := c.way("ball-bearing", "Heavy ball-bearing slides", 4).mass(11).width(38).pro(2,
		"Strong, full extension, locks in and "+
			"out.").con(1, "Heavy, dear, want straight work and cost %s of each drawer's width.", s.say.Length(38))
	plastic := c.way("strips", "Low-friction plastic strips", 1).mass(1.5).width(4).pro(1,
		"No width lost, light and cheap; dust does not stop "+
			"them.").con(1, "No lock, and the drawer cannot come out all the way under load.")
	c.way("rollers", "Rollers", 2).mass(4).width(12).pro(1, "Rolls heavy loads over its whole length.").con(1,
		"Rattles when worn, and has no lock of its own.")
	if s.tight() {
		plastic.pro(2, "%s lighter for each drawer, and only %s are left.", s.say.Mass(9.5), s.say.Mass(s.left))
	}
	heavy := 0.0
	for _, g := range s.brief.Gear {
		heavy = max(heavy, g.Mass)
	}
	if heavy > 25 {
		ball.pro(2, "The heaviest single thing of the gear weighs %s.", s.say.Mass(heavy))
		plastic.con(1, "Hard to pull with %s in it.", s.say.Mass(heavy))
	}
	s.frugal(ball)
	return c
}

func material(s *situation) *School {
	c := ask("Making", "material", "Material", "What is it built of?")
	ply := c.way("plywood", "Plywood", 1).mass(64).pro(1, "Cut and repaired anywhere, with any tool.").con(1,
		"Heavier, and it drinks water at every edge that is not sealed.")
	extrusion := c.way("extrusion", "Aluminium extrusion with slot nuts", 3).mass(48).pro(1,
		"Light, and changed with one key after the first "+
			"season.").con(1, "The order of assembly matters: a forgotten nut costs a dismantling, and hinged parts need solid blocks.")
	sheet := c.way("sheet", "Welded aluminium sheet and tube", 4).mass(44).pro(1,
		"Light and tight, for outside and for wet.").con(1, "Needs a welder, and again for every change.")
	foam := c.way("foam-core", "Foam-core board with thin aluminium skin", 4).mass(31).pro(1,
		"The lightest, and it insulates.").con(1, "Bonded: what is fixed to it needs blocks let in, and a repair is a workshop's.")
	if s.tight() {
		ply.con(2, "About %s heavier than foam-core for the same unit, with %s left.", s.say.Mass(33), s.say.Mass(s.left))
		foam.pro(2, "Saves about %s against plywood, with %s left.", s.say.Mass(33), s.say.Mass(s.left))
		extrusion.pro(1, "Saves about %s against plywood.", s.say.Mass(16))
	}
	if s.daily {
		extrusion.pro(1, "Comes apart for the days without it.")
	}
	if s.brief.Camp.WasteWater == fitout.WasteCaught || s.brief.Camp.Washing == fitout.WashShower {
		ply.con(1, "There will be water about.")
		sheet.pro(1, "Water does it no harm.")
	}
	if s.inside && s.freezing {
		foam.pro(1, "Insulates where somebody sleeps at %s.", s.say.Temperature(s.brief.Trip.Coldest))
	}
	if len(s.brief.Later) > 0 {
		extrusion.pro(1, "%d things come later: slots take them without a hole.", len(s.brief.Later))
	}
	s.frugal(extrusion, sheet, foam)
	return c
}

func lining(s *situation) *School {
	c := ask("Making", "lining", "Lining", "Lined or bare?")
	lined := c.way("lined", "Lined with felt or foam", 2).mass(4).width(6).pro(1, "Quiet, and forgives rough work.").con(1,
		"Costs %s of width in each drawer, and %s.", s.say.Length(6), s.say.Mass(4))
	bare := c.way("bare", "Bare", 1).pro(1, "Wipes clean; nothing soaks up water or fuel.")
	for _, g := range s.brief.Gear {
		if g.Dry || g.Upright {
			lined.pro(1, "%s and the like want to lie soft.", g.Name)
			break
		}
	}
	if s.rough > 0.15 {
		lined.pro(1, "On tracks bare boxes rattle.")
	}
	if s.tight() {
		bare.pro(1, "Mass is short.")
	}
	return c
}

func lid(s *situation) *School {
	c := ask("Drawers", "lid", "Lids", "How do lidded boxes open?")
	hinged := c.way("hinged", "Hinged, with gas struts", 3).mass(3).height(20).pro(1,
		"Stays where it belongs and holds itself open.").con(1, "Needs room above, and struts that match lid and wind.")
	c.way("lift-off", "Lift-off", 1).mass(2).pro(1, "Cheap, and nothing is in the way above.").con(1,
		"Loses its place, and takes both hands.")
	front := c.way("drop-front", "Drop-down front", 2).mass(2.5).pro(1, "Works with something on top.")
	if s.inside {
		front.pro(2, "Opens under the mattress.")
		hinged.con(1, "Cannot open under a mattress that somebody lies on.")
	}
	return c
}

func fitted(s *situation) *School {
	c := ask("Making", "free-space", "A place for everything, or free space",
		"Fitted boxes and pockets, or room for the unforeseen?")
	place := c.way("fitted", "A place for everything", 3).mass(12).pro(1,
		"Found in the dark, quiet, and nothing comes loose.").con(1, "Fits this gear and no other.")
	free := c.way("free", "Free space with tie-downs", 1).mass(4).pro(1, "Takes what nobody thought of.")
	if n := len(s.brief.Gear); n >= 8 {
		place.pro(2, "%d things are known by size: they can have their places.", n)
	} else {
		free.pro(2, "Only %d things are known yet.", n)
	}
	if s.daily {
		free.pro(1, "Also carries what daily life brings.")
	}
	return c
}

func fixing(s *situation) *School {
	c := ask("Making", "fixing", "Fixed or removable", "Bolted, bonded, or lifted out?")
	bolted := c.way("bolted", "Bolted through the floor or to seat mounts", 2).mass(3).pro(2,
		"Holds best; its force goes into known points.").con(1, "Holes in the floor leak and rust unless each is sealed.")
	bonded := c.way("bonded", "Bonded without drilling", 2).mass(2).pro(1, "No hole, no leak.").con(1,
		"Not to be moved again, and only as good as the ground that was cleaned for it.")
	out := c.way("lift-out", "Clamped and lifted out", 3).mass(8).con(1,
		"Needs a connector in every cable and hose, and rated tie-down points.")
	if n := len(s.brief.Daily.LiftOut); n > 0 {
		l := s.brief.Daily.LiftOut[0]
		out.pro(3, "%s has to come out in %.0f minutes.", l.Name, l.Minutes)
		bolted.con(2, "Does not come out in %.0f minutes.", l.Minutes)
		bonded.con(3, "Does not come out at all.")
		if l.People < 2 {
			out.con(1, "One person lifts it: keep each piece under about %s.", s.say.Mass(25))
		}
	} else if s.brief.Daily.Driver {
		out.pro(1, "It is the daily driver too.")
	}
	return c
}

func holding(s *situation) *School {
	c := ask("Making", "holding", "Holding a lift-out unit", "What holds it in a crash?")
	c.way("tie-down", "Rated tie-down points", 2).mass(4).pro(3,
		"Holds forward, sideways and upward by a rating that can be read.")
	c.way("tight-fit", "A tight fit alone", 1).mass(0).pro(1, "Convenient: pushed in, pulled out.").con(3,
		"Holds nothing in a crash: friction counts as nothing.")
	return c
}

func high(s *situation) *School {
	c := ask("Drawers", "high-storage", "High storage", "Use the room up high?")
	light := c.way("light", "Shelves and nets for light things", 2).mass(6).pro(1,
		"Uses dead room for clothes and bedding, latched.").con(1, "Everything up there raises the centre of gravity.")
	none := c.way("none", "Leave it empty", 1).pro(1, "Low centre of gravity, clear view to the rear.")
	if s.needs.Nights >= 5 || s.needs.People >= 3 {
		light.pro(2, "%d people for %s bring much that is light.", s.needs.People, s.nights(s.needs.Nights))
	}
	if s.rough > 0.3 {
		none.pro(1, "Much side slope on tracks: mass up high is felt.")
	}
	return c
}

func barrier(s *situation) *School {
	c := ask("Safety", "barrier", "Cargo barrier", "A barrier behind people?")
	with := c.way("barrier", "Fit a rated barrier", 2).mass(14).pro(2,
		"Loose hard things behind people stay "+
			"there.").con(1, "About %s, and some room for the seats to lean back.", s.say.Mass(14))
	without := c.way("none", "No barrier", 1).pro(1, "Load through the cab, and lying through to the seats.")
	hard := 0
	for _, g := range s.brief.Gear {
		if g.Mass >= 5 {
			hard++
		}
	}
	if s.wagon {
		with.pro(3, "In a wagon %d things of %s or more travel in the same room as people.", hard, s.say.Mass(5))
		without.con(3, "Nothing else stops them.")
	} else {
		without.pro(2, "The cab's own rear wall stands between load and people.")
	}
	if s.inside && s.wagon {
		with.con(1, "It has to come out for the night, or end at the platform.")
	}
	return c
}
