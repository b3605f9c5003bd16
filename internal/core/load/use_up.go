package load

import "slices"

// Fill is one step on the way from full to empty.
type Fill struct {
	Of     string  // id of the tank or vessel that is being used up
	Share  float64 // of it that is left, 1 to 0
	Litres float64 // of it that is left
	State  State
}

// UseUp is the way from everything full to everything empty: one tank or vessel
// after another in the order that the variant says, those not named last, as
// listed. gains are the ids of waste tanks, which take up what the others of
// loses lose. Each is looked at in quarters.
func (p *Plan) UseUp(gains, loses map[string]bool) []Fill {
	s := p.Shown()
	var order []string
	most, least := map[string]float64{}, map[string]float64{}
	add := func(id string, from, to float64) {
		if gains[id] {
			s.Levels[id] = from
			most[id] = to
			return
		}
		p.fill(&s, id, to)
		order, most[id], least[id] = append(order, id), to, from
	}
	for _, t := range p.vehicle.Tanks {
		add(t.ID, t.Min, t.Capacity)
	}
	for i := range p.variant.Items {
		if l := level(&p.variant.Items[i]); l != nil {
			add(p.variant.Items[i].ID, l.Min, l.Max)
		}
	}
	order = p.inOrder(order)
	way := []Fill{{Share: 1, State: s.clone()}}
	const quarters = 4
	for _, id := range order {
		for q := 1; q <= quarters; q++ {
			litres := most[id] - (most[id]-least[id])*float64(q)/quarters
			before := s.Levels[id]
			p.fill(&s, id, litres)
			if loses[id] {
				p.gain(&s, gains, most, before-litres)
			}
			way = append(way, Fill{Of: id, Share: 1 - float64(q)/quarters, Litres: litres, State: s.clone()})
		}
	}
	return way
}

// gain puts used water into the waste tanks as far as they hold it.
func (p *Plan) gain(s *State, gains map[string]bool, most map[string]float64, litres float64) {
	for i := range p.variant.Items {
		id := p.variant.Items[i].ID
		if !gains[id] || litres <= 0 {
			continue
		}
		takes := min(litres, most[id]-s.Levels[id])
		s.Levels[id] += takes
		litres -= takes
	}
}

// inOrder puts ids into the order in which they are used up.
func (p *Plan) inOrder(ids []string) []string {
	var order []string
	add := func(id string) {
		if slices.Contains(ids, id) && !slices.Contains(order, id) {
			order = append(order, id)
		}
	}
	for _, u := range p.variant.UsedUp {
		add(u.Of)
	}
	for _, id := range ids {
		add(id)
	}
	return order
}
