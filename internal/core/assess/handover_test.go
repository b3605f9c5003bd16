package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/handover"
	"zaino/internal/core/plan"
)

// handedOver is the sound weighed job with every test passed, every paper there, gone through and signed by both.
func handedOver() fitout.Job {
	j := weighedJob()
	j.Vehicle.Modifications = []fitout.Modification{}
	h := &j.Handover
	h.Delivered, h.Km = "2026-04-04", 10_000
	for _, w := range handover.Papers(plan.Of(&j)) {
		h.Papers = append(
			h.Papers,
			fitout.Paper{ID: string(w.Kind), Name: string(w.Kind), Kind: w.Kind, Number: "1", By: "Somebody",
				Issued: "2026-04-01", Expires: "2028-04-01", Needed: true},
		)
	}
	h.Locks = []fitout.Locked{{ID: "l", Name: "Canopy", Keys: 2, Holder: "both"}}
	h.Warranties = []fitout.Warranty{{ID: "w", Name: "Runners", By: "the workshop", Until: "2028-04-04"}}
	for _, test := range handover.Tests(plan.Of(&j)) {
		j.ChosenVariant().Tests = append(
			j.ChosenVariant().Tests,
			fitout.TestDone{Test: test.ID, Passed: fitout.IsSo, By: "Mara"},
		)
	}
	for _, point := range handover.Walk(plan.Of(&j)) {
		h.Walk = append(h.Walk, fitout.Walked{Point: point.ID, Done: true})
	}
	h.Pack = fitout.PackMade{On: "2026-04-04T10:00", Sum: handover.Fingerprint(&j)}
	h.Signed = []fitout.Signature{{ID: "a", Role: fitout.SignsWorkshop, Name: "Mara", Sum: h.Pack.Sum},
		{ID: "b", Role: fitout.SignsCustomer, Name: "R. Dell", Sum: h.Pack.Sum}}
	return j
}

// matter is a test of the job that nothing is handed over without.
func matter(j *fitout.Job) *fitout.TestDone {
	for _, test := range handover.Tests(plan.Of(j)) {
		for i := range j.ChosenVariant().Tests {
			if t := &j.ChosenVariant().Tests[i]; t.Test == test.ID && test.Matters {
				return t
			}
		}
	}
	panic("no test matters")
}

// tap gives the job a tap of 5 L/min, with its test passed at so many.
func tap(measured float64) func(j *fitout.Job) {
	return func(j *fitout.Job) {
		v := j.ChosenVariant()
		v.Plumbing.Outlets = []fitout.Outlet{{ID: "sink", Name: "Sink", Flow: 5}}
		v.Tests = append(v.Tests, fitout.TestDone{Test: "tap/sink", Passed: fitout.IsSo, Measured: measured})
	}
}

