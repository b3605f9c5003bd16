package fitout

import (
	"fmt"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func wiredJob() Job {
	j := NewJob("wired", "Wired", AustraliaNZ)
	e := &j.Variants[0].Electrics
	e.Systems = []PowerSystem{{ID: "house", Name: "House", Kind: HouseSystem, Voltage: 12, Ports: []Port{},
		Battery: Battery{Chemistry: LFP, Capacity: 100, Parallel: 1}}}
	e.Loads = []PowerLoad{{ID: "light", Name: "Light", System: "house", Count: 1, Watts: 8, Use: UseSpans,
		Spans: []Span{}}}
	return j
}

// What cannot be is refused with the place, what was given and what would be accepted; what
// merely names something that is gone is for the findings.
func TestBadElectricsAreRefusedWithASentence(t *testing.T) {
	for says, spoil := range map[string]func(e *Electrics){
		"systems[0].voltage (House): 0 V was given; accepted is a number from 6 to 60 V": func(e *Electrics) {
			e.Systems[0].Voltage = 0
		},
		"battery.capacity (House): 0 Ah was given; accepted is a number from 0.1 to 10000 Ah": func(e *Electrics) {
			e.Systems[0].Battery.Capacity = 0
		},
		"battery.chemistry (House): \"nickel\" was given; accepted is one of lfp, agm, gel, f": func(e *Electrics) {
			e.Systems[0].Battery.Chemistry = "nickel"
		},
		"loads (A): a list of 10000 was given; accepted is a list of up to 300": func(e *Electrics) {
			for i := range 9999 {
				l := e.Loads[0]
				l.ID = fmt.Sprint("load", i)
				e.Loads = append(e.Loads, l)
			}
		},
		"loads[1].id (Light): \"light\" a second time was given": func(e *Electrics) {
			e.Loads = append(e.Loads, e.Loads[0])
		},
		"circuits[0].area (A): -1 mm² was given; accepted is a number from 0 to 240 mm²": func(e *Electrics) {
			e.Circuits = []Circuit{{Of: "light", Area: -1, Crossings: []Crossing{}}}
		},
		"spans[0].from (Light): 25 h was given; accepted is a number from 0 to 24 h": func(e *Electrics) {
			e.Loads[0].Spans = []Span{{ID: "s", From: 25, To: 26, Share: 1}}
		},
	} {
		j := wiredJob()
		require.NoError(t, Validate(&j))
		spoil(&j.Variants[0].Electrics)
		assert.ErrorContains(t, Validate(&j), says)
	}
	j := wiredJob()
	e := &j.Variants[0].Electrics
	e.Systems = []PowerSystem{}
	e.Circuits = []Circuit{{Of: "gone", Crossings: []Crossing{}}}
	e.Outputs = []Output{{ID: "o", Of: "light",
		Lines: []LogicLine{{ID: "l", Conditions: []Condition{{ID: "c", What: IfOutput, Of: "o"}}}}}}
	e.Loads[0].Spans = []Span{{ID: "a", From: 22, To: 6, Share: 1}, {ID: "b", From: 23, To: 1, Share: 1}}
	assert.NoError(t, Validate(&j), "a load on a system that is gone, logic that names itself, spans over midnight")
}

// A component with a device that cannot be is refused by the device's own path.
func TestDevicesOfComponentsAreChecked(t *testing.T) {
	c := Component{ID: "own", Item: Item{ID: "own", Name: "Own battery", Form: FormBox, Mass: 10, Source: Estimate,
		Presence: Presence{Kind: Always}, Module: &Module{Kind: BatteryBox, Faces: FaceNone, Wall: NoMaterial,
			Runner: NoRunner,
			Stack:  Beside, Cells: []Cell{}, Fixings: []Fixing{}}}}
	system := wiredJob().Variants[0].Electrics.Systems[0]
	c.Device = &Device{System: &system}
	require.NoError(t, CheckComponent(&c))
	system.Battery.Parallel = 0
	assert.ErrorContains(t, CheckComponent(&c), "device.systems[0].battery.parallel")
}

// Version 5 had no electrics: they are empty, with the days of the brief.
func TestElectricsComeToOlderJobs(t *testing.T) {
	assert.Equal(t, NewElectrics(), golden(t, 5).Variants[0].Electrics)
	six := golden(t, 6).Variants[0].Electrics
	assert.Len(t, six.Systems, 3)
	assert.NotEmpty(t, six.Outputs)
}

// Version 6 knew no way: its jobs have a route without stops, plumbing of which nothing is said,
// and fill up wherever they can.
func TestRoutesComeToOlderJobs(t *testing.T) {
	six := golden(t, 6)
	assert.Equal(t, NewRoute(), six.Route)
	assert.Equal(t, NewPlumbing(), six.Variants[0].Plumbing)
	assert.Empty(t, six.Variants[0].Fills)
	seven := golden(t, 7)
	require.Len(t, seven.Route.Stops, 3)
	assert.Equal(t, 412.5, seven.Route.Stops[0].Leg.Km)
	assert.Equal(t, 412.5, seven.Route.Km()-seven.Route.Stops[1].Leg.Km)
	assert.NotEmpty(t, seven.Variants[0].Plumbing.Vessels)
}

// The line of a way is text; what cannot be read is refused with its place.
func TestTheLineOfAWay(t *testing.T) {
	points, err := ParseTrack("-26.5,151.2,0 -26.9,151.8,74.37")
	require.NoError(t, err)
	assert.Equal(t, []TrackPoint{{Place{-26.5, 151.2}, 0}, {Place{-26.9, 151.8}, 74.37}}, points)
	assert.Equal(t, "-26.5,151.2,0 -26.9,151.8,74.37", FormatTrack(points))
	for _, bad := range []string{"1,2", "a,b,c", "91,0,0", "0,181,0", "0,0,-1", "0,0,NaN", "0,0,5 0,0,4", "1,2,3,4"} {
		_, err := ParseTrack(bad)
		assert.ErrorContains(t, err, "accepted is latitude,longitude,km", bad)
	}
	j := NewJob("way", "Way", AustraliaNZ)
	j.Route.Track = "somewhere"
	assert.ErrorContains(t, Validate(&j), "route.track")
}

func golden(t *testing.T, version int) Job {
	t.Helper()
	data, err := os.ReadFile(fmt.Sprintf("testdata/v%d.zaino.json", version))
	require.NoError(t, err)
	j, err := Decode(data)
	require.NoError(t, err)
	return j
}
