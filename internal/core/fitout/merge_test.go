package fitout

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// edited is the sample with a change.
func edited(change func(*Job)) *Job {
	j := sample()
	change(&j)
	return &j
}

func TestDifferentFieldsMergeSilently(t *testing.T) {
	base := sample()
	mine := edited(func(j *Job) { j.Variants[0].Items[0].Mass = 44; j.Name = "Mine" })
	theirs := edited(func(j *Job) {
		j.Variants[0].Items[0].At.X = 2000
		j.Variants[0].Items = append(j.Variants[0].Items, Item{ID: "tools", Name: "Tools", Form: FormBox, Source: Estimate,
			Presence: Presence{Kind: Always}})
		j.Trailer = nil
	})
	merged, conflicts, err := Merge(&base, mine, theirs)
	require.NoError(t, err)
	assert.Empty(t, conflicts)
	assert.Equal(t, "Mine", merged.Name)
	assert.InDelta(t, 44, merged.Variants[0].Items[0].Mass, 0)
	assert.InDelta(t, 2000, merged.Variants[0].Items[0].At.X, 0)
	assert.Equal(t, "Tools", merged.Variants[0].Items[len(base.Variants[0].Items)].Name)
	assert.Nil(t, merged.Trailer)
}

func TestTheSameFieldChangedTwiceIsAConflict(t *testing.T) {
	base := sample()
	mine := edited(func(j *Job) { j.Variants[0].Items[0].Mass = 44 })
	theirs := edited(func(j *Job) { j.Variants[0].Items[0].Mass = 47 })
	merged, conflicts, err := Merge(&base, mine, theirs)
	require.NoError(t, err)
	assert.Equal(t, []Conflict{{Path: []string{"variants", "a", "items", "fridge", "mass"}, Name: "FRIDGE", Mine: 44.0,
		Theirs: 47.0}}, conflicts)
	assert.InDelta(t, 47, merged.Variants[0].Items[0].Mass, 0, "theirs stands until somebody decides")
}

func TestRemovedHereAndChangedThereIsAConflict(t *testing.T) {
	base := sample()
	mine := edited(func(j *Job) { j.Variants[0].Items = j.Variants[0].Items[1:] })
	theirs := edited(func(j *Job) { j.Variants[0].Items[0].Mass = 47 })
	_, conflicts, err := Merge(&base, mine, theirs)
	require.NoError(t, err)
	require.Len(t, conflicts, 1)
	assert.Nil(t, conflicts[0].Mine)
	assert.Equal(t, "FRIDGE", conflicts[0].Name)
}

func TestAMergeThatBreaksARuleIsRefused(t *testing.T) {
	base := edited(func(j *Job) { j.Variants[0].Items[0].Seat = "" })
	mine := edited(func(j *Job) { j.Variants[0].Items[0].Seat = "passenger" })
	theirs := edited(func(j *Job) {
		j.Variants[0].Items[0].Seat = ""
		j.Vehicle.Seats = append(j.Vehicle.Seats[:1], j.Vehicle.Seats[2:]...)
	})
	_, _, err := Merge(base, mine, theirs)
	assert.ErrorContains(t, err, "accepted is the id of a seat of the vehicle")
}

func TestMergeProperties(t *testing.T) {
	anyEdit := func(t *rapid.T, who string) *Job {
		return edited(func(j *Job) {
			for range rapid.IntRange(0, 4).Draw(t, who) {
				v := &j.Variants[0]
				switch rapid.IntRange(0, 4).Draw(t, "what") {
				case 0:
					v.Items[rapid.IntRange(0, len(v.Items)-1).Draw(t, "item")].Mass = float64(rapid.IntRange(1, 99).Draw(t, "kg"))
				case 1:
					if len(v.Items) > 1 {
						v.Items = v.Items[1:]
					}
				case 2:
					j.Vehicle.Wheelbase = float64(rapid.IntRange(2000, 4000).Draw(t, "mm"))
				case 3:
					v.Switches[0].On = rapid.Bool().Draw(t, "on")
				case 4:
					v.Items = append(v.Items, Item{ID: rapid.StringMatching("[a-z]{8}").Draw(t, "id"), Name: "New", Form: FormBox,
						Source: Estimate, Presence: Presence{Kind: Always}})
				}
			}
		})
	}
	rapid.Check(t, func(t *rapid.T) {
		base := sample()
		mine, theirs := anyEdit(t, "mine"), anyEdit(t, "theirs")
		if Validate(mine) != nil || Validate(theirs) != nil {
			t.Skip("the same id was drawn twice")
		}
		same, conflicts, err := Merge(&base, mine, mine)
		require.NoError(t, err)
		assert.Empty(t, conflicts, "the same edit twice is one edit")
		assert.Equal(t, string(encoded(t, *mine)), string(encoded(t, same)))

		alone, conflicts, err := Merge(&base, mine, &base)
		require.NoError(t, err)
		assert.Empty(t, conflicts)
		assert.Equal(t, string(encoded(t, *mine)), string(encoded(t, alone)), "an edit that met no other is kept as it is")

		_, one, err1 := Merge(&base, mine, theirs)
		_, other, err2 := Merge(&base, theirs, mine)
		assert.Equal(t, err1 == nil, err2 == nil)
		assert.Len(t, other, len(one), "who came first does not make a conflict")
	})
}
