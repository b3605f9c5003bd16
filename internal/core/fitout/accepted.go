package fitout

import (
	"math"

	"zaino/internal/core/quantity"
)

// Accepted is a finding that the specialist has looked at and lets stand, as bad as it
// was then. One that grows worse is not let stand any more.
type Accepted struct {
	Key      string   `json:"key" minLength:"1" maxLength:"500" doc:"names all that the finding is about"`
	Stance   string   `json:"stance" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the stance in which it holds; empty on the road"`
	Severity Severity `json:"severity" enum:",stop,caution,note" doc:"as it was let stand; empty where that was not kept"`
	Beyond   float64  `json:"beyond" minimum:"-1000000000" maximum:"1000000000" doc:"by how much it was beyond its limit then, in the unit of the finding"`
	Why      string   `json:"why" minLength:"1" maxLength:"1000" doc:"in the specialist's words"`
}

// About tells whether it was said of a finding. What was let stand before its key was
// kept whole names the rule and one thing only.
func (a *Accepted) About(f *Finding) bool {
	return a.Stance == f.Stance && (a.Key == f.Key || a.Severity == "" && a.Key == f.Rule+"/"+f.Subject.ID)
}

// Standing tells how a finding stands to what was let stand.
type Standing string

// How a finding can stand to what was let stand.
const (
	Holds     Standing = ""          // it is no worse
	Graver    Standing = "graver"    // it is of a graver kind now
	Grown     Standing = "grown"     // it has grown by more than a tenth
	Ambiguous Standing = "ambiguous" // it is about more than was said
)

// Stands compares a finding that it is about with what was let stand: it holds for the
// same severity or a lesser one, and until its figure is worse by more than a tenth.
func (a *Accepted) Stands(f *Finding) Standing {
	switch {
	case a.Severity == "" && len(f.With) > 0:
		return Ambiguous
	case a.Severity == "":
		return Holds
	case f.Severity.Rank() < a.Severity.Rank():
		return Graver
	case quantity.Exceeds(-f.Margin, a.Beyond+a.allowance(f)):
		return Grown
	}
	return Holds
}

// allowance is a tenth of the figure that was let stand, which its limit and how far it
// was beyond that give, and at least a tenth of how far it was beyond.
func (a *Accepted) allowance(f *Finding) float64 {
	figure := f.Limit + a.Beyond
	if f.Value < f.Limit { // the limit is a least
		figure = f.Limit - a.Beyond
	}
	return max(math.Abs(figure), math.Abs(a.Beyond)) / 10
}
