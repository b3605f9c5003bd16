package clearance

import (
	"fmt"
	"math"

	"zaino/internal/core/fit/strength"
	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// floored are the kinds of space in which things stand on a floor; in the others they hang or are bolted on.
var floored = map[fitout.BayKind]bool{
	fitout.BayWagonCargo: true, fitout.BayTub: true, fitout.BayCanopyLeft: true, fitout.BayCanopyRight: true,
	fitout.BayCanopyRear: true, fitout.BayLivingBox: true, fitout.BaySecondRow: true, fitout.BayCab: true,
}

// raisedIn is the space in which a part that has to stand is off the floor, or nil. Of a thing of the ledger nobody
// drew the place, and what a stance puts elsewhere somebody holds or sets down.
func raisedIn(s *scene.Scene, p *scene.Part) *scene.Bay {
	bay := s.BayOf(p)
	if bay == nil || p.Away || p.Ledger || !p.Traits().Stands || !floored[bay.Kind] ||
		p.Box.From.Z-bay.Room.From.Z <= scene.PackedUp {
		return nil
	}
	return bay
}

// StandsOnNothing cautions of what has to stand and has only air beneath it. It may hang by a mounting point over its
// underside, or under another part.
func StandsOnNothing(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := raisedIn(s, p)
		if bay == nil {
			continue
		}
		under, name := beneath(s, p, bay)
		air := p.Box.From.Z - under
		down := air // but what slides out of it has to clear the lip
		goesOut(s, i, func(bay *scene.Bay, box fitout.Box) {
			if bay.Opening.Face != fitout.FaceTop {
				down = max(0, min(down, box.From.Z-bay.Opening.Gap.From.Z))
			}
		})
		may := max(scene.PackedUp, air-down)
		if air <= may+scene.Slack || hangs(s, p, bay) {
			continue
		}
		f := scene.About("stands-on-nothing", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s stands on nothing", p.Name())
		f.Sentence = fmt.Sprintf(
			"Between it and %s are %s of air, and no mounting point above its underside holds it up. Lower it by %s, build "+
				"what it stands on, or measure again.",
			words.Lower(name),
			s.Say.Length(air),
			s.Say.LengthAtMost(down),
		)
		f.Over(air, may, "mm")
		f.Source = "physics"
		f.Fixes = []fitout.Fix{scene.Edit("Lower it by "+s.Say.LengthAtMost(down), "part-z", p.ID, p.Box.Middle().Z-down)}
		f.Lines = []fitout.Line{s.Upright(p.Box, under, p.Box.From.Z)}
		found = append(found, f)
	}
	return found
}

// beneath is how high the next thing under a part reaches, mm above ground, and what it is called: another part, what
// rises from the floor of its space, or that floor.
func beneath(s *scene.Scene, p *scene.Part, bay *scene.Bay) (top float64, name string) {
	top, name = bay.Room.From.Z, "the floor of "+words.Lower(bay.Name)
	look := func(box fitout.Box, called string) {
		by := p.Box.Overlap(box)
		if by.X > scene.Slack && by.Y > scene.Slack && box.To.Z <= p.Box.From.Z+scene.Slack && box.To.Z > top {
			top, name = box.To.Z, called
		}
	}
	for k := range bay.Obstacles {
		look(bay.Obstacles[k].Box, bay.Obstacles[k].Name)
	}
	for k := range s.Parts {
		if other := &s.Parts[k]; other.ID != p.ID {
			look(other.Box, other.Name())
		}
	}
	return top, name
}

// hangs tells whether something holds a part up from above its underside.
func hangs(s *scene.Scene, p *scene.Part, bay *scene.Bay) bool {
	for _, m := range strength.Mounts(s, p) {
		if m.At.Z >= p.Box.From.Z-scene.PackedUp {
			return true
		}
	}
	for _, g := range scene.Gaps(p, s.Parts, bay) {
		if g.Side == "above" && g.To != "" && g.MM <= scene.Touching {
			return true
		}
	}
	return false
}

// Topples cautions of what stands on other parts, or on what rises from the floor, by its edge only: the middle of
// it is beside all that carries it, and nothing holds it up.
func Topples(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := raisedIn(s, p)
		if bay == nil {
			continue
		}
		on, name := support(s, p, bay)
		at := p.Box.Middle()
		most, kind, to, side := 0.0, "", 0.0, ""
		for _, way := range []struct {
			by, to     float64
			kind, side string
		}{
			{on.From.X - at.X, on.From.X, "part-x", "toward the rear"}, {at.X - on.To.X, on.To.X, "part-x", "toward the front"},
			{on.From.Y - at.Y, on.From.Y, "part-y", "to the right"}, {at.Y - on.To.Y, on.To.Y, "part-y", "to the left"},
		} {
			if way.by > most {
				most, to, kind, side = way.by, way.to, way.kind, way.side
			}
		}
		if name == "" || most <= scene.Slack || hangs(s, p, bay) {
			continue
		}
		f := scene.About("topples", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s topples off %s", p.Name(), words.Lower(name))
		f.Sentence = fmt.Sprintf(
			"Its middle stands %s beside what carries it. Move it %s %s, or carry its other side too.",
			s.Say.Length(most),
			s.Say.LengthAtLeast(most),
			side,
		)
		f.Over(most, 0, "mm")
		f.Source = "physics"
		f.Fixes = []fitout.Fix{scene.Edit("Move it "+s.Say.LengthAtLeast(most)+" "+side, kind, p.ID, to)}
		f.Lines = []fitout.Line{scene.Line(at, on.Middle(), s.Say.Length(most))}
		found = append(found, f)
	}
	return found
}

// support is the least box, seen from above, around all on which a part stands, and what carries most of it; without
// a name where nothing does.
func support(s *scene.Scene, p *scene.Part, bay *scene.Bay) (on fitout.Box, name string) {
	most := 0.0
	look := func(box fitout.Box, called string) {
		by := p.Box.Overlap(box)
		if by.X <= scene.Slack || by.Y <= scene.Slack || math.Abs(p.Box.From.Z-box.To.Z) > scene.Touching {
			return
		}
		if cut := p.Box.Cut(box); name == "" {
			on = cut
		} else {
			on = on.Around(cut)
		}
		if by.X*by.Y > most {
			most, name = by.X*by.Y, called
		}
	}
	for k := range bay.Obstacles {
		look(bay.Obstacles[k].Box, bay.Obstacles[k].Name)
	}
	for k := range s.Parts {
		if other := &s.Parts[k]; other.ID != p.ID {
			look(other.Box, other.Name())
		}
	}
	return on, name
}
