package report

import (
	"fmt"
	"strings"

	"zaino/internal/core/assess"
	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/handover"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

func (g *packer) lists() {
	p := g.p
	on := scene.Of(p)
	texts := func(acts []scene.Act) []string {
		all := []string{}
		for _, a := range acts {
			all = append(all, a.Text)
		}
		return all
	}
	g.add(
		"drive-away",
		"Before driving off",
		"",
		append(texts(on.DriveAway()), "Walk around it once: doors, cables, steps, ground beneath."),
	)
	for _, s := range fit.Engine().Figures(p).Handling.Stances {
		for i := range p.Variant.Stances {
			if p.Variant.Stances[i].ID == s.ID {
				g.add("stance-"+s.ID, "Set up: "+words.Lower(p.Variant.Stances[i].Name), "", texts(s.Steps))
			}
		}
	}
	tables := []PackTable{}
	for _, c := range g.cases {
		t := PackTable{Title: c.name, Heads: []string{"Cold, by the load of this case"}, Rows: [][]string{}}
		for _, line := range c.pressures {
			t.Rows = append(t.Rows, []string{line})
		}
		tables = append(tables, t)
	}
	g.add(
		"pressures",
		"Tyre pressures",
		"Cold, by the load as it is shown, and of each case.",
		g.card.Tyres,
		tables...)
	g.add("first", "The first 500 km", "", []string{"After 50 to 100 km: wheel nuts again.",
		"After the first trip: every bolt that holds the fitout again; look at runners, hinges, seals and cables; listen for what rattles.",
		"Whatever moved, leaked or broke: write it down with its day, and tell the workshop."})
	lay := []string{"Water out of tanks, pump, heater and taps; taps left open.", "Gas shut at the bottle.",
		"Battery full, its isolator off, or on a charger that keeps it so.", "Fridge empty, open and dry. Nothing that spoils or smells left in drawers.",
		"Tyres at the pressure of the road; weight off them, or moved once a month.", "Vents open, canopy dry, seals wiped with what keeps them soft."}
	wake := []string{
		"Isolator on, battery looked at, every circuit tried.",
		"Tanks rinsed, filled, tasted; every joint looked at while it runs.",
		"Gas and carbon monoxide alarms pressed; their date looked at.",
		"Tyres, wheel nuts, lamps, brakes.",
		"Runners cleaned, latches tried, keys where they belong.",
	}
	g.add("lay-up", "Laying it up", "", lay)
	g.add("wake-up", "Waking it up", "", wake)
}

func (g *packer) keys() {
	rows := [][]string{}
	alike := map[string][]string{}
	for i := range g.p.Job.Handover.Locks {
		l := &g.p.Job.Handover.Locks[i]
		rows = append(rows, []string{l.Name, l.Number, g.p.Say.Plain(l.Keys), l.Holder})
		if l.Alike != "" {
			alike[l.Alike] = append(alike[l.Alike], words.Lower(l.Name))
		}
	}
	lines := []string{}
	for i := range g.p.Job.Handover.Locks {
		name := g.p.Job.Handover.Locks[i].Alike
		if same := alike[name]; len(same) > 1 {
			lines = append(lines, "One key fits "+words.List(same)+".")
			delete(alike, name)
		}
	}
	g.add(
		"keys",
		"Locks and keys",
		"",
		lines,
		PackTable{"", []string{"Lock", "Number", "Keys", "Who holds one"}, rows},
	)
}

func (g *packer) care() {
	h := &g.p.Job.Handover
	rows := [][]string{}
	for i := range h.Intervals {
		n := &h.Intervals[i]
		every := []string{}
		if n.Months > 0 {
			every = append(every, g.p.Say.Plain(n.Months)+" months")
		}
		if n.Km > 0 {
			way := g.p.Say.Distance(n.Km)
			if n.Rough {
				way += " of rough road"
			}
			every = append(every, way)
		}
		when := "every " + strings.Join(every, " or ")
		if n.Once {
			when = "once after " + strings.Join(every, " or ")
		}
		rows = append(rows, []string{n.Name, when})
	}
	g.add("care", "Care", "", []string{h.Care}, PackTable{"", []string{"What", "When"}, rows})
	rows = [][]string{}
	for i := range h.Warranties {
		w := &h.Warranties[i]
		rows = append(rows, []string{w.Name, w.By, w.Until, w.Voids})
	}
	g.add(
		"warranties",
		"Warranties, and what voids them",
		"",
		nil,
		PackTable{"", []string{"Of", "By", "Until", "Void by"}, rows},
	)
}

func (g *packer) cautions() {
	p := g.p
	g.add("cautions", "Cautions", "", append([]string{p.Job.Handover.Cautions}, cautions...))
	left := []string{p.Job.Handover.Left}
	for i := range p.Items {
		switch item := &p.Items[i]; item.Work {
		case fitout.WorkLater:
			left = append(left, fmt.Sprintf("%s comes later (%s).", item.Name, p.Say.Mass(p.Variant.Items[i].Mass)))
		case fitout.WorkOthers:
			left = append(
				left,
				fmt.Sprintf("%s is fitted by others (%s).", item.Name, p.Say.Mass(p.Variant.Items[i].Mass)),
			)
		}
	}
	for _, l := range p.Job.Brief.Later {
		left = append(left, fmt.Sprintf("%s is kept for later (%s).", l.Name, p.Say.Mass(l.Mass)))
	}
	for _, t := range handover.Tests(p) {
		if t.State == handover.Failed || t.Result.Tagged {
			left = append(left, fmt.Sprintf("%s: did not pass, locked out and tagged. Not to be used.", t.Title))
		}
	}
	g.add("left", "What was left for later or for others", "", left)
	accepted := []string{}
	for _, f := range assess.Of(p.Given).Findings {
		if f.Accepted != "" {
			accepted = append(
				accepted,
				fmt.Sprintf("%s %s Agreed to because: %s", f.Title+".", f.Sentence, f.Accepted),
			)
		}
	}
	g.add("agreed", "What was agreed to, with its reason", "", accepted)
}

func (g *packer) walk() {
	rows := [][]string{}
	for _, w := range handover.Walk(g.p) {
		done := "☐"
		if w.Done {
			done = "☑"
		}
		rows = append(rows, []string{done, w.Title, w.Show, w.Note})
	}
	g.add("walk", "Gone through together", "", nil, PackTable{"", []string{"", "What", "Shown", "Note"}, rows})
}
