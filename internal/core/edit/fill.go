package edit

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
)

// leastUnit is the least size of a unit that is worth building, mm.
var leastUnit = fitout.Size{Length: 100, Width: 100, Height: 60}

// Fill makes a module as large as the largest room that is left where it stands,
// or in its bay when it stands in something, to the millimetre. It refuses what is
// bought whole, what stands in no measured bay, and a bay in which nothing is left.
func Fill(j *fitout.Job, id string) (fitout.Job, error) {
	p := plan.Of(j)
	s := scene.Of(p)
	var others []scene.Part
	var own *scene.Part
	for i := range s.Parts {
		if part := &s.Parts[i]; part.ID == id {
			own = part
		} else {
			others = append(others, *part)
		}
	}
	switch {
	case own == nil:
		return *j, fitout.Problem{Path: "id", Given: id, Accepted: "the id of a module that stands on the bench"}
	case !own.Built:
		return *j, fitout.Problem{Path: "id", Name: p.Name(id), Given: "a part that is bought whole",
			Accepted: "one that is built, of a material"}
	}
	bay := s.Bay(own.Bay)
	if bay == nil {
		return *j, fitout.Problem{Path: "bay", Name: p.Name(id), Given: "no measured space",
			Accepted: "a module that stands in one"}
	}
	room, ok := scene.Remainder(bay, others, own.Box.Middle(), leastUnit)
	if !ok {
		return *j, fitout.Problem{Path: "bay", Name: bay.Name, Given: "a space in which nothing is left",
			Accepted: fmt.Sprintf("one with %s left on each side", p.Say.Length(leastUnit.Length))}
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
