package fit_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/edit"
	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// A thing of the ledger that stands in a space is in the way as a part is, and the finding is about the thing;
// without a space or a size nothing can be said of it. What holds it nobody can say before it is a part, so nothing
// does.
func TestAThingOfTheLedgerStandsInTheWayToo(t *testing.T) {
	with := func(change func(i *fitout.Item)) []fitout.Finding {
		j := example.Fitted()
		v := j.ChosenVariant()
		unit := v.Items[0]
		for _, i := range v.Items {
			if i.Module != nil && i.Bay != "" {
				unit = i
				break
			}
		}
		require.NotNil(t, unit.Module)
		box := fitout.Item{
			ID:       "box",
			Name:     "Box",
			Form:     fitout.FormBox,
			Mass:     20,
			Source:   fitout.Estimate,
			At:       unit.At,
			Bay:      unit.Bay,
			Size:     fitout.Size{Length: 100, Width: 100, Height: 100},
			Presence: fitout.Presence{Kind: fitout.Always},
		}
		change(&box)
		v.Items = append(v.Items, box)
		var found []fitout.Finding
		for _, rule := range fit.Engine().Rules {
			for _, f := range rule(plan.Of(&j)) {
				if f.Subject.ID == "box" || len(f.With) > 0 && f.With[0] == "box" {
					found = append(found, f)
				}
			}
		}
		return found
	}
	found := with(func(*fitout.Item) {})
	require.NotEmpty(t, found)
	for _, f := range found {
		if f.Rule == "restraint" {
			assert.Equal(t, fitout.Caution, f.Severity, "what is loose is, however rough its box")
			continue
		}
		assert.Equal(t, fitout.Note, f.Severity, "nobody drew its box")
		if f.Subject.ID == "box" {
			assert.Equal(t, "item", f.Subject.Kind)
		}
	}
	assert.Equal(t, "parts-clash", found[0].Rule)
	assert.Empty(t, with(func(i *fitout.Item) { i.Bay = "" }))
	assert.Empty(t, with(func(i *fitout.Item) { i.Size.Height = 0 }))
}

// Gear of the ledger that stands in a space and weighs something is held by nothing until it is a part with fixings;
// what is offered makes it one. What is soft or light, and what stands for the cables, is not looked at.
func TestGearOfTheLedgerIsHeldByNothing(t *testing.T) {
	box := fitout.Item{
		ID: "box", Name: "Box", Form: fitout.FormBox, Mass: 20, Source: fitout.Estimate, At: fitout.Point{X: 2700, Z: 900},
		Bay: "tub", Size: fitout.Size{Length: 100, Width: 100, Height: 100}, Presence: fitout.Presence{Kind: fitout.Always},
	}
	loose := func(change func(i *fitout.Item)) (fitout.Job, *fitout.Finding) {
		j := example.Fitted()
		one := box
		change(&one)
		j.ChosenVariant().Items = append(j.ChosenVariant().Items, one)
		for _, f := range example.Found(t, j, "restraint") {
			if f.Subject.ID == "box" || slices.Contains(f.With, "box") {
				return j, &f
			}
		}
		return j, nil
	}
	j, f := loose(func(*fitout.Item) {})
	require.NotNil(t, f)
	k := slices.IndexFunc(f.Fixes, func(x fitout.Fix) bool { return x.Edit.ID == "box" })
	require.GreaterOrEqual(t, k, 0)
	mended, err := edit.Apply(&j, nil, []fitout.FixEdit{f.Fixes[k].Edit})
	require.NoError(t, err)
	items := mended.ChosenVariant().Items
	held := &items[len(items)-1]
	assert.Equal(t, fitout.PlainGear, held.Module.Kind)
	assert.NotEmpty(t, held.Module.Fixings)
	for _, g := range example.Found(t, mended, "restraint") {
		assert.NotContains(t, append(g.With, g.Subject.ID), "box")
	}
	for what, change := range map[string]func(i *fitout.Item){
		"soft": func(i *fitout.Item) { i.Form = fitout.FormSoft }, "light": func(i *fitout.Item) { i.Mass = 2 },
		"cables": func(i *fitout.Item) { i.Cables = true }, "in no space": func(i *fitout.Item) { i.Bay = "" },
	} {
		_, f := loose(change)
		assert.Nil(t, f, what)
	}
}
