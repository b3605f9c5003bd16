package report_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/core/report"
	"zaino/internal/core/space"
	"zaino/internal/example"
)

// What the card leaves may be put in the middle of that space without passing any limit
// whatever, the roof's, the placard and the combination too; and no kilogram more.
func TestTheCardKeepsEveryLimit(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Travelling()
		number := func(what string, low, high float64) float64 { return rapid.Float64Range(low, high).Draw(t, what) }
		l := &j.Vehicle.Limits
		l.Gross.Kg, l.RearAxle.Kg, l.FrontAxle.Kg = number("gross", 2600, 5000), number("rear", 1300, 3000),
			number("front", 1300, 3000)
		l.Placard.Kg, l.RoofMoving.Kg, l.Combination.Kg = number("placard", 300, 2000), number("roof", 41, 1300),
			number("combination", 3500, 6000)
		j.Vehicle.Bays[1].Rating = rapid.SampledFrom([]float64{0, 200, 900}).Draw(t, "rating")
		j.Vehicle.Front.Tyre.Index = rapid.IntRange(95, 120).Draw(t, "index")
		j.Trailer.Coupled = rapid.Bool().Draw(t, "coupled")
		if err := fitout.Validate(&j); err != nil {
			t.Fatal(err)
		}
		card := report.CardOf(&j)
		before := limits.Of(plan.Of(&j))
		for i := range j.Vehicle.Bays {
			bay, room := &j.Vehicle.Bays[i], card.Room[i]
			passed := func(kg float64) string {
				more := j
				more.Variants = []fitout.Variant{j.Variants[0]}
				more.Variants[0].Items = append([]fitout.Item{}, j.Variants[0].Items...)
				example.Add(&more, "more", kg, 0, func(item *fitout.Item) {
					item.Bay, item.At = bay.ID, space.RoomBox(bay).Middle()
				})
				after := limits.Of(plan.Of(&more))
				for _, limit := range after.All {
					f := limit.Facts()
					now, was := limit.Beyond(after.Shown()), before.Get(f.ID).Beyond(before.Shown())
					if f.Unit == "kg" && f.Stated() && (!f.Towing || j.Trailer.Coupled) &&
						quantity.Exceeds(now, max(0, was)) {
						return f.ID
					}
				}
				return ""
			}
			if over := passed(room.Left); room.Left > 0 && over != "" {
				t.Fatalf("%s: %.2f kg (%s) pass %s", room.Name, room.Left, room.Binds, over)
			}
			if passed(room.Left+0.5) == "" {
				t.Fatalf("%s: more than the %.2f kg that are told go there (%s)", room.Name, room.Left, room.Binds)
			}
		}
	})
}

func TestTheCardOfARoofRatedFor75(t *testing.T) {
	j := example.Travelling()
	j.Vehicle.Limits.Gross.Kg, j.Vehicle.Limits.RearAxle.Kg, j.Vehicle.Limits.FrontAxle.Kg = 5000, 3000, 3000
	j.Vehicle.Limits.Placard.Kg, j.Trailer.Coupled = 0, false
	room := report.CardOf(&j).Room[0]
	assert.Equal(t, "Rack", room.Name)
	assert.InDelta(t, 35, room.Left, 1e-9, "40 of the 75 are on it, whatever the axles would take")
	assert.Contains(t, strings.ToLower(room.Binds), "roof")

	// A rack with a rating of its own has a column of its own, and the lesser binds.
	j.Vehicle.Bays[0].Rating = 55
	room = report.CardOf(&j).Room[0]
	assert.InDelta(t, 15, room.Left, 1e-9)
	columns := map[string]float64{}
	for _, c := range report.LoadOf(&j).Columns {
		columns[c.ID] = c.Limit
	}
	assert.InDelta(t, 55, columns["bay:rack"], 1e-9)
	assert.InDelta(t, 75, columns["roof"], 1e-9)
}

// New tyres are those that are on it: their index is what is told.
func TestTheCardTellsTheTyresThatAreOnIt(t *testing.T) {
	j := example.Travelling()
	said := func() string { return strings.Join(report.CardOf(&j).Tyres, " ") }
	assert.Contains(t, said(), "Tyres rear: load index 115")
	j.Vehicle.Modifications = []fitout.Modification{{ID: "tyres", Name: "New tyres", Kind: fitout.NewTyres,
		Axle: fitout.RearAxle, Counted: true, Source: fitout.DataSheet, Certificate: fitout.BeforeFirst,
		Tyre: fitout.Tyre{Index: 121}}}
	require.NoError(t, fitout.Validate(&j))
	assert.Contains(t, said(), "Tyres rear: load index 121")
	assert.NotContains(t, said(), "115")
}

// Two vessels of one name are two vessels: each is full when it is begun.
func TestTwoVesselsOfOneNameAreUsedOneAfterTheOther(t *testing.T) {
	j := example.Ute()
	for _, id := range []string{"left", "right"} {
		example.Add(&j, id, 3, 3000, func(i *fitout.Item) {
			i.Name = "Water cell"
			i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 40, Now: 40, Density: 1}}
		})
	}
	j.Variants[0].UsedUp = []fitout.UsedFirst{{Of: "left"}, {Of: "right"}}
	j.Vehicle.Limits.RearAxle.Kg = 0
	curve := report.LoadOf(&j).Curve
	var litres []float64
	for _, point := range curve[1:9] {
		assert.Equal(t, "Water cell", point.Of)
		litres = append(litres, point.Litres)
	}
	assert.Equal(t, []float64{30, 20, 10, 0, 30, 20, 10, 0}, litres)

	// Where a limit is passed on the way through the second, its litres are told.
	j.Vehicle.Limits.RearAxle.Kg = (curve[4].Rear + curve[5].Rear) / 2
	turns := report.LoadOf(&j).Turns
	require.Len(t, turns, 1)
	assert.InDelta(t, 4.5, turns[0].At, 1e-9)
	assert.Contains(t, turns[0].Text, "35\u00a0L", "and not 5 L")
}
