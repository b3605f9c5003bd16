package power

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// secondCharger is the rule "second charger only with the engine and the switch, never below
// 12.2 V".
func secondCharger() fitout.Job {
	j := fitout.NewJob("logic", "Logic", fitout.AustraliaNZ)
	e := &j.Variants[0].Electrics
	*e = tourer()
	e.Systems = append(e.Systems, fitout.PowerSystem{ID: "start", Name: "Starting battery", Kind: fitout.StartSystem,
		Voltage: 12,
		Full:    1, Battery: fitout.Battery{Chemistry: fitout.Flooded, Capacity: 80, Parallel: 1}})
	e.Chargers = []fitout.Charger{{ID: "second", Name: "Second charger", System: "house", From: "start", Amps: 40,
		For: "any"}}
	e.Controls = []fitout.Control{{ID: "switch", Name: "Second switch", At: "off"}, {ID: "kill", Name: "Kill switch",
		At: "off"}}
	e.Outputs = []fitout.Output{{ID: "rule", Of: "second", LockedOff: "kill",
		Lines: []fitout.LogicLine{{ID: "l", Conditions: []fitout.Condition{
			{ID: "a", What: fitout.IfEngine}, {ID: "b", What: fitout.IfControl, Of: "switch"},
			{ID: "c", What: fitout.IfVoltage, Of: "start", Value: 12.2},
		}}}}}
	return j
}

func TestTheSecondChargerIsTried(t *testing.T) {
	j := secondCharger()
	try := func(engine bool, at string, volts float64, kill string) Tried {
		tried := TryOut(plan.Of(&j), &Trial{Engine: engine, Systems: []TrialSystem{{ID: "start", Charge: 0.8, Volts: volts}},
			Controls: []TrialControl{{ID: "switch", At: at}, {ID: "kill", At: kill}}})
		require.Len(t, tried, 1)
		return tried[0]
	}
	on := try(true, "on", 12.6, "off")
	assert.True(t, on.On)
	assert.Equal(t, "On: the engine runs, second switch is on and the voltage of starting battery is at least "+
		"12.2\u00a0V.", on.Why)
	for _, off := range []Tried{try(false, "on", 12.6, "off"), try(true, "off", 12.6, "off"),
		try(true, "on", 12.19, "off"),
		try(true, "on", 12.6, "on")} {
		assert.False(t, off.On, off.Why)
		assert.Contains(t, off.Why, "Off: ")
	}
	assert.Contains(t, try(true, "on", 12.6, "on").Why, "kill switch locks it off")
}

// The days follow the rule: with its switch off the charger gives nothing.
func TestTheDaysFollowTheLogic(t *testing.T) {
	j := secondCharger()
	e := &j.Variants[0].Electrics
	e.Sources = e.Sources[:1]
	without := setup(e, 2).Run(AsPlanned, nil)
	assert.Zero(t, without.Outputs[0].On)
	e.Controls[0].At = "on"
	with := setup(e, 2).Run(AsPlanned, nil)
	assert.Equal(t, 2*9, with.Outputs[0].On, "an hour and a half on two days")
	assert.Greater(t, with.Systems[0].Offered, without.Systems[0].Offered+50)
	e.Outputs[0].OffAfter = 30
	short := setup(e, 2).Run(AsPlanned, nil)
	assert.Equal(t, 2*3, short.Outputs[0].On, "half an hour and off by itself")
}

// Outputs that look at each other in a ring have an answer, the same every time.
func TestLogicInARingEnds(t *testing.T) {
	j := secondCharger()
	e := &j.Variants[0].Electrics
	e.Outputs = []fitout.Output{
		{ID: "a", Of: "fridge",
			Lines: []fitout.LogicLine{{ID: "l", Conditions: []fitout.Condition{{ID: "c", What: fitout.IfOutput, Of: "b"}}}}},
		{ID: "b", Of: "light",
			Lines: []fitout.LogicLine{{ID: "l", Conditions: []fitout.Condition{{ID: "c", What: fitout.IfOutput, Of: "a"}}}}},
	}
	for _, tried := range TryOut(plan.Of(&j), &Trial{}) {
		assert.False(t, tried.On)
	}
}

// Hours may pass midnight, spans may overlap, and neither runs more than all the time.
func TestHoursPastMidnight(t *testing.T) {
	night := []fitout.Span{{ID: "a", From: 22, To: 6, Share: 1}, {ID: "b", From: 23, To: 1, Share: 1}}
	assert.InDelta(t, 8, hoursOf(night), 1e-9)
	assert.True(t, within(22, 6, 23.5) && within(22, 6, 5.9) && !within(22, 6, 12))
	e := tourer()
	e.Loads[1].Spans = night
	assert.InDelta(t, 2*8*8/12.8, setup(&e, 2).Run(AsPlanned, nil).Loads[1].Used, 1e-6)
}
