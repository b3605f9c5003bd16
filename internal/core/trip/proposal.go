package trip

import (
	"errors"
	"math"
	"slices"

	"zaino/internal/core/fitout"
)

// Manner is a way to fill fuel on a trip.
type Manner string

// The manners.
const (
	Cheapest   Manner = "cheapest"
	Lightest   Manner = "lightest"
	WithinAxle Manner = "axles"
)

// Manners are all of them.
var Manners = []Manner{Lightest, Cheapest, WithinAxle}

// Proposal is one way to fill fuel on the trip.
type Proposal struct {
	Manner Manner
	Fills  []fitout.StopFill // of the fuel vessels, at every stop that is planned with
	Order  []string          // ids of the fuel vessels in the order in which they are to be used up
	Way    *Way
	Worst  Worst
	Bound  float64 // of WithinAxle: no plan at all has a smaller greatest load over its limit
	Exact  bool    // nothing better is possible
	Refuse *Impossible
}

// settled is by how much the fuel of a leg may still change between two rounds, litres.
const settled = 0.1

// mostRounds is how often a plan is made anew with the masses that it leads to.
const mostRounds = 20

// Propose finds how to fill in one manner. The fuel of each leg is first taken at the heaviest gross
// that is allowed, and then anew with the masses of the plan until it does not change any more. All
// that is not fuel is filled as the variant says.
func (c *Course) Propose(manner Manner) Proposal {
	p := Proposal{Manner: manner}
	n := len(c.Route.Stops)
	if n < 2 || len(c.fuel) == 0 {
		p.Way = c.Follow(c.Plan.Variant.Fills)
		p.Worst = c.worst(p.Way)
		return p
	}
	heaviest := 0.0
	for _, b := range c.bounds() {
		if b.id == "gross" {
			heaviest = b.most
		}
	}
	fuels := make([]float64, n-1)
	for i := range fuels {
		mass := heaviest
		if mass == 0 {
			mass = c.scale.at(c.full(), c.Towing(i)).Gross
		}
		fuels[i] = c.use(i, mass).Litres()
	}
	for range mostRounds {
		next, err := c.propose(manner, fuels)
		if err != nil {
			var impossible Impossible
			if errors.As(err, &impossible) {
				p.Refuse = &impossible
			}
			return p
		}
		p = next
		change := 0.0
		for i := range fuels {
			change = max(change, math.Abs(p.Way.Legs[i].Fuel-fuels[i]))
			fuels[i] = p.Way.Legs[i].Fuel
		}
		if change < settled {
			break
		}
	}
	return p
}

// Reach tells where full tanks do not reach from one sure pump to the next, with the fuel of the
// legs as they are driven; nothing where they do.
func (c *Course) Reach(w *Way) *Impossible {
	fuels := make([]float64, len(w.Legs))
	for i := range fuels {
		fuels[i] = w.Legs[i].Fuel
	}
	var impossible Impossible
	if errors.As(c.line(Cheapest, fuels).check(), &impossible) {
		return &impossible
	}
	return nil
}

// anotherVessel is what another vessel would have to hold for a way that full tanks do not reach, litres: what is lacking,
// what carrying it takes, and the share of it that is kept back.
func (c *Course) anotherVessel(w *Way, refuse *Impossible) float64 {
	fuel, reserve := 0.0, math.Inf(1)
	for k := refuse.From; k < min(refuse.To, len(w.Legs)); k++ {
		fuel, reserve = fuel+w.Legs[k].Fuel, min(reserve, w.Legs[k].Reserve)
	}
	return max(c.carried(refuse.Lacking, fuel, 0),
		c.carried(refuse.Lacking+c.keptBack()-reserve, fuel, c.Route.Reserve.Share))
}

// Quick tells whether ways to fill are found while somebody waits for every key: few legs and tanks.
func (c *Course) Quick() bool { return len(c.Route.Stops)*len(c.fuel) <= 60 }

// full is every vessel full.
func (c *Course) full() []float64 {
	levels := make([]float64, len(c.Vessels))
	for i := range levels {
		levels[i] = c.Vessels[i].Full
	}
	return levels
}

