package chassis

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// leastShare is what a leg carries at least of an even share, so that somebody who climbs in does not tip it
// (practice).
const leastShare = 0.1

// Legs are what each leg of a carrier carries when it stands on them, kg: all that comes off with it and is
// aboard on the road, by a stiff plate; nothing where no stance takes it off or it has fewer than three.
func Legs(p *plan.Plan) []float64 {
	c := p.Vehicle.Carrier
	if c == nil || len(c.Legs) < 3 || !takenOff(p) {
		return nil
	}
	mass, mx, my := 0.0, 0.0, 0.0
	off := c.ComesOff(p.Variant)
	for i := range p.Items {
		item := &p.Items[i]
		if !off[item.ID] || !p.Load.Items[i].Road {
			continue
		}
		kg := item.Mass + item.Presence.Content()
		mass, mx, my = mass+kg, mx+kg*item.At.X, my+kg*item.At.Y
	}
	if mass == 0 {
		return nil
	}
	mounts := make([]fitout.BodyMount, len(c.Legs))
	for i := range c.Legs {
		mounts[i].At = c.Legs[i].At
	}
	return Share(mounts, mass, mx/mass, my/mass)
}

func takenOff(p *plan.Plan) bool {
	for i := range p.Variant.Stances {
		if p.Variant.Stances[i].Off {
			return true
		}
	}
	return false
}

// aboutLeg begins a finding about a leg.
func aboutLeg(rule string, severity fitout.Severity, leg string) fitout.Finding {
	return fitout.Finding{Rule: rule, Severity: severity, Source: "physics",
		Subject: fitout.Subject{Kind: "vehicle", Measure: "carrier/legs/" + leg}}
}

// legOver stops a leg that carries more than it is rated for.
func legOver(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i, kg := range Legs(p) {
		leg := &p.Vehicle.Carrier.Legs[i]
		if leg.Rating == 0 || kg <= leg.Rating+0.05 {
			continue
		}
		f := aboutLeg("leg-over", fitout.Stop, leg.ID)
		f.Title = fmt.Sprintf("%s carries %s too much", leg.Name, p.Say.Mass(kg-leg.Rating))
		f.Sentence = fmt.Sprintf(
			"Off the vehicle %s puts %s on it, an estimate; it is rated %s. Take load out first, or stand it on stronger legs.",
			words.Lower(p.Vehicle.Carrier.Name),
			p.Say.Mass(kg),
			p.Say.Mass(leg.Rating),
		)
		f.Over(kg, leg.Rating, "kg")
		found = append(found, f)
	}
	return found
}

// legsTip stops a carrier that tips over its legs, and cautions of one that stands on one of them with less
// than a tenth of an even share.
func legsTip(p *plan.Plan) []fitout.Finding {
	loads := Legs(p)
	sum, at := 0.0, -1
	for i, kg := range loads {
		sum += kg
		if at < 0 || kg < loads[at] {
			at = i
		}
	}
	if at < 0 {
		return nil
	}
	least := leastShare * sum / float64(len(loads))
	if loads[at] >= least-0.05 {
		return nil
	}
	leg := &p.Vehicle.Carrier.Legs[at]
	f := aboutLeg("legs-tip", fitout.Caution, leg.ID)
	f.Title = fmt.Sprintf("%s hardly stands on %s", p.Vehicle.Carrier.Name, words.Lower(leg.Name))
	f.Sentence = fmt.Sprintf(
		"It carries %s of %s, an estimate: who climbs in on the other side tips it. Move the legs apart, or load toward it.",
		p.Say.Mass(loads[at]),
		p.Say.Mass(sum),
	)
	if loads[at] < 0 {
		f.Severity = fitout.Stop
		f.Title = p.Vehicle.Carrier.Name + " tips over its legs"
		f.Sentence = fmt.Sprintf(
			"Its middle of %s lies outside of them, on the side across from %s. Move the legs, or take load out first.",
			p.Say.Mass(sum),
			words.Lower(leg.Name),
		)
	}
	f.Under(loads[at], least, "kg")
	return []fitout.Finding{f}
}

// legsFew cautions of a carrier that a stance takes off and that stands on fewer than three legs.
func legsFew(p *plan.Plan) []fitout.Finding {
	if !takenOff(p) || p.Vehicle.Carrier != nil && len(p.Vehicle.Carrier.Legs) >= 3 {
		return nil
	}
	f := aboutLeg("legs-few", fitout.Caution, "")
	f.Title = "On what it stands off the vehicle is not said"
	f.Sentence = "A stance takes the carrier off. Enter under Vehicle what comes off, and at least three legs with what they carry."
	f.Margin = -1
	return []fitout.Finding{f}
}

// offUncharged notes a battery that comes off with the carrier and that nothing charges while it stands on its legs:
// the engine is away, and no panel, mains lead or generator stays with it.
func offUncharged(p *plan.Plan) []fitout.Finding {
	if !takenOff(p) {
		return nil
	}
	var found []fitout.Finding
	off, e := p.Vehicle.Carrier.ComesOff(p.Variant), &p.Variant.Electrics
	for i := range e.Systems {
		sys := &e.Systems[i]
		if !off[sys.Item] || sys.Kind == fitout.StartSystem || sys.Kind == fitout.ReserveSystem || charged(e, sys.ID, off) {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "off-uncharged", Severity: fitout.Note, Source: "practice", Margin: -1,
			Subject: fitout.Subject{Kind: "power", ID: sys.ID},
			Title:   fmt.Sprintf("Nothing charges %s off the vehicle", words.Lower(sys.Name)),
			Sentence: fmt.Sprintf("While %s stands on its legs, the engine is away, and no panel, mains lead or generator of "+
				"%s stays with it. A loose panel, or a mains charger that comes off too, keeps it full.",
				words.Lower(p.Vehicle.Carrier.Name), words.Lower(sys.Name)),
		})
	}
	return found
}

// charged tells whether something charges a system while the carrier is off: a source that is not the engine's and is
// carried by hand or comes off too, straight or through a charger that comes off. Of what nobody said which item it is,
// nobody knows that it stays behind.
func charged(e *fitout.Electrics, system string, off map[string]bool) bool {
	comes := func(item string) bool { return item == "" || off[item] }
	for i := range e.Sources {
		source := &e.Sources[i]
		if source.Kind == fitout.Alternator || source.Kind == fitout.Solar && !source.Loose && !comes(source.Item) {
			continue
		}
		if source.System == system {
			return true
		}
		for k := range e.Chargers {
			if c := &e.Chargers[k]; c.ID == source.Charger && c.System == system && comes(c.Item) {
				return true
			}
		}
	}
	return false
}
