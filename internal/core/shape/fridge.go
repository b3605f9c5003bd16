package shape

// chestFridge is a chest with a lid, its grips at the ends, on the plate of a slide.
func chestFridge(b *builder) {
	b.detail(0, b.W*0.04, 0, b.D, 0, min(40, b.H*0.1), Hardware)
	b.detail(b.W*0.96, b.W, 0, b.D, 0, min(40, b.H*0.1), Hardware)
	b.leaf("", func() {
		foot := min(30, b.H*0.08)
		lid := min(70, b.H*0.16)
		in := min(12, b.W*0.04)
		b.block(0, b.W, 0, b.D, foot*0.4, foot, Metal)
		b.block(in, b.W-in, in, b.D-in, foot, b.H-lid, Plain)
		// The lid stands over the chest a little, with a seam that is seen from every side.
		b.block(in/2, b.W-in/2, in/2, b.D-in/2, b.H-lid+4, b.H, Front)
		b.block(in, b.W-in, in, b.D-in, b.H-lid, b.H-lid+4, Rubber)
		grip := min(110, b.W*0.3)
		b.detail(b.W/2-grip/2, b.W/2+grip/2, 0, in, b.H-lid-34, b.H-lid-12, Hardware)
		for _, d := range []float64{b.D * 0.3, b.D * 0.6} { // air for what cools it
			b.detail(in-2, in, d, d+b.D*0.12, foot+b.H*0.08, foot+b.H*0.2, Hardware)
		}
		if len(b.rooms()) > 1 {
			b.detail(in/2, b.W-in/2, b.D*0.5-2, b.D*0.5+2, b.H-1, b.H, Hardware)
		}
	})
}

// uprightFridge is a cabinet with a door; its grip is on the side away from the hinge.
func uprightFridge(b *builder) {
	door := min(45, b.D*0.12)
	b.block(0, b.W, door, b.D, 0, b.H, Plain)
	b.detail(b.W*0.12, b.W*0.88, b.D-3, b.D, b.H*0.08, b.H*0.3, Hardware)
	b.leaf("", func() {
		b.block(0, b.W, 0, door, b.H*0.06, b.H, Front)
		grip, hinge := b.W-34, 0.0
		if b.m.Mirrored {
			grip, hinge = 12, b.W-16
		}
		b.detail(grip, grip+22, -12, 0, b.H*0.45, b.H*0.72, Hardware)
		b.detail(hinge, hinge+16, -3, 0, b.H*0.12, b.H*0.12+40, Hardware)
		b.detail(hinge, hinge+16, -3, 0, b.H*0.88, b.H*0.88+40, Hardware)
	})
	b.detail(b.W*0.1, b.W*0.9, 0, door, 0, b.H*0.05, Hardware)
}
