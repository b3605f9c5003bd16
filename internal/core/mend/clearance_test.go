package mend_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// What hangs low is told for the vehicle as it stands under its load, and raised by what is told it is gone.
func TestWhatHangsLowUnderTheLoadedVehicle(t *testing.T) {
	j := example.Ute()
	j.Vehicle.Front.Rate, j.Vehicle.Rear.Rate = 30, 30
	j.Vehicle.LowPoints = []fitout.LowPoint{{ID: "bracket", Name: "Tow bracket", At: fitout.Point{X: 3150, Z: 145}}}
	light := example.Found(t, j, "ground-clearance")
	require.Len(t, light, 1)
	example.Add(&j, "ballast", 420, 3150) // all of it on the rear axle
	low := example.Found(t, j, "ground-clearance")
	require.Len(t, low, 1)
	assert.Equal(t, fitout.Caution, low[0].Severity)
	assert.InDelta(t, 420*9.80665/(2*30), light[0].Value-low[0].Value, 0.1, "as far as its springs give way")
	j.Vehicle.LowPoints[0].At.Z -= low[0].Margin - 0.1
	assert.Empty(t, example.Found(t, j, "ground-clearance"), "raised by as much")
	j.Vehicle.LowPoints[0].At.Z = 60
	low = example.Found(t, j, "ground-clearance")
	require.Len(t, low, 1)
	assert.Equal(t, fitout.Stop, low[0].Severity, "its springs give way by more than that")

	j.Vehicle.LowPoints = nil
	j.Vehicle.Bays = example.Fitted().Vehicle.Bays
	example.Stand(&j, "box", fitout.Locker, fitout.FaceLeft, 20, 500, 400, 350, "tub")
	hung := &j.Variants[0].Items[len(j.Variants[0].Items)-1]
	hung.Bay, hung.At.Z = "", 300
	low = example.Found(t, j, "ground-clearance")
	require.Len(t, low, 1, "a part under the tray is no less low than a bracket")
	assert.Equal(t, "box", low[0].Subject.ID)
	assert.Contains(t, low[0].Sentence, "Raise it by")

	for what, hang := range map[string]func(j *fitout.Job){
		"fuel": func(j *fitout.Job) { j.Vehicle.Tanks[0].At.Z = 55 },
		"lamp": func(j *fitout.Job) {
			j.Vehicle.Marks = []fitout.Mark{{ID: "lamp", Name: "Lamp", Kind: fitout.LampMark, At: fitout.Point{X: 4000, Z: 48},
				From: fitout.FaceRear}}
		},
		"": func(j *fitout.Job) { j.Vehicle.Outline.SillHeight = 60 },
	} {
		j := example.Ute()
		assert.Empty(t, example.Found(t, j, "ground-clearance"))
		hang(&j)
		low := example.Found(t, j, "ground-clearance")
		require.Len(t, low, 1, what)
		assert.Equal(t, what, low[0].Subject.ID, "a tank, a lamp, the body itself")
	}
}
