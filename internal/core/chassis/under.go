package chassis

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fit/keeping"
	"zaino/internal/core/fit/strength"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// What keeps clear of a hot exhaust, mm: anything by the first, what burns by the second; a shield of sheet with air
// behind it leaves that share of both. What keeps clear of the middle of a shaft, which is some 50 thick to each
// side and rises with the axle, and of a line. Practice.
const (
	besideExhaust = 100.0
	burnsBeside   = 300.0
	shielded      = 0.5
	besideShaft   = 100.0
	shaftHalf     = 50.0
	besideLine    = 30.0
)

// exhaustNear cautions of a part beside the hot exhaust, and stops one with something in it that burns.
func exhaustNear(p *plan.Plan) []fitout.Finding {
	wants := func(m *fitout.Mark, part *scene.Part) float64 {
		share := 1.0
		if m.Shield {
			share = shielded
		}
		if keeping.Nature(part).Burns {
			return burnsBeside * share
		}
		return besideExhaust * share
	}
	return aboutMarks(
		p,
		"exhaust-near",
		fitout.ExhaustMark,
		wants,
		func(f *fitout.Finding, m *fitout.Mark, part *scene.Part) string {
			if keeping.Nature(part).Burns {
				f.Severity = fitout.Stop
				return "What is in it burns, and the exhaust is hot enough to light it."
			}
			if !m.Shield {
				return "It gets hot there: plastic softens and cables char. A shield leaves half of it to keep."
			}
			return "It gets hot there, in spite of the shield: plastic softens and cables char."
		},
	)
}

// shaftNear cautions of a part that a shaft reaches on its way up with the axle, and stops one in which it turns.
func shaftNear(p *plan.Plan) []fitout.Finding {
	return aboutMarks(p, "shaft-near", fitout.ShaftMark, always(besideShaft),
		func(f *fitout.Finding, _ *fitout.Mark, _ *scene.Part) string {
			if f.Value < shaftHalf {
				f.Severity = fitout.Stop
			}
			return "It turns, and rises with the axle."
		})
}

// lineNear cautions of a part against a brake or fuel line or the loom, and of a mounting point over one that a part
// is bolted to.
func lineNear(p *plan.Plan) []fitout.Finding {
	found := aboutMarks(p, "line-near", fitout.LineMark, always(besideLine),
		func(*fitout.Finding, *fitout.Mark, *scene.Part) string {
			return "What shakes against a line chafes it through."
		})
	s := scene.Of(p)
	for k := range p.Vehicle.Marks {
		for n := range p.Vehicle.Mounts {
			if f, over := boltOver(p, s, &p.Vehicle.Marks[k], &p.Vehicle.Mounts[n]); over {
				found = append(found, f)
			}
		}
	}
	return found
}

// boltOver cautions of a mounting point that holds something and comes out over a line.
func boltOver(p *plan.Plan, s *scene.Scene, m *fitout.Mark, mount *fitout.Mount) (fitout.Finding, bool) {
	off := math.Hypot(mount.At.X-m.At.X, mount.At.Y-m.At.Y)
	if m.Kind != fitout.LineMark || off >= besideLine-slack || m.At.Z > mount.At.Z {
		return fitout.Finding{}, false
	}
	var holds []*scene.Part
	for i := range s.Parts {
		if slices.Contains(strength.Mounts(s, &s.Parts[i]), mount) {
			holds = append(holds, &s.Parts[i])
		}
	}
	if len(holds) == 0 {
		return fitout.Finding{}, false
	}
	f := about("line-near", fitout.Caution, holds[0])
	f.With = []string{m.ID, mount.ID}
	f.Title = fmt.Sprintf("%s is over %s", mount.Name, words.Lower(m.Name))
	f.Sentence = fmt.Sprintf(
		"A drill or a bolt through there finds it, %s aside. Hold %s by another point, or put this one %s further. Brakes "+
			"and fuel belong to licensed people.",
		p.Say.Length(off),
		words.Lower(holds[0].Name()),
		p.Say.LengthAtLeast(besideLine-off),
	)
	f.Under(off, besideLine, "mm")
	f.Source = "practice"
	f.Lines = []fitout.Line{{From: m.At, To: mount.At, Label: p.Say.Length(off)}}
	after := ""
	if len(holds) > 1 {
		after = " (not enough alone)"
	}
	for _, part := range holds {
		if part.ID != holds[0].ID {
			f.With = append(f.With, part.ID)
		}
		if fix, ok := strength.HoldAnew(s, part, mount.ID, after); ok && len(f.Fixes) < strength.MostHeldAnew {
			f.Fixes = append(f.Fixes, fix)
		}
	}
	return f, true
}

