package fit

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// trips is for each rule what is done to the sound build, what it is then about,
// the figure that it gives, and words of its sentence.
var trips = map[string]struct {
	spoil   func(s *scene.Scene)
	subject string
	value   float64
	says    string
}{
	"not-placed": {func(s *scene.Scene) {
		s.Unplaced = []scene.Part{
			wagon.Part("crate", fitout.PlainGear, scene.Still, wagon.Box(-150, -100, -100, 300, 200, 200), 8),
		}
	}, "crate", 8, "said to stand in cargo area, and no place was given"},
	"part-in-way": {func(s *scene.Scene) {
		s.Vehicle.Parts = []fitout.Part{{ID: "wheel", Name: "Spare wheel", State: fitout.Fitted,
			At: fitout.Point{X: 3600, Y: -460, Z: 500}, Size: fitout.Size{Length: 700, Width: 700, Height: 330}}}
	}, "unit", 25, "reaches 25 mm into it"},
	"parts-clash": {
		func(s *scene.Scene) {
			wagon.Put(s, "fridge", 0, -50, 0)
			s.Part("platform").Box.To.Y = -30 // as far as it is out of the way of the fridge on its way back
		},
		"unit",
		20,
		"reaches 20 mm into the fridge",
	},
	"outside-bay": {func(s *scene.Scene) {
		wagon.Put(s, "chest", 0, 60, 0)
	}, "chest", 20, "stands 20 mm out of cargo area on the right"},
	"hatch-lean": {
		func(s *scene.Scene) { s.Bays[0].RearTop = 3500; wagon.Put(s, "fridge", 0, 0, 100) },
		"unit",
		4000,
		"or lower by",
	},
	"way-blocked": {func(s *scene.Scene) {
		wagon.Add(s, wagon.Part("crate", fitout.PlainGear, scene.Still, wagon.Box(4001, -300, 640, 200, 200, 200), 2)).Bay = ""
	}, "unit", 200, "the unit meets the crate"},
	"open-together": {func(s *scene.Scene) {
		s.Part("fridge").Leaves[0].Open = s.Part("fridge").Leaves[0].Open.Moved(0, -60, 0)
	}, "unit", 30, "Open one at a time"},
	"lip": {func(s *scene.Scene) { wagon.Put(s, "unit", 0, 0, -35) }, "unit", 605, "Raise it by 25 mm"},
	"opening-frame": {func(s *scene.Scene) {
		wagon.Put(s, "unit", 0, -40, 0)
	}, "unit", 30, "30 mm into the frame of cargo area, on the left"},
	"way-in": {func(s *scene.Scene) {
		wagon.Add(s, wagon.Part("tank", fitout.WaterTank, scene.Still, wagon.Box(2700, -100, 1200, 950, 1250, 1000), 9))
	}, "tank", 50, "50 mm too large"},
	"lift-out": {func(s *scene.Scene) {
		s.Brief.Daily.LiftOut = []fitout.LiftOut{{ID: "unit", Name: "Drawers", People: 1}}
	}, "unit", 50, "should have no more than 25 kg"},
	"locked-in": {func(s *scene.Scene) {
		s.Brief.Daily.LiftOut = []fitout.LiftOut{{ID: "board", Name: "Board", People: 2}}
	}, "board", 1, "the fridge"},
	"rim-height": {func(s *scene.Scene) { s.Reach.Rim = 900 }, "fridge", 1040, "choose a slide that drops by 140 mm"},
	"lid-blocked": {func(s *scene.Scene) {
		shelf := wagon.Part("shelf", fitout.Shelf, scene.Still, wagon.Box(2950, 450, 900, 400, 220, 20), 2)
		wagon.Add(s, shelf)
	}, "chest", 60, "needs 125 mm above it to stand half open and has 60 mm"},
	"fridge-lid": {func(s *scene.Scene) {
		s.Part("fridge").Module().Travel = 400
		wagon.Add(s, wagon.Part("shelf", fitout.Shelf, scene.Still, wagon.Box(3300, 20, 1100, 400, 420, 20), 2))
	}, "fridge", 400, "by 400 mm of 700 mm"},
	"reach-height": {
		func(s *scene.Scene) { s.Reach.Grip = 650; s.Practice.Step = 0 },
		"stove",
		660,
		"Ann grips up to 650 mm",
	},
	"reach-depth": {func(s *scene.Scene) {
		s.Bays[0].Shared, s.Reach.Arm = false, 600
		wagon.Add(s, wagon.Part("pot", fitout.PlainGear, scene.Still, wagon.Box(2700, -300, 700, 200, 200, 200), 2))
		s.Brief.Gear[0].ID = "pot"
	}, "pot", 1100, "500 mm nearer"},
	"faces-wall": {func(s *scene.Scene) {
		// Its door swings 300 to the left, from 100 to -200; moved so that the wall at -700 is 100 away.
		wagon.Put(s, "board", 0, -700, 0)
		s.Part("board").Leaves[0].Open = s.Part("board").Leaves[0].Open.Moved(0, -300, 0)
	}, "board", 200, "Turn it toward the opening"},
	"emergency-buried": {func(s *scene.Scene) {
		s.Brief.Gear[0].Used, s.Things[0].Moves = fitout.UsedEmergency, 1
	}, "stove", 3, "In an emergency up to 2 are borne"},
	"needs-upright": {func(s *scene.Scene) {
		s.Brief.Gear[0].Upright, s.Brief.Gear[0].Size = true, fitout.Size{Length: 120, Width: 300, Height: 300}
	}, "stove", 120, "it lies on its side"},
	"needs-hidden": {func(s *scene.Scene) {
		s.Brief.Gear = append(s.Brief.Gear, fitout.Gear{ID: "case", Name: "Case", Hidden: true})
		wagon.Add(s, wagon.Part("case", fitout.PlainGear, scene.Still, wagon.Box(3700, 450, 600, 100, 150, 150), 2))
	}, "case", 0, "people look in through its windows"},
	"rating-unsaid": {func(s *scene.Scene) { s.Vehicle.Mounts[0].Rating = 0 }, "unit", 40, "of Ring no rating is stated"},
	"shut-in": {func(s *scene.Scene) {
		s.Stances[0].Open = s.Stances[0].Open[:1]
		wagon.Add(s, wagon.Part("post", fitout.Shelf, scene.Still, wagon.Box(4100, 100, 640, 50, 100, 300), 2))
	}, "fridge", 180, "none could: the post stands in its way"},
	"buried": {func(s *scene.Scene) {
		s.Things[0].Moves = 3
	}, "stove", 5, "to get at it: open the door of cargo area, pull out drawer of the unit, lift off"},
	"bed-short": {
		func(s *scene.Scene) { s.Brief.Travellers[0].Height = 2000 },
		"platform",
		1950,
		"Lengthen it by 150 mm",
	},
	"bed-narrow":   {func(s *scene.Scene) { s.Brief.Travellers[0].Shoulder = 500 }, "platform", 600, "Widen it by 50 mm"},
	"bed-headroom": {func(s *scene.Scene) { s.Practice.Headroom = 700 }, "platform", 680, "Lower the bed by 20 mm"},
	"bed-uneven": {func(s *scene.Scene) {
		low := wagon.Part("leaf", fitout.Platform, scene.Still, wagon.Box(1900, 10, 970, 1000, 300, 30), 4)
		low.Bay = ""
		wagon.Add(s, low)
	}, "platform", 20, "differ by 20 mm"},
	"runner-length": {func(s *scene.Scene) {
		s.Part("unit").Module().Travel = 1010
	}, "unit", 1050, "longest standard runner in that is 1000 mm"},
	"runner-load": {
		func(s *scene.Scene) { s.Part("unit").Cells[0].Load = 80 },
		"unit",
		92,
		"of which 60 % are used off road",
	},
	"latch-missing": {func(s *scene.Scene) {
		s.Part("unit").Module().Latch = fitout.MagnetLatch
	}, "unit", 0, "A magnet holds it"},
	"latch-weak": {func(s *scene.Scene) { s.Part("unit").Module().Holds = 200 }, "unit", 245.25, "the latch holds 200 N"},
	"restraint":  {func(s *scene.Scene) { s.Part("unit").Module().Fixings = nil }, "unit", 40, "Nothing holds the unit"},
	"mount-far": {func(s *scene.Scene) {
		s.Vehicle.Mounts = append(s.Vehicle.Mounts, fitout.Mount{ID: "far", Name: "Far ring", Rating: 900,
			At: fitout.Point{X: 3100, Y: 2000, Z: 700}})
		s.Part("chest").Module().Fixings = []fitout.Fixing{{Mount: "far"}}
	}, "chest", 1340, "bring it nearer by 340 mm"},
	"mount-over": {func(s *scene.Scene) { s.Vehicle.Mounts[0].Rating = 80 }, "unit", 96, "Beneath it: a fuel line"},
	"live-load":  {func(s *scene.Scene) { s.Part("platform").Module().Rated = 90 }, "platform", 100, "it is rated 90 kg"},
	"door-load": {func(s *scene.Scene) {
		c := wagon.Part("carrier", fitout.RearCarrier, scene.Still, wagon.Box(4010, 700, 700, 200, 300, 300), 45)
		c.Bay, c.Item.Module.Rated = "", 40
		wagon.Add(s, c)
	}, "carrier", 45, "its hinges carry 40 kg"},
	"tip-unit": {func(s *scene.Scene) {
		s.Part("unit").Module().Fixings = nil
		s.Part("unit").Cells[0].Load = 60
	}, "unit", 32.4, "nothing fixes it"},
	"tip-vehicle": {func(s *scene.Scene) { s.Unladen = 100 }, "fridge", 20.24, "takes 20.2 kg off the front axle"},
	"strut-force": {func(s *scene.Scene) {
		s.Part("chest").Module().Force, s.Part("chest").Mass = 5, 40
	}, "chest", 10, "Fit 2 struts of"},
	"ventilation": {func(s *scene.Scene) {
		s.Part("board").Box = wagon.Box(2631, 100, 800, 100, 300, 300)
		wagon.Add(s, wagon.Part("a", fitout.PlainGear, scene.Still, wagon.Box(2740, 50, 790, 200, 400, 400), 2))
		wagon.Add(s, wagon.Part("b", fitout.PlainGear, scene.Still, wagon.Box(2631, 405, 790, 100, 50, 400), 2))
		wagon.Add(s, wagon.Part("c", fitout.PlainGear, scene.Still, wagon.Box(2631, 50, 790, 100, 45, 400), 2))
	}, "board", 1, "It gives off heat"},
	"panel-sag": {func(s *scene.Scene) {
		m := s.Part("platform").Module()
		m.Wall, m.Panel = fitout.Plywood, 4
	}, "platform", 33.16, "Make it 9 mm thick"},
	"service-reach": {func(s *scene.Scene) {
		wagon.Add(s, wagon.Part("wall", fitout.Shelf, scene.Still, wagon.Box(2820, 0, 700, 30, 500, 500), 2))
	}, "board", 20, "The wall stands there"},
	"bad-neighbours": {func(s *scene.Scene) {
		can := wagon.Part("can", fitout.CanHolder, scene.Still, wagon.Box(2850, 100, 600, 100, 150, 150), 2)
		can.Bay = "row"
		wagon.Add(s, can)
	}, "can", 71, "may spark"},
	"vapour-closed": {func(s *scene.Scene) {
		s.Bays[0].Shared = false
		bottle := wagon.Part("bottle", fitout.PlainGear, scene.Still, wagon.Box(3700, 500, 1200, 150, 150, 150), 2)
		bottle.Item.Substance = fitout.SubstanceSpirits
		wagon.Add(s, bottle)
	}, "bottle", 0, "what leaks gathers in it"},
	"fuel-inside": {func(s *scene.Scene) {
		wagon.Add(s, wagon.Part("can", fitout.CanHolder, scene.Still, wagon.Box(3700, 450, 600, 100, 150, 150), 2))
	}, "can", 0, "vapour gathers there"},
	"dirty-beside-food": {func(s *scene.Scene) {
		for id, x := range map[string]float64{"boots": 3800, "food": 3980} {
			p := wagon.Part(id, fitout.PlainGear, scene.Still, wagon.Box(x-200, 470, 640, 100, 100, 100), 2)
			p.Item.Substance = map[string]fitout.Substance{"boots": fitout.SubstanceDirt, "food": fitout.SubstanceFood}[id]
			wagon.Add(s, p)
		}
	}, "boots", 80, "with no wall between"},
	"needs-dry": {
		func(s *scene.Scene) { s.Bays[0].Sealed, s.Bays[0].Shared = false, false },
		"stove",
		0,
		"needs a dry place",
	},
	"needs-lock": {func(s *scene.Scene) { s.Bays[0].Lockable = false }, "stove", 0, "cannot be locked"},
	"needs-away": {func(s *scene.Scene) { s.Brief.Gear[0].Away = true }, "stove", 0, "where people travel or sleep"},
	"needs-cool": {func(s *scene.Scene) { s.Brief.Gear[0].Cool = true }, "stove", 0, "does not cool it"},
	"no-barrier": {func(s *scene.Scene) {
		s.Parts = append(s.Parts[:4], s.Parts[5:]...)
		wagon.Put(s, "board", 0, 0, 0)
	}, "board", 500, "Fit a cargo barrier"},
	"sleep-exits": {func(s *scene.Scene) {
		b := wagon.Part("pile", fitout.PlainGear, scene.Still, wagon.Box(1800, -690, 640, 700, 90, 900), 2)
		b.Bay = "row"
		wagon.Add(s, b)
	}, "platform", 1, "Take the pile from before one"},
	"opening-covered": {func(s *scene.Scene) {
		// A window of 400 by 300, before which the unit stands in its lower half, and 20 mm more.
		s.Bays[0].More = []scene.MoreOpening{
			{
				Opening: scene.Opening{
					Opening: fitout.Opening{Face: fitout.FaceLeft, Width: 400, Height: 300},
					Gap:     wagon.Box(3200, -700, 770, 400, 0, 300),
					Known:   true,
				},
				Said: &fitout.MoreOpening{ID: "window", Name: "Window", Use: fitout.ForAir, Cover: fitout.IsSo},
			},
		}
	}, "unit", 130.0 / 3, "stands before window of cargo area"},
	"window-uncovered": {func(s *scene.Scene) {
		s.Bays[1].More = []scene.MoreOpening{
			{
				Opening: scene.Opening{
					Opening: fitout.Opening{Face: fitout.FaceLeft, Width: 400, Height: 300},
					Gap:     wagon.Box(1900, -700, 1300, 400, 0, 300),
					Known:   true,
				},
				Said: &fitout.MoreOpening{ID: "window", Name: "Window", Use: fitout.ForSight, Cover: fitout.IsNotSo},
			},
		}
	}, "row", 0, "keeps cold, insects and looks out"},
	"seat-folded": {func(s *scene.Scene) {
		s.Brief.Daily.Seats = []fitout.SeatKept{{Seat: "rear"}}
		s.Stances = append(s.Stances, fitout.Stance{ID: "school", Name: "School run", Use: fitout.StanceDrive,
			Folded: []fitout.SeatKept{{Seat: "rear"}}})
	}, "rear", 0, "Unfold it there"},
	"seat-turn": {func(s *scene.Scene) {
		// A square of 400 reaches 283 from its middle when it turns; the crate stands 250 behind it.
		s.Vehicle.Seats = append(s.Vehicle.Seats, fitout.Seat{ID: "turns", Name: "Side seat",
			At: fitout.Point{X: 2250, Y: 320, Z: 1000}, Turns: 180, Size: fitout.Size{Length: 400, Width: 400, Height: 600}})
		crate := wagon.Part("crate", fitout.Locker, scene.Still, wagon.Box(2500, 300, 700, 60, 40, 200), 2)
		crate.Bay, crate.Item.Bay = "row", "row"
		wagon.Add(s, crate)
		s.Stances[0].Turned = []fitout.SeatTurned{{Seat: "turns", By: -90}}
	}, "cook", 33, "Move that 33 mm toward the rear"},
	"hammock-pull": {func(s *scene.Scene) {
		wagon.Eyes(s, 2000, 100)
		s.Stances[0].Hung = []fitout.Hung{{Traveller: "ann", Head: "eye-0", Foot: "eye-1", Low: 1400}}
		s.Brief.Travellers[0].Mass = 70
		s.Stances[0].Hung[0].Kg = 2
	}, "cook", 72 / (2 * 0.19612), "Hang it "},
	"hammock-short": {func(s *scene.Scene) {
		wagon.Eyes(s, 1500, 400)
		s.Stances[0].Hung = []fitout.Hung{{Traveller: "ann", Head: "eye-0", Foot: "eye-1", Low: 1300}}
	}, "cook", 2 * 807.77, "further apart by 197 mm"},
	"hammock-meets": {func(s *scene.Scene) {
		wagon.Eyes(s, 2000, 900)
		s.Stances[0].Hung = []fitout.Hung{{Traveller: "ann", Head: "eye-0", Foot: "eye-1", Low: 950}}
	}, "cook", 90, "higher it clears it"},
	"strut-swing": {func(s *scene.Scene) {
		m := s.Part("chest").Module()
		m.StrutAt, m.Pivots = 100, &fitout.Pivots{Along: 60, Below: 150, Length: 230, Stroke: 40}
	}, "chest", 34, "nearer to each other than the strut goes in"},
	"seat-built-over": {func(s *scene.Scene) {
		// Whoever sits at 1400 takes up 1250 to 1550.
		s.Vehicle.Seats = []fitout.Seat{{ID: "back", Name: "Back seat", At: fitout.Point{X: 1400, Z: 1000}}}
		s.Brief.Daily.Seats = []fitout.SeatKept{{Seat: "back"}}
		b := wagon.Part("crate", fitout.Locker, scene.Still, wagon.Box(1500, -100, 900, 100, 200, 200), 2)
		wagon.Add(s, b)
	}, "crate", 50, "The brief keeps back seat"},
	"hides": {func(s *scene.Scene) {
		c := wagon.Part("carrier", fitout.RearCarrier, scene.Still, wagon.Box(4200, -300, 400, 100, 600, 300), 5)
		c.Bay = ""
		wagon.Add(s, c)
	}, "carrier", 100, "before number plate"},
	"marks-unsaid": {func(s *scene.Scene) {
		c := wagon.Part("carrier", fitout.RearCarrier, scene.Still, wagon.Box(4200, -300, 900, 100, 600, 300), 5)
		c.Bay = ""
		wagon.Add(s, c)
		s.Vehicle.Marks = nil
	}, "carrier", 0, "List lamps, plate"},
	"heavy-high": {func(s *scene.Scene) { s.Practice.HighFrom = 800 }, "fridge", 840, "raises the centre of gravity"},
	"heavy-tail": {
		func(s *scene.Scene) { s.Wheelbase = 2900 },
		"fridge",
		750,
		"stand more than 600 mm behind the rear axle",
	},
	"cable-follows": {func(s *scene.Scene) {
		s.Part("fridge").Module().Follows = fitout.NotSaid
	}, "fridge", 0, "Choose a chain"},
	"stands-on-nothing": {func(s *scene.Scene) { wagon.Put(s, "chest", 0, 0, 100) }, "chest", 140, "Lower it by 140 mm"},
	"topples": {func(s *scene.Scene) {
		wagon.Add(s, wagon.Part("stand", fitout.Locker, scene.Still, wagon.Box(3000, 460, 640, 250, 80, 110), 2))
		wagon.Put(s, "chest", 0, 0, 110)
	}, "chest", 20, "Its middle stands 20 mm beside what carries it. Move it 20 mm to the left"},
	"tight": {func(s *scene.Scene) {
		wagon.Put(s, "fridge", 0, -29, 0)
	}, "fridge", 1, "Between it and the unit there are 1 mm"},
}

