package fit

import (
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fit/clearance"
	"zaino/internal/core/fit/keeping"
	"zaino/internal/core/fit/living"
	"zaino/internal/core/fit/strength"
	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// told reads the move that a sentence names: "260 mm toward the rear".
var toldMove = regexp.MustCompile(`([0-9 ]+) mm (toward the rear|toward the front|to the right|to the left|up|down)`)

func moveIn(t require.TestingT, sentence string) fitout.Point {
	plain := strings.NewReplacer("\u00a0", " ", "\u202f", "").Replace(sentence)
	all := toldMove.FindStringSubmatch(plain)
	require.NotNil(t, all, plain)
	mm, err := strconv.ParseFloat(strings.TrimSpace(all[1]), 64)
	require.NoError(t, err)
	for _, s := range scene.Steps(fitout.Box{}, fitout.Box{}) {
		if s.Way == all[2] {
			return fitout.Point{X: s.Moves.X * mm, Y: s.Moves.Y * mm, Z: s.Moves.Z * mm}
		}
	}
	return fitout.Point{}
}

// Whatever stands wherever in another, moved as the sentence says it is clear; 2 mm less and it is not.
func TestAMoveThatIsNamedMends(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		mm := func(low, high int, name string) float64 { return float64(rapid.IntRange(low, high).Draw(t, name)) }
		a := wagon.Part(
			"a",
			fitout.PlainGear,
			scene.Still,
			wagon.Box(mm(0, 400, "ax"), mm(0, 400, "ay"), mm(0, 400, "az"), mm(50, 600, "al"),
				mm(50, 600, "aw"), mm(50, 600, "ah")),
			2,
		)
		b := wagon.Part(
			"b",
			fitout.PlainGear,
			scene.Still,
			wagon.Box(mm(0, 400, "bx"), mm(0, 400, "by"), mm(0, 400, "bz"), mm(50, 600, "bl"),
				mm(50, 600, "bw"), mm(50, 600, "bh")),
			2,
		)
		s := &scene.Scene{
			Vehicle: &fitout.Vehicle{},
			Brief:   &fitout.Brief{},
			Parts:   []scene.Part{a, b},
			Say:     wagon.Sound().Say,
		}
		s.Prepare()
		found := clearance.PartsClash(s)
		if len(found) == 0 {
			return
		}
		by := moveIn(t, found[0].Sentence)
		with := func(share float64) int {
			moved := *s
			moved.Parts = []scene.Part{a.MovedBy(by.X*share, by.Y*share, by.Z*share), b}
			moved.Postures = nil
			moved.Prepare()
			return len(clearance.PartsClash(&moved))
		}
		if with(1) != 0 {
			t.Fatalf("moved by %v it still clashes: %s", by, found[0].Sentence)
		}
		far := max(by.X, -by.X) + max(by.Y, -by.Y) + max(by.Z, -by.Z)
		if far > 4 && with((far-2)/far) == 0 {
			t.Fatalf("less than %v is enough: %s", by, found[0].Sentence)
		}
	})
}

// A carrier that covers the plate from behind has to go sideways or up; toward the rear it would hide it still.
func TestWhatHidesIsMovedOutOfTheLineOfSight(t *testing.T) {
	s := wagon.Sound()
	c := wagon.Part("carrier", fitout.RearCarrier, scene.Still, wagon.Box(4200, -300, 400, 100, 600, 300), 5)
	c.Bay = ""
	wagon.Add(s, c)
	s.Prepare()
	found := clearance.Hides(s)
	require.Len(t, found, 1)
	by := moveIn(t, found[0].Sentence)
	assert.Zero(t, by.X)
	wagon.Put(s, "carrier", by.X, by.Y, by.Z)
	s.Prepare()
	assert.Empty(t, clearance.Hides(s))
}

