package shape

import (
	"math"

	"zaino/internal/core/fitout"
)

// about is a box about a place: as long along and across the vehicle as is said, from one height up to another.
func about(at fitout.Point, length, width, low, top float64, tone Tone) Prism {
	return boxed(fitout.Box{
		From: fitout.Point{X: at.X - length/2, Y: at.Y - width/2, Z: low},
		To:   fitout.Point{X: at.X + length/2, Y: at.Y + width/2, Z: top},
	}, tone)
}

// pole stands upright from one height to another.
func pole(at fitout.Point, low, top, radius float64, tone Tone) Prism {
	return Prism{Axis: AxisZ, From: low, To: top, Tone: tone, Round: true, Outline: circle(Flat{at.X, at.Y}, radius)}
}

// BodyMount is where a body stands on the frame: a foot on a pad; a pivot lies along the vehicle.
func BodyMount(m *fitout.BodyMount) []Prism {
	const foot, pad = 110.0, 40.0
	plate := about(m.At, foot, foot*0.7, m.At.Z, m.At.Z+12, Metal)
	switch m.Kind {
	case fitout.MountPivot:
		return []Prism{plate, {Axis: AxisX, From: m.At.X - foot/2, To: m.At.X + foot/2, Tone: Hardware, Round: true,
			Outline: circle(Flat{m.At.Y, m.At.Z - pad/2}, pad/2)}}
	case fitout.MountRigid:
		return []Prism{plate, about(m.At, foot*0.6, foot*0.5, m.At.Z-pad, m.At.Z, Metal)}
	}
	return []Prism{plate, pole(m.At, m.At.Z-pad, m.At.Z, foot/3, Rubber)}
}

// Aerial is a rod up to its tip.
func Aerial(tip fitout.Point, foot float64) []Prism {
	foot = min(foot, tip.Z-100)
	rod := pole(tip, foot, tip.Z, 8, Hardware)
	return []Prism{pole(tip, foot, foot+50, 25, Hardware), rod}
}

// Leg is a leg of a carrier from its foot up to what stands on it.
func Leg(foot fitout.Point, top float64) []Prism {
	const tube, plate = 30.0, 160.0
	top = max(top, foot.Z+200)
	return []Prism{about(foot, plate, plate, foot.Z, foot.Z+10, Metal), pole(foot, foot.Z+10, top, tube, Metal)}
}

// Ramp is two rails that lean against an edge: their upper ends stand at a place, they lead down and rearward or
// to a side until the ground, as long as they are. Nothing stands where they are shorter than the edge is high.
func Ramp(top fitout.Point, to fitout.Face, long, apart float64) []Prism {
	run := math.Sqrt(long*long - top.Z*top.Z)
	if math.IsNaN(run) || run == 0 || top.Z <= 0 {
		return nil
	}
	const rail, thick = 120.0, 40.0
	axis, at, across, way := AxisY, top.X, top.Y, 1.0
	switch to {
	case fitout.FaceLeft:
		axis, at, across, way = AxisX, top.Y, top.X, -1
	case fitout.FaceRight:
		axis, at, across = AxisX, top.Y, top.X
	case fitout.FaceFront:
		way = -1
	}
	lean := []Flat{{at, top.Z}, {at, top.Z - thick}, {at + way*(run-thick), 0}, {at + way*run, 0}}
	var all []Prism
	for _, side := range []float64{-1, 1} {
		middle := across + side*apart/2
		all = append(all, Prism{Axis: axis, From: middle - rail/2, To: middle + rail/2, Tone: Metal, Outline: lean})
	}
	return all
}

// Hammock hangs between two eyes with its lowest point halfway: cloth so broad in the middle, cords at its ends.
func Hammock(head, foot fitout.Point, low, breadth float64) []Prism {
	const pieces, thick = 16, 25.0
	span := math.Hypot(foot.X-head.X, foot.Y-head.Y)
	if span == 0 {
		return nil
	}
	ux, uy := (foot.X-head.X)/span, (foot.Y-head.Y)/span
	var all []Prism
	for n := range pieces {
		end, t := head, (float64(n)+0.5)/pieces
		share := 1 - 2*t
		if t > 0.5 {
			end, share = foot, 2*t-1
		}
		z := low + (end.Z-low)*share*share
		half, tone := breadth/2*math.Sqrt(max(0, 1-share*share)), Cloth
		if n < 2 || n >= pieces-2 {
			half, tone = 12, Hardware
		}
		x, y, along := head.X+ux*span*t, head.Y+uy*span*t, span/pieces/2
		rise := math.Abs(end.Z-low) * 2 * share / pieces // to the next piece
		all = append(
			all,
			Prism{
				Axis: AxisZ,
				From: z - thick/2 - rise/2,
				To:   z + thick/2 + rise/2,
				Tone: tone,
				Thin: tone == Hardware,
				Outline: []Flat{
					{
						x - ux*along - uy*half,
						y - uy*along + ux*half,
					}, {x + ux*along - uy*half, y + uy*along + ux*half},
					{
						x + ux*along + uy*half,
						y + uy*along - ux*half,
					}, {x - ux*along + uy*half, y - uy*along - ux*half},
				},
			},
		)
	}
	return all
}

// TurnedSeat is a seat that is turned by so many degrees toward the right: cushion and back, from a foot up.
func TurnedSeat(seat *fitout.Seat, by, foot float64) []Prism {
	sin, cos := math.Sincos(by * math.Pi / 180)
	turned := func(x0, x1, low, top float64, tone Tone) Prism {
		var outline []Flat
		half := seat.Size.Width / 2
		for _, c := range [4]Flat{{x0, -half}, {x1, -half}, {x1, half}, {x0, half}} {
			outline = append(outline, Flat{seat.At.X + c.U*cos + c.V*sin, seat.At.Y - c.U*sin + c.V*cos})
		}
		return Prism{Axis: AxisZ, From: low, To: top, Tone: tone, Outline: outline}
	}
	half, up := seat.Size.Length/2, seat.Size.Height
	return []Prism{
		pole(seat.At, foot, foot+up*0.25, min(seat.Size.Width, seat.Size.Length)/5, Metal),
		turned(-half, half, foot+up*0.25, foot+up*0.42, Cloth),
		turned(half-min(140, half), half, foot+up*0.42, foot+up, Cloth),
	}
}
