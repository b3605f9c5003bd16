package draw

import (
	"slices"
	"strings"
)

// Letters of the drawings, in units of the paper.
const (
	letterHigh = 11.0
	lineHigh   = 12.0
	balloonW   = 22.0
	balloonH   = 16.0
)

// placer finds room for names on one view; its rectangles are in units of the paper, up.
type placer struct {
	groups []Group
	look   *Look
	paper  Rect
	taken  []Rect
}

// place gives every module and thing that is seen its name where there is room for it, never
// cut and never over another; else a number.
func place(groups []Group, look *Look) {
	p := &placer{groups: groups, look: look, paper: Rect{3, look.Foot + 3, look.Width - 3, look.Height - 3}}
	var named []int
	for i := range groups {
		g := &groups[i]
		if (g.Kind == OfModule || g.Kind == OfGear) && !g.Faded && !g.Covered && p.onPaper(g) {
			named = append(named, i)
		}
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

func (p *placer) onPaper(g *Group) bool { return p.onSheet(g.Rect).over(p.paper) }

// free tells whether a rectangle of the paper lies over no name, and not over what hides i.
func (p *placer) free(i int, r Rect) bool {
	if slices.ContainsFunc(p.taken, r.over) || !r.within(p.paper) {
		return false
	}
	for k := i + 1; k < len(p.groups); k++ {
		g := &p.groups[k]
		if g.Faded || !p.onSheet(g.Rect).over(r) {
			continue
		}
		for _, screen := range g.screens {
			if p.onSheet(screen).over(r) {
				return false
			}
		}
	}
	return true
}

// name places the name of a thing on it, in one line or a few.
func (p *placer) name(i int) bool {
	g := &p.groups[i]
	room := p.onSheet(g.Rect)
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
		g.Label = &Label{Lines: broken, U: u, V: v}
		return true
	}
	return false
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
	down, along := steps(top-low, 9), steps(right-left, 9)
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

// steps is how many places along a room are tried: one each so far, nine at most.
func steps(room, each float64) int { return min(9, 1+int(room/each)) }

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
		g.Label = &Label{Lines: []string{}, U: u, V: v}
		if leader {
			g.Label.Leader = p.end(i)
		}
	}
	if at, ok := p.spot(i, room, balloonW, balloonH); ok {
		put(at, false)
		return
	}
	x, y := (room.U0+room.U1)/2, (room.V0+room.V1)/2
	for ring := 1.0; ring <= 14; ring++ {
		for _, d := range [][2]float64{{0, 1}, {1, 0}, {0, -1}, {-1, 0}, {1, 1}, {-1, 1}, {1, -1}, {-1, -1}} {
			cx := x + d[0]*(room.wide()/2+balloonW*0.75*ring)
			cy := y + d[1]*(room.high()/2+balloonH*0.75*ring)
			r := Rect{cx - balloonW/2, cy - balloonH/2, cx + balloonW/2, cy + balloonH/2}
			if r.within(p.paper) && !slices.ContainsFunc(p.taken, r.over) {
				put(r, true)
				return
			}
		}
	}
}

// end is where the leader of a thing ends: in the middle of what is seen of it.
func (p *placer) end(i int) []float64 {
	g := &p.groups[i]
	const n = 7
	var best []float64
	least := 0.0
	for k := range n {
		for m := range n {
			u, v := g.Rect.U0+g.Rect.wide()*(float64(k)+0.5)/n, g.Rect.V0+g.Rect.high()*(float64(m)+0.5)/n
			dot := Rect{u - 0.5, v - 0.5, u + 0.5, v + 0.5}
			hidden := false
			for o := i + 1; o < len(p.groups) && !hidden; o++ {
				hidden = slices.ContainsFunc(p.groups[o].screens, dot.within)
			}
			off := max(abs(float64(k)-3), abs(float64(m)-3))
			if !hidden && (best == nil || off < least) {
				best, least = []float64{u, v}, off
			}
		}
	}
	if best == nil {
		best = []float64{(g.Rect.U0 + g.Rect.U1) / 2, (g.Rect.V0 + g.Rect.V1) / 2}
	}
	return best
}

func abs(x float64) float64 { return max(x, -x) }

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
