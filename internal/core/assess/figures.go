package assess

import (
	"cmp"
	"slices"

	"zaino/internal/core/load"
)

// gradeDegrees is the slope for which the grade figures are shown.
const gradeDegrees = 20

// Stability compares the loaded with the unladen vehicle.
type Stability struct {
	SSF         float64 `json:"ssf" doc:"static stability factor"`
	Tip         float64 `json:"tip" doc:"side tip angle, rigid-body upper bound, °"`
	UnladenTip  float64 `json:"unladenTip" doc:"°"`
	Loss        float64 `json:"loss" doc:"tip angle lost by the load, °"`
	HeightKnown bool    `json:"heightKnown" doc:"the unladen height of the centre of gravity is known, not assumed"`
}

func stability(s *subject) Stability {
	ssf, tip := load.Stability(s.plan.TrackFront, s.plan.TrackRear, max(1, s.now.Centre().Z))
	_, unladen := load.Stability(s.plan.TrackFront, s.plan.TrackRear, max(1, s.plan.Unladen.Centre().Z))
	return Stability{ssf, tip, unladen, unladen - tip, s.job.Vehicle.Baseline.CGHeightKnown}
}

// Grade is the load on the road standing nose up; no rating applies to it.
type Grade struct {
	Degrees float64    `json:"degrees"`
	Axles   load.Axles `json:"axles"`
}

func grade(s *subject) Grade {
	return Grade{gradeDegrees, s.now.OnGrade(s.plan.Wheelbase, gradeDegrees)}
}

// TrailerFigures is the trailer in the state shown.
type TrailerFigures struct {
	Coupled   bool       `json:"coupled"`
	Mass      float64    `json:"mass" doc:"uncoupled, with what rides on it, kg"`
	Ball      float64    `json:"ball" doc:"download before weight distribution, kg"`
	BallShare float64    `json:"ballShare" doc:"ball mass as a share of the trailer's mass, %"`
	Axle      float64    `json:"axle" doc:"on the trailer's own axles when coupled, kg"`
	Effect    load.Axles `json:"effect" doc:"on the vehicle's axles when coupled, kg"`
}

func trailer(s *subject) *TrailerFigures {
	t := s.job.Trailer
	if t == nil {
		return nil
	}
	mass := s.plan.TrailerMass()
	figures := &TrailerFigures{Coupled: t.Coupled, Mass: mass, Ball: t.Ball, Axle: s.plan.Towing.TrailerAxle + mass - t.Mass, Effect: s.plan.Towing.Vehicle}
	if mass > 0 {
		figures.BallShare = 100 * t.Ball / mass
	}
	return figures
}

// ItemFigures is what one item, or the content of one tank, does to the axles.
type ItemFigures struct {
	ID        string  `json:"id"`
	Mass      float64 `json:"mass" doc:"with its content now, kg"`
	Present   bool    `json:"present" doc:"aboard in the state shown"`
	OnTrailer bool    `json:"onTrailer" doc:"rides on the trailer, so nothing of it is on the vehicle's axles"`
	X         float64 `json:"x" doc:"where it really is, with seat and wheelbase extension, mm"`
	Y         float64 `json:"y"`
	Z         float64 `json:"z"`
	Front     float64 `json:"front" doc:"on the front axle when aboard, kg"`
	Rear      float64 `json:"rear" doc:"on the rear axle when aboard, kg"`
	Per100    float64 `json:"per100" doc:"change of the rear axle for 100 mm rearward, kg"`
}

func figures(s *subject, placed []load.Placed) []ItemFigures {
	all := make([]ItemFigures, len(placed))
	for i, p := range placed {
		effect := p.Effect(s.plan.Wheelbase)
		all[i] = ItemFigures{ID: p.ID, Mass: p.Kg(), OnTrailer: p.Trailer, Present: p.Present, X: p.Mass.X, Y: p.Mass.Y, Z: p.Mass.Z,
			Front: effect.Front, Rear: effect.Rear, Per100: 100 * s.plan.RearForm().Sensitivity(p.Mass).PerMM}
	}
	return all
}

func items(s *subject) []ItemFigures { return figures(s, s.plan.Items) }

func tanks(s *subject) []ItemFigures { return figures(s, s.plan.Tanks) }

// GroupFigures is the subtotal of a group of the ledger, of what is aboard.
type GroupFigures struct {
	Group string  `json:"group"`
	Count int     `json:"count" doc:"items in the group, aboard or not"`
	Mass  float64 `json:"mass" doc:"kg aboard"`
	Front float64 `json:"front" doc:"kg"`
	Rear  float64 `json:"rear" doc:"kg"`
}

func groups(s *subject) []GroupFigures {
	all := []GroupFigures{}
	index := map[string]int{}
	for i, figures := range items(s) {
		name := s.variant.Items[i].Group
		k, seen := index[name]
		if !seen {
			k = len(all)
			index[name] = k
			all = append(all, GroupFigures{Group: name})
		}
		all[k].Count++
		if figures.Present && !figures.OnTrailer {
			all[k].Mass += figures.Mass
			all[k].Front += figures.Front
			all[k].Rear += figures.Rear
		}
	}
	slices.SortStableFunc(all, func(a, b GroupFigures) int { return cmp.Compare(a.Group, b.Group) })
	return all
}
