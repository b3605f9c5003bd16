package build_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/build"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// The minutes of a step are those of the workshop times what there is to do, by hand for the unit of the page.
func TestMinutesByHand(t *testing.T) {
	j := bench(unit())
	v := view(&j)
	_, at := stepsOf(&v)
	assert.Equal(t, 40.0, at["saw/unit"].Minutes, "10 panels of 4 min")
	// Joints: top and bottom on sides and back 6, back on sides 2; of the drawer bottom 4, corners 4.
	assert.Equal(t, 80.0, at["glue/unit"].Minutes, "16 joints of 5 min")
	assert.Equal(t, 18.0, at["runners/unit"].Minutes)
	assert.Equal(t, []string{"runners of 850\u00a0mm"}, at["runners/unit"].Takes)
	j.Build.Pace = []fitout.Pace{{Work: "saw", Minutes: 2.5}}
	v = view(&j)
	_, at = stepsOf(&v)
	assert.Equal(t, 25.0, at["saw/unit"].Minutes)
}

// What dries, and what is dangerous about it, is that of the finish; linings are in the units of the job.
func TestAFinishSaysWhatItIs(t *testing.T) {
	for finish, want := range map[fitout.Finish][3]string{
		fitout.OilFinish:   {"Oil ", "the oil dries", "Oily rags"},
		fitout.PaintFinish: {"Paint ", "the paint dries", "vapour burns"},
	} {
		j := bench(unit(func(i *fitout.Item) { i.Module.Finish, i.Module.Lining = finish, 3 }))
		j.Units = fitout.US
		v := view(&j)
		_, at := stepsOf(&v)
		paint := at["paint/unit"]
		assert.True(t, strings.HasPrefix(paint.Title, want[0]), paint.Title)
		assert.Equal(t, want[1], paint.Why)
		assert.Contains(t, paint.Caution, want[2])
		require.Len(t, at["lining/unit"].Takes, 1)
		assert.Contains(t, at["lining/unit"].Takes[0], " ft² of lining")
	}
}

// What is heavy takes as many as lift it, and says so.
func TestWhoLifts(t *testing.T) {
	j := bench(unit(func(i *fitout.Item) {
		i.Module.Wall, i.Mass, i.Source = fitout.NoMaterial, 60, fitout.DataSheet
	}))
	v := view(&j)
	_, at := stepsOf(&v)
	assert.Equal(t, 3, at["fit/unit"].People, "60 kg where one lifts 25")
	assert.Contains(t, at["fit/unit"].Caution, "lift it with 3")
	j.Practice.OneLifts = 30
	v = view(&j)
	_, at = stepsOf(&v)
	assert.Equal(t, 2, at["fit/unit"].People)
}

// A delivery and an open question hold back what hangs on them, and nothing else.
func TestWhatWaitsForAnAnswer(t *testing.T) {
	fridge := unit(func(i *fitout.Item) {
		i.ID, i.Name = "fridge", "Fridge"
		i.Module.Kind, i.Module.Wall, i.Mass, i.Source, i.At.Y = fitout.FridgeSlide, fitout.NoMaterial, 20, fitout.DataSheet, 500
		i.Making = &fitout.Making{
			How:  fitout.MadeBought,
			Ways: []fitout.MakeWay{{How: fitout.MadeBought, Supply: fitout.Supply{Days: 4}}},
		}
	})
	j := bench(unit(func(i *fitout.Item) { i.At.Y = -300 }), fridge)
	j.Build.Start = "2026-03-30"
	j.Build.Decisions = []fitout.Decision{
		{ID: "q", Question: "Which colour?", Who: "Customer", Until: "2026-04-01", Before: "unit"},
	}
	v := view(&j)
	_, at := stepsOf(&v)
	assert.Equal(t, 48.0, at["decide/q"].Wait)
	assert.GreaterOrEqual(t, at["saw/unit"].From, at["decide/q"].To+48)
	assert.Equal(t, 96.0, at["order/fridge"].Wait)
	assert.GreaterOrEqual(t, at["fit/fridge"].From, at["order/fridge"].To+96)
	assert.Less(t, at["order/fridge"].From, 24.0, "it is ordered on the first day")
	j.Build.Decisions[0].Answer = "green"
	v = view(&j)
	_, at = stepsOf(&v)
	assert.NotContains(t, at, "decide/q")
	assert.Less(t, at["saw/unit"].From, 8.0)
}

// Days of work have dates; Saturdays and Sundays have none.
func TestDaysHaveDates(t *testing.T) {
	j := bench(unit(), rack(func(i *fitout.Item) { i.Module.Finish = fitout.PaintFinish }))
	j.Build.Start = "2026-03-27" // a Friday
	v := view(&j)
	dates := map[int]string{}
	for _, s := range v.Steps {
		dates[s.Day] = s.Date
	}
	assert.Equal(t, "2026-03-27", dates[1])
	assert.Equal(t, "2026-03-30", dates[2], "the Monday after")
	j.Build.Start = "2026-03-28" // a Saturday
	v = view(&j)
	assert.Equal(t, "2026-03-30", v.Steps[0].Date)
	for _, none := range []string{"", "soon", "2026-13-40"} {
		j.Build.Start = none
		v = view(&j)
		assert.Empty(t, v.Steps[0].Date, "%q", none)
	}
}

