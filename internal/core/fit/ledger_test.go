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
	assert.Empty(t, with(func(i *fitout.Item) { i.At = fitout.Point{} }), "it stands nowhere yet, which its balance says")
}

// A part that stands in another part, and roughly in a thing of the ledger too, stops the build in whatever order
// they were entered; so does one in a wheel arch. What it stands in beyond doubt is told first.
func TestWhatIsRoughHidesNoClashOfWhatIsDrawn(t *testing.T) {
	clash := func(at fitout.Point, order ...string) fitout.Finding {
		j := example.Fitted()
		items := j.ChosenVariant().Items
		box := fitout.Item{ID: "box", Name: "Box", Form: fitout.FormBox, Mass: 20, Source: fitout.Estimate, Bay: "tub",
			Size: fitout.Size{Length: 100, Width: 100, Height: 100}, Presence: fitout.Presence{Kind: fitout.Always}}
		items[0].At.X, items[0].At.Y = items[0].At.X+at.X, items[0].At.Y+at.Y
		box.At = items[0].At // within the fridge
		all := map[string]fitout.Item{"fridge": items[0], "unit": items[1], "stove": items[2], "box": box}
		j.ChosenVariant().Items = nil
		for _, id := range order {
			j.ChosenVariant().Items = append(j.ChosenVariant().Items, all[id])
		}
		var worst fitout.Finding
		for _, f := range example.Found(t, j, "parts-clash") {
			if worst.Rule == "" || f.Severity.Rank() < worst.Severity.Rank() {
				worst = f
			}
		}
		return worst
	}
	for _, order := range [][]string{
		{"fridge", "box", "unit", "stove"}, {"fridge", "unit", "stove", "box"}, {"box", "fridge", "unit", "stove"},
		{"unit", "stove", "box", "fridge"},
	} {
		into := clash(fitout.Point{X: 150}, order...)
		assert.Equal(t, fitout.Stop, into.Severity, "%v: %s", order, into.Sentence)
		assert.Regexp(t, "into (unit|fridge)", into.Sentence, "%v", order)
		arch := clash(fitout.Point{Y: -100, X: 500}, "fridge", "box")
		assert.Equal(t, fitout.Stop, arch.Severity, arch.Sentence)
		assert.Contains(t, arch.Sentence, "into arch left")
	}
	assert.Equal(
		t,
		fitout.Note,
		clash(fitout.Point{}, "fridge", "box").Severity,
		"nothing but the rough one is in the way",
	)
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
