package report

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/handover"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
	"zaino/internal/core/trip"
	"zaino/internal/core/weigh"
	"zaino/internal/core/wiring"
	"zaino/internal/core/words"
)

// Pack is what the customer is given: all that they have to know, in the order in which they will ask.
type Pack struct {
	Job      string             `json:"job"`
	Customer string             `json:"customer"`
	Vehicle  string             `json:"vehicle"`
	Workshop string             `json:"workshop"`
	Contact  string             `json:"contact"`
	Sum      string             `json:"sum" doc:"fingerprint of what it is made of"`
	Sections []PackSection      `json:"sections"`
	Signed   []fitout.Signature `json:"signed"`
}

// PackSection is one section of a pack.
type PackSection struct {
	ID     string      `json:"id"`
	Title  string      `json:"title"`
	Lead   string      `json:"lead"`
	Lines  []string    `json:"lines"`
	Tables []PackTable `json:"tables"`
}

// PackTable is a table of a section.
type PackTable struct {
	Title string     `json:"title"`
	Heads []string   `json:"heads"`
	Rows  [][]string `json:"rows"`
}

// packer gathers sections that say something.
type packer struct {
	p     *plan.Plan
	pack  *Pack
	card  Card // of the state shown
	cases []packCase
}

// PackOf makes the pack of a job's chosen variant.
func PackOf(j *fitout.Job) Pack {
	p := plan.Of(j)
	pack := Pack{
		Job:      j.Name,
		Customer: j.Customer,
		Vehicle:  j.Vehicle.Name,
		Workshop: j.Build.Money.Workshop,
		Contact:  j.Handover.Contact,
		Sum:      handover.Fingerprint(j),
		Sections: []PackSection{},
		Signed:   j.Handover.Signed,
	}
	g := &packer{p: p, pack: &pack, card: CardOf(j)}
	for i := range p.Variant.Cases {
		c := &p.Variant.Cases[i]
		if shown, err := edit.ShowState(j, "case:"+c.ID); err == nil {
			g.cases = append(g.cases, packCase{c.Name, CardOf(&shown), trip.PressureLines(plan.Of(&shown))})
		}
	}
	g.built()
	g.weights()
	g.papers()
	g.power()
	g.water()
	g.way()
	g.lists()
	g.keys()
	g.care()
	g.cautions()
	g.walk()
	return pack
}

// packCase is a case that they drive, with its loading card.
type packCase struct {
	name      string
	card      Card
	pressures []string
}

func (g *packer) add(id, title, lead string, lines []string, tables ...PackTable) {
	s := PackSection{ID: id, Title: title, Lead: lead, Lines: []string{}, Tables: []PackTable{}}
	for _, line := range lines {
		if strings.TrimSpace(line) != "" {
			s.Lines = append(s.Lines, line)
		}
	}
	for _, t := range tables {
		if len(t.Rows) > 0 {
			s.Tables = append(s.Tables, t)
		}
	}
	if len(s.Lines) > 0 || len(s.Tables) > 0 {
		g.pack.Sections = append(g.pack.Sections, s)
	}
}

func (g *packer) built() {
	p := g.p
	rows := [][]string{}
	for i := range p.Items {
		item := &p.Items[i]
		if item.Module == nil || !item.Work.Now() {
			continue
		}
		size := fmt.Sprintf(
			"%s × %s × %s",
			p.Say.Length(item.Size.Length),
			p.Say.Length(item.Size.Width),
			p.Say.Length(item.Size.Height),
		)
		rows = append(
			rows,
			[]string{item.Name, size, p.Say.Mass(p.Variant.Items[i].Mass), words.MassSource(item.Source)},
		)
	}
	g.add(
		"built",
		"What was built",
		"",
		[]string{g.p.Job.Note},
		PackTable{"", []string{"Part", "Length, width, height", "Mass", "Known from"}, rows},
	)
}

func (g *packer) weights() {
	p, say := g.p, g.p.Say
	lines := []string{}
	if c := weigh.Engine().Figures(p).Calibrated; c != "" {
		lines = append(lines, "Weighed, "+c+".")
	} else if len(p.Variant.WeighIns) > 0 {
		lines = append(lines, "Weighed, see below; the figures here are the plan's own sums.")
	} else {
		lines = append(lines, "Not weighed as it stands: the figures are sums, and estimates.")
	}
	for _, pad := range g.card.Pads {
		if pad.State == limits.Over {
			lines = append(
				lines,
				fmt.Sprintf(
					"Over by %s: %s. It must not be driven like this.",
					say.Mass(-pad.Left),
					words.Lower(pad.Title),
				),
			)
		}
	}
	tables := []PackTable{cardTable("As it is shown: "+p.State(&p.Shown), g.card, say)}
	for _, c := range g.cases {
		tables = append(tables, cardTable(c.name, c.card, say))
	}
	g.add(
		"weights",
		"Weights, and what may still be loaded",
		"Limits come from the vehicle's plate and papers. What is loaded on top, and on "+
			"the rear above all, is the driver's to watch.",
		lines,
		tables...)
	weighed := [][]string{}
	for i := range p.Variant.WeighIns {
		w := &p.Variant.WeighIns[i]
		for _, r := range weigh.Results(p, w) {
			limit, left := "not stated", ""
			if r.Limit > 0 {
				limit, left = say.Mass(r.Limit), say.Mass(r.Left)
			}
			weighed = append(
				weighed,
				[]string{
					w.Name + " " + w.At,
					r.Title,
					say.Mass(r.Read) + " ± " + say.Mass(math.Round(20*r.Sigma)/10),
					limit,
					left,
				},
			)
		}
	}
	g.add(
		"weighed",
		"What the scale read",
		"",
		nil,
		PackTable{"", []string{"Weighing", "Load", "Read (2 σ)", "Limit", "Left"}, weighed},
	)
}

