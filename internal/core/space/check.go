package space

import (
	"math"

	"zaino/internal/core/fitout"
)

// What a tape and a template forgive, mm and degrees. Workshop practice.
const (
	tapeSlack   = 5.0  // two readings of one measure
	squareSlack = 12.0 // a floor closed from six readings
	sideSlack   = 15.0 // left against right before a drawer notices
	levelSlack  = 0.5  // ° before a template comes out wrong
)

// Check is one thing that the measures of a bay say against each other.
type Check struct {
	Rule    string   // stable id
	Wrong   bool     // impossible; otherwise worth knowing
	Measure []string // path of the measure to take again, or that it is about
	Name    string   // of the obstacle, where it is about one
	Value   float64
	Limit   float64
}

// Checks holds a bay's measures against each other. What was not measured is
// not checked.
func Checks(b *fitout.Bay) []Check {
	var all []Check
	for _, check := range [...]func(*fitout.Bay) []Check{level, square, sides, arches, opening, inside} {
		all = append(all, check(b)...)
	}
	return all
}

// level asks for a level floor before anything else: a template that is made
// before levelling is spoiled by it.
func level(b *fitout.Bay) []Check {
	tilt, path := b.TiltAlong, "tiltAlong"
	if math.Abs(b.TiltAcross) > math.Abs(tilt) {
		tilt, path = b.TiltAcross, "tiltAcross"
	}
	if b.Levelled || math.Abs(tilt) <= levelSlack {
		return nil
	}
	return []Check{{Rule: "level-first", Measure: []string{path}, Value: tilt, Limit: levelSlack}}
}

// square closes the floor from its six readings. Four sides and one diagonal
// decide the other; where that is not what was read, the measure whose
// correction would make the floor most regular is the one to take again.
func square(b *fitout.Bay) []Check {
	f := floorOf(b)
	for _, m := range f {
		if m == 0 {
			return nil
		}
	}
	given := f[diagonalRight]
	expected, ok := f.otherDiagonal()
	if ok && math.Abs(expected-given) <= squareSlack {
		return nil
	}
	again, should := f.suspect()
	return []Check{{Rule: "diagonals", Wrong: true, Measure: []string{measures[again]}, Value: f[again], Limit: should}}
}

// sides notes a bay that is longer on one side or wider at one end.
func sides(b *fitout.Bay) []Check {
	var all []Check
	pair := func(rule, path string, one, other float64) {
		if one > 0 && other > 0 && math.Abs(one-other) > sideSlack {
			all = append(all, Check{Rule: rule, Measure: []string{path}, Value: one, Limit: other})
		}
	}
	pair("sides-differ", "lengthLeft", b.LengthLeft, b.LengthRight)
	pair("ends-differ", "widthFront", b.WidthFront, b.WidthRear)
	pair("heights-differ", "heightFront", b.HeightFront, b.HeightRear)
	return all
}

// arches holds the wheel arches against the width at the place where they
// stand: on each side the one that reaches furthest into the bay counts.
func arches(b *fitout.Bay) []Check {
	var far [2]*fitout.Obstacle
	reach := func(o *fitout.Obstacle) float64 {
		if o == nil {
			return 0
		}
		return o.Inset + o.Width
	}
	for i := range b.Obstacles {
		o := &b.Obstacles[i]
		side := 0
		if o.Side == fitout.Right {
			side = 1
		}
		if o.Kind == fitout.WheelArch && (far[side] == nil || reach(o) > reach(far[side])) {
			far[side] = o
		}
	}
	wider := far[0]
	if wider == nil || reach(far[1]) > reach(wider) {
		wider = far[1]
	}
	if wider == nil {
		return nil
	}
	left, right := walls(b, wider.Front+wider.Length/2)
	width, taken := right-left, reach(far[0])+reach(far[1])
	clear := width - taken
	switch both := far[0] != nil && far[1] != nil; {
	case width <= 0:
		return nil
	case clear <= 0:
		return []Check{{Rule: "arches-meet", Wrong: true, Measure: []string{"obstacles", wider.ID, "width"}, Value: taken,
			Limit: width}}
	case b.BetweenArches >= width:
		return []Check{{Rule: "arches-outside", Wrong: true, Measure: []string{"betweenArches"}, Value: b.BetweenArches,
			Limit: width}}
	case both && b.BetweenArches > 0 && math.Abs(clear-b.BetweenArches) > 2*tapeSlack:
		return []Check{{Rule: "arches-do-not-add-up", Wrong: true, Measure: []string{"betweenArches"}, Value: b.BetweenArches,
			Limit: clear}}
	}
	return nil
}

// opening holds the door against the bay: it is always smaller.
func opening(b *fitout.Bay) []Check {
	o, box := b.Opening, RoomOf(b)
	var across, up float64
	switch o.Face {
	case fitout.FaceRear, fitout.FaceFront:
		across, up = either(b.WidthRear, b.WidthFront), either(b.HeightRear, b.HeightFront)
	case fitout.FaceLeft, fitout.FaceRight:
		across, up = max(b.LengthLeft, b.LengthRight), box.Height
	case fitout.FaceTop:
		across, up = box.Width, max(b.LengthLeft, b.LengthRight)
	default:
		return nil
	}
	sill := o.Sill
	if o.Face == fitout.FaceTop {
		sill = 0
	}
	var all []Check
	if across > 0 && o.Width > across+tapeSlack {
		all = append(all, Check{Rule: "opening-too-wide", Wrong: true, Measure: []string{"opening", "width"}, Value: o.Width,
			Limit: across})
	}
	if up > 0 && o.Height > 0 && sill+o.Height > up+tapeSlack {
		all = append(all, Check{Rule: "opening-too-high", Wrong: true, Measure: []string{"opening", "height"}, Value: sill +
			o.Height, Limit: up})
	}
	return all
}

// inside holds every obstacle against the bay that it stands in.
func inside(b *fitout.Bay) []Check {
	length, box := max(b.LengthLeft, b.LengthRight), RoomOf(b)
	var all []Check
	for i := range b.Obstacles {
		o := &b.Obstacles[i]
		beyond := func(field string, reach, limit float64) {
			if limit > 0 && reach > limit+tapeSlack {
				all = append(all, Check{Rule: "obstacle-outside", Wrong: true, Measure: []string{"obstacles", o.ID, field},
					Name: o.Name, Value: reach, Limit: limit})
			}
		}
		beyond("length", o.Front+o.Length, length)
		beyond("height", o.Above+o.Height, box.Height)
		if o.Kind != fitout.WheelArch { // whose widths the arches rule holds
			beyond("width", o.Inset+o.Width, max(b.WidthFront, b.WidthRear))
		}
	}
	return all
}
