package load

import (
	"math"

	"zaino/internal/core/fitout"
)

// Baseline is how sure the empty vehicle is, as it was weighed or read, before any
// wheelbase extension; standard uncertainties in kg.
type Baseline struct {
	Front float64 // of the front axle
	Rear  float64 // of the rear axle, apart from what it errs with the front
	With  float64 // what the rear axle errs with the front; negative where load only moves across
	Total float64 // where one total was split: of the total
	Split float64 // and of what is on either axle by that split
	Share float64 // of the total on the front axle by that split, 0 to 1
	Side  float64 // of its centre of gravity to the side, mm

	// Parts is what a kilogram more of a part or modification makes the dry vehicle on
	// each axle, by its id: what a ticket has aboard beyond it was taken off.
	Parts map[string]Axles
}

// BaselineOf returns the uncertainty of a vehicle's baseline: of weighed ones what
// the tickets say together, of papers their share of each axle, of an assumed
// split their share of the total and of the split.
func BaselineOf(v *fitout.Vehicle, w *Weighing, u *fitout.Uncertainty) Baseline {
	b := &v.Baseline
	known := Baseline{Side: u.Station}
	switch {
	case b.Definition == fitout.AsWeighed && w != nil:
		if w.HasSide {
			known.Side = w.SideSigma
		}
		known.Parts = w.parts
		if !w.Split {
			known.Total, known.Split, known.Share = w.covariance.total(), u.Split*w.Axles.Gross(), b.FrontShare
			return known
		}
		known.Front, known.With, known.Rear = w.covariance.factors()
	case b.Split == fitout.SplitAssumed:
		known.Total, known.Split, known.Share = u.DataSheet*b.Total, u.Split*b.Total, b.FrontShare
	default:
		known.Front, known.Rear = u.DataSheet*b.Front, u.DataSheet*b.Rear
	}
	return known
}

// baselineErrors are the errors of the empty vehicle as it was weighed. What is on
// the rear axle rests where that was then, at the wheelbase before any extension.
func (p *Plan) baselineErrors(b Baseline) []Err {
	L, y := p.weighedAt, p.Dry.Y
	vehicle := func(name string, front, rear float64) Err {
		return p.ofVehicle(
			name,
			Moments{}.Add(Mass{Kg: front, Y: y, Z: p.Dry.Z}).Add(Mass{Kg: rear, X: L, Y: y, Z: p.Dry.Z}),
		)
	}
	errors := []Err{p.ofVehicle("side", Moments{Y: p.Dry.Kg * b.Side, XY: p.Dry.Kg * p.Dry.X * b.Side})}
	if b.Total > 0 || b.Split > 0 {
		return append(
			errors,
			vehicle("total", b.Total*b.Share, b.Total*(1-b.Share)),
			vehicle("split", -b.Split, b.Split),
		)
	}
	return append(errors, vehicle("front", b.Front, b.With), vehicle("rear", 0, b.Rear))
}

// ofVehicle is an error of the empty vehicle by its name.
func (p *Plan) ofVehicle(name string, m Moments) Err {
	return Err{[]ErrPart{{Delta: m, Weighed: m}}, name, p.known(p.vehicleKey(name))}
}

// partErrors are the errors of the masses of parts and modifications: of each what it
// changes against the baseline, and what its mass did to the weighing of that.
func (p *Plan) partErrors(b Baseline, u *fitout.Uncertainty) []Err {
	var errors []Err
	add := func(id string, source fitout.MassSource, kg float64, per Moments) {
		if weighed, ok := b.Parts[id]; ok {
			per = per.Add(Mass{Kg: weighed.Front, Z: p.Dry.Z}).Add(Mass{Kg: weighed.Rear, X: p.weighedAt, Z: p.Dry.Z})
		}
		if per != (Moments{}) && kg != 0 {
			errors = append(errors, p.ofVehicle("part "+id, per.Times(MassSigma(source, kg, u))))
		}
	}
	for i := range p.vehicle.Parts {
		part := p.vehicle.Parts[i]
		kg := part.Mass
		part.Mass = 1
		change := PartChange(&part)
		add(part.ID, part.Source, kg, Moments{}.Add(change[0]).Add(change[1]))
	}
	for i := range p.vehicle.Modifications {
		m := p.vehicle.Modifications[i]
		kg := m.Mass
		m.Mass = 1
		add(m.ID, m.Source, kg, Moments{}.Add(ModificationChange(&m)))
	}
	return errors
}

// covariance is that of the loads on the front and the rear axle, kg².
type covariance struct{ front, both, rear float64 }

// total is the standard uncertainty of the sum, kg.
func (c covariance) total() float64 { return math.Sqrt(max(0, c.front+2*c.both+c.rear)) }

// factors are what one standard deviation of each of two independent errors does:
// the first to the front and to the rear axle, the second to the rear alone.
func (c covariance) factors() (front, with, rear float64) {
	front = math.Sqrt(max(0, c.front))
	if front > 0 {
		with = c.both / front
	}
	return front, with, math.Sqrt(max(0, c.rear-with*with))
}
