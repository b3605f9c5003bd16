package exchange

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/core/space"
)

// View is one of the three views of the bench.
type View string

// The views: the side from the left, the plan from above with the front to the
// left, the rear from behind.
const (
	SideView View = "side"
	PlanView View = "plan"
	RearView View = "rear"
)

// layer groups what belongs together, so that a drawing program can hide it.
type layer string

const (
	layerSpaces   layer = "SPACES"
	layerModules  layer = "MODULES"
	layerInside   layer = "COMPARTMENTS"
	layerMeasures layer = "MEASURES"
)

type point struct{ u, v float64 } // mm across the paper and up it

type line struct {
	layer    layer
	from, to point
}

type label struct {
	layer layer
	at    point // its middle
	text  string
}

// drawing is a view to scale, in mm of the vehicle.
type drawing struct {
	title  string
	lines  []line
	labels []label
}

// textHeight is how high letters stand, mm of the vehicle: 2.5 on paper at 1:10.
const textHeight = 25.0

// draw makes the drawing of one view: the spaces with what stands in them, the
// modules with their compartments, and the measures of both.
func draw(j *fitout.Job, view View) drawing {
	d := drawing{title: fmt.Sprintf("%s, %s", j.Name, map[View]string{SideView: "from the left", PlanView: "from above",
		RearView: "from behind"}[view])}
	system := quantity.System(j.Units)
	measure := func(mm float64) string { return quantity.Format(mm, quantity.Length, system) }
	p := plan.Of(j)
	for i := range p.Vehicle.Bays {
		b := p.Vehicle.Bays[i]
		if space.RoomOf(&b).Length == 0 || space.RoomOf(&b).Width == 0 {
			continue
		}
		outline := bayOutline(&b, view)
		d.polygon(layerSpaces, outline)
		for k := range b.Obstacles {
			d.box(layerSpaces, view, space.Stands(&b, &b.Obstacles[k]))
		}
		d.measures(outline, 60, measure)
	}
	for i := range p.Items {
		item := &p.Items[i]
		if item.Module == nil || item.Seat != "" {
			continue
		}
		corners := d.box(layerModules, view, item.Box())
		for _, c := range module.Cells(item) {
			d.box(layerInside, view, c.Outer)
		}
		d.labels = append(d.labels, label{layerModules, point{(corners[0].u + corners[2].u) / 2,
			(corners[0].v + corners[2].v) / 2}, item.Name})
		d.measures(corners, -18, measure)
	}
	return d
}

func project(view View, p fitout.Point) point {
	switch view {
	case SideView:
		return point{p.X, p.Z}
	case PlanView:
		return point{p.X, p.Y}
	}
	return point{p.Y, p.Z}
}

// bayOutline is the outline of a bay as the screen shows it.
func bayOutline(b *fitout.Bay, view View) []point {
	f := space.Floor(b)
	front, rear := b.HeightFront, b.HeightRear
	if front == 0 {
		front = rear
	}
	if rear == 0 {
		rear = front
	}
	switch view {
	case PlanView:
		return []point{{f[0].X, f[0].Y}, {f[1].X, f[1].Y}, {f[2].X, f[2].Y}, {f[3].X, f[3].Y}}
	case SideView:
		end := max(f[2].X, f[3].X)
		top := end
		if b.LengthTop > 0 {
			top = b.At.X + b.LengthTop
		}
		return []point{{b.At.X, b.At.Z}, {b.At.X, b.At.Z + front}, {top, b.At.Z + rear}, {end, b.At.Z}}
	}
	left, right := min(f[0].Y, f[3].Y), max(f[1].Y, f[2].Y)
	return []point{{left, b.At.Z}, {left, b.At.Z + rear}, {right, b.At.Z + rear}, {right, b.At.Z}}
}

func (d *drawing) polygon(l layer, corners []point) {
	for i := range corners {
		d.lines = append(d.lines, line{l, corners[i], corners[(i+1)%len(corners)]})
	}
}

func (d *drawing) box(l layer, view View, b fitout.Box) []point {
	from, to := project(view, b.From), project(view, b.To)
	corners := []point{{from.u, from.v}, {from.u, to.v}, {to.u, to.v}, {to.u, from.v}}
	d.polygon(l, corners)
	return corners
}

// measures draws the width below and the height to the right of an outline, at
// a distance; a negative one draws them inside.
func (d *drawing) measures(corners []point, off float64, text func(float64) string) {
	low, high := corners[0], corners[0]
	for _, c := range corners {
		low, high = point{min(low.u, c.u), min(low.v, c.v)}, point{max(high.u, c.u), max(high.v, c.v)}
	}
	const tick = 10
	if w := high.u - low.u; w > 0 {
		y := low.v - off
		d.lines = append(d.lines, line{layerMeasures, point{low.u, y}, point{high.u, y}},
			line{layerMeasures, point{low.u, y - tick}, point{low.u, y + tick}}, line{layerMeasures, point{high.u, y - tick},
				point{high.u, y + tick}})
		d.labels = append(d.labels, label{layerMeasures, point{(low.u + high.u) / 2, y + textHeight*0.8}, text(w)})
	}
	if h := high.v - low.v; h > 0 {
		x := high.u + off
		d.lines = append(d.lines, line{layerMeasures, point{x, low.v}, point{x, high.v}},
			line{layerMeasures, point{x - tick, low.v}, point{x + tick, low.v}}, line{layerMeasures, point{x - tick, high.v},
				point{x + tick, high.v}})
		beside := 2 * textHeight
		if off < 0 {
			beside = -beside
		}
		d.labels = append(d.labels, label{layerMeasures, point{x + beside, (low.v + high.v) / 2}, text(h)})
	}
}

// extent is the least rectangle around everything that is drawn.
func (d *drawing) extent() (low, high point) {
	if len(d.lines) == 0 {
		return point{}, point{1000, 500}
	}
	low, high = d.lines[0].from, d.lines[0].from
	for _, l := range d.lines {
		for _, p := range []point{l.from, l.to} {
			low, high = point{min(low.u, p.u), min(low.v, p.v)}, point{max(high.u, p.u), max(high.v, p.v)}
		}
	}
	return low, high
}

// checked refuses a view that is none.
func checked(view View) error {
	switch view {
	case SideView, PlanView, RearView:
		return nil
	}
	return fitout.Problem{Path: "view", Given: string(view), Accepted: "side, plan or rear"}
}
