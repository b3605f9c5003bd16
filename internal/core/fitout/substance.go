package fitout

import (
	"iter"
	"slices"
	"strings"
)

// Substance is what a thing holds or is, where that bears on its neighbours and on the people near it.
type Substance string

// The substances. Empty is not said, and counts as nothing dangerous.
const (
	SubstanceNotSaid Substance = ""
	SubstanceNone    Substance = "none"
	SubstanceWater   Substance = "water"
	SubstancePetrol  Substance = "petrol"
	SubstanceDiesel  Substance = "diesel"
	SubstanceGas     Substance = "gas"
	SubstanceSpirits Substance = "spirits"
	SubstanceAcid    Substance = "acid"
	SubstanceBleach  Substance = "bleach"
	SubstanceFood    Substance = "food" // what people eat or drink, or eat with
	SubstanceDirt    Substance = "dirt" // it is dirty when it is used: waste, boots, recovery gear
)

// Burns tells whether a substance burns: fuels, gas and spirits.
func (s Substance) Burns() bool {
	return s == SubstancePetrol || s == SubstanceDiesel || s == SubstanceGas || s == SubstanceSpirits
}

// Corrodes tells whether a substance eats metal and cloth: acid and bleach.
func (s Substance) Corrodes() bool { return s == SubstanceAcid || s == SubstanceBleach }

// spoken is one phrase by which things that hold a substance are called.
type spoken struct {
	phrase string
	means  Substance
}

// spokenIn are the phrases of each region, the longer ones first; what is said alike everywhere stands under "".
var spokenIn = map[Region][]spoken{
	"": {
		{
			"gas bottle",
			SubstanceGas,
		}, {"gas bottles", SubstanceGas}, {"gas cylinder", SubstanceGas}, {"gas cylinders", SubstanceGas}, {"gas cartridge", SubstanceGas},
		{"gas cartridges", SubstanceGas}, {"lpg", SubstanceGas}, {"propane", SubstanceGas}, {"butane", SubstanceGas},
		{
			"fuel can",
			SubstancePetrol,
		}, {"fuel cans", SubstancePetrol}, {"petrol", SubstancePetrol}, {"gasoline", SubstancePetrol},
		{
			"diesel",
			SubstanceDiesel,
		}, {"methylated spirits", SubstanceSpirits}, {"spirits", SubstanceSpirits}, {"paraffin", SubstanceSpirits}, {"kerosene", SubstanceSpirits},
		{"battery acid", SubstanceAcid}, {"bleach", SubstanceBleach}, {"chlorine", SubstanceBleach},
		{
			"water can",
			SubstanceWater,
		}, {"water cans", SubstanceWater}, {"water jug", SubstanceWater}, {"water jugs", SubstanceWater}, {"water bottles", SubstanceWater},
		{
			"recovery kit",
			SubstanceDirt,
		}, {"recovery gear", SubstanceDirt}, {"recovery straps", SubstanceDirt}, {"toilet", SubstanceDirt},
		{
			"boots",
			SubstanceDirt,
		}, {"waders", SubstanceDirt}, {"waste bag", SubstanceDirt}, {"fire pit", SubstanceDirt}, {"ash", SubstanceDirt},
		{
			"food",
			SubstanceFood,
		}, {"groceries", SubstanceFood}, {"provisions", SubstanceFood}, {"pots", SubstanceFood}, {"plates", SubstanceFood},
	},
	NorthAmerica: {
		{"gas can", SubstancePetrol},
		{"gas cans", SubstancePetrol},
		{"white gas", SubstanceSpirits},
		{"rubbing alcohol", SubstanceSpirits},
		{"trash", SubstanceDirt},
		{"garbage", SubstanceDirt},
	},
	AustraliaNZ: {
		{"metho", SubstanceSpirits},
		{"unleaded", SubstancePetrol},
		{"swap bottle", SubstanceGas},
		{"snatch strap", SubstanceDirt},
		{"rubbish", SubstanceDirt},
		{"tucker", SubstanceFood},
	},
	UKEurope: {
		{"unleaded", SubstancePetrol},
		{"gas canister", SubstanceGas},
		{"gas canisters", SubstanceGas},
		{"wellies", SubstanceDirt},
		{"rubbish", SubstanceDirt},
	},
}

// onlyNamedAfter are words of things that are called after what they warn of, carry on or push with.
var onlyNamedAfter = []string{
	"alarm",
	"detector",
	"sensor",
	"strut",
	"struts",
	"spring",
	"springs",
	"gauge",
	"hose",
	"regulator",
	"filter",
	"pump",
	"cap",
	"heater",
	"filler",
	"valve",
	"level",
	"line",
}

// beginsPhrase are the first words of all phrases.
var beginsPhrase = func() map[string]bool {
	all := map[string]bool{}
	for _, phrases := range spokenIn {
		for _, s := range phrases {
			first, _, _ := strings.Cut(s.phrase, " ")
			all[first] = true
		}
	}
	return all
}()

// ProposedSubstance is what a thing of a name most likely holds, in the words of a region; not said where its name
// tells nothing. It is a proposal: what counts is the field.
func ProposedSubstance(name string, region Region) Substance {
	words := func() iter.Seq[string] {
		return strings.FieldsFuncSeq(strings.ToLower(name), func(r rune) bool { return r < 'a' || r > 'z' })
	}
	speaks := false
	for word := range words() {
		speaks = speaks || beginsPhrase[word]
	}
	if !speaks { // most names, which are looked at with every edit
		return SubstanceNotSaid
	}
	said := " " + strings.Join(slices.Collect(words()), " ") + " "
	for _, word := range onlyNamedAfter {
		if strings.Contains(said, " "+word+" ") {
			return SubstanceNotSaid
		}
	}
	for _, all := range [][]spoken{spokenIn[region], spokenIn[""]} {
		for _, s := range all {
			if strings.Contains(said, " "+s.phrase+" ") {
				return s.means
			}
		}
	}
	return SubstanceNotSaid
}
