package cut

import (
	"cmp"
	"math"
	"slices"
)

// Barred is how pieces lie on bars.
type Barred struct {
	Bars   [][]int // pieces on each bar, by their place in the list
	Left   []int   // longer than a bar
	Bound  int     // fewer bars are not possible
	Proven bool    // nobody can do with fewer
}

// mostExact is up to how many pieces the fewest bars are looked for to the end.
const mostExact = 40

// barSteps bounds the search.
const barSteps = 3_000_000

// Bars lays lengths out on bars of one length, mm, with a kerf between them: the fewest bars. Each piece takes
// its length and a kerf of a bar that is a kerf longer. Up to 40 pieces it looks to the end.
func Bars(lengths []float64, bar, kerf float64) Barred {
	var out Barred
	line := make([]int, 0, len(lengths))
	total := 0.0
	for i, l := range lengths {
		if l > bar+slack {
			out.Left = append(out.Left, i)
			continue
		}
		line = append(line, i)
		total += l + kerf
	}
	if len(line) == 0 {
		out.Proven = true
		return out
	}
	slices.SortStableFunc(line, func(a, b int) int { return cmp.Compare(lengths[b], lengths[a]) })
	s := barSearch{lengths: lengths, room: bar + kerf + slack, kerf: kerf}
	out.Bound = s.bound(line, total)
	out.Bars = s.bestFit(line)
	if len(out.Bars) > out.Bound && len(line) <= mostExact {
		s.best = out.Bars
		s.least = out.Bound
		s.place(line, nil, total)
		out.Bars = s.best
		out.Proven = s.steps <= barSteps
	}
	out.Proven = out.Proven || len(out.Bars) <= out.Bound
	return out
}

type barSearch struct {
	lengths    []float64
	room, kerf float64
	best       [][]int
	least      int
	steps      int
}

func (s *barSearch) takes(i int) float64 { return s.lengths[i] + s.kerf }

// bound is the fewest bars by length, and by pieces of which no two, or only small ones, share a bar.
func (s *barSearch) bound(line []int, total float64) int {
	least := int(math.Ceil((total - slack) / s.room))
	for _, k := range line { // pieces shorter than this are left out of the count of room
		small := s.takes(k)
		if small > s.room/2 {
			continue
		}
		large, middle, room, sum := 0, 0, 0.0, 0.0
		for _, i := range line {
			switch t := s.takes(i); {
			case t > s.room-small:
				large++
			case t > s.room/2:
				middle++
				room += s.room - t
			case t >= small:
				sum += t
			}
		}
		least = max(least, large+middle+max(0, int(math.Ceil((sum-room-slack)/s.room))))
	}
	alone := 0
	for _, i := range line {
		if s.takes(i) > s.room/2 {
			alone++
		}
	}
	return max(least, alone)
}

// bestFit puts the longest first, each where it leaves least.
func (s *barSearch) bestFit(line []int) [][]int {
	var bars [][]int
	var free []float64
	for _, i := range line {
		at := -1
		for k := range bars {
			if free[k] >= s.takes(i) && (at < 0 || free[k] < free[at]) {
				at = k
			}
		}
		if at < 0 {
			bars, free = append(bars, nil), append(free, s.room)
			at = len(bars) - 1
		}
		bars[at] = append(bars[at], i)
		free[at] -= s.takes(i)
	}
	return bars
}

// place fills one more bar with the longest piece that is left and each set of others that leaves no room for
// another, and goes on with the rest.
func (s *barSearch) place(line []int, bars [][]int, total float64) {
	if s.steps++; s.steps > barSteps || len(s.best) <= s.least {
		return
	}
	if len(line) == 0 {
		s.best = slices.Clone(bars)
		return
	}
	if len(bars)+int(math.Ceil((total-slack)/s.room)) >= len(s.best) ||
		len(bars)+s.bound(line, total) >= len(s.best) {
		return
	}
	s.fill(line[1:], []int{line[0]}, nil, s.room-s.takes(line[0]), bars, total)
}

// fill goes through the sets of pieces that fit beside those on a bar: from the longest on, each taken or not.
// Of pieces of the same length, one that is passed over passes over all.
func (s *barSearch) fill(line, on, passed []int, room float64, bars [][]int, total float64) {
	if s.steps++; s.steps > barSteps || len(s.best) <= s.least {
		return
	}
	for len(line) > 0 && s.takes(line[0]) > room {
		passed, line = append(passed[:len(passed):len(passed)], line[0]), line[1:]
	}
	if len(line) == 0 {
		for _, i := range passed {
			if s.takes(i) <= room {
				return // one that was passed over would still fit: that is no worse
			}
		}
		rest := slices.Clone(passed)
		slices.SortStableFunc(rest, func(a, b int) int { return cmp.Compare(s.lengths[b], s.lengths[a]) })
		used := 0.0
		for _, i := range on {
			used += s.takes(i)
		}
		s.place(rest, append(bars[:len(bars):len(bars)], slices.Clone(on)), total-used)
		return
	}
	s.fill(line[1:], append(on[:len(on):len(on)], line[0]), passed, room-s.takes(line[0]), bars, total)
	same := 1
	for same < len(line) && s.lengths[line[same]] == s.lengths[line[0]] {
		same++
	}
	s.fill(line[same:], on, append(passed[:len(passed):len(passed)], line[:same]...), room, bars, total)
}
