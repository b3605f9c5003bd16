package trip

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// burns is what a burner or a warmer by its id is called, and what it burns from; false for none.
func (l *Look) burns(id string) (name, vessel string, found bool) {
	for _, b := range l.Variant.Plumbing.Burners {
		if b.ID == id {
			return b.Name, b.Vessel, true
		}
	}
	for _, w := range l.Variant.Plumbing.Warmers {
		if w.ID == id {
			return w.Name, w.Vessel, true
		}
	}
	return "", "", false
}

// gasShort cautions where a burner has nothing to burn any more.
func gasShort(l *Look) []fitout.Finding {
	if !l.Typed {
		return nil
	}
	var found []fitout.Finding
	for i := range l.W.Lacks {
		lack := &l.W.Lacks[i]
		name, vessel, known := l.burns(lack.Burner)
		if lack.Of != WantBurner || !known || l.lacksMore(lack) {
			continue
		}
		f := about("gas-short", fitout.Caution, "plumbing", lack.Burner)
		f.Title = fmt.Sprintf("%s has nothing to burn on day %d", name, lack.Day)
		v := l.vessel(vessel)
		missing := l.Say.Volume(lack.Litres)
		if v != nil && v.Holds == fitout.HoldsGas {
			missing = l.Say.Mass(lack.Litres * v.Density)
		}
		f.Sentence = fmt.Sprintf(
			"It gives out %s; %s are missing until there is more, an estimate. Carry more, or fill it on the way.",
			l.when(lack),
			missing,
		)
		f.Over(lack.Litres, 0, "L")
		found = append(found, f)
	}
	return found
}

// lacksMore tells whether the burner of a lack lacks more on another stretch, or as much before.
func (l *Look) lacksMore(lack *Lack) bool {
	for i := range l.W.Lacks {
		other := &l.W.Lacks[i]
		if other.Of != lack.Of || other.Burner != lack.Burner || other == lack {
			continue
		}
		if other.Litres > lack.Litres || other.Litres == lack.Litres && other.filled < lack.filled {
			return true
		}
	}
	return false
}

// gasInTheCold cautions of butane in a night at which it does not turn to gas.
func gasInTheCold(l *Look) []fitout.Finding {
	coldest, at := math.Inf(1), 0
	for i := range l.C.Route.Stops {
		if l.stop(i).Nights >= 1 && l.C.ColdAt(i) < coldest {
			coldest, at = l.C.ColdAt(i), i
		}
	}
	var found []fitout.Finding
	for i := range l.C.Vessels {
		v := &l.C.Vessels[i]
		used := slices.ContainsFunc(
			l.Variant.Plumbing.Burners,
			func(b fitout.Burner) bool { return b.Vessel == v.ID },
		)
		if v.Said.Gas != fitout.Butane || v.Holds != fitout.HoldsGas || !used || coldest > 0 {
			continue
		}
		f := about("gas-in-the-cold", fitout.Caution, "plumbing", v.ID)
		f.Title = fmt.Sprintf("No gas out of %s in the cold", words.Lower(v.Name))
		f.Sentence = fmt.Sprintf("Butane does not turn to gas below %s; at %s it gets down to %s. Propane does.",
			l.Say.Temperature(0), l.stop(at).Name, l.Say.Temperature(coldest))
		f.Source = "physics"
		f.Under(coldest, 0, "°C")
		found = append(found, f)
	}
	return found
}

// gasLocker stops a gas bottle in a space of people whose locker is not shut to the inside, and
// cautions where nobody said.
func gasLocker(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.C.Vessels {
		v := &l.C.Vessels[i]
		k := l.Index(v.ID)
		if v.Holds != fitout.HoldsGas || v.Tank || k < 0 || v.Said.Sealed == fitout.IsSo {
			continue
		}
		bay := l.Bay(l.Items[k].Bay)
		if bay == nil || !l.closed(bay) {
			continue
		}
		severity, told := fitout.Stop, "Its locker is open to the inside."
		if v.Said.Sealed == fitout.YesNotSaid {
			severity, told = fitout.Caution, "Nobody said whether its locker is shut to the inside."
		}
		f := about("gas-locker", severity, "plumbing", v.ID)
		f.With = []string{bay.ID}
		f.Title = fmt.Sprintf("Gas of %s can fill %s", words.Lower(v.Name), words.Lower(bay.Name))
		f.Sentence = words.Sentences(
			told,
			"Gas is heavier than air and lies where it leaks: it wants a locker of its own, shut to "+
				"the inside, with an opening in its floor to the outside. Gas fitting belongs to a licensed person.",
		)
		f.Source = "practice"
		f.Margin = -1
		found = append(found, f)
	}
	return found
}

// closed tells of a space in which gas can gather: one of people, or one that is sealed.
func (l *Look) closed(b *fitout.Bay) bool {
	switch b.Kind {
	case fitout.BayWagonCargo, fitout.BayLivingBox, fitout.BaySecondRow, fitout.BayCab:
		return true
	}
	return b.Shared || b.Sealed
}

// burnsInside stops a flame among people without fresh air, and without an alarm; it cautions
// where nobody said.
func burnsInside(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for _, b := range l.Variant.Plumbing.Burners {
		if !b.Inside || b.Air == fitout.IsSo && b.Alarm == fitout.IsSo {
			continue
		}
		severity := fitout.Caution
		if b.Air == fitout.IsNotSo || b.Alarm == fitout.IsNotSo {
			severity = fitout.Stop
		}
		f := about("burns-inside", severity, "plumbing", b.ID)
		f.Title = words.Capital(b.Name) + " burns where people breathe"
		f.Sentence = words.Sentences(
			"Carbon monoxide kills without a smell.",
			"It wants openings that cannot be shut, low and high, and an alarm that is tested; nobody sleeps while it burns.",
			lackOf(b.Air, "Fresh air"),
			lackOf(b.Alarm, "An alarm"),
		)
		f.Margin, f.Waivable = -1, false
		found = append(found, f)
	}
	return found
}

func lackOf(answer fitout.Yes, what string) string {
	switch answer {
	case fitout.IsNotSo:
		return what + " is not there."
	case fitout.YesNotSaid:
		return what + " is not said to be there."
	}
	return ""
}
