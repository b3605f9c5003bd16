// Package limits is the one table of what a loaded vehicle is held against: a file
// for each limit, with what loads it, the most or the least that it may be, the exact
// worst state, what it is about and where it applies. Pads, cases, findings, ways to
// mend, the loading card and accounts range over it; a limit that is added here is in
// all of them.
//
// Every limit is linear in the moments of what is aboard, and that is why its worst
// state can be found exactly and the effect of a change be told without making it.
package limits

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/core/rating"
)

// Limit is one thing that the vehicle is held against.
type Limit interface {
	Facts() *Facts
	// Load is what it is loaded with in a situation, in its unit.
	Load(in *Situation) float64
	// Beyond is by how much that is beyond what it may be, in the unit that Counts
	// count; at most 0 within it.
	Beyond(in *Situation) float64
	// Counts are the linear counts of which the greatest is Beyond, up to a constant:
	// one, or one for each side that it could be passed to.
	Counts() []load.Count
	// Worst is the state in which it is furthest beyond.
	Worst() *load.State
}

// Facts are what is told of a limit.
type Facts struct {
	ID      string
	Title   string // at the head of a column or finding
	Term    string // in the middle of a sentence, in the region's words
	Unit    string
	Bound   Bound
	Subject fitout.Subject
	Rule    string // what the ids of its findings begin with
	Source  string // where the limit comes from, as findings tell it
	Note    string // where it comes from, or what it counts, in a phrase
	Binds   string // which rating is the limit, where it is not the plate's
	Rating  rating.Rating
	Towing  bool   // says something only while the trailer is coupled
	Missing string // what cannot be said while nobody has stated it; empty where nobody has to
	Echo    bool   // another limit tells the same, with other words: it has no findings of its own
}

// Bound is what a load may be: at most, or at least.
type Bound interface {
	Figure() float64            // in the unit of the limit; 0 = not stated
	Left(load float64) float64  // what is left; negative is beyond
	Holds(load float64) bool    // the load is within it; one at exactly its limit is
	Near(load, of float64) bool // within it, with less than a share of it left
}

// Most is a bound from above.
type Most float64

// Figure is the most.
func (m Most) Figure() float64 { return float64(m) }

// Left is the most less the load.
func (m Most) Left(load float64) float64 { return float64(m) - load }

// Holds tells whether the load is at most that.
func (m Most) Holds(load float64) bool { return !quantity.Exceeds(load, float64(m)) }

// Near tells whether a load that holds comes within a share of the most.
func (m Most) Near(load, share float64) bool { return quantity.Exceeds(load, float64(m)*(1-share)) }

// Least is a bound from below.
type Least float64

// Figure is the least.
func (l Least) Figure() float64 { return float64(l) }

// Left is the load less the least.
func (l Least) Left(load float64) float64 { return load - float64(l) }

// Holds tells whether the load is at least that.
func (l Least) Holds(load float64) bool { return !quantity.Exceeds(float64(l), load) }

// Near is never so: what has to be reached is not called close.
func (l Least) Near(float64, float64) bool { return false }

// States of a load against its bound, as a word.
const (
	Within  = "within"
	Close   = "close"
	Over    = "over"
	Unknown = "unknown" // no limit is stated
	Absent  = "absent"  // there is nothing to hold against it
)

// State is the state of a load against a bound, in one word. closeShare is the share
// of a mass below which what is left is close.
func (f *Facts) State(load, closeShare float64) string {
	switch {
	case f.Bound.Figure() == 0:
		return Unknown
	case !f.Bound.Holds(load):
		return Over
	case f.Unit == "kg" && f.Bound.Near(load, closeShare):
		return Close
	}
	return Within
}

// Stated tells whether anybody has said what it may be.
func (f *Facts) Stated() bool { return f.Bound.Figure() > 0 }

// Told is the limit's name in a sentence, with what binds where it is not the plate:
// "rear axle rating, here the tyres".
func (f *Facts) Told() string {
	if f.Binds == "" {
		return f.Term
	}
	return f.Term + ", here " + f.Binds
}

