package fit_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// A thing of the ledger that stands in a space is in the way as a part is, and the finding is about the thing; without a
// space or a size nothing can be said of it. What holds it nobody can say before it is a part.
func TestAThingOfTheLedgerStandsInTheWayToo(t *testing.T) {
	with := func(change func(i *fitout.Item)) []fitout.Finding {
		j := example.Fitted()
		v := j.ChosenVariant()
		unit := v.Items[0]
		for _, i := range v.Items {
			if i.Module != nil && i.Bay != "" {
				unit = i
				break
			}
		}
		require.NotNil(t, unit.Module)
		box := fitout.Item{
			ID:       "box",
			Name:     "Box",
			Form:     fitout.FormBox,
			Mass:     20,
			Source:   fitout.Estimate,
			At:       unit.At,
			Bay:      unit.Bay,
			Size:     fitout.Size{Length: 100, Width: 100, Height: 100},
			Presence: fitout.Presence{Kind: fitout.Always},
		}
		change(&box)
		v.Items = append(v.Items, box)
		var found []fitout.Finding
		for _, rule := range fit.Engine().Rules {
			for _, f := range rule(plan.Of(&j)) {
				if f.Subject.ID == "box" || len(f.With) > 0 && f.With[0] == "box" {
					found = append(found, f)
				}
			}
		}
		return found
	}
	found := with(func(*fitout.Item) {})
	require.NotEmpty(t, found)
	for _, f := range found {
		assert.NotEqual(t, "restraint", f.Rule)
		assert.Equal(t, fitout.Note, f.Severity, "nobody drew its box")
		if f.Subject.ID == "box" {
			assert.Equal(t, "item", f.Subject.Kind)
		}
	}
	assert.Equal(t, "parts-clash", found[0].Rule)
	assert.Empty(t, with(func(i *fitout.Item) { i.Bay = "" }))
	assert.Empty(t, with(func(i *fitout.Item) { i.Size.Height = 0 }))
}
