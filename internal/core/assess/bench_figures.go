package assess

import (
	"cmp"
	"slices"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// bench is what stands where, made ready for the fit engine.
type bench struct {
	bays  []fit.Bay
	parts []fit.Part // the modules that stand by themselves, not what lies in them
	cells map[string][]module.Cell
}

// PartFigures is one module, or one thing that lies in one, as it stands on the
// bench.
type PartFigures struct {
	ID     string        `json:"id"`
	Box    fitout.Box    `json:"box" doc:"its closed outside"`
	Mass   float64       `json:"mass" doc:"by construction where it is built and not weighed, kg"`
	Cells  []CellFigures `json:"cells"`
	Leaves []module.Leaf `json:"leaves" doc:"what moves when it opens"`
	Gaps   []fit.Gap     `json:"gaps" doc:"to its neighbours and the walls, of a module that stands in a bay"`
}

// CellFigures is a compartment and how full it is.
type CellFigures struct {
	module.Cell
	Litres float64 `json:"litres" doc:"room inside"`
	Filled float64 `json:"filled" doc:"share of the room that is taken, 0 to 1 and more"`
	Load   float64 `json:"load" doc:"what lies in it, kg"`
	Holds  []Held  `json:"holds" doc:"what lies in it, what is deepest first"`
}

// Held is one thing in a compartment.
type Held struct {
	ID    string `json:"id"`
	Moves int    `json:"moves" doc:"how many things lie on it and have to be moved first"`
}

func newBench(s *subject) bench {
	b := bench{cells: map[string][]module.Cell{}}
	for i := range s.job.Vehicle.Bays {
		bay := s.job.Vehicle.Bays[i]
		if e := s.job.Vehicle.Extension; e != nil && bay.Behind {
			bay.At.X += e.By
		}
		b.bays = append(b.bays, fitBay(&bay))
	}
	for i := range s.placed {
		item := &s.placed[i]
		if item.Module == nil || s.plan.Items[i].Trailer {
			continue
		}
		b.cells[item.ID] = module.Cells(item)
		// What is not aboard in the state shown is in nobody's way.
		if aboard := s.plan.Items[i].Present || s.plan.Items[i].Later; item.In == nil && aboard {
			b.parts = append(b.parts, s.fitPart(item))
		}
	}
	return b
}

// fill tells the parts what lies in their compartments.
func (b *bench) fill(s *subject) {
	for i := range b.parts {
		p := &b.parts[i]
		for _, c := range b.cells[p.ID] {
			p.Cells = append(p.Cells, fit.Compartment{ID: c.ID, Name: c.Name, Outer: c.Outer, Inside: c.Inside, Load: s.cell(p.ID, c).Load})
		}
	}
}

// extended returns items where they stand with a wheelbase extension.
func extended(items []fitout.Item, e *fitout.Extension) []fitout.Item {
	if e == nil {
		return items
	}
	moved := append([]fitout.Item{}, items...)
	for i := range moved {
		if moved[i].Behind {
			moved[i].At.X += e.By
		}
	}
	return moved
}

func (b *bench) bay(id string) *fit.Bay {
	for i := range b.bays {
		if b.bays[i].ID == id {
			return &b.bays[i]
		}
	}
	return nil
}

func benchFigures(s *subject) []PartFigures {
	all := []PartFigures{}
	for i := range s.placed {
		item := &s.placed[i]
		if item.Module == nil && item.In == nil {
			continue
		}
		f := PartFigures{ID: item.ID, Box: item.Box(), Mass: item.Mass, Cells: []CellFigures{}, Leaves: []module.Leaf{}, Gaps: []fit.Gap{}}
		if item.Module != nil {
			for _, c := range s.bench.cells[item.ID] {
				f.Cells = append(f.Cells, s.cell(item.ID, c))
			}
			f.Leaves = append(f.Leaves, module.Leaves(item)...)
			if bay := s.bench.bay(item.Bay); bay != nil && item.In == nil {
				own := s.fitPart(item)
				f.Gaps = append(f.Gaps, fit.Gaps(&own, s.bench.parts, bay)...)
			}
		}
		all = append(all, f)
	}
	return all
}

// cell adds up what lies in a compartment, and counts what lies on what.
func (s *subject) cell(holder string, c module.Cell) CellFigures {
	f := CellFigures{Cell: c, Litres: c.Inside.Litres(), Holds: []Held{}}
	taken := 0.0
	var boxes []fitout.Box
	for i := range s.placed {
		item := &s.placed[i]
		if item.In == nil || item.In.Module != holder || item.In.Cell != c.ID {
			continue
		}
		f.Holds = append(f.Holds, Held{ID: item.ID})
		boxes = append(boxes, item.Box())
		taken += item.Box().Litres()
		if s.plan.Items[i].Present {
			f.Load += s.plan.Items[i].Mass.Kg
		}
	}
	if f.Litres > 0 {
		f.Filled = taken / f.Litres
	}
	for k, moves := range module.Above(boxes) {
		f.Holds[k].Moves = moves
	}
	slices.SortStableFunc(f.Holds, func(a, b Held) int { return cmp.Compare(b.Moves, a.Moves) })
	return f
}

// handy ranks things by how often the brief says that they are used: 0 seldom to
// 3 many times a day; what the brief does not know lies in between.
func handy(b *fitout.Brief) func(id string) int {
	ranks := map[fitout.Used]int{fitout.UsedSeldom: 0, fitout.UsedWeekly: 1, fitout.UsedDaily: 2, fitout.UsedOften: 3, fitout.UsedEmergency: 3}
	return func(id string) int {
		for i := range b.Gear {
			if b.Gear[i].ID == id {
				return ranks[b.Gear[i].Used]
			}
		}
		return 1
	}
}
