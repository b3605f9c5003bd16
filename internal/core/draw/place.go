package draw

import (
	"cmp"
	"math"
	"slices"
	"strings"
)

// manyNames is above how many names fewer places are tried for each, so that a drawing of
// thousands of things still comes at once.
const manyNames = 400

// Letters of the drawings, in units of the paper.
const (
	letterHigh = 11.0
	lineHigh   = 12.0
	balloonW   = 22.0
	balloonH   = 16.0
)

// placer finds room for names on one view; its rectangles are in units of the paper, up.
type placer struct {
	groups []DrawnGroup
	look   *Look
	paper  Rect
	taken  []Rect
	tries  int // places along each side that are tried for a name
}

// place gives every module and thing that is seen its name where there is room for it, never
// cut and never over another; else a number.
func place(groups []DrawnGroup, look *Look) {
	p := &placer{groups: groups, look: look, paper: Rect{3, look.Foot + 3, look.Width - 3, look.Height - 3}}
	var named []int
	for i := range groups {
		g := &groups[i]
		if (g.Kind == OfModule || g.Kind == OfGear) && !g.Faded && p.told(g) {
			named = append(named, i)
		}
	}
	p.tries = 9
	if len(named) > manyNames {
		p.tries = 2
	}
	// What is small has the least choice.
	slices.SortStableFunc(named, func(a, b int) int {
		x, y := groups[a].Rect, groups[b].Rect
		switch d := x.wide()*x.high() - y.wide()*y.high(); {
		case d < 0:
			return -1
		case d > 0:
			return 1
		}
		return 0
	})
	var rest []int
	for _, i := range named {
		if !p.name(i) {
			rest = append(rest, i)
		}
	}
	for _, i := range rest {
		p.balloon(i)
	}
}

// paperRect is a rectangle of the model in units of the paper.
func (p *placer) onSheet(r Rect) Rect {
	l := p.look
	foot := l.Height - l.Ground // of 0 mm, above the lower edge
	return Rect{(r.U0 - l.From) / l.Scale, r.V0/l.Scale + foot, (r.U1 - l.From) / l.Scale, r.V1/l.Scale + foot}
}

// told tells whether a thing is seen well enough to be named: a seventh of it, or more than a
// number takes.
func (p *placer) told(g *DrawnGroup) bool {
	r := p.onSheet(g.Rect)
	return !g.Covered && r.over(p.paper) && (g.free > 1.0/7 || g.free*r.wide()*r.high() > balloonW*balloonH)
}

// free tells whether a rectangle of the paper lies over no name, and not over what hides i.
func (p *placer) free(i int, r Rect) bool {
	if slices.ContainsFunc(p.taken, r.over) || !r.within(p.paper) {
		return false
	}
	for _, screen := range p.groups[i].over {
		if p.onSheet(screen).over(r) {
			return false
		}
	}
	return true
}

// name places the name of a thing on it, in one line or a few.
func (p *placer) name(i int) bool {
	g := &p.groups[i]
	room, ok := p.plate(g)
	if !ok {
		return false
	}
	for lines := 1; lines <= 3; lines++ {
		broken := broken(g.Name, lines)
		if len(broken) < lines {
			return false
		}
		wide := 0.0
		for _, l := range broken {
			wide = max(wide, Wide(l, letterHigh))
		}
		high := float64(len(broken))*lineHigh + 1
		at, ok := p.spot(i, room, wide+6, high)
		if !ok {
			continue
		}
		p.taken = append(p.taken, at)
		u, v := p.onModel(at.U0+3, at.V1-lineHigh+2)
		g.Label = &DrawnLabel{Lines: broken, U: u, V: v}
		return true
	}
	return false
}

// plate is where the name of a thing may stand: on what of it is whole, by far the most of it.
// A frame that one looks through has none.
func (p *placer) plate(g *DrawnGroup) (Rect, bool) {
	if len(g.screens) == 0 {
		return p.onSheet(g.Rect), g.Absent || len(g.own) < 3
	}
	largest, around := g.screens[0], g.screens[0]
	area := 0.0
	for _, r := range g.screens {
		if r.wide()*r.high() > largest.wide()*largest.high() {
			largest = r
		}
		around = around.around(r)
		area += r.wide() * r.high()
	}
	if area < 0.5*around.wide()*around.high() {
		return p.onSheet(largest), true
	}
	return p.onSheet(around), true
}

// onModel is a place of the paper in mm of the model.
func (p *placer) onModel(x, y float64) (u, v float64) {
	l := p.look
	return l.From + x*l.Scale, (y - (l.Height - l.Ground)) * l.Scale
}

// spot looks for room of a size on a thing: from its upper left corner along its lines, then
// lower.
func (p *placer) spot(i int, room Rect, wide, high float64) (Rect, bool) {
	const inset = 1.5
	low, left := max(room.V0, p.paper.V0)+inset, max(room.U0, p.paper.U0)+inset
	top, right := min(room.V1, p.paper.V1)-inset-high, min(room.U1, p.paper.U1)-inset-wide
	if top < low || right < left {
		return Rect{}, false
	}
	down, along := steps(top-low, 9, p.tries), steps(right-left, 9, p.tries)
	for k := range down {
		for n := range along {
			y, x := top-(top-low)*share(k, down), left+(right-left)*share(n, along)
			if r := (Rect{x, y, x + wide, y + high}); p.free(i, r) {
				return r, true
			}
		}
	}
	return Rect{}, false
}

