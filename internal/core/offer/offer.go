// Package offer has the single changes of load that take something off a limit: what
// each is called, the edit that makes it, and what it does to every limit, by as much as
// it is made. Findings offer the best of them; ways to mend combine them.
package offer

import (
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
)

// ShiftStep is to what a move is rounded, mm, and Lightest the mass below which nothing
// is worth moving, kg.
const (
	ShiftStep = 5.0
	Lightest  = 4.0
)

// Change is one thing that can be done, by any amount up to Most: mm that something is
// moved, litres that are left out, 1 for what is done or not.
type Change struct {
	Things  []string  // ids of what it is done to; one thing is changed once
	Most    float64   // amount
	Step    float64   // to which an amount is rounded; the whole of Most for what is done or not
	Effects []float64 // of an amount of 1 on each limit of the table, in the unit that it counts
	Axles   load.Axles
	Effort  float64 // of an amount of 1: kg·m moved, or kg left behind
	Saves   float64 // by how much a part of the catalogue is lighter, kg

	// Fix is the change by an amount, and Can tells whether it goes by that much.
	Fix func(amount float64) fitout.Fix
	Can func(amount float64) bool
}

// sheet is a plan with the table that the effects of changes are told in.
type sheet struct {
	*plan.Plan
	table  *limits.Table
	aboard Supplies
}

// effects are what a change of moments of one carrier does to every limit.
func (s sheet) effects(c load.Carrier, m load.Moments) []float64 { return s.table.Effects(c, m) }

// whole is a change that is done or not.
func (s sheet) whole(things []string, effort float64, effects []float64, axles load.Axles, fix fitout.Fix) Change {
	fix.Front, fix.Rear = axles.Front, axles.Rear
	return Change{
		Things: things, Most: 1, Step: 1, Effects: effects, Axles: axles, Effort: effort,
		Fix: func(float64) fitout.Fix { return fix }, Can: func(float64) bool { return true },
	}
}

// axles are what a change of moments does to the vehicle's axles, kg.
func (s sheet) axles(m load.Moments) load.Axles { return m.Axles(s.Load.Wheelbase) }

// Meets tells whether two changes are done to the same thing.
func (c *Change) Meets(other *Change) bool {
	return slices.ContainsFunc(c.Things, func(thing string) bool { return slices.Contains(other.Things, thing) })
}

// Rounded is an amount rounded up to a step, and at most the most.
func (c *Change) Rounded(amount float64) float64 {
	if c.Step >= c.Most {
		return c.Most
	}
	return min(c.Most, math.Ceil(amount/c.Step-1e-9)*c.Step)
}

// Relief is what it takes off one limit by an amount of 1.
func (c *Change) Relief(limit int) float64 { return -c.Effects[limit] }

// All are all single changes, whichever limit they take something off. Of parts of the
// catalogue those are thought of that are the least lighter.
func All(p *plan.Plan, components []fitout.Component) []Change {
	s := sheet{p, limits.Of(p), SuppliesOf(p)}
	return slices.Concat(
		s.moves(), s.across(), s.drains(), s.leavings(), s.uncoupling(), s.lighter(), s.seatings(),
		s.ontoTrailer(), s.offTrailer(), s.swaps(components), s.ballShifts(),
	)
}

// For are those of them that take something off a limit, given by its place in the table.
func For(all []Change, limit int) []Change {
	var found []Change
	for _, c := range all {
		if quantity.Exceeds(c.Relief(limit)*c.Most, leastRelief) {
			found = append(found, c)
		}
	}
	return found
}

// leastRelief is what is not worth telling, kg.
const leastRelief = 0.05
