package demo

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
)

func TestDemoJobsAreBelievable(t *testing.T) {
	jobs, err := Jobs()
	require.NoError(t, err)
	require.Len(t, jobs, 3)
	for _, job := range jobs {
		t.Run(job.Name, func(t *testing.T) {
			items := job.Variants[0].Items
			assert.GreaterOrEqual(t, len(items), 25)
			assert.LessOrEqual(t, len(items), 60)
			assert.NotEmpty(t, job.Vehicle.Tanks)
			people := 0
			for _, item := range items {
				if item.Form == fitout.FormPerson {
					people++
				}
			}
			assert.GreaterOrEqual(t, people, 2)
			a := assess.Of(&job)
			for _, f := range a.Findings {
				assert.NotContains(t, f.Rule, "missing")
			}
		})
	}
}

func TestFirstDemoJobIsOverItsRearAxleAndNothingElse(t *testing.T) {
	jobs, err := Jobs()
	require.NoError(t, err)
	a := assess.Of(&jobs[0])
	var stops []string
	for _, f := range a.Findings {
		if f.Severity == fitout.Stop {
			stops = append(stops, f.Rule)
			assert.Greater(t, f.Value-f.Limit, 10.0)
			assert.Less(t, f.Value-f.Limit, 60.0, "a little too heavy")
			assert.NotEmpty(t, f.Fixes)
		}
	}
	assert.Equal(t, []string{"rear-over"}, stops)
	for _, job := range jobs[1:] {
		a := assess.Of(&job)
		assert.False(t, a.Stopped(), job.Name)
	}
}
