package report_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
	"zaino/internal/core/report"
	"zaino/internal/example"
)

func TestEveryLimitIsInTheMatrix(t *testing.T) {
	j := example.Travelling()
	require.NoError(t, fitout.Validate(&j))
	f, a := report.LoadOf(&j), assess.Of(&j)
	shown := func(column string) float64 { return cellOf(t, &f, "State shown", column).Load }
	assert.InDelta(t, a.Axles.Front, shown("tyres-front"), 1e-6)
	assert.InDelta(t, a.Axles.Rear, shown("tyres-rear"), 1e-6)
	assert.InDelta(t, a.Stability.Loss, shown("tip"), 1e-6)
	assert.InDelta(t, a.Grade.Axles.Front, shown("grade-front"), 1e-6)
	assert.InDelta(t, a.Grade.Axles.Rear, shown("grade-rear"), 1e-6)
	assert.InDelta(t, a.Trailer.Mass, shown("trailer"), 1e-6)
	assert.InDelta(t, 1000, shown("trailer"), 1e-6, "with the drum on it")
	assert.InDelta(t, 90, shown("ball"), 1e-6)
	assert.InDelta(t, 9, shown("ball-most"), 1e-6)
	assert.InDelta(t, 9, shown("ball-least"), 1e-6)
	assert.InDelta(t, 2, shown("seats"), 0)
	assert.InDelta(t, 40, shown("roof"), 1e-6)
	assert.InDelta(t, 120, shown("bay:tray"), 1e-6)
	assert.InDelta(t, 75+75+40+120+90, shown("placard"), 1e-6,
		"people, load and ball; what rides on the trailer is none of it")

	limits := map[string]report.LimitColumn{}
	for _, c := range f.Columns {
		limits[c.ID] = c
		assert.NotEmpty(t, c.Note, c.ID)
	}
	assert.InDelta(t, 2120, limits["tyres-front"].Limit, 0, "two of index 110")
	assert.InDelta(t, 2430, limits["tyres-rear"].Limit, 0, "two of index 115")
	assert.InDelta(t, 3000, limits["trailer"].Limit, 0)
	assert.Equal(t, "Trailer, braked", limits["trailer"].Title)
	assert.True(t, limits["ball-least"].Least)
	assert.True(t, limits["grade-rear"].Info)

	j.Trailer.Braked = false
	f = report.LoadOf(&j)
	assert.Equal(t, "over", cellOf(t, &f, "State shown", "trailer").State, "unbraked it may weigh 750 kg")
	j.Trailer.Ball = 30
	f = report.LoadOf(&j)
	assert.Equal(t, "over", cellOf(t, &f, "State shown", "ball-least").State, "3 % sway")
	assert.NotEmpty(t, example.Found(t, j, "ball-light"))
	j.Trailer.Ball = 200
	assert.NotEmpty(t, example.Found(t, j, "ball-heavy"))
	j.Trailer.Ball = 100
	assert.Empty(t, append(example.Found(t, j, "ball-heavy"), example.Found(t, j, "ball-light")...))
}

// The band of the state shown is that of its pad; with fewer aboard it is narrower.
func TestEachCaseHasItsBand(t *testing.T) {
	j := example.Travelling()
	f := report.LoadOf(&j)
	for _, pad := range assess.Of(&j).Pads {
		shown := cellOf(t, &f, "State shown", pad.ID)
		assert.InDelta(t, pad.Sigma, shown.Sigma, 1e-9, pad.ID)
		assert.Less(t, cellOf(t, &f, "Alone, without trailer", pad.ID).Sigma, shown.Sigma, pad.ID)
	}
	assert.Zero(t, cellOf(t, &f, "State shown", "seats").Sigma)
}

