package edit_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

func equipped(t *testing.T, j fitout.Job, component, system string) fitout.Job {
	t.Helper()
	changed, err := edit.Apply(&j, example.Shop(), []fitout.FixEdit{{Kind: "equip", ID: system, With: component}})
	require.NoError(t, err)
	return changed
}

// Choosing a battery puts it into the vehicle: its mass is on the axles. Another in its place
// keeps what hangs on it.
func TestABatteryIsChosenAndChanged(t *testing.T) {
	j := example.Ute()
	gross := func(j fitout.Job) float64 { return plan.Of(&j).Load.Axles().Gross() }
	empty := gross(j)
	j = equipped(t, j, "lfp-160", "")
	e := &j.Variants[0].Electrics
	require.Len(t, e.Systems, 1)
	assert.InDelta(t, empty+16.8, gross(j), 1e-6)
	e.Systems[0].Meter, e.Systems[0].Reserve = true, 0.3
	j = equipped(t, j, "cool-32", e.Systems[0].ID)
	id := j.Variants[0].Electrics.Systems[0].ID
	assert.Equal(t, id, j.Variants[0].Electrics.Loads[0].System, "the fridge hangs on it")
	j = equipped(t, j, "lfp-300-slim", id)
	s := j.Variants[0].Electrics.Systems
	require.Len(t, s, 1)
	assert.Equal(t, 300.0, s[0].Battery.Capacity)
	assert.True(t, s[0].Meter)
	assert.Equal(t, 0.3, s[0].Reserve)
	assert.InDelta(t, empty+32+15, gross(j), 1e-6)
}

// A charger from the alternator takes from what starts the engine; without that it has a
// source of its own. A load for mains waits for an inverter.
func TestWhatIsChosenIsJoined(t *testing.T) {
	j := equipped(t, example.Ute(), "lfp-160", "")
	j = equipped(t, j, "dcdc-25", "")
	e := &j.Variants[0].Electrics
	assert.Empty(t, e.Chargers[0].From)
	require.Len(t, e.Sources, 1)
	assert.Equal(t, fitout.Alternator, e.Sources[0].Kind)
	j = equipped(t, j, "start-70", "")
	j = equipped(t, j, "dcdc-40", e.Systems[0].ID)
	e = &j.Variants[0].Electrics
	assert.Equal(t, e.Systems[1].ID, e.Chargers[1].From)
	j = equipped(t, j, "kettle-mains", "")
	assert.NotEmpty(t, example.Found(t, j, "load-unfed"), "no inverter yet")
	j = equipped(t, j, "inverter-1500", e.Systems[0].ID)
	assert.Empty(t, example.Found(t, j, "load-unfed"))
	j = equipped(t, j, "inverter-2000", e.Systems[0].ID)
	e = &j.Variants[0].Electrics
	require.Len(t, e.Inverters, 1, "one takes the place of the other")
	assert.Equal(t, 2000.0, e.Inverters[0].Watts)
	assert.Equal(t, e.Inverters[0].ID, e.Loads[0].Inverter, "what runs on it stays")
}

// What has a plug comes in once: batteries by their names, fridges by their size, gear of the
// brief by what it draws.
func TestWhatHasAPlugComesIn(t *testing.T) {
	j := example.Ute()
	module := func(kind fitout.ModuleKind) func(*fitout.Item) {
		return func(i *fitout.Item) {
			i.Module = &fitout.Module{Kind: kind, Faces: fitout.FaceNone, Wall: fitout.NoMaterial, Runner: fitout.NoRunner,
				Stack: fitout.Beside, Cells: []fitout.Cell{}, Fixings: []fitout.Fixing{}}
		}
	}
	example.Add(&j, "fridge", 40, 2800, module(fitout.FridgeSlide))
	example.Add(&j, "battery", 30, 2400, module(fitout.BatteryBox)).Name = "Battery box, 105 Ah lead"
	example.Add(&j, "spanners", 8, 2600)
	example.Add(&j, "sun", 12, 2700).Name = "Solar panel 200 W"
	j.Brief.Gear = []fitout.Gear{{ID: "drone", Name: "Drone", Count: 2, Watts: 60, Hours: 3, Used: fitout.UsedDaily},
		{ID: "tarp", Name: "Tarp", Count: 1, Used: fitout.UsedDaily}}
	brought, came := edit.BringIn(&j, example.Shop())
	require.NoError(t, fitout.Validate(&brought))
	assert.Equal(t, []string{"Battery box, 105 Ah lead", "Fridge", "Solar panel 200 W", "Drone"}, came)
	e := &brought.Variants[0].Electrics
	assert.Equal(t, fitout.AGM, e.Systems[0].Battery.Chemistry)
	assert.Equal(t, 105.0, e.Systems[0].Battery.Capacity)
	assert.Equal(t, 200.0, e.Sources[0].Watts)
	for _, l := range e.Loads {
		assert.Equal(t, e.Systems[0].ID, l.System)
	}
	_, again := edit.BringIn(&brought, example.Shop())
	assert.Empty(t, again, "and never twice")
	assert.Empty(t, j.Variants[0].Electrics.Loads, "the job that was given is as it was")
}

