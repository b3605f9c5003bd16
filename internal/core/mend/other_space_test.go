package mend_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// Petrol where people ride is offered a place in the tub, where it is held by what is there; with no room in the
// tub it is offered none.
func TestFuelAmongPeopleIsPutIntoAnotherSpace(t *testing.T) {
	carried := func(side float64) fitout.Job {
		j := example.Fitted()
		j.Vehicle.Bays = append(j.Vehicle.Bays, fitout.Bay{
			ID: "row", Name: "Second row", Kind: fitout.BaySecondRow, At: fitout.Point{X: 1200, Z: 700}, Levelled: true, Shared: true,
			LengthLeft: 800, LengthRight: 800, WidthFront: 1400, WidthRear: 1400, HeightFront: 1000, HeightRear: 1000,
			Opening: fitout.Opening{Face: fitout.FaceLeft, Hinge: fitout.HingeNone},
		})
		j.Vehicle.Mounts = []fitout.Mount{{ID: "ring", Name: "Ring", At: fitout.Point{X: 1300, Y: -600, Z: 700}, Rating: 900}}
		example.Stand(&j, "can", fitout.Crate, fitout.FaceNone, 22, side, side, 400, "row")
		can := &j.Variants[0].Items[len(j.Variants[0].Items)-1]
		can.Substance, can.Module.Fixings = fitout.SubstancePetrol, []fitout.Fixing{{Mount: "ring"}}
		return j
	}
	j := carried(250)
	inside := example.Found(t, j, "fuel-inside")
	require.Len(t, inside, 1)
	require.Len(t, inside[0].Fixes, 1)
	assert.Equal(t, "Put the can into tub", inside[0].Fixes[0].Label)
	moved, err := edit.Apply(&j, nil, []fitout.FixEdit{inside[0].Fixes[0].Edit})
	require.NoError(t, err)
	can := moved.Variants[0].Items[len(moved.Variants[0].Items)-1]
	assert.Equal(t, "tub", can.Bay)
	assert.NotContains(t, can.Module.Fixings, fitout.Fixing{Mount: "ring"}, "what is in the cab holds it no more")
	was := map[string]bool{}
	for _, f := range assess.Of(&j).Findings {
		was[f.Key] = true
	}
	for _, f := range assess.Of(&moved).Findings {
		assert.NotEqual(t, "fuel-inside", f.Rule)
		assert.True(t, was[f.Key] || f.Severity == fitout.Note, f.Sentence)
	}

	inside = example.Found(t, carried(790), "fuel-inside")
	require.Len(t, inside, 1)
	assert.Empty(t, inside[0].Fixes)
}
