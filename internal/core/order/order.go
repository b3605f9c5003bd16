// Package order puts steps into an order that respects every reason why one comes before another, and tells on
// which day each is done, so that what dries does so while something else is worked on.
package order

import (
	"cmp"
	"math"
	"slices"
)

// Step is one piece of work.
type Step struct {
	ID      string
	Minutes float64
	Wait    float64 // h after it before what follows may begin: glue, paint, a delivery
	Skill   string  // empty: anybody
	People  int     // at once; 0 counts as 1
	Next    string  // step that should follow at once: what was lifted to be weighed is fitted
}

// Reason says that one step comes before another.
type Reason struct {
	First, Then int // by their place in the list of steps
	Why         string
}

// Slot is when a step is done: in hours from the start of the first day, with nights between days.
type Slot struct {
	Step   int
	Day    int // from 0
	From   float64
	To     float64 // may be on a later day
	Ready  float64 // when what follows may begin
	Makers []int
}

// Schedule is the steps in their order, and when each is done.
type Schedule struct {
	Slots []Slot
	Days  int
	Ring  []Reason // of steps that wait for each other; what is in it is not in the order
}

// Makers are the people who work: the skill of each, and how many hours a day.
type Makers struct {
	Skills []string
	Day    float64
}

// can tells whether somebody of a skill can do a step: who can all does what is not for a licensed trade.
func can(skill, wanted string) bool {
	return wanted == "" || skill == wanted || skill == "all" && wanted != "electric"
}

// Sort orders steps. Of those that may begin, the one with the longest way to the end goes first, waits counted;
// so waits begin early. A ring is told with its reasons, and all that does not hang on it is ordered.
func Sort(steps []Step, reasons []Reason, m Makers) Schedule {
	s := sorterOf(len(steps), reasons)
	s.steps, s.m, s.ready = steps, m, make([]float64, len(steps))
	if len(s.m.Skills) == 0 {
		s.m.Skills = []string{"all"}
	}
	if s.m.Day <= 0 {
		s.m.Day = 8
	}
	s.m.Day = min(24, s.m.Day)
	var out Schedule
	out.Ring = s.ring()
	s.lengths()
	out.Slots = s.run()
	for _, slot := range out.Slots {
		out.Days = max(out.Days, int(math.Ceil(slot.To/24-1e-9)))
	}
	return out
}

// Ring is the shortest ring that reasons make between so many steps; nil where there is none.
func Ring(steps int, reasons []Reason) []Reason { return sorterOf(steps, reasons).ring() }

func sorterOf(steps int, reasons []Reason) *sorter {
	s := &sorter{reasons: reasons, after: make([][]int, steps), before: make([]int, steps)}
	for k, r := range reasons {
		if r.First >= 0 && r.Then >= 0 && r.First < steps && r.Then < steps {
			s.after[r.First] = append(s.after[r.First], k)
			s.before[r.Then]++
		}
	}
	return s
}

type sorter struct {
	steps   []Step
	reasons []Reason
	m       Makers
	after   [][]int // reasons by their first step
	before  []int   // how many reasons a step waits for
	ready   []float64
	way     []float64 // hours from a step to the end
	crews   map[crewOf]crew
}

// crewOf is what a crew must be, and crew who it is and when it is free.
type crewOf struct {
	skill  string
	people int
}

type crew struct {
	who []int
	at  float64
}

// ring finds one ring of reasons, the shortest found from any step of it; nil where there is none.
func (s *sorter) ring() []Reason {
	left := slices.Clone(s.before)
	var free []int
	for i, n := range left {
		if n == 0 {
			free = append(free, i)
		}
	}
	done := 0
	for len(free) > 0 {
		at := free[len(free)-1]
		free = free[:len(free)-1]
		done++
		for _, k := range s.after[at] {
			if left[s.reasons[k].Then]--; left[s.reasons[k].Then] == 0 {
				free = append(free, s.reasons[k].Then)
			}
		}
	}
	if done == len(s.before) {
		return nil
	}
	var best []Reason
	for start, n := range left {
		if n == 0 {
			continue
		}
		if found := s.back(start, left); found != nil && (best == nil || len(found) < len(best)) {
			best = found
		}
	}
	return best
}

// back is the shortest way from a step back to itself, by the reasons that are left.
func (s *sorter) back(start int, left []int) []Reason {
	by := map[int]int{}
	line := []int{start}
	for len(line) > 0 {
		at := line[0]
		line = line[1:]
		for _, k := range s.after[at] {
			then := s.reasons[k].Then
			if left[then] == 0 {
				continue
			}
			if then == start {
				found := []Reason{s.reasons[k]}
				for at != start {
					found = append(found, s.reasons[by[at]])
					at = s.reasons[by[at]].First
				}
				slices.Reverse(found)
				return found
			}
			if _, seen := by[then]; !seen {
				by[then] = k
				line = append(line, then)
			}
		}
	}
	return nil
}

