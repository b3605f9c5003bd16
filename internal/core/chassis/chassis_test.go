package chassis_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/chassis"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// bodied is a tray with a box under it before the rear wheel, a body on four sprung mounts, an aerial on the
// cab and a rack, none of which is in the other's way.
func bodied() fitout.Job {
	j := fitout.NewJob("job", "Job", fitout.AustraliaNZ)
	v := &j.Vehicle
	v.Wheelbase, v.TrackFront, v.TrackRear, v.TyreRadius, v.TyreWidth, v.SteeringLock, v.MirrorWidth = 3100, 1550, 1550, 385, 265, 35, 2100
	v.Front.Bump, v.Rear.Bump = 80, 100
	v.Outline.Width = 1880
	v.Bays = []fitout.Bay{
		{
			ID:          "box",
			Name:        "Box",
			Kind:        fitout.BayLivingBox,
			At:          fitout.Point{X: 2200, Z: 900},
			LengthLeft:  2400,
			LengthRight: 2400,
			WidthFront:  1800,
			WidthRear:   1800,
			HeightFront: 1800,
			HeightRear:  1800,
			Obstacles:   []fitout.Obstacle{},
			Opening:     fitout.Opening{Face: fitout.FaceRear, Hinge: fitout.HingeNone},
		},
	}
	mount := func(id string, x, y float64) fitout.BodyMount {
		return fitout.BodyMount{
			ID:     id,
			Name:   "Mount " + id,
			Kind:   fitout.MountSprung,
			At:     fitout.Point{X: x, Y: y, Z: 700},
			Rating: 300,
			Travel: 20,
		}
	}
	v.BodyMounts = []fitout.BodyMount{
		mount("fl", 2300, -400),
		mount("fr", 2300, 400),
		mount("rl", 4300, -400),
		mount("rr", 4300, 400),
	}
	v.Marks = []fitout.Mark{
		{
			ID:   "aerial",
			Name: "Aerial",
			Kind: fitout.AerialMark,
			At:   fitout.Point{X: 1500, Y: 0, Z: 2500},
			From: fitout.FaceNone,
		},
	}
	part := func(id, bay string, x, y, z, long, wide, high, kg float64) fitout.Item {
		return fitout.Item{
			ID:     id,
			Name:   "The " + id,
			Form:   fitout.FormBox,
			Mass:   kg,
			Source: fitout.DataSheet,
			Bay:    bay,
			At: fitout.Point{
				X: x + long/2,
				Y: y + wide/2,
				Z: z + high/2,
			},
			Size:     fitout.Size{Length: long, Width: wide, Height: high},
			Presence: fitout.Presence{Kind: fitout.Always},
			Module: &fitout.Module{
				Kind:   fitout.Locker,
				Faces:  fitout.FaceNone,
				Wall:   fitout.NoMaterial,
				Runner: fitout.NoRunner,
				Stack:  fitout.Beside,
			},
		}
	}
	j.Variants[0].Items = []fitout.Item{
		part("tray box", "", 2100, -930, 400, 590, 400, 380, 30), // rear tyre from 3100 − 385 − 20 = 2695
		part("rack", "", 1600, -600, 2400, 900, 1200, 60, 30),
		part("load", "box", 3100, -200, 900, 400, 400, 400, 400),
	}
	for i := range j.Variants[0].Items {
		j.Variants[0].Items[i].ID = []string{"tray-box", "rack", "load"}[i]
	}
	return j
}

func told(t require.TestingT, j *fitout.Job) map[string]fitout.Finding {
	require.NoError(t, fitout.Validate(j))
	all := map[string]fitout.Finding{}
	p := plan.Of(j)
	for _, rule := range chassis.Rules() {
		for _, f := range rule(p) {
			all[f.Rule] = f
		}
	}
	return all
}

func TestWhatIsBoltedOnWellHasNothingToSay(t *testing.T) {
	j := bodied()
	assert.Empty(t, told(t, &j))
}

