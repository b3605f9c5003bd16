package mend

import (
	"fmt"
	"math"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/core/rating"
)

// upgradable are the limits that a certified upgrade can raise, as plate and papers name
// them.
var upgradable = map[string]fitout.LimitID{
	"front": fitout.LimitFrontAxle, "rear": fitout.LimitRearAxle, "gross": fitout.LimitGross,
	"combination": fitout.LimitCombination,
}

// vehicleWays are the changes of the vehicle that mend a limit, as far as the workshop
// counts on them, each tried on the whole job.
func (s *search) vehicleWays() []Mend {
	found := []Mend{}
	for _, way := range []func() ([]fitout.Fix, float64){s.upgrade, s.longer, s.distributing} {
		if fixes, effort := way(); len(fixes) > 0 {
			if m, ok := s.tryFixes(fixes); ok {
				m.Effort = effort
				found = append(found, m)
			}
		}
	}
	return found
}

// raised is by how much each limit can be raised, or relieved, by what can be done to the
// vehicle, all of it at once, in the order of the table.
func (s *search) raised() []float64 {
	all := make([]float64, len(s.table.All))
	for k, l := range s.table.All {
		f := l.Facts()
		id, can := upgradable[f.ID]
		if !can || !f.Stated() {
			continue
		}
		most := certified(s.plan.Vehicle, id, f) * (1 + s.plan.Job.Practice.UpgradeShare)
		all[k] = max(0, most-f.Bound.Figure())
		if f.ID == "rear" {
			all[k] += s.relief()
		}
	}
	return all
}

// relief is what the longest wheelbase and a hitch that levels all of the ball mass take
// off the rear axle, kg.
func (s *search) relief() float64 {
	sum, before := 0.0, s.plan.Load.Axles().Rear
	if most := s.plan.Job.Practice.LongestCut; most > 0 {
		longer, err := edit.Apply(s.plan.Given, s.components, []fitout.FixEdit{{Kind: "extension", Value: most}})
		if err == nil {
			sum += max(0, before-plan.Of(&longer).Load.Axles().Rear)
		}
	}
	if s.plan.Load.Coupled() {
		sum += max(0, s.plan.Load.Towing.Vehicle.Rear)
	}
	return sum
}

// certified is what is certified of a limit now, by the plate or by an upgrade, kg.
func certified(v *fitout.Vehicle, id fitout.LimitID, f *limits.Facts) float64 {
	kg := v.Limits.Get(id).Kg
	for _, b := range f.Rating.Bounds {
		if b.Kind == rating.ByUpgrade && b.Void == rating.Valid {
			kg = b.Kg
		}
	}
	return kg
}

// upgrade raises a rating by what is over, to the next step that a plate would carry,
// with tyres that carry it where those bind.
func (s *search) upgrade() ([]fitout.Fix, float64) {
	const step = 10 // kg
	f := s.limit.Facts()
	id, can := upgradable[f.ID]
	if !can {
		return nil, 0
	}
	needed := math.Ceil((f.Bound.Figure()+s.need)/step-1e-9) * step
	v := s.plan.Vehicle
	from := certified(v, id, f)
	if from == 0 || quantity.Exceeds(needed, from*(1+s.plan.Job.Practice.UpgradeShare)) {
		return nil, 0
	}
	var fixes []fitout.Fix
	effort := 0.0
	if needed > from {
		fixes = append(fixes, fitout.Fix{
			Label: fmt.Sprintf("Raise the %s to %s, certified", f.Term, s.plan.Say.Mass(needed)),
			Edit:  fitout.FixEdit{Kind: "rating", ID: string(id), Value: needed},
		})
		effort += needed - from
	}
	axle, isAxle := map[string]fitout.WhichAxle{"front": fitout.FrontAxle, "rear": fitout.RearAxle}[f.ID]
	if !isAxle {
		return fixes, effort
	}
	tyre, _ := rating.TyreOn(v, axle)
	carries, known := rating.AxleKg(tyre)
	if !known || carries >= needed {
		return fixes, effort
	}
	index := tyresFor(tyre, needed)
	if index == 0 {
		return nil, 0
	}
	return append(fixes, fitout.Fix{
		Label: fmt.Sprintf("Fit %ss of load index %d at the %s", s.plan.Say.Term(fitout.TermTyre), index, axle),
		Edit:  fitout.FixEdit{Kind: "tyres", ID: string(axle), Value: float64(index)},
	}), effort + needed - carries
}

// tyresFor is the least load index that carries an axle load on single tyres, 0
// where the table ends or the axle has dual ones, which are not exchanged here.
func tyresFor(now fitout.Tyre, kg float64) int {
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
func (s *search) longer() ([]fitout.Fix, float64) {
	if s.limit.Facts().ID != "rear" {
		return nil, 0
	}
	now := 0.0
	if e := s.plan.Given.Vehicle.Extension; e != nil {
		now = e.By
	}
	const step = 50 // mm
	before := s.plan.Load.Axles()
	for by := step * (math.Floor(now/step) + 1); by <= s.plan.Job.Practice.LongestCut; by += step {
		change := fitout.FixEdit{Kind: "extension", Value: by}
		longer, err := edit.Apply(s.plan.Given, s.components, []fitout.FixEdit{change})
		if err != nil {
			return nil, 0
		}
		p := plan.Of(&longer)
		if !s.mended(p, limits.Of(p).Get("rear")) {
			continue
		}
		after := p.Load.Axles()
		return []fitout.Fix{{
			Label: fmt.Sprintf("Lengthen the wheelbase by %s", s.plan.Say.Length(by)), Edit: change,
			Front: after.Front - before.Front, Rear: after.Rear - before.Rear,
		}}, by
	}
	return nil, 0
}

// distributing takes what is over off the rear axle by a weight-distributing
// hitch: C = over / (1/L + 1/d), with d from the ball to the trailer's axle.
func (s *search) distributing() ([]fitout.Fix, float64) {
	p := s.plan
	if s.limit.Facts().ID != "rear" || !p.Load.Coupled() || p.Job.Trailer.BallToAxle == 0 {
		return nil, 0
	}
	const step = 1000 // kg·mm
	t, L := *p.Job.Trailer, p.Load.Wheelbase
	more := s.need / (1/L + 1/t.BallToAxle)
	t.Distribution = math.Ceil((t.Distribution+more)/step) * step
	with := load.Tow(&t, L, p.Vehicle.Hitch.Overhang)
	if with.Vehicle.Rear < 0 {
		return nil, 0 // it levels what the ball does; it does not carry the load
	}
	change := with.Moments(L).Minus(p.Load.Towing.Moments(L)).Axles(L)
	return []fitout.Fix{{
		Label: fmt.Sprintf("Couple with a weight-distributing hitch that takes %s off the rear axle",
			p.Say.Mass(-change.Rear)),
		Edit: fitout.FixEdit{Kind: "distribution", Value: t.Distribution}, Front: change.Front, Rear: change.Rear,
	}}, s.need
}
