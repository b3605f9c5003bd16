package edit_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// spare is a job in which every kind of edit finds something to change.
func spare(t *testing.T) fitout.Job {
	j := example.Twelve()
	j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "Box", Coupled: true, Mass: 1000, Ball: 100,
		BallToAxle: 4200}
	v := j.ChosenVariant()
	v.Switches = []fitout.Switch{{ID: "raft", Name: "Raft", On: true}}
	v.Stances = []fitout.Stance{{ID: "cook", Name: "Cook", Use: fitout.StanceCook,
		Loose: []fitout.LoosePlace{{Item: "chairs", At: fitout.Point{X: 2500, Z: 1000}}}}}
	example.Add(&j, "ann", 70, 0, func(i *fitout.Item) { i.Form, i.Seat = fitout.FormPerson, j.Vehicle.Seats[0].ID })
	example.Add(&j, "jar", 2, 2500, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 20, Now: 15, Density: 1}}
	})
	require.NoError(t, fitout.Validate(&j))
	return j
}

func TestEachKindOfEditChangesWhatItSays(t *testing.T) {
	j := spare(t)
	item := func(j *fitout.Job, id string) *fitout.Item {
		for i := range j.ChosenVariant().Items {
			if j.ChosenVariant().Items[i].ID == id {
				return &j.ChosenVariant().Items[i]
			}
		}
		require.FailNow(t, "no item", id)
		return nil
	}
	last := func(j *fitout.Job) fitout.Modification {
		return j.Vehicle.Modifications[len(j.Vehicle.Modifications)-1]
	}
	for _, c := range []struct {
		edit fitout.FixEdit
		want any
		got  func(j *fitout.Job) any
	}{
		{fitout.FixEdit{Kind: "move-item", ID: "stove", Value: 2800}, 2800.0, func(j *fitout.Job) any {
			return item(j, "stove").At.X
		}},
		{fitout.FixEdit{Kind: "part-x", ID: "fridge", Value: 2700}, 2700.0, func(j *fitout.Job) any {
			return item(j, "fridge").At.X
		}},
		{fitout.FixEdit{Kind: "part-y", ID: "fridge", Value: -300}, -300.0, func(j *fitout.Job) any {
			return item(j, "fridge").At.Y
		}},
		{fitout.FixEdit{Kind: "part-z", ID: "fridge", Value: 1100}, 1100.0, func(j *fitout.Job) any {
			return item(j, "fridge").At.Z
		}},
		{fitout.FixEdit{Kind: "part-length", ID: "drawers", Value: 800}, 800.0, func(j *fitout.Job) any {
			return item(j, "drawers").Size.Length
		}},
		{fitout.FixEdit{Kind: "part-width", ID: "drawers", Value: 555}, 555.0, func(j *fitout.Job) any {
			return item(j, "drawers").Size.Width
		}},
		{fitout.FixEdit{Kind: "part-height", ID: "drawers", Value: 280}, 280.0, func(j *fitout.Job) any {
			return item(j, "drawers").Size.Height
		}},
		{fitout.FixEdit{Kind: "travel", ID: "fridge", Value: 550}, 550.0, func(j *fitout.Job) any {
			return item(j, "fridge").Module.Travel
		}},
		{fitout.FixEdit{Kind: "drop", ID: "fridge", Value: 185}, 185.0, func(j *fitout.Job) any {
			return item(j, "fridge").Module.Drop
		}},
		{fitout.FixEdit{Kind: "lining", ID: "drawers", Value: 0}, 0.0, func(j *fitout.Job) any {
			return item(j, "drawers").Module.Lining
		}},
		{fitout.FixEdit{Kind: "latch", ID: "battery"}, fitout.RatedLatch, func(j *fitout.Job) any {
			return item(j, "battery").Module.Latch
		}},
		{fitout.FixEdit{Kind: "latch", ID: "battery", Value: 340}, 340.0, func(j *fitout.Job) any {
			return item(j, "battery").Module.Holds
		}},
		{fitout.FixEdit{Kind: "turn", ID: "fridge", With: "left"}, fitout.FaceLeft, func(j *fitout.Job) any {
			return item(j, "fridge").Module.Faces
		}},
		{fitout.FixEdit{Kind: "strut-force", ID: "tools", Value: 250}, []float64{2, 250}, func(j *fitout.Job) any {
			m := item(j, "tools").Module
			return []float64{float64(m.Struts), m.Force}
		}},
		{fitout.FixEdit{Kind: "foam-core", ID: "drawers", Value: 15}, []any{fitout.FoamCore, 15.0, fitout.ByMaterial},
			func(j *fitout.Job) any {
				i := item(j, "drawers")
				return []any{i.Module.Wall, i.Module.Panel, i.Source}
			}},
		{fitout.FixEdit{Kind: "item-level", ID: "jar", Value: 4}, 4.0, func(j *fitout.Job) any {
			return item(j, "jar").Presence.Level.Now
		}},
		{fitout.FixEdit{Kind: "tank-level", ID: "fuel", Value: 12}, 12.0, func(j *fitout.Job) any {
			return j.Vehicle.Tanks[0].Now
		}},
		{fitout.FixEdit{Kind: "switch-off", ID: "raft"}, false, func(j *fitout.Job) any {
			return j.ChosenVariant().Switches[0].On
		}},
		{fitout.FixEdit{Kind: "seat", ID: "ann", With: j.Vehicle.Seats[1].ID}, j.Vehicle.Seats[1].ID,
			func(j *fitout.Job) any { return item(j, "ann").Seat }},
		{fitout.FixEdit{Kind: "to-trailer", ID: "tools"}, true, func(j *fitout.Job) any {
			return item(j, "tools").OnTrailer
		}},
		{fitout.FixEdit{Kind: "uncouple"}, false, func(j *fitout.Job) any { return j.Trailer.Coupled }},
		{fitout.FixEdit{Kind: "ball", Value: 60}, 60.0, func(j *fitout.Job) any { return j.Trailer.Ball }},
		{fitout.FixEdit{Kind: "distribution", Value: 180_000}, 180_000.0, func(j *fitout.Job) any {
			return j.Trailer.Distribution
		}},
		{fitout.FixEdit{Kind: "extension", Value: 300}, []float64{300, j.Vehicle.Outline.Headboard}, func(j *fitout.Job) any {
			return []float64{j.Vehicle.Extension.By, j.Vehicle.Extension.Cut}
		}},
		{fitout.FixEdit{Kind: "rating", ID: "rearAxle", Value: 2000}, []any{fitout.AxleRating, fitout.Planned, 2000.0},
			func(j *fitout.Job) any {
				return []any{last(j).Kind, last(j).Certificate, last(j).Limits[0].Kg}
			}},
		{fitout.FixEdit{Kind: "rating", ID: "gross", Value: 3500}, fitout.GrossUpgrade, func(j *fitout.Job) any {
			return last(j).Kind
		}},
		{fitout.FixEdit{Kind: "tyres", ID: "rear", Value: 121}, []any{fitout.RearAxle, 121}, func(j *fitout.Job) any {
			return []any{last(j).Axle, last(j).Tyre.Index}
		}},
		{fitout.FixEdit{Kind: "springs", ID: "rear", Value: 48}, []any{fitout.RearAxle, 48.0}, func(j *fitout.Job) any {
			return []any{last(j).Axle, last(j).Rate}
		}},
		{fitout.FixEdit{Kind: "outside", ID: "chairs", With: "cook"}, []fitout.LoosePlace{{Item: "chairs", Outside: true}},
			func(j *fitout.Job) any {
				return j.ChosenVariant().Stances[0].Loose
			}},
	} {
		t.Run(c.edit.Kind+" "+c.edit.ID, func(t *testing.T) {
			before, err := fitout.Encode(&j)
			require.NoError(t, err)
			changed, err := edit.Apply(&j, example.Shop(), []fitout.FixEdit{c.edit})
			require.NoError(t, err)
			assert.Equal(t, c.want, c.got(&changed))
			after, err := fitout.Encode(&j)
			require.NoError(t, err)
			assert.Equal(t, string(before), string(after), "the job that it was made from is as it was")
		})
	}
}

