package mend_test

import (
	"context"
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/mend"
	"zaino/internal/core/offer"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/example"
)

// Whatever a way to mend says of the pads is what the job with it applied has, and
// it mends.
func TestMendsDoWhatTheySay(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		over := rapid.Float64Range(1, 90).Draw(t, "over")
		j := example.Laden(t, over)
		mends, err := mend.Limit(context.Background(), &j, example.Shop(), "rear", func(float64) {})
		if err != nil {
			t.Fatal(err)
		}
		if len(mends.Found) == 0 && mends.None == "" {
			t.Fatal("neither a way nor that there is none")
		}
		for _, m := range mends.Found {
			a := applied(t, &j, m)
			for i := range a.Pads {
				if a.Pads[i] != m.Pads[i] {
					t.Fatalf("said %+v, is %+v", m.Pads[i], a.Pads[i])
				}
			}
			if a.Pads[1].State == "over" {
				t.Fatalf("%v does not mend it", m.Changes)
			}
			linear := assess.Of(&j).Axles.Rear
			for _, c := range m.Changes {
				linear += c.Rear
			}
			if d := linear - a.Axles.Rear; d > 0.5 || d < -0.5 {
				t.Fatalf("%v say %.2f kg together, it is %.2f", m.Changes, linear, a.Axles.Rear)
			}
		}
	})
}

// applied is a job after a way to mend it, as it is assessed then.
func applied(t require.TestingT, j *fitout.Job, m mend.Mend) assess.Assessment {
	var edits []fitout.FixEdit
	for _, c := range m.Changes {
		edits = append(edits, c.Edit)
	}
	fixed, err := edit.Apply(j, example.Shop(), edits)
	require.NoError(t, err)
	return assess.Of(&fixed)
}

func TestAHeavyOverloadTakesSeveralChangesOrAnotherVehicle(t *testing.T) {
	j := example.Laden(t, 40)
	mends, err := mend.Limit(context.Background(), &j, example.Shop(), "rear", func(float64) {})
	require.NoError(t, err)
	require.NotEmpty(t, mends.Found)
	for i, m := range mends.Found[1:] {
		if len(m.Changes) == len(mends.Found[i].Changes) {
			assert.GreaterOrEqual(t, m.Effort, mends.Found[i].Effort, "the least to do comes first")
		}
	}
	assert.NotEmpty(t, mends.Vehicle)

	j = example.Laden(t, 900)
	mends, err = mend.Limit(context.Background(), &j, example.Shop(), "rear", func(float64) {})
	require.NoError(t, err)
	assert.Empty(t, mends.Found)
	assert.Contains(t, mends.None, "another vehicle")

	_, err = mend.Limit(context.Background(), &j, example.Shop(), "roof", func(float64) {})
	assert.ErrorContains(t, err, "front-share, sides, tip, seats")
	j = example.Laden(t, -200)
	mends, err = mend.Limit(context.Background(), &j, example.Shop(), "rear", func(float64) {})
	require.NoError(t, err)
	assert.Empty(t, mends.Found, "nothing is to be mended")
}

func BenchmarkMendTheRearAxle(b *testing.B) {
	j := example.Laden(b, 40)
	for b.Loop() {
		if _, err := mend.Limit(context.Background(), &j, example.Shop(), "rear", func(float64) {}); err != nil {
			b.Fatal(err)
		}
	}
}

