package assess_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// letStand lets the findings of a rule stand as they are.
func letStand(t *testing.T, j *fitout.Job, rule string) {
	t.Helper()
	for _, f := range assess.Of(j).Findings {
		if f.Rule == rule {
			require.True(t, f.Waivable, f.Title)
			j.Accepted = append(j.Accepted, fitout.Accepted{Key: f.Key, Stance: f.Stance, Severity: f.Severity,
				Beyond: -f.Margin, Why: "Trimmed on site"})
		}
	}
	require.NoError(t, fitout.Validate(j))
	require.NotEmpty(t, j.Accepted)
}

func of(a *assess.Assessment, rule string) *fitout.Finding {
	for i := range a.Findings {
		if a.Findings[i].Rule == rule {
			return &a.Findings[i]
		}
	}
	return nil
}

// A clash of 40 mm that was let stand may become 44, and not 46.
func TestWhatWasLetStandHoldsToATenth(t *testing.T) {
	j := example.Fitted()
	benchItem(&j, "unit").At.X -= 40
	letStand(t, &j, "parts-clash")
	for mm, holds := range map[float64]bool{0: true, 3.9: true, 6: false, -20: true} {
		t.Run(fmt.Sprint(mm), func(t *testing.T) {
			worse := j
			worse.Variants = []fitout.Variant{j.Variants[0]}
			worse.Variants[0].Items = append([]fitout.Item{}, j.Variants[0].Items...)
			benchItem(&worse, "unit").At.X -= mm
			a := assess.Of(&worse)
			f := of(&a, "parts-clash")
			require.NotNil(t, f)
			if holds {
				assert.Equal(t, "Trimmed on site", f.Accepted)
				assert.Empty(t, a.Fallen)
				return
			}
			assert.Empty(t, f.Accepted, "it asks again")
			require.Len(t, a.Fallen, 1)
			assert.Equal(t, f.Key, a.Fallen[0].Finding)
			assert.Equal(t, "Trimmed on site", a.Fallen[0].Why, "what was said is not lost")
			assert.Contains(t, a.Fallen[0].Told, "was let stand at 40\u00a0mm beyond, and it is 46\u00a0mm now")
		})
	}
}

// What is let stand of one clash says nothing of the clash with something else.
func TestWhatWasLetStandNamesBoth(t *testing.T) {
	j := example.Fitted()
	benchItem(&j, "unit").At.X -= 40
	letStand(t, &j, "parts-clash")
	box := *benchItem(&j, "fridge")
	box.ID, box.Name = "box", "Box"
	benchItem(&j, "fridge").At.X -= 700 // out of the way, and the box stands there instead
	j.Variants[0].Items = append(j.Variants[0].Items, box)
	a := assess.Of(&j)
	for _, f := range a.Findings {
		if f.Rule == "parts-clash" {
			assert.Empty(t, f.Accepted, f.Key)
		}
	}
}

// A load beyond its runners' share is let stand as a caution; beyond their rating it is a
// stop, and asks again.
func TestWhatWasLetStandFallsWhenItGetsGraver(t *testing.T) {
	j := example.Fitted()
	unit, stove := benchItem(&j, "unit"), benchItem(&j, "stove")
	unit.Module.Rated, j.Practice.RunnerFactor = 40, 0.7
	stove.Mass = 22
	letStand(t, &j, "runner-load")
	a := assess.Of(&j)
	assert.Equal(t, "Trimmed on site", of(&a, "runner-load").Accepted)
	benchItem(&j, "stove").Mass = 23
	a = assess.Of(&j)
	assert.Equal(t, "Trimmed on site", of(&a, "runner-load").Accepted, "a little more is no news")
	benchItem(&j, "stove").Mass = 60
	a = assess.Of(&j)
	f := of(&a, "runner-load")
	assert.Equal(t, fitout.Stop, f.Severity)
	assert.Empty(t, f.Accepted)
	require.Len(t, a.Fallen, 1)
	assert.Contains(t, a.Fallen[0].Told, "as a caution, and it is a stop now")
}

// What is let stand is not still to be done: neither a stop nor a caution counts.
func TestWhatIsLetStandIsNotOpen(t *testing.T) {
	j := example.Fitted()
	benchItem(&j, "unit").At.X -= 40
	before := assess.Of(&j)
	stops, cautions := before.Open()
	require.NotZero(t, stops)
	letStand(t, &j, "parts-clash")
	after := assess.Of(&j)
	fewer, same := after.Open()
	assert.Equal(t, stops-len(j.Accepted), fewer)
	assert.Equal(t, cautions, same)
}
