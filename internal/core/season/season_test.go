package season_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/season"
	"zaino/internal/example"
)

// driven is the example ute with two on a trip over sealed road and gravel, at 11.7 L/100 km.
func driven() fitout.Job {
	j := example.Ute()
	j.Brief.Travellers = []fitout.Traveller{{ID: "a", Name: "A", Kind: fitout.TravellerPerson, Mass: 80},
		{ID: "b", Name: "B", Kind: fitout.TravellerPerson, Mass: 70}}
	j.Brief.Surfaces = []fitout.Surface{{ID: "sealed", Name: "Sealed road", Share: 50, Factor: 1},
		{ID: "gravel", Name: "Gravel", Share: 50, Factor: 1.15}}
	j.Brief.Assumptions.Consumption = 11.7
	j.Brief.Assumptions.WaterDrink, j.Brief.Assumptions.WaterBowl = 6, 4
	j.Brief.Camp.Washing = fitout.WashBowl
	j.Handover.Delivered, j.Handover.Km = "2026-04-01", 10_000
	return j
}

func fuel(id, at string, km, litres float64, surface string) season.Entry {
	e := season.Entry{ID: id, Kind: season.Fuel, At: at, Km: km, Litres: litres, Full: true}
	if surface != "" {
		e.Surfaces = []season.OnGround{{Surface: surface, Share: 100}}
	}
	return e
}

func assumed(t *testing.T, v season.SeasonView, id string) season.Assumed {
	for _, a := range v.Assumed {
		if a.ID == id {
			return a
		}
	}
	require.Fail(t, "nothing of "+id)
	return season.Assumed{}
}

// One tank over 500 km of gravel alone: assumed 13.46 L/100 km ± √(12² + 10²) % = 2.10; read 61.0 L, which errs by
// √((3 % of 61)² + 1.5²) L = 2.37 L, that is 0.473 L/100 km. By variances 12.26 ± 0.462.
func TestFuelOnGravelByVariances(t *testing.T) {
	j := driven()
	v := season.Learn(
		plan.Of(&j),
		[]season.Entry{fuel("1", "2026-04-10", 10_500, 40, ""), fuel("2", "2026-04-12", 11_000, 61, "gravel")},
		"2026-05-01",
	)
	a := assumed(t, v, "fuel/gravel")
	planned, read := 11.7*1.15, 61/5.0
	by, own := planned*math.Hypot(0.12, 0.10), math.Hypot(0.03*61, 1.5)/5
	found := (planned/(by*by) + read/(own*own)) / (1/(by*by) + 1/(own*own))
	assert.InDelta(t, found, a.Found, 1e-9)
	assert.InDelta(t, 12.26, a.Found, 0.01)
	assert.InDelta(t, math.Sqrt(1/(1/(by*by)+1/(own*own))), a.Sigma, 1e-9)
	assert.Equal(t, 1, a.Readings)
	sealed := assumed(t, v, "fuel/sealed")
	assert.Less(t, sealed.Found, sealed.Planned, "what all surfaces share comes down with it")
	assert.Zero(t, sealed.Readings)
	assert.InDelta(t, 500, v.RoughKm, 1e-9)
	assert.InDelta(t, 1000, v.Km, 1e-9)
}

// Two part fillings and a full one are one reading; a way that was not begun full is none.
func TestPartFillingsCountToTheNextFullOne(t *testing.T) {
	j := driven()
	part := fuel("2", "2026-04-11", 10_700, 25, "gravel")
	part.Full = false
	once := season.Learn(
		plan.Of(&j),
		[]season.Entry{fuel("1", "2026-04-10", 10_500, 40, ""), fuel("3", "2026-04-12", 11_000, 61, "gravel")},
		"",
	)
	twice := season.Learn(plan.Of(&j), []season.Entry{fuel("1", "2026-04-10", 10_500, 40, ""), part,
		fuel("3", "2026-04-12", 11_000, 36, "gravel")}, "")
	assert.InDelta(t, assumed(t, once, "fuel/gravel").Found, assumed(t, twice, "fuel/gravel").Found, 1e-9)
	alone := season.Learn(plan.Of(&j), []season.Entry{fuel("3", "2026-04-12", 11_000, 61, "gravel")}, "")
	assert.Zero(t, assumed(t, alone, "fuel/gravel").Readings)
}