// steps is how many places along a room are tried: one each so far, so many at most.
func steps(room, each float64, most int) int { return min(most, 1+int(room/each)) }

func share(k, of int) float64 {
	if of < 2 {
		return 0
	}
	return float64(k) / float64(of-1)
}

// balloon places the number of a thing on it, else beside it with a leader.
func (p *placer) balloon(i int) {
	g := &p.groups[i]
	room := p.onSheet(g.Rect)
	put := func(r Rect, leader bool) {
		p.taken = append(p.taken, r)
		u, v := p.onModel((r.U0+r.U1)/2, (r.V0+r.V1)/2)
		g.Label = &DrawnLabel{Lines: []string{}, U: u, V: v}
		if leader {
			g.Label.Leader = p.end(i)
		}
	}
	if at, ok := p.spot(i, room, balloonW, balloonH); ok {
		put(at, false)
		return
	}
	// On what is seen of it, over the edge of its neighbours.
	for _, at := range p.seen(i) {
		x, y := p.dot(at)
		if r := (Rect{x - balloonW/2, y - balloonH/2, x + balloonW/2, y + balloonH/2}); r.within(p.paper) &&
			!slices.ContainsFunc(p.taken, r.over) {
			put(r, false)
			return
		}
	}
	x, y := p.dot(p.end(i))
	for ring := 1.2; ring <= 12; ring += 0.4 {
		for k := range 16 {
			sin, cos := math.Sincos(math.Pi / 8 * float64(k))
			cx, cy := x+cos*balloonW*ring, y+sin*balloonH*ring
			r := Rect{cx - balloonW/2, cy - balloonH/2, cx + balloonW/2, cy + balloonH/2}
			if r.within(p.paper) && !slices.ContainsFunc(p.taken, r.over) {
				put(r, true)
				return
			}
		}
	}
}

// dot is a place of the model on the paper.
func (p *placer) dot(at []float64) (x, y float64) {
	r := p.onSheet(Rect{at[0], at[1], at[0], at[1]})
	return r.U0, r.V0
}

// end is where the leader of a thing ends: in the middle of what is seen of it.
func (p *placer) end(i int) []float64 {
	if all := p.seen(i); len(all) > 0 {
		return all[0]
	}
	r := p.groups[i].Rect
	return []float64{(r.U0 + r.U1) / 2, (r.V0 + r.V1) / 2}
}

// seen are places of a thing that nothing hides, the middle of it first.
func (p *placer) seen(i int) [][]float64 {
	g := &p.groups[i]
	const n = 9
	var all [][]float64
	try := func(u, v float64) {
		dot := Rect{u - 0.5, v - 0.5, u + 0.5, v + 0.5}
		if !slices.ContainsFunc(g.own, dot.within) {
			return
		}
		if !slices.ContainsFunc(g.over, dot.within) {
			all = append(all, []float64{u, v})
		}
	}
	for k := range n {
		for m := range n {
			try(g.Rect.U0+g.Rect.wide()*(float64(k)+0.5)/n, g.Rect.V0+g.Rect.high()*(float64(m)+0.5)/n)
		}
	}
	if len(all) == 0 { // a frame: somewhere on its rails
		for _, r := range g.own {
			for _, share := range []float64{0.5, 0.25, 0.75} {
				try(r.U0+r.wide()*share, r.V0+r.high()*share)
			}
		}
	}
	u, v := (g.Rect.U0+g.Rect.U1)/2, (g.Rect.V0+g.Rect.V1)/2
	slices.SortStableFunc(all, func(a, b []float64) int {
		return cmp.Compare(math.Hypot(a[0]-u, a[1]-v), math.Hypot(b[0]-u, b[1]-v))
	})
	return all
}

// Written is the room that the name or number of a thing takes, mm, in a view of a scale in mm
// for a unit of its paper.
func (g *DrawnGroup) Written(scale float64) (Rect, bool) {
	l := g.Label
	if l == nil {
		return Rect{}, false
	}
	if len(l.Lines) == 0 {
		return Rect{l.U - balloonW/2*scale, l.V - balloonH/2*scale, l.U + balloonW/2*scale, l.V + balloonH/2*scale}, true
	}
	wide := 0.0
	for _, line := range l.Lines {
		wide = max(wide, Wide(line, letterHigh))
	}
	return Rect{l.U, l.V - (float64(len(l.Lines)-1)*lineHigh+3)*scale, l.U + wide*scale, l.V + (lineHigh-2)*scale}, true
}

// broken breaks a name between its words into so many lines, as even as they go; fewer where
// it has not so many words.
func broken(name string, lines int) []string {
	words := strings.Fields(name)
	if lines == 1 || len(words) < lines {
		return []string{name}[:min(1, lines)]
	}
	if len(words) == lines {
		return words
	}
	whole := Wide(name, letterHigh)
	var all []string
	line := ""
	for k, w := range words {
		longer := strings.TrimSpace(line + " " + w)
		left := len(words) - k
		if line != "" && (Wide(longer, letterHigh) > whole/float64(lines)*1.15 || left <= lines-len(all)-1) && len(all) < lines-1 {
			all = append(all, line)
			line = w
			continue
		}
		line = longer
	}
	return append(all, line)
}
