package chassis_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// A battery that stands in a box on its legs is charged by what stays with it: not by the engine, nor by a panel on the cab.
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
