package trip

import (
	"math"

	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
)

// Heat values of gas, kWh/kg.
const (
	propaneNet   = 12.87
	propaneGross = 13.98
	butaneNet    = 12.7
	butaneGross  = 13.8
)

// GasUse is what a burner takes, kg/h: kW over the heat value of its gas, net or gross as its label
// counts; a label that does not say is taken as net, which takes more. Propane 12.87 net and 13.98
// gross, butane 12.7 net and 13.8 gross, kWh/kg.
func GasUse(kw float64, basis fitout.KWBasis, gas fitout.GasKind) float64 {
	net, gross := propaneNet, propaneGross
	if gas == fitout.Butane {
		net, gross = butaneNet, butaneGross
	}
	if basis == fitout.BasisGross {
		return kw / gross
	}
	return kw / net
}

// wasteShare is how much of what washes is caught. Practice.
const wasteShare = 0.8

// daily is what is used by the day of each thing, litres.
type daily struct {
	drinking, wash, waste float64
	food                  float64 // kg
}

// dailyOf is what the people and animals of a brief use by the day.
func dailyOf(b *fitout.Brief, provision float64) daily {
	n := brief.NeedsOf(b)
	d := daily{drinking: n.Water.People + n.Water.Animals}
	washing := map[fitout.Washing]float64{fitout.WashBowl: b.Assumptions.WaterBowl,
		fitout.WashShower: b.Assumptions.WaterShower}[b.Camp.Washing]
	for _, t := range b.Travellers {
		if t.Kind != fitout.TravellerPerson {
			continue
		}
		d.food += provision
		if t.Water == 0 { // who says a figure of their own drinks and washes with it
			d.wash += washing
		}
	}
	d.drinking = max(0, d.drinking-d.wash)
	if b.Camp.WasteWater == fitout.WasteCaught {
		d.waste = wasteShare * d.wash
	}
	return d
}

// drawer takes from vessels, the first named first, and tells where one runs dry.
type drawer struct {
	vessels []Vessel
	levels  []float64
}

// holding are the places of the vessels that hold one of some contents, those of the first first.
func (d *drawer) holding(contents ...fitout.Contents) []int {
	var all []int
	for _, c := range contents {
		for i := range d.vessels {
			if d.vessels[i].Holds == c {
				all = append(all, i)
			}
		}
	}
	return all
}

// left is what can be drawn from vessels, litres.
func (d *drawer) left(from []int) float64 {
	sum := 0.0
	for _, i := range from {
		sum += max(0, d.levels[i]-d.vessels[i].Unusable)
	}
	return sum
}

// flow is a use of something on a leg or in a time: so much, evenly, out of vessels in their order,
// or into them where it is negative.
type flow struct {
	of     Want
	amount float64 // litres
	out    []int   // vessels that it is drawn from
	in     []int   // vessels that it goes into
	burner string  // id of the burner that takes it
}

// Want is what somebody wants of the vessels.
type Want string

// What is wanted.
const (
	WantFuel     Want = "fuel"
	WantDrinking Want = "drinking"
	WantWash     Want = "wash"
	WantWaste    Want = "waste" // room for it
	WantFood     Want = "food"
	WantBurner   Want = "burner"
)

// breaks are the shares of a flow, 0 to 1, at which it goes on to the next vessel.
func (d *drawer) breaks(f *flow) []float64 {
	if f.amount <= 0 {
		return nil
	}
	var all []float64
	sum := 0.0
	for _, i := range f.out {
		sum += max(0, d.levels[i]-d.vessels[i].Unusable)
		all = append(all, sum/f.amount)
	}
	sum = 0
	for _, i := range f.in {
		sum += max(0, d.vessels[i].Full-d.levels[i])
		all = append(all, sum/f.amount)
	}
	return all
}

// run lets a share of a flow run, 0 to 1, and returns what was lacking, litres.
func (d *drawer) run(f *flow, share float64) (lacking float64) {
	rest := f.amount * share
	for _, i := range f.out {
		take := math.Min(rest, max(0, d.levels[i]-d.vessels[i].Unusable))
		d.levels[i] -= take
		rest -= take
	}
	for _, i := range f.in {
		put := math.Min(rest, max(0, d.vessels[i].Full-d.levels[i]))
		d.levels[i] += put
		rest -= put
	}
	if rest < 1e-9 {
		return 0
	}
	return rest
}
