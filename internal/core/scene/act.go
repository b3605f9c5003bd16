package scene

import (
	"fmt"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/words"
)

// Act is one thing to do on the way from the road to a stance, or to a thing.
type Act struct {
	Kind    string  `json:"kind" enum:"fold,turn,carrier,door,open,move,hang,ground"`
	ID      string  `json:"id" doc:"of the seat, bay, item, traveller or thing on the ground; empty for the carrier"`
	Text    string  `json:"text"`
	Minutes float64 `json:"minutes" doc:"an estimate"`
}

// Estimates of how long a step takes, minutes: a seat, a door, a slide or lid, one
// with locks on both sides, a thing moved, and one that takes two.
const (
	foldMinutes  = 0.5
	doorMinutes  = 0.2
	openMinutes  = 0.2
	bothMinutes  = 0.4
	moveMinutes  = 1
	heavyMinutes = 3
)

// Change returns what has to be done from the road to a posture, in an order in
// which it goes: seats, the carrier, doors, what is put elsewhere, then what is opened, each
// after what stands in its way, then what hangs and what stands on the ground.
func (s *Scene) Change(p *Posture) []Act {
	var steps []Act
	for _, seat := range p.Stance.Folded {
		for i := range s.Vehicle.Seats {
			if s.Vehicle.Seats[i].ID == seat.Seat {
				steps = append(
					steps,
					Act{"fold", seat.Seat, "Fold " + words.Lower(s.Vehicle.Seats[i].Name), foldMinutes},
				)
			}
		}
	}
	first, last := s.settle(&p.Stance)
	steps = append(steps, first...)
	for _, d := range p.Doors {
		steps = append(steps, s.beforeDoor(d, p)...)
		steps = append(
			steps,
			Act{"door", s.Bays[d].ID, "Open the door of " + words.Lower(s.Bays[d].Name), doorMinutes},
		)
	}
	for _, l := range p.Stance.Loose {
		if i := IndexOf(s.Parts, l.Item); i >= 0 {
			steps = append(steps, s.moveStep(i, l.Outside))
		}
	}
	for _, o := range s.order(p) {
		step := s.openStep(o)
		if !slices.Contains(steps, step) {
			steps = append(steps, step)
		}
	}
	return append(steps, last...)
}

// beforeDoor is what swings away before the door of a bay can be opened.
func (s *Scene) beforeDoor(bay int, p *Posture) []Act {
	_, swept, ok := p.Door(&s.Bays[bay])
	if !ok {
		return nil
	}
	var steps []Act
	for i := range s.Parts {
		part := &s.Parts[i]
		if Least(swept.Overlap(part.Box)) <= Slack || slices.ContainsFunc(p.Open, func(o OpenLeaf) bool {
			return o.Part == i
		}) {
			continue
		}
		if part.Motion == DoorOut {
			steps = append(steps, s.openStep(OpenLeaf{i, part.Leaves[0], 1}))
		} else if !p.Moved(s, i) {
			steps = append(steps, s.moveStep(i, true))
		}
	}
	return steps
}

// order sorts what is open so that each comes after what closed stands in its way.
func (s *Scene) order(p *Posture) []OpenLeaf {
	left := slices.Clone(p.Open)
	var ordered []OpenLeaf
	for len(left) > 0 {
		next := 0
		for i, o := range left {
			free := true
			for k, other := range left {
				if k != i && other.Part != o.Part && Least(o.Swept.Overlap(other.Closed)) > Slack {
					free = false
				}
			}
			if free {
				next = i
				break
			}
		}
		ordered = append(ordered, left[next])
		left = slices.Delete(left, next, next+1)
	}
	return ordered
}

func (s *Scene) openStep(o OpenLeaf) Act {
	p := &s.Parts[o.Part]
	verb := map[Motion]string{Slides: "Slide out ", Drawers: "Pull out ", LidUp: "Lift the lid of ",
		FlapOut: "Let down the front of ", DoorOut: "Open "}[p.Motion]
	what := words.Lower(p.Name())
	if p.Motion == Drawers {
		for _, c := range p.Cells {
			if c.ID == o.Cell {
				what = words.Lower(c.Name) + " of " + what
			}
		}
	}
	minutes := openMinutes
	if p.Module().Lock == fitout.BothLocks {
		minutes = bothMinutes
	}
	return Act{"open", p.ID, verb + what, minutes}
}

func (s *Scene) moveStep(i int, outside bool) Act {
	p := &s.Parts[i]
	text, minutes := "Move "+words.Lower(p.Name()), float64(moveMinutes)
	if outside {
		text = "Put " + words.Lower(p.Name()) + " outside"
	}
	if quantity.Exceeds(p.Kg(), s.Practice.OneLifts) {
		text, minutes = text+", two people", heavyMinutes
	}
	return Act{"move", p.ID, text, minutes}
}

// Get is what it takes to get at one thing that is used daily, from the road.
type Get struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	Used  string `json:"used" enum:"often,daily"`
	Steps []Act  `json:"steps"`
}

// Gets returns for everything that the brief has taken out daily or more what
// must be opened, moved or lifted off it first.
func (s *Scene) Gets() []Get {
	return s.GetsOf(func(g *fitout.Gear) bool { return g.Used == fitout.UsedOften || g.Used == fitout.UsedDaily })
}

