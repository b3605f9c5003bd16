package shape

import "zaino/internal/core/fitout"

// falseFloor is a panel on bearers; wing panels have a lid in it.
func falseFloor(b *builder) {
	t := min(max(b.panel(), 6), b.H)
	bearers := 3
	if b.D > 1500 {
		bearers = 5
	}
	for k := range bearers {
		d := (b.D - 40) * float64(k) / float64(bearers-1)
		b.detail(0, b.W, d, d+40, 0, b.H-t, Carcass)
	}
	if b.m.Kind != fitout.WingPanels {
		b.block(0, b.W, 0, b.D, b.H-t, b.H, b.material())
		return
	}
	b.block(0, b.W, 0, t, 0, b.H-t, Front)
	b.block(0, b.W, b.D-t, b.D, 0, b.H-t, b.material())
	b.leaf("", func() {
		b.block(0, b.W, 0, b.D, b.H-t, b.H, Front)
		b.upward(rounded(Flat{b.W*0.5 - 25, b.D * 0.08}, Flat{b.W*0.5 + 25, b.D*0.08 + 20}, 10), b.H, b.H+1, Hardware, true)
	})
}

// platform is a bed: a panel on legs with a mattress on it, its pillows at one end.
func platform(b *builder) {
	t := min(max(b.panel(), 9), b.H)
	mattress := 0.0
	if b.H > 3*t && b.H < 260 {
		mattress = min(b.H-t, 100)
	}
	legs := b.H - t - mattress
	if b.H >= 260 {
		legs = b.H - t
	}
	if legs > 30 {
		b.legs(legs, 30)
	}
	b.leaf("", func() {
		b.block(0, b.W, 0, b.D, legs, legs+t, b.material())
		if mattress > 0 {
			b.upward(rounded(Flat{8, 8}, Flat{b.W - 8, b.D - 8}, 60), legs+t, b.H, Cloth, false)
		}
		b.detail(b.W*0.5-2, b.W*0.5+2, 0, b.D, b.H-1, b.H, Hardware)
	})
}