func TestWhatWasNotOfferedIsRefused(t *testing.T) {
	j := spare(t)
	without := j
	without.Trailer = nil
	for _, c := range []struct {
		job  *fitout.Job
		edit fitout.FixEdit
	}{
		{&j, fitout.FixEdit{Kind: "move-item", ID: "nothing", Value: 1}},
		{&j, fitout.FixEdit{Kind: "fly", ID: "fridge"}},
		{&j, fitout.FixEdit{Kind: "travel", ID: "ann", Value: 3}},
		{&j, fitout.FixEdit{Kind: "item-level", ID: "fridge", Value: 3}},
		{&j, fitout.FixEdit{Kind: "seat", ID: "ann", With: "roof"}},
		{&j, fitout.FixEdit{Kind: "swap", ID: "fridge", With: "no-such-part"}},
		{&j, fitout.FixEdit{Kind: "swap", ID: "ann", With: example.Shop()[0].ID}},
		{&j, fitout.FixEdit{Kind: "tank-level", ID: "nothing"}},
		{&j, fitout.FixEdit{Kind: "switch-off", ID: "nothing"}},
		{&j, fitout.FixEdit{Kind: "outside", ID: "chairs", With: "no-such-stance"}},
		{&j, fitout.FixEdit{Kind: "outside", ID: "nothing", With: "cook"}},
		{&without, fitout.FixEdit{Kind: "uncouple"}},
		{&without, fitout.FixEdit{Kind: "to-trailer", ID: "tools"}},
	} {
		_, err := edit.Apply(
			c.job,
			example.Shop(),
			[]fitout.FixEdit{{Kind: "tank-level", ID: "fuel", Value: 1}, c.edit},
		)
		assert.ErrorContains(t, err, "a change that was offered for this job", "%s %s", c.edit.Kind, c.edit.ID)
	}
	_, err := edit.Apply(&j, example.Shop(), []fitout.FixEdit{{Kind: "part-length", ID: "drawers", Value: -5}})
	assert.Error(t, err, "what the document does not allow is not made")
	_, err = edit.Apply(&j, example.Shop(), []fitout.FixEdit{{Kind: "springs", ID: "roof", Value: 30}})
	assert.ErrorContains(t, err, "axle")
}

