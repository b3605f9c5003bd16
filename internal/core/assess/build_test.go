package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/build"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// buildMistakes are single mistakes in the sound build, the rule that sees each, and the nearest look-alike that is
// none.
var buildMistakes = []struct {
	rule          string
	mistake, near func(j *fitout.Job)
}{
	{
		"panel-too-large",
		func(j *fitout.Job) { partOf(j, "unit").Size.Length = 2425 },
		func(j *fitout.Job) { partOf(j, "unit").Size.Length = 2420 },
	},
	{"grain-not-kept",
		func(j *fitout.Job) {
			j.Build.Sheets[0].Grained, partOf(j, "unit").Module.Grain, partOf(j, "unit").Size.Length = true, fitout.GrainAcross, 1300
		},
		func(j *fitout.Job) {
			j.Build.Sheets[0].Grained, partOf(j, "unit").Module.Grain, partOf(j, "unit").Size.Length = true, fitout.GrainAlong, 1300
		}},
	{"sheet-too-small", func(j *fitout.Job) { j.Build.Sheets[1].Width, j.Build.Sheets[0].Width = 1220, 20 },
		func(j *fitout.Job) { j.Build.Sheets[0].Offcut, j.Build.Sheets[0].More = false, true }},
	{
		"sheet-missing",
		func(j *fitout.Job) { j.Build.Sheets = j.Build.Sheets[1:] },
		func(j *fitout.Job) { j.Build.Sheets = nil },
	},
	{
		"stock-short",
		func(j *fitout.Job) { j.Build.Sheets[0].More = false },
		func(j *fitout.Job) { j.Build.Sheets[0].More, j.Build.Sheets[0].Have = false, 2 },
	},
	{
		"hole-near-edge",
		func(j *fitout.Job) { partOf(j, "unit").Module.Holes[0].V = 32 },
		func(j *fitout.Job) { partOf(j, "unit").Module.Holes[0].V = 33 },
	},
	{"hole-in-joint", // the back stands against the top from 882 to 891 along it
		func(j *fitout.Job) {
			partOf(j, "unit").Module.Cells = append(
				partOf(j, "unit").Module.Cells,
				fitout.Cell{ID: "second", Name: "second"},
			)
			partOf(j, "unit").Module.Stack = fitout.Beside
			partOf(j, "unit").Module.Holes[0] = fitout.Hole{
				ID:     "grip",
				For:    fitout.CableHole,
				Panel:  "top",
				U:      450,
				V:      320,
				Length: 40,
			}
		},
		func(j *fitout.Job) {
			partOf(j, "unit").Module.Cells = append(
				partOf(j, "unit").Module.Cells,
				fitout.Cell{ID: "second", Name: "second"},
			)
			partOf(j, "unit").Module.Stack = fitout.Beside
			partOf(j, "unit").Module.Holes[0] = fitout.Hole{
				ID:     "grip",
				For:    fitout.CableHole,
				Panel:  "top",
				U:      450,
				V:      360,
				Length: 40,
			}
		}},
	{
		"hole-nowhere",
		func(j *fitout.Job) { partOf(j, "unit").Module.Holes[0].Panel = "lid" },
		func(j *fitout.Job) { partOf(j, "unit").Module.Holes[0].Panel = "top" },
	},
	{"device-deep",
		func(j *fitout.Job) {
			partOf(j, "unit").Module.Holes[0] = fitout.Hole{
				ID:     "grip",
				For:    fitout.DeviceHole,
				Panel:  "back",
				U:      300,
				V:      140,
				Length: 60,
				Depth:  900,
			}
		},
		func(j *fitout.Job) {
			partOf(j, "unit").Module.Holes[0] = fitout.Hole{
				ID:     "grip",
				For:    fitout.DeviceHole,
				Panel:  "back",
				U:      300,
				V:      140,
				Length: 60,
				Depth:  880,
			}
		}},
	{
		"runner-none",
		func(j *fitout.Job) { partOf(j, "unit").Size.Length = 305 },
		func(j *fitout.Job) { partOf(j, "unit").Size.Length = 311 },
	},
	{
		"drawer-wide",
		func(j *fitout.Job) { j.Build.Sheets[0].Measured = 9.3 },
		func(j *fitout.Job) { j.Build.Sheets[0].Measured = 9.2 },
	},
	{
		"drawer-thin",
		func(j *fitout.Job) { partOf(j, "tools").Mass = 120 },
		func(j *fitout.Job) { partOf(j, "tools").Mass = 30 },
	},
	{"screw-foam",
		func(j *fitout.Job) {
			partOf(j, "unit").Module.Wall = fitout.FoamCore
			without(j, fitout.FixingGoods)
		},
		func(j *fitout.Job) { partOf(j, "unit").Module.Wall = fitout.FoamCore }},
	{"nuts-first", func(j *fitout.Job) {
		j.Build.Shop.SwingIn, partOf(j, "rack").Module.Fixings = false, []fitout.Fixing{{Mount: "ring"}}
	},
		func(j *fitout.Job) { partOf(j, "rack").Module.Fixings = []fitout.Fixing{{Mount: "ring"}} }},
	{"nut-behind",
		func(j *fitout.Job) {
			j.Build.Shop.SwingIn, j.Variants[0].Done = false, []fitout.StepDone{{Step: "frame/rack", Done: true}}
		},
		func(j *fitout.Job) {
			j.Build.Shop.SwingIn = false
			j.Variants[0].Done = []fitout.StepDone{{Step: "frame/rack", Done: true}, {Step: "nuts/rack", Done: true}}
		}},
	{"hinge-no-block", func(j *fitout.Job) { without(j, fitout.HingeBlock) },
		func(j *fitout.Job) {
			without(j, fitout.HingeBlock)
			partOf(j, "rack").Module.Wall, partOf(j, "rack").Module.Panel = fitout.Plywood, 9
		}},
	{"metals-touch", func(j *fitout.Job) { j.Build.Shop.Parted = fitout.IsNotSo },
		func(j *fitout.Job) { j.Build.Shop.Parted, partOf(j, "box").Bay = fitout.IsNotSo, "tray" }},
	{"stainless-salt", func(j *fitout.Job) { j.Build.Shop.Screws = fitout.StainlessA2 },
		func(j *fitout.Job) { j.Build.Shop.Screws, j.Build.Shop.Salt = fitout.StainlessA2, fitout.IsNotSo }},
	{"body-unsealed", func(j *fitout.Job) { without(j, fitout.Sealant) },
		func(j *fitout.Job) {
			without(j, fitout.Sealant)
			partOf(j, "unit").Module.Fixings = []fitout.Fixing{}
		}},
	{"scribed-blind", func(j *fitout.Job) { partOf(j, "unit").Module.Scribed = true },
		func(j *fitout.Job) {
			partOf(j, "unit").Module.Scribed = true
			j.Vehicle.Bays[0].Walls = []fitout.CurvedWall{
				{ID: "w", Side: fitout.Left, Offsets: []fitout.Offset{{ID: "a"}, {ID: "b", At: 1800, Off: 20}}},
			}
		}},
	{"licensed-work", func(j *fitout.Job) { partOf(j, "battery").Module.Kind = fitout.FuelTank },
		func(j *fitout.Job) { partOf(j, "battery").Module.Kind = fitout.WaterTank }},
	{"proof-missing", func(j *fitout.Job) {
		partOf(j, "unit").Making = &fitout.Making{
			How:  fitout.MadeBought,
			Ways: []fitout.MakeWay{{How: fitout.MadeBought, Cost: 9}},
		}
	},
		func(j *fitout.Job) {
			partOf(j, "unit").Making = &fitout.Making{
				How:  fitout.MadeBought,
				Ways: []fitout.MakeWay{{How: fitout.MadeBought, Cost: 9, Proof: "dry fit"}},
			}
		}},
	{"order-ring", func(j *fitout.Job) {
		j.Build.Reasons = []fitout.Reason{{ID: "r", First: "fit/unit", Then: "fit/rack", Why: "as we always do"}}
	},
		func(j *fitout.Job) {
			j.Build.Reasons = []fitout.Reason{{ID: "r", First: "fit/rack", Then: "fit/unit", Why: "as we always do"}}
		}},
	{
		"lift-more",
		func(j *fitout.Job) { partOf(j, "battery").Mass = 51 },
		func(j *fitout.Job) { partOf(j, "battery").Mass = 50 },
	},
	{
		"over-budget",
		func(j *fitout.Job) { j.Brief.Budget = 300_000 },
		func(j *fitout.Job) { j.Brief.Budget = 1_200_000 },
	},
	{
		"price-missing",
		func(j *fitout.Job) { j.Build.Sheets[0].Price = 0 },
		func(j *fitout.Job) { j.Build.Sheets[0].Price = 1 },
	},
	{"delivered-late",
		func(j *fitout.Job) {
			partOf(j, "battery").Making = &fitout.Making{
				How:  fitout.MadeBought,
				Ways: []fitout.MakeWay{{How: fitout.MadeBought, Cost: 90000, Supply: fitout.Supply{Days: 30}}},
			}
		},
		func(j *fitout.Job) {
			partOf(j, "battery").Making = &fitout.Making{
				How:  fitout.MadeBought,
				Ways: []fitout.MakeWay{{How: fitout.MadeBought, Cost: 90000, Supply: fitout.Supply{Days: 1}}},
			}
		}},
	{"decision-open", func(j *fitout.Job) {
		j.Build.Decisions = []fitout.Decision{{ID: "d", Question: "Which?", Until: "2026-04-02"}}
	},
		func(j *fitout.Job) {
			j.Build.Decisions = []fitout.Decision{{ID: "d", Question: "Which?", Until: "2026-04-02", Answer: "That"}}
		}},
}

