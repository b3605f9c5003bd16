package power

import (
	"slices"

	"zaino/internal/core/fitout"
)

// Now is how things stand at a moment, as the logic looks at it.
type Now struct {
	Hour        float64 // of the day
	Engine      bool    // runs
	Ignition    bool    // on; with the engine always
	Reversing   bool
	HighBeam    bool
	Mains       bool               // plugged in
	Temperature float64            // °C
	Charge      map[string]float64 // state of charge of a system by its id, 0 to 1
	Voltage     map[string]float64 // V
	Doors       map[string]bool    // bays whose door is open
	Controls    map[string]string  // position of a control, on or off of a switch
}

// ControlsOf are the positions of all controls on a usual day.
func ControlsOf(e *fitout.Electrics) map[string]string {
	at := make(map[string]string, len(e.Controls))
	for i := range e.Controls {
		c := &e.Controls[i]
		switch {
		case c.At != "":
			at[c.ID] = c.At
		case len(c.Positions) > 0:
			at[c.ID] = c.Positions[0].ID
		default:
			at[c.ID] = Off
		}
	}
	return at
}

// On and Off are where a switch stands.
const (
	On  = "on"
	Off = "off"
)

// Holds tells whether one condition is so. outputs tells whether another output is on.
func Holds(c *fitout.Condition, now *Now, outputs func(id string) bool) bool {
	return met(c, now, outputs) != c.Not
}

func met(c *fitout.Condition, now *Now, outputs func(id string) bool) bool {
	switch c.What {
	case fitout.IfEngine:
		return now.Engine
	case fitout.IfIgnition:
		return now.Ignition || now.Engine
	case fitout.IfReversing:
		return now.Reversing
	case fitout.IfHighBeam:
		return now.HighBeam
	case fitout.IfMains:
		return now.Mains
	case fitout.IfCharge:
		charge, known := now.Charge[c.Of]
		return known && charge >= c.Value
	case fitout.IfVoltage:
		volts, known := now.Voltage[c.Of]
		return known && volts >= c.Value
	case fitout.IfTemperature:
		return now.Temperature >= c.Value
	case fitout.IfDoor:
		return now.Doors[c.Of]
	case fitout.IfControl:
		if c.Place == "" {
			return now.Controls[c.Of] == On
		}
		return now.Controls[c.Of] == c.Place
	case fitout.IfHours:
		return within(c.From, c.To, now.Hour)
	}
	return outputs(c.Of) // an output
}

// lineThat is the line of an output that holds now, or −1. Without lines none does.
func lineThat(o *fitout.Output, now *Now, outputs func(id string) bool) int {
	return slices.IndexFunc(o.Lines, func(l fitout.LogicLine) bool {
		for i := range l.Conditions {
			if !Holds(&l.Conditions[i], now, outputs) {
				return false
			}
		}
		return true
	})
}

// Verdict is whether an output is on, and why.
type Verdict struct {
	On        bool
	Line      int // that holds; −1: none
	LockedOn  bool
	LockedOff bool
	Ring      bool // it names itself, if over others; such a condition does not hold
}

// Logic are the outputs of electrics, ready to be decided again and again.
type Logic struct {
	outputs  []fitout.Output
	at       map[string]int // by id
	of       map[string]int // by what they switch
	verdicts []Verdict
	state    []int
}

// NewLogic makes the outputs of electrics ready. Where two switch one thing the first
// counts.
func NewLogic(e *fitout.Electrics) *Logic {
	l := &Logic{
		outputs: e.Outputs, at: map[string]int{}, of: map[string]int{},
		verdicts: make([]Verdict, len(e.Outputs)), state: make([]int, len(e.Outputs)),
	}
	for i := range e.Outputs {
		o := &e.Outputs[i]
		l.at[o.ID] = i
		if _, twice := l.of[o.Of]; !twice && o.Of != "" {
			l.of[o.Of] = i
		}
	}
	return l
}

// Decide tells of every output whether it is on now: locked off wins, then locked on, then
// any line that holds entirely; without lines it is on. A condition by which an output
// looks at itself, if over others, does not hold. The answer is good until the next one.
func (l *Logic) Decide(now *Now) []Verdict {
	clear(l.state)
	for i := range l.outputs {
		l.decide(i, now)
	}
	return l.verdicts
}

const (
	undecided = iota
	deciding
	decided
)

func (l *Logic) decide(i int, now *Now) *Verdict {
	v := &l.verdicts[i]
	if l.state[i] == decided {
		return v
	}
	l.state[i] = deciding
	*v = Verdict{}
	o := &l.outputs[i]
	v.Line = lineThat(o, now, func(id string) bool {
		k, known := l.at[id]
		if !known {
			return false
		}
		if l.state[k] == deciding {
			v.Ring = true
			return false
		}
		return l.decide(k, now).On
	})
	v.LockedOff = o.LockedOff != "" && now.Controls[o.LockedOff] == On
	v.LockedOn = o.LockedOn != "" && now.Controls[o.LockedOn] == On
	v.On = !v.LockedOff && (v.LockedOn || len(o.Lines) == 0 || v.Line >= 0)
	l.state[i] = decided
	return v
}
