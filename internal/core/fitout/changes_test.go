package fitout_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

func TestChangesAreToldByThingAndField(t *testing.T) {
	j := fitout.NewJob("a", "Wagon", fitout.AustraliaNZ)
	j.Variants[0].Items = []fitout.Item{{ID: "box", Name: "Tool box", Mass: 20}, {ID: "jack", Name: "Jack", Mass: 9}}
	after := j
	after.Variants = []fitout.Variant{j.Variants[0]}
	after.Variants[0].Items = []fitout.Item{
		{ID: "box", Name: "Tool box", Mass: 23},
		{ID: "tent", Name: "Tent", Mass: 12},
	}
	changes, err := fitout.Changes(&j, &after)
	require.NoError(t, err)
	require.Len(t, changes, 3)
	path := func(rest ...string) []string { return append([]string{"variants", j.Variants[0].ID, "items"}, rest...) }
	assert.Equal(t, fitout.Change{Path: path("box", "mass"), Name: "Tool box", Was: 20.0, Is: 23.0}, changes[0])
	assert.Equal(t, []any{path("tent"), "Tent", nil}, []any{changes[1].Path, changes[1].Name, changes[1].Was})
	assert.Equal(t, []any{path("jack"), "Jack", nil}, []any{changes[2].Path, changes[2].Name, changes[2].Is})

	turned := j
	turned.Variants = []fitout.Variant{j.Variants[0]}
	turned.Variants[0].Items = []fitout.Item{j.Variants[0].Items[1], j.Variants[0].Items[0]}
	changes, err = fitout.Changes(&j, &turned)
	require.NoError(t, err)
	require.Len(t, changes, 1, "an order that changed is one change")
	assert.Equal(t, path(), changes[0].Path)
}

// Whatever two jobs differ in is told, nothing else is, and each way round the same.
func TestChangesAreThereExactlyWhenJobsDiffer(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		a, b := example.Any(t), example.Any(t)
		if rapid.Bool().Draw(t, "same") {
			data, err := json.Marshal(&a)
			require.NoError(t, err)
			b = fitout.Job{}
			require.NoError(t, json.Unmarshal(data, &b))
		}
		there, err := fitout.Changes(&a, &b)
		require.NoError(t, err)
		back, err := fitout.Changes(&b, &a)
		require.NoError(t, err)
		first, err := json.Marshal(&a)
		require.NoError(t, err)
		second, err := json.Marshal(&b)
		require.NoError(t, err)
		assert.Equal(t, string(first) != string(second), len(there) > 0)
		assert.Len(t, back, len(there))
		for _, c := range there {
			assert.NotEqual(t, c.Was, c.Is)
		}
	})
}
