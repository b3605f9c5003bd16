package report

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/core/wiring"
	"zaino/internal/core/words"
)

// Table is a table in words, for paper and for a spreadsheet.
type Table struct {
	Name string
	Head []string
	Rows [][]string
	Sums []int // columns that a workbook sums
}

// PowerSheet is all that an electrician and a customer are handed of the electrics: what
// runs and charges, every circuit, what to buy, labels, and a plain map.
type PowerSheet struct {
	Sheet
	Drawing wiring.BoardDrawing
}

// Sheet are tables that are handed over together.
type Sheet struct {
	Job, Customer, Variant string
	Subject                string // what it is about, in a word or two
	About                  string // a sentence under the heading
	Tables                 []Table
	Cautions               []string
}

// PowerSheetOf makes the sheet of a job's chosen variant.
func PowerSheetOf(j *fitout.Job) PowerSheet {
	p := plan.Of(j)
	look := power.LookAt(p)
	days, board := power.Engine().Figures(p), wiring.BoardOf(p)
	figures := wiring.Engine().Figures(p)
	s := PowerSheet{Drawing: figures.Drawing, Sheet: Sheet{
		Job: j.Name, Customer: j.Customer, Variant: p.Variant.Name, Subject: "electrics",
		About: fmt.Sprintf("%d nights at %s to %s", days.Nights, p.Say.Temperature(days.Low), p.Say.Temperature(days.High)),
		Cautions: []string{
			"Figures of sun, use and charge are estimates. Lengths by places are to be measured before cable is cut.",
			"Mains voltage, gas and what joins the vehicle's own wiring belong to licensed people under local rules. Never " +
				"work on a " +
				"live battery.",
			"Every circuit is tested under load before it is handed over.",
		},
	}}
	s.Tables = []Table{
		batteriesTable(p, look, &days), loadsTable(p, look, &days), sourcesTable(p, look, &days), circuitsTable(p, board),
		cablesTable(p, &figures), fusesTable(p, &figures), labelsTable(p, board), mapTable(p, board),
	}
	return s
}

func batteriesTable(p *plan.Plan, l *power.Look, f *power.PowerFigures) Table {
	t := Table{Name: "Batteries", Head: []string{"Battery", "Kind", "Capacity", "Usable", "Used a day", "Comes in a day",
		"Lowest",
		"Last morning"}}
	for i := range f.Systems {
		s, def := &f.Systems[i], &l.E.Systems[i]
		lowest := p.Say.Percent(s.Lowest)
		if s.OutAt >= 0 {
			lowest = "empty after " + p.Say.Hours(s.OutAt)
		}
		t.Rows = append(t.Rows, []string{def.Name, power.ChemistryWord(def.Battery.Chemistry) + ", " +
			p.Say.Volts(def.Voltage),
			p.Say.Charge(s.Capacity), p.Say.Charge(s.Usable), p.Say.Charge(s.Used), p.Say.Charge(s.Offered), lowest,
			p.Say.Percent(s.End)})
	}
	return t
}

func loadsTable(p *plan.Plan, l *power.Look, f *power.PowerFigures) Table {
	t := Table{
		Name: "What runs",
		Head: []string{"Load", "Fed by", "Watts", "A day", "A day", "Share"},
		Sums: []int{3, 4},
	}
	for i := range f.Loads {
		def, of := &l.E.Loads[i], &f.Loads[i]
		feeds := def.System
		if def.Inverter != "" {
			feeds = def.Inverter
		}
		name, _ := l.E.NameOf(feeds)
		t.Rows = append(t.Rows, []string{def.Name, name, p.Say.Watts(def.Watts * def.Count), p.Say.Charge(of.Charge),
			p.Say.Energy(of.Energy), p.Say.Percent(of.Share)})
	}
	return t
}

func sourcesTable(p *plan.Plan, l *power.Look, f *power.PowerFigures) Table {
	t := Table{
		Name: "What charges",
		Head: []string{"Source", "Kind", "Rated", "Offers a day", "Of that used"},
		Sums: []int{3, 4},
	}
	for i := range f.Sources {
		def, of := &l.E.Sources[i], &f.Sources[i]
		rated := p.Say.Amps(def.Amps)
		if def.Amps == 0 {
			rated = p.Say.Watts(def.Watts)
		}
		t.Rows = append(t.Rows, []string{def.Name, string(def.Kind), rated, p.Say.Charge(of.Offered), p.Say.Charge(of.Used)})
	}
	return t
}

