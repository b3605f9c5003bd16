package build

import (
	"context"
	"fmt"

	"zaino/internal/core/cost"
	"zaino/internal/core/cut"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Look is a plan with its build gathered once; the rules look at it.
type Look struct {
	*plan.Plan
	List     *List
	Hardware []HardwareNeed
	Groups   []CutGroup
	Bars     []BarGroup

	raw  *Work
	work *Work
}

// LookAt gathers the build of a plan once.
func LookAt(p *plan.Plan) *Look {
	return plan.Once(p, func(p *plan.Plan) *Look {
		l := &Look{Plan: p, List: ListOf(p)}
		l.Hardware = hardwareOf(l.List, &p.Job.Build)
		l.Groups = groupsOf(l.List, &p.Job.Build)
		l.Bars = barsOf(l.List, &p.Job.Build)
		return l
	})
}

// Work is the steps of the build in their order, worked out once.
func (l *Look) Work() *Work {
	if l.work == nil {
		l.work = l.workOf()
	}
	return l.work
}

// Nest lays every group out on sheets.
func (l *Look) Nest(ctx context.Context, effort cut.Effort, told func(share float64)) {
	for k := range l.Groups {
		l.Groups[k].nest(ctx, &l.Job.Build, effort, func(share float64) {
			if told != nil {
				told((float64(k) + share) / float64(len(l.Groups)))
			}
		})
	}
}

func times(cents int, factor float64, decimals int) int { return cost.Times(cents, factor, decimals) }

// leastKinds are the sheets that a group takes at least: as many of the one that is bought as the bound says.
func (l *Look) leastKinds(g *CutGroup) []KindUsed {
	for i := range g.stock {
		if g.stock[i].Count < 0 {
			n, s := cut.Bound(g.cuts, g.stock[i].Length, g.stock[i].Width, l.Job.Build.Shop.Kerf), &g.kinds[i]
			return []KindUsed{
				{
					s.ID,
					s.Name + ", at least",
					n,
					max(0, n-s.Have),
					s.Price,
					times(s.Price, float64(n), l.Job.Build.Money.Decimals),
				},
			}
		}
	}
	return nil
}

// kinds are the sheets of a group as they are laid out, or at least.
func (l *Look) kinds(g *CutGroup) []KindUsed {
	if len(g.Sheets) > 0 || len(g.Left) > 0 {
		return g.Kinds
	}
	return l.leastKinds(g)
}

// leastSheets is how many sheets are cut at least.
func (l *Look) leastSheets() int {
	count := 0
	for k := range l.Groups {
		for _, kind := range l.kinds(&l.Groups[k]) {
			count += kind.Used
		}
	}
	return count
}

// lines are what the build costs, line by line. Before the sheets are laid out they are counted by their bound.
func (l *Look) lines() cost.CostLines {
	m := &l.Job.Build.Money
	out := cost.CostLines{
		Material: []cost.CostLine{},
		Hardware: []cost.CostLine{},
		Bought:   []cost.CostLine{},
		Work:     []cost.CostLine{},
	}
	for k := range l.Groups {
		for _, kind := range l.kinds(&l.Groups[k]) {
			out.Material = append(
				out.Material,
				cost.CostLine{
					What:  kind.Name,
					Count: float64(kind.Used),
					Unit:  "sheets",
					Each:  kind.Each,
					Sum:   kind.Sum,
				},
			)
		}
	}
	for _, b := range l.Bars {
		out.Material = append(
			out.Material,
			cost.CostLine{What: b.Name, Count: float64(len(b.Bars)), Unit: "bars", Each: b.Each, Sum: b.Sum},
		)
	}
	for _, n := range l.Hardware {
		out.Hardware = append(
			out.Hardware,
			cost.CostLine{What: n.Name, Count: n.Count, Unit: n.Unit, Each: n.Each, Sum: n.Sum},
		)
	}
	for k := range l.List.Made {
		made := &l.List.Made[k]
		each, name := wholePrice(made), made.Name
		if made.How == fitout.MadeHere {
			name += ", further cost"
		}
		if each > 0 || made.How == fitout.MadeBought || made.How == fitout.MadeOut {
			out.Bought = append(out.Bought, cost.Of(name, 1, "pieces", each, m.Decimals))
		}
	}
	hours := map[bool]float64{}
	w := l.gathered()
	for i := range w.steps {
		s := &w.steps[i]
		hours[s.Skill == string(fitout.Electric)] += s.Minutes / 60 * float64(max(1, s.People))
	}
	rate := m.Electric
	if rate == 0 {
		rate = m.Rate
	}
	for _, of := range []struct {
		electric bool
		name     string
		rate     int
	}{{false, "Work", m.Rate}, {true, "Electrician", rate}} {
		if h := hours[of.electric]; h > 0 {
			out.Work = append(out.Work, cost.Of(of.name, roundHours(h), "h", of.rate, m.Decimals))
		}
	}
	return out
}

// roundHours counts hours by quarters, up.
func roundHours(h float64) float64 {
	quarters := int(h * 4)
	if h*4 > float64(quarters)+1e-9 {
		quarters++
	}
	return float64(quarters) / 4
}

// about begins a finding about a part of the build, or the build itself.
func about(rule string, severity fitout.Severity, id string) fitout.Finding {
	return fitout.Finding{
		Rule:     rule,
		Severity: severity,
		Subject:  fitout.Subject{Kind: "build", ID: id},
		Source:   "practice",
		Waivable: true,
	}
}

// price puts cents into words, with the brief's currency.
func (l *Look) price(cents int) string {
	b := &l.Job.Build.Money
	text := words.Money(cents, b.Decimals)
	if c := l.Job.Brief.Currency; c != "" {
		return text + " " + c
	}
	return text
}

// fine puts a measure into words as finely as a caliper tells it.
func (l *Look) fine(mm float64) string {
	if l.Job.Units == fitout.US {
		return fmt.Sprintf("%.3f in", mm/25.4)
	}
	return fmt.Sprintf("%.1f mm", mm)
}
