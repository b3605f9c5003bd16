package report

import (
	"fmt"

	"zaino/internal/core/balance"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Account is where the figures of a state come from: every mass with its place and
// its share of each axle, the formulas with the numbers put in, and the source of
// each limit. It can be handed to an engineer or inspector.
type Account struct {
	Job      string         `json:"job"`
	Customer string         `json:"customer"`
	Variant  string         `json:"variant"`
	Case     string         `json:"case" doc:"name of the state that is accounted for"`
	State    string         `json:"state" doc:"in words"`
	Baseline string         `json:"baseline" doc:"what the empty figure contains and where it comes from"`
	Rows     []AccountRow   `json:"rows"`
	Base     float64        `json:"base" doc:"wheelbase that the axle loads are counted with, mm"`
	Sum      AccountRow     `json:"sum"`
	Formulas []Formula      `json:"formulas"`
	Limits   []AccountLimit `json:"limits"`
	Others   []AccountOther `json:"others" doc:"every other limit in kg that something is held against"`
	Cautions []string       `json:"cautions"`
}

// AccountRow is one mass. Lengths are in mm in the vehicle's frame.
type AccountRow struct {
	ID     string  `json:"id" doc:"of the item, tank, part or modification; empty for the dry vehicle and the trailer"`
	Group  string  `json:"group"`
	Name   string  `json:"name"`
	Source string  `json:"source"`
	Kg     float64 `json:"kg"`
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Z      float64 `json:"z"`
	Moment float64 `json:"moment" doc:"kg·m about the front axle"`
	Front  float64 `json:"front" doc:"kg"`
	Rear   float64 `json:"rear" doc:"kg"`
}

// Formula is one figure with its formula and the numbers put in.
type Formula struct {
	ID      string `json:"id" doc:"of the limit or figure that it is about"`
	Name    string `json:"name"`
	Formula string `json:"formula"`
	Numbers string `json:"numbers"`
}

// AccountLimit is one limit with its load and its source.
type AccountLimit struct {
	limits.Pad
	Source string `json:"source"`
}

// AccountOther is a limit besides those of the pads.
type AccountOther struct {
	ID    string  `json:"id"`
	Title string  `json:"title"`
	Load  float64 `json:"load" doc:"kg"`
	Limit float64 `json:"limit" doc:"kg; 0 = not stated"`
	State string  `json:"state" enum:"within,over,unknown,close"`
	Note  string  `json:"note" doc:"where it comes from, or what it counts"`
}

// cautions belong to every page that leaves the house.
var cautions = []string{
	"Limits come from the vehicle's plate and papers, not from this tool.",
	"Masses that were not weighed are estimates; the last word has a public weighbridge.",
	"Corner loads and tip angles are simplified.",
	"Brakes, steering, seat belts, mains voltage, gas, fuel systems, structural changes and gross-mass upgrades belong " +
		"to licensed or certified people under local rules.",
}

// AccountOf accounts for a state of a job's chosen variant, by its name: see
// limits.Table.StateAt. It refuses any other.
func AccountOf(j *fitout.Job, at string) (Account, error) {
	p := plan.Of(j)
	t := limits.Of(p)
	named, err := t.StateAt(at)
	if err != nil {
		return Account{}, err
	}
	state := &named.State
	in := limits.In(p, state)
	a := Account{
		Job: j.Name, Customer: j.Customer, Variant: p.Variant.Name, Case: named.Name, State: p.State(state),
		Baseline: baselineWords(p), Rows: []AccountRow{}, Base: p.Load.Wheelbase, Cautions: cautions,
	}
	add := func(id, group, name, source string, m load.Mass) {
		if m.Kg == 0 {
			return
		}
		axles := load.Moments{}.Add(m).Axles(p.Load.Wheelbase)
		a.Rows = append(
			a.Rows,
			AccountRow{id, group, name, source, m.Kg, m.X, m.Y, m.Z, m.Kg * m.X / 1000, axles.Front,
				axles.Rear},
		)
	}
	add("", "Vehicle", "Dry vehicle", "baseline", p.Load.Dry)
	for i := range p.Vehicle.Parts {
		part := &p.Vehicle.Parts[i]
		for n, m := range load.PartChange(part) {
			add(
				part.ID,
				"Vehicle",
				part.Name+map[int]string{0: "", 1: ", where it is now"}[n],
				words.MassSource(part.Source),
				m,
			)
		}
	}
	for i := range p.Vehicle.Modifications {
		m := &p.Vehicle.Modifications[i]
		add(m.ID, "Modifications", m.Name, words.MassSource(m.Source), load.ModificationChange(m))
	}
	calibration := p.Load.Calibration()
	if calibration != nil {
		m := calibration.Vehicle
		axles := m.Axles(p.Load.Wheelbase)
		a.Baseline += " Calibrated by weighing it loaded: what the scale says of each mass is in its row."
		row := AccountRow{Group: "Vehicle", Name: "Empty vehicle, as the scale found it", Source: "calibrated",
			Kg: m.Kg, Moment: m.X / 1000, Front: axles.Front, Rear: axles.Rear}
		if m.Kg != 0 {
			row.X, row.Y, row.Z = m.X/m.Kg, m.Y/m.Kg, m.Z/m.Kg
		}
		a.Rows = append(a.Rows, row)
	}
	for i := range p.Vehicle.Tanks {
		tank, m := &p.Vehicle.Tanks[i], p.Load.Tanks[i].Mass
		m.Kg = state.TankFills[tank.ID] * tank.Density
		add(tank.ID, "Tanks", tank.Name, "by its content", m)
	}
	for i := range p.Variant.Items {
		item := &p.Variant.Items[i]
		if thing, aboard := p.Load.In(i, state); aboard && !thing.Trailer {
			group := item.Group
			if group == "" {
				group = "Items"
			}
			source := words.MassSource(item.Source)
			if calibration != nil && calibration.Of[item.ID] != (load.Change{}) {
				source += ", calibrated"
			}
			add(item.ID, group, item.Name, source, thing.Mass)
		}
	}
	if state.Coupled && j.Trailer != nil {
		hitch := p.Load.Towing.Vehicle
		row := AccountRow{
			Group: "Trailer", Name: j.Trailer.Name + ", on the hitch", Source: words.MassSource(j.Trailer.Source),
			Kg: hitch.Gross(), Moment: hitch.Rear * p.Load.Wheelbase / 1000, Front: hitch.Front, Rear: hitch.Rear,
		}
		if row.Kg != 0 { // where a mass would stand that does the same to the axles
			row.X, row.Z = 1000*row.Moment/row.Kg, p.Vehicle.TyreRadius
		}
		a.Rows = append(a.Rows, row)
	}
	a.Sum = together(a.Rows)
	pads := t.PadsIn(in)
	a.Formulas = formulas(p, &a, in, pads)
	for i, pad := range pads {
		a.Limits = append(a.Limits, AccountLimit{pad, t.Pads[i].Facts().Source})
	}
	a.Others = othersIn(t, in)
	return a, nil
}

// together is the sum of rows at their centre of gravity.
func together(rows []AccountRow) AccountRow {
	sum := AccountRow{Name: "Together"}
	for _, r := range rows {
		sum.Kg, sum.Moment, sum.Front, sum.Rear = sum.Kg+r.Kg, sum.Moment+r.Moment, sum.Front+r.Front, sum.Rear+r.Rear
		sum.Y, sum.Z = sum.Y+r.Kg*r.Y, sum.Z+r.Kg*r.Z
	}
	if sum.Kg != 0 {
		sum.X, sum.Y, sum.Z = 1000*sum.Moment/sum.Kg, sum.Y/sum.Kg, sum.Z/sum.Kg
	}
	return sum
}

// othersIn are the limits in kg besides those of the pads that say something in a
// situation.
func othersIn(t *limits.Table, in *limits.Situation) []AccountOther {
	all := []AccountOther{}
	for _, l := range t.All[len(t.Pads):] {
		f := l.Facts()
		if _, isMass := l.(*limits.Mass); !isMass || f.Towing && !in.State.Coupled {
			continue
		}
		carries := l.Load(in)
		all = append(all, AccountOther{f.ID, f.Title, carries, f.Bound.Figure(), f.State(carries, 0), f.Note})
	}
	return all
}

// baselineWords say what the empty figure contains.
func baselineWords(p *plan.Plan) string {
	b := &p.Given.Vehicle.Baseline
	said := map[fitout.Definition]string{
		fitout.Tare: "tare: 10 L of fuel, nobody aboard", fitout.Kerb: "kerb: full fuel, nobody aboard",
		fitout.RunningOrder: "mass in running order: 90 % fuel and a driver of 75 kg",
		fitout.Unladen:      "unladen: no fuel, nobody aboard",
		fitout.AsWeighed: fmt.Sprintf("as weighed, %d tickets combined, each with what was aboard that day taken off",
			len(p.Load.Weighing.Tickets)),
	}[b.Definition]
	if b.Definition != fitout.AsWeighed && b.Split == fitout.SplitAssumed {
		said += "; the axle split is assumed"
	}
	dry := load.Moments{}.Add(p.Load.Dry).Axles(p.Load.Wheelbase)
	return fmt.Sprintf("The empty figure is %s. Each of these is taken off at its own station, which leaves the dry "+
		"vehicle: front %s, rear %s.", said, p.Say.Mass(dry.Front), p.Say.Mass(dry.Rear))
}

// formulas are the figures of statics with their numbers put in, in kg and mm.
func formulas(p *plan.Plan, a *Account, in *limits.Situation, pads []limits.Pad) []Formula {
	L := p.Load.Wheelbase
	c, corners := in.Moments.Centre(), in.Corners
	ssf, tip := load.Stability(p.Load.TrackFront, p.Load.TrackRear, max(1, c.Z))
	n := func(x float64) string { return fmt.Sprintf("%.1f", x) }
	all := []Formula{
		{"rear", "Rear axle", "R = Σ m x / L", fmt.Sprintf("%s kg·m × 1000 / %s mm = %s kg", n(a.Sum.Moment), n(L),
			n(a.Sum.Rear))},
		{
			"front",
			"Front axle",
			"F = Σ m − R",
			fmt.Sprintf("%s − %s = %s kg", n(a.Sum.Kg), n(a.Sum.Rear), n(a.Sum.Front)),
		},
		{"gross", "Gross", "M = Σ m", fmt.Sprintf("%d masses: %s kg", len(a.Rows), n(a.Sum.Kg))},
		{
			"centre",
			"Centre of gravity",
			"x = Σ m x / Σ m, y and z likewise",
			fmt.Sprintf("%s, %s, %s mm, without trailer",
				n(c.X), n(c.Y), n(c.Z)),
		},
		{"sides", "Left and right wheels", "each mass by ½ ∓ y / T on its axle, an estimate",
			fmt.Sprintf("%s and %s kg", n(corners.Left()), n(corners.Right()))},
		{"front-share", "Front share", "F / M", fmt.Sprintf("%s / %s: %.1f %%", n(a.Sum.Front), n(a.Sum.Kg),
			100*a.Sum.Front/max(1, a.Sum.Kg))},
		{"grade", fmt.Sprintf("Nose up %d°", balance.GradeDegrees), "R = M (x cos θ + z sin θ) / L, F = M cos θ − R",
			fmt.Sprintf("front %s, rear %s kg, without trailer", n(in.Moments.OnGrade(L, balance.GradeDegrees).Front),
				n(in.Moments.OnGrade(L, balance.GradeDegrees).Rear))},
		{
			"tip",
			"Side tip angle",
			"atan(T / 2z), an upper bound",
			fmt.Sprintf("static stability factor %.3f, %.1f°", ssf,
				tip),
		},
	}
	if t := p.Job.Trailer; t != nil && in.State.Coupled {
		all = append(all, Formula{"combination", "Combination", "M + trailer − what it puts on the vehicle",
			fmt.Sprintf("%s + %s − %s = %s kg", n(a.Sum.Kg), n(in.Trailer), n(p.Load.Towing.Vehicle.Gross()),
				n(a.Sum.Kg+p.Load.Towing.TrailerAxle+in.Moments.Towed))})
		all = append(all, Formula{"ball", "Ball on the axles", "R + B (L + overhang) / L, F − B overhang / L",
			fmt.Sprintf(
				"ball %s kg, overhang %s mm: rear %+.1f, front %+.1f kg",
				n(t.Ball),
				n(p.Vehicle.Hitch.Overhang),
				p.Load.Towing.Vehicle.Rear,
				p.Load.Towing.Vehicle.Front,
			)})
	}
	for i := range pads {
		if l := &pads[i]; l.Limit > 0 {
			all = append(all, Formula{
				l.ID + "-over", "Probability over, " + words.Lower(l.Title), "1 − Φ((limit − load) / σ)",
				fmt.Sprintf("(%s − %s) / %s kg: %.1f %%", n(l.Limit), n(l.Load), n(l.Sigma), 100*l.Over),
			})
		}
	}
	return all
}
