package assess

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
)

// frontLight cautions when the front axle carries too small a share to steer
// and brake well.
func frontLight(s *subject) []fitout.Finding {
	axles, leastFrontShare := s.plan.Axles(), s.job.Practice.FrontShare
	if axles.Gross() <= 0 || axles.Front >= leastFrontShare*axles.Gross() {
		return nil
	}
	share := 100 * axles.Front / axles.Gross()
	return []fitout.Finding{{
		Rule: "front-light", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "front-axle"}, Mend: targetFrontShare,
		Title: fmt.Sprintf("Front axle carries only %.0f %%", share),
		Sentence: fmt.Sprintf("%s of %s rest on the front axle. Below %.0f %% steering and braking suffer; %s more on the front would reach it.",
			s.say.mass(axles.Front), s.say.mass(axles.Gross()), 100*leastFrontShare, s.say.mass(leastFrontShare*axles.Gross()-axles.Front)),
		Value: share, Limit: 100 * leastFrontShare, Margin: share - 100*leastFrontShare, Unit: "%", Source: "workshop rule",
	}}
}

// sidesUneven cautions when one side carries noticeably more than the other.
func sidesUneven(s *subject) []fitout.Finding {
	corners := s.now.Corners(s.plan.Wheelbase, s.plan.TrackFront, s.plan.TrackRear)
	difference := corners.Left() - corners.Right()
	mostSideShare := s.job.Practice.SideShare
	allowed := mostSideShare * s.now.Kg
	if s.now.Kg <= 0 || math.Abs(difference) <= allowed {
		return nil
	}
	side := "right"
	if difference > 0 {
		side = "left"
	}
	return []fitout.Finding{{
		Rule: "sides-uneven", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "vehicle"}, Mend: targetSides,
		Title: fmt.Sprintf("%s side %s heavier", capital(side), s.say.mass(math.Abs(difference))),
		Sentence: fmt.Sprintf("Left wheels carry %s, right wheels %s (estimate). More than %.0f %% of the gross leans the vehicle and shows in its handling.",
			s.say.mass(corners.Left()), s.say.mass(corners.Right()), 100*mostSideShare),
		Value: math.Abs(difference), Limit: allowed, Margin: allowed - math.Abs(difference), Unit: "kg", Source: "workshop rule",
	}}
}

// tipLost cautions when the load takes more of the side tip angle than the
// workshop's rule lets it.
func tipLost(s *subject) []fitout.Finding {
	lost, most := stability(s), s.job.Practice.TipLoss
	if most == 0 || lost.Loss <= most {
		return nil
	}
	known := "known"
	if !lost.HeightKnown {
		known = "assumed"
	}
	return []fitout.Finding{{
		Rule: "tip-lost", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "vehicle"}, Mend: targetTip,
		Title: fmt.Sprintf("The load takes %.1f° of the side tip angle", lost.Loss),
		Sentence: fmt.Sprintf("Loaded as shown the side tip angle is %.1f° instead of %.1f°, upper bounds of a rigid body, with the unladen height %s. Put heavy things lower, or leave high ones behind.",
			lost.Tip, lost.UnladenTip, known),
		Value: lost.Loss, Limit: most, Margin: most - lost.Loss, Unit: "°", Source: "workshop rule",
	}}
}

// seatShared stops a plan that puts two into one seat.
func seatShared(s *subject) []fitout.Finding {
	inSeat := map[string][]string{}
	for i := range s.variant.Items {
		if item := &s.variant.Items[i]; item.Seat != "" && s.plan.Items[i].Present && isTraveller(item) {
			inSeat[item.Seat] = append(inSeat[item.Seat], item.Name)
		}
	}
	var found []fitout.Finding
	for _, seat := range s.job.Vehicle.Seats {
		if names := inSeat[seat.ID]; len(names) > 1 {
			found = append(found, fitout.Finding{
				Rule: "seat-shared", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "seat", ID: seat.ID},
				Title:    fmt.Sprintf("%d in one seat", len(names)),
				Sentence: fmt.Sprintf("%s are in the seat %q at once. Each needs a seat with a belt.", list(names), seat.Name),
				Value:    float64(len(names)), Limit: 1, Margin: float64(1 - len(names)), Source: "physics",
			})
		}
	}
	return found
}

func isTraveller(item *fitout.Item) bool {
	return item.Form == fitout.FormPerson || item.Form == fitout.FormAnimal
}
