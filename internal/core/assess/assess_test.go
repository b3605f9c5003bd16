package assess_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/demo"
	"zaino/internal/example"
)

func TestASoundBuildHasNothingToSay(t *testing.T) {
	j := example.Ute()
	example.Add(&j, "drawers", 60, 3000)
	assert.Empty(t, assess.Of(&j).Findings)
}

// ruleCase is a change to the sound build after which a rule has to speak.
type ruleCase struct {
	rule, sentence string
	severity       fitout.Severity
	change         func(*fitout.Job)
}

func fires(t *testing.T, cases []ruleCase) {
	t.Helper()
	for _, c := range cases {
		t.Run(c.rule, func(t *testing.T) {
			j := example.Ute()
			c.change(&j)
			all := example.Found(t, j, c.rule)
			require.NotEmpty(t, all)
			f := all[0]
			assert.Equal(t, c.severity, f.Severity)
			assert.NotEmpty(t, f.Title)
			assert.NotEmpty(t, f.Source)
			sentence := strings.ReplaceAll(strings.ReplaceAll(f.Sentence, "\u00a0", " "), "\u202f", " ")
			assert.Contains(t, sentence, strings.ReplaceAll(c.sentence, "\u202f", " "))
		})
	}
}

// Each rule fires where it should; TestASoundBuildHasNothingToSay is where it
// stays silent.
func TestRulesFire(t *testing.T) {
	person := func(seat string) func(*fitout.Item) {
		return func(i *fitout.Item) { i.Form, i.Seat = fitout.FormPerson, seat }
	}
	fires(t, []ruleCase{
		{"rear-over", "Rear axle carries 2 056 kg; its limit (rear axle rating) is 1 900 kg.", fitout.Stop,
			func(j *fitout.Job) { example.Add(j, "ballast", 1200, 3110) }},
		{"front-over", "its limit (front axle rating) is 1 500 kg", fitout.Stop, func(j *fitout.Job) {
			example.Add(j, "winch", 200, -1500)
		}},
		{"gross-over", "its limit (GVM) is 3 300 kg", fitout.Stop, func(j *fitout.Job) {
			example.Add(j, "ballast", 1250, 2500)
		}},
		{"gross-close", "Less than 3\u202f% is left", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Limits.Gross.Kg = 2100
		}},
		{"combination-over", "its limit (GCM) is 4 000 kg", fitout.Stop, func(j *fitout.Job) {
			j.Vehicle.Limits.Combination.Kg, j.Vehicle.Limits.TrailerBraked.Kg = 4000, 3000
			j.Trailer = &fitout.Trailer{
				Source:  fitout.DataSheet,
				Name:    "T",
				Coupled: true,
				Mass:    2500,
				Ball:    100,
				Braked:  true,
			}
		}},
		{
			"ball-over",
			"The ball mass is 100 kg; the limit of the vehicle is 80 kg.",
			fitout.Stop,
			func(j *fitout.Job) {
				j.Vehicle.Limits.Ball.Kg = 80
				j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "T", Coupled: true, Mass: 800, Ball: 100}
			},
		},
		{
			"trailer-over",
			"The mass of the unbraked trailer is 800 kg; the limit of the vehicle is 750 kg.",
			fitout.Stop,
			func(j *fitout.Job) {
				j.Vehicle.Limits.TrailerUnbraked.Kg = 750
				j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "T", Coupled: true, Mass: 800, Ball: 60}
			},
		},
		{"placard-over", "together are 500 kg; the payload placard allows 450 kg.", fitout.Stop, func(j *fitout.Job) {
			j.Vehicle.Limits.Placard.Kg = 450
			example.Add(j, "cargo", 500, 2500)
		}},
		{"rear-worst-over", "Rear axle is within its limit now, but carries", fitout.Caution, func(j *fitout.Job) {
			j.Variants[0].Switches = []fitout.Switch{{ID: "s", Name: "Ballast"}}
			example.Add(j, "ballast", 1200, 3110, func(i *fitout.Item) {
				i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "s"}
			})
		}},
		{"limit-missing", "cannot say whether gross is legal", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Limits.Gross.Kg = 0
		}},
		{"limit-estimated", "The figures for GVM were not read off the plate", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Limits.Gross.Source = fitout.FromEstimate
		}},
		{"ratings-short", "The axle limits add up to 3 400 kg, less than the GVM of 3 500 kg.", fitout.Note,
			func(j *fitout.Job) { j.Vehicle.Limits.Gross.Kg = 3500 }},
		{"baseline-over", "The empty vehicle alone puts 850 kg where 800 kg", fitout.Stop, func(j *fitout.Job) {
			j.Vehicle.Limits.RearAxle.Kg = 800
		}},
		{"baseline-split-assumed", "are split 60 : 40 by assumption", fitout.Caution, func(j *fitout.Job) {
			b := &j.Vehicle.Baseline
			b.Definition, b.Split, b.Total, b.FrontShare = fitout.Kerb, fitout.SplitAssumed, 2000, 0.6
		}},
		{"baseline-not-weighed", "comes from papers, not from a scale", fitout.Note, func(j *fitout.Job) {
			j.Vehicle.Baseline.Definition = fitout.Kerb
		}},
		{"driver-seat-missing", "no seat is marked as the driver's", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Baseline.Definition = fitout.RunningOrder
			j.Vehicle.Seats[0].Driver = false
		}},
		{"scale-not-level", "A slope of 2° moves about 15.7 kg", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Baseline.Tickets[0].Level = false
		}},
		{"front-light", "Below 35\u202f% steering and braking suffer", fitout.Caution, func(j *fitout.Job) {
			example.Add(j, "ballast", 750, 4400)
		}},
		{"sides-uneven", "leans the vehicle", fitout.Caution, func(j *fitout.Job) {
			example.Add(j, "tank", 150, 2500, func(i *fitout.Item) { i.At.Y = -700 })
		}},
		{"seat-shared", `Ann and Ben are in the seat "Driver" at once`, fitout.Stop, func(j *fitout.Job) {
			example.Add(j, "ann", 70, 0, person("driver"))
			example.Add(j, "ben", 70, 0, person("driver"))
		}},
		{"station-unset", "counts as if it lay on the ground at the front axle", fitout.Caution, func(j *fitout.Job) {
			example.Add(j, "thing", 5, 0, func(i *fitout.Item) { i.At = fitout.Point{} })
		}},
		{"extension-uncertified", "count with a wheelbase of 3 450 mm", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Extension = &fitout.Extension{By: 300, Cut: 2200, BehindCut: 300}
		}},
	})
}

