package assess

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/rating"
)

// overLimit stops a build that is over one of its limits in the state shown,
// and says when it comes close.
func overLimit(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.limits {
		l := &s.limits[i]
		f := fitout.Finding{
			Subject: l.subject(), Value: l.load, Limit: l.limit.Kg, Margin: -l.over(), Unit: "kg", Source: source(l.limit.Source), Mend: l.id,
		}
		switch l.state() {
		case "over":
			f.Rule, f.Severity = l.id+"-over", fitout.Stop
			f.Title = fmt.Sprintf("%s %s over", l.title, s.say.mass(l.over()))
			f.Sentence = fmt.Sprintf("%s carries %s; its limit (%s) is %s. Move load, make it lighter, leave something behind or change the vehicle.",
				l.title, s.say.mass(l.load), l.told(), s.say.mass(l.limit.Kg))
			f.Fixes = fixes(s, l)
		case "close":
			f.Rule, f.Severity = l.id+"-close", fitout.Caution
			f.Title = fmt.Sprintf("%s has %s left", l.title, s.say.mass(-l.over()))
			f.Sentence = fmt.Sprintf("%s carries %s of %s (%s). Less than %.0f %% is left, about what unweighed odds and ends add to a build.",
				l.title, s.say.mass(l.load), s.say.mass(l.limit.Kg), l.told(), 100*l.close)
			f.Source = "workshop rule"
		default:
			continue
		}
		found = append(found, f)
	}
	return found
}

// worstOverLimit cautions when the state shown is within a limit that the same
// job can exceed in another state.
func worstOverLimit(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.limits {
		l := &s.limits[i]
		if !l.stated() || l.over() > 0 || l.worst.Value <= l.limit.Kg {
			continue
		}
		over := l.worst.Value - l.limit.Kg
		found = append(found, fitout.Finding{
			Rule: l.id + "-worst-over", Severity: fitout.Caution, Subject: l.subject(), At: "worst:" + l.id,
			Title: fmt.Sprintf("%s can go %s over", l.title, s.say.mass(over)),
			Sentence: fmt.Sprintf("%s is within its limit now, but carries %s of %s (%s) %s.",
				l.title, s.say.mass(l.worst.Value), s.say.mass(l.limit.Kg), l.told(), s.say.state(s.variant, l.worst)),
			Value: l.worst.Value, Limit: l.limit.Kg, Margin: -over, Unit: "kg", Source: source(l.limit.Source),
		})
	}
	return append(found, placardWorst(s)...)
}

// placardWorst cautions when people and cargo can exceed the placard in a state
// that is not shown. It counts what the gross counts but the vehicle and its fuel,
// so it is worst where the gross is.
func placardWorst(s *subject) []fitout.Finding {
	placard, shown := s.rating(fitout.LimitPlacard), s.plan.Shown()
	worst := s.plan.Worst(s.plan.GrossForm())
	carried := s.peopleAndCargoIn(&worst)
	if placard.Kg == 0 || carried <= placard.Kg || s.peopleAndCargoIn(&shown) > placard.Kg {
		return nil
	}
	term := s.say.term(fitout.TermPlacard)
	return []fitout.Finding{{
		Rule: "placard-worst-over", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "limit", ID: "placard"}, At: "worst:gross",
		Title:    fmt.Sprintf("%s can go %s over", capital(term), s.say.mass(carried-placard.Kg)),
		Sentence: fmt.Sprintf("People, fitout and cargo are within the %s now, but come to %s of %s %s.", term, s.say.mass(carried), s.say.mass(placard.Kg), s.say.state(s.variant, worst)),
		Value:    carried, Limit: placard.Kg, Margin: placard.Kg - carried, Unit: "kg", Source: source(placard.Source),
	}}
}

