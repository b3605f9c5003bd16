package scene

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
)

func TestEverythingOnTheGroundTakesTimeToPutUp(t *testing.T) {
	for _, kind := range []fitout.GroundKind{"awning", "tent", "table", "chair", "ladder", "trailer", "fire", "other"} {
		assert.Positive(t, pitching[kind].minutes, kind)
	}
}
