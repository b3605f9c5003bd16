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
// keep them. What another vessel would have to hold is more where a share of all that the tanks give is
// kept back: that share of it is kept back too.
func (c *Course) missing(w *Way, from, leg int, another bool) float64 {
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
		short := w.Legs[k].Reserve - w.Legs[k].Left + lacking
		most = max(most, c.carried(short, fuel, 0))
		if another {
			most = max(most, c.carried(short+c.keptBack()-w.Legs[k].Reserve, fuel, c.Route.Reserve.Share))
		}
	}
	return most
}

// carried is how much must be carried for so much to be there after legs that take so much fuel, litres: carrying it
// takes some, and a share of it may be kept back.
func (c *Course) carried(short, fuel, kept float64) float64 {
	if short <= 0 || len(c.fuel) == 0 {
		return short
	}
	takes := 0.0
	if c.Route.Mass > 0 {
		takes = c.Route.ByMass / c.Route.Mass * c.Vessels[c.fuel[0]].Density * fuel
	}
	return short / max(0.5, 1-takes-kept)
}

// keptBack is the share of all that the tanks give that is kept back, litres.
func (c *Course) keptBack() float64 {
	usable := 0.0
	for _, i := range c.fuel {
		usable += c.Vessels[i].Usable()
	}
	return c.Route.Reserve.Share * usable
}

// before is the last stop up to one at which it is planned to fill; the first where there is none.
func (c *Course) before(stop int) int {
	for ; stop > 0 && !c.planned(stop); stop-- {
	}
	return stop
}
