package trip

import (
	"math"

	"zaino/internal/core/fitout"
)

// Days are the days of a route: n nights are n + 1 days. A day is driven on its legs, or spent
// at a stop.
type Days struct {
	Nights int
	OnLeg  []float64 // days that each leg takes of what is used by the day
	At     []float64 // whole days spent at each stop
	Arrive []int     // day on which each stop is reached, from 1
	Leave  []int     // day on which it is left
}

// Count is how many days there are.
func (d *Days) Count() int { return d.Nights + 1 }

// DaysOf shares the days of a route among its legs by their km, and among the stops where a day
// begins and ends. What is used by the day is conserved: all shares add up to the count of days.
func DaysOf(stops []fitout.RouteStop) Days {
	d := Days{OnLeg: make([]float64, len(stops)), At: make([]float64, len(stops)), Arrive: make([]int, len(stops)),
		Leave: make([]int, len(stops))}
	var today []int // legs that are driven on the day at hand
	over := func(at int) {
		km := 0.0
		for _, leg := range today {
			km += stops[leg].Leg.Km
		}
		for _, leg := range today {
			if km > 0 {
				d.OnLeg[leg] += stops[leg].Leg.Km / km
			} else {
				d.OnLeg[leg] += 1 / float64(len(today))
			}
		}
		if len(today) == 0 {
			d.At[at]++
		}
		today = nil
	}
	day := 1
	for i := range stops {
		d.Arrive[i] = day
		if nights := int(math.Floor(stops[i].Nights)); nights > 0 {
			over(i)
			d.At[i] += float64(nights - 1)
			d.Nights += nights
			day += nights
		}
		d.Leave[i] = day
		if i < len(stops)-1 {
			today = append(today, i)
		}
	}
	if len(stops) > 0 {
		over(len(stops) - 1)
	}
	return d
}

// Open tells whether what a stop has can be had on any day from arrival to leaving, by the day of
// the week; a route that says no day of its start is taken to come on an open one.
func Open(r *fitout.Route, d *Days, stop int) bool {
	s := &r.Stops[stop]
	if s.Sure == fitout.Shut {
		return false
	}
	first := weekday(r.Begins)
	if first < 0 || len(s.Closed) == 0 {
		return true
	}
	for day := d.Arrive[stop]; day <= d.Leave[stop]; day++ {
		today, closed := fitout.Weekdays[(first+day-1)%7], false
		for _, c := range s.Closed {
			closed = closed || c.Day == today
		}
		if !closed {
			return true
		}
	}
	return false
}

func weekday(day fitout.Weekday) int {
	for i, d := range fitout.Weekdays {
		if d == day {
			return i
		}
	}
	return -1
}
