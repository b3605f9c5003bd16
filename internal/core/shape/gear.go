package shape

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// looks are the forms of things that are no module, told by the words of their names.
var looks = []struct {
	words []string
	build func(*builder)
}{
	{[]string{"canopy", "topper", "hardtop"}, (*builder).shell},
	{[]string{"tray", "flatbed", "headboard"}, (*builder).deck},
	{[]string{"roof tent", "rooftop tent"}, (*builder).roofTent},
	{[]string{"awning"}, (*builder).awning},
	{[]string{"ladder"}, (*builder).ladder},
	{[]string{"wheel", "tyre", "tire", "spare"}, func(b *builder) { b.wheel(0, b.W, 0, b.D, 0, b.H) }},
	{[]string{"gas bottle", "gas cylinder", "propane", "lpg"}, func(b *builder) { b.bottle(0, b.W, 0, b.D, 0, b.H) }},
	{[]string{"jerry", "jerrycan", "fuel can", "water can", "can", "cans"}, func(b *builder) { b.can(0, b.W, 0, b.D, 0, b.H) }},
	{[]string{"solar"}, (*builder).solar},
	{[]string{"battery"}, battery},
	{[]string{"seat"}, (*builder).seat},
	{[]string{"fridge", "freezer", "cool box"}, chestFridge},
	{[]string{"rods", "pole", "poles", "tube", "pipes", "pipe"}, (*builder).roll},
}

// gear is a thing that is no part of the fitout: by its form, else by its name, else a box
// with straps.
func gear(b *builder) {
	switch b.item.Form {
	case fitout.FormPerson:
		b.seated()
	case fitout.FormAnimal:
		b.animal()
	case fitout.FormWheel:
		b.wheel(0, b.W, 0, b.D, 0, b.H)
	case fitout.FormTank:
		b.tank()
	default:
		for _, look := range looks {
			if words.Names(b.item.Name, look.words...) {
				look.build(b)
				b.hang(nil)
				return
			}
		}
		if b.item.Form == fitout.FormSoft {
			b.soft()
		} else {
			b.chest()
		}
	}
	b.hang(nil)
}

// chest is a box with a lid and two straps.
func (b *builder) chest() {
	lid := b.H * 0.16
	b.block(0, b.W, 0, b.D, 0, b.H-lid-2, Plain)
	b.block(0, b.W, 0, b.D, b.H-lid, b.H, Plain)
	b.detail(b.W*0.02, b.W*0.98, b.D*0.02, b.D*0.98, b.H-lid-2, b.H-lid, Hardware)
}

// soft is a bag or bedding: round at both ends, tied twice.
func (b *builder) soft() {
	if b.W >= b.D {
		b.sideways(rounded(Flat{0, 0}, Flat{b.D, b.H}, min(b.D, b.H)*0.45), 0, b.W, Cloth, false)
		for _, a := range []float64{b.W * 0.25, b.W * 0.75} {
			b.sideways(rounded(Flat{-2, -0}, Flat{b.D + 2, b.H + 2}, min(b.D, b.H)*0.45), a-8, a+8, Hardware, false)
		}
		return
	}
	b.inward(rounded(Flat{0, 0}, Flat{b.W, b.H}, min(b.W, b.H)*0.45), 0, b.D, Cloth, false)
	for _, d := range []float64{b.D * 0.25, b.D * 0.75} {
		b.inward(rounded(Flat{-2, 0}, Flat{b.W + 2, b.H + 2}, min(b.W, b.H)*0.45), d-8, d+8, Hardware, false)
	}
}

// roll is what is long and round: rods, poles, a pipe.
func (b *builder) roll() {
	if b.W >= b.D {
		b.sideways(ellipse(Flat{b.D / 2, b.H / 2}, b.D, b.H), 0, b.W, Plain, true)
		return
	}
	b.inward(ellipse(Flat{b.W / 2, b.H / 2}, b.W, b.H), 0, b.D, Plain, true)
}

// roofTent is a shell of two halves with its ladder.
func (b *builder) roofTent() {
	b.block(0, b.W, 0, b.D, 0, b.H*0.42, Hardware)
	b.block(b.W*0.01, b.W*0.99, b.D*0.01, b.D*0.99, b.H*0.42, b.H*0.5, Cloth)
	b.upward(rounded(Flat{0, 0}, Flat{b.W, b.D}, 80), b.H*0.5, b.H, Front, false)
}

// awning is a rolled cloth in its case.
func (b *builder) awning() {
	if b.W >= b.D {
		b.sideways(rounded(Flat{0, 0}, Flat{b.D, b.H}, min(b.D, b.H)*0.4), 0, b.W, Cloth, false)
		for _, a := range []float64{0, b.W - 25} {
			b.block(a, a+25, 0, b.D, 0, b.H, Hardware)
		}
		return
	}
	b.inward(rounded(Flat{0, 0}, Flat{b.W, b.H}, min(b.W, b.H)*0.4), 0, b.D, Cloth, false)
	for _, d := range []float64{0, b.D - 25} {
		b.block(0, b.W, d, d+25, 0, b.H, Hardware)
	}
}

