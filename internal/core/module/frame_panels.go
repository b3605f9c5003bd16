package module

import (
	"fmt"

	"zaino/internal/core/fitout"
)

// framed is a carcass of slotted profile: four uprights, rails between them that butt against them, and
// thin panels that stand in their slots.
func (b *builder) framed(closed bool) {
	p, w, d, h := b.p, b.w, b.d, b.h
	in := slotDepth
	first, second := b.sides()
	at := func(end bool, of float64) span {
		if end {
			return span{of - p, of}
		}
		return span{0, p}
	}
	for _, right := range []bool{false, true} {
		side := map[bool]string{false: first, true: second}[right]
		for _, back := range []bool{false, true} {
			where := map[bool]string{false: "face", true: "back"}[back]
			b.rod(fmt.Sprintf("upright, %s, %s", side, where), [3]span{at(right, w), at(back, d), {0, h}}, h, false)
		}
		for _, top := range []bool{false, true} {
			where := map[bool]string{false: "bottom", true: "top"}[top]
			b.rod(fmt.Sprintf("rail, %s, %s", side, where), [3]span{at(right, w), {p, d - p}, at(top, h)}, d-2*p, true)
		}
	}
	for _, back := range []bool{false, true} {
		for _, top := range []bool{false, true} {
			b.rod(fmt.Sprintf(
				"rail, %s, %s",
				map[bool]string{false: "face", true: "back"}[back],
				map[bool]string{false: "bottom", true: "top"}[top],
			), [3]span{{p, w - p}, at(back, d), at(top, h)}, w-2*p, true)
		}
	}
	middle := func(of float64) span { return span{of - p/2 - b.t/2, of - p/2 + b.t/2} }
	near := span{p/2 - b.t/2, p/2 + b.t/2}
	a, deep, high := span{p - in, w - p + in}, span{p - in, d - p + in}, span{p - in, h - p + in}
	b.panel("bottom", "", [3]span{a, deep, near}, [2]int{})
	b.panel(map[bool]string{false: "top", true: "lid"}[closed], "", [3]span{a, deep, middle(h)}, [2]int{})
	b.panel(first, "", [3]span{near, deep, high}, [2]int{})
	b.panel(second, "", [3]span{middle(w), deep, high}, [2]int{})
	b.panel("back", "", [3]span{a, middle(d), high}, [2]int{})
	if closed {
		b.panel("face", "", [3]span{a, near, high}, [2]int{})
	}
}

func (b *builder) rod(name string, at [3]span, length float64, butts bool) {
	if length <= 0 {
		return
	}
	b.made.Rods = append(b.made.Rods, Rod{Name: name, Box: b.place(at), Length: length, Butts: butts,
		Kg: profileKg(b.p) * length / 1000})
}

// railsOf adds the rails that hold one divider or shelf of a frame, and lets its panel into their slots.
func (b *builder) railsOf(k int, at float64, lies *[3]span) {
	p, in := b.p, slotDepth
	lies[1] = span{p, b.d - p}
	for _, end := range []bool{false, true} {
		word := map[bool]string{false: "below", true: "above"}[end]
		where := [3]span{{at, at + p}, {p, b.d - p}, {0, p}}
		if b.m.Stack == fitout.Above {
			word = map[bool]string{false: "first side", true: "second side"}[end]
			where = [3]span{{0, p}, {p, b.d - p}, {at, at + p}}
		}
		if end && b.m.Stack == fitout.Above {
			where[0] = span{b.w - p, b.w}
		} else if end {
			where[2] = span{b.h - p, b.h}
		}
		b.rod(fmt.Sprintf("rail of divider %d, %s", k+1, word), where, b.d-2*p, true)
	}
	if b.m.Stack == fitout.Above {
		lies[0] = span{p - in, b.w - p + in}
	} else {
		lies[2] = span{p - in, b.h - p + in}
	}
}
