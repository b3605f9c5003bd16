package space

import (
	"slices"

	"zaino/internal/core/fitout"
)

// FloorEdge is where a floor ends to the left and to the right at one place along the vehicle, mm.
type FloorEdge struct {
	X, Left, Right float64
}

// FloorEdges follow what is measured of a space between two heights on the vehicle, from its front to its rear: its
// walls as curved as their offsets say, its arches cut out. Between two of them the edges are straight.
func FloorEdges(b *fitout.Bay, low, high float64) []FloorEdge {
	corners := Floor(b)
	front, rear := min(corners[0].X, corners[1].X), max(corners[2].X, corners[3].X)
	stops := []float64{front, rear}
	for _, w := range b.Walls {
		for _, o := range w.Offsets {
			stops = append(stops, o.At+front)
		}
	}
	type arch struct {
		box   fitout.Box
		right bool
	}
	var arches []arch
	for k := range b.Obstacles {
		o := &b.Obstacles[k]
		box := Stands(b, o)
		if !CutRound(o) || box.From.Z >= high || box.To.Z <= low {
			continue
		}
		arches = append(arches, arch{box, o.Side == fitout.Right})
		const beside = 0.01
		stops = append(stops, box.From.X-beside, box.From.X, box.To.X, box.To.X+beside)
	}
	slices.Sort(stops)
	stops = slices.Compact(slices.DeleteFunc(stops, func(x float64) bool { return x < front || x > rear }))
	all := make([]FloorEdge, 0, len(stops))
	for _, x := range stops {
		e := FloorEdge{
			x, straight(corners[0], corners[3], x) - offsetAt(b, fitout.Left, x-front),
			straight(corners[1], corners[2], x) + offsetAt(b, fitout.Right, x-front),
		}
		for _, a := range arches {
			switch {
			case x < a.box.From.X || x > a.box.To.X:
			case a.right:
				e.Right = min(e.Right, a.box.From.Y)
			default:
				e.Left = max(e.Left, a.box.To.Y)
			}
		}
		all = append(all, e)
	}
	return all
}

// CutRound tells whether a floor is cut out round an obstacle: what rises at a side, and is no lip that it lies on or
// meets.
func CutRound(o *fitout.Obstacle) bool {
	return o.Kind != fitout.Lip && (o.Side == fitout.Left || o.Side == fitout.Right)
}

// straight is y of the straight wall between two corners.
func straight(a, b Corner, x float64) float64 {
	if b.X <= a.X {
		return a.Y
	}
	return a.Y + (b.Y-a.Y)*max(0, min(1, (x-a.X)/(b.X-a.X)))
}

// offsetAt is how far a wall lies beyond the straight line between its corners, between the offsets taken lowest.
func offsetAt(b *fitout.Bay, side fitout.Side, behind float64) float64 {
	var best *fitout.CurvedWall
	for k := range b.Walls {
		if w := &b.Walls[k]; w.Side == side && len(w.Offsets) > 1 && (best == nil || w.Above < best.Above) {
			best = w
		}
	}
	if best == nil {
		return 0
	}
	for k := range best.Offsets[1:] {
		x, y := best.Offsets[k], best.Offsets[k+1]
		if behind >= x.At && behind <= y.At && y.At > x.At {
			return x.Off + (y.Off-x.Off)*(behind-x.At)/(y.At-x.At)
		}
	}
	return 0
}