// lengths are how long it takes from the begin of each step to the end of all that hangs on it.
func (s *sorter) lengths() {
	s.way = make([]float64, len(s.steps))
	const open = -1
	for i := range s.way {
		s.way[i] = open
	}
	var of func(i, deep int) float64
	of = func(i, deep int) float64 {
		if s.way[i] != open {
			return s.way[i]
		}
		s.way[i] = 0 // a ring ends here
		longest := 0.0
		for _, k := range s.after[i] {
			longest = max(longest, of(s.reasons[k].Then, deep+1))
		}
		s.way[i] = s.steps[i].Minutes/60 + s.steps[i].Wait + longest
		return s.way[i]
	}
	for i := range s.steps {
		of(i, 0)
	}
}

// run does one step after the other: whoever is free first takes the step that may begin first, of those the one
// with the longest way.
func (s *sorter) run() []Slot {
	free := make([]float64, len(s.m.Skills))
	left := slices.Clone(s.before)
	var may []int
	for i, n := range left {
		if n == 0 {
			may = append(may, i)
		}
	}
	var slots []Slot
	next := ""
	for len(may) > 0 {
		s.crews = map[crewOf]crew{}
		pick, from, crew := -1, math.Inf(1), []int(nil)
		for k, i := range may {
			who, at := s.crew(i, free)
			at = s.working(max(at, s.ready[i]))
			sooner := at < from-1e-9
			if pick >= 0 && !sooner && at < from+1e-9 {
				other := may[pick]
				sooner = cmp.Or(cmp.Compare(s.urgent(i, next), s.urgent(other, next)), i-other) < 0
			}
			if pick < 0 || sooner {
				pick, from, crew = k, at, who
			}
		}
		i := may[pick]
		may = slices.Delete(may, pick, pick+1)
		to := s.after24(from, s.steps[i].Minutes/60)
		slot := Slot{Step: i, Day: int(from / 24), From: from, To: to, Ready: to + s.steps[i].Wait, Makers: crew}
		for _, who := range crew {
			free[who] = to
		}
		slots = append(slots, slot)
		next = s.steps[i].Next
		for _, k := range s.after[i] {
			then := s.reasons[k].Then
			s.ready[then] = max(s.ready[then], slot.Ready)
			if left[then]--; left[then] == 0 {
				may = append(may, then)
			}
		}
	}
	return slots
}

// urgent is smaller for what goes first.
func (s *sorter) urgent(i int, next string) float64 {
	if s.steps[i].ID == next && next != "" {
		return math.Inf(-1)
	}
	return -s.way[i]
}

// crew are who does a step: those of its skill who are free first. Where there are too few, all there are; where
// nobody can, somebody from outside, who is no one of the list.
func (s *sorter) crew(i int, free []float64) ([]int, float64) {
	key := crewOf{s.steps[i].Skill, s.steps[i].People}
	found, known := s.crews[key]
	if !known {
		found.who, found.at = s.pick(i, free)
		s.crews[key] = found
	}
	return found.who, found.at
}

func (s *sorter) pick(i int, free []float64) ([]int, float64) {
	line := make([]int, 0, len(free))
	for k := range free {
		line = append(line, k)
	}
	step := &s.steps[i]
	slices.SortStableFunc(line, func(a, b int) int {
		able := func(k int) int {
			switch {
			case !can(s.m.Skills[k], step.Skill):
				return 2
			case step.Skill == "" && s.m.Skills[k] == "electric":
				return 1 // a licensed trade helps out last
			}
			return 0
		}
		return cmp.Or(able(a)-able(b), cmp.Compare(free[a], free[b]))
	})
	if !can(s.m.Skills[line[0]], step.Skill) {
		return nil, 0
	}
	n := max(1, min(step.People, len(line)))
	at := 0.0
	for _, k := range line[:n] {
		at = max(at, free[k])
	}
	return line[:n:n], at
}

// working is the first hour from one on that is in a day's work.
func (s *sorter) working(at float64) float64 {
	day := math.Floor(at / 24)
	if at-day*24 >= s.m.Day-1e-9 {
		return (day + 1) * 24
	}
	return at
}

// after24 is when so many hours of work that begin at one end, with nights between.
func (s *sorter) after24(from, hours float64) float64 {
	day := math.Floor(from / 24)
	at := from - day*24
	if at+hours <= s.m.Day+1e-9 {
		return from + hours
	}
	hours -= s.m.Day - at
	days := math.Ceil(hours/s.m.Day) - 1
	return (day+1+days)*24 + hours - days*s.m.Day
}
