package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/brief"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
	"zaino/internal/core/space"
	"zaino/internal/example"
)

func TestASoundBuildWithBriefAndBaysHasNothingToSay(t *testing.T) {
	j := example.Ute()
	example.Crew(&j)
	example.Cargo(&j).Rating = 300
	j.Vehicle.Front.Tyre.Index, j.Vehicle.Rear.Tyre.Index = 112, 112
	j.Vehicle.Front.Rate, j.Vehicle.Rear.Rate, j.Vehicle.Rear.Bump = 52, 38, 120
	j.Vehicle.Modifications = []fitout.Modification{example.Modification(fitout.GrossUpgrade, fitout.LimitGross, 3400)}
	j.Vehicle.Baseline.Tickets = append(j.Vehicle.Baseline.Tickets, example.Axles("second", 1195, 856))
	j.Vehicle.Mounts = []fitout.Mount{{ID: "eye", Name: "Eye", At: fitout.Point{X: 3000, Z: 750}, Rating: 100}}
	drawers := example.Add(&j, "drawers", 60, 3000)
	drawers.Bay, drawers.Module = "cargo", module.Gear()
	drawers.Module.Fixings = []fitout.Fixing{{Mount: "eye"}}
	cans := example.Add(&j, "cans", 0, 2500)
	cans.Form, cans.Substance = fitout.FormTank, fitout.SubstanceWater
	cans.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 80, Now: 70, Density: 1}}
	j, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "put-aboard"}})
	require.NoError(t, err)
	require.NoError(t, fitout.Validate(&j))
	assert.Empty(t, assess.Of(&j).Findings)
}

// papers takes the empty mass of a ute with a tray from papers that say so much of the tray.
func papers(j *fitout.Job, said fitout.TraySaid) {
	j.Vehicle.Outline.Body, j.Vehicle.Outline.Width, j.Vehicle.Outline.RearOverhang = fitout.BodyTray, 1880, 1250
	j.Vehicle.Baseline = fitout.Baseline{Definition: fitout.Kerb, Split: fitout.SplitKnown, Front: 1198, Rear: 822,
		Total: 2020, FrontShare: 0.6, CGHeight: 690, Tray: said}
}

// theTray puts what lies flat on the chassis aboard, under a name that says nothing.
func theTray(j *fitout.Job) *fitout.Item {
	o := &j.Vehicle.Outline
	bed := example.Add(j, "the-bed", 158, 3230)
	bed.Name, bed.Size, bed.At.Z = "The bed", fitout.Size{Length: 2000, Width: 1850, Height: 150}, o.FloorHeight-60
	return bed
}

// A tray is carried once: by the figure, by the loads, or by a part that was fitted to the vehicle.
func TestATrayIsCarriedOnce(t *testing.T) {
	told := func(said fitout.TraySaid, change func(j *fitout.Job)) []string {
		j := example.Ute()
		papers(&j, said)
		change(&j)
		var all []string
		for _, rule := range []string{"tray-unsaid", "tray-nowhere", "tray-twice"} {
			if f := example.Found(t, j, rule); len(f) > 0 {
				all = append(all, rule)
				for _, fix := range f[0].Fixes {
					mended, err := edit.Apply(&j, nil, []fitout.FixEdit{fix.Edit})
					require.NoError(t, err)
					assert.Empty(t, example.Found(t, mended, rule), fix.Label)
				}
			}
		}
		return all
	}
	none := func(*fitout.Job) {}
	assert.Empty(t, told(fitout.TrayHeld, none))
	assert.Empty(t, told(fitout.TrayBare, func(j *fitout.Job) { theTray(j) }))
	assert.Empty(t, told(fitout.TrayBare, func(j *fitout.Job) {
		j.Vehicle.Parts = []fitout.Part{{ID: "t", Name: "Flat body", Mass: 140, State: fitout.Fitted, Source: fitout.DataSheet,
			At: fitout.Point{X: 3200, Z: 800}}}
	}))
	assert.Equal(t, []string{"tray-nowhere"}, told(fitout.TrayBare, func(j *fitout.Job) {
		theTray(j).Size.Length = 900 // half a tray is a box
	}))
	assert.Empty(t, told(fitout.TrayNotSaid, func(j *fitout.Job) { j.Vehicle.Outline.Body = fitout.BodyTub }))
	assert.Empty(t, told(fitout.TrayNotSaid, func(j *fitout.Job) { *j = example.Ute() }), "it was weighed as it stood")
}