// gets tells the steps to each thing of the brief that is asked for.
func (s *Scene) GetsOf(asked func(*fitout.Gear) bool) []Get {
	var all []Get
	for i := range s.Brief.Gear {
		g := &s.Brief.Gear[i]
		if !asked(g) {
			continue
		}
		if k := IndexOf(s.Parts, g.ID); k >= 0 {
			all = append(all, Get{g.ID, s.Parts[k].Name(), string(g.Used), s.toPart(k)})
			continue
		}
		for k := range s.Things {
			t := &s.Things[k]
			if t.Item.ID != g.ID {
				continue
			}
			if holder := IndexOf(s.Parts, t.Part); holder >= 0 {
				all = append(all, Get{g.ID, t.Item.Name, string(g.Used), s.toThing(holder, t)})
			}
		}
	}
	return all
}

// toPart is the way to a part that stands free: its door, what carries it, and
// what stands between it and the opening.
func (s *Scene) toPart(i int) []Act {
	steps, out := s.toSide(i)
	if s.Parts[i].Motion == Slides {
		return append(steps, s.openStep(OpenLeaf{i, s.Parts[i].Leaves[0], 1}))
	}
	if out {
		return steps
	}
	for _, k := range s.Before(i) {
		q := &s.Parts[k]
		if q.Motion == Slides {
			steps = append(steps, s.openStep(OpenLeaf{k, q.Leaves[0], 1}))
		} else {
			steps = append(steps, s.moveStep(k, true))
		}
	}
	return steps
}

// toSide is the door of a part's bay and what carries the part out; out tells
// whether something does.
func (s *Scene) toSide(i int) (steps []Act, out bool) {
	p := &s.Parts[i]
	for k := range s.Bays {
		if s.Bays[k].ID == p.Bay && s.Bays[k].Opening.Known {
			road := Posture{Boxes: boxesOf(s.Parts), Gone: make([]bool, len(s.Parts))}
			steps = append(
				s.beforeDoor(k, &road),
				Act{"door", p.Bay, "Open the door of " + words.Lower(s.Bays[k].Name),
					doorMinutes},
			)
		}
	}
	for k := range s.Parts {
		if s.Parts[k].Traits().CarriesOut && s.Parts[k].Motion == Slides && slices.Contains(s.StandOn(k), i) {
			return append(steps, s.openStep(OpenLeaf{k, s.Parts[k].Leaves[0], 1})), true
		}
	}
	return steps, false
}

// toThing is the way to what lies in a compartment.
func (s *Scene) toThing(holder int, t *Thing) []Act {
	p := &s.Parts[holder]
	steps, _ := s.toSide(holder)
	for _, leaf := range p.Leaves {
		if leaf.Cell == "" || leaf.Cell == t.Cell {
			for k := range s.Parts {
				if k != holder && Least(leaf.Swept.Overlap(s.Parts[k].Box)) > Slack &&
					Least(leaf.Closed.Overlap(s.Parts[k].Box)) <= Slack && !slices.Contains(s.StandOn(holder), k) &&
					s.BayOf(&s.Parts[k]) == s.BayOf(p) && !s.IsCarried(p) {
					steps = append(steps, s.moveStep(k, true))
				}
			}
			steps = append(steps, s.openStep(OpenLeaf{holder, leaf, 1}))
		}
	}
	for range t.Moves {
		steps = append(steps, Act{"move", t.Item.ID, "Lift off what lies on it", moveMinutes})
	}
	return steps
}

func boxesOf(parts []Part) []fitout.Box {
	boxes := make([]fitout.Box, len(parts))
	for i := range parts {
		boxes[i] = parts[i].Box
	}
	return boxes
}

// DriveAway lists what must be shut, latched, lowered or stowed before driving
// off from any of the stances, by what they open.
func (s *Scene) DriveAway() []Act {
	var steps []Act
	once := func(step Act) {
		if !slices.ContainsFunc(steps, func(o Act) bool {
			return o.Kind == step.Kind && o.ID == step.ID && o.Text == step.Text
		}) {
			steps = append(steps, step)
		}
	}
	for n := range s.Postures {
		p := &s.Postures[n]
		for _, step := range s.unsettle(&p.Stance) {
			once(step)
		}
		for _, l := range p.Stance.Loose {
			if i := IndexOf(s.Parts, l.Item); i >= 0 {
				once(
					Act{
						"move",
						l.Item,
						fmt.Sprintf("Stow %s and fix it", words.Lower(s.Parts[i].Name())),
						moveMinutes,
					},
				)
			}
		}
		for _, o := range p.Open {
			part := &s.Parts[o.Part]
			verb := map[Motion]string{LidUp: "Shut and latch ", FlapOut: "Shut and latch ",
				DoorOut: "Shut and latch "}[part.Motion]
			if verb == "" {
				verb = "Push in and lock "
			}
			once(Act{"open", part.ID, verb + words.Lower(part.Name()), openMinutes})
		}
		for _, d := range p.Doors {
			once(Act{"door", s.Bays[d].ID, "Shut and lock the door of " + words.Lower(s.Bays[d].Name), doorMinutes})
		}
		for _, seat := range p.Stance.Folded {
			for i := range s.Vehicle.Seats {
				if s.Vehicle.Seats[i].ID == seat.Seat {
					once(Act{"fold", seat.Seat, fmt.Sprintf("Put %s back up where someone sits there",
						words.Lower(s.Vehicle.Seats[i].Name)), foldMinutes})
				}
			}
		}
	}
	return steps
}

// Sentence joins steps into one.
func Sentence(steps []Act) string {
	var texts []string
	for _, step := range steps {
		texts = append(texts, strings.ToLower(step.Text[:1])+step.Text[1:])
	}
	return strings.Join(texts, ", ")
}
