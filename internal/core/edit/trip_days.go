package edit

import (
	"math"
	"slices"
	"strconv"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/trip"
)

// usualSpeed is what is driven in an hour where nobody said how long a leg takes, km/h. Practice.
const usualSpeed = 60.0

// tripDays makes the days of power those of the trip: its nights, the days that are driven with the
// mean of their hours, the days with mains, and the coldest night. The sky of each day stays.
var tripDays = onVariant(func(j *fitout.Job, v *fitout.Variant, _ *fitout.FixEdit) bool {
	l := trip.LookAt(plan.Of(j))
	if !l.Typed {
		return false
	}
	days := min(l.W.Days.Count(), mostDays)
	hours, mains := make([]float64, days+1), make([]bool, days+1)
	coldest := j.Brief.Trip.Coldest
	for i := range l.C.Route.Stops {
		s := &l.C.Route.Stops[i]
		if day := l.W.Days.Leave[i]; i < len(l.W.Legs) && day <= days {
			if s.Leg.Hours > 0 {
				hours[day] += s.Leg.Hours
			} else {
				hours[day] += s.Leg.Km / usualSpeed
			}
		}
		if math.Floor(s.Nights) == 0 {
			continue
		}
		coldest = min(coldest, l.C.ColdAt(i))
		for day := l.W.Days.Arrive[i]; day < l.W.Days.Leave[i] && day <= days; day++ {
			mains[day] = s.Mains && trip.Open(l.C.Route, &l.W.Days, i) && s.Sure == fitout.Sure
		}
	}
	e := &v.Electrics
	d := e.Days
	skies := map[string]fitout.Sky{}
	for _, own := range d.Own {
		skies[own.Day] = own.Sky
	}
	d.Own = nil
	driven, sum := 0, 0.0
	for day := 1; day <= days; day++ {
		id := strconv.Itoa(day)
		d.Own = append(d.Own, fitout.DayOwn{Day: id, Drives: hours[day] > 0, Mains: mains[day], Sky: skies[id]})
		if hours[day] > 0 {
			driven, sum = driven+1, sum+hours[day]
		}
	}
	d.Count, d.DriveEvery, d.MainsEvery = float64(min(l.W.Days.Nights, mostDays)), 0, 0
	if driven > 0 {
		mean := math.Round(min(15, sum/float64(driven))*10) / 10
		d.Drives = []fitout.Span{{ID: "trip", From: 8, To: 8 + max(0.1, mean), Share: 1}}
		d.DriveEvery = 1
	}
	if d.OfBrief && coldest < j.Brief.Trip.Coldest {
		d.OfBrief, d.Low, d.High = false, coldest, max(coldest, j.Brief.Trip.Hottest)
	}
	e.Days = d
	e.Days.Own = slices.Clip(d.Own)
	return true
})

// mostDays is how many days power is counted over at most.
const mostDays = 60
