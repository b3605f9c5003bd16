package assess

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/rating"
)

// limitOf are the limits that the pads show, as plate and papers name them.
var limitOf = map[string]fitout.LimitID{"front": fitout.LimitFrontAxle, "rear": fitout.LimitRearAxle, "gross": fitout.LimitGross, "combination": fitout.LimitCombination}

// vehicleWays are the changes of the vehicle that mend a limit, as far as the
// workshop counts on them, each tried on the whole job.
func (t trial) vehicleWays(l *limit) []Mend {
	found := []Mend{}
	for _, way := range []func(*limit) []candidate{t.upgrade, t.longer, t.distributing} {
		if set := way(l); len(set) > 0 {
			if m, ok := t.of(set); ok {
				found = append(found, m)
			}
		}
	}
	return found
}

// upgrade raises a rating by what is over, to the next step that a plate would
// carry, with tyres that carry it where those bind.
func (t trial) upgrade(l *limit) []candidate {
	const step = 10 // kg
	id := limitOf[l.id]
	needed := math.Ceil(l.load/step) * step
	from := t.job.Vehicle.Limits.Get(id).Kg
	for _, b := range t.rating(id).Bounds {
		if b.Kind == rating.ByUpgrade && b.Void == rating.Valid {
			from = b.Kg
		}
	}
	if from == 0 || needed > from*(1+t.job.Practice.UpgradeShare) {
		return nil
	}
	var set []candidate
	if needed > from {
		set = append(set, t.candidate(l, fmt.Sprintf("Raise the %s to %s, certified", l.name, t.say.mass(needed)), fitout.FixEdit{Kind: "rating", ID: string(id), Value: needed}, load.Moments{}, needed-from))
	}
	if axle, ok := map[string]fitout.WhichAxle{"front": fitout.FrontAxle, "rear": fitout.RearAxle}[l.id]; ok {
		tyre, _ := rating.TyreOn(&t.job.Vehicle, axle)
		carries, known := rating.AxleKg(tyre)
		if known && carries < needed {
			index := t.tyresFor(tyre, needed)
			if index == 0 {
				return nil
			}
			set = append(set, t.candidate(l, fmt.Sprintf("Fit %ss of load index %d at the %s", t.say.term(fitout.TermTyre), index, axle), fitout.FixEdit{Kind: "tyres", ID: string(axle), Value: float64(index)}, load.Moments{}, needed-carries))
		}
	}
	return set
}

// tyresFor is the least load index that carries an axle load on single tyres, 0
// where the table ends or the axle has dual ones, which are not exchanged here.
func (t trial) tyresFor(now fitout.Tyre, kg float64) int {
	if now.Dual {
		return 0
	}
	for index := now.Index + 1; index <= rating.LastIndex; index++ {
		if carries, ok := rating.AxleKg(fitout.Tyre{Index: index}); ok && carries >= kg {
			return index
		}
	}
	return 0
}

// longer extends the wheelbase until the rear axle is within its limit, the load
// staying where it is unless it is said to stand behind the cut.
func (t trial) longer(l *limit) []candidate {
	if l.id != "rear" {
		return nil
	}
	now := 0.0
	if e := t.job.Vehicle.Extension; e != nil {
		now = e.By
	}
	const step = 50 // mm
	for by := step * (math.Floor(now/step) + 1); by <= t.job.Practice.LongestCut; by += step {
		edit := fitout.FixEdit{Kind: "extension", Value: by}
		longer, err := Apply(t.given, t.components, []fitout.FixEdit{edit})
		if err != nil {
			return nil
		}
		after := newSubject(&longer)
		if after.limits[1].over() <= 0 {
			c := t.candidate(l, fmt.Sprintf("Lengthen the wheelbase by %s", t.say.length(by)), edit, load.Moments{}, by)
			c.fix.Front, c.fix.Rear = after.limits[0].load-t.limits[0].load, after.limits[1].load-t.limits[1].load
			return []candidate{c}
		}
	}
	return nil
}

// distributing takes what is over off the rear axle by a weight-distributing
// hitch: C = over / (1/L + 1/d), with d from the ball to the trailer's axle.
func (t trial) distributing(l *limit) []candidate {
	if l.id != "rear" || !t.plan.Coupled() || t.job.Trailer.BallToAxle == 0 {
		return nil
	}
	const step = 1000 // kg·mm
	trailer := *t.job.Trailer
	more := l.over() / (1/t.plan.Wheelbase + 1/trailer.BallToAxle)
	trailer.Distribution = math.Ceil((trailer.Distribution+more)/step) * step
	with := load.Tow(&trailer, t.plan.Wheelbase, t.job.Vehicle.Hitch.Overhang)
	if with.Vehicle.Rear < 0 {
		return nil // it levels what the ball does; it does not carry the load
	}
	change := with.Moments(t.plan.Wheelbase).Minus(t.plan.Towing.Moments(t.plan.Wheelbase))
	return []candidate{t.candidate(l, fmt.Sprintf("Couple with a weight-distributing hitch that takes %s off the rear axle", t.say.mass(-change.Axles(t.plan.Wheelbase).Rear)),
		fitout.FixEdit{Kind: "distribution", Value: trailer.Distribution}, change, l.over())}
}

// ballShifts load the trailer further back, down to the least share of its mass
// that the workshop has on the ball.
func ballShifts(s *subject, l *limit) []candidate {
	if !s.plan.Coupled() {
		return nil
	}
	t := *s.job.Trailer
	per := l.form.Of(load.Moments{}.Add(load.Mass{Kg: 1, X: s.plan.Wheelbase + s.job.Vehicle.Hitch.Overhang})) - l.form.Towed
	least := s.job.Practice.BallLeast * t.Mass
	if per <= 0 || t.Ball <= least {
		return nil
	}
	less := min(t.Ball-least, math.Ceil(l.over()/per))
	t.Ball -= less
	after := load.Tow(&t, s.plan.Wheelbase, s.job.Vehicle.Hitch.Overhang)
	change := after.Moments(s.plan.Wheelbase).Minus(s.plan.Towing.Moments(s.plan.Wheelbase))
	return []candidate{s.candidate(l, fmt.Sprintf("Load the trailer further back, %s less on the ball", s.say.mass(less)), fitout.FixEdit{Kind: "ball", Value: t.Ball}, change, less)}
}
