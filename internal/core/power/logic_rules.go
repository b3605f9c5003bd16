package power

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// outputs calls for every output, with what it switches.
func (l *Look) outputs(say func(o *fitout.Output, name string) (fitout.Finding, bool)) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.E.Outputs {
		o := &l.E.Outputs[i]
		name, known := l.E.NameOf(o.Of)
		if !known {
			continue
		}
		if f, so := say(o, name); so {
			found = append(found, f)
		}
	}
	return found
}

// neverOn stops an output no line of which can ever hold.
func neverOn(l *Look) []fitout.Finding {
	return l.outputs(func(o *fitout.Output, name string) (fitout.Finding, bool) {
		f := l.about("logic-never-on", fitout.Stop, o.Of, "")
		f.Title = name + " is never on"
		f.Sentence = "Every line of its logic contradicts itself, so that it can never hold. Look at what is asked and its " +
			"opposite " +
			"in one line."
		f.Margin, f.Source = -1, "logic"
		if len(o.Lines) == 0 || o.LockedOn != "" {
			return f, false
		}
		for i := range o.Lines {
			if !contradicts(o.Lines[i].Conditions) {
				return f, false
			}
		}
		return f, true
	})
}

// contradicts tells whether conditions can never hold together: one and its opposite, a
// charge above more than it is to be below, hours that do not meet, a changeover in two
// positions, reversing or high beam without ignition.
func contradicts(all []fitout.Condition) bool {
	for i := range all {
		for k := range all[:i] {
			if opposed(&all[k], &all[i]) || opposed(&all[i], &all[k]) {
				return true
			}
		}
		if all[i].What == fitout.IfHours && !all[i].Not && all[i].From == all[i].To {
			return true
		}
	}
	return false
}

func opposed(a, b *fitout.Condition) bool {
	engine := a.What == fitout.IfEngine && !a.Not && b.What == fitout.IfIgnition && b.Not
	if a.What != b.What || a.Of != b.Of {
		return engine
	}
	switch a.What {
	case fitout.IfCharge, fitout.IfVoltage, fitout.IfTemperature:
		return !a.Not && b.Not && a.Value >= b.Value
	case fitout.IfControl:
		if a.Place == b.Place {
			return a.Not != b.Not
		}
		return !a.Not && !b.Not
	case fitout.IfHours:
		if a.Not || b.Not {
			return a.Not != b.Not && a.From == b.From && a.To == b.To
		}
		for minute := range 24 * 60 {
			if h := float64(minute) / 60; within(a.From, a.To, h) && within(b.From, b.To, h) {
				return false
			}
		}
		return true
	}
	return a.Not != b.Not
}

// neverOff cautions about an output that nothing switches off.
func neverOff(l *Look) []fitout.Finding {
	return l.outputs(func(o *fitout.Output, name string) (fitout.Finding, bool) {
		f := l.about("logic-never-off", fitout.Caution, o.Of, "")
		f.Title = name + " is never off"
		f.Sentence = "One line of its logic always holds, and nothing locks it off. Say when it is to be on, or take its " +
			"logic out."
		f.Margin, f.Source = -1, "logic"
		if o.LockedOff != "" || o.OffAfter > 0 || len(o.Lines) == 0 {
			return f, false
		}
		return f, slices.ContainsFunc(o.Lines, func(line fitout.LogicLine) bool {
			return !slices.ContainsFunc(line.Conditions, func(c fitout.Condition) bool { return !alwaysHolds(&c) })
		}) || coverAll(o.Lines)
	})
}

// alwaysHolds tells whether a condition holds whatever is.
func alwaysHolds(c *fitout.Condition) bool {
	switch c.What {
	case fitout.IfCharge:
		return !c.Not && c.Value <= 0
	case fitout.IfHours:
		return !c.Not && c.From == 0 && c.To == 24
	}
	return false
}

// coverAll tells whether two lines of one condition each are opposites.
func coverAll(lines []fitout.LogicLine) bool {
	for i := range lines {
		for k := range lines[:i] {
			a, b := lines[i].Conditions, lines[k].Conditions
			if len(a) != 1 || len(b) != 1 || a[0].What != b[0].What || a[0].Of != b[0].Of || a[0].Place != b[0].Place ||
				a[0].Value != b[0].Value || a[0].From != b[0].From || a[0].To != b[0].To {
				continue
			}
			if a[0].Not != b[0].Not {
				return true
			}
		}
	}
	return false
}

