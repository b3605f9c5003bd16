package limits

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
	"zaino/internal/core/words"
)

// ball is what a coupled trailer puts on the ball, before any weight distribution.
func ball(p *plan.Plan) []*Mass {
	if p.Job.Trailer == nil {
		return nil
	}
	r := rating.In(p).Get(fitout.LimitBall)
	m := rated(p, "ball", words.Capital(p.Say.Term(fitout.TermBall)), r)
	by := r.BindsOr(p.Say, "the vehicle")
	m.facts.Term, m.facts.Subject, m.facts.Towing = p.Say.Term(fitout.TermBall), fitout.Subject{Kind: "ball"}, true
	m.facts.Note = "the limit of " + by
	m.comes = "comes to"
	m.carries = func(load, most string) string {
		return fmt.Sprintf("The %s is %s; the limit of %s is %s.", m.facts.Term, load, by, most)
	}
	m.count = func(c load.Carrier, m load.Moments) float64 {
		if c.Kind != load.TheTrailer {
			return 0
		}
		return m.Ball
	}
	return []*Mass{m}
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
