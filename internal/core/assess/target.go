package assess

import (
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
)

// Ids of what can be mended besides the limits of the pads.
const (
	targetFrontShare = "front-share"
	targetSides      = "sides"
	targetPlacard    = "placard"
	targetBall       = "ball"
	targetTrailer    = "trailer"
	targetTip        = "tip"
	targetBay        = "bay:" // and the id of the bay
)

// Mendable refuses what ways to mend cannot be asked for.
func Mendable(j *fitout.Job, id string) error {
	if _, known := newSubject(j).target(id, false); known {
		return nil
	}
	return fitout.Problem{Path: "limit", Given: id, Accepted: "front, rear, gross, combination, ball or trailer of a job that tows, placard, front-share, sides, tip, or bay: and the id of a bay"}
}

// target is what has to be reached to mend a limit or a workshop rule of balance:
// a form of the moments, and what it may be at most. A load that is within its
// limit but close to it is to come clear of it.
func (s *subject) target(id string, clear bool) (limit, bool) {
	axles := s.plan.Axles()
	switch id {
	case targetFrontShare:
		form := s.plan.FrontShareForm(s.job.Practice.FrontShare)
		return limit{id: id, title: "Front share", form: form, ratio: true, load: s.job.Practice.FrontShare*axles.Gross() - axles.Front}, true
	case targetSides:
		form := s.sidesForm()
		return limit{id: id, title: "Sides", form: form, ratio: true, load: form.Of(s.now)}, true
	case targetPlacard:
		shown := s.plan.Shown()
		l := limit{id: id, title: "Placard", form: s.plan.GrossForm(), load: s.peopleAndCargoIn(&shown), limit: s.job.Vehicle.Limits.Placard}
		return l, true
	}
	if id == targetTip {
		_, unladen := load.Stability(s.plan.TrackFront, s.plan.TrackRear, max(1, s.plan.Unladen.Centre().Z))
		form := s.plan.TipForm(unladen - s.job.Practice.TipLoss)
		return limit{id: id, title: "Side tip angle", form: form, ratio: true, load: form.Of(s.now)}, true
	}
	if t := s.job.Trailer; id == targetBall && t != nil {
		carried := 0.0
		if s.plan.Coupled() {
			carried = t.Ball
		}
		return limit{id: id, title: "Ball", form: s.plan.GrossForm(), place: true, load: carried, limit: fitout.Limit{Kg: s.rating(fitout.LimitBall).Kg}}, true
	}
	if t := s.job.Trailer; id == targetTrailer && t != nil {
		return limit{id: id, title: "Trailer", form: load.Form{Towed: 1}, place: true, load: s.plan.TrailerMass(), limit: fitout.Limit{Kg: s.towRating().Kg}}, true
	}
	if bay, ok := strings.CutPrefix(id, targetBay); ok {
		for i := range s.job.Vehicle.Bays {
			if b := &s.job.Vehicle.Bays[i]; b.ID == bay {
				most, _ := s.bayRating(b)
				return limit{id: id, title: b.Name, form: s.plan.GrossForm(), place: true, load: s.loadIn(bay), limit: fitout.Limit{Kg: most}}, true
			}
		}
	}
	for _, l := range s.limits {
		if l.id == id {
			if clear {
				l.limit.Kg *= 1 - l.close
			}
			return l, true
		}
	}
	return limit{}, false
}

// sidesForm is by how much the heavier side is heavier than the workshop's rule
// allows: |left − right| − share · M, which is linear on the side that is heavier
// now.
func (s *subject) sidesForm() load.Form {
	return s.sideForm(s.plan.LeftForm().Of(s.now) >= s.plan.RightForm().Of(s.now))
}

// sideForm is by how much the left or the right side is heavier than the rule
// allows, kg.
func (s *subject) sideForm(isLeft bool) load.Form {
	left, right := s.plan.LeftForm(), s.plan.RightForm()
	if !isLeft {
		left, right = right, left
	}
	return load.Form{Kg: left.Kg - right.Kg - s.job.Practice.SideShare, X: left.X - right.X, Y: left.Y - right.Y, XY: left.XY - right.XY}
}

// sideMoves shift one loose thing across the load space, by what is needed or as
// far as its space goes.
func sideMoves(s *subject, l *limit) []candidate {
	if l.form.Y == 0 {
		return nil
	}
	var all []candidate
	half := max(s.job.Vehicle.Outline.Width, s.plan.TrackRear) / 2
	for i := range s.variant.Items {
		item, placed := &s.variant.Items[i], s.plan.Items[i]
		room := half - item.Size.Width/2
		if !s.movable(i) || item.Size.Width > half { // what spans the vehicle stands in its middle
			continue
		}
		shift := -l.over() / (placed.Mass.Kg * (l.form.Y + l.form.XY*placed.Mass.X))
		shift = math.Copysign(math.Ceil(math.Abs(shift)/shiftStep)*shiftStep, shift)
		shift = min(max(shift, -room-placed.Mass.Y), room-placed.Mass.Y)
		if math.Abs(shift) < shiftStep || !s.standsAfter(item.ID, fitout.Point{Y: shift}) {
			continue
		}
		direction := "to the right"
		if shift < 0 {
			direction = "to the left"
		}
		all = append(all, s.candidate(l, "Move "+lower(item.Name)+" "+s.say.length(math.Abs(shift))+" "+direction,
			fitout.FixEdit{Kind: "part-y", ID: item.ID, Value: s.placed[i].At.Y + shift},
			load.Moments{Y: placed.Mass.Kg * shift, XY: placed.Mass.Kg * shift * placed.Mass.X}, placed.Mass.Kg*math.Abs(shift)/1000))
	}
	return all
}

// movable tells whether an item is aboard, loose, and worth moving.
func (s *subject) movable(i int) bool {
	item, placed := &s.variant.Items[i], s.plan.Items[i]
	return placed.Present && item.Seat == "" && item.In == nil && !item.Locked && placed.Mass.Kg >= lightest
}
