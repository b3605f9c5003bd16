package brief

import (
	"fmt"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Figures are what follows from the brief before anything is built.
type Figures struct {
	Implied []Implied     `json:"implied"`
	Payload []PayloadLine `json:"payload" doc:"from the limit down to what is left for the fitout"`
	Left    float64       `json:"left" doc:"for the fitout, kg; negative is already spent"`
	Known   bool          `json:"known" doc:"the limit on the gross is stated"`
}

// Implied is one thing that the brief implies, with its reason.
type Implied struct {
	ID     string  `json:"id"`
	Title  string  `json:"title"`
	Value  float64 `json:"value" doc:"in the base unit of its kind"`
	Kind   string  `json:"kind" enum:"mass,volume,length,plain"`
	Reason string  `json:"reason" doc:"how it comes about, with the numbers put in"`
}

// PayloadLine is one line of the payload, kg; what is taken off is negative.
type PayloadLine struct {
	Label  string  `json:"label"`
	Kg     float64 `json:"kg"`
	Reason string  `json:"reason"`
}

// Engine tells what follows from the brief, and what the plan lacks of it.
func Engine() plan.Engine[Figures] {
	return plan.Engine[Figures]{Figures: figures, Rules: []plan.Rule{
		envelope, fuelShort, payloadGone, travellerDiffers, gearDiffers, gearNotAboard,
	}}
}

// SchoolsOf returns the judgement calls of a plan, weighed for its brief.
func SchoolsOf(p *plan.Plan) []*School { return Schools(p.Given, figures(p).Left) }

func figures(p *plan.Plan) Figures {
	f := Figures{Implied: implied(p)}
	f.Payload, f.Left, f.Known = payload(p)
	return f
}

func implied(p *plan.Plan) []Implied {
	b, n, a := &p.Job.Brief, NeedsOf(&p.Job.Brief), p.Job.Brief.Assumptions
	all := []Implied{}
	add := func(id, title string, value float64, kind, reason string, args ...any) {
		all = append(all, Implied{id, title, value, kind, words.Unbroken(fmt.Sprintf(reason, args...))})
	}
	heads := func(count int, one, many string) string {
		if count == 1 {
			return "1 " + one
		}
		return fmt.Sprintf("%d %s", count, many)
	}
	nights := func(n float64) string {
		if n == 1 {
			return "1 night"
		}
		return p.Say.Plain(n) + " nights"
	}
	if n.People+n.Animals > 0 {
		who, water := []string{}, []string{}
		kind := func(count int, one, many string, kg, litres float64) {
			if count > 0 {
				who = append(who, heads(count, one, many)+" "+p.Say.Mass(kg))
				water = append(water, p.Say.Volume(litres)+" a day for "+heads(count, one, many))
			}
		}
		kind(n.People, "person", "people", n.PeopleKg, n.Water.People)
		kind(n.Animals, "animal", "animals", n.AnimalsKg, n.Water.Animals)
		add("people", "People and animals", n.PeopleKg+n.AnimalsKg, "mass", "%s, as they travel.", strings.Join(who, ", "))

		hot := ""
		if n.Water.Hot {
			hot = fmt.Sprintf(", drinking × %s for the heat", p.Say.Plain(a.HotFactor))
		}
		between := "between services"
		if n.WaterNights < n.Nights {
			between = fmt.Sprintf("between water, %s at %s a day", p.Say.Distance(b.Trip.WaterDistance),
				p.Say.Distance(b.Trip.DayDistance))
		}
		add("water", "Water to carry", n.Water.Litres, "volume", "(%s) × %s %s + %s reserve%s.",
			strings.Join(water, " + "), nights(n.WaterNights), between, p.Say.Volume(n.Water.Reserve), hot)
	}
	if b.Trip.FuelDistance > 0 {
		tow := ""
		if n.Fuel.Tow > 1 {
			tow = fmt.Sprintf(" × %s for the trailer", p.Say.Plain(n.Fuel.Tow))
		}
		add("fuel", "Fuel to carry", n.Fuel.Litres, "volume", "%s × %s for the surfaces%s + %s reserve.",
			p.Say.Used(b.Trip.FuelDistance, a.Consumption), p.Say.Plain(n.Fuel.Surface), tow, p.Say.Volume(n.Fuel.Reserve))
	}
	if n.Bed.Length > 0 {
		add("bed-length", "Bed, length", n.Bed.Length, "length", "%s and %s beyond.", n.Bed.Tallest,
			p.Say.Length(a.BedLength))
	}
	if n.Bed.Sleepers > 0 {
		add("bed-width", "Bed, width", n.Bed.Width, "length", "The shoulders of %s and %s beyond each.",
			heads(n.Bed.Sleepers, "sleeper", "sleepers"), p.Say.Length(a.BedWidth))
	}
	if r := n.Reach; r.Who != "" {
		add("rim", "Highest rim to reach into", r.Rim, "length",
			"%s, %.0f %% of body height; above it a drop-down slide or a step.", r.Who, 100*a.RimShare)
		add("arm", "Reach into a box", r.Arm, "length", "%s, %.0f %% of body height; beyond it only what is seldom touched.",
			r.Who, 100*a.ArmShare)
		add("grip", "Highest handle", r.Grip, "length", "The least grip of all who pack and cook, standing on the ground.")
	}
	if n.GearKg > 0 {
		add("gear", "Gear that must come", n.GearKg, "mass", "%s on the list.", heads(len(b.Gear), "thing", "things"))
	}
	if n.LaterKg > 0 {
		add("later", "Kept for later or others", n.LaterKg, "mass", "%s: room, mass, circuit and holes are spoken for.",
			heads(len(b.Later), "thing", "things"))
	}
	if n.Nights > 0 {
		add("mains", "Nights without mains", n.MainsNights, "plain",
			"What runs at night has to last %s or be made on the way.", nights(n.MainsNights))
	}
	if e := b.Envelope.Height; e > 0 {
		add("headroom", "Left under the height limit", e-p.Highest(), "length",
			"%s less the %s at which the vehicle and what is on it stand.", p.Say.Length(e), p.Say.Length(p.Highest()))
	}
	return all
}

// payload goes from the limit on the gross down to what is left for the fitout.
func payload(p *plan.Plan) (lines []PayloadLine, left float64, known bool) {
	b, n := &p.Job.Brief, NeedsOf(&p.Job.Brief)
	lines = []PayloadLine{}
	gross := limits.Of(p).Get("gross").Facts()
	most := gross.Bound.Figure()
	take := func(label string, kg float64, reason string, args ...any) {
		if kg != 0 {
			lines = append(lines, PayloadLine{label, kg, fmt.Sprintf(reason, args...)})
			left += kg
		}
	}
	term := p.Say.Term(fitout.TermGross)
	from := "As the plate or papers state."
	if gross.Binds != "" {
		from = words.Capital(gross.Binds) + " binds."
	}
	take(words.Capital(term), most, "%s", from)
	take("Empty vehicle", -p.Load.Unladen.Kg, "Dry, with its parts and modifications, nobody aboard.")
	take("People and animals", -(n.PeopleKg + n.AnimalsKg), "All who travel.")
	litres, kg := fuelAboard(p)
	take("Fuel", -kg, "%s: what the longest way wants, as far as the tanks hold it.", p.Say.Volume(litres))
	take("Water", -n.Water.Litres, "%s to carry, 1 kg a litre.", p.Say.Volume(n.Water.Litres))
	take("Gear that must come", -n.GearKg, "The list of the brief.")
	take("Kept for later or others", -n.LaterKg, "Spoken for.")
	if t := p.Job.Trailer; t != nil && b.Trip.Tows != fitout.TowsNever {
		take(words.Capital(p.Say.Term(fitout.TermBall)), -t.Ball, "What the trailer puts on the vehicle.")
	}
	return lines, left, most > 0
}

// fuelAboard is the fuel of the longest way as far as the tanks hold it; full
// tanks where no distance is stated.
func fuelAboard(p *plan.Plan) (litres, kg float64) {
	want := NeedsOf(&p.Job.Brief).Fuel.Litres
	for _, t := range p.Vehicle.Tanks {
		if t.Kind != fitout.TankFuel {
			continue
		}
		in := t.Capacity
		if p.Job.Brief.Trip.FuelDistance > 0 {
			in = min(want-litres, t.Capacity)
		}
		litres += in
		kg += in * t.Density
	}
	return litres, kg
}
