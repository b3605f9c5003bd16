package shape

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/space"
)

// doors are the leaves in the openings of the bays: shut, or turned about their hinge.
func (d *vehicle) doors() {
	const thick = 30.0
	for i := range d.v.Bays {
		b := &d.v.Bays[i]
		gap, ok := space.Gap(b)
		if !ok || b.Opening.Face == fitout.FaceTop || b.Opening.Hinge == fitout.HingeNone {
			continue
		}
		leaf := gap
		about, side := AxisY, 1
		switch b.Opening.Face {
		case fitout.FaceRear:
			leaf.To.X += thick
		case fitout.FaceFront:
			leaf.From.X, side = leaf.From.X-thick, -1
		case fitout.FaceLeft:
			leaf.From.Y, about = leaf.From.Y-thick, AxisX
		case fitout.FaceRight:
			leaf.To.Y, about, side = leaf.To.Y+thick, AxisX, -1
		}
		moving := Moving{Cell: b.ID, Solids: d.door(leaf, b)}
		switch b.Opening.Hinge {
		case fitout.HingeTop:
			moving.About, moving.Through, moving.Quarters = about, fitout.Point{X: gap.From.X, Y: gap.From.Y, Z: gap.To.Z}, -side
		case fitout.HingeBottom:
			moving.About, moving.Through, moving.Quarters = about, gap.From, side
		case fitout.HingeLeft, fitout.HingeRight:
			moving.About = AxisZ
			// Seen from outside, the left edge of a rear door is the vehicle's left, of a right-hand one its rear.
			left := b.Opening.Hinge == fitout.HingeLeft
			moving.Through, moving.Quarters = gap.From, -1
			if left != (b.Opening.Face == fitout.FaceRear || b.Opening.Face == fitout.FaceLeft) {
				moving.Through = gap.To
			}
			if !left {
				moving.Quarters = 1
			}
		default: // lifted off, or rolled up: gone when it is open
			moving.Slides = fitout.Point{Z: away}
		}
		d.part.Leaves = append(d.part.Leaves, moving)
	}
}

// away is how far up a door goes that is taken off: out of every drawing.
const away = 100000.0

// Gone tells whether a solid was taken off.
func (p Prism) Gone() bool { return p.Bounds().From.Z > away/2 }

// door is a leaf with a frame, and glass where it is a hatch or the side of a cab.
func (d *vehicle) door(leaf fitout.Box, b *fitout.Bay) []Prism {
	rim := boxed(leaf, Open)
	if b.Kind != fitout.BayWagonCargo || leaf.To.Z < d.o.BonnetHeight+200 {
		return []Prism{rim}
	}
	pane := leaf
	s := leaf.Size()
	pane.From.Z, pane.To.Z = d.o.BonnetHeight, leaf.To.Z-60
	if s.Length < s.Width {
		pane.From.Y, pane.To.Y = pane.From.Y+90, pane.To.Y-90
		pane.From.X, pane.To.X = pane.From.X-2, pane.To.X+2
	} else {
		pane.From.X, pane.To.X = pane.From.X+90, pane.To.X-90
		pane.From.Y, pane.To.Y = pane.From.Y-2, pane.To.Y+2
	}
	return []Prism{rim, boxed(pane, Glass)}
}