// Each rule is fired, and silent once it is mended by what it says and not by 2 mm less.
func TestRulesOfTheChassis(t *testing.T) {
	item := func(j *fitout.Job, k int) *fitout.Item { return &j.Variants[0].Items[k] }
	cases := map[string]struct {
		spoil func(j *fitout.Job, by float64)
		says  string
	}{
		"tyre-hits": {func(j *fitout.Job, by float64) { item(j, 0).At.X += 60 - by }, "reaches 55"},
		"body-twist": {func(j *fitout.Job, by float64) {
			for i := range j.Vehicle.BodyMounts {
				j.Vehicle.BodyMounts[i].Travel = by
			}
		}, "The frame"},
		"mirrors-narrow": {func(j *fitout.Job, by float64) { j.Vehicle.MirrorWidth = 1900 + 2*by }, "40"},
		"exhaust-near": {func(j *fitout.Job, by float64) {
			j.Vehicle.Marks = append(j.Vehicle.Marks, fitout.Mark{ID: "muffler", Name: "Muffler", Kind: fitout.ExhaustMark,
				At: fitout.Point{X: 2400, Y: -530 + 60 + by, Z: 600}, From: fitout.FaceNone})
		}, "shield"},
		"shaft-near": {func(j *fitout.Job, by float64) {
			j.Vehicle.Marks = append(j.Vehicle.Marks, fitout.Mark{ID: "shaft", Name: "Propeller shaft", Kind: fitout.ShaftMark,
				At: fitout.Point{X: 2400, Y: -530 + 60 + by, Z: 600}, From: fitout.FaceNone})
		}, "rises with the axle"},
		"line-near": {func(j *fitout.Job, by float64) {
			j.Vehicle.Marks = append(j.Vehicle.Marks, fitout.Mark{ID: "line", Name: "Brake line", Kind: fitout.LineMark,
				At: fitout.Point{X: 2400, Y: -530 + 10 + by, Z: 600}, From: fitout.FaceNone})
		}, "chafes it through"},
		"axle-hits": {func(j *fitout.Job, by float64) {
			example.Stand(j, "compressor", fitout.Locker, fitout.FaceLeft, 10, 200, 200, 200, "box")
			it := item(j, len(j.Variants[0].Items)-1)
			// Its foot 30 mm below the top of the tube, 385 + 60 + 100 + 20.
			it.Bay, it.At = "", fitout.Point{X: 3100, Y: 400, Z: 565 - 30 + 100 + by}
		}, "reaches 30"},
		"off-the-vehicle": {func(j *fitout.Job, by float64) {
			j.Vehicle.Outline = fitout.Outline{Body: fitout.BodyTray, Width: 1880, Height: 1900, FrontOverhang: 900, RearOverhang: 1500,
				BonnetHeight: 1100, FloorHeight: 850, SillHeight: 500}
			j.Vehicle.Marks = append(j.Vehicle.Marks, fitout.Mark{ID: "lamp", Name: "Tail lamp", Kind: fitout.LampMark,
				At: fitout.Point{X: 8000 - by, Y: 800, Z: 900}, From: fitout.FaceRear})
		}, "outside of the vehicle"},
		"aerial-shaded": {func(j *fitout.Job, by float64) { item(j, 1).At.Z += 90 - by }, "50"},
	}
	for rule, c := range cases {
		t.Run(rule, func(t *testing.T) {
			j := bodied()
			c.spoil(&j, 0)
			f, fired := told(t, &j)[rule]
			require.True(t, fired)
			assert.Contains(t, f.Title+f.Sentence, c.says)
			for _, by := range []float64{-f.Margin - 2, -f.Margin + 1.5} {
				j := bodied()
				c.spoil(&j, by)
				still, again := told(t, &j)[rule]
				assert.Equal(t, by < -f.Margin, again, "%.1f of %.1f: %s", by, -f.Margin, still.Sentence)
			}
		})
	}
}

// What stands on the load floor over the wheel is not hit, however far that comes up.
func TestTheFloorIsBetweenTheTyreAndTheLoad(t *testing.T) {
	j := bodied()
	j.Vehicle.Rear.Bump = 200
	box := &j.Variants[0].Items[0]
	box.At = fitout.Point{X: 3100, Y: -775, Z: j.Vehicle.Outline.FloorHeight + box.Size.Height/2}
	assert.NotContains(t, told(t, &j), "tyre-hits")
	box.At.Z -= 30
	assert.Contains(t, told(t, &j), "tyre-hits")
}

