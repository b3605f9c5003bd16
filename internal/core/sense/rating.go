package sense

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// What runners carry at most, kg a pair. Practice, wide of what is sold: the strongest locking
// slides carry some 500 kg, a platform on rollers 1000.
var strongest = map[fitout.Runner]float64{fitout.BallRunner: 700, fitout.StripRunner: 150, fitout.RollerRunner: 1500}

// strongestSpace is what a space beside, below or ahead of the load floor carries at most, kg, a roof while driving.
// Practice, wide of what is sold.
var strongestSpace = map[fitout.BayKind]float64{
	fitout.BayRoof: 500, fitout.BayUnderTray: 400, fitout.BayBetweenRails: 600, fitout.BayRearWall: 300,
	fitout.BayHeadboard: 600, fitout.BaySecondRow: 600, fitout.BayCab: 400,
}

// mostCarried is the share of what a vehicle may weigh that it carries at most. Practice: light trucks carry half of it.
const mostCarried = 0.6

// ratedOdd cautions of ratings that nothing of the kind has: runners, a roof, a space that may carry more than the whole
// vehicle carries. Whatever is put in or on them passes.
func ratedOdd(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	tell := func(f fitout.Finding, name, what string, kg, most float64) {
		if most == 0 || kg <= most {
			return
		}
		f.Title = fmt.Sprintf("%s: rated %s", name, p.Say.Mass(kg))
		f.Sentence = fmt.Sprintf("%s at most %s. Read the data sheet or plate again: a figure too many, or pounds?", what,
			p.Say.Mass(most))
		f.Source = "practice"
		f.Over(kg, most, "kg")
		found = append(found, f)
	}
	for i := range p.Items {
		if m := p.Items[i].Module; m != nil {
			tell(about("rated-odd", "module", p.Items[i].ID), p.Items[i].Name, "Such runners carry", m.Rated, strongest[m.Runner])
		}
	}
	carried := mostCarried * p.Given.Vehicle.Limits.Gross.Kg
	for i := range p.Vehicle.Bays {
		b := &p.Vehicle.Bays[i]
		f, most, what := about("rated-odd", "bay", b.ID), strongestSpace[b.Kind], "Such a space carries"
		if most == 0 {
			most, what = carried, "Such a vehicle carries in all"
		}
		tell(f, words.Capital(b.Name), what, b.Rating, most)
	}
	return found
}