func TestACaseWithoutTrailerIsHeldAgainstNoTowingLimit(t *testing.T) {
	j := example.Travelling()
	f := report.LoadOf(&j)
	alone := func(column string) report.CaseCell { return cellOf(t, &f, "Alone, without trailer", column) }
	assert.Zero(t, alone("trailer").Load)
	assert.Zero(t, alone("ball").Load)
	for _, id := range []string{"trailer", "ball", "ball-least", "ball-most"} {
		assert.Equal(t, "absent", alone(id).State, "nothing is towed, so nothing is within or over")
	}
	assert.InDelta(t, alone("gross").Load, alone("combination").Load, 1e-6)
	assert.InDelta(t, 1, alone("seats").Load, 0, "bo stays at home")
	for _, c := range f.Cases {
		if c.ID == "alone" {
			assert.Contains(t, c.State, "without bo")
		}
	}
}

func TestMoreInSeatsThanThereAre(t *testing.T) {
	j := example.Travelling()
	j.Vehicle.Seats = j.Vehicle.Seats[:2]
	example.Add(&j, "dog", 20, 0, func(i *fitout.Item) { i.Form, i.Seat = fitout.FormAnimal, j.Vehicle.Seats[1].ID })
	f := report.LoadOf(&j)
	assert.Equal(t, "over", cellOf(t, &f, "State shown", "seats").State)
}

func TestSleepersAreOnTheParkedRoof(t *testing.T) {
	j := example.Travelling()
	j.Brief.Camp.SleepWhere = fitout.SleepRoof
	j.Brief.Travellers = []fitout.Traveller{{ID: "ann", Name: "Ann", Kind: fitout.TravellerPerson, Mass: 75, Height: 1700,
		Sleeps: true}, {ID: "bo", Name: "Bo", Kind: fitout.TravellerPerson, Mass: 115, Height: 1800, Sleeps: true}}
	f := report.LoadOf(&j)
	parked := cellOf(t, &f, "State shown", "roof-parked")
	assert.InDelta(t, 40+75+115, parked.Load, 1e-6)
	assert.Equal(t, "over", parked.State)
	assert.Equal(t, "within", cellOf(t, &f, "State shown", "roof").State, "while driving nobody is up there")
}

// Showing a case makes the state shown what the case is, in every column; showing
// it once more changes nothing.
func TestShowingACaseSetsTheStateShown(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Travelling()
		v := &j.Variants[0]
		v.Switches = []fitout.Switch{{ID: "raft", Name: "Raft", On: rapid.Bool().Draw(t, "raft")},
			{ID: "motor", Name: "Motor", On: true, Requires: &fitout.Require{Switch: "raft"}}}
		v.Choices = []fitout.Choice{{ID: "top", Name: "Top", None: true, Members: []fitout.Member{{ID: "box", Name: "Box"}}}}
		example.Add(&j, "raft", 35, 3900, func(i *fitout.Item) {
			i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "raft"}
		})
		example.Add(&j, "motor", 20, 4000, func(i *fitout.Item) {
			i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "motor"}
		})
		example.Add(&j, "box", 25, 2400, func(i *fitout.Item) {
			i.Presence = fitout.Presence{Kind: fitout.ByChoice, Choice: "top", Member: "box"}
		})
		example.Add(&j, "jar", 2, 2500, func(i *fitout.Item) {
			i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 20, Now: 15, Density: 1}}
		})
		on := func(name string) bool { return rapid.Bool().Draw(t, name) }
		c := fitout.Case{ID: "drawn", Name: "Drawn", Coupled: on("coupled"),
			Switches: []fitout.CaseSwitch{{Switch: "raft", On: on("raft on")}, {Switch: "motor", On: on("motor on")}},
			Choices:  []fitout.CaseChoice{{Choice: "top", Member: rapid.SampledFrom([]string{"", "box"}).Draw(t, "top")}},
			Levels: []fitout.CaseLevel{{Of: "jar", Litres: rapid.Float64Range(0, 60).Draw(t, "jar")},
				{Of: j.Vehicle.Tanks[0].ID, Litres: rapid.Float64Range(0, 200).Draw(t, "fuel")}},
			People: []fitout.CasePerson{{Item: "bo", Aboard: on("bo"),
				Seat: rapid.SampledFrom([]string{"", j.Vehicle.Seats[1].ID, j.Vehicle.Seats[len(j.Vehicle.Seats)-1].ID}).Draw(t,
					"seat")}},
		}
		v.Cases = []fitout.Case{c}
		shown, err := edit.ShowState(&j, "case:drawn")
		if err != nil {
			t.Fatal(err)
		}
		f := report.LoadOf(&shown)
		for i := range f.Columns {
			state, of := f.Cases[0].Cells[i].Load, f.Cases[1].Cells[i].Load
			if d := state - of; d > 1e-6 || d < -1e-6 {
				t.Fatalf("%s is %.2f shown and %.2f in the case", f.Columns[i].ID, state, of)
			}
		}
		again, err := edit.ShowState(&shown, "case:drawn")
		if err != nil {
			t.Fatal(err)
		}
		once, _ := fitout.Encode(&shown)
		twice, _ := fitout.Encode(&again)
		if string(once) != string(twice) {
			t.Fatal("showing it once more changes something")
		}
	})
}

