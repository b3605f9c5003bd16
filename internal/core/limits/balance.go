package limits

import (
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// frontShare is the least share of the gross on the front axle, for steering.
func frontShare(p *plan.Plan) Limit {
	least := p.Job.Practice.FrontShare
	return &Share{plan: p, counts: []load.Count{p.Load.FrontShareForm(least).Count()},
		value: func(in *Situation) float64 { return 100 * in.Axles.Front / max(1, in.Axles.Gross()) },
		facts: Facts{
			ID: "front-share", Title: "Front share", Term: "front share", Unit: "%", Bound: Least(100 * least),
			Rule:    "front-light",
			Subject: fitout.Subject{Kind: "front-axle"}, Source: "workshop rule", Note: "of the gross; workshop rule",
		},
	}
}

// sides is by how much one side may be heavier than the other, without trailer.
func sides(p *plan.Plan) Limit {
	left, right := p.Load.LeftForm(), p.Load.RightForm()
	heavier := func(a, b load.Form) load.Count {
		return load.Form{Kg: a.Kg - b.Kg - p.Job.Practice.SideShare, X: a.X - b.X, Y: a.Y - b.Y, XY: a.XY - b.XY}.OfVehicle()
	}
	return &Share{plan: p, counts: []load.Count{heavier(left, right), heavier(right, left)},
		value: func(in *Situation) float64 {
			return 100 * math.Abs(in.Corners.Left()-in.Corners.Right()) / max(1, in.Moments.Kg)
		},
		facts: Facts{
			ID: "sides", Title: "Sides differ", Term: "difference of the sides", Unit: "%",
			Bound: Most(100 * p.Job.Practice.SideShare), Rule: "sides-uneven",
			Subject: fitout.Subject{Kind: "vehicle"}, Source: "workshop rule", Note: "of the gross; an estimate; workshop rule",
		},
	}
}

// tip is the side tip angle that the load may take of the unladen vehicle's.
func tip(p *plan.Plan) Limit {
	unladen := TipAngle(p, &p.Load.Unladen)
	most := p.Job.Practice.TipLoss
	return &Share{plan: p, counts: []load.Count{p.Load.TipForm(unladen - most).OfVehicle()},
		value: func(in *Situation) float64 { return unladen - TipAngle(p, &in.Moments) },
		facts: Facts{
			ID: "tip", Title: "Tip angle lost", Term: "tip angle lost", Unit: "°", Bound: Most(most), Rule: "tip-lost",
			Subject: fitout.Subject{Kind: "vehicle"}, Source: "workshop rule",
			Note: "of the unladen vehicle's side tip angle, an upper bound; workshop rule",
		},
	}
}

// TipAngle is the side tip angle of masses on the plan's tracks, an upper bound, °.
func TipAngle(p *plan.Plan, m *load.Moments) float64 {
	_, tip := load.Stability(p.Load.TrackFront, p.Load.TrackRear, max(1, m.Centre().Z))
	return tip
}

// ballShares are the least and the most of a coupled trailer's mass on the ball.
func ballShares(p *plan.Plan) []Limit {
	t := p.Job.Trailer
	if t == nil {
		return nil
	}
	share := func(in *Situation) float64 { return 100 * in.Ball / max(1, in.Trailer) }
	// sign (share·mass − ball), which is positive where the ball is beyond the share.
	count := func(of, sign float64) load.Count {
		return func(c load.Carrier, m load.Moments) float64 {
			switch c.Kind {
			case load.TheTrailer:
				return sign * (of*(m.Kg+m.Towed) - m.Ball)
			case load.OneItem:
				return sign * of * m.Towed
			}
			return 0
		}
	}
	facts := func(id, rule string, bound Bound) Facts {
		return Facts{
			ID: id, Title: "Ball share", Term: "share of the ball", Unit: "%", Bound: bound, Rule: rule, Towing: true,
			Subject: fitout.Subject{Kind: "ball"}, Source: "workshop rule", Note: "of the trailer's mass; workshop rule",
		}
	}
	practice := &p.Job.Practice
	return []Limit{
		&Share{plan: p, value: share, counts: []load.Count{count(practice.BallMost, -1)},
			facts: facts("ball-most", "ball-heavy", Most(100*practice.BallMost))},
		&Share{plan: p, value: share, counts: []load.Count{count(practice.BallLeast, 1)},
			facts: facts("ball-least", "ball-light", Least(100*practice.BallLeast))},
	}
}

// seats is how many people and animals sit in seats, of how many there are.
func seats(p *plan.Plan) Limit {
	count := func(c load.Carrier, m load.Moments) float64 {
		if c.Kind == load.OneItem && m.Kg > 0 && c.Item.Seat != "" && plan.Traveller(c.Item) {
			return 1
		}
		return 0
	}
	all := float64(len(p.Vehicle.Seats))
	return &Share{plan: p, counts: []load.Count{func(c load.Carrier, m load.Moments) float64 {
		if c.Kind == load.EmptyVehicle {
			return -all
		}
		return count(c, m)
	}},
		value: func(in *Situation) float64 { return in.Sum(count) },
		facts: Facts{
			ID: "seats", Title: "Seats", Term: "seats", Unit: "people", Bound: Most(all), Rule: "seats",
			Subject: fitout.Subject{Kind: "vehicle"}, Source: "physics", Note: "people and animals in seats",
		},
	}
}
