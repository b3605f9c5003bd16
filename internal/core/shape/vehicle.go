package shape

import (
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// vehicle makes the form of a vehicle from its own figures; where nobody measured, from what
// is usual for its class.
type vehicle struct {
	v         *fitout.Vehicle
	o         *fitout.Outline
	wheelbase float64
	half      float64 // half the width of the body
	rear      float64 // x of the rear end
	part      Part
}

// VehicleID is the id of the vehicle's own form among those of its parts.
const VehicleID = "~vehicle"

// HalfWidth is half the width of the body, mm: as measured, or what the tracks leave to draw.
func HalfWidth(v *fitout.Vehicle) float64 {
	if v.Outline.Width > 0 {
		return v.Outline.Width / 2
	}
	return (max(v.TrackFront, v.TrackRear) + 280) / 2
}

// OfVehicle is the form of a vehicle as it stands, with a wheelbase in mm: its body by its
// class, wheels, doors that open by the ids of their bays.
func OfVehicle(v *fitout.Vehicle, wheelbase float64) Part {
	d := &vehicle{
		v:         v,
		o:         &v.Outline,
		wheelbase: wheelbase,
		half:      HalfWidth(v),
		rear:      wheelbase + v.Outline.RearOverhang,
	}
	d.part = Part{ID: VehicleID, Still: []Prism{}, Leaves: []Moving{}}
	d.frame()
	d.wheels()
	d.cab()
	switch d.o.Body {
	case fitout.BodyWagon:
		d.wagon()
	case fitout.BodyTub:
		d.tub()
	default:
		d.tray()
	}
	d.lamps()
	d.fitted()
	d.doors()
	d.part.Box = fitout.Box{
		From: fitout.Point{X: -d.o.FrontOverhang, Y: -d.half},
		To: fitout.Point{X: d.rear, Y: d.half,
			Z: d.o.Height},
	}
	return d.part
}

func (d *vehicle) add(p Prism) {
	if p.To-p.From > 0.01 && len(p.Outline) > 2 {
		d.part.Still = append(d.part.Still, p)
	}
}

// box adds a box from corner to corner.
func (d *vehicle) box(x0, x1, y0, y1, z0, z1 float64, tone Tone, thin bool) {
	p := between(fitout.Point{X: x0, Y: y0, Z: z0}, fitout.Point{X: x1, Y: y1, Z: z1}, tone)
	p.Thin = thin
	b := p.Bounds()
	if s := b.Size(); s.Length > 0.01 && s.Width > 0.01 && s.Height > 0.01 {
		d.add(p)
	}
}

// both adds a box on both sides, given on the right.
func (d *vehicle) both(x0, x1, y0, y1, z0, z1 float64, tone Tone, thin bool) {
	d.box(x0, x1, y0, y1, z0, z1, tone, thin)
	d.box(x0, x1, -y1, -y0, z0, z1, tone, thin)
}

// profile adds a side elevation (x, z) across the vehicle.
func (d *vehicle) profile(y0, y1 float64, tone Tone, points ...Flat) {
	d.add(Prism{Axis: AxisY, From: y0, To: y1, Outline: points, Tone: tone})
}

// skin adds a side elevation on the outside of both sides, flush with the body.
func (d *vehicle) skin(half, proud float64, tone Tone, thin bool, points ...Flat) {
	for _, ends := range [][2]float64{{half - 8, half + proud}, {-half - proud, -half + 8}} {
		d.add(Prism{Axis: AxisY, From: ends[0], To: ends[1], Outline: points, Tone: tone, Thin: thin})
	}
}

func rect(x0, x1, z0, z1 float64) []Flat { return []Flat{{x0, z0}, {x1, z0}, {x1, z1}, {x0, z1}} }

// frame is what the body stands on, and the ball behind it.
func (d *vehicle) frame() {
	low := d.o.SillHeight
	if d.o.Body != fitout.BodyWagon {
		d.both(-d.o.FrontOverhang+200, d.rear-60, 330, 420, low, low+130, Metal, false)
	}
	if d.v.Hitch.Overhang > 0 && d.v.Hitch.Height > 0 {
		x, z := d.wheelbase+d.v.Hitch.Overhang, d.v.Hitch.Height
		d.box(min(x, d.rear)-260, x+25, -30, 30, z-75, z-25, Metal, false)
		d.add(Prism{Axis: AxisY, From: -25, To: 25, Outline: circle(Flat{x, z}, 25), Round: true, Tone: Hardware})
	}
}

// wheels are four tyres with their rims, under round arches.
func (d *vehicle) wheels() {
	r := d.v.TyreRadius
	const wide = 250.0
	for _, axle := range []struct{ x, track float64 }{{0, d.v.TrackFront}, {d.wheelbase, d.v.TrackRear}} {
		for _, side := range []float64{-1, 1} {
			y := side * axle.track / 2
			rings(
				Flat{axle.x, r},
				r,
				y-wide/2,
				y+wide/2,
				func(outline []Flat, from, to float64, tone Tone, round bool) {
					d.add(Prism{Axis: AxisY, From: from, To: to, Outline: outline, Round: round, Tone: tone})
				},
			)
		}
		d.both(axle.x-r*0.08, axle.x+r*0.08, 0, axle.track/2-wide/2, r*0.9, r*1.1, Metal, true)
	}
}

// arch is the upper half of a ring about a wheel.
func arch(x, z, inner, outer, cut float64) []Flat {
	var points []Flat
	const n = 12
	at := func(radius float64, k int) Flat {
		sin, cos := math.Sincos(math.Pi * float64(k) / n)
		return Flat{x + radius*cos, max(cut, z+radius*sin)}
	}
	for k := 0; k <= n; k++ {
		points = append(points, at(outer, k))
	}
	for k := n; k >= 0; k-- {
		points = append(points, at(inner, k))
	}
	return points
}

// arches are drawn on both sides over a wheel.
func (d *vehicle) arches(x float64) {
	r := d.v.TyreRadius
	d.skin(d.half, 30, Rubber, true, arch(x, r, r*1.12, r*1.24, d.o.SillHeight)...)
}

// cut takes the room of the wheels out of the lower edge of a side, from front to rear.
func (d *vehicle) under(x0, x1, z float64, axles ...float64) []Flat {
	points := []Flat{{x0, z}}
	r := d.v.TyreRadius * 1.12
	for _, x := range axles {
		rise := d.v.TyreRadius + r - z
		if x-r < x0 || x+r > x1 || rise <= 0 {
			continue
		}
		const n = 10
		start := math.Asin(max(-1, min(1, (z-d.v.TyreRadius)/r)))
		for k := 0; k <= n; k++ {
			angle := math.Pi - start - (math.Pi-2*start)*float64(k)/n
			points = append(points, Flat{x + r*math.Cos(angle), d.v.TyreRadius + r*math.Sin(angle)})
		}
	}
	return append(points, Flat{x1, z})
}

// reversed is an outline the other way round.
func reversed(points []Flat) []Flat {
	back := make([]Flat, len(points))
	for i, p := range points {
		back[len(points)-1-i] = p
	}
	return back
}

// wagon adds what a wagon has behind: the hatch is one of its doors.
func (d *vehicle) wagon() {
	d.box(d.rear-20, d.rear+50, -d.half*0.9, d.half*0.9, d.o.SillHeight-20, d.o.SillHeight+160, Hardware, false)
}

// tub adds the sides of the tub about the floor.
func (d *vehicle) tub() {
	o, half := d.o, d.half
	top := o.FloorHeight + 480
	start := o.Headboard - 30
	side := append(
		[]Flat{{start, top}, {d.rear, top}},
		reversed(d.under(start, d.rear, o.SillHeight+40, d.wheelbase))...)
	for _, ends := range [][2]float64{{half - 70, half}, {-half, -half + 70}} {
		d.profile(ends[0], ends[1], Body, side...)
	}
	d.box(start, d.rear, -half+70, half-70, o.FloorHeight-60, o.FloorHeight, Body, false)
	d.box(start, start+40, -half+70, half-70, o.FloorHeight, top, Body, false)
	if !d.has(fitout.BayTub) {
		d.box(d.rear-50, d.rear, -half+70, half-70, o.FloorHeight, top, Body, false)
	}
	d.arches(d.wheelbase)
	d.box(d.rear, d.rear+120, -half*0.8, half*0.8, o.SillHeight-10, o.SillHeight+120, Hardware, false)
}

// tray adds a flat floor with its rim, a headboard and mudguards.
func (d *vehicle) tray() {
	o, half := d.o, d.half
	floor, start := o.FloorHeight, o.Headboard
	d.box(start, d.rear, -half, half, floor-50, floor, Metal, false)
	d.both(start, d.rear, half-40, half, floor-110, floor-50, Metal, true)
	d.both(start+40, d.rear-60, 300, 380, floor-150, floor-50, Metal, true)
	// The headboard: two posts, rails across and mesh before the window.
	high := max(floor+300, o.Height-40)
	for _, ends := range [][2]float64{{-half + 40, -half + 100}, {half - 100, half - 40}} {
		d.box(start, start+50, ends[0], ends[1], floor, high, Metal, false)
	}
	for _, z := range []float64{floor + 20, (floor + high) / 2, high - 50} {
		d.box(start, start+50, -half+100, half-100, z, z+50, Metal, true)
	}
	r := d.v.TyreRadius
	d.skin(d.v.TrackRear/2+125, 10, Rubber, false, arch(d.wheelbase, r, r*1.14, r*1.2, r)...)
	d.box(d.rear-30, d.rear, -half*0.9, half*0.9, floor-230, floor-120, Hardware, false)
}

// has tells whether the vehicle has a bay of a kind.
func (d *vehicle) has(kind fitout.BayKind) bool {
	for i := range d.v.Bays {
		if d.v.Bays[i].Kind == kind {
			return true
		}
	}
	return false
}

// lamps are in front and behind, on both sides.
func (d *vehicle) lamps() {
	o, half := d.o, d.half
	front := -o.FrontOverhang - 24
	d.both(front, front+60, half*0.56, half*0.92, o.BonnetHeight*0.66, o.BonnetHeight*0.8, Light, true)
	if o.Body == fitout.BodyTray {
		d.both(d.rear, d.rear+14, half*0.62, half*0.9, o.FloorHeight-220, o.FloorHeight-130, Light, true)
		return
	}
	low, high := o.FloorHeight+60, o.FloorHeight+360
	d.both(d.rear-10, d.rear+6, half-120, half-10, low, high, Light, true)
}

// fitted adds the parts of the vehicle that have a form of their own: a spare wheel, a bar
// in front, seats.
func (d *vehicle) fitted() {
	for i := range d.v.Seats {
		s, size := &d.v.Seats[i], fitout.Size{Length: 620, Width: 500, Height: 780}
		x := s.At.X
		if wall := d.o.Headboard - 20; x < wall { // its back leans on the wall of the cab, not through it
			x = min(x, wall-size.Length/2)
		}
		d.pieces(&fitout.Item{ID: s.ID, Name: "Seat", At: fitout.Point{X: x, Y: s.At.Y, Z: s.At.Z - 20}, Size: size})
	}
	r := d.v.TyreRadius
	for i := range d.v.Parts {
		p := &d.v.Parts[i]
		at := p.Now()
		switch {
		case p.State == fitout.Removed:
		case words.Names(p.Name, "spare", "spare wheel"):
			size := fitout.Size{Length: 2 * r, Width: 2 * r, Height: 240}
			if at.Z > d.o.FloorHeight {
				size = fitout.Size{Length: 240, Width: 2 * r, Height: 2 * r}
			}
			if p.Size.Height > 0 {
				size = p.Size
			}
			d.pieces(&fitout.Item{ID: p.ID, Name: p.Name, Form: fitout.FormWheel, At: at, Size: size})
		case p.Size.Height > 0:
			d.pieces(&fitout.Item{ID: p.ID, Name: p.Name, Form: fitout.FormBox, At: at, Size: p.Size})
		case words.Names(p.Name, "bull bar", "bullbar", "nudge bar", "front bar"):
			front := -d.o.FrontOverhang - 70
			d.box(front-60, front, -d.half*0.9, d.half*0.9, d.o.SillHeight, d.o.SillHeight+220, Metal, false)
			d.both(
				front-50,
				front-10,
				d.half*0.35,
				d.half*0.42,
				d.o.SillHeight+220,
				d.o.BonnetHeight-60,
				Metal,
				false,
			)
			d.box(
				front-50,
				front-10,
				-d.half*0.42,
				d.half*0.42,
				d.o.BonnetHeight-60,
				d.o.BonnetHeight-20,
				Metal,
				false,
			)
		}
	}
}

func (d *vehicle) pieces(item *fitout.Item) {
	p := Of(item)
	d.part.Still = append(d.part.Still, p.Solids(nil)...)
}
