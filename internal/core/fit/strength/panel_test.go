package strength

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// A panel that lies on the floor does not bend; on bearers it does.
func TestAFlatPanelDoesNotSag(t *testing.T) {
	with := func(height float64) []fitout.Finding {
		s := wagon.Sound()
		p := wagon.Part("panel", fitout.FalseFloor, scene.Still, wagon.Box(2700, -500, 600, 1200, 1000, height), 5)
		p.Module().Wall, p.Module().Panel = fitout.Plywood, 6
		s.Parts = []scene.Part{p}
		s.Prepare()
		return PanelSag(s)
	}
	assert.Empty(t, with(6))
	assert.Len(t, with(60), 1)
}
