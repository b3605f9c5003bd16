package edit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// seat puts someone onto another seat.
var seat = Kind{Caution: "Each seat that is used needs its belt.",
	Apply: item(func(j *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		if !slices.ContainsFunc(j.Vehicle.Seats, func(s fitout.Seat) bool { return s.ID == e.With }) {
			return false
		}
		i.Seat = e.With
		return true
	}).Apply}

// driverSeat says which seat is the driver's: that one alone.
var driverSeat = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	changed, found := *j, false
	changed.Vehicle.Seats = slices.Clone(j.Vehicle.Seats)
	for i := range changed.Vehicle.Seats {
		s := &changed.Vehicle.Seats[i]
		s.Driver = s.ID == e.ID
		found = found || s.Driver
	}
	return changed, found
}}
