package shape

// liddedBox is a box that is open above, with a lid over it and a grip on the lid.
func liddedBox(b *builder) {
	t := b.panel()
	lid := max(t, min(18, b.H*0.08))
	b.block(0, b.W, 0, b.D, 0, t, b.material())
	for _, a := range []float64{0, b.W - t} {
		b.block(a, a+t, 0, b.D, t, b.H-lid-2, b.material())
	}
	b.block(t, b.W-t, 0, t, t, b.H-lid-2, Front)
	b.block(t, b.W-t, b.D-t, b.D, t, b.H-lid-2, b.material())
	b.leaf("", func() {
		b.block(0, b.W, 0, b.D, b.H-lid, b.H, Front)
		b.handle(0, b.W, 0, b.H-lid/2)
	})
	for _, a := range []float64{b.W * 0.25, b.W * 0.75} { // catches
		b.detail(a-12, a+12, -4, 0, b.H-lid-30, b.H-lid-4, Hardware)
	}
}

// locker is a carcass with a door.
func locker(b *builder) {
	b.carcass()
	t := b.panel()
	b.leaf("", func() {
		b.block(3, b.W-3, 0, max(t, 5), 3, b.H-3, Front)
		grip := b.W - 40
		if b.m.Mirrored {
			grip = 20
		}
		b.detail(grip, grip+20, -10, 0, b.H*0.42, b.H*0.58, Hardware)
	})
}

// underTrayBox hangs below: its face comes down, with two catches.
func underTrayBox(b *builder) {
	b.carcass()
	t := b.panel()
	b.leaf("", func() {
		b.block(4, b.W-4, 0, max(t, 4), 4, b.H-4, Front)
		for _, a := range []float64{b.W * 0.15, b.W * 0.85} {
			b.detail(a-20, a+20, -8, 0, b.H*0.72, b.H*0.72+24, Hardware)
		}
		b.detail(b.W*0.03, b.W*0.97, -2, 0, b.H*0.08, b.H*0.1, Hardware)
	})
}
