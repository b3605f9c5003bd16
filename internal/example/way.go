package example

import (
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// way mends a route that was drawn: each day, fuel and surface once, and a line that can be read.
func (d drawing) way(j *fitout.Job) {
	r := &j.Route
	r.Track = rapid.SampledFrom([]string{"", "-26.5,151.2,0 -26.9,151.8,74.4"}).Draw(d.t, "line")
	for i := range r.Stops {
		s := &r.Stops[i]
		s.Closed = only(s.Closed, func(c *fitout.Closed) string { return string(c.Day) },
			func(*fitout.Closed) bool { return true })
		s.Fuels = only(s.Fuels, func(f *fitout.FuelHad) string { return string(f.Fuel) },
			func(*fitout.FuelHad) bool { return true })
		s.Leg.Surfaces = only(s.Leg.Surfaces, func(l *fitout.LegSurface) string { return l.Surface },
			func(l *fitout.LegSurface) bool {
				l.Surface = one(d, j.Brief.Surfaces, func(s *fitout.Surface) string { return s.ID }, "gone")
				return true
			})
	}
	stop := func() string {
		return one(d, r.Stops, func(s *fitout.RouteStop) string { return s.ID }, "gone")
	}
	for i := range j.Variants {
		v := &j.Variants[i]
		vessel := func() string {
			ids := []string{"gone"}
			for _, t := range j.Vehicle.Tanks {
				ids = append(ids, t.ID)
			}
			for _, item := range v.Items {
				if item.Presence.Kind == fitout.ByLevel {
					ids = append(ids, item.ID)
				}
			}
			return rapid.SampledFrom(ids).Draw(d.t, "vessel")
		}
		v.Fills = only(v.Fills, func(f *fitout.StopFill) string { return f.Stop + "/" + f.Of },
			func(f *fitout.StopFill) bool { f.Stop, f.Of = stop(), vessel(); return true })
		p := &v.Plumbing
		p.Vessels = only(p.Vessels, func(w *fitout.Vessel) string { return w.Of },
			func(w *fitout.Vessel) bool { w.Of, w.Feeds = vessel(), vessel(); return true })
		for k := range p.Outlets {
			p.Outlets[k].Vessel = vessel()
			p.Outlets[k].Pump = one(d, p.Pumps, func(q *fitout.Pump) string { return q.ID }, "")
		}
		for k := range p.Warmers {
			p.Warmers[k].Vessel = vessel()
		}
		for k := range p.Burners {
			p.Burners[k].Vessel = vessel()
		}
	}
}
