package limits

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// masses are the limits in kg that have findings of their own.
func (t *Table) masses() []*Mass {
	var all []*Mass
	for _, l := range t.All {
		if m, ok := l.(*Mass); ok && !m.facts.Echo && (!m.facts.Towing || t.Shown().State.Coupled) {
			all = append(all, m)
		}
	}
	return all
}

// about begins a finding about a limit as it is loaded.
func (m *Mass) about(kind string, severity fitout.Severity, carries float64) fitout.Finding {
	f := &m.facts
	return fitout.Finding{
		Rule: f.Rule + kind, Severity: severity, Subject: f.Subject, Mend: f.ID, Unit: "kg", Source: f.Source,
		Value: carries, Limit: f.Bound.Figure(), Margin: f.Bound.Left(carries),
	}
}

// over stops a build that is over one of its limits in the state shown, and says when
// it comes close.
func over(p *plan.Plan) []fitout.Finding {
	t := Of(p)
	var found []fitout.Finding
	for _, m := range t.masses() {
		carries := m.Load(t.Shown())
		said := m.carries(p.Say.Mass(carries), p.Say.Mass(m.facts.Bound.Figure()))
		left := m.facts.Bound.Left(carries)
		switch m.facts.State(carries, p.Job.Practice.Close) {
		case Over:
			f := m.about("-over", fitout.Stop, carries)
			f.Title = fmt.Sprintf("%s %s over", m.facts.Title, p.Say.Mass(-left))
			f.Sentence = words.Sentences(said, "Move load, make it lighter, leave something behind or change the vehicle.")
			found = append(found, f)
		case Close:
			f := m.about("-close", fitout.Caution, carries)
			f.Title = fmt.Sprintf("%s has %s left", m.facts.Title, p.Say.Mass(left))
			f.Sentence = words.Sentences(said,
				fmt.Sprintf("Less than %.0f %% is left, about what unweighed odds and ends add to a build.",
					100*p.Job.Practice.Close))
			f.Source = "workshop rule"
			found = append(found, f)
		}
	}
	return found
}

// worstOver cautions when the state shown is within a limit that the same job can
// exceed in another state.
func worstOver(p *plan.Plan) []fitout.Finding {
	t := Of(p)
	var found []fitout.Finding
	for _, l := range t.All {
		m, ok := l.(*Mass)
		if !ok || m.facts.Echo || !m.facts.Stated() || m.facts.Bound.Holds(m.Worst().Value) {
			continue
		}
		if seen := !m.facts.Towing || t.Shown().State.Coupled; seen && !m.facts.Bound.Holds(m.Load(t.Shown())) {
			continue // it is over now
		}
		f := m.about("-worst-over", fitout.Caution, m.Worst().Value)
		f.Mend, f.At = "", "worst:"+m.facts.ID
		f.Title = fmt.Sprintf("%s can go %s over", m.facts.Title, p.Say.Mass(-f.Margin))
		f.Sentence = fmt.Sprintf("%s is within its limit now, but %s %s of %s (%s) %s.",
			m.facts.Title, m.comes, p.Say.Mass(f.Value), p.Say.Mass(f.Limit), m.facts.Told(), p.State(m.Worst()))
		found = append(found, f)
	}
	return found
}

// missing says which limits nobody has stated yet that have to be known.
func missing(p *plan.Plan) []fitout.Finding {
	t := Of(p)
	var found []fitout.Finding
	for _, m := range t.masses() {
		if m.facts.Missing == "" || m.facts.Rating.Stated {
			continue
		}
		title := fmt.Sprintf("No %s stated", m.facts.Term)
		if m.facts.ID == "trailer" {
			title = "No towing limit stated"
		}
		found = append(found, fitout.Finding{
			Rule: "limit-missing", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "limit",
				ID: string(m.facts.Rating.Limit)},
			Title: title, Sentence: m.facts.Missing, Value: m.Load(t.Shown()), Unit: "kg", Source: "plate",
		})
	}
	return found
}

// estimated cautions when limits on the pads are somebody's guess.
func estimated(p *plan.Plan) []fitout.Finding {
	var names []string
	for _, m := range Of(p).Pads {
		if m.facts.Stated() && m.facts.Rating.Source == fitout.FromEstimate {
			names = append(names, m.facts.Term)
		}
	}
	if len(names) == 0 {
		return nil
	}
	slices.Sort(names)
	return []fitout.Finding{{
		Rule: "limit-estimated", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "limit"},
		Title: "Limits are estimates",
		Sentence: words.Sentences(
			fmt.Sprintf("The figures for %s were not read off the plate or papers.", words.List(names)),
			"Replace them under Vehicle before anybody relies on what is left."),
		Source: "practice",
	}}
}

// broken begins a finding about a workshop rule that the state shown breaks; false
// where it keeps it.
func broken(p *plan.Plan, id string) (fitout.Finding, *Situation, bool) {
	t := Of(p)
	l := t.Get(id)
	if l == nil {
		return fitout.Finding{}, nil, false
	}
	f, in := l.Facts(), t.Shown()
	value := l.Load(in)
	if f.Bound.Figure() == 0 || f.Bound.Holds(value) {
		return fitout.Finding{}, in, false
	}
	return fitout.Finding{
		Rule: f.Rule, Severity: fitout.Caution, Subject: f.Subject, Mend: f.ID, Unit: f.Unit, Source: f.Source,
		Value: value, Limit: f.Bound.Figure(), Margin: f.Bound.Left(value),
	}, in, true
}