// A front tyre of 265 and radius 385 that turns 35° is 385 cos 35 + 132.5 sin 35 = 391.4 long ahead and
// 385 sin 35 + 132.5 cos 35 = 329.4 wide to each side; and no point of the tread ever leaves its box.
func TestWhereATyreGoes(t *testing.T) {
	b := chassis.EnvelopeOf(fitout.Point{Z: 385}, 385, 265, 35, 80)
	assert.InDelta(t, 329.4+20, b.To.Y, 0.1)
	assert.InDelta(t, 385+385+80+20, b.To.Z, 0.1)
	rapid.Check(t, func(t *rapid.T) {
		r, w := rapid.Float64Range(250, 550).Draw(t, "r"), rapid.Float64Range(150, 400).Draw(t, "w")
		lock := rapid.Float64Range(0, 60).Draw(t, "lock")
		b := chassis.EnvelopeOf(fitout.Point{Z: r}, r, w, lock, 0)
		angle := rapid.Float64Range(-lock, lock).Draw(t, "turned") * math.Pi / 180
		for _, corner := range [][2]float64{{r, w / 2}, {r, -w / 2}, {-r, w / 2}, {-r, -w / 2}} {
			x := corner[0]*math.Cos(angle) - corner[1]*math.Sin(angle)
			y := corner[0]*math.Sin(angle) + corner[1]*math.Cos(angle)
			assert.True(t, x >= b.From.X && x <= b.To.X && y >= b.From.Y && y <= b.To.Y, "%.1f %.1f in %v", x, y, b)
		}
	})
}

// 400 kg over the middle of four mounts put 100 kg on each; 500 mm further back 150 on the rear ones
// (400 · 500 / 2000 = 100 more on the two together); and whatever is carried, all of it and its moments are.
func TestMountsCarryTheBody(t *testing.T) {
	j := bodied()
	load := &j.Variants[0].Items[2]
	load.Mass = 1000
	assert.NotContains(t, told(t, &j), "body-mount-over", "250 kg on each")
	load.At.X += 250 // 62.5 kg more on each of the rear ones
	f := told(t, &j)["body-mount-over"]
	assert.InDelta(t, 312.5, f.Value, 0.05)
	rapid.Check(t, func(t *rapid.T) {
		var mounts []fitout.BodyMount
		for range rapid.IntRange(3, 8).Draw(t, "mounts") {
			mounts = append(
				mounts,
				fitout.BodyMount{
					At: fitout.Point{
						X: rapid.Float64Range(2000, 4500).Draw(t, "x"),
						Y: rapid.Float64Range(-500, 500).Draw(t, "y"),
					},
				},
			)
		}
		x, y := rapid.Float64Range(2000, 4500).Draw(t, "at x"), rapid.Float64Range(-300, 300).Draw(t, "at y")
		xx, yy, xy, mx, my := 0.0, 0.0, 0.0, 0.0, 0.0
		for _, m := range mounts {
			mx, my = mx+m.At.X/float64(len(mounts)), my+m.At.Y/float64(len(mounts))
		}
		for _, m := range mounts {
			xx, yy, xy = xx+(m.At.X-mx)*(m.At.X-mx), yy+(m.At.Y-my)*(m.At.Y-my), xy+(m.At.X-mx)*(m.At.Y-my)
		}
		if xx*yy-xy*xy < 0.01*xx*yy || min(xx, yy) < 100 {
			return // in one line: a plate tips over it
		}
		sum, along, across := 0.0, 0.0, 0.0
		for i, kg := range chassis.Share(mounts, 400, x, y) {
			sum, along, across = sum+kg, along+kg*mounts[i].At.X, across+kg*mounts[i].At.Y
		}
		assert.InDelta(t, 400, sum, 1e-6)
		assert.InDelta(t, 400*x, along, 1e-3)
		assert.InDelta(t, 400*y, across, 1e-3)
	})
}