// ladder is two rails with rungs along its longest side.
func (b *builder) ladder() {
	rail := min(45, b.W*0.12)
	rungs := func(long float64, add func(from, to float64)) {
		n := max(3, int(long/300))
		for k := 1; k < n; k++ {
			at := long * float64(k) / float64(n)
			add(at-15, at+15)
		}
	}
	if b.H > b.W && b.H > b.D {
		b.block(0, rail, 0, b.D, 0, b.H, Metal)
		b.block(b.W-rail, b.W, 0, b.D, 0, b.H, Metal)
		rungs(b.H, func(from, to float64) { b.block(rail, b.W-rail, b.D*0.3, b.D*0.7, from, to, Metal) })
		return
	}
	if b.D >= b.W {
		b.block(0, rail, 0, b.D, 0, b.H, Metal)
		b.block(b.W-rail, b.W, 0, b.D, 0, b.H, Metal)
		rungs(b.D, func(from, to float64) { b.block(rail, b.W-rail, from, to, b.H*0.2, b.H*0.8, Metal) })
		return
	}
	rail = min(45, b.D*0.12)
	b.block(0, b.W, 0, rail, 0, b.H, Metal)
	b.block(0, b.W, b.D-rail, b.D, 0, b.H, Metal)
	rungs(b.W, func(from, to float64) { b.block(from, to, rail, b.D-rail, b.H*0.2, b.H*0.8, Metal) })
}

// solar is a panel in a frame with its cells.
func (b *builder) solar() {
	t := min(30, b.W*0.05, b.D*0.05)
	b.block(0, b.W, 0, b.D, 0, b.H*0.9, Metal)
	columns, rows := max(2, int(b.W/160)), max(2, int(b.D/160))
	wide, deep := (b.W-2*t)/float64(columns), (b.D-2*t)/float64(rows)
	for i := range columns {
		for k := range rows {
			a, d := t+wide*float64(i), t+deep*float64(k)
			b.detail(a+2, a+wide-2, d+2, d+deep-2, b.H*0.9, b.H, Glass)
		}
	}
}

// seat is a cushion with a back and a headrest, facing the front.
func (b *builder) seat() {
	x0, z0 := b.box.From.X, b.box.From.Z
	l, h := b.box.To.X-x0, b.box.To.Z-z0
	profile := func(from, to float64, points ...Flat) {
		for i := range points {
			points[i] = Flat{x0 + points[i].U*l, z0 + points[i].V*h}
		}
		y, w := b.box.From.Y, b.box.To.Y-b.box.From.Y
		b.add(Prism{Axis: AxisY, From: y + from*w, To: y + to*w, Outline: points, Tone: Cloth})
	}
	profile(0, 1, Flat{0, 0.12}, Flat{0.8, 0.08}, Flat{0.8, 0.34}, Flat{0.02, 0.36})
	profile(0, 1, Flat{0.62, 0.2}, Flat{0.82, 0.2}, Flat{1, 0.82}, Flat{0.86, 0.84})
	profile(0.25, 0.75, Flat{0.86, 0.86}, Flat{1, 0.85}, Flat{1, 1}, Flat{0.9, 1})
	profile(0.1, 0.9, Flat{0.1, 0}, Flat{0.7, 0}, Flat{0.7, 0.1}, Flat{0.1, 0.12})
}

// shell is a canopy or topper: rails along its edges, so that one sees what stands in it.
func (b *builder) shell() {
	t := min(40, b.W*0.04, b.D*0.04, b.H*0.08)
	for _, h := range []float64{0, b.H - t} {
		for _, a := range []float64{0, b.W - t} {
			b.block(a, a+t, 0, b.D, h, h+t, Metal)
		}
		for _, d := range []float64{0, b.D - t} {
			b.block(t, b.W-t, d, d+t, h, h+t, Metal)
		}
	}
	for _, a := range []float64{0, b.W - t} {
		for _, d := range []float64{0, b.D - t} {
			b.block(a, a+t, d, d+t, t, b.H-t, Metal)
		}
	}
}

// deck is a tray: bearers under a floor with a rim, and a headboard where it is high.
func (b *builder) deck() {
	floor := min(b.H, 140)
	for _, a := range []float64{b.W * 0.28, b.W * 0.66} {
		b.detail(a, a+b.W*0.06, 0, b.D, 0, floor*0.55, Metal)
	}
	b.block(0, b.W, 0, b.D, floor*0.55, floor, Metal)
	if b.H > floor+100 {
		t := 40.0
		for _, a := range []float64{0, b.W - t} {
			b.block(a, a+t, b.D-t, b.D, floor, b.H, Metal)
		}
		b.block(t, b.W-t, b.D-t, b.D, b.H-t, b.H, Metal)
		b.mesh(t, b.W-t, b.D-t*0.6, b.D-t*0.4, floor, b.H-t)
	}
}