func TestVehicleRulesFire(t *testing.T) {
	fires(t, []ruleCase{
		{"ticket-missing", "no weighing ticket with figures counts", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Baseline.Tickets[0].Counted = false
		}},
		{"tickets-contradict", "ticket “Second” gives 950 kg for the rear axle of the dry vehicle, where “Bridge” says 850 " +
			"kg", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Baseline.Tickets = append(j.Vehicle.Baseline.Tickets, example.Axles("second", 1200, 950))
		}},
		{"tray-unsaid", "cab and chassis alone", fitout.Note, func(j *fitout.Job) { papers(j, fitout.TrayNotSaid) }},
		{"tray-nowhere", "Add the tray with its mass", fitout.Caution, func(j *fitout.Job) { papers(j, fitout.TrayBare) }},
		{"tray-twice", "the bed with 158 kg is aboard besides", fitout.Caution, func(j *fitout.Job) {
			papers(j, fitout.TrayHeld)
			theTray(j)
		}},
		{"baseline-split-assumed", "are split 60 : 40 by assumption", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Baseline.Tickets[0].Reading, j.Vehicle.Baseline.Tickets[0].Total = fitout.ReadTotal, 2050
		}},
		{"upgrade-uncertified", "the plate's limits hold", fitout.Caution, func(j *fitout.Job) {
			m := example.Modification(fitout.GrossUpgrade, fitout.LimitGross, 3500)
			m.Certificate = fitout.Planned
			j.Vehicle.Modifications = []fitout.Modification{m}
		}},
		{"upgrade-after-first", "before or after the first registration", fitout.Note, func(j *fitout.Job) {
			m := example.Modification(fitout.AxleRating, fitout.LimitRearAxle, 2000)
			m.Certificate = fitout.AfterFirst
			j.Vehicle.Modifications = []fitout.Modification{m}
		}},
		{"raises-no-rating", "the 2 200 kg written to it does not count", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Modifications = []fitout.Modification{example.Modification(fitout.Airbags, fitout.LimitRearAxle, 2200)}
		}},
		{"tyre-index-unknown", "entered with load index 45; the table goes from 70 to 130", fitout.Caution,
			func(j *fitout.Job) { j.Vehicle.Rear.Tyre.Index = 45 }},
		{"rear-over", "its limit (rear axle rating, here the tyres) is 1 030 kg", fitout.Stop, func(j *fitout.Job) {
			j.Vehicle.Rear.Tyre.Index = 85
			example.Add(j, "ballast", 300, 3100)
		}},
		{"ratings-short", "The axle limits add up to 3 400 kg, less than the GVM of 3 490 kg", fitout.Note,
			func(j *fitout.Job) {
				j.Vehicle.Modifications = []fitout.Modification{example.Modification(fitout.GrossUpgrade, fitout.LimitGross, 3490)}
			}},
		{"ball-over", "the limit of the hitch is 90 kg", fitout.Stop, func(j *fitout.Job) {
			j.Vehicle.Limits.Ball.Kg, j.Vehicle.Hitch.Ball = 150, 90
			j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "T", Coupled: true, Mass: 800, Ball: 100}
		}},
		{"bump-clearance", "airbags level it and raise no rating", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Rear.Rate, j.Vehicle.Rear.Bump = 20, 90
			example.Add(j, "ballast", 400, 3100)
		}},
		{"bay-over", "Cargo area carries 350 kg while driving; its rating is 300 kg", fitout.Stop, func(j *fitout.Job) {
			example.Cargo(j).Rating = 300
			example.Add(j, "ballast", 350, 2500).Bay = "cargo"
		}},
		{"roof-over", "the limit of rack is 75 kg", fitout.Stop, func(j *fitout.Job) {
			*example.Cargo(j) = fitout.Bay{ID: "roof", Name: "Roof", Kind: fitout.BayRoof,
				Opening: fitout.Opening{Face: fitout.FaceNone, Hinge: fitout.HingeNone}}
			m := example.Modification(fitout.RoofRack, fitout.LimitRoofMoving, 75)
			m.Name, j.Vehicle.Limits.RoofMoving.Kg = "Rack", 100
			j.Vehicle.Modifications = []fitout.Modification{m}
			example.Add(j, "canoe", 90, 1500).Bay = "roof"
		}},
		{"roof-parked-over", "With those who sleep there, roof carries 220 kg parked; 200 kg may be up there", fitout.Stop,
			func(j *fitout.Job) {
				*example.Cargo(j) = fitout.Bay{ID: "roof", Name: "Roof", Kind: fitout.BayRoof, RatingParked: 200,
					Opening: fitout.Opening{Face: fitout.FaceNone, Hinge: fitout.HingeNone}}
				example.Crew(j)
				j.Brief.Camp.SleepWhere = fitout.SleepRoof
				example.Add(j, "tent", 65, 1500).Bay = "roof"
			}},
		{"measure-diagonals", "Measure the diagonal from front left again: 2 100 mm was given, 2 000 mm would close it",
			fitout.Caution, func(j *fitout.Job) { example.Cargo(j).DiagonalLeft = 2100 }},
		{"measure-opening-too-wide", "The opening is 1 300 mm wide, the bay behind it 1 200 mm", fitout.Caution,
			func(j *fitout.Job) { example.Cargo(j).Opening.Width = 1300 }},
		{"bay-in-cab", "the cab ends at 2 400 mm. Measure both again: move cargo area back by 100 mm", fitout.Caution, func(j *fitout.Job) {
			tub := example.Cargo(j)
			tub.Kind, j.Vehicle.Outline.CabRear = fitout.BayTub, tub.At.X+100
		}},
		{"measure-level-first", "levelling after the template is made spoils the template", fitout.Caution,
			func(j *fitout.Job) {
				b := example.Cargo(j)
				b.TiltAlong, b.Levelled = -2, false
			}},
		{"envelope-height", "the brief allows 1 800 mm (carport)", fitout.Caution, func(j *fitout.Job) {
			j.Brief.Envelope = fitout.Envelope{Height: 1800, Note: "carport"}
		}},
		{"envelope-rear-overhang", "The rear overhang is 1 250 mm as planned", fitout.Caution, func(j *fitout.Job) {
			j.Brief.Envelope.RearOverhang = 1200
		}},
		{"fuel-short", "the tanks hold 75 L", fitout.Caution, func(j *fitout.Job) { j.Brief.Trip.FuelDistance = 900 }},
		{"payload-gone", "above the GVM before any fitout", fitout.Caution, func(j *fitout.Job) {
			example.Crew(j)
			j.Brief.Gear = []fitout.Gear{{ID: "anvil", Name: "Anvil", Count: 10, Mass: 110, Used: fitout.UsedSeldom}}
		}},
		{
			"gear-differs",
			"Anvil weighs 110 kg in the brief and 60 kg in the ledger",
			fitout.Note,
			func(j *fitout.Job) {
				j.Brief.Gear = []fitout.Gear{
					{ID: "anvil", Name: "Anvil", Count: 1, Mass: 110, Used: fitout.UsedSeldom},
				}
				example.Add(j, "anvil", 60, 1390, func(i *fitout.Item) { i.Source = fitout.Estimate })
			},
		},
		{
			"traveller-differs",
			"Ann weighs 70 kg in the brief and 64 kg in the ledger",
			fitout.Note,
			func(j *fitout.Job) {
				example.Crew(j)
				example.Add(j, "ann", 64, 1390, func(i *fitout.Item) { i.Form, i.Seat = fitout.FormPerson, "driver" })
			},
		},
	})
}

