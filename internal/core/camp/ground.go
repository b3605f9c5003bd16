package camp

import (
	"fmt"
	"math"

	"zaino/internal/core/fit/living"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// Practice: a fire stands 3 m from what burns; a ladder stands at 65° or steeper; what stands within 600 mm
// before a way out is in it.
const (
	fireAway   = 3000.0
	ladderAt   = 65.0
	beforeExit = 600.0
	roofSlab   = 60.0 // how thick an awning is taken, mm
)

// roofOf is the box that a thing on the ground takes: of an awning its roof alone.
func roofOf(g *fitout.GroundThing) fitout.Box {
	box := g.Box()
	if g.Kind == fitout.GroundAwning {
		box.From.Z = box.To.Z - roofSlab
	}
	return box
}

// groundInWay stops what stands on the ground where something opens, or where a part stands. Awnings and
// ladders only where something opens.
func groundInWay(p *plan.Plan) []fitout.Finding {
	return stances(p, func(s *scene.Scene, posture *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		for i := range posture.Stance.Ground {
			g := &posture.Stance.Ground[i]
			box := roofOf(g)
			tell := func(id, name string, other fitout.Box) {
				by := deep(box, other)
				if by <= slack {
					return
				}
				f := about("ground-in-way", fitout.Stop, posture, g.ID, id)
				f.Title = fmt.Sprintf("%s stands in the way of %s", g.Name, words.Lower(name))
				f.Sentence = fmt.Sprintf(
					"They reach %s into each other. Move %s by that much.%s",
					s.Say.Length(by),
					words.Lower(g.Name),
					in(posture),
				)
				f.Over(by, 0, "mm")
				f.Lines = []fitout.Line{{From: box.Middle(), To: other.Middle(), Label: s.Say.Length(by)}}
				f.Source = "physics"
				found = append(found, f)
			}
			opens := map[string]bool{}
			for _, o := range posture.Open {
				if id := s.Parts[o.Part].ID; !opens[id] && deep(box, o.Swept) > slack {
					opens[id] = true
					tell(id, s.Parts[o.Part].Name(), o.Swept)
				}
			}
			for _, d := range posture.Doors {
				if _, swept, ok := posture.Door(&s.Bays[d]); ok {
					tell(s.Bays[d].ID, "the door of "+s.Bays[d].Name, swept)
				}
			}
			if g.Kind == fitout.GroundAwning || g.Kind == fitout.GroundLadder {
				continue // they hang and lean on what stands there
			}
			for k := range s.Parts {
				if !posture.Gone[k] && !opens[s.Parts[k].ID] {
					tell(s.Parts[k].ID, s.Parts[k].Name(), posture.Boxes[k])
				}
			}
		}
		return found
	})
}

// groundTogether cautions of two things on the ground in one place. What stands under an awning is not in it.
func groundTogether(p *plan.Plan) []fitout.Finding {
	return stances(p, func(s *scene.Scene, posture *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		all := posture.Stance.Ground
		for i := range all {
			for k := range all[:i] {
				by := deep(roofOf(&all[i]), roofOf(&all[k]))
				if by <= slack {
					continue
				}
				f := about("ground-together", fitout.Caution, posture, all[k].ID, all[i].ID)
				f.Title = fmt.Sprintf("%s stands in %s", all[i].Name, words.Lower(all[k].Name))
				f.Sentence = fmt.Sprintf(
					"They reach %s into each other. Move one of them by that much.%s",
					s.Say.Length(by),
					in(posture),
				)
				f.Over(by, 0, "mm")
				found = append(found, f)
			}
		}
		return found
	})
}

// groundBeforeExit cautions of what stands before a way out of those who sleep inside, and takes more than
// half of its width.
func groundBeforeExit(p *plan.Plan) []fitout.Finding {
	return stances(p, func(s *scene.Scene, posture *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		if posture.Stance.Use != fitout.StanceSleep || len(posture.Stance.Sleepers) == 0 {
			return nil
		}
		for k := range s.Bays {
			bay := &s.Bays[k]
			if !bay.Shared {
				continue
			}
			for _, o := range bay.Exits() {
				way := living.Outside(o, beforeExit)
				for i := range posture.Stance.Ground {
					g := &posture.Stance.Ground[i]
					if deep(roofOf(g), way) <= slack {
						continue
					}
					taken := roofOf(g).Cut(way).Size()
					whole := way.Size()
					share := taken.Width / whole.Width
					if o.Face == fitout.FaceLeft || o.Face == fitout.FaceRight {
						share = taken.Length / whole.Length
					}
					if share <= 0.5 {
						continue
					}
					f := about("ground-before-exit", fitout.Caution, posture, g.ID, bay.ID)
					f.Title = fmt.Sprintf("%s stands before a way out", g.Name)
					f.Sentence = fmt.Sprintf(
						"It leaves less than half of the way out of %s free, within %s of it. Put it aside.%s",
						words.Lower(bay.Name),
						s.Say.Length(beforeExit),
						in(posture),
					)
					f.Over(100*share, 50, "%")
					found = append(found, f)
				}
			}
		}
		return found
	})
}

// fireNear cautions of a fire near tents, awnings, chairs and what burns in the vehicle, and stops one under
// an awning.
func fireNear(p *plan.Plan) []fitout.Finding {
	return stances(p, func(s *scene.Scene, posture *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		for i := range posture.Stance.Ground {
			fire := &posture.Stance.Ground[i]
			if fire.Kind != fitout.GroundFire {
				continue
			}
			tell := func(id, name string, box fitout.Box) {
				away := apart(fire.Box(), box)
				if away >= fireAway {
					return
				}
				f := about("fire-near", fitout.Caution, posture, fire.ID, id)
				f.Title = fmt.Sprintf("%s burns near %s", fire.Name, words.Lower(name))
				f.Sentence = fmt.Sprintf(
					"It is %s away; sparks want %s. Put it %s further off, and ask whether fires are allowed there.%s",
					s.Say.Length(away),
					s.Say.Length(fireAway),
					s.Say.Length(fireAway-away),
					in(posture),
				)
				if away == 0 {
					f.Severity = fitout.Stop
				}
				f.Under(away, fireAway, "mm")
				found = append(found, f)
			}
			for k := range posture.Stance.Ground {
				g := &posture.Stance.Ground[k]
				if g.Kind == fitout.GroundTent || g.Kind == fitout.GroundAwning {
					tell(g.ID, g.Name, g.Box())
				}
			}
			for k := range s.Parts {
				part := &s.Parts[k]
				burns := part.Item != nil &&
					(part.Item.Substance.Burns() || part.Item.Module != nil && module.TraitsOf(part.Item.Module.Kind).Burns)
				if burns && !posture.Gone[k] {
					tell(part.ID, part.Name(), posture.Boxes[k])
				}
			}
		}
		return found
	})
}

// apart is how far two boxes are from each other on the ground, mm; 0 where one is above the other.
func apart(a, b fitout.Box) float64 {
	by := a.Overlap(b)
	return math.Hypot(max(0, -by.X), max(0, -by.Y))
}

// ladderFlat cautions of a ladder that stands flatter than 65°: it slides off.
func ladderFlat(p *plan.Plan) []fitout.Finding {
	return stances(p, func(s *scene.Scene, posture *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		for i := range posture.Stance.Ground {
			g := &posture.Stance.Ground[i]
			base := max(g.Size.Length, g.Size.Width)
			if g.Kind != fitout.GroundLadder || g.Size.Height == 0 {
				continue
			}
			steep := math.Atan2(g.Size.Height, base) * 180 / math.Pi
			if steep >= ladderAt-0.05 {
				continue
			}
			f := about("ladder-flat", fitout.Caution, posture, g.ID)
			f.Title = g.Name + " stands too flat"
			f.Sentence = fmt.Sprintf(
				"It leans at %.0f°, and slides off below %.0f°. Its foot belongs %s nearer.%s",
				steep,
				ladderAt,
				s.Say.LengthAtLeast(math.Ceil(base-g.Size.Height/math.Tan(ladderAt*math.Pi/180))),
				in(posture),
			)
			f.Under(steep, ladderAt, "°")
			found = append(found, f)
		}
		return found
	})
}
