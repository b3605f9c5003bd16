package build

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
)

// Whoever drills for a unit at four points reads what lies beneath each of them, not of the last alone.
func TestWhatLiesBeneathIsSaidOfEveryPoint(t *testing.T) {
	mounts := []fitout.Mount{
		{ID: "a", Name: "Front left", Beneath: "fuel tank strap"}, {ID: "b", Name: "Front right", Beneath: "fuel tank strap"},
		{ID: "c", Name: "Rear left", Beneath: "nothing"}, {ID: "d", Name: "Rear right", Beneath: "brake line"},
		{ID: "e", Name: "Headboard"}, {ID: "f", Name: "Not used", Beneath: "exhaust"},
	}
	at := func(ids ...string) []fitout.Fixing {
		var all []fitout.Fixing
		for _, id := range ids {
			all = append(all, fitout.Fixing{Mount: id})
		}
		return all
	}
	assert.Equal(t, "Before drilling at front left and front right: beneath lies fuel tank strap. "+
		"Before drilling at rear right: beneath lies brake line.", beneath(mounts, at("a", "b", "c", "d")))
	assert.Equal(t, "Before drilling at headboard: look what lies beneath, nobody said it.", beneath(mounts, at("e", "c")))
	assert.Empty(t, beneath(mounts, at("c")), "nothing lies there")
	assert.Empty(t, beneath(mounts, nil))
}
