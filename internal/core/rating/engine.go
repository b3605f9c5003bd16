package rating

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Ratings are the ratings of every limit, in the order of fitout.LimitIDs.
type Ratings []Rating

// Get returns the rating of a limit; nothing is known of one that there is not.
func (all Ratings) Get(id fitout.LimitID) Rating {
	for i := range all {
		if all[i].Limit == id {
			return all[i]
		}
	}
	return Rating{}
}

// In returns the ratings of a plan's vehicle.
func In(p *plan.Plan) Ratings {
	return *plan.Once(p, func(p *plan.Plan) *Ratings {
		all := Ratings(All(p.Vehicle))
		return &all
	})
}

// Engine tells which of all the ratings on a vehicle binds, and what is counted on
// that no paper bears out.
func Engine() plan.Engine[[]Rating] {
	return plan.Engine[[]Rating]{
		Figures: func(p *plan.Plan) []Rating { return In(p) },
		Rules:   []plan.Rule{ratingsShort, extensionUncertified, upgradeUncertified, raisesNothing, tyreUnknown},
	}
}

// Binds says in words which rating is the limit, where it is not the plate.
func (r Rating) Binds(say words.Speaker) string {
	for _, b := range r.Bounds {
		switch {
		case !b.Binds || b.Kind == ByPlate:
		case b.Kind == ByTyres && b.Name == "":
			return "the " + say.Term(fitout.TermTyre) + "s"
		case b.Kind == ByHitch && b.Name == "":
			return "the hitch"
		default:
			return words.Lower(b.Name)
		}
	}
	return ""
}

// BindsOr says which rating is the limit, or names whose plate it is on.
func (r Rating) BindsOr(say words.Speaker, otherwise string) string {
	if by := r.Binds(say); by != "" {
		return by
	}
	return otherwise
}