// always is what every part keeps from a mark, mm.
func always(mm float64) func(*fitout.Mark, *scene.Part) float64 {
	return func(*fitout.Mark, *scene.Part) float64 { return mm }
}

// aboutMarks tells of parts nearer to marks of a kind than each wants, and why. What stands in a space with a floor
// is kept from them by that floor.
func aboutMarks(p *plan.Plan, rule string, kind fitout.MarkKind, wants func(*fitout.Mark, *scene.Part) float64,
	why func(*fitout.Finding, *fitout.Mark, *scene.Part) string) []fitout.Finding {
	var found []fitout.Finding
	s := scene.Of(p)
	for k := range p.Vehicle.Marks {
		m := &p.Vehicle.Marks[k]
		if m.Kind != kind {
			continue
		}
		for i := range s.Parts {
			part := &s.Parts[i]
			off, least := part.Box.Off(m.At), wants(m, part)
			if off >= least-slack || floored(p, part) {
				continue
			}
			f := about(rule, fitout.Caution, part)
			f.With = []string{m.ID}
			f.Title = fmt.Sprintf("%s is %s from %s", part.Name(), p.Say.Length(off), words.Lower(m.Name))
			f.Under(off, least, "mm")
			f.Source = "practice"
			f.Sentence = fmt.Sprintf("%s Keep %s between them, %s more.", why(&f, m, part), p.Say.Length(least),
				p.Say.LengthAtLeast(least-off))
			f.Lines = []fitout.Line{{From: m.At, To: part.Box.Middle(), Label: p.Say.Length(off)}}
			f.Fixes = s.ClearOf(part, m.At, least)
			found = append(found, f)
		}
	}
	return found
}

// Half of what a rear axle is thick, mm: of its tube, and of its gear in the middle, so far to each side. Practice.
const (
	axleTube  = 60.0
	axleGear  = 160.0
	gearWidth = 200.0
)

// AxleRoom is the room that a rear axle takes on its way up to the bump stop: its tube from wheel to wheel, and the
// gear in the middle of it, each as a box about the middle of the wheels, in mm.
func AxleRoom(wheelbase, track, radius, bump float64) [2]fitout.Box {
	about := func(half, wide float64) fitout.Box {
		return fitout.Box{From: fitout.Point{X: wheelbase - half - air, Y: -wide, Z: radius - half},
			To: fitout.Point{X: wheelbase + half + air, Y: wide, Z: radius + half + bump + air}}
	}
	return [2]fitout.Box{about(axleTube, track/2), about(axleGear, gearWidth)}
}

// axleHits stops a part that the rear axle reaches when it comes up to its bump stop.
func axleHits(p *plan.Plan) []fitout.Finding {
	v := p.Vehicle
	if v.TyreRadius == 0 || v.TrackRear == 0 {
		return nil
	}
	var found []fitout.Finding
	s := scene.Of(p)
	rooms := AxleRoom(p.Load.Wheelbase, v.TrackRear, v.TyreRadius, v.Rear.Bump)
	for i := range s.Parts {
		part := &s.Parts[i]
		into, room := 0.0, rooms[0]
		for _, r := range rooms {
			by := r.Overlap(part.Box)
			if least := min(by.X, by.Y, by.Z); least > into {
				into, room = least, r
			}
		}
		if into <= slack || floored(p, part) {
			continue
		}
		f := about("axle-hits", fitout.Stop, part)
		f.Title = "The rear axle hits " + words.Lower(part.Name())
		f.Sentence = fmt.Sprintf(
			"At its bump stop, with %s of air, it reaches %s into it, by the usual size of such an axle: "+
				"measure yours. Move it that far, or make it smaller.",
			p.Say.Length(air),
			p.Say.LengthAtLeast(into),
		)
		f.Over(into, 0, "mm")
		f.Source = "practice"
		f.Lines = []fitout.Line{
			{From: room.Cut(part.Box).Middle(), To: part.Box.Middle(), Label: p.Say.Length(into)},
		}
		found = append(found, f)
	}
	return found
}
