package device

import (
	"hash/fnv"
	"math"
	"math/rand/v2"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// Truth is what a simulated scale is loaded with: every mass of a plan is off by as much as it is believed to err, by
// its seed, and something stands in the vehicle that nobody listed.
type Truth struct {
	Seed     uint64
	Unlisted float64 // kg, behind the rear axle on the left
}

// Part is what a part really weighs, kg.
func (t Truth) Part(p *plan.Plan, id string) (kg float64, ok bool) {
	i := p.Index(id)
	if i < 0 {
		return 0, false
	}
	item := &p.Variant.Items[i]
	mass, source := item.Mass, item.Source
	if p.Items[i].Planned != nil {
		mass, source = p.Items[i].Planned.Kg, p.Items[i].Planned.Source
	}
	return mass + t.off(id)*load.MassSigma(source, mass, &p.Job.Practice.Uncertainty), true
}

// off is by how many standard deviations a thing is off, between −2 and 2.
func (t Truth) off(id string) float64 {
	h := fnv.New64a()
	h.Write([]byte(id))
	return max(-2, min(2, rand.New(rand.NewPCG(t.Seed, h.Sum64())).NormFloat64()))
}

// Wheels is what a plan really puts on each wheel in the state shown, without its trailer, kg.
func (t Truth) Wheels(p *plan.Plan) load.Corners {
	state := p.Shown
	state.Stance, state.At, state.Coupled = "", nil, false
	plain := p.Load.Plain()
	m := plain.MomentsIn(&state)
	for i := range p.Items {
		thing, aboard := plain.In(i, &state)
		if !aboard || thing.Trailer {
			continue
		}
		real, _ := t.Part(p, p.Items[i].ID)
		thing.Mass.Kg = real - p.Variant.Items[i].Mass
		m = m.Add(thing.Mass)
	}
	if t.Unlisted > 0 {
		m = m.Add(load.Mass{Kg: t.Unlisted, X: plain.Wheelbase + 600, Y: -plain.TrackRear / 3, Z: 900})
	}
	c := m.Corners(plain.Wheelbase, plain.TrackFront, plain.TrackRear)
	return load.Corners{
		FrontLeft:  max(0, c.FrontLeft),
		FrontRight: max(0, c.FrontRight),
		RearLeft:   max(0, c.RearLeft),
		RearRight:  max(0, c.RearRight),
	}
}

// SeedOf is a seed for a job.
func SeedOf(j *fitout.Job) uint64 {
	h := fnv.New64a()
	h.Write([]byte(j.ID))
	return h.Sum64() & math.MaxInt64
}
