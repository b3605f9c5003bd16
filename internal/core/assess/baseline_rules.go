package assess

import (
	"fmt"

	"zaino/internal/core/fitout"
)

// baselineOverLimit stops a plan whose vehicle is over a limit before anything
// is put in it: the limit or the baseline was most likely read wrongly.
func baselineOverLimit(s *subject) []fitout.Finding {
	unladen := s.plan.Unladen.Axles(s.plan.Wheelbase)
	values := map[string]float64{"front": unladen.Front, "rear": unladen.Rear, "gross": unladen.Gross()}
	var found []fitout.Finding
	for i := range s.limits {
		l := &s.limits[i]
		value, known := values[l.id]
		if !known || !l.stated() || value <= l.limit.Kg {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "baseline-over", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "baseline"},
			Title: fmt.Sprintf("%s over before the build", l.title),
			Sentence: fmt.Sprintf("The empty vehicle alone puts %s where %s (%s) are allowed. Check the baseline and the limit.",
				s.say.mass(value), s.say.mass(l.limit.Kg), l.name),
			Value: value, Limit: l.limit.Kg, Margin: l.limit.Kg - value, Unit: "kg", Source: source(l.limit.Source),
		})
	}
	return found
}

// baselineAssumed cautions about a baseline without axle readings, and notes
// one that was not weighed.
func baselineAssumed(s *subject) []fitout.Finding {
	b := s.job.Vehicle.Baseline
	f := fitout.Finding{Subject: fitout.Subject{Kind: "baseline"}, Source: "practice", Unit: "kg"}
	split, total := b.Split == fitout.SplitAssumed, b.Total
	if b.Definition == fitout.AsWeighed {
		split, total = !s.weighing.Split, s.weighing.Axles.Gross()
	}
	switch {
	case split && total > 0:
		f.Rule, f.Severity, f.Title, f.Value = "baseline-split-assumed", fitout.Caution, "Axle split is an estimate", total
		f.Sentence = fmt.Sprintf("The %s of the empty vehicle are split %.0f : %.0f by assumption. Weigh it axle by axle before anything is cut: every axle figure here leans on it.",
			s.say.mass(total), 100*b.FrontShare, 100*(1-b.FrontShare))
	case b.Definition != fitout.AsWeighed:
		f.Rule, f.Severity, f.Title, f.Value = "baseline-not-weighed", fitout.Note, "Empty vehicle not weighed", b.Front+b.Rear
		f.Sentence = "The empty mass comes from papers, not from a scale. Accessories and options are seldom in such a figure; a weighbridge ticket is worth its fee."
	default:
		return nil
	}
	return []fitout.Finding{f}
}

// driverSeatMissing cautions when a baseline contains a driver whom the
// vehicle has no seat for.
func driverSeatMissing(s *subject) []fitout.Finding {
	if !s.plan.NoDriverSeat {
		return nil
	}
	return []fitout.Finding{{
		Rule: "driver-seat-missing", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "baseline"},
		Title:    "Driver of the baseline has no seat",
		Sentence: fmt.Sprintf("The baseline contains a driver of %s who could not be taken off it, because no seat is marked as the driver's.", s.say.mass(75)),
		Value:    75, Unit: "kg", Source: "physics",
	}}
}

// extensionUncertified cautions about a wheelbase extension on trust.
func extensionUncertified(s *subject) []fitout.Finding {
	e := s.job.Vehicle.Extension
	if e == nil || e.Certificated || e.By == 0 {
		return nil
	}
	return []fitout.Finding{{
		Rule: "extension-uncertified", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "vehicle"},
		Title:    "Wheelbase extension without certificate",
		Sentence: fmt.Sprintf("The figures count with a wheelbase of %s. A structural change belongs to certified people under local rules; ratings may change with it.", s.say.length(s.plan.Wheelbase)),
		Value:    e.By, Unit: "mm", Source: "practice",
	}}
}

// stationUnset notes things that still stand where a new thing is put: exactly
// on the front axle, the centre line and the ground.
func stationUnset(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.variant.Items {
		item := &s.variant.Items[i]
		if item.Seat == "" && item.At == (fitout.Point{}) && s.plan.Items[i].Mass.Kg > 0 {
			found = append(found, fitout.Finding{
				Rule: "station-unset", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "item", ID: item.ID},
				Title:    item.Name + " has no station",
				Sentence: fmt.Sprintf("%s counts as if it lay on the ground at the front axle. Give it its station and height.", item.Name),
				Value:    s.plan.Items[i].Mass.Kg, Unit: "kg", Source: "physics",
			})
		}
	}
	return found
}
