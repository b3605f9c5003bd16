package shape

import (
	"zaino/internal/core/fitout"
)

// cab is the front: bumper, bonnet, windscreen, roof and doors.
func (d *vehicle) cab() {
	o, half := d.o, d.half
	front, waist := -o.FrontOverhang, o.BonnetHeight
	end := o.CabRear
	axles := []float64{0}
	if o.Body == fitout.BodyWagon {
		end, axles = d.rear, []float64{0, d.wheelbase}
	}
	lower := append([]Flat{{front, o.SillHeight + 120}, {front - 20, waist * 0.72}, {front + 130, waist * 0.95},
		{o.CabFront, waist}, {end, waist}}, reversed(d.under(front+60, end, o.SillHeight, axles...))...)
	if o.CabFront < 0 { // the cab stands over the axle
		lower = append([]Flat{{front, o.SillHeight}, {front, waist}, {end, waist}}, reversed(d.under(front, end,
			o.SillHeight, axles...))...)
	}
	d.profile(-half, half, Body, lower...)
	d.glasshouse(end)
	d.box(front-60, front+40, -half*0.92, half*0.92, o.SillHeight-20, o.SillHeight+170, Hardware, false)
	d.box(front-24, front-20, -half*0.5, half*0.5, waist*0.58, waist*0.78, Hardware, true) // grille
	for _, x := range axles {
		d.arches(x)
	}
	// Doors with their gaps and grips.
	doors := d.doorEdges(end)
	for i := range doors {
		d.skin(half, 1, Hardware, true, rect(doors[i]-4, doors[i]+4, o.SillHeight+40, waist)...)
		if i > 0 && i < 3 {
			d.skin(half, 14, Hardware, true, rect(doors[i]-150, doors[i]-40, waist-110, waist-85)...)
		}
	}
	d.skin(half, 1, Hardware, true, rect(doors[0], doors[min(2, len(doors)-1)], o.SillHeight+36, o.SillHeight+44)...)
	d.both(o.CabFront+190, o.CabFront+250, half, half+190, waist+20, waist+190, Hardware, false) // mirrors
}

// doorEdges are where the doors of the cab begin and end.
func (d *vehicle) doorEdges(end float64) []float64 {
	first := max(d.o.CabFront+150, d.v.TyreRadius*1.3)
	if d.o.CabFront < 0 {
		first = d.o.CabFront + 120
	}
	last := min(end-60, d.wheelbase-d.v.TyreRadius*1.25)
	if last-first < 1400 {
		return []float64{first, max(first+300, last)}
	}
	middle := first + min(1150, (last-first)*0.55)
	return []float64{first, middle, min(last, middle+1050)}
}

// glasshouse is what stands over the waist: pillars, roof, and the glass between them.
func (d *vehicle) glasshouse(end float64) {
	o, half := d.o, d.half
	waist, top := o.BonnetHeight, o.Height
	rake := (top - waist) * 0.75
	if o.CabFront < 0 {
		rake *= 0.3
	}
	tail := (top - waist) * 0.25
	if o.Body == fitout.BodyWagon {
		tail = min(tail, 120)
	}
	in := half - 90
	d.profile(
		-in,
		in,
		Body,
		Flat{o.CabFront, waist},
		Flat{o.CabFront + rake, top - 30},
		Flat{o.CabFront + rake + 120, top},
		Flat{end - tail - 60, top},
		Flat{end - tail, top - 40},
		Flat{end, waist},
	)
	slant := func(x, z float64) float64 { return x + rake*(z-waist)/(top-waist) }
	low, high := waist+50, top-90
	// Both screens begin low enough to stand before the body for who looks at them.
	foot := waist + 12
	d.profile(
		-in+60,
		in-60,
		Glass,
		Flat{slant(o.CabFront, foot) - 26, foot},
		Flat{slant(o.CabFront, high) - 26, high},
		Flat{slant(o.CabFront, high) - 8, high},
		Flat{slant(o.CabFront, foot) - 8, foot},
	)
	back := func(z float64) float64 { return end - tail*(z-waist)/(top-waist) }
	d.profile(
		-in+100,
		in-100,
		Glass,
		Flat{back(foot) + 6, foot},
		Flat{back(high) + 6, high},
		Flat{back(high) + 12, high},
		Flat{back(foot) + 12, foot},
	)
	// Side windows end with the doors; a wagon has one more behind them.
	edges := append([]float64{slant(o.CabFront, low) + 70}, d.doorEdges(end)[1:]...)
	edges = append(edges, back(low)-70)
	for i := 1; i < len(edges); i++ {
		x0, x1 := edges[i-1]+35, edges[i]-25
		if i == 1 {
			x0 = edges[0]
		}
		if x1-x0 < 160 {
			continue
		}
		points := rect(x0, x1, low, high)
		if i == 1 {
			points[3].U = min(x1-60, slant(o.CabFront, high)+80)
		}
		if i == len(edges)-1 {
			points[2].U = min(points[2].U, back(high)-70)
			points[2].U = max(points[2].U, x0+40)
		}
		d.skin(in, 6, Glass, false, points...)
	}
}
