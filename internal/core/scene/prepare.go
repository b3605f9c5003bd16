package scene

import (
	"cmp"
	"slices"

	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/space"
)

// Of is a plan as the rules of fit look at it, on the road.
func Of(p *plan.Plan) *Scene {
	return plan.Once(p, func(p *plan.Plan) *Scene {
		return SceneOf(p, func(i int) bool { return p.Load.Items[i].Road })
	})
}

// SceneOf is a plan as the rules of fit look at it with some of its things aboard.
func SceneOf(p *plan.Plan, aboard func(i int) bool) *Scene {
	s := &Scene{
		Vehicle: p.Vehicle, Brief: &p.Job.Brief, Practice: p.Job.Practice, Wheelbase: p.Load.Wheelbase,
		Unladen: p.Load.Unladen.Axles(p.Load.Wheelbase).Gross(), Stances: p.Variant.Stances, Say: p.Say,
		Reach: brief.NeedsOf(&p.Job.Brief).Reach,
		Cells: map[string][]CellFigures{}, Seated: map[string]string{}, Lockers: map[string]bool{}, ComesOff: p.Vehicle.Carrier.ComesOff(p.Variant),
	}
	for i := range p.Variant.Plumbing.Vessels {
		v := &p.Variant.Plumbing.Vessels[i]
		s.Lockers[v.Of] = v.Sealed == fitout.IsSo
	}
	for i := range p.Vehicle.Bays {
		s.Bays = append(s.Bays, bayAs(&p.Vehicle.Bays[i]))
	}
	s.fill(p, aboard)
	s.Prepare()
	return s
}

// fill puts in the modules that stand by themselves, and tells what lies in their
// compartments. What is not aboard is in nobody's way.
func (s *Scene) fill(p *plan.Plan, aboard func(i int) bool) {
	within := map[fitout.InCell][]int{}
	for i := range p.Items {
		if in := p.Items[i].In; in != nil {
			within[*in] = append(within[*in], i)
		}
	}
	for i := range p.Items {
		item := &p.Items[i]
		if item.Seat != "" && plan.Traveller(item) && aboard(i) {
			s.Seated[item.Seat] = item.Name
		}
		if free := freeGear(item); free != nil && aboard(i) && !p.Load.Items[i].Trailer {
			part := PartOf(free)
			part.Ledger = true
			if !unplaced(p, i) || s.BayOf(&part) == nil { // else it stands nowhere yet: its station is asked for under Load
				s.Parts = append(s.Parts, part)
			}
			continue
		}
		if item.Module == nil || p.Load.Items[i].Trailer {
			continue
		}
		for _, c := range module.Cells(item) {
			s.Cells[item.ID] = append(
				s.Cells[item.ID],
				cellFigures(p, c, within[fitout.InCell{Module: item.ID, Cell: c.ID}], aboard),
			)
		}
		if item.In != nil || !aboard(i) {
			continue
		}
		part := PartOf(item)
		if unplaced(p, i) && s.BayOf(&part) != nil {
			s.Unplaced = append(s.Unplaced, part)
			continue
		}
		for _, c := range s.Cells[item.ID] {
			part.Cells = append(
				part.Cells,
				Compartment{ID: c.ID, Name: c.Name, Outer: c.Outer, Inside: c.Inside, Load: c.Load},
			)
			for _, h := range c.Holds {
				s.Things = append(
					s.Things,
					Thing{Item: &p.Items[p.Index(h.ID)], Part: item.ID, Cell: c.ID, Moves: h.Moves},
				)
			}
		}
		s.Parts = append(s.Parts, part)
	}
}

// unplaced tells whether an item still lies where a new thing is put: at the front axle, on the centre line and the
// ground.
func unplaced(p *plan.Plan, i int) bool {
	return p.Given.ChosenVariant().Items[i].At == (fitout.Point{})
}

// freeGear is a thing of the ledger that stands in a space by itself, as gear of the fitout stands there: held by
// nothing that anybody said. Without a size or a space nothing can be said of it.
func freeGear(item *fitout.Item) *fitout.Item {
	s := item.Size
	if item.Module != nil || item.In != nil || item.Bay == "" || plan.Traveller(item) ||
		min(s.Length, s.Width, s.Height) <= 0 {
		return nil
	}
	free := *item
	free.Module = module.Gear()
	return &free
}

// bayAs is a bay as the rules see it: as long as its shorter side, as wide and as high
// as its narrower and lower end.
func bayAs(b *fitout.Bay) Bay {
	f := Bay{
		ID: b.ID, Room: space.RoomBox(b), Open: space.RoomOf(b).Height == 0, Name: b.Name, Kind: b.Kind, Rating: b.Rating,
		Sealed: b.Sealed, Heated: b.Heated, Lockable: b.Lockable, Shared: b.Shared, Opening: Opening{Opening: b.Opening},
	}
	f.Opening.Gap, f.Opening.Known = space.Gap(b)
	for k := range b.More {
		m := &b.More[k]
		if gap, ok := space.MoreGap(b, m); ok {
			f.More = append(f.More, MoreOpening{Opening{m.Opening, gap, true}, m})
		}
	}
	if b.LengthTop > 0 {
		f.RearTop = b.At.X + b.LengthTop
	}
	for k := range b.Obstacles {
		o := &b.Obstacles[k]
		f.Obstacles = append(f.Obstacles, Obstacle{o.ID, o.Name, space.Stands(b, o), space.CutRound(o)})
	}
	return f
}

// PartOf is a module as the rules see it, with what moves when it opens. What it
// weighs is its own mass and its content, without what lies in it.
func PartOf(item *fitout.Item) Part {
	p := Part{
		ID: item.ID, Bay: item.Bay, Box: item.Box(), Built: item.Module.Wall != fitout.NoMaterial, Fixed: item.Locked,
		Item: item, Motion: Still, Mass: item.Mass + item.Presence.Content(), Leaves: module.Leaves(item),
	}
	if len(p.Leaves) > 0 {
		p.Motion = module.Of(item.Module.Kind).Motion
	}
	return p
}

// cellFigures adds up what lies in a compartment, and counts what lies on what.
func cellFigures(p *plan.Plan, c module.Cell, holds []int, aboard func(i int) bool) CellFigures {
	f := CellFigures{Cell: c, Litres: c.Inside.Litres(), Holds: []Held{}}
	taken := 0.0
	boxes := make([]fitout.Box, len(holds))
	for k, i := range holds {
		f.Holds = append(f.Holds, Held{ID: p.Items[i].ID})
		boxes[k] = p.Items[i].Box()
		taken += boxes[k].Litres()
		if aboard(i) && p.Items[i].Work.Now() {
			f.Load += p.Load.Items[i].Mass.Kg
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

// Bay returns a bay of the scene, or nil.
func (s *Scene) Bay(id string) *Bay { return BayOf(s.Bays, id) }

// StandsAs tells whether a part stays in its bay and clear of others as another box;
// what is not on the bench is not judged.
func (s *Scene) StandsAs(id string, as func(fitout.Box) fitout.Box) bool {
	k := IndexOf(s.Parts, id)
	if k < 0 {
		return true
	}
	own := s.Parts[k]
	own.Box = as(own.Box)
	if bay := BayOf(s.Bays, own.Bay); bay != nil {
		if _, side := Outside(own.Box, bay); side != "" {
			return false
		}
		if len(InObstacles(&own, bay)) > 0 {
			return false
		}
	}
	for i := range s.Parts {
		if i != k && Least(own.Box.Overlap(s.Parts[i].Box)) > Slack {
			return false
		}
	}
	return true
}
