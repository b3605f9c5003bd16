package fit

import (
	"zaino/internal/core/fit/keeping"
	"zaino/internal/core/fit/strength"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
)

// Figures are the bench: what stands where, and how it is handled day by day.
type Figures struct {
	Bench    []PartFigures `json:"bench" doc:"every module, and what lies in one, in the order of the variant"`
	Handling Handling      `json:"handling" doc:"stances, and what it takes to get at things"`
}

// PartFigures is one module, or one thing that lies in one, as it stands on the
// bench.
type PartFigures struct {
	ID     string                 `json:"id"`
	Box    fitout.Box             `json:"box" doc:"its closed outside"`
	Mass   float64                `json:"mass" doc:"by construction where it is built and not weighed, kg"`
	Cells  []scene.CellFigures    `json:"cells"`
	Leaves []module.Leaf          `json:"leaves" doc:"what moves when it opens"`
	Hand   []strength.HandFigures `json:"hand" doc:"at the edge of a lid whose struts are said to turn somewhere, from shut to open"`
	Gaps   []scene.Gap            `json:"gaps" doc:"to its neighbours and the walls, of a module that stands in a bay"`
}

// StanceFigures is what it takes to come from the road into a stance.
type StanceFigures struct {
	ID      string        `json:"id" doc:"empty for the road"`
	Steps   []scene.Act   `json:"steps"`
	Minutes float64       `json:"minutes" doc:"an estimate"`
	Parts   []StancePlace `json:"parts" doc:"what stands elsewhere than on the road"`
	Open    []OpenFigures `json:"open" doc:"what is open, where it is then"`
	Doors   []string      `json:"doors" doc:"ids of the bays whose doors are open: as said, and as what is open needs"`
}

// StancePlace is where a part is in a stance.
type StancePlace struct {
	ID      string     `json:"id"`
	Outside bool       `json:"outside"`
	Box     fitout.Box `json:"box"`
}

// OpenFigures is one leaf that is open in a stance.
type OpenFigures struct {
	ID string `json:"id"`
	module.Leaf
}

// Handling is how the fitout is handled day by day.
type Handling struct {
	Stances   []StanceFigures `json:"stances"`
	Gets      []scene.Get     `json:"gets" doc:"what it takes to get at each thing that is used daily"`
	DriveAway []scene.Act     `json:"driveAway" doc:"what must be shut, latched, lowered and stowed before driving off"`
}

// Engine tells what stands where, whether it fits, opens and can be reached, in every
// stance.
func Engine() plan.Engine[Figures] {
	return plan.Engine[Figures]{
		Figures: func(p *plan.Plan) Figures { return Figures{bench(p), handling(scene.Of(p))} },
		Rules:   []plan.Rule{keeping.GearTooLarge, keeping.CellOverfull, rules},
	}
}

func bench(p *plan.Plan) []PartFigures {
	s := scene.Of(p)
	all := []PartFigures{}
	for i := range p.Items {
		item := &p.Items[i]
		if item.Module == nil && item.In == nil {
			continue
		}
		f := PartFigures{
			ID:     item.ID,
			Box:    item.Box(),
			Mass:   item.Mass,
			Cells:  []scene.CellFigures{},
			Leaves: []module.Leaf{},
			Hand:   []strength.HandFigures{},
			Gaps:   []scene.Gap{},
		}
		if item.Module != nil {
			f.Cells = append(f.Cells, s.Cells[item.ID]...)
			f.Leaves = append(f.Leaves, module.Leaves(item)...)
			if part := s.Part(item.ID); part != nil && item.In == nil {
				f.Hand = strength.Hand(s, part)
			}
			if bay := s.Bay(item.Bay); bay != nil && item.In == nil {
				own := scene.PartOf(item)
				f.Gaps = append(f.Gaps, scene.Gaps(&own, s.Parts, bay)...)
			}
		}
		all = append(all, f)
	}
	return all
}

func handling(s *scene.Scene) Handling {
	h := Handling{Stances: []StanceFigures{}, Gets: []scene.Get{}, DriveAway: []scene.Act{}}
	for i := range s.Postures {
		p := &s.Postures[i]
		f := StanceFigures{
			ID: p.Stance.ID, Steps: append([]scene.Act{}, s.Change(p)...), Parts: []StancePlace{}, Open: []OpenFigures{},
			Doors: []string{},
		}
		for _, step := range f.Steps {
			f.Minutes += step.Minutes
		}
		for k := range s.Parts {
			if p.Moved(s, k) && !s.OnLegs(p, s.Parts[k].ID) {
				f.Parts = append(f.Parts, StancePlace{s.Parts[k].ID, p.Gone[k], p.Boxes[k]})
			}
		}
		for _, o := range p.Open {
			f.Open = append(f.Open, OpenFigures{s.Parts[o.Part].ID, o.Leaf})
		}
		for _, d := range p.Doors {
			f.Doors = append(f.Doors, s.Bays[d].ID)
		}
		h.Stances = append(h.Stances, f)
	}
	h.Gets = append(h.Gets, s.Gets()...)
	h.DriveAway = append(h.DriveAway, s.DriveAway()...)
	for i := range h.Gets {
		if h.Gets[i].Steps == nil {
			h.Gets[i].Steps = []scene.Act{}
		}
	}
	return h
}

// rules are what the rules of fit say, each fix that moves a part with its effect on
// the axles, and with its place as the document keeps it.
func rules(p *plan.Plan) []fitout.Finding {
	s := scene.Of(p)
	found := Check(s)
	found = append(found, inCases(p, found)...)
	for i := range found {
		if f := &found[i]; f.Rule == "needs-hidden" || f.Rule == "needs-away" {
			if inside := keeping.PutOutOfSight(s, p, f); inside != nil {
				f.Fixes = inside
			}
		} else if f.Rule == "dirty-beside-food" {
			f.Fixes = keeping.PutFromFood(s, p, f)
		}
		for k := range found[i].Fixes {
			fix := &found[i].Fixes[k]
			part := s.Part(fix.Edit.ID)
			x := &fix.Edit.Value
			if at := fix.Edit.At; at != nil {
				x = &at.X
			}
			if fix.Edit.Kind != "part-x" && fix.Edit.Kind != "part-place" || part == nil {
				continue
			}
			fix.Rear = part.Kg() * (*x - part.Box.Middle().X) / s.Wheelbase
			fix.Front = -fix.Rear
			*x = p.Stored(p.Index(part.ID), *x)
		}
	}
	return found
}
