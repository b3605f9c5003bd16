package assess

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
)

// Account is where the figures of a state come from: every mass with its place and
// its share of each axle, the formulas with the numbers put in, and the source of
// each limit. It can be handed to an engineer or inspector.
type Account struct {
	Job      string         `json:"job"`
	Customer string         `json:"customer"`
	Variant  string         `json:"variant"`
	State    string         `json:"state" doc:"in words"`
	Baseline string         `json:"baseline" doc:"what the empty figure contains and where it comes from"`
	Rows     []AccountRow   `json:"rows"`
	Sum      AccountRow     `json:"sum"`
	Formulas []Formula      `json:"formulas"`
	Limits   []AccountLimit `json:"limits"`
	Cautions []string       `json:"cautions"`
}

// AccountRow is one mass. Lengths are in mm in the vehicle's frame.
type AccountRow struct {
	Group  string  `json:"group"`
	Name   string  `json:"name"`
	Source string  `json:"source"`
	Kg     float64 `json:"kg"`
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Z      float64 `json:"z"`
	Moment float64 `json:"moment" doc:"kg·m about the front axle"`
	Front  float64 `json:"front" doc:"kg"`
	Rear   float64 `json:"rear" doc:"kg"`
}

// Formula is one figure with its formula and the numbers put in.
type Formula struct {
	Name    string `json:"name"`
	Formula string `json:"formula"`
	Numbers string `json:"numbers"`
}

// AccountLimit is one limit with its load and its source.
type AccountLimit struct {
	Pad
	Source string `json:"source"`
}

// cautions belong to every page that leaves the house.
var cautions = []string{
	"Limits come from the vehicle's plate and papers, not from this tool.",
	"Masses that were not weighed are estimates; the last word has a public weighbridge.",
	"Corner loads and tip angles are simplified.",
	"Brakes, steering, seat belts, mains voltage, gas, fuel systems, structural changes and gross-mass upgrades belong to licensed or certified people under local rules.",
}

// sourceWords are what a table calls the sources of a mass.
var sourceWords = map[fitout.MassSource]string{fitout.ByScale: "weighed", fitout.DataSheet: "data sheet", fitout.ByMaterial: "from material", fitout.Estimate: "estimate"}

// AccountOf accounts for the state shown of a job's chosen variant.
func AccountOf(j *fitout.Job) Account {
	s := newSubject(j)
	shown := s.plan.Shown()
	a := Account{Job: j.Name, Customer: j.Customer, Variant: s.variant.Name, State: s.say.state(s.variant, shown), Baseline: s.baselineWords(), Rows: []AccountRow{}, Cautions: cautions}
	add := func(group, name, source string, m load.Mass) {
		if m.Kg == 0 {
			return
		}
		axles := load.Moments{}.Add(m).Axles(s.plan.Wheelbase)
		a.Rows = append(a.Rows, AccountRow{group, name, source, m.Kg, m.X, m.Y, m.Z, m.Kg * m.X / 1000, axles.Front, axles.Rear})
	}
	shift := 0.0
	if e := j.Vehicle.Extension; e != nil {
		shift = e.By
	}
	add("Vehicle", "Dry vehicle", "baseline", s.plan.Dry)
	for i := range j.Vehicle.Parts {
		p := &j.Vehicle.Parts[i]
		for n, m := range load.PartChange(p, shift) {
			add("Vehicle", p.Name+map[int]string{0: "", 1: ", where it is now"}[n], sourceWords[p.Source], m)
		}
	}
	for i := range j.Vehicle.Modifications {
		m := &j.Vehicle.Modifications[i]
		add("Modifications", m.Name, sourceWords[m.Source], load.ModificationChange(m, shift))
	}
	for i := range j.Vehicle.Tanks {
		add("Tanks", j.Vehicle.Tanks[i].Name, "by its content", s.plan.Tanks[i].Mass)
	}
	for i := range s.variant.Items {
		if item := &s.variant.Items[i]; s.plan.Items[i].Present && !s.plan.Items[i].Trailer {
			group := item.Group
			if group == "" {
				group = "Items"
			}
			add(group, item.Name, sourceWords[item.Source], s.plan.Items[i].Mass)
		}
	}
	if s.plan.Coupled() {
		t := s.plan.Towing.Vehicle
		a.Rows = append(a.Rows, AccountRow{Group: "Trailer", Name: j.Trailer.Name + ", on the hitch", Source: "papers", Kg: t.Gross(), Moment: t.Rear * s.plan.Wheelbase / 1000, Front: t.Front, Rear: t.Rear})
	}
	a.Sum = AccountRow{Name: "Together"}
	for _, r := range a.Rows {
		a.Sum.Kg, a.Sum.Moment, a.Sum.Front, a.Sum.Rear = a.Sum.Kg+r.Kg, a.Sum.Moment+r.Moment, a.Sum.Front+r.Front, a.Sum.Rear+r.Rear
	}
	a.Formulas = s.formulas(&a)
	for i := range s.limits {
		l := &s.limits[i]
		a.Limits = append(a.Limits, AccountLimit{l.pad(), source(l.limit.Source)})
	}
	return a
}

