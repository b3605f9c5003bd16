package camp

import (
	"fmt"
	"math"

	"zaino/internal/core/fit/living"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// Noise falls by 20 log₁₀ d from what it is at 1 m; what is fixed hard sounds 5 dB louder through the body
// than what is hung (practice). Above 35 dB people wake.
const (
	wakes   = 35.0
	bodyAdd = 5.0
	nearest = 0.3 // nearer than that nobody's ear is, m
)

// NoiseAt is how loud something is that makes so many dB at 1 m, at a distance in m.
func NoiseAt(dB, metres float64) float64 { return dB - 20*math.Log10(max(nearest, metres)) }

// sounds is something that is heard at a bed, so far from it and so loud there.
type sounds struct {
	item   *fitout.Item
	metres float64
	dB     float64
}

// quieter says what makes a bed quiet beside all else that is heard there, as a sum of 10^(dB/10): what else alone
// is too loud leaves only to hang it and to put it further off.
func (n *sounds) quieter(say words.Speaker, others float64) string {
	left := math.Pow(10, wakes/10) - others
	if left <= 0 {
		return "Hang it, put it further off, and what else is heard too"
	}
	may := 10 * math.Log10(left)
	further := func(dB float64) string {
		return "put it " + say.LengthAtLeast(1000*n.metres*math.Pow(10, (dB-may)/20)+1) + " from the bed"
	}
	switch {
	case n.item.Hung:
		return words.Capital(further(n.dB))
	case n.dB-bodyAdd <= may:
		return "Hang it, " + further(n.dB)
	}
	return "Hang it and " + further(n.dB-bodyAdd)
}

// noiseAtBed notes a bed at which what runs at night is heard, all together.
func noiseAtBed(p *plan.Plan) []fitout.Finding {
	s := scene.Of(p)
	var found []fitout.Finding
	for _, bed := range living.Beds(s) {
		sum, loudest := 0.0, sounds{dB: math.Inf(-1)}
		var hears []string
		for i := range p.Items {
			item := &p.Items[i]
			if !item.Nights || item.Noise == 0 || !p.Load.Items[i].Present || p.Load.Items[i].Trailer {
				continue
			}
			at := item.At
			if item.In != nil { // it sounds from where it lies
				if k := p.Index(item.In.Module); k >= 0 {
					at = p.Items[k].At
				}
			}
			own := sounds{item, max(nearest, distance(at, bed.Box)/1000), 0}
			own.dB = NoiseAt(item.Noise, own.metres)
			if !item.Hung {
				own.dB += bodyAdd
			}
			sum += math.Pow(10, own.dB/10)
			hears = append(hears, item.ID)
			if own.dB > loudest.dB {
				loudest = own
			}
		}
		all := 10 * math.Log10(sum)
		if sum == 0 || all <= wakes {
			continue
		}
		posture := &scene.Posture{}
		for i := range s.Postures {
			if s.Postures[i].Stance.ID == bed.Stance {
				posture = &s.Postures[i]
			}
		}
		f := about("noise-at-bed", fitout.Note, posture, hears...)
		f.Title = fmt.Sprintf("%.0f dB at the bed", all)
		f.Sentence = fmt.Sprintf(
			"Most of it comes from %s, %.0f dB there; above %.0f dB people wake, an estimate. %s, or let it rest at "+
				"night.%s",
			words.Lower(loudest.item.Name),
			loudest.dB,
			wakes,
			loudest.quieter(s.Say, sum-math.Pow(10, loudest.dB/10)),
			in(posture),
		)
		f.Subject.Measure = "noise/" + loudest.item.ID
		f.Over(all, wakes, "dB")
		found = append(found, f)
	}
	return found
}

// distance is how far a place is from a box, mm; 0 within.
func distance(at fitout.Point, b fitout.Box) float64 {
	out := func(v, from, to float64) float64 { return max(from-v, 0, v-to) }
	x, y, z := out(at.X, b.From.X, b.To.X), out(at.Y, b.From.Y, b.To.Y), out(at.Z, b.From.Z, b.To.Z)
	return math.Sqrt(x*x + y*y + z*z)
}

// noiseUnsaid notes what runs while people sleep inside and of which nobody said how loud it is.
func noiseUnsaid(p *plan.Plan) []fitout.Finding {
	if len(living.Beds(scene.Of(p))) == 0 {
		return nil
	}
	var found []fitout.Finding
	for i := range p.Items {
		item := &p.Items[i]
		if !item.Nights || item.Noise > 0 || !p.Load.Items[i].Present {
			continue
		}
		kind := "item"
		if item.Module != nil {
			kind = "module"
		}
		f := fitout.Finding{
			Rule:     "noise-unsaid",
			Severity: fitout.Note,
			Subject:  fitout.Subject{Kind: kind, ID: item.ID},
			Source:   "practice",
			Margin:   -1,
		}
		f.Title = fmt.Sprintf("How loud %s is was not said", words.Lower(item.Name))
		f.Sentence = "It runs while people sleep. Its data sheet says dB at 1 m."
		found = append(found, f)
	}
	return found
}
