package edit

import "zaino/internal/core/fitout"

// Edits of the trailer, and of what rides on it.
var (
	uncouple = trailer("", func(t *fitout.Trailer, _ float64) { t.Coupled = false })
	ball     = trailer("Too little on the ball makes a trailer sway: keep to the least share that the makers of vehicle "+
		"and trailer allow.",
		func(t *fitout.Trailer, kg float64) { t.Ball = kg })
	distribution = trailer("Only where the makers of vehicle, hitch and trailer and local rules allow it; it raises no "+
		"rating, the ball's neither.",
		func(t *fitout.Trailer, moment float64) { t.Distribution = moment })
	toTrailer  = riding(true)
	offTrailer = riding(false)
)

func trailer(caution string, change func(t *fitout.Trailer, value float64)) Kind {
	return Kind{Caution: caution, Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		if j.Trailer == nil {
			return *j, false
		}
		changed, t := *j, *j.Trailer
		change(&t, e.Value)
		changed.Trailer = &t
		return changed, true
	}}
}

// riding puts a thing onto the trailer, or takes it off.
func riding(on bool) Kind {
	return item(func(j *fitout.Job, i *fitout.Item, _ *fitout.FixEdit) bool {
		if j.Trailer == nil || i.OnTrailer == on {
			return false
		}
		i.OnTrailer, i.In = on, nil
		return true
	})
}
