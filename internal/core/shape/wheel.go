package shape

// wheel is a tyre with its tread, rim and hub about the shortest side of a box.
func (b *builder) wheel(a0, a1, d0, d1, h0, h1 float64) {
	wide, deep, high := a1-a0, d1-d0, h1-h0
	switch {
	case deep <= wide && deep <= high:
		at := Flat{(a0 + a1) / 2, (h0 + h1) / 2}
		rings(at, min(wide, high)/2, d0, d1, b.inward)
	case wide <= high:
		at := Flat{(d0 + d1) / 2, (h0 + h1) / 2}
		rings(at, min(deep, high)/2, a0, a1, b.sideways)
	default:
		at := Flat{(a0 + a1) / 2, (d0 + d1) / 2}
		rings(at, min(wide, deep)/2, h0, h1, b.upward)
	}
}

func rings(at Flat, radius, from, to float64, add func(outline []Flat, from, to float64, tone Tone, round bool)) {
	thick := to - from
	add(circle(at, radius), from+thick*0.12, to-thick*0.12, Rubber, true)
	add(circle(at, radius*0.9), from+thick*0.02, from+thick*0.12, Rubber, true)
	add(circle(at, radius*0.9), to-thick*0.12, to-thick*0.02, Rubber, true)
	for _, end := range [][2]float64{{from + thick*0.01, from + thick*0.02}, {to - thick*0.02, to - thick*0.01}} {
		add(circle(at, radius*0.6), end[0], end[1], Metal, true)
	}
	for _, end := range [][2]float64{{from, from + thick*0.01}, {to - thick*0.01, to}} {
		add(circle(at, radius*0.2), end[0], end[1], Hardware, true)
	}
}

// rearCarrier swings out with what it carries: a wheel, or cans.
func rearCarrier(b *builder) {
	t := min(60, b.W*0.1, b.D*0.4)
	post := 0.0
	if b.m.Mirrored {
		post = b.W - t
	}
	b.block(post, post+t, b.D-t, b.D, 0, b.H, Metal)
	b.leaf("", func() {
		b.block(t, b.W-t, b.D-t*0.8, b.D-t*0.2, 0, t*0.8, Metal)
		b.block(b.W/2-t/2, b.W/2+t/2, b.D-t*0.8, b.D-t*0.2, t, b.H*0.6, Metal)
		side := min(b.W-2*t, b.H-t)
		b.wheel(b.W/2-side/2, b.W/2+side/2, 0, b.D-t, b.H-side, b.H)
	})
}

// rack is a frame of rails on feet, with bars across.
func rack(b *builder) {
	rail := min(40, b.W*0.05, b.D*0.05)
	foot := b.H * 0.5
	long := b.D
	for _, a := range []float64{0, b.W - rail} {
		b.block(a, a+rail, 0, b.D, foot, b.H, Metal)
		for _, d := range []float64{b.D * 0.1, b.D*0.9 - rail} {
			b.detail(a, a+rail, d, d+rail, 0, foot, Hardware)
		}
	}
	bars := max(3, int(long/300))
	for k := range bars {
		d := (b.D - rail) * float64(k) / float64(bars-1)
		b.block(rail, b.W-rail, d, d+rail, foot, b.H*0.85, Metal)
	}
}

// step is a tread with grip on two arms.
func step(b *builder) {
	b.leaf("", func() {
		t := min(40, b.H*0.4)
		b.block(0, b.W, 0, b.D*0.5, 0, t, Metal)
		for k := range 3 {
			d := b.D * (0.06 + 0.14*float64(k))
			b.detail(b.W*0.04, b.W*0.96, d, d+b.D*0.06, t, t+3, Hardware)
		}
		for _, a := range []float64{b.W * 0.15, b.W * 0.78} {
			b.block(a, a+b.W*0.07, b.D*0.5, b.D, 0, b.H, Metal)
		}
	})
}

// barrier is a frame with mesh.
func barrier(b *builder) {
	t := min(30, b.W*0.04, b.H*0.08)
	for _, bar := range [][4]float64{{0, b.W, 0, t}, {0, b.W, b.H - t, b.H}, {0, t, t, b.H - t}, {b.W - t, b.W, t, b.H - t}} {
		b.block(bar[0], bar[1], 0, b.D, bar[2], bar[3], Metal)
	}
	b.mesh(t, b.W-t, b.D*0.4, b.D*0.6, t, b.H-t)
}

// mesh is bars both ways that one looks through.
func (b *builder) mesh(a0, a1, d0, d1, h0, h1 float64) {
	columns, rows := max(2, int((a1-a0)/120)), max(2, int((h1-h0)/120))
	for i := 1; i < columns; i++ {
		a := a0 + (a1-a0)*float64(i)/float64(columns)
		b.detail(a-2.5, a+2.5, d0, d1, h0, h1, Hardware)
	}
	for k := 1; k < rows; k++ {
		h := h0 + (h1-h0)*float64(k)/float64(rows)
		b.detail(a0, a1, d0, d1, h-2.5, h+2.5, Hardware)
	}
}

// crate is a cage for an animal: floor, roof, posts, bars, and a door of bars.
func crate(b *builder) {
	t := min(25, b.W*0.05, b.H*0.06)
	b.block(0, b.W, 0, b.D, 0, t, Metal)
	b.block(0, b.W, 0, b.D, b.H-t, b.H, Metal)
	for _, a := range []float64{0, b.W - t} {
		for _, d := range []float64{0, b.D - t} {
			b.block(a, a+t, d, d+t, t, b.H-t, Metal)
		}
	}
	b.mesh(t, b.W-t, b.D-t*0.6, b.D-t*0.4, t, b.H-t)
	b.block(t, b.W-t, t, b.D-t, t, t+min(40, b.H*0.08), Cloth)
	b.leaf("", func() {
		b.mesh(t, b.W-t, t*0.3, t*0.6, t, b.H-t)
		grip := b.W - t*2.4
		if b.m.Mirrored {
			grip = t
		}
		b.detail(grip, grip+t*1.4, -6, t*0.3, b.H*0.48, b.H*0.56, Hardware)
	})
}
