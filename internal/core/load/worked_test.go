package load

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
)

// worked is the vehicle of the worked examples: kerb without spare wheel.
func worked() fitout.Job {
	j := fitout.NewJob("worked", "Worked example", fitout.AustraliaNZ)
	v := &j.Vehicle
	v.Wheelbase, v.TrackFront, v.TrackRear = 3150, 1540, 1560
	v.Baseline = fitout.Baseline{Definition: fitout.Kerb, Split: fitout.SplitKnown, Front: 1198, Rear: 822, CGHeight: 690,
		CGHeightKnown: true}
	v.Tanks = []fitout.Tank{{ID: "fuel", Name: "Fuel tank", Kind: fitout.TankFuel, Capacity: 75, Density: 0.84,
		At: fitout.Point{X: 2050, Z: 600}, Now: 75}}
	v.Seats = []fitout.Seat{
		{ID: "driver", Name: "Driver", Driver: true, At: fitout.Point{X: 1390, Y: 360, Z: 980}},
		{ID: "passenger", Name: "Passenger", At: fitout.Point{X: 1390, Y: -360, Z: 980}},
	}
	v.Hitch.Overhang = 1180
	return j
}

func item(id string, kg, x, y, z float64) fitout.Item {
	return fitout.Item{ID: id, Name: id, Mass: kg, At: fitout.Point{X: x, Y: y, Z: z},
		Form: fitout.FormBox, Source: fitout.DataSheet, Presence: fitout.Presence{Kind: fitout.Always}}
}

// workedLoaded is the worked vehicle with every item of the table.
func workedLoaded() fitout.Job {
	j := worked()
	j.Variants[0].Items = []fitout.Item{
		item("tray", 158, 3230, 0, 810),
		item("canopy", 196, 3080, 0, 1330),
		item("drawers", 58, 3310, -310, 1010),
		item("drawer-contents", 74, 3310, -310, 1030),
		item("fridge", 43, 2790, 420, 1120),
		item("fridge-contents", 22, 2790, 420, 1120),
		item("water", 55, 2360, 0, 900),
		item("battery", 26, 2420, -560, 960),
		item("spare", 31, 4020, 300, 1250),
		item("driver", 88, 0, 0, 0),
		item("passenger", 76, 0, 0, 0),
		item("cab-gear", 35, 2130, 0, 900),
	}
	j.Variants[0].Items[9].Seat = "driver"
	j.Variants[0].Items[10].Seat = "passenger"
	return j
}

// weigh and dryVehicle are with the usual uncertainties of a workshop.
func weigh(v *fitout.Vehicle) Weighing {
	u := fitout.NewPractice(fitout.AustraliaNZ).Uncertainty
	return Weigh(v, &u)
}

func dryVehicle(v *fitout.Vehicle) Dry {
	w := weigh(v)
	return DryVehicle(v, &w)
}

const tenth = 0.05 // the examples are given to a tenth

func assertAxles(t *testing.T, front, rear float64, got Axles) {
	t.Helper()
	assert.InDelta(t, front, got.Front, tenth, "front axle")
	assert.InDelta(t, rear, got.Rear, tenth, "rear axle")
}

func TestKerbMassWithoutItsFuelIsDry(t *testing.T) {
	j := worked()
	assertAxles(t, 1176.0, 781.0, NewPlan(&j).Unladen.Axles(3150))
}

func TestLoadedVehicle(t *testing.T) {
	j := workedLoaded()
	p := NewPlan(&j)
	now := p.Now()
	assertAxles(t, 1313.3, 1568.7, p.Axles())
	assert.InDelta(t, 2882.0, now.Kg, tenth)
	c := now.Centre()
	assert.InDelta(t, 1714.6, c.X, tenth)
	assert.InDelta(t, -5.1, c.Y, tenth)
	assert.InDelta(t, 796.5, c.Z, tenth)

	corners := now.Corners(p.Wheelbase, p.TrackFront, p.TrackRear)
	assert.InDelta(t, 655.6, corners.FrontLeft, tenth)
	assert.InDelta(t, 657.7, corners.FrontRight, tenth)
	assert.InDelta(t, 794.8, corners.RearLeft, tenth)
	assert.InDelta(t, 774.0, corners.RearRight, tenth)

	ssf, tip := Stability(p.TrackFront, p.TrackRear, c.Z)
	assert.InDelta(t, 0.973, ssf, 0.0005)
	assert.InDelta(t, 44.2, tip, tenth)
}

func TestBallDownloadCountsInTheGrossAndLightensTheFront(t *testing.T) {
	j := workedLoaded()
	j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Coupled: true, Mass: 1400, Ball: 120}
	p := NewPlan(&j)
	assertAxles(t, 1268.3, 1733.7, p.Axles())
	assert.InDelta(t, 3002.0, p.Axles().Gross(), tenth)
	assert.InDelta(t, 2882.0+1400, p.Combination(), tenth, "the ball download is counted once")
}