// A slide that comes down beyond the sill does not meet the floor that it stands on; what stands on the ground
// before it does meet it.
func TestADropSlideLeavesItsFloorAlone(t *testing.T) {
	with := func(before fitout.Box) *scene.Scene {
		fridge := wagon.Part("fridge", fitout.FridgeSlide, scene.Slides, wagon.Box(3300, 0, 620, 600, 400, 400), 40)
		fridge.Item.Module.Drop = 200
		fridge.Leaves[0].Open = fridge.Box.Moved(650, 0, -200)
		fridge.Leaves[0].Swept = fridge.Box.Around(fridge.Leaves[0].Open)
		s := &scene.Scene{Vehicle: &fitout.Vehicle{}, Brief: &fitout.Brief{}, Say: wagon.Sound().Say,
			Parts: []scene.Part{
				fridge,
				wagon.Part("floor", fitout.FalseFloor, scene.Still, wagon.Box(2600, -400, 605, 1300, 1000, 15), 10),
				wagon.Part("step", fitout.PlainGear, scene.Still, before, 5),
			},
			Stances: []fitout.Stance{{ID: "cook", Name: "Cook", Open: []fitout.Opened{{Module: "fridge"}}}}}
		s.Prepare()
		return s
	}
	assert.Empty(t, clearance.WayBlocked(with(wagon.Box(5200, 0, 300, 200, 200, 100))))
	found := clearance.WayBlocked(with(wagon.Box(4200, 100, 300, 200, 200, 250)))
	require.Len(t, found, 1)
	assert.Equal(t, []string{"step"}, found[0].With)
}

// All that stands in a way is told at once, not one after the other as it is cleared.
func TestEveryObstacleOfAWayIsTold(t *testing.T) {
	fridge := wagon.Part("fridge", fitout.FridgeSlide, scene.Slides, wagon.Box(3300, 0, 620, 600, 400, 400), 40)
	s := &scene.Scene{Vehicle: &fitout.Vehicle{}, Brief: &fitout.Brief{}, Say: wagon.Sound().Say,
		Parts: []scene.Part{
			fridge,
			wagon.Part("one", fitout.PlainGear, scene.Still, wagon.Box(4000, 50, 650, 100, 100, 100), 5),
			wagon.Part("two", fitout.PlainGear, scene.Still, wagon.Box(4200, 50, 650, 100, 100, 100), 5),
		},
		Stances: []fitout.Stance{{ID: "cook", Name: "Cook", Open: []fitout.Opened{{Module: "fridge"}}}}}
	s.Prepare()
	found := clearance.WayBlocked(s)
	require.Len(t, found, 2)
	assert.NotEqual(t, found[0].With, found[1].With)
}

// A panel that lies on the floor does not bend; on bearers it does.
func TestAFlatPanelDoesNotSag(t *testing.T) {
	with := func(height float64) []fitout.Finding {
		s := wagon.Sound()
		p := wagon.Part("panel", fitout.FalseFloor, scene.Still, wagon.Box(2700, -500, 600, 1200, 1000, height), 5)
		p.Module().Wall, p.Module().Panel = fitout.Plywood, 6
		s.Parts = []scene.Part{p}
		s.Prepare()
		return strength.PanelSag(s)
	}
	assert.Empty(t, with(6))
	assert.Len(t, with(60), 1)
}

// Two drawers that are out at once pull with their own loads, and not twice with the heavier one's.
func TestEachDrawerPullsWithItsOwnLoad(t *testing.T) {
	with := func(loads ...float64) float64 {
		s := wagon.Sound()
		s.Unladen = 100
		p := wagon.Part("unit", fitout.Drawers, scene.Drawers, wagon.Box(3000, -300, 620, 900, 600, 300), 40)
		leaf := p.Leaves[0]
		p.Leaves, p.Cells = nil, nil
		for k, kg := range loads {
			id := strconv.Itoa(k)
			leaf.Cell = id
			p.Leaves, p.Cells = append(p.Leaves, leaf), append(p.Cells, scene.Compartment{ID: id, Name: id, Load: kg})
		}
		s.Parts = []scene.Part{p}
		stance := fitout.Stance{ID: "x", Name: "X"}
		for k := range loads {
			stance.Open = append(stance.Open, fitout.Opened{Module: "unit", Cell: strconv.Itoa(k)})
		}
		s.Stances = []fitout.Stance{stance}
		s.Prepare()
		found := strength.TipVehicle(s)
		require.Len(t, found, 1)
		return found[0].Value
	}
	// By hand: the unit weighs 40, so that each of two drawers is 40 × drawerShare ÷ 2 and what lies in it.
	one := 40 * strength.DrawerShare / 2
	both := with(40, 40)
	assert.InDelta(t, both*(40+2*one)/(80+2*one), with(40, 0), 1e-6)
	assert.InDelta(t, both*(70+2*one)/(80+2*one), with(40, 30), 1e-6)
}