func toldOfBuild(t *testing.T, change func(*fitout.Job)) map[string]fitout.Finding {
	t.Helper()
	j := soundBuild()
	change(&j)
	require.NoError(t, fitout.Validate(&j))
	told := map[string]fitout.Finding{}
	for _, f := range assess.Of(&j).Findings {
		if f.Subject.Kind == "build" {
			told[f.Rule] = f
		}
	}
	return told
}

// The sound build is called sound.
func TestASoundBuildHasNoFinding(t *testing.T) {
	assert.Empty(t, toldOfBuild(t, func(*fitout.Job) {}))
}

// Every rule of the build sees its mistake, says so in a sentence, and is silent on what only looks like it.
func TestRulesOfTheBuildSeeTheirMistakes(t *testing.T) {
	seen := map[string]bool{}
	for _, m := range buildMistakes {
		t.Run(m.rule, func(t *testing.T) {
			told := toldOfBuild(t, m.mistake)
			if f, fired := told[m.rule]; assert.True(t, fired, "told were %v", told) {
				assert.NotEmpty(t, f.Title)
				assert.Greater(t, len(f.Sentence), 30)
				assert.Negative(t, f.Margin)
			}
			assert.NotContains(t, toldOfBuild(t, m.near), m.rule)
			seen[m.rule] = true
		})
	}
	assert.GreaterOrEqual(t, len(seen), 28)
}

