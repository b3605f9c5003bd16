package edit

import "zaino/internal/core/fitout"

// coldAndHot exchanges the coldest night and the hottest day of the brief, which were entered the other way round.
var coldAndHot = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, _ *fitout.FixEdit) (fitout.Job, bool) {
	changed := *j
	trip := &changed.Brief.Trip
	trip.Coldest, trip.Hottest = trip.Hottest, trip.Coldest
	return changed, trip.Coldest < trip.Hottest
}}
