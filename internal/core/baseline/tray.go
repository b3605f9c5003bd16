package baseline

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// What a tray is taken by, whatever it is called: it covers that share of the load floor each way, is no higher than that
// and lies no further than that above or below the floor, mm. A part of the vehicle without a size is one from that mass
// on, kg. Practice.
const (
	trayCovers = 0.6
	trayHigh   = 400.0
	trayOff    = 300.0
	trayHeavy  = 50.0
)

// tray tells of a vehicle with a tray whose empty mass comes from papers whether that figure holds the tray. It notes
// where nobody said so, and cautions where the tray is carried by no figure, or by two: papers of a cab-chassis often
// mean cab and chassis alone, and a tray weighs as much as two people.
func tray(p *plan.Plan) []fitout.Finding {
	v := p.Vehicle
	b := &p.Given.Vehicle.Baseline
	if v.Outline.Body != fitout.BodyTray || b.Definition == fitout.AsWeighed || b.Front+b.Rear+b.Total == 0 {
		return nil
	}
	kg, name := trayAboard(p)
	f := fitout.Finding{
		Severity: fitout.Caution, Subject: fitout.Subject{Kind: "baseline", Measure: "tray"}, Source: "practice", Unit: "kg",
		Value: kg, Margin: -1,
	}
	say := func(label, what string) {
		f.Fixes = append(f.Fixes, fitout.Fix{Label: label, Edit: fitout.FixEdit{Kind: "tray-said", With: what}})
	}
	switch {
	case b.Tray == fitout.TrayNotSaid:
		f.Rule, f.Severity, f.Title = "tray-unsaid", fitout.Note, "Nobody said whether the empty mass holds the tray"
		f.Sentence = "Papers of a cab-chassis often mean cab and chassis alone, and a tray weighs as much as two people. " +
			"Say whether the figure holds it; a weighbridge settles it."
		say("The figure holds the tray", string(fitout.TrayHeld))
		say("The figure is of cab and chassis alone", string(fitout.TrayBare))
	case b.Tray == fitout.TrayBare && name == "":
		long, wide := leastTray(p)
		f.Rule, f.Title = "tray-nowhere", "No axle carries the tray"
		f.Sentence = fmt.Sprintf("The empty mass is that of cab and chassis alone, and nothing lies flat on the chassis "+
			"that is at least %s long and %s wide. Add the tray with its mass and size to the loads, or as a part of "+
			"the vehicle.", p.Say.LengthAtLeast(long), p.Say.LengthAtLeast(wide))
	case b.Tray == fitout.TrayHeld && name != "":
		f.Rule, f.Title = "tray-twice", fmt.Sprintf("The tray counts twice: %s", words.Lower(name))
		f.Sentence = fmt.Sprintf(
			"The empty mass is said to hold the tray, and %s with %s is aboard besides. Take one of them out.",
			words.Lower(name),
			p.Say.Mass(kg),
		)
		f.Value, f.Margin = kg, -kg
		say("The figure is of cab and chassis alone", string(fitout.TrayBare))
	default:
		return nil
	}
	return []fitout.Finding{f}
}

// leastTray is how long and wide a tray is at least, mm.
func leastTray(p *plan.Plan) (long, wide float64) {
	o := &p.Vehicle.Outline
	return trayCovers * (p.Load.Wheelbase + o.RearOverhang - o.Headboard), trayCovers * o.Width
}

// trayAboard is what of the loads, or of what was fitted to the vehicle, lies on the chassis as a tray does.
func trayAboard(p *plan.Plan) (kg float64, name string) {
	o := &p.Vehicle.Outline
	long, wide := leastTray(p)
	lies := func(box fitout.Box) bool {
		s := box.Size()
		return s.Length >= long && s.Width >= wide && s.Height <= trayHigh &&
			math.Abs(box.Middle().Z-o.FloorHeight) <= trayOff
	}
	for i := range p.Items {
		item := &p.Items[i]
		if item.In == nil && p.Load.Items[i].Road && !p.Load.Items[i].Trailer && lies(item.Box()) {
			return item.Mass, item.Name
		}
	}
	for i := range p.Vehicle.Parts {
		part := &p.Vehicle.Parts[i]
		room, sized := part.Room()
		heavy := part.Size == fitout.Size{} && part.Mass >= trayHeavy && part.Now().X > o.Headboard
		if part.State != fitout.Removed && !part.InBaseline && (sized && lies(room) || heavy) {
			return part.Mass, part.Name
		}
	}
	return 0, ""
}
