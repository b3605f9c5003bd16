package trip

import (
	"math"

	"zaino/internal/core/fitout"
)

// EarthRadius is the mean radius of the earth, km (IUGG).
const EarthRadius = 6371.0088

// Apart is how far two places are apart over the ground, km, by the haversine formula on a sphere.
func Apart(a, b fitout.Place) float64 {
	rad := math.Pi / 180
	north, east := (b.Latitude-a.Latitude)*rad, (b.Longitude-a.Longitude)*rad
	h := math.Pow(math.Sin(north/2), 2) +
		math.Cos(a.Latitude*rad)*math.Cos(b.Latitude*rad)*math.Pow(math.Sin(east/2), 2)
	return 2 * EarthRadius * math.Asin(math.Sqrt(min(1, h)))
}

// Thin leaves of a line only the points that its shape wants: at most so many, the ends and those
// that lie furthest from the line between their neighbours first (Douglas and Peucker). The km of
// the points that stay are as they were: no length is taken from a thinned line.
func Thin(points []fitout.TrackPoint, most int) []fitout.TrackPoint {
	if len(points) <= most {
		return points
	}
	if every := len(points) / mostLooked; every > 1 { // of a very dense line the points between say nothing
		fewer := make([]fitout.TrackPoint, 0, mostLooked+2)
		for i := 0; i < len(points); i += every {
			fewer = append(fewer, points[i])
		}
		points = append(fewer, points[len(points)-1])
	}
	// The largest part is split first, so that what is left out is always the least.
	type part struct {
		from, to, at int
		off          float64
	}
	furthest := func(from, to int) part {
		p := part{from, to, -1, -1}
		a, b := points[from], points[to]
		for i := from + 1; i < to; i++ {
			if off := offLine(points[i].Place, a.Place, b.Place); off > p.off {
				p.at, p.off = i, off
			}
		}
		return p
	}
	keep := make([]bool, len(points))
	keep[0], keep[len(points)-1] = true, true
	parts := []part{furthest(0, len(points)-1)}
	for n := 2; n < most && len(parts) > 0; n++ {
		largest := 0
		for i := range parts {
			if parts[i].off > parts[largest].off {
				largest = i
			}
		}
		p := parts[largest]
		if p.at < 0 || p.off <= 0 {
			break
		}
		keep[p.at] = true
		parts[largest] = furthest(p.from, p.at)
		parts = append(parts, furthest(p.at, p.to))
	}
	thinned := make([]fitout.TrackPoint, 0, most)
	for i, kept := range keep {
		if kept {
			thinned = append(thinned, points[i])
		}
	}
	return thinned
}

// mostLooked is how many points of a line are looked at to thin it, about.
const mostLooked = 20_000

// offLine is how far a place lies beside the line between two others, in degrees of latitude, on
// the flat map about it.
func offLine(p, a, b fitout.Place) float64 {
	scale := math.Cos(a.Latitude * math.Pi / 180)
	east := func(from, to float64) float64 { return math.Remainder(to-from, 360) * scale }
	bx, by := east(a.Longitude, b.Longitude), b.Latitude-a.Latitude
	px, py := east(a.Longitude, p.Longitude), p.Latitude-a.Latitude
	long := bx*bx + by*by
	share := 0.0
	if long > 0 {
		share = min(1, max(0, (px*bx+py*by)/long))
	}
	return math.Hypot(px-share*bx, py-share*by)
}

// Waypoint is a named place beside a line.
type Waypoint struct {
	fitout.Place
	Name string
}

// RouteAlong makes stops and legs of a line: its ends, and the waypoints where the line comes
// nearest to them, in the order of the way. Two waypoints at the same km are one stop. Names that
// are lacking are told by the km.
func RouteAlong(points []fitout.TrackPoint, waypoints []Waypoint, stop func(n int, name string, km float64, at fitout.Place) fitout.RouteStop) []fitout.RouteStop {
	type mark struct {
		km   float64
		name string
		at   fitout.Place
	}
	last := points[len(points)-1]
	marks := []mark{{0, "Start", points[0].Place}, {last.Km, "End", last.Place}}
	for _, w := range waypoints {
		km, off := 0.0, math.Inf(1)
		for _, p := range points {
			if d := Apart(p.Place, w.Place); d < off {
				km, off = p.Km, d
			}
		}
		at := 1
		for at < len(marks)-1 && marks[at].km <= km {
			at++
		}
		switch {
		case km < sameStop: // it names an end
			marks[0].name, marks[0].at = w.Name, w.Place
		case last.Km-km < sameStop:
			marks[len(marks)-1].name, marks[len(marks)-1].at = w.Name, w.Place
		default:
			marks = append(marks[:at], append([]mark{{km, w.Name, w.Place}}, marks[at:]...)...)
		}
	}
	var stops []fitout.RouteStop
	for i, m := range marks {
		if i > 0 && i < len(marks)-1 && m.km-marks[i-1].km < sameStop {
			continue
		}
		s := stop(len(stops)+1, m.name, m.km, m.at)
		if n := len(stops); n > 0 {
			stops[n-1].Leg.Km = math.Round(100*(m.km-kmOf(stops[:n]))) / 100
		}
		stops = append(stops, s)
	}
	return stops
}

// sameStop is how near two stops are one, km.
const sameStop = 0.2

func kmOf(stops []fitout.RouteStop) float64 {
	sum := 0.0
	for i := range len(stops) - 1 {
		sum += stops[i].Leg.Km
	}
	return sum
}