// With 100 mm to the bump stop on a track of 1550 the wheels want atan(200/1550) = 7.35°; a quarter of it,
// 1.84°, over 2000 of 3100 mm lifts a mount 400 beside the middle by 400 tan 1.19° = 8.28 mm.
func TestAFrameTwistsUnderItsBody(t *testing.T) {
	assert.InDelta(t, 8.28, chassis.Rise(100, 1550, 400, 2000, 3100), 0.01)
	j := bodied()
	for i := range j.Vehicle.BodyMounts {
		j.Vehicle.BodyMounts[i].Kind, j.Vehicle.BodyMounts[i].Travel = fitout.MountRigid, 0
	}
	assert.Contains(t, told(t, &j), "body-twist", "four rigid ones tear")
	for i := range j.Vehicle.BodyMounts {
		if j.Vehicle.BodyMounts[i].At.X > 3000 {
			j.Vehicle.BodyMounts[i].Kind = fitout.MountPivot
			continue
		}
		j.Vehicle.BodyMounts[i].Travel = 9
	}
	assert.NotContains(t, told(t, &j), "body-twist")
}

// What burns keeps further from a hot exhaust than what only chars, and on the floor it is shielded by that.
func TestWhatBurnsKeepsAwayFromTheExhaust(t *testing.T) {
	j := bodied()
	j.Vehicle.Marks = append(j.Vehicle.Marks, fitout.Mark{ID: "muffler", Name: "Muffler", Kind: fitout.ExhaustMark,
		At: fitout.Point{X: 2400, Y: -530 + 250, Z: 600}, From: fitout.FaceNone})
	assert.NotContains(t, told(t, &j), "exhaust-near")
	j.Variants[0].Items[0].Substance = fitout.SubstancePetrol
	f := told(t, &j)["exhaust-near"]
	assert.Equal(t, fitout.Stop, f.Severity)
	assert.InDelta(t, 250, f.Value, 0.1)
	j.Vehicle.Marks[1].At.Y += 51
	assert.NotContains(t, told(t, &j), "exhaust-near")
	j.Vehicle.Marks[1].At = j.Variants[0].Items[2].At
	assert.NotContains(t, told(t, &j), "exhaust-near", "the floor is between")
}

// A shield leaves half of the way to keep from the exhaust; what a shaft itself turns in is a stop.
func TestShieldsAndShafts(t *testing.T) {
	j := bodied()
	j.Vehicle.Marks = append(j.Vehicle.Marks, fitout.Mark{ID: "muffler", Name: "Muffler", Kind: fitout.ExhaustMark,
		At: fitout.Point{X: 2400, Y: -530 + 60, Z: 600}, From: fitout.FaceNone, Shield: true})
	assert.NotContains(t, told(t, &j), "exhaust-near", "60 mm behind a shield, where 50 do")
	j.Vehicle.Marks[1].At.Y -= 15
	f := told(t, &j)["exhaust-near"]
	assert.InDelta(t, 50, f.Limit, 1e-9)
	assert.NotContains(t, f.Sentence, "A shield leaves half", "it has one")
	j.Vehicle.Marks[1].Kind = fitout.ShaftMark
	assert.Equal(t, fitout.Stop, told(t, &j)["shaft-near"].Severity, "45 mm from its middle it turns in it")
	j.Vehicle.Marks[1].At.Y += 15
	assert.Equal(t, fitout.Caution, told(t, &j)["shaft-near"].Severity)
	j.Vehicle.Marks[1].At = j.Variants[0].Items[2].At
	assert.NotContains(t, told(t, &j), "shaft-near", "the floor is between")
}

// A bolt that holds a part and comes out over a line is told; one beside it, and one under it, is not.
func TestABoltOverALine(t *testing.T) {
	spot := func(dx, up float64) bool {
		j := bodied()
		held := &j.Variants[0].Items[2]
		j.Vehicle.Mounts = []fitout.Mount{{ID: "bolt", Name: "Bolt", At: held.Box().From, Rating: 200}}
		held.Module.Fixings = []fitout.Fixing{{Mount: "bolt"}}
		at := held.Box().From
		j.Vehicle.Marks = append(j.Vehicle.Marks, fitout.Mark{ID: "line", Name: "Brake line", Kind: fitout.LineMark,
			At: fitout.Point{X: at.X + dx, Y: at.Y, Z: at.Z + up}, From: fitout.FaceNone})
		f, fired := told(t, &j)["line-near"]
		if fired {
			assert.Equal(t, []string{"line", "bolt"}, f.With)
			assert.Contains(t, f.Sentence, "licensed people")
		}
		return fired
	}
	assert.True(t, spot(20, -150))
	assert.False(t, spot(31, -150), "beside it")
	assert.False(t, spot(20, 10), "no drill comes upward")
}

