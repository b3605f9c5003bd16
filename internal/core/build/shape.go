package build

import (
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/space"
)

// Spot is a point of a panel: along its length and along its width, from the corner that holes are measured from, mm.
type Spot struct {
	U float64 `json:"u"`
	V float64 `json:"v"`
}

// shape gives the panels of a floor the shape that they are cut to: one that lies flat goes round what rises at the
// sides of its space, a bearer tapers by the slope that it takes up.
func (l *List) shape(m *Made, p *plan.Plan) {
	bay := p.Bay(m.item.Bay)
	if bay == nil || module.Of(m.item.Module.Kind).Shape != module.Plate {
		return
	}
	for _, at := range m.Panels {
		own := &l.Panels[at]
		switch own.Name {
		case "panel":
			if module.CutRound(m.item) {
				own.Outline = floorShape(own, bay)
			}
		case "bearer, left", "bearer, right":
			taper(own, bay, m.Box)
		}
	}
}

// floorShape is a floor panel within the edges that were measured; nothing where it is a rectangle all the same.
func floorShape(p *CutPanel, bay *fitout.Bay) []Spot {
	edges := space.FloorEdges(bay, p.Box.From.Z, p.Box.To.Z)
	from, to := p.Box.From, p.Box.To
	var within []space.FloorEdge
	shaped := false
	for k, e := range edges {
		if k > 0 {
			within = append(within, crossings(edges[k-1], e, &p.Box)...)
		}
		if e.X >= from.X && e.X <= to.X {
			within = append(within, e)
		}
	}
	along, _ := axes(p)
	at := func(x, y float64) Spot {
		if along == 0 {
			return Spot{x - from.X, y - from.Y}
		}
		return Spot{y - from.Y, x - from.X}
	}
	line := make([]Spot, 0, 2*len(within))
	for _, e := range within {
		shaped = shaped || e.Left > from.Y+touching || e.Right < to.Y-touching
		line = append(line, at(e.X, max(from.Y, min(to.Y, e.Left))))
	}
	for k := len(within) - 1; k >= 0; k-- {
		e := within[k]
		line = append(line, at(e.X, min(to.Y, max(from.Y, e.Right))))
	}
	if !shaped || len(within) < 2 {
		return []Spot{}
	}
	return straightened(line)
}

// crossings are the edges between two others at which a box begins, ends, or has its side cross them, in their order.
func crossings(a, b space.FloorEdge, box *fitout.Box) []space.FloorEdge {
	stops := []float64{box.From.X, box.To.X}
	cross := func(from, to, side float64) {
		if (from < side) != (to < side) {
			stops = append(stops, a.X+(side-from)/(to-from)*(b.X-a.X))
		}
	}
	cross(a.Left, b.Left, box.From.Y)
	cross(a.Right, b.Right, box.To.Y)
	slices.Sort(stops)
	var all []space.FloorEdge
	for _, x := range stops {
		if x > a.X && x < b.X && x >= box.From.X && x <= box.To.X {
			all = append(all, between(a, b, x))
		}
	}
	return all
}

// between is the edge at x, on the straight line between two others.
func between(a, b space.FloorEdge, x float64) space.FloorEdge {
	share := (x - a.X) / (b.X - a.X)
	return space.FloorEdge{X: x, Left: a.Left + share*(b.Left-a.Left), Right: a.Right + share*(b.Right-a.Right)}
}

// finest is nearer than anybody saws, mm.
const finest = 0.02

// straightened is a closed line without the points that lie on the straight between their neighbours.
func straightened(line []Spot) []Spot {
	line = slices.CompactFunc(line, func(a, b Spot) bool { return math.Hypot(a.U-b.U, a.V-b.V) < finest })
	kept := make([]Spot, 0, len(line))
	for k, b := range line {
		a, c := line[(k+len(line)-1)%len(line)], line[(k+1)%len(line)]
		if math.Abs((b.U-a.U)*(c.V-a.V)-(b.V-a.V)*(c.U-a.U)) > 1e-6 {
			kept = append(kept, b)
		}
	}
	return kept
}

// taper cuts a bearer along the vehicle so that what lies on it is level: it is as high as it is planned at the highest
// corner of the floor, and higher toward the low ones by their distance · tan(tilt). Front low and right low are
// positive.
func taper(p *CutPanel, bay *fitout.Bay, box fitout.Box) {
	s := box.Size()
	rise := func(length, tilt float64) float64 { return TaperedBearer(length, tilt, 0) }
	front, rear := 0.0, 0.0
	if math.Abs(bay.TiltAlong) >= leastTilt {
		if by := rise(s.Length, bay.TiltAlong); bay.TiltAlong > 0 {
			front += by
		} else {
			rear += by
		}
	}
	if math.Abs(bay.TiltAcross) >= leastTilt && (p.Name == "bearer, right") == (bay.TiltAcross > 0) {
		by := rise(s.Width, bay.TiltAcross)
		front, rear = front+by, rear+by
	}
	if front == 0 && rear == 0 {
		return
	}
	least := p.Box.Size().Height
	p.Ends = []float64{least + front, least + rear}
	p.CutWidth += max(front, rear)
	p.Width = p.CutWidth
	if p.Length < p.Width {
		p.Length, p.Width, p.CutLength, p.CutWidth = p.Width, p.Length, p.CutWidth, p.CutLength
	}
	if math.Abs(front-rear) < touching {
		return
	}
	length := s.Length
	p.Outline = []Spot{{0, 0}, {length, 0}, {length, least + rear}, {0, least + front}}
	if p.Length != length {
		for k, at := range p.Outline {
			p.Outline[k] = Spot{at.V, at.U}
		}
	}
}

// leastTilt is a slope that a floor is packed for, °.
const leastTilt = 0.1
