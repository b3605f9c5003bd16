package edit

import "zaino/internal/core/fitout"

// coldAndHot exchanges the coldest night and the hottest day of the brief, or the coldest and hottest hour of the days under
// Power where the edit names them ("days"), which were entered the other way round.
var coldAndHot = Kind{Apply: func(j *fitout.Job, c []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	if e.ID == "days" {
		return ofDays.Apply(j, c, e)
	}
	changed := *j
	trip := &changed.Brief.Trip
	trip.Coldest, trip.Hottest = trip.Hottest, trip.Coldest
	return changed, trip.Coldest < trip.Hottest
}}

var ofDays = electrics(func(e *fitout.Electrics, _ *fitout.FixEdit) bool {
	e.Days.Low, e.Days.High = e.Days.High, e.Days.Low
	return e.Days.Low < e.Days.High
})
