package scene_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

func texts(acts []scene.Act) string {
	var all []string
	for _, a := range acts {
		all = append(all, a.Text)
	}
	return strings.Join(all, "; ")
}

func TestTheWayIntoAStance(t *testing.T) {
	s := wagon.Sound()
	s.Stances[0].Loose = []fitout.LoosePlace{{Item: "chest", Outside: true}}
	s.Prepare()
	assert.Empty(t, s.Change(&s.Postures[0]), "on the road nothing is to be done")
	assert.Equal(t, "Open the door of cargo area; Put the chest outside; Pull out drawer of the unit; Slide out the "+
		"fridge", texts(s.Change(&s.Postures[1])))
	assert.Equal(t, "Fold rear seat", texts(s.Change(&s.Postures[2])))
}

func TestWhatIsHeavyTakesTwo(t *testing.T) {
	s := wagon.Sound()
	s.Part("chest").Mass = 40
	s.Stances[0].Loose = []fitout.LoosePlace{{Item: "chest", Outside: true}}
	s.Prepare()
	acts := s.Change(&s.Postures[1])
	assert.Contains(t, texts(acts), "Put the chest outside, two people")
	assert.Equal(t, 3.0, acts[1].Minutes)
}

// A carrier behind the door swings away before the door does.
func TestWhatHangsBeforeADoorComesFirst(t *testing.T) {
	s := wagon.Sound()
	carrier := wagon.Part("carrier", fitout.RearCarrier, scene.DoorOut, wagon.Box(4010, -300, 700, 200, 600, 600), 20)
	carrier.Bay = ""
	s.Parts = append(s.Parts, carrier)
	s.Prepare()
	assert.True(t, strings.HasPrefix(texts(s.Change(&s.Postures[1])), "Open the carrier; Open the door of cargo area"))
	for _, get := range s.Gets() {
		assert.Equal(t, "Open the carrier; Open the door of cargo area; Pull out drawer of the unit", texts(get.Steps),
			get.Name)
	}
}

// Of two slides, one in the way of the other, the one in the way comes first.
func TestWhatStandsInTheWayIsOpenedFirst(t *testing.T) {
	s := wagon.Sound()
	ahead := wagon.Part("ahead", fitout.Pantry, scene.Slides, wagon.Box(2700, -590, 640, 250, 500, 250), 8)
	ahead.Leaves[0] = wagon.Slide(ahead.Box, "", 300, 0, 0)
	table := wagon.Part("table", fitout.SlideTable, scene.Slides, wagon.Box(3000, -590, 640, 200, 500, 250), 8)
	table.Leaves[0] = wagon.Slide(table.Box, "", 1000, 0, 0)
	s.Parts = []scene.Part{ahead, table}
	s.Stances = []fitout.Stance{{ID: "x", Name: "X", Open: []fitout.Opened{{Module: "ahead"}, {Module: "table"}}}}
	s.Prepare()
	said := texts(s.Change(&s.Postures[1]))
	assert.Less(t, strings.Index(said, "the table"), strings.Index(said, "the ahead"), said)
}

func TestBeforeDrivingOffEverythingOpenIsShut(t *testing.T) {
	s := wagon.Sound()
	s.Stances[0].Loose = []fitout.LoosePlace{{Item: "chest", Outside: true}}
	s.Prepare()
	said := texts(s.DriveAway())
	for _, part := range []string{"Stow the chest and fix it", "Push in and lock the unit", "Push in and lock the fridge",
		"Shut and lock the door of cargo area", "Put rear seat back up"} {
		assert.Contains(t, said, part)
	}
	s.Stances = nil
	s.Prepare()
	assert.Empty(t, s.DriveAway(), "what is never open need not be shut")
}

