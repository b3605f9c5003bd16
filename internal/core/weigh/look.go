// Package weigh puts what scales read beside the plan: how unlikely it is, what is not in the plan and where, what
// explains it best, and what is believed afterwards.
package weigh

import (
	"cmp"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/gauss"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// Unlikely is the probability of χ² below which a weighing contradicts the plan.
const Unlikely = 0.05

// Look is one weighing beside the plan of its day.
type Look struct {
	ID           string        `json:"id"`
	Figures      []ReadFigure  `json:"figures" doc:"what was read"`
	Chi2         float64       `json:"chi2"`
	Degrees      int           `json:"degrees" doc:"of freedom: how many figures were read"`
	Likely       float64       `json:"likely" doc:"probability of being off at least as much by what is believed, 0 to 1"`
	Agrees       bool          `json:"agrees" doc:"the plan explains what was read"`
	Unexplained  Unexplained   `json:"unexplained"`
	Turned       []TurnedOut   `json:"turned" doc:"what turned out otherwise, what explains most first"`
	Explanations []Explanation `json:"explanations" doc:"what would explain it, the likeliest first"`
	Axles        []AxleAfter   `json:"axles" doc:"each axle and the whole, before and after it is believed"`
	Sentences    []string      `json:"sentences" doc:"what it says, in words"`
	scale        load.OnScale
}

// ReadFigure is one figure of a scale.
type ReadFigure struct {
	Name    string  `json:"name" enum:"front-left,front-right,rear-left,rear-right,front,rear,gross"`
	Read    float64 `json:"read" doc:"kg"`
	Planned float64 `json:"planned" doc:"by the plan of that day, kg"`
	Sigma   float64 `json:"sigma" doc:"standard uncertainty of their difference, kg"`
	Own     float64 `json:"own" doc:"of the reading alone, kg"`
}

// AxleAfter is the load on an axle as it was weighed.
type AxleAfter struct {
	Name    string  `json:"name" enum:"front,rear,gross"`
	Planned float64 `json:"planned" doc:"kg"`
	Sigma   float64 `json:"sigma" doc:"kg"`
	After   float64 `json:"after" doc:"kg"`
	Then    float64 `json:"then" doc:"σ afterwards, kg"`
}

// Unexplained is what is more, or less, than planned: as if one mass at one place.
type Unexplained struct {
	Kg       float64 `json:"kg" doc:"more than planned, kg"`
	Sigma    float64 `json:"sigma" doc:"kg"`
	Placed   bool    `json:"placed" doc:"it is surely there, so that it has a place; the axles were read apart"`
	X        float64 `json:"x" doc:"rearward of the front axle, mm"`
	XSigma   float64 `json:"xSigma" doc:"mm"`
	Sided    bool    `json:"sided" doc:"the corners were read, so that it has a side"`
	Y        float64 `json:"y" doc:"to the right, mm"`
	YSigma   float64 `json:"ySigma" doc:"mm"`
	Moment   float64 `json:"moment" doc:"that moved to the rear, kg·mm"`
	MomentBy float64 `json:"momentBy" doc:"its σ, kg·mm"`
}

// TurnedOut is a thing that turned out otherwise than planned.
type TurnedOut struct {
	Of     string  `json:"of" doc:"id of an item, tank: and id of a tank, a material; empty for the vehicle"`
	Name   string  `json:"name"`
	Kg     float64 `json:"kg" doc:"more than planned, kg"`
	Before float64 `json:"before" doc:"σ before, kg"`
	Sigma  float64 `json:"sigma" doc:"σ afterwards, kg"`
	Takes  float64 `json:"takes" doc:"share of what the readings moved that it accounts for, 0 to 1"`
}

// LookAt puts a weighing of the chosen variant beside the plan of its day.
func LookAt(p *plan.Plan, w *fitout.WeighIn) Look {
	u := &p.Job.Practice.Uncertainty
	return lookAt(p, w, load.BaselineOf(&p.Given.Vehicle, &p.Load.Weighing, u), u)
}

func lookAt(p *plan.Plan, w *fitout.WeighIn, b load.Baseline, u *fitout.Uncertainty) Look {
	l := before(p, w, b, u)
	if l.Degrees == 0 {
		return l
	}
	readings := l.scale.Readings()
	after := gauss.Update(len(l.scale.Sources), readings)
	l.turned(p, w, &after)
	l.axles(&after)
	if !l.Agrees {
		l.explain(p, w, readings)
	}
	l.say(p, w)
	return l
}

// before is a look as far as it says whether the plan explains what was read, and what is more or less.
func before(p *plan.Plan, w *fitout.WeighIn, b load.Baseline, u *fitout.Uncertainty) Look {
	l := Look{ID: w.ID, scale: p.Load.OnScale(w, b, u), Turned: []TurnedOut{}, Explanations: []Explanation{},
		Figures: []ReadFigure{}, Axles: []AxleAfter{}, Sentences: []string{}, Agrees: true}
	if len(w.Aboard) == 0 {
		return l // nobody says what it should have read
	}
	readings := l.scale.Readings()
	if len(readings) == 0 {
		return l
	}
	after := gauss.Update(len(l.scale.Sources), readings)
	l.Chi2, l.Degrees, l.Likely = after.Chi2, after.Degrees, gauss.Unlikely(after.Chi2, after.Degrees)
	l.Agrees = l.Likely >= Unlikely
	for i, f := range l.scale.Figures {
		all := math.Sqrt(gauss.Dot(readings[i].Moves, readings[i].Moves) + f.Own*f.Own)
		l.Figures = append(l.Figures, ReadFigure{f.Name, f.Read, f.Planned, all, f.Own})
	}
	l.unexplained(p, readings)
	return l
}

// sum is a reading of so much of each figure, with its σ.
func sum(readings []gauss.Reading, of []float64) (off, sigma float64) {
	variance, moves := 0.0, map[int]float64{}
	for i, r := range readings {
		off += of[i] * r.Off
		variance += of[i] * of[i] * r.Own * r.Own
		for k, m := range r.Moves {
			moves[k] += of[i] * m
		}
	}
	for _, m := range moves {
		variance += m * m
	}
	return off, math.Sqrt(variance)
}

// product is the covariance of two sums.
func product(readings []gauss.Reading, a, b []float64) float64 {
	both := make([]float64, len(readings))
	for i := range both {
		both[i] = a[i] + b[i]
	}
	_, sa := sum(readings, a)
	_, sb := sum(readings, b)
	_, s := sum(readings, both)
	return (s*s - sa*sa - sb*sb) / 2
}

// counts are how much of each figure counts for a sum: for the whole, for the moment on the rear axle in mm, and for
// the moment to the right in mm. A whole that was read beside axles is left to the χ².
func (l *Look) counts(p *plan.Plan) (whole, rear, side []float64) {
	n := len(l.scale.Figures)
	whole, rear, side = make([]float64, n), make([]float64, n), make([]float64, n)
	track := map[string]float64{"front-left": -p.Load.TrackFront / 2, "front-right": p.Load.TrackFront / 2,
		"rear-left": -p.Load.TrackRear / 2, "rear-right": p.Load.TrackRear / 2}
	for i, f := range l.scale.Figures {
		switch f.Name {
		case "gross":
			if n == 1 {
				whole[i] = 1
			}
		case "rear", "rear-left", "rear-right":
			whole[i], rear[i], side[i] = 1, p.Load.Wheelbase, track[f.Name]
		default:
			whole[i], side[i] = 1, track[f.Name]
		}
	}
	return whole, rear, side
}

// unexplained is ΔM = Σ d, its station x = ΔR L/ΔM and its side likewise, each with its σ to first order.
func (l *Look) unexplained(p *plan.Plan, readings []gauss.Reading) {
	whole, rear, side := l.counts(p)
	e := &l.Unexplained
	e.Kg, e.Sigma = sum(readings, whole)
	apart := len(readings) > 1
	if !apart {
		return
	}
	e.Moment, e.MomentBy = sum(readings, rear)
	e.Placed = math.Abs(e.Kg) >= 2*e.Sigma
	if !e.Placed {
		return
	}
	ratio := func(count []float64) (at, sigma float64) {
		moment, by := sum(readings, count)
		at = moment / e.Kg
		variance := by*by - 2*at*product(readings, count, whole) + at*at*e.Sigma*e.Sigma
		return at, math.Sqrt(max(0, variance)) / math.Abs(e.Kg)
	}
	e.X, e.XSigma = ratio(rear)
	if e.Sided = len(readings) >= 4; e.Sided {
		e.Y, e.YSigma = ratio(side)
	}
}

// turned are the masses that the readings corrected.
func (l *Look) turned(p *plan.Plan, w *fitout.WeighIn, after *gauss.Posterior) {
	names := names(p, w)
	whole := 0.0
	for k, s := range l.scale.Sources {
		whole += after.Mean[k] * after.Mean[k]
		t := TurnedOut{
			Of:     s.Of,
			Name:   names[s.Of],
			Kg:     after.Mean[k] * s.Sigma,
			Before: s.Sigma,
			Takes:  after.Mean[k] * after.Mean[k],
		}
		alone := make([]float64, len(l.scale.Sources))
		alone[k] = s.Sigma
		t.Sigma = after.Sigma(alone)
		switch s.Kind {
		case load.MassErrs, load.ContentErrs:
			l.Turned = append(l.Turned, t)
		case load.WallErrs:
			kg := wallKg(w, fitout.Material(s.Of)) * p.Job.Practice.Uncertainty.Material
			t.Kg, t.Before, t.Sigma = t.Kg*kg, t.Before*kg, t.Sigma*kg
			l.Turned = append(l.Turned, t)
		}
	}
	for i := range l.Turned {
		l.Turned[i].Takes /= max(whole, math.SmallestNonzeroFloat64)
	}
	slices.SortStableFunc(l.Turned, func(a, b TurnedOut) int { return cmp.Compare(b.Takes, a.Takes) })
}

// wallKg is what was calculated of a material, kg.
func wallKg(w *fitout.WeighIn, wall fitout.Material) float64 {
	kg := 0.0
	for i := range w.Aboard {
		if a := &w.Aboard[i]; a.Source == fitout.ByMaterial && a.Wall == wall {
			kg += a.Kg
		}
	}
	return kg
}

// names are what things on the scale are called.
func names(p *plan.Plan, w *fitout.WeighIn) map[string]string {
	all := map[string]string{"": "The empty vehicle"}
	for i := range w.Aboard {
		a := &w.Aboard[i]
		all[a.Of] = a.Name
		if a.Wall != "" {
			all[string(a.Wall)] = "Panels of " + string(a.Wall)
		}
	}
	return all
}

// axles are the loads on each axle and of the whole, standing level, before and after.
func (l *Look) axles(after *gauss.Posterior) {
	add := func(name string, of func(load.Axles) float64) {
		moves := make([]float64, len(l.scale.Sources))
		for k := range moves {
			moves[k] = of(l.scale.Sources[k].Axles)
		}
		planned := of(l.scale.Planned)
		l.Axles = append(l.Axles, AxleAfter{Name: name, Planned: planned, Sigma: math.Sqrt(gauss.Dot(moves, moves)),
			After: planned + after.Shift(moves), Then: after.Sigma(moves)})
	}
	add("front", func(a load.Axles) float64 { return a.Front })
	add("rear", func(a load.Axles) float64 { return a.Rear })
	add("gross", load.Axles.Gross)
}
