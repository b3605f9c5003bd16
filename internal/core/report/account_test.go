package report_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/report"
	"zaino/internal/example"
)

func TestTheAccountAddsUpToThePads(t *testing.T) {
	j := example.Laden(t, 40)
	j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "Box trailer", Coupled: true, Mass: 900, Ball: 80}
	j.Vehicle.Parts = []fitout.Part{{ID: "spare", Name: "Spare wheel", Mass: 30, At: fitout.Point{X: 3800},
		InBaseline: true, State: fitout.Moved, MovedTo: &fitout.Point{X: 1000, Z: 1900}, Source: fitout.ByScale}}
	of := assess.Of(&j)
	a, err := report.AccountOf(&j, "")
	require.NoError(t, err)
	assert.InDelta(t, of.Axles.Front, a.Sum.Front, 1e-6)
	assert.InDelta(t, of.Axles.Rear, a.Sum.Rear, 1e-6)
	assert.InDelta(t, of.Gross, a.Sum.Kg, 1e-6)
	assert.InDelta(t, a.Sum.Rear, a.Sum.Moment*1000/of.Wheelbase, 1e-6, "the formula gives the figure")
	require.NotEmpty(t, a.Formulas)
	assert.Equal(t, "R = Σ m x / L", a.Formulas[0].Formula)
	assert.Contains(t, a.Baseline, "kerb: full fuel")
	assert.Len(t, a.Limits, 4)
	assert.NotEmpty(t, a.Cautions)
}

// Putting what the card says may still go into a space there leaves every limit
// kept, and a kilogram more does not.
func TestWhatTheCardLeavesIsWhatIsLeft(t *testing.T) {
	j := example.Laden(t, -60)
	card := report.CardOf(&j)
	require.NotEmpty(t, card.Room)
	for i, room := range card.Room {
		if room.Left <= 0 {
			continue
		}
		try := func(kg float64) bool {
			more := j
			more.Variants = append([]fitout.Variant{}, j.Variants...)
			v := more.ChosenVariant()
			bay := j.Vehicle.Bays[i]
			v.Items = append(append([]fitout.Item{}, v.Items...), fitout.Item{ID: "more", Name: "More", Form: fitout.FormBox,
				Mass: kg, Presence: fitout.Presence{Kind: fitout.Always}, Source: fitout.ByScale, At: fitout.Point{X: bay.At.X +
					bay.LengthLeft/2, Y: bay.At.Y, Z: bay.At.Z}})
			for _, pad := range assess.Of(&more).Pads {
				if pad.State == "over" {
					return false
				}
			}
			return true
		}
		assert.True(t, try(room.Left-0.1), room.Name)
		assert.False(t, try(room.Left+1), room.Name)
		assert.NotEmpty(t, room.Binds)
	}
	assert.NotEmpty(t, card.Tyres)
}
