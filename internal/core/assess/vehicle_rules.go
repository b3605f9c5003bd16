package assess

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/rating"
	"zaino/internal/core/ride"
)

// ticketMissing cautions about a baseline as weighed that nobody weighed.
func ticketMissing(s *subject) []fitout.Finding {
	if s.job.Vehicle.Baseline.Definition != fitout.AsWeighed || len(s.weighing.Tickets) > 0 {
		return nil
	}
	return []fitout.Finding{{
		Rule: "ticket-missing", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "baseline"},
		Title:    "As weighed, but no ticket counts",
		Sentence: "The empty vehicle is to be as weighed, and no weighing ticket with figures counts. Until one does, the vehicle weighs nothing here and no load can be believed.",
		Unit:     "kg", Source: "physics",
	}}
}

// slopeDegrees is the slope by which a scale that was not level is judged.
const slopeDegrees = 2

// scaleNotLevel cautions about a ticket from a sloping scale, with what that
// slope moves: M z tan θ / L.
func scaleNotLevel(s *subject) []fitout.Finding {
	b := s.job.Vehicle.Baseline
	var found []fitout.Finding
	for _, reading := range s.weighing.Tickets {
		t := &b.Tickets[reading.Index]
		front, rear, apart := t.AxleReadings()
		if t.Level || !apart {
			continue
		}
		shifted := (front + rear) * b.CGHeight * math.Tan(slopeDegrees*math.Pi/180) / s.job.Vehicle.Wheelbase
		found = append(found, fitout.Finding{
			Rule: "scale-not-level", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "ticket", ID: t.ID},
			Title:    "Weighed on a slope",
			Sentence: fmt.Sprintf("The ticket %s does not say that the vehicle stood level. A slope of %d° moves about %s from one axle to the other.", s.ticketName(reading.Index), slopeDegrees, s.say.mass(shifted)),
			Value:    shifted, Unit: "kg", Source: "physics",
		})
	}
	return found
}

// ticketsContradict points out readings that cannot both be right.
func ticketsContradict(s *subject) []fitout.Finding {
	figures := map[string]string{"front": "the front axle", "rear": "the rear axle", "gross": "the whole"}
	var found []fitout.Finding
	for _, d := range s.weighing.Doubts {
		against := "all the others together say"
		switch {
		case d.Against == d.Ticket:
			against = "its own total says"
		case d.Against >= 0:
			against = s.ticketName(d.Against) + " says"
		}
		found = append(found, fitout.Finding{
			Rule: "tickets-contradict", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "ticket", ID: s.job.Vehicle.Baseline.Tickets[d.Ticket].ID},
			Title: "Weighing tickets contradict each other",
			Sentence: fmt.Sprintf("With fuel, people and parts taken off, ticket %s gives %s for %s of the dry vehicle, where %s %s. The scales explain up to %s. Check what was aboard, weigh again, or let one ticket not count.",
				s.ticketName(d.Ticket), s.say.mass(d.Given), figures[d.Figure], against, s.say.mass(d.Other), s.say.mass(d.Allowed)),
			Value: d.Given, Limit: d.Other, Margin: d.Allowed - math.Abs(d.Given-d.Other), Unit: "kg", Source: "physics",
		})
	}
	return found
}

// upgradeUncertified cautions about limits that are counted on before there is
// a certificate, and notes those certified after the first registration.
func upgradeUncertified(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.job.Vehicle.Modifications {
		m := &s.job.Vehicle.Modifications[i]
		if !m.Counted || m.Kind != fitout.GrossUpgrade && m.Kind != fitout.AxleRating {
			continue
		}
		f := fitout.Finding{Subject: fitout.Subject{Kind: "modification", ID: m.ID}, Source: "papers", Unit: "kg"}
		switch m.Certificate {
		case fitout.Planned, fitout.NotNeeded:
			f.Rule, f.Severity, f.Title = "upgrade-uncertified", fitout.Caution, m.Name+" is not certified yet"
			f.Sentence = fmt.Sprintf("The plan counts on %s. Until certified people have approved it under local rules, the plate's limits hold; axle ratings do not always rise with it.", lower(m.Name))
		case fitout.AfterFirst:
			f.Rule, f.Severity, f.Title = "upgrade-after-first", fitout.Note, m.Name+" was certified after first registration"
			f.Sentence = "In many places it matters whether an upgrade was certified before or after the first registration, and it may not hold where the vehicle is registered next. Ask before counting on it elsewhere."
		default:
			continue
		}
		found = append(found, f)
	}
	return found
}

