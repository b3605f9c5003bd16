package shape

// shelf is a panel with a lip in front, on two brackets.
func shelf(b *builder) {
	t := min(max(b.panel(), 6), b.H)
	b.block(0, b.W, 0, b.D, 0, t, b.material())
	b.detail(0, b.W, 0, min(12, b.D*0.1), t, b.H, Front)
	for _, a := range []float64{b.W * 0.1, b.W * 0.85} {
		b.detail(a, a+b.W*0.05, b.D*0.5, b.D, t, min(b.H, t+b.D*0.3), Hardware)
	}
}

// dropShelf is a flap that comes down to be a table, on a frame.
func dropShelf(b *builder) {
	t := min(max(b.panel(), 8), b.D*0.6)
	b.block(0, b.W, b.D*0.7, b.D, 0, b.H, Metal)
	b.leaf("", func() {
		b.block(0, b.W, 0, t, 0, b.H, Front)
		b.handle(0, b.W, 0, b.H*0.88)
		for _, a := range []float64{b.W * 0.06, b.W * 0.94} {
			b.detail(a-6, a+6, -2, 0, b.H*0.05, b.H*0.95, Hardware)
		}
	})
}
