package power

import (
	"fmt"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Trial is how things are set on the panel to try the logic on.
type Trial struct {
	Hour        float64        `json:"hour" minimum:"0" maximum:"24" doc:"of the day"`
	Engine      bool           `json:"engine"`
	Ignition    bool           `json:"ignition"`
	Reversing   bool           `json:"reversing"`
	HighBeam    bool           `json:"highBeam"`
	Mains       bool           `json:"mains" doc:"plugged in"`
	Temperature float64        `json:"temperature" minimum:"-60" maximum:"70" doc:"°C"`
	Systems     []TrialSystem  `json:"systems" maxItems:"20"`
	Controls    []TrialControl `json:"controls" maxItems:"60"`
	Doors       []string       `json:"doors" maxItems:"60" doc:"ids of bays whose door is open"`
}

// TrialSystem is a battery as it is tried.
type TrialSystem struct {
	ID     string  `json:"id"`
	Charge float64 `json:"charge" minimum:"0" maximum:"1" doc:"state of charge"`
	Volts  float64 `json:"volts" minimum:"0" maximum:"60" doc:"V"`
}

// TrialControl is a switch or changeover as it is tried.
type TrialControl struct {
	ID string `json:"id"`
	At string `json:"at" doc:"on, off, or the id of a position"`
}

// Tried is what an output does as things are set.
type Tried struct {
	ID    string      `json:"id" doc:"of the output"`
	Of    string      `json:"of" doc:"id of what it switches"`
	Name  string      `json:"name" doc:"of what it switches"`
	On    bool        `json:"on"`
	Why   string      `json:"why"`
	Lines []TriedLine `json:"lines"`
}

// TriedLine is one line of an output as things are set.
type TriedLine struct {
	ID         string           `json:"id"`
	Holds      bool             `json:"holds" doc:"all of its conditions hold"`
	Conditions []TriedCondition `json:"conditions"`
}

// TriedCondition is one condition as things are set.
type TriedCondition struct {
	ID    string `json:"id"`
	Text  string `json:"text" doc:"in words"`
	Holds bool   `json:"holds"`
}

// TryOut tells what every output of a plan's logic does as things are set, and why.
func TryOut(p *plan.Plan, t *Trial) []Tried {
	e := &p.Variant.Electrics
	now := Now{Hour: t.Hour, Engine: t.Engine, Ignition: t.Ignition, Reversing: t.Reversing, HighBeam: t.HighBeam,
		Mains:       t.Mains,
		Temperature: t.Temperature, Charge: map[string]float64{}, Voltage: map[string]float64{}, Doors: map[string]bool{},
		Controls: ControlsOf(e)}
	for _, s := range t.Systems {
		now.Charge[s.ID], now.Voltage[s.ID] = s.Charge, s.Volts
	}
	for _, c := range t.Controls {
		now.Controls[c.ID] = c.At
	}
	for _, bay := range t.Doors {
		now.Doors[bay] = true
	}
	logic := NewLogic(e)
	verdicts := slices.Clone(logic.Decide(&now))
	on := func(id string) bool { i, known := logic.at[id]; return known && verdicts[i].On }
	all := []Tried{}
	for i := range e.Outputs {
		o, v := &e.Outputs[i], &verdicts[i]
		name, known := e.NameOf(o.Of)
		if !known {
			name = "Nothing"
		}
		tried := Tried{ID: o.ID, Of: o.Of, Name: name, On: v.On, Lines: []TriedLine{}}
		var missing []string
		for k := range o.Lines {
			line := TriedLine{ID: o.Lines[k].ID, Holds: v.Line == k, Conditions: []TriedCondition{}}
			for n := range o.Lines[k].Conditions {
				c := &o.Lines[k].Conditions[n]
				holds := Holds(c, &now, on)
				text := ConditionText(p.Say, e, c)
				line.Conditions = append(line.Conditions, TriedCondition{c.ID, text, holds})
				if !holds && k == 0 {
					missing = append(missing, text)
				}
			}
			tried.Lines = append(tried.Lines, line)
		}
		tried.Why = why(e, o, v, tried.Lines, missing)
		all = append(all, tried)
	}
	return all
}

// why says in a sentence why an output is on or off.
func why(e *fitout.Electrics, o *fitout.Output, v *Verdict, lines []TriedLine, missing []string) string {
	switch {
	case v.LockedOff:
		return fmt.Sprintf("Off: %s locks it off, whatever else.", words.Lower(controlName(e, o.LockedOff)))
	case v.LockedOn:
		return fmt.Sprintf("On: %s locks it on.", words.Lower(controlName(e, o.LockedOn)))
	case len(o.Lines) == 0:
		return "On: it has no line, so nothing switches it."
	case v.Line >= 0:
		texts := make([]string, 0, len(lines[v.Line].Conditions))
		for _, c := range lines[v.Line].Conditions {
			texts = append(texts, c.Text)
		}
		if len(texts) == 0 {
			return "On: its line asks for nothing."
		}
		said := "On: " + words.List(texts) + "."
		if o.OffAfter > 0 {
			said += fmt.Sprintf(" It goes off by itself after %.0f min.", o.OffAfter)
		}
		return said
	case v.Ring:
		return "Off: it looks at itself, which counts as not so."
	case len(missing) > 0:
		return "Off: it is not so that " + strings.Join(missing, ", nor that ") + "."
	}
	return "Off: none of its lines holds entirely."
}

func controlName(e *fitout.Electrics, id string) string {
	for i := range e.Controls {
		if e.Controls[i].ID == id {
			return e.Controls[i].Name
		}
	}
	return "a switch that is gone"
}

// ConditionText is a condition in words.
func ConditionText(say words.Speaker, e *fitout.Electrics, c *fitout.Condition) string {
	name := func(id string) string {
		for i := range e.Systems {
			if e.Systems[i].ID == id {
				return words.Lower(e.Systems[i].Name)
			}
		}
		return "a battery that is gone"
	}
	than, is := " is at least ", " is "
	if c.Not {
		than, is = " is below ", " is not "
	}
	switch c.What {
	case fitout.IfEngine:
		return choose(c.Not, "the engine stands", "the engine runs")
	case fitout.IfIgnition:
		return "the ignition" + is + "on"
	case fitout.IfReversing:
		return choose(c.Not, "it does not reverse", "it reverses")
	case fitout.IfHighBeam:
		return "high beam" + is + "on"
	case fitout.IfMains:
		return "mains" + is + "plugged in"
	case fitout.IfCharge:
		return "the charge of " + name(c.Of) + than + say.Percent(c.Value)
	case fitout.IfVoltage:
		return "the voltage of " + name(c.Of) + than + say.Volts(c.Value)
	case fitout.IfTemperature:
		return "the temperature" + than + say.Temperature(c.Value)
	case fitout.IfDoor:
		return "the door" + is + "open"
	case fitout.IfControl:
		for i := range e.Controls {
			if control := &e.Controls[i]; control.ID == c.Of {
				return words.Lower(control.Name) + is + positionName(control, c.Place)
			}
		}
		return "a switch that is gone is on"
	case fitout.IfHours:
		return choose(c.Not, "it is not between ", "it is between ") + clock(c.From) + " and " + clock(c.To)
	}
	if i := slices.IndexFunc(e.Outputs, func(o fitout.Output) bool { return o.ID == c.Of }); i >= 0 {
		if of, known := e.NameOf(e.Outputs[i].Of); known {
			return words.Lower(of) + is + "on"
		}
	}
	return "something that is gone is on"
}

func choose(not bool, no, yes string) string {
	if not {
		return no
	}
	return yes
}

func positionName(c *fitout.Control, place string) string {
	for _, p := range c.Positions {
		if p.ID == place {
			return "at " + words.Lower(p.Name)
		}
	}
	return "on"
}

func clock(hour float64) string {
	minutes := int(hour*60 + 0.5)
	return fmt.Sprintf("%02d:%02d", minutes/60, minutes%60)
}
