package module

// drawer is the bottom and four sides of one drawer, its partitions and cover, its runners and lining. A
// partition stands across, as wide and as high as the inside. A cover lies on the sides.
func (b *builder) drawer(c Cell) {
	inner := *b
	inner.box = c.Outer
	s := c.Outer.Size()
	w, d, h, t := s.Width, s.Length, s.Height, b.t
	if across(b.m.Faces) {
		w, d = s.Length, s.Width
	}
	inner.panel("drawer bottom", c.ID, [3]span{{0, w}, {0, d}, {0, t}}, [2]int{})
	inner.panel("drawer side", c.ID, [3]span{{0, t}, {0, d}, {t, h}}, [2]int{})
	inner.panel("drawer side", c.ID, [3]span{{w - t, w}, {0, d}, {t, h}}, [2]int{})
	inner.panel("drawer front", c.ID, [3]span{{t, w - t}, {0, t}, {t, h}}, [2]int{})
	inner.panel("drawer end", c.ID, [3]span{{t, w - t}, {d - t, d}, {t, h}}, [2]int{})
	if c.Cover {
		inner.panel("drawer cover", c.ID, [3]span{{0, w}, {0, d}, {h, h + t}}, [2]int{})
	}
	b.partitions(&inner, c, w, d)
	inner.run(c.ID, c.Outer, d)
	inner.line(c.ID, c.Outer)
	b.made = inner.made
}

// partitions stand across the longer side of the inside, evenly.
func (b *builder) partitions(inner *builder, c Cell, w, d float64) {
	inside, t := c.Inside.Size(), b.t
	a, deep := inside.Width, inside.Length
	if across(b.m.Faces) {
		a, deep = deep, a
	}
	low := t + b.m.Lining
	for k := range c.Walls {
		part := float64(k+1) / float64(c.Walls+1)
		where := [3]span{{(w - a) / 2, (w + a) / 2}, {}, {low, low + inside.Height}}
		at := (d-deep)/2 + part*deep
		where[1] = span{at - t/2, at + t/2}
		if a > deep {
			at = (w-a)/2 + part*a
			where[0], where[1] = span{at - t/2, at + t/2}, span{(d - deep) / 2, (d + deep) / 2}
		}
		inner.panel("drawer partition", c.ID, where, [2]int{})
	}
}