// A bed across two spaces that join lies in both; beyond them, or where a wall stands between, it stands out.
func TestABedLiesAcrossTwoSpaces(t *testing.T) {
	with := func(length float64, gap float64) []fitout.Finding {
		s := wagon.Sound()
		// The second row ends where the cargo area begins, at 2600.
		s.Bays[1].Room.To.X = 2600 - gap
		p := wagon.Part("bed", fitout.Platform, scene.Still, wagon.Box(3600-length, -400, 1000, length, 800, 50), 15)
		s.Parts = []scene.Part{p}
		s.Prepare()
		return clearance.OutsideBay(s)
	}
	assert.Empty(t, with(900, 0), "in one")
	assert.Empty(t, with(1700, 0), "across both")
	assert.Empty(t, with(1700, 60), "across a sill")
	assert.Len(t, with(1700, 200), 1, "over nothing")
	assert.Len(t, with(1900, 0), 1, "beyond the second row, which begins at 1800")
}

// The near misses of what the brief says of gear: within two steps, as high as it stands, in a drawer, held by what
// is stated, opened by a stance or blocked by what is lifted away.
func TestNearMissesOfGearStaySilent(t *testing.T) {
	silent := func(check func(*scene.Scene) []fitout.Finding, change func(s *scene.Scene)) {
		t.Helper()
		s := wagon.Sound()
		change(s)
		s.Prepare()
		assert.Empty(t, check(s))
	}
	silent(keeping.EmergencyBuried, func(s *scene.Scene) { s.Brief.Gear[0].Used = fitout.UsedEmergency })
	silent(keeping.NeedsUpright, func(s *scene.Scene) {
		s.Brief.Gear[0].Upright, s.Brief.Gear[0].Size = true, fitout.Size{Length: 300, Width: 300, Height: 123}
	})
	silent(keeping.NeedsUpright, func(s *scene.Scene) { s.Brief.Gear[0].Upright = true }) // its size is not said
	silent(keeping.NeedsHidden, func(s *scene.Scene) { s.Brief.Gear[0].Hidden = true })   // it lies in a drawer
	silent(keeping.RatingUnsaid, func(s *scene.Scene) {
		s.Vehicle.Mounts = append(s.Vehicle.Mounts, fitout.Mount{ID: "eye", Name: "Eye"})
		m := s.Part("unit").Module()
		m.Fixings = append(m.Fixings, fitout.Fixing{Mount: "eye"}) // the ring alone holds it
	})
	silent(keeping.ShutIn, func(s *scene.Scene) {
		s.Stances[0].Open = s.Stances[0].Open[:1]
		wagon.Add(
			s,
			wagon.Part("bag", fitout.PlainGear, scene.Still, wagon.Box(4100, 100, 640, 50, 100, 300), 2),
		) // lifted away
	})
}

// In a canopy, which may have further openings, a slide to the side is not called wrong; in a wagon it is.
func TestOnlyAWagonsWallsAreWalls(t *testing.T) {
	with := func(kind fitout.BayKind) int {
		s := wagon.Sound()
		s.Bays[0].Kind = kind
		s.Part("board").Leaves[0].Open = s.Part("board").Leaves[0].Open.Moved(0, -1000, 0)
		s.Prepare()
		return len(clearance.FacesWall(s))
	}
	assert.Equal(t, 1, with(fitout.BayWagonCargo))
	assert.Zero(t, with(fitout.BayCanopyRear))
}

// A door that stops at 60° stands half its reach before its opening and 0.87 of it out; one at 90° stands beside it.
func TestADoorThatStopsShortStandsBeforeItsOpening(t *testing.T) {
	bay := scene.Bay{
		Opening: scene.Opening{Opening: fitout.Opening{Face: fitout.FaceRear, Hinge: fitout.HingeLeft, Swing: 60},
			Gap: wagon.Box(4000, -500, 700, 0, 1000, 900), Known: true},
	}
	open, _, ok := bay.Door()
	require.True(t, ok)
	assert.InDelta(t, 0, open.To.Y, 1e-6, "from the hinge at -500 half of 1000 inward")
	assert.InDelta(t, 4866.03, open.To.X, 0.01)
	bay.Opening.Hinge = fitout.HingeRight
	open, _, _ = bay.Door()
	assert.InDelta(t, 0, open.From.Y, 1e-6)
	bay.Opening.Hinge = fitout.HingeTop
	open, _, _ = bay.Door()
	assert.InDelta(t, 1600-450, open.From.Z, 1e-6, "a hatch of 900 hangs 450 below its hinge")
	bay.Opening.Hinge, bay.Opening.Swing = fitout.HingeLeft, 90
	open, _, _ = bay.Door()
	assert.LessOrEqual(t, open.To.Y, -500.0)

	// A slide that comes out beside the hinge meets the one of 60°.
	slides := func(swing float64) int {
		s := wagon.Sound()
		s.Bays[0].Opening.Hinge, s.Bays[0].Opening.Swing = fitout.HingeLeft, swing
		s.Prepare()
		n := 0
		for _, f := range clearance.OpenTogether(s) {
			if f.Subject.ID == "unit" && f.With[0] == "cargo" {
				n++
			}
		}
		return n
	}
	assert.Equal(t, 1, slides(60))
	assert.Zero(t, slides(90))
}