// What stands on a table goes out with it, and so does what stands on that; what
// it opens there, it opens from where it is then.
func TestATableCarriesWhatStandsOnIt(t *testing.T) {
	s := wagon.Sound()
	table := wagon.Part("table", fitout.SlideTable, scene.Slides, wagon.Box(3000, -590, 640, 1000, 580, 60), 20)
	fridge := wagon.Part("cold", fitout.FridgeSlide, scene.Slides, wagon.Box(3100, -500, 700, 500, 400, 300), 20)
	fridge.Leaves[0] = wagon.Slide(fridge.Box, "", 0, 300, 0)
	tin := wagon.Part("tin", fitout.PlainGear, scene.Still, wagon.Box(3150, -450, 1000, 200, 200, 100), 2)
	s.Parts = []scene.Part{table, fridge, tin}
	s.Stances = []fitout.Stance{{ID: "x", Name: "X", Open: []fitout.Opened{{Module: "table"}, {Module: "cold"}}}}
	s.Prepare()
	p := s.Postures[1]
	for i, part := range s.Parts[1:] {
		assert.Equal(t, part.Box.Moved(950, 0, 0), p.Boxes[i+1], part.ID)
	}
	require.Len(t, p.Open, 2)
	assert.Equal(t, fridge.Leaves[0].Open.Moved(950, 0, 0), p.Open[1].Leaf.Open)
	assert.False(t, s.Postures[0].Moved(s, 1), "on the road it stands where it stood")
}

// A stance is more than what opens: a seat turns, the canopy comes off, a hammock hangs, an awning stands. All of
// it takes time, and all of it is undone before driving off.
func TestWhatIsPitchedIsTakenBack(t *testing.T) {
	s := wagon.Sound()
	s.Vehicle.Carrier = &fitout.Carrier{Name: "Canopy"}
	s.Brief.Travellers = append(s.Brief.Travellers, fitout.Traveller{ID: "ann", Name: "Ann"})
	s.Stances = []fitout.Stance{{
		ID: "camp", Name: "Camp", Off: true,
		Turned: []fitout.SeatTurned{{Seat: s.Vehicle.Seats[0].ID, By: -180}, {Seat: "gone", By: 90}},
		Hung:   []fitout.Hung{{Traveller: "ann"}, {Traveller: "gone"}},
		Ground: []fitout.GroundThing{
			{ID: "shade", Name: "Shade", Kind: fitout.GroundAwning},
			{ID: "caravan", Name: "Caravan", Kind: fitout.GroundTrailer},
			{ID: "fire", Name: "Fire", Kind: fitout.GroundFire},
		},
	}}
	s.Prepare()
	acts := s.Change(&s.Postures[1])
	var kinds []string
	minutes := 0.0
	for _, a := range acts {
		kinds = append(kinds, a.Kind)
		minutes += a.Minutes
	}
	assert.Equal(t, []string{"turn", "carrier", "hang", "ground", "ground", "ground"}, kinds)
	assert.InDelta(t, 0.5+20+2+5+5+10, minutes, 1e-9)
	said := texts(acts)
	for _, part := range []string{"180° to the left", "Set canopy on its legs", "hammock of Ann", "Put up shade and peg it down",
		"uncouple caravan"} {
		assert.Contains(t, said, part)
	}
	back := texts(s.DriveAway())
	for _, part := range []string{"look ahead until it latches", "Back in under canopy", "Take down the hammock of Ann",
		"Take down shade and stow it", "Couple caravan, with its chain", "Put out fire with water and earth"} {
		assert.Contains(t, back, part)
	}
}

// What comes off with the canopy stands in it on its legs, where it always does; only what is put outside is not
// there.
func TestWhatIsOffStandsOnItsLegs(t *testing.T) {
	s := wagon.Sound()
	s.ComesOff = map[string]bool{"unit": true, "chest": true}
	s.Stances = []fitout.Stance{{
		ID: "off", Name: "Off", Off: true, Loose: []fitout.LoosePlace{{Item: "chest", Outside: true}},
	}}
	s.Prepare()
	p := &s.Postures[1]
	assert.True(t, s.OnLegs(p, "unit"))
	assert.False(t, s.OnLegs(p, "chest"), "it stands on the ground")
	assert.False(t, s.OnLegs(p, "fridge"), "it stays on the vehicle")
	assert.False(t, s.OnLegs(&s.Postures[0], "unit"), "on the road all is on the vehicle")
	for _, id := range []string{"unit", "chest"} {
		assert.True(t, p.Gone[scene.IndexOf(s.Parts, id)], "%s is in no other's way", id)
	}
}
