package draw

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/shape"
)

// fittings are the mouths of fillers, the taps and the couplings for air, where they are entered.
func (s *Scene) fittings() {
	add := func(id, name string, at fitout.Point) {
		solids := shape.Fitting(fitout.Point{X: s.plan.Given.Vehicle.Stands(at.X, false), Y: at.Y, Z: at.Z})
		s.things = append(s.things, thing{id: shape.FittingID + id, name: name, kind: OfFitting, number: -1, solids: solids,
			box: around(solids), form: shape.Part{ID: shape.FittingID + id, Still: solids}})
	}
	p := &s.plan.Variant.Plumbing
	for i := range p.Vessels {
		v := &p.Vessels[i]
		if name := s.vesselName(v.Of); v.Filler != nil && name != "" {
			add("filler-"+v.Of, "Filler of "+name, v.Filler.At)
		}
	}
	for i := range p.Vessels {
		v := &p.Vessels[i]
		name := s.vesselName(v.Of)
		if name == "" {
			continue
		}
		if v.DrainAt != nil {
			add("drain-"+v.Of, "Drain of "+name, *v.DrainAt)
		}
		if v.BreatherAt != nil {
			add("breather-"+v.Of, "Breather of "+name, *v.BreatherAt)
		}
	}
	for i := range p.Outlets {
		add("outlet-"+p.Outlets[i].ID, p.Outlets[i].Name, p.Outlets[i].At)
	}
	for i := range p.Air.Couplings {
		add("coupling-"+p.Air.Couplings[i].ID, p.Air.Couplings[i].Name, p.Air.Couplings[i].At)
	}
}

// vesselName is what a tank or an item is called, or nothing for one that is gone.
func (s *Scene) vesselName(id string) string {
	for i := range s.plan.Vehicle.Tanks {
		if s.plan.Vehicle.Tanks[i].ID == id {
			return s.plan.Vehicle.Tanks[i].Name
		}
	}
	return s.plan.Name(id)
}