func TestASoundBuildHasNothingToSay(t *testing.T) {
	s := wagon.Sound()
	s.Prepare()
	for _, f := range Check(s) {
		t.Errorf("%s on a sound build: %s", f.Rule, f.Sentence)
	}
}

// What stands elsewhere in a stance is held against every rule where it is then.
func TestWhatStandsElsewhereIsJudgedThere(t *testing.T) {
	s := wagon.Sound()
	s.Stances[0].Loose = []fitout.LoosePlace{{Item: "chest", At: fitout.Point{X: 2200, Y: 660, Z: 700}}}
	s.Prepare()
	found := Check(s)
	require.Len(t, found, 1)
	assert.Equal(t, "outside-bay", found[0].Rule, "it stands out of the second row on the right")
	assert.Equal(t, "cook", found[0].Stance)
	assert.Contains(t, found[0].Sentence, "second row on the right")
	assert.Contains(t, found[0].Sentence, "In “Cook”.")
	s.Stances[0].Loose[0].Outside = true
	s.Prepare()
	assert.Empty(t, Check(s), "outside it is in nobody's way")
}

func TestEveryRuleIsTrippedAndExplainsItself(t *testing.T) {
	for _, rule := range Rules() {
		t.Run(rule.ID, func(t *testing.T) {
			trip, ok := trips[rule.ID]
			require.True(t, ok, "a rule has a case that trips it")
			s := wagon.Sound()
			trip.spoil(s)
			s.Prepare()
			found := rule.Check(s)
			require.NotEmpty(t, found, "it does not see it")
			f := found[0]
			assert.Equal(t, trip.subject, f.Subject.ID)
			assert.InDelta(t, trip.value, f.Value, max(1, trip.value/20), f.Sentence)
			assert.Contains(t, strings.NewReplacer("\u00a0", " ", "\u202f", "").Replace(f.Sentence), trip.says)
			assert.NotEmpty(t, f.Title)
			assert.NotEmpty(t, f.Source)
			assert.NotEmpty(t, f.Severity)
		})
	}
	assert.Len(t, trips, len(Rules()), "and no case is left over")
}

