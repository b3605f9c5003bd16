package power

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Look is a plan with its days followed once; the rules look at it.
type Look struct {
	*plan.Plan
	E     *fitout.Electrics
	Setup *Setup
	Run   *Run
}

// LookAt follows the days of a plan once.
func LookAt(p *plan.Plan) *Look {
	return plan.Once(p, func(p *plan.Plan) *Look {
		e := &p.Variant.Electrics
		l := &Look{Plan: p, E: e, Setup: SetupOf(p)}
		l.Run = l.Setup.Run(AsPlanned, nil)
		return l
	})
}

// SetupOf makes the electrics of a plan ready for its days, as it is loaded now.
func SetupOf(p *plan.Plan) *Setup { return SetupFor(p, &p.Variant.Electrics) }

// SetupFor makes other electrics ready for the days of a plan.
func SetupFor(p *plan.Plan, e *fitout.Electrics) *Setup {
	low, high := Temperatures(&e.Days, &p.Job.Brief.Trip)
	aboard := make(map[string]bool, len(p.Items))
	for i := range p.Items {
		aboard[p.Items[i].ID] = p.Load.Items[i].Present && p.Items[i].Work.Now()
	}
	s := NewSetup(e, Nights(&e.Days, &p.Job.Brief.Trip), low, high, func(item string) bool {
		there, known := aboard[item]
		return there || !known
	})
	s.skies = *plan.Once(p, func(*plan.Plan) *skies { return &skies{} })
	return s
}

// about begins a finding about one part of the electrics; what it is in the vehicle is
// shown with it.
func (l *Look) about(rule string, severity fitout.Severity, id, item string) fitout.Finding {
	f := fitout.Finding{
		Rule: rule, Severity: severity, Subject: fitout.Subject{Kind: "power", ID: id}, Source: "practice", Waivable: true,
	}
	if item != "" && l.Index(item) >= 0 {
		f.With = []string{item}
	}
	return f
}

// at puts a moment of the days into words: "night 3 at 02:40".
func (l *Look) at(hours float64) string {
	clock := l.Run.Begin + hours
	minutes := int(math.Round(clock*60)) % (24 * 60)
	return fmt.Sprintf("day %d at %02d:%02d", 1+int(clock/24), minutes/60, minutes%60)
}

// using are the names of what runs at a moment on a system, the most first.
func (l *Look) using(system int, hours float64) string {
	p := l.Run.p
	step := int((l.Run.Begin+hours)/l.Run.Step) % l.Setup.steps
	most, name := 0.0, ""
	for k := range l.Setup.loads {
		c := &l.Setup.loads[k]
		if c.usable && c.system == system && p.loads[k][step] > most {
			most, name = p.loads[k][step], c.def.Name
		}
	}
	if name != "" {
		return name
	}
	for k := range l.Setup.chargers { // nothing runs on it but what takes from it to charge another
		c := &l.Setup.chargers[k]
		if c.usable && c.from == system && c.def.Amps > most {
			most, name = c.def.Amps, c.def.Name
		}
	}
	return name
}

// names are those of some things as a sentence has them.
func names(all []string) string {
	lower := make([]string, len(all))
	for i, name := range all {
		lower[i] = words.Lower(name)
	}
	return words.List(lower)
}

// does is the verb of what one thing or several do.
func does(names []string, one, several string) string {
	if len(names) == 1 {
		return one
	}
	return several
}
