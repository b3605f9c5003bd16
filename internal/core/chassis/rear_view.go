package chassis

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
)

// How far the eyes of a driver are above the middle of the person, mm, and the share of the glass behind that has to
// be free. Practice.
const (
	eyesUp   = 335.0
	freeView = 0.5
)

// glassRows and glassColumns are the points of the glass, the upper half of the opening behind, to which one looks.
const glassRows, glassColumns = 6, 9

// rearView notes a wagon in which what is loaded hides most of the glass behind from the driver's eyes. Where a
// camera looks back nothing is said; without a driver's seat or a measured opening nothing can be.
func rearView(p *plan.Plan) []fitout.Finding {
	if p.Vehicle.Outline.Body != fitout.BodyWagon {
		return nil
	}
	for i := range p.Vehicle.Marks {
		if m := &p.Vehicle.Marks[i]; m.Kind == fitout.CameraMark && m.From == fitout.FaceRear {
			return nil
		}
	}
	s := scene.Of(p)
	driver := slices.IndexFunc(p.Vehicle.Seats, func(s fitout.Seat) bool { return s.Driver })
	if driver < 0 {
		return nil
	}
	eyes := p.Vehicle.Seats[driver].At
	eyes.Z += eyesUp
	var found []fitout.Finding
	for k := range s.Bays {
		bay := &s.Bays[k]
		if bay.Kind != fitout.BayWagonCargo || !bay.Opening.Known || bay.Opening.Face != fitout.FaceRear {
			continue
		}
		free := freeOf(eyes, bay.Opening.Gap, s.Parts)
		if free >= freeView {
			continue
		}
		f := fitout.Finding{
			Rule: "rear-view", Severity: fitout.Note, Subject: fitout.Subject{Kind: "vehicle"}, Source: "practice",
		}
		f.Title = fmt.Sprintf("The driver sees %.0f %% of the glass behind", 100*free)
		f.Sentence = "What is loaded stands before the rest, seen from the driver's eyes. Keep it lower in the middle, or " +
			"see that both mirrors see enough and a camera looks back, as local rules ask; list the camera under what must " +
			"stay free."
		f.Under(100*free, 100*freeView, "%")
		found = append(found, f)
	}
	return found
}

// freeOf is the share of the upper half of an opening that is seen from a place past all parts, 0 to 1.
func freeOf(eyes fitout.Point, gap fitout.Box, parts []scene.Part) float64 {
	free := 0
	for row := range glassRows {
		for column := range glassColumns {
			to := fitout.Point{X: gap.From.X,
				Y: gap.From.Y + (gap.To.Y-gap.From.Y)*(float64(column)+0.5)/glassColumns,
				Z: gap.To.Z - (gap.To.Z-gap.From.Z)/2*(float64(row)+0.5)/glassRows}
			hidden := false
			for i := range parts {
				hidden = hidden || crosses(eyes, to, parts[i].Box)
			}
			if !hidden {
				free++
			}
		}
	}
	return float64(free) / (glassRows * glassColumns)
}

// crosses tells whether the line from one place to another passes through a box.
func crosses(from, to fitout.Point, b fitout.Box) bool {
	enter, leave := 0.0, 1.0
	for _, axis := range [3][4]float64{
		{from.X, to.X - from.X, b.From.X, b.To.X}, {from.Y, to.Y - from.Y, b.From.Y, b.To.Y},
		{from.Z, to.Z - from.Z, b.From.Z, b.To.Z},
	} {
		at, way, low, high := axis[0], axis[1], axis[2], axis[3]
		if way == 0 {
			if at <= low || at >= high {
				return false
			}
			continue
		}
		first, last := (low-at)/way, (high-at)/way
		enter, leave = math.Max(enter, math.Min(first, last)), math.Min(leave, math.Max(first, last))
	}
	return enter < leave
}