// A barrier holds what is behind it, and not what lies ahead of it.
func TestABarrierHoldsWhatIsBehindIt(t *testing.T) {
	with := func(x float64) int {
		s := wagon.Sound()
		wagon.Put(s, "barrier", x-2610, 0, 0)
		s.Prepare()
		return len(living.NoBarrier(s))
	}
	assert.Zero(t, with(2610))
	assert.Equal(t, 1, with(3900), "behind all of it")
}

// A barrier holds what it covers: what stands beside it, above it, or between two of them by more than gets past it
// flies.
func TestABarrierHoldsWhatItCovers(t *testing.T) {
	told := func(barriers ...fitout.Box) []fitout.Finding {
		s := wagon.Sound() // its fridge reaches from 20 to 440 across and to 1040 up, its board from 100 to 400 and to 1100
		s.Part("barrier").Box = barriers[0]
		for _, b := range barriers[1:] {
			more := *s.Part("barrier")
			more.ID, more.Box = "more", b
			s.Parts = append(s.Parts, more)
		}
		s.Prepare()
		return living.NoBarrier(s)
	}
	assert.Empty(t, told(wagon.Box(2610, -700, 700, 20, 1400, 400)), "from wall to wall, as high as the load")
	assert.Empty(t, told(wagon.Box(2610, 170, 700, 20, 430, 250)), "150 mm beside it and above it")
	narrow := told(wagon.Box(2610, 171, 700, 20, 429, 400))
	require.Len(t, narrow, 1)
	assert.Contains(t, narrow[0].Sentence, "beside or above the barrier, by up to 151")
	assert.Equal(t, []string{"barrier"}, narrow[0].With)
	low := told(wagon.Box(2610, -700, 700, 20, 1400, 249))
	require.Len(t, low, 1)
	assert.InDelta(t, 151, low[0].Value, 0.1, "the board stands 1100 high, the barrier 949")
	assert.Empty(
		t,
		told(wagon.Box(2610, -700, 700, 20, 900, 400), wagon.Box(2610, 300, 700, 20, 400, 400)),
		"two with 100 between",
	)
	require.Len(
		t,
		told(wagon.Box(2610, -700, 700, 20, 800, 400), wagon.Box(2610, 300, 700, 20, 400, 400)),
		1,
		"two with 200 between",
	)
	require.Len(t, told(wagon.Box(2610, -700, 700, 20, 300, 400)), 1, "beside all of it")
	require.Len(
		t,
		told(wagon.Box(2610, -700, 700, 20, 900, 400), wagon.Box(2610, 200, 700, 20, 500, 100)),
		1,
		"a high and a low one",
	)
}

// A way out of another room is none: a space that does not join that of the bed does not count.
func TestAWayOutOfAnotherRoomIsNone(t *testing.T) {
	with := func(rowEnds float64) int {
		s := wagon.Sound()
		s.Bays[1].Room.To.X = rowEnds
		platform := s.Part("platform")
		platform.Box.From.X = 2700 // all of it in the cargo area
		s.Prepare()
		return len(living.SleepExits(s))
	}
	assert.Zero(t, with(2600), "the second row joins the cargo area")
	assert.Equal(t, 1, with(2300), "300 of wall between")
}

