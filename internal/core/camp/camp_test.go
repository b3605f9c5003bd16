package camp_test

import (
	"math"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/camp"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// lived is a living box, 2400 long, 1800 wide and 1950 high inside, in which Ann (1700 tall, 420 at the
// shoulders) stands, cooks at a bench of 970, passes, and sleeps on a platform; an awning of 2100 stands
// outside on the left with a fire 3.5 m from it and a ladder at 70°.
func lived() fitout.Job {
	j := fitout.NewJob("job", "Job", fitout.AustraliaNZ)
	j.Vehicle.Bays = []fitout.Bay{{
		ID: "box", Name: "Living box", Kind: fitout.BayLivingBox, At: fitout.Point{X: 2200, Z: 900}, LengthLeft: 2400, LengthRight: 2400,
		WidthFront: 1800, WidthRear: 1800, HeightFront: 1950, HeightRear: 1950, Levelled: true, Sealed: true, Lockable: true, Shared: true,
		Opening: fitout.Opening{
			Face:   fitout.FaceRear,
			Width:  700,
			Height: 1750,
			Hinge:  fitout.HingeLeft,
			Swing:  100,
		}, Obstacles: []fitout.Obstacle{},
		More: []fitout.MoreOpening{
			{ID: "hatch", Name: "Hatch", Use: fitout.ForExit, Along: 900, Above: 600, Cover: fitout.IsSo,
				Opening: fitout.Opening{Face: fitout.FaceTop, Width: 600, Height: 600, Hinge: fitout.HingeNone}},
		},
	}}
	j.Brief.Travellers = []fitout.Traveller{
		{ID: "ann", Name: "Ann", Kind: fitout.TravellerPerson, Height: 1700, Shoulder: 420, Mass: 70},
	}
	part := func(id, name string, kind fitout.ModuleKind, x, y, z, long, wide, high float64) fitout.Item {
		return fitout.Item{ID: id, Name: name, Form: fitout.FormBox, Mass: 30, Source: fitout.DataSheet, Bay: "box",
			At: fitout.Point{
				X: x + long/2,
				Y: y + wide/2,
				Z: z + high/2,
			}, Size: fitout.Size{Length: long, Width: wide, Height: high},
			Presence: fitout.Presence{Kind: fitout.Always},
			Module: &fitout.Module{
				Kind:   kind,
				Faces:  fitout.FaceNone,
				Wall:   fitout.NoMaterial,
				Runner: fitout.NoRunner,
				Stack:  fitout.Beside,
			}}
	}
	platform := part("platform", "Bed", fitout.Platform, 2250, -880, 1300, 1900, 700, 40)
	bench := part("bench", "Bench", fitout.Locker, 2300, 320, 900, 1200, 500, 970)
	heater := part("heater", "Heater", fitout.Heater, 4200, 600, 900, 300, 200, 200)
	heater.Noise, heater.Nights, heater.Hung = 30, true, true
	bike := part("bike", "Bike", fitout.PlainGear, 3700, 320, 900, 400, 200, 600)
	bike.Mass = 120
	bike.Loading = &fitout.Loading{Ramp: 3600, Rise: 900, Winch: 1000, Line: 9000, Belly: 150, Wheel: 1100}
	j.Variants[0].Items = []fitout.Item{platform, bench, heater, bike}
	stand := func(does fitout.Does, on string, x, y float64) []fitout.Placed {
		return []fitout.Placed{{Traveller: "ann", Does: does, At: fitout.Point{X: x, Y: y, Z: 900}, On: on}}
	}
	j.Variants[0].Stances = []fitout.Stance{
		{ID: "cook", Name: "Cook", Use: fitout.StanceCook, People: stand(fitout.Works, "bench", 2900, 130)},
		{
			ID:     "walk",
			Name:   "Walk",
			Use:    fitout.StanceOther,
			People: stand(fitout.Passes, "", 2900, 130),
			Doors:  []fitout.Door{{Bay: "box"}},
			Ground: []fitout.GroundThing{
				{
					ID:   "awning",
					Name: "Awning",
					Kind: fitout.GroundAwning,
					At:   fitout.Point{X: 3400, Y: -2200},
					Size: fitout.Size{Length: 2500, Width: 2400, Height: 2100},
				},
				{
					ID:   "fire",
					Name: "Fire",
					Kind: fitout.GroundFire,
					At:   fitout.Point{X: 8350, Y: -2200},
					Size: fitout.Size{Length: 400, Width: 400, Height: 400},
				},
				{
					ID:   "ladder",
					Name: "Ladder",
					Kind: fitout.GroundLadder,
					At:   fitout.Point{X: 1500, Y: -1500},
					Size: fitout.Size{Length: 400, Width: 800, Height: 2200},
				},
			},
		},
		{
			ID:       "sleep",
			Name:     "Sleep",
			Use:      fitout.StanceSleep,
			Sleepers: []fitout.Sleeper{{Traveller: "ann"}},
			Ground: []fitout.GroundThing{
				{
					ID:   "chair",
					Name: "Chair",
					Kind: fitout.GroundChair,
					At:   fitout.Point{X: 6000},
					Size: fitout.Size{Length: 600, Width: 600, Height: 1000},
				}},
		},
	}
	return j
}

func told(t *testing.T, j *fitout.Job) map[string]fitout.Finding {
	t.Helper()
	require.NoError(t, fitout.Validate(j))
	all := map[string]fitout.Finding{}
	p := plan.Of(j)
	for _, rule := range camp.Rules() {
		for _, f := range rule(p) {
			if was, twice := all[f.Rule]; !twice || f.Margin < was.Margin {
				all[f.Rule] = f
			}
		}
	}
	return all
}

func item(j *fitout.Job, id string) *fitout.Item {
	v := &j.Variants[0]
	for i := range v.Items {
		if v.Items[i].ID == id {
			return &v.Items[i]
		}
	}
	panic(id)
}

func ground(j *fitout.Job, stance int, id string) *fitout.GroundThing {
	g := j.Variants[0].Stances[stance].Ground
	for i := range g {
		if g[i].ID == id {
			return &g[i]
		}
	}
	panic(id)
}

func TestWhatIsLivedInHasNothingToSay(t *testing.T) {
	j := lived()
	assert.Empty(t, told(t, &j))
}

// Each rule is fired, says by how much, and is silent once that much is mended and not before.
func TestRulesOfTheCamp(t *testing.T) {
	ann := func(j *fitout.Job) *fitout.Traveller { return &j.Brief.Travellers[0] }
	cases := map[string]struct {
		spoil func(j *fitout.Job, by float64) // by how much it is mended
		short float64                         // what is missing
		says  string
	}{
		// Standing she needs 1750 under 1950: at 1960 tall 2010.
		"head-room": {func(j *fitout.Job, by float64) { ann(j).Height = 1960 - by }, 60, "needs 2\u202f010"},
		// Between bed (to y −180) and bench (then from y 220) are 400; she wants 420 + 80.
		"passage-narrow": {func(j *fitout.Job, by float64) { item(j, "bench").At.Y += by - 100 }, 100, "wants 500"},
		// A door of 1450 is 250 lower than she is tall; of 1400 she climbs.
		"door-low": {
			func(j *fitout.Job, by float64) { j.Vehicle.Bays[0].Opening.Height = 1400 + by },
			50,
			"1\u202f400",
		},
		// Her elbow is at 0.63 · 1700 = 1071; a bench of 1100 is above it by 29.
		"work-high": {func(j *fitout.Job, by float64) {
			item(j, "bench").Size.Height = 1100 - by
			item(j, "bench").At.Z = 900 + item(j, "bench").Size.Height/2
		}, 29, "Lower it by 29"},
		// She cuts at 971 and stoops below 821.
		"work-low": {func(j *fitout.Job, by float64) {
			item(j, "bench").Size.Height = 780 + by
			item(j, "bench").At.Z = 900 + item(j, "bench").Size.Height/2
		}, 41, "Raise it by 41"},
		// The door sweeps 700 to the rear, from x 4600 to 5300.
		"ground-in-way": {func(j *fitout.Job, by float64) {
			ground(j, 1, "ladder").At = fitout.Point{X: 5400 + by, Y: 0}
		}, 100, "Move ladder by that much"},
		"ground-together": {func(j *fitout.Job, by float64) {
			ground(j, 1, "fire").At = fitout.Point{X: 1500, Y: -2050 - by}
			ground(j, 1, "awning").At.X = -5000
		}, 50, "Move one of them"},
		// From the way out (x 4600 to 5200, y −350 to 350) 60 % is taken by a chair of 600 in its middle.
		"ground-before-exit": {
			func(j *fitout.Job, by float64) { ground(j, 2, "chair").At = fitout.Point{X: 4900, Y: by} },
			math.NaN(),
			"less than half",
		},
		"fire-near": {func(j *fitout.Job, by float64) { ground(j, 1, "fire").At.X = 7750 + by }, 100, "100"},
		// atan(2200/1200) = 61.4°; at 65° its foot stands 1026 out: 174 nearer.
		"ladder-flat": {
			func(j *fitout.Job, by float64) { ground(j, 1, "ladder").Size.Width = 1200 - by },
			174.2,
			"175",
		},
	}
	for rule, c := range cases {
		t.Run(rule, func(t *testing.T) {
			j := lived()
			c.spoil(&j, 0)
			f, fired := told(t, &j)[rule]
			require.True(t, fired, "%v", told(t, &j))
			assert.Contains(t, f.Sentence, c.says)
			assert.Negative(t, f.Margin)
			mends := c.short
			if math.IsNaN(mends) {
				mends = 300 // aside, so that half of 700 is taken
			} else if f.Unit == "mm" {
				assert.InDelta(t, c.short, -f.Margin, 0.5)
			}
			for _, by := range []float64{mends - 5, mends + 2} {
				j := lived()
				c.spoil(&j, by)
				f, again := told(t, &j)[rule]
				again = again && (rule != "door-low" || f.Severity == fitout.Caution)
				if !math.IsNaN(c.short) || by > mends {
					assert.Equal(t, by < mends, again, "%.0f of %.0f: %s", by, mends, f.Sentence)
				}
			}
		})
	}
}

// On an open tray there is no ceiling; under a hatch that is open there is one, by how far it is open: of 1000
// hinged at 1900 above the ground its lower edge then stands there.
func TestOutsideThereIsNoCeilingButAHatch(t *testing.T) {
	j := lived()
	box := &j.Vehicle.Bays[0]
	box.HeightFront, box.HeightRear, box.More = 0, 0, nil
	j.Variants[0].Items = nil
	j.Variants[0].Stances = j.Variants[0].Stances[:1]
	place := &j.Variants[0].Stances[0].People[0]
	place.Does, place.On = fitout.Stands, ""
	assert.Empty(t, told(t, &j))

	j = lived()
	box = &j.Vehicle.Bays[0]
	box.HeightFront, box.HeightRear = 1000, 1000
	box.Opening = fitout.Opening{Face: fitout.FaceRear, Width: 1400, Height: 850, Hinge: fitout.HingeTop, Swing: 90}
	j.Variants[0].Items = nil
	stance := &j.Variants[0].Stances[0]
	*stance = fitout.Stance{ID: "cook", Name: "Cook", Use: fitout.StanceCook, Doors: []fitout.Door{{Bay: "box"}},
		People: []fitout.Placed{{Traveller: "ann", Does: fitout.Stands, At: fitout.Point{X: 5000}}}}
	j.Variants[0].Stances = j.Variants[0].Stances[:1]
	assert.Empty(t, told(t, &j), "the hatch hangs at 1750, and she needs that")
	j.Brief.Travellers[0].Height = 1800
	f := told(t, &j)["head-room"]
	assert.Contains(t, f.Sentence, "Up to the door of living box")
	assert.InDelta(t, 1750, f.Value, 1)
	stance.Doors = nil
	assert.Empty(t, told(t, &j))
}

// Somebody whose height nobody entered is noted once, and what runs at night without a figure too.
func TestWhatWasNotSaidOfTheCamp(t *testing.T) {
	j := lived()
	j.Brief.Travellers[0].Height = 0
	item(&j, "heater").Noise = 0
	all := told(t, &j)
	assert.Contains(t, all, "height-unsaid")
	assert.Contains(t, all, "noise-unsaid")
	assert.Len(t, all, 2)
}

// A heater of 40 dB at 1 m is heard with 40 − 20 log₁₀ 2 = 34.0 dB from 2 m, and with 43 dB with 37.0; two
// alike are 3 dB louder than one; one that is not hung sounds 5 dB louder.
func TestWhatIsHeardInBed(t *testing.T) {
	assert.InDelta(t, 34.0, camp.NoiseAt(40, 2), 0.05)
	assert.InDelta(t, 40.0, camp.NoiseAt(40, 1), 1e-9)
	j := lived()
	heater := item(&j, "heater")
	heater.At = fitout.Point{X: 4150 + 2000, Y: -480, Z: 1320} // 2 m behind the foot of the bed
	heater.Noise = 43
	f := told(t, &j)["noise-at-bed"]
	assert.InDelta(t, 37.0, f.Value, 0.1)
	assert.Contains(t, f.Sentence, "from heater")
	heater.Hung = false
	assert.InDelta(t, 42.0, told(t, &j)["noise-at-bed"].Value, 0.1)
	heater.Noise, heater.Hung = 40, true
	assert.NotContains(t, told(t, &j), "noise-at-bed", "34 dB wake nobody")
	second := *heater
	second.ID = "pump"
	j.Variants[0].Items = append(j.Variants[0].Items, second)
	assert.InDelta(t, 37.0, told(t, &j)["noise-at-bed"].Value, 0.1)
	item(&j, "heater").Nights = false
	assert.NotContains(t, told(t, &j), "noise-at-bed")
}

// At 2 m and 43 dB the heater is put 43 − 35 = 8 dB further off than 1 m: 10^(8/20) = 2.512 m; hung it would be 5 dB
// less. Beside a second one of 34 dB at the bed it leaves 10 log (10^3.5 − 10^3.398) = 28.2 dB: 10^(14.79/20) = 5.49 m.
func TestHowFarOffWhatIsHeardInBedGoes(t *testing.T) {
	bed := 4150.0
	j := lived()
	heater := item(&j, "heater")
	heater.Noise, heater.At = 43, fitout.Point{X: bed + 2000, Y: -480, Z: 1320}
	at := func(mm float64) map[string]fitout.Finding {
		item(&j, "heater").At.X = bed + mm
		return told(t, &j)
	}
	assert.Contains(t, at(2000)["noise-at-bed"].Sentence, "Put it 2\u202f513\u00a0mm from the bed, or let it rest")
	assert.Contains(t, at(2500), "noise-at-bed")
	assert.NotContains(t, at(2513), "noise-at-bed")
	heater.Hung = false
	assert.Contains(t, at(2000)["noise-at-bed"].Sentence, "Hang it and put it 2\u202f513\u00a0mm from the bed")
	assert.Contains(t, at(2513)["noise-at-bed"].Sentence, "Hang it, put it 4\u202f468\u00a0mm from the bed")
	assert.NotContains(t, at(4468), "noise-at-bed")
	second := *heater
	second.ID, second.Noise, second.Hung, second.At.X = "pump", 40, true, bed+2000
	j.Variants[0].Items = append(j.Variants[0].Items, second)
	item(&j, "heater").Hung = true
	assert.Contains(t, at(2000)["noise-at-bed"].Sentence, "Put it 5\u202f490\u00a0mm from the bed")
	assert.NotContains(t, at(5490), "noise-at-bed")
	item(&j, "pump").Noise = 60
	assert.Contains(t, at(100)["noise-at-bed"].Sentence, "and what else is heard too", "each alone is too loud")
}

// 120 kg up 900 on a ramp of 3600 (14.5°): m g (sin θ + 0.1 cos θ) = 408 N; at its top 1100 between the
// wheels want 550 · tan 7.24° = 69.9 mm.
func TestHeavyThingsComeInOverARamp(t *testing.T) {
	slope := math.Asin(0.25)
	assert.InDelta(t, 408.1, camp.Pull(120, slope), 0.1)
	change := func(with func(l *fitout.Loading)) map[string]fitout.Finding {
		j := lived()
		with(item(&j, "bike").Loading)
		return told(t, &j)
	}
	assert.Contains(
		t,
		change(func(l *fitout.Loading) { l.Ramp = 3400 })["ramp-steep"].Sentence,
		"It wants 3\u202f478",
	)
	assert.Empty(t, change(func(l *fitout.Loading) { l.Ramp = 3478 }))
	assert.InDelta(t, 69.9, change(func(l *fitout.Loading) { l.Belly = 69 })["ramp-belly"].Limit, 0.1)
	assert.Empty(t, change(func(l *fitout.Loading) { l.Belly = 70 }))
	assert.InDelta(t, 408.1, change(func(l *fitout.Loading) { l.Winch = 400 })["winch-short"].Value, 0.1)
	assert.Empty(t, change(func(l *fitout.Loading) { l.Winch = 409 }))
	assert.Contains(t, change(func(l *fitout.Loading) { l.Line = 900 })["winch-short"].Title, "breaks the line")
	assert.Contains(t, change(func(l *fitout.Loading) { l.Winch = 0 })["push-hard"].Sentence, "1 push 250 N")
	assert.Contains(t, change(func(l *fitout.Loading) { l.Ramp = 800 })["ramp-steep"].Sentence, "do not reach")
}

// What the sentences about a ramp name is enough, and 20 mm less of ramp, or one person less, are not. The slope up which a
// pull moves something is found here by halving, not by its formula.
func TestALongerRampIsAskedForThatIsLongEnough(t *testing.T) {
	spoiled := map[string]func(l *fitout.Loading){
		"ramp-belly":  func(l *fitout.Loading) { l.Belly = 60 },
		"winch-short": func(l *fitout.Loading) { l.Winch = 300 },
		"push-hard":   func(l *fitout.Loading) { l.Winch = 0 },
		"ramp-steep":  func(l *fitout.Loading) { l.Ramp = 3000 },
	}
	with := func(rule string, more func(j *fitout.Job)) map[string]fitout.Finding {
		j := lived()
		item(&j, "bike").Mass = 100
		spoiled[rule](item(&j, "bike").Loading)
		more(&j)
		return told(t, &j)
	}
	ramp := regexp.MustCompile(`(?:ramp of|wants) ([\d.]+) mm`)
	plain := strings.NewReplacer("\u00a0", " ", "\u202f", "")
	for rule := range spoiled {
		f, fired := with(rule, func(*fitout.Job) {})[rule]
		require.True(t, fired, rule)
		said := ramp.FindStringSubmatch(plain.Replace(f.Sentence))
		require.NotNil(t, said, f.Sentence)
		long, err := strconv.ParseFloat(said[1], 64)
		require.NoError(t, err)
		for by, fires := range map[float64]bool{0: false, -20: true} {
			again := with(rule, func(j *fitout.Job) { item(j, "bike").Loading.Ramp = long + by })
			_, still := again[rule]
			assert.Equal(t, fires, still, "%s with %.0f more: %s", rule, by, f.Sentence)
		}
	}
	// Up 14.5° 100 kg take 9.80665 · 100 · (0.25 + 0.1 · 0.968) = 340 N; one pushes 250.
	pushed := with("push-hard", func(*fitout.Job) {})["push-hard"]
	assert.Contains(t, plain.Replace(pushed.Sentence), "takes 341 N, an estimate; 1 push 250 N")
	assert.Contains(t, pushed.Sentence, "2 people do")
	low, high := 0.0, math.Asin(0.25)
	for range 60 {
		if middle := (low + high) / 2; 980.665*(math.Sin(middle)+0.1*math.Cos(middle)) > 250 {
			high = middle
		} else {
			low = middle
		}
	}
	long, err := strconv.ParseFloat(ramp.FindStringSubmatch(plain.Replace(pushed.Sentence))[1], 64)
	require.NoError(t, err)
	assert.InDelta(t, 900/math.Sin(low), long, 1)
	// What would be longer than anybody carries is not named.
	assert.NotContains(t, with("winch-short", func(j *fitout.Job) {
		item(j, "bike").Loading.Winch = 150
	})["winch-short"].Sentence, "ramp of")
}
