package sense

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// What springs of such vehicles are, at the wheel. Practice, wide of what is sold: a light wagon has some 25 N/mm and a
// truck some 250, and no axle moves half a metre.
const (
	softest  = 8.0
	hardest  = 320.0
	mostBump = 400.0
	mostLift = 200.0
)

// suspensionOdd cautions of springs, ways to the bump stop and lifts that no such vehicle has: how it stands, what
// clears the ground and when it hits its stops go by them.
func suspensionOdd(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	tell := func(kind, id, name, what string, value, least, most float64, unit string,
		say func(float64) string) {
		if value == 0 || value >= least && value <= most {
			return
		}
		f := about("suspension-odd", kind, id)
		f.Title = fmt.Sprintf("%s: no such %s is made", words.Capital(name), what)
		f.Sentence = fmt.Sprintf(
			"%s is entered as its %s; between %s and %s is usual. Read it again: per wheel, and in the unit of the field.",
			say(value),
			what,
			say(least),
			say(most),
		)
		f.Source = "practice"
		outside(&f, value, least, most, unit)
		found = append(found, f)
	}
	v := &p.Given.Vehicle
	for _, axle := range []struct {
		name string
		of   *fitout.Axle
	}{{"front axle", &v.Front}, {"rear axle", &v.Rear}} {
		tell("vehicle", "", axle.name, "spring rate", axle.of.Rate, softest, hardest, "N/mm", p.Say.Rate)
		tell("vehicle", "", axle.name, "way to the bump stop", axle.of.Bump, 10, mostBump, "mm", p.Say.Length)
	}
	for i := range v.Modifications {
		m := &v.Modifications[i]
		if m.Kind == fitout.Springs {
			tell("modification", m.ID, m.Name, "spring rate", m.Rate, softest, hardest, "N/mm", p.Say.Rate)
		}
		tell("modification", m.ID, m.Name, "lift", m.Lift, -mostLift, mostLift, "mm", p.Say.Length)
	}
	return found
}

// hitchOdd cautions of a tow ball that is entered where none can be: within the wheels, or on the ground.
func hitchOdd(p *plan.Plan) []fitout.Finding {
	h, v := &p.Given.Vehicle.Hitch, &p.Given.Vehicle
	var found []fitout.Finding
	if most := mostOnBall * h.Trailer; most > 0 && h.Ball > most {
		f := about("hitch-odd", "vehicle", "")
		f.Source, f.Subject.Measure = "practice", "hitch/ball"
		f.Title = fmt.Sprintf("The tow bar takes %s on its ball", p.Say.Mass(h.Ball))
		f.Sentence = fmt.Sprintf("Its plate is entered with %s of trailer; no ball is rated for more than %s then. Read the "+
			"plate of the tow bar again.", p.Say.Mass(h.Trailer), p.Say.Mass(most))
		f.Over(h.Ball, most, "kg")
		found = append(found, f)
	}
	if p.Given.Trailer == nil {
		return found
	}
	tell := func(title, sentence string, value, least float64) {
		f := about("hitch-odd", "vehicle", "")
		f.Title, f.Sentence = title, sentence
		f.Under(value, least, "mm")
		found = append(found, f)
	}
	if h.Overhang > 0 && h.Overhang < v.TyreRadius {
		tell(
			"The ball is within the wheels",
			fmt.Sprintf("The ball is entered %s behind the rear axle, and the tyre alone reaches %s. "+
				"Its download weighs on the rear axle by that length: measure it again.", p.Say.Length(h.Overhang),
				p.Say.Length(v.TyreRadius)),
			h.Overhang,
			v.TyreRadius,
		)
	}
	if drawbar := p.Given.Trailer.BallToAxle; drawbar > 0 && drawbar < leastDrawbar {
		tell(
			"The trailer's axle is under its ball",
			fmt.Sprintf("The axle of %s is entered %s behind the ball; trailers have %s and more. What a weight "+
				"distribution moves goes by it: measure it again.", words.Lower(p.Given.Trailer.Name), p.Say.Length(drawbar),
				p.Say.Length(leastDrawbar)),
			drawbar,
			leastDrawbar,
		)
	}
	if h.Height > 0 && h.Height < leastBall {
		tell(
			"The ball lies on the ground",
			fmt.Sprintf("The ball is entered %s above the ground; balls are some %s up. Measure it "+
				"again.", p.Say.Length(h.Height), p.Say.Length(usualBall)),
			h.Height,
			leastBall,
		)
	}
	return found
}

// How high a tow ball is at least, and usually, and how far ahead of the trailer's axle at least, mm. Practice.
const (
	leastBall    = 200.0
	usualBall    = 450.0
	leastDrawbar = 1000.0
)

// mostOnBall is the share of a trailer that a ball is rated for at most. Practice, wide of what is sold.
const mostOnBall = 0.4
