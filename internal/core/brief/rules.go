package brief

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/core/words"
)

// envelope cautions when the vehicle does not pass where it has to.
func envelope(p *plan.Plan) []fitout.Finding {
	e, o := p.Job.Brief.Envelope, p.Vehicle.Outline
	overhang := p.Vehicle.Outline.RearOverhang
	var found []fitout.Finding
	check := func(what string, value, limit float64) {
		if limit == 0 || !quantity.Exceeds(value, limit) {
			return
		}
		where := ""
		if e.Note != "" {
			where = " (" + e.Note + ")"
		}
		found = append(found, fitout.Finding{
			Rule: "envelope-" + strings.ReplaceAll(what, " ", "-"), Severity: fitout.Caution,
			Subject: fitout.Subject{Kind: "brief", Measure: what},
			Title:   fmt.Sprintf("%s %s over", words.Capital(what), p.Say.Length(value-limit)),
			Sentence: fmt.Sprintf("The %s is %s as planned; the brief allows %s%s.", what, p.Say.Length(value),
				p.Say.Length(limit), where),
			Value: value, Limit: limit, Margin: limit - value, Unit: "mm", Source: "brief",
		})
	}
	width := o.Width
	for i := range p.Items {
		item := &p.Items[i]
		if item.Module == nil || item.In != nil || p.Load.Items[i].Trailer || !p.Load.Items[i].Road {
			continue
		}
		// What stands out behind or beside the body counts as well.
		b := item.Box()
		overhang = max(overhang, b.To.X-p.Load.Wheelbase)
		width = max(width, 2*b.To.Y, -2*b.From.Y)
	}
	check("height", p.Highest(), e.Height)
	check("width", width, e.Width)
	check("length", o.FrontOverhang+p.Load.Wheelbase+overhang, e.Length)
	check("rear overhang", overhang, e.RearOverhang)
	return found
}

// fuelShort cautions when the tanks do not hold the longest way between fuel.
func fuelShort(p *plan.Plan) []fitout.Finding {
	if p.Job.Brief.Trip.FuelDistance == 0 {
		return nil
	}
	capacity := 0.0
	for _, t := range p.Vehicle.Tanks {
		if t.Kind == fitout.TankFuel {
			capacity += t.Capacity
		}
	}
	want := NeedsOf(&p.Job.Brief).Fuel.Litres
	if !quantity.Exceeds(want, capacity) {
		return nil
	}
	return []fitout.Finding{{
		Rule: "fuel-short", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "brief", Measure: "fuel"},
		Title: fmt.Sprintf("Tanks %s short for the longest way", p.Say.Volume(want-capacity)),
		Sentence: fmt.Sprintf("%s between fuel want %s with the reserve, an estimate; the tanks hold %s.",
			p.Say.Distance(p.Job.Brief.Trip.FuelDistance), p.Say.Volume(want), p.Say.Volume(capacity)),
		Value: want, Limit: capacity, Margin: capacity - want, Unit: "L", Source: "brief",
	}}
}

// payloadGone cautions when people, fuel, water and gear leave nothing for the
// fitout. A brief without travellers says nothing yet.
func payloadGone(p *plan.Plan) []fitout.Finding {
	_, left, known := payload(p)
	if !known || !quantity.Exceeds(0, left) || NeedsOf(&p.Job.Brief).People == 0 {
		return nil
	}
	return []fitout.Finding{{
		Rule: "payload-gone", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "brief", Measure: "payload"},
		Title: fmt.Sprintf("The brief alone is %s over", p.Say.Mass(-left)),
		Sentence: fmt.Sprintf("Empty vehicle, people, fuel, water and gear of the brief are %s above the %s before any "+
			"fitout. Something has to stay behind, or the vehicle has to change.", p.Say.MassAtLeast(-left),
			p.Say.Term(fitout.TermGross)),
		Value: -left, Limit: 0, Margin: left, Unit: "kg", Source: "brief",
	}}
}

