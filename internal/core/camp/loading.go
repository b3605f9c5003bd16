package camp

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Practice: a ramp of more than 15° is too steep to walk with a load; one person pushes 250 N.
const (
	steepest  = 15.0
	gravity   = 9.80665 // m/s²
	rolling   = 0.1     // of what stands on wheels on soft ground
	onePushes = 250.0   // N
)

// Pull is what it takes to move kg up a slope in radians, N: m g (sin θ + 0.1 cos θ).
func Pull(kg, slope float64) float64 {
	return kg * gravity * (math.Sin(slope) + rolling*math.Cos(slope))
}

// ramps calls for everything that comes in over a ramp, with the slope in radians.
func ramps(
	p *plan.Plan,
	look func(item *fitout.Item, l *fitout.Loading, slope float64) *fitout.Finding,
) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Items {
		item := &p.Items[i]
		l := item.Loading
		if l == nil || l.Ramp == 0 || !p.Load.Items[i].Present {
			continue
		}
		if f := look(item, l, math.Asin(min(1, l.Rise/l.Ramp))); f != nil {
			f.Subject.ID, f.Subject.Kind = item.ID, "item"
			if item.Module != nil {
				f.Subject.Kind = "module"
			}
			found = append(found, *f)
		}
	}
	return found
}

// longestRamp is what a ramp is at most that people carry along, mm.
const longestRamp = 6000.0

// reaches is how long a ramp up a rise is that stands at a slope in radians, rounded up, mm; false where none that is
// carried along does, or where a shorter one is steeper than people hold.
func reaches(rise, slope float64) (mm float64, ok bool) {
	slope = min(slope, steepest*math.Pi/180)
	if slope <= 0 {
		return 0, false
	}
	mm = rise / math.Sin(slope)
	return mm, mm <= longestRamp
}

// drawnUp is the slope in radians up which a pull in N moves kg; less than 0 where it does not move it on the level.
// It is the inverse of Pull: sin θ + k cos θ = √(1 + k²) sin(θ + atan k).
func drawnUp(kg, pull float64) float64 {
	return math.Asin(min(1, pull/(kg*gravity)/math.Hypot(1, rolling))) - math.Atan(rolling)
}

// byRamp says how long a ramp has to be to stand at a slope, or nothing where that is no way out.
func byRamp(p *plan.Plan, rise, slope float64) string {
	if long, ok := reaches(rise, slope); ok {
		return fmt.Sprintf("; a ramp of %s does it too", p.Say.LengthAtLeast(math.Ceil(long)))
	}
	return ""
}

func degrees(radians float64) float64 { return radians * 180 / math.Pi }

// rampSteep cautions of a ramp steeper than 15°.
func rampSteep(p *plan.Plan) []fitout.Finding {
	return ramps(p, func(item *fitout.Item, l *fitout.Loading, slope float64) *fitout.Finding {
		if degrees(slope) <= steepest+0.01 {
			return nil
		}
		long := l.Rise / math.Sin(steepest*math.Pi/180)
		f := &fitout.Finding{Rule: "ramp-steep", Severity: fitout.Caution, Source: "practice"}
		f.Title = fmt.Sprintf("The ramp of %s is steep", words.Lower(item.Name))
		f.Sentence = fmt.Sprintf(
			"%s long for %s of rise it stands at %.0f°; above %.0f° nobody holds what runs back. It wants %s.",
			p.Say.Length(l.Ramp),
			p.Say.Length(l.Rise),
			degrees(slope),
			steepest,
			p.Say.LengthAtLeast(math.Ceil(long)),
		)
		if l.Rise >= l.Ramp {
			f.Sentence = fmt.Sprintf(
				"%s of ramp do not reach %s up. It wants %s.",
				p.Say.Length(l.Ramp),
				p.Say.Length(l.Rise),
				p.Say.LengthAtLeast(math.Ceil(long)),
			)
		}
		f.Over(degrees(slope), steepest, "°")
		return f
	})
}