var handoverMistakes = []struct {
	rule          string
	mistake, near func(j *fitout.Job)
}{
	{"tests-open", func(j *fitout.Job) { matter(j).Passed = fitout.YesNotSaid },
		func(j *fitout.Job) { matter(j).Passed = fitout.YesNotSaid; j.Handover.Delivered = "" }},
	{"tests-failed", func(j *fitout.Job) { matter(j).Passed, matter(j).Tagged = fitout.IsNotSo, true },
		func(j *fitout.Job) {
			t := matter(j)
			t.Passed, t.Tagged = fitout.IsNotSo, true
			j.Handover.Delivered = ""
		}},
	{"tests-failed", func(j *fitout.Job) { matter(j).Passed = fitout.IsNotSo; j.Handover.Delivered = "" },
		func(j *fitout.Job) { matter(j).Passed = fitout.YesNotSaid; j.Handover.Delivered = "" }},
	{"test-outside", tap(3.9), tap(4.1)},
	{"papers-missing", func(j *fitout.Job) { j.Handover.Papers = j.Handover.Papers[:0] },
		func(j *fitout.Job) { j.Handover.Papers, j.Handover.Delivered = j.Handover.Papers[:0], "" }},
	{"papers-needed", func(j *fitout.Job) { j.Handover.Papers[0].Number, j.Handover.Papers[0].By = "", "" },
		func(j *fitout.Job) { j.Handover.Papers[0].Number = "" }},
	{"paper-expired", func(j *fitout.Job) { j.Handover.Papers[0].Expires = "2026-04-03" },
		func(j *fitout.Job) { j.Handover.Papers[0].Expires = "2026-04-04" }},
	{
		"pack-older",
		func(j *fitout.Job) { j.ChosenVariant().Items[0].Mass++ },
		func(j *fitout.Job) { j.Handover.Walk[0].Note = "twice" },
	},
	{"unsigned", func(j *fitout.Job) { j.Handover.Signed = j.Handover.Signed[:1] },
		func(j *fitout.Job) { j.Handover.Signed, j.Handover.Delivered = j.Handover.Signed[:0], "" }},
	{
		"signed-other",
		func(j *fitout.Job) { j.Handover.Signed[1].Sum = "another" },
		func(j *fitout.Job) { j.Handover.Signed[1].Name = "R. D." },
	},
	{
		"keys-missing",
		func(j *fitout.Job) { j.Handover.Locks[0].Keys = 0 },
		func(j *fitout.Job) { j.Handover.Locks[0].Number = "" },
	},
	{
		"warranty-open",
		func(j *fitout.Job) { j.Handover.Warranties[0].Until = "" },
		func(j *fitout.Job) { j.Handover.Warranties[0].Voids = "" },
	},
	{
		"interval-odd",
		func(j *fitout.Job) {
			j.Handover.Intervals = fitout.NewHandover().Intervals
			j.Handover.Intervals[0].Km = 1000
		},
		func(j *fitout.Job) {
			j.Handover.Intervals = fitout.NewHandover().Intervals
			j.Handover.Intervals[0].Km = 400
		},
	},
	{
		"interval-odd",
		func(j *fitout.Job) { j.Handover.Km, j.Handover.Intervals[0].LastKm = 61000, 615200 },
		func(j *fitout.Job) { j.Handover.Km, j.Handover.Intervals[0].LastKm = 61000, 61520 },
	},
	{
		"interval-odd",
		func(j *fitout.Job) { j.Handover.Km, j.Handover.Intervals[0].LastKm = 61000, 6152 },
		func(j *fitout.Job) { j.Handover.Km, j.Handover.Intervals[0].LastKm = 0, 6152 },
	},
	{"walk-open", func(j *fitout.Job) { j.Handover.Walk[0].Done = false }, func(j *fitout.Job) {
		j.Handover.Walk[0].Done, j.Handover.Delivered = false, ""
	}},
}

func TestASoundHandoverHasNothingToSay(t *testing.T) {
	j := handedOver()
	for rule, f := range toldOf(t, &j, func(*fitout.Job) {}) {
		assert.NotContains(t, []string{"handover", "weighIn"}, f.Subject.Kind, "%s: %s", rule, f.Sentence)
	}
}

func TestRulesOfTheHandoverSeeTheirMistakes(t *testing.T) {
	seen := map[string]bool{}
	for _, m := range handoverMistakes {
		wrong, near := handedOver(), handedOver()
		told := toldOf(t, &wrong, m.mistake)
		if f, fired := told[m.rule]; assert.True(t, fired, "%s is not told", m.rule) {
			assert.Greater(t, len(f.Sentence), 40)
		}
		assert.NotContains(t, toldOf(t, &near, m.near), m.rule, m.rule)
		seen[m.rule] = true
	}
	assert.GreaterOrEqual(t, len(seen), 12)
}

// Every part that slides, swings or is bolted is tried, every line of the board, every tap; nothing else is asked.
func TestTestsFollowFromThePlan(t *testing.T) {
	j := soundBuild()
	ids := map[string]bool{}
	for _, test := range handover.Tests(plan.Of(&j)) {
		assert.False(t, ids[test.ID], "%s twice", test.ID)
		ids[test.ID] = true
		assert.NotEmpty(t, test.Expected)
		assert.Equal(t, handover.Open, test.State)
	}
	require.True(t, ids["wheel-nuts"] && ids["headlamps"] && ids["drive"])
	assert.True(t, ids["slide/unit"] || ids["lid/unit"], "%v", ids)
	before := len(ids)
	j.Variants[0].Plumbing.Burners = []fitout.Burner{{ID: "b", Name: "Heater", Heater: true}}
	after := handover.Tests(plan.Of(&j))
	assert.Len(t, after, before+2, "it lights, and there is air for it")
}
