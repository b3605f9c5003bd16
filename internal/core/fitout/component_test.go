package fitout

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// A part that hung on a switch, lay in a drawer and sat in a seat of its job can
// be placed in any other.
func TestAComponentIsLooseFromItsJob(t *testing.T) {
	part := Item{ID: "box", Name: "Box", Form: FormBox, Source: Estimate, Mass: 3, At: Point{X: 3000}, Bay: "tub",
		Seat: "driver", Locked: true, Work: WorkLater,
		Presence: Presence{Kind: BySwitch, Switch: "trip"}, In: &InCell{Module: "unit", Cell: "left"},
		Module: &Module{Kind: LiddedBox, Faces: FaceTop, Wall: NoMaterial, Runner: NoRunner, Stack: Beside, Cells: []Cell{},
			Fixings: []Fixing{}}}
	c := Component{ID: "box", Item: part}
	assert.ErrorContains(t, CheckComponent(&c), "item.bay")
	c.Loosen()
	assert.NoError(t, CheckComponent(&c))
	assert.Equal(t, Presence{Kind: Always}, c.Item.Presence)
	assert.InDelta(t, 3, c.Item.Mass, 0)

	c.ID = "no/good"
	assert.ErrorContains(t, CheckComponent(&c), "an id of 1 to 64 letters")
	c.ID, c.Item.Module = "box", nil
	assert.ErrorContains(t, CheckComponent(&c), "a part with a module")
}
