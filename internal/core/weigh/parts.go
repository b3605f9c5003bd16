package weigh

import (
	"cmp"
	"math"
	"slices"

	"zaino/internal/core/build"
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// PartWeight is one part or thing of the plan with what it was planned and weighed to be.
type PartWeight struct {
	ID      string            `json:"id"`
	Name    string            `json:"name"`
	Planned float64           `json:"planned" doc:"kg"`
	Sigma   float64           `json:"sigma" doc:"standard uncertainty of what was planned, kg"`
	From    fitout.MassSource `json:"from" enum:"weighed,data-sheet,material,estimate" doc:"where what was planned comes from"`
	Weighed float64           `json:"weighed" doc:"kg; 0 = not weighed"`
	Sigmas  float64           `json:"sigmas" doc:"by how many standard uncertainties it is off what was planned"`
	Share   float64           `json:"share" doc:"of the doubt of the whole that weighing it would take off, 0 to 1"`
	Aboard  bool              `json:"aboard" doc:"in the state shown"`
	Fitted  bool              `json:"fitted" doc:"it is a part that this build makes or fits"`
	Moving  bool              `json:"moving" doc:"it was taken while the scale moved"`
	Why     string            `json:"why" doc:"why it is off"`
}

// PartSum is how the sum of what was weighed stands against the plan.
type PartSum struct {
	Planned float64 `json:"planned" doc:"of what was weighed, kg"`
	Weighed float64 `json:"weighed" doc:"kg"`
	Open    float64 `json:"open" doc:"planned of what was not weighed yet, kg"`
	Sigma   float64 `json:"sigma" doc:"standard uncertainty of the whole, with the empty vehicle, kg"`
	Few     int     `json:"few" doc:"so many not weighed yet"`
	Share   float64 `json:"share" doc:"make this share of its doubt, 0 to 1"`
}

// ofDoubt is the share of the doubt that a few parts are told to make.
const ofDoubt = 0.8

// Parts are all things of the plan that can be weighed, in the order in which they go in, what is put in by hand last;
// people weigh themselves.
func Parts(p *plan.Plan) ([]PartWeight, PartSum) {
	fitting := build.FittingOrder(p)
	u := &p.Job.Practice.Uncertainty
	b := load.BaselineOf(&p.Given.Vehicle, &p.Load.Weighing, u)
	errors := p.Load.Errors(b, u, nil)
	count := p.Load.GrossForm().Count()
	whole := load.Sigma(count, errors)
	sum := PartSum{Sigma: whole}
	takes := map[int]float64{}
	for _, n := range load.Next(count, errors) {
		takes[n.Item] = n.Takes
	}
	all := []PartWeight{}
	for i := range p.Items {
		item := &p.Items[i]
		if plan.Traveller(item) || !item.Work.Now() || item.Mass == 0 {
			continue
		}
		mass := p.Variant.Items[i].Mass
		part := PartWeight{
			ID:      item.ID,
			Name:    item.Name,
			Planned: mass,
			From:    item.Source,
			Aboard:  p.Load.Items[i].Present,
			Fitted:  item.Module != nil,
			Share:   takes[i] / max(whole*whole, math.SmallestNonzeroFloat64),
		}
		if item.Source == fitout.ByScale {
			part.Weighed, part.Share = mass, 0
			if item.Planned != nil {
				part.Planned, part.From, part.Why, part.Moving = item.Planned.Kg, item.Planned.Source, item.Planned.Why, item.Planned.Moving
			}
		}
		part.Sigma = load.MassSigma(part.From, part.Planned, u)
		if part.Weighed > 0 {
			part.Sigmas = (part.Weighed - part.Planned) / max(
				part.Sigma,
				load.MassSigma(fitout.ByScale, part.Weighed, u),
			)
			sum.Planned, sum.Weighed = sum.Planned+part.Planned, sum.Weighed+part.Weighed
		} else {
			sum.Open += part.Planned
		}
		all = append(all, part)
	}
	rank := func(part PartWeight) int {
		if at := slices.Index(fitting, part.ID); at >= 0 {
			return at
		}
		if part.Fitted {
			return len(fitting)
		}
		return len(fitting) + 1
	}
	slices.SortStableFunc(all, func(a, b PartWeight) int { return cmp.Compare(rank(a), rank(b)) })
	sum.Few, sum.Share = few(all)
	return all, sum
}

// few tells how few of what was not weighed make most of its doubt, and what share.
func few(parts []PartWeight) (count int, share float64) {
	var open []float64
	whole := 0.0
	for _, part := range parts {
		if part.Weighed == 0 && part.Aboard {
			open, whole = append(open, part.Share), whole+part.Share
		}
	}
	slices.SortFunc(open, func(a, b float64) int { return cmp.Compare(b, a) })
	for _, s := range open {
		if share >= ofDoubt*whole {
			break
		}
		count, share = count+1, share+s
	}
	return count, share
}