// limitMissing says which of the limits on the pads nobody has stated yet.
func limitMissing(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.limits {
		if l := &s.limits[i]; !l.known.Stated {
			found = append(found, fitout.Finding{
				Rule: "limit-missing", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "limit", ID: string(l.known.Limit)},
				Title:    fmt.Sprintf("No %s stated", l.name),
				Sentence: fmt.Sprintf("The plan cannot say whether %s is legal until its limit is read off the plate or papers and entered under Vehicle.", lower(l.title)),
				Value:    l.load, Unit: "kg", Source: "plate",
			})
		}
	}
	return found
}

// limitEstimated cautions when limits on the pads are somebody's guess.
func limitEstimated(s *subject) []fitout.Finding {
	var names []string
	for i := range s.limits {
		if l := &s.limits[i]; l.stated() && l.limit.Source == fitout.FromEstimate {
			names = append(names, l.name)
		}
	}
	if len(names) == 0 {
		return nil
	}
	return []fitout.Finding{{
		Rule: "limit-estimated", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "limit"},
		Title:    "Limits are estimates",
		Sentence: fmt.Sprintf("The figures for %s were not read off the plate or papers. Replace them under Vehicle before anybody relies on what is left.", list(names)),
		Source:   "practice",
	}}
}

// ratingsShort notes axle ratings that together do not reach the gross limit.
func ratingsShort(s *subject) []fitout.Finding {
	front, rear, gross := s.rating(fitout.LimitFrontAxle), s.rating(fitout.LimitRearAxle), s.rating(fitout.LimitGross)
	sum := front.Kg + rear.Kg
	if front.Kg == 0 || rear.Kg == 0 || gross.Kg <= sum {
		return nil
	}
	return []fitout.Finding{{
		Rule: "ratings-short", Severity: fitout.Note, Subject: fitout.Subject{Kind: "limit", ID: "gross"},
		Title: "Axle limits bind before the gross",
		Sentence: fmt.Sprintf("The axle limits add up to %s, less than the %s of %s. Check the figures against the plate; if they are right, the %s can never be used up.",
			s.say.mass(sum), s.say.term(fitout.TermGross), s.say.mass(gross.Kg), s.say.term(fitout.TermGross)),
		Value: gross.Kg, Limit: sum, Margin: sum - gross.Kg, Unit: "kg", Source: source(gross.Source),
	}}
}

// overTowing holds a coupled trailer against ball and towing limits.
func overTowing(s *subject) []fitout.Finding {
	t := s.job.Trailer
	if t == nil || !t.Coupled {
		return nil
	}
	tow, kind := s.towRating(), "unbraked"
	if t.Braked {
		kind = "braked"
	}
	var found []fitout.Finding
	check := func(rule, what string, load float64, l rating.Rating, subject string) {
		if l.Kg > 0 && load > l.Kg {
			found = append(found, fitout.Finding{
				Rule: rule, Severity: fitout.Stop, Subject: fitout.Subject{Kind: subject},
				Title:    fmt.Sprintf("%s %s over", capital(what), s.say.mass(load-l.Kg)),
				Sentence: fmt.Sprintf("The %s is %s; the limit of %s is %s.", what, s.say.mass(load), s.bindsOrVehicle(l), s.say.mass(l.Kg)),
				Value:    load, Limit: l.Kg, Margin: l.Kg - load, Unit: "kg", Source: source(l.Source),
				Mend: subject,
			})
		}
	}
	check("ball-over", s.say.term(fitout.TermBall), t.Ball, s.rating(fitout.LimitBall), "ball")
	check("trailer-over", "mass of the "+kind+" trailer", s.plan.TrailerMass(), tow, "trailer")
	if !tow.Stated {
		found = append(found, fitout.Finding{
			Rule: "limit-missing", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "limit", ID: string(tow.Limit)},
			Title:    "No towing limit stated",
			Sentence: fmt.Sprintf("The trailer is %s and weighs %s; what the vehicle may tow %s is not stated.", kind, s.say.mass(s.plan.TrailerMass()), kind),
			Value:    s.plan.TrailerMass(), Unit: "kg", Source: "plate",
		})
	}
	return append(found, s.ballShare()...)
}