// propose finds how to fill where each leg takes so much fuel.
func (c *Course) propose(manner Manner, fuels []float64) (Proposal, error) {
	if manner == WithinAxle {
		return c.balanced(fuels)
	}
	line := c.line(manner, fuels)
	filling, err := line.Lightest()
	if manner == Cheapest {
		filling, err = line.Cheapest()
	}
	if err != nil {
		return Proposal{}, err
	}
	// Into which tank it goes is free: of the ways to do it the one that is kindest to the limits.
	best := Proposal{Manner: manner, Exact: true}
	for _, into := range orders(c.fuel) {
		p := c.put(manner, filling.Buy, fuels, into)
		if best.Way == nil || p.Worst.Share() < best.Worst.Share()-1e-9 {
			p.Exact, best = true, p
		}
	}
	return best, nil
}

// planned tells whether fuel is planned with at a stop.
func (c *Course) planned(stop int) bool {
	_, has := c.fuelAt(stop)
	return has && c.Route.Stops[stop].Sure == fitout.Sure && Open(c.Route, &c.Days, stop)
}

// aboard is what a fuel vessel holds before anything is filled at the start, litres. For the least
// money that is what is in it; for the least mass it need not have been filled, where there is a
// pump at the start.
func (c *Course) aboard(manner Manner, v *Vessel) float64 {
	if manner != Cheapest && c.planned(0) {
		return min(v.Min, v.Now, v.Full)
	}
	return min(v.Now, v.Full)
}

func (c *Course) line(manner Manner, fuels []float64) *Line {
	l := &Line{}
	for _, k := range c.fuel {
		v := &c.Vessels[k]
		l.Capacity += v.Usable()
		l.Aboard += max(0, c.aboard(manner, v)-v.Unusable)
	}
	for i := range fuels {
		had, _ := c.fuelAt(i)
		l.Stops = append(l.Stops, Pump{Sure: c.planned(i), Price: had.Price})
		l.Legs = append(l.Legs, Leg{Fuel: fuels[i], Reserve: c.Reserve(i, fuels[i])})
	}
	return l
}

// put puts what is bought into tanks in an order, while they are used up in the order of the
// variant.
func (c *Course) put(manner Manner, buy, fuels []float64, into []int) Proposal {
	levels := map[int]float64{}
	for _, k := range c.fuel {
		levels[k] = c.aboard(manner, &c.Vessels[k])
	}
	p := Proposal{Manner: manner, Order: c.ids(c.fuel)}
	for i := range fuels {
		rest := buy[i]
		for _, k := range into {
			v := &c.Vessels[k]
			if rest > 0 {
				levels[k] = max(levels[k], v.Unusable) // what cannot be drawn comes on top of what is wanted
			}
			more := min(rest, v.Full-levels[k])
			levels[k], rest = levels[k]+more, rest-more
		}
		if c.planned(i) {
			for _, k := range c.fuel {
				p.Fills = append(p.Fills, fitout.StopFill{Stop: c.Route.Stops[i].ID, Of: c.Vessels[k].ID, Litres: levels[k]})
			}
		}
		used := fuels[i]
		for _, k := range c.fuel {
			less := min(used, max(0, levels[k]-c.Vessels[k].Unusable))
			levels[k], used = levels[k]-less, used-less
		}
	}
	return c.see(p)
}

// see follows a proposal, with all else filled as the variant says.
func (c *Course) see(p Proposal) Proposal {
	p.Way = c.inOrder(p.Order).Follow(c.With(p.Fills))
	p.Worst = c.worst(p.Way)
	return p
}

// With are the fills of the variant with others for the fuel.
func (c *Course) With(fuel []fitout.StopFill) []fitout.StopFill {
	of := map[string]bool{}
	for _, k := range c.fuel {
		of[c.Vessels[k].ID] = true
	}
	kept := slices.DeleteFunc(slices.Clone(c.Plan.Variant.Fills), func(f fitout.StopFill) bool { return of[f.Of] })
	return append(kept, fuel...)
}

// inOrder is the course with its fuel vessels used up in another order.
func (c *Course) inOrder(ids []string) *Course {
	other := *c
	other.fuel = nil
	for _, id := range ids {
		for _, k := range c.fuel {
			if c.Vessels[k].ID == id {
				other.fuel = append(other.fuel, k)
			}
		}
	}
	return &other
}

