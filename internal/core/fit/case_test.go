package fit_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// What only comes along in a case is looked at as it stands then: in another part it clashes, beside it it does not,
// and what stays at home in every case is in nobody's way.
func TestWhatOnlyACaseBringsIsLookedAt(t *testing.T) {
	with := func(change func(crate *fitout.Item, c *fitout.Case)) []fitout.Finding {
		j := example.Fitted()
		v := j.ChosenVariant()
		var unit fitout.Item
		for _, i := range v.Items {
			if i.Module != nil && i.Bay != "" && i.In == nil {
				unit = i
				break
			}
		}
		v.Switches = append(v.Switches, fitout.Switch{ID: "guests", Name: "Guests"})
		crate := fitout.Item{
			ID:       "crate",
			Name:     "Crate",
			Form:     fitout.FormBox,
			Mass:     2,
			Source:   fitout.DataSheet,
			At:       unit.At,
			Bay:      unit.Bay,
			Size:     fitout.Size{Length: 100, Width: 100, Height: 100},
			Presence: fitout.Presence{Kind: fitout.BySwitch, Switch: "guests"},
			Module: &fitout.Module{
				Kind:   fitout.PlainGear,
				Faces:  fitout.FaceNone,
				Wall:   fitout.NoMaterial,
				Runner: fitout.NoRunner,
				Stack:  fitout.Beside,
			},
		}
		c := fitout.Case{ID: "visit", Name: "Visit", Switches: []fitout.CaseSwitch{{Switch: "guests", On: true}}}
		change(&crate, &c)
		v.Items, v.Cases = append(v.Items, crate), append(v.Cases, c)
		require.NoError(t, fitout.Validate(&j))
		var found []fitout.Finding
		for _, rule := range fit.Engine().Rules {
			for _, f := range rule(plan.Of(&j)) {
				if f.Rule == "parts-clash" && strings.Contains(f.Names(), "crate") {
					found = append(found, f)
				}
			}
		}
		return found
	}
	found := with(func(*fitout.Item, *fitout.Case) {})
	require.Len(t, found, 1)
	assert.Contains(t, found[0].Sentence, "In “Visit”.")
	assert.Empty(t, with(func(_ *fitout.Item, c *fitout.Case) { c.Switches[0].On = false }), "it stays at home")
	assert.Empty(
		t,
		with(func(crate *fitout.Item, _ *fitout.Case) { crate.Bay, crate.At.X = "", crate.At.X+5000 }),
		"it stands clear",
	)
	always := with(func(crate *fitout.Item, _ *fitout.Case) { crate.Presence = fitout.Presence{Kind: fitout.Always} })
	require.Len(t, always, 1, "told once")
	assert.NotContains(t, always[0].Sentence, "Visit")
}
