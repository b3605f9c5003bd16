package shape

// battery is a case with a cover, terminals on top and a strap over it.
func battery(b *builder) {
	cover := b.H * 0.86
	b.block(0, b.W, 0, b.D, 0, cover-2, Plain)
	b.leaf("", func() {
		b.block(0, b.W, 0, b.D, cover, b.H*0.94, Front)
		for _, a := range []float64{b.W * 0.22, b.W * 0.78} {
			b.upward(circle(Flat{a, b.D * 0.3}, min(18, b.W*0.09, b.D*0.15)), b.H*0.94, b.H, Hardware, true)
		}
	})
	b.detail(b.W*0.46, b.W*0.54, -2, 0, 0, cover, Rubber)
	plus := min(b.W*0.1, b.H*0.12)
	for _, bar := range []struct{ a, wide, high float64 }{{b.W * 0.22, plus, plus * 0.24}, {b.W * 0.22, plus * 0.24, plus},
		{b.W * 0.78, plus, plus * 0.24}} {
		b.detail(bar.a-bar.wide/2, bar.a+bar.wide/2, -1, 0, b.H*0.55-bar.high/2, b.H*0.55+bar.high/2, Hardware)
	}
}

// powerStation is a case with a grip over it, a display and sockets in its face.
func powerStation(b *builder) {
	grip := b.H * 0.14
	body := b.H - grip
	b.sideways(rounded(Flat{0, 0}, Flat{b.D, body}, min(30, b.D*0.12)), 0, b.W, Plain, false)
	for _, a := range []float64{b.W * 0.12, b.W * 0.82} {
		b.block(a, a+b.W*0.06, b.D*0.42, b.D*0.58, body, b.H, Hardware)
	}
	b.block(b.W*0.12, b.W*0.88, b.D*0.42, b.D*0.58, b.H-grip*0.4, b.H, Hardware)
	b.detail(b.W*0.3, b.W*0.7, -2, 0, body*0.62, body*0.84, Glass)
	for _, a := range []float64{0.2, 0.4, 0.6, 0.8} {
		b.inward(circle(Flat{b.W * a, body * 0.3}, min(20, b.W*0.07, body*0.1)), -2, 0, Hardware, true)
	}
}