// From the driver's eyes through the load to the glass behind: most of it hidden is noted, unless a camera looks back.
func TestTheViewBehind(t *testing.T) {
	wagon := func(high float64) fitout.Job {
		j := example.Fitted()
		j.Vehicle.Outline.Body = fitout.BodyWagon
		b := &j.Vehicle.Bays[0]
		b.Kind = fitout.BayWagonCargo
		b.Opening = fitout.Opening{Face: fitout.FaceRear, Hinge: fitout.HingeTop, Width: 1200, Height: 800, Swing: 90}
		j.Vehicle.Seats = []fitout.Seat{
			{ID: "driver", Name: "Driver", Driver: true, At: fitout.Point{X: 1300, Y: 350, Z: b.At.Z + 200}},
		}
		j.Variants[0].Items = j.Variants[0].Items[:0]
		example.Stand(&j, "stack", fitout.Locker, fitout.FaceRear, 30, 400, b.WidthFront-20, high, b.ID)
		j.Variants[0].Items[0].At = fitout.Point{X: b.At.X + 300, Y: b.At.Y, Z: b.At.Z + high/2}
		return j
	}
	low, high := wagon(300), wagon(900)
	assert.NotContains(t, told(t, &low), "rear-view", "one looks over it")
	f, fired := told(t, &high)["rear-view"]
	require.True(t, fired)
	assert.Zero(t, f.Value, "nothing of the glass is seen past it")
	assert.Equal(t, fitout.Note, f.Severity)
	tub := wagon(900)
	tub.Vehicle.Outline.Body = fitout.BodyTub
	assert.NotContains(t, told(t, &tub), "rear-view", "nobody looks through a tub")
	nobody := wagon(900)
	nobody.Vehicle.Seats[0].Driver = false
	assert.NotContains(t, told(t, &nobody), "rear-view", "nobody said where the driver sits")
	high.Vehicle.Marks = []fitout.Mark{{ID: "eye", Name: "Rear camera", Kind: fitout.CameraMark,
		At: fitout.Point{X: 4500, Z: 1000}, From: fitout.FaceRear}}
	assert.NotContains(t, told(t, &high), "rear-view", "a camera sees it")
}

// A part that was moved and a modification are places on the vehicle too, and load its axles from there.
func TestWhatWasMovedOrAddedIsOnTheVehicle(t *testing.T) {
	for what, off := range map[string]func(j *fitout.Job){
		"spare": func(j *fitout.Job) {
			j.Vehicle.Parts = []fitout.Part{{ID: "spare", Name: "Spare wheel", Mass: 30, InBaseline: true, State: fitout.Moved,
				At: fitout.Point{X: 3900, Z: 500}, MovedTo: &fitout.Point{X: 3900, Y: -3300, Z: 1200}, Source: fitout.DataSheet}}
		},
		"bar": func(j *fitout.Job) {
			j.Vehicle.Modifications = []fitout.Modification{{ID: "bar", Name: "Bar", Kind: fitout.Bar, Mass: 60,
				At: fitout.Point{X: -650, Z: 7000}, Source: fitout.DataSheet, Certificate: fitout.NotNeeded, Axle: fitout.NoAxle}}
		},
	} {
		j := bodied()
		j.Vehicle.Outline = fitout.Outline{Body: fitout.BodyTray, Width: 1880, Height: 1900, FrontOverhang: 900,
			RearOverhang: 1500, BonnetHeight: 1100, FloorHeight: 850, SillHeight: 500}
		_, before := told(t, &j)["off-the-vehicle"]
		assert.False(t, before)
		off(&j)
		f, fired := told(t, &j)["off-the-vehicle"]
		require.True(t, fired, what)
		assert.Equal(t, what, f.Subject.ID)
	}
}