// sixty is a canopy with sixty drawer units and boxes, over its rear axle by so
// many kg, whose rules of fit all hold.
func sixty(t require.TestingT, over float64) fitout.Job {
	j := example.Canopy()
	for k := range 60 {
		bay, room := &j.Vehicle.Bays[k%2*2], 30
		kind, kg := fitout.Drawers, 0.0
		if k%3 == 0 {
			kind, kg = fitout.LiddedBox, 14
		}
		example.Stand(&j, "unit-"+string(rune('a'+k/26))+string(rune('a'+k%26)), kind, bay.Opening.Face, kg, 300, 300, 150,
			bay.ID)
		item := &j.Variants[0].Items[k]
		if kind == fitout.Drawers {
			item.Source = fitout.ByMaterial
		}
		at := k / 2 % room
		item.At.X += float64(at%6) * 310
		item.At.Y += float64(at/6%2) * 310
		item.At.Z += float64(at/12) * 160
	}
	axles := assess.Of(&j).Axles
	j.Vehicle.Limits.Gross = fitout.Limit{Kg: axles.Gross() + 500, Source: fitout.FromPlate}
	j.Vehicle.Limits.FrontAxle = fitout.Limit{Kg: axles.Front + 300, Source: fitout.FromPlate}
	j.Vehicle.Limits.RearAxle = fitout.Limit{Kg: axles.Rear - over, Source: fitout.FromPlate}
	require.NoError(t, fitout.Validate(&j))
	return j
}

// Sixty modules with as much fuel as there has to be: one change does, two or three
// do, and none does.
func BenchmarkMendSixtyModules(b *testing.B) {
	for _, over := range []float64{1, 3, 5, 15} {
		b.Run(fmt.Sprintf("%.0fkg", over), func(b *testing.B) {
			j := sixty(b, over)
			j.Vehicle.Tanks[0].Min = j.Vehicle.Tanks[0].Now
			for b.Loop() {
				mends, err := mend.Limit(context.Background(), &j, example.Shop(), "rear", func(float64) {})
				if err != nil {
					b.Fatal(err)
				}
				b.ReportMetric(float64(len(mends.Found)), "ways")
			}
		})
	}
}

// With only things that can stay behind, the first way is the one of one, two or
// three of them that leaves least behind of those of its number, and it is of the
// least number that does: what trying every set gives.
func TestTheLeastThatStaysBehindIsWhatTryingEverySetGives(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Ute()
		j.Vehicle.Tanks[0].Min = j.Vehicle.Tanks[0].Now
		j.Vehicle.Limits.Gross.Kg, j.Vehicle.Limits.FrontAxle.Kg = 9000, 9000
		v := &j.Variants[0]
		n := rapid.IntRange(1, 6).Draw(t, "things")
		kg, x := make([]float64, n), make([]float64, n)
		for i := range n {
			id := string(rune('a'+i)) + "-thing"
			kg[i], x[i] = float64(rapid.IntRange(5, 60).Draw(t, "kg")), float64(rapid.IntRange(1500, 4200).Draw(t, "x"))
			v.Switches = append(v.Switches, fitout.Switch{ID: id, Name: id, On: true})
			example.Add(&j, id, kg[i], x[i], func(item *fitout.Item) {
				item.Locked, item.Presence = true, fitout.Presence{Kind: fitout.BySwitch, Switch: id}
			})
		}
		over := rapid.Float64Range(2, 90).Draw(t, "over")
		j.Vehicle.Limits.RearAxle.Kg = assess.Of(&j).Axles.Rear - over

		number, least := 0, 0.0
		for bits := 1; bits < 1<<n; bits++ {
			size, left, relief := 0, 0.0, 0.0
			for i := range n {
				if bits>>i&1 == 1 {
					size, left, relief = size+1, left+kg[i], relief+kg[i]*x[i]/3150
				}
			}
			if size > 3 || relief < over {
				continue
			}
			if number == 0 || size < number || size == number && left < least {
				number, least = size, left
			}
		}
		mends, err := mend.Limit(context.Background(), &j, nil, "rear", func(float64) {})
		if err != nil {
			t.Fatal(err)
		}
		if number == 0 {
			if len(mends.Found) > 0 || mends.None == "" {
				t.Fatalf("no set does, and %v is offered", mends.Found)
			}
			return
		}
		if len(mends.Found) == 0 {
			t.Fatalf("%d of them do, leaving %.0f kg, and none is offered", number, least)
		}
		if m := mends.Found[0]; len(m.Changes) != number || m.Effort > least+1e-6 || m.Effort < least-1e-6 {
			t.Fatalf("offered are %d leaving %.1f kg, %d leaving %.1f do", len(m.Changes), m.Effort, number, least)
		}
	})
}

