package trip

import (
	"fmt"

	"zaino/internal/core/fitout"
)

// asTheCrowFlies is how much of the way through the air a leg may be shorter than it, km, before it is told: a place is
// the middle of a village, not its pump.
const asTheCrowFlies = 5.0

// Between which speeds a leg is driven, km/h: slower than on foot nobody drives all day, and faster no fitout is driven.
// Practice.
const (
	slowest = 3.0
	fastest = 130.0
)

// legOdd cautions of a leg that is shorter than its two places lie apart through the air, and of one that is driven faster
// or slower than can be: its length, its hours or a place was entered wrongly, and fuel and days go by them.
func legOdd(l *Look) []fitout.Finding {
	var found []fitout.Finding
	stops := l.C.Route.Stops
	for i := range max(0, len(stops)-1) {
		from, to := &stops[i], &stops[i+1]
		if speed := from.Leg.Km / from.Leg.Hours; from.Leg.Km > 0 && from.Leg.Hours > 0 && (speed < slowest || speed > fastest) {
			f := about("leg-odd", fitout.Caution, "route", from.ID)
			f.Source, f.Subject.Measure = "practice", "hours"
			f.Title = fmt.Sprintf("%s to %s at %s an hour", from.Name, to.Name, l.Say.Distance(speed))
			f.Sentence = fmt.Sprintf("%s in %s are entered; between %s and %s an hour are driven. Its length or its hours are "+
				"wrong: charging on the way and the length of the day go by them.", l.Say.Distance(from.Leg.Km),
				l.Say.Hours(from.Leg.Hours), l.Say.Distance(slowest), l.Say.Distance(fastest))
			if speed < slowest {
				f.Under(speed, slowest, "km/h")
			} else {
				f.Over(speed, fastest, "km/h")
			}
			found = append(found, f)
		}
		if from.Place == nil || to.Place == nil || from.Leg.Km == 0 {
			continue
		}
		air := Apart(*from.Place, *to.Place)
		if from.Leg.Km >= air-asTheCrowFlies {
			continue
		}
		f := about("leg-odd", fitout.Caution, "route", from.ID)
		f.Title = fmt.Sprintf("%s to %s is further than its leg", from.Name, to.Name)
		f.Sentence = fmt.Sprintf(
			"The leg is entered with %s, and through the air the two lie %s apart, %s more. Its length or one of the places is "+
				"wrong, and the fuel is reckoned with it.",
			l.Say.Distance(from.Leg.Km),
			l.Say.Distance(air),
			l.Say.Distance(air-from.Leg.Km),
		)
		f.Under(from.Leg.Km, air, "km")
		f.Source = "physics"
		found = append(found, f)
	}
	return found
}
