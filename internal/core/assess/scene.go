package assess

import (
	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/space"
)

// Length and Mass put figures into words for the rules of fit.
func (s speaker) Length(mm float64) string { return s.length(mm) }

// Mass puts a mass into words.
func (s speaker) Mass(kg float64) string { return s.mass(kg) }

// sceneOf is a subject as the rules of fit look at it.
func sceneOf(s *subject) *fit.Scene {
	scene := &fit.Scene{
		Vehicle: &s.job.Vehicle, Brief: &s.job.Brief, Practice: s.job.Practice, Wheelbase: s.plan.Wheelbase,
		Unladen: s.plan.Unladen.Axles(s.plan.Wheelbase).Gross(), Bays: s.bench.bays, Parts: s.bench.parts,
		Stances: s.variant.Stances, Say: s.say,
		Reach: fit.Reach{Grip: s.needs.Reach.Grip, Rim: s.needs.Reach.Rim, Arm: s.needs.Reach.Arm, Who: s.needs.Reach.Who},
	}
	for i := range scene.Parts {
		for _, c := range s.bench.cells[scene.Parts[i].ID] {
			for _, h := range s.cell(scene.Parts[i].ID, c).Holds {
				for k := range s.placed {
					if s.placed[k].ID == h.ID {
						scene.Things = append(scene.Things, fit.Thing{Item: &s.placed[k], Part: scene.Parts[i].ID, Cell: c.ID, Moves: h.Moves})
					}
				}
			}
		}
	}
	scene.Prepare()
	return scene
}

// fitBay is a bay as the fit engine sees it: as long as its shorter side, as
// wide and as high as its narrower and lower end.
func fitBay(b *fitout.Bay) fit.Bay {
	room := space.RoomOf(b)
	floor := space.Floor(b)
	box := fitout.Box{
		From: fitout.Point{X: b.At.X, Y: b.At.Y - room.Width/2, Z: b.At.Z},
		To:   fitout.Point{X: min(floor[2].X, floor[3].X), Y: b.At.Y + room.Width/2, Z: b.At.Z + room.Height},
	}
	f := fit.Bay{
		ID: b.ID, Room: box, Open: room.Height == 0, Name: b.Name, Kind: b.Kind, Rating: b.Rating,
		Sealed: b.Sealed, Heated: b.Heated, Lockable: b.Lockable, Shared: b.Shared, Opening: fit.Opening{Opening: b.Opening},
	}
	f.Opening.Gap, f.Opening.Known = space.Gap(b)
	if b.LengthTop > 0 {
		f.RearTop = b.At.X + b.LengthTop
	}
	for k := range b.Obstacles {
		f.Obstacles = append(f.Obstacles, space.Stands(b, &b.Obstacles[k]))
		f.Names = append(f.Names, b.Obstacles[k].Name)
	}
	return f
}

// fitPart is a module as the fit engine sees it, with what moves when it opens.
func (s *subject) fitPart(item *fitout.Item) fit.Part {
	p := fit.Part{ID: item.ID, Bay: item.Bay, Box: item.Box(), Built: item.Module.Wall != fitout.NoMaterial, Fixed: item.Locked, Item: item, Motion: fit.Motion(module.Of(item.Module.Kind).Motion), Mass: s.massOf(item)}
	for _, leaf := range module.Leaves(item) {
		p.Leaves = append(p.Leaves, fit.Leaf(leaf))
	}
	return p
}

// massOf is what an item weighs in the state shown, kg: with its content, without
// what lies in it.
func (s *subject) massOf(item *fitout.Item) float64 {
	return item.Mass + item.Presence.Content()
}

// fitFindings are what the rules of fit say, each fix that moves a part with its
// effect on the axles.
func fitFindings(s *subject) []fitout.Finding {
	found := s.scene.Check()
	for i := range found {
		for k := range found[i].Fixes {
			s.effect(&found[i].Fixes[k])
		}
	}
	return found
}

// effect works out what a fix along the vehicle does to the axles, and puts its
// place where the document keeps it, which is before a wheelbase extension.
func (s *subject) effect(fix *fitout.Fix) {
	if fix.Edit.Kind != "part-x" {
		return
	}
	for i := range s.scene.Parts {
		p := &s.scene.Parts[i]
		if p.ID != fix.Edit.ID {
			continue
		}
		fix.Rear = p.Kg() * (fix.Edit.Value - p.Box.Middle().X) / s.plan.Wheelbase
		fix.Front = -fix.Rear
		if e := s.job.Vehicle.Extension; e != nil && p.Item.Behind {
			fix.Edit.Value -= e.By
		}
	}
}

// acceptable tells whether the specialist may let a finding stand: what plate and
// papers forbid, and a load over a rating, are not the workshop's to allow.
func acceptable(f *fitout.Finding) bool {
	return f.Severity != fitout.Stop || f.Subject.Kind == "module" || f.Subject.Kind == "bay"
}

// accept marks the findings that the specialist lets stand with the reason.
func accept(j *fitout.Job, findings []fitout.Finding) {
	for i := range findings {
		f := &findings[i]
		f.Waivable = acceptable(f)
		if !f.Waivable {
			continue
		}
		for _, a := range j.Accepted {
			if a.Rule == f.Rule && a.Subject == f.Subject.ID && a.Stance == f.Stance {
				f.Accepted = a.Why
			}
		}
	}
}

// StanceFigures is what it takes to come from the road into a stance.
type StanceFigures struct {
	ID      string        `json:"id" doc:"empty for the road"`
	Steps   []fit.Act     `json:"steps"`
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
	Gets      []fit.Get       `json:"gets" doc:"what it takes to get at each thing that is used daily"`
	DriveAway []fit.Act       `json:"driveAway" doc:"what must be shut, latched, lowered and stowed before driving off"`
}

func handling(s *subject) Handling {
	h := Handling{Stances: []StanceFigures{}, Gets: []fit.Get{}, DriveAway: []fit.Act{}}
	for i := range s.scene.Postures {
		p := &s.scene.Postures[i]
		f := StanceFigures{ID: p.Stance.ID, Steps: append([]fit.Act{}, s.scene.Change(p)...), Parts: []StancePlace{}, Open: []OpenFigures{}, Doors: []string{}}
		for _, step := range f.Steps {
			f.Minutes += step.Minutes
		}
		for k := range s.scene.Parts {
			if p.Gone[k] || p.Boxes[k] != s.scene.Parts[k].Box {
				f.Parts = append(f.Parts, StancePlace{s.scene.Parts[k].ID, p.Gone[k], p.Boxes[k]})
			}
		}
		for _, o := range p.Open {
			f.Open = append(f.Open, OpenFigures{s.scene.Parts[o.Part].ID, module.Leaf(o.Leaf)})
		}
		for _, d := range p.Doors {
			f.Doors = append(f.Doors, s.scene.Bays[d].ID)
		}
		h.Stances = append(h.Stances, f)
	}
	h.Gets = append(h.Gets, s.scene.Gets()...)
	h.DriveAway = append(h.DriveAway, s.scene.DriveAway()...)
	for i := range h.Gets {
		if h.Gets[i].Steps == nil {
			h.Gets[i].Steps = []fit.Act{}
		}
	}
	return h
}
