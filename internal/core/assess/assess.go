// Package assess runs every engine over one job and gathers what they say in
// one Assessment. It alone knows all engines; what it says in words, it says
// in the job's units and its region's terms.
package assess

import (
	"cmp"
	"slices"

	"zaino/internal/core/brief"
	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/module"
	"zaino/internal/core/rating"
)

// Assessment is everything that the core has to say about a job's chosen
// variant in the state shown.
type Assessment struct {
	Variant   string           `json:"variant" doc:"id of the assessed variant"`
	Wheelbase float64          `json:"wheelbase" doc:"with its extension, mm"`
	Datums    []DatumOrigin    `json:"datums"`
	Pads      []Pad            `json:"pads"`
	Axles     load.Axles       `json:"axles" doc:"with the trailer if coupled, kg"`
	Gross     float64          `json:"gross" doc:"kg"`
	Dry       load.Axles       `json:"dry" doc:"baseline with its definition taken off, kg"`
	Unladen   load.Axles       `json:"unladen" doc:"dry with its parts as they are now, kg"`
	Centre    load.Centre      `json:"centre" doc:"centre of gravity without trailer"`
	Corners   load.Corners     `json:"corners" doc:"estimate, without trailer"`
	Stability Stability        `json:"stability"`
	Grade     Grade            `json:"grade"`
	Trailer   *TrailerFigures  `json:"trailer,omitempty"`
	Items     []ItemFigures    `json:"items" doc:"in the order of the variant"`
	Tanks     []ItemFigures    `json:"tanks" doc:"contents, in the order of the vehicle"`
	Groups    []GroupFigures   `json:"groups"`
	Worst     []WorstState     `json:"worst"`
	Ratings   []rating.Rating  `json:"ratings" doc:"every limit with what bears on it"`
	Weighing  WeighingFigures  `json:"weighing" doc:"what the tickets say together"`
	Ride      RideFigures      `json:"ride" doc:"how the vehicle stands in the state shown"`
	Bays      []BayFigures     `json:"bays" doc:"in the order of the vehicle"`
	Brief     BriefFigures     `json:"brief" doc:"what follows from the brief"`
	Bench     []PartFigures    `json:"bench" doc:"every module, and what lies in one, in the order of the variant"`
	Handling  Handling         `json:"handling" doc:"stances, and what it takes to get at things"`
	Findings  []fitout.Finding `json:"findings" doc:"worst first, what the specialist lets stand last"`
}

// DatumOrigin is where a datum lies.
type DatumOrigin struct {
	Datum fitout.Datum `json:"datum" enum:"front-axle,rear-axle,headboard,front-end,rear-end"`
	X     float64      `json:"x" doc:"mm"`
}

// Of assesses a valid job.
func Of(j *fitout.Job) Assessment {
	s := newSubject(j)
	a := Assessment{
		Variant: s.variant.ID, Wheelbase: s.plan.Wheelbase, Axles: s.plan.Axles(), Gross: s.plan.Axles().Gross(),
		Dry:     load.Moments{}.Add(s.plan.Dry).Axles(s.plan.Wheelbase),
		Unladen: s.plan.Unladen.Axles(s.plan.Wheelbase),
		Centre:  s.now.Centre(), Corners: s.now.Corners(s.plan.Wheelbase, s.plan.TrackFront, s.plan.TrackRear),
		Stability: stability(s), Grade: grade(s), Trailer: trailer(s),
		Items: items(s), Tanks: tanks(s), Groups: groups(s), Findings: []fitout.Finding{},
		Ratings: s.ratings, Weighing: weighing(s), Ride: s.ride, Bays: bays(s), Brief: briefFigures(s), Bench: benchFigures(s), Handling: handling(s),
	}
	for _, d := range fitout.Datums {
		a.Datums = append(a.Datums, DatumOrigin{d, j.Vehicle.Origin(d)})
	}
	for _, l := range s.limits {
		a.Pads = append(a.Pads, l.pad())
		a.Worst = append(a.Worst, l.worstStates(s)...)
	}
	a.Worst = append(a.Worst, sideStates(s)...)
	for _, rule := range rules() {
		a.Findings = append(a.Findings, rule(s)...)
	}
	accept(j, a.Findings)
	slices.SortStableFunc(a.Findings, func(x, y fitout.Finding) int {
		return cmp.Or(cmp.Compare(min(1, len(x.Accepted)), min(1, len(y.Accepted))), cmp.Compare(rank(x.Severity), rank(y.Severity)))
	})
	for i := range a.Findings {
		f := &a.Findings[i]
		f.Title, f.Sentence = unbroken(f.Title), unbroken(f.Sentence)
		if f.Fixes == nil {
			f.Fixes = []fitout.Fix{}
		}
		if f.Lines == nil {
			f.Lines = []fitout.Line{}
		}
	}
	return a
}

