package draw

import (
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/shape"
)

// Kind is what a group of a view is.
type Kind string

// The kinds of group.
const (
	OfVehicle Kind = "vehicle"
	OfDoor    Kind = "door"
	OfModule  Kind = "module"
	OfGear    Kind = "gear"
	OfPerson  Kind = "person"
	OfFitting Kind = "fitting" // a filler, a tap, a coupling
	OfGround  Kind = "ground"  // what stands around the vehicle in a stance
	OfPlaced  Kind = "placed"  // somebody who is placed in a stance
)

// thing is what is drawn as one, as it stands in a stance.
type thing struct {
	id, name string
	kind     Kind
	number   int // in the order of the variant
	bay      string
	in       string // module that it lies in
	work     fitout.Work
	opened   bool
	absent   bool
	box      fitout.Box // with what is open
	solids   []shape.Prism
	form     shape.Part     // shut
	lies     *fitout.InCell // where it lies
	open     []string       // compartments that are open
}

// Scene is the forms of a job in one stance, ready to be looked at from any side.
type Scene struct {
	plan   *plan.Plan
	fit    *scene.Scene
	things []thing
}

// OpenByHand names what is open by hand: a part, or one compartment of it.
type OpenByHand struct {
	Module string `json:"module" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Cell   string `json:"cell" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the compartment; empty for the whole"`
}

// SceneOf gives everything its form where it stands in a stance (empty: on the road), open
// what the stance opens and what is named besides.
func SceneOf(p *plan.Plan, stance string, open []OpenByHand) *Scene {
	s := &Scene{plan: p, fit: scene.Of(p)}
	posture := s.posture(stance)
	doors := map[string]bool{}
	for _, d := range posture.Doors {
		doors[s.fit.Bays[d].ID] = true
	}
	for _, o := range open { // what comes out by hand goes through its door
		if i := p.Index(o.Module); i >= 0 {
			doors[p.Items[i].Bay] = true
		}
	}
	s.vehicle(doors)
	for i := range p.Items {
		item := &p.Items[i]
		if p.Load.Items[i].Trailer {
			continue
		}
		s.item(item, i, &posture, open)
	}
	s.fittings()
	s.windows()
	s.chassis()
	s.surroundings(&posture)
	return s
}

func (s *Scene) posture(stance string) scene.Posture {
	for i := range s.fit.Postures {
		if s.fit.Postures[i].Stance.ID == stance {
			return s.fit.Postures[i]
		}
	}
	return s.fit.Postures[0]
}

func (s *Scene) vehicle(doors map[string]bool) {
	v := shape.OfVehicle(s.plan.Vehicle, s.plan.Load.Wheelbase)
	body := thing{id: shape.VehicleID, kind: OfVehicle, number: -1, solids: v.Still, box: v.Box,
		form: shape.Part{ID: v.ID, Still: v.Still}}
	s.things = append(s.things, body)
	for i := range v.Leaves {
		l := &v.Leaves[i]
		door := thing{
			id:     "~door-" + l.Cell,
			kind:   OfDoor,
			number: -1,
			bay:    l.Cell,
			opened: doors[l.Cell],
			solids: l.Solids,
			form:   shape.Part{ID: "~door-" + l.Cell, Leaves: []shape.Moving{*l}},
		}
		if door.opened {
			door.open = []string{l.Cell}
			door.solids = l.Opened(1)
			if door.solids[0].Gone() {
				continue
			}
		}
		door.box = around(door.solids)
		s.things = append(s.things, door)
	}
}

func (s *Scene) item(item *fitout.Item, number int, posture *scene.Posture, open []OpenByHand) {
	t := thing{id: item.ID, name: item.Name, kind: OfGear, number: number, bay: item.Bay, work: item.Work,
		absent: item.Work.Now() && !s.plan.Load.Items[number].Present}
	stands := *item
	for i := range s.plan.Vehicle.Seats {
		if seat := &s.plan.Vehicle.Seats[i]; item.Seat == seat.ID {
			stands.At = seat.At
		}
	}
	holder := item.ID
	if item.In != nil {
		t.in, holder, t.lies = item.In.Module, item.In.Module, item.In
	}
	if k := slices.IndexFunc(s.fit.Parts, func(p scene.Part) bool { return p.ID == holder }); k >= 0 {
		// A carrier that is off is drawn where it stands on its legs, with all that is in it.
		if posture.Gone[k] && !s.fit.OnLegs(posture, holder) {
			return
		}
		from, to := s.fit.Parts[k].Box.From, posture.Boxes[k].From
		stands.At = fitout.Point{
			X: item.At.X + to.X - from.X,
			Y: item.At.Y + to.Y - from.Y,
			Z: item.At.Z + to.Z - from.Z,
		}
	}
	form := shape.Of(&stands)
	share := func(cell string) float64 { return s.share(item.ID, cell, posture, open) }
	switch {
	case item.Module != nil:
		t.kind = OfModule
		if item.Module.Kind == fitout.PlainGear {
			t.kind = OfGear
		}
	case item.Form == fitout.FormPerson || item.Form == fitout.FormAnimal && item.Seat != "":
		t.kind = OfPerson
	}
	t.form = form
	for i := range form.Leaves {
		if cell := form.Leaves[i].Cell; share(cell) > 0 {
			t.opened, t.open = true, append(t.open, cell)
		}
	}
	t.solids = form.Solids(share)
	if item.In != nil { // it comes out with the drawer that it lies in
		t.solids = s.carried(t.solids, item.In, posture, open)
	}
	t.box = around(t.solids)
	s.things = append(s.things, t)
}

// share is how far a compartment of a module is open, 0 to 1: by hand, or as the stance has it.
func (s *Scene) share(module, cell string, posture *scene.Posture, open []OpenByHand) float64 {
	if slices.ContainsFunc(
		open,
		func(o OpenByHand) bool { return o.Module == module && (o.Cell == "" || o.Cell == cell) },
	) {
		return 1
	}
	k := slices.IndexFunc(s.fit.Parts, func(p scene.Part) bool { return p.ID == module })
	return posture.Share(k, cell)
}

// carried moves what lies in a compartment with it, where that is out.
func (s *Scene) carried(
	solids []shape.Prism,
	in *fitout.InCell,
	posture *scene.Posture,
	open []OpenByHand,
) []shape.Prism {
	k := slices.IndexFunc(s.fit.Parts, func(p scene.Part) bool { return p.ID == in.Module })
	if k < 0 {
		return solids
	}
	part := &s.fit.Parts[k]
	form := shape.Of(part.Item)
	for i := range form.Leaves {
		l := &form.Leaves[i]
		if l.About != "" || l.Cell != "" && l.Cell != in.Cell {
			continue
		}
		if share := s.share(in.Module, l.Cell, posture, open); share > 0 {
			lying := shape.Moving{Slides: l.Slides, Solids: solids}
			return lying.Opened(share)
		}
	}
	return solids
}

func around(solids []shape.Prism) fitout.Box {
	if len(solids) == 0 {
		return fitout.Box{}
	}
	box := solids[0].Bounds()
	for i := range solids[1:] {
		box = box.Around(solids[i+1].Bounds())
	}
	return box
}

// Box is the least box around a thing as it stands in the stance, or around what stands in a
// space and the space itself; ok is false for what is not there.
func (s *Scene) Box(id string) (box fitout.Box, ok bool) {
	for i := range s.things {
		if s.things[i].id == id {
			return s.things[i].box, true
		}
	}
	for i := range s.fit.Bays {
		if b := &s.fit.Bays[i]; b.ID == id {
			return b.Room, true
		}
	}
	return box, false
}
