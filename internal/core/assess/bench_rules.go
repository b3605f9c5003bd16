package assess

import (
	"fmt"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
)

// partsClash stops two modules, or a module and what stands in its bay, in the
// same place: one finding a part, with the first that it stands in.
func partsClash(s *subject) []fitout.Finding {
	var found []fitout.Finding
	clashes := fit.Clashes(s.bench.parts, s.bench.bays)
	count := map[string]int{}
	for _, c := range clashes {
		count[c.Part]++
	}
	told := map[string]bool{}
	for _, c := range clashes {
		if told[c.Part] {
			continue
		}
		told[c.Part] = true
		more := ""
		if n := count[c.Part] - 1; n > 0 {
			more = fmt.Sprintf(" It stands in %d more.", n)
		}
		name := s.nameOf(c.Part)
		other := lower(s.nameOf(c.Other))
		if c.Other == "" {
			other = lower(s.obstacle(c.Part, c.Obstacle))
		}
		by := min(c.By.X, c.By.Y, c.By.Z)
		found = append(found, fitout.Finding{
			Rule: "parts-clash", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "module", ID: c.Part},
			Title:    fmt.Sprintf("%s and %s in one place", name, other),
			Sentence: fmt.Sprintf("%s reaches %s into %s. Move one of them by that much.%s", name, s.say.length(by), other, more),
			Value:    by, Margin: -by, Unit: "mm", Source: "physics",
		})
	}
	return found
}

// partOutside stops a module that does not stand inside its bay.
func partOutside(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.bench.parts {
		p := &s.bench.parts[i]
		bay := s.bench.bay(p.Bay)
		if bay == nil || bay.Room.Size().Length == 0 || bay.Room.Size().Width == 0 {
			continue
		}
		mm, side := fit.Outside(p.Box, bay)
		if side == "" {
			continue
		}
		where := "at the " + side
		if side == "left" || side == "right" {
			where = "on the " + side
		}
		found = append(found, fitout.Finding{
			Rule: "outside-bay", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "module", ID: p.ID},
			Title:    fmt.Sprintf("%s stands out of its space", s.nameOf(p.ID)),
			Sentence: fmt.Sprintf("%s stands %s out of %s %s. Move it or make it smaller by that much.", s.nameOf(p.ID), s.say.length(mm), lower(s.bayName(p.Bay)), where),
			Value:    mm, Margin: -mm, Unit: "mm", Source: "physics",
		})
	}
	return found
}

// gearTooLarge stops what does not go into its compartment: its height first,
// then its sides, lying either way round.
func gearTooLarge(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.placed {
		item := &s.placed[i]
		if item.In == nil {
			continue
		}
		for _, c := range s.bench.cells[item.In.Module] {
			if c.ID != item.In.Cell {
				continue
			}
			over, what := tooLarge(item.Size, c.Inside.Size())
			if over <= 0 {
				continue
			}
			found = append(found, fitout.Finding{
				Rule: "gear-too-large", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "module", ID: item.ID},
				Title:    fmt.Sprintf("%s does not go into %s", item.Name, lower(c.Name)),
				Sentence: fmt.Sprintf("%s is %s too %s for %s of %s. Put it elsewhere, or make that larger by as much.", item.Name, s.say.length(over), what, lower(c.Name), lower(s.nameOf(item.In.Module))),
				Value:    over, Margin: -over, Unit: "mm", Source: "physics",
			})
		}
	}
	return found
}

// tooLarge returns by how much a thing is too high, or, lying the better way
// round, too long or too wide for a room, mm.
func tooLarge(thing, room fitout.Size) (mm float64, what string) {
	if over := thing.Height - room.Height; over > 0 {
		return over, "high"
	}
	along := max(thing.Length-room.Length, thing.Width-room.Width)
	turned := max(thing.Width-room.Length, thing.Length-room.Width)
	return min(along, turned), "long"
}

// fullest is the share of a compartment beyond which nobody packs it in
// practice.
const fullest = 0.85

// cellOverfull cautions about a compartment that is fuller than it can be packed.
func cellOverfull(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.placed {
		item := &s.placed[i]
		for _, c := range s.bench.cells[item.ID] {
			f := s.cell(item.ID, c)
			if f.Filled <= fullest {
				continue
			}
			found = append(found, fitout.Finding{
				Rule: "cell-overfull", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "module", ID: item.ID},
				Title:    fmt.Sprintf("%s of %s is overfull", c.Name, lower(item.Name)),
				Sentence: fmt.Sprintf("What lies in %s takes %.0f %% of its %s; above %.0f %% it cannot be packed in practice.", lower(c.Name), 100*f.Filled, s.say.volume(f.Litres), 100*fullest),
				Value:    100 * f.Filled, Limit: 100 * fullest, Margin: 100 * (fullest - f.Filled), Unit: "%", Source: "practice",
			})
		}
	}
	return found
}

func (s *subject) nameOf(id string) string {
	for i := range s.placed {
		if s.placed[i].ID == id {
			return s.placed[i].Name
		}
	}
	return ""
}

func (s *subject) bayName(id string) string {
	for i := range s.job.Vehicle.Bays {
		if s.job.Vehicle.Bays[i].ID == id {
			return s.job.Vehicle.Bays[i].Name
		}
	}
	return ""
}

// obstacle names what stands in the bay of a part.
func (s *subject) obstacle(part string, index int) string {
	for i := range s.placed {
		if s.placed[i].ID != part {
			continue
		}
		for k := range s.job.Vehicle.Bays {
			if b := &s.job.Vehicle.Bays[k]; b.ID == s.placed[i].Bay && index < len(b.Obstacles) {
				return b.Obstacles[index].Name
			}
		}
	}
	return ""
}
