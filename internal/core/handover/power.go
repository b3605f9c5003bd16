package handover

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/wiring"
	"zaino/internal/core/words"
)

// gas tries what burns. Leaks and flues belong to who is licensed for them.
func (g *gather) gas() {
	p := g.p
	f := &p.Variant.Plumbing
	bottles := false
	for i := range f.Vessels {
		bottles = bottles || f.Vessels[i].Holds == fitout.HoldsGas
	}
	if bottles {
		g.add(
			"gas",
			"gas-tight",
			"Gas pipes",
			"hold their pressure by the gauge, with every tap shut; the locker drains outside",
			by("gas fitter"),
		)
	}
	for i := range f.Burners {
		b := &f.Burners[i]
		g.add(
			"gas",
			"burn/"+b.ID,
			b.Name,
			"lights, burns blue, and goes out by itself when its flame is blown out",
			matters,
		)
		if b.Inside || b.Heater {
			g.add(
				"gas",
				"air/"+b.ID,
				"Air for "+words.Lower(b.Name),
				"its opening is free with everything packed, and the alarm sounds when "+
					"its button is pressed",
				matters,
			)
		}
	}
}

// power tries every line as it is loaded, what charges, what cuts off.
func (g *gather) power() {
	p := g.p
	e := &p.Variant.Electrics
	for i := range e.Systems {
		s := &e.Systems[i]
		if s.Kind == fitout.StartSystem || s.Kind == fitout.TrailerSystem {
			continue
		}
		if s.Isolator {
			g.add(
				"power",
				"isolator/"+s.ID,
				"Isolator of "+words.Lower(s.Name),
				"everything that it should cut off is dead, and what must "+
					"stay live is",
				of(s.Item),
				matters,
			)
		}
		g.add(
			"power",
			"held/"+s.ID,
			words.Capital(words.Lower(s.Name))+": held and covered",
			"the battery does not move when the vehicle is "+
				"shaken; no bare terminal can be touched or bridged",
			of(s.Item),
			matters,
		)
	}
	board := wiring.BoardOf(p)
	for i := range board.Lines {
		g.line(&board.Lines[i])
	}
	for i := range e.Chargers {
		c := &e.Chargers[i]
		g.add(
			"power",
			"charge/"+c.ID,
			words.Capital(words.Lower(c.Name))+" charges",
			"gives what it should to a battery that is half empty, "+
				"and nothing once its source is off",
			of(c.Item),
			least(0.7*c.Amps, "A"),
		)
	}
	for i := range e.Inverters {
		v := &e.Inverters[i]
		g.add(
			"power",
			"mains/"+v.ID,
			"Mains behind "+words.Lower(v.Name),
			"its residual-current device trips in time, and its bond was "+
				"measured",
			of(v.Item),
			by("electrician"),
		)
	}
	for i := range e.Sources {
		s := &e.Sources[i]
		switch s.Kind {
		case fitout.Mains:
			g.add(
				"power",
				"inlet/"+s.ID,
				s.Name,
				"earth, polarity and residual-current device proven",
				of(s.Item),
				by("electrician"),
			)
		case fitout.Solar:
			g.add(
				"power",
				"sun/"+s.ID,
				s.Name,
				"gives current in the sun, none in the dark, and its charger is set for the battery",
				of(s.Item),
			)
		}
	}
	for i := range e.Outputs {
		g.add(
			"power",
			"logic/"+e.Outputs[i].ID,
			"Rule of "+words.Lower(g.named(e.Outputs[i].Of)),
			"on and off as the rules on the board say, "+
				"each line of them tried",
		)
	}
}

// named is what an output switches.
func (g *gather) named(id string) string {
	e := &g.p.Variant.Electrics
	for i := range e.Loads {
		if e.Loads[i].ID == id {
			return e.Loads[i].Name
		}
	}
	for i := range e.Chargers {
		if e.Chargers[i].ID == id {
			return e.Chargers[i].Name
		}
	}
	return "what it switches"
}

func (g *gather) line(w *wiring.Wire) {
	switch w.Kind {
	case wiring.LoadLine, wiring.PanelLine, wiring.InverterLine:
		title := fmt.Sprintf("Line %d: %s", w.Number, words.Lower(w.Name))
		expected := fmt.Sprintf(
			"runs at full load; no more than %s are lost to its end; the fuse beside its label is %s",
			g.p.Say.Volts(
				math.Round(100*w.DropMost*w.Nominal)/100),
			g.p.Say.Amps(w.Fuse),
		)
		g.add("power", "line/"+w.Of, title, expected, of(w.End), most(w.DropMost*w.Nominal, "V"), func(t *Test) {
			t.Matters = !w.Others
			if w.Others {
				t.Licensed = "another workshop"
			}
		})
	}
}

// vehicle tries it as it will be driven.
func (g *gather) vehicle() {
	p := g.p
	g.add("vehicle", "wheel-nuts", "Wheel nuts", "torqued by the maker's figure; again after 50 to 100 km", matters)
	g.add(
		"vehicle",
		"headlamps",
		"Headlamp aim",
		"set with the usual load aboard: what stands on the rear axle lifts the beam",
		matters,
	)
	g.add(
		"vehicle",
		"lamps",
		"Lamps, plate and reflectors",
		"all of them work, and nothing that was fitted hides one",
		matters,
	)
	g.add("vehicle", "pressures", "Tyre pressures", "by the axle loads as weighed")
	g.add(
		"vehicle",
		"warnings",
		"Warning lamps of the vehicle",
		"none stays on after the engine was started",
		matters,
	)
	g.add(
		"vehicle",
		"drive",
		"Drive over a rough road, loaded",
		"nothing rattles, opens, leaks or rubs; look below and behind afterwards",
		matters,
	)
	if p.Job.Trailer != nil {
		g.add(
			"vehicle",
			"trailer",
			"Trailer plug and coupling",
			"lamps, brakes and breakaway work with it coupled",
			matters,
		)
	}
}
