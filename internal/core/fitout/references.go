package fitout

import "fmt"

// references checks ids, what they name, and the rules that hold between
// fields of one thing.
func (v *validator) references(j *Job) {
	if j.Format != Format || j.Version != Version {
		v.refuse("version", "", fmt.Sprintf("%s %d", j.Format, j.Version), fmt.Sprintf("%s %d", Format, Version))
	}
	tanks, seats := v.vehicle(&j.Vehicle)
	if w := j.Vehicle.Baseline.Weighed; w != nil {
		for i, tank := range w.Tanks {
			v.known(fmt.Sprintf("vehicle.baseline.weighed.tanks[%d].tank", i), "", tank.Tank, "tank of the vehicle", tanks)
		}
		for i, person := range w.People {
			v.known(fmt.Sprintf("vehicle.baseline.weighed.people[%d].seat", i), "", person.Seat, "seat of the vehicle", seats)
		}
	}
	if len(j.Variants) == 0 {
		v.refuse("variants", "", "an empty list", "at least one variant")
		return
	}
	variants := ids{}
	for i := range j.Variants {
		path := fmt.Sprintf("variants[%d]", i)
		v.unique(path+".id", j.Variants[i].Name, j.Variants[i].ID, variants)
		v.variant(path, &j.Variants[i], seats)
	}
	v.known("chosen", "", j.Chosen, "variant of the job", variants)
}

// ids is a set of ids seen in one list.
type ids map[string]bool

func (v *validator) unique(path, name, id string, seen ids) {
	if seen[id] {
		v.refuse(path, name, shown(id)+" a second time", "an id that no other entry of the list has")
	}
	seen[id] = true
}

func (v *validator) known(path, name, id, what string, in ids) {
	if !in[id] {
		v.refuse(path, name, shown(id), "the id of a "+what)
	}
}

func (v *validator) vehicle(vehicle *Vehicle) (tanks, seats ids) {
	tanks, seats = ids{}, ids{}
	for i, tank := range vehicle.Tanks {
		path := fmt.Sprintf("vehicle.tanks[%d]", i)
		v.unique(path+".id", tank.Name, tank.ID, tanks)
		v.within(path, tank.Name, tank.Min, tank.Now, tank.Capacity, "capacity")
	}
	for i, seat := range vehicle.Seats {
		v.unique(fmt.Sprintf("vehicle.seats[%d].id", i), seat.Name, seat.ID, seats)
	}
	parts := ids{}
	for i, part := range vehicle.Parts {
		path := fmt.Sprintf("vehicle.parts[%d]", i)
		v.unique(path+".id", part.Name, part.ID, parts)
		if part.State == Moved && part.MovedTo == nil {
			v.refuse(path+".movedTo", part.Name, "nothing", "the place that it was moved to, since its state is moved")
		}
	}
	return tanks, seats
}

// within checks that min ≤ now ≤ the fullest.
func (v *validator) within(path, name string, least, now, full float64, fullName string) {
	if least > full {
		v.refuse(path+".min", name, plain(least)+" L", fmt.Sprintf("up to its %s, %s L", fullName, plain(full)))
	}
	if now > full {
		v.refuse(path+".now", name, plain(now)+" L", fmt.Sprintf("from 0 to its %s, %s L", fullName, plain(full)))
	}
}

func (v *validator) variant(path string, variant *Variant, seats ids) {
	switches, choices, members := ids{}, ids{}, ids{}
	for i, s := range variant.Switches {
		v.unique(fmt.Sprintf("%s.switches[%d].id", path, i), s.Name, s.ID, switches)
	}
	for i, c := range variant.Choices {
		at := fmt.Sprintf("%s.choices[%d]", path, i)
		v.unique(at+".id", c.Name, c.ID, choices)
		own := ids{}
		for k, m := range c.Members {
			v.unique(fmt.Sprintf("%s.members[%d].id", at, k), m.Name, m.ID, own)
			members[c.ID+"/"+m.ID] = true
		}
		if c.Chosen == "" && !c.None {
			v.refuse(at+".chosen", c.Name, "nothing", "one of its members, since none is not allowed")
		} else if c.Chosen != "" {
			v.known(at+".chosen", c.Name, c.Chosen, "member of this choice", own)
		}
	}
	for i, s := range variant.Switches {
		v.requirement(fmt.Sprintf("%s.switches[%d].requires", path, i), s, switches, members)
	}
	v.circles(path, variant.Switches)
	items := ids{}
	for i := range variant.Items {
		item := &variant.Items[i]
		at := fmt.Sprintf("%s.items[%d]", path, i)
		v.unique(at+".id", item.Name, item.ID, items)
		if item.Seat != "" {
			v.known(at+".seat", item.Name, item.Seat, "seat of the vehicle", seats)
		}
		v.presence(at+".presence", item, switches, members)
	}
}

func (v *validator) requirement(path string, s Switch, switches, members ids) {
	r := s.Requires
	switch {
	case r == nil:
	case r.Switch != "" && r.Choice != "":
		v.refuse(path, s.Name, "both a switch and a choice", "either a switch or a member of a choice")
	case r.Switch != "":
		v.known(path+".switch", s.Name, r.Switch, "switch of the variant", switches)
	case !members[r.Choice+"/"+r.Member]:
		v.refuse(path, s.Name, shown(r.Choice+"/"+r.Member), "a switch or a member of a choice of the variant")
	}
}

// circles refuses switches that require each other in a ring, naming one of
// each ring.
func (v *validator) circles(path string, switches []Switch) {
	requires := make(map[string]string, len(switches))
	for _, s := range switches {
		if s.Requires != nil {
			requires[s.ID] = s.Requires.Switch
		}
	}
	done := ids{}
	for i, s := range switches {
		on := ids{}
		id := s.ID
		for id != "" && !done[id] && !on[id] {
			on[id] = true
			id = requires[id]
		}
		if on[id] {
			v.refuse(fmt.Sprintf("%s.switches[%d].requires", path, i), s.Name,
				"a circle of requirements", "a requirement that does not lead back to the switch itself")
		}
		for seen := range on {
			done[seen] = true
		}
	}
}

func (v *validator) presence(path string, item *Item, switches, members ids) {
	p := item.Presence
	switch p.Kind {
	case BySwitch:
		v.known(path+".switch", item.Name, p.Switch, "switch of the variant", switches)
	case ByChoice:
		if !members[p.Choice+"/"+p.Member] {
			v.refuse(path, item.Name, shown(p.Choice+"/"+p.Member), "a member of a choice of the variant")
		}
	case ByLevel:
		if p.Level == nil {
			v.refuse(path+".level", item.Name, "nothing", "its least, most and present content in litres")
			return
		}
		v.within(path+".level", item.Name, p.Level.Min, p.Level.Now, p.Level.Max, "most")
	}
}