// A vehicle that burns 12 on sealed road and 18.5 on gravel is found out from tanks of both.
func TestWhatSurfacesTakeIsFoundOut(t *testing.T) {
	j := driven()
	random := rand.New(rand.NewPCG(4, 2))
	log := []season.Entry{fuel("0", "2026-04-02", 10_000, 50, "")}
	km := 10_000.0
	for i := range 40 {
		share := random.Float64()
		km += 500
		litres := 5*(share*12+(1-share)*18.5)*(1+0.03*random.NormFloat64()) + 1.5*random.NormFloat64()
		e := fuel(string(rune('A'+i)), "2026-05-02", km, litres, "")
		e.Surfaces = []season.OnGround{
			{Surface: "sealed", Share: 100 * share},
			{Surface: "gravel", Share: 100 * (1 - share)},
		}
		log = append(log, e)
	}
	v := season.Learn(plan.Of(&j), log, "")
	for id, want := range map[string]float64{"fuel/sealed": 12, "fuel/gravel": 18.5} {
		a := assumed(t, v, id)
		assert.InDelta(t, want, a.Found, 4*a.Sigma, id)
		assert.Less(t, a.Sigma, 0.3, id)
	}
	assert.True(t, assumed(t, v, "fuel/gravel").Denied, "18.5 is not 13.5 by any account")
}

// 60 L for two over three days are 10 L each a day, as assumed; 120 L are not.
func TestWaterOfEachPerson(t *testing.T) {
	j := driven()
	j.Brief.Trip.Hottest = 20
	water := func(id, at string, litres float64) season.Entry {
		return season.Entry{ID: id, Kind: season.Water, At: at, Litres: litres, Full: true}
	}
	v := season.Learn(
		plan.Of(&j),
		[]season.Entry{water("1", "2026-04-10T08:00", 50), water("2", "2026-04-13T08:00", 60)},
		"",
	)
	a := assumed(t, v, "water")
	assert.InDelta(t, 10, a.Planned, 1e-9)
	assert.InDelta(t, 10, a.Found, 1e-9)
	assert.InDelta(t, math.Sqrt(1/(1/(2.5*2.5)+1/(1.5*1.5))), a.Sigma, 1e-9)
	v = season.Learn(
		plan.Of(&j),
		[]season.Entry{water("1", "2026-04-10T08:00", 50), water("2", "2026-04-13T08:00", 120)},
		"",
	)
	assert.True(t, assumed(t, v, "water").Denied)
	assert.Contains(t, rules(v), "assumption-denied")
}

func rules(v season.SeasonView) []string {
	var all []string
	for _, f := range v.Findings {
		all = append(all, f.Rule)
	}
	return all
}

// What replaces an entry stands in its place, and what is taken back is gone.
func TestEntriesAreReplacedAndTakenBack(t *testing.T) {
	j := driven()
	right := fuel("3", "2026-04-12", 11_000, 61, "gravel")
	right.Replaces = "2"
	log := []season.Entry{
		fuel("1", "2026-04-10", 10_500, 40, ""),
		fuel("2", "2026-04-12", 11_000, 161, "gravel"),
		right,
	}
	v := season.Learn(plan.Of(&j), log, "")
	assert.InDelta(t, 101, v.Fuel, 1e-9)
	log = append(log, season.Entry{ID: "4", Kind: season.TakenBack, At: "2026-04-13", Replaces: "3"})
	assert.InDelta(t, 40, season.Learn(plan.Of(&j), log, "").Fuel, 1e-9)
}

