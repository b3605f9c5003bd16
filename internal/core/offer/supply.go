package offer

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/core/words"
)

// Supplies are the fresh water and the fuel that are aboard, L.
type Supplies struct{ Water, Fuel float64 }

// SuppliesOf adds up what is in tanks and vessels that are aboard, on the trailer too.
func SuppliesOf(p *plan.Plan) Supplies { return suppliesIn(p, &p.Shown) }

func suppliesIn(p *plan.Plan, state *load.State) Supplies {
	s := Supplies{}
	for _, t := range p.Vehicle.Tanks {
		if t.Kind == fitout.TankFuel {
			s.Fuel += t.Now
		}
	}
	for i := range p.Variant.Items {
		item := &p.Variant.Items[i]
		thing, present := p.Load.In(i, state)
		if present && (!thing.Trailer || state.Coupled) && item.Presence.Kind == fitout.ByLevel {
			s = s.plus(held(item, item.Presence.Level.Now))
		}
	}
	return s
}

// held is what so many litres in a vessel are of.
func held(item *fitout.Item, litres float64) Supplies {
	if item.Module == nil {
		if math.Abs(item.Presence.Level.Density-1) < 0.01 { // of no kind, and as heavy as water
			return Supplies{Water: litres}
		}
		return Supplies{}
	}
	switch traits := module.TraitsOf(item.Module.Kind); {
	case traits.Water:
		return Supplies{Water: litres}
	case traits.Burns:
		return Supplies{Fuel: litres}
	}
	return Supplies{}
}

func (s Supplies) plus(o Supplies) Supplies { return Supplies{s.Water + o.Water, s.Fuel + o.Fuel} }

func (s Supplies) minus(o Supplies) Supplies { return Supplies{s.Water - o.Water, s.Fuel - o.Fuel} }

// Short says what the brief needs more of than is aboard after a change, where there was
// more before it.
func Short(p *plan.Plan, before, after Supplies) []string {
	needs := brief.NeedsOf(&p.Job.Brief)
	var said []string
	for _, of := range []struct {
		said                string
		need, before, after float64
	}{
		{"Less water than the brief needs", needs.Water.Litres, before.Water, after.Water},
		{"Fuel for a shorter way than the brief has", needs.Fuel.Litres, before.Fuel, after.Fuel},
	} {
		if quantity.Exceeds(of.before, of.after) && quantity.Exceeds(of.need, of.after) {
			said = append(said, of.said)
		}
	}
	return said
}

// saying puts before a label what the brief needs more of once so much less is aboard.
func (s sheet) saying(label string, less Supplies) string {
	return Warned(label, Short(s.Plan, s.aboard, s.aboard.minus(less)))
}

// Warned puts what a change falls short of before its label, once.
func Warned(label string, short []string) string {
	for i := len(short) - 1; i >= 0; i-- {
		if !strings.Contains(label, short[i]) {
			label = fmt.Sprintf("%s: %s", short[i], words.Lower(label))
		}
	}
	return label
}
