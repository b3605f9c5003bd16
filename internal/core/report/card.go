package report

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/core/rating"
	"zaino/internal/core/space"
	"zaino/internal/core/trip"
	"zaino/internal/core/words"
)

// Card is what the customer drives with: what stands on each axle and what may
// still be put where, in the state shown.
type Card struct {
	Job      string       `json:"job"`
	Customer string       `json:"customer"`
	Vehicle  string       `json:"vehicle"`
	State    string       `json:"state"`
	Pads     []limits.Pad `json:"pads"`
	Room     []CardRoom   `json:"room" doc:"what may still be put where"`
	Tyres    []string     `json:"tyres" doc:"notes on tyres, springs and airbags"`
	Order    []string     `json:"order" doc:"tanks and vessels in the order of use"`
	Power    []string     `json:"power" doc:"what there is to know of the batteries"`
	Way      []string     `json:"way" doc:"what to do at each stop of the trip; empty where nobody entered its way"`
	Cautions []string     `json:"cautions"`
}

// CardRoom is what one space may still take.
type CardRoom struct {
	Name   string  `json:"name"`
	Load   float64 `json:"load" doc:"kg"`
	Rating float64 `json:"rating" doc:"kg; 0 = not stated"`
	Left   float64 `json:"left" doc:"kg: by every limit that it counts for; 0 for nothing"`
	Binds  string  `json:"binds" doc:"what decides it"`
}

// CardOf makes the loading card of a job's chosen variant in the state shown.
func CardOf(j *fitout.Job) Card {
	p := plan.Of(j)
	t := limits.Of(p)
	c := Card{
		Job: j.Name, Customer: j.Customer, Vehicle: j.Vehicle.Name, State: p.State(&p.Shown), Pads: t.PadsIn(t.Shown()),
		Room: rooms(p, t), Tyres: append(trip.PressureLines(p), tyreNotes(p)...), Order: []string{}, Power: power.CardLines(p), Way: trip.CardLines(p),
		Cautions: cautions,
	}
	names := map[string]string{}
	for _, tank := range j.Vehicle.Tanks {
		names[tank.ID] = tank.Name
	}
	for _, item := range p.Variant.Items {
		names[item.ID] = item.Name
	}
	for _, u := range p.Variant.UsedUp {
		if names[u.Of] != "" {
			c.Order = append(c.Order, names[u.Of])
		}
	}
	return c
}

// rooms are what may still be put into each bay, onto a roof that is no bay, and onto the
// ball.
func rooms(p *plan.Plan, t *limits.Table) []CardRoom {
	all := []CardRoom{}
	roof := false
	for i := range p.Vehicle.Bays {
		b := &p.Vehicle.Bays[i]
		roof = roof || b.Kind == fitout.BayRoof
		thing := fitout.Item{Bay: b.ID}
		middle := space.RoomBox(b).Middle()
		at := load.Moments{}.Add(load.Mass{Kg: 1, X: middle.X, Y: middle.Y, Z: middle.Z})
		all = append(all, roomLeft(t, b.Name, p.LoadIn(b.ID), "bay:"+b.ID, load.Carrier{Kind: load.OneItem, Item: &thing},
			at))
	}
	if onRoof := t.Get("roof"); onRoof != nil && !roof {
		facts := onRoof.Facts()
		all = append(all, CardRoom{
			Name: facts.Title, Rating: facts.Bound.Figure(), Left: facts.Bound.Figure(),
			Binds: "its own rating; no space is measured there",
		})
	}
	if ball := rating.In(p).Get(fitout.LimitBall); ball.Kg > 0 {
		all = append(all, ballLeft(p, t, ball.Kg))
	}
	return all
}

// ballLeft is what may still be put onto the ball, with the trailer that is coupled or
// with any.
func ballLeft(p *plan.Plan, t *limits.Table, rated float64) CardRoom {
	carries, L := 0.0, p.Load.Wheelbase
	if p.Load.Coupled() {
		carries = p.Job.Trailer.Ball
	}
	per := load.Tow(&fitout.Trailer{Ball: 1}, L, p.Vehicle.Hitch.Overhang).Moments(L)
	r := roomLeft(t, "Ball", carries, "ball", load.Carrier{Kind: load.TheTrailer}, per)
	if r.Rating = rated; rated-carries < r.Left || r.Left == 0 && r.Binds == nothingStated {
		r.Left, r.Binds = max(0, rated-carries), "its own rating"
	}
	return r
}

const nothingStated = "nothing is stated"

// roomLeft is what may still be put at a place: the least of what every limit in kg leaves,
// over what a kilogram there counts for on it. own is the id of the place's own limit.
func roomLeft(t *limits.Table, name string, carries float64, own string, c load.Carrier, perKg load.Moments) CardRoom {
	r := CardRoom{Name: name, Load: carries, Left: math.Inf(1)}
	for _, l := range t.All {
		m, isMass := l.(*limits.Mass)
		if !isMass || !m.Facts().Stated() || m.Facts().Echo {
			continue
		}
		f := m.Facts()
		if f.ID == own {
			r.Rating = f.Bound.Figure()
		}
		per := m.Per(c, perKg)
		if per <= 0 {
			continue
		}
		if left := f.Bound.Left(m.Load(t.Shown())) / per; left < r.Left {
			r.Left, r.Binds = left, words.Lower(f.Title)
			if f.ID == own {
				r.Binds = "its own rating"
			}
		}
	}
	if math.IsInf(r.Left, 1) {
		r.Left, r.Binds = 0, nothingStated
	}
	r.Left = max(0, r.Left)
	return r
}

// tyreNotes are the sentences about tyres, springs and airbags that belong on a
// card.
func tyreNotes(p *plan.Plan) []string {
	notes := []string{}
	for _, axle := range []fitout.WhichAxle{fitout.FrontAxle, fitout.RearAxle} {
		if tyre, _ := rating.TyreOn(p.Vehicle, axle); tyre.Index > 0 {
			notes = append(notes,
				fmt.Sprintf("Tyres %s: load index %d. Set their pressure for this load by the maker's table, cold.", axle,
					tyre.Index))
		}
	}
	for i := range p.Vehicle.Modifications {
		if m := &p.Vehicle.Modifications[i]; m.Kind == fitout.Airbags && m.Counted {
			notes = append(notes, m.Name+" level the vehicle; they raise no rating. Let them down when it is empty.")
		}
	}
	if len(notes) == 0 {
		notes = append(notes, "Set tyre pressures for this load by the maker's table, cold.")
	}
	return notes
}
