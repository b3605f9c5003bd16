package power

import (
	"fmt"
	"math"
)

// Measured is a state of charge that was read, so many hours after the start of the days.
type Measured struct {
	Hours  float64 `json:"hours"`
	Charge float64 `json:"charge" doc:"0 to 1"`
	Amps   float64 `json:"amps" doc:"into the battery, A"`
}

// Beside is what was read beside what was planned.
type Beside struct {
	Points   []BesidePoint `json:"points"`
	Left     float64       `json:"left" doc:"hours to the cut-off at the last current that was read; −1: no end"`
	Sentence string        `json:"sentence" doc:"where plan and reading part; empty where nothing is read"`
}

// BesidePoint is one reading beside the plan.
type BesidePoint struct {
	Hours   float64 `json:"hours"`
	Charge  float64 `json:"charge" doc:"read"`
	Planned float64 `json:"planned"`
}

// parting is by how much reading and plan may differ before they part, of the capacity.
const parting = 0.03

// Beside puts readings of a system beside the plan, in the order of their hours, and says
// from when on they part, by how much, and what current would explain it.
func (l *Look) Beside(system string, readings []Measured) Beside {
	b := Beside{Points: []BesidePoint{}}
	at := -1
	for i := range l.Setup.Systems {
		if l.Setup.Systems[i].Def.ID == system {
			at = i
		}
	}
	if at < 0 || len(readings) == 0 {
		return b
	}
	run, def := &l.Run.Systems[at], l.Setup.Systems[at].Def
	planned := func(hours float64) float64 {
		n := hours/l.Run.Step - 1 // Charge[n] is at the end of step n
		switch {
		case n < 0:
			return def.Full + (run.Charge[0]-def.Full)*(n+1)
		case int(n)+1 >= len(run.Charge):
			return run.Charge[len(run.Charge)-1]
		}
		i := int(n)
		return run.Charge[i] + (run.Charge[i+1]-run.Charge[i])*(n-float64(i))
	}
	since := -1.0
	for _, r := range readings {
		if r.Hours < 0 || r.Hours > l.Run.Hours {
			continue
		}
		p := BesidePoint{r.Hours, r.Charge, planned(r.Hours)}
		b.Points = append(b.Points, p)
		switch {
		case math.Abs(p.Charge-p.Planned) <= parting:
			since = -1
		case since < 0:
			since = r.Hours
		}
	}
	if len(b.Points) == 0 {
		b.Sentence = "The readings are of other days than the plan's."
		return b
	}
	newest := readings[len(readings)-1]
	b.Left = HoursLeft(newest.Charge, l.Setup.Systems[at].CutOff, l.Setup.Systems[at].Capacity, -newest.Amps, 0)
	first, last := b.Points[0], b.Points[len(b.Points)-1]
	if since < 0 {
		b.Sentence = fmt.Sprintf("Reading and plan agree within %s.", l.Say.Percent(parting))
		return b
	}
	apart := (last.Charge - last.Planned) - (first.Charge - first.Planned)
	capacity := l.Setup.Systems[at].Capacity
	word, more := "above", "less goes out, or more comes in, than planned"
	if last.Charge < last.Planned {
		word, more = "below", "more goes out, or less comes in, than planned"
	}
	b.Sentence = fmt.Sprintf("Since %s the reading has been apart from the plan; it is %s %s it now.", l.at(since),
		l.Say.Percent(math.Abs(last.Charge-last.Planned)), word)
	if hours := last.Hours - first.Hours; hours > 0.5 && math.Abs(apart) > parting/2 {
		b.Sentence += fmt.Sprintf(" About %s %s: look for a load that is not listed, a switch left on, shade, or a battery "+
			"that holds "+
			"less than it says.", l.Say.Amps(math.Abs(apart)*capacity/hours), more)
	}
	return b
}