// Every measure that cannot be is told with which one to take again.
func TestEveryMeasureIsToldInWords(t *testing.T) {
	arch := func(side fitout.Side, width float64) fitout.Obstacle {
		return fitout.Obstacle{ID: string(side), Name: "Arch " + string(side), Kind: fitout.WheelArch, Side: side, Front: 400,
			Length: 700, Width: width, Height: 250}
	}
	cases := map[string]func(*fitout.Bay){
		"sides-differ":   func(b *fitout.Bay) { b.LengthLeft, b.DiagonalLeft = 1570, 0 },
		"ends-differ":    func(b *fitout.Bay) { b.WidthRear, b.DiagonalLeft = 1230, 0 },
		"heights-differ": func(b *fitout.Bay) { b.HeightRear = 870 },
		"arches-meet": func(b *fitout.Bay) {
			b.Obstacles = []fitout.Obstacle{arch(fitout.Left, 650), arch(fitout.Right, 600)}
		},
		"arches-outside": func(b *fitout.Bay) {
			b.BetweenArches, b.Obstacles = 1250, []fitout.Obstacle{arch(fitout.Left, 150)}
		},
		"arches-do-not-add-up": func(b *fitout.Bay) {
			b.BetweenArches, b.Obstacles = 1000, []fitout.Obstacle{arch(fitout.Left, 150), arch(fitout.Right, 150)}
		},
		"opening-too-high": func(b *fitout.Bay) { b.Opening.Height = 920 },
		"obstacle-outside": func(b *fitout.Bay) {
			b.Obstacles = []fitout.Obstacle{arch(fitout.Left, 150)}
			b.Obstacles[0].Front = 1200
		},
	}
	for rule, change := range cases {
		t.Run(rule, func(t *testing.T) {
			j := example.Ute()
			change(example.Cargo(&j))
			all := example.Found(t, j, "measure-"+rule)
			require.Len(t, all, 1)
			assert.Contains(t, all[0].Title, "Cargo area")
			assert.NotEmpty(t, all[0].Subject.Measure)
		})
	}
}

