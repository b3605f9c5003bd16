package keeping

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// GearTooLarge stops what does not go into its compartment, by its height or by its sides, lying either way round.
func GearTooLarge(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Items {
		item := &p.Items[i]
		if item.In == nil {
			continue
		}
		for _, c := range scene.Of(p).Cells[item.In.Module] {
			if c.ID != item.In.Cell {
				continue
			}
			over := TooLarge(item.Size, c.Inside.Size())
			if len(over) == 0 {
				continue
			}
			most, said := 0.0, make([]string, len(over))
			for k, e := range over {
				most, said[k] = max(most, e.MM), p.Say.LengthAtLeast(e.MM)+" too "+e.Way
			}
			found = append(found, fitout.Finding{
				Rule: "gear-too-large", Severity: fitout.Stop, Subject: fitout.Subject{Kind: "module", ID: item.ID},
				With:  []string{item.In.Module, item.In.Cell},
				Title: fmt.Sprintf("%s does not go into %s", item.Name, words.Lower(c.Name)),
				Sentence: fmt.Sprintf(
					"%s is %s for %s of %s. Put it elsewhere, or make that larger by as much.",
					item.Name,
					words.List(said),
					words.Lower(c.Name),
					words.Lower(p.Name(item.In.Module)),
				),
				Value: most, Margin: -most, Unit: "mm", Source: "physics", Fixes: putAway(scene.Of(p), p, item.ID),
			})
		}
	}
	return found
}

// Excess is how much a thing is too "high", "long" or "wide" for a room, mm above 0.
type Excess struct {
	MM  float64
	Way string
}

// TooLarge returns in what a thing is too large for a room: its height, and the sides, lying the better way round.
// It is empty where the thing goes in.
func TooLarge(thing, room fitout.Size) []Excess {
	long, wide := thing.Length-room.Length, thing.Width-room.Width
	along, across := thing.Width-room.Length, thing.Length-room.Width // turned round
	if max(along, across) < max(long, wide) {
		long, wide = along, across
	}
	var over []Excess
	for _, e := range []Excess{{thing.Height - room.Height, "high"}, {long, "long"}, {wide, "wide"}} {
		if quantity.Exceeds(e.MM, 0) {
			over = append(over, e)
		}
	}
	return over
}

// Fullest is the share of a compartment beyond which nobody packs it in
// practice.
const Fullest = 0.85

// CellOverfull cautions about a compartment that is fuller than it can be packed.
func CellOverfull(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Items {
		item := &p.Items[i]
		for _, f := range scene.Of(p).Cells[item.ID] {
			c := f.Cell
			if !quantity.Exceeds(f.Filled, Fullest) {
				continue
			}
			found = append(found, fitout.Finding{
				Rule: "cell-overfull", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "module", ID: item.ID},
				With:  []string{c.ID},
				Title: fmt.Sprintf("%s of %s is overfull", c.Name, words.Lower(item.Name)),
				Sentence: fmt.Sprintf(
					"What lies in %s takes %.0f %% of its %s; above %.0f %% it cannot be packed in practice.",
					words.Lower(c.Name),
					100*f.Filled,
					p.Say.Volume(f.Litres),
					100*Fullest,
				),
				Value: 100 * f.Filled, Limit: 100 * Fullest, Margin: 100 * (Fullest - f.Filled), Unit: "%", Source: "practice",
				Fixes: relief(p, &f),
			})
		}
	}
	return found
}

// relief offers to put the first thing elsewhere by which a compartment is not overfull any more.
func relief(p *plan.Plan, f *scene.CellFigures) []fitout.Fix {
	for _, h := range f.Holds {
		if k := p.Index(h.ID); k >= 0 && f.Filled-p.Items[k].Box().Litres()/f.Litres <= Fullest {
			if fixes := putAway(scene.Of(p), p, h.ID); fixes != nil {
				return fixes
			}
		}
	}
	return nil
}
