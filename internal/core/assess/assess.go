// Package assess runs the engines over one job and gathers what they say in one
// Assessment. It alone knows them all; a new engine is one field of the Assessment and
// one line in the list.
package assess

import (
	"cmp"
	"slices"

	"zaino/internal/core/answer"
	"zaino/internal/core/balance"
	"zaino/internal/core/baseline"
	"zaino/internal/core/brief"
	"zaino/internal/core/build"
	"zaino/internal/core/camp"
	"zaino/internal/core/chassis"
	"zaino/internal/core/edit"
	"zaino/internal/core/fit"
	"zaino/internal/core/fit/keeping"
	"zaino/internal/core/fitout"
	"zaino/internal/core/handover"
	"zaino/internal/core/limits"
	"zaino/internal/core/offer"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/core/rating"
	"zaino/internal/core/ride"
	"zaino/internal/core/sense"
	"zaino/internal/core/space"
	"zaino/internal/core/trip"
	"zaino/internal/core/weigh"
	"zaino/internal/core/wiring"
	"zaino/internal/core/words"
)

// What the engines say that stands at the top of an assessment.
type (
	Balance = balance.Figures
	Margins = limits.Margins
	Fitted  = fit.Figures
)

// Assessment is everything that the core has to say about a job's chosen
// variant in the state shown.
type Assessment struct {
	Variant   string        `json:"variant" doc:"id of the assessed variant"`
	Wheelbase float64       `json:"wheelbase" doc:"with its extension, mm"`
	Datums    []DatumOrigin `json:"datums"`
	Balance
	Margins
	Ratings  []rating.Rating    `json:"ratings" doc:"every limit with what bears on it"`
	Weighing baseline.Figures   `json:"weighing" doc:"what the tickets say together"`
	Ride     ride.Figures       `json:"ride" doc:"how the vehicle stands in the state shown"`
	Bays     []space.BayFigures `json:"bays" doc:"in the order of the vehicle"`
	Brief    brief.Figures      `json:"brief" doc:"what follows from the brief"`
	Fitted
	Power    power.PowerFigures       `json:"power" doc:"what came of the days, by the battery"`
	Wiring   wiring.WiringFigures     `json:"wiring" doc:"every cable and fuse"`
	Trip     trip.TripFigures         `json:"trip" doc:"what comes of the way"`
	Build    build.BuildFigures       `json:"build" doc:"what it takes to make it"`
	Weigh    weigh.WeighFigures       `json:"weigh" doc:"how far it was weighed"`
	Handover handover.HandoverFigures `json:"handover" doc:"how far the handover has come"`
	Findings []fitout.Finding         `json:"findings" doc:"worst first, what the specialist lets stand last"`
	Fallen   []Fallen                 `json:"fallen" doc:"what was let stand and does not hold any more"`
}

// DatumOrigin is where a datum lies.
type DatumOrigin struct {
	Datum fitout.Datum `json:"datum" enum:"front-axle,rear-axle,headboard,front-end,rear-end"`
	X     float64      `json:"x" doc:"mm"`
}

// engine is one engine with its place in an assessment.
type engine struct {
	figures func(*plan.Plan, *Assessment)
	rules   []plan.Rule
}

func into[F any](e plan.Engine[F], field func(*Assessment) *F) engine {
	return engine{func(p *plan.Plan, a *Assessment) { *field(a) = e.Figures(p) }, e.Rules}
}

