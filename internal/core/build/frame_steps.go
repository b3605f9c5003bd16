package build

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// framed gathers how a frame of profile is put together: what must be in a slot goes in before the slot is closed.
func (g *gather) framed(m *Made) {
	b := &g.l.Job.Build
	nuts, takes, parts, brackets := 0, []string{}, []string{}, 0
	for _, k := range m.Rods {
		r := &g.l.List.Rods[k]
		n := 0
		for _, of := range r.Nuts {
			n += of.Count
		}
		if r.Butts {
			brackets += 2
		}
		if n > 0 && r.Butts {
			nuts += n
			parts = append(parts, r.Mark)
			takes = append(takes, fmt.Sprintf("%d nuts into %s %s", n, r.Mark, r.Name))
		}
	}
	name := words.Lower(m.Name)
	if !b.Shop.SwingIn && nuts > 0 {
		g.add(
			"nuts",
			m.ID,
			"Put slot nuts into the rails of "+name+" before they are closed",
			float64(nuts),
			func(s *BuildStep) {
				s.Parts, s.Takes, s.Skill = parts, takes, string(fitout.Metalwork)
				s.Caution = "A nut that is forgotten here costs taking the frame apart."
			},
		)
	}
	g.add(
		"frame",
		m.ID,
		"Put the frame of "+name+" together, panels into their slots",
		minutesOf("frame", b)*float64(brackets),
		func(s *BuildStep) {
			s.Skill, s.Tools = string(fitout.Metalwork), "hex keys, square"
			for _, k := range m.Rods {
				s.Parts = append(s.Parts, g.l.List.Rods[k].Mark)
			}
			for _, k := range m.Panels {
				s.Parts = append(s.Parts, g.l.List.Panels[k].Mark)
			}
			s.Takes = []string{fmt.Sprintf("%d brackets", brackets)}
		},
	)
	g.add(
		"torque",
		m.ID,
		"Tighten and mark the joints of "+name+"; again after the first roads",
		minutesOf("torque", b)*float64(brackets),
		func(s *BuildStep) { s.Tools, s.Skill = "torque key, marker, thread lock", string(fitout.Metalwork) },
	)
}
