package assess_test

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// wired is a sound, modest house: a starting battery with its alternator, lithium with
// meter and isolator, a charger while driving, a panel, a fridge, a light and a panel of
// fuses. No rule of power has anything to say of it.
func wired() fitout.Job {
	j := example.Ute()
	j.Brief.Trip.Nights, j.Brief.Trip.Coldest, j.Brief.Trip.Hottest = 3, 5, 30
	at := func(id string, x, z float64, kind fitout.ModuleKind) {
		example.Add(&j, id, 8, x, func(i *fitout.Item) {
			i.At.Z = z
			i.Module = &fitout.Module{Kind: kind, Faces: fitout.FaceNone, Wall: fitout.NoMaterial, Runner: fitout.NoRunner,
				Stack: fitout.Beside, Cells: []fitout.Cell{}, Fixings: []fitout.Fixing{}}
		})
	}
	at("battery", 2400, 950, fitout.BatteryBox)
	at("board", 2900, 1000, fitout.Board)
	at("fridge", 3300, 1000, fitout.UprightFridge)
	at("panel", 2600, 1900, fitout.PlainGear)
	e := &j.Variants[0].Electrics
	e.Days.OfBrief, e.Days.Low, e.Days.High = true, 5, 30
	e.Systems = []fitout.PowerSystem{
		{ID: "start", Name: "Starting battery", Kind: fitout.StartSystem, Voltage: 12, Full: 1, Ports: []fitout.Port{},
			Battery: fitout.Battery{Chemistry: fitout.Flooded, Capacity: 80, Parallel: 1, Discharge: 400}},
		{ID: "house", Name: "House battery", Kind: fitout.HouseSystem, Voltage: 12, Full: 1, Isolator: true, Meter: true,
			Ports: []fitout.Port{}, Item: "battery",
			Battery: fitout.Battery{Chemistry: fitout.LFP, Capacity: 120, Parallel: 1, Charge: 80, Discharge: 120}},
	}
	e.Chargers = []fitout.Charger{{ID: "dcdc", Name: "Charger", System: "house", From: "start", Amps: 25, For: "any",
		Volts: 50}}
	e.Sources = []fitout.PowerSource{
		{ID: "alternator", Name: "Alternator", Kind: fitout.Alternator, System: "start", Amps: 140, Mount: fitout.FlatPanel,
			Shades: []fitout.Shade{}, Spans: []fitout.Span{}},
		{ID: "sun", Name: "Panel", Kind: fitout.Solar, Charger: "dcdc", Watts: 160, Mount: fitout.FlatPanel, Item: "panel",
			Shades: []fitout.Shade{}, Spans: []fitout.Span{}},
	}
	e.Loads = []fitout.PowerLoad{
		{ID: "cool", Name: "Fridge", System: "house", Count: 1, Watts: 45, Use: fitout.UseHeat, Electronic: true, Least: 10.7,
			Item: "fridge", Heat: &fitout.HeatUse{Mean: 12, At: 32, AtInner: 4, Inner: 4}, Spans: []fitout.Span{}},
		{ID: "light", Name: "Bench light", System: "house", Count: 2, Watts: 8, Use: fitout.UseSpans,
			Spans: []fitout.Span{{ID: "s", From: 18, To: 22, Share: 1}},
			Light: &fitout.LightUse{Lumens: 760, Beam: 120, Zone: fitout.LightBench, Away: 700, Ends: 1}},
	}
	e.Links = []fitout.PowerLink{{ID: "emergency", Name: "Emergency link", Kind: fitout.EmergencyLink, From: "house",
		To:   "start",
		Amps: 150, ByHand: true}}
	e.Panels = []fitout.SwitchPanel{{ID: "fuses", Name: "Fuse box", System: "house", Ways: 6, Amps: 60, Item: "board",
		Cutouts: []fitout.Cutout{}}}
	example.Add(&j, "cables", 14, 2800, func(i *fitout.Item) { i.Name, i.Cables = "Loom", true })
	return j
}

func electrics(j *fitout.Job) *fitout.Electrics { return &j.Variants[0].Electrics }

// inverted adds an inverter with a kettle.
func inverted(j *fitout.Job) {
	e := electrics(j)
	e.Inverters = append(e.Inverters, fitout.Inverter{ID: "inverter", Name: "Inverter", System: "house", Watts: 1000,
		Surge:   2000,
		Standby: 8, Remote: true, Bonded: true})
	e.Loads = append(e.Loads, fitout.PowerLoad{ID: "kettle", Name: "Kettle", Inverter: "inverter", Count: 1, Watts: 900,
		Use: fitout.UseSpans, Spans: []fitout.Span{{ID: "s", From: 7, To: 7.2, Share: 1}}})
}