// travellerDiffers notes a traveller who weighs something else in the ledger.
func travellerDiffers(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for _, t := range p.Job.Brief.Travellers {
		for i := range p.Variant.Items {
			item := &p.Variant.Items[i]
			if item.ID != t.ID || math.Abs(item.Mass-t.Mass) < 0.5 {
				continue
			}
			found = append(found, fitout.Finding{
				Rule: "traveller-differs", Severity: fitout.Note, Subject: fitout.Subject{Kind: "item", ID: item.ID},
				Title: t.Name + " weighs two things",
				Sentence: fmt.Sprintf("%s weighs %s in the brief and %s in the ledger. The loads count with the ledger.", t.Name,
					p.Say.Mass(t.Mass), p.Say.Mass(item.Mass)),
				Value: item.Mass, Limit: t.Mass, Margin: t.Mass - item.Mass, Unit: "kg", Source: "brief",
			})
		}
	}
	return found
}

// By how much gear is lighter in the ledger than the brief says before that is told: a share, and kg.
const (
	lighterShare = 0.1
	lighterKg    = 1
)

// gearDiffers notes gear that is lighter in the ledger than the brief says: the loads count with the ledger. Heavier is
// right, for it may stand there with its slide, its box or its mounts; and what has a level weighs what is in it.
func gearDiffers(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for _, g := range p.Job.Brief.Gear {
		i := slices.IndexFunc(p.Variant.Items, func(i fitout.Item) bool { return i.ID == g.ID })
		if i < 0 || p.Variant.Items[i].Presence.Level != nil {
			continue
		}
		item, kg := &p.Variant.Items[i], g.Count*g.Mass
		if kg-item.Mass < max(lighterKg, lighterShare*kg) || item.Source == fitout.ByScale {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "gear-differs", Severity: fitout.Note, Subject: fitout.Subject{Kind: "item", ID: item.ID},
			Title: g.Name + " is lighter than the brief says",
			Sentence: fmt.Sprintf(
				"%s weighs %s in the brief and %s in the ledger. The loads count with the ledger. Weigh it, or "+
					"enter %s there.",
				g.Name,
				p.Say.Mass(kg),
				p.Say.Mass(item.Mass),
				p.Say.Mass(kg),
			),
			Value: item.Mass, Limit: kg, Margin: item.Mass - kg, Unit: "kg", Source: "brief",
		})
	}
	return found
}

// gearNotAboard notes what the brief wants along and the plan has no place for.
// It speaks as soon as the first module stands on the bench: before that,
// nothing is laid out yet.
func gearNotAboard(p *plan.Plan) []fitout.Finding {
	if !slices.ContainsFunc(p.Items, func(i fitout.Item) bool { return i.Module != nil && i.In == nil }) {
		return nil
	}
	aboard := make(map[string]bool, len(p.Variant.Items))
	for i := range p.Variant.Items {
		aboard[p.Variant.Items[i].ID] = true
	}
	var names []string
	kg := 0.0
	for _, g := range p.Job.Brief.Gear {
		if !aboard[g.ID] {
			names, kg = append(names, words.Lower(g.Name)), kg+g.Count*g.Mass
		}
	}
	if len(names) == 0 {
		return nil
	}
	title := fmt.Sprintf("%d things of the brief are not aboard", len(names))
	if len(names) == 1 {
		title = words.Capital(names[0]) + " is not aboard"
	}
	const most = 5
	told := strings.Join(names[:min(most, len(names))], ", ")
	if len(names) > most {
		told += fmt.Sprintf(" and %d more", len(names)-most)
	}
	return []fitout.Finding{{
		Rule: "gear-not-aboard", Severity: fitout.Note, Subject: fitout.Subject{Kind: "brief", Measure: "gear"}, Title: title,
		Sentence: fmt.Sprintf("The brief wants along, and nothing has a place for: %s, %s together. The loads do not count "+
			"it yet.", told, p.Say.Mass(kg)),
		Value: kg, Unit: "kg", Source: "brief",
	}}
}