// rampBelly cautions of what touches the top of its ramp: between wheels w apart the crest of a slope θ
// stands w/2 · tan(θ/2) above the line of the wheels.
func rampBelly(p *plan.Plan) []fitout.Finding {
	return ramps(p, func(item *fitout.Item, l *fitout.Loading, slope float64) *fitout.Finding {
		need := l.Wheel / 2 * math.Tan(slope/2)
		if l.Belly == 0 || l.Wheel == 0 || l.Belly >= need {
			return nil
		}
		f := &fitout.Finding{Rule: "ramp-belly", Severity: fitout.Caution, Source: "physics"}
		f.Title = fmt.Sprintf("%s touches the top of its ramp", item.Name)
		mend := "A second ramp beyond the crest makes it flatter"
		if long, ok := reaches(l.Rise, 2*math.Atan(2*l.Belly/l.Wheel)); ok {
			mend = fmt.Sprintf("A ramp of %s clears it, or a second one beyond the crest", p.Say.LengthAtLeast(math.Ceil(long)))
		}
		f.Sentence = fmt.Sprintf(
			"Between wheels %s apart the crest stands %s up; below it %s are free. %s.",
			p.Say.Length(l.Wheel),
			p.Say.Length(need),
			p.Say.Length(l.Belly),
			mend,
		)
		f.Under(l.Belly, need, "mm")
		return f
	})
}

// winchShort stops a winch that does not pull what comes in, and a line that is pulled with more than it may.
func winchShort(p *plan.Plan) []fitout.Finding {
	return ramps(p, func(item *fitout.Item, l *fitout.Loading, slope float64) *fitout.Finding {
		kg := item.Mass + item.Presence.Content()
		pull := Pull(kg, slope)
		if l.Winch == 0 {
			return nil
		}
		f := &fitout.Finding{Rule: "winch-short", Severity: fitout.Stop, Source: "physics"}
		switch {
		case pull > l.Winch:
			enough := "A pulley doubles that, and is not enough: a stronger one does it"
			if pull <= 2*l.Winch {
				enough = "A pulley doubles that, which is enough"
			}
			f.Title = fmt.Sprintf("The winch does not pull %s in", words.Lower(item.Name))
			f.Sentence = fmt.Sprintf(
				"At %.0f° and a tenth for rolling it takes %.0f N, an estimate; the winch has %.0f N. %s.",
				degrees(slope),
				math.Ceil(pull),
				l.Winch,
				enough+byRamp(p, l.Rise, drawnUp(kg, l.Winch)),
			)
			f.Over(pull, l.Winch, "N")
		case l.Line > 0 && l.Winch > l.Line:
			f.Title = fmt.Sprintf("The winch breaks the line of %s", words.Lower(item.Name))
			f.Sentence = fmt.Sprintf(
				"It pulls %.0f N where something catches; the line may be pulled with %.0f N. A line that parts strikes who "+
					"stands beside it: a stronger one.",
				l.Winch,
				l.Line,
			)
			f.Over(l.Winch, l.Line, "N")
		default:
			return nil
		}
		return f
	})
}

// pushHard cautions of what is pushed up a ramp by more than the people there are push.
func pushHard(p *plan.Plan) []fitout.Finding {
	people := 0
	for i := range p.Job.Brief.Travellers {
		if p.Job.Brief.Travellers[i].Kind == fitout.TravellerPerson {
			people++
		}
	}
	return ramps(p, func(item *fitout.Item, l *fitout.Loading, slope float64) *fitout.Finding {
		kg := item.Mass + item.Presence.Content()
		pull, push := Pull(kg, slope), onePushes*float64(max(1, people))
		if l.Winch > 0 || pull <= push {
			return nil
		}
		f := &fitout.Finding{Rule: "push-hard", Severity: fitout.Caution, Source: "practice"}
		f.Title = fmt.Sprintf("%s is hard to push in", item.Name)
		f.Sentence = fmt.Sprintf(
			"At %.0f° it takes %.0f N, an estimate; %d push %.0f N. A winch does it, and %.0f people do%s.",
			degrees(slope),
			math.Ceil(pull),
			max(1, people),
			push,
			math.Ceil(pull/onePushes),
			byRamp(p, l.Rise, drawnUp(kg, push)),
		)
		f.Over(pull, push, "N")
		return f
	})
}