// engines are all of them.
func engines() []engine {
	return []engine{
		into(limits.Engine(), func(a *Assessment) *limits.Margins { return &a.Margins }),
		into(rating.Engine(), func(a *Assessment) *[]rating.Rating { return &a.Ratings }),
		into(baseline.Engine(), func(a *Assessment) *baseline.Figures { return &a.Weighing }),
		into(balance.Engine(), func(a *Assessment) *balance.Figures { return &a.Balance }),
		into(ride.Engine(), func(a *Assessment) *ride.Figures { return &a.Ride }),
		into(space.Engine(), func(a *Assessment) *[]space.BayFigures { return &a.Bays }),
		into(brief.Engine(), func(a *Assessment) *brief.Figures { return &a.Brief }),
		into(fit.Engine(), func(a *Assessment) *fit.Figures { return &a.Fitted }),
		into(power.Engine(), func(a *Assessment) *power.PowerFigures { return &a.Power }),
		into(wiring.Engine(), func(a *Assessment) *wiring.WiringFigures { return &a.Wiring }),
		into(trip.Engine(), func(a *Assessment) *trip.TripFigures { return &a.Trip }),
		into(build.Engine(), func(a *Assessment) *build.BuildFigures { return &a.Build }),
		into(weigh.Engine(), func(a *Assessment) *weigh.WeighFigures { return &a.Weigh }),
		into(handover.Engine(), func(a *Assessment) *handover.HandoverFigures { return &a.Handover }),
		{func(*plan.Plan, *Assessment) {}, slices.Concat(answer.Rules(), camp.Rules(), chassis.Rules(), sense.Rules())},
	}
}

// Of assesses a valid job.
func Of(j *fitout.Job) Assessment {
	p := plan.Of(j)
	a := Assessment{Variant: p.Variant.ID, Wheelbase: p.Load.Wheelbase}
	for _, d := range fitout.Datums {
		a.Datums = append(a.Datums, DatumOrigin{d, j.Vehicle.Origin(d)})
	}
	for _, e := range engines() {
		e.figures(p, &a)
	}
	a.Findings, a.Fallen = findings(p)
	offer.To(p, a.Findings, harmless(p, a.Findings))
	for i := range a.Findings {
		for k := range a.Findings[i].Fixes {
			fix := &a.Findings[i].Fixes[k]
			fix.Caution = edit.CautionOf(fix.Edit.Kind)
		}
	}
	return a
}

// harmless tells of a change that is offered for a limit whether it leaves every rule of
// the whole job as it was. Only what puts something elsewhere can break one, so that only
// that is tried: an assessment is asked for with every step of a drag.
func harmless(p *plan.Plan, before []fitout.Finding) func(fitout.FixEdit, *limits.Facts) bool {
	known := BrokenIn(before)
	return func(change fitout.FixEdit, mended *limits.Facts) bool {
		if !edit.PutsElsewhere(change.Kind) {
			return true
		}
		changed, err := edit.Apply(p.Given, nil, []fitout.FixEdit{change})
		return err == nil && !known.Further(plan.Of(&changed), mended)
	}
}

// Findings are what every engine finds, worst first, what the specialist lets stand
// last.
func Findings(p *plan.Plan) []fitout.Finding {
	found, _ := findings(p)
	return found
}

func findings(p *plan.Plan) ([]fitout.Finding, []Fallen) {
	all := []fitout.Finding{}
	for _, e := range engines() {
		for _, rule := range e.rules {
			all = append(all, rule(p)...)
		}
	}
	for i := range all {
		f := &all[i]
		if f.Rule == "station-unset" {
			f.Fixes = keeping.PutAway(p, f.Subject.ID)
		}
		f.Key = f.Names()
		f.Title, f.Sentence = words.Unbroken(f.Title), words.Unbroken(f.Sentence)
		if f.Fixes == nil {
			f.Fixes = []fitout.Fix{}
		}
		if f.Lines == nil {
			f.Lines = []fitout.Line{}
		}
		if f.With == nil {
			f.With = []string{}
		}
	}
	fallen := accept(p, all)
	slices.SortStableFunc(all, func(x, y fitout.Finding) int {
		return cmp.Or(cmp.Compare(min(1, len(x.Accepted)), min(1, len(y.Accepted))), cmp.Compare(x.Severity.Rank(),
			y.Severity.Rank()))
	})
	return all, fallen
}

// Stopped reports whether any finding stops the build that the specialist does
// not let stand.
func (a *Assessment) Stopped() bool {
	return len(a.Findings) > 0 && a.Findings[0].Severity == fitout.Stop && a.Findings[0].Accepted == ""
}
