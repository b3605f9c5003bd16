package fitout

import "fmt"

// references checks ids, what they name, and the rules that hold between
// fields of one thing.
func (v *validator) references(j *Job) {
	if j.Format != Format || j.Version != Version {
		v.refuse("version", "", fmt.Sprintf("%s %d", j.Format, j.Version), fmt.Sprintf("%s %d", Format, Version))
	}
	known := v.vehicle(&j.Vehicle)
	v.tickets(&j.Vehicle.Baseline, known)
	v.brief(&j.Brief, known)
	if _, err := ParseTrack(j.Route.Track); err != nil {
		v.refuse("route.track", "", "a line that cannot be read", err.Error())
	}
	if len(j.Variants) == 0 {
		v.refuse("variants", "", "an empty list", "at least one variant")
		return
	}
	variants := ids{}
	for i := range j.Variants {
		variants[j.Variants[i].ID] = true
		v.variant(fmt.Sprintf("variants[%d]", i), &j.Variants[i], known)
	}
	v.known("chosen", "", j.Chosen, "variant of the job", variants)
}

// ids is a set of ids. That none stands twice in a list is checked with the list.
type ids map[string]bool

func (v *validator) known(path, name, id, what string, in ids) {
	if !in[id] {
		v.refuse(path, name, shown(id), "the id of a "+what)
	}
}

// inVehicle are the ids that other things of a job may name.
type inVehicle struct{ tanks, seats, bays, fitted ids }

func (v *validator) vehicle(vehicle *Vehicle) inVehicle {
	in := inVehicle{ids{}, ids{}, ids{}, ids{}}
	for i, tank := range vehicle.Tanks {
		in.tanks[tank.ID] = true
		v.within(fmt.Sprintf("vehicle.tanks[%d]", i), tank.Name, tank.Min, tank.Now, tank.Capacity, "capacity")
	}
	for _, seat := range vehicle.Seats {
		in.seats[seat.ID] = true
	}
	for _, bay := range vehicle.Bays {
		in.bays[bay.ID] = true
	}
	for i, part := range vehicle.Parts {
		in.fitted[part.ID] = true
		if part.State == Moved && part.MovedTo == nil {
			v.refuse(fmt.Sprintf("vehicle.parts[%d].movedTo", i), part.Name, "nothing",
				"the place that it was moved to, since its state is moved")
		}
	}
	for i, m := range vehicle.Modifications {
		if in.fitted[m.ID] { // tickets name both
			v.refuse(fmt.Sprintf("vehicle.modifications[%d].id", i), m.Name, shown(m.ID)+" a second time",
				"an id that no part has")
		}
	}
	for _, m := range vehicle.Modifications {
		in.fitted[m.ID] = true
	}
	if e := vehicle.Extension; e != nil && e.By > vehicle.Wheelbase {
		v.refuse("vehicle.extension.by", vehicle.Name, plain(e.By)+" mm", fmt.Sprintf("up to the wheelbase, %s mm",
			plain(vehicle.Wheelbase)))
	}
	return in
}

// tickets checks that what was aboard on the scale is in the vehicle's lists.
func (v *validator) tickets(b *Baseline, in inVehicle) {
	for i, ticket := range b.Tickets {
		path := fmt.Sprintf("vehicle.baseline.tickets[%d]", i)
		for k, tank := range ticket.Tanks {
			v.known(fmt.Sprintf("%s.tanks[%d].tank", path, k), ticket.Name, tank.Tank, "tank of the vehicle", in.tanks)
		}
		for k, person := range ticket.People {
			v.known(fmt.Sprintf("%s.people[%d].seat", path, k), ticket.Name, person.Seat, "seat of the vehicle", in.seats)
		}
		for k, part := range ticket.Parts {
			v.known(fmt.Sprintf("%s.parts[%d].part", path, k), ticket.Name, part.Part, "part or modification of the vehicle",
				in.fitted)
		}
	}
}

// brief checks the seats that a brief names.
func (v *validator) brief(b *Brief, in inVehicle) {
	for i, kept := range b.Daily.Seats {
		v.known(fmt.Sprintf("brief.daily.seats[%d].seat", i), "", kept.Seat, "seat of the vehicle", in.seats)
	}
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

func (v *validator) variant(path string, variant *Variant, in inVehicle) {
	switches, members := ids{}, ids{}
	for _, s := range variant.Switches {
		switches[s.ID] = true
	}
	for i, c := range variant.Choices {
		at := fmt.Sprintf("%s.choices[%d]", path, i)
		own := ids{}
		for _, m := range c.Members {
			own[m.ID], members[c.ID+"/"+m.ID] = true, true
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
	for i := range variant.Items {
		item := &variant.Items[i]
		at := fmt.Sprintf("%s.items[%d]", path, i)
		if item.Seat != "" {
			v.known(at+".seat", item.Name, item.Seat, "seat of the vehicle", in.seats)
		}
		if item.Bay != "" {
			v.known(at+".bay", item.Name, item.Bay, "bay of the vehicle", in.bays)
		}
		v.presence(at+".presence", item, switches, members)
	}
	v.contents(path, variant)
}

// contents checks that what lies in a compartment names one, and that no
// module lies in another that lies in it.
func (v *validator) contents(path string, variant *Variant) {
	cells, within := ids{}, map[string]string{}
	for i := range variant.Items {
		item := &variant.Items[i]
		if item.In != nil {
			within[item.ID] = item.In.Module
		}
		if item.Module == nil {
			continue
		}
		for _, cell := range item.Module.Cells {
			cells[item.ID+"/"+cell.ID] = true
		}
	}
	for i := range variant.Items {
		item := &variant.Items[i]
		if item.In == nil {
			continue
		}
		at := fmt.Sprintf("%s.items[%d].in", path, i)
		if !cells[item.In.Module+"/"+item.In.Cell] {
			v.refuse(at, item.Name, shown(item.In.Module+"/"+item.In.Cell),
				"a module of the variant and one of its compartments")
		}
		seen := ids{item.ID: true}
		for id := within[item.ID]; id != ""; id = within[id] {
			if seen[id] {
				v.refuse(at, item.Name, "a module that lies in what lies in it", "a module that stands by itself")
				break
			}
			seen[id] = true
		}
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
