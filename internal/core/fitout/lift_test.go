package fitout

import (
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The files of every version that has shipped can be read for ever.
func TestGoldenFilesOfEveryVersion(t *testing.T) {
	for version := 1; version <= Version; version++ {
		data, err := os.ReadFile(filepath.Join("testdata", fmt.Sprintf("v%d.zaino.json", version)))
		require.NoError(t, err)
		job, err := Decode(data)
		require.NoError(t, err)
		assert.Equal(t, "Golden job", job.Name)
		assert.Len(t, job.Variants[0].Items, 4)
	}
}

// A document of version 1 had one weighing and no brief: it becomes a ticket
// with the parts of that day, and an unanswered brief.
func TestTheFirstVersionIsLifted(t *testing.T) {
	data, err := os.ReadFile("testdata/v1.zaino.json")
	require.NoError(t, err)
	job, err := Decode(data)
	require.NoError(t, err)
	assert.Equal(t, NewBrief(), job.Brief)
	assert.Equal(t, FromPlate, job.Vehicle.Limits.RoofMoving.Source)
	tickets := job.Vehicle.Baseline.Tickets
	require.Len(t, tickets, 1)
	assert.Equal(t, "Weighing ticket", tickets[0].Name)
	assert.True(t, tickets[0].Counted)
	assert.Equal(t, []WeighedTank{{Tank: "fuel", Litres: 30}}, tickets[0].Tanks)
	assert.Equal(t, []WeighedPart{{Part: "tub"}}, tickets[0].Parts, "the tub was in the baseline")

	broken := strings.Replace(string(data), `"weighed": {`, `"weighed": { "colour": "red",`, 1)
	_, err = Decode([]byte(broken))
	assert.ErrorContains(t, err, "vehicle.baseline.tickets[0].colour (Weighing ticket): an unknown field",
		"what a step does not know is not lost in silence")
}

// Drawers of version 7 kept nothing free below and behind them: lifted they go on to, so that their sizes stay; a job
// gets the usual figures of a workshop, no stock and no prices.
func TestTheSeventhVersionIsLifted(t *testing.T) {
	data, err := os.ReadFile("testdata/v7.zaino.json")
	require.NoError(t, err)
	job, err := Decode(data)
	require.NoError(t, err)
	assert.Equal(t, NewBuild(), job.Build)
	modules := 0
	for _, v := range job.Variants {
		assert.Empty(t, v.Done)
		for _, i := range v.Items {
			if i.Module == nil {
				continue
			}
			modules++
			assert.Equal(t, &Gaps{Above: 5}, i.Module.Gaps, i.Name)
			assert.Empty(t, i.Module.Holes)
			assert.Nil(t, i.Making)
		}
	}
	assert.Positive(t, modules)
}

// A job of version 8 was never weighed loaded, tried or handed over: lifted it says so, and has the usual intervals.
func TestTheEighthVersionIsLifted(t *testing.T) {
	data, err := os.ReadFile("testdata/v8.zaino.json")
	require.NoError(t, err)
	job, err := Decode(data)
	require.NoError(t, err)
	assert.Equal(t, NewHandover(), job.Handover)
	for _, v := range job.Variants {
		assert.Empty(t, v.WeighIns)
		assert.Empty(t, v.Tests)
		for _, i := range v.Items {
			assert.Nil(t, i.Planned)
		}
	}
	assert.Empty(t, job.Handover.Delivered)
	assert.NotEmpty(t, job.Handover.Intervals)
}
