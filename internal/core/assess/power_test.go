package assess_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

func TestAModestHouseIsSound(t *testing.T) {
	j := wired()
	require.NoError(t, fitout.Validate(&j))
	for _, f := range assess.Of(&j).Findings {
		assert.NotEqual(t, "power", f.Subject.Kind, "%s: %s", f.Title, f.Sentence)
	}
	inverted(&j)
	for _, f := range assess.Of(&j).Findings {
		if f.Subject.Kind == "power" {
			assert.Equal(t, "mains-caution", f.Rule, f.Sentence)
		}
	}
}

// powerRules has for every rule of power and wiring a mistake that it sees, and beside it
// the nearest thing that is none.
var powerRules = []struct {
	rule        string
	fires, near func(j *fitout.Job, e *fitout.Electrics)
}{
	{"power-runs-out", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Watts, e.Days.DriveEvery = 120, 0 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Watts, e.Days.DriveEvery = 8, 0 }},
	{"power-reserve", func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[1].Reserve, e.Loads[1].Watts = 0.7, 80 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[1].Reserve, e.Loads[1].Watts = 0.3, 80 }},
	{"battery-current", func(j *fitout.Job, e *fitout.Electrics) { inverted(j); e.Systems[1].Battery.Discharge = 70 },
		func(j *fitout.Job, e *fitout.Electrics) { inverted(j); e.Systems[1].Battery.Discharge = 90 }},
	{"battery-charged-fast", func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[1].Battery.Charge = 20 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[1].Battery.Charge = 36 }},
	{"battery-frost", func(j *fitout.Job, _ *fitout.Electrics) { j.Brief.Trip.Coldest, j.Brief.Trip.Hottest = -15, 3 },
		func(j *fitout.Job, e *fitout.Electrics) {
			j.Brief.Trip.Coldest, j.Brief.Trip.Hottest = -15, 3
			e.Systems[1].Battery.Warmer = 16
		}},
	{"battery-cold", func(j *fitout.Job, e *fitout.Electrics) {
		j.Brief.Trip.Coldest, j.Brief.Trip.Hottest = -10, 20
		e.Systems[1].Battery = fitout.Battery{Chemistry: fitout.AGM, Capacity: 60, Parallel: 1, Charge: 40, Discharge: 50,
			Vented: true}
		e.Loads[1].Watts = 28
		e.Loads[1].Spans[0].From = 17
	}, func(j *fitout.Job, e *fitout.Electrics) {
		j.Brief.Trip.Coldest, j.Brief.Trip.Hottest = -10, 20
		e.Systems[1].Battery = fitout.Battery{Chemistry: fitout.AGM, Capacity: 160, Parallel: 1, Charge: 40, Discharge: 50,
			Vented: true}
	}},
	{"charger-chemistry", func(_ *fitout.Job, e *fitout.Electrics) { e.Chargers[0].For = "agm" },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Chargers[0].For = "lfp" }},
	{"no-isolator", func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[1].Isolator = false },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[0].Isolator = false }},
	{"battery-loose", func(j *fitout.Job, e *fitout.Electrics) {
		example.Add(j, "loose", 25, 2400)
		e.Systems[1].Item = "loose"
	}, func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[1].Item = "" }},
	{"battery-with-people", func(j *fitout.Job, e *fitout.Electrics) {
		inPeoplesSpace(j)
		e.Systems[1].Battery.Chemistry = fitout.AGM
	},
		func(j *fitout.Job, e *fitout.Electrics) {
			inPeoplesSpace(j)
			e.Systems[1].Battery.Chemistry, e.Systems[1].Battery.Vented = fitout.AGM, true
		}},
	{"no-meter", func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[1].Meter = false },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[0].Meter = false }},
	{"start-unprotected", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].System = "start" },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].System, e.Loads[1].Shed = "start", 0.7 }},
	{"charges-engine-off", func(_ *fitout.Job, e *fitout.Electrics) { e.Chargers[0].Always = true },
		func(j *fitout.Job, e *fitout.Electrics) {
			e.Chargers[0].Always = true
			ruled(j, fitout.Condition{What: fitout.IfVoltage, Of: "start", Value: 13.2})
		}},
	{"no-way-home", func(_ *fitout.Job, e *fitout.Electrics) { e.Links = e.Links[:0] },
		func(_ *fitout.Job, e *fitout.Electrics) {
			e.Links = e.Links[:0]
			reserve := e.Systems[0]
			reserve.ID, reserve.Name, reserve.Kind = "reserve", "Reserve", fitout.ReserveSystem
			e.Systems = append(e.Systems, reserve)
		}},
	{"laid-up", func(_ *fitout.Job, e *fitout.Electrics) {
		e.Systems[1].Isolator, e.Loads[1].Standby, e.Days.LaidUp = false, 1, 8
	}, func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Standby, e.Days.LaidUp = 1, 8 }},
	{"alternator-asked", func(_ *fitout.Job, e *fitout.Electrics) { e.Chargers[0].Amps = 70 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Chargers[0].Amps = 30 }},
	{"alternator-unsaid", func(_ *fitout.Job, e *fitout.Electrics) { e.Sources = e.Sources[1:] },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Sources, e.Chargers = e.Sources[1:], e.Chargers[:0] }},
	{"charger-ring", func(_ *fitout.Job, e *fitout.Electrics) {
		e.Chargers = append(e.Chargers, fitout.Charger{ID: "back", Name: "Back", System: "start", From: "house", Amps: 5,
			For: "any"})
	}, func(_ *fitout.Job, e *fitout.Electrics) {
		e.Chargers = append(e.Chargers, fitout.Charger{ID: "second", Name: "Second", System: "house", From: "start", Amps: 5,
			For: "any"})
	}},
	{"charges-nothing", func(_ *fitout.Job, e *fitout.Electrics) { e.Chargers[0].System = "gone" },
		func(_ *fitout.Job, _ *fitout.Electrics) {}},
	{"string-cold", func(_ *fitout.Job, e *fitout.Electrics) {
		e.Sources[1].Charger, e.Sources[1].Open, e.Chargers[0].From = "dcdc", 48, ""
	},
		func(_ *fitout.Job, e *fitout.Electrics) {
			e.Sources[1].Charger, e.Sources[1].Open, e.Chargers[0].From = "dcdc", 46, ""
		}},
	{"port-over", func(_ *fitout.Job, e *fitout.Electrics) {
		e.Systems[1].Ports, e.Loads[1].Port = []fitout.Port{{ID: "socket", Name: "Socket", Amps: 1}}, "socket"
	}, func(_ *fitout.Job, e *fitout.Electrics) {
		e.Systems[1].Ports, e.Loads[1].Port = []fitout.Port{{ID: "socket", Name: "Socket", Amps: 2}}, "socket"
	}},
	{"panel-uncontrolled", func(_ *fitout.Job, e *fitout.Electrics) { e.Sources[1].Charger, e.Sources[1].System = "", "house" },
		func(_ *fitout.Job, e *fitout.Electrics) {
			e.Sources[1].Charger, e.Sources[1].System, e.Sources[1].Watts = "", "house", 8
		}},
	{"panel-shaded", func(j *fitout.Job, _ *fitout.Electrics) {
		example.Add(j, "tent", 20, 3000, func(i *fitout.Item) { i.At.Z = 2000 })
	}, func(j *fitout.Job, _ *fitout.Electrics) {
		example.Add(j, "tent", 20, 4200, func(i *fitout.Item) { i.At.Z = 2000 })
	}},
	{"generator-exhaust", func(_ *fitout.Job, e *fitout.Electrics) { generator(e, false) },
		func(_ *fitout.Job, e *fitout.Electrics) { generator(e, true) }},
	{"generator-fuel", func(_ *fitout.Job, e *fitout.Electrics) { generator(e, true) },
		func(_ *fitout.Job, e *fitout.Electrics) { generator(e, true); e.Sources[2].Spans = []fitout.Span{} }},
	{"mains-caution", func(j *fitout.Job, _ *fitout.Electrics) {
		inverted(j)
	}, func(_ *fitout.Job, _ *fitout.Electrics) {}},
	{"relay-lithium", func(_ *fitout.Job, e *fitout.Electrics) { relay(e) },
		func(_ *fitout.Job, e *fitout.Electrics) { relay(e); e.Systems[1].Battery.Chemistry = fitout.AGM }},
	{"sources-meet", func(j *fitout.Job, e *fitout.Electrics) { inverted(j); generator(e, true) },
		func(j *fitout.Job, e *fitout.Electrics) {
			inverted(j)
			generator(e, true)
			e.Links = append(e.Links, changeover(true))
		}},
	{"changeover-both", func(_ *fitout.Job, e *fitout.Electrics) { e.Links = append(e.Links, changeover(false)) },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Links = append(e.Links, changeover(true)) }},
	{"voltages-joined", func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[1].Voltage = 24 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Systems[0].Voltage, e.Systems[1].Voltage = 24, 24 }},
	{"trailer-fed-twice", func(_ *fitout.Job, e *fitout.Electrics) { trailer(e, true) },
		func(_ *fitout.Job, e *fitout.Electrics) { trailer(e, false) }},
	{"load-unfed", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].System = "gone" },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].System = "start" }},
	{"least-voltage", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Least = 13.4 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Least = 12.5 }},
	{"inverter-over", func(j *fitout.Job, e *fitout.Electrics) { inverted(j); e.Loads[2].Watts = 1100 },
		func(j *fitout.Job, e *fitout.Electrics) { inverted(j); e.Loads[2].Watts = 1000 }},
	{"inverter-surge", func(j *fitout.Job, e *fitout.Electrics) { inverted(j); e.Loads[2].Surge = 2400 },
		func(j *fitout.Job, e *fitout.Electrics) { inverted(j); e.Loads[2].Surge = 1900 }},
	{"inverter-battery", func(j *fitout.Job, e *fitout.Electrics) { inverted(j); e.Inverters[0].Watts = 1500 },
		func(j *fitout.Job, _ *fitout.Electrics) { inverted(j) }},
	{"standby", func(j *fitout.Job, e *fitout.Electrics) {
		inverted(j)
		e.Inverters[0].Always, e.Inverters[0].Remote = true, false
	}, func(j *fitout.Job, e *fitout.Electrics) { inverted(j); e.Inverters[0].Always = true }},
	{"cooling-lost", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[0].Heat.Warmer, e.Loads[0].Watts = 15, 20 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[0].Heat.Warmer = 15 }},
	{"must-not-drop", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[0].Essential, e.Loads[0].Shed = true, 0.3 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[0].Essential, e.Loads[1].Shed = true, 0.3 }},
	{"cooling-unsaid", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[0].Heat = nil },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[0].Heat.Mean = 5 }},
	{"load-idle", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Spans = []fitout.Span{} },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Spans[0].Share = 0.1 }},
	{"others-locked", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Others = true },
		func(_ *fitout.Job, _ *fitout.Electrics) {}},
	{"loud-at-night", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[0].Sleeping, e.Loads[0].Noise = true, 38 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[0].Sleeping, e.Loads[0].Noise = true, 28 }},
	{"too-dark", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Light.Away = 1500 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Light.Away = 900 }},
	{"switch-order", func(_ *fitout.Job, e *fitout.Electrics) { e.Loads[1].Light.Zone = fitout.LightBed },
		func(_ *fitout.Job, e *fitout.Electrics) {
			e.Loads[1].Light.Zone, e.Loads[1].Light.AtSleep = fitout.LightBed, true
		}},
	{"logic-never-on", func(j *fitout.Job, _ *fitout.Electrics) {
		ruled(j, fitout.Condition{What: fitout.IfVoltage, Of: "start", Value: 13},
			fitout.Condition{What: fitout.IfVoltage, Of: "start", Value: 12.2, Not: true})
	}, func(j *fitout.Job, _ *fitout.Electrics) {
		ruled(j, fitout.Condition{What: fitout.IfVoltage, Of: "start", Value: 12.2},
			fitout.Condition{What: fitout.IfVoltage, Of: "start", Value: 13, Not: true})
	}},
	{"logic-never-off", func(j *fitout.Job, _ *fitout.Electrics) { ruled(j) },
		func(j *fitout.Job, _ *fitout.Electrics) { ruled(j, fitout.Condition{What: fitout.IfEngine}) }},
	{"logic-ring", func(j *fitout.Job, _ *fitout.Electrics) {
		ruled(j, fitout.Condition{What: fitout.IfOutput, Of: "rule"})
	},
		func(j *fitout.Job, e *fitout.Electrics) {
			ruled(j, fitout.Condition{What: fitout.IfOutput, Of: "other"})
			e.Outputs = append(e.Outputs, fitout.Output{ID: "other", Of: "light", Lines: []fitout.LogicLine{}})
		}},
	{"logic-gone", func(j *fitout.Job, _ *fitout.Electrics) {
		ruled(j, fitout.Condition{What: fitout.IfCharge, Of: "gone", Value: 0.5})
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			ruled(j, fitout.Condition{What: fitout.IfControl, Of: "turn", Place: "b"})
		}},
	{"case-runs-out", func(j *fitout.Job, e *fitout.Electrics) { begun(j, e, 0.101) },
		func(j *fitout.Job, e *fitout.Electrics) { begun(j, e, 0.9) }},

	{"cable-drop", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "cool", func(c *fitout.Circuit) { c.Area, c.Length = 0.75, 6000 })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "cool", func(c *fitout.Circuit) { c.Area, c.Length = 4, 6000 })
		}},
	{"cable-thin", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "dcdc", func(c *fitout.Circuit) { c.Area, c.Length = 1.5, 500 })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "dcdc", func(c *fitout.Circuit) { c.Area, c.Length = 4, 500 })
		}},
	{"cable-refused", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "dcdc", func(c *fitout.Circuit) { c.Insulation, c.Hot = 75, fitout.EngineBay })
	}, func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "dcdc", func(c *fitout.Circuit) { c.Insulation, c.Hot = 105, fitout.EngineBay })
	}},
	{"fuse-above-cable", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "light", func(c *fitout.Circuit) { c.Area, c.Fuse = 0.75, 20 })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "light", func(c *fitout.Circuit) { c.Area, c.Fuse = 0.75, 10 })
		}},
	{"fuse-below-load", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "dcdc", func(c *fitout.Circuit) { c.Fuse = 30 })
	},
		func(j *fitout.Job, _ *fitout.Electrics) { changed(j, "dcdc", func(c *fitout.Circuit) { c.Fuse = 40 }) }},
	{"fuse-far", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "dcdc", func(c *fitout.Circuit) { c.FuseAt = 200 })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "dcdc", func(c *fitout.Circuit) { c.FuseAt, c.Sheathed = 1700, true })
		}},
	{"fuse-missing", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "light", func(c *fitout.Circuit) { c.FuseKind = fitout.NoFuse })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "light", func(c *fitout.Circuit) { c.FuseKind = fitout.BladeFuse })
		}},
	{"fuse-one-end", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "emergency", func(c *fitout.Circuit) { c.NoFarFuse = true })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "emergency", func(c *fitout.Circuit) { c.FarFuse = 200 })
		}},
	{"fuse-cannot-break", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "house", func(c *fitout.Circuit) { c.FuseKind, c.Fuse = fitout.MegaFuse, 250 })
	}, func(j *fitout.Job, e *fitout.Electrics) {
		e.Systems[1].Battery.Resistance = 8
		changed(j, "house", func(c *fitout.Circuit) { c.FuseKind, c.Fuse = fitout.MegaFuse, 250 })
	}},
	{"fuse-voltage", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "light", func(c *fitout.Circuit) { c.FuseVolts = 12 })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "light", func(c *fitout.Circuit) { c.FuseVolts = 24 })
		}},
	{"relay-hot", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "dcdc", func(c *fitout.Circuit) { c.Relay = 30 })
	},
		func(j *fitout.Job, _ *fitout.Electrics) { changed(j, "dcdc", func(c *fitout.Circuit) { c.Relay = 40 }) }},
	{"past-meter", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "light", func(c *fitout.Circuit) { c.PastMeter = true })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "dcdc-in", func(c *fitout.Circuit) { c.PastMeter = true })
		}},
	{"past-isolator", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "light", func(c *fitout.Circuit) { c.OffBattery = true })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "dcdc-in", func(c *fitout.Circuit) { c.OffBattery = true })
		}},
	{"cable-slide", crossing(fitout.OverSlide, false), crossing(fitout.OverSlide, true)},
	{"cable-door", crossing(fitout.DoorGap, false), crossing(fitout.DoorGap, true)},
	{"cable-edge", crossing(fitout.OverEdge, false), crossing(fitout.OverEdge, true)},
	{"cable-parting", crossing(fitout.PartingLine, false), crossing(fitout.PartingLine, true)},
	{"parting-unsaid", func(j *fitout.Job, _ *fitout.Electrics) {
		j.Brief.Daily.LiftOut = []fitout.LiftOut{{ID: "fridge", Name: "Fridge"}}
	}, func(j *fitout.Job, _ *fitout.Electrics) {
		j.Brief.Daily.LiftOut = []fitout.LiftOut{{ID: "fridge", Name: "Fridge"}}
		crossing(fitout.PartingLine, true)(j, nil)
		electrics(j).Circuits[0].Of = "cool"
	}},
	{"plugs-mixed", func(j *fitout.Job, _ *fitout.Electrics) {
		plugs(j, false)
	}, func(j *fitout.Job, _ *fitout.Electrics) { plugs(j, true) }},
	{"plug-loose", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "dcdc", func(c *fitout.Circuit) { c.Plug = "Grey" })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "dcdc", func(c *fitout.Circuit) { c.Plug, c.Latched = "Grey", true })
		}},
	{"panel-ways", func(_ *fitout.Job, e *fitout.Electrics) { e.Panels[0].Ways = 1 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Panels[0].Ways = 2 }},
	{"panel-amps", func(_ *fitout.Job, e *fitout.Electrics) { e.Panels[0].Amps = 4 },
		func(_ *fitout.Job, e *fitout.Electrics) { e.Panels[0].Amps = 6 }},
	{"cutouts-clash", func(_ *fitout.Job, e *fitout.Electrics) { cutouts(e, 30, 40) },
		func(_ *fitout.Job, e *fitout.Electrics) { cutouts(e, 50, 40) }},
	{"cutouts-deep", func(_ *fitout.Job, e *fitout.Electrics) { cutouts(e, 50, 90) },
		func(_ *fitout.Job, e *fitout.Electrics) { cutouts(e, 50, 60) }},
	{"circuit-orphan", func(j *fitout.Job, _ *fitout.Electrics) { changed(j, "gone", func(*fitout.Circuit) {}) },
		func(j *fitout.Job, _ *fitout.Electrics) { changed(j, "light", func(*fitout.Circuit) {}) }},
	{"cables-uncounted", func(j *fitout.Job, _ *fitout.Electrics) {
		v := &j.Variants[0]
		v.Items = slices.DeleteFunc(v.Items, func(i fitout.Item) bool { return i.ID == "cables" })
	}, func(_ *fitout.Job, _ *fitout.Electrics) {}},
	{"body-return", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "dcdc", func(c *fitout.Circuit) { c.Body = true })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "light", func(c *fitout.Circuit) { c.Body = true })
		}},
	{"tested-worse", func(j *fitout.Job, _ *fitout.Electrics) {
		changed(j, "light", func(c *fitout.Circuit) { c.Tested = 1.4 })
	},
		func(j *fitout.Job, _ *fitout.Electrics) {
			changed(j, "light", func(c *fitout.Circuit) { c.Tested = 0.1 })
		}},
}

