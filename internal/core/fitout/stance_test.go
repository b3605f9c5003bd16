package fitout

import (
	"encoding/json"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A document of version 3 has no workshop rules: it gets those of its region, and
// nothing else of it changes.
func TestTheThirdVersionGetsTheRulesOfItsRegion(t *testing.T) {
	data, err := os.ReadFile("testdata/v3.zaino.json")
	require.NoError(t, err)
	was, err := Decode(data)
	require.NoError(t, err)
	for _, region := range Regions {
		text := strings.Replace(
			string(data),
			`"region": "`+string(was.Region)+`"`,
			`"region": "`+string(region)+`"`,
			1,
		)
		lifted, err := Decode([]byte(text))
		require.NoError(t, err)
		assert.Equal(t, NewPractice(region), lifted.Practice, region)
		assert.Empty(t, lifted.Accepted)
		for _, v := range lifted.Variants {
			assert.Empty(t, v.Stances)
			assert.Empty(t, v.Cases)
		}
		lifted.Region, lifted.Practice = was.Region, was.Practice
		assert.Equal(t, was, lifted)
	}
}

func TestEachRegionHasItsOwnRestraintAndBall(t *testing.T) {
	anz, eu, na := NewPractice(AustraliaNZ), NewPractice(UKEurope), NewPractice(NorthAmerica)
	assert.Equal(t, Restraint{Forward: 0.8, Rearward: 0.5, Sideways: 0.5, Upward: 0.2}, anz.Restraint)
	assert.Equal(t, anz.Restraint, na.Restraint)
	assert.Zero(t, eu.Restraint.Upward)
	assert.InDelta(t, 0.6, eu.Restraint.Sideways, 0)
	assert.Greater(t, na.BallLeast, anz.BallLeast)
	assert.Less(t, eu.BallLeast, anz.BallLeast)
	for _, p := range []Practice{anz, eu, na} {
		j := NewJob("j", "J", AustraliaNZ)
		j.Practice = p
		assert.NoError(t, Validate(&j))
		assert.InDelta(t, 0.35, p.FrontShare, 0)
		assert.InDelta(t, 0.6, p.RunnerFactor, 0)
	}
}

// full is a job that names everything that a stance, a case, a mark and an
// acceptance can name.
func full() Job {
	j := sample()
	v := &j.Variants[0]
	v.Stances = []Stance{{ID: "cook", Name: "Cook", Use: StanceCook, Open: []Opened{{Module: "fridge"}},
		Doors: []Door{{Bay: "tray"}},
		Loose: []LoosePlace{{Item: "fridge", Outside: true}}, Folded: []SeatKept{{Seat: "passenger"}},
		Turned: []SeatTurned{{Seat: "driver", By: 180}}, Hung: []Hung{{Traveller: "ann", Head: "a", Foot: "b", Low: 900}},
		Sleepers: []Sleeper{{Traveller: "ann"}}, People: []Placed{}, Ground: []GroundThing{}}}
	v.Cases = []Case{{ID: "full", Name: "Full", Switches: []CaseSwitch{{Switch: "raft", On: true}},
		Choices: []CaseChoice{{Choice: "roof", Member: "m"}},
		Levels: []CaseLevel{
			{Of: "fuel", Litres: 40},
		}, Charges: []CaseCharge{{System: "house", Charge: 0.5}}, People: []CasePerson{{Item: "ann", Seat: "passenger"}},
		Stance: "cook"}}
	v.UsedUp = []UsedFirst{{Of: "fuel"}}
	j.Accepted = []Accepted{{Key: "rim-height/fridge", Stance: "cook", Severity: Caution, Beyond: 40,
		Why: "Both are tall."}}
	j.Vehicle.Marks = []Mark{{ID: "plate", Name: "Number plate", Kind: PlateMark, From: FaceRear}}
	return j
}

func TestStancesCasesAndAcceptancesTravelWithTheJob(t *testing.T) {
	j := full()
	require.NoError(t, Validate(&j))
	data, err := Encode(&j)
	require.NoError(t, err)
	again, err := Decode(data)
	require.NoError(t, err)
	assert.Equal(t, j.Variants[0].Cases[0].People, again.Variants[0].Cases[0].People)
	assert.Equal(t, j.Variants[0].Stances[0].Loose, again.Variants[0].Stances[0].Loose)
	assert.Equal(t, j.Accepted, again.Accepted)
	assert.Equal(t, j.Vehicle.Marks, again.Vehicle.Marks)
	twice, err := Encode(&again)
	require.NoError(t, err)
	assert.Equal(t, string(data), string(twice))
}

// Taking something away never makes a job unreadable because a case or a stance
// still names it.
func TestWhatStancesAndCasesNameMayBeGone(t *testing.T) {
	j := full()
	j.Variants[0].Items, j.Variants[0].Switches, j.Variants[0].Choices = []Item{}, []Switch{}, []Choice{}
	assert.NoError(t, Validate(&j))
}

func TestBadStancesAndCasesAreRefusedWithASentence(t *testing.T) {
	for _, c := range []struct {
		name, sentence string
		change         func(j *Job)
	}{
		{"two stances of one id", `variants[0].stances[1].id (Cook): "cook" a second time`, func(j *Job) {
			j.Variants[0].Stances = append(j.Variants[0].Stances, j.Variants[0].Stances[0])
		}},
		{"two cases of one id", `variants[0].cases[1].id (Full): "full" a second time`, func(j *Job) {
			j.Variants[0].Cases = append(j.Variants[0].Cases, j.Variants[0].Cases[0])
		}},
		{"two marks of one id", `vehicle.marks[1].id (Number plate): "plate" a second time`, func(j *Job) {
			j.Vehicle.Marks = append(j.Vehicle.Marks, j.Vehicle.Marks[0])
		}},
		{"a stance for nothing known", `"dance" was given; accepted is one of drive, cook, sleep, other`, func(j *Job) {
			j.Variants[0].Stances[0].Use = "dance"
		}},
		{"a case without a name", "variants[0].cases[0].name (A): an empty text was given", func(j *Job) {
			j.Variants[0].Cases[0].Name = ""
		}},
		{"a case with less than nothing in a tank", "-3 L was given; accepted is a number from 0 to 5000 L", func(j *Job) {
			j.Variants[0].Cases[0].Levels[0].Litres = -3
		}},
		{"a person without an id", "accepted is an id of 1 to 64 letters", func(j *Job) {
			j.Variants[0].Cases[0].People[0].Item = ""
		}},
		{"an acceptance without a reason", "accepted[0].why", func(j *Job) { j.Accepted[0].Why = "" }},
		{"a share of more than a half on one side", "practice.sideShare", func(j *Job) { j.Practice.SideShare = 0.7 }},
		{"a runner used beyond its rating", "practice.runnerFactor", func(j *Job) { j.Practice.RunnerFactor = 1.4 }},
		{"an uncertainty below nothing", "practice.uncertainty.material", func(j *Job) {
			j.Practice.Uncertainty.Material = -0.1
		}},
		{"a restraint beyond any crash", "practice.restraint.forward", func(j *Job) { j.Practice.Restraint.Forward = 60 }},
		{"a ball share above the trailer", "practice.ballMost", func(j *Job) { j.Practice.BallMost = 2 }},
		{"a mark seen from nowhere known", `"inside" was given`, func(j *Job) { j.Vehicle.Marks[0].From = "inside" }},
	} {
		t.Run(c.name, func(t *testing.T) {
			j := full()
			c.change(&j)
			err := Validate(&j)
			require.Error(t, err)
			assert.Contains(t, err.Error(), c.sentence)
			// A file with it says the same as the screen.
			data, trouble := json.Marshal(&j)
			require.NoError(t, trouble)
			_, err = Decode(data)
			require.Error(t, err)
			assert.Contains(t, err.Error(), c.sentence)
		})
	}
}

// Two people who change different cases, or different settings of stances, both
// get what they meant.
func TestCasesAndStancesMerge(t *testing.T) {
	base := full()
	base.Variants[0].Cases = append(base.Variants[0].Cases, Case{ID: "empty", Name: "Empty"})
	copyOf := func() *Job {
		data, err := Encode(&base)
		require.NoError(t, err)
		j, err := Decode(data)
		require.NoError(t, err)
		return &j
	}
	mine, theirs := copyOf(), copyOf()
	mine.Variants[0].Cases[0].Name = "Leaving full"
	mine.Practice.FrontShare = 0.4
	theirs.Variants[0].Cases[1].Coupled = true
	theirs.Variants[0].Stances[0].Use = StanceOther
	theirs.Practice.SideShare = 0.03
	merged, conflicts, err := Merge(copyOf(), mine, theirs)
	require.NoError(t, err)
	assert.Empty(t, conflicts)
	assert.Equal(t, "Leaving full", merged.Variants[0].Cases[0].Name)
	assert.True(t, merged.Variants[0].Cases[1].Coupled)
	assert.Equal(t, StanceOther, merged.Variants[0].Stances[0].Use)
	assert.InDelta(t, 0.4, merged.Practice.FrontShare, 0)
	assert.InDelta(t, 0.03, merged.Practice.SideShare, 0)

	theirs.Variants[0].Cases[0].Name = "Full of fuel"
	_, conflicts, err = Merge(copyOf(), mine, theirs)
	require.NoError(t, err)
	require.Len(t, conflicts, 1)
	assert.Equal(t, []string{"variants", "a", "cases", "full", "name"}, conflicts[0].Path)
}
