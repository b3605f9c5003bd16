package power

import (
	"math"
	"strconv"

	"zaino/internal/core/fitout"
)

// MostNights is how many nights are counted at most.
const MostNights = 60

// dayKind is all by which one day of a trip differs from another.
type dayKind struct {
	drives, mains bool
	cloud         float64 // share of the clear sky's light, 0 to 1
	number        float64 // of the year; the sun goes on from day to day
}

// Weather says what is other than planned: what if the sky is overcast all the way, or
// nothing comes in at all.
type Weather struct {
	Cloud   float64 // share of the clear sky's light; below 0: as planned
	Dark    bool    // no sun at all
	Parked  bool    // never driven
	Without bool    // no mains and no generator
}

// AsPlanned is the weather of the plan.
var AsPlanned = Weather{Cloud: -1}

// Clouds are the shares of the clear sky's light that come through each sky.
var clouds = map[fitout.Sky]float64{fitout.ClearSky: 1, fitout.MixedSky: 0.6, fitout.OvercastSky: 0.25}

func cloudOf(sky fitout.Sky, own float64) float64 {
	if share, known := clouds[sky]; known {
		return share
	}
	return own
}

// Nights are those that are counted: as said, else those of the brief, at least one.
func Nights(d *fitout.PowerDays, trip *fitout.Trip) int {
	nights := d.Count
	if nights == 0 {
		nights = trip.Nights
	}
	return int(min(MostNights, max(1, math.Ceil(nights))))
}

// Temperatures are the coldest and the hottest of a day, °C.
func Temperatures(d *fitout.PowerDays, trip *fitout.Trip) (low, high float64) {
	low, high = d.Low, d.High
	if d.OfBrief {
		low, high = trip.Coldest, trip.Hottest
	}
	return min(low, high), max(low, high)
}

// daysOf are the kinds of the days of a trip, in order.
func daysOf(d *fitout.PowerDays, nights int, w Weather) []dayKind {
	kinds := make([]dayKind, nights+1) // the last morning is one more
	own := make(map[string]fitout.DayOwn, len(d.Own))
	for _, day := range d.Own {
		own[day.Day] = day
	}
	for i := range kinds {
		k := dayKind{
			drives: every(i, d.DriveEvery), mains: i > 0 && every(i, d.MainsEvery), cloud: cloudOf(d.Sky, d.Cloud),
			number: math.Mod(d.Day+float64(i)-1, 365) + 1,
		}
		if day, other := own[strconv.Itoa(i+1)]; other {
			k.drives, k.mains = day.Drives, day.Mains
			if day.Sky != "" {
				k.cloud = cloudOf(day.Sky, d.Cloud)
			}
		}
		if w.Cloud >= 0 {
			k.cloud = w.Cloud
		}
		if w.Dark {
			k.cloud = 0
		}
		k.drives, k.mains = k.drives && !w.Parked, k.mains && !w.Without
		kinds[i] = k
	}
	return kinds
}

// every tells whether a day, counted from 0, is one of every so many.
func every(day int, of float64) bool {
	n := int(of)
	return n > 0 && day%n == 0
}

// overlap is the share of a stretch of the day from a to b, hours with a < b ≤ 24, that
// lies within hours that may pass midnight. From equal to to is no time at all, 0 to 24
// the whole day.
func overlap(from, to, a, b float64) float64 {
	if from > to {
		return overlap(from, 24, a, b) + overlap(0, to, a, b)
	}
	return max(0, min(to, b)-max(from, a)) / (b - a)
}

// within tells whether an hour lies in hours that may pass midnight.
func within(from, to, hour float64) bool {
	if from > to {
		return hour >= from || hour < to
	}
	return hour >= from && hour < to
}

// runs is the share of a stretch of the day in which something runs at its spans; spans
// that overlap do not add to more than all of it.
func runs(spans []fitout.Span, a, b float64) float64 {
	share := 0.0
	for i := range spans {
		share += spans[i].Share * overlap(spans[i].From, spans[i].To, a, b)
	}
	return min(1, share)
}

// hoursOf is how long something runs a day at its spans, h.
func hoursOf(spans []fitout.Span) float64 {
	hours := 0.0
	for i := range 144 {
		hours += runs(spans, float64(i)/6, float64(i+1)/6) / 6
	}
	return hours
}
