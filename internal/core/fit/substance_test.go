package fit

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

func rulesOf(s *Scene, check func(*Scene) []fitout.Finding) []string {
	var all []string
	for _, f := range check(s) {
		all = append(all, f.Subject.ID)
	}
	return all
}

// What is in a thing decides, and not what it is called: an alarm for gas is no bottle, a can of water no fuel, and a
// bottle that nobody calls by its content is told all the same.
func TestWhatIsInAThingDecides(t *testing.T) {
	beside := func(name string, kind fitout.ModuleKind, holds fitout.Substance) *Scene {
		s := sound()
		p := part("thing", kind, Still, box(3700, 450, 600, 100, 150, 150), 2)
		p.Item.Name, p.Item.Substance = name, holds
		s.add(p)
		s.Prepare()
		return s
	}
	for _, c := range []struct {
		name  string
		kind  fitout.ModuleKind
		holds fitout.Substance
		burns bool
	}{
		{"Gas alarm", fitout.PlainGear, fitout.SubstanceNotSaid, false},
		{"Gas struts, spare", fitout.PlainGear, fitout.SubstanceNone, false},
		{"Flasche", fitout.PlainGear, fitout.SubstanceGas, true},
		{"Bidon", fitout.PlainGear, fitout.SubstancePetrol, true},
		{"Meths", fitout.PlainGear, fitout.SubstanceSpirits, true},
		{"Cans", fitout.CanHolder, fitout.SubstanceNotSaid, true}, // a holder for cans: fuel unless it is said otherwise
		{"Cans", fitout.CanHolder, fitout.SubstanceWater, false},
	} {
		got := rulesOf(beside(c.name, c.kind, c.holds), fuelInside)
		assert.Equal(t, c.burns, len(got) == 1, "%s, %s: %v", c.name, c.holds, got)
	}
}

// Somebody in a seat is in the way of what is built over it; a seat that nobody keeps is not, and beside it there is room.
func TestASeatThatStaysStaysFree(t *testing.T) {
	with := func(change func(s *Scene)) []fitout.Finding {
		s := sound()
		s.Vehicle.Seats = []fitout.Seat{{ID: "back", Name: "Back seat", At: fitout.Point{X: 1400, Z: 1000}}}
		s.add(part("crate", fitout.PlainGear, Still, box(1500, -100, 900, 100, 200, 200), 2))
		change(s)
		s.Prepare()
		return seatBuiltOver(s)
	}
	assert.Empty(t, with(func(*Scene) {}), "nobody sits there, and nobody wants to")
	found := with(func(s *Scene) { s.Seated = map[string]string{"back": "Ann"} })
	require.Len(t, found, 1)
	assert.Equal(t, fitout.Stop, found[0].Severity)
	assert.Contains(t, found[0].Sentence, "Ann sits there")
	by := found[0].Value
	assert.Empty(t, with(func(s *Scene) {
		s.Seated = map[string]string{"back": "Ann"}
		s.put("crate", by, 0, 0)
	}), "moved by what the sentence names")
	assert.Len(t, with(func(s *Scene) {
		s.Seated = map[string]string{"back": "Ann"}
		s.put("crate", by-2, 0, 0)
	}), 1)
}

// What leaks of bleach or acid eats cloth: beside bedding it is told, a hand away it is not.
func TestBleachKeepsOffBedding(t *testing.T) {
	with := func(holds fitout.Substance, gap float64) []fitout.Finding {
		s := sound()
		bag := part("bag", fitout.PlainGear, Still, box(3000, 450, 600, 300, 150, 150), 2)
		bag.Item.Form = fitout.FormSoft
		tub := part("tub", fitout.PlainGear, Still, box(3300+gap, 450, 600, 100, 150, 150), 2)
		tub.Item.Substance = holds
		s.Parts = []Part{bag, tub}
		s.Prepare()
		return badNeighbours(s)
	}
	assert.Len(t, with(fitout.SubstanceBleach, 40), 1)
	assert.Len(t, with(fitout.SubstanceAcid, 40), 1)
	assert.Empty(t, with(fitout.SubstanceBleach, 110))
	assert.Empty(t, with(fitout.SubstanceWater, 40))
}