// changed changes what was said of a circuit.
func changed(j *fitout.Job, of string, change func(*fitout.Circuit)) {
	e := electrics(j)
	e.Circuits = append(e.Circuits, fitout.Circuit{Of: of, Crossings: []fitout.Crossing{}, Agreed: true})
	change(&e.Circuits[len(e.Circuits)-1])
}

func ruled(j *fitout.Job, conditions ...fitout.Condition) {
	e := electrics(j)
	for i := range conditions {
		conditions[i].ID = fmt.Sprint("c", i)
	}
	e.Controls = []fitout.Control{{ID: "switch", Name: "Switch", At: "off", Positions: []fitout.Position{}},
		{ID: "turn", Name: "Changeover", At: "a", Positions: []fitout.Position{{ID: "a", Name: "A"}, {ID: "b", Name: "B"}}}}
	e.Outputs = append(e.Outputs, fitout.Output{ID: "rule", Of: "dcdc",
		Lines: []fitout.LogicLine{{ID: "l", Conditions: conditions}}})
}

func crossing(kind fitout.CrossingKind, guarded bool) func(*fitout.Job, *fitout.Electrics) {
	return func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "light", func(c *fitout.Circuit) {
			c.Crossings = []fitout.Crossing{{ID: "x", Kind: kind, Guarded: guarded}}
		})
	}
}

func plugs(j *fitout.Job, coded bool) {
	for _, of := range []string{"light", "cool"} {
		changed(j, of, func(c *fitout.Circuit) { c.Plug, c.Coded, c.Latched = "Round", coded, true })
	}
}

func cutouts(e *fitout.Electrics, x, depth float64) {
	p := &e.Panels[0]
	p.Width, p.Height, p.Depth = 200, 150, 70
	p.Cutouts = []fitout.Cutout{
		{ID: "a", Name: "Light", Kind: "switch", X: 10, Y: 10, Width: 25, Height: 40, Depth: 50},
		{ID: "b", Name: "Meter", Kind: "meter", X: x, Y: 10, Width: 60, Height: 40, Depth: depth},
	}
}

func generator(e *fitout.Electrics, exhaust bool) {
	e.Sources = append(e.Sources, fitout.PowerSource{ID: "generator", Name: "Generator", Kind: fitout.Generator,
		System: "house",
		Amps:   20, Fuel: 0.4, Exhaust: exhaust, Mount: fitout.FlatPanel, Shades: []fitout.Shade{},
		Spans: []fitout.Span{{ID: "s", From: 17, To: 18, Share: 1}}})
}

func relay(e *fitout.Electrics) {
	e.Links = append(e.Links, fitout.PowerLink{ID: "relay", Name: "Relay", Kind: fitout.RelayLink, From: "start",
		To: "house", Amps: 60})
}

func changeover(breaks bool) fitout.PowerLink {
	return fitout.PowerLink{ID: "changeover", Name: "Changeover", Kind: fitout.ChangeoverLink, From: "house", To: "start",
		Amps:       16,
		BreakFirst: breaks, ByHand: true}
}

func trailer(e *fitout.Electrics, twice bool) {
	s := e.Systems[1]
	s.ID, s.Name, s.Kind, s.Item = "trailer", "Trailer battery", fitout.TrailerSystem, ""
	e.Systems = append(e.Systems, s)
	e.Chargers = append(e.Chargers, fitout.Charger{ID: "trailer-charger", Name: "Trailer charger", System: "trailer",
		From: "start",
		Amps: 8, For: "any"})
	if twice {
		e.Links = append(e.Links, fitout.PowerLink{ID: "lead", Name: "Lead", Kind: fitout.LeadLink, From: "house",
			To: "trailer", Amps: 30})
	}
}

func inPeoplesSpace(j *fitout.Job) {
	j.Vehicle.Bays = append(j.Vehicle.Bays, fitout.Bay{ID: "cargo", Name: "Cargo area", Kind: fitout.BayWagonCargo,
		Shared: true,
		At:     fitout.Point{X: 2000, Y: -600, Z: 700}, LengthLeft: 1600, WidthFront: 1200, HeightFront: 900,
		Opening: fitout.Opening{Face: fitout.FaceRear, Hinge: fitout.HingeTop}, Obstacles: []fitout.Obstacle{}})
	j.Variants[0].Items[0].Bay = "cargo"
}

func begun(j *fitout.Job, e *fitout.Electrics, charge float64) {
	e.Days.DriveEvery = 0
	j.Variants[0].Cases = []fitout.Case{{ID: "stood", Name: "Stood for weeks", Switches: []fitout.CaseSwitch{},
		Choices: []fitout.CaseChoice{}, Levels: []fitout.CaseLevel{}, People: []fitout.CasePerson{},
		Charges: []fitout.CaseCharge{{System: "house", Charge: charge}}}}
}
