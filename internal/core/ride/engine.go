package ride

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
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
	return plan.Engine[Figures]{Figures: figures, Rules: []plan.Rule{bumpClearance}}
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

// springFixes are springs that leave the way to the stop: the drop is ΔF g / 2k, so
// the rate has to grow as the drop has to shrink.
func springFixes(axle string, h Height) []fitout.Fix {
	wanted := h.Drop - (leastBump - h.Bump)
	if wanted <= 0 {
		return nil // it stands too near to the stop unladen: springs are not the matter
	}
	rate := math.Ceil(h.Rate * h.Drop / wanted)
	return []fitout.Fix{{
		Label: fmt.Sprintf("Fit springs of %.0f N/mm at the %s; they raise no rating", rate, axle),
		Edit:  fitout.FixEdit{Kind: "springs", ID: axle, Value: rate},
	}}
}

// bumpClearance cautions when the loaded vehicle stands near its bump stops.
func bumpClearance(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	check := func(axle string, h Height) {
		left, drop := h.Bump, h.Drop
		if !h.BumpKnown || left >= leastBump {
			return
		}
		title := fmt.Sprintf("%s to the bump stop at the %s", p.Say.Length(left), axle)
		if left <= 0 {
			title = fmt.Sprintf("The %s stands on its bump stops", axle)
		}
		found = append(found, fitout.Finding{
			Rule: "bump-clearance", Severity: fitout.Caution, Subject: fitout.Subject{Kind: axle + "-axle"}, Title: title,
			Sentence: fmt.Sprintf("Loaded as shown the %s goes down %s against unladen, which leaves %s to the bump stop. "+
				"Matched springs or less load bring it back; airbags level it and raise no rating.",
				axle, p.Say.Length(drop), p.Say.Length(max(0, left))),
			Value: left, Limit: leastBump, Margin: left - leastBump, Unit: "mm", Source: "workshop rule",
			Fixes: springFixes(axle, h),
		})
	}
	stands := figures(p)
	check("front", stands.Front)
	check("rear", stands.Rear)
	return found
}
