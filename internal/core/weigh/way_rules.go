package weigh

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// wayOfWeighing notes what the way of weighing leaves open: brakes on, weighed once, an engine running; a figure
// that still moved it cautions of.
var wayOfWeighing = each(func(_ *plan.Plan, w *fitout.WeighIn) *fitout.Finding {
	var open []string
	if w.Moving {
		open = append(open, "a reading was taken while it moved")
	}
	if !w.BrakesOff {
		open = append(open, "nobody says that the brakes were off")
	}
	if !w.Twice {
		open = append(open, "it was not weighed twice")
	}
	if len(open) == 0 || len(open) == 1 && !w.Moving {
		return nil
	}
	severity := fitout.Note
	if w.Moving {
		severity = fitout.Caution
	}
	return &fitout.Finding{Rule: "weigh-way", Severity: severity, Title: "Weighed in haste",
		Sentence: fmt.Sprintf(
			"Of the weighing %s: %s. Brakes that hold push one axle up and the other down; drive off, on again, and "+
				"read twice.",
			called(w),
			words.List(open),
		), Unit: "", Source: "practice"}
})

// padsApart cautions of pads that stand at two heights: the load moves to the lower axle.
var padsApart = each(func(p *plan.Plan, w *fitout.WeighIn) *fitout.Finding {
	apart := w.PadFront - w.PadRear
	if math.Abs(apart) < 5 {
		return nil
	}
	kg := math.Abs(p.Load.Leans(w) * math.Atan(apart/p.Load.Wheelbase) * 180 / math.Pi)
	return &fitout.Finding{Rule: "weigh-pads", Severity: fitout.Caution, Title: "Wheels stood at two heights",
		Sentence: fmt.Sprintf(
			"At the weighing %s the front stood %s and the rear %s high, which moves %s from one axle to the other "+
				"(M z h / L²). It is reckoned with; boards under the other wheels are surer.",
			called(w),
			p.Say.Length(w.PadFront),
			p.Say.Length(w.PadRear),
			p.Say.Mass(math.Round(10*kg)/10),
		),
		Value: math.Abs(apart), Limit: 5, Margin: 5 - math.Abs(apart), Unit: "mm", Source: "physics"}
})

// sloped notes a weighing of which nobody says that the ground was level, with what a degree moves.
var sloped = each(func(p *plan.Plan, w *fitout.WeighIn) *fitout.Finding {
	if w.Level || w.Reading == fitout.ReadTotal {
		return nil
	}
	kg := 2 * p.Load.Leans(w)
	return &fitout.Finding{Rule: "weigh-slope", Severity: fitout.Note, Title: "Nobody looked whether it stood level",
		Sentence: fmt.Sprintf(
			"Of the weighing %s nobody says that the vehicle stood level. A slope of 2° moves %s from one axle to the "+
				"other; it is doubted by that much.",
			called(w),
			p.Say.Mass(math.Round(kg)),
		), Value: kg, Unit: "kg", Source: "physics"}
})

// ticketMissing cautions of a public weighbridge whose ticket is not among the papers.
var ticketMissing = each(func(p *plan.Plan, w *fitout.WeighIn) *fitout.Finding {
	if !w.Public {
		return nil
	}
	for i := range p.Job.Handover.Papers {
		if paper := &p.Job.Handover.Papers[i]; paper.ID == w.Paper && paper.Kind == fitout.PaperWeighbridge {
			return nil
		}
	}
	return &fitout.Finding{Rule: "weigh-ticket", Severity: fitout.Caution, Title: "Ticket of the weighbridge missing",
		Sentence: fmt.Sprintf(
			"The weighing %s is said to be a public weighbridge's, and its ticket is not among the papers. Without it "+
				"the certificate says that it is no legal weighing.",
			called(w),
		), Source: "practice"}
})

// nothingAboard cautions of a weighing of which nobody wrote down what was aboard: it says nothing about the plan.
var nothingAboard = each(func(_ *plan.Plan, w *fitout.WeighIn) *fitout.Finding {
	if len(w.Aboard) > 0 {
		return nil
	}
	return &fitout.Finding{Rule: "weigh-aboard", Severity: fitout.Caution, Title: "Nobody wrote down what was aboard",
		Sentence: fmt.Sprintf(
			"The weighing %s does not say what was in the tanks and who sat in it. It says what it read, and nothing "+
				"about the plan.",
			called(w),
		), Source: "practice"}
})

// partsOff is by how many standard uncertainties a part may be off before it is asked why.
const partsOff = 3

// partOff cautions of a part that weighs otherwise than planned by more than its uncertainty explains, until
// somebody says why.
func partOff(p *plan.Plan) []fitout.Finding {
	u := &p.Job.Practice.Uncertainty
	var found []fitout.Finding
	for i := range p.Items {
		item := &p.Items[i]
		was := item.Planned
		if was == nil || item.Source != fitout.ByScale || was.Why != "" {
			continue
		}
		sigma := max(load.MassSigma(was.Source, was.Kg, u), load.MassSigma(fitout.ByScale, item.Mass, u))
		off := item.Mass - was.Kg
		if math.Abs(off) <= partsOff*sigma {
			continue
		}
		found = append(found, fitout.Finding{Rule: "part-off", Severity: fitout.Caution,
			Subject: fitout.Subject{Kind: "item", ID: item.ID}, Title: item.Name + " weighs otherwise than planned",
			Sentence: fmt.Sprintf(
				"%s weighs %s, planned were %s ± %s: %s times as far off as could be expected. Say why: another "+
					"thickness, something left in it, the wrong part.",
				item.Name,
				p.Say.Mass(item.Mass),
				p.Say.Mass(was.Kg),
				p.Say.Mass(math.Round(10*sigma)/10),
				p.Say.Plain(math.Round(10*math.Abs(off)/sigma)/10),
			),
			Value: math.Abs(
				off,
			), Limit: partsOff * sigma, Margin: partsOff*sigma - math.Abs(off), Unit: "kg", Source: "practice"})
	}
	return found
}

// partMoving cautions of a part that was weighed while the scale moved.
func partMoving(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Items {
		if item := &p.Items[i]; item.Source == fitout.ByScale && item.Planned != nil && item.Planned.Moving {
			found = append(found, fitout.Finding{Rule: "part-moving", Severity: fitout.Caution,
				Subject: fitout.Subject{
					Kind: "item",
					ID:   item.ID,
				}, Title: item.Name + " was weighed while the scale moved",
				Sentence: fmt.Sprintf(
					"The %s of %s were read before the scale was steady. Weigh it again.",
					p.Say.Mass(item.Mass),
					words.Lower(item.Name),
				), Value: item.Mass, Unit: "kg", Source: "practice"})
		}
	}
	return found
}
