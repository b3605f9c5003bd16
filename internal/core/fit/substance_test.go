package fit

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fit/clearance"
	"zaino/internal/core/fit/keeping"
	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

func rulesOf(s *scene.Scene, check func(*scene.Scene) []fitout.Finding) []string {
	var all []string
	for _, f := range check(s) {
		all = append(all, f.Subject.ID)
	}
	return all
}

// What is in a thing decides, and not what it is called: an alarm for gas is no bottle, a can of water no fuel, and a
// bottle that nobody calls by its content is told all the same.
func TestWhatIsInAThingDecides(t *testing.T) {
	beside := func(name string, kind fitout.ModuleKind, holds fitout.Substance) *scene.Scene {
		s := wagon.Sound()
		p := wagon.Part("thing", kind, scene.Still, wagon.Box(3700, 450, 600, 100, 150, 150), 2)
		p.Item.Name, p.Item.Substance = name, holds
		wagon.Add(s, p)
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
		got := rulesOf(beside(c.name, c.kind, c.holds), keeping.FuelInside)
		assert.Equal(t, c.burns, len(got) == 1, "%s, %s: %v", c.name, c.holds, got)
	}
}

// Somebody in a seat is in the way of what is built over it; a seat that nobody keeps is not, and beside it there
// is room.
func TestASeatThatStaysStaysFree(t *testing.T) {
	with := func(change func(s *scene.Scene)) []fitout.Finding {
		s := wagon.Sound()
		s.Vehicle.Seats = []fitout.Seat{{ID: "back", Name: "Back seat", At: fitout.Point{X: 1400, Z: 1000}}}
		wagon.Add(s, wagon.Part("crate", fitout.PlainGear, scene.Still, wagon.Box(1500, -100, 900, 100, 200, 200), 2))
		change(s)
		s.Prepare()
		return clearance.SeatBuiltOver(s)
	}
	assert.Empty(t, with(func(*scene.Scene) {}), "nobody sits there, and nobody wants to")
	found := with(func(s *scene.Scene) { s.Seated = map[string]string{"back": "Ann"} })
	require.Len(t, found, 1)
	assert.Equal(t, fitout.Stop, found[0].Severity)
	assert.Contains(t, found[0].Sentence, "Ann sits there")
	by := found[0].Value
	assert.Empty(t, with(func(s *scene.Scene) {
		s.Seated = map[string]string{"back": "Ann"}
		wagon.Put(s, "crate", by, 0, 0)
	}), "moved by what the sentence names")
	assert.Len(t, with(func(s *scene.Scene) {
		s.Seated = map[string]string{"back": "Ann"}
		wagon.Put(s, "crate", by-2, 0, 0)
	}), 1)
}

// What is dirty keeps from food: not in one compartment, not in a pantry or a fridge, and a hand away where nothing
// parts them. A drawer of its own will do, and so does a box that is built.
func TestDirtKeepsFromFood(t *testing.T) {
	told := func(lay func(s *scene.Scene, dirt, food *scene.Thing)) []fitout.Finding {
		s := wagon.Sound()
		dirt := scene.Thing{
			Item: &fitout.Item{ID: "boots", Name: "Boots", Substance: fitout.SubstanceDirt},
			Part: "unit",
			Cell: "drawer",
		}
		food := scene.Thing{
			Item: &fitout.Item{ID: "food", Name: "Food", Substance: fitout.SubstanceFood},
			Part: "unit",
			Cell: "drawer",
		}
		lay(s, &dirt, &food)
		s.Things = []scene.Thing{dirt, food}
		s.Prepare()
		return keeping.DirtyBesideFood(s)
	}
	together := told(func(*scene.Scene, *scene.Thing, *scene.Thing) {})
	require.Len(t, together, 1)
	assert.Equal(t, "boots", together[0].Subject.ID)
	assert.Equal(t, []string{"food"}, together[0].With)
	assert.Contains(t, together[0].Sentence, "in the unit")
	assert.Empty(t, told(func(_ *scene.Scene, dirt, _ *scene.Thing) { dirt.Cell = "other" }), "in a drawer of its own")
	assert.Empty(
		t,
		told(func(_ *scene.Scene, dirt, _ *scene.Thing) { dirt.Item.Substance = fitout.SubstanceNone }),
		"it is clean",
	)
	assert.Empty(
		t,
		told(func(_ *scene.Scene, _, food *scene.Thing) { food.Item.Substance = fitout.SubstanceNotSaid }),
		"it is no food",
	)
	assert.Len(
		t,
		told(func(_ *scene.Scene, dirt, _ *scene.Thing) { dirt.Part, dirt.Cell = "fridge", "inside" }),
		1,
		"in the fridge",
	)
	assert.Empty(t, told(func(s *scene.Scene, dirt, _ *scene.Thing) {
		dirt.Part, dirt.Cell = "fridge", "inside"
		s.Part("fridge").Item.Substance = fitout.SubstanceNone
	}), "samples are kept in that fridge, and no food")

	beside := func(kind fitout.ModuleKind, away float64) int {
		s := wagon.Sound()
		toilet := wagon.Part("toilet", fitout.ToiletModule, scene.Still, wagon.Box(3000, 470, 640, 100, 100, 100), 8)
		food := wagon.Part("food", kind, scene.Still, wagon.Box(3100+away, 470, 640, 100, 100, 100), 8)
		food.Item.Substance = fitout.SubstanceFood
		wagon.Add(s, toilet)
		wagon.Add(s, food)
		s.Prepare()
		return len(keeping.DirtyBesideFood(s))
	}
	assert.Equal(t, 1, beside(fitout.PlainGear, 149), "a toilet is dirty by its kind")
	assert.Zero(t, beside(fitout.PlainGear, 150))
	assert.Zero(t, beside(fitout.Pantry, 20), "a pantry has walls")
}

// What leaks of bleach or acid eats cloth: beside bedding it is told, a hand away it is not.
func TestBleachKeepsOffBedding(t *testing.T) {
	with := func(holds fitout.Substance, gap float64) []fitout.Finding {
		s := wagon.Sound()
		bag := wagon.Part("bag", fitout.PlainGear, scene.Still, wagon.Box(3000, 450, 600, 300, 150, 150), 2)
		bag.Item.Form = fitout.FormSoft
		tub := wagon.Part("tub", fitout.PlainGear, scene.Still, wagon.Box(3300+gap, 450, 600, 100, 150, 150), 2)
		tub.Item.Substance = holds
		s.Parts = []scene.Part{bag, tub}
		s.Prepare()
		return keeping.BadNeighbours(s)
	}
	assert.Len(t, with(fitout.SubstanceBleach, 40), 1)
	assert.Len(t, with(fitout.SubstanceAcid, 40), 1)
	assert.Empty(t, with(fitout.SubstanceBleach, 110))
	assert.Empty(t, with(fitout.SubstanceWater, 40))
}