func TestFindingsComeWorstFirst(t *testing.T) {
	j := example.Ute()
	j.Vehicle.Baseline.Definition = fitout.Kerb
	j.Vehicle.Limits.RearAxle.Kg = 700
	example.Add(&j, "tank", 150, 2500, func(i *fitout.Item) { i.At.Y = -700 })
	worst := 0
	for _, f := range assess.Of(&j).Findings {
		assert.GreaterOrEqual(t, f.Severity.Rank(), worst)
		worst = f.Severity.Rank()
	}
	assert.Equal(t, fitout.Note.Rank(), worst)
}

// A fix does to the axles what it says, and one that is not marked as too
// little mends what it was offered for.
func TestFixesDoWhatTheySay(t *testing.T) {
	j := example.Ute()
	example.Add(&j, "drawers", 900, 3300, func(i *fitout.Item) { i.Size.Length = 1200 })
	example.Add(&j, "tools", 60, 4000)
	example.Add(&j, "chair", 5, 4200)
	example.Add(&j, "water", 8, 3900, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 120, Now: 110, Density: 1}}
	})
	j.Variants[0].Switches = []fitout.Switch{
		{ID: "raft", Name: "Raft", On: true},
		{ID: "guest", Name: "Guest", On: true},
	}
	example.Add(&j, "raft", 70, 4100, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "raft"}
	})
	example.Add(&j, "guest", 80, 0, func(i *fitout.Item) {
		i.Form, i.Seat, i.Presence = fitout.FormPerson, "rear-left", fitout.Presence{
			Kind:   fitout.BySwitch,
			Switch: "guest",
		}
	})
	over := example.Found(t, j, "rear-over")
	require.Len(t, over, 1)
	require.NotEmpty(t, over[0].Fixes)
	before := assess.Of(&j).Axles
	for _, fix := range over[0].Fixes {
		t.Run(fix.Label, func(t *testing.T) {
			assert.NotContains(t, fix.Label, "guest", "who comes along is not for a fix to say")
			mended, err := edit.Apply(&j, nil, []fitout.FixEdit{fix.Edit})
			require.NoError(t, err)
			after := assess.Of(&mended).Axles
			assert.InDelta(t, fix.Rear, after.Rear-before.Rear, 1e-6)
			assert.InDelta(t, fix.Front, after.Front-before.Front, 1e-6)
			if !strings.Contains(fix.Label, "not enough alone") {
				assert.Empty(t, example.Found(t, mended, "rear-over"))
			}
		})
	}
}

