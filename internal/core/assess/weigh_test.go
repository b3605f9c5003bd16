package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
	"zaino/internal/core/report"
	"zaino/internal/core/weigh"
	"zaino/internal/example"
)

// weighedJob is the example ute, weighed as it should be on wheel pads, reading what the plan says.
func weighedJob() fitout.Job {
	j := example.Ute()
	addBox(&j, 60)
	j.ChosenVariant().Items[0].ID = "chest"
	p := plan.Of(&j)
	w := weigh.Begin(p, "pads", "Pads in the yard")
	w.At, w.Device, w.Operator = "2026-04-02T09:00", "Wheel pads", "Mara"
	w.Resolution, w.Class, w.Level, w.BrakesOff, w.Twice = 0.5, 0.5, true, true, true
	now := weigh.ViewOf(p).Expected
	w.FrontLeft, w.FrontRight, w.RearLeft, w.RearRight = now[0].Kg, now[1].Kg, now[2].Kg, now[3].Kg
	j.ChosenVariant().WeighIns = []fitout.WeighIn{w}
	return j
}

func scaleOf(j *fitout.Job) *fitout.WeighIn { return &j.ChosenVariant().WeighIns[0] }

// weighMistakes are single mistakes around a weighing, the rule that sees each, and its nearest look-alike.
var weighMistakes = []struct {
	rule          string
	mistake, near func(j *fitout.Job)
}{
	{
		"weigh-contradicts",
		func(j *fitout.Job) { scaleOf(j).RearLeft += 220 },
		func(j *fitout.Job) { scaleOf(j).RearLeft += 4 },
	},
	{"weigh-contradicts", func(j *fitout.Job) { scaleOf(j).RearLeft += 220 },
		func(j *fitout.Job) { scaleOf(j).RearLeft += 220; scaleOf(j).Why = "Sandbags left in the tray" }},
	{
		"weighed-over",
		func(j *fitout.Job) { scaleOf(j).RearRight += 2000 },
		func(j *fitout.Job) { scaleOf(j).RearRight += 4 },
	},
	{"weigh-again", func(j *fitout.Job) { addBox(j, 21) }, func(j *fitout.Job) { addBox(j, 19) }},
	{"never-weighed", func(j *fitout.Job) {
		j.ChosenVariant().WeighIns = []fitout.WeighIn{}
		j.Handover.Delivered = "2026-04-04"
	},
		func(j *fitout.Job) { j.ChosenVariant().WeighIns = []fitout.WeighIn{} }},
	{"weigh-way", func(j *fitout.Job) { scaleOf(j).Moving = true }, func(j *fitout.Job) { scaleOf(j).Twice = false }},
	{"weigh-pads", func(j *fitout.Job) { scaleOf(j).PadRear = 50 },
		func(j *fitout.Job) { scaleOf(j).PadRear, scaleOf(j).PadFront = 50, 50 }},
	{"weigh-slope", func(j *fitout.Job) { scaleOf(j).Level = false }, func(j *fitout.Job) {
		scaleOf(j).Level, scaleOf(j).Reading, scaleOf(j).Total = false, fitout.ReadTotal, weigh.ViewOf(plan.Of(j)).Expected[0].Kg*3
	}},
	{"weigh-ticket", func(j *fitout.Job) { scaleOf(j).Public = true }, func(j *fitout.Job) {
		scaleOf(j).Public, scaleOf(j).Paper = true, "t"
		j.Handover.Papers = []fitout.Paper{{ID: "t", Name: "Ticket", Kind: fitout.PaperWeighbridge, Number: "1"}}
	}},
	{"weigh-aboard", func(j *fitout.Job) { scaleOf(j).Aboard = []fitout.Aboard{} },
		func(j *fitout.Job) { scaleOf(j).Aboard = scaleOf(j).Aboard[:1] }},
	{"part-off", func(j *fitout.Job) { partWeighed(j, 1.5, "") }, func(j *fitout.Job) { partWeighed(j, 1.1, "") }},
	{
		"part-off",
		func(j *fitout.Job) { partWeighed(j, 0.5, "") },
		func(j *fitout.Job) { partWeighed(j, 0.5, "Thinner panels") },
	},
	{"part-moving", func(j *fitout.Job) { partWeighed(j, 1, ""); j.ChosenVariant().Items[0].Planned.Moving = true },
		func(j *fitout.Job) { partWeighed(j, 1, "") }},
}

func addBox(j *fitout.Job, kg float64) {
	v := j.ChosenVariant()
	v.Items = append(
		v.Items,
		fitout.Item{ID: "box", Name: "Box", Mass: kg, Source: fitout.ByScale, Form: fitout.FormBox,
			At: fitout.Point{X: 1800, Z: 900}, Presence: fitout.Presence{Kind: fitout.Always}},
	)
}

// partWeighed has the first item weighed at so many times what was planned by a data sheet.
func partWeighed(j *fitout.Job, times float64, why string) {
	item := &j.ChosenVariant().Items[0]
	item.Planned = &fitout.PlannedMass{Kg: item.Mass, Source: fitout.DataSheet, Why: why}
	if times == 1.1 {
		item.Planned.Source = fitout.Estimate
	}
	item.Mass, item.Source = item.Mass*times, fitout.ByScale
}

func toldOf(t *testing.T, j *fitout.Job, change func(*fitout.Job)) map[string]fitout.Finding {
	t.Helper()
	change(j)
	require.NoError(t, fitout.Validate(j))
	told := map[string]fitout.Finding{}
	for _, f := range assess.Of(j).Findings {
		told[f.Rule] = f
	}
	return told
}

func TestRulesOfWeighingSeeTheirMistakes(t *testing.T) {
	sound := weighedJob()
	before := toldOf(t, &sound, func(*fitout.Job) {})
	seen := map[string]bool{}
	for _, m := range weighMistakes {
		assert.NotContains(t, before, m.rule, "the sound weighing")
		wrong, near := weighedJob(), weighedJob()
		told := toldOf(t, &wrong, m.mistake)
		if f, fired := told[m.rule]; assert.True(t, fired, "%s is not told", m.rule) {
			assert.Greater(t, len(f.Sentence), 40)
			assert.NotEmpty(t, f.Title)
		}
		assert.NotContains(t, toldOf(t, &near, m.near), m.rule)
		seen[m.rule] = true
	}
	assert.GreaterOrEqual(t, len(seen), 11)
}

// Whatever calibrates the plan, the account names it and adds up to the axles that the pads show; bands shrink.
func TestTheAccountOfACalibratedPlanAddsUp(t *testing.T) {
	j := weighedJob()
	plain := limits.Of(plan.Of(&j))
	before := plain.PadsIn(plain.Shown())
	w := scaleOf(&j)
	w.RearLeft, w.FrontRight, w.Calibrates = w.RearLeft+9, w.FrontRight-4, true
	a, err := report.AccountOf(&j, "")
	require.NoError(t, err)
	p := plan.Of(&j)
	assert.InDelta(t, p.Load.Axles().Front, a.Sum.Front, 1e-6)
	assert.InDelta(t, p.Load.Axles().Rear, a.Sum.Rear, 1e-6)
	assert.Contains(t, a.Baseline, "Calibrated")
	table := limits.Of(p)
	for i, pad := range table.PadsIn(table.Shown()) {
		assert.Less(t, pad.Sigma, before[i].Sigma, pad.ID)
	}
	assert.Contains(t, assess.Of(&j).Weigh.Calibrated, "Pads in the yard")
}
