package trip

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// tapUnfed stops an outlet that nothing feeds.
func tapUnfed(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for _, o := range l.Variant.Plumbing.Outlets {
		if l.vessel(o.Vessel) != nil {
			continue
		}
		f := about("tap-unfed", fitout.Stop, "plumbing", o.ID)
		f.Title = "Nothing feeds " + words.Lower(o.Name)
		f.Sentence = "No vessel that comes along is named from which it draws. Name one, or take it out."
		f.Margin, f.Source = -1, "physics"
		for i := range l.C.Vessels {
			if v := &l.C.Vessels[i]; v.Holds == fitout.HoldsDrinking {
				f.Fixes = append(f.Fixes, fitout.Fix{
					Label: fmt.Sprintf("Let %s draw from %s", words.Lower(o.Name), words.Lower(v.Name)),
					Edit:  fitout.FixEdit{Kind: "tap-from", ID: o.ID, With: v.ID},
				})
			}
		}
		found = append(found, f)
	}
	return found
}

// leastTap is the least flow of a tap that one can wash at, litres a minute. Practice.
const leastTap = 2.0

// byWeight calls for every outlet that is fed by weight from a vessel whose height is known: with
// the bottom of the vessel, and the height of what it holds when it is full, mm.
func (l *Look) byWeight(
	say func(o *fitout.Outlet, v *Vessel, bottom, high float64) []fitout.Finding,
) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.Variant.Plumbing.Outlets {
		o := &l.Variant.Plumbing.Outlets[i]
		v := l.vessel(o.Vessel)
		if v == nil || o.Pump != "" {
			continue
		}
		if box, known := l.box(v); known {
			found = append(found, say(o, v, box.From.Z, box.To.Z-box.From.Z)...)
		}
	}
	return found
}

// tapWeak cautions of a tap by weight that gives too little when its tank is a third full.
func tapWeak(l *Look) []fitout.Finding {
	return l.byWeight(func(o *fitout.Outlet, v *Vessel, bottom, high float64) []fitout.Finding {
		if o.Bore == 0 {
			return nil
		}
		level := (bottom + high/3 - o.At.Z) / 1000
		c := TapCoefficient(o.Loss, o.Hose*1000, o.Bore)
		flow := TapFlow(c, o.Bore, level)
		if flow >= leastTap {
			return nil
		}
		f := about("tap-weak", fitout.Caution, "plumbing", o.ID)
		f.Title = fmt.Sprintf("%s gives %s at a third full", o.Name, l.Say.Flow(flow))
		f.Sentence = words.Sentences(
			fmt.Sprintf("It flows by its own weight out of %s, from %s above its mouth then.", words.Lower(v.Name),
				l.Say.Length(max(0, level*1000))),
			fmt.Sprintf(
				"Less than %s is a trickle: a wider or shorter hose, a higher tank, or a pump.",
				l.Say.Flow(leastTap),
			),
		)
		f.Source = "physics"
		f.Under(flow, leastTap, "L/min")
		for _, bore := range []float64{10, 12, 16, 20, 25} {
			wider := TapFlow(TapCoefficient(o.Loss, o.Hose*1000, bore), bore, level)
			if bore > o.Bore && wider >= leastTap {
				f.Fixes = append(
					f.Fixes,
					fitout.Fix{Label: fmt.Sprintf("A hose of %s bore: %s", l.Say.Length(bore), l.Say.Flow(wider)),
						Edit: fitout.FixEdit{Kind: "tap-bore", ID: o.ID, Value: bore}},
				)
				break
			}
		}
		return []fitout.Finding{f}
	})
}

// tapLeaves cautions of a tap by weight whose mouth is above the bottom of its tank: the rest stays
// in it.
func tapLeaves(l *Look) []fitout.Finding {
	return l.byWeight(func(o *fitout.Outlet, v *Vessel, bottom, high float64) []fitout.Finding {
		if o.At.Z <= bottom || high <= 0 {
			return nil
		}
		rest := min(1, (o.At.Z-bottom)/high) * v.Capacity
		if rest <= v.Unusable+0.5 {
			return nil
		}
		f := about("tap-leaves", fitout.Caution, "plumbing", o.ID)
		f.Title = fmt.Sprintf("%s stops feeding before it is empty", v.Name)
		f.Sentence = words.Sentences(
			fmt.Sprintf(
				"%s is %s above its bottom: %s stay in it.",
				o.Name,
				l.Say.Length(o.At.Z-bottom),
				l.Say.Volume(rest),
			),
			"Lower the tap, raise the tank, or enter that as its unusable rest.",
		)
		f.Source = "physics"
		if rest < v.Capacity/2 { // of more the tap is the matter
			f.Fixes = []fitout.Fix{{Label: fmt.Sprintf("Count %s of it as unusable", l.Say.Volume(rest)),
				Edit: fitout.FixEdit{Kind: "vessel-rest", ID: v.ID, Value: math.Min(500, math.Ceil(rest))}}}
			f.Over(rest, v.Unusable, "L")
		}
		return []fitout.Finding{f}
	})
}

// hoseSlack is how much further from its vessel than its hose is long a tap may be, mm: the neck of the one and the
// spout of the other.
const hoseSlack = 250.0

// tapFar cautions of a tap whose hose does not come as far as its mouth is from the vessel that feeds it: what flows
// out of it, and what its way loses, go by that length.
func tapFar(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.Variant.Plumbing.Outlets {
		o := &l.Variant.Plumbing.Outlets[i]
		v := l.vessel(o.Vessel)
		if v == nil || o.Hose == 0 {
			continue
		}
		b, known := l.box(v)
		if !known {
			continue
		}
		far, most := b.Off(o.At), 1000*o.Hose+hoseSlack
		if far <= most+words.Enough {
			continue
		}
		f := about("tap-far", fitout.Caution, "plumbing", o.ID)
		f.Title = o.Name + " is further away than its hose"
		f.Sentence = fmt.Sprintf(
			"Its hose is entered with %s, and its mouth is %s from %s in a straight line. Enter the hose "+
				"as it runs, %s longer at least, or measure the place again.",
			l.Say.Length(1000*o.Hose),
			l.Say.Length(far),
			words.Lower(v.Name),
			l.Say.LengthAtLeast(far-1000*o.Hose),
		)
		f.Source = "physics"
		f.Over(far, most, "mm")
		found = append(found, f)
	}
	return found
}
