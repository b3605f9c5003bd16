// Package example has the jobs that tests of many packages begin with. Nothing but tests
// uses it.
package example

import (
	"context"
	"strings"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"zaino/internal/catalogue"
	"zaino/internal/core/arrange"
	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// Axles is a level ticket that read the axles.
func Axles(id string, front, rear float64) fitout.Ticket {
	return fitout.Ticket{ID: id, Name: words.Capital(id), Reading: fitout.ReadAxles, Front: front, Rear: rear, Level: true,
		Counted: true}
}

// Ute is a sound, weighed ute with limits far away.
func Ute() fitout.Job {
	j := fitout.NewJob("build", "Build", fitout.AustraliaNZ)
	v := &j.Vehicle
	v.Wheelbase = 3150
	v.Limits.Gross.Kg, v.Limits.FrontAxle.Kg, v.Limits.RearAxle.Kg = 3300, 1500, 1900
	v.Baseline = fitout.Baseline{Definition: fitout.AsWeighed, Split: fitout.SplitKnown, Front: 1200, Rear: 850,
		Total: 2050, FrontShare: 0.6, CGHeight: 690,
		Tickets: []fitout.Ticket{Axles("bridge", 1200, 850)}}
	v.Tanks[0].Now = 40
	return j
}

// Add puts a box into a job and returns it.
func Add(j *fitout.Job, id string, kg, x float64, change ...func(*fitout.Item)) *fitout.Item {
	variant := &j.Variants[0]
	variant.Items = append(variant.Items, fitout.Item{
		ID: id, Name: strings.ToUpper(id[:1]) + id[1:], Group: "Gear", Form: fitout.FormBox, Source: fitout.ByScale, Mass: kg,
		At: fitout.Point{X: x, Z: 900}, Size: fitout.Size{Length: 400, Width: 400, Height: 300},
		Presence: fitout.Presence{Kind: fitout.Always},
	})
	item := &variant.Items[len(variant.Items)-1]
	for _, c := range change {
		c(item)
	}
	return item
}

// Found assesses a valid job and returns its findings of a rule.
func Found(t *testing.T, j fitout.Job, rule string) []fitout.Finding {
	t.Helper()
	require.NoError(t, fitout.Validate(&j))
	var of []fitout.Finding
	for _, f := range assess.Of(&j).Findings {
		if f.Rule == rule {
			of = append(of, f)
		}
	}
	return of
}

// Fitted is a job with a measured tub of 1500 × 1400 × 480 with arches of 200,
// a fridge in its front left corner and a drawer unit behind it.
func Fitted() fitout.Job {
	j := fitout.NewJob("bench", "Bench", fitout.AustraliaNZ)
	arch := func(id string, side fitout.Side) fitout.Obstacle {
		return fitout.Obstacle{ID: id, Name: "Arch " + id, Kind: fitout.WheelArch, Side: side, Front: 500, Length: 600,
			Width: 200, Height: 200}
	}
	j.Vehicle.Bays = []fitout.Bay{{
		ID: "tub", Name: "Tub", Kind: fitout.BayTub, At: fitout.Point{X: 2200, Z: 850}, Levelled: true,
		LengthLeft: 1500, LengthRight: 1500, WidthFront: 1400, WidthRear: 1400, BetweenArches: 1000, HeightFront: 480,
		HeightRear: 480,
		Opening:    fitout.Opening{Face: fitout.FaceRear, Hinge: fitout.HingeBottom},
		Obstacles:  []fitout.Obstacle{arch("left", fitout.Left), arch("right", fitout.Right)},
	}}
	item := func(id, name string, box fitout.Box, m fitout.Module, source fitout.MassSource, kg float64) fitout.Item {
		return fitout.Item{ID: id, Name: name, Form: fitout.FormBox, Mass: kg, At: box.Middle(), Size: box.Size(),
			Source:   source,
			Presence: fitout.Presence{Kind: fitout.Always}, Bay: "tub", Module: &m}
	}
	box := func(x, y, z, l, w, h float64) fitout.Box {
		return fitout.Box{From: fitout.Point{X: x, Y: y, Z: z}, To: fitout.Point{X: x + l, Y: y + w, Z: z + h}}
	}
	fridge := fitout.Module{Kind: fitout.FridgeSlide, Faces: fitout.FaceRear, Wall: fitout.NoMaterial,
		Runner: fitout.NoRunner, Stack: fitout.Beside, Cells: []fitout.Cell{}}
	unit := fitout.Module{Kind: fitout.Drawers, Faces: fitout.FaceRear, Wall: fitout.Plywood, Panel: 12,
		Runner: fitout.BallRunner, Stack: fitout.Beside,
		Cells: []fitout.Cell{{ID: "drawer", Name: "Drawer"}}}
	stove := fitout.Item{ID: "stove", Name: "Stove", Form: fitout.FormBox, Mass: 6, Size: fitout.Size{Length: 400,
		Width: 300, Height: 120}, Source: fitout.ByScale,
		Presence: fitout.Presence{Kind: fitout.Always}, In: &fitout.InCell{Module: "unit", Cell: "drawer"}}
	j.Variants[0].Items = []fitout.Item{
		item("fridge", "Fridge", box(2200, -500, 850, 700, 450, 450), fridge, fitout.DataSheet, 35),
		item("unit", "Unit", box(2900, -500, 850, 700, 900, 300), unit, fitout.ByMaterial, 0),
		stove,
	}
	return j
}

// Canopy is a ute with an empty, measured canopy that opens to both sides and
// to the rear, as three bays.
func Canopy() fitout.Job {
	j := fitout.NewJob("canopy", "Canopy", fitout.AustraliaNZ)
	bay := func(id, name string, kind fitout.BayKind, y, width float64, face fitout.Face, gap fitout.Opening) fitout.Bay {
		gap.Face, gap.Hinge, gap.Swing = face, fitout.HingeTop, 90
		return fitout.Bay{ID: id, Name: name, Kind: kind, At: fitout.Point{X: 2200, Y: y, Z: 900}, Levelled: true,
			LengthLeft: 1900, LengthRight: 1900, WidthFront: width, WidthRear: width, HeightFront: 850, HeightRear: 850,
			Opening: gap, Obstacles: []fitout.Obstacle{}, Lockable: true, Sealed: true}
	}
	side := fitout.Opening{Width: 1800, Height: 800, Sill: 10}
	j.Vehicle.Bays = []fitout.Bay{
		bay("left", "Canopy left", fitout.BayCanopyLeft, -550, 650, fitout.FaceLeft, side),
		bay("middle", "Aisle", fitout.BayCanopyRear, 0, 440, fitout.FaceRear, fitout.Opening{Width: 430, Height: 800,
			Sill: 10}),
		bay("right", "Canopy right", fitout.BayCanopyRight, 550, 650, fitout.FaceRight, side),
	}
	j.Brief.Travellers = []fitout.Traveller{{ID: "ann", Name: "Ann", Kind: fitout.TravellerPerson, Mass: 70, Height: 1700,
		Serves: true}}
	return j
}

// Stand adds a module to the job, on the floor of a bay's front left corner.
func Stand(j *fitout.Job, id string, kind fitout.ModuleKind, faces fitout.Face, kg, l, w, h float64, bay string) {
	b := &j.Vehicle.Bays[0]
	for i := range j.Vehicle.Bays {
		if j.Vehicle.Bays[i].ID == bay {
			b = &j.Vehicle.Bays[i]
		}
	}
	m := &fitout.Module{Kind: kind, Faces: faces, Wall: fitout.NoMaterial, Runner: fitout.NoRunner, Stack: fitout.Beside,
		Cells: []fitout.Cell{}, Fixings: []fitout.Fixing{}, Latch: fitout.RatedLatch}
	if kind == fitout.Drawers {
		m.Wall, m.Panel, m.Runner, m.Cells = fitout.Plywood, 12, fitout.BallRunner, []fitout.Cell{{ID: "c", Name: "Drawer"}}
	}
	j.Variants[0].Items = append(j.Variants[0].Items, fitout.Item{
		ID: id, Name: "The " + id, Form: fitout.FormBox, Mass: kg, Source: fitout.DataSheet,
		Presence: fitout.Presence{Kind: fitout.Always}, Bay: bay,
		Size: fitout.Size{Length: l, Width: w, Height: h}, At: fitout.Point{X: b.At.X + l/2, Y: b.At.Y - b.WidthFront/2 + w/2,
			Z: b.At.Z + h/2}, Module: m,
	})
}

// Twelve is a list of what a touring canopy carries, all of it put into one
// corner.
func Twelve() fitout.Job {
	j := Canopy()
	Stand(&j, "fridge", fitout.FridgeSlide, fitout.FaceLeft, 52, 740, 480, 520, "left")
	Stand(&j, "drawers", fitout.Drawers, fitout.FaceLeft, 60, 900, 600, 300, "left")
	Stand(&j, "pantry", fitout.Pantry, fitout.FaceLeft, 40, 320, 560, 700, "left")
	Stand(&j, "water", fitout.WaterTank, fitout.FaceNone, 75, 330, 420, 560, "left")
	Stand(&j, "battery", fitout.BatteryBox, fitout.FaceTop, 30, 350, 200, 240, "left")
	Stand(&j, "board", fitout.Board, fitout.FaceLeft, 12, 400, 120, 300, "left")
	Stand(&j, "stove", fitout.PlainGear, fitout.FaceNone, 14, 400, 400, 300, "left")
	Stand(&j, "tools", fitout.LiddedBox, fitout.FaceTop, 38, 500, 350, 250, "left")
	Stand(&j, "swags", fitout.PlainGear, fitout.FaceNone, 22, 900, 400, 300, "left")
	Stand(&j, "chairs", fitout.PlainGear, fitout.FaceNone, 16, 900, 150, 400, "left")
	Stand(&j, "spares", fitout.PlainGear, fitout.FaceNone, 18, 400, 400, 250, "left")
	Stand(&j, "recovery", fitout.PlainGear, fitout.FaceNone, 24, 400, 300, 250, "left")
	j.Brief.Gear = []fitout.Gear{{ID: "stove", Name: "Stove", Count: 1, Used: fitout.UsedOften},
		{ID: "swags", Name: "Swags", Count: 1, Used: fitout.UsedDaily}}
	j.Variants[0].Stances = []fitout.Stance{{ID: "cook", Name: "Cook", Use: fitout.StanceCook,
		Open: []fitout.Opened{{Module: "fridge"}, {Module: "pantry"}, {Module: "drawers"}}}}
	return j
}

// Travelling is a ute with everything that a case is held against: people, a
// trailer with something on it, tyres, a rack, a placard.
func Travelling() fitout.Job {
	j := Ute()
	v := &j.Vehicle
	v.Front.Tyre.Index, v.Rear.Tyre.Index = 110, 115
	v.Hitch.Overhang = 1180
	v.Limits.Placard.Kg, v.Limits.RoofMoving.Kg, v.Limits.RoofParked.Kg, v.Limits.Ball.Kg, v.Limits.TrailerBraked.Kg, v.Limits.TrailerUnbraked.Kg, v.Limits.Combination.Kg = 800, 75, 220, 300, 3000, 750, 5500
	v.Bays = []fitout.Bay{
		{ID: "rack", Name: "Rack", Kind: fitout.BayRoof, At: fitout.Point{X: 1800, Z: 1900}, LengthLeft: 1500,
			LengthRight: 1500, WidthFront: 1200, WidthRear: 1200, Opening: fitout.Opening{Face: fitout.FaceNone,
				Hinge: fitout.HingeNone}, Obstacles: []fitout.Obstacle{}},
		{ID: "tray", Name: "Tray", Kind: fitout.BayTub, At: fitout.Point{X: 2300, Z: 850}, LengthLeft: 1900,
			LengthRight: 1900, WidthFront: 1800, WidthRear: 1800, Rating: 600, Opening: fitout.Opening{Face: fitout.FaceNone,
				Hinge: fitout.HingeNone}, Obstacles: []fitout.Obstacle{}},
	}
	for i, who := range []string{"ann", "bo"} {
		Add(&j, who, 75, 0, func(item *fitout.Item) { item.Form, item.Seat = fitout.FormPerson, v.Seats[i].ID })
	}
	Add(&j, "tent", 40, 2400, func(item *fitout.Item) { item.Bay, item.At.Z = "rack", 2000 })
	Add(&j, "crate", 120, 3200, func(item *fitout.Item) { item.Bay = "tray" })
	Add(&j, "drum", 50, 3000, func(item *fitout.Item) { item.OnTrailer = true })
	j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "Box", Coupled: true, Mass: 950, Ball: 90, Braked: true,
		BallToAxle: 3000}
	j.Variants[0].Cases = []fitout.Case{
		{ID: "alone", Name: "Alone, without trailer", People: []fitout.CasePerson{{Item: "bo"}}},
		{ID: "towing", Name: "Towing", Coupled: true},
	}
	return j
}

