package answer

import (
	"fmt"
	"slices"

	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/core/trip"
	"zaino/internal/core/words"
)

// waterNowhere cautions where the brief needs water and less is aboard than it takes between places that have it.
func waterNowhere(p *plan.Plan) []fitout.Finding {
	n := brief.NeedsOf(&p.Job.Brief)
	if !begun(p) || n.Water.Litres == 0 || len(p.Job.Route.Stops) > 0 { // a route is followed litre by litre
		return nil
	}
	litres, cans := 0.0, false
	for _, v := range trip.CourseOf(p).Vessels {
		if v.Holds == fitout.HoldsDrinking {
			litres += v.Usable()
		}
	}
	for i := range p.Variant.Items {
		item := &p.Variant.Items[i]
		cans = cans || item.Substance == fitout.SubstanceWater && item.Presence.Kind != fitout.ByLevel
	}
	if !quantity.Exceeds(n.Water.Litres, litres) || cans { // how much is in a can without a level is not said
		return nil
	}
	f := asks("water-less", fitout.Caution, "water")
	f.Title = fmt.Sprintf("Water for the way is %s short", p.Say.Volume(n.Water.Litres-litres))
	f.Sentence = fmt.Sprintf(
		"The brief needs %s between water, with the reserve, an estimate; what is aboard holds %s. A larger "+
			"tank, %s in cans (say of a can that it holds water), or fewer nights between water.",
		p.Say.Volume(n.Water.Litres),
		p.Say.Volume(litres),
		p.Say.Volume(n.Water.Litres-litres),
	)
	f.Value, f.Limit, f.Margin, f.Unit = n.Water.Litres, litres, litres-n.Water.Litres, "L"
	return []fitout.Finding{f}
}

// wasteNowhere cautions where used water is to be caught and nothing takes it.
func wasteNowhere(p *plan.Plan) []fitout.Finding {
	holds := slices.ContainsFunc(
		trip.CourseOf(p).Vessels,
		func(v trip.Vessel) bool { return v.Holds == fitout.HoldsWaste },
	)
	if p.Job.Brief.Camp.WasteWater != fitout.WasteCaught || holds || !begun(p) ||
		has(p, func(t module.Traits) bool { return t.Waste }) {
		return nil
	}
	f := asks("waste-nowhere", fitout.Caution, "waste")
	f.Title = "Used water is to be caught, and nothing catches it"
	f.Sentence = "The brief takes used water along; no tank for it is aboard. Fit a waste tank, or say what a vessel holds. It " +
		"gains what the fresh water loses."
	return []fitout.Finding{f}
}

// toiletNowhere cautions where the brief has a toilet and the plan none.
func toiletNowhere(p *plan.Plan) []fitout.Finding {
	toilet := slices.ContainsFunc(p.Variant.Items, func(i fitout.Item) bool {
		return i.Module != nil && i.Module.Kind == fitout.ToiletModule
	})
	want := p.Job.Brief.Camp.Toilet
	if want == fitout.ToiletNone || toilet || !begun(p) {
		return nil
	}
	f := asks("toilet-nowhere", fitout.Caution, "toilet")
	f.Title = "The toilet of the brief is not aboard"
	f.Sentence = "The brief has one built in; the plan has none. Put one in: it takes room, mass and a way to empty it."
	if want == fitout.ToiletCarried {
		f.Severity = fitout.Note
		f.Sentence = "The brief has one carried along; the plan has none. Put it in as a toilet, so that its place and its mass count."
	}
	return []fitout.Finding{f}
}

// bedUnsaid notes where somebody sleeps inside, and neither a bed nor a stance says where.
func bedUnsaid(p *plan.Plan) []fitout.Finding {
	if !begun(p) || p.Job.Brief.Camp.SleepWhere != fitout.SleepInside ||
		has(p, func(t module.Traits) bool { return t.Bed }) ||
		slices.ContainsFunc(p.Variant.Stances, func(s fitout.Stance) bool { return len(s.Sleepers) > 0 }) {
		return nil
	}
	var names []string
	for _, t := range p.Job.Brief.Travellers {
		if t.Sleeps && t.Kind == fitout.TravellerPerson {
			names = append(names, t.Name)
		}
	}
	if len(names) == 0 {
		return nil
	}
	f := asks("bed-unsaid", fitout.Note, "sleep")
	f.Title = "Nobody said where they lie inside"
	f.Sentence = fmt.Sprintf("By the brief %s inside; the plan has no sleeping platform, and no stance says "+
		"who lies where. Until one does, length, headroom and ways out are not looked at.", sleeps(names))
	return []fitout.Finding{f}
}

func sleeps(names []string) string {
	if len(names) == 1 {
		return names[0] + " sleeps"
	}
	return words.List(names) + " sleep"
}

// trailerNowhere cautions where the brief tows, and the plan has no trailer or a lighter one.
func trailerNowhere(p *plan.Plan) []fitout.Finding {
	t := &p.Job.Brief.Trip
	if t.Tows == fitout.TowsNever || t.Tows == "" || t.TrailerMass == 0 || !begun(p) {
		return nil
	}
	f := asks("trailer-nowhere", fitout.Caution, "trailer")
	f.Unit, f.Limit = "kg", t.TrailerMass
	if p.Job.Trailer == nil {
		f.Title = "The trailer of the brief is not in the plan"
		f.Sentence = fmt.Sprintf(
			"The brief tows %s; without the trailer its ball mass is on no axle, and the combination is not "+
				"looked at. Add the trailer under Vehicle.",
			p.Say.Mass(t.TrailerMass),
		)
		f.Margin = -t.TrailerMass
		return []fitout.Finding{f}
	}
	mass := p.Load.TrailerMass()
	if mass >= 0.98*t.TrailerMass {
		return nil
	}
	f.Rule, f.Severity = "trailer-lighter", fitout.Note
	f.Title = fmt.Sprintf("The trailer is %s lighter than the brief's", p.Say.Mass(t.TrailerMass-mass))
	f.Sentence = fmt.Sprintf(
		"The brief tows %s loaded; the plan counts with %s. One of both is not right.",
		p.Say.Mass(t.TrailerMass),
		p.Say.Mass(mass),
	)
	f.Value, f.Margin = mass, mass-t.TrailerMass
	return []fitout.Finding{f}
}
