package edit_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/example"
)

// canopy is a tray ute with a canopy that opens to the left and the right, and nothing in it.
func canopy() fitout.Job {
	j := example.Ute()
	side := func(id, name string, kind fitout.BayKind, face fitout.Face, y float64) fitout.Bay {
		return fitout.Bay{ID: id, Name: name, Kind: kind, At: fitout.Point{X: 2200, Y: y, Z: 900}, Levelled: true,
			LengthLeft: 1900, LengthRight: 1900, WidthFront: 850, WidthRear: 850, HeightFront: 900, HeightRear: 900,
			DiagonalLeft: 2081.5, DiagonalRight: 2081.5, Sealed: true, Lockable: true, Obstacles: []fitout.Obstacle{},
			Opening: fitout.Opening{Face: face, Width: 1860, Height: 870, Hinge: fitout.HingeTop, Swing: 100}}
	}
	j.Vehicle.Bays = []fitout.Bay{side("left", "Canopy, left", fitout.BayCanopyLeft, fitout.FaceLeft, -430),
		side("right", "Canopy, right", fitout.BayCanopyRight, fitout.FaceRight, 430)}
	j.Vehicle.Mounts = []fitout.Mount{}
	j.Variants[0].Items = []fitout.Item{}
	return j
}

func added(t *testing.T, j fitout.Job, component, bay string) (fitout.Job, *fitout.Item) {
	t.Helper()
	a, err := edit.Add(&j, example.Shop(), component, bay, false)
	require.NoError(t, err, component)
	items := a.Job.Variants[0].Items
	item := &items[len(items)-1]
	require.Equal(t, a.ID, item.ID)
	return a.Job, item
}

// An empty canopy is filled with ten parts of the catalogue: each faces the open side, stands
// clear of the others, and nothing is found about any of them.
func TestANewcomersCanopyMakesNoFinding(t *testing.T) {
	j := canopy()
	before := len(assess.Of(&j).Findings)
	var item *fitout.Item
	for _, part := range []struct{ component, bay string }{{"drawers-7", "left"}, {"fridge-45", "left"}, {"locker-1", "left"},
		{"pantry-1", "left"}, {"can-20", "left"}, {"upright-65", "right"}, {"kitchen-stove", "right"}, {"tank-step-40", "right"},
		{"battery-100", "right"}, {"station-500", "right"}} {
		j, item = added(t, j, part.component, part.bay)
		if item.Module.Faces != fitout.FaceTop && item.Module.Faces != fitout.FaceNone {
			assert.Equal(t, fitout.Face(part.bay), item.Module.Faces, "%s faces the open side", item.Name)
		}
	}
	p := plan.Of(&j)
	s := scene.Of(p)
	for _, f := range fit.Check(s) {
		assert.Equal(t, fitout.Note, f.Severity, "%s: %s", f.Title, f.Sentence)
	}
	for i := range s.Parts {
		for k := range s.Parts[:i] {
			by := s.Parts[i].Box.Overlap(s.Parts[k].Box)
			assert.LessOrEqual(
				t,
				min(by.X, by.Y, by.Z),
				1e-6,
				"%s stands in %s",
				s.Parts[i].Name(),
				s.Parts[k].Name(),
			)
		}
	}
	assert.LessOrEqual(t, len(assess.Of(&j).Findings), before+4)
	assert.Len(t, example.Found(t, j, "stances-none"), 1, "what is open together the newcomer has not said yet")
}