// Shop are the generic parts that can be bought.
var Shop = sync.OnceValue(func() []fitout.Component {
	components, err := catalogue.Components()
	if err != nil {
		panic(err)
	}
	return components
})

// Crew gives the build a brief that a sound build can answer.
func Crew(j *fitout.Job) {
	j.Brief.Travellers = []fitout.Traveller{
		{ID: "ann", Name: "Ann", Kind: fitout.TravellerPerson, Mass: 70, Height: 1700, Sleeps: true, Serves: true},
		{ID: "ben", Name: "Ben", Kind: fitout.TravellerPerson, Mass: 85, Height: 1850, Sleeps: true, Serves: true},
	}
	j.Brief.Trip.Nights, j.Brief.Trip.FuelDistance = 4, 400
}

// Cargo is a square bay.
func Cargo(j *fitout.Job) *fitout.Bay {
	j.Vehicle.Bays = []fitout.Bay{{ID: "cargo", Name: "Cargo area", Kind: fitout.BayWagonCargo,
		At: fitout.Point{X: 2300, Z: 700}, Levelled: true,
		LengthLeft: 1600, LengthRight: 1600, WidthFront: 1200, WidthRear: 1200, HeightFront: 900, HeightRear: 900,
		DiagonalLeft: 2000, DiagonalRight: 2000,
		Opening: fitout.Opening{Face: fitout.FaceRear, Width: 1100, Height: 800, Sill: 20, Hinge: fitout.HingeTop}}}
	return &j.Vehicle.Bays[0]
}