func TestWhoStaysAtHomeHangsOnASwitch(t *testing.T) {
	j := example.Travelling()
	shown, err := edit.ShowState(&j, "case:alone")
	require.NoError(t, err)
	v := shown.ChosenVariant()
	require.Len(t, v.Switches, 1)
	assert.Equal(t, "Bo", v.Switches[0].Name)
	assert.False(t, v.Switches[0].On)
	assert.InDelta(t, 75, assess.Of(&j).Gross-90-assess.Of(&shown).Gross, 1e-6)
	back, err := edit.ShowState(&shown, "case:towing")
	require.NoError(t, err)
	assert.False(t, back.ChosenVariant().Switches[0].On, "a case that says nothing of him leaves him where he is")
	_, err = edit.ShowState(&j, "case:gone")
	assert.ErrorContains(t, err, "the id of a case")
}

// Whatever state is accounted for: the rows add up to what the matrix shows.
func TestEachStateIsAccountedFor(t *testing.T) {
	j := example.Travelling()
	f := report.LoadOf(&j)
	require.Greater(t, len(f.Cases), 5)
	for _, c := range f.Cases {
		a, err := report.AccountOf(&j, c.At)
		require.NoError(t, err, c.Name)
		assert.Equal(t, c.State, a.State)
		for i, column := range f.Columns {
			switch column.ID {
			case "front":
				assert.InDelta(t, c.Cells[i].Load, a.Sum.Front, 1e-6, c.Name)
			case "rear":
				assert.InDelta(t, c.Cells[i].Load, a.Sum.Rear, 1e-6, c.Name)
			case "gross":
				assert.InDelta(t, c.Cells[i].Load, a.Sum.Kg, 1e-6, c.Name)
			case "combination":
				assert.InDelta(t, c.Cells[i].Load, a.Limits[3].Load, 1e-6, c.Name)
			}
		}
		if c.ID == "alone" {
			assert.False(t, strings.Contains(rowNames(&a), "Bo"), "who is at home is in no row")
			assert.False(t, strings.Contains(rowNames(&a), "on the hitch"))
		}
		assert.False(t, strings.Contains(rowNames(&a), "Drum"), "what rides on the trailer is not on the vehicle")
	}
	for _, at := range []string{"case:gone", "worst:nothing", "nonsense", "worst:"} {
		_, err := report.AccountOf(&j, at)
		assert.ErrorContains(t, err, "case: and the id of a case", at)
	}
}

func rowNames(a *report.Account) string {
	var names []string
	for _, r := range a.Rows {
		names = append(names, r.Name)
	}
	return strings.Join(names, "|")
}

