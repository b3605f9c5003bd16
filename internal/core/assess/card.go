package assess

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
)

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