// What does not fit says by how much, nothing is changed, and it can be added anyway.
func TestWhatDoesNotFitSaysHowMuchItLacks(t *testing.T) {
	j := canopy()
	before := len(j.Variants[0].Items)
	a, err := edit.Add(&j, example.Shop(), "upright-130", "left", false) // 950 high in 900
	assert.ErrorContains(t, err, "it needs 50\u00a0mm more height")
	assert.Len(t, a.Job.Variants[0].Items, before)
	a, err = edit.Add(&j, example.Shop(), "upright-130", "left", true)
	require.NoError(t, err)
	assert.Len(t, a.Job.Variants[0].Items, before+1)
	_, err = edit.Add(&j, example.Shop(), "gone", "left", true)
	assert.ErrorContains(t, err, "a component of the catalogue")
	a, err = edit.Add(&j, example.Shop(), "drawers-1", "", false)
	require.NoError(t, err, "with no space it stands on the floor of the vehicle")
	assert.Empty(t, a.Job.Variants[0].Items[before].Bay)
}

// A space that nobody has measured is not called too small: it is to be measured.
func TestNothingIsFittedIntoASpaceThatIsNotMeasured(t *testing.T) {
	j := canopy()
	for i := range j.Vehicle.Bays {
		b := &j.Vehicle.Bays[i]
		b.LengthLeft, b.LengthRight, b.WidthFront, b.WidthRear, b.HeightFront, b.HeightRear = 0, 0, 0, 0, 0, 0
	}
	_, err := edit.Add(&j, example.Shop(), "drawers-1", "left", false)
	assert.ErrorContains(t, err, "is not measured yet")
	assert.ErrorContains(t, err, "Measure it under Vehicle, Space")
	_, err = edit.Add(&j, example.Shop(), "drawers-1", "left", true)
	assert.NoError(t, err)
}

// Whatever is added one after the other into a space, nothing stands in anything else or out
// of its space, until nothing more goes in.
func TestAddingFillsASpaceWithoutAClash(t *testing.T) {
	shop := example.Shop()
	for seed := range 12 {
		j := canopy()
		for k := range 14 {
			component := shop[(seed*17+k*7)%len(shop)]
			a, err := edit.Add(&j, shop, component.ID, []string{"left", "right"}[(seed+k)%2], false)
			if err == nil {
				j = a.Job
			}
		}
		s := scene.Of(plan.Of(&j))
		for i := range s.Parts {
			p := &s.Parts[i]
			if out, _ := scene.Outside(p.Box, s.Bay(p.Bay)); out > 0.01 {
				t.Errorf("%s stands %.1f mm out of its space", p.Name(), out)
			}
			for k := range s.Parts[:i] {
				by := p.Box.Overlap(s.Parts[k].Box)
				assert.LessOrEqual(t, min(by.X, by.Y, by.Z), 1e-6, "%s stands in %s", p.Name(), s.Parts[k].Name())
			}
		}
	}
}

// What nothing holds is held in one press: the finding about it is gone, what was bolted says that it is to be
// looked at, and a second press has nothing left to do.
func TestWhatNothingHoldsIsHeldInOnePress(t *testing.T) {
	j, item := added(t, canopy(), "battery-100", "right")
	id := item.ID
	bare := edit.WithItems(&j, func(i *fitout.Item) {
		if i.ID == id {
			m := *i.Module
			m.Fixings, i.Module = []fitout.Fixing{}, &m
		}
	})
	bare.Vehicle.Mounts = []fitout.Mount{}
	restraint := func(j *fitout.Job) *fitout.Finding {
		for _, f := range assess.Of(j).Findings {
			if f.Rule == "restraint" {
				return &f
			}
		}
		return nil
	}
	f := restraint(&bare)
	require.NotNil(t, f)
	require.NotEmpty(t, f.Fixes)
	held, err := edit.Apply(&bare, nil, []fitout.FixEdit{f.Fixes[0].Edit})
	require.NoError(t, err)
	assert.Nil(t, restraint(&held))
	require.NotEmpty(t, held.Vehicle.Mounts)
	assert.Contains(t, held.Vehicle.Mounts[0].Beneath, "look before drilling")
	_, err = edit.Apply(&held, nil, []fitout.FixEdit{f.Fixes[0].Edit})
	assert.Error(t, err)
}