func TestRulesOfPowerFire(t *testing.T) {
	for _, c := range powerRules {
		t.Run(c.rule, func(t *testing.T) {
			j := wired()
			c.fires(&j, electrics(&j))
			found := example.Found(t, j, c.rule)
			require.NotEmpty(t, found, "the mistake is seen")
			for _, f := range found {
				assert.Equal(t, "power", f.Subject.Kind)
				assert.NotEmpty(t, f.Title)
				assert.Greater(t, len(f.Sentence), 40, f.Sentence)
				assert.NotContains(t, f.Sentence, "%!", "a figure without its words")
				for _, fix := range f.Fixes {
					mended, err := edit.Apply(&j, nil, []fitout.FixEdit{fix.Edit})
					require.NoError(t, err, fix.Label)
					assert.Less(t, len(example.Found(t, mended, c.rule)), len(found), fix.Label)
				}
			}
			j = wired()
			c.near(&j, electrics(&j))
			assert.Empty(t, example.Found(t, j, c.rule), "what is none is left alone")
		})
	}
	assert.GreaterOrEqual(t, len(powerRules), 45)
}

// TestAStartingBatteryWithoutAlternator is told to have one, not more sun, and what asks too
// much of it is named even where that only charges another battery.
func TestAStartingBatteryWithoutAlternator(t *testing.T) {
	j := wired()
	e := &j.Variants[0].Electrics
	e.Sources = slices.DeleteFunc(e.Sources, func(s fitout.PowerSource) bool { return s.Kind == fitout.Alternator })
	c := &e.Chargers[0]
	c.From, c.Amps, c.Always, e.Systems[0].Battery.Discharge = e.Systems[0].ID, 40, true, 20
	e.Systems[1].Full = 0.3
	out := example.Found(t, j, "power-runs-out")
	require.NotEmpty(t, out)
	assert.Contains(t, out[0].Sentence, "No alternator is named that charges it")
	assert.NotContains(t, out[0].Sentence, "sun")
	assert.Contains(t, example.Found(t, j, "battery-current")[0].Sentence, "most by charger")
}
