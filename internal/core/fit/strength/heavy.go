package strength

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// tail is how far behind the rear axle a heavy thing is called out, mm.
const tail = 600

// HeavyHigh notes single heavy things whose middle is high: they raise the centre
// of gravity; only light things belong there.
func HeavyHigh(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		z := p.Box.Middle().Z
		if quantity.Exceeds(s.Practice.HeavyFrom, p.Kg()) || !quantity.Exceeds(z, s.Practice.HighFrom+scene.Slack) {
			continue
		}
		f := scene.About("heavy-high", fitout.Note, p)
		f.Title = fmt.Sprintf("%s is heavy and high", p.Name())
		f.Sentence = fmt.Sprintf("%s with its middle %s above ground raises the centre of gravity. From %s up the workshop "+
			"keeps what is lighter than %s; put it %s lower where it can go.", s.Say.Mass(p.Kg()), s.Say.Length(z),
			s.Say.Length(s.Practice.HighFrom), s.Say.Mass(s.Practice.HeavyFrom), s.Say.LengthAtLeast(z-s.Practice.HighFrom))
		f.Value, f.Limit, f.Margin, f.Source = z, s.Practice.HighFrom, s.Practice.HighFrom-z, "workshop rule"
		f.Lines = []fitout.Line{s.Upright(p.Box, 0, z)}
		found = append(found, f)
	}
	return found
}

// HeavyTail notes the heavy things far behind the rear axle, all together: they
// weigh on it more than their mass, by x / L.
func HeavyTail(s *scene.Scene) []fitout.Finding {
	var worst *scene.Part
	var names []string
	kg, onRear := 0.0, 0.0
	for i := range s.Parts {
		p := &s.Parts[i]
		x := p.Box.Middle().X
		if p.Kg() < s.Practice.HeavyFrom || x-s.Wheelbase <= tail || s.Wheelbase == 0 {
			continue
		}
		names = append(names, words.Lower(p.Name()))
		kg, onRear = kg+p.Kg(), onRear+p.Kg()*x/s.Wheelbase
		if worst == nil || p.Kg()*x > worst.Kg()*worst.Box.Middle().X {
			worst = p
		}
	}
	if worst == nil {
		return nil
	}
	m := worst.Box.Middle()
	behind := m.X - s.Wheelbase
	f := scene.About("heavy-tail", fitout.Note, worst)
	f.Title = fmt.Sprintf("%s is heavy and far back", worst.Name())
	if len(names) > 1 {
		f.Title = fmt.Sprintf("%d heavy things far back", len(names))
	}
	f.Sentence = fmt.Sprintf("%s, %s together, stand more than %s behind the rear axle: they put %s on it and take %s "+
		"off the front. Heavy things belong between the axles or just ahead of the rear one.",
		words.Capital(words.List(names)), s.Say.Mass(kg), s.Say.Length(tail), s.Say.Mass(onRear), s.Say.Mass(onRear-kg))
	f.Value, f.Limit, f.Margin, f.Source = behind, tail, tail-behind, "practice"
	f.Lines = []fitout.Line{scene.Line(fitout.Point{X: s.Wheelbase, Y: m.Y, Z: m.Z}, m, s.Say.Length(behind))}
	return []fitout.Finding{f}
}
