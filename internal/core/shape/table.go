package shape

// slideTable is a top that slides out of a flat case, with an edge all round.
func slideTable(b *builder) {
	t := max(b.panel(), min(b.H*0.25, 6))
	b.block(0, t, 0, b.D, 0, b.H, Metal)
	b.block(b.W-t, b.W, 0, b.D, 0, b.H, Metal)
	b.block(t, b.W-t, b.D-t, b.D, 0, b.H, Metal)
	b.leaf("", func() {
		b.block(t, b.W-t, 0, b.D-t, b.H*0.35, b.H, Carcass)
		b.block(0, b.W, -8, 0, b.H*0.1, b.H, Front)
		b.handle(0, b.W, -8, b.H*0.55)
	})
}

// kitchen is a bench on a slide: a sink, a cooker with two rings, a tap, drawers or bins in
// front below.
func kitchen(b *builder) {
	b.detail(0, b.W*0.05, 0, b.D, 0, min(45, b.H*0.15), Hardware)
	b.detail(b.W*0.95, b.W, 0, b.D, 0, min(45, b.H*0.15), Hardware)
	b.leaf("", func() {
		t := b.panel()
		top := max(t, 12)
		foot := min(45, b.H*0.12)
		b.block(0, b.W, 0, b.D, foot, foot+t, Metal)
		for _, a := range []float64{0, b.W - t} {
			b.block(a, a+t, 0, b.D, foot+t, b.H-top-6, b.material())
		}
		b.block(t, b.W-t, b.D-t, b.D, foot+t, b.H-top-6, b.material())
		b.block(t, b.W-t, 0, t, foot+t, b.H-top-10, Front)
		for _, r := range b.rooms() {
			b.handle(r.a0, r.a1, 0, min(b.H-top-40, r.h0+(r.h1-r.h0)*0.7))
			b.detail(r.a1-1, r.a1+1, -2, 0, foot+t, b.H-top-10, Hardware)
		}
		b.block(-0, b.W, 0, b.D, b.H-top-6, b.H-6, Metal)
		// Cooker and sink lie in the bench; the long side tells which way they stand.
		far, near := b.D*0.92, b.D*0.52
		b.upward(rounded(Flat{b.W * 0.18, near}, Flat{b.W * 0.82, far}, 12), b.H-6, b.H-2, Hardware, false)
		ring := min(b.W*0.13, (far-near)*0.34)
		for _, a := range []float64{b.W * 0.34, b.W * 0.66} {
			b.upward(circle(Flat{a, (near + far) / 2}, ring), b.H-2, b.H, Open, true)
		}
		b.upward(rounded(Flat{b.W * 0.22, b.D * 0.1}, Flat{b.W * 0.78, b.D * 0.42}, 30), b.H-6, b.H-1, Fluid, true)
	})
}
