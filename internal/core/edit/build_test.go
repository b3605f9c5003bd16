package edit_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

func itemOf(j *fitout.Job, id string) *fitout.Item {
	v := j.ChosenVariant()
	for i := range v.Items {
		if v.Items[i].ID == id {
			return &v.Items[i]
		}
	}
	return nil
}

// A part that was weighed weighs by its panels once they are of another thickness: the axles follow.
func TestAnotherThicknessIsAnotherMass(t *testing.T) {
	j := river(t)
	before := plan.Of(&j)
	changed, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "panel-thickness", ID: "drawer-unit-left", Value: 9}})
	require.NoError(t, err)
	unit := itemOf(&changed, "drawer-unit-left")
	assert.Equal(t, 9.0, unit.Module.Panel)
	assert.Equal(t, fitout.ByMaterial, unit.Source)
	assert.Equal(t, fitout.ByScale, itemOf(&j, "drawer-unit-left").Source, "the given job is not changed")
	after := plan.Of(&changed)
	k := after.Index("drawer-unit-left")
	assert.Less(t, after.Items[k].Mass, 54.0)
	lighter := before.Now.Axles(before.Load.Wheelbase).Gross() - after.Now.Axles(after.Load.Wheelbase).Gross()
	assert.InDelta(t, 54-after.Items[k].Mass, lighter, 1e-6)
}

// A part that is bought whole is not rebuilt, and what is no material is refused.
func TestWhatCannotBeRebuilt(t *testing.T) {
	j := river(t)
	for _, e := range []fitout.FixEdit{
		{Kind: "panel-thickness", ID: "house-battery", Value: 9}, {Kind: "wall", ID: "house-battery", With: "plywood", Value: 12},
		{Kind: "wall", ID: "drawer-unit-left", With: "cheese", Value: 12}, {Kind: "panel-thickness", ID: "drawer-unit-left", Value: -1},
		{Kind: "panel-thickness", ID: "nobody", Value: 9}, {Kind: "make-way", ID: "drawer-unit-left", With: "stolen"},
		{Kind: "build-in", With: "cheese", Value: 12},
	} {
		changed, err := edit.Apply(&j, nil, []fitout.FixEdit{e})
		assert.True(t, err != nil || fitout.Validate(&changed) != nil, "%+v", e)
	}
}

// All that is made here is built of another material at once; what is bought stays.
func TestAllIsBuiltOfAnotherMaterial(t *testing.T) {
	j := river(t)
	changed, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "build-in", With: "foam-core", Value: 15}})
	require.NoError(t, err)
	for _, id := range []string{"drawer-unit-left", "instrument-rack", "pantry-pull-out", "under-tray-box-left"} {
		assert.Equal(t, fitout.FoamCore, itemOf(&changed, id).Module.Wall, id)
		assert.Equal(t, 15.0, itemOf(&changed, id).Module.Panel, id)
	}
	assert.Equal(t, fitout.NoMaterial, itemOf(&changed, "house-battery").Module.Wall)
}

// What the ticked steps needed becomes the workshop's pace; where nothing was noted there is nothing to take over.
func TestThePaceIsTakenOver(t *testing.T) {
	j := river(t)
	_, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "pace-learned"}})
	assert.Error(t, err)
	j.ChosenVariant().Done = []fitout.StepDone{{Step: "level/canopy-left", Done: true, Minutes: 45}}
	changed, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "pace-learned"}})
	require.NoError(t, err)
	assert.Equal(t, []fitout.Pace{{Work: "level", Minutes: 45}}, changed.Build.Pace)
	assert.Empty(t, j.Build.Pace)
}
