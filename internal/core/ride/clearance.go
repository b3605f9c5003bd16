package ride

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// leastClear is the way between the ground and what hangs lowest under the loaded vehicle below which it is called
// low, mm: a rut or a stone of a track is as high. Workshop practice.
const leastClear = 150.0

// groundClearance cautions of what hangs low under the loaded vehicle, a low point of it, a tank, a lamp or a part of
// the fitout, and stops what would stand on the ground. The springs' way is counted where their rates are known.
func groundClearance(p *plan.Plan) []fitout.Finding {
	stands := figures(p)
	var found []fitout.Finding
	look := func(subject fitout.Subject, name string, x, low float64) {
		x = max(-p.Vehicle.Outline.FrontOverhang, min(x, p.Load.Wheelbase+p.Vehicle.Outline.RearOverhang))
		down := stands.Front.Drop + (stands.Rear.Drop-stands.Front.Drop)*x/p.Load.Wheelbase
		if !stands.Known {
			down = 0
		}
		left := low - down
		if left >= leastClear-words.Enough {
			return
		}
		f := fitout.Finding{
			Rule:     "ground-clearance",
			Severity: fitout.Caution,
			Subject:  subject,
			Source:   "workshop rule",
		}
		f.Title = fmt.Sprintf("%s clears the ground by %s", words.Capital(name), p.Say.Length(left))
		f.Sentence = fmt.Sprintf(
			"It hangs %s over level ground as loaded here; below %s it meets stones and ruts, and every kerb. "+
				"Raise it by %s, or measure again.",
			p.Say.Length(max(0, left)),
			p.Say.Length(leastClear),
			p.Say.LengthAtLeast(leastClear-left),
		)
		if left <= 0 {
			f.Severity = fitout.Stop
			f.Title = words.Capital(name) + " stands on the ground"
			f.Sentence = fmt.Sprintf(
				"As loaded here it reaches %s below level ground. Raise it by %s, or measure again.",
				p.Say.Length(-left),
				p.Say.LengthAtLeast(leastClear-left),
			)
		}
		f.Under(left, leastClear, "mm")
		found = append(found, f)
	}
	for i := range p.Vehicle.LowPoints {
		low := &p.Vehicle.LowPoints[i]
		look(fitout.Subject{Kind: "vehicle", ID: low.ID}, low.Name, low.At.X, low.At.Z)
	}
	if sill := p.Vehicle.Outline.SillHeight; sill < leastClear {
		look(fitout.Subject{Kind: "vehicle"}, "the body", p.Load.Wheelbase/2, sill)
	}
	for i := range p.Vehicle.Tanks {
		t := &p.Vehicle.Tanks[i]
		look(fitout.Subject{Kind: "tank", ID: t.ID}, t.Name, t.At.X, t.At.Z)
	}
	for i := range p.Vehicle.Marks {
		m := &p.Vehicle.Marks[i]
		look(fitout.Subject{Kind: "point", ID: m.ID}, m.Name, m.At.X, m.At.Z)
	}
	for i := range p.Items {
		item := &p.Items[i]
		if item.Module == nil || item.In != nil || item.At == (fitout.Point{}) || !p.Load.Items[i].Road ||
			p.Load.Items[i].Trailer {
			continue
		}
		look(fitout.Subject{Kind: "module", ID: item.ID}, item.Name, item.At.X, item.Box().From.Z)
	}
	return found
}
