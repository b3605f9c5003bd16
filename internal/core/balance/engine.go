// Package balance tells what rests where in the state shown: on each axle and corner,
// by item, tank and group, where the centre of gravity is and what the trailer does.
package balance

import (
	"cmp"
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// GradeDegrees is the slope for which the grade figures are shown.
const GradeDegrees = 20

// Figures are what rests where in the state shown.
type Figures struct {
	Axles     load.Axles      `json:"axles" doc:"with the trailer if coupled, kg"`
	Gross     float64         `json:"gross" doc:"kg"`
	Dry       load.Axles      `json:"dry" doc:"baseline with its definition taken off, kg"`
	Unladen   load.Axles      `json:"unladen" doc:"dry with its parts as they are now, kg"`
	Centre    load.Centre     `json:"centre" doc:"centre of gravity without trailer"`
	Corners   load.Corners    `json:"corners" doc:"estimate, without trailer"`
	Stability Stability       `json:"stability"`
	Grade     Grade           `json:"grade"`
	Trailer   *TrailerFigures `json:"trailer,omitempty"`
	Items     []ItemFigures   `json:"items" doc:"in the order of the variant"`
	Tanks     []ItemFigures   `json:"tanks" doc:"contents, in the order of the vehicle"`
	Groups    []GroupFigures  `json:"groups"`
}

// Stability compares the loaded with the unladen vehicle.
type Stability struct {
	SSF         float64 `json:"ssf" doc:"static stability factor"`
	Tip         float64 `json:"tip" doc:"side tip angle, rigid-body upper bound, °"`
	UnladenTip  float64 `json:"unladenTip" doc:"°"`
	Loss        float64 `json:"loss" doc:"tip angle lost by the load, °"`
	HeightKnown bool    `json:"heightKnown" doc:"the unladen height of the centre of gravity is known, not assumed"`
}

// Grade is the load on the road standing nose up; no rating applies to it.
type Grade struct {
	Degrees float64    `json:"degrees"`
	Axles   load.Axles `json:"axles"`
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

// GroupFigures is the subtotal of a group of the ledger, of what is aboard.
type GroupFigures struct {
	Group string  `json:"group"`
	Count int     `json:"count" doc:"items in the group, aboard or not"`
	Mass  float64 `json:"mass" doc:"kg aboard"`
	Front float64 `json:"front" doc:"kg"`
	Rear  float64 `json:"rear" doc:"kg"`
}

// Engine tells what rests where, and what of it cannot be.
func Engine() plan.Engine[Figures] {
	return plan.Engine[Figures]{Figures: figures, Rules: []plan.Rule{stationUnset}}
}

func figures(p *plan.Plan) Figures {
	l := p.Load
	return Figures{
		Axles: l.Axles(), Gross: l.Axles().Gross(),
		Dry: load.Moments{}.Add(l.Dry).Axles(l.Wheelbase), Unladen: l.Unladen.Axles(l.Wheelbase),
		Centre: p.Now.Centre(), Corners: p.Now.Corners(l.Wheelbase, l.TrackFront, l.TrackRear),
		Stability: stability(
			p,
		), Grade: Grade{GradeDegrees, p.Now.OnGrade(l.Wheelbase, GradeDegrees)}, Trailer: trailer(p),
		Items: effects(p, l.Items), Tanks: effects(p, l.Tanks), Groups: groups(p),
	}
}

func stability(p *plan.Plan) Stability {
	ssf, tip := load.Stability(p.Load.TrackFront, p.Load.TrackRear, max(1, p.Now.Centre().Z))
	unladen := limits.TipAngle(p, &p.Load.Unladen)
	return Stability{ssf, tip, unladen, unladen - tip, p.Vehicle.Baseline.CGHeightKnown}
}

func trailer(p *plan.Plan) *TrailerFigures {
	t := p.Job.Trailer
	if t == nil {
		return nil
	}
	mass := p.Load.TrailerMass()
	f := &TrailerFigures{
		Coupled: t.Coupled, Mass: mass, Ball: t.Ball, Axle: p.Load.Towing.TrailerAxle + mass - t.Mass,
		Effect: p.Load.Towing.Vehicle,
	}
	if mass > 0 {
		f.BallShare = 100 * t.Ball / mass
	}
	return f
}

func effects(p *plan.Plan, placed []load.Placed) []ItemFigures {
	all := make([]ItemFigures, len(placed))
	for i := range placed {
		thing := &placed[i]
		effect := thing.Effect(p.Load.Wheelbase)
		all[i] = ItemFigures{
			ID: thing.ID, Mass: thing.Kg(), OnTrailer: thing.Trailer, Present: thing.Present,
			X: thing.Mass.X, Y: thing.Mass.Y, Z: thing.Mass.Z,
			Front: effect.Front, Rear: effect.Rear, Per100: 100 * p.Load.RearForm().Sensitivity(thing.Mass).PerMM,
		}
	}
	return all
}

func groups(p *plan.Plan) []GroupFigures {
	all := []GroupFigures{}
	index := map[string]int{}
	for i, f := range effects(p, p.Load.Items) {
		name := p.Variant.Items[i].Group
		k, seen := index[name]
		if !seen {
			k = len(all)
			index[name] = k
			all = append(all, GroupFigures{Group: name})
		}
		all[k].Count++
		if f.Present && !f.OnTrailer {
			all[k].Mass += f.Mass
			all[k].Front += f.Front
			all[k].Rear += f.Rear
		}
	}
	slices.SortStableFunc(all, func(a, b GroupFigures) int { return cmp.Compare(a.Group, b.Group) })
	return all
}

// stationUnset notes things that still stand where a new thing is put: exactly
// on the front axle, the centre line and the ground. Of a part that is said to stand in a space, fit says it.
func stationUnset(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Given.ChosenVariant().Items {
		item := &p.Given.ChosenVariant().Items[i]
		if item.Seat != "" || item.In != nil || item.At != (fitout.Point{}) || p.Load.Items[i].Mass.Kg <= 0 ||
			item.Module != nil && p.Load.Items[i].Road && slices.ContainsFunc(p.Vehicle.Bays, func(b fitout.Bay) bool { return b.ID == item.Bay }) {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "station-unset", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "item", ID: item.ID},
			Title: item.Name + " has no station",
			Sentence: fmt.Sprintf(
				"%s counts as if it lay on the ground at the front axle. Give it its station and height.",
				item.Name,
			),
			Value: p.Load.Items[i].Mass.Kg, Unit: "kg", Source: "physics",
		})
	}
	return found
}
