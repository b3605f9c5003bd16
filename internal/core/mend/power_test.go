package mend_test

import (
	"context"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/mend"
	"zaino/internal/demo"
	"zaino/internal/example"
)

// The incubator of the queen breeder would go cold: there are at least three ways to mend
// it, the cheapest first, each tried on the whole job. With any of them the battery lasts,
// and nothing else is broken.
func TestABatteryThatRunsOutIsMended(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := &jobs[2]
	shop := example.Shop()
	before := assess.Of(j)
	mends, err := mend.Limit(context.Background(), j, shop, "power:house", func(float64) {})
	require.NoError(t, err)
	require.GreaterOrEqual(t, len(mends.Found), 3)
	stops := func(a *assess.Assessment) (n int) {
		for _, f := range a.Findings {
			if f.Severity == fitout.Stop {
				n++
			}
		}
		return n
	}
	for _, m := range mends.Found {
		var edits []fitout.FixEdit
		for _, c := range m.Changes {
			edits = append(edits, c.Edit)
		}
		mended, err := edit.Apply(j, shop, edits)
		require.NoError(t, err)
		a := assess.Of(&mended)
		for _, f := range a.Findings {
			assert.NotContains(t, []string{"power-runs-out", "must-not-drop"}, f.Rule, m.Changes[0].Label)
		}
		assert.Less(t, stops(&a), stops(&before), m.Changes[0].Label)
		assert.Equal(t, a.Pads, m.Pads, "the pads are those that it promised")
		assert.Contains(t, m.Caution, "electrician")
	}
	_, err = mend.Limit(context.Background(), j, shop, "power:gone", func(float64) {})
	assert.ErrorContains(t, err, "the id of a battery")
}