// A part that is bought instead of made weighs what its papers say, and made here again what its panels weigh; one
// that is reused costs nothing.
func TestAWayIsChosen(t *testing.T) {
	j := soundBuild()
	partOf(&j, "unit").Making = &fitout.Making{
		Ways: []fitout.MakeWay{{How: fitout.MadeBought, Cost: 150000, Kg: 41, Proof: "drawing"}},
	}
	panels := plan.Of(&j).Items[0].Mass
	bought, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "make-way", ID: "unit", With: "bought"}})
	require.NoError(t, err)
	p := plan.Of(&bought)
	assert.InDelta(t, 41, p.Items[0].Mass, 0)
	assert.Greater(t, build.InAll(p).Total, build.InAll(plan.Of(&j)).Total)
	here, err := edit.Apply(&bought, nil, []fitout.FixEdit{{Kind: "make-way", ID: "unit", With: "here"}})
	require.NoError(t, err)
	assert.InDelta(t, panels, plan.Of(&here).Items[0].Mass, 1e-9)
	reused, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "make-way", ID: "battery", With: "reused"}})
	require.NoError(t, err)
	assert.Less(
		t,
		build.InAll(plan.Of(&reused)).Total,
		build.InAll(plan.Of(&j)).Total-80_000,
		"its price is not asked for",
	)
}

// What a finding of the build says to do mends it.
func TestWhatIsSaidOfABuildMendsIt(t *testing.T) {
	wide := func(j *fitout.Job) { j.Build.Sheets[0].Measured = 9.4 }
	require.Contains(t, toldOfBuild(t, wide), "drawer-wide")
	mended := toldOfBuild(t, func(j *fitout.Job) {
		wide(j)
		partOf(j, "unit").Module.Panel = 9.4 // "Enter 9.4 mm as the panels' thickness"
	})
	assert.Empty(t, mended, "the sheet is known by what it measures too")
	near := toldOfBuild(t, func(j *fitout.Job) { partOf(j, "unit").Module.Holes[0].V = 20 })["hole-near-edge"]
	assert.NotContains(
		t,
		toldOfBuild(t, func(j *fitout.Job) { partOf(j, "unit").Module.Holes[0].V = 20 - near.Margin }),
		"hole-near-edge",
	)
	thin := func(j *fitout.Job) { partOf(j, "tools").Mass = 120 }
	require.Contains(t, toldOfBuild(t, thin)["drawer-thin"].Sentence, "Make it 1")
}
