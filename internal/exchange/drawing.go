package exchange

import (
	"fmt"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/core/shape"
	"zaino/internal/core/space"
)

// layer groups what belongs together, so that a drawing program can hide it.
type layer string

const (
	layerVehicle  layer = "VEHICLE"
	layerSpaces   layer = "SPACES"
	layerModules  layer = "MODULES"
	layerHidden   layer = "HIDDEN"
	layerNames    layer = "NAMES"
	layerMeasures layer = "MEASURES"
)

type line struct {
	layer    layer
	from, to shape.Flat
}

type label struct {
	layer layer
	at    shape.Flat // its middle
	text  string
}

// drawing is a view to scale, in mm of the vehicle, with its spaces and measures.
type drawing struct {
	title  string
	look   draw.Look
	view   draw.DrawnView
	key    []draw.Keyed
	lines  []line
	labels []label
	taken  []draw.Rect // by what is written
}

// textHeight is how high letters stand, mm of the vehicle: 2.5 on paper at 1:10.
const textHeight = 25.0

// drawn makes the drawing of a job from a stand: what the screen shows, the measures of the
// spaces and of the modules, the names and the key.
func drawn(j *fitout.Job, stand draw.Stand) drawing {
	p := plan.Of(j)
	wish := draw.DrawingWish{People: true}
	scene := draw.SceneOf(p, "", nil)
	d := drawing{title: fmt.Sprintf("%s, %s", j.Name, lowered(stand)), look: scene.Fit(stand, &wish, textHeight/11, 70)}
	wish.Looks = []draw.Look{d.look}
	sheet := scene.Draw(&wish)
	d.view, d.key = sheet.Views[0], sheet.Key
	d.named()
	system := quantity.System(j.Units)
	measure := func(mm float64) string { return quantity.Format(mm, quantity.Length, system) }
	for i := range p.Vehicle.Bays {
		b := p.Vehicle.Bays[i]
		if space.RoomOf(&b).Length == 0 || space.RoomOf(&b).Width == 0 {
			continue
		}
		outline := bayOutline(&b, stand)
		d.polygon(layerSpaces, outline)
		for k := range b.Obstacles {
			d.polygon(layerSpaces, corners(stand, space.Stands(&b, &b.Obstacles[k])))
		}
		d.measures(outline, measure, 60, 110, 160, -18)
	}
	for i := range p.Items {
		if item := &p.Items[i]; item.Module != nil && item.Seat == "" {
			d.measures(corners(stand, item.Box()), measure, -18)
			for _, c := range module.Cells(item) {
				if o := corners(stand, c.Outer); c.Cover {
					d.polygon(layerSpaces, o)
				}
			}
		}
	}
	return d
}

func lowered(stand draw.Stand) string { return "from" + stand.Title()[len("From"):] }

// flat is a place as a stand sees it.
func flat(stand draw.Stand, p fitout.Point) shape.Flat {
	u, v := stand.Flat(p)
	return shape.Flat{U: u, V: v}
}

// bayOutline is the outline of a bay as the screen shows it.
func bayOutline(b *fitout.Bay, stand draw.Stand) []shape.Flat {
	f := space.Floor(b)
	front, rear := b.HeightFront, b.HeightRear
	if front == 0 {
		front = rear
	}
	if rear == 0 {
		rear = front
	}
	at := func(x, y, z float64) shape.Flat { return flat(stand, fitout.Point{X: x, Y: y, Z: z}) }
	z := b.At.Z
	switch stand {
	case draw.Above:
		return []shape.Flat{at(f[0].X, f[0].Y, z), at(f[1].X, f[1].Y, z), at(f[2].X, f[2].Y, z), at(f[3].X, f[3].Y, z)}
	case draw.Left, draw.Right:
		end := max(f[2].X, f[3].X)
		top := end
		if b.LengthTop > 0 {
			top = b.At.X + b.LengthTop
		}
		return []shape.Flat{at(b.At.X, 0, z), at(b.At.X, 0, z+front), at(top, 0, z+rear), at(end, 0, z)}
	}
	left, right := min(f[0].Y, f[3].Y), max(f[1].Y, f[2].Y)
	return []shape.Flat{at(0, left, z), at(0, left, z+rear), at(0, right, z+rear), at(0, right, z)}
}

func (d *drawing) polygon(l layer, corners []shape.Flat) {
	for i := range corners {
		d.lines = append(d.lines, line{l, corners[i], corners[(i+1)%len(corners)]})
	}
}

func corners(stand draw.Stand, b fitout.Box) []shape.Flat {
	from, to := flat(stand, b.From), flat(stand, b.To)
	return []shape.Flat{from, {U: from.U, V: to.V}, to, {U: to.U, V: from.V}}
}

// measures draws the width below and the height to the right of an outline, at the first of
// some distances where their figures lie over nothing else that is written; a negative one
// draws them inside. What has no room is left to the tables.
func (d *drawing) measures(corners []shape.Flat, text func(float64) string, offs ...float64) {
	low, high := corners[0], corners[0]
	for _, c := range corners {
		low, high = shape.Flat{U: min(low.U, c.U), V: min(low.V, c.V)}, shape.Flat{U: max(high.U, c.U), V: max(high.V, c.V)}
	}
	const tick = 10
	mark := func(u0, v0, u1, v1 float64) {
		d.lines = append(d.lines, line{layerMeasures, shape.Flat{U: u0, V: v0}, shape.Flat{U: u1, V: v1}})
	}
	if w := high.U - low.U; w > 0 {
		for _, off := range offs {
			y := low.V - off
			if d.write(layerMeasures, shape.Flat{U: (low.U + high.U) / 2, V: y + textHeight*0.8}, text(w), w) {
				mark(low.U, y, high.U, y)
				mark(low.U, y-tick, low.U, y+tick)
				mark(high.U, y-tick, high.U, y+tick)
				break
			}
		}
	}
	if h := high.V - low.V; h > 0 {
		for _, off := range offs {
			x := high.U + off
			wide := draw.Wide(text(h), textHeight)
			beside := wide/2 + textHeight/2
			room := 1e9
			if off < 0 {
				beside, room = -beside, high.U-low.U
			}
			if d.write(layerMeasures, shape.Flat{U: x + beside, V: (low.V + high.V) / 2}, text(h), room) {
				mark(x, low.V, x, high.V)
				mark(x-tick, low.V, x+tick, low.V)
				mark(x-tick, high.V, x+tick, high.V)
				break
			}
		}
	}
}

// write writes a text about a place, where it lies over no other and is no wider than its
// room, mm.
func (d *drawing) write(l layer, at shape.Flat, text string, room float64) bool {
	half := draw.Wide(text, textHeight)/2 + 4
	r := draw.Rect{U0: at.U - half, V0: at.V - textHeight*0.6, U1: at.U + half, V1: at.V + textHeight*0.6}
	if 2*half > room {
		return false
	}
	for _, taken := range d.taken {
		if taken.Over(r) {
			return false
		}
	}
	d.taken = append(d.taken, r)
	d.labels = append(d.labels, label{l, at, text})
	return true
}

// named takes the room of the names that the view has.
func (d *drawing) named() {
	for i := range d.view.Groups {
		if r, ok := d.view.Groups[i].Written(d.look.Scale); ok {
			d.taken = append(d.taken, r)
		}
	}
}

// checked refuses a stand that is none.
func checked(stand draw.Stand) error {
	if stand.Known() {
		return nil
	}
	return fitout.Problem{Path: "view", Given: string(stand), Accepted: "left, right, behind, ahead or above"}
}
