package brief

import (
	"strings"
	"testing"

	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// anyBrief draws a brief of any trip, for any vehicle, with anybody aboard.
func anyBrief(t *rapid.T) fitout.Job {
	body := rapid.SampledFrom([]fitout.Body{fitout.BodyWagon, fitout.BodyTub, fitout.BodyTray}).Draw(t, "body")
	j := fitout.NewJob("j", "J", rapid.SampledFrom(fitout.Regions[:]).Draw(t, "region"))
	j.Vehicle.Outline.Body = body
	j.Vehicle.Limits.Gross.Kg = rapid.Float64Range(0, 4500).Draw(t, "gross")
	b := &j.Brief
	coldest := rapid.Float64Range(-30, 25).Draw(t, "coldest")
	b.Trip = fitout.Trip{
		Nights: rapid.Float64Range(0, 60).Draw(t, "nights"), FuelDistance: rapid.Float64Range(0, 2500).Draw(t, "km"),
		DayDistance: rapid.Float64Range(0, 600).Draw(t, "day"),
		Coldest:     coldest, Hottest: rapid.Float64Range(coldest, 50).Draw(t, "hottest"),
		Tows: rapid.SampledFrom([]fitout.Tows{fitout.TowsNever, fitout.TowsSometimes, fitout.TowsAlways}).Draw(t, "tows"),
	}
	b.Camp.SleepWhere = rapid.SampledFrom([]fitout.SleepWhere{fitout.SleepInside, fitout.SleepRoof,
		fitout.SleepGround}).Draw(t, "sleeps")
	for i := range rapid.IntRange(0, 5).Draw(t, "people") {
		kind := rapid.SampledFrom([]fitout.TravellerKind{fitout.TravellerPerson, fitout.TravellerAnimal}).Draw(t, "kind")
		b.Travellers = append(b.Travellers, fitout.Traveller{
			ID: string(rune('a' + i)), Name: "T", Kind: kind, Mass: rapid.Float64Range(0, 130).Draw(t, "kg"),
			Height: rapid.Float64Range(0, 2100).Draw(t, "tall"),
			Sleeps: rapid.Bool().Draw(t, "sleeps there"), Serves: rapid.Bool().Draw(t, "serves"),
		})
	}
	return j
}

// Whatever somebody answers, or leaves open: every judgement call has at least two
// ways, one of them recommended with a reason in words, and none says a figure
// that is none.
func TestAnyBriefIsArgued(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := anyBrief(t)
		if err := fitout.Validate(&j); err != nil {
			t.Skip(err)
		}
		left := rapid.Float64Range(-500, 1500).Draw(t, "left")
		for _, c := range Schools(&j, left) {
			if len(c.Ways) < 2 || c.Reason == "" {
				t.Fatalf("%s has %d ways and the reason %q", c.ID, len(c.Ways), c.Reason)
			}
			best, recommended := -1000, -1000
			for _, w := range c.Ways {
				best = max(best, w.Score)
				if w.ID == c.Recommended {
					recommended = w.Score
				}
				for _, a := range append(w.For, w.Against...) {
					if a.Text == "" || strings.Contains(a.Text, "NaN") || strings.Contains(a.Text, "Inf") ||
						strings.Contains(a.Text, "%!") {
						t.Fatalf("%s, %s says %q", c.ID, w.ID, a.Text)
					}
				}
			}
			if recommended < best {
				t.Fatalf("%s recommends a way with %d points, another has %d", c.ID, recommended, best)
			}
		}
	})
}

// Needs are never below nothing, and one more person never needs less.
func TestOneMorePersonNeverNeedsLess(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := anyBrief(t)
		before := NeedsOf(&j.Brief)
		j.Brief.Travellers = append(j.Brief.Travellers, fitout.Traveller{ID: "more", Name: "More",
			Kind: fitout.TravellerPerson, Mass: 75, Height: 1700})
		after := NeedsOf(&j.Brief)
		for _, pair := range [][2]float64{{before.Water.Litres, after.Water.Litres}, {before.Fuel.Litres, after.Fuel.Litres},
			{before.PeopleKg, after.PeopleKg}, {before.AnimalsKg, after.AnimalsKg}} {
			if pair[0] < 0 || pair[1] < pair[0]-1e-9 {
				t.Fatalf("from %v to %v", pair[0], pair[1])
			}
		}
	})
}
