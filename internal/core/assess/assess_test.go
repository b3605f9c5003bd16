package assess

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

func axles(id string, front, rear float64) fitout.Ticket {
	return fitout.Ticket{ID: id, Name: capital(id), Reading: fitout.ReadAxles, Front: front, Rear: rear, Level: true, Counted: true}
}

// build is a sound, weighed ute with limits far away.
func build() fitout.Job {
	j := fitout.NewJob("build", "Build", fitout.AustraliaNZ)
	v := &j.Vehicle
	v.Wheelbase = 3150
	v.Limits.Gross.Kg, v.Limits.FrontAxle.Kg, v.Limits.RearAxle.Kg = 3300, 1500, 1900
	v.Baseline = fitout.Baseline{Definition: fitout.AsWeighed, Split: fitout.SplitKnown, Front: 1200, Rear: 850, Total: 2050, FrontShare: 0.6, CGHeight: 690,
		Tickets: []fitout.Ticket{axles("bridge", 1200, 850)}}
	v.Tanks[0].Now = 40
	return j
}

func add(j *fitout.Job, id string, kg, x float64, change ...func(*fitout.Item)) *fitout.Item {
	variant := &j.Variants[0]
	variant.Items = append(variant.Items, fitout.Item{
		ID: id, Name: strings.ToUpper(id[:1]) + id[1:], Group: "Gear", Form: fitout.FormBox, Source: fitout.ByScale, Mass: kg,
		At: fitout.Point{X: x, Z: 900}, Size: fitout.Size{Length: 400, Width: 400, Height: 300}, Presence: fitout.Presence{Kind: fitout.Always},
	})
	item := &variant.Items[len(variant.Items)-1]
	for _, c := range change {
		c(item)
	}
	return item
}

// found assesses a valid job and returns its findings of a rule.
func found(t *testing.T, j fitout.Job, rule string) []fitout.Finding {
	t.Helper()
	require.NoError(t, fitout.Validate(&j))
	var of []fitout.Finding
	for _, f := range Of(&j).Findings {
		if f.Rule == rule {
			of = append(of, f)
		}
	}
	return of
}

func TestASoundBuildHasNothingToSay(t *testing.T) {
	j := build()
	add(&j, "drawers", 60, 3000)
	assert.Empty(t, Of(&j).Findings)
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
			j := build()
			c.change(&j)
			all := found(t, j, c.rule)
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
		{"rear-over", "Rear axle carries 2 056 kg; its limit (rear axle rating) is 1 900 kg.", fitout.Stop, func(j *fitout.Job) { add(j, "ballast", 1200, 3110) }},
		{"front-over", "its limit (front axle rating) is 1 500 kg", fitout.Stop, func(j *fitout.Job) { add(j, "winch", 200, -1500) }},
		{"gross-over", "its limit (GVM) is 3 300 kg", fitout.Stop, func(j *fitout.Job) { add(j, "ballast", 1250, 2500) }},
		{"gross-close", "Less than 3\u202f% is left", fitout.Caution, func(j *fitout.Job) { j.Vehicle.Limits.Gross.Kg = 2100 }},
		{"combination-over", "its limit (GCM) is 4 000 kg", fitout.Stop, func(j *fitout.Job) {
			j.Vehicle.Limits.Combination.Kg, j.Vehicle.Limits.TrailerBraked.Kg = 4000, 3000
			j.Trailer = &fitout.Trailer{Name: "T", Coupled: true, Mass: 2500, Ball: 100, Braked: true}
		}},
		{"ball-over", "The ball mass is 100 kg; the limit of the vehicle is 80 kg.", fitout.Stop, func(j *fitout.Job) {
			j.Vehicle.Limits.Ball.Kg = 80
			j.Trailer = &fitout.Trailer{Name: "T", Coupled: true, Mass: 800, Ball: 100}
		}},
		{"trailer-over", "The mass of the unbraked trailer is 800 kg; the limit of the vehicle is 750 kg.", fitout.Stop, func(j *fitout.Job) {
			j.Vehicle.Limits.TrailerUnbraked.Kg = 750
			j.Trailer = &fitout.Trailer{Name: "T", Coupled: true, Mass: 800, Ball: 60}
		}},
		{"placard-over", "together are 500 kg; the payload placard allows 450 kg.", fitout.Stop, func(j *fitout.Job) {
			j.Vehicle.Limits.Placard.Kg = 450
			add(j, "cargo", 500, 2500)
		}},
		{"rear-worst-over", "Rear axle is within its limit now, but carries", fitout.Caution, func(j *fitout.Job) {
			j.Variants[0].Switches = []fitout.Switch{{ID: "s", Name: "Ballast"}}
			add(j, "ballast", 1200, 3110, func(i *fitout.Item) { i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "s"} })
		}},
		{"limit-missing", "cannot say whether gross is legal", fitout.Caution, func(j *fitout.Job) { j.Vehicle.Limits.Gross.Kg = 0 }},
		{"limit-estimated", "The figures for GVM were not read off the plate", fitout.Caution, func(j *fitout.Job) { j.Vehicle.Limits.Gross.Source = fitout.FromEstimate }},
		{"ratings-short", "The axle limits add up to 3 400 kg, less than the GVM of 3 500 kg.", fitout.Note, func(j *fitout.Job) { j.Vehicle.Limits.Gross.Kg = 3500 }},
		{"baseline-over", "The empty vehicle alone puts 850 kg where 800 kg", fitout.Stop, func(j *fitout.Job) { j.Vehicle.Limits.RearAxle.Kg = 800 }},
		{"baseline-split-assumed", "are split 60 : 40 by assumption", fitout.Caution, func(j *fitout.Job) {
			b := &j.Vehicle.Baseline
			b.Definition, b.Split, b.Total, b.FrontShare = fitout.Kerb, fitout.SplitAssumed, 2000, 0.6
		}},
		{"baseline-not-weighed", "comes from papers, not from a scale", fitout.Note, func(j *fitout.Job) { j.Vehicle.Baseline.Definition = fitout.Kerb }},
		{"driver-seat-missing", "no seat is marked as the driver's", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Baseline.Definition = fitout.RunningOrder
			j.Vehicle.Seats[0].Driver = false
		}},
		{"scale-not-level", "A slope of 2° moves about 15.7 kg", fitout.Caution, func(j *fitout.Job) { j.Vehicle.Baseline.Tickets[0].Level = false }},
		{"front-light", "Below 35\u202f% steering and braking suffer", fitout.Caution, func(j *fitout.Job) { add(j, "ballast", 750, 4400) }},
		{"sides-uneven", "leans the vehicle", fitout.Caution, func(j *fitout.Job) { add(j, "tank", 150, 2500, func(i *fitout.Item) { i.At.Y = -700 }) }},
		{"seat-shared", `Ann and Ben are in the seat "Driver" at once`, fitout.Stop, func(j *fitout.Job) {
			add(j, "ann", 70, 0, person("driver"))
			add(j, "ben", 70, 0, person("driver"))
		}},
		{"station-unset", "counts as if it lay on the ground at the front axle", fitout.Caution, func(j *fitout.Job) {
			add(j, "thing", 5, 0, func(i *fitout.Item) { i.At = fitout.Point{} })
		}},
		{"extension-uncertified", "count with a wheelbase of 3 450 mm", fitout.Caution, func(j *fitout.Job) {
			j.Vehicle.Extension = &fitout.Extension{By: 300, Cut: 2200, BehindCut: 300}
		}},
	})
}

