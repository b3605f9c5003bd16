package trip

import (
	"math"

	"zaino/internal/core/limits"
)

// Worst is the load of a way that is nearest to its limit, or furthest over it.
type Worst struct {
	Limit string  // id of the limit
	Km    float64 // where
	Leg   int
	Load  float64 // kg
	Most  float64 // kg
}

// Share is the load over its limit.
func (w *Worst) Share() float64 { return w.Load / w.Most }

// bounds are the limits in kg that are looked at along the way, where they are stated.
func (c *Course) bounds() []bound {
	var all []bound
	table := limits.Of(c.Plan)
	for _, of := range []struct {
		id   string
		load func(l *Loads) float64
	}{
		{"front", func(l *Loads) float64 { return l.Front }}, {"rear", func(l *Loads) float64 { return l.Rear }},
		{"gross", func(l *Loads) float64 { return l.Gross }},
		{"combination", func(l *Loads) float64 { return l.Combination }},
	} {
		if l := table.Get(of.id); l != nil && l.Facts().Stated() {
			all = append(all, bound{of.id, l.Facts().Title, l.Facts().Bound.Figure(), of.load})
		}
	}
	return all
}

type bound struct {
	id, title string
	most      float64
	load      func(*Loads) float64
}

// WorstOf is where each limit is nearest on a way, in their order; the combination counts only
// where the trailer is on.
func (c *Course) WorstOf(w *Way) []Worst {
	all := []Worst{}
	for _, b := range c.bounds() {
		worst := Worst{Limit: b.id, Load: math.Inf(-1), Most: b.most}
		for i := range w.Points {
			p := &w.Points[i]
			if b.id == "combination" && (p.Leg < 0 || !w.Legs[p.Leg].Towing) {
				continue
			}
			if load := b.load(&p.Loads); load > worst.Load {
				worst.Load, worst.Km, worst.Leg = load, p.Km, p.Leg
			}
		}
		if !math.IsInf(worst.Load, -1) {
			all = append(all, worst)
		}
	}
	return all
}

// worst is the worst of all limits; nothing where none is stated.
func (c *Course) worst(w *Way) Worst {
	of := Worst{Most: 1}
	for _, one := range c.WorstOf(w) {
		if of.Limit == "" || one.Share() > of.Share() {
			of = one
		}
	}
	return of
}
