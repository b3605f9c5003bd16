package fitout_test

import (
	"encoding/json"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// A name proposes what a thing holds, in the words of its region; what is only called after it holds none of it.
func TestANameProposesASubstance(t *testing.T) {
	for _, c := range []struct {
		name   string
		region fitout.Region
		want   fitout.Substance
	}{
		{"Gas bottle 4 kg", fitout.AustraliaNZ, fitout.SubstanceGas},
		{"Stove and gas bottle", fitout.UKEurope, fitout.SubstanceGas},
		{"Gas can", fitout.NorthAmerica, fitout.SubstancePetrol},
		{"Gas can", fitout.AustraliaNZ, fitout.SubstanceNotSaid},
		{"White gas for the stove", fitout.NorthAmerica, fitout.SubstanceSpirits},
		{"Two fuel cans", fitout.UKEurope, fitout.SubstancePetrol},
		{"Generator 1 kW, petrol", fitout.AustraliaNZ, fitout.SubstancePetrol},
		{"Metho", fitout.AustraliaNZ, fitout.SubstanceSpirits},
		{"Bleach", fitout.NorthAmerica, fitout.SubstanceBleach},
		{"Water jugs", fitout.NorthAmerica, fitout.SubstanceWater},
		{"Food for nine nights", fitout.AustraliaNZ, fitout.SubstanceFood},
		{"Waders and boots", fitout.UKEurope, fitout.SubstanceDirt},
		{"Trash", fitout.NorthAmerica, fitout.SubstanceDirt},
		{"Trash", fitout.UKEurope, fitout.SubstanceNotSaid},
		{"Gas alarm", fitout.AustraliaNZ, fitout.SubstanceNotSaid},
		{"Gas struts", fitout.AustraliaNZ, fitout.SubstanceNotSaid},
		{"Petrol filter", fitout.AustraliaNZ, fitout.SubstanceNotSaid},
		{"Diesel heater", fitout.UKEurope, fitout.SubstanceNotSaid},
		{"Gasket set", fitout.UKEurope, fitout.SubstanceNotSaid},
		{"", fitout.UKEurope, fitout.SubstanceNotSaid},
	} {
		assert.Equal(t, c.want, fitout.ProposedSubstance(c.name, c.region), "%s in %s", c.name, c.region)
	}
}

// An older document's names told what is in things; once lifted the fields tell it, and stay as they are corrected.
func TestOlderNamesBecomeSubstances(t *testing.T) {
	data, err := os.ReadFile("testdata/v9.zaino.json")
	require.NoError(t, err)
	var tree map[string]any
	require.NoError(t, json.Unmarshal(data, &tree))
	variant := tree["variants"].([]any)[0].(map[string]any)
	variant["items"].([]any)[0].(map[string]any)["name"] = "Gas bottle"
	variant["items"].([]any)[1].(map[string]any)["name"] = "Gas alarm"
	variant["items"].([]any)[2].(map[string]any)["name"] = "Food"
	data, err = json.Marshal(tree)
	require.NoError(t, err)
	j, err := fitout.Decode(data)
	require.NoError(t, err)
	assert.Equal(t, fitout.SubstanceGas, j.Variants[0].Items[0].Substance)
	assert.Equal(t, fitout.SubstanceNotSaid, j.Variants[0].Items[1].Substance)
	assert.Equal(t, fitout.SubstanceNotSaid, j.Variants[0].Items[2].Substance, "of food and dirt a name told nothing then")
	j.Variants[0].Items[0].Substance = fitout.SubstanceNone
	again, err := fitout.Encode(&j)
	require.NoError(t, err)
	j, err = fitout.Decode(again)
	require.NoError(t, err)
	assert.Equal(t, fitout.SubstanceNone, j.Variants[0].Items[0].Substance)
}
