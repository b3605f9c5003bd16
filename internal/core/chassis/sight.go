package chassis

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// Practice: a mirror sees past what it stands 50 mm beyond on each side; an aerial wants nothing beside it
// that is higher than its tip within 500 mm.
const (
	pastBody    = 50.0
	aroundAnten = 500.0
)

// mirrorsNarrow cautions of a part or body that is so wide that the mirrors do not see past it.
func mirrorsNarrow(p *plan.Plan) []fitout.Finding {
	half := p.Vehicle.MirrorWidth/2 - pastBody
	if half <= 0 {
		return nil
	}
	s := scene.Of(p)
	most, at := 0.0, -1
	for i := range s.Parts {
		if wide := max(-s.Parts[i].Box.From.Y, s.Parts[i].Box.To.Y); wide > half+slack && wide > most {
			most, at = wide, i
		}
	}
	body := p.Vehicle.Outline.Width / 2
	if at < 0 && body <= half+slack {
		return nil
	}
	f := fitout.Finding{
		Rule:     "mirrors-narrow",
		Severity: fitout.Caution,
		Subject:  fitout.Subject{Kind: "vehicle"},
		Source:   "practice",
	}
	name := "the body"
	if at >= 0 && most >= body {
		f = about("mirrors-narrow", fitout.Caution, &s.Parts[at])
		f.Source, name = "practice", words.Lower(s.Parts[at].Name())
	} else {
		most = body
	}
	f.Title = fmt.Sprintf("The mirrors do not see past %s", name)
	f.Sentence = fmt.Sprintf(
		"It stands %s out from the middle; the mirrors stand %s out and want %s more than what they see past. Mirrors that stand "+
			"%s further out on each side.",
		p.Say.Length(most),
		p.Say.Length(p.Vehicle.MirrorWidth/2),
		p.Say.Length(pastBody),
		p.Say.LengthAtLeast(most-half),
	)
	f.Over(most, half, "mm")
	return []fitout.Finding{f}
}

// aerialShaded notes what stands higher than the tip of an aerial, near it: metal there takes from what it
// hears and sends.
func aerialShaded(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	s := scene.Of(p)
	for k := range p.Vehicle.Marks {
		m := &p.Vehicle.Marks[k]
		if m.Kind != fitout.AerialMark {
			continue
		}
		for i := range s.Parts {
			b := s.Parts[i].Box
			tip := fitout.Box{From: m.At, To: m.At}
			by := tip.Overlap(b)
			if b.To.Z <= m.At.Z+slack || -by.X >= aroundAnten || -by.Y >= aroundAnten {
				continue
			}
			f := about("aerial-shaded", fitout.Note, &s.Parts[i])
			f.With = []string{m.ID}
			f.Title = fmt.Sprintf("%s stands over %s", s.Parts[i].Name(), words.Lower(m.Name))
			f.Sentence = fmt.Sprintf(
				"It is %s higher than the tip, and nearer than %s. Raise the aerial by that much, or put it elsewhere.",
				p.Say.LengthAtLeast(b.To.Z-m.At.Z),
				p.Say.Length(aroundAnten),
			)
			f.Over(b.To.Z-m.At.Z, 0, "mm")
			f.Source = "practice"
			found = append(found, f)
		}
	}
	return found
}