func TestFindingsComeWorstFirst(t *testing.T) {
	j := build()
	j.Vehicle.Baseline.Definition = fitout.Kerb
	j.Vehicle.Limits.RearAxle.Kg = 700
	add(&j, "tank", 150, 2500, func(i *fitout.Item) { i.At.Y = -700 })
	worst := 0
	for _, f := range Of(&j).Findings {
		assert.GreaterOrEqual(t, rank(f.Severity), worst)
		worst = rank(f.Severity)
	}
	assert.Equal(t, rank(fitout.Note), worst)
}

// A fix does to the axles what it says, and one that is not marked as too
// little mends what it was offered for.
func TestFixesDoWhatTheySay(t *testing.T) {
	j := build()
	add(&j, "drawers", 900, 3300, func(i *fitout.Item) { i.Size.Length = 1200 })
	add(&j, "tools", 60, 4000)
	add(&j, "chair", 5, 4200)
	add(&j, "water", 8, 3900, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 120, Now: 110, Density: 1}}
	})
	j.Variants[0].Switches = []fitout.Switch{{ID: "raft", Name: "Raft", On: true}, {ID: "guest", Name: "Guest", On: true}}
	add(&j, "raft", 70, 4100, func(i *fitout.Item) { i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "raft"} })
	add(&j, "guest", 80, 0, func(i *fitout.Item) {
		i.Form, i.Seat, i.Presence = fitout.FormPerson, "rear-left", fitout.Presence{Kind: fitout.BySwitch, Switch: "guest"}
	})
	over := found(t, j, "rear-over")
	require.Len(t, over, 1)
	require.NotEmpty(t, over[0].Fixes)
	before := Of(&j).Axles
	for _, fix := range over[0].Fixes {
		t.Run(fix.Label, func(t *testing.T) {
			assert.NotContains(t, fix.Label, "guest", "who comes along is not for a fix to say")
			mended, err := Apply(&j, nil, []fitout.FixEdit{fix.Edit})
			require.NoError(t, err)
			after := Of(&mended).Axles
			assert.InDelta(t, fix.Rear, after.Rear-before.Rear, 1e-6)
			assert.InDelta(t, fix.Front, after.Front-before.Front, 1e-6)
			if !strings.Contains(fix.Label, "not enough alone") {
				assert.Empty(t, found(t, mended, "rear-over"))
			}
		})
	}
}

func TestGroupsSumToWhatIsAboard(t *testing.T) {
	j := build()
	add(&j, "drawers", 60, 3000)
	add(&j, "tools", 40, 3500).Group = "Tools"
	a := Of(&j)
	mass, rear := 0.0, 0.0
	for _, g := range a.Groups {
		mass += g.Mass
		rear += g.Rear
	}
	assert.InDelta(t, 100, mass, 1e-9)
	assert.InDelta(t, a.Axles.Rear-a.Unladen.Rear-a.Tanks[0].Rear, rear, 1e-9)
}

func TestSentencesSpeakTheJobsUnitsAndWords(t *testing.T) {
	j := build()
	j.Units, j.Region = fitout.US, fitout.NorthAmerica
	add(&j, "ballast", 1250, 2500)
	f := found(t, j, "gross-over")
	require.Len(t, f, 1)
	assert.Contains(t, f[0].Sentence, "GVWR")
	assert.Contains(t, f[0].Sentence, "lb")
	assert.NotContains(t, f[0].Sentence, "kg")
}

func BenchmarkAssess300Items(b *testing.B) {
	j := build()
	for i := range 300 {
		add(&j, "item"+string(rune('a'+i%26))+strings.Repeat("x", i/26), 3, float64(2200+i*5))
	}
	for b.Loop() {
		Of(&j)
	}
}
