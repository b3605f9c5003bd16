package shape

// pantry is a tall pull-out: a front, shelves with rails behind it, two runners.
func pantry(b *builder) {
	t := b.panel()
	b.block(0, b.W, 0, b.D, 0, t, b.material())
	b.block(t, b.W-t, b.D-t, b.D, t, b.H, b.material())
	b.block(0, t, t, b.D, t, b.H, b.material())
	b.detail(t, t+16, t, b.D-t, b.H*0.1, b.H*0.1+45, Hardware)
	b.leaf("", func() {
		b.block(0, b.W, 0, max(t, 5), t+3, b.H, Front)
		b.handle(0, b.W, 0, b.H*0.6)
		rooms := b.rooms()
		if len(rooms) == 1 {
			whole := rooms[0]
			for k := range 3 {
				high := (whole.h1 - whole.h0) / 3
				b.tray(room{a0: whole.a0, a1: whole.a1, d0: t, d1: whole.d1, h0: whole.h0 + high*float64(k),
					h1: whole.h0 + high*float64(k+1)})
			}
			return
		}
		for _, r := range rooms {
			b.tray(r)
		}
	})
}

// tray is a shelf with a rail on both sides, that keeps what stands on it from sliding off.
func (b *builder) tray(r room) {
	t := b.panel()
	a0, a1, d0, d1 := r.a0+t, r.a1-t, max(r.d0, b.panel()), r.d1-t
	b.block(a0, a1, d0, d1, r.h0, r.h0+t, b.material())
	rail := r.h0 + min(70, (r.h1-r.h0)*0.35)
	for _, a := range []float64{a0, a1 - 5} {
		b.detail(a, a+5, d0, d1, rail-5, rail, Hardware)
	}
	b.detail(a0, a1, d1-5, d1, r.h0+t, r.h1-t, Metal)
}
