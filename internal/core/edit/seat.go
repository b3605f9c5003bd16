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
