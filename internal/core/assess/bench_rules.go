package assess

import (
	"fmt"

	"zaino/internal/core/fitout"
)

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
