package strength

import (
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// Two drawers that are out at once pull with their own loads, and not twice with the heavier one's.
func TestEachDrawerPullsWithItsOwnLoad(t *testing.T) {
	with := func(loads ...float64) float64 {
		s := wagon.Sound()
		s.Unladen = 100
		p := wagon.Part("unit", fitout.Drawers, scene.Drawers, wagon.Box(3000, -300, 620, 900, 600, 300), 40)
		leaf := p.Leaves[0]
		p.Leaves, p.Cells = nil, nil
		for k, kg := range loads {
			id := strconv.Itoa(k)
			leaf.Cell = id
			p.Leaves, p.Cells = append(p.Leaves, leaf), append(p.Cells, scene.Compartment{ID: id, Name: id, Load: kg})
		}
		s.Parts = []scene.Part{p}
		stance := fitout.Stance{ID: "x", Name: "X"}
		for k := range loads {
			stance.Open = append(stance.Open, fitout.Opened{Module: "unit", Cell: strconv.Itoa(k)})
		}
		s.Stances = []fitout.Stance{stance}
		s.Prepare()
		found := TipVehicle(s)
		require.Len(t, found, 1)
		return found[0].Value
	}
	// By hand: the unit weighs 40, so that each of two drawers is 40 × drawerShare ÷ 2 and what lies in it.
	one := 40 * DrawerShare / 2
	both := with(40, 40)
	assert.InDelta(t, both*(40+2*one)/(80+2*one), with(40, 0), 1e-6)
	assert.InDelta(t, both*(70+2*one)/(80+2*one), with(40, 30), 1e-6)
}
