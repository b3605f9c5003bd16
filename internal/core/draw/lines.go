package draw

import (
	"slices"

	"zaino/internal/core/shape"
)

// Line is a line of a drawing for a pen or a cutter, mm across and up.
type Line struct {
	From, To  shape.Flat
	Thin, Cut bool
}

// Lines are what is seen of the edges of a group of the view, and what of its box lies behind
// something: what square faces hide is left out.
func (v *DrawnView) Lines(group int) (seen, hidden []Line) {
	g := &v.Groups[group]
	var nearer, told []Rect
	for k := group + 1; k < len(v.Groups); k++ {
		nearer = append(nearer, v.Groups[k].screens...)
		if v.Groups[k].Kind != OfVehicle { // the cab is not looked through
			told = append(told, v.Groups[k].screens...)
		}
	}
	drawn := map[Line]bool{}
	put := func(l Line) {
		if !drawn[l] && !drawn[Line{From: l.To, To: l.From, Thin: l.Thin, Cut: l.Cut}] {
			drawn[l] = true
			seen = append(seen, l)
		}
	}
	for i := range g.faces {
		f := &g.faces[i]
		over := slices.DeleteFunc(slices.Clone(nearer), func(r Rect) bool { return !r.over(f.rect) })
		for k := i + 1; k < len(g.faces); k++ {
			if n := &g.faces[k]; n.square && n.solid() && n.near < f.near && n.rect.over(f.rect) {
				over = append(over, n.rect)
			}
		}
		for k, a := range f.points {
			for _, l := range uncovered(a, f.points[(k+1)%len(f.points)], over) {
				l.Thin, l.Cut = f.thin, f.cut
				put(l)
			}
		}
	}
	if g.Kind != OfVehicle && g.Kind != OfDoor {
		r := g.Rect
		corners := []shape.Flat{{U: r.U0, V: r.V0}, {U: r.U1, V: r.V0}, {U: r.U1, V: r.V1}, {U: r.U0, V: r.V1}}
		for k, a := range corners {
			hidden = append(hidden, covered(a, corners[(k+1)%4], told)...)
		}
	}
	return seen, hidden
}

// span is a stretch of a line by its shares.
type span struct{ from, to float64 }

// stretch is the part of a line from a to b that lies inside a rectangle.
func (r Rect) stretch(a, b shape.Flat) (span, bool) {
	const hair = 0.5
	s := span{0, 1}
	for _, axis := range [][4]float64{{a.U, b.U, r.U0, r.U1}, {a.V, b.V, r.V0, r.V1}} {
		from, to, low, high := axis[0], axis[1], axis[2]+hair, axis[3]-hair
		if d := to - from; d == 0 {
			if from < low || from > high {
				return s, false
			}
		} else {
			t0, t1 := (low-from)/d, (high-from)/d
			s.from, s.to = max(s.from, min(t0, t1)), min(s.to, max(t0, t1))
		}
	}
	return s, s.to > s.from
}

// joined are the stretches of a line that lie inside any of some rectangles, in order.
func joined(a, b shape.Flat, over []Rect) []span {
	var all []span
	for _, r := range over {
		if s, ok := r.stretch(a, b); ok {
			all = append(all, s)
		}
	}
	slices.SortFunc(all, func(x, y span) int {
		if x.from < y.from {
			return -1
		}
		return 1
	})
	kept := all[:0]
	for _, s := range all {
		if n := len(kept); n > 0 && s.from <= kept[n-1].to {
			kept[n-1].to = max(kept[n-1].to, s.to)
			continue
		}
		kept = append(kept, s)
	}
	return kept
}

func part(a, b shape.Flat, s span) Line {
	at := func(t float64) shape.Flat { return shape.Flat{U: a.U + t*(b.U-a.U), V: a.V + t*(b.V-a.V)} }
	return Line{From: at(s.from), To: at(s.to)}
}

func covered(a, b shape.Flat, over []Rect) []Line {
	var all []Line
	for _, s := range joined(a, b, over) {
		all = append(all, part(a, b, s))
	}
	return all
}

func uncovered(a, b shape.Flat, over []Rect) []Line {
	var all []Line
	at := 0.0
	for _, s := range append(joined(a, b, over), span{1, 1}) {
		if s.from-at > 1e-6 {
			all = append(all, part(a, b, span{at, s.from}))
		}
		at = max(at, s.to)
	}
	return all
}

// Face is a face of a group as it is seen.
type Face struct {
	Points    []shape.Flat // mm across and up
	Tone      shape.Tone
	Thin, Cut bool
}

// Faces are the faces of a group, what is far first.
func (g *DrawnGroup) Faces() []Face {
	all := make([]Face, len(g.faces))
	for i := range g.faces {
		f := &g.faces[i]
		all[i] = Face{f.points, f.tone, f.thin, f.cut}
	}
	return all
}
