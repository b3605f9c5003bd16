package camp

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// What a body of stature S takes, by practice: standing S + 50 mm, sitting upright 0.52 S above the seat,
// kneeling to dress 0.75 S, passing its shoulders + 80 mm; the elbow of one who stands is at 0.63 S.
const (
	aboveHead  = 50.0
	sitting    = 0.52
	kneeling   = 0.75
	passing    = 80.0
	elbow      = 0.63
	belowElbow = 100.0 // at which one cuts, mm below the elbow
	stoop      = 150.0 // lower than that one stoops
	bodyDepth  = 250.0 // from chest to back, mm
	duck       = 250.0 // lower than the head by that a door is climbed through and not walked
	shoulders  = 450.0 // of one whose shoulders nobody measured, mm
)

// body is somebody who is placed in a stance.
type body struct {
	fitout.Placed
	who *fitout.Traveller
}

// bodies are those placed in a stance who travel still.
func bodies(s *scene.Scene, posture *scene.Posture) []body {
	var all []body
	for _, placed := range posture.Stance.People {
		for i := range s.Brief.Travellers {
			if t := &s.Brief.Travellers[i]; t.ID == placed.Traveller && t.Kind == fitout.TravellerPerson {
				all = append(all, body{placed, t})
			}
		}
	}
	return all
}

// tall is what a body needs above what it stands or sits on, mm; 0 where its height is not known.
func (b *body) tall() float64 {
	switch h := b.who.Height; {
	case h == 0:
		return 0
	case b.Does == fitout.Sits:
		return sitting * h
	case b.Does == fitout.Dresses:
		return kneeling * h
	default:
		return h + aboveHead
	}
}

func (b *body) wide() float64 {
	if b.who.Shoulder > 0 {
		return b.who.Shoulder
	}
	return shoulders
}

// column is the room of a body from what it stands on up to a height.
func (b *body) column(height float64) fitout.Box {
	half := fitout.Point{X: bodyDepth / 2, Y: bodyDepth / 2}
	return fitout.Box{From: fitout.Point{X: b.At.X - half.X, Y: b.At.Y - half.Y, Z: b.At.Z},
		To: fitout.Point{X: b.At.X + half.X, Y: b.At.Y + half.Y, Z: b.At.Z + height}}
}

// does are the words for what is done.
var does = map[fitout.Does]string{
	fitout.Stands: "stands", fitout.Sits: "sits", fitout.Dresses: "dresses", fitout.Passes: "passes", fitout.Works: "works",
}

// solid is what stands in a stance, with what it is called.
type solid struct {
	id, name string
	box      fitout.Box
}

// solids are all parts, open leaves and open doors of a posture, where they are then.
func solids(s *scene.Scene, posture *scene.Posture) []solid {
	var all []solid
	for i := range s.Parts {
		if !posture.Gone[i] {
			all = append(all, solid{s.Parts[i].ID, s.Parts[i].Name(), posture.Boxes[i]})
		}
	}
	for _, o := range posture.Open {
		all = append(all, solid{s.Parts[o.Part].ID, s.Parts[o.Part].Name(), o.Leaf.Open})
	}
	for _, d := range posture.Doors {
		if open, _, ok := posture.Door(&s.Bays[d]); ok {
			all = append(all, solid{s.Bays[d].ID, "the door of " + words.Lower(s.Bays[d].Name), open})
		}
	}
	return all
}

// bayOf is the space that a place lies in, or nil outside. A space without walls and ceiling is outside.
func bayOf(s *scene.Scene, at fitout.Point) *scene.Bay {
	for i := range s.Bays {
		if s.Bays[i].Open {
			continue
		}
		room := s.Bays[i].Room
		low := fitout.Point{X: at.X, Y: at.Y, Z: max(at.Z, room.From.Z)}
		if at.Z > room.From.Z-300 && room.Around(fitout.Box{From: low, To: low}) == room {
			return &s.Bays[i]
		}
	}
	return nil
}