func TestThePayloadGoesFromTheLimitToTheFitout(t *testing.T) {
	j := example.Ute()
	example.Crew(&j)
	b := assess.Of(&j).Brief
	require.True(t, b.Known)
	sum := 0.0
	for _, line := range b.Payload {
		sum += line.Kg
	}
	assert.InDelta(t, b.Left, sum, 1e-9)
	// 3300 − 2050 dry − 155 people − (400 km × 13 L × 1.095 + 15 = 71.94 L × 0.84) − (14 × 4 + 10) L
	assert.InDelta(t, 3300-2050-155-71.94*0.84-66, b.Left, 0.01)
}

func TestThePadsSayWhatBinds(t *testing.T) {
	j := example.Ute()
	j.Vehicle.Rear.Tyre.Index = 99
	for _, pad := range assess.Of(&j).Pads {
		if pad.ID == "rear" {
			assert.Equal(t, 1550.0, pad.Limit)
			assert.Equal(t, "the tyres", pad.Binds)
		} else {
			assert.Empty(t, pad.Binds)
		}
	}
	for _, r := range assess.Of(&j).Ratings {
		for _, b := range r.Bounds {
			assert.Equal(t, b.Kg == r.Kg, b.Binds, "%s: %s", r.Limit, b.Kind)
		}
	}
	assert.Equal(t, rating.ByTyres, assess.Of(&j).Ratings[2].Bounds[1].Kind)
}

func TestRideHeightIsAgainstTheUnladenVehicle(t *testing.T) {
	j := example.Ute()
	j.Vehicle.Front.Rate, j.Vehicle.Rear.Rate = 52, 38
	j.Vehicle.Tanks[0].Now = 0
	ride := assess.Of(&j).Ride
	assert.True(t, ride.Known)
	assert.InDelta(t, 0, ride.Rear.Drop, 1e-9)
	example.Add(&j, "ballast", 100, 3150)
	assert.InDelta(t, 100*9.80665/76, assess.Of(&j).Ride.Rear.Drop, 1e-6)
	assert.InDelta(t, 0, assess.Of(&j).Ride.Front.Drop, 1e-6)
}

func TestABayBehindTheCutMovesWithTheExtension(t *testing.T) {
	j := example.Ute()
	example.Cargo(&j).Behind = true
	before := assess.Of(&j).Bays[0].Floor[0].X
	j.Vehicle.Extension = &fitout.Extension{By: 300, Cut: 2200, Certificated: true}
	assert.InDelta(t, before+300, assess.Of(&j).Bays[0].Floor[0].X, 1e-9)
	assert.Len(t, space.Sheets(&j), 1)
	assert.NotEmpty(t, brief.SchoolsOf(plan.Of(&j)))
}

// What is in the cab, under its floor or over its roof is no space behind it, wherever it begins.
func TestASpaceInTheCabMayBeginThere(t *testing.T) {
	begins := func(kind fitout.BayKind, ahead, z float64) []fitout.Finding {
		j := example.Ute()
		space := example.Cargo(&j)
		space.Kind, space.At.Z, j.Vehicle.Outline.CabRear = kind, z, space.At.X+ahead
		return example.Found(t, j, "bay-in-cab")
	}
	assert.NotEmpty(t, begins(fitout.BayCanopyLeft, 6, 900))
	assert.Empty(t, begins(fitout.BayCanopyLeft, 4, 900), "the tape reads no closer")
	for _, kind := range []fitout.BayKind{fitout.BaySecondRow, fitout.BayCab, fitout.BayBetweenRails, fitout.BayUnderTray, fitout.BayRoof} {
		assert.Empty(t, begins(kind, 400, 900), kind)
	}
	assert.NotEmpty(t, begins(fitout.BayLivingBox, 400, 900))
	assert.Empty(t, begins(fitout.BayLivingBox, 400, 1850), "its bed is over the cab's roof")
}