// What is called off ends at once, tells how far it was, and makes nothing up.
func TestMendingCanBeCalledOff(t *testing.T) {
	j := sixty(t, 5)
	j.Vehicle.Tanks[0].Min = j.Vehicle.Tanks[0].Now
	ctx, off := context.WithCancel(context.Background())
	steps, share := 0, 0.0
	mends, err := mend.Limit(ctx, &j, example.Shop(), "rear", func(s float64) {
		steps++
		assert.GreaterOrEqual(t, s, share)
		share = s
		if steps == 2 {
			off()
		}
	})
	require.NoError(t, err)
	assert.LessOrEqual(t, steps, 4, "it ends soon")
	assert.Empty(t, mends.None, "nothing is said of what was not looked at")

	off()
	mends, err = mend.Limit(ctx, &j, example.Shop(), "rear", func(float64) {})
	require.NoError(t, err)
	assert.Empty(t, mends.Found)
	assert.Empty(t, mends.None)
}

// A gas bottle is not exchanged for a first-aid box because both are gear: only
// what is of a kind that says what it is for is, and a battery only for one that feeds
// as much.
func TestOnlyWhatServesTheSameIsExchanged(t *testing.T) {
	j := example.Laden(t, 5)
	components := map[string]*fitout.Component{}
	for k := range example.Shop() {
		components[example.Shop()[k].ID] = &example.Shop()[k]
	}
	for i := range j.ChosenVariant().Items {
		if item := &j.ChosenVariant().Items[i]; item.ID == "battery" {
			item.Name, item.Mass = "The old one", 60
		}
	}
	swapped := func() map[string]fitout.Fix {
		p, all := plan.Of(&j), map[string]fitout.Fix{}
		for _, c := range offer.All(p, example.Shop()) {
			fix := c.Fix(1)
			if fix.Edit.Kind != "swap" {
				continue
			}
			item := &p.Items[p.Index(fix.Edit.ID)]
			assert.Equal(t, item.Module.Kind, components[fix.Edit.With].Item.Module.Kind, fix.Label)
			assert.NotEqual(t, fitout.PlainGear, item.Module.Kind, fix.Label)
			all[fix.Edit.ID] = fix
		}
		return all
	}
	all := swapped()
	assert.NotEmpty(t, all)
	assert.NotContains(t, all, "battery", "nobody said what it is")
	assert.NotContains(t, all, "board", "nobody said what is on it: an inverter is none")

	e := &j.ChosenVariant().Electrics
	e.Systems = []fitout.PowerSystem{
		{ID: "house", Name: "House", Kind: fitout.HouseSystem, Voltage: 12, Item: "battery",
			Battery: fitout.Battery{
				Chemistry: fitout.AGM,
				Capacity:  100,
				Parallel:  1,
			}, Full: 1, Ports: []fitout.Port{}},
	}
	require.NoError(t, fitout.Validate(&j))
	all = swapped()
	require.Contains(t, all, "battery", "half of 100 Ah of lead is in a lighter one")
	with := components[all["battery"].Edit.With].Device.System
	assert.GreaterOrEqual(t, power.Capacity(&with.Battery)*power.Usable(&with.Battery), 50.0)
	after, err := edit.Apply(&j, example.Shop(), []fitout.FixEdit{all["battery"].Edit})
	require.NoError(t, err)
	assert.Equal(t, with.Battery.Chemistry, after.ChosenVariant().Electrics.Systems[0].Battery.Chemistry)
	assert.InDelta(t, with.Battery.Capacity, after.ChosenVariant().Electrics.Systems[0].Battery.Capacity, 0)
	assert.Equal(t, "House", after.ChosenVariant().Electrics.Systems[0].Name)

	e.Systems[0].Battery = fitout.Battery{Chemistry: fitout.LFP, Capacity: 400, Parallel: 2}
	assert.NotContains(t, swapped(), "battery", "none gives as much as 800 Ah of lithium")
}