func (s *subject) baselineWords() string {
	b := &s.job.Vehicle.Baseline
	words := map[fitout.Definition]string{
		fitout.Tare: "tare: 10 L of fuel, nobody aboard", fitout.Kerb: "kerb: full fuel, nobody aboard", fitout.RunningOrder: "mass in running order: 90 % fuel and a driver of 75 kg",
		fitout.Unladen: "unladen: no fuel, nobody aboard", fitout.AsWeighed: fmt.Sprintf("as weighed, %d tickets combined, each with what was aboard that day taken off", len(s.weighing.Tickets)),
	}[b.Definition]
	if b.Definition != fitout.AsWeighed && b.Split == fitout.SplitAssumed {
		words += "; the axle split is assumed"
	}
	dry := load.Moments{}.Add(s.plan.Dry).Axles(s.plan.Wheelbase)
	return fmt.Sprintf("The empty figure is %s. Each of these is taken off at its own station, which leaves the dry vehicle: front %s, rear %s.", words, s.say.mass(dry.Front), s.say.mass(dry.Rear))
}

// formulas are the figures of statics with their numbers put in, in kg and mm.
func (s *subject) formulas(a *Account) []Formula {
	L := s.plan.Wheelbase
	m := s.now
	c := m.Centre()
	corners := m.Corners(L, s.plan.TrackFront, s.plan.TrackRear)
	ssf, tip := load.Stability(s.plan.TrackFront, s.plan.TrackRear, c.Z)
	n := func(x float64) string { return fmt.Sprintf("%.1f", x) }
	all := []Formula{
		{"Rear axle", "R = Σ m x / L", fmt.Sprintf("%s kg·m × 1000 / %s mm = %s kg", n(a.Sum.Moment), n(L), n(a.Sum.Rear))},
		{"Front axle", "F = Σ m − R", fmt.Sprintf("%s − %s = %s kg", n(a.Sum.Kg), n(a.Sum.Rear), n(a.Sum.Front))},
		{"Centre of gravity", "x = Σ m x / Σ m, y and z likewise", fmt.Sprintf("%s, %s, %s mm, without trailer", n(c.X), n(c.Y), n(c.Z))},
		{"Left and right wheels", "each mass by ½ ∓ y / T on its axle, an estimate", fmt.Sprintf("%s and %s kg", n(corners.Left()), n(corners.Right()))},
		{"Side tip angle", "atan(T / 2z), an upper bound", fmt.Sprintf("static stability factor %.3f, %.1f°", ssf, tip)},
	}
	if s.job.Trailer != nil && s.plan.Coupled() {
		t := s.job.Trailer
		all = append(all, Formula{"Ball on the axles", "R + B (L + overhang) / L, F − B overhang / L", fmt.Sprintf("ball %s kg, %s mm behind the rear axle: rear %+.1f, front %+.1f kg", n(t.Ball), n(s.job.Vehicle.Hitch.Overhang), s.plan.Towing.Vehicle.Rear, s.plan.Towing.Vehicle.Front)})
	}
	for i := range s.limits {
		if l := &s.limits[i]; l.stated() {
			all = append(all, Formula{"Probability over, " + lower(l.title), "1 − Φ((limit − load) / σ)", fmt.Sprintf("(%s − %s) / %s kg: %.1f %%", n(l.limit.Kg), n(l.load), n(l.sigma), 100*load.Over(l.load, l.limit.Kg, l.sigma))})
		}
	}
	return all
}