// A name is read as people write figures, and by whole words: "leader" is no lead.
func TestWhatANameProposesForPower(t *testing.T) {
	for name, want := range map[string]fitout.Battery{
		"Battery 120 Ah":                    {Chemistry: fitout.LFP, Capacity: 120},
		"Battery, gel, 1,000 Ah":            {Chemistry: fitout.Gel, Capacity: 1000},
		"Leader's battery":                  {Chemistry: fitout.LFP, Capacity: 100},
		"Wet lead acid battery, 0.09 kAh":   {Chemistry: fitout.Flooded, Capacity: 90},
		"House battery of lead, 97,5 Ah":    {Chemistry: fitout.AGM, Capacity: 97.5},
		"Second battery, 1 200 Ah, calcium": {Chemistry: fitout.AGM, Capacity: 1200},
	} {
		j := example.Ute()
		example.Add(&j, "battery", 30, 2400, func(i *fitout.Item) {
			i.Name = name
			i.Module = &fitout.Module{Kind: fitout.BatteryBox, Faces: fitout.FaceNone, Wall: fitout.NoMaterial,
				Runner: fitout.NoRunner, Stack: fitout.Beside, Cells: []fitout.Cell{}, Fixings: []fitout.Fixing{}}
		})
		example.Add(&j, "inverter", 5, 2400).Name = "Inverter 1,500 W"
		brought, _ := edit.BringIn(&j, example.Shop())
		e := &brought.Variants[0].Electrics
		require.Len(t, e.Systems, 1, name)
		assert.Equal(t, want.Chemistry, e.Systems[0].Battery.Chemistry, name)
		assert.InDelta(t, want.Capacity, e.Systems[0].Battery.Capacity, 1e-9, name)
		require.Len(t, e.Inverters, 1)
		assert.InDelta(t, 1500, e.Inverters[0].Watts, 1e-9)
	}
}

func TestTheCablesAreCounted(t *testing.T) {
	j := equipped(t, example.Ute(), "lfp-160", "")
	for _, component := range []string{"cool-50", "light-area", "inverter-2000", "dcdc-40"} {
		j = equipped(t, j, component, j.Variants[0].Electrics.Systems[0].ID)
	}
	found := example.Found(t, j, "cables-uncounted")
	require.Len(t, found, 1)
	before := plan.Of(&j).Load.Axles().Gross()
	counted, err := edit.Apply(&j, nil, []fitout.FixEdit{found[0].Fixes[0].Edit})
	require.NoError(t, err)
	assert.InDelta(t, before+found[0].Limit, plan.Of(&counted).Load.Axles().Gross(), 0.01)
	assert.Empty(t, example.Found(t, counted, "cables-uncounted"))
}

func TestElectricsThatWereNotOfferedAreRefused(t *testing.T) {
	j := example.Ute()
	for _, e := range []fitout.FixEdit{
		{Kind: "equip", With: "gone"}, {Kind: "equip", With: "chairs"}, {Kind: "equip", ID: "gone", With: "lfp-160"},
		{Kind: "drive-hours", Value: -1}, {Kind: "drive-hours", Value: 1e9}, {Kind: "load-less", ID: "gone", Value: 0.5},
		{Kind: "clear-supply", ID: "gone"}, {Kind: "count-cables", Value: 5},
	} {
		_, err := edit.Apply(&j, example.Shop(), []fitout.FixEdit{e})
		assert.ErrorContains(t, err, "a change that was offered", e.Kind)
	}
}

// TestWhatIsChosenStandsApart: where no space is measured, nor even the body's width said,
// what is chosen one after the other does not stand in one place, and stays on the vehicle.
func TestWhatIsChosenStandsApart(t *testing.T) {
	for _, width := range []float64{0, 1900} {
		j := example.Ute()
		j.Vehicle.Bays, j.Vehicle.Mounts, j.Vehicle.Outline.Width = nil, nil, width
		j.Variants[0].Items, j.Variants[0].Electrics = nil, fitout.NewElectrics()
		for _, component := range []string{"lfp-50", "cool-50", "mppt-10", "dcdc-12", "lfp-160", "sun-60-loose"} {
			j = equipped(t, j, component, "")
		}
		house := j.Variants[0].Electrics.Systems[0]
		assert.Equal(t, "Lithium battery 50 Ah", house.Name)
		j = equipped(t, j, "lfp-300-slim", house.ID) // longer than what it takes the place of
		assert.Equal(t, "Lithium battery 300 Ah, slim", j.Variants[0].Electrics.Systems[0].Name, "called what it is")
		items := j.Variants[0].Items
		require.Len(t, items, 6)
		for i := range items {
			box := items[i].Box()
			half := max(width, j.Vehicle.TrackFront, j.Vehicle.TrackRear) / 2
			assert.True(t, box.From.Y >= -half && box.To.Y <= half, items[i].Name)
			for k := range items[:i] {
				by := box.Overlap(items[k].Box())
				assert.LessOrEqual(t, min(by.X, by.Y, by.Z), 0.0, "%s in %s", items[i].Name, items[k].Name)
			}
		}
	}
}

// TestWhatWaitsIsFed: a load that came before there was a battery or an inverter hangs on it
// as soon as there is one.
func TestWhatWaitsIsFed(t *testing.T) {
	j := example.Ute()
	j.Brief.Gear = append(j.Brief.Gear, fitout.Gear{ID: "lamp", Name: "Lamp", Count: 1, Used: fitout.UsedDaily, Watts: 20, Hours: 2},
		fitout.Gear{ID: "grinder", Name: "Grinder", Count: 1, Used: fitout.UsedDaily, Watts: 700, Hours: 0.1, Mains: true})
	j, _ = edit.BringIn(&j, example.Shop())
	require.Len(t, example.Found(t, j, "load-unfed"), 2)
	j = equipped(t, j, "lfp-160", "")
	e := j.Variants[0].Electrics
	assert.Equal(t, e.Systems[0].ID, e.Loads[0].System)
	require.Len(t, example.Found(t, j, "load-unfed"), 1, "mains wants an inverter")
	j = equipped(t, j, "inverter-1500", "")
	assert.Equal(t, j.Variants[0].Electrics.Inverters[0].ID, j.Variants[0].Electrics.Loads[1].Inverter)
	assert.Empty(t, example.Found(t, j, "load-unfed"))
}
