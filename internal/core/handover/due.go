package handover

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strconv"
	"time"

	"zaino/internal/core/fitout"
)

// Due is something that has to be done by a day or by a way.
type Due struct {
	Job      string  `json:"job" doc:"id"`
	Name     string  `json:"name" doc:"of the job"`
	Customer string  `json:"customer"`
	ID       string  `json:"id" doc:"interval/ or paper/ and its id"`
	What     string  `json:"what"`
	On       string  `json:"on" doc:"day, as 2026-03-30; empty where only km count"`
	Km       float64 `json:"km" doc:"on the clock, or of rough roads; 0 where only time counts"`
	State    string  `json:"state" enum:"overdue,soon,later" doc:"soon: within a month or a tenth of its way"`
	Why      string  `json:"why" doc:"in words"`
}

// Driven is how far a vehicle has come since its handover.
type Driven struct {
	Km    float64 // on the clock now; 0 = not known
	Rough []RoughKm
}

// RoughKm is so much rough road on a day.
type RoughKm struct {
	On string
	Km float64
}

// states of what is due.
const (
	overdue = "overdue"
	soon    = "soon"
	later   = "later"
)

// soonDays is how long before its day something is told to be due soon.
const soonDays = 31

// Dues are what is due of a job that was handed over, the most pressing first. today is a day as 2026-03-30; a job that
// was not handed over has none but papers that expire.
func Dues(j *fitout.Job, driven Driven, today string) []Due {
	all := []Due{}
	now, err := time.Parse(time.DateOnly, today)
	if err != nil {
		return all
	}
	h := &j.Handover
	add := func(id, what string) *Due {
		all = append(all, Due{Job: j.ID, Name: j.Name, Customer: j.Customer, ID: id, What: what, State: later})
		return &all[len(all)-1]
	}
	if h.Delivered != "" {
		for i := range h.Intervals {
			n := &h.Intervals[i]
			if n.Months == 0 && n.Km == 0 || n.Once && (n.LastOn != "" || n.LastKm > 0) {
				continue
			}
			d := add("interval/"+n.ID, n.Name)
			d.byDay(n, h, now)
			d.byWay(n, h, driven)
		}
	}
	for i := range h.Papers {
		paper := &h.Papers[i]
		on, err := time.Parse(time.DateOnly, paper.Expires)
		if err != nil {
			continue
		}
		d := add("paper/"+paper.ID, paper.Name)
		d.On = paper.Expires
		d.urge(now, on)
		d.Why = "expires on " + paper.Expires
	}
	SortDues(all)
	return all
}

// SortDues puts the most pressing first.
func SortDues(all []Due) {
	slices.SortStableFunc(all, func(a, b Due) int {
		return cmp.Or(
			cmp.Compare(
				rank(a.State),
				rank(b.State),
			),
			cmp.Compare(orLast(a.On), orLast(b.On)),
			cmp.Compare(a.Km, b.Km),
		)
	})
}

func rank(state string) int { return slices.Index([]string{overdue, soon, later}, state) }

func orLast(day string) string {
	if day == "" {
		return "9999"
	}
	return day
}

// urge makes a due more pressing by its day.
func (d *Due) urge(now, on time.Time) {
	switch days := on.Sub(now).Hours() / 24; {
	case days < 0:
		d.State = overdue
	case days <= soonDays && d.State == later:
		d.State = soon
	}
}

// byDay counts months from when it was done last, or from the handover.
func (d *Due) byDay(n *fitout.Interval, h *fitout.Handover, now time.Time) {
	if n.Months == 0 {
		return
	}
	from := h.Delivered
	if n.LastOn != "" {
		from = n.LastOn
	}
	start, err := time.Parse(time.DateOnly, from)
	if err != nil {
		return
	}
	on := monthsOn(start, n.Months)
	d.On = on.Format(time.DateOnly)
	d.urge(now, on)
	unit := "months"
	if n.Months == 1 {
		unit = "month"
	}
	d.Why = fmt.Sprintf("%s %s after %s", strconv.FormatFloat(n.Months, 'f', -1, 64), unit, from)
}

// monthsOn is so many months later on the same day, or on the last of a month that is shorter; parts of a month count
// 30 days.
func monthsOn(start time.Time, months float64) time.Time {
	whole, part := math.Modf(months)
	first := time.Date(start.Year(), start.Month()+time.Month(whole), 1, 0, 0, 0, 0, time.UTC)
	last := first.AddDate(0, 1, -1).Day()
	return first.AddDate(0, 0, min(start.Day(), last)-1+int(math.Round(part*30)))
}

// byWay counts km from when it was done last, or from the handover.
func (d *Due) byWay(n *fitout.Interval, h *fitout.Handover, driven Driven) {
	if n.Km == 0 {
		return
	}
	gone, since := 0.0, max(n.LastKm, h.Km)
	if n.Rough {
		from := h.Delivered
		if n.LastOn != "" {
			from = n.LastOn
		}
		for _, r := range driven.Rough {
			if r.On >= from {
				gone += r.Km
			}
		}
		d.Km = n.Km
	} else {
		gone, d.Km = max(0, driven.Km-since), since+n.Km
	}
	way := fmt.Sprintf("after %.0f km", n.Km)
	if n.Rough {
		way += " of rough road"
	}
	if driven.Km > 0 || n.Rough && len(driven.Rough) > 0 {
		way += fmt.Sprintf(", %.0f gone", gone)
	}
	switch {
	case gone >= n.Km:
		d.State = overdue
	case gone >= 0.9*n.Km && d.State == later:
		d.State = soon
	}
	if d.Why != "" {
		d.Why += ", or "
	}
	d.Why += way
}
