package report_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/handover"
	"zaino/internal/core/plan"
	"zaino/internal/core/report"
	"zaino/internal/demo"
)

func section(t *testing.T, p report.Pack, id string) report.PackSection {
	for _, s := range p.Sections {
		if s.ID == id {
			return s
		}
	}
	require.Fail(t, "no section "+id)
	return report.PackSection{}
}

func allOf(s report.PackSection) string {
	all := append([]string{s.Title, s.Lead}, s.Lines...)
	for _, table := range s.Tables {
		all = append(all, table.Title)
		for _, row := range table.Rows {
			all = append(all, strings.Join(row, " "))
		}
	}
	return strings.Join(all, "\n")
}

// Every demo job has a pack whose sections say something, whose tables are even, and whose loading card is of every case
// that they drive.
func TestEveryJobHasAPack(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for _, j := range jobs {
		p := report.PackOf(&j)
		ids := map[string]bool{}
		for _, s := range p.Sections {
			assert.False(t, ids[s.ID], s.ID)
			ids[s.ID] = true
			assert.NotEmpty(t, s.Title)
			assert.Positive(t, len(s.Lines)+len(s.Tables), s.ID)
			for _, table := range s.Tables {
				for _, row := range table.Rows {
					assert.Len(t, row, len(table.Heads), "%s %s", s.ID, table.Title)
				}
			}
		}
		for _, must := range []string{"built", "weights", "drive-away", "first", "lay-up", "wake-up", "care", "cautions", "walk", "power"} {
			assert.True(t, ids[must], "%s has no %s", j.Name, must)
		}
		assert.Len(
			t,
			section(t, p, "weights").Tables,
			1+len(j.ChosenVariant().Cases),
			"as it is shown, and each case",
		)
		assert.Equal(t, handover.Fingerprint(&j), p.Sum)
		if j.Units == fitout.US {
			assert.Contains(t, allOf(section(t, p, "weights")), "lb")
		}
	}
}

// What failed, what was left, what was agreed to and what comes later is said; keys that are alike are said to be.
func TestAPackHidesNothing(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := jobs[0]
	v := j.ChosenVariant()
	test := handover.Tests(plan.Of(&j))[0]
	v.Tests = []fitout.TestDone{{Test: test.ID, Passed: fitout.IsNotSo, Tagged: true}}
	p := report.PackOf(&j)
	left := allOf(section(t, p, "left"))
	assert.Contains(t, left, test.Title+": did not pass, locked out and tagged")
	assert.Contains(t, left, "The work light mast is fitted by the depot's electrician")
	assert.Contains(t, allOf(section(t, p, "keys")), "One key fits canopy, left side and canopy, right side.")
	assert.Contains(t, allOf(section(t, p, "papers")), "Torvell Axle Works")
	assert.Contains(t, allOf(section(t, p, "papers")), "Not attached yet: mains")
	assert.Contains(t, allOf(section(t, p, "weights")), "Not weighed as it stands")
	if len(j.Accepted) > 0 {
		assert.Contains(t, allOf(section(t, p, "agreed")), j.Accepted[0].Why)
	}
	weighed := report.PackOf(&jobs[1])
	assert.Contains(t, allOf(section(t, weighed, "weights")), "Weighed, see below")
	assert.Contains(t, allOf(section(t, weighed, "weighed")), "Pads in bay 1")
}
