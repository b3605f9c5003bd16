package trip_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/trip"
)

// From 26.5° S 151.2° E to 26.9° S 151.8° E it is 74.369 km; over a pole and across the date line
// the short way is taken.
func TestHowFarPlacesAreApart(t *testing.T) {
	at := func(lat, lon float64) fitout.Place { return fitout.Place{Latitude: lat, Longitude: lon} }
	assert.InDelta(t, 74.369, trip.Apart(at(-26.5, 151.2), at(-26.9, 151.8)), 0.0005)
	assert.InDelta(t, 2*math.Pi*trip.EarthRadius/180, trip.Apart(at(89, 0), at(89, 180)), 1e-6)
	assert.InDelta(t, 2*math.Pi*trip.EarthRadius/360, trip.Apart(at(0, 179.5), at(0, -179.5)), 1e-6)
	assert.InDelta(t, math.Pi*trip.EarthRadius, trip.Apart(at(90, 10), at(-90, 70)), 1e-6)
	assert.Zero(t, trip.Apart(at(12, 34), at(12, 34)))
}

// The length of a line is that of an independent sum, by the spherical law of cosines, within 0.1 %;
// a thinned line keeps its ends, has no more points than are wanted, and never moves a km.
func TestLinesKeepTheirLength(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(2, 300).Draw(t, "points")
		lat, lon := rapid.Float64Range(-60, 60).Draw(t, "lat"), rapid.Float64Range(-180, 180).Draw(t, "lon")
		points := []fitout.TrackPoint{{Place: fitout.Place{Latitude: lat, Longitude: lon}}}
		sum := 0.0
		for range n - 1 {
			before := points[len(points)-1]
			lat = max(-80, min(80, lat+rapid.Float64Range(-0.2, 0.2).Draw(t, "north")))
			lon = math.Remainder(lon+rapid.Float64Range(0.01, 0.2).Draw(t, "east"), 360)
			next := fitout.Place{Latitude: lat, Longitude: lon}
			rad := math.Pi / 180
			cos := math.Sin(before.Latitude*rad)*math.Sin(lat*rad) +
				math.Cos(before.Latitude*rad)*math.Cos(lat*rad)*math.Cos((lon-before.Longitude)*rad)
			sum += trip.EarthRadius * math.Acos(max(-1, min(1, cos)))
			points = append(points, fitout.TrackPoint{Place: next, Km: before.Km + trip.Apart(before.Place, next)})
		}
		assert.InEpsilon(t, sum, points[len(points)-1].Km, 0.001)
		thin := trip.Thin(points, 20)
		assert.LessOrEqual(t, len(thin), 20)
		assert.Equal(t, points[0], thin[0])
		assert.Equal(t, points[n-1], thin[len(thin)-1])
		for _, p := range thin {
			assert.Contains(t, points, p)
		}
	})
}

// Waypoints become stops where the line comes nearest; one at an end names it.
func TestStopsAlongALine(t *testing.T) {
	var points []fitout.TrackPoint
	for i := range 101 {
		p := fitout.TrackPoint{Place: fitout.Place{Longitude: float64(i) / 100}}
		if i > 0 {
			p.Km = points[i-1].Km + trip.Apart(points[i-1].Place, p.Place)
		}
		points = append(points, p)
	}
	at := func(lon float64) fitout.Place { return fitout.Place{Latitude: 0.01, Longitude: lon} }
	stops := trip.RouteAlong(points, []trip.Waypoint{{Place: at(0.7), Name: "Second"}, {Place: at(0.2), Name: "First"},
		{Place: at(0.001), Name: "Home"}, {Place: at(0.7001), Name: "Same"}},
		func(_ int, name string, _ float64, at fitout.Place) fitout.RouteStop {
			return fitout.RouteStop{Name: name, Place: &at}
		})
	var names []string
	for _, s := range stops {
		names = append(names, s.Name)
	}
	assert.Equal(t, []string{"Home", "First", "Second", "End"}, names)
	assert.InDelta(t, points[20].Km, stops[0].Leg.Km, 0.006)
	assert.InDelta(t, points[100].Km, stops[0].Leg.Km+stops[1].Leg.Km+stops[2].Leg.Km, 0.02)
}