// room stops a body that is placed where something stands, and cautions of one without the height that it
// needs: up to the ceiling, what hangs there, or an awning.
func room(p *plan.Plan) []fitout.Finding {
	return stances(p, func(s *scene.Scene, posture *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		for _, b := range bodies(s, posture) {
			need := b.tall()
			if need == 0 {
				continue
			}
			free, by, with := math.Inf(1), "the ceiling", ""
			if bay := bayOf(s, b.At); bay != nil {
				free = bay.Room.To.Z - b.At.Z
			}
			for _, x := range solids(s, posture) {
				if b.At.Z+slack >= x.box.To.Z || x.id == b.On || deep(b.column(need), x.box) <= slack {
					continue
				}
				if above := x.box.From.Z - b.At.Z; above < free {
					free, by, with = above, words.Lower(x.name), x.id
				}
			}
			for i := range posture.Stance.Ground {
				g := &posture.Stance.Ground[i]
				if box := roofOf(g); g.Kind == fitout.GroundAwning && deep(b.column(need), box) > slack &&
					box.From.Z-b.At.Z < free {
					free, by, with = box.From.Z-b.At.Z, words.Lower(g.Name), g.ID
				}
			}
			if free >= need-slack {
				continue
			}
			f := about("head-room", fitout.Caution, posture, b.who.ID)
			if with != "" {
				f.With = append(f.With, with)
			}
			f.Title = fmt.Sprintf("%s %s without head room", b.who.Name, does[b.Does])
			f.Sentence = fmt.Sprintf(
				"Up to %s there are %s; %s needs %s. That is %s too little: raise that, or choose another place.%s",
				by,
				s.Say.Length(max(0, free)),
				b.who.Name,
				s.Say.Length(need),
				s.Say.LengthAtLeast(need-max(0, free)),
				in(posture),
			)
			if free <= bodyDepth {
				f.Severity = fitout.Stop
				f.Sentence = fmt.Sprintf("%s stands there. Move one of them.%s", words.Capital(by), in(posture))
			}
			f.Under(max(0, free), need, "mm")
			f.Lines = []fitout.Line{
				{
					From:  b.At,
					To:    fitout.Point{X: b.At.X, Y: b.At.Y, Z: b.At.Z + max(0, free)},
					Label: s.Say.Length(max(0, free)),
				},
			}
			found = append(found, f)
		}
		return found
	})
}

// passage cautions where somebody passes between what stands there with less than the shoulders and 80 mm.
func passage(p *plan.Plan) []fitout.Finding {
	return stances(p, func(s *scene.Scene, posture *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		for _, b := range bodies(s, posture) {
			if b.Does != fitout.Passes {
				continue
			}
			// From the hips up to the shoulders, the narrower of both ways through counts.
			band := b.column(max(1000, 0.8*b.who.Height))
			band.From.Z += 300
			free, between := math.Inf(1), []string{}
			for _, across := range []bool{true, false} {
				low, high, names := math.Inf(-1), math.Inf(1), [2]string{}
				if bay := bayOf(s, b.At); bay != nil {
					low, high = edge(bay.Room.From, across), edge(bay.Room.To, across)
				}
				for _, x := range solids(s, posture) {
					beside := band
					stretch(&beside, across)
					if deep(beside, x.box) <= slack {
						continue
					}
					if from := edge(x.box.From, across); from >= edge(b.At, across) && from < high {
						high, names[1] = from, x.id
					}
					if to := edge(x.box.To, across); to <= edge(b.At, across) && to > low {
						low, names[0] = to, x.id
					}
				}
				if high-low < free {
					free = high - low
					between = slices.DeleteFunc(
						[]string{names[0], names[1]},
						func(id string) bool { return id == "" },
					)
				}
			}
			if need := b.wide() + passing; free < need-slack {
				f := about("passage-narrow", fitout.Caution, posture, append([]string{b.who.ID}, between...)...)
				f.Title = b.who.Name + " does not get through"
				f.Sentence = fmt.Sprintf(
					"The passage is %s wide; %s wants %s, the shoulders and %s. Widen it by %s.%s",
					s.Say.Length(free),
					b.who.Name,
					s.Say.Length(need),
					s.Say.Length(passing),
					s.Say.LengthAtLeast(need-free),
					in(posture),
				)
				f.Under(free, need, "mm")
				found = append(found, f)
			}
		}
		return found
	})
}

func edge(at fitout.Point, across bool) float64 {
	if across {
		return at.Y
	}
	return at.X
}

// stretch makes a box without end across or along.
func stretch(b *fitout.Box, across bool) {
	const far = 20000
	if across {
		b.From.Y, b.To.Y = b.From.Y-far, b.To.Y+far
	} else {
		b.From.X, b.To.X = b.From.X-far, b.To.X+far
	}
}