func TestWeightDistributingHitch(t *testing.T) {
	plain := &fitout.Trailer{Source: fitout.DataSheet, Mass: 1400, Ball: 120, BallToAxle: 4200}
	levelled := *plain
	levelled.Distribution = 180_000
	before, after := Tow(plain, 3150, 1180), Tow(&levelled, 3150, 1180)
	assert.InDelta(t, 57.1, after.Vehicle.Front-before.Vehicle.Front, tenth)
	assert.InDelta(t, -100.0, after.Vehicle.Rear-before.Vehicle.Rear, tenth)
	assert.InDelta(t, 42.9, after.TrailerAxle-before.TrailerAxle, tenth)
}

func TestNoseUpLoadsTheRearWheels(t *testing.T) {
	j := workedLoaded()
	assertAxles(t, 984.8, 1723.3, NewPlan(&j).Now().OnGrade(3150, 20))
}

func TestWeighingTicketWithFuelAndDriverAboard(t *testing.T) {
	j := worked()
	j.Vehicle.Baseline = fitout.Baseline{
		Definition: fitout.AsWeighed, CGHeight: 690,
		Tickets: []fitout.Ticket{{
			Reading: fitout.ReadAxles, Front: 1236, Rear: 868, Counted: true, Level: true,
			Tanks:  []fitout.WeighedTank{{Tank: "fuel", Litres: 30}},
			People: []fitout.WeighedPerson{{Seat: "driver", Kg: 88}},
		}},
	}
	assertAxles(t, 1178.0, 812.8, NewPlan(&j).Unladen.Axles(3150))
}

func TestEveryDefinitionDescribesTheSameDryVehicle(t *testing.T) {
	dry := func() Mass { j := worked(); return dryVehicle(&j.Vehicle).Mass }()
	aboard := map[fitout.Definition][]Mass{
		fitout.Unladen:      {},
		fitout.Tare:         {{10 * 0.84, 2050, 0, 600}},
		fitout.Kerb:         {{75 * 0.84, 2050, 0, 600}},
		fitout.RunningOrder: {{0.9 * 75 * 0.84, 2050, 0, 600}, {75, 1390, 360, 980}},
	}
	for definition, masses := range aboard {
		t.Run(string(definition), func(t *testing.T) {
			m := Sum(masses).Add(dry)
			axles, c := m.Axles(3150), m.Centre()
			j := worked()
			b := &j.Vehicle.Baseline
			b.Definition, b.Front, b.Rear, b.CGHeight, b.CGSide = definition, axles.Front, axles.Rear, c.Z, c.Y
			got := dryVehicle(&j.Vehicle).Mass
			assert.InDelta(t, dry.Kg, got.Kg, 1e-9)
			assert.InDelta(t, dry.X, got.X, 1e-9)
			assert.InDelta(t, dry.Y, got.Y, 1e-9)
			assert.InDelta(t, dry.Z, got.Z, 1e-9)

			b.Split, b.Total, b.FrontShare = fitout.SplitAssumed, m.Kg, axles.Front/m.Kg
			assert.InDelta(t, dry.X, dryVehicle(&j.Vehicle).Mass.X, 1e-9, "an assumed split that is right gives the same")
		})
	}
}

func TestDriverWithoutSeatIsReportedNotGuessed(t *testing.T) {
	j := worked()
	j.Vehicle.Seats = nil
	j.Vehicle.Baseline.Definition = fitout.RunningOrder
	assert.True(t, dryVehicle(&j.Vehicle).NoDriverSeat)
}

// A part in the baseline is never added twice, and its removal or move is a
// signed change at its own station.
func TestPartsChangeTheBaseline(t *testing.T) {
	spare := fitout.Part{ID: "spare", Name: "Spare wheel", Mass: 31, At: fitout.Point{X: 4020}}
	roof := fitout.Point{X: 1800, Z: 1900}
	cases := []struct {
		name              string
		inBaseline        bool
		state             fitout.PartState
		kg, momentByFront float64
	}{
		{"in the baseline and still there", true, fitout.Fitted, 0, 0},
		{"in the baseline and taken off", true, fitout.Removed, -31, -31 * 4020},
		{"in the baseline and moved to the roof", true, fitout.Moved, 0, 31 * (1800 - 4020)},
		{"added to the vehicle", false, fitout.Fitted, 31, 31 * 4020},
		{"added and put on the roof", false, fitout.Moved, 31, 31 * 1800},
		{"not in the baseline and not there", false, fitout.Removed, 0, 0},
	}
	for _, c := range cases {
		t.Run(c.name, func(t *testing.T) {
			j := worked()
			before := NewPlan(&j).Unladen
			part := spare
			part.InBaseline, part.State, part.MovedTo = c.inBaseline, c.state, &roof
			j.Vehicle.Parts = []fitout.Part{part}
			after := NewPlan(&j).Unladen
			assert.InDelta(t, c.kg, after.Kg-before.Kg, 1e-9)
			assert.InDelta(t, c.momentByFront, after.X-before.X, 1e-6)
		})
	}
}