// Stopped reports whether any finding stops the build that the specialist does
// not let stand.
func (a *Assessment) Stopped() bool {
	return len(a.Findings) > 0 && a.Findings[0].Severity == fitout.Stop && a.Findings[0].Accepted == ""
}

func rank(s fitout.Severity) int {
	switch s {
	case fitout.Stop:
		return 0
	case fitout.Caution:
		return 1
	}
	return 2
}

// rules are all rules, each a function from what is assessed to its findings.
func rules() []func(*subject) []fitout.Finding {
	return []func(*subject) []fitout.Finding{
		overLimit, overTowing, overPlacard, worstOverLimit, limitMissing, limitEstimated, ratingsShort,
		baselineOverLimit, baselineAssumed, driverSeatMissing, ticketMissing, scaleNotLevel, ticketsContradict,
		frontLight, sidesUneven, tipLost, seatShared, stationUnset,
		extensionUncertified, upgradeUncertified, raisesNothing, tyreUnknown, bumpClearance,
		bayMeasures, bayOver, roofParkedOver, envelope, fuelShort, payloadGone, travellerDiffers, gearNotAboard,
		gearTooLarge, cellOverfull, fitFindings,
	}
}

// subject is a job made ready to be looked at by rules.
type subject struct {
	given   *fitout.Job // as it came
	job     *fitout.Job // with every item at its centre of mass
	variant *fitout.Variant
	placed  []fitout.Item // with their boxes where they are drawn; in the variant they stand at their centre of mass
	plan    *load.Plan
	now     load.Moments // without trailer
	limits  []limit
	say     speaker

	ratings  []rating.Rating
	weighing load.Weighing // of the tickets, for a weighed baseline
	baseline load.Baseline // how sure the empty vehicle is
	spreads  *load.Spread  // see spread
	needs    brief.Needs
	ride     RideFigures
	bench    bench
	scene    *fit.Scene
}

// rating is what binds of a limit.
func (s *subject) rating(id fitout.LimitID) rating.Rating {
	for i := range s.ratings {
		if s.ratings[i].Limit == id {
			return s.ratings[i]
		}
	}
	return rating.Rating{}
}

func newSubject(j *fitout.Job) *subject {
	given := j
	placed := module.Placed(j.ChosenVariant().Items, handy(&j.Brief))
	j = module.Weighed(j, placed)
	placed = extended(placed, j.Vehicle.Extension)
	s := &subject{given: given, job: j, variant: j.ChosenVariant(), placed: placed, plan: load.NewPlan(j), say: speaker{j}}
	s.now = s.plan.Now()
	s.ratings = rating.All(&j.Vehicle)
	if j.Vehicle.Baseline.Definition == fitout.AsWeighed {
		s.weighing = load.Weigh(&j.Vehicle)
	}
	s.baseline = load.BaselineOf(&j.Vehicle, &s.weighing, &j.Practice.Uncertainty)
	s.limits = limits(s)
	s.needs = brief.NeedsOf(&j.Brief)
	s.ride = rideFigures(s)
	s.bench = newBench(s)
	s.bench.fill(s)
	s.scene = sceneOf(s)
	return s
}