func circuitsTable(p *plan.Plan, b *wiring.Board) Table {
	t := Table{Name: "Circuits", Head: []string{"No", "To", "From", "Current", "Length", "Copper", "Fuse", "Loses",
		"State"}}
	for i := range b.Lines {
		w := &b.Lines[i]
		fuse := "none"
		if w.Fuse > 0 {
			fuse = p.Say.Amps(w.Fuse) + " " + wiring.FuseWord(w.FuseKind)
		}
		if w.FarFuse > 0 {
			fuse += ", both ends"
		}
		state := "agreed"
		switch {
		case w.Others:
			state = "of others: tagged, locked out"
		case w.Proposed:
			state = "proposed"
		}
		t.Rows = append(t.Rows, []string{fmt.Sprint(w.Number), w.Name, w.FromName, p.Say.Amps(w.Amps),
			p.Say.Length(w.Length) + lengthBy[w.LengthBy], p.Say.Copper(w.Area), fuse,
			fmt.Sprintf("%s, %s", p.Say.Volts(w.Drop), p.Say.Percent(w.DropShare)), state})
	}
	return t
}

var lengthBy = map[string]string{"measured": "", "places": " by places", "assumed": " assumed"}

func cablesTable(p *plan.Plan, f *wiring.WiringFigures) Table {
	t := Table{Name: "Cable to buy", Head: []string{"Copper", "Length of conductor", "Mass"}, Sums: []int{1, 2}}
	for _, c := range f.Cables {
		t.Rows = append(t.Rows, []string{p.Say.Copper(c.Area), p.Say.Length(math.Ceil(c.Length/100) * 100),
			p.Say.Mass(c.Mass)})
	}
	return t
}

func fusesTable(p *plan.Plan, f *wiring.WiringFigures) Table {
	t := Table{Name: "Fuses to buy", Head: []string{"Make", "Rated", "Number"}, Sums: []int{2}}
	for _, c := range f.Fuses {
		t.Rows = append(t.Rows, []string{wiring.FuseWord(c.Kind), p.Say.Amps(c.Amps), fmt.Sprint(c.Count)})
	}
	return t
}

func labelsTable(p *plan.Plan, b *wiring.Board) Table {
	t := Table{Name: "Labels", Head: []string{"For both ends of each cable"}}
	for i := range b.Lines {
		t.Rows = append(t.Rows, []string{wiring.Label(p.Say, &b.Lines[i])})
	}
	return t
}

// mapTable tells the customer where everything is, and which fuse belongs to it.
func mapTable(p *plan.Plan, b *wiring.Board) Table {
	t := Table{Name: "Where it is", Head: []string{"Thing", "Where", "Fuse", "Switched"}}
	place := func(item string) string {
		i := p.Index(item)
		if i < 0 {
			return "not placed"
		}
		if bay := p.Bay(p.Items[i].Bay); bay != nil {
			return bay.Name
		}
		if in := p.Items[i].In; in != nil {
			return "in " + words.Lower(p.Name(in.Module))
		}
		return "at " + p.Say.Length(p.Items[i].At.X) + " behind the front axle"
	}
	for i := range b.Lines {
		w := &b.Lines[i]
		fuse := "none"
		if w.Fuse > 0 {
			fuse = fmt.Sprintf("No %d, %s, at %s", w.Number, p.Say.Amps(w.Fuse), words.Lower(w.FromName))
		}
		switched := "at itself"
		for k := range b.E.Loads {
			if l := &b.E.Loads[k]; l.ID == w.Of && l.Switched != "" {
				if name, known := b.E.NameOf(l.Switched); known {
					switched = "at " + words.Lower(name)
				}
			}
		}
		t.Rows = append(t.Rows, []string{strings.TrimSuffix(w.Name, ", main"), place(w.End), fuse, switched})
	}
	return t
}
