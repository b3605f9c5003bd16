package exchange

import (
	"fmt"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
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
	layerDoors    layer = "DOORS"
	layerGear     layer = "GEAR"
	layerPeople   layer = "PEOPLE"
	layerFittings layer = "FITTINGS"
	layerGround   layer = "GROUND"
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
	letter float64     // height of letters, mm of the vehicle
}

// textHeight is how high letters stand, mm of the vehicle: 2.5 on paper at 1:10.
const textHeight = 25.0

// drawn makes the drawing of a job from a stand: what the screen shows, the measures of the
// spaces and of the modules, the names and the key.
func drawn(j *fitout.Job, stand draw.Stand) drawing {
	p := plan.Of(j)
	wish := draw.DrawingWish{People: true}
	scene := draw.SceneOf(p, "", nil)
	wish.Looks = []draw.Look{scene.Fit(stand, &wish, textHeight/11, 70)}
	return sketched(p, scene, &wish, textHeight)[0]
}

// sketched makes the drawings of what is wished, with letters of a height in mm of the vehicle;
// the key is the first one's.
func sketched(p *plan.Plan, scene *draw.Scene, wish *draw.DrawingWish, letter float64) []drawing {
	sheet := scene.Draw(wish)
	all := make([]drawing, len(wish.Looks))
	for i := range all {
		d := &all[i]
		stand := wish.Looks[i].Stand
		d.title = fmt.Sprintf("%s, %s", p.Given.Name, lowered(stand))
		d.look, d.view, d.letter = wish.Looks[i], sheet.Views[i], letter
		d.named()
		d.measured(p, wish, stand)
	}
	all[0].key = sheet.Key
	return all
}

// measured draws the spaces with their measures, and those of the modules that have room for
// them.
func (d *drawing) measured(p *plan.Plan, wish *draw.DrawingWish, stand draw.Stand) {
	system := quantity.System(p.Given.Units)
	measure := func(mm float64) string { return quantity.Format(mm, quantity.Length, system) }
	far := d.letter / textHeight
	for i := range p.Vehicle.Bays {
		b := p.Vehicle.Bays[i]
		if space.RoomOf(&b).Length == 0 || space.RoomOf(&b).Width == 0 || wish.Focus != "" && wish.Focus != b.ID {
			continue
		}
		outline := bayOutline(&b, stand)
		d.polygon(layerSpaces, outline)
		for k := range b.Obstacles {
			d.polygon(layerSpaces, corners(stand, space.Stands(&b, &b.Obstacles[k])))
		}
		d.measures(outline, measure, 60*far, 110*far, 160*far, -18*far)
	}
	shown := map[string]bool{}
	for i := range d.view.Groups {
		g := &d.view.Groups[i]
		shown[g.ID] = !g.Covered && !g.Faded
	}
	for i := range p.Items {
		if item := &p.Items[i]; item.Module != nil && item.Seat == "" && shown[item.ID] {
			d.measures(corners(stand, item.Box()), measure, -18*far)
		}
	}
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
		return []shape.Flat{
			at(f[0].X, f[0].Y, z),
			at(f[1].X, f[1].Y, z),
			at(f[2].X, f[2].Y, z),
			at(f[3].X, f[3].Y, z),
		}
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
		low, high = shape.Flat{
			U: min(low.U, c.U),
			V: min(low.V, c.V),
		}, shape.Flat{
			U: max(high.U, c.U),
			V: max(high.V, c.V),
		}
	}
	tick := d.letter * 0.4
	mark := func(u0, v0, u1, v1 float64) {
		d.lines = append(d.lines, line{layerMeasures, shape.Flat{U: u0, V: v0}, shape.Flat{U: u1, V: v1}})
	}
	if w := high.U - low.U; w > 0 {
		for _, off := range offs {
			y := low.V - off
			if d.write(layerMeasures, shape.Flat{U: (low.U + high.U) / 2, V: y + d.letter*0.8}, text(w), w) {
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
			wide := draw.Wide(text(h), d.letter)
			beside := wide/2 + d.letter/2
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
	half := draw.Wide(text, d.letter)/2 + 4
	r := draw.Rect{U0: at.U - half, V0: at.V - d.letter*0.6, U1: at.U + half, V1: at.V + d.letter*0.6}
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
