package report

import (
	"fmt"

	"zaino/internal/core/limits"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// CurvePoint is one step of using up.
type CurvePoint struct {
	Of     string  `json:"of" doc:"name of the tank or vessel that was used last; empty for full"`
	Litres float64 `json:"litres" doc:"of it that is left"`
	Front  float64 `json:"front" doc:"kg"`
	Rear   float64 `json:"rear" doc:"kg"`
	Gross  float64 `json:"gross" doc:"kg"`
	Share  float64 `json:"share" doc:"front axle of the gross, 0 to 1"`
}

// CurveTurn is where something happens on the way from full to empty.
type CurveTurn struct {
	At   float64 `json:"at" doc:"place among the points of the curve: 2.5 is halfway from the third to the fourth"`
	Axle string  `json:"axle" enum:"front,rear"`
	Text string  `json:"text"`
}

// curve is the way from full to empty, with what happens on it.
func curve(p *plan.Plan) ([]CurvePoint, []CurveTurn) {
	gains, loses := map[string]bool{}, map[string]bool{}
	names, most := map[string]string{}, map[string]float64{}
	for i := range p.Vehicle.Tanks {
		t := &p.Vehicle.Tanks[i]
		names[t.ID], most[t.ID] = t.Name, t.Capacity
	}
	for i := range p.Variant.Items {
		item := &p.Variant.Items[i]
		names[item.ID] = item.Name
		if l := item.Presence.Level; l != nil {
			most[item.ID] = l.Max
		}
		if item.Module != nil {
			traits := module.TraitsOf(item.Module.Kind)
			gains[item.ID], loses[item.ID] = traits.Waste, traits.Water
		}
	}
	var points []CurvePoint
	turns, before := []CurveTurn{}, ""
	for i, step := range p.Load.UseUp(gains, loses) {
		axles := limits.In(p, &step.State).Axles
		now := CurvePoint{
			Of: names[step.Of], Litres: step.Litres, Front: axles.Front, Rear: axles.Rear, Gross: axles.Gross(),
			Share: axles.Front / max(1, axles.Gross()),
		}
		if i > 0 {
			from := points[i-1].Litres
			if before != step.Of { // by its id: two vessels may have one name
				from = most[step.Of]
			}
			turns = append(turns, turnsOf(p, i, &points[i-1], &now, from)...)
		}
		points, before = append(points, now), step.Of
	}
	return points, turns
}

// turnsOf are what happens between two points of the curve, the second of which is
// point i. On the way between them all loads are linear in the litres used, so that
// where a limit is passed is exact, unless a waste tank fills up on it.
func turnsOf(p *plan.Plan, i int, before, after *CurvePoint, from float64) []CurveTurn {
	var turns []CurveTurn
	cross := func(axle string, was, is float64, falls, rises string) {
		if was == is || (was > 0) == (is > 0) {
			return
		}
		way := was / (was - is)
		text := falls
		if is > 0 {
			text = rises
		}
		if text == "" {
			return
		}
		litres := from + way*(after.Litres-from)
		turns = append(turns, CurveTurn{At: float64(i-1) + way, Axle: axle, Text: fmt.Sprintf("%s, with %s left in %s.", text,
			p.Say.Volume(litres), words.Lower(after.Of))})
	}
	share := p.Job.Practice.FrontShare
	light := func(c *CurvePoint) float64 { return share*c.Gross - c.Front }
	cross("front", light(before), light(after), "",
		fmt.Sprintf("The front becomes too light to steer, below %.0f %% of the gross", 100*share))
	if limit := limits.Of(p).Get("rear").Facts().Bound.Figure(); limit > 0 {
		of := p.Say.Mass(limit)
		cross("rear", before.Rear-limit, after.Rear-limit, "The rear axle comes within its limit of "+of,
			"The rear axle passes its limit of "+of)
	}
	return turns
}
