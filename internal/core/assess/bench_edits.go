package assess

import (
	"fmt"
	"slices"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// leastUnit is the least size of a unit that is worth building, mm.
var leastUnit = fitout.Size{Length: 100, Width: 100, Height: 60}

// Fill makes a module as large as the largest room that is left where it stands,
// or in its bay when it stands in something, to the millimetre. It refuses what is bought whole, what stands in no measured
// bay, and a bay in which nothing is left.
func Fill(j *fitout.Job, id string) (fitout.Job, error) {
	s := newSubject(j)
	var others []fit.Part
	var own *fit.Part
	for i := range s.bench.parts {
		if p := &s.bench.parts[i]; p.ID == id {
			own = p
		} else {
			others = append(others, *p)
		}
	}
	switch {
	case own == nil:
		return *j, fitout.Problem{Path: "id", Given: id, Accepted: "the id of a module that stands on the bench"}
	case !own.Built:
		return *j, fitout.Problem{Path: "id", Name: s.nameOf(id), Given: "a part that is bought whole", Accepted: "one that is built, of a material"}
	}
	bay := s.bench.bay(own.Bay)
	if bay == nil {
		return *j, fitout.Problem{Path: "bay", Name: s.nameOf(id), Given: "no measured space", Accepted: "a module that stands in one"}
	}
	room, ok := fit.Remainder(bay, others, own.Box.Middle(), leastUnit)
	if !ok {
		return *j, fitout.Problem{Path: "bay", Name: s.bayName(own.Bay), Given: "a space in which nothing is left", Accepted: fmt.Sprintf("one with %s left on each side", s.say.length(leastUnit.Length))}
	}
	return withBoxes(j, map[string]fitout.Box{id: whole(room)}), nil
}

// whole rounds a box inward to whole millimetres, as they are cut.
func whole(b fitout.Box) fitout.Box {
	up := func(mm float64) float64 { return -down(-mm) }
	return fitout.Box{
		From: fitout.Point{X: up(b.From.X), Y: up(b.From.Y), Z: up(b.From.Z)},
		To:   fitout.Point{X: down(b.To.X), Y: down(b.To.Y), Z: down(b.To.Z)},
	}
}

// down is the next whole millimetre below, forgiving the last rounding.
func down(mm float64) float64 {
	whole := float64(int64(mm + 1e-6))
	if whole > mm+1e-6 {
		whole--
	}
	return whole
}

// Resize gives a module another size and lets what hangs on it follow: what is
// flush with it, what rests on it, and what is built beside it.
func Resize(j *fitout.Job, id string, size fitout.Size) (fitout.Job, error) {
	s := newSubject(j)
	boxes := fit.Resize(s.bench.parts, id, size)
	if len(boxes) == 0 {
		return *j, fitout.Problem{Path: "id", Given: id, Accepted: "the id of a module that stands on the bench"}
	}
	resized := withBoxes(j, boxes)
	return resized, fitout.Validate(&resized)
}

// PutAway lays a thing into the compartment that suits it best: one that it goes
// into and that has room for it, the one that is then fullest, so that large
// rooms stay for large things. Fridges and crates take only what is laid there
// by hand. It refuses what goes nowhere.
func PutAway(j *fitout.Job, id string) (fitout.Job, error) {
	s := newSubject(j)
	var thing *fitout.Item
	for i := range s.placed {
		if s.placed[i].ID == id {
			thing = &s.placed[i]
		}
	}
	if thing == nil || len(s.bench.cells[id]) > 0 {
		return *j, fitout.Problem{Path: "id", Given: id, Accepted: "the id of an item that has no compartments of its own"}
	}
	var best *fitout.InCell
	fullestYet := -1.0
	for i := range s.placed {
		holder := &s.placed[i]
		if holder.Module == nil || module.Of(holder.Module.Kind).Shape == module.Bought {
			continue
		}
		for _, c := range s.bench.cells[holder.ID] {
			f := s.cell(holder.ID, c)
			if over, _ := tooLarge(thing.Size, c.Inside.Size()); over > 0 || f.Litres == 0 || slices.ContainsFunc(f.Holds, func(h Held) bool { return h.ID == id }) {
				continue
			}
			if filled := f.Filled + thing.Box().Litres()/f.Litres; filled <= fullest && filled > fullestYet {
				best, fullestYet = &fitout.InCell{Module: holder.ID, Cell: c.ID}, filled
			}
		}
	}
	if best == nil {
		return *j, fitout.Problem{Path: "id", Name: thing.Name, Given: "a thing of " + s.say.length(thing.Size.Length) + " × " + s.say.length(thing.Size.Width) + " × " + s.say.length(thing.Size.Height),
			Accepted: "one that goes into a compartment with room left; height decides first"}
	}
	return withItems(j, func(i *fitout.Item) {
		if i.ID == id {
			i.In, i.Seat = best, ""
		}
	}), nil
}

// withBoxes returns the job with items in new boxes.
func withBoxes(j *fitout.Job, boxes map[string]fitout.Box) fitout.Job {
	return withItems(j, func(i *fitout.Item) {
		box, ok := boxes[i.ID]
		if !ok {
			return
		}
		i.At, i.Size = box.Middle(), box.Size()
		if e := j.Vehicle.Extension; e != nil && i.Behind { // places are kept as before the extension
			i.At.X -= e.By
		}
	})
}

// withItems returns the job with every item of its chosen variant changed.
func withItems(j *fitout.Job, change func(*fitout.Item)) fitout.Job {
	edited := *j
	edited.Variants = append([]fitout.Variant{}, j.Variants...)
	for k := range edited.Variants {
		v := &edited.Variants[k]
		if v.ID != j.ChosenVariant().ID {
			continue
		}
		v.Items = append([]fitout.Item{}, v.Items...)
		for i := range v.Items {
			change(&v.Items[i])
		}
	}
	return edited
}