// raisesNothing says so where a limit was written to springs or airbags.
func raisesNothing(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.job.Vehicle.Modifications {
		m := &s.job.Vehicle.Modifications[i]
		if !m.Counted || m.Kind != fitout.Airbags && m.Kind != fitout.Springs {
			continue
		}
		for _, moved := range m.Limits {
			if moved.Kg == 0 {
				continue
			}
			found = append(found, fitout.Finding{
				Rule: "raises-no-rating", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "modification", ID: m.ID},
				Title: m.Name + " raises no rating",
				Sentence: fmt.Sprintf("%s levels the vehicle and may carry it better, but raises no limit: the %s written to it does not count. Only a certified upgrade moves a limit.",
					m.Name, s.say.mass(moved.Kg)),
				Value: moved.Kg, Unit: "kg", Source: "practice",
			})
		}
	}
	return found
}

// tyreUnknown cautions about a load index that the table does not have.
func tyreUnknown(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for _, axle := range []fitout.WhichAxle{fitout.FrontAxle, fitout.RearAxle} {
		tyre, _ := rating.TyreOn(&s.job.Vehicle, axle)
		index := tyre.Index
		if tyre.Dual && tyre.DualIndex != 0 {
			index = tyre.DualIndex
		}
		if _, ok := rating.AxleKg(tyre); ok || index == 0 {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "tyre-index-unknown", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "limit", ID: string(axle) + "-tyre"},
			Title: fmt.Sprintf("Load index %d is not in the table", index),
			Sentence: fmt.Sprintf("The %s axle's %ss are entered with load index %d; the table goes from %d to %d. Read the side wall again: the index is the number before the speed letter. Until then nothing is known of what the %ss carry.",
				axle, s.say.term(fitout.TermTyre), index, rating.FirstIndex, rating.LastIndex, s.say.term(fitout.TermTyre)),
			Value: float64(index), Limit: rating.LastIndex, Source: "data sheet",
		})
	}
	return found
}

// leastBump is the way to the bump stop below which a loaded axle is called
// close to it, mm. Workshop practice.
const leastBump = 25

// springFixes are springs that leave the way to the stop: the drop is ΔF g / 2k, so
// the rate has to grow as the drop has to shrink.
func springFixes(axle string, h ride.Height) []fitout.Fix {
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
func bumpClearance(s *subject) []fitout.Finding {
	var found []fitout.Finding
	check := func(axle string, h ride.Height) {
		left, drop := h.Bump, h.Drop
		if !h.BumpKnown || left >= leastBump {
			return
		}
		title := fmt.Sprintf("%s to the bump stop at the %s", s.say.length(left), axle)
		if left <= 0 {
			title = fmt.Sprintf("The %s stands on its bump stops", axle)
		}
		found = append(found, fitout.Finding{
			Rule: "bump-clearance", Severity: fitout.Caution, Subject: fitout.Subject{Kind: axle + "-axle"}, Title: title,
			Sentence: fmt.Sprintf("Loaded as shown the %s goes down %s against unladen, which leaves %s to the bump stop. Matched springs or less load bring it back; airbags level it and raise no rating.",
				axle, s.say.length(drop), s.say.length(max(0, left))),
			Value: left, Limit: leastBump, Margin: left - leastBump, Unit: "mm", Source: "workshop rule",
			Fixes: springFixes(axle, h),
		})
	}
	check("front", s.ride.Front)
	check("rear", s.ride.Rear)
	return found
}
