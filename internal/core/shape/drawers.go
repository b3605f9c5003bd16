package shape

import "zaino/internal/core/module"

// drawers are a carcass with runners and a drawer in each room: its front covers the edges
// of the carcass but for a gap, and has a handle.
func drawers(b *builder) {
	b.carcass()
	for _, r := range b.rooms() {
		b.runners(r)
		b.leaf(r.id, func() { b.drawer(r) })
	}
}

// dividers stand between neighbouring compartments.
func (b *builder) dividers() {
	t, rooms := b.panel(), b.rooms()
	side := module.Side(b.m.Runner)
	for i := 1; i < len(rooms); i++ {
		if r, before := rooms[i], rooms[i-1]; r.h0 > before.h1-1 {
			b.block(t, b.W-t, 0, b.D-t, r.h0-t, r.h0, b.material())
		} else {
			left := r
			if before.a0 > r.a0 {
				left = before
			}
			b.block(left.a0-side-t, left.a0-side, 0, b.D-t, t, b.H-t, b.material())
		}
	}
}

// runners stand on both sides of a drawer.
func (b *builder) runners(r room) {
	side := module.Side(b.m.Runner)
	if side < 4 {
		return
	}
	high, low := min(45, (r.h1-r.h0)*0.4), r.h0+(r.h1-r.h0)*0.25
	b.detail(r.a0-side, r.a0-1, r.d0, r.d1, low, low+high, Hardware)
	b.detail(r.a1+1, r.a1+side, r.d0, r.d1, low, low+high, Hardware)
}

// drawer is the box of a drawer: bottom, sides, back, and a front with a gap all round.
func (b *builder) drawer(r room) {
	t, tone := b.panel(), b.material()
	side := module.Side(b.m.Runner)
	const gap = 2.5
	front := 2 * gap
	b.block(r.a0, r.a1, t, r.d1, r.h0, r.h0+t, tone)
	b.block(r.a0, r.a0+t, t, r.d1, r.h0+t, r.h1, tone)
	b.block(r.a1-t, r.a1, t, r.d1, r.h0+t, r.h1, tone)
	b.block(r.a0+t, r.a1-t, r.d1-t, r.d1, r.h0+t, r.h1, tone)
	a0, a1 := r.a0-side-t/2+gap, r.a1+side+t/2-gap
	h0, h1 := r.h0-t/2+gap, r.h1+t/2+5-gap
	b.block(max(a0, 0), min(a1, b.W), 0, max(t, front), max(h0, 0), min(h1, b.H), Front)
	b.handle(r.a0, r.a1, 0, r.h0+(r.h1-r.h0)*0.68)
}
