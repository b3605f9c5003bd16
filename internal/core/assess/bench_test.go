package assess_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example"
)

func benchItem(j *fitout.Job, id string) *fitout.Item {
	for i := range j.Variants[0].Items {
		if j.Variants[0].Items[i].ID == id {
			return &j.Variants[0].Items[i]
		}
	}
	return nil
}

func benchRules(j *fitout.Job) map[string]fitout.Finding {
	found := map[string]fitout.Finding{}
	for _, f := range assess.Of(j).Findings {
		found[f.Rule] = f
	}
	return found
}

func TestASoundBenchHasNothingToSay(t *testing.T) {
	j := example.Fitted()
	require.NoError(t, fitout.Validate(&j))
	rules := benchRules(&j)
	for _, rule := range []string{"parts-clash", "outside-bay", "gear-too-large", "cell-overfull"} {
		assert.NotContains(t, rules, rule)
	}
	a := assess.Of(&j)
	require.Len(t, a.Bench, 3)
	unit := a.Bench[1]
	assert.Greater(t, unit.Mass, 15.0, "by its panels and runners")
	assert.Equal(t, unit.Mass, a.Items[1].Mass, "and so it counts on the axles")
	require.Len(t, unit.Cells, 1)
	assert.Equal(t, []scene.Held{{ID: "stove"}}, unit.Cells[0].Holds)
	assert.InDelta(t, 6, unit.Cells[0].Load, 1e-9)
	assert.Greater(t, unit.Cells[0].Filled, 0.05)
	assert.Len(t, unit.Leaves, 1)
	assert.NotEmpty(t, unit.Gaps)
	assert.InDelta(t, unit.Cells[0].Inside.From.X+a.Bench[2].Box.Size().Length/2, a.Items[2].X, 0.001,
		"the stove stands at the back of its drawer")
}

func TestBenchRulesFire(t *testing.T) {
	cases := map[string]func(*fitout.Job){
		"parts-clash":    func(j *fitout.Job) { benchItem(j, "unit").At.X -= 40 },
		"outside-bay":    func(j *fitout.Job) { benchItem(j, "unit").At.X += 150 },
		"gear-too-large": func(j *fitout.Job) { benchItem(j, "stove").Size.Height = 400 },
		"cell-overfull": func(j *fitout.Job) {
			s := benchItem(j, "stove")
			s.Size = fitout.Size{Length: 670, Width: 780, Height: 240}
		},
	}
	for rule, change := range cases {
		t.Run(rule, func(t *testing.T) {
			j := example.Fitted()
			change(&j)
			found := benchRules(&j)
			require.Contains(t, found, rule)
			assert.NotEmpty(t, found[rule].Sentence)
		})
	}
	j := example.Fitted()
	benchItem(&j, "fridge").At.Y -= 190 // onto the arch, which begins 500 behind the tub's front
	f := benchRules(&j)["parts-clash"]
	assert.Contains(t, f.Sentence, "into arch left")
}

func TestWhatIsNotAboardIsInNobodysWay(t *testing.T) {
	j := example.Fitted()
	benchItem(&j, "unit").At.X -= 40
	j.Variants[0].Switches = []fitout.Switch{{ID: "trip", Name: "Trip", On: true}}
	benchItem(&j, "unit").Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "trip"}
	assert.Contains(t, benchRules(&j), "parts-clash")
	j.Variants[0].Switches[0].On = false
	assert.NotContains(t, benchRules(&j), "parts-clash")
}

func TestFillTakesTheExactRemainder(t *testing.T) {
	j := example.Fitted()
	filled, err := edit.Fill(&j, "unit")
	require.NoError(t, err)
	unit := benchItem(&filled, "unit")
	for _, rule := range []string{"parts-clash", "outside-bay"} {
		assert.NotContains(t, benchRules(&filled), rule)
	}
	before := j.Variants[0].Items[1].Box().Litres()
	assert.Greater(t, unit.Box().Litres(), before)
	assert.Equal(t, 700.0, j.Variants[0].Items[1].Size.Length, "the given job is not changed")

	_, err = edit.Fill(&j, "fridge")
	assert.ErrorContains(t, err, "a part that is bought whole")
	_, err = edit.Fill(&j, "nothing")
	assert.ErrorContains(t, err, "the id of a module")
	benchItem(&j, "unit").Bay = ""
	_, err = edit.Fill(&j, "unit")
	assert.ErrorContains(t, err, "no measured space")
}

func TestResizeCarriesWhatHangsOnIt(t *testing.T) {
	j := example.Fitted()
	fridge := benchItem(&j, "fridge")
	resized, err := edit.Resize(&j, "fridge", fitout.Size{Length: 640, Width: fridge.Size.Width,
		Height: fridge.Size.Height})
	require.NoError(t, err)
	unit := benchItem(&resized, "unit")
	assert.InDelta(t, 760, unit.Size.Length, 1e-9, "the unit behind it gains what the fridge sets free")
	assert.InDelta(t, 3600, unit.Box().To.X, 1e-9)
	_, err = edit.Resize(&j, "fridge", fitout.Size{Length: -5})
	assert.Error(t, err)
}