// cardTable is a loading card as a table.
func cardTable(title string, c Card, say words.Speaker) PackTable {
	t := PackTable{Title: title, Heads: []string{"Load", "Now", "At most", "Left"}, Rows: [][]string{}}
	for _, pad := range c.Pads {
		most, left := "not stated", ""
		if pad.Limit > 0 {
			most, left = say.Mass(pad.Limit), say.Mass(pad.Limit-pad.Load)
		}
		t.Rows = append(t.Rows, []string{pad.Title, say.Mass(pad.Load), most, left})
	}
	for _, room := range c.Room {
		most := "not stated"
		if room.Rating > 0 {
			most = say.Mass(room.Rating)
		}
		left := say.Mass(room.Left)
		if room.Binds != "" {
			left += " (" + room.Binds + ")"
		}
		t.Rows = append(t.Rows, []string{room.Name, say.Mass(room.Load), most, left})
	}
	return t
}

func (g *packer) papers() {
	h := &g.p.Job.Handover
	rows := [][]string{}
	for i := range h.Papers {
		paper := &h.Papers[i]
		rows = append(
			rows,
			[]string{
				paper.Name,
				strings.TrimSpace(paper.By + " " + paper.Licence),
				paper.Number,
				paper.Issued,
				paper.Expires,
			},
		)
	}
	open := []string{}
	for _, w := range handover.Papers(g.p) {
		if !w.Have {
			open = append(
				open,
				fmt.Sprintf("Not attached yet: %s, because %s.", strings.ReplaceAll(string(w.Kind), "-", " "), w.Why),
			)
		}
	}
	g.add(
		"papers",
		"Certificates, and who is licensed for what",
		"",
		open,
		PackTable{"", []string{"Paper", "By", "Number", "Issued", "Expires"}, rows},
	)
}

func (g *packer) power() {
	p := g.p
	rows := [][]string{}
	for _, l := range wiring.BoardOf(p).Lines {
		if l.Kind == wiring.LoadLine || l.Kind == wiring.InverterLine || l.Kind == wiring.PanelLine {
			rows = append(
				rows,
				[]string{
					fmt.Sprint(l.Number),
					l.Name,
					l.FromName,
					strings.TrimSpace(wiring.FuseWord(l.FuseKind) + " " + p.Say.Amps(l.Fuse)),
				},
			)
		}
	}
	lines := g.card.Power
	if len(p.Variant.Electrics.Loads) > 0 {
		lines = append(
			slices.Clone(lines),
			"When the battery is empty: switch off what is not needed, charge by driving, sun or mains, and let a lithium "+
				"battery warm up first. A fuse that blows again is telling something: find it before it is replaced. Never fit a larger one.",
		)
	}
	g.add(
		"power",
		"Power: which switch, which fuse, how long",
		"",
		lines,
		PackTable{"", []string{"Line", "What it feeds", "From", "Fuse"}, rows},
	)
}

func (g *packer) water() {
	p := g.p
	lines := []string{}
	for i := range p.Items {
		item := &p.Items[i]
		if level := item.Presence.Level; level != nil && item.Work.Now() {
			lines = append(lines, fmt.Sprintf("%s holds %s.", item.Name, p.Say.Volume(level.Max)))
		}
	}
	gas := false
	for i := range p.Variant.Plumbing.Vessels {
		gas = gas || p.Variant.Plumbing.Vessels[i].Holds == fitout.HoldsGas
	}
	if gas || len(p.Variant.Plumbing.Burners) > 0 {
		lines = append(
			lines,
			"Gas: shut at the bottle while it is driven or filled. Nothing burns inside without fresh air and an alarm: carbon monoxide "+
				"has no smell. Who smells gas shuts the bottle, airs, makes no spark, and has a licensed fitter look.",
		)
	}
	g.add("water", "Water and gas", "", lines)
	drain := trip.Engine().Figures(p).Drain
	g.add("frost", "Before frost", "In this order:", drain)
}

func (g *packer) way() {
	g.add(
		"way",
		"On the way",
		"What to do at each stop; an estimate, and pumps are asked before leaving.",
		g.card.Way,
	)
}
