// Package trip follows a vehicle along the way of its trip: what every tank and vessel holds
// at each km, what stands on each axle, where it gives out, and what is best filled where.
// Figures are estimates; all of them follow from the route, the brief and the plumbing of the
// variant.
package trip

import "zaino/internal/core/fitout"

// LegUse is what decides the fuel of a leg.
type LegUse struct {
	Km          float64 // km
	Consumption float64 // on a sealed road without trailer, L/100 km
	Surface     float64 // Σ share · factor of its surfaces; 1 for a sealed road
	Wind        float64 // share that head wind takes more
	Tow         float64 // factor of the trailer; 1 without
	Mass        float64 // factor of the mass, of MassFactor
	Idle        float64 // h with the engine standing
	IdleUse     float64 // L/h
}

// Litres is the fuel of a leg, L: km/100 · c · Σ share · factor · tow · mass + idle h · L/h, with
// head wind as a share on top. It is an estimate.
func (l LegUse) Litres() float64 {
	return l.Km/100*l.Consumption*l.Surface*(1+l.Wind)*l.Tow*l.Mass + l.Idle*l.IdleUse
}

// MassFactor is what the gross does to consumption: 1 + k (M − M_ref)/M_ref, at least 0.5, with
// M and M_ref in kg. Practice: k 0.3. It is 1 where M_ref or k is 0.
func MassFactor(k, mass, reference float64) float64 {
	if k == 0 || reference == 0 {
		return 1
	}
	return max(0.5, 1+k*(mass-reference)/reference)
}

// SurfaceFactor is Σ share · factor over the surfaces of a leg by their shares; of a leg that says
// nothing, and of one whose surfaces are gone, that of the brief. 1 where nothing has a share.
func SurfaceFactor(leg *fitout.Leg, surfaces []fitout.Surface) float64 {
	share, sum := 0.0, 0.0
	for _, s := range leg.Surfaces {
		for i := range surfaces {
			if surfaces[i].ID == s.Surface {
				share, sum = share+s.Share, sum+s.Share*surfaces[i].Factor
			}
		}
	}
	if share > 0 {
		return sum / share
	}
	for _, s := range surfaces {
		share, sum = share+s.Share, sum+s.Share*s.Factor
	}
	if share > 0 {
		return sum / share
	}
	return 1
}
