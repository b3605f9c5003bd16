package ride

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Figures are how the vehicle stands in the state shown against unladen.
type Figures struct {
	Front  Height  `json:"front"`
	Rear   Height  `json:"rear"`
	Rake   float64 `json:"rake" doc:"nose up against unladen, °"`
	Known  bool    `json:"known" doc:"both spring rates are known"`
	Angles Angles  `json:"angles"`
}

// Engine tells how the loaded vehicle stands, and when it stands on its bump stops.
func Engine() plan.Engine[Figures] {
	return plan.Engine[Figures]{Figures: figures, Rules: []plan.Rule{bumpClearance, standsLow, groundClearance}}
}

func figures(p *plan.Plan) Figures {
	unladen, now := p.Load.Unladen.Axles(p.Load.Wheelbase), p.Load.Axles()
	f := Figures{
		Front: Stands(On(p.Vehicle, fitout.FrontAxle), now.Front-unladen.Front),
		Rear:  Stands(On(p.Vehicle, fitout.RearAxle), now.Rear-unladen.Rear),
	}
	f.Known = f.Front.Known && f.Rear.Known
	if f.Known {
		f.Rake = Rake(f.Front.Drop, f.Rear.Drop, p.Load.Wheelbase)
	}
	f.Angles = AnglesOf(p.Vehicle, f.Front, f.Rear)
	return f
}

// leastBump is the way to the bump stop below which a loaded axle is called
// close to it, mm. Workshop practice.
const leastBump = 25

// springFixes are springs by which an axle that carries kg more than unladen goes down by no more than so much: of
// one rate, and where they have a second one, of another second rate.
func springFixes(say words.Speaker, axle fitout.WhichAxle, s Suspension, kg, mm float64) (fixes []fitout.Fix) {
	if rate := math.Ceil(s.RateFor(kg, mm)); rate > 0 && rate <= mostRate {
		fixes = append(fixes, fitout.Fix{
			Label: fmt.Sprintf("Fit springs of %s at the %s; they raise no rating", say.Rate(rate), axle),
			Edit:  fitout.FixEdit{Kind: "springs", ID: string(axle), Value: rate},
		})
	}
	if s.Second == 0 {
		return fixes
	}
	if rate := math.Ceil(s.SecondFor(kg, mm)); rate > 0 && rate <= mostRate {
		fixes = append(fixes, fitout.Fix{
			Label: fmt.Sprintf("Fit springs with a second rate of %s at the %s; they raise no rating",
				say.Rate(rate), axle),
			Edit: fitout.FixEdit{Kind: "springs", ID: string(axle), With: "second", Value: rate},
		})
	}
	return fixes
}

// mostRate is the stiffest spring that is offered, N/mm at the wheel: beyond it something else is the matter.
const mostRate = 400

// bumpClearance cautions when the loaded vehicle stands near its bump stops.
func bumpClearance(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	unladen, now := p.Load.Unladen.Axles(p.Load.Wheelbase), p.Load.Axles()
	check := func(axle fitout.WhichAxle, kg float64) {
		s := On(p.Vehicle, axle)
		h := Stands(s, kg)
		left, drop := h.Bump, h.Drop
		if !h.BumpKnown || left >= leastBump {
			return
		}
		title := fmt.Sprintf("%s to the bump stop at the %s", p.Say.Length(left), axle)
		if left <= 0 {
			title = fmt.Sprintf("The %s stands on its bump stops", axle)
		}
		found = append(found, fitout.Finding{
			Rule: "bump-clearance", Severity: fitout.Caution, Subject: fitout.Subject{Kind: string(axle) + "-axle"}, Title: title,
			Sentence: fmt.Sprintf("Loaded as shown the %s goes down %s against unladen, which leaves %s to the bump stop. "+
				"Matched springs or less load bring it back; airbags level it and raise no rating.",
				axle, p.Say.Length(drop), p.Say.Length(max(0, left))),
			Value: left, Limit: leastBump, Margin: left - leastBump, Unit: "mm", Source: "workshop rule",
			Fixes: springFixes(p.Say, axle, s, kg, s.Bump+s.Lift-leastBump),
		})
	}
	check(fitout.FrontAxle, now.Front-unladen.Front)
	check(fitout.RearAxle, now.Rear-unladen.Rear)
	return found
}

// standsLow notes an axle that stands lower than it should in the case that somebody named for it, with the
// springs that bring it there.
func standsLow(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	unladen := p.Load.Unladen.Axles(p.Load.Wheelbase)
	for _, axle := range []fitout.WhichAxle{fitout.FrontAxle, fitout.RearAxle} {
		own, s := AxleOf(p.Vehicle, axle), On(p.Vehicle, axle)
		if own.Wanted == nil {
			continue
		}
		loads, in := loaded(p, own.Wanted.Case)
		kg := loads.Front - unladen.Front
		if axle == fitout.RearAxle {
			kg = loads.Rear - unladen.Rear
		}
		f := fitout.Finding{
			Rule: "stands-low", Severity: fitout.Note, Subject: fitout.Subject{Kind: string(axle) + "-axle"}, Unit: "mm",
			Source: "workshop rule", Limit: own.Wanted.Down,
		}
		h := Stands(s, kg)
		if !h.Known {
			f.Title = fmt.Sprintf("Nobody knows how the %s stands", axle)
			f.Sentence = fmt.Sprintf("It should be at most %s below unladen %s, and its spring rate is not known. Enter it.",
				p.Say.Length(own.Wanted.Down), in)
			found = append(found, f)
			continue
		}
		if h.Drop <= own.Wanted.Down+unfelt {
			continue
		}
		f.Severity = fitout.Caution
		f.Value, f.Margin = h.Drop, own.Wanted.Down-h.Drop
		f.Title = fmt.Sprintf("The %s stands %s too low", axle, p.Say.Length(h.Drop-own.Wanted.Down))
		f.Sentence = fmt.Sprintf("It stands %s below unladen %s, and %s at most are wanted. ", p.Say.Length(h.Drop), in,
			p.Say.Length(own.Wanted.Down))
		f.Fixes = springFixes(p.Say, axle, s, kg, own.Wanted.Down+s.Lift)
		if len(f.Fixes) == 0 {
			f.Sentence += "Springs alone do not bring it there: less load, or a lift."
		} else {
			f.Sentence += fmt.Sprintf("Springs of %s at the wheel bring it there", p.Say.Rate(f.Fixes[0].Edit.Value))
			if len(f.Fixes) > 1 {
				f.Sentence += fmt.Sprintf(", or a second rate of %s from %s on", p.Say.Rate(f.Fixes[1].Edit.Value),
					p.Say.Length(s.From))
			}
			f.Sentence += "; they raise no rating. Stiffer springs ride harder unladen."
		}
		found = append(found, f)
	}
	return found
}

// unfelt is less than anybody measures a height to, mm.
const unfelt = 0.5

// loaded are the axle loads in a case by its id, and words for it; those of the state shown where there is no such
// case.
func loaded(p *plan.Plan, id string) (load.Axles, string) {
	for i := range p.Variant.Cases {
		c := &p.Variant.Cases[i]
		if c.ID != id {
			continue
		}
		state := p.Load.Case(c)
		axles := p.Load.MomentsIn(&state).Axles(p.Load.Wheelbase)
		if state.Coupled && p.Load.Trailer != nil {
			axles = axles.Plus(p.Load.Towing.Vehicle)
		}
		return axles, "in “" + c.Name + "”"
	}
	return p.Load.Axles(), "loaded as shown"
}
