package report_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// crewed draws a vehicle, longer or not, whose people hang on nothing, on a switch that
// they share, or on a choice; with cases that seat them elsewhere or leave them at home,
// and stances in which things lie elsewhere.
func crewed(t *rapid.T) fitout.Job {
	j := example.Travelling()
	v := &j.Variants[0]
	v.Switches = []fitout.Switch{{ID: "crew", Name: "Crew", On: rapid.Bool().Draw(t, "crew")},
		{ID: "tools", Name: "Tools", On: true, Requires: &fitout.Require{Switch: "crew"}}}
	v.Choices = []fitout.Choice{{ID: "guest", Name: "Guest", None: true, Chosen: rapid.SampledFrom([]string{"", "cy"}).
		Draw(t, "guest"), Members: []fitout.Member{{ID: "cy", Name: "Cy"}, {ID: "di", Name: "Di"}}}}
	presences := []fitout.Presence{{Kind: fitout.Always}, {Kind: fitout.BySwitch, Switch: "crew"},
		{Kind: fitout.ByChoice, Choice: "guest", Member: "cy"}, {Kind: fitout.ByChoice, Choice: "guest", Member: "di"}}
	for i := range v.Items {
		if item := &v.Items[i]; item.Seat != "" {
			item.Presence = rapid.SampledFrom(presences).Draw(t, "presence")
		}
	}
	example.Add(&j, "box", 40, 2600, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "tools"}
	})
	example.Add(&j, "jar", 2, 2500, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 20, Now: 15, Density: 1}}
	})
	v.Stances = []fitout.Stance{{ID: "night", Name: "Night", Use: fitout.StanceSleep, Loose: []fitout.LoosePlace{
		{Item: "crate", At: fitout.Point{X: 2500, Y: 300, Z: 900}}, {Item: "tent", Outside: true}}}}
	if rapid.Bool().Draw(t, "longer") {
		j.Vehicle.Extension = &fitout.Extension{By: 400, Cut: rapid.Float64Range(500, 2500).Draw(t, "cut"), BehindCut: 500}
	}
	v.Cases = nil
	for _, id := range []string{"one", "two"} {
		c := fitout.Case{ID: id, Name: id, Coupled: rapid.Bool().Draw(t, "coupled"),
			Stance: rapid.SampledFrom([]string{"", "night"}).Draw(t, "stance")}
		for _, who := range []string{"ann", "bo"} {
			if rapid.Bool().Draw(t, "named") {
				c.People = append(c.People, fitout.CasePerson{Item: who, Aboard: rapid.Bool().Draw(t, "aboard"),
					Seat: rapid.SampledFrom([]string{"", j.Vehicle.Seats[len(j.Vehicle.Seats)-1].ID}).Draw(t, "seat")})
			}
		}
		c.Switches = []fitout.CaseSwitch{{Switch: "crew", On: rapid.Bool().Draw(t, "crew in it")}}
		c.Choices = []fitout.CaseChoice{{Choice: "guest", Member: rapid.SampledFrom([]string{"", "cy", "di"}).Draw(t, "who")}}
		c.Levels = []fitout.CaseLevel{{Of: "jar", Litres: rapid.Float64Range(0, 20).Draw(t, "jar")}}
		v.Cases = append(v.Cases, c)
	}
	v.Stance = rapid.SampledFrom([]string{"", "night"}).Draw(t, "shown")
	if err := fitout.Validate(&j); err != nil {
		t.Fatal(err)
	}
	return j
}

// A case or a worst state that is shown has the loads of its row, limit by limit.
func TestAStateThatIsShownEqualsItsRow(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := crewed(t)
		table := limits.Of(plan.Of(&j))
		for _, named := range table.States() {
			if err := fitout.Validate(&j); err != nil {
				t.Fatal(err)
			}
			shown, err := edit.ShowState(&j, named.At)
			if err != nil {
				t.Fatal(err)
			}
			row, after := limits.In(plan.Of(&j), &named.State), limits.Of(plan.Of(&shown))
			for _, l := range table.All {
				f := l.Facts()
				if f.Towing && !named.State.Coupled {
					continue
				}
				is := after.Get(f.ID)
				if is == nil {
					t.Fatalf("%s: %s is gone", named.At, f.ID)
				}
				if math.Abs(is.Load(after.Shown())-l.Load(row)) > 1e-6 {
					t.Fatalf("%s: %s is %.3f shown, and %.3f in its row", named.At, f.ID, is.Load(after.Shown()), l.Load(row))
				}
			}
		}
	})
}

// A cab does not move with an extension: whoever a case seats elsewhere sits where the
// seat is, also someone who rides behind the cut in the plan.
func TestASeatChangeOfSomeoneBehindTheCut(t *testing.T) {
	j := example.Travelling()
	bo := &j.Variants[0].Items[1]
	bo.Behind = true
	back := &j.Vehicle.Seats[len(j.Vehicle.Seats)-1]
	back.At.X = 1800
	j.Vehicle.Extension = &fitout.Extension{By: 350, Cut: 1500, BehindCut: 500}
	rear := func(aboard bool) float64 {
		j.Variants[0].Cases = []fitout.Case{{ID: "back", Name: "Back", People: []fitout.CasePerson{
			{Item: bo.ID, Aboard: aboard, Seat: back.ID}}}}
		require.NoError(t, fitout.Validate(&j))
		table := limits.Of(plan.Of(&j))
		named, err := table.StateAt("case:back")
		require.NoError(t, err)
		return table.Get("rear").Load(limits.In(plan.Of(&j), &named.State))
	}
	assert.InDelta(t, 75*1800/3500.0, rear(true)-rear(false), 1e-6)
}

// A case whose member of a choice was removed leaves the choice as it is shown, unless
// the choice may be none: nobody is left without the one thing or the other.
func TestARemovedMemberEmptiesNoChoiceThatIsNeverNone(t *testing.T) {
	for _, none := range []bool{false, true} {
		j := example.Travelling()
		v := &j.Variants[0]
		v.Choices = []fitout.Choice{{ID: "cook", Name: "Stove", None: none, Chosen: "gas",
			Members: []fitout.Member{{ID: "gas", Name: "Gas"}, {ID: "wood", Name: "Wood"}}}}
		example.Add(&j, "gas", 20, 3000, func(i *fitout.Item) {
			i.Presence = fitout.Presence{Kind: fitout.ByChoice, Choice: "cook", Member: "gas"}
		})
		v.Cases = []fitout.Case{{ID: "c", Name: "C", Choices: []fitout.CaseChoice{{Choice: "cook", Member: "coal"}}},
			{ID: "d", Name: "D", Choices: []fitout.CaseChoice{{Choice: "cook"}}}}
		require.NoError(t, fitout.Validate(&j))
		table := limits.Of(plan.Of(&j))
		removed, err := table.StateAt("case:c")
		require.NoError(t, err)
		assert.Equal(t, "gas", removed.State.Choices["cook"])
		empty, err := table.StateAt("case:d")
		require.NoError(t, err)
		assert.Equal(t, map[bool]string{false: "gas", true: ""}[none], empty.State.Choices["cook"])
		shown, err := edit.ShowState(&j, "case:d")
		require.NoError(t, err, "and the state can be shown")
		assert.Equal(t, empty.State.Choices["cook"], shown.Variants[0].Choices[0].Chosen)
	}
}
