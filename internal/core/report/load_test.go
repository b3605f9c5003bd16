package report_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/report"
	"zaino/internal/core/words"
	"zaino/internal/example"
)

// touring is the arranged canopy with what varies: water, a raft with its motor,
// and a choice of roof load.
func touring(t *testing.T) fitout.Job {
	j := example.Laden(t, 30)
	v := j.ChosenVariant()
	v.Switches = []fitout.Switch{{ID: "raft", Name: "Raft", On: false}, {ID: "motor", Name: "Motor", On: true,
		Requires: &fitout.Require{Switch: "raft"}}}
	for i := range v.Items {
		switch item := &v.Items[i]; item.ID {
		case "swags":
			item.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "raft"}
		case "chairs":
			item.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "motor"}
		case "water":
			item.Mass, item.Presence = 9, fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 66, Now: 30,
				Density: 1}}
		}
	}
	v.Cases = []fitout.Case{
		{ID: "full", Name: "Leaving full", Switches: []fitout.CaseSwitch{{Switch: "raft", On: true}},
			Levels: []fitout.CaseLevel{{Of: "water", Litres: 500}, {Of: "gone", Litres: 5}}},
		{ID: "empty", Name: "Coming home", Levels: []fitout.CaseLevel{{Of: "water", Litres: 0}, {Of: "fuel", Litres: 5}}},
	}
	require.NoError(t, fitout.Validate(&j))
	return j
}

func cellOf(t *testing.T, f *report.LoadFigures, name, column string) report.CaseCell {
	for _, c := range f.Cases {
		if c.Name != name {
			continue
		}
		for k := range f.Columns {
			if f.Columns[k].ID == column {
				return c.Cells[k]
			}
		}
	}
	require.FailNow(t, "no such cell", "%s %s", name, column)
	return report.CaseCell{}
}

func TestCasesAgainstLimits(t *testing.T) {
	j := touring(t)
	f := report.LoadOf(&j)
	for _, pad := range assess.Of(&j).Pads {
		assert.InDelta(t, pad.Load, cellOf(t, &f, "State shown", pad.ID).Load, 1e-6, "the state shown is what the pads show")
		assert.InDelta(t, pad.Worst, cellOf(t, &f, "Worst for "+words.Lower(pad.Title), pad.ID).Load, 1e-6)
		for _, c := range f.Cases {
			assert.LessOrEqual(t, cellOf(t, &f, c.Name, pad.ID).Load, pad.Worst+1e-6, "no case is worse than the worst: %s",
				c.Name)
		}
	}
	// 66 L are all that the tank holds; the motor comes with the raft.
	full, empty := cellOf(t, &f, "Leaving full", "gross"), cellOf(t, &f, "Coming home", "gross")
	assert.InDelta(t, 66+22+16, full.Load-cellOf(t, &f, "State shown", "gross").Load+30, 1e-6)
	assert.InDelta(t, -30-(75-5)*0.84, empty.Load-cellOf(t, &f, "State shown", "gross").Load, 1e-6)
	assert.Equal(t, "over", cellOf(t, &f, "Leaving full", "rear").State)
	assert.NotEmpty(t, f.Confidence)
	for _, b := range f.Confidence {
		assert.GreaterOrEqual(t, b.Likeliest, b.Over-1e-9)
	}
}

func TestTheWayFromFullToEmptySaysWhereALimitIsPassed(t *testing.T) {
	j := touring(t)
	v := j.ChosenVariant()
	v.UsedUp = []fitout.UsedFirst{{Of: "water"}}
	waste := fitout.Item{ID: "waste", Name: "Waste tank", Form: fitout.FormTank, Mass: 4, Source: fitout.DataSheet,
		At:   fitout.Point{X: 4300, Z: 700},
		Size: fitout.Size{Length: 100, Width: 100, Height: 100}, Presence: fitout.Presence{Kind: fitout.ByLevel,
			Level: &fitout.Level{Max: 20, Density: 1}},
		Module: &fitout.Module{Kind: fitout.WasteTank, Faces: fitout.FaceNone, Wall: fitout.NoMaterial,
			Runner: fitout.NoRunner, Stack: fitout.Beside, Cells: []fitout.Cell{}, Fixings: []fitout.Fixing{}}}
	v.Items = append(v.Items, waste)
	curve := report.LoadOf(&j).Curve
	require.Len(t, curve, 9, "full, and four quarters of each of two")
	assert.Equal(t, "The water", curve[1].Of, "in the order that the variant says")
	assert.InDelta(t, -66.0/4+66.0/4, curve[1].Gross-curve[0].Gross, 1e-6, "the waste tank gains what the fresh loses")
	assert.InDelta(t, -(66 - 20), curve[4].Gross-curve[0].Gross, 1e-6, "until it is full")
	assert.InDelta(t, -75*0.84, curve[8].Gross-curve[4].Gross, 1e-6)

	first, last := curve[0].Rear, curve[8].Rear
	j.Vehicle.Limits.RearAxle.Kg = (first + last) / 2
	turns := report.LoadOf(&j).Turns
	require.Len(t, turns, 1)
	assert.Contains(t, turns[0].Text, "The rear axle comes within its limit")

	// With that much left the rear axle stands just at its limit.
	part, whole := turns[0].At-float64(int(turns[0].At)), int(turns[0].At)
	rear := curve[whole].Rear + part*(curve[whole+1].Rear-curve[whole].Rear)
	assert.InDelta(t, j.Vehicle.Limits.RearAxle.Kg, rear, 1e-6)
}

// The front becomes too light at just the litres that are told.
func TestTheCurveTellsTheLitreAtWhichTheFrontIsTooLight(t *testing.T) {
	j := example.Ute()
	j.Vehicle.Tanks[0].Now = j.Vehicle.Tanks[0].Capacity
	j.Vehicle.Tanks[0].Min = j.Vehicle.Tanks[0].Capacity
	example.Add(&j, "drum", 5, 400, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 100, Now: 100, Density: 1}}
	})
	share := func(litres float64) float64 {
		at := j
		at.Variants = []fitout.Variant{j.Variants[0]}
		drum := j.Variants[0].Items[0]
		drum.Presence.Level = &fitout.Level{Max: 100, Now: litres, Density: 1}
		at.Variants[0].Items = []fitout.Item{drum}
		a := assess.Of(&at)
		return a.Axles.Front / a.Gross
	}
	j.Practice.FrontShare = share(37)
	f := report.LoadOf(&j)
	require.Len(t, f.Turns, 1)
	assert.Contains(t, f.Turns[0].Text, "with 37\u00a0L left in drum")
	assert.Equal(t, "front", f.Turns[0].Axle)
}

func BenchmarkFortyCases(b *testing.B) {
	j := example.Laden(b, 30)
	v := j.ChosenVariant()
	for len(v.Items) < 300 {
		item := v.Items[len(v.Items)%12]
		item.ID, item.Module = item.ID+"-more", nil
		v.Items = append(v.Items, item)
	}
	v.Cases = nil
	for k := range 40 {
		v.Cases = append(v.Cases, fitout.Case{ID: fmt.Sprint("case", k), Name: fmt.Sprint("Case ", k),
			Levels: []fitout.CaseLevel{{Of: "fuel", Litres: float64(k)}}})
	}
	for b.Loop() {
		report.LoadOf(&j)
	}
}
