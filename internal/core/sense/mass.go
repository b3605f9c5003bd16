package sense

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// aboutItem begins a finding about an item of the ledger or a part of the fitout.
func aboutItem(rule string, item *fitout.Item) fitout.Finding {
	if item.Module != nil {
		return about(rule, "module", item.ID)
	}
	return about(rule, "item", item.ID)
}

// weighsNothing cautions of a part of the fitout without a mass, and notes another thing without one: no axle carries
// it. Of a vessel whose content varies the content counts, and a part without a mass of its own is noted; cables are
// counted by the board.
func weighsNothing(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Items {
		item := &p.Items[i]
		if item.Mass > 0 || item.Presence.Level != nil && item.Module == nil || item.Cables {
			continue
		}
		f := aboutItem("weighs-nothing", item)
		if item.Module == nil || item.Presence.Level != nil {
			f.Severity = fitout.Note
		}
		f.Title = item.Name + " weighs nothing"
		f.Sentence = fmt.Sprintf(
			"No mass is entered for %s, so that no axle carries it. Weigh it, or take the mass from its data "+
				"sheet.",
			words.Lower(item.Name),
		)
		f.Unit = "kg"
		found = append(found, f)
	}
	return found
}

// What a thing can weigh, kg per litre of its box: at most what lead does, and at least what the emptiest of its kind
// does. A fridge is mostly air, a battery hardly. Practice, wide of what is sold.
const (
	lead        = 11.4
	leastFridge = 0.05
	leastCells  = 0.3
)

// lightest is the share of the mass of its panels below which a built part cannot weigh.
const lightest = 0.6

// massOdd cautions of a mass that a thing of its size or construction cannot have: a point lost, pounds for kilograms,
// a box measured in another unit.
func massOdd(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Items {
		item := &p.Items[i]
		litres := item.Box().Litres()
		if item.Mass == 0 || plan.Traveller(item) || litres < 0.1 {
			continue
		}
		least, what := 0.0, ""
		switch traits := traitsOf(item); {
		case traits.Cools:
			least, what = leastFridge*litres, "the lightest fridge of its size would weigh"
		case traits.Stores:
			least, what = leastCells*litres, "the lightest battery of its size would weigh"
		}
		if built, _, ok := module.Mass(item, p.Job.Build.Runners); ok && item.Source != fitout.ByMaterial {
			least, what = lightest*built, "its panels alone, with two fifths off, weigh"
		}
		f := aboutItem("mass-odd", item)
		switch {
		case item.Mass > lead*litres:
			f.Title = item.Name + " is heavier than lead"
			f.Sentence = fmt.Sprintf(
				"%s in a box of %s: lead would weigh %s. Its mass or its size was entered wrongly.",
				p.Say.Mass(item.Mass),
				p.Say.Volume(litres),
				p.Say.Mass(lead*litres),
			)
			f.Over(item.Mass, lead*litres, "kg")
		case item.Mass < least:
			f.Title = item.Name + " is too light for what it is"
			f.Sentence = fmt.Sprintf(
				"%s are entered; %s %s. Its mass or its size was entered wrongly: "+
					"weigh it.",
				p.Say.Mass(item.Mass),
				what,
				p.Say.Mass(least),
			)
			f.Under(item.Mass, least, "kg")
		default:
			continue
		}
		found = append(found, f)
	}
	return found
}

func traitsOf(item *fitout.Item) module.Traits {
	if item.Module == nil {
		return module.Traits{}
	}
	return module.TraitsOf(item.Module.Kind)
}