// Two bunks above each other are two beds: no step between them, one sleeper on each. Two on one narrow bunk are
// too many; two platforms of one height side by side are one bed, and 40 mm between their heights are a step.
func TestBunksAreTwoBeds(t *testing.T) {
	with := func(people int, second fitout.Box) (rules []string) {
		s := wagon.Sound()
		one := wagon.Part("one", fitout.Platform, scene.Still, wagon.Box(1900, -600, 900, 1950, 600, 30), 12)
		two := wagon.Part("two", fitout.Platform, scene.Still, second, 12)
		one.Leaves, two.Leaves = nil, nil
		s.Parts = []scene.Part{one, two}
		s.Practice.Headroom = 300
		s.Brief.Travellers, s.Stances[1].Sleepers = nil, nil
		for _, name := range []string{"ann", "bo", "cy"}[:people] {
			s.Brief.Travellers = append(s.Brief.Travellers,
				fitout.Traveller{ID: name, Name: name, Kind: fitout.TravellerPerson, Height: 1700, Shoulder: 400})
			s.Stances[1].Sleepers = append(s.Stances[1].Sleepers, fitout.Sleeper{Traveller: name})
		}
		s.Stances = s.Stances[1:]
		s.Prepare()
		for _, rule := range Rules() {
			if strings.HasPrefix(rule.ID, "bed-") {
				for range rule.Check(s) {
					rules = append(rules, rule.ID)
				}
			}
		}
		return rules
	}
	above, beside, uneven := wagon.Box(
		1900,
		-600,
		1300,
		1950,
		600,
		30,
	), wagon.Box(
		1900,
		0,
		900,
		1950,
		600,
		30,
	), wagon.Box(
		1900,
		0,
		940,
		1950,
		600,
		30,
	)
	assert.Empty(t, with(2, above))
	assert.Equal(t, []string{"bed-narrow"}, with(3, above))
	assert.Empty(t, with(2, beside))
	assert.Equal(t, []string{"bed-uneven"}, with(2, uneven))
}

// Whatever stands wherever in a crowded bay: a move that is offered for a clash ends it, and puts nothing into
// anything else or out of its space; what is locked is offered no move.
func TestAMoveThatIsOfferedEndsTheClash(t *testing.T) {
	offered := 0
	rapid.Check(t, func(t *rapid.T) {
		mm := func(low, high int, name string) float64 { return float64(rapid.IntRange(low, high).Draw(t, name)) }
		s := wagon.Sound()
		s.Parts, s.Stances, s.Things = nil, nil, nil
		s.Bays[0].Room = wagon.Box(2600, -700, 600, 1400, 1400, 1100)
		for k := range 4 {
			p := wagon.Part(
				strconv.Itoa(k),
				fitout.PlainGear,
				scene.Still,
				wagon.Box(2600+mm(0, 900, "x"), -700+mm(0, 900, "y"), 600+mm(0, 400, "z"),
					mm(100, 500, "l"), mm(100, 500, "w"), mm(100, 500, "h")),
				2,
			)
			p.Fixed = k == 0
			s.Parts = append(s.Parts, p)
		}
		s.Prepare()
		for _, f := range clearance.PartsClash(s) {
			for _, fix := range f.Fixes {
				offered++
				if fix.Edit.ID == "0" {
					t.Fatalf("it is locked: %s", fix.Label)
				}
				at := s.Part(fix.Edit.ID).Box.Middle()
				by := map[string]fitout.Point{"part-x": {X: fix.Edit.Value - at.X}, "part-y": {Y: fix.Edit.Value - at.Y},
					"part-z": {Z: fix.Edit.Value - at.Z}}[fix.Edit.Kind]
				trial := *s
				trial.Parts = append([]scene.Part{}, s.Parts...)
				trial.Postures = nil
				wagon.Put(&trial, fix.Edit.ID, by.X, by.Y, by.Z)
				trial.Prepare()
				for _, still := range append(clearance.PartsClash(&trial), clearance.OutsideBay(&trial)...) {
					if still.Subject.ID == fix.Edit.ID || len(still.With) > 0 && still.With[0] == fix.Edit.ID {
						t.Fatalf("%s: %s", fix.Label, still.Sentence)
					}
				}
			}
		}
	})
	assert.Greater(t, offered, 20)
}

// What is let stand of one clash covers no second one.
func TestAnAcceptedClashCoversNoOther(t *testing.T) {
	key := func(more ...scene.Part) string {
		a := wagon.Part("a", fitout.PlainGear, scene.Still, wagon.Box(3000, 0, 640, 300, 300, 300), 2)
		b := wagon.Part("b", fitout.PlainGear, scene.Still, wagon.Box(3200, 0, 640, 300, 300, 300), 2)
		s := &scene.Scene{
			Vehicle: &fitout.Vehicle{},
			Brief:   &fitout.Brief{},
			Parts:   append([]scene.Part{a, b}, more...),
			Say:     wagon.Sound().Say,
		}
		s.Prepare()
		f := clearance.PartsClash(s)[0]
		return f.Names()
	}
	assert.NotEqual(
		t,
		key(),
		key(wagon.Part("c", fitout.PlainGear, scene.Still, wagon.Box(2800, 0, 640, 300, 300, 300), 2)),
	)
	assert.Equal(t, key(), key(wagon.Part("c", fitout.PlainGear, scene.Still, wagon.Box(2400, 0, 640, 300, 300, 300), 2)))
}
