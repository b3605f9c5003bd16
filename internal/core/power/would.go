package power

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// wouldDo says by how much of what a battery that runs out would last: more of it, more
// sun, more driving, less of what takes most. Each alone, rounded up, and tried.
func (l *Look) wouldDo(system int) string {
	var ways []string
	def := &l.E.Systems[system]
	whole := Capacity(&def.Battery)
	if more, ok := l.least(whole/8, 4*whole, func(e *fitout.Electrics, by float64) {
		b := &e.Systems[system].Battery
		b.Capacity += by / b.Parallel
	}, system); ok {
		ways = append(ways, l.Say.Charge(math.Ceil(more))+" more of battery")
	}
	if more, ok := l.least(40, 1280, func(e *fitout.Electrics, by float64) { addSun(e, def.ID, by) }, system); ok {
		ways = append(ways, l.Say.Watts(math.Ceil(more/10)*10)+" more of sun")
	}
	if l.whileDriving(system) > 0 {
		if more, ok := l.least(0.25, 4, func(e *fitout.Electrics, by float64) { AddDriving(e, by) }, system); ok {
			ways = append(ways, fmt.Sprintf("%s min more of driving a day", l.Say.Plain(math.Ceil(more*4)*15)))
		}
	}
	if k := l.thirstiest(system); k >= 0 {
		if less, ok := l.least(0.125, 1, func(e *fitout.Electrics, by float64) {
			e.Loads[k].Spans = Shorter(e.Loads[k].Spans, by)
		},
			system); ok {
			ways = append(ways, fmt.Sprintf("%s less of %s", l.Say.Percent(less), words.Lower(l.E.Loads[k].Name)))
		}
	}
	if len(ways) == 0 {
		return "No one change of battery, sun or driving alone would do."
	}
	if len(ways) == 1 {
		return "It would take " + ways[0] + "."
	}
	return "It would take " + strings.Join(ways[:len(ways)-1], ", ") + ", or " + ways[len(ways)-1] +
		"; each does it alone."
}

// least is the least amount of a change, to within a step, up to most, with which a system
// lasts; false where not even the most does.
func (l *Look) least(step, most float64, change func(*fitout.Electrics, float64), system int) (float64, bool) {
	lasts := func(by float64) bool {
		return l.runWith(system+1, func(e *fitout.Electrics) { change(e, by) }).Systems[system].OutAt < 0
	}
	if !lasts(most) {
		return 0, false
	}
	low, high := 0.0, most
	for high-low > step {
		if middle := (low + high) / 2; lasts(middle) {
			high = middle
		} else {
			low = middle
		}
	}
	return high, true
}

// runWith runs the days with something changed, on the first so many systems alone.
func (l *Look) runWith(until int, change func(*fitout.Electrics)) *Run {
	e := *l.E
	e.Systems, e.Sources, e.Loads = slices.Clone(e.Systems), slices.Clone(e.Sources), slices.Clone(e.Loads)
	e.Chargers = slices.Clone(e.Chargers)
	change(&e)
	setup := SetupFor(l.Plan, &e)
	setup.until = until
	return setup.Run(AsPlanned, nil)
}

// addSun adds a flat panel of so many watts to a system.
func addSun(e *fitout.Electrics, system string, watts float64) {
	e.Sources = append(e.Sources, fitout.PowerSource{ID: "more-sun", Name: "More sun", Kind: fitout.Solar, System: system,
		Watts: watts, Mount: fitout.FlatPanel})
}

// AddDriving makes every day that is driven longer by so many hours, after the last drive.
func AddDriving(e *fitout.Electrics, hours float64) {
	drives := slices.Clone(e.Days.Drives)
	if len(drives) == 0 {
		drives = []fitout.Span{{ID: "more", From: 9, To: 9 + hours, Share: 1}}
	} else {
		last := &drives[len(drives)-1]
		last.To = math.Mod(last.To+hours, 24)
	}
	e.Days.Drives = drives
	if e.Days.DriveEvery == 0 {
		e.Days.DriveEvery = 1
	}
}

// Shorter are spans of which a share, 0 to 1, is left out, from their ends.
func Shorter(spans []fitout.Span, by float64) []fitout.Span {
	shorter := slices.Clone(spans)
	for i := range shorter {
		s := &shorter[i]
		length := s.To - s.From
		if length < 0 {
			length += 24
		}
		s.To = math.Mod(s.From+length*(1-by), 24)
		if by >= 1 {
			s.Share, s.To = 0, s.From
		}
	}
	return shorter
}

// thirstiest is the load of a system that takes most of those that run at hours and may be
// left out, or −1.
func (l *Look) thirstiest(system int) int {
	best, most := -1, 0.0
	for k := range l.Setup.loads {
		c := &l.Setup.loads[k]
		if !c.usable || c.system != system || c.def.Use != fitout.UseSpans || c.def.Essential {
			continue
		}
		if wants := l.Run.Loads[k].Used + l.Run.Loads[k].Missed; wants > most {
			best, most = k, wants
		}
	}
	return best
}
