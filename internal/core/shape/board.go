package shape

// board is a shallow case with a door; fuses and switches show in its face.
func board(b *builder) {
	door := min(b.D*0.25, 40)
	b.block(0, b.W, door, b.D, 0, b.H, Plain)
	b.leaf("", func() {
		b.block(0, b.W, 0, door, 0, b.H, Front)
		columns, rows := 4, 2
		if b.H > b.W {
			columns, rows = 2, 4
		}
		wide, high := b.W*0.7/float64(columns), b.H*0.5/float64(rows)
		for i := range columns {
			for k := range rows {
				a, h := b.W*0.15+wide*(float64(i)+0.2), b.H*0.3+high*(float64(k)+0.2)
				b.detail(a, a+wide*0.6, -3, 0, h, h+high*0.6, Hardware)
			}
		}
		b.detail(b.W*0.15, b.W*0.85, -2, 0, b.H*0.1, b.H*0.2, Glass)
	})
}

// heater is a case with an outlet in its face and a grille.
func heater(b *builder) {
	b.sideways(rounded(Flat{b.D * 0.06, 0}, Flat{b.D, b.H}, min(b.D, b.H)*0.2), 0, b.W, Metal, false)
	radius := min(b.W, b.H) * 0.26
	b.inward(circle(Flat{b.W * 0.5, b.H * 0.5}, radius), 0, b.D*0.06, Hardware, true)
	for _, share := range []float64{-0.5, 0, 0.5} {
		b.detail(b.W*0.5-radius*0.8, b.W*0.5+radius*0.8, -1, 0, b.H*0.5+radius*share-2, b.H*0.5+radius*share+2, Metal)
	}
}
