package baseline

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
)

// overBefore stops a plan whose vehicle is over a limit before anything is put in
// it: the limit or the baseline was most likely read wrongly.
func overBefore(p *plan.Plan) []fitout.Finding {
	unladen := p.Load.Unladen.Axles(p.Load.Wheelbase)
	values := map[string]float64{"front": unladen.Front, "rear": unladen.Rear, "gross": unladen.Gross()}
	var found []fitout.Finding
	for _, pad := range limits.Of(p).Pads {
		f := pad.Facts()
		value, known := values[f.ID]
		if !known || !f.Stated() || f.Bound.Holds(value) {
			continue
		}
		most := f.Bound.Figure()
		found = append(found, fitout.Finding{
			Rule: "baseline-over", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "baseline", Measure: f.ID},
			Title: fmt.Sprintf("%s over before the build", f.Title),
			Sentence: fmt.Sprintf("The empty vehicle alone puts %s where %s (%s) are allowed. Check the baseline and the limit.",
				p.Say.Mass(value), p.Say.Mass(most), f.Term),
			Value: value, Limit: most, Margin: most - value, Unit: "kg", Source: f.Source,
		})
	}
	return found
}

// assumed cautions about a baseline without axle readings, and notes
// one that was not weighed.
func assumed(p *plan.Plan) []fitout.Finding {
	b := p.Given.Vehicle.Baseline
	f := fitout.Finding{Subject: fitout.Subject{Kind: "baseline"}, Source: "practice", Unit: "kg"}
	split, total := b.Split == fitout.SplitAssumed, b.Total
	if b.Definition == fitout.AsWeighed {
		split, total = !p.Load.Weighing.Split, p.Load.Weighing.Axles.Gross()
	}
	switch {
	case split && total > 0:
		f.Rule, f.Severity, f.Title, f.Value = "baseline-split-assumed", fitout.Caution, "Axle split is an estimate", total
		f.Sentence = fmt.Sprintf("The %s of the empty vehicle are split %.0f : %.0f by assumption. Weigh it axle by axle "+
			"before anything is cut: every axle figure here leans on it.",
			p.Say.Mass(total), 100*b.FrontShare, 100*(1-b.FrontShare))
	case b.Definition != fitout.AsWeighed:
		f.Rule, f.Severity, f.Title, f.Value = "baseline-not-weighed", fitout.Note, "Empty vehicle not weighed",
			b.Front+b.Rear
		f.Sentence = "The empty mass comes from papers, not from a scale. Accessories and options are seldom in such a " +
			"figure; a weighbridge ticket is worth its fee."
	default:
		return nil
	}
	return []fitout.Finding{f}
}

// driverSeatMissing cautions when a baseline contains a driver whom the
// vehicle has no seat for.
func driverSeatMissing(p *plan.Plan) []fitout.Finding {
	if !p.Load.NoDriverSeat {
		return nil
	}
	return []fitout.Finding{{
		Rule: "driver-seat-missing", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "baseline"},
		Title: "Driver of the baseline has no seat",
		Sentence: fmt.Sprintf("The baseline contains a driver of %s who could not be taken off it, because no seat is "+
			"marked as the driver's.", p.Say.Mass(75)),
		Value: 75, Unit: "kg", Source: "physics",
	}}
}

// ticketMissing cautions about a baseline as weighed that nobody weighed.
func ticketMissing(p *plan.Plan) []fitout.Finding {
	if p.Given.Vehicle.Baseline.Definition != fitout.AsWeighed || len(p.Load.Weighing.Tickets) > 0 {
		return nil
	}
	return []fitout.Finding{{
		Rule: "ticket-missing", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "baseline"},
		Title: "As weighed, but no ticket counts",
		Sentence: "The empty vehicle is to be as weighed, and no weighing ticket with figures counts. Until one does, the " +
			"vehicle weighs nothing here and no load can be believed.",
		Unit: "kg", Source: "physics",
	}}
}

// slopeDegrees is the slope by which a scale that was not level is judged.
const slopeDegrees = 2

// scaleNotLevel cautions about a ticket from a sloping scale, with what that
// slope moves: M z tan θ / L.
func scaleNotLevel(p *plan.Plan) []fitout.Finding {
	b := p.Given.Vehicle.Baseline
	var found []fitout.Finding
	for _, reading := range p.Load.Weighing.Tickets {
		t := &b.Tickets[reading.Index]
		front, rear, apart := t.AxleReadings()
		if t.Level || !apart {
			continue
		}
		shifted := (front + rear) * b.CGHeight * math.Tan(slopeDegrees*math.Pi/180) / p.Given.Vehicle.Wheelbase
		found = append(found, fitout.Finding{
			Rule: "scale-not-level", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "ticket", ID: t.ID},
			Title: "Weighed on a slope",
			Sentence: fmt.Sprintf("The ticket %s does not say that the vehicle stood level. A slope of %d° moves about %s "+
				"from one axle to the other.", ticketName(p, reading.Index), slopeDegrees, p.Say.Mass(shifted)),
			Value: shifted, Unit: "kg", Source: "physics",
		})
	}
	return found
}

// ticketsContradict points out readings that cannot both be right.
func ticketsContradict(p *plan.Plan) []fitout.Finding {
	figures := map[string]string{"front": "the front axle", "rear": "the rear axle", "gross": "the whole"}
	var found []fitout.Finding
	for _, d := range p.Load.Weighing.Doubts {
		against := "all the others together say"
		switch {
		case d.Against == d.Ticket:
			against = "its own total says"
		case d.Against >= 0:
			against = ticketName(p, d.Against) + " says"
		}
		found = append(found, fitout.Finding{
			Rule: "tickets-contradict", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "ticket",
				ID: p.Given.Vehicle.Baseline.Tickets[d.Ticket].ID},
			Title: "Weighing tickets contradict each other",
			Sentence: fmt.Sprintf("With fuel, people and parts taken off, ticket %s gives %s for %s of the dry vehicle, where "+
				"%s %s. The scales explain up to %s. Check what was aboard, weigh again, or let one ticket not count.",
				ticketName(p, d.Ticket), p.Say.Mass(d.Given), figures[d.Figure], against, p.Say.Mass(d.Other),
				p.Say.Mass(d.Allowed)),
			Value: d.Given, Limit: d.Other, Margin: d.Allowed - math.Abs(d.Given-d.Other), Unit: "kg", Source: "physics",
		})
	}
	return found
}