// frontLight cautions when the front axle carries too small a share to steer and brake
// well.
func frontLight(p *plan.Plan) []fitout.Finding {
	f, in, is := broken(p, "front-share")
	if !is || in.Axles.Gross() <= 0 {
		return nil
	}
	front, gross, kg := in.Axles.Front, in.Axles.Gross(), p.Say.Mass
	f.Title = fmt.Sprintf("Front axle carries only %.0f %%", f.Value)
	f.Sentence = words.Sentences(
		fmt.Sprintf("%s of %s rest on the front axle.", kg(front), kg(gross)),
		fmt.Sprintf("Below %.0f %% steering and braking suffer; %s of it on the front instead of the rear would reach it.", f.Limit,
			p.Say.MassAtLeast(f.Limit/100*gross-front)))
	return []fitout.Finding{f}
}

// sidesUneven cautions when one side carries noticeably more than the other.
func sidesUneven(p *plan.Plan) []fitout.Finding {
	f, in, is := broken(p, "sides")
	if !is || in.Moments.Kg <= 0 {
		return nil
	}
	side, other, kg := "right", "left", p.Say.Mass
	difference := in.Corners.Left() - in.Corners.Right()
	if difference > 0 {
		side, other = other, side
	}
	f.Value, f.Limit, f.Unit = math.Abs(difference), f.Limit/100*in.Moments.Kg, "kg"
	f.Margin = f.Limit - f.Value
	f.Title = fmt.Sprintf("%s side %s heavier", words.Capital(side), kg(f.Value))
	f.Sentence = words.Sentences(
		fmt.Sprintf("Left wheels carry %s, right wheels %s (estimate).", kg(in.Corners.Left()), kg(in.Corners.Right())),
		fmt.Sprintf("More than %.0f %% of the gross leans the vehicle and shows in its handling; %s of it on the %s wheels "+
			"instead of the %s would do.", 100*p.Job.Practice.SideShare, p.Say.MassAtLeast((f.Value-f.Limit)/2), other, side))
	return []fitout.Finding{f}
}

// tipLost cautions when the load takes more of the side tip angle than the workshop's
// rule lets it.
func tipLost(p *plan.Plan) []fitout.Finding {
	f, in, is := broken(p, "tip")
	if !is {
		return nil
	}
	known := "known"
	if !p.Job.Vehicle.Baseline.CGHeightKnown {
		known = "assumed"
	}
	f.Title = fmt.Sprintf("The load takes %.1f° of the side tip angle", f.Value)
	f.Sentence = words.Sentences(
		fmt.Sprintf("Loaded as shown the side tip angle is %.1f° instead of %.1f°, upper bounds of a rigid body, with the "+
			"unladen height %s.",
			TipAngle(p, &in.Moments), TipAngle(p, &p.Load.Unladen), known),
		"Put heavy things lower, or leave high ones behind.")
	return []fitout.Finding{f}
}

// ballShare cautions about a coupled trailer with too little or too much of its mass
// on the ball: too little makes it sway, too much takes load off the front.
func ballShare(p *plan.Plan) []fitout.Finding {
	if !p.Load.Coupled() || p.Load.TrailerMass() == 0 {
		return nil
	}
	mass, now, kg := p.Load.TrailerMass(), p.Job.Trailer.Ball, p.Say.Mass
	term := p.Say.Term(fitout.TermBall)
	is := func(f *fitout.Finding) string {
		f.Title = fmt.Sprintf("%s is %.1f %% of the trailer", words.Capital(term), f.Value)
		return fmt.Sprintf("The %s is %s of a trailer of %s", term, kg(now), kg(mass))
	}
	if f, _, light := broken(p, "ball-least"); light {
		wanted := f.Limit / 100 * mass
		f.Sentence = fmt.Sprintf("%s, less than the %.0f %% of the workshop's rule: it may sway. Load it further forward, "+
			"by %s more on the ball.", is(&f), f.Limit, p.Say.MassAtLeast(wanted-now))
		f.Fixes = ballTo(p, "forward", math.Ceil(wanted))
		f.Mend = ""
		return []fitout.Finding{f}
	}
	if f, _, heavy := broken(p, "ball-most"); heavy {
		wanted := f.Limit / 100 * mass
		f.Sentence = fmt.Sprintf("%s, more than the %.0f %% of the workshop's rule. Load it further back, by %s less on "+
			"the ball.", is(&f), f.Limit, p.Say.MassAtLeast(now-wanted))
		f.Fixes = ballTo(p, "back", math.Floor(wanted))
		f.Mend = ""
		return []fitout.Finding{f}
	}
	return nil
}

// ballTo loads the trailer further forward or back until the ball carries so much;
// nothing where that passes another limit.
func ballTo(p *plan.Plan, direction string, ball float64) []fitout.Fix {
	t := *p.Job.Trailer
	t.Ball = ball
	L := p.Load.Wheelbase
	change := load.Tow(&t, L, p.Vehicle.Hitch.Overhang).Moments(L).Minus(p.Load.Towing.Moments(L))
	if table := Of(p); !table.Keeps(table.Effects(load.Carrier{Kind: load.TheTrailer}, change), "") {
		return nil
	}
	return []fitout.Fix{{
		Label: fmt.Sprintf("Load the trailer further %s, to %s on the ball", direction, p.Say.Mass(ball)),
		Edit:  fitout.FixEdit{Kind: "ball", Value: ball}, Front: change.Axles(L).Front, Rear: change.Axles(L).Rear,
	}}
}
