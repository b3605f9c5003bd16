package trip

import (
	"fmt"

	"zaino/internal/core/fitout"
)

// asTheCrowFlies is how much of the way through the air a leg may be shorter than it, km, before it is told: a place is
// the middle of a village, not its pump.
const asTheCrowFlies = 5.0

// legOdd cautions of a leg that is shorter than its two places lie apart through the air: the km or one of the places
// was entered wrongly, and the fuel for the way with it.
func legOdd(l *Look) []fitout.Finding {
	var found []fitout.Finding
	stops := l.C.Route.Stops
	for i := range max(0, len(stops)-1) {
		from, to := &stops[i], &stops[i+1]
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