func TestGroupsSumToWhatIsAboard(t *testing.T) {
	j := example.Ute()
	example.Add(&j, "drawers", 60, 3000)
	example.Add(&j, "tools", 40, 3500).Group = "Tools"
	a := assess.Of(&j)
	mass, rear := 0.0, 0.0
	for _, g := range a.Groups {
		mass += g.Mass
		rear += g.Rear
	}
	assert.InDelta(t, 100, mass, 1e-9)
	assert.InDelta(t, a.Axles.Rear-a.Unladen.Rear-a.Tanks[0].Rear, rear, 1e-9)
}

func TestSentencesSpeakTheJobsUnitsAndWords(t *testing.T) {
	j := example.Ute()
	j.Units, j.Region = fitout.US, fitout.NorthAmerica
	example.Add(&j, "ballast", 1250, 2500)
	f := example.Found(t, j, "gross-over")
	require.Len(t, f, 1)
	assert.Contains(t, f[0].Sentence, "GVWR")
	assert.Contains(t, f[0].Sentence, "lb")
	assert.NotContains(t, f[0].Sentence, "kg")
}

func BenchmarkAssess300Items(b *testing.B) {
	j := example.Ute()
	for i := range 300 {
		example.Add(&j, "item"+string(rune('a'+i%26))+strings.Repeat("x", i/26), 3, float64(2200+i*5))
	}
	for b.Loop() {
		assess.Of(&j)
	}
}

// The largest jobs that are taken: many things of the ledger, and many modules that stand over each other in many
// stances.
func BenchmarkAssessTheLargest(b *testing.B) {
	for _, size := range []struct {
		name                    string
		items, modules, stances int
	}{{"2000 items", 2000, 0, 0}, {"200 modules in 30 stances", 0, 200, 30}} {
		jobs, err := demo.Jobs()
		require.NoError(b, err)
		j := jobs[0]
		v := &j.Variants[0]
		drawers := v.Items[slices.IndexFunc(v.Items, func(i fitout.Item) bool {
			return i.Module != nil && i.Module.Kind == fitout.Drawers
		})]
		gear := v.Items[slices.IndexFunc(v.Items, func(i fitout.Item) bool {
			return i.Module == nil && i.In == nil && i.Seat == "" && i.Presence.Kind == fitout.Always
		})]
		for k := len(v.Items); k < size.items; k++ {
			gear.ID = fmt.Sprint("gear-", k)
			gear.At = fitout.Point{X: 2400 + float64(k%40)*30, Y: float64(k%17)*60 - 500, Z: 900}
			v.Items = append(v.Items, gear)
		}
		for k := range size.modules {
			drawers.ID = fmt.Sprint("drawers-", k)
			drawers.At = fitout.Point{X: 2400 + float64(k%20)*50, Y: -500, Z: 900 + float64(k/20)*40}
			v.Items = append(v.Items, drawers)
		}
		for k := len(v.Stances); k < size.stances; k++ {
			stance := v.Stances[k%len(v.Stances)]
			stance.ID = fmt.Sprint("stance-", k)
			v.Stances = append(v.Stances, stance)
		}
		b.Run(size.name, func(b *testing.B) {
			for b.Loop() {
				assess.Of(&j)
			}
		})
	}
}