// A hole that a device goes into is a step before the box is closed; banding before drilling.
func TestDevicesGoInBeforeItIsClosed(t *testing.T) {
	j := bench(unit(func(i *fitout.Item) {
		i.Module.Banding = 1
		i.Module.Holes = []fitout.Hole{
			{ID: "h", For: fitout.DeviceHole, Panel: "back", U: 300, V: 140, Length: 52, Depth: 60},
		}
	}))
	v := view(&j)
	ids, at := stepsOf(&v)
	line := []string{
		"saw/unit",
		"edge/unit",
		"drill/unit",
		"devices/unit",
		"glue/unit",
		"dry/unit",
		"lining/unit",
		"runners/unit",
		"weigh/unit",
		"fit/unit",
	}
	last := -1
	for _, id := range line {
		k := slices.Index(ids, id)
		assert.Greater(t, k, last, "%s", id)
		last = k
	}
	require.Len(t, at["devices/unit"].Parts, 1)
	assert.Contains(t, strings.Join(at["glue/unit"].After, ";"), "devices")
}

// What stands in a part is fitted after it; what hangs on nothing may go in any order.
func TestWhatStandsInAPartComesAfterIt(t *testing.T) {
	inner := unit(func(i *fitout.Item) {
		i.ID, i.Name, i.Module.Wall, i.Mass, i.Source = "box", "Box", fitout.NoMaterial, 4, fitout.DataSheet
		i.Module.Kind, i.Size = fitout.BatteryBox, fitout.Size{Length: 300, Width: 200, Height: 150}
		i.In = &fitout.InCell{Module: "unit", Cell: "a"}
	})
	j := bench(inner, unit())
	v := view(&j)
	ids, _ := stepsOf(&v)
	assert.Less(t, slices.Index(ids, "fit/unit"), slices.Index(ids, "fit/box"))
}

// A ring that the workshop makes with its own reasons is told in words, with both reasons.
func TestTheWorkshopsOwnReasons(t *testing.T) {
	j := bench(unit())
	j.Build.Reasons = []fitout.Reason{{ID: "r", First: "fit/unit", Then: "saw/unit", Why: "we measure it in place"}}
	v := view(&j)
	require.NotEmpty(t, v.Ring)
	told := strings.Join(v.Ring, "; ")
	assert.Contains(t, told, "we measure it in place")
	assert.Contains(t, told, "weighed before it is fitted")
	whole := bench(unit())
	free := view(&whole)
	all, _ := stepsOf(&free)
	there, of := stepsOf(&v)
	assert.ElementsMatch(t, all, there, "what hangs on the ring is still work")
	assert.Zero(t, of["saw/unit"].Day)
	assert.Zero(t, of["fit/unit"].Day)
	assert.Zero(t, of["weigh/unit"].Day, "it waits for what waits")
	j.Build.Reasons = []fitout.Reason{{ID: "r", First: "gone/unit", Then: "saw/unit", Why: "a step that is no more"}}
	assert.Empty(t, view(&j).Ring, "a reason about a step that is gone is passed over")
}

// Whatever stands in the bay: every part is weighed and fitted once, each step is there once, and none begins before
// what it waits for.
func TestEveryPartIsFittedOnce(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var items []fitout.Item
		for k := range rapid.IntRange(1, 6).Draw(t, "parts") {
			make := rapid.SampledFrom([]func(...func(*fitout.Item)) fitout.Item{unit, rack, chest}).Draw(t, "kind")
			items = append(items, make(func(i *fitout.Item) {
				i.ID, i.Name = string(rune('a'+k)), "Part "+string(rune('a'+k))
				i.At.X = float64(rapid.IntRange(2500, 3900).Draw(t, "x"))
				i.At.Y = float64(rapid.IntRange(-600, 600).Draw(t, "y"))
				i.Module.Finish = rapid.SampledFrom([]fitout.Finish{fitout.NoFinish, fitout.PaintFinish}).
					Draw(t, "finish")
			}))
		}
		j := bench(items...)
		look := build.LookAt(plan.Of(&j))
		w := look.Work()
		seen := map[string]int{}
		for _, s := range w.Steps {
			seen[s.ID]++
		}
		if len(w.Ring) > 0 {
			return // two that stand in each other's way may close each other
		}
		for _, i := range items {
			for _, work := range []string{"saw", "weigh", "fit"} {
				if seen[work+"/"+i.ID] != 1 {
					t.Fatalf("%s/%s is there %d times", work, i.ID, seen[work+"/"+i.ID])
				}
			}
		}
		at := map[string]build.BuildStep{}
		for _, s := range w.Steps {
			at[s.Title] = s
		}
		for _, s := range w.Steps {
			for _, after := range s.After {
				title, _, _ := strings.Cut(after, ": ")
				if before, known := at[title]; known && before.Module == s.Module &&
					s.From < before.To+before.Wait-1e-6 {
					t.Fatalf("%s begins at %.2f, %s is ready at %.2f", s.Title, s.From, title, before.To+before.Wait)
				}
			}
		}
	})
}