// doorLow cautions of the door to where somebody stands that is lower than 250 mm below the stature, and
// notes one that is lower than the stature.
func doorLow(p *plan.Plan) []fitout.Finding {
	return stances(p, func(s *scene.Scene, posture *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		told := map[string]bool{}
		for _, b := range bodies(s, posture) {
			bay := bayOf(s, b.At)
			if bay == nil || b.who.Height == 0 ||
				b.Does != fitout.Stands && b.Does != fitout.Passes && b.Does != fitout.Works ||
				told[bay.ID] {
				continue
			}
			high := 0.0
			for _, o := range bay.Exits() {
				high = max(high, o.Gap.Size().Height)
			}
			if high == 0 || high >= b.who.Height-slack {
				continue
			}
			told[bay.ID] = true
			f := about("door-low", fitout.Note, posture, bay.ID, b.who.ID)
			f.Title = fmt.Sprintf("%s stoops at the door of %s", b.who.Name, words.Lower(bay.Name))
			f.Sentence = fmt.Sprintf(
				"It is %s high, %s is %s tall.%s",
				s.Say.Length(high),
				b.who.Name,
				s.Say.Length(b.who.Height),
				in(posture),
			)
			f.Under(high, b.who.Height, "mm")
			if high < b.who.Height-duck-slack {
				f.Severity = fitout.Caution
				f.Title = fmt.Sprintf("%s climbs through the door of %s", b.who.Name, words.Lower(bay.Name))
				f.Under(high, b.who.Height-duck, "mm")
			}
			found = append(found, f)
		}
		return found
	})
}

// workHeight cautions where the rim of what stands on a worktop is above the elbow, and notes a top that is
// stooped over.
func workHeight(p *plan.Plan) []fitout.Finding {
	return stances(p, func(s *scene.Scene, posture *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		for _, b := range bodies(s, posture) {
			k := slices.IndexFunc(s.Parts, func(q scene.Part) bool { return q.ID == b.On })
			if b.Does != fitout.Works || b.who.Height == 0 || k < 0 || posture.Gone[k] {
				continue
			}
			top := posture.Boxes[k]
			for _, o := range posture.Open {
				if o.Part == k && s.Parts[k].Motion == scene.Slides {
					top = o.Leaf.Open
				}
			}
			rim, what := top.To.Z, words.Lower(s.Parts[k].Name())
			for i := range s.Parts {
				by := posture.Boxes[i].Overlap(top)
				if i != k && !posture.Gone[i] && math.Abs(posture.Boxes[i].From.Z-top.To.Z) < 5 &&
					min(by.X, by.Y) > slack &&
					posture.Boxes[i].To.Z > rim {
					rim, what = posture.Boxes[i].To.Z, words.Lower(s.Parts[i].Name())
				}
			}
			at, hand := elbow*b.who.Height, top.To.Z-b.At.Z
			switch {
			case rim-b.At.Z > at+slack:
				f := about("work-high", fitout.Caution, posture, b.who.ID, b.On)
				f.Title = fmt.Sprintf("%s works with raised arms", b.who.Name)
				f.Sentence = fmt.Sprintf(
					"The rim of %s is %s above the feet, the elbow %s. Lower it by %s, or give a step.%s",
					what,
					s.Say.Length(rim-b.At.Z),
					s.Say.Length(at),
					s.Say.LengthAtLeast(rim-b.At.Z-at),
					in(posture),
				)
				f.Over(rim-b.At.Z, at, "mm")
				found = append(found, f)
			case hand < at-belowElbow-stoop-slack:
				f := about("work-low", fitout.Note, posture, b.who.ID, b.On)
				f.Title = fmt.Sprintf("%s stoops over %s", b.who.Name, words.Lower(s.Parts[k].Name()))
				f.Sentence = fmt.Sprintf(
					"Its top is %s above the feet; %s cuts at %s, and stoops from %s down. Raise it by %s, or sit.%s",
					s.Say.Length(hand),
					b.who.Name,
					s.Say.Length(at-belowElbow),
					s.Say.Length(at-belowElbow-stoop),
					s.Say.LengthAtLeast(at-belowElbow-stoop-hand),
					in(posture),
				)
				f.Under(hand, at-belowElbow-stoop, "mm")
				found = append(found, f)
			}
		}
		return found
	})
}

// heightUnsaid notes somebody who is placed in a stance and whose height nobody entered.
func heightUnsaid(p *plan.Plan) []fitout.Finding {
	told := map[string]bool{}
	return stances(p, func(s *scene.Scene, posture *scene.Posture) []fitout.Finding {
		var found []fitout.Finding
		for _, b := range bodies(s, posture) {
			if b.who.Height > 0 || told[b.who.ID] {
				continue
			}
			told[b.who.ID] = true
			f := about("height-unsaid", fitout.Note, posture, b.who.ID)
			f.Title = fmt.Sprintf("How tall %s is was not said", b.who.Name)
			f.Sentence = "Without it nothing is found about head room, doors and worktops. Enter it in the brief." + in(
				posture,
			)
			f.Margin, f.Source = -1, "brief"
			found = append(found, f)
		}
		return found
	})
}
