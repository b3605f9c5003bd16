package build

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/words"
)

// Drilled is a hole for a screw of a runner or a hinge, which follows from the build.
type Drilled struct {
	Spot
	Across float64 `json:"across" doc:"diameter, mm"`
	For    string  `json:"for" enum:"runner,hinge"`
}

// How far the two screws of a hinge's leaf are apart, and behind the edge that it turns at, mm. Workshop practice.
const (
	hingeScrews = 32.0
	hingeInset  = 15.0
)

// drill makes the holes of runners and hinges in the panels of a module: a runner is screwed to what it stands beside
// near both ends and as often between as a joint is; hinges share the edge evenly.
func (l *List) drill(m *Made, b *fitout.Build) {
	if m.How != fitout.MadeHere && m.How != fitout.MadeOut {
		return
	}
	d := m.item.Module
	slide, way := 0, 1.0
	if d.Faces == fitout.FaceLeft || d.Faces == fitout.FaceRight {
		slide = 1
	}
	if d.Faces == fitout.FaceFront || d.Faces == fitout.FaceLeft {
		way = -1
	}
	for _, r := range m.anatomy.Runners {
		length := module.StandardRunner(b.Runners, r.Depth).Length
		if length == 0 {
			continue
		}
		at := r.Box.Middle()
		for _, along := range runnerScrews(length, &b.Shop) {
			place := [3]float64{at.X, at.Y, at.Z}
			place[slide] = part(r.Box.From, slide) + along
			if way > 0 {
				place[slide] = part(r.Box.To, slide) - along
			}
			for _, k := range m.Panels {
				if p := &l.Panels[k]; p.Thin == 1-slide && beside(p, &r, d, 1-slide) {
					p.drilled(place, b.Shop.Pilot, "runner")
				}
			}
		}
	}
	if leaf, fixed := l.hinged(m, d); leaf != nil && fixed != nil {
		l.hinge(leaf, fixed, hinges(m, &b.Shop), b.Shop.Pilot)
	}
}

// runnerScrews are how far behind its front a runner of some length is screwed, mm.
func runnerScrews(length float64, shop *fitout.Shop) []float64 {
	inset := min(shop.RunnerInset, length/2)
	spaces := max(1, math.Ceil((length-2*inset)/shop.ScrewEvery-1e-9))
	var all []float64
	for k := 0.0; k <= spaces; k++ {
		all = append(all, inset+k*(length-2*inset)/spaces)
	}
	return all
}

// beside tells whether a runner is screwed to a panel: a side of its own drawer, or of the carcass beside it.
func beside(p *CutPanel, r *module.RunnerPair, d *fitout.Module, across int) bool {
	if p.Cell != "" {
		return p.Cell == r.Cell && p.Name == "drawer side"
	}
	if d.Wall == fitout.Extrusion { // there it is held by slot nuts
		return false
	}
	reach := module.Side(d.Runner) + 1
	left := math.Abs(part(r.Box.From, across) - part(p.Box.To, across))
	right := math.Abs(part(p.Box.From, across) - part(r.Box.To, across))
	return min(left, right) <= reach
}

// drilled adds a hole at a place on the vehicle; one that is there already, or lies beside the panel, is none.
func (p *CutPanel) drilled(at [3]float64, across float64, what string) {
	u, v := axes(p)
	s := Spot{at[u] - part(p.Box.From, u), at[v] - part(p.Box.From, v)}
	if s.U < 0 || s.V < 0 || s.U > p.Length || s.V > p.Width {
		return
	}
	for _, d := range p.Drilled {
		if math.Hypot(d.U-s.U, d.V-s.V) < touching {
			return
		}
	}
	p.Drilled = append(p.Drilled, Drilled{s, across, what})
}

// hinged are the panel that turns and the one that it turns at.
func (l *List) hinged(m *Made, d *fitout.Module) (leaf, fixed *CutPanel) {
	find := func(name string) *CutPanel {
		for _, k := range m.Panels {
			if l.Panels[k].Name == name && l.Panels[k].Cell == "" {
				return &l.Panels[k]
			}
		}
		return nil
	}
	switch module.Of(d.Kind).Motion {
	case module.LidUp:
		return find("lid"), find("back")
	case module.FlapOut:
		return find("flap"), find("bottom")
	case module.DoorOut:
		first, second := "left side", "right side"
		if d.Faces == fitout.FaceLeft || d.Faces == fitout.FaceRight {
			first, second = "front side", "rear side"
		}
		low := d.Mirrored // as the door swings
		if d.Faces == fitout.FaceRear || d.Faces == fitout.FaceLeft {
			low = !d.Mirrored
		}
		if low {
			return find("door"), find(first)
		}
		return find("door"), find(second)
	}
	return nil, nil
}

// hinge drills both panels of a hinged edge, inside the corner that they make.
func (l *List) hinge(leaf, fixed *CutPanel, count int, across float64) {
	if leaf.Thin == fixed.Thin || count == 0 {
		return
	}
	line := 3 - leaf.Thin - fixed.Thin
	from := max(part(leaf.Box.From, line), part(fixed.Box.From, line))
	to := min(part(leaf.Box.To, line), part(fixed.Box.To, line))
	// A screw is as far off the other panel as it is behind the edge.
	off := func(other *CutPanel, own *CutPanel) float64 {
		axis := other.Thin
		if part(other.Box.Middle(), axis) > part(own.Box.Middle(), axis) {
			return part(other.Box.From, axis) - hingeInset
		}
		return part(other.Box.To, axis) + hingeInset
	}
	for k := range count {
		middle := from + (float64(k)+0.5)/float64(count)*(to-from)
		for _, at := range []float64{middle - hingeScrews/2, middle + hingeScrews/2} {
			for _, pair := range [][2]*CutPanel{{leaf, fixed}, {fixed, leaf}} {
				own, other := pair[0], pair[1]
				var place [3]float64
				place[line], place[other.Thin] = at, off(other, own)
				own.drilled(place, across, "hinge")
			}
		}
	}
}

// screwInHole cautions of a screw of a runner or a hinge that would stand in a hole.
func screwInHole(l *Look) []fitout.Finding {
	return l.holes(func(_ *Made, p *CutPanel, h *fitout.Hole) *fitout.Finding {
		u, v := sizeOf(h)
		for _, d := range p.Drilled {
			over := min(u/2+d.Across/2-math.Abs(d.U-h.U), v/2+d.Across/2-math.Abs(d.V-h.V))
			if over <= 0 {
				continue
			}
			f := about("screw-in-hole", fitout.Caution, p.Module)
			f.Title = fmt.Sprintf("A %s's screw stands in a hole of %s", d.For, words.Lower(p.Name))
			f.Sentence = fmt.Sprintf(
				"In %s of %s a screw comes at %s along and %s across; the hole reaches %s over it. Move the hole.",
				words.Lower(p.Name),
				words.Lower(p.Of),
				l.Say.Length(d.U),
				l.Say.Length(d.V),
				l.Say.Length(over),
			)
			f.Margin, f.Source = -1, "physics"
			return &f
		}
		return nil
	})
}
