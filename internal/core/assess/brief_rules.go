package assess

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
)

// envelope cautions when the vehicle does not pass where it has to.
func envelope(s *subject) []fitout.Finding {
	e, o := s.job.Brief.Envelope, s.job.Vehicle.Outline
	overhang := s.job.Vehicle.Outline.RearOverhang
	var found []fitout.Finding
	check := func(what string, value, limit float64) {
		if limit == 0 || value <= limit {
			return
		}
		where := ""
		if e.Note != "" {
			where = " (" + e.Note + ")"
		}
		found = append(found, fitout.Finding{
			Rule: "envelope-" + what, Severity: fitout.Caution, Subject: fitout.Subject{Kind: "brief", Measure: what},
			Title:    fmt.Sprintf("%s %s over", capital(what), s.say.length(value-limit)),
			Sentence: fmt.Sprintf("The %s is %s as planned; the brief allows %s%s.", what, s.say.length(value), s.say.length(limit), where),
			Value:    value, Limit: limit, Margin: limit - value, Unit: "mm", Source: "brief",
		})
	}
	width := o.Width
	for i := range s.bench.parts {
		// What stands out behind or beside the body counts as well.
		b := s.bench.parts[i].Box
		overhang = max(overhang, b.To.X-s.plan.Wheelbase)
		width = max(width, 2*b.To.Y, -2*b.From.Y)
	}
	check("height", s.highest(), e.Height)
	check("width", width, e.Width)
	check("length", o.FrontOverhang+s.plan.Wheelbase+overhang, e.Length)
	check("rear overhang", overhang, e.RearOverhang)
	return found
}

// fuelShort cautions when the tanks do not hold the longest way between fuel.
func fuelShort(s *subject) []fitout.Finding {
	if s.job.Brief.Trip.FuelDistance == 0 {
		return nil
	}
	capacity := 0.0
	for _, t := range s.job.Vehicle.Tanks {
		if t.Kind == fitout.TankFuel {
			capacity += t.Capacity
		}
	}
	want := s.needs.Fuel.Litres
	if want <= capacity {
		return nil
	}
	return []fitout.Finding{{
		Rule: "fuel-short", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "brief", Measure: "fuel"},
		Title: fmt.Sprintf("Tanks %s short for the longest way", s.say.volume(want-capacity)),
		Sentence: fmt.Sprintf("%s between fuel want %s with the reserve, an estimate; the tanks hold %s.",
			s.say.distance(s.job.Brief.Trip.FuelDistance), s.say.volume(want), s.say.volume(capacity)),
		Value: want, Limit: capacity, Margin: capacity - want, Unit: "L", Source: "brief",
	}}
}

// payloadGone cautions when people, fuel, water and gear leave nothing for the
// fitout. A brief without travellers says nothing yet.
func payloadGone(s *subject) []fitout.Finding {
	_, left, known := payload(s)
	if !known || left >= 0 || s.needs.People == 0 {
		return nil
	}
	return []fitout.Finding{{
		Rule: "payload-gone", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "brief", Measure: "payload"},
		Title:    fmt.Sprintf("The brief alone is %s over", s.say.mass(-left)),
		Sentence: fmt.Sprintf("Empty vehicle, people, fuel, water and gear of the brief are %s above the %s before any fitout. Something has to stay behind, or the vehicle has to change.", s.say.mass(-left), s.say.term(fitout.TermGross)),
		Value:    -left, Limit: 0, Margin: left, Unit: "kg", Source: "brief",
	}}
}

// travellerDiffers notes a traveller who weighs something else in the ledger.
func travellerDiffers(s *subject) []fitout.Finding {
	var found []fitout.Finding
	for _, t := range s.job.Brief.Travellers {
		for i := range s.variant.Items {
			item := &s.variant.Items[i]
			if item.ID != t.ID || math.Abs(item.Mass-t.Mass) < 0.5 {
				continue
			}
			found = append(found, fitout.Finding{
				Rule: "traveller-differs", Severity: fitout.Note, Subject: fitout.Subject{Kind: "item", ID: item.ID},
				Title:    t.Name + " weighs two things",
				Sentence: fmt.Sprintf("%s weighs %s in the brief and %s in the ledger. The loads count with the ledger.", t.Name, s.say.mass(t.Mass), s.say.mass(item.Mass)),
				Value:    item.Mass, Limit: t.Mass, Margin: t.Mass - item.Mass, Unit: "kg", Source: "brief",
			})
		}
	}
	return found
}

// gearNotAboard notes what the brief wants along and the plan has no place for.
// It speaks as soon as the first module stands on the bench: before that,
// nothing is laid out yet.
func gearNotAboard(s *subject) []fitout.Finding {
	if len(s.bench.parts) == 0 {
		return nil
	}
	aboard := make(map[string]bool, len(s.variant.Items))
	for i := range s.variant.Items {
		aboard[s.variant.Items[i].ID] = true
	}
	var names []string
	kg := 0.0
	for _, g := range s.job.Brief.Gear {
		if !aboard[g.ID] {
			names, kg = append(names, lower(g.Name)), kg+g.Count*g.Mass
		}
	}
	if len(names) == 0 {
		return nil
	}
	title := fmt.Sprintf("%d things of the brief are not aboard", len(names))
	if len(names) == 1 {
		title = capital(names[0]) + " is not aboard"
	}
	const most = 5
	list := strings.Join(names[:min(most, len(names))], ", ")
	if len(names) > most {
		list += fmt.Sprintf(" and %d more", len(names)-most)
	}
	return []fitout.Finding{{
		Rule: "gear-not-aboard", Severity: fitout.Note, Subject: fitout.Subject{Kind: "brief", Measure: "gear"}, Title: title,
		Sentence: fmt.Sprintf("The brief wants along, and nothing has a place for: %s, %s together. The loads do not count it yet.", list, s.say.mass(kg)),
		Value:    kg, Unit: "kg", Source: "brief",
	}}
}
