package build

import (
	"math"
	"time"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// services gathers wires, hoses and what is connected at the end.
func (g *gather) services() {
	e, p, b := &g.l.Variant.Electrics, &g.l.Variant.Plumbing, &g.l.Job.Build
	lines := float64(len(e.Loads) + len(e.Sources) + len(e.Chargers) + len(e.Inverters) + len(e.Links))
	taps := float64(len(p.Outlets) + len(p.Pumps))
	if lines+taps == 0 {
		return
	}
	g.add(
		"lay",
		"",
		"Lay wires and hoses, grommets where they pass metal",
		(minutesOf("wire", b)*lines+minutesOf("plumb", b)*taps)*0.6,
		func(s *BuildStep) { s.Tools = "cable shears, crimper, grommets, labels" },
	)
	g.add(
		"connect",
		"",
		"Connect lines and taps, and test them",
		(minutesOf("wire", b)*lines+minutesOf("plumb", b)*taps)*0.4,
		func(s *BuildStep) {
			if lines > 0 {
				s.Skill = string(fitout.Electric)
			}
			s.Caution = "Do not switch on until every line is fused and tested. Mains and gas belong to licensed people."
		},
	)
	for k := range g.l.List.Made {
		m := &g.l.List.Made[k]
		if len(m.Panels) > 1 {
			g.before("lay", "fit/"+m.ID, "wires and hoses before the panels that hide them")
		}
		if m.item.Bay != "" {
			g.before("measure/"+m.item.Bay, "lay", "measured before holes are made")
		}
		g.before("fit/"+m.ID, "connect", "connected where it stands")
	}
}

// places gathers what follows from where the parts stand: what carries before what stands on it, what is behind
// before what closes its way in.
func (g *gather) places() {
	made := g.l.List.Made
	for a := range made {
		if made[a].item.Bay == "" || made[a].item.In != nil {
			continue
		}
		for b := range made {
			if a == b || made[a].item.Bay != made[b].item.Bay || made[b].item.In != nil {
				continue
			}
			x, y := made[a].Box, made[b].Box
			o := x.Overlap(y)
			if o.X > touching && o.Y > touching && math.Abs(y.From.Z-x.To.Z) < 3 {
				why := words.Lower(made[b].Name) + " stands on " + words.Lower(made[a].Name)
				if k := made[a].item.Module.Kind; k == fitout.FalseFloor {
					why = "floor before what stands on it"
				}
				g.before("fit/"+made[a].ID, "fit/"+made[b].ID, why)
				continue
			}
			if g.closes(&made[a], &made[b]) {
				g.before(
					"fit/"+made[a].ID,
					"fit/"+made[b].ID,
					words.Lower(made[b].Name)+" closes the way in of "+words.Lower(made[a].Name),
				)
			}
		}
	}
	for k := range made {
		if in := made[k].item.In; in != nil {
			g.before("fit/"+in.Module, "fit/"+made[k].ID, "it stands in it")
		}
	}
}

// closes tells whether a part stands in the straight way from a bay's opening to another.
func (g *gather) closes(behind, front *Made) bool {
	bay := g.l.Bay(behind.item.Bay)
	if bay == nil {
		return false
	}
	x, y := behind.Box, front.Box
	o := x.Overlap(y)
	switch bay.Opening.Face {
	case fitout.FaceRear:
		return o.Y > touching && o.Z > touching && y.From.X >= x.To.X-touching
	case fitout.FaceFront:
		return o.Y > touching && o.Z > touching && y.To.X <= x.From.X+touching
	case fitout.FaceLeft:
		return o.X > touching && o.Z > touching && y.To.Y <= x.From.Y+touching
	case fitout.FaceRight:
		return o.X > touching && o.Z > touching && y.From.Y >= x.To.Y-touching
	case fitout.FaceTop:
		return o.X > touching && o.Y > touching && y.From.Z >= x.To.Z-touching
	}
	return false
}

// decisions gathers questions that are open, and what waits for their answer.
func (g *gather) decisions() {
	b := &g.l.Job.Build
	for _, d := range b.Decisions {
		if d.Answer != "" {
			continue
		}
		id := g.add("decide", d.ID, d.Question, minutesOf("decide", b), func(s *BuildStep) {
			s.Module = ""
			if d.Who != "" {
				s.Takes = []string{"answered by " + d.Who}
			}
			if days, ok := daysBetween(b.Start, d.Until); ok && days > 0 {
				s.Wait, s.Why = float64(days)*24, "the answer comes by "+d.Until
			}
		})
		for _, work := range []string{"order", "saw"} {
			g.before(id, work+"/"+d.Before, "it is decided first: "+d.Question)
		}
		if _, made := g.w.byID["order/"+d.Before]; !made {
			g.before(id, "weigh/"+d.Before, "it is decided first: "+d.Question)
		}
	}
}

// daysBetween are the days from one date to another, as 2026-03-30.
func daysBetween(from, to string) (int, bool) {
	a, one := time.Parse(time.DateOnly, from)
	b, other := time.Parse(time.DateOnly, to)
	if one != nil || other != nil {
		return 0, false
	}
	return int(b.Sub(a).Hours() / 24), true
}

// workday is the date of a day of work from 0: Saturdays and Sundays are none.
func workday(start string, day int) string {
	at, err := time.Parse(time.DateOnly, start)
	if err != nil || day > 3000 {
		return ""
	}
	for off(at) {
		at = at.AddDate(0, 0, 1)
	}
	for range day {
		for at = at.AddDate(0, 0, 1); off(at); at = at.AddDate(0, 0, 1) {
		}
	}
	return at.Format(time.DateOnly)
}

func off(day time.Time) bool { return day.Weekday() == time.Saturday || day.Weekday() == time.Sunday }