// namesItself stops an output that looks at itself, if over others.
func namesItself(l *Look) []fitout.Finding {
	verdicts := slices.Clone(l.Setup.logic.Decide(&Now{Controls: ControlsOf(l.E)}))
	rings := map[string]bool{}
	for i := range verdicts {
		rings[l.E.Outputs[i].ID] = verdicts[i].Ring || l.reaches(l.E.Outputs[i].ID, l.E.Outputs[i].ID, map[string]bool{})
	}
	return l.outputs(func(o *fitout.Output, name string) (fitout.Finding, bool) {
		f := l.about("logic-ring", fitout.Stop, o.Of, "")
		f.Title = name + " waits for itself"
		f.Sentence = "Its logic looks at itself, if over others, so that nobody can say when it is on; such a condition " +
			"counts as not " +
			"so. Take the condition out of one of them."
		f.Margin, f.Source = -1, "logic"
		return f, rings[o.ID]
	})
}

// reaches tells whether an output looks at another one, if over others.
func (l *Look) reaches(from, to string, seen map[string]bool) bool {
	if seen[from] {
		return false
	}
	seen[from] = true
	i := slices.IndexFunc(l.E.Outputs, func(o fitout.Output) bool { return o.ID == from })
	if i < 0 {
		return false
	}
	for _, line := range l.E.Outputs[i].Lines {
		for _, c := range line.Conditions {
			if c.What == fitout.IfOutput && (c.Of == to || l.reaches(c.Of, to, seen)) {
				return true
			}
		}
	}
	return false
}

// namesNothing cautions about logic that looks at something that is gone.
func namesNothing(l *Look) []fitout.Finding {
	return l.outputs(func(o *fitout.Output, name string) (fitout.Finding, bool) {
		f := l.about("logic-gone", fitout.Caution, o.Of, "")
		gone := ""
		for _, line := range o.Lines {
			for i := range line.Conditions {
				if c := &line.Conditions[i]; !l.knows(c) {
					gone = string(c.What)
				}
			}
		}
		f.Title = "The logic of " + words.Lower(name) + " looks at something that is gone"
		f.Sentence = fmt.Sprintf("A condition of it (%s) names nothing that is there, and never holds. Name another, or "+
			"take it out.",
			gone)
		f.Margin, f.Source = -1, "logic"
		return f, gone != ""
	})
}

// knows tells whether what a condition names is there.
func (l *Look) knows(c *fitout.Condition) bool {
	switch c.What {
	case fitout.IfCharge, fitout.IfVoltage:
		return slices.ContainsFunc(l.E.Systems, func(s fitout.PowerSystem) bool { return s.ID == c.Of })
	case fitout.IfControl:
		return slices.ContainsFunc(l.E.Controls, func(s fitout.Control) bool {
			return s.ID == c.Of && (c.Place == "" || slices.ContainsFunc(s.Positions, func(p fitout.Position) bool {
				return p.ID == c.Place
			}))
		})
	case fitout.IfOutput:
		return slices.ContainsFunc(l.E.Outputs, func(s fitout.Output) bool { return s.ID == c.Of })
	case fitout.IfDoor:
		return l.Bay(c.Of) != nil
	}
	return true
}

// caseRunsOut stops a case in which a battery that begins with less is empty before the
// last morning.
func caseRunsOut(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.Variant.Cases {
		c := &l.Variant.Cases[i]
		if len(c.Charges) == 0 {
			continue
		}
		begin := make(map[string]float64, len(c.Charges))
		for _, charge := range c.Charges {
			begin[charge.System] = charge.Charge
		}
		run := l.Setup.Run(AsPlanned, begin)
		for k := range run.Systems {
			sys := &l.Setup.Systems[k]
			if run.Systems[k].OutAt < 0 || l.Run.Systems[k].OutAt >= 0 || !sys.aboard {
				continue
			}
			f := l.about("case-runs-out", fitout.Stop, sys.Def.ID, sys.Def.Item)
			f.Subject.Measure = c.ID
			f.Title = fmt.Sprintf("%s: %s runs out", c.Name, words.Lower(sys.Def.Name))
			f.Sentence = fmt.Sprintf("Begun with %s in it, it is down to %s, where everything drops, on %s. Charge it first, "+
				"or use "+
				"less. An estimate.", l.Say.Percent(begin[sys.Def.ID]), l.Say.Percent(sys.CutOff), l.at(run.Systems[k].OutAt))
			f.Under(run.Systems[k].OutAt, run.Hours, "h")
			found = append(found, f)
		}
	}
	return found
}
