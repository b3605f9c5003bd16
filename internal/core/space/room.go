// Package space turns the measures of a bay into the room that can be built
// in, checks them against each other, and gives the order in which they are
// taken.
package space

import (
	"math"

	"zaino/internal/core/fitout"
)

// Room is what a bay's measures leave: the largest upright box between its
// least length, width and height, mm. A measure that is missing leaves 0.
type Room struct {
	Length float64 `json:"length" doc:"least of both sides and the top, mm"`
	Width  float64 `json:"width" doc:"least of front and rear, mm"`
	Height float64 `json:"height" doc:"least of front and rear, mm"`
}

// Litres is the content of the room, before obstacles.
func (r Room) Litres() float64 { return r.Length * r.Width * r.Height / 1e6 }

// RoomOf returns the largest upright box of a bay.
func RoomOf(b *fitout.Bay) Room {
	return Room{
		Length: leastOf(b.LengthLeft, b.LengthRight, b.LengthTop),
		Width:  leastOf(b.WidthFront, b.WidthRear),
		Height: leastOf(b.HeightFront, b.HeightRear),
	}
}

// RoomBox is that box where it stands: as long as the shorter side, as wide and as
// high as the narrower and lower end; flat where there is no ceiling.
func RoomBox(b *fitout.Bay) fitout.Box {
	room, floor := RoomOf(b), Floor(b)
	return fitout.Box{
		From: fitout.Point{X: b.At.X, Y: b.At.Y - room.Width/2, Z: b.At.Z},
		To:   fitout.Point{X: min(floor[2].X, floor[3].X), Y: b.At.Y + room.Width/2, Z: b.At.Z + room.Height},
	}
}

// leastOf returns the least of the measures that were taken, or 0 for none.
func leastOf(measures ...float64) float64 {
	least := 0.0
	for _, m := range measures {
		if m > 0 && (least == 0 || m < least) {
			least = m
		}
	}
	return least
}

// Corner is a place on a bay's floor or ceiling, in the vehicle's frame, mm.
type Corner struct {
	X float64 `json:"x"`
	Y float64 `json:"y"`
}

// Floor returns the corners of the floor: front left, front right, rear right,
// rear left. The front edge lies straight across; the rear edge is set aside by
// the skew that the diagonals show: s = (√(p² − lr²) − √(q² − ll²)) / 2, with p
// from front left to rear right. A missing side is taken as its fellow's.
func Floor(b *fitout.Bay) [4]Corner {
	ll, lr := either(b.LengthLeft, b.LengthRight), either(b.LengthRight, b.LengthLeft)
	wf, wr := either(b.WidthFront, b.WidthRear), either(b.WidthRear, b.WidthFront)
	skew := 0.0
	if p, q := b.DiagonalLeft, b.DiagonalRight; p > lr && q > ll {
		skew = (math.Sqrt(p*p-lr*lr) - math.Sqrt(q*q-ll*ll)) / 2
	}
	x, y := b.At.X, b.At.Y
	return [4]Corner{{x, y - wf/2}, {x, y + wf/2}, {x + lr, y + wr/2 + skew}, {x + ll, y - wr/2 + skew}}
}

func either(own, other float64) float64 {
	if own > 0 {
		return own
	}
	return other
}

// walls returns y of the left and the right wall at a distance behind the bay's
// front, mm: straight lines between the corners of its floor.
func walls(b *fitout.Bay, behind float64) (left, right float64) {
	f := Floor(b)
	between := func(front, rear Corner) float64 {
		if rear.X <= front.X {
			return front.Y
		}
		return front.Y + (rear.Y-front.Y)*behind/(rear.X-front.X)
	}
	return between(f[0], f[3]), between(f[1], f[2])
}

// Stands returns where an obstacle of a bay is: off the wall of its side as
// that wall runs at the obstacle's middle.
func Stands(b *fitout.Bay, o *fitout.Obstacle) fitout.Box {
	left, right := walls(b, o.Front+o.Length/2)
	from := fitout.Point{X: b.At.X + o.Front, Y: left + o.Inset, Z: b.At.Z + o.Above}
	if o.Side == fitout.Right {
		from.Y = right - o.Inset - o.Width
	}
	return fitout.Box{From: from, To: fitout.Point{X: from.X + o.Length, Y: from.Y + o.Width, Z: from.Z + o.Height}}
}

// MoreGap returns the clear rectangle of a further opening of a bay, flat in its face, where it was measured
// in it; ok is false where it has no face or size.
func MoreGap(b *fitout.Bay, m *fitout.MoreOpening) (gap fitout.Box, ok bool) {
	alone := *b
	alone.Opening = m.Opening
	if gap, ok = Gap(&alone); !ok {
		return gap, false
	}
	room := RoomBox(b)
	by := fitout.Point{X: room.From.X + m.Along - gap.From.X, Z: b.At.Z + m.Above - gap.From.Z}
	switch m.Opening.Face {
	case fitout.FaceRear, fitout.FaceFront:
		by.X, by.Y = 0, room.From.Y+m.Along-gap.From.Y
	case fitout.FaceTop:
		by.Y, by.Z = room.From.Y+m.Above-gap.From.Y, 0
	}
	return gap.Moved(by.X, by.Y, by.Z), true
}

// Gap returns the clear rectangle of a bay's opening, flat in its face; ok is
// false where there is none or it was not measured. It stands in the middle of
// its face, on the sill.
func Gap(b *fitout.Bay) (gap fitout.Box, ok bool) {
	o, box, floor := b.Opening, RoomOf(b), Floor(b)
	if o.Face == fitout.FaceNone || o.Face == "" || o.Width == 0 || o.Height == 0 {
		return fitout.Box{}, false
	}
	x, y, z := b.At.X, b.At.Y, b.At.Z
	middle := x + box.Length/2
	side := func(at float64) fitout.Box {
		return fitout.Box{From: fitout.Point{X: middle - o.Width/2, Y: at, Z: z + o.Sill},
			To: fitout.Point{X: middle + o.Width/2, Y: at, Z: z + o.Sill + o.Height}}
	}
	switch o.Face {
	case fitout.FaceRear, fitout.FaceFront:
		if o.Face == fitout.FaceRear {
			x = max(floor[2].X, floor[3].X)
		}
		return fitout.Box{
			From: fitout.Point{X: x, Y: y - o.Width/2, Z: z + o.Sill},
			To: fitout.Point{X: x, Y: y + o.Width/2,
				Z: z + o.Sill + o.Height},
		}, true
	case fitout.FaceLeft:
		return side(min(floor[0].Y, floor[3].Y)), true
	case fitout.FaceRight:
		return side(max(floor[1].Y, floor[2].Y)), true
	}
	top := z + box.Height
	return fitout.Box{From: fitout.Point{X: middle - o.Height/2, Y: y - o.Width/2, Z: top},
		To: fitout.Point{X: middle + o.Height/2, Y: y + o.Width/2, Z: top}}, true
}
