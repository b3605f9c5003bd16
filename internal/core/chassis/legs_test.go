package chassis_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// A battery that stands in a box on its legs is charged by what stays with it: not by the engine, nor by a panel on
// the cab.
func TestWhatChargesABoxOffTheVehicle(t *testing.T) {
	j := bodied()
	v := &j.Variants[0]
	battery := v.Items[2].ID
	j.Vehicle.Carrier = &fitout.Carrier{
		Name:  "Box",
		Bays:  []fitout.ThingNote{},
		Items: []fitout.ThingNote{{Of: battery}},
		Legs:  []fitout.StandLeg{},
	}
	v.Stances = append(v.Stances, fitout.Stance{ID: "off", Name: "Box off", Use: fitout.StanceOther, Off: true})
	v.Electrics.Systems = []fitout.PowerSystem{
		{ID: "house", Name: "House battery", Kind: fitout.HouseSystem, Voltage: 12,
			Battery: fitout.Battery{Chemistry: fitout.LFP, Capacity: 100, Parallel: 1}, Full: 1, Item: battery},
	}
	v.Electrics.Chargers = []fitout.Charger{
		{ID: "c", Name: "Charger", System: "house", Amps: 25, For: "any", Item: battery},
	}
	v.Electrics.Sources = []fitout.PowerSource{
		{
			ID:      "alternator",
			Name:    "Alternator",
			Kind:    fitout.Alternator,
			Charger: "c",
			Amps:    120,
			Mount:   fitout.FlatPanel,
		},
		{
			ID:      "panel",
			Name:    "Panel on the cab",
			Kind:    fitout.Solar,
			Charger: "c",
			Watts:   100,
			Mount:   fitout.FlatPanel,
			Item:    v.Items[1].ID,
		},
	}
	f, fired := told(t, &j)["off-uncharged"]
	require.True(t, fired)
	assert.Equal(t, fitout.Note, f.Severity)
	assert.Contains(t, f.Sentence, "no panel, mains lead or generator of house battery stays with it")

	v.Electrics.Sources[1].Loose = true
	assert.NotContains(t, told(t, &j), "off-uncharged", "a loose panel is put up beside it")
	v.Electrics.Sources[1].Loose, v.Electrics.Sources[1].Kind = false, fitout.Mains
	assert.NotContains(t, told(t, &j), "off-uncharged", "a mains lead reaches it")
	v.Electrics.Chargers[0].Item = v.Items[1].ID
	assert.Contains(t, told(t, &j), "off-uncharged", "its charger stays on the vehicle")
	v.Stances[len(v.Stances)-1].Off = false
	assert.NotContains(t, told(t, &j), "off-uncharged", "it never comes off")
}

// Off the vehicle a box of 400 kg stands on four legs 2,000 apart along and 800 across, its load 1,000 behind the
// front ones and in the middle: 100 kg on each. Further forward it loads the front ones, by F = M/n (1 ± …), until
// it tips.
func TestABoxOnItsLegs(t *testing.T) {
	on := func(x float64, rating float64, legs int) map[string]fitout.Finding {
		j := bodied()
		v := &j.Variants[0]
		v.Items = v.Items[2:] // the load of 400 kg alone
		v.Items[0].At = fitout.Point{X: x, Z: 1100}
		leg := func(id string, x, y float64) fitout.StandLeg {
			return fitout.StandLeg{ID: id, Name: "Leg " + id, At: fitout.Point{X: x, Y: y}, Rating: rating}
		}
		j.Vehicle.Carrier = &fitout.Carrier{
			Name:  "Box",
			Bays:  []fitout.ThingNote{{Of: "box"}},
			Items: []fitout.ThingNote{},
			Legs:  []fitout.StandLeg{leg("fl", 2300, -400), leg("fr", 2300, 400), leg("rl", 4300, -400), leg("rr", 4300, 400)}[:legs],
		}
		v.Stances = append(v.Stances, fitout.Stance{ID: "off", Name: "Box off", Use: fitout.StanceOther, Off: true})
		return told(t, &j)
	}
	for rule := range on(3300, 100, 4) {
		assert.NotContains(t, []string{"leg-over", "legs-tip", "legs-few"}, rule)
	}
	over := on(3300, 99, 4)["leg-over"]
	assert.Equal(t, fitout.Stop, over.Severity)
	assert.InDelta(t, 100, over.Value, 0.1)
	// 850 ahead of the middle: 400/4 (1 ± 850/1000) on the front and the rear legs.
	forward := on(2450, 184, 4)
	assert.InDelta(t, 185, forward["leg-over"].Value, 0.1)
	assert.NotContains(t, forward, "legs-tip", "15 kg stay on each rear leg, and a tenth of 100 is 10")
	assert.Equal(t, fitout.Caution, on(2390, 250, 4)["legs-tip"].Severity, "9 kg stay")
	assert.Equal(t, fitout.Stop, on(2290, 250, 4)["legs-tip"].Severity, "its middle is 10 mm outside of them")
	assert.Contains(t, on(3300, 250, 2), "legs-few")
}
