package shape

import "zaino/internal/core/fitout"

// tank is a tank with round corners, its cap on top and its level inside.
func (b *builder) tank() {
	cap := min(22, b.H*0.12)
	body := b.H - cap
	radius := min(40, b.W*0.15, b.D*0.15)
	share := 0.0
	if l := b.item.Presence.Level; b.item.Presence.Kind == fitout.ByLevel && l != nil && l.Max > 0 {
		share = min(1, max(0, l.Now/l.Max))
	}
	whole := rounded(Flat{0, 0}, Flat{b.W, b.D}, radius)
	if share > 0 {
		b.upward(whole, 0, body*share, Fluid, false)
	}
	if share < 1 {
		b.upward(whole, body*share, body, Plain, false)
	}
	b.upward(circle(Flat{b.W * 0.5, b.D * 0.22}, min(35, b.W*0.2, b.D*0.2)), body, b.H, Hardware, true)
	for _, a := range []float64{b.W * 0.25, b.W * 0.75} { // what holds it down
		b.detail(a-12, a+12, -1, 0, 0, body, Hardware)
	}
}

// toilet is a seat with a lid over its tank.
func toilet(b *builder) {
	b.leaf("", func() {
		split := b.H * 0.5
		b.upward(rounded(Flat{0, 0}, Flat{b.W, b.D}, 30), 0, split, Plain, false)
		b.upward(rounded(Flat{b.W * 0.03, b.D * 0.03}, Flat{b.W * 0.97, b.D * 0.97}, 50), split+3, b.H*0.93, Plain, false)
		b.upward(ellipse(Flat{b.W / 2, b.D / 2}, b.W*0.9, b.D*0.9), b.H*0.93, b.H, Front, true)
		b.detail(b.W*0.4, b.W*0.6, -4, 0, split*0.7, split*0.85, Hardware)
	})
}