// Gear that nobody used costs its mass; a part costs what lies in it.
func TestWhatWasNeverUsed(t *testing.T) {
	j := driven()
	v := j.ChosenVariant()
	unit := fitout.Item{
		ID:       "unit",
		Name:     "Drawer unit",
		Mass:     40,
		Source:   fitout.DataSheet,
		Form:     fitout.FormBox,
		Size:     fitout.Size{Length: 600, Width: 500, Height: 400},
		At:       fitout.Point{X: 2800, Z: 1100},
		Presence: fitout.Presence{Kind: fitout.Always},
		Module: &fitout.Module{
			Kind:    fitout.LiddedBox,
			Faces:   fitout.FaceTop,
			Runner:  fitout.NoRunner,
			Wall:    "none",
			Stack:   fitout.Above,
			Cells:   []fitout.Cell{{ID: "c", Name: "C"}},
			Holes:   []fitout.Hole{},
			Fixings: []fitout.Fixing{},
		},
	}
	pot := fitout.Item{ID: "pot", Name: "Camp oven", Mass: 7, Source: fitout.ByScale, Form: fitout.FormBox,
		Presence: fitout.Presence{Kind: fitout.Always}, In: &fitout.InCell{Module: "unit", Cell: "c"}}
	saw := fitout.Item{
		ID:       "saw",
		Name:     "Saw",
		Mass:     4,
		Source:   fitout.ByScale,
		Form:     fitout.FormBox,
		At:       fitout.Point{X: 3000, Z: 1000},
		Presence: fitout.Presence{Kind: fitout.Always},
	}
	v.Items = append(v.Items, unit, pot, saw)
	require.NoError(t, fitout.Validate(&j))
	log := []season.Entry{
		{ID: "1", Kind: season.Unused, At: "2026-08-01", Of: "unit"},
		{ID: "2", Kind: season.Unused, At: "2026-08-01", Of: "saw"},
		{
			ID:   "3",
			Kind: season.Leaked,
			At:   "2026-08-02",
			Of:   "unit",
			Text: "dust",
		},
		{ID: "4", Kind: season.Leaked, At: "2026-08-09", Of: "unit"},
		fuel("5", "2026-04-10", 10_500, 40, ""),
		fuel("6", "2026-04-12", 11_000, 52, "gravel"),
	}
	view := season.Learn(plan.Of(&j), log, "2026-09-01")
	assert.InDelta(t, 11, view.UnusedKg, 1e-9)
	assert.Contains(t, rules(view), "broke-again")

	next, err := season.Next(&j, log, "Second year", "2026-09-01")
	require.NoError(t, err)
	require.Len(t, next.Variants, len(j.Variants)+1)
	after := next.ChosenVariant()
	assert.Equal(t, "Second year", after.Name)
	for _, i := range after.Items {
		assert.NotEqual(t, "saw", i.ID, "it stays at home")
		if i.ID == "unit" {
			assert.Contains(t, i.Note, "Nobody used it")
			assert.Contains(t, i.Note, "Leaked on 2026-08-09")
		}
	}
	assert.Contains(t, after.Why, "Saw stays at home (4\u00a0kg never used)")
	gravel := next.Brief.Surfaces[1].Factor * next.Brief.Assumptions.Consumption
	assert.InDelta(t, assumed(t, view, "fuel/gravel").Found, gravel, 0.01, "the brief begins with what was read")
	assert.InDelta(t, 1.15, j.Brief.Surfaces[1].Factor, 1e-9, "the job that was given is not changed")
	assert.NotEmpty(t, next.Build.Decisions)
	assert.NotEmpty(t, assess.Of(&next).Variant)
	again := season.Learn(plan.Of(&next), log, "2026-09-01")
	assert.Less(
		t,
		math.Abs(assumed(t, again, "fuel/gravel").Sigmas),
		math.Abs(assumed(t, view, "fuel/gravel").Sigmas),
	)
}

func TestEntriesThatCannotBeAreRefused(t *testing.T) {
	for says, e := range map[string]season.Entry{
		"kind":                        {At: "2026-04-10"},
		"2026-05-01T06:30":            {Kind: season.Note, Text: "x", At: "yesterday"},
		"a year from 2000":            {Kind: season.Note, Text: "x", At: "1999-01-01"},
		"the litres":                  {Kind: season.Fuel, At: "2026-04-10"},
		"how many nights":             {Kind: season.Nights, At: "2026-04-10"},
		"litres: -3 was given":        {Kind: season.Fuel, At: "2026-04-10", Litres: -3},
		"a number from 0 to 5000000":  {Kind: season.Fuel, At: "2026-04-10", Litres: 3, Km: 1e9},
		"a few words":                 {Kind: season.Broke, At: "2026-04-10", Text: "  "},
		"what it is about":            {Kind: season.Unused, At: "2026-04-10"},
		"charge: 2 was given":         {Kind: season.Power, At: "2026-04-10", Charge: 2},
		"surfaces[0].share: -1":       {Kind: season.Fuel, At: "2026-04-10", Litres: 3, Surfaces: []season.OnGround{{Surface: "x", Share: -1}}},
		"the id of the entry that is": {Kind: season.TakenBack, At: "2026-04-10"},
		"a number from 0 to 1000000":  {Kind: season.Power, At: "2026-04-10", Wh: math.NaN()},
	} {
		assert.ErrorContains(t, e.Check(), says)
	}
	good := fuel("1", "2026-04-10T09:00", 10_500, 40, "gravel")
	assert.NoError(t, good.Check())
}

// A paper that runs out is told a month before, and as overdue from the day after on.
func TestWhatIsDueIsTold(t *testing.T) {
	j := driven()
	j.Handover.Intervals = nil
	j.Handover.Papers = []fitout.Paper{{ID: "gas", Name: "Gas certificate", Kind: fitout.PaperGas, Expires: "2026-07-15"}}
	rules := func(today string) map[string]fitout.Severity {
		told := map[string]fitout.Severity{}
		for _, f := range season.Learn(plan.Of(&j), nil, today).Findings {
			told[f.Rule] = f.Severity
		}
		return told
	}
	assert.Empty(t, rules("2026-06-10"))
	assert.Equal(t, map[string]fitout.Severity{"due-soon": fitout.Note}, rules("2026-07-15"))
	assert.Equal(t, map[string]fitout.Severity{"due-over": fitout.Caution}, rules("2026-07-16"))
}