// towRating is what the vehicle may tow, with the brakes that the trailer has.
func (s *subject) towRating() rating.Rating {
	if s.job.Trailer.Braked {
		return s.rating(fitout.LimitTrailerBraked)
	}
	return s.rating(fitout.LimitTrailerUnbraked)
}

// ballShare cautions about a coupled trailer with too little or too much of its
// mass on the ball: too little makes it sway, too much takes load off the front.
func (s *subject) ballShare() []fitout.Finding {
	t, practice, mass := s.job.Trailer, &s.job.Practice, s.plan.TrailerMass()
	if mass == 0 {
		return nil
	}
	share := t.Ball / mass
	f := fitout.Finding{
		Severity: fitout.Caution, Subject: fitout.Subject{Kind: "ball"}, Value: 100 * share, Unit: "%", Source: "workshop rule",
	}
	term := s.say.term(fitout.TermBall)
	switch {
	case share < practice.BallLeast:
		f.Rule, f.Limit, f.Margin = "ball-light", 100*practice.BallLeast, 100*(share-practice.BallLeast)
		f.Title = fmt.Sprintf("%s is %.1f %% of the trailer", capital(term), 100*share)
		f.Fixes = s.ballTo("forward", math.Ceil(practice.BallLeast*mass))
		f.Sentence = fmt.Sprintf("The %s is %s of a trailer of %s, less than the %.0f %% of the workshop's rule: it may sway. Load it further forward, by %s more on the ball.", term, s.say.mass(t.Ball), s.say.mass(mass), 100*practice.BallLeast, s.say.mass(practice.BallLeast*mass-t.Ball))
	case practice.BallMost > 0 && share > practice.BallMost:
		f.Rule, f.Limit, f.Margin = "ball-heavy", 100*practice.BallMost, 100*(practice.BallMost-share)
		f.Title = fmt.Sprintf("%s is %.1f %% of the trailer", capital(term), 100*share)
		f.Fixes = s.ballTo("back", math.Floor(practice.BallMost*mass))
		f.Sentence = fmt.Sprintf("The %s is %s of a trailer of %s, more than the %.0f %% of the workshop's rule. Load it further back, by %s less on the ball.", term, s.say.mass(t.Ball), s.say.mass(mass), 100*practice.BallMost, s.say.mass(t.Ball-practice.BallMost*mass))
	default:
		return nil
	}
	return []fitout.Finding{f}
}

// ballTo loads the trailer further forward or back until the ball carries so much.
func (s *subject) ballTo(direction string, ball float64) []fitout.Fix {
	t := *s.job.Trailer
	t.Ball = ball
	change := load.Tow(&t, s.plan.Wheelbase, s.job.Vehicle.Hitch.Overhang).Moments(s.plan.Wheelbase).Minus(s.plan.Towing.Moments(s.plan.Wheelbase)).Axles(s.plan.Wheelbase)
	return []fitout.Fix{{
		Label: fmt.Sprintf("Load the trailer further %s, to %s on the ball", direction, s.say.mass(ball)),
		Edit:  fitout.FixEdit{Kind: "ball", Value: ball}, Front: change.Front, Rear: change.Rear,
	}}
}

// overPlacard holds people and cargo against a payload placard.
func overPlacard(s *subject) []fitout.Finding {
	placard, shown := s.rating(fitout.LimitPlacard), s.plan.Shown()
	carried := s.peopleAndCargoIn(&shown)
	if placard.Kg == 0 || carried <= placard.Kg {
		return nil
	}
	return []fitout.Finding{{
		Rule: "placard-over", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "limit", ID: "placard"},
		Title: fmt.Sprintf("%s %s over", capital(s.say.term(fitout.TermPlacard)), s.say.mass(carried-placard.Kg)),
		Sentence: fmt.Sprintf("People, fitout, cargo and %s together are %s; the %s allows %s.",
			s.say.term(fitout.TermBall), s.say.mass(carried), s.say.term(fitout.TermPlacard), s.say.mass(placard.Kg)),
		Mend: targetPlacard, Value: carried, Limit: placard.Kg, Margin: placard.Kg - carried, Unit: "kg", Source: source(placard.Source),
	}}
}
