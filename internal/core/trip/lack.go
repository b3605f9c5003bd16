package trip

import (
	"math"

	"zaino/internal/core/fitout"
)

// Lack is something that gives out.
type Lack struct {
	Of     Want
	Km     float64 // where it gives out
	Leg    int     // on which it does; −1 at a stop
	Stop   int     // at which it does; −1 on a leg
	Day    int     // from 1
	Litres float64 // lacking in all from there to where there is more
	Burner string  // id of the burner that lacks it
	filled int     // fillings before it of what would end it
}

// endsLack is what must be filled, of waste emptied, for a lack of a want to end. What a burner lacks
// is gas or fuel.
var endsLack = map[Want][]fitout.Contents{
	WantFuel: {
		fitout.HoldsFuel,
	}, WantDrinking: {fitout.HoldsDrinking}, WantWash: {fitout.HoldsWash, fitout.HoldsDrinking},
	WantWaste: {fitout.HoldsWaste}, WantFood: {fitout.HoldsFood}, WantBurner: {fitout.HoldsGas, fitout.HoldsFuel},
}

// lack notes what gives out: what goes on lacking is added to where it began, until there is more.
func (w *Way) lack(l Lack) {
	for _, holds := range endsLack[l.Of] {
		l.filled += w.filled[holds]
	}
	for i := range w.Lacks {
		if last := &w.Lacks[i]; last.Of == l.Of && last.Burner == l.Burner && last.filled == l.filled {
			last.Litres += l.Litres
			return
		}
	}
	w.Lacks = append(w.Lacks, l)
}

// bought is the fuel that goes in at a stop, litres.
func (c *Course) bought(w *Way, stop int) float64 {
	sum := 0.0
	for _, k := range c.fuel {
		sum += max(0, w.Stops[stop].Filled[k])
	}
	return sum
}

// short is what the leg is short of with its reserve, litres; 0 or less where it is not.
func (on *OnLeg) short() float64 { return on.Reserve - on.Left + on.Lacking }

// missing is the fuel that must be brought more from a stop for a leg and all that follow it, up to
// the next filling, to keep their reserves, litres: with what carrying it takes; 0 or less where they
// keep them.
func (c *Course) missing(w *Way, from, leg int) float64 {
	lacking, fuel, most := 0.0, 0.0, math.Inf(-1)
	for k := from; k < len(w.Legs); k++ {
		fuel += w.Legs[k].Fuel
		if k < leg {
			continue
		}
		if k > leg && c.bought(w, k) > settled {
			break
		}
		lacking += w.Legs[k].Lacking
		most = max(most, w.Legs[k].Reserve-w.Legs[k].Left+lacking)
	}
	if most > 0 && c.Route.Mass > 0 && len(c.fuel) > 0 {
		most /= max(0.5, 1-c.Route.ByMass/c.Route.Mass*c.Vessels[c.fuel[0]].Density*fuel)
	}
	return most
}

// before is the last stop up to one at which it is planned to fill; the first where there is none.
func (c *Course) before(stop int) int {
	for ; stop > 0 && !c.planned(stop); stop-- {
	}
	return stop
}
