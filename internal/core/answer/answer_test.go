package answer_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/answer"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

func person(id, seat string) fitout.Item {
	return fitout.Item{
		ID:       id,
		Name:     strings.ToUpper(id[:1]) + id[1:],
		Form:     fitout.FormPerson,
		Mass:     80,
		Source:   fitout.ByScale,
		Seat:     seat,
		Presence: fitout.Presence{Kind: fitout.Always},
		Size:     fitout.Size{Length: 500, Width: 480, Height: 900},
	}
}

func module(id string, kind fitout.ModuleKind) fitout.Item {
	return fitout.Item{
		ID:       id,
		Name:     "The " + id,
		Form:     fitout.FormBox,
		Mass:     20,
		Source:   fitout.DataSheet,
		Bay:      "cargo",
		At:       fitout.Point{X: 3000, Z: 900},
		Size:     fitout.Size{Length: 400, Width: 400, Height: 400},
		Presence: fitout.Presence{Kind: fitout.Always},
		Module: &fitout.Module{Kind: kind, Faces: fitout.FaceNone,
			Wall: fitout.NoMaterial, Runner: fitout.NoRunner, Stack: fitout.Beside},
	}
}

func tank(id string, kind fitout.ModuleKind, litres float64) fitout.Item {
	i := module(id, kind)
	i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: litres, Now: litres, Density: 1}}
	return i
}

// answered is two people and a dog for three nights, 10 L a day each for the people, with everything that they ask for.
func answered() fitout.Job {
	j := fitout.NewJob("job", "Job", fitout.AustraliaNZ)
	j.Vehicle.Wheelbase = 3000
	j.Vehicle.Bays = []fitout.Bay{
		{
			ID:      "cargo",
			Name:    "Cargo",
			Kind:    fitout.BayWagonCargo,
			Opening: fitout.Opening{Face: fitout.FaceNone, Hinge: fitout.HingeNone},
		},
	}
	j.Vehicle.Seats = []fitout.Seat{
		{ID: "driver", Name: "Driver's seat", Driver: true, At: fitout.Point{X: 1400, Y: 350, Z: 900}},
		{ID: "mate", Name: "Front passenger", At: fitout.Point{X: 1400, Y: -350, Z: 900}},
		{ID: "back", Name: "Second row", At: fitout.Point{X: 2200, Z: 900}},
	}
	b := &j.Brief
	b.Travellers = []fitout.Traveller{
		{ID: "ann", Name: "Ann", Kind: fitout.TravellerPerson, Mass: 80, Sleeps: true, Water: 10},
		{ID: "bo", Name: "Bo", Kind: fitout.TravellerPerson, Mass: 80, Sleeps: true, Water: 10},
		{ID: "dog", Name: "Dog", Kind: fitout.TravellerAnimal, Mass: 20, Water: 2},
	}
	b.Trip.Nights, b.Trip.WaterDistance, b.Trip.DayDistance = 3, 600, 200
	b.Trip.Tows, b.Trip.TrailerMass = fitout.TowsSometimes, 1200
	b.Camp.WasteWater, b.Camp.Toilet, b.Camp.SleepWhere = fitout.WasteCaught, fitout.ToiletBuiltIn, fitout.SleepInside
	j.Trailer = &fitout.Trailer{Name: "Trailer", Mass: 1200, Ball: 100, BallToAxle: 3000, Source: fitout.DataSheet}
	dog := person("dog", "back")
	dog.Form, dog.Mass = fitout.FormAnimal, 20
	j.Variants[0].Items = []fitout.Item{
		person("ann", "driver"),
		person("bo", "mate"),
		dog,
		tank("water", fitout.WaterTank, 200),
		tank("waste", fitout.WasteTank, 60),
		module("toilet", fitout.ToiletModule),
		module("bed", fitout.Platform),
	}
	return j
}

func drop(j *fitout.Job, id string) {
	v := j.ChosenVariant()
	v.Items = slices.DeleteFunc(v.Items, func(i fitout.Item) bool { return i.ID == id })
}

func get(j *fitout.Job, id string) *fitout.Item {
	v := j.ChosenVariant()
	return &v.Items[slices.IndexFunc(v.Items, func(i fitout.Item) bool { return i.ID == id })]
}

func found(j *fitout.Job) []fitout.Finding {
	p := plan.Of(j)
	var all []fitout.Finding
	for _, rule := range answer.Rules() {
		all = append(all, rule(p)...)
	}
	return all
}

