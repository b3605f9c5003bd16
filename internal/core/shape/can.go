package shape

import "zaino/internal/core/words"

// canHolder is a frame about what stands in it: a can with its grip and spout, or a bottle
// of gas.
func canHolder(b *builder) {
	t := min(5, b.W*0.05)
	b.block(0, b.W, 0, b.D, 0, t, Metal)
	rail := b.H * 0.4
	b.detail(0, t, 0, b.D, t, rail, Metal)
	b.detail(b.W-t, b.W, 0, b.D, t, rail, Metal)
	b.detail(0, b.W, b.D-t, b.D, t, rail, Metal)
	if words.Names(b.item.Name, "gas", "lpg", "propane", "bottle", "cylinder") {
		b.bottle(t*2, b.W-t*2, t*2, b.D-t*2, t, b.H)
	} else {
		b.can(t*2, b.W-t*2, t*2, b.D-t*2, t, b.H)
	}
	b.detail(0, b.W, 0, t, rail-t*2, rail, Metal)
}

// can is a canister: shoulders, a grip along its depth and a spout.
func (b *builder) can(a0, a1, d0, d1, h0, h1 float64) {
	high := h1 - h0
	neck := h0 + high*0.84
	b.sideways([]Flat{{d0, h0}, {d1, h0}, {d1, neck}, {d1 - (d1-d0)*0.2, neck + high*0.06}, {d0 + (d1-d0)*0.2,
		neck + high*0.06}, {d0, neck}}, a0, a1, Plain, false)
	w := a1 - a0
	b.block(a0+w*0.3, a1-w*0.3, d0+(d1-d0)*0.3, d1-(d1-d0)*0.05, h1-high*0.05, h1, Hardware)
	b.block(a0+w*0.3, a1-w*0.3, d1-(d1-d0)*0.12, d1-(d1-d0)*0.05, neck, h1-high*0.05, Hardware)
	b.upward(circle(Flat{(a0 + a1) / 2, d0 + (d1-d0)*0.2}, w*0.16), neck+high*0.04, h1, Hardware, true)
	b.detail(a0+w*0.2, a1-w*0.2, d0-1, d0, h0+high*0.2, h0+high*0.7, Front)
}

// bottle is a bottle of gas: a foot, a round body and a collar about its valve.
func (b *builder) bottle(a0, a1, d0, d1, h0, h1 float64) {
	at, high := Flat{(a0 + a1) / 2, (d0 + d1) / 2}, h1-h0
	r := min(a1-a0, d1-d0) / 2
	b.upward(circle(at, r*0.8), h0, h0+high*0.06, Metal, true)
	b.upward(circle(at, r), h0+high*0.06, h0+high*0.68, Front, true)
	b.upward(circle(at, r*0.82), h0+high*0.68, h0+high*0.76, Front, true)
	b.upward(circle(at, r*0.62), h0+high*0.76, h1-high*0.06, Open, true)
	b.upward(circle(at, r*0.2), h1-high*0.06, h1, Hardware, true)
}
