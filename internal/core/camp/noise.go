package camp

import (
	"fmt"
	"math"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
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

// noiseAtBed notes a bed at which what runs at night is heard, all together.
func noiseAtBed(p *plan.Plan) []fitout.Finding {
	s := fit.Of(p)
	var found []fitout.Finding
	for _, bed := range s.Beds() {
		sum, loudest, name, id := 0.0, math.Inf(-1), "", ""
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
			own := NoiseAt(item.Noise, distance(at, bed.Box)/1000)
			if !item.Hung {
				own += bodyAdd
			}
			sum += math.Pow(10, own/10)
			hears = append(hears, item.ID)
			if own > loudest {
				loudest, name, id = own, item.Name, item.ID
			}
		}
		all := 10 * math.Log10(sum)
		if sum == 0 || all <= wakes {
			continue
		}
		posture := &fit.Posture{}
		for i := range s.Postures {
			if s.Postures[i].Stance.ID == bed.Stance {
				posture = &s.Postures[i]
			}
		}
		f := about("noise-at-bed", fitout.Note, posture, hears...)
		f.Title = fmt.Sprintf("%.0f dB at the bed", all)
		f.Sentence = fmt.Sprintf(
			"Most of it comes from %s, %.0f dB there; above %.0f dB people wake, an estimate. Hang it, put it further off, "+
				"or let it rest at night.%s",
			words.Lower(name),
			loudest,
			wakes,
			in(posture),
		)
		f.Subject.Measure = "noise/" + id
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
	if len(fit.Of(p).Beds()) == 0 {
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
