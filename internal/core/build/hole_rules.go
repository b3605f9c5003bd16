package build

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// holes looks at each hole of each panel that is built.
func (l *Look) holes(see func(m *Made, p *CutPanel, h *fitout.Hole) *fitout.Finding) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.List.Panels {
		p := &l.List.Panels[k]
		for i := range p.Holes {
			m := l.made(p.Module)
			if f := see(m, p, &p.Holes[i]); f != nil {
				f.With = []string{p.Mark, p.Holes[i].ID}
				found = append(found, *f)
			}
		}
	}
	return found
}

// sizeOf is how far a hole reaches along the length and the width of its panel.
func sizeOf(h *fitout.Hole) (u, v float64) {
	if h.Width == 0 {
		return h.Length, h.Length
	}
	return h.Length, h.Width
}

// holeNearEdge cautions of a hole nearer than two thicknesses to an edge, and stops one that is over it.
func holeNearEdge(l *Look) []fitout.Finding {
	return l.holes(func(_ *Made, p *CutPanel, h *fitout.Hole) *fitout.Finding {
		u, v := sizeOf(h)
		least := min(h.U-u/2, h.V-v/2, p.Length-h.U-u/2, p.Width-h.V-v/2)
		if least >= 2*p.Thickness-words.Enough {
			return nil
		}
		f := about("hole-near-edge", fitout.Caution, p.Module)
		f.Title = fmt.Sprintf("Hole in %s of %s is near its edge", words.Lower(p.Name), words.Lower(p.Of))
		f.Sentence = fmt.Sprintf(
			"It leaves %s; two thicknesses, %s, hold. Move it %s inward, or make it smaller.",
			l.Say.Length(least),
			l.Say.Length(2*p.Thickness),
			l.Say.LengthAtLeast(2*p.Thickness-least),
		)
		if least < 0 {
			f.Severity = fitout.Stop
			f.Title = fmt.Sprintf("Hole in %s of %s goes over its edge", words.Lower(p.Name), words.Lower(p.Of))
		}
		f.Under(least, 2*p.Thickness, "mm")
		return &f
	})
}

// axes are the directions of a panel's length and width: 0 x, 1 y, 2 z.
func axes(p *CutPanel) (u, v int) {
	s := p.Box.Size()
	sides := [3]float64{s.Length, s.Width, s.Height}
	left := []int{}
	for k := range 3 {
		if k != p.Thin {
			left = append(left, k)
		}
	}
	if sides[left[0]] >= sides[left[1]] {
		return left[0], left[1]
	}
	return left[1], left[0]
}

func part(p fitout.Point, axis int) float64 { return [3]float64{p.X, p.Y, p.Z}[axis] }

// holeInJoint cautions of a hole where another panel stands against this one.
func holeInJoint(l *Look) []fitout.Finding {
	return l.holes(func(m *Made, p *CutPanel, h *fitout.Hole) *fitout.Finding {
		along, over := axes(p)
		u, v := sizeOf(h)
		at := slices.IndexFunc(m.Panels, func(k int) bool { return l.List.Panels[k].Mark == p.Mark })
		for _, j := range m.joined {
			if j.a != at && j.b != at || part(j.region.To, p.Thin)-part(j.region.From, p.Thin) > touching {
				continue // another panel's edge: that is the edge of this one
			}
			overlap := func(axis int, middle, size float64) bool {
				from := part(p.Box.From, axis)
				return part(j.region.From, axis)-from < middle+size/2-0.01 &&
					part(j.region.To, axis)-from > middle-size/2+0.01
			}
			if !overlap(along, h.U, u) || !overlap(over, h.V, v) {
				continue
			}
			other := m.Panels[j.a+j.b-at]
			f := about("hole-in-joint", fitout.Caution, p.Module)
			f.Title = fmt.Sprintf("Hole in %s of %s goes through a joint", words.Lower(p.Name), words.Lower(p.Of))
			f.Sentence = fmt.Sprintf(
				"There %s stands against it. Move the hole off the joint.",
				words.Lower(l.List.Panels[other].Name),
			)
			f.Margin, f.Source = -1, "physics"
			return &f
		}
		return nil
	})
}

// holeNowhere stops a hole in a panel that its module does not have.
func holeNowhere(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.List.Made {
		m := &l.List.Made[k]
		for _, h := range m.item.Module.Holes {
			if len(m.Panels) == 0 ||
				slices.ContainsFunc(m.Panels, func(p int) bool { return l.List.Panels[p].Name == h.Panel }) {
				continue
			}
			f := about("hole-nowhere", fitout.Stop, m.ID)
			f.With = []string{h.ID}
			f.Title = fmt.Sprintf("%s has no %s for a hole", m.Name, words.Lower(orNothing(h.Panel)))
			names := []string{}
			for _, p := range m.Panels {
				if name := l.List.Panels[p].Name; !slices.Contains(names, name) {
					names = append(names, name)
				}
			}
			f.Sentence = "Its panels are " + words.List(names) + ". Choose one of them."
			f.Margin = -1
			found = append(found, f)
		}
	}
	return found
}

func orNothing(name string) string {
	if name == "" {
		return "panel"
	}
	return name
}

// deviceDeep cautions of a device that reaches further behind its panel than there is room.
func deviceDeep(l *Look) []fitout.Finding {
	return l.holes(func(m *Made, p *CutPanel, h *fitout.Hole) *fitout.Finding {
		if h.Depth == 0 {
			return nil
		}
		s := m.Box.Size()
		room := [3]float64{s.Length, s.Width, s.Height}[p.Thin] - 2*p.Thickness
		if h.Depth <= room {
			return nil
		}
		f := about("device-deep", fitout.Stop, p.Module)
		f.Title = fmt.Sprintf("No room behind %s of %s", words.Lower(p.Name), words.Lower(p.Of))
		f.Sentence = fmt.Sprintf(
			"What goes into it wants %s behind the panel; there are %s. Put it elsewhere, or take one that is %s shallower.",
			l.Say.Length(h.Depth),
			l.Say.Length(room),
			l.Say.Length(h.Depth-room),
		)
		f.Over(h.Depth, room, "mm")
		return &f
	})
}