// crowd is a long bay with so many modules, half of which open in five stances.
func crowd(n int) *scene.Scene {
	s := wagon.Sound()
	s.Parts = nil
	s.Bays[0].Room = wagon.Box(0, -700, 600, 12000, 1400, 1100)
	for i := range n {
		b := wagon.Box(float64(i%20)*600, -690+float64(i/20)*460, 640, 500, 400, 300)
		p := wagon.Part(fmt.Sprint("m", i), fitout.Drawers, scene.Drawers, b, 20)
		if i%2 == 0 {
			p = wagon.Part(fmt.Sprint("m", i), fitout.LiddedBox, scene.LidUp, b, 8)
		}
		s.Parts = append(s.Parts, p)
	}
	s.Stances = nil
	for k := range 5 {
		stance := fitout.Stance{ID: fmt.Sprint("s", k), Name: fmt.Sprint("S", k), Use: fitout.StanceOther}
		for i := k; i < n; i += 5 {
			stance.Open = append(stance.Open, fitout.Opened{Module: s.Parts[i].ID})
		}
		s.Stances = append(s.Stances, stance)
	}
	return s
}

func BenchmarkSixtyModulesInFiveStances(b *testing.B) {
	s := crowd(60)
	for b.Loop() {
		s.Prepare()
		Check(s)
	}
}

func TestASoundHammockHasNothingToSay(t *testing.T) {
	s := wagon.WithHammock(1080)
	s.Prepare()
	for _, f := range Check(s) {
		t.Errorf("%s: %s", f.Rule, f.Sentence)
	}
}
