package load

import "zaino/internal/core/fitout"

// Carrier says what a mass belongs to: one item, one tank, the empty vehicle, or
// the trailer.
type Carrier struct {
	Kind  CarrierKind
	Index int          // of the item in the variant, of the tank in the vehicle
	Item  *fitout.Item // for an item
	Tank  *fitout.Tank // for a tank
}

// CarrierKind is one of the four kinds of carrier.
type CarrierKind int

// The kinds of carrier. Parts and modifications belong to the empty vehicle.
const (
	EmptyVehicle CarrierKind = iota
	OneItem
	OneTank
	TheTrailer
)

// Count is what the moments of a carrier count for: so many kg on an axle, on a
// rack, on a ball. It has to be linear in the moments; that is why the worst state
// of anything that is counted so can be found exactly.
type Count func(c Carrier, m Moments) float64

// Carrier is item i as a carrier.
func (p *Plan) Carrier(i int) Carrier { return Carrier{OneItem, i, &p.variant.Items[i], nil} }

// tank is tank i as a carrier.
func (p *Plan) tank(i int) Carrier { return Carrier{OneTank, i, nil, &p.vehicle.Tanks[i]} }

// Moments are those of item i where it is in the plan, aboard or not, with the trailer
// coupled.
func (p *Plan) Moments(i int) Moments { return p.Items[i].onto(Moments{}, true) }