// eachState visits a job in every setting of its switches and its trailer, with
// its vessels and tanks full and empty.
func eachState(j fitout.Job, visit func(*fitout.Job)) {
	v := &j.Variants[0]
	jar := v.Items[len(v.Items)-1].Presence.Level
	fuel := &j.Vehicle.Tanks[0]
	for bits := range 1 << (len(v.Switches) + 3) {
		for i := range v.Switches {
			v.Switches[i].On = bits>>i&1 == 1
		}
		jar.Now = jar.Max * float64(bits>>len(v.Switches)&1)
		fuel.Now = fuel.Min + (fuel.Capacity-fuel.Min)*float64(bits>>(len(v.Switches)+1)&1)
		j.Trailer.Coupled = bits>>(len(v.Switches)+2)&1 == 1
		visit(&j)
	}
}

// Of no state whatever is a limit worse than its exact worst, and where any state
// is over, the worst is.
func TestNoStateIsWorseThanTheExactWorstOfEachLimit(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Travelling()
		v := &j.Variants[0]
		for i, kg := range rapid.SliceOfN(rapid.Float64Range(1, 400), 2, 4).Draw(t, "kg") {
			id := string(rune('p' + i))
			v.Switches = append(v.Switches, fitout.Switch{ID: id, Name: id, On: true})
			example.Add(&j, id, kg, rapid.Float64Range(1000, 4200).Draw(t, "x"), func(item *fitout.Item) {
				item.At.Y, item.At.Z = rapid.Float64Range(-700, 700).Draw(t, "y"), rapid.Float64Range(300, 2400).Draw(t, "z")
				item.Bay = rapid.SampledFrom([]string{"", "rack", "tray"}).Draw(t, "bay")
				item.OnTrailer = rapid.IntRange(0, 3).Draw(t, "rides") == 0
				item.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: id}
			})
		}
		example.Add(&j, "jar", 2, 2500, func(i *fitout.Item) {
			i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 20, Now: 15, Density: 1}}
		})
		// A hitch that levels more than the ball does, and a trailer that carries more than
		// it weighs.
		j.Trailer.Distribution = rapid.SampledFrom([]float64{0, 60000, 400000}).Draw(t, "distribution")
		j.Trailer.Mass = rapid.Float64Range(150, 1500).Draw(t, "trailer")
		j.Trailer.Ball = min(j.Trailer.Mass, rapid.Float64Range(20, 140).Draw(t, "ball"))
		j.Practice.TipLoss = rapid.Float64Range(1, 6).Draw(t, "tip")
		j.Practice.SideShare = rapid.Float64Range(0.005, 0.05).Draw(t, "sides")
		j.Practice.FrontShare = rapid.Float64Range(0.4, 0.55).Draw(t, "front")
		j.Practice.BallLeast = rapid.Float64Range(0.06, 0.1).Draw(t, "ball least")
		if err := fitout.Validate(&j); err != nil {
			t.Fatal(err)
		}
		columns := report.LoadOf(&j).Columns
		worst, anyOver := map[string]float64{}, map[string]bool{}
		eachState(j, func(j *fitout.Job) {
			table := limits.Of(plan.Of(j))
			for _, l := range table.All {
				f := l.Facts()
				if f.Towing && !table.Shown().State.Coupled {
					continue
				}
				value := l.Load(table.Shown())
				worst[f.ID] = max(worst[f.ID], value)
				anyOver[f.ID] = anyOver[f.ID] || f.State(value, 0) == limits.Over
			}
		})
		for _, c := range columns {
			if c.Worst == nil {
				if !c.Info {
					t.Fatalf("%s has no worst", c.ID)
				}
				continue
			}
			if c.Unit == "kg" || c.Unit == "people" {
				if d := c.Worst.Load - worst[c.ID]; d > 1e-6 || d < -1e-6 {
					t.Fatalf("%s: worst %.3f, trying them all gives %.3f", c.ID, c.Worst.Load, worst[c.ID])
				}
			}
			if over := c.Worst.State == "over"; over != anyOver[c.ID] {
				t.Fatalf("%s: the worst is over: %v, any state is: %v", c.ID, over, anyOver[c.ID])
			}
		}
	})
}
