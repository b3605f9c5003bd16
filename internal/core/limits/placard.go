package limits

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
	"zaino/internal/core/words"
)

// placard is what a door placard counts, where one states it: people, fitout, cargo,
// what is in tanks other than fuel, and what the trailer puts on the ball, before any
// weight distribution.
func placard(p *plan.Plan) []*Mass {
	r := rating.In(p).Get(fitout.LimitPlacard)
	if r.Kg == 0 {
		return nil
	}
	term, ball := p.Say.Term(fitout.TermPlacard), p.Say.Term(fitout.TermBall)
	m := rated(p, "placard", words.Capital(term), r)
	m.facts.Term, m.facts.Subject = term, fitout.Subject{Kind: "limit", ID: "placard"}
	m.facts.Note = "people, fitout, cargo and what the trailer puts on the ball"
	m.comes = "comes to"
	m.carries = func(load, most string) string {
		return fmt.Sprintf("People, fitout, cargo and %s together are %s; the %s allows %s.", ball, load, term, most)
	}
	m.count = func(c load.Carrier, m load.Moments) float64 {
		switch {
		case c.Kind == load.OneItem, c.Kind == load.OneTank && c.Tank.Kind != fitout.TankFuel:
			return m.Kg
		case c.Kind == load.TheTrailer:
			return m.Ball
		}
		return 0
	}
	return []*Mass{m}
}
