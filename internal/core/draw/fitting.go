package draw

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/shape"
)

// fittings are the mouths of fillers, the taps and the couplings for air, where they are entered, and the
// lines by which a vessel feeds another or a tap: from middle to middle, as nobody enters how they are led.
func (s *Scene) fittings() {
	put := func(id, name string, solids []shape.Prism) { s.fixed(shape.FittingID+id, name, OfFitting, solids) }
	here := func(at fitout.Point) fitout.Point {
		return fitout.Point{X: s.plan.Given.Vehicle.Stands(at.X, false), Y: at.Y, Z: at.Z}
	}
	add := func(id, name string, at fitout.Point) { put(id, name, shape.Fitting(here(at))) }
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
		if fed := s.vesselName(v.Feeds); fed != "" {
			put("line-"+v.Of, "Line from "+name+" to "+fed, shape.Pipe(s.vesselAt(v.Of), s.vesselAt(v.Feeds)))
		}
	}
	for i := range p.Outlets {
		o := &p.Outlets[i]
		add("outlet-"+o.ID, o.Name, o.At)
		if name := s.vesselName(o.Vessel); name != "" {
			put("line-"+o.ID, "Line from "+name+" to "+o.Name, shape.Pipe(s.vesselAt(o.Vessel), here(o.At)))
		}
	}
	for i := range p.Air.Couplings {
		add("coupling-"+p.Air.Couplings[i].ID, p.Air.Couplings[i].Name, p.Air.Couplings[i].At)
	}
}

// vesselAt is the middle of a tank or an item as it stands.
func (s *Scene) vesselAt(id string) fitout.Point {
	for i := range s.plan.Vehicle.Tanks {
		if s.plan.Vehicle.Tanks[i].ID == id {
			return s.plan.Vehicle.Tanks[i].At
		}
	}
	if k := s.plan.Index(id); k >= 0 {
		return s.plan.Items[k].At
	}
	return fitout.Point{}
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