func (c *Course) ids(places []int) []string {
	ids := make([]string, len(places))
	for i, k := range places {
		ids[i] = c.Vessels[k].ID
	}
	return ids
}

// mostOrdered is how many fuel vessels are tried in every order; of more only as they stand.
const mostOrdered = 4

// orders are all orders of some places.
func orders(places []int) [][]int {
	if len(places) < 2 || len(places) > mostOrdered {
		return [][]int{places}
	}
	var all [][]int
	for i, first := range places {
		rest := slices.Delete(slices.Clone(places), i, i+1)
		for _, order := range orders(rest) {
			all = append(all, append([]int{first}, order...))
		}
	}
	return all
}

// balanced fills so that the greatest load over its limit is the least: the exact optimum where
// any tank may be drawn from at any time, and the best of all orders in which tanks can be used up
// one after the other.
func (c *Course) balanced(fuels []float64) (Proposal, error) {
	line := c.line(WithinAxle, fuels)
	light, err := line.Lightest()
	if err != nil {
		return Proposal{}, err
	}
	spread := c.spread(fuels)
	plan, err := spread.Balance()
	if err != nil {
		return Proposal{}, err
	}
	var fills []fitout.StopFill
	for i := range fuels {
		for t, k := range c.fuel {
			if v := &c.Vessels[k]; c.planned(i) {
				litres := 0.0
				if plan.Leave[i][t] > tolerance {
					litres = min(v.Full, plan.Leave[i][t]+v.Unusable)
				}
				fills = append(fills, fitout.StopFill{Stop: c.Route.Stops[i].ID, Of: v.ID, Litres: math.Round(litres*1e6) / 1e6})
			}
		}
	}
	best := Proposal{}
	better := func(p Proposal) {
		if best.Way == nil || p.Worst.Share() < best.Worst.Share()-1e-9 {
			best = p
		}
	}
	for _, use := range orders(c.fuel) {
		in := c.inOrder(c.ids(use))
		better(in.see(Proposal{Manner: WithinAxle, Fills: fills, Order: c.ids(use)}))
		for _, into := range orders(c.fuel) {
			better(in.put(WithinAxle, light.Buy, fuels, into))
		}
	}
	best.Manner, best.Bound = WithinAxle, plan.Worst
	best.Exact = best.Worst.Share() <= plan.Worst+1e-4
	return best, nil
}

// spread is the way as far as the axles go, with all but the fuel filled as the variant says.
func (c *Course) spread(fuels []float64) *Spread {
	s := &Spread{}
	for _, k := range c.fuel {
		v := &c.Vessels[k]
		s.Capacity = append(s.Capacity, v.Usable())
		s.Aboard = append(s.Aboard, max(0, c.aboard(WithinAxle, v)-v.Unusable))
	}
	all := c.bounds()
	way := c.Follow(c.Plan.Variant.Fills)
	dry := func(levels []float64) []float64 {
		bare := slices.Clone(levels)
		for _, k := range c.fuel {
			bare[k] = c.Vessels[k].Unusable
		}
		return bare
	}
	for i := range fuels {
		leg := SpreadLeg{Leg: Leg{Fuel: fuels[i], Reserve: c.Reserve(i, fuels[i])}}
		towing := c.Towing(i)
		leaving, reaching := c.scale.at(dry(way.Stops[i].Leave), towing), c.scale.at(dry(way.Stops[i+1].Arrive), towing)
		for _, b := range all {
			if b.id == "combination" && !towing {
				continue
			}
			per := make([]float64, len(c.fuel))
			base := c.scale.at(make([]float64, len(c.Vessels)), towing)
			for t, k := range c.fuel {
				one := make([]float64, len(c.Vessels))
				one[k] = 1
				with := c.scale.at(one, towing)
				per[t] = (b.load(&with) - b.load(&base)) / b.most
			}
			leg.Leaving = append(leg.Leaving, b.load(&leaving)/b.most)
			leg.Reaching = append(leg.Reaching, b.load(&reaching)/b.most)
			leg.Per = append(leg.Per, per)
		}
		s.Legs, s.Sure = append(s.Legs, leg), append(s.Sure, c.planned(i))
	}
	return s
}
