package limits

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
)

// trailer is the mass of a coupled trailer, with what rides on it, against what the
// vehicle may tow with the brakes that the trailer has.
func trailer(p *plan.Plan) []*Mass {
	t := p.Job.Trailer
	if t == nil {
		return nil
	}
	id, kind := fitout.LimitTrailerUnbraked, "unbraked"
	if t.Braked {
		id, kind = fitout.LimitTrailerBraked, "braked"
	}
	r := rating.In(p).Get(id)
	m := rated(p, "trailer", "Trailer, "+kind, r)
	by := r.BindsOr(p.Say, "the vehicle")
	m.facts.Term, m.facts.Subject, m.facts.Towing = "mass of the "+kind+" trailer", fitout.Subject{Kind: "trailer"}, true
	m.facts.Note = "uncoupled, with what rides on it; the limit of " + by
	m.facts.Missing = fmt.Sprintf("The trailer is %s and weighs %s; what the vehicle may tow %s is not stated.", kind,
		p.Say.Mass(p.Load.TrailerMass()), kind)
	m.comes = "comes to"
	m.carries = func(load, most string) string {
		return fmt.Sprintf("The %s is %s; the limit of %s is %s.", m.facts.Term, load, by, most)
	}
	m.count = func(c load.Carrier, m load.Moments) float64 {
		switch c.Kind {
		case load.TheTrailer:
			return m.Kg + m.Towed
		case load.OneItem:
			return m.Towed
		}
		return 0
	}
	return []*Mass{m}
}
