package load

import "math"

// Form is a linear form over the state of loading: coefficients of the moments
// and of the trailer's axle load. Every limit of a vehicle is one of these, and
// that is why its worst state can be found exactly.
type Form struct{ Kg, X, Y, Z, XY, Towed float64 }

// Of applies the form to moments.
func (f Form) Of(m Moments) float64 {
	return f.Kg*m.Kg + f.X*m.X + f.Y*m.Y + f.Z*m.Z + f.XY*m.XY + f.Towed*m.Towed
}

// Count counts the moments of every carrier by the form, of the coupled trailer
// too.
func (f Form) Count() Count {
	return func(_ Carrier, m Moments) float64 { return f.Of(m) }
}

// OfVehicle counts by the form what stands on the vehicle itself; a trailer on its
// hitch is left out.
func (f Form) OfVehicle() Count {
	return func(c Carrier, m Moments) float64 {
		if c.Kind == TheTrailer {
			return 0
		}
		return f.Of(m)
	}
}

// Negative turns the greatest into the least.
func (f Form) Negative() Form { return Form{-f.Kg, -f.X, -f.Y, -f.Z, -f.XY, -f.Towed} }

// FrontForm is the front axle load: M − X/L.
func (p *Plan) FrontForm() Form { return Form{Kg: 1, X: -1 / p.Wheelbase} }

// RearForm is the rear axle load: X/L.
func (p *Plan) RearForm() Form { return Form{X: 1 / p.Wheelbase} }

// GrossForm is the gross mass.
func (p *Plan) GrossForm() Form { return Form{Kg: 1} }

// CombinationForm is the mass of vehicle and trailer together.
func (p *Plan) CombinationForm() Form { return Form{Kg: 1, Towed: 1} }

// LeftForm is the load on both left wheels, see Corners.
func (p *Plan) LeftForm() Form {
	return Form{Kg: 0.5, Y: -1 / p.TrackFront, XY: 1/(p.Wheelbase*p.TrackFront) - 1/(p.Wheelbase*p.TrackRear)}
}

// RightForm is the load on both right wheels, see Corners.
func (p *Plan) RightForm() Form {
	f := p.LeftForm()
	return Form{Kg: 0.5, Y: -f.Y, XY: -f.XY}
}

// FrontShareForm is what is missing to a front share of the gross, kg:
// share·M − F. It is positive where the front is too light.
func (p *Plan) FrontShareForm(share float64) Form {
	f := p.FrontForm()
	return Form{Kg: share - f.Kg, X: -f.X}
}

// TipForm is how far the centre of gravity is above the height at which the side
// tip angle is so many degrees, times the mass: Σ m z − z* Σ m with
// z* = T̄ / (2 tan angle). It is positive where the vehicle tips sooner.
func (p *Plan) TipForm(angle float64) Form {
	height := (p.TrackFront + p.TrackRear) / 4 / math.Tan(angle*math.Pi/180)
	return Form{Kg: -height, Z: 1}
}

// Sensitivity is how a form answers to one mass: per kg at its place, and per
// mm that it is moved rearward.
type Sensitivity struct {
	PerKg float64 `json:"perKg" doc:"kg per kg"`
	PerMM float64 `json:"perMM" doc:"kg per mm rearward"`
}

// Sensitivity returns the partial derivatives of the form at a mass.
func (f Form) Sensitivity(m Mass) Sensitivity {
	return Sensitivity{
		PerKg: f.Of(Moments{}.Add(Mass{1, m.X, m.Y, m.Z})),
		PerMM: m.Kg * (f.X + f.XY*m.Y),
	}
}