func TestWheelbaseExtension(t *testing.T) {
	t.Run("kerb vehicle, 310 kg behind the cut", func(t *testing.T) {
		j := worked()
		j.Vehicle.Extension = &fitout.Extension{By: 250, Cut: 2400, BehindCut: 310}
		assertAxles(t, 1235.6, 784.4, NewPlan(&j).Axles())
	})
	loaded := func(behind bool) Axles {
		j := workedLoaded()
		j.Vehicle.Extension = &fitout.Extension{By: 250, Cut: 2400, BehindCut: 310, Section: 22}
		for i := range 9 {
			j.Variants[0].Items[i].Behind = behind
		}
		return NewPlan(&j).Axles()
	}
	t.Run("load ahead of the cut stays", func(t *testing.T) { assertAxles(t, 1411.5, 1492.5, loaded(false)) })
	t.Run("tray and everything on it moves with the axle", func(t *testing.T) {
		assertAxles(t, 1362.8, 1541.2, loaded(true))
	})
}

// workedVaried is the dry vehicle with tray, canopy, and a load that varies.
func workedVaried() fitout.Job {
	j := worked()
	j.Vehicle.Tanks[0].Now = 0
	variant := &j.Variants[0]
	variant.Items = []fitout.Item{item("tray", 158, 3230, 0, 810), item("canopy", 196, 3080, 0, 1330)}
	for _, s := range []fitout.Item{
		item("water", 55, 2360, 0, 900), item("spare", 31, 4020, 300, 1250), item("winch", 38, -620, 0, 700),
		item("passenger", 76, 1390, -360, 980), item("cab-gear", 35, 2130, 0, 900),
	} {
		s.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: s.ID}
		variant.Items = append(variant.Items, s)
		variant.Switches = append(variant.Switches, fitout.Switch{ID: s.ID, Name: s.ID})
	}
	for _, m := range []fitout.Item{item("raft-rack", 72, 2300, 0, 1900), item("roof-box", 64, 3120, 0, 2000)} {
		m.Presence = fitout.Presence{Kind: fitout.ByChoice, Choice: "roof", Member: m.ID}
		variant.Items = append(variant.Items, m)
	}
	variant.Choices = []fitout.Choice{{ID: "roof", Name: "Roof", None: true,
		Members: []fitout.Member{{ID: "raft-rack", Name: "Raft rack"}, {ID: "roof-box", Name: "Roof box"}}}}
	return j
}

func TestExactWorstStates(t *testing.T) {
	j := workedVaried()
	p := NewPlan(&j)
	assertAxles(t, 1176.3, 1134.7, p.Axles())
	assert.InDelta(t, 1330.8, p.Worst(p.FrontForm().Count()).Value, tenth)
	assert.InDelta(t, 1167.8, -p.Worst(p.FrontForm().Negative().Count()).Value, tenth)
	assert.InDelta(t, 1377.0, p.Worst(p.RearForm().Count()).Value, tenth)
	assert.InDelta(t, 1127.2, -p.Worst(p.RearForm().Negative().Count()).Value, tenth)
	assert.Equal(t, "roof-box", p.Worst(p.RearForm().Count()).Choices["roof"])
	assert.False(t, p.Worst(p.RearForm().Count()).Switches["winch"], "the winch takes load off the rear axle")

	crate := item("crate", 40, 3900, 0, 1200)
	crate.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "crate"}
	j.Variants[0].Items = append(j.Variants[0].Items, crate)
	j.Variants[0].Switches = append(j.Variants[0].Switches, fitout.Switch{ID: "crate", Name: "crate",
		Requires: &fitout.Require{Choice: "roof", Member: "raft-rack"}})
	p = NewPlan(&j)
	worst := p.Worst(p.RearForm().Count())
	assert.InDelta(t, 1415.7, worst.Value, tenth)
	assert.Equal(t, "raft-rack", worst.Choices["roof"], "only with the raft rack can the crate come along")
	assert.True(t, worst.Switches["crate"])
	assert.InDelta(t, 2721.0, p.Worst(p.GrossForm().Count()).Value, tenth)
}

func TestSensitivityIsTheSlopeOfTheAxleLoad(t *testing.T) {
	j := workedLoaded()
	p := NewPlan(&j)
	spare := p.Items[8].Mass
	s := p.RearForm().Sensitivity(spare)
	assert.InDelta(t, 4020.0/3150, s.PerKg, 1e-12, "a kilogram behind the axle weighs more than one on it")
	assert.InDelta(t, 31.0/3150, s.PerMM, 1e-12)
	j.Variants[0].Items[8].At.X += 100
	assert.InDelta(t, p.Axles().Rear+100*s.PerMM, NewPlan(&j).Axles().Rear, 1e-9)
	left := p.LeftForm().Sensitivity(spare)
	j = workedLoaded()
	j.Variants[0].Items[8].Mass++
	q := NewPlan(&j)
	c0, c1 := p.Now().Corners(3150, 1540, 1560), q.Now().Corners(3150, 1540, 1560)
	assert.InDelta(t, left.PerKg, c1.Left()-c0.Left(), 1e-9)
	assert.False(t, math.IsNaN(left.PerMM))
}
