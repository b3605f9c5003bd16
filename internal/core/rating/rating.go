// Package rating tells which of all the ratings on a vehicle binds: plate,
// upgrade, tyres, hitch, rack. Limits come from plates and papers; nothing here
// makes one up, and springs and airbags never raise one.
package rating

import "zaino/internal/core/fitout"

// Kind is where a bound comes from.
type Kind string

// The kinds of bound.
const (
	ByPlate        Kind = "plate"
	ByUpgrade      Kind = "upgrade"
	ByTyres        Kind = "tyres"
	ByHitch        Kind = "hitch"
	ByRack         Kind = "rack"
	ByModification Kind = "modification"
)

// Bound is one rating that bears on a limit.
type Bound struct {
	Kind   Kind               `json:"kind" enum:"plate,upgrade,tyres,hitch,rack,modification"`
	ID     string             `json:"id" doc:"id of the modification, if it is one"`
	Name   string             `json:"name" doc:"name of the modification, if it is one"`
	Kg     float64            `json:"kg" doc:"kg"`
	Source fitout.LimitSource `json:"source" enum:"plate,papers,data-sheet,estimate"`
	Binds  bool               `json:"binds" doc:"this one is the limit"`
	Void   Void               `json:"void" enum:",replaced,raises-nothing" doc:"why it does not count; empty when it does"`
}

// Void is why a bound does not count.
type Void string

// Why a bound does not count.
const (
	Valid         Void = ""
	Replaced      Void = "replaced"       // an upgrade takes its place
	RaisesNothing Void = "raises-nothing" // springs and airbags carry no rating of the vehicle
)

// Rating is a limit with every bound on it. The lowest that counts binds.
type Rating struct {
	Limit  fitout.LimitID     `json:"limit" enum:"gross,frontAxle,rearAxle,combination,ball,trailerBraked,trailerUnbraked,placard,roofMoving,roofParked"`
	Kg     float64            `json:"kg" doc:"the bound that binds, kg; 0 = nothing known"`
	Stated bool               `json:"stated" doc:"plate, papers or an upgrade state it; otherwise only lesser bounds are known"`
	Source fitout.LimitSource `json:"source" enum:"plate,papers,data-sheet,estimate" doc:"where the binding figure was read"`
	Bounds []Bound            `json:"bounds"`
}

// Of returns the rating of one limit: the plate's figure, or that of the last
// counted upgrade in its place, and the lowest of it and every other bound.
func Of(v *fitout.Vehicle, id fitout.LimitID) Rating {
	plate := v.Limits.Get(id)
	r := Rating{Limit: id, Source: plate.Source, Bounds: []Bound{}}
	if plate.Kg > 0 {
		r.Bounds = append(r.Bounds, Bound{Kind: ByPlate, Kg: plate.Kg, Source: plate.Source})
	}
	for i := range v.Modifications {
		m := &v.Modifications[i]
		for _, moved := range m.Limits {
			if m.Counted && moved.Limit == id && moved.Kg > 0 {
				r.add(m, moved.Kg)
			}
		}
	}
	r.tyres(v, id)
	r.hitch(v, id)
	r.bind()
	return r
}

// All returns the rating of every limit, in the order of fitout.LimitIDs.
func All(v *fitout.Vehicle) []Rating {
	all := make([]Rating, len(fitout.LimitIDs))
	for i, id := range fitout.LimitIDs {
		all[i] = Of(v, id)
	}
	return all
}

// add takes in what a counted modification says of this limit.
func (r *Rating) add(m *fitout.Modification, kg float64) {
	b := Bound{Kind: ByModification, ID: m.ID, Name: m.Name, Kg: kg, Source: fitout.FromPapers}
	switch m.Kind {
	case fitout.GrossUpgrade, fitout.AxleRating:
		b.Kind = ByUpgrade
		for i := range r.Bounds {
			if k := r.Bounds[i].Kind; k == ByPlate || k == ByUpgrade {
				r.Bounds[i].Void = Replaced
			}
		}
	case fitout.Springs, fitout.Airbags:
		b.Void = RaisesNothing
	case fitout.RoofRack:
		b.Kind, b.Source = ByRack, fitout.FromDataSheet
	case fitout.Towing:
		b.Kind, b.Source = ByHitch, fitout.FromPlate
	}
	r.Bounds = append(r.Bounds, b)
}

func (r *Rating) tyres(v *fitout.Vehicle, id fitout.LimitID) {
	axle := fitout.FrontAxle
	switch id {
	case fitout.LimitFrontAxle:
	case fitout.LimitRearAxle:
		axle = fitout.RearAxle
	default:
		return
	}
	tyre, from := TyreOn(v, axle)
	if kg, ok := AxleKg(tyre); ok {
		r.Bounds = append(r.Bounds, Bound{Kind: ByTyres, Name: from, Kg: kg, Source: fitout.FromPlate})
	}
}

func (r *Rating) hitch(v *fitout.Vehicle, id fitout.LimitID) {
	kg := 0.0
	switch id {
	case fitout.LimitBall:
		kg = v.Hitch.Ball
	case fitout.LimitTrailerBraked, fitout.LimitTrailerUnbraked:
		kg = v.Hitch.Trailer
	}
	if kg > 0 {
		r.Bounds = append(r.Bounds, Bound{Kind: ByHitch, Kg: kg, Source: fitout.FromPlate})
	}
}

// bind marks the lowest bound that counts.
func (r *Rating) bind() {
	lowest := -1
	for i := range r.Bounds {
		b := &r.Bounds[i]
		if b.Void != Valid {
			continue
		}
		if b.Kind == ByPlate || b.Kind == ByUpgrade {
			r.Stated = true
		}
		if lowest < 0 || b.Kg < r.Bounds[lowest].Kg {
			lowest = i
		}
	}
	if lowest >= 0 {
		b := &r.Bounds[lowest]
		b.Binds, r.Kg, r.Source = true, b.Kg, b.Source
	}
}