// A part that is swapped keeps its place, its name in the variant's lists, and what
// lies in it.
func TestASwappedPartStandsWhereTheOldOneStood(t *testing.T) {
	j := spare(t)
	v := j.ChosenVariant()
	example.Add(&j, "pan", 1, 0, func(i *fitout.Item) {
		i.Size, i.In = fitout.Size{Length: 200, Width: 200, Height: 60}, &fitout.InCell{Module: "drawers", Cell: "c"}
	})
	other := fitout.Component{ID: "other-drawers", Item: v.Items[1]}
	m := *v.Items[1].Module
	m.Cells = []fitout.Cell{{ID: "upper", Name: "Upper"}, {ID: "lower", Name: "Lower"}}
	other.Item.ID, other.Item.Name, other.Item.Module, other.Item.Size.Width = "other-drawers", "Two drawers", &m, 500
	swapped, err := edit.Apply(&j, []fitout.Component{other},
		[]fitout.FixEdit{{Kind: "swap", ID: "drawers", With: "other-drawers"}})
	require.NoError(t, err)
	was, is := j.ChosenVariant().Items[1], swapped.ChosenVariant().Items[1]
	assert.Equal(t, "drawers", is.ID)
	assert.Equal(t, "Two drawers", is.Name)
	assert.Equal(t, was.Bay, is.Bay)
	assert.InDelta(t, was.Box().From.Z, is.Box().From.Z, 1e-9, "on the same floor")
	assert.InDelta(t, was.Box().From.Y, is.Box().From.Y, 1e-9, "and on the side that it opens to")
	pan := swapped.ChosenVariant().Items[len(swapped.ChosenVariant().Items)-1]
	assert.Equal(t, &fitout.InCell{Module: "drawers", Cell: "upper"}, pan.In,
		"what lay in it lies in its first compartment")
}

func TestASwappedTankHoldsWhatGoesIn(t *testing.T) {
	tank := fitout.Item{ID: "a", Name: "Tank of 80", Mass: 9, Size: fitout.Size{Length: 400, Width: 400, Height: 500},
		Form: fitout.FormTank, Source: fitout.DataSheet,
		Module: &fitout.Module{Kind: fitout.WaterTank, Faces: fitout.FaceNone, Wall: fitout.NoMaterial,
			Runner: fitout.NoRunner, Stack: fitout.Beside},
		Presence: fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 80, Now: 70, Density: 1}}}
	small := tank
	small.Name, small.Presence.Level = "Tank of 50", &fitout.Level{Max: 50, Now: 50, Density: 1}
	j := example.Ute()
	swapped := func() *fitout.Level {
		j.Variants[0].Items = []fitout.Item{tank}
		after, _ := edit.Apply(&j, []fitout.Component{{ID: "small", Item: small}},
			[]fitout.FixEdit{{Kind: "swap", ID: "a", With: "small"}})
		return after.Variants[0].Items[0].Presence.Level
	}
	assert.InDelta(t, 50, swapped().Now, 0)
	assert.InDelta(t, 50, swapped().Max, 0)
	tank.Presence.Level.Now = 20
	assert.InDelta(t, 20, swapped().Now, 0, "it is not filled by being swapped")
	assert.InDelta(t, 50, small.Presence.Level.Now, 0, "the catalogue stays as it is")
}
