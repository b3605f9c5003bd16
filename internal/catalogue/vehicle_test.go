package catalogue

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
)

// A class can be opened and driven away empty: valid, within its limits, with
// a payload, and plainly marked as a guess.
func TestClassesArePlausible(t *testing.T) {
	classes, err := Classes()
	require.NoError(t, err)
	require.GreaterOrEqual(t, len(classes), 8)
	seen := map[string]bool{}
	for _, class := range classes {
		t.Run(class.ID, func(t *testing.T) {
			assert.False(t, seen[class.ID])
			seen[class.ID] = true
			job := fitout.NewJob("job", "Job", fitout.AustraliaNZ)
			job.Vehicle = class.Vehicle
			require.NoError(t, fitout.Validate(&job))
			a := assess.Of(&job)
			assert.False(t, a.Stopped(), "%v", a.Findings)
			payload := class.Vehicle.Limits.Gross.Kg - a.Gross
			assert.Greater(t, payload, 500.0)
			assert.Less(t, payload, 2500.0)
			share := a.Dry.Front / a.Dry.Gross()
			assert.Greater(t, share, 0.48)
			assert.Less(t, share, 0.65)
			rules := map[string]bool{}
			for _, f := range a.Findings {
				rules[f.Rule] = true
			}
			for _, cannotBe := range []string{"off-the-vehicle", "ground-clearance", "bay-in-cab", "bay-beyond", "fuel-weight", "outline-odd",
				"limit-odd", "baseline-light", "tank-odd", "driver-odd", "split-odd", "suspension-odd"} {
				assert.False(t, rules[cannotBe], cannotBe)
			}
			assert.True(t, rules["limit-estimated"])
			assert.True(t, rules["baseline-split-assumed"])
		})
	}
}
