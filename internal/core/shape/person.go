package shape

import "zaino/internal/core/fitout"

// person is somebody who sits, facing the front: the box is around the seated figure.
func (b *builder) seated() {
	x0, z0 := b.box.From.X, b.box.From.Z
	l, w, h := b.box.To.X-x0, b.box.To.Y-b.box.From.Y, b.box.To.Z-z0
	y := (b.box.From.Y + b.box.To.Y) / 2
	profile := func(points []Flat, half float64, tone Tone, round bool) {
		for i := range points {
			points[i] = Flat{x0 + points[i].U*l, z0 + points[i].V*h}
		}
		b.add(Prism{Axis: AxisY, From: y - half, To: y + half, Outline: points, Tone: tone, Round: round})
	}
	// Back, lap and shins, head, arm.
	profile(
		[]Flat{{0.62, 0.28}, {0.98, 0.3}, {1, 0.62}, {0.92, 0.78}, {0.66, 0.77}, {0.6, 0.55}},
		w*0.44,
		Cloth,
		false,
	)
	profile(
		[]Flat{{0.08, 0.3}, {0.62, 0.27}, {0.98, 0.3}, {0.96, 0.44}, {0.6, 0.46}, {0.1, 0.44}},
		w*0.38,
		Cloth,
		false,
	)
	profile([]Flat{{0, 0}, {0.16, 0}, {0.2, 0.3}, {0.1, 0.44}, {0.06, 0.3}}, w*0.3, Cloth, false)
	r := min(l*0.13, h*0.12)
	b.add(
		Prism{
			Axis:    AxisY,
			From:    y - r,
			To:      y + r,
			Outline: circle(Flat{x0 + 0.8*l, z0 + h - r}, r),
			Tone:    Skin,
			Round:   true,
		},
	)
	profile([]Flat{{0.3, 0.52}, {0.72, 0.6}, {0.8, 0.72}, {0.72, 0.74}, {0.3, 0.58}}, w*0.5, Skin, false)
}

// Standing is somebody of a height who stands at a place on the ground before a face, one arm
// in as far as it reaches, the other up to the highest grip, mm.
func Standing(id string, at fitout.Point, height, arm, grip float64, toward fitout.Face) Part {
	size := fitout.Size{Length: 0.26 * height, Width: 0.3 * height, Height: height}
	if toward == fitout.FaceLeft || toward == fitout.FaceRight {
		size.Length, size.Width = size.Width, size.Length
	}
	item := fitout.Item{ID: id, Size: size, At: fitout.Point{X: at.X, Y: at.Y, Z: at.Z + height/2},
		Module: &fitout.Module{Faces: toward}}
	p := Part{ID: id, Box: item.Box(), Still: []Prism{}, Leaves: []Moving{}}
	b := newBuilder(&item, &p)
	b.reaches = true
	middle := b.D / 2
	for _, a := range []float64{b.W * 0.32, b.W * 0.68} { // legs
		b.inward(
			[]Flat{
				{a - b.W*0.11, 0},
				{a + b.W*0.11, 0},
				{a + b.W*0.14, height * 0.48},
				{a - b.W*0.14, height * 0.48},
			},
			middle-b.D*0.22,
			middle+b.D*0.22,
			Cloth,
			false,
		)
	}
	b.inward([]Flat{{b.W * 0.16, height * 0.46}, {b.W * 0.84, height * 0.46}, {b.W * 0.96, height * 0.8},
		{b.W * 0.8, height * 0.83}, {b.W * 0.2, height * 0.83}, {b.W * 0.04, height * 0.8}}, middle-b.D*0.28,
		middle+b.D*0.28, Cloth, false)
	r := height * 0.062
	b.inward(circle(Flat{b.W / 2, height - r*1.15}, r*1.15), middle-r, middle+r, Skin, true)
	b.block(b.W/2-r*0.4, b.W/2+r*0.4, middle-r*0.5, middle+r*0.5, height*0.82, height*0.88, Skin)
	b.block(b.W*0.02, b.W*0.14, middle, middle+arm, height*0.76, height*0.8, Skin)
	b.block(b.W*0.88, b.W, middle-b.W*0.06, middle+b.W*0.06, height*0.78, max(grip, height*0.8), Skin)
	return p
}

// animal is a body on four legs with its head to the front.
func (b *builder) animal() {
	x0, z0 := b.box.From.X, b.box.From.Z
	l, w, h := b.box.To.X-x0, b.box.To.Y-b.box.From.Y, b.box.To.Z-z0
	y := (b.box.From.Y + b.box.To.Y) / 2
	add := func(points []Flat, from, to float64, round bool) {
		scaled := make([]Flat, len(points))
		for i := range points {
			scaled[i] = Flat{x0 + points[i].U*l, z0 + points[i].V*h}
		}
		b.add(Prism{Axis: AxisY, From: y + from*w, To: y + to*w, Outline: scaled, Tone: Skin, Round: round})
	}
	for _, x := range []float64{0.26, 0.82} {
		for _, side := range []float64{-0.3, 0.14} {
			add([]Flat{{x, 0}, {x + 0.08, 0}, {x + 0.09, 0.5}, {x - 0.01, 0.5}}, side, side+0.16, false)
		}
	}
	add(ellipse(Flat{0.58, 0.58}, 0.72, 0.42), -0.36, 0.36, true)
	add([]Flat{{0.22, 0.56}, {0.4, 0.62}, {0.3, 0.86}, {0.16, 0.84}}, -0.2, 0.2, false)
	add(ellipse(Flat{0.17, 0.84}, 0.3, 0.24), -0.2, 0.2, true)
	add([]Flat{{0.2, 0.9}, {0.28, 0.88}, {0.27, 1}}, -0.16, 0.16, false)
	add([]Flat{{0.9, 0.66}, {1, 0.82}, {0.98, 0.84}, {0.88, 0.72}}, -0.05, 0.05, false)
}

// Placed is somebody in a stance: standing, or as tall as one is who sits on what is at a place, or kneels.
func Placed(does fitout.Does, at fitout.Point, height float64) []Prism {
	if does == fitout.Sits {
		// The box of one who sits reaches from the feet up; the seat is a little below its half.
		tall := 0.52 * height / 0.72
		item := fitout.Item{
			ID:   "sitting",
			Form: fitout.FormPerson,
			At:   fitout.Point{X: at.X, Y: at.Y, Z: at.Z + 0.52*height - tall/2},
			Size: fitout.Size{Length: 0.5 * height, Width: 0.27 * height, Height: tall},
		}
		part := Of(&item)
		return part.Still
	}
	if does == fitout.Dresses {
		height *= 0.75
	}
	return Standing("standing", at, height, 0.1*height, 0.8*height, fitout.FaceLeft).Still
}
