package assess

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// curve is the way from full to empty, with what happens on it.
func (s *subject) curve() ([]CurvePoint, []CurveTurn) {
	gains, loses := map[string]bool{}, map[string]bool{}
	names, most := map[string]string{}, map[string]float64{}
	for i := range s.job.Vehicle.Tanks {
		t := &s.job.Vehicle.Tanks[i]
		names[t.ID], most[t.ID] = t.Name, t.Capacity
	}
	for i := range s.variant.Items {
		item := &s.variant.Items[i]
		names[item.ID] = item.Name
		if l := item.Presence.Level; l != nil {
			most[item.ID] = l.Max
		}
		if item.Module != nil && item.Module.Kind == fitout.WasteTank {
			gains[item.ID] = true
		} else if item.Module != nil && module.Of(item.Module.Kind).Form == fitout.FormTank && item.Module.Kind == fitout.WaterTank {
			loses[item.ID] = true
		}
	}
	var points []CurvePoint
	turns := []CurveTurn{}
	for i, step := range s.plan.UseUp(gains, loses) {
		axles := s.plan.MomentsIn(&step.State).Axles(s.plan.Wheelbase)
		if step.State.Coupled && s.plan.Trailer != nil {
			axles = axles.Plus(s.plan.Towing.Vehicle)
		}
		p := CurvePoint{Of: names[step.Of], Litres: step.Litres, Front: axles.Front, Rear: axles.Rear, Gross: axles.Gross(), Share: axles.Front / max(1, axles.Gross())}
		if i > 0 {
			from := points[i-1].Litres
			if points[i-1].Of != p.Of {
				from = most[step.Of]
			}
			turns = append(turns, s.turns(i, &points[i-1], &p, from)...)
		}
		points = append(points, p)
	}
	return points, turns
}

// turns are what happens between two points of the curve, the second of which is
// point i. On the way between them all loads are linear in the litres used, so that
// where a limit is passed is exact, unless a waste tank fills up on it.
func (s *subject) turns(i int, before, after *CurvePoint, from float64) []CurveTurn {
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
		turns = append(turns, CurveTurn{At: float64(i-1) + way, Axle: axle, Text: fmt.Sprintf("%s, with %s left in %s.", text, s.say.volume(litres), lower(after.Of))})
	}
	share := s.job.Practice.FrontShare
	light := func(p *CurvePoint) float64 { return share*p.Gross - p.Front }
	cross("front", light(before), light(after), "", fmt.Sprintf("The front becomes too light to steer, below %.0f %% of the gross", 100*share))
	if limit := s.rating(fitout.LimitRearAxle).Kg; limit > 0 {
		of := s.say.mass(limit)
		cross("rear", before.Rear-limit, after.Rear-limit, "The rear axle comes within its limit of "+of, "The rear axle passes its limit of "+of)
	}
	return turns
}