// Card is what the customer drives with: what stands on each axle and what may
// still be put where, in the state shown.
type Card struct {
	Job      string     `json:"job"`
	Customer string     `json:"customer"`
	Vehicle  string     `json:"vehicle"`
	State    string     `json:"state"`
	Pads     []Pad      `json:"pads"`
	Room     []CardRoom `json:"room" doc:"what may still be put where"`
	Tyres    []string   `json:"tyres" doc:"notes on tyres, springs and airbags"`
	Order    []string   `json:"order" doc:"tanks and vessels in the order of use"`
	Cautions []string   `json:"cautions"`
}

// CardRoom is what one space may still take.
type CardRoom struct {
	Name   string  `json:"name"`
	Load   float64 `json:"load" doc:"kg"`
	Rating float64 `json:"rating" doc:"kg; 0 = not stated"`
	Left   float64 `json:"left" doc:"kg: by its own rating and by every axle and the gross; 0 for nothing"`
	Binds  string  `json:"binds" doc:"what decides it"`
}

// CardOf makes the loading card of a job's chosen variant in the state shown.
func CardOf(j *fitout.Job) Card {
	s := newSubject(j)
	shown := s.plan.Shown()
	c := Card{Job: j.Name, Customer: j.Customer, Vehicle: j.Vehicle.Name, State: s.say.state(s.variant, shown), Room: []CardRoom{}, Tyres: []string{}, Order: []string{}, Cautions: cautions}
	for i := range s.limits {
		c.Pads = append(c.Pads, s.limits[i].pad())
	}
	for i := range s.bench.bays {
		b := &s.bench.bays[i]
		c.Room = append(c.Room, s.roomLeft(b.Name, b.Room.Middle().X, s.loadIn(b.ID), b.Rating))
	}
	if ball := s.rating(fitout.LimitBall); ball.Kg > 0 {
		carries := 0.0
		if s.plan.Coupled() {
			carries = j.Trailer.Ball
		}
		c.Room = append(c.Room, s.roomLeft("Ball", s.plan.Wheelbase+j.Vehicle.Hitch.Overhang, carries, ball.Kg))
	}
	c.Tyres = s.tyreNotes()
	names := map[string]string{}
	for _, t := range j.Vehicle.Tanks {
		names[t.ID] = t.Name
	}
	for _, item := range s.variant.Items {
		names[item.ID] = item.Name
	}
	for _, u := range s.variant.UsedUp {
		if names[u.Of] != "" {
			c.Order = append(c.Order, names[u.Of])
		}
	}
	return c
}

// roomLeft is what may still be put at a place: the least of what its own rating,
// each axle and the gross leave, with the axles at x / L and 1 − x / L.
func (s *subject) roomLeft(name string, x, carries, rating float64) CardRoom {
	r := CardRoom{Name: name, Load: carries, Rating: rating, Left: math.Inf(1)}
	bind := func(left float64, by string) {
		if left < r.Left {
			r.Left, r.Binds = left, by
		}
	}
	if rating > 0 {
		bind(rating-carries, "its own rating")
	}
	for i := range s.limits {
		l := &s.limits[i]
		per := l.form.Of(load.Moments{}.Add(load.Mass{Kg: 1, X: x}))
		if l.stated() && per > 0 {
			bind(-l.over()/per, lower(l.title))
		}
	}
	if math.IsInf(r.Left, 1) {
		r.Left, r.Binds = 0, "nothing is stated"
	}
	r.Left = max(0, r.Left)
	return r
}

// tyreNotes are the sentences about tyres, springs and airbags that belong on a
// card.
func (s *subject) tyreNotes() []string {
	notes := []string{}
	for _, axle := range []struct {
		name  string
		index int
	}{{"front", s.job.Vehicle.Front.Tyre.Index}, {"rear", s.job.Vehicle.Rear.Tyre.Index}} {
		if axle.index > 0 {
			notes = append(notes, fmt.Sprintf("Tyres %s: load index %d. Set their pressure for this load by the maker's table, cold.", axle.name, axle.index))
		}
	}
	for i := range s.job.Vehicle.Modifications {
		if m := &s.job.Vehicle.Modifications[i]; m.Kind == fitout.Airbags && m.Counted {
			notes = append(notes, m.Name+" level the vehicle; they raise no rating. Let them down when it is empty.")
		}
	}
	if len(notes) == 0 {
		notes = append(notes, "Set tyre pressures for this load by the maker's table, cold.")
	}
	return notes
}