// Modification is one that moves a limit.
func Modification(kind fitout.ModificationKind, limit fitout.LimitID, kg float64) fitout.Modification {
	return fitout.Modification{ID: "m", Name: "Work", Kind: kind, Counted: true, Source: fitout.DataSheet,
		Certificate: fitout.BeforeFirst, Axle: fitout.NoAxle,
		Limits: []fitout.LimitMoved{{Limit: limit, Kg: kg}}}
}

// arranged are arrangements of the canopy job, worked out once.
var arranged = sync.OnceValue(func() []arrange.Proposal {
	j := Twelve()
	return arrange.Propose(context.Background(), &j, arrange.Wishes{}, func(float64) {}).Found
})

// Laden is the canopy job as it was arranged, over its rear axle by so many kg.
func Laden(t require.TestingT, over float64) fitout.Job {
	found := arranged()
	require.NotEmpty(t, found)
	data, err := fitout.Encode(&found[0].Job) // a copy: what one test changes is not another's
	require.NoError(t, err)
	j, err := fitout.Decode(data)
	require.NoError(t, err)
	axles := assess.Of(&j).Axles
	j.Vehicle.Limits.Gross = fitout.Limit{Kg: axles.Gross() + 500, Source: fitout.FromPlate}
	j.Vehicle.Limits.FrontAxle = fitout.Limit{Kg: axles.Front + 300, Source: fitout.FromPlate}
	j.Vehicle.Limits.RearAxle = fitout.Limit{Kg: axles.Rear - over, Source: fitout.FromPlate}
	return j
}
