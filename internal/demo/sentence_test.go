package demo

import (
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// named is an amount that the sentence of a rule names in a demo job that was spoiled, and what somebody does who
// follows it. Those of fit are followed on its own scene.
type named struct {
	rule, says string // says is a pattern with the amount in it
	job        string
	spoil      func(j *fitout.Job)
	do         func(j *fitout.Job, by float64)
	less       func(by float64) float64 // what does not do; absent: a twentieth less
}

// size is the next thinner cable, or smaller fuse, of those that the sentences may name.
func size(all ...float64) func(by float64) float64 {
	return func(by float64) float64 { return all[max(0, slices.Index(all, by)-1)] }
}

var (
	thinner = size(0.75, 1, 1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120)
	weaker  = size(3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 70, 80, 100)
)

func circuit(j *fitout.Job, of string) *fitout.Circuit {
	e := electrics(j)
	if !slices.ContainsFunc(e.Circuits, func(c fitout.Circuit) bool { return c.Of == of }) {
		e.Circuits = append(e.Circuits, fitout.Circuit{Of: of})
	}
	return &e.Circuits[slices.IndexFunc(e.Circuits, func(c fitout.Circuit) bool { return c.Of == of })]
}

func item(j *fitout.Job, id string) *fitout.Item {
	items := j.ChosenVariant().Items
	return &items[slices.IndexFunc(items, func(i fitout.Item) bool { return i.ID == id })]
}

// lightOf is the first load that lights a zone.
func lightOf(j *fitout.Job, zone fitout.LightZone) *fitout.PowerLoad {
	all := loads(j)
	return &all[slices.IndexFunc(all, func(l fitout.PowerLoad) bool { return l.Light != nil && l.Light.Zone == zone })]
}

// filler is that of the first vessel that has one.
func filler(j *fitout.Job) *fitout.Filler {
	all := vessels(j)
	return all[slices.IndexFunc(all, func(v fitout.Vessel) bool { return v.Filler != nil })].Filler
}

// water is the vessel of the water tank.
func water(j *fitout.Job) *fitout.Vessel {
	all := vessels(j)
	return &all[slices.IndexFunc(all, func(v fitout.Vessel) bool { return v.Of == "water-tank" })]
}

func house(j *fitout.Job) *fitout.PowerSystem { return &systems(j)[1] }

var followed = []named{
	{
		"battery-charged-fast", `Set the chargers ([\d.]+) A lower`, "river-gauging",
		func(j *fitout.Job) { house(j).Battery.Charge = 37.7 },
		func(j *fitout.Job, a float64) { chargers(j)[0].Amps -= a / 2; chargers(j)[1].Amps -= a / 2 }, nil,
	},
	{
		"battery-current", `a battery that gives ([\d.]+) A`, "river-gauging",
		func(j *fitout.Job) { house(j).Battery.Discharge = 31 },
		func(j *fitout.Job, a float64) { house(j).Battery.Discharge = a }, nil,
	},
	{
		"alternator-asked", `([\d.]+) A for idling too`, "river-gauging",
		func(j *fitout.Job) { sources(j)[0].Amps = 104 },
		func(j *fitout.Job, a float64) { chargers(j)[0].Amps -= a / 2; chargers(j)[1].Amps -= a / 2 },
		func(a float64) float64 { return a * 0.7 }, // what a charger takes is more than it gives
	},
	{
		"power-runs-out", `([\d.]+) Ah more of battery`, "queen-bees",
		func(j *fitout.Job) { house(j).Battery.Capacity = 60 },
		func(j *fitout.Job, ah float64) { house(j).Battery.Capacity += ah },
		func(ah float64) float64 { return ah - 60.0/8 - 1 },
	},
	{
		"power-runs-out", `([\d.]+) W more of sun`, "queen-bees",
		func(j *fitout.Job) { house(j).Battery.Capacity = 60 },
		func(j *fitout.Job, w float64) {
			e := electrics(j)
			e.Sources = append(e.Sources, fitout.PowerSource{
				ID: "more", Name: "More", Kind: fitout.Solar, Mount: fitout.FlatPanel, System: "house", Watts: w,
			})
		},
		func(w float64) float64 { return w - 50 },
	},
	{
		"power-runs-out", `([\d.]+) min more of driving a day`, "queen-bees",
		func(j *fitout.Job) { house(j).Battery.Capacity = 200 },
		func(j *fitout.Job, minutes float64) {
			drives := electrics(j).Days.Drives
			drives[len(drives)-1].To += minutes / 60
		},
		func(minutes float64) float64 { return minutes - 15 }, // a quarter of an hour is the step
	},
	{
		"power-runs-out", `or ([\d.]+) ?% less of extractor drive`, "queen-bees",
		func(j *fitout.Job) { house(j).Battery.Capacity = 200 },
		func(j *fitout.Job, percent float64) {
			all := loads(j)
			load := &all[slices.IndexFunc(all, func(l fitout.PowerLoad) bool { return l.Name == "Extractor drive" })]
			for k := range load.Spans {
				load.Spans[k].To -= (load.Spans[k].To - load.Spans[k].From) * percent / 100
			}
		},
		func(percent float64) float64 { return percent - 12.5 }, // an eighth is the step
	},
	{
		"inverter-over", `choose one for ([\d.]+) W`, "queen-bees",
		func(j *fitout.Job) { inverters(j)[0].Watts = 700 },
		func(j *fitout.Job, w float64) { inverters(j)[0].Watts = w },
		func(w float64) float64 { return w - 101 },
	},
	{
		"inverter-battery", `Up to ([\d.]+) W can be used`, "queen-bees",
		func(*fitout.Job) {},
		func(j *fitout.Job, w float64) { inverters(j)[0].Watts = w },
		func(w float64) float64 { return w * 1.02 },
	},
	{
		"cable-drop", `([\d.]+) mm² would do`, "river-gauging",
		func(j *fitout.Job) { circuit(j, "sample-freezer").Area, circuit(j, "sample-freezer").Length = 1, 7000 },
		func(j *fitout.Job, area float64) { circuit(j, "sample-freezer").Area = area }, thinner,
	},
	{
		"cable-thin", `Take ([\d.]+) mm²`, "river-gauging",
		func(j *fitout.Job) { circuit(j, "winch-motor").Area, circuit(j, "winch-motor").Length = 1, 400 },
		func(j *fitout.Job, area float64) { circuit(j, "winch-motor").Area = area },
		func(float64) float64 { return 1 }, // 1.5 mm² carries it, but not what its fuse lets through
	},
	{
		"fuse-above-cable", `or ([\d.]+) mm²`, "river-gauging",
		func(j *fitout.Job) { circuit(j, "camp-light").Area, circuit(j, "camp-light").Fuse = 1, 40 },
		func(j *fitout.Job, area float64) { circuit(j, "camp-light").Area = area }, thinner,
	},
	{
		"fuse-below-load", `1¼ times that is ([\d.]+) A`, "river-gauging",
		func(j *fitout.Job) { circuit(j, "winch-motor").Fuse = 3 },
		func(j *fitout.Job, a float64) { circuit(j, "winch-motor").Fuse = a }, weaker,
	},
	{
		"fuse-far", `Put it within ([\d.]+) mm`, "river-gauging",
		func(j *fitout.Job) { circuit(j, "camp-light").FuseAt = 900 },
		func(j *fitout.Job, mm float64) { circuit(j, "camp-light").FuseAt = mm },
		func(mm float64) float64 { return mm + 1 },
	},
	{
		"fuse-far", `or within ([\d.]+) mm in a sheath`, "river-gauging",
		func(j *fitout.Job) { circuit(j, "camp-light").FuseAt, circuit(j, "camp-light").Sheathed = 1900, true },
		func(j *fitout.Job, mm float64) { circuit(j, "camp-light").FuseAt = mm },
		func(mm float64) float64 { return mm + 1 },
	},
	{
		"pump-small", `together want ([\d.]+) L/min`, "river-gauging",
		func(j *fitout.Job) { pumps(j)[0].Flow = 1.3 },
		func(j *fitout.Job, flow float64) { pumps(j)[0].Flow = flow }, nil,
	},
	{
		"hose-short", `([\d.]+) m are wanted`, "river-gauging",
		func(j *fitout.Job) { plumbing(j).Air.Hose = 2 },
		func(j *fitout.Job, m float64) { plumbing(j).Air.Hose = m + 0.05 }, nil,
	},
	{
		"tap-far", `([\d.]+) mm longer at least`, "river-gauging",
		func(j *fitout.Job) { outlets(j)[1].Hose = 0.3 },
		func(j *fitout.Job, mm float64) { outlets(j)[1].Hose += mm / 1000 },
		func(mm float64) float64 { return mm - 252 }, // necks and spouts take 250 mm
	},
	{
		"filler-flat", `Raise its mouth by ([\d.]+) mm`, "river-gauging",
		func(j *fitout.Job) { filler(j).Drop = 20 },
		func(j *fitout.Job, mm float64) { filler(j).Drop += mm }, nil,
	},
	{
		"filler-far", `a pipe that is ([\d.]+) mm longer`, "river-gauging",
		func(j *fitout.Job) {
			at := item(j, "water-tank").At
			at.Y += 1500
			water(j).Filler = &fitout.Filler{At: at, Run: 400, Drop: 300}
		},
		func(j *fitout.Job, mm float64) { water(j).Filler.Run += mm }, nil,
	},
	{
		"drawer-thin", `Make it ([\d.]+) mm thick`, "river-gauging",
		func(j *fitout.Job) {
			item(j, "drawer-unit-left").Module.Panel = 9
			item(j, "pots-plates-and-kettle").Mass = 70
		},
		func(j *fitout.Job, mm float64) { item(j, "drawer-unit-left").Module.Panel = mm },
		func(mm float64) float64 { return mm - 1.6 },
	},
	{
		"front-light", `([\d.]+) kg of it on the front instead`, "river-gauging",
		func(j *fitout.Job) {
			for id, at := range map[string]float64{"ballast": 4300, "moved": 3400} {
				items := &j.ChosenVariant().Items
				*items = append(*items, fitout.Item{
					ID: id, Name: id, Form: "box", Mass: 420, At: fitout.Point{X: at, Z: 900}, Source: "weighed",
					Size:     fitout.Size{Length: 300, Width: 300, Height: 300},
					Presence: fitout.Presence{Kind: "always"},
				})
			}
		},
		func(j *fitout.Job, kg float64) { // from one axle to the other
			item(j, "moved").At.X -= kg / 420 * j.Vehicle.ExtendedWheelbase()
		}, nil,
	},
	{
		"too-dark", `([\d.]+) of the first would do`, "river-gauging",
		func(j *fitout.Job) { lightOf(j, fitout.LightBench).Light.Lumens /= 12 },
		func(j *fitout.Job, n float64) { lightOf(j, fitout.LightBench).Count = n },
		func(n float64) float64 { return n - 1 },
	},
	{
		"leg-too-long", `another vessel of ([\d.]+) L`, "river-gauging",
		func(j *fitout.Job) { stops(j)[1].Leg.Km = 547 },
		func(j *fitout.Job, litres float64) {
			j.Vehicle.Tanks[0].Capacity += litres
		}, nil,
	},
	{
		"lift-more", `takes ([\d.]+) people`, "river-gauging",
		func(j *fitout.Job) { item(j, "drawer-unit-left").Mass = 118 },
		func(j *fitout.Job, people float64) {
			for len(j.Build.Makers) < int(people) {
				id := "hand-" + strconv.Itoa(len(j.Build.Makers))
				j.Build.Makers = append(j.Build.Makers, fitout.Maker{ID: id, Name: id, Skill: "all"})
			}
		},
		func(people float64) float64 { return people - 1 },
	},
}

// Whoever does by as much as a sentence says is rid of its finding; with a little less, it is there still.
func TestWhatASentenceOfAJobNamesMends(t *testing.T) {
	jobs, err := Jobs()
	require.NoError(t, err)
	for _, n := range followed {
		t.Run(n.rule+" "+n.says, func(t *testing.T) {
			k := slices.IndexFunc(jobs, func(j fitout.Job) bool { return j.ID == n.job })
			spoiled := func() *fitout.Job {
				j := example.Copy(&jobs[k])
				n.spoil(&j)
				require.NoError(t, fitout.Validate(&j))
				return &j
			}
			plain := strings.NewReplacer("\u00a0", " ", "\u202f", "")
			var found *fitout.Finding
			var by float64
			for _, f := range assess.Of(spoiled()).Findings {
				said := regexp.MustCompile(n.says).FindStringSubmatch(plain.Replace(f.Title + ": " + f.Sentence))
				if f.Rule == n.rule && said != nil && found == nil {
					found = &f
					by, err = strconv.ParseFloat(said[1], 64)
					require.NoError(t, err)
				}
			}
			require.NotNil(t, found)
			stays := func(by float64) bool {
				j := spoiled()
				n.do(j, by)
				require.NoError(t, fitout.Validate(j))
				return slices.ContainsFunc(
					assess.Of(j).Findings,
					func(f fitout.Finding) bool { return f.Key == found.Key },
				)
			}
			assert.False(t, stays(by), "followed: %s: %s", found.Title, found.Sentence)
			less := by * 0.95
			if n.less != nil {
				less = n.less(by)
			}
			assert.True(t, stays(less), "%g would do: %s: %s", less, found.Title, found.Sentence)
		})
	}
}