// Table is every limit of a plan.
type Table struct {
	Pads []*Mass // the axles, the gross and, when it tows, the combination
	All  []Limit // every one, those of the pads first, in the order of the matrix

	plan     *plan.Plan
	shown    *Situation
	leaning  []load.Count // of each limit, what decides in the state shown
	beyond   []float64    // of each limit, by how much it is passed in the state shown
	baseline load.Baseline
	spread   *load.Spread
}

// Of returns the table of a plan.
func Of(p *plan.Plan) *Table {
	return plan.Once(p, func(p *plan.Plan) *Table {
		t := &Table{plan: p}
		t.baseline = load.BaselineOf(&p.Given.Vehicle, &p.Load.Weighing, &p.Job.Practice.Uncertainty)
		t.Pads = append(axles(p), gross(p))
		t.Pads = append(t.Pads, combination(p)...)
		for _, l := range t.Pads {
			t.All = append(t.All, l)
		}
		add := func(more []*Mass) {
			for _, l := range more {
				t.All = append(t.All, l)
			}
		}
		add(payload(p))
		add(placard(p))
		add(tyres(p))
		add(trailer(p))
		add(ball(p))
		t.All = append(t.All, ballShares(p)...)
		add(roof(p))
		add(bays(p))
		return t.withBalance()
	})
}

// withBalance adds the workshop's rules of balance and the seats.
func (t *Table) withBalance() *Table {
	t.All = append(t.All, frontShare(t.plan), sides(t.plan), tip(t.plan), seats(t.plan))
	return t
}

// Get returns a limit by its id, or nil.
func (t *Table) Get(id string) Limit {
	for _, l := range t.All {
		if l.Facts().ID == id {
			return l
		}
	}
	return nil
}

// Shown is the situation of the state shown.
func (t *Table) Shown() *Situation {
	if t.shown == nil {
		t.shown = In(t.plan, &t.plan.Shown)
	}
	return t.shown
}

// Baseline is how sure the empty vehicle is.
func (t *Table) Baseline() load.Baseline { return t.baseline }

// Effects are what a change of one carrier does to each limit, in the order of the
// table, in the unit that its Counts count; negative takes something off it.
func (t *Table) Effects(c load.Carrier, change load.Moments) []float64 {
	if !t.Shown().State.Coupled {
		change.Towed, change.Ball = 0, 0 // what is on a trailer that stays behind is on nothing
	}
	if t.leaning == nil {
		for _, l := range t.All {
			t.leaning = append(t.leaning, leaning(l, t.Shown()))
		}
	}
	all := make([]float64, len(t.All))
	for i, count := range t.leaning {
		all[i] = count(c, change)
	}
	return all
}

// leaning is the count of a limit that decides now: of the sides, that of the heavier.
func leaning(l Limit, in *Situation) load.Count {
	counts := l.Counts()
	best := counts[0]
	for _, count := range counts[1:] {
		if in.Sum(count) > in.Sum(best) {
			best = count
		}
	}
	return best
}

// Keeps tells whether effects leave every limit but one kept that is kept now, and
// none further beyond that is passed already. An empty id leaves out none.
func (t *Table) Keeps(effects []float64, but string) bool {
	if t.beyond == nil {
		for _, l := range t.All {
			t.beyond = append(t.beyond, l.Beyond(t.Shown()))
		}
	}
	for i, l := range t.All {
		f := l.Facts()
		if f.ID == but || !f.Stated() || f.Towing && !t.Shown().State.Coupled {
			continue
		}
		if now := t.beyond[i]; quantity.Exceeds(now+effects[i], max(0, now)) {
			return false
		}
	}
	return true
}

// Sigmas are the standard uncertainties of the loads in kg in a state, in the order of the
// table; 0 for what is no load in kg.
func (t *Table) Sigmas(state *load.State) []float64 {
	if t.spread == nil {
		counts := make([]load.Count, len(t.All))
		for i, l := range t.All {
			counts[i] = func(load.Carrier, load.Moments) float64 { return 0 }
			if m, isMass := l.(*Mass); isMass {
				counts[i] = m.count
			}
		}
		t.spread = load.NewSpread(t.plan.Load, counts, t.baseline, &t.plan.Job.Practice.Uncertainty)
	}
	return t.spread.In(state)
}