func TestPutAwayGoesWhereItFits(t *testing.T) {
	j := example.Fitted()
	low := *benchItem(&j, "stove")
	low.ID, low.Name, low.In = "pots", "Pots", nil
	high := low
	high.ID, high.Name, high.Size.Height = "gas", "Gas bottle", 480
	j.Variants[0].Items = append(j.Variants[0].Items, low, high)
	put, err := edit.PutAway(&j, "pots")
	require.NoError(t, err)
	assert.Equal(t, &fitout.InCell{Module: "unit", Cell: "drawer"}, benchItem(&put, "pots").In)
	assert.Nil(t, benchItem(&j, "pots").In, "the given job is not changed")
	_, err = edit.PutAway(&j, "gas")
	assert.ErrorContains(t, err, "height decides first")
	_, err = edit.PutAway(&j, "unit")
	assert.ErrorContains(t, err, "no compartments of its own")
}

// What is used often lies on top of what is used seldom.
func TestWhatIsUsedOftenLiesOnTop(t *testing.T) {
	j := example.Fitted()
	large := *benchItem(&j, "stove")
	large.ID, large.Size = "kettle", fitout.Size{Length: 600, Width: 700, Height: 60}
	benchItem(&j, "stove").Size = large.Size
	j.Variants[0].Items = append(j.Variants[0].Items, large)
	j.Brief.Gear = []fitout.Gear{{ID: "stove", Used: fitout.UsedOften}, {ID: "kettle", Used: fitout.UsedSeldom}}
	assert.Equal(t, []scene.Held{{ID: "kettle", Moves: 1}, {ID: "stove"}}, assess.Of(&j).Bench[1].Cells[0].Holds)
}

func TestWhatTheBriefWantsAndNobodyPlaced(t *testing.T) {
	j := example.Fitted()
	j.Brief.Gear = []fitout.Gear{{ID: "stove", Name: "Stove", Count: 1, Mass: 6, Used: fitout.UsedDaily},
		{ID: "kit", Name: "First-aid kit", Count: 1, Mass: 2.5, Used: fitout.UsedEmergency}}
	f := benchRules(&j)["gear-not-aboard"]
	assert.Equal(t, "First-aid kit is not aboard", f.Title)
	assert.InDelta(t, 2.5, f.Value, 1e-9)
	j.Brief.Gear = j.Brief.Gear[:1]
	assert.NotContains(t, benchRules(&j), "gear-not-aboard")
	j.Brief.Gear[0].ID = "other"
	j.Variants[0].Items = nil
	assert.NotContains(t, benchRules(&j), "gear-not-aboard", "nothing is laid out yet")
}

// A fix never moves a module into another or out of its space.
func TestFixesKeepTheBenchSound(t *testing.T) {
	j := example.Fitted()
	j.Vehicle.Limits.RearAxle.Kg = assess.Of(&j).Axles.Rear - 3
	for _, f := range assess.Of(&j).Findings {
		for _, fix := range f.Fixes {
			if fix.Edit.Kind != "move-item" {
				continue
			}
			assert.NotEqual(t, "unit", fix.Edit.ID, "it has 100 mm to the tailgate and the fridge in front of it")
			moved := example.Fitted()
			benchItem(&moved, fix.Edit.ID).At.X = fix.Edit.Value
			assert.NotContains(t, benchRules(&moved), "parts-clash")
			assert.NotContains(t, benchRules(&moved), "outside-bay")
		}
	}
}

// What comes later or from others counts when everything is finished, not now.
func TestThePadsShowNowAndFinished(t *testing.T) {
	j := example.Fitted()
	before := assess.Of(&j).Pads[2]
	assert.InDelta(t, before.Load, before.Done, 1e-9)
	benchItem(&j, "unit").Work = fitout.WorkLater
	after := assess.Of(&j).Pads[2]
	assert.InDelta(t, before.Load, after.Done, 1e-9)
	unit := assess.Of(&j).Bench[1].Mass
	assert.InDelta(t, before.Load-unit-6, after.Load, 1e-6, "without the unit, and without the stove in it")
	assert.InDelta(t, before.Worst-unit-6, after.Worst, 1e-6)
}

func BenchmarkAssess60Modules(b *testing.B) {
	j := example.Fitted()
	unit := *benchItem(&j, "unit")
	j.Variants[0].Items = nil
	for k := range 60 {
		next := unit
		next.ID = fmt.Sprint("unit-", k)
		next.Size = fitout.Size{Length: 90, Width: 90, Height: 90}
		next.At = fitout.Point{X: 2250 + float64(k%10)*95, Y: -400 + float64(k/10%3)*95, Z: 900 + float64(k/30)*95}
		j.Variants[0].Items = append(j.Variants[0].Items, next)
	}
	b.ReportAllocs()
	for b.Loop() {
		assess.Of(&j)
	}
}
