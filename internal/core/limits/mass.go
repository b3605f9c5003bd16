package limits

import (
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/rating"
	"zaino/internal/core/words"
)

// Mass is a limit in kg that a plate, papers or a data sheet give.
type Mass struct {
	facts  Facts
	count  load.Count
	always float64 // that loads it whatever the state, kg

	// Carries says in words how much it carries of how much; Comes is the verb of it:
	// an axle carries, a trailer comes to.
	carries func(load, most string) string
	comes   string

	plan  *plan.Plan
	worst *load.State
}

// Facts are what is told of it.
func (m *Mass) Facts() *Facts { return &m.facts }

// Load is what loads it, kg.
func (m *Mass) Load(in *Situation) float64 { return in.Sum(m.count) + m.always }

// Beyond is by how much the load is more than the limit, kg.
func (m *Mass) Beyond(in *Situation) float64 { return -m.facts.Bound.Left(m.Load(in)) }

// Counts are the one count of what it is loaded with.
func (m *Mass) Counts() []load.Count { return []load.Count{m.count} }

// Worst is the state in which it is loaded most; of what only loads it while the
// trailer is coupled, with that.
func (m *Mass) Worst() *load.State {
	if m.worst == nil {
		worst := m.plan.Load.Worst(m.count)
		if m.facts.Towing {
			worst = m.plan.Load.WorstTowing(m.count)
		}
		worst.Value += m.always
		m.worst = &worst
	}
	return m.worst
}

// Later is what comes later, or from others, puts on it, kg.
func (m *Mass) Later() float64 {
	sum := 0.0
	p := m.plan.Load
	for i := range p.Items {
		if p.Items[i].Later {
			sum += m.count(p.Carrier(i), p.Moments(i))
		}
	}
	return sum
}

// Per is what a kilogram at a place loads it with, kg: on a carrier, at a place.
func (m *Mass) Per(c load.Carrier, at load.Moments) float64 { return m.count(c, at) }

// rated begins a limit that a rating gives.
func rated(p *plan.Plan, id, title string, r rating.Rating) *Mass {
	return &Mass{plan: p, comes: "carries", facts: Facts{
		ID: id, Rule: id, Title: title, Unit: "kg", Bound: Most(r.Kg), Rating: r, Source: words.Source(r.Source),
		Binds: r.Binds(p.Say),
	}}
}

// ofItems counts the mass of the items that pass.
func ofItems(passes func(c load.Carrier) bool) load.Count {
	return func(c load.Carrier, m load.Moments) float64 {
		if c.Kind != load.OneItem || !passes(c) {
			return 0
		}
		return m.Kg
	}
}
