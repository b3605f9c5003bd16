package brief

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// situation is what the judgement calls look at: the brief, what it implies,
// and the vehicle.
type situation struct {
	brief   *fitout.Brief
	vehicle *fitout.Vehicle
	needs   Needs
	say     words.Speaker

	left     float64 // payload for the fitout, kg
	known    bool    // a gross limit is stated
	inside   bool    // somebody sleeps inside
	daily    bool    // daily driver, or something has to come out
	hot      bool
	freezing bool
	rough    float64 // share of the way that is neither sealed nor gravel, 0 to 1
	wagon    bool
	litres   float64 // fridge for these people and nights, L
	rim      float64 // of that fridge as a chest on a plain slide, above ground, mm
	budget   float64 // price level that the budget speaks for, 1 to 4; 0 = not stated
}

// Practice figures of fridges: litres per person and night up to a week, the
// chest's height by its litres, and the height of a plain slide, mm.
const (
	coolPerNight = 3.0
	mostNights   = 7.0
	leastFridge  = 30.0
	mostFridge   = 110.0
	slideHeight  = 85.0
	freezes      = 0.0 // °C
)

func newSituation(j *fitout.Job, left float64) *situation {
	b, v := &j.Brief, &j.Vehicle
	s := &situation{
		brief: b, vehicle: v, needs: NeedsOf(b), say: words.For(j),
		left: left, known: v.Limits.Gross.Kg > 0,
		inside: b.Camp.SleepWhere == fitout.SleepInside, daily: b.Daily.Driver || len(b.Daily.LiftOut) > 0,
		hot: b.Trip.Hottest >= b.Assumptions.HotFrom, freezing: b.Trip.Coldest <= freezes,
		wagon: v.Outline.Body == fitout.BodyWagon,
	}
	share, rough := 0.0, 0.0
	for _, surface := range b.Surfaces {
		share += surface.Share
		if surface.Factor >= 1.3 {
			rough += surface.Share
		}
	}
	if share > 0 {
		s.rough = rough / share
	}
	s.litres = min(mostFridge, max(leastFridge, coolPerNight*float64(s.needs.People)*min(s.needs.Nights,
		mostNights)+s.needs.CoolLitres))
	s.rim = s.floor() + slideHeight + s.chest()
	switch cents := b.Budget; {
	case cents == 0:
	case cents < 500_000:
		s.budget = 1
	case cents < 1_500_000:
		s.budget = 2
	case cents < 4_000_000:
		s.budget = 3
	default:
		s.budget = 4
	}
	return s
}

// chest is the height of a chest fridge of the litres needed, mm.
func (s *situation) chest() float64 { return 360 + 2*s.litres }

// floor is the load floor above ground, mm: the measured bay's where there is
// one, otherwise the vehicle's outline.
func (s *situation) floor() float64 {
	for i := range s.vehicle.Bays {
		switch b := &s.vehicle.Bays[i]; b.Kind {
		case fitout.BayTub, fitout.BayWagonCargo, fitout.BayCanopyLeft, fitout.BayCanopyRight, fitout.BayCanopyRear,
			fitout.BayLivingBox:
			return b.At.Z
		}
	}
	return s.vehicle.Outline.FloorHeight
}

// tight reports whether what is left for the fitout is little, so that mass
// decides.
func (s *situation) tight() bool { return s.known && s.left < 200 }

// capital is the region's word for a term at the start of a sentence.
func (s *situation) capital(t fitout.Term) string { return words.Capital(s.say.Term(t)) }

func (s *situation) nights(n float64) string {
	if n == 1 {
		return "one night"
	}
	return s.say.Plain(n) + " nights"
}

// frugal adds what a small budget says of the dear ways of a call.
func (s *situation) frugal(ways ...*Way) {
	for _, w := range ways {
		if price := w.Numbers[0].Value; s.budget > 0 && price > s.budget {
			w.con(1, "Dear for this budget.")
		}
	}
}
