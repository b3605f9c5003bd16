package edit

import (
	"math"
	"regexp"
	"strconv"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// What a name proposes for a thing that comes into Power: it is shown there at once, to be corrected, and decides nothing
// after that.

// chemistries are the words by which batteries are called, those that say most first.
var chemistries = []struct {
	said  []string
	means fitout.Chemistry
}{
	{[]string{"flooded", "wet"}, fitout.Flooded},
	{[]string{"gel"}, fitout.Gel},
	{[]string{"agm", "lead", "lead acid", "calcium"}, fitout.AGM},
}

// batteryNamed is a battery by what its name says; 100 Ah of lithium where it says nothing.
func batteryNamed(name string) *fitout.PowerSystem {
	b := fitout.Battery{Chemistry: fitout.LFP, Capacity: 100, Parallel: 1}
	for _, c := range chemistries {
		if words.Names(name, c.said...) {
			b.Chemistry = c.means
			break
		}
	}
	if ah, said := figureNamed(name, "ah"); said {
		b.Capacity = ah
	}
	return &fitout.PowerSystem{Kind: fitout.HouseSystem, Voltage: 12, Battery: b, Full: 1, Ports: []fitout.Port{}}
}

// stationNamed is a power station by what its name says; 1000 Wh where it says nothing.
func stationNamed(name string) *fitout.Device {
	wh, said := figureNamed(name, "wh")
	if !said {
		wh = 1000
	}
	return &fitout.Device{
		System: &fitout.PowerSystem{Kind: fitout.StationSystem, Voltage: 12, Full: 1, Ports: []fitout.Port{},
			Battery: fitout.Battery{Chemistry: fitout.LFP, Capacity: math.Floor(wh/1.28) / 10, Parallel: 1}},
		Inverter: &fitout.Inverter{Name: "Inverter of the station", Watts: wh, Standby: 9, Remote: true},
	}
}

// figureNamed is the figure before a unit in a name, or before a thousand of it: 200 W, 1,500 W, 1 500 W, 1.5 kW.
func figureNamed(name, unit string) (float64, bool) {
	found := regexp.MustCompile(`(\d{1,3}(?:[ ,.]\d{3})+|\d+(?:[.,]\d+)?) ?(k?)` + unit + `\b`).
		FindStringSubmatch(strings.ToLower(name))
	if found == nil {
		return 0, false
	}
	figure := strings.ReplaceAll(found[1], ",", ".")
	if grouped := regexp.MustCompile(`^\d{1,3}(?:[ .]\d{3})+$`); grouped.MatchString(figure) && found[2] == "" {
		figure = strings.NewReplacer(" ", "", ".", "").Replace(figure)
	}
	value, err := strconv.ParseFloat(figure, 64)
	if found[2] != "" {
		value *= 1000
	}
	return value, err == nil && value > 0
}