// What the brief asks and nothing aboard answers is told, with what would answer it; doing that silences it, and the
// near miss never spoke.
func TestWhatTheBriefAsksIsAnswered(t *testing.T) {
	sound := answered()
	require.NoError(t, fitout.Validate(&sound))
	require.Empty(t, found(&sound))
	for name, c := range map[string]struct {
		rule, says  string
		spoil, mend func(j *fitout.Job)
		near        func(j *fitout.Job) // alike, and no mistake
	}{
		"a traveller stays off the axles": {"traveller-not-aboard", "Bo along, 80 kg together",
			func(j *fitout.Job) { drop(j, "bo") }, nil,
			func(j *fitout.Job) { get(j, "bo").Name = "Bo, who is called otherwise aboard" }},
		"two things open, and nobody said when": {"stances-none", "The fridge and the pantry open",
			func(j *fitout.Job) {
				j.Variants[0].Items = append(j.Variants[0].Items, module("fridge", fitout.FridgeSlide), module("pantry", fitout.Pantry))
				for _, id := range []string{"fridge", "pantry"} {
					m := get(j, id).Module
					m.Faces, m.Travel = fitout.FaceRear, 300
				}
				j.Variants[0].Electrics.Loads = []fitout.PowerLoad{{ID: "fridge", Name: "Fridge", Item: "fridge"}}
				j.Variants[0].Stances = nil
			},
			func(j *fitout.Job) {
				j.Variants[0].Stances = []fitout.Stance{{ID: "cook", Name: "Cook", Use: fitout.StanceCook}}
			},
			func(j *fitout.Job) {
				j.Variants[0].Items = append(j.Variants[0].Items, module("pantry", fitout.Pantry))
				get(j, "pantry").Module.Faces, get(j, "pantry").Module.Travel = fitout.FaceRear, 300
				j.Variants[0].Stances = nil
			}},
		"somebody rides in the cargo": {"no-seat", "sits in no seat",
			func(j *fitout.Job) { get(j, "bo").Seat = "" }, nil,
			func(j *fitout.Job) {
				get(j, "dog").Seat, get(j, "dog").Bay = "", "cargo"
				get(j, "toilet").Module.Kind = fitout.Crate
				j.Brief.Camp.Toilet = fitout.ToiletNone
			}},
		"a seat that is gone": {"no-seat", "sits in no seat",
			func(j *fitout.Job) { j.Vehicle.Seats = slices.Delete(j.Vehicle.Seats, 1, 2) },
			func(j *fitout.Job) {
				get(j, "bo").Seat = "back"
				get(j, "dog").Seat = ""
				j.Variants[0].Items = append(j.Variants[0].Items, module("crate", fitout.Crate))
				get(j, "dog").Bay = "cargo"
			}, nil},
		"a case that speaks of what was taken out": {"case-gone", "the kit “raft”, 20 L in “bladder” and “cy” aboard",
			func(j *fitout.Job) {
				j.Variants[0].Cases = []fitout.Case{{ID: "away", Name: "Away",
					Switches: []fitout.CaseSwitch{{Switch: "raft", On: true}},
					Levels:   []fitout.CaseLevel{{Of: "bladder", Litres: 20}},
					People:   []fitout.CasePerson{{Item: "cy", Aboard: true}}}}
			}, func(j *fitout.Job) { j.Variants[0].Cases[0] = fitout.Case{ID: "away", Name: "Away"} },
			func(j *fitout.Job) {
				j.Variants[0].Cases = []fitout.Case{{ID: "away", Name: "Away",
					Switches: []fitout.CaseSwitch{{Switch: "raft"}},
					Levels:   []fitout.CaseLevel{{Of: "bladder"}, {Of: "fuel", Litres: 20}},
					People:   []fitout.CasePerson{{Item: "cy"}, {Item: "bo", Aboard: true}}}}
			}},
		"a fridge that Power knows nothing of": {"appliance-unplanned", "no load under Power is it",
			func(j *fitout.Job) {
				j.Variants[0].Items = append(j.Variants[0].Items, module("fridge", fitout.FridgeSlide))
			}, func(j *fitout.Job) {
				j.Variants[0].Electrics.Loads = []fitout.PowerLoad{{ID: "cold", Name: "Cold", Item: "fridge"}}
			}, func(j *fitout.Job) {
				j.Variants[0].Items = append(j.Variants[0].Items, module("cool-box", fitout.LiddedBox))
			}},
		"two on one seat": {"seat-shared", "at once",
			func(j *fitout.Job) { get(j, "bo").Seat = "driver" }, func(j *fitout.Job) { get(j, "bo").Seat = "mate" }, nil},
		"two on one seat only in a case": {"seat-shared", "In “School run”",
			func(j *fitout.Job) {
				j.Variants[0].Cases = []fitout.Case{{ID: "school", Name: "School run",
					People: []fitout.CasePerson{{Item: "bo", Aboard: true, Seat: "driver"}}}}
			}, func(j *fitout.Job) { j.Variants[0].Cases[0].People[0].Seat = "mate" },
			func(j *fitout.Job) {
				j.Variants[0].Cases = []fitout.Case{{ID: "swap", Name: "She drives", People: []fitout.CasePerson{
					{Item: "bo", Aboard: true, Seat: "driver"}, {Item: "ann", Aboard: false}}}}
			}},
		"the dog rides loose": {"animal-loose", "nothing holds it",
			func(j *fitout.Job) { get(j, "dog").Seat = "" },
			func(j *fitout.Job) {
				j.Variants[0].Items = append(j.Variants[0].Items, module("crate", fitout.Crate))
				get(j, "dog").Bay = "cargo"
			}, nil},
		"water short for the way": {"water-less", "what is aboard holds 20 L",
			func(j *fitout.Job) { l := get(j, "water").Presence.Level; l.Max, l.Now = 20, 20 },
			func(j *fitout.Job) { l := get(j, "water").Presence.Level; l.Max, l.Now = 200, 200 },
			func(j *fitout.Job) {
				l := get(j, "water").Presence.Level
				l.Max, l.Now = 20, 20
				can := module("cans", fitout.PlainGear)
				can.Substance = fitout.SubstanceWater
				j.Variants[0].Items = append(j.Variants[0].Items, can)
			}},
		"nothing catches used water": {"waste-nowhere", "Fit a waste tank",
			func(j *fitout.Job) { drop(j, "waste") },
			func(j *fitout.Job) {
				j.Variants[0].Items = append(j.Variants[0].Items, tank("grey", fitout.WasteTank, 40))
			},
			func(j *fitout.Job) { drop(j, "waste"); j.Brief.Camp.WasteWater = fitout.WasteNone }},
		"the toilet was forgotten": {"toilet-nowhere", "Put one in",
			func(j *fitout.Job) { drop(j, "toilet") },
			func(j *fitout.Job) {
				j.Variants[0].Items = append(j.Variants[0].Items, module("wc", fitout.ToiletModule))
			},
			func(j *fitout.Job) { drop(j, "toilet"); j.Brief.Camp.Toilet = fitout.ToiletNone }},
		"nothing to sleep on": {"bed-unsaid", "Ann and Bo sleep inside",
			func(j *fitout.Job) { drop(j, "bed") },
			func(j *fitout.Job) {
				j.Variants[0].Items = append(j.Variants[0].Items, module("bunk", fitout.Platform))
			},
			func(j *fitout.Job) { drop(j, "bed"); j.Brief.Camp.SleepWhere = fitout.SleepRoof }},
		"a bottle of which nobody said what is in it": {"substance-unsaid", "speaks of gas",
			func(j *fitout.Job) { get(j, "bed").Name = "Gas bottle under the bed" }, nil,
			func(j *fitout.Job) { get(j, "bed").Name = "Gas alarm and bed" }},
		"the trailer was forgotten": {"trailer-nowhere", "Add the trailer under Vehicle",
			func(j *fitout.Job) { j.Trailer = nil },
			func(j *fitout.Job) { j.Trailer = &fitout.Trailer{Mass: 1200, Source: fitout.Estimate} },
			func(j *fitout.Job) { j.Trailer, j.Brief.Trip.Tows = nil, fitout.TowsNever }},
		"a lighter trailer than they tow": {"trailer-lighter", "the plan counts with 900 kg",
			func(j *fitout.Job) { j.Trailer.Mass = 900 }, func(j *fitout.Job) { j.Trailer.Mass = 1200 },
			func(j *fitout.Job) { j.Trailer.Mass = 1190 }},
	} {
		t.Run(name, func(t *testing.T) {
			j := answered()
			c.spoil(&j)
			all := found(&j)
			require.Len(t, all, 1, "%v", all)
			f := all[0]
			assert.Equal(t, c.rule, f.Rule)
			assert.Contains(t, strings.NewReplacer("\u00a0", " ", "\u202f", " ").Replace(f.Sentence), c.says)
			if c.mend != nil {
				c.mend(&j)
			} else {
				require.NotEmpty(t, f.Fixes)
				changed, err := edit.Apply(&j, nil, []fitout.FixEdit{f.Fixes[0].Edit})
				require.NoError(t, err)
				j = changed
			}
			assert.Empty(t, found(&j), "what the sentence says mends it")
			if c.near != nil {
				near := answered()
				c.near(&near)
				assert.Empty(t, found(&near))
			}
		})
	}
}

// A plan without a part yet is not scolded for what comes later.
func TestAnEmptyPlanIsNotScolded(t *testing.T) {
	j := answered()
	j.Variants[0].Items, j.Trailer = nil, nil
	assert.Empty(t, found(&j))
}
