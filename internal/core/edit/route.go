package edit

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/trip"
)

// onVariant makes an edit of a copy of the chosen variant.
func onVariant(change func(j *fitout.Job, v *fitout.Variant, e *fitout.FixEdit) bool) Kind {
	return Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		changed := *j
		changed.Variants = slices.Clone(j.Variants)
		done := change(j, changed.ChosenVariant(), e)
		return changed, done
	}}
}

// fillPlan fills the fuel of the trip in one manner, and uses its tanks up in the order that goes
// with it.
var fillPlan = onVariant(func(j *fitout.Job, v *fitout.Variant, e *fitout.FixEdit) bool {
	manner := trip.Manner(e.With)
	if !slices.Contains(trip.Manners, manner) {
		return false
	}
	c := trip.CourseOf(plan.Of(j))
	p := c.Propose(manner)
	if p.Refuse != nil || len(p.Fills) == 0 {
		return false
	}
	v.Fills = c.With(p.Fills)
	order := make([]fitout.UsedFirst, 0, len(v.UsedUp)+len(p.Order))
	for _, id := range p.Order {
		order = append(order, fitout.UsedFirst{Of: id})
	}
	for _, used := range v.UsedUp {
		if !slices.Contains(p.Order, used.Of) {
			order = append(order, used)
		}
	}
	v.UsedUp = order
	return true
})

// onRoute makes an edit of a copy of the route; one without stops is first that of the brief.
func onRoute(change func(r *fitout.Route, e *fitout.FixEdit) bool) Kind {
	return Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		changed := *j
		if len(j.Route.Stops) < 2 {
			changed.Route = *trip.OfBrief(j)
		}
		changed.Route.Stops = slices.Clone(changed.Route.Stops)
		return changed, change(&changed.Route, e)
	}}
}

// stopSure counts on a stop.
var stopSure = onRoute(func(r *fitout.Route, e *fitout.FixEdit) bool {
	i := slices.IndexFunc(r.Stops, func(s fitout.RouteStop) bool { return s.ID == e.ID })
	if i < 0 {
		return false
	}
	r.Stops[i].Sure = fitout.Sure
	return true
})

// routeOfBrief makes the way that the brief has into one of stops and legs.
var routeOfBrief = onRoute(func(*fitout.Route, *fitout.FixEdit) bool { return true })

// routeStop puts a stop onto the way, so many km from its start: the leg there becomes two.
var routeStop = onRoute(func(r *fitout.Route, e *fitout.FixEdit) bool {
	km, at := 0.0, -1
	for i := range len(r.Stops) - 1 {
		if e.Value > km+0.005 && e.Value < km+r.Stops[i].Leg.Km-0.005 {
			at = i
			break
		}
		km += r.Stops[i].Leg.Km
	}
	if at < 0 || len(r.Stops) >= mostStops {
		return false
	}
	n := 1
	for slices.ContainsFunc(r.Stops, func(s fitout.RouteStop) bool { return s.ID == fmt.Sprint("stop-", n) }) {
		n++
	}
	s := fitout.NewStop(fmt.Sprint("stop-", n), fmt.Sprintf("Stop at km %.0f", e.Value))
	whole := r.Stops[at].Leg
	first := math.Round((e.Value-km)*100) / 100
	s.Leg = whole
	s.Leg.Surfaces = slices.Clone(whole.Surfaces)
	share := first / whole.Km
	r.Stops[at].Leg.Km, s.Leg.Km = first, math.Round((whole.Km-first)*100)/100
	r.Stops[at].Leg.Hours, s.Leg.Hours = whole.Hours*share, whole.Hours*(1-share)
	r.Stops[at].Leg.Idle, s.Leg.Idle = whole.Idle*share, whole.Idle*(1-share)
	if place, known := placeAt(r, e.Value); known {
		s.Place = &place
	}
	r.Stops = slices.Insert(r.Stops, at+1, s)
	return true
})

// mostStops is how many stops a route has at most.
const mostStops = 200

// placeAt is where the line of a way is after so many km; false without a line.
func placeAt(r *fitout.Route, km float64) (fitout.Place, bool) {
	points, err := fitout.ParseTrack(r.Track)
	if err != nil || len(points) == 0 {
		return fitout.Place{}, false
	}
	for i := 1; i < len(points); i++ {
		a, b := points[i-1], points[i]
		if km > b.Km || b.Km == a.Km {
			continue
		}
		share := max(0, (km-a.Km)/(b.Km-a.Km))
		east := b.Longitude - a.Longitude
		if math.Abs(east) > 180 { // across the date line
			east -= math.Copysign(360, east)
		}
		longitude := math.Mod(a.Longitude+share*east+540, 360) - 180
		return fitout.Place{Latitude: a.Latitude + share*(b.Latitude-a.Latitude), Longitude: longitude}, true
	}
	return points[len(points)-1].Place, true
}

// routeWithout takes a stop off the way: the legs beside it become one. Of the ends nothing is kept
// but the rest of the way.
var routeWithout = onRoute(func(r *fitout.Route, e *fitout.FixEdit) bool {
	i := slices.IndexFunc(r.Stops, func(s fitout.RouteStop) bool { return s.ID == e.ID })
	if i < 0 || len(r.Stops) <= 2 {
		return false
	}
	if i > 0 && i < len(r.Stops)-1 {
		before, after := &r.Stops[i-1].Leg, &r.Stops[i].Leg
		before.Km, before.Hours, before.Idle = before.Km+after.Km, before.Hours+after.Hours, before.Idle+after.Idle
	}
	r.Stops = slices.Delete(r.Stops, i, i+1)
	return true
})

// tripCases adds a case for each leg of the trip, as the vehicle leaves its stop; those that are
// there already are brought up to date.
var tripCases = onVariant(func(j *fitout.Job, v *fitout.Variant, _ *fitout.FixEdit) bool {
	p := plan.Of(j)
	l := trip.LookAt(p)
	if !l.Typed {
		return false
	}
	v.Cases = slices.Clone(v.Cases)
	for i := range l.W.Legs {
		stop := &l.C.Route.Stops[i]
		c := fitout.Case{ID: "leaving-" + stop.ID, Name: "Leaving " + stop.Name, Coupled: l.W.Stops[i].Towing,
			Switches: []fitout.CaseSwitch{}, Choices: []fitout.CaseChoice{}, Levels: []fitout.CaseLevel{},
			People: []fitout.CasePerson{}, Charges: []fitout.CaseCharge{}}
		if len(c.ID) > 64 {
			c.ID = c.ID[:64]
		}
		for k := range l.C.Vessels {
			c.Levels = append(c.Levels, fitout.CaseLevel{Of: l.C.Vessels[k].ID, Litres: math.Round(l.W.Stops[i].Leave[k]*10) / 10})
		}
		if len([]rune(c.Name)) > 120 {
			c.Name = string([]rune(c.Name)[:120])
		}
		if at := slices.IndexFunc(v.Cases, func(own fitout.Case) bool { return own.ID == c.ID }); at >= 0 {
			v.Cases[at].Levels, v.Cases[at].Coupled = c.Levels, c.Coupled
			continue
		}
		if len(v.Cases) >= mostCases {
			break
		}
		v.Cases = append(v.Cases, c)
	}
	return true
})

// mostCases is how many cases a variant has at most.
const mostCases = 40
